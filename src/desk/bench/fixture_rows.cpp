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
}

}  // namespace glumet
