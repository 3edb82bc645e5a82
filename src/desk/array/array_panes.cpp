#include "desk/array/array_panes.h"

#include <qcustomplot.h>
#include <QHBoxLayout>
#include <QHeaderView>
#include <QPushButton>
#include <QVBoxLayout>
#include <cmath>

#include "core/bench/placement.h"
#include "core/words/finding.h"
#include "desk/shared/theme.h"
#include "report/chart_figure.h"
#include "report/text.h"

namespace glumet {
namespace {

constexpr int kPaneHeight = 162;
// Panes in their order.
constexpr int kFirstAnswer = 1;
constexpr int kBrightness = 3;
constexpr int kChannels = 5;
constexpr int kMeasured = 6;   // the last that takes an answer
constexpr double kCost = 5.0;  // percentage points whose cost is shown

void name(QCustomPlot& plot, const QString& words, double x, double y, const QColor& colour) {
    auto* label = new QCPItemText(&plot);
    label->setText(words);
    label->setFont(houseFont(12));
    label->setColor(colour);
    label->setPositionAlignment(Qt::AlignLeft | Qt::AlignBottom);
    label->position->setCoords(x, y);
    label->setPadding(QMargins(4, 0, 0, 4));
}

void upright(QCustomPlot& plot, double x, const QPen& pen) {
    auto* line = new QCPItemStraightLine(&plot);
    line->setPen(pen);
    line->point1->setCoords(x, 0);
    line->point2->setCoords(x, 1);
}

QString signedPercent(double share) {
    return (share < 0 ? QStringLiteral("−") : QStringLiteral("+")) + text(percentText(std::abs(share)));
}

/// How far apart the outermost of a run hung; empty where its placement does not say.
QString spreadOf(const Session& session, const Run& run) {
    const auto centres = run.placement.centres;
    return centres.size() < 2 ? QString() : session.length(centres.back() - centres.front());
}

/// What an overlay says, in a word or two.
QString verdictOf(const Session& session, const ArrayAgreement& a) {
    if (a.agrees) return ArrayPanes::tr("agrees");
    if (a.cause == Cause::None) return ArrayPanes::tr("another shape");
    const auto length = session.length(Millimetre(std::abs(a.cause_size))) + QStringLiteral(" ± ") +
                        session.length(Millimetre(0.5 * (a.cause_high - a.cause_low)));
    const bool more = a.cause_size > 0;
    if (a.cause == Cause::Height)
        return (more ? ArrayPanes::tr("%1 too high") : ArrayPanes::tr("%1 too low")).arg(length);
    if (a.cause == Cause::Along)
        return (more ? ArrayPanes::tr("%1 right") : ArrayPanes::tr("%1 left")).arg(length);
    if (a.cause == Cause::Across)
        return (more ? ArrayPanes::tr("%1 back") : ArrayPanes::tr("%1 to the front")).arg(length);
    if (a.cause == Cause::Level) return ArrayPanes::tr("level %1").arg(signedPercent(a.cause_size));
    return ArrayPanes::tr("fixture %1 %2").arg(a.cause_fixture).arg(signedPercent(a.cause_size));
}

QWidget* beside(QWidget* left, QLabel* words) {
    auto* holder = new QWidget;
    auto* row = new QHBoxLayout(holder);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(18);
    words->setWordWrap(true);
    words->setAlignment(Qt::AlignTop | Qt::AlignLeft);
    row->addWidget(left, 3);
    row->addWidget(words, 2);
    return holder;
}

}  // namespace

ArrayPanes::ArrayPanes(Session& session, QWidget* question, QWidget* kept)
    : session_(session),
      choices_(new QButtonGroup(this)),
      buttons_(new QHBoxLayout),
      stack_(new QStackedWidget),
      spacing_(makePlot(tr("Centre and edge against the spacing"))),
      brightness_(makePlot(tr("Share in the band against the level"))),
      brightness_words_(makeLabel({}, TextRole::Body)),
      steps_(new FigureTable(tr("Evidence of the spacing"))),
      counts_(new FigureTable(tr("Numbers of fixtures tried"))),
      channels_(new FigureTable(tr("Levels of the channels"))),
      channels_words_(makeLabel({}, TextRole::Body)),
      measured_(new FigureTable(tr("Measured arrays beside their prediction"))) {
    auto* layout = new QVBoxLayout(this);
    layout->setContentsMargins(0, 0, 0, 0);
    layout->setSpacing(4);
    buttons_->setSpacing(0);
    layout->addLayout(buttons_);
    layout->addWidget(stack_);
    stack_->setFixedHeight(kPaneHeight);
    addPane(tr("what is asked"), question, "paneQuestion");
    addPane(tr("spacing"), spacing_, "paneSpacing");
    addPane(tr("steps"), steps_, "paneSteps");
    addPane(tr("brightness"), beside(brightness_, brightness_words_), "paneBrightness");
    addPane(tr("how many"), counts_, "paneCounts");
    addPane(tr("channels"), beside(channels_, channels_words_), "paneChannels");
    addPane(tr("measured"), measured_, "paneMeasured");
    addPane(tr("kept"), kept, "paneKept");
    buttons_->addStretch(1);
    brightness_words_->setObjectName(QStringLiteral("brightnessWords"));
    channels_words_->setObjectName(QStringLiteral("channelsWords"));
    steps_->setObjectName(QStringLiteral("arraySteps"));
    counts_->setObjectName(QStringLiteral("arrayCounts"));
    measured_->setObjectName(QStringLiteral("arrayMeasured"));
    connect(choices_, &QButtonGroup::idClicked, this, [this](int pane) {
        stack_->setCurrentIndex(pane);
        if (pane == kBrightness) drawBrightness();
    });
    connect(counts_, &QTableWidget::cellActivated, this, [this](int row) {
        if (row >= 0 && row < static_cast<int>(count_rows_.size()))
            emit countChosen(count_rows_[static_cast<std::size_t>(row)]);
    });
    connect(measured_, &QTableWidget::cellActivated, this, [this](int row) {
        if (row < 0 || row >= static_cast<int>(measured_rows_.size())) return;
        Finding there;
        there.run = measured_rows_[static_cast<std::size_t>(row)].run;
        there.view = EvidenceView::Field;
        session_.show(there);
    });
    choices_->button(0)->setChecked(true);
}

QCustomPlot* ArrayPanes::makePlot(const QString& plot_name) {
    auto* plot = new QCustomPlot;
    plot->setAccessibleName(plot_name);
    return plot;
}

void ArrayPanes::addPane(const QString& pane_name, QWidget* pane, const char* object) {
    auto* button = new QPushButton(pane_name);
    button->setCheckable(true);
    button->setProperty("segment", true);
    button->setObjectName(QLatin1String(object));
    choices_->addButton(button, stack_->addWidget(pane));
    buttons_->addWidget(button);
}

void ArrayPanes::show(const Shown& shown) {
    const bool any = shown.verdicts != nullptr;
    for (int pane = kFirstAnswer; pane <= kMeasured; ++pane) choices_->button(pane)->setEnabled(any);
    // While it is judged anew the pane that is looked at stays.
    if (any) {
        choices_->button(kChannels)->setVisible(shown.verdicts->mix.has_value());
        choices_->button(kMeasured)->setVisible(!shown.verdicts->measured.empty());
        if (choices_->checkedButton()->isHidden()) choices_->button(0)->click();
    }
    if (!any) {
        for (auto* plot : {spacing_, brightness_}) {
            plot->clearGraphs();
            plot->clearItems();
            plot->replot();
        }
        for (auto* table : {steps_, counts_, channels_, measured_}) table->setRowCount(0);
        brightness_words_->clear();
        return;
    }
    showSpacing(shown);
    showSteps(shown);
    showBrightness(shown.at_full, shown.level_pct);
    showCounts(shown);
    showMix(shown);
    showMeasured(shown);
}

void ArrayPanes::showSpacing(const Shown& shown) {
    const auto& palette = session_.palette();
    const auto unit = session_.unit();
    dressPlot(*spacing_, palette);
    spacing_->clearGraphs();
    spacing_->clearItems();
    auto* centre = spacing_->addGraph();
    auto* edge = spacing_->addGraph();
    centre->setPen(QPen(palette.accent, 2.2));
    edge->setPen(QPen(palette.water, 2.2));
    const auto& answer = shown.verdicts->spacing;
    for (const auto& step : answer.steps) {
        const double x = inUnit(Millimetre(step.outward_mm), unit);
        centre->addData(x, step.centre);
        edge->addData(x, step.edge);
    }
    spacing_->rescaleAxes();
    if (answer.steps.size() < 2) spacing_->xAxis->setRange(-1, 1);
    spacing_->yAxis->setRange(0, spacing_->yAxis->range().upper * 1.18);
    const double left = spacing_->xAxis->range().lower;
    name(*spacing_, tr("centre"), left, answer.steps.front().centre, palette.accent);
    name(*spacing_, tr("outer ring"), left, answer.steps.front().edge, palette.water);
    if (const auto& verdict = answer.schools[shown.school]; verdict.speaks())
        upright(*spacing_, inUnit(Millimetre(answer.steps[verdict.step].outward_mm), unit),
                QPen(palette.accent, 1.6, Qt::DashLine));
    spacing_->xAxis->setLabel(tr("outermost moved outward of equal division, %1").arg(text(unitName(unit))));
    spacing_->replot(QCustomPlot::rpQueuedReplot);
}

void ArrayPanes::showSteps(const Shown& shown) {
    steps_->setHeads({tr("outward"), tr("apart"), tr("centre"), tr("outer ring"), tr("share"), tr("seam"),
                      tr("in band"), tr("level")});
    const auto& answer = shown.verdicts->spacing;
    std::vector<QStringList> rows;
    for (const auto& s : answer.steps)
        rows.push_back({session_.figure(Millimetre(s.outward_mm)),
                        session_.length(Millimetre(s.centres_mm.back() - s.centres_mm.front())),
                        text(ppfdFigure(Ppfd(s.centre))), text(ppfdFigure(Ppfd(s.edge))),
                        text(percentText(s.share)), text(percentText(std::expm1(s.seam))),
                        text(percentText(s.in_band)), text(percentText(s.level_pct / 100.0))});
    const auto& verdict = answer.schools[shown.school];
    steps_->setRows(rows, verdict.speaks() ? static_cast<int>(verdict.step) : -1, session_.palette());
}

/// Drawn only where it is seen: this follows every move of a drag.
void ArrayPanes::showBrightness(const LitPoints& at_full, double level_pct) {
    at_full_ = at_full;
    level_pct_ = level_pct;
    if (stack_->currentIndex() == kBrightness) drawBrightness();
}

void ArrayPanes::drawBrightness() {
    if (at_full_.values.empty()) return;
    const auto& palette = session_.palette();
    const auto& goal = session_.goal();
    const double level_pct = level_pct_;
    const auto shares = sharesByLevel(at_full_.values, goal.band);
    const auto verdict = goalLevel(at_full_, goal);
    const auto& best = verdict.best;
    dressPlot(*brightness_, palette);
    brightness_->clearGraphs();
    brightness_->clearItems();
    auto* plateau = new QCPItemRect(brightness_);
    plateau->topLeft->setTypeY(QCPItemPosition::ptAxisRectRatio);
    plateau->bottomRight->setTypeY(QCPItemPosition::ptAxisRectRatio);
    plateau->topLeft->setCoords(best.plateau_low_pct, 0);
    plateau->bottomRight->setCoords(best.plateau_high_pct, 1);
    QColor fill = palette.accent;
    fill.setAlpha(38);
    plateau->setBrush(fill);
    plateau->setPen(Qt::NoPen);
    auto* line = brightness_->addGraph();
    line->setPen(QPen(palette.water, 2.2));
    for (std::size_t level = 1; level < shares.size(); ++level)
        line->addData(static_cast<double>(level), 100.0 * shares[level]);
    brightness_->xAxis->setRange(0, 100);
    brightness_->yAxis->setRange(0, 104);
    upright(*brightness_, level_pct, QPen(palette.accent, 1.8));
    for (const double by : {-kCost, kCost})
        upright(*brightness_, level_pct + by, QPen(palette.muted, 1.0, Qt::DotLine));
    brightness_->xAxis->setLabel(tr("level of all, %: share in the band, %"));
    brightness_->replot(QCustomPlot::rpQueuedReplot);

    const auto at = [&](double level) {
        return shares[static_cast<std::size_t>(std::lround(std::clamp(level, 0.0, 100.0)))];
    };
    QString words =
        tr("At %1 %2 of what is judged lies in %3–%4. 5 % less: %5. 5 % more: %6.\n"
           "Best at %7: %8; %9 do about as well.")
            .arg(text(percentText(level_pct / 100.0)), text(percentText(at(level_pct))),
                 text(ppfdFigure(goal.band.low)), text(ppfdFigure(goal.band.high)),
                 text(percentText(at(level_pct - kCost))), text(percentText(at(level_pct + kCost))),
                 text(percentText(best.level_pct / 100.0)), text(percentText(best.share)),
                 tr("%1–%2 %").arg(best.plateau_low_pct).arg(best.plateau_high_pct));
    if (!verdict.keeps()) words += u'\n' + tr("No level keeps ceiling and floor.");
    brightness_words_->setText(words);
}

void ArrayPanes::next() {
    const int count = stack_->count();
    for (int step = 1; step < count; ++step) {
        auto* button = choices_->button((stack_->currentIndex() + step) % count);
        if (button->isHidden() || !button->isEnabled()) continue;
        return button->click();
    }
}

QString ArrayPanes::wayOf(const CountRow& row) const {
    const bool lengthwise = row.along == RowAlong::Length;
    if (row.turned) return lengthwise ? tr("long, turned") : tr("cross, turned");
    return lengthwise ? tr("lengthwise") : tr("crosswise");
}

void ArrayPanes::showCounts(const Shown& shown) {
    count_rows_ = shown.verdicts->counts;
    counts_->setHeads({tr("fixtures"), tr("row"), tr("in band"), tr("level"), tr("limits"),
                       tr("reaches %1").arg(text(percentText(shown.goal_share)))});
    std::vector<QStringList> rows;
    int enough = -1;
    for (const auto& row : count_rows_) {
        const bool reaches = row.keeps && row.share >= shown.goal_share;
        if (reaches && enough < 0) enough = static_cast<int>(rows.size());
        rows.push_back({QString::number(row.count), wayOf(row), text(percentText(row.share)),
                        text(percentText(row.level_pct / 100.0)), row.keeps ? tr("kept") : tr("broken"),
                        reaches ? tr("yes") : tr("no")});
    }
    counts_->setRows(rows, enough, session_.palette());
}

void ArrayPanes::showMix(const Shown& shown) {
    if (!shown.verdicts->mix) return;
    const auto& mix = *shown.verdicts->mix;
    channels_words_->setText(text(mix.reason, session_.unit()));
    channels_->setHeads({tr("channel"), tr("level"), tr("about as well")});
    std::vector<QStringList> rows;
    for (std::size_t i = 0; i < mix.level_pct.size(); ++i)
        rows.push_back({text(mix.names[i]), text(percentText(mix.level_pct[i] / 100.0)),
                        tr("%1–%2 %").arg(mix.low_pct[i]).arg(mix.high_pct[i])});
    channels_->setRows(rows, -1, session_.palette());
}

void ArrayPanes::showMeasured(const Shown& shown) {
    measured_rows_ = shown.verdicts->measured;
    measured_->setHeads(
        {tr("run"), tr("height"), tr("apart"), tr("mean off"), tr("within 2 errors"), tr("verdict")});
    std::vector<QStringList> rows;
    for (const auto& m : measured_rows_) {
        const auto& run = session_.bench().run(m.run);
        const auto centres = spreadOf(session_, run);
        if (!m.agreement) {
            rows.push_back(
                {text(run.label), session_.length(run.height), centres, {}, {}, text(m.agreement.error())});
            continue;
        }
        const auto& a = *m.agreement;
        rows.push_back({text(run.label), session_.length(run.height), centres,
                        tr("%1 ± %2").arg(signedPercent(a.mean_ratio - 1.0),
                                          text(percentText(0.5 * (a.mean_ratio_high - a.mean_ratio_low)))),
                        text(percentText(a.within)), verdictOf(session_, a)});
    }
    measured_->setRows(rows, -1, session_.palette());
    // The run's name takes what the figures leave.
    for (int column = 1; column < measured_->columnCount(); ++column)
        measured_->horizontalHeader()->setSectionResizeMode(column, QHeaderView::ResizeToContents);
}

}  // namespace glumet
