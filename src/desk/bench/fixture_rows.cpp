#include "desk/bench/bench_stage.h"

#include "core/words/typed.h"
#include "desk/bench/bench_parts.h"
#include "desk/bench/channel_rows.h"
#include "desk/bench/fixture_drawing.h"
#include "desk/shared/described_row.h"

namespace glumet {

void BenchStage::fillFixtureForm() {
    auto* add = quietButton(tr("new"));
    connect(add, &QPushButton::clicked, this, &BenchStage::newFixture);
    left_->addHeading(tr("Fixture"), add);
    fixture_choice_ = left_->addHeadingChoice(
        tr("Fixture shown"), [this] { return indexOfId(session().bench().fixtures, fixture_); },
        [this](int index) -> QString {
            session().settle();
            showFixture(session().bench().fixtures[static_cast<std::size_t>(index)].id);
            channels_->refresh();
            for (auto* drawing : findChildren<BenchDrawing*>()) drawing->update();
            return {};
        });
    fixture_choice_->setObjectName(QStringLiteral("fixtureChoice"));
    auto* sheet = addSheet(*left_);
    addDescribedRows<Fixture>(
        session(), *left_, [this]() -> const Fixture& { return fixture(); },
        [this](const Fixture& f) { return keep(f); });
    left_->addText(
        tr("maker's height"),
        [this] {
            const auto& f = fixture();
            return f.claimed_height_low && f.claimed_height_high
                       ? text(lengthRange(*f.claimed_height_low, *f.claimed_height_high, session().unit()))
                       : QString();
        },
        writer(&BenchStage::fixture,
               [this](Fixture& f, const QString& typed) -> QString {
                   f.claimed_height_low.reset();
                   f.claimed_height_high.reset();
                   if (typed.trimmed().isEmpty()) return {};
                   const auto ends = parseLengthRange(typed.toStdString(), session().unit());
                   if (!ends || ends->first.value() <= 0.0)
                       return tr("Give the maker's height as a range, such as 13–18.");
                   f.claimed_height_low = ends->first;
                   f.claimed_height_high = ends->second;
                   return {};
               }),
        tr("13–18"));
    left_->addText(
        tr("channels"), [this] { return text(channelNames(fixture())); },
        writer(&BenchStage::fixture, [](Fixture& f, const QString& typed) {
            setChannelNames(f, typed.toStdString());
            return QString();
        }));
    fillLightRows();
    sheet->addWidget(new FixtureDrawing(session(), *left_, [this]() -> const Fixture& { return fixture(); }));
    channels_ = new ChannelRows(
        session(), [this]() -> const Fixture& { return fixture(); },
        [this](const Fixture& f) { return keep(f); });
    left_->addWide(channels_);
    left_->addFold(tr("More of the fixture"));
    addDescribedRows<Fixture>(
        session(), *left_, [this]() -> const Fixture& { return fixture(); },
        [this](const Fixture& f) { return keep(f); }, RowsOf::Seldom);
    fillAccessoryRows();
}

/// What is put on fixtures, one at a time: its name and its price.
void BenchStage::fillAccessoryRows() {
    left_->addFold(tr("Accessories"));
    auto* choice = left_->addChoice(
        tr("accessory"), {}, [this] { return indexOfId(session().bench().accessories, accessory_); },
        [this](int index) -> QString {
            session().settle();
            accessory_ = session().bench().accessories[static_cast<std::size_t>(index)].id;
            left_->refreshAnew();
            return {};
        });
    choice->setObjectName(QStringLiteral("accessoryChoice"));
    left_->onRefresh([this, choice] { fill(*choice, namesOf(session().bench().accessories)); });
    const auto row = [this](const QString& name, const char* object, FormColumn::Read read,
                            std::function<QString(Accessory&, const QString&)> change) {
        left_
            ->addText(name, std::move(read),
                      [this, change = std::move(change)](const QString& typed) -> QString {
                          if (session().bench().accessories.empty())
                              return typed.trimmed().isEmpty()
                                         ? QString()
                                         : tr("Make an accessory first (Ctrl+K, New accessory).");
                          Accessory changed = accessory();
                          const QString fault = change(changed, typed);
                          return fault.isEmpty() ? keep(changed) : fault;
                      })
            ->setObjectName(QLatin1String(object));
    };
    row(
        tr("its name"), "accessoryName", [this] { return text(accessory().name); },
        [](Accessory& a, const QString& typed) {
            if (typed.trimmed().isEmpty()) return tr("An accessory has a name.");
            a.name = typed.trimmed().toStdString();
            return QString();
        });
    row(
        tr("its price"), "accessoryPrice",
        [this] { return accessory().price > 0.0 ? QString::number(accessory().price) : QString(); },
        [](Accessory& a, const QString& typed) {
            const auto price =
                typed.trimmed().isEmpty() ? std::optional(0.0) : parseNumber(typed.toStdString());
            if (!price || *price < 0.0) return tr("A price is a number of 0 or more.");
            a.price = *price;
            return QString();
        });
}

}  // namespace glumet
