#include "desk/array/array_form.h"

#include <QRegularExpression>
#include <algorithm>

#include "core/bench/sweep.h"
#include "core/verdicts/goals.h"
#include "report/text.h"

namespace glumet {
namespace {

std::optional<double> percentOf(const QString& typed, double least, double most) {
    const auto percent = parseNumber(QString(typed).remove(QLatin1Char('%')).toStdString());
    return percent && *percent >= least && *percent <= most ? percent : std::nullopt;
}

/// Two lengths with a dash or a cross between them.
std::optional<std::pair<Millimetre, Millimetre>> lengthPair(const QString& typed, LengthUnit unit) {
    static const QRegularExpression between(QStringLiteral("[–x×:]|(?<=\\S)\\s*-\\s*"));
    const auto ends = typed.split(between, Qt::SkipEmptyParts);
    if (ends.size() != 2) return std::nullopt;
    // A unit after the second holds for both.
    const auto second = parseLength(ends[1].trimmed().toStdString(), unit);
    const auto first = parseLength(ends[0].trimmed().toStdString(), unit);
    if (!first || !second) return std::nullopt;
    return std::pair{*first, *second};
}

/// "blue 60–150; deep red 0–40" as bands; nothing where a part is none.
std::optional<std::vector<ChannelBand>> channelBands(const QString& typed) {
    static const QRegularExpression part(
        QStringLiteral("^\\s*(.*\\S)\\s+([0-9.,]+)\\s*[–-]\\s*([0-9.,]+)\\s*$"));
    std::vector<ChannelBand> bands;
    for (const auto& words : typed.split(QLatin1Char(';'), Qt::SkipEmptyParts)) {
        if (words.trimmed().isEmpty()) continue;
        const auto found = part.match(words);
        const auto low = parseNumber(found.captured(2).toStdString());
        const auto high = parseNumber(found.captured(3).toStdString());
        if (!found.hasMatch() || !low || !high || *low < 0.0 || *high < *low) return std::nullopt;
        bands.push_back({found.captured(1).toStdString(), {Ppfd(*low), Ppfd(*high)}});
    }
    return bands;
}

QString bandsText(const std::vector<ChannelBand>& bands) {
    QStringList parts;
    for (const auto& band : bands)
        parts << QStringLiteral("%1 %2–%3")
                     .arg(text(band.channel), text(ppfdFigure(band.band.low)),
                          text(ppfdFigure(band.band.high)));
    return parts.join(QStringLiteral("; "));
}

}  // namespace

ArrayForm::ArrayForm(Session& session, ArrayChoices& choices)
    : session_(session),
      choices_(choices),
      row_(new FormColumn(session)),
      limits_(new FormColumn(session)),
      goals_(new FormColumn(session)) {
    auto* layout = new QHBoxLayout(this);
    layout->setContentsMargins(0, 0, 0, 0);
    layout->setSpacing(16);
    addRow();
    addLimits();
    addBeside();
    addGoals();
    for (auto* column : {row_, limits_, goals_}) {
        column->addStretch();
        column->letShrink();
        layout->addWidget(column, 1);
    }
    row_->onRefresh([this] { offerTanks(); });
    limits_->onRefresh([this] { offerBeside(); });
    goals_->onRefresh([this] { offerGoals(); });
}

template <class Change>
FormColumn::Write ArrayForm::changing(Change change) {
    return [this, change](const QString& typed) -> QString {
        const auto before = choices_;
        const QString fault = change(choices_, typed);
        if (!fault.isEmpty()) {
            choices_ = before;
            return fault;
        }
        emit edited();
        return {};
    };
}

template <class Change>
FormColumn::WriteIndex ArrayForm::choosing(Change change) {
    return [this, change](int index) -> QString {
        change(choices_, index);
        emit edited();
        return {};
    };
}

void ArrayForm::addRow() {
    tanks_ = row_->addChoice(
        tr("tank"), {}, [this] { return qMax(0, tanks_->findData(static_cast<qlonglong>(choices_.tank))); },
        choosing([this](ArrayChoices& c, int index) { c.tank = tanks_->itemData(index).toLongLong(); }));
    tanks_->setObjectName(QStringLiteral("arrayTank"));
    row_->addText(
            tr("fixtures"), [this] { return QString::number(choices_.count); },
            changing([](ArrayChoices& c, const QString& typed) -> QString {
                bool whole = false;
                const int count = typed.toInt(&whole);
                if (!whole || count < 1 || count > 12) return tr("1 to 12 fixtures may hang.");
                c.count = count;
                return {};
            }))
        ->setObjectName(QStringLiteral("arrayCount"));
    row_->addChoice(
            tr("row"), {tr("lengthwise"), tr("lengthwise, turned"), tr("crosswise"), tr("crosswise, turned")},
            [this] { return choices_.way; }, choosing([](ArrayChoices& c, int index) { c.way = index; }))
        ->setObjectName(QStringLiteral("arrayWay"));
    row_->addChoice(
            tr("inner ones"), {tr("stay"), tr("spread evenly")},
            [this] { return choices_.spread_inner ? 1 : 0; },
            choosing([](ArrayChoices& c, int index) { c.spread_inner = index == 1; }))
        ->setObjectName(QStringLiteral("arrayInner"));
    row_->addChoice(
            tr("moves"), {tr("both alike"), tr("each alone")},
            [this] { return choices_.each_by_itself ? 1 : 0; },
            choosing([](ArrayChoices& c, int index) { c.each_by_itself = index == 1; }))
        ->setObjectName(QStringLiteral("arrayMoves"));
    row_->addText(
            tr("height"), [this] { return choices_.height ? session_.length(*choices_.height) : QString(); },
            changing([this](ArrayChoices& c, const QString& typed) -> QString {
                const auto height = parseLength(typed.toStdString(), session_.unit());
                if (!height || height->value() < 10.0) return tr("The height must be a length above 1 cm.");
                if (c.limits.wrongHeight(*height)) return tr("That is outside the heights allowed.");
                c.height = *height;
                return {};
            }))
        ->setObjectName(QStringLiteral("arrayHeight"));
}

void ArrayForm::addLimits() {
    limits_
        ->addText(
            tr("heights"),
            [this] {
                const auto& l = choices_.limits;
                return l.lowest && l.highest ? text(lengthRange(*l.lowest, *l.highest, session_.unit()))
                                             : QString();
            },
            changing([this](ArrayChoices& c, const QString& typed) -> QString {
                if (typed.trimmed().isEmpty()) {
                    c.limits.lowest = c.limits.highest = std::nullopt;
                    return {};
                }
                const auto range = lengthPair(typed, session_.unit());
                if (!range || range->first.value() < 10.0 || range->second < range->first)
                    return tr("Give the heights as low–high, such as 12–40 cm.");
                c.limits.lowest = range->first;
                c.limits.highest = range->second;
                if (c.height) c.height = std::clamp(*c.height, range->first, range->second);
                return {};
            }),
            tr("any"))
        ->setObjectName(QStringLiteral("arrayHeights"));
    limits_
        ->addText(
            tr("canopy"),
            [this] {
                const auto& l = choices_.limits;
                return l.canopy_length_mm > 0.0
                           ? tr("%1 × %2").arg(session_.figure(Millimetre(l.canopy_length_mm)),
                                               session_.length(Millimetre(l.canopy_width_mm)))
                           : QString();
            },
            changing([this](ArrayChoices& c, const QString& typed) -> QString {
                c.limits.canopy_length_mm = c.limits.canopy_width_mm = 0.0;
                if (typed.trimmed().isEmpty()) return {};
                const auto size = lengthPair(typed, session_.unit());
                if (!size || size->first.value() <= 0.0 || size->second.value() <= 0.0)
                    return tr("Give the canopy as length × width, such as 110 × 50 cm.");
                c.limits.canopy_length_mm = size->first.value();
                c.limits.canopy_width_mm = size->second.value();
                return {};
            }),
            tr("none"))
        ->setObjectName(QStringLiteral("arrayCanopy"));
    limits_
        ->addChoice(
            tr("braces"), {tr("hang over"), tr("keep clear")},
            [this] { return choices_.limits.clear_of_braces ? 1 : 0; },
            choosing([](ArrayChoices& c, int index) { c.limits.clear_of_braces = index == 1; }))
        ->setObjectName(QStringLiteral("arrayBraces"));
}

/// What single channels are to give, where a mix is asked for.
void ArrayForm::addChannelBands() {
    const auto bands = changing([this](ArrayChoices& c, const QString& typed) -> QString {
        auto wanted = channelBands(typed);
        if (!wanted) return tr("Give channels and their PPFD, such as blue 60–150; deep red 0–40.");
        const auto* fixture = session_.sweep() == nullptr
                                  ? nullptr
                                  : byId(session_.bench().fixtures, session_.sweep()->configuration.fixture);
        for (const auto& band : *wanted)
            if (fixture == nullptr ||
                std::none_of(fixture->channels.begin(), fixture->channels.end(),
                             [&](const Channel& channel) { return sameName(channel.name, band.channel); }))
                return tr("The fixture has no channel \"%1\".").arg(text(band.channel));
        c.channel_bands = std::move(*wanted);
        return {};
    });
    goals_
        ->addText(
            tr("channels"), [this] { return bandsText(choices_.channel_bands); }, bands, tr("blue 60–150; …"))
        ->setObjectName(QStringLiteral("arrayChannelBands"));
}

void ArrayForm::addGoals() {
    goals_
        ->addText(
            tr("edge share"), [this] { return text(percentText(choices_.share)); },
            changing([](ArrayChoices& c, const QString& typed) -> QString {
                const auto percent = percentOf(typed, 10.0, 120.0);
                if (!percent) return tr("70, 75 or 80 % are usual.");
                c.share = *percent / 100.0;
                return {};
            }))
        ->setObjectName(QStringLiteral("arrayShare"));
    goals_
        ->addText(
            tr("enough is"), [this] { return text(percentText(choices_.goal_share)); },
            changing([](ArrayChoices& c, const QString& typed) -> QString {
                const auto percent = percentOf(typed, 1.0, 100.0);
                if (!percent) return tr("A share is 1 to 100 %.");
                c.goal_share = *percent / 100.0;
                return {};
            }))
        ->setObjectName(QStringLiteral("arrayGoalShare"));
    goals_
        ->addChoice(
            tr("judged on"), {tr("three depths"), tr("all the volume")},
            [this] { return choices_.over == Over::Volume ? 1 : 0; },
            choosing([](ArrayChoices& c, int index) { c.over = index == 1 ? Over::Volume : Over::Points; }))
        ->setObjectName(QStringLiteral("arrayOver"));
    addChannelBands();
    seconds_ = goals_->addChoice(
        tr("second goal"), {},
        [this] {
            const auto at = std::find_if(second_goals_.begin(), second_goals_.end(), [&](const Goal& goal) {
                return choices_.second && goal == *choices_.second;
            });
            return at == second_goals_.end() ? 0 : static_cast<int>(at - second_goals_.begin()) + 1;
        },
        choosing([this](ArrayChoices& c, int index) {
            c.second =
                index == 0 ? std::nullopt : std::optional(second_goals_[static_cast<std::size_t>(index) - 1]);
        }));
    seconds_->setObjectName(QStringLiteral("arraySecond"));
    goals_
        ->addText(
            tr("level"), [this] { return text(percentText(choices_.level_pct / 100.0)); },
            [this](const QString& typed) -> QString {
                const auto percent = percentOf(typed, 1.0, 100.0);
                if (!percent) return tr("A level is 1 to 100 %.");
                choices_.level_pct = *percent;
                emit levelEdited();
                return {};
            })
        ->setObjectName(QStringLiteral("arrayLevel"));
}

void ArrayForm::addBeside() {
    beside_ = limits_->addChoice(
        tr("beside"), {},
        [this] {
            for (std::size_t i = 0; i < offered_.size(); ++i)
                if (choices_.beside == offered_[i]) return static_cast<int>(i) + 1;
            return 0;
        },
        choosing([this](ArrayChoices& c, int index) {
            c.beside =
                index == 0 ? std::nullopt : std::optional(offered_[static_cast<std::size_t>(index) - 1]);
        }));
    beside_->setObjectName(QStringLiteral("arrayBeside"));
    limits_
        ->addChoice(
            tr("at the"), {tr("front"), tr("back"), tr("left"), tr("right")},
            [this] { return choices_.side; }, choosing([](ArrayChoices& c, int index) { c.side = index; }))
        ->setObjectName(QStringLiteral("arraySide"));
    limits_
        ->addText(
            tr("its level"), [this] { return text(percentText(choices_.beside_level)); },
            changing([](ArrayChoices& c, const QString& typed) -> QString {
                const auto percent = percentOf(typed, 10.0, 200.0);
                if (!percent) return tr("Its level against the row's is 10 to 200 %.");
                c.beside_level = *percent / 100.0;
                return {};
            }))
        ->setObjectName(QStringLiteral("arrayBesideLevel"));
}

void ArrayForm::offerTanks() {
    tanks_->clear();
    for (const auto& t : session_.bench().tanks) tanks_->addItem(text(t.name), static_cast<qlonglong>(t.id));
}

/// Ready ones and the reviewer's own.
void ArrayForm::offerGoals() {
    second_goals_ = readyGoals();
    const auto& own = session_.bench().method.goals;
    second_goals_.insert(second_goals_.end(), own.begin(), own.end());
    seconds_->clear();
    seconds_->addItem(tr("none"));
    for (const auto& goal : second_goals_) seconds_->addItem(text(goal.name));
}

void ArrayForm::offerBeside() {
    beside_->clear();
    offered_.clear();
    beside_->addItem(tr("nothing"));
    for (const auto& sweep : session_.sweeps()) {
        if (sweep.configuration.fixtures != 1 || sweep.runs.size() < 2) continue;
        offered_.push_back(sweep.configuration);
        beside_->addItem(text(configurationName(session_.bench(), sweep.configuration)));
    }
}

void ArrayForm::refresh() {
    for (auto* column : {row_, limits_, goals_}) column->refresh();
}

}  // namespace glumet
