#include "desk/plan/check_row.h"

#include <QGridLayout>
#include <QHBoxLayout>
#include <QInputDialog>
#include <map>

#include "core/bench/descriptions.h"
#include "core/survey/checks.h"
#include "core/words/wording.h"
#include "desk/shared/theme.h"
#include "report/text.h"

namespace glumet {
namespace {

constexpr int kFieldWidth = 92;

QString hintOf(CheckKind kind) {
    switch (kind) {
        case CheckKind::Hanging:
            return QObject::tr(
                "What the anchors of all that hang are rated for together; five times the load.");
        case CheckKind::EyesAndHands:
            return QObject::tr("Eyewear, dry plugs and hands, residual-current protection: as it is now.");
        case CheckKind::Draw:
            return QObject::tr("All channels on, then each alone: what the power meter says.");
        case CheckKind::WarmUp:
            return QObject::tr("Probe still under the lamp; wait until the output no longer moves.");
        case CheckKind::Dark:
            return QObject::tr("Fixture off, room as it will be: what the meter still reads.");
        case CheckKind::Water:
            return QObject::tr("Pumps off for bench runs, or on throughout: what it is now.");
        case CheckKind::ProbeLevel:
            return QObject::tr("Bubble level on the probe: degrees off.");
        case CheckKind::Height:
            return QObject::tr("Tape from the emitters to the water, not to the rim.");
        case CheckKind::MeterMode:
            return QObject::tr("What the meter's display says, so that the factor is used once.");
        case CheckKind::MeterTruth:
            return QObject::tr("Clear noon sun, about 2000, or another meter side by side.");
    }
    return {};
}

/// Looked at, and chosen from what may be seen.
bool isLookedAt(CheckKind kind) {
    return kind == CheckKind::EyesAndHands || kind == CheckKind::Water || kind == CheckKind::MeterMode;
}

bool takesChoice(CheckKind kind) {
    return isLookedAt(kind) || kind == CheckKind::Hanging || kind == CheckKind::Draw ||
           kind == CheckKind::MeterTruth;
}

}  // namespace

CheckRow::CheckRow(Session& session, CheckKind kind)
    : session_(session),
      kind_(kind),
      mark_(makeLabel({}, TextRole::Figure)),
      name_(makeLabel({}, TextRole::Heading)),
      verdict_(makeLabel({}, TextRole::Muted)),
      record_(new QPushButton(tr("record"))),
      overrule_(new QPushButton(tr("overrule…"))) {
    const QString name = text(checkName(kind), session.unit());
    name_->setText(name.left(1).toUpper() + name.mid(1));
    verdict_->setWordWrap(true);
    mark_->setFixedWidth(26);
    auto* layout = new QGridLayout(this);
    layout->setContentsMargins(0, 5, 0, 5);
    layout->setHorizontalSpacing(8);
    layout->setVerticalSpacing(1);
    layout->addWidget(mark_, 0, 0, 2, 1, Qt::AlignTop);
    layout->addWidget(name_, 0, 1);
    auto* below = new QHBoxLayout;
    below->addWidget(verdict_, 1);
    below->addWidget(overrule_, 0, Qt::AlignTop);
    layout->addLayout(below, 1, 1, 1, 2);
    layout->setColumnStretch(1, 1);
    auto* fields = new QHBoxLayout;
    fields->setSpacing(8);
    fields->addStretch(1);
    layout->addLayout(fields, 0, 2);
    if (takesChoice(kind)) {
        choice_ = new QComboBox;
        choice_->setAccessibleName(name);
        choice_->setFixedWidth(kFieldWidth +
                               (kind == CheckKind::Hanging || kind == CheckKind::EyesAndHands ? 84 : 34));
        fields->addWidget(choice_);
    }
    if (!isLookedAt(kind)) {
        value_ = new QLineEdit;
        value_->setAccessibleName(name);
        value_->setObjectName(QStringLiteral("check-%1").arg(QLatin1String(wordOf(kind))));
        value_->setFixedWidth(kFieldWidth);
        connect(value_, &QLineEdit::returnPressed, this, &CheckRow::record);
        fields->addWidget(value_);
    }
    if (kind == CheckKind::MeterTruth) {
        expected_ = new QLineEdit(QString::number(kNoonSun));
        expected_->setAccessibleName(tr("should read"));
        expected_->setToolTip(tr("what it should read"));
        expected_->setFixedWidth(kFieldWidth - 30);
        fields->addWidget(expected_);
    }
    fields->addWidget(record_);
    overrule_->setProperty("quiet", true);
    connect(record_, &QPushButton::clicked, this, &CheckRow::record);
    connect(overrule_, &QPushButton::clicked, this, [this] {
        const QString reason =
            QInputDialog::getText(this, tr("Overrule this check"),
                                  tr("Why is it sound to go on? The reason is published with the review."));
        overrule(reason);
    });
}

void CheckRow::fillChoice() {
    if (choice_ == nullptr) return;
    const int before = choice_->currentIndex();
    choice_->clear();
    switch (kind_) {
        case CheckKind::Draw: {
            choice_->addItem(tr("all together"), QString());
            const auto* run = session_.run();
            const auto* fixture = run == nullptr ? nullptr : byId(session_.bench().fixtures, run->fixture);
            if (fixture != nullptr)
                for (const auto& channel : fixture->channels)
                    choice_->addItem(text(channel.name), text(channel.name));
            break;
        }
        case CheckKind::Hanging:
            choice_->addItems({tr("second tether on"), tr("no second tether"), tr("somebody below")});
            break;
        case CheckKind::EyesAndHands:
            choice_->addItems(
                {tr("all as it should be"), tr("no eyewear"), tr("something is wet"), tr("no protection")});
            break;
        case CheckKind::Water:
            choice_->addItems({tr("still"), tr("moving"), tr("none")});
            break;
        case CheckKind::MeterMode:
            choice_->addItems({tr("air mode"), tr("water mode")});
            break;
        case CheckKind::MeterTruth:
            choice_->addItems({tr("noon sun"), tr("twin meter")});
            break;
        default:
            break;
    }
    choice_->setCurrentIndex(qBound(0, before, choice_->count() - 1));
}

void CheckRow::refresh(const CommissionState& state) {
    fillChoice();
    latest_ = state.latest == nullptr ? std::nullopt : std::optional(*state.latest);
    overrule_->setVisible(latest_ && !latest_->passed && latest_->overruled.empty());
    setRole(mark_, latest_ && !latest_->passed ? TextRole::Problem : TextRole::Figure);
    mark_->setText(!latest_          ? QStringLiteral("○")
                   : latest_->passed ? QStringLiteral("✓")
                   : state.stops()   ? QStringLiteral("▲")
                                     : QStringLiteral("△"));
    mark_->setAccessibleName(!latest_ ? tr("not made") : latest_->passed ? tr("passed") : tr("failed"));
    if (!latest_) {
        verdict_->setText(hintOf(kind_));
        return;
    }
    QString line = text(latest_->verdict);
    if (!latest_->overruled.empty()) line += tr(" Overruled: %1").arg(text(latest_->overruled));
    const QString time = text(latest_->time).section(QLatin1Char('T'), 1).left(5);
    if (!time.isEmpty()) line.prepend(time + QStringLiteral("  "));
    verdict_->setText(line);
    if (value_ != nullptr && !value_->hasFocus()) value_->clear();
}

void CheckRow::offerLive(const QString& value) {
    live_ = value;
    if (value_ == nullptr) return;
    const bool light = kind_ == CheckKind::Dark || kind_ == CheckKind::MeterTruth;
    const QString unit = light                        ? tr("PPFD")
                         : kind_ == CheckKind::Height ? text(unitName(session_.unit()))
                                                      : text(checkUnit(kind_));
    value_->setPlaceholderText(value.isEmpty() ? unit : value + QLatin1Char(' ') + unit);
}

std::optional<double> CheckRow::typedNumber() const {
    const QString typed = value_->text().trimmed().isEmpty() ? live_ : value_->text();
    if (kind_ == CheckKind::Height) {
        const auto length = parseLength(typed.toStdString(), session_.unit());
        return length ? std::optional(length->value()) : std::nullopt;
    }
    return parseNumber(typed.toStdString());
}

const MeterProfile& CheckRow::meter() const {
    static const MeterProfile unknown;
    const auto* known = byId(session_.bench().meters, session_.run()->meter);
    return known == nullptr ? unknown : *known;
}

CheckVerdict CheckRow::judgeDrawNow(double value, const std::string& subject) const {
    const auto& run = *session_.run();
    const auto* fixture = byId(session_.bench().fixtures, run.fixture);
    std::optional<Watt> rated;
    if (fixture != nullptr && fixture->rated_power) rated = *fixture->rated_power * run.fixtures;
    auto verdict = judgeDraw(Watt(value), rated,
                             fixture == nullptr ? std::nullopt : expectedDraw(*fixture, run), subject);
    if (!subject.empty()) return verdict;
    // All together after each alone: the sum must agree.
    std::map<std::string, double> alone;
    for (const auto& check : session_.bench().checks)
        if (check.run == run.id && check.kind == CheckKind::Draw && !check.subject.empty())
            alone[check.subject] = check.value;
    if (static_cast<int>(alone.size()) < choice_->count() - 1 || alone.empty()) return verdict;
    std::vector<Watt> channels;
    for (const auto& [channel, watt] : alone) channels.emplace_back(watt);
    const auto sum = judgeChannelSum(channels, Watt(value));
    verdict.passed = verdict.passed && sum.passed;
    verdict.sentence += sum.sentence;
    return verdict;
}

CheckVerdict CheckRow::judgeSeen(double& value) const {
    const int seen = choice_->currentIndex();
    value = seen;
    if (kind_ == CheckKind::EyesAndHands) return judgeEyesAndHands(static_cast<EyesAndHandsState>(seen));
    return kind_ == CheckKind::Water ? judgeWater(static_cast<WaterState>(seen), *session_.run())
                                     : judgeMeterMode(seen == 1, meter(), session_.run()->water);
}

double CheckRow::fixtureMass() const {
    const auto* fixture = byId(session_.bench().fixtures, session_.run()->fixture);
    return fixture == nullptr ? 0.0 : fixture->mass_kg;
}

std::optional<CheckVerdict> CheckRow::judge(double& value, std::string& subject) {
    const auto& run = *session_.run();
    if (isLookedAt(kind_)) return judgeSeen(value);
    const auto number = typedNumber();
    if (!number) {
        session_.warn(value_->text().isEmpty() ? tr("%1: type a value first.").arg(name_->text())
                                               : tr("\"%1\" is not a number.").arg(value_->text()));
        return std::nullopt;
    }
    value = *number;
    switch (kind_) {
        case CheckKind::Draw:
            subject = choice_->currentData().toString().toStdString();
            return judgeDrawNow(value, subject);
        case CheckKind::Hanging:
            return judgeHanging(value, fixtureMass(), run.fixtures,
                                static_cast<Tether>(choice_->currentIndex()));
        case CheckKind::WarmUp:
            return value_->text().trimmed().isEmpty() && rate_ ? judgeWarmUp(*rate_)
                                                               : judgeWarmUpPercent(value);
        case CheckKind::Dark:
            return judgeDark(Ppfd(value), run);
        case CheckKind::ProbeLevel:
            return judgeTilt(value);
        case CheckKind::Height:
            return judgeHeight(Millimetre(value), run, session_.bench().method.height_error);
        default:
            break;
    }
    const auto expected = parseNumber(expected_->text().toStdString());
    if (!expected) {
        session_.warn(tr("\"%1\" is not a number.").arg(expected_->text()));
        return std::nullopt;
    }
    const bool sun = choice_->currentIndex() == 0;
    subject = sun ? "noon sun" : "twin meter";
    return judgeMeterTruth(Ppfd(value), Ppfd(*expected),
                           sun ? kNoonSunUncertainty : meter().relative_uncertainty, meter());
}

void CheckRow::record() {
    if (session_.project() == nullptr || session_.run() == nullptr) return;
    CommissionCheck check;
    check.run = session_.run()->id;
    check.kind = kind_;
    const auto verdict = judge(check.value, check.subject);
    if (!verdict) return;
    check.passed = verdict->passed;
    check.verdict = text(verdict->sentence, session_.unit()).toStdString();
    check.time = session_.now().toStdString();
    if (value_ != nullptr) value_->clear();
    if (!session_.edit([&](Project& project) { return project.save(check); }).isEmpty()) return;
    check.passed ? session_.say(text(check.verdict)) : session_.warn(text(check.verdict));
}

void CheckRow::overrule(const QString& reason) {
    if (!latest_ || session_.project() == nullptr) return;
    if (reason.trimmed().isEmpty())
        return session_.warn(tr("A failed check is overruled only with a reason."));
    auto check = *latest_;
    check.overruled = reason.trimmed().toStdString();
    if (session_.edit([&](Project& project) { return project.save(check); }).isEmpty())
        session_.say(tr("Overruled; the reason is published."));
}

}  // namespace glumet
