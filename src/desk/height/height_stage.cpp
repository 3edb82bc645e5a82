#include "desk/height/height_stage.h"

#include <qcustomplot.h>
#include <QHBoxLayout>
#include <QPushButton>
#include <QVBoxLayout>

#include "core/base/monotone_cubic.h"
#include "core/bench/plane_grid.h"
#include "core/survey/findings.h"
#include "core/verdicts/height_findings.h"
#include "core/verdicts/school_findings.h"
#include "core/verdicts/spill_limit.h"
#include "core/words/finding.h"
#include "desk/shared/theme.h"
#include "report/chart_figure.h"
#include "report/text.h"

namespace glumet {
namespace {

constexpr std::array kLimits{10, 15, 20};
constexpr int kEvidenceRowHeight = 22;
constexpr int kLeastPlot = 120;

}  // namespace

HeightStage::HeightStage(Session& session)
    : Stage(session),
      title_(makeLabel(tr("How high to hang it"), TextRole::Title)),
      subtitle_(makeLabel({}, TextRole::Muted)),
      answer_(new QLabel),
      interval_(makeLabel({}, TextRole::Muted)),
      reason_(makeLabel({}, TextRole::Body)),
      limits_(new QButtonGroup(this)),
      loss_(new QCustomPlot),
      spread_(new QCustomPlot),
      table_(new FigureTable(tr("Evidence of the spill limit"))) {
    auto* layout = new QVBoxLayout(this);
    layout->setContentsMargins(24, 14, 20, 12);
    layout->setSpacing(8);
    auto* head = new QHBoxLayout;
    head->setSpacing(14);
    head->addWidget(title_);
    head->addWidget(subtitle_, 1);
    layout->addLayout(head);
    layout->addWidget(makeSchools());
    layout->addWidget(makeAnswer());
    layout->addWidget(makePlots(), 1);
    nothing_ = makeLabel({}, TextRole::Muted);
    nothing_->setObjectName(QStringLiteral("heightNothing"));
    nothing_->setWordWrap(true);
    nothing_->setAlignment(Qt::AlignCenter);
    layout->addWidget(nothing_, 1);
    table_->setObjectName(QStringLiteral("heightEvidence"));
    layout->addWidget(table_);
    dissent_ = new QLineEdit;
    dissent_->setObjectName(QStringLiteral("dissent"));
    dissent_->setAccessibleName(tr("Dissent"));
    dissent_->setPlaceholderText(tr("Your dissent in words, published beside the schools"));
    layout->addWidget(dissent_);
    connect(dissent_, &QLineEdit::editingFinished, this, [this] {
        const auto words = dissent_->text().trimmed().toStdString();
        if (this->session().bench().method.dissent == words) return;
        this->session().changeMethod([&](Method& method) { method.dissent = words; });
    });
    connect(&session, &Session::fitProgressed, this, [this] { by_fit_->setText(fittedWords(headline())); });
    connect(table_, &QTableWidget::currentCellChanged, this, [this](int row) {
        const auto* verdict = this->session().verdict();
        if (verdict == nullptr || row < 0 || row >= static_cast<int>(verdict->evidence.size())) return;
        this->session().chooseHeight(verdict->evidence[static_cast<std::size_t>(row)].height);
    });
}

QWidget* HeightStage::makeAnswer() {
    auto* card = new QWidget;
    auto* layout = new QHBoxLayout(card);
    layout->setContentsMargins(0, 0, 0, 0);
    layout->setSpacing(20);
    answer_->setObjectName(QStringLiteral("heightAnswer"));
    answer_->setAccessibleName(tr("Recommended height"));
    auto* left = new QVBoxLayout;
    left->setSpacing(0);
    left->addWidget(answer_);
    left->addWidget(interval_);
    by_fit_ = makeLabel({}, TextRole::Muted);
    by_fit_->setObjectName(QStringLiteral("heightByFit"));
    left->addWidget(by_fit_);
    layout->addLayout(left);
    auto* right = new QVBoxLayout;
    right->setSpacing(6);
    limit_row_ = new QWidget;
    auto* row = new QHBoxLayout(limit_row_);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(0);
    row->addWidget(makeLabel(tr("Loss allowed"), TextRole::Heading));
    row->addSpacing(12);
    for (const int limit : kLimits) {
        auto* button = new QPushButton(tr("%1 %").arg(limit));
        button->setCheckable(true);
        button->setProperty("segment", true);
        button->setObjectName(QStringLiteral("limit_%1").arg(limit));
        button->setAccessibleName(tr("At most %1 percent lost").arg(limit));
        limits_->addButton(button, limit);
        row->addWidget(button);
    }
    row->addStretch(1);
    connect(limits_, &QButtonGroup::idClicked, this, &HeightStage::setLimit);
    right->addWidget(limit_row_);
    reason_->setObjectName(QStringLiteral("heightReason"));
    reason_->setWordWrap(true);
    reason_->setAlignment(Qt::AlignTop | Qt::AlignLeft);
    right->addWidget(reason_, 1);
    layout->addLayout(right, 1);
    return card;
}

QWidget* HeightStage::makePlots() {
    plots_ = new QWidget;
    auto* holder = plots_;
    auto* layout = new QGridLayout(holder);
    layout->setContentsMargins(0, 0, 0, 0);
    layout->setHorizontalSpacing(18);
    layout->setVerticalSpacing(2);
    first_title_ = makeLabel({}, TextRole::Muted);
    layout->addWidget(first_title_, 0, 0);
    layout->addWidget(loss_, 1, 0);
    layout->addWidget(makeLabel(tr("Centre, mean and outer ring, µmol·m⁻²·s⁻¹"), TextRole::Muted), 0, 1);
    layout->addWidget(spread_, 1, 1);
    layout->setRowStretch(1, 1);
    for (auto* plot : {loss_, spread_}) plot->setMinimumHeight(kLeastPlot);
    loss_->setAccessibleName(tr("Loss against height"));
    spread_->setAccessibleName(tr("Centre and outer ring against height"));
    return holder;
}

QWidget* HeightStage::makeSchools() {
    auto* holder = new QWidget;
    auto* row = new QHBoxLayout(holder);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(0);
    for (std::size_t i = 0; i < schools_.size(); ++i) {
        auto* button = new QPushButton;
        button->setCheckable(true);
        button->setProperty("segment", true);
        button->setObjectName(QStringLiteral("school_%1").arg(QLatin1String(wordOf(kHeightSchools[i]))));
        connect(button, &QPushButton::clicked, this, [this, i] { chooseSchool(kHeightSchools[i]); });
        schools_[i] = button;
        row->addWidget(button);
    }
    row->addStretch(1);
    return holder;
}

void HeightStage::chooseSchool(HeightSchool school) {
    session().changeMethod([&](Method& method) { method.school = school; });
}

const SchoolVerdict& HeightStage::headline() const {
    static const SchoolVerdict none;
    const auto* headline = session().headline();
    return headline == nullptr ? none : *headline;
}

/// Each school with its height, side by side.
void HeightStage::refreshSchools() {
    const std::array names{tr("spill limit"), tr("flattest"), tr("band fill"), tr("peak cap"),
                           tr("maker's range")};
    for (std::size_t i = 0; i < schools_.size(); ++i) {
        const auto& all = session().schools();
        auto height = i < all.size() ? all[i].height : std::nullopt;
        if (const auto* by_fit = fitted(kHeightSchools[i]); by_fit != nullptr && byOthers())
            height = by_fit->height;
        schools_[i]->setText(names[i] + QStringLiteral("\n") +
                             (height ? session().length(*height) : QStringLiteral("–")));
        schools_[i]->setToolTip(i < all.size() ? text(all[i].reason, session().unit()) : QString());
        schools_[i]->setChecked(i < all.size() && &all[i] == session().headline());
    }
    if (!dissent_->hasFocus()) dissent_->setText(text(session().bench().method.dissent));
}

/// What a school other than the spill limit weighs, against height.
void HeightStage::refreshFigure(const SchoolVerdict& school) {
    loss_->clearGraphs();
    loss_->clearItems();
    markAnswer(*loss_);
    const bool percent = school.school == HeightSchool::BandFill || school.school == HeightSchool::Flattest;
    std::vector<std::pair<double, double>> points;
    for (const auto& row : school.evidence)
        points.emplace_back(inUnit(row.height, session().unit()), row.figure * (percent ? 100.0 : 1.0));
    addLine(*loss_, points, {}, colours().water);
    loss_->rescaleAxes();
    loss_->xAxis->scaleRange(1.06);
    loss_->yAxis->setRange(0, loss_->yAxis->range().upper * 1.12);
    loss_->replot(QCustomPlot::rpQueuedReplot);
}

void HeightStage::setLimit(int percent) {
    session().changeMethod([&](Method& method) { method.spill_limit = percent / 100.0; });
}

void HeightStage::refresh() {
    session().wantFit();
    const auto& c = colours();
    answer_->setStyleSheet(
        QStringLiteral("font-size: 52px; font-weight: bold; color: %1;").arg(c.accent.name()));
    dressPlot(*loss_, c);
    dressPlot(*spread_, c);
    const SpillLimitVerdict none;
    const auto* verdict = session().verdict();
    const auto& v = verdict == nullptr ? none : *verdict;
    subtitle_->setText(v.depth_used ? tr("judged %1 under water").arg(session().length(*v.depth_used))
                                    : QString());
    const auto& head = headline();
    const bool by_spill = head.school == HeightSchool::SpillLimit;
    answer_->setText(head.height ? session().length(*head.height) : QStringLiteral("–"));
    QString interval;
    if (head.crossing)
        interval = (by_spill ? tr("met at %1") : tr("best at %1")).arg(session().length(*head.crossing));
    if (head.low && head.high)
        interval += (interval.isEmpty() ? QString() : QStringLiteral(", ")) +
                    (by_spill ? tr("sure to %1") : tr("%1"))
                        .arg(text(lengthRange(*head.low, *head.high, session().unit())));
    interval_->setText(interval);
    by_fit_->setText(fittedWords(head));
    reason_->setText(verdict == nullptr ? tr("Measure one plane at two heights or more.")
                                        : text(head.reason, session().unit()));
    if (byOthers()) answerByFit(head);
    limit_row_->setVisible(by_spill);
    // Axes without a level would only show figures that mean nothing.
    const bool levels = !v.evidence.empty();
    plots_->setVisible(levels);
    table_->setVisible(levels);
    nothing_->setVisible(!levels);
    nothing_->setText(
        byOthers()
            ? tr("Means of rings have no points to compare from height to height.\nField and Array show "
                 "what their fit says.")
            : tr("Two heights or more of one plane show here how the light falls and spreads with the "
                 "mounting height.\nPlan lays them out, Measure takes them."));
    first_title_->setText(by_spill                                ? tr("Loss of the grid mean, %")
                          : head.school == HeightSchool::Flattest ? tr("Centre and edge apart, %")
                          : head.school == HeightSchool::BandFill
                              ? tr("Points in the band at the best level, %")
                          : head.school == HeightSchool::PeakCap ? tr("Peak, µmol·m⁻²·s⁻¹")
                                                                 : tr("Within the maker's range: 1 holds"));
    refreshSchools();
    if (auto* button = limits_->button(qRound(session().bench().method.spill_limit * 100)))
        button->setChecked(true);
    by_spill ? refreshLoss(v) : refreshFigure(head);
    refreshSpread(v);
    refreshTable(v);
}

/// What the fitted field says of the same school, between the heights that were read too.
QString HeightStage::fittedWords(const SchoolVerdict& head) const {
    const auto* heights = session().fittedHeights();
    if (heights == nullptr)
        return session().fitting() ? tr("fitting … %1").arg(session().progress()) : QString();
    if (const auto* height = fitted(head.school))
        return tr("by the fit %1").arg(text(fittedHeightWords(*height), session().unit()));
    return tr("by the fit: silent");
}

const FittedHeight* HeightStage::fitted(HeightSchool school) const {
    const auto* heights = session().fittedHeights();
    if (heights == nullptr) return nullptr;
    for (const auto& height : *heights)
        if (height.school == school && height.speaks()) return &height;
    return nullptr;
}

bool HeightStage::byOthers() const {
    return session().sweep() != nullptr && onlyMeans(session().bench(), session().sweep()->runs);
}

void HeightStage::answerByFit(const SchoolVerdict& head) {
    const auto* height = fitted(head.school);
    const QString reader = text(session().sweep()->configuration.read_by);
    const auto* fit = session().fit();
    if (height == nullptr) {
        reason_->setText(
            fit != nullptr && !*fit ? text(fit->error().what, session().unit())
            : session().fitting()
                ? tr("Means that %1 read are being fitted; they answer by the fit alone.").arg(reader)
                : tr("The fit of the means that %1 read gives this school no answer.").arg(reader));
        return;
    }
    answer_->setText(session().length(*height->height));
    interval_->setText(height->low && height->high
                           ? text(lengthRange(*height->low, *height->high, session().unit()))
                           : QString());
    by_fit_->setText(tr("modelled, not measured"));
    reason_->setText(tr("Rests on %1 means of rings that %2 read: their meter and their heights are taken as "
                        "stated. No reading of your own stands behind it.")
                         .arg(fit != nullptr && *fit ? (*fit)->means : 0)
                         .arg(reader));
}

void HeightStage::addLine(QCustomPlot& plot, const std::vector<std::pair<double, double>>& points,
                          const QString& name, const QColor& colour, bool below) const {
    if (points.empty()) return;
    std::vector<double> xs;
    std::vector<double> ys;
    for (const auto& [x, y] : points) {
        xs.push_back(x);
        ys.push_back(y);
    }
    auto* dots = plot.addGraph();
    dots->setLineStyle(QCPGraph::lsNone);
    dots->setScatterStyle(QCPScatterStyle(QCPScatterStyle::ssDisc, colour, 7));
    for (std::size_t i = 0; i < xs.size(); ++i) dots->addData(xs[i], ys[i]);
    auto* label = new QCPItemText(&plot);
    label->setText(name);
    label->setFont(houseFont(12));
    label->setColor(colour);
    label->setPositionAlignment(Qt::AlignLeft | (below ? Qt::AlignTop : Qt::AlignBottom));
    label->position->setCoords(xs.front(), ys.front());
    label->setPadding(QMargins(4, 5, 0, 5));
    if (xs.size() < 2) return;
    auto* line = plot.addGraph();
    line->setPen(QPen(colour, 2.2));
    const MonotoneCubic curve(xs, ys);
    constexpr int kSteps = 160;
    for (int i = 0; i <= kSteps; ++i) {
        const double x = xs.front() + (xs.back() - xs.front()) * i / kSteps;
        line->addData(x, curve(x));
    }
}

void HeightStage::markAnswer(QCustomPlot& plot) const {
    const auto& v = headline();
    const auto at = v.crossing ? v.crossing : v.height;
    if (!at) return;
    const auto unit = session().unit();
    if (v.low && v.high) {
        auto* band = new QCPItemRect(&plot);
        band->topLeft->setTypeY(QCPItemPosition::ptAxisRectRatio);
        band->bottomRight->setTypeY(QCPItemPosition::ptAxisRectRatio);
        band->topLeft->setCoords(inUnit(*v.low, unit), 0);
        band->bottomRight->setCoords(inUnit(*v.high, unit), 1);
        QColor fill = colours().accent;
        fill.setAlpha(38);
        band->setBrush(fill);
        band->setPen(Qt::NoPen);
    }
    auto* line = new QCPItemLine(&plot);
    line->start->setTypeY(QCPItemPosition::ptAxisRectRatio);
    line->end->setTypeY(QCPItemPosition::ptAxisRectRatio);
    line->start->setCoords(inUnit(*at, unit), 0);
    line->end->setCoords(inUnit(*at, unit), 1);
    line->setPen(QPen(colours().accent, 1.8));
}

void HeightStage::refreshLoss(const SpillLimitVerdict& v) {
    loss_->clearGraphs();
    loss_->clearItems();
    markAnswer(*loss_);
    std::vector<std::pair<double, double>> points;
    for (const auto& row : v.evidence)
        points.emplace_back(inUnit(row.height, session().unit()), row.loss * 100.0);
    addLine(*loss_, points, {}, colours().water);
    loss_->rescaleAxes();
    const double limit = v.asked.limit * 100.0;
    auto* line = new QCPItemStraightLine(loss_);
    line->setPen(QPen(colours().text, 1.2, Qt::DashLine));
    line->point1->setCoords(0, limit);
    line->point2->setCoords(1, limit);
    auto* name = new QCPItemText(loss_);
    name->setText(tr("limit %1").arg(text(percentText(v.asked.limit))));
    name->setFont(houseFont(12));
    name->setColor(colours().text);
    name->setPositionAlignment(Qt::AlignLeft | Qt::AlignBottom);
    name->position->setTypeX(QCPItemPosition::ptAxisRectRatio);
    name->position->setCoords(0.01, limit);
    loss_->xAxis->scaleRange(1.06);
    loss_->yAxis->setRange(qMin(0.0, loss_->yAxis->range().lower),
                           qMax(loss_->yAxis->range().upper, limit) * 1.12);
    loss_->replot(QCustomPlot::rpQueuedReplot);
}

void HeightStage::refreshSpread(const SpillLimitVerdict& v) {
    spread_->clearGraphs();
    spread_->clearItems();
    markAnswer(*spread_);
    std::vector<std::pair<double, double>> centre;
    std::vector<std::pair<double, double>> mean;
    std::vector<std::pair<double, double>> outer;
    for (const auto& row : v.evidence) {
        const double x = inUnit(row.height, session().unit());
        if (row.centre) centre.emplace_back(x, row.centre->value());
        mean.emplace_back(x, row.grid_mean.value());
        if (row.outer) outer.emplace_back(x, row.outer->value());
    }
    addLine(*spread_, centre, tr("centre"), colours().accent);
    addLine(*spread_, mean, tr("grid mean"), colours().text);
    addLine(*spread_, outer, tr("outer ring"), colours().water, true);
    spread_->rescaleAxes();
    spread_->xAxis->scaleRange(1.06);
    spread_->yAxis->setRange(0, spread_->yAxis->range().upper * 1.18);
    for (auto* plot : {loss_, spread_})
        plot->xAxis->setLabel(tr("lamp above water, %1").arg(text(unitName(session().unit()))));
    spread_->replot(QCustomPlot::rpQueuedReplot);
}

void HeightStage::refreshTable(const SpillLimitVerdict& v) {
    table_->setHeads(
        {tr("height"), tr("mean"), tr("loss"), tr("±"), tr("peak"), tr("centre"), tr("outer"), tr("within")});
    std::vector<QStringList> rows;
    int answer = -1;
    int chosen = -1;
    for (const auto& e : v.evidence) {
        if (v.height && e.height == *v.height) answer = static_cast<int>(rows.size());
        if (session().height() && e.height == *session().height()) chosen = static_cast<int>(rows.size());
        rows.push_back({session().length(e.height), text(ppfdFigure(e.grid_mean)), text(percentText(e.loss)),
                        text(percentText(e.loss_error)), text(ppfdFigure(e.peak)),
                        e.centre ? text(ppfdFigure(*e.centre)) : QString(),
                        e.outer ? text(ppfdFigure(*e.outer)) : QString(), e.within ? tr("yes") : tr("no")});
    }
    table_->setRows(rows, answer, colours());
    const QSignalBlocker quiet(table_);
    if (chosen >= 0) table_->selectRow(chosen);
    table_->setFixedHeight(31 + kEvidenceRowHeight * qBound(1, static_cast<int>(rows.size()), 8));
}

std::vector<Finding> HeightStage::findings() const {
    const auto* verdict = session().verdict();
    if (verdict == nullptr) return benchFindings(session().bench());
    std::vector<Finding> out;
    if (byOthers() && session().depth())
        out = fieldFindings(session().bench(), session().runId(), *session().depth(), session().band());
    else
        out = heightFindings(session().bench(), *session().sweep(), *verdict);
    if (const auto where = schoolsFinding(session().schools(), headline())) addBeforeNext(out, {*where});
    if (session().knowledge() != nullptr) addBeforeNext(out, knowledgeFindings(*session().knowledge()));
    return out;
}

}  // namespace glumet
