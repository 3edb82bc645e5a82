#include "desk/field/fit_report.h"

#include <QHeaderView>
#include <QScrollArea>
#include <QVBoxLayout>
#include <algorithm>
#include <cmath>

#include "core/bench/grid.h"
#include "core/bench/sweep.h"
#include "core/fit/fit_means.h"
#include "core/words/finding.h"
#include "desk/shared/theme.h"
#include "report/text.h"

namespace glumet {
namespace {

constexpr int kWidth = 258;
constexpr int kShownOutliers = 40;
constexpr int kParameterRows = 4;
constexpr int kLeastUntold = 54;

/// A figure with as many decimals as its error needs.
QString figure(double value, double error) {
    const int decimals = error >= 10.0 ? 0 : error >= 1.0 ? 1 : error >= 0.1 ? 2 : 3;
    return QString::number(value, 'f', decimals).replace(QLatin1Char('-'), QStringLiteral("−"));
}

void giveFirstTheRest(QTableWidget& table) {
    table.horizontalHeader()->setSectionResizeMode(QHeaderView::ResizeToContents);
    table.horizontalHeader()->setSectionResizeMode(0, QHeaderView::Stretch);
}

}  // namespace

FitReport::FitReport(Session& session)
    : session_(session),
      summary_(makeLabel({}, TextRole::Body)),
      parameters_(new FigureTable(tr("Parameters of the fit"))),
      outliers_title_(makeLabel({}, TextRole::Heading)),
      outliers_(new FigureTable(tr("Readings the fit distrusts"))),
      untold_(makeLabel({}, TextRole::Muted)) {
    setFixedWidth(kWidth);
    auto* layout = new QVBoxLayout(this);
    layout->setContentsMargins(0, 0, 0, 0);
    layout->setSpacing(6);
    summary_->setObjectName(QStringLiteral("fitSummary"));
    parameters_->setObjectName(QStringLiteral("fitParameters"));
    outliers_->setObjectName(QStringLiteral("fitOutliers"));
    untold_->setObjectName(QStringLiteral("fitUntold"));
    parameters_->setStyleSheet(QStringLiteral("QTableView::item { padding: 2px 1px; }"));
    for (auto* label : {summary_, untold_}) label->setWordWrap(true);
    layout->addWidget(summary_);
    layout->addWidget(parameters_, 3);
    layout->addWidget(outliers_title_);
    layout->addWidget(outliers_, 2);
    // However much cannot be told: it scrolls where the stage is low.
    auto* untold = new QScrollArea;
    untold->setFrameShape(QFrame::NoFrame);
    untold->setWidgetResizable(true);
    untold->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    untold->setMinimumHeight(kLeastUntold);
    untold->setAccessibleName(tr("What the readings do not tell"));
    untold_->setAlignment(Qt::AlignTop | Qt::AlignLeft);
    untold->setWidget(untold_);
    layout->addWidget(untold, 2);
    connect(outliers_, &QTableWidget::cellActivated, this, &FitReport::goTo);
    connect(outliers_, &QTableWidget::cellClicked, this, &FitReport::goTo);
}

void FitReport::refresh(const FitResult& fit) {
    summary_->setText(
        (restsOnMeans(fit)
             ? tr("%1 means of others lie %2 off the fit; reduced chi-square %3. Painted walls reflect %4. "
                  "%5")
             : tr("%1 readings lie %2 off the fit; reduced chi-square %3. Painted walls reflect %4. %5"))
            .arg(fit.model.readings)
            .arg(text(percentText(fit.model.relative_residual)))
            .arg(fit.reduced_chi_square, 0, 'f', 2)
            .arg(text(percentText(fit.reflectance)), shapeWords(fit)));
    showParameters(fit);
    showOutliers(fit);
    QStringList untold;
    for (const auto& sentence : fit.cannot_tell) untold << text(sentence, session_.unit());
    untold_->setText(untold.join(QLatin1Char(' ')));
    untold_->setVisible(!untold.isEmpty());
}

/// Which beam the readings asked for.
QString FitReport::shapeWords(const FitResult& fit) {
    if (restsOnMeans(fit)) return tr("The light is taken to be round.");
    if (fit.shape_evidence.empty()) return tr("The shape of its light is taken over, not read.");
    switch (fit.model.shape) {
        case BeamShape::Round:
            return tr("The light is round: no other beam explains the readings better.");
        case BeamShape::TwoPlanes:
            return tr("The light is not round: it spreads otherwise along the fixture than across it.");
        case BeamShape::Free:
            return tr("The light is not round, nor alike to both sides.");
    }
    return {};
}

/// Short enough for its column.
QString FitReport::nameOf(const FitParameter& parameter) const {
    const auto height = [&] { return session_.figure(session_.bench().run(parameter.run).height); };
    switch (parameter.what) {
        case FitQuantity::Flux:
            return tr("flux");
        case FitQuantity::HeightOffset:
            return tr("height");
        case FitQuantity::PlaceAlong:
            return tr("along");
        case FitQuantity::PlaceAcross:
            return tr("across");
        case FitQuantity::Attenuation:
            return tr("water");
        case FitQuantity::Reflectance:
            return tr("walls");
        case FitQuantity::UnevenAlong:
            return tr("right end");
        case FitQuantity::UnevenAcross:
            return tr("back");
        case FitQuantity::RunHeight:
            return tr("lamp %1").arg(height());
        case FitQuantity::RunLevel:
            return tr("output %1").arg(height());
    }
    return {};
}

void FitReport::showParameters(const FitResult& fit) {
    parameters_->setHeads({QString(), tr("found"), tr("before")});
    std::vector<QStringList> rows;
    for (const auto& p : fit.parameters) {
        rows.push_back(
            {nameOf(p),
             tr("%1 ± %2 %3").arg(figure(p.value, p.error), figure(p.error, p.error), text(p.unit)).trimmed(),
             p.prior_error < 1e8 ? tr("± %1").arg(figure(p.prior_error, p.prior_error)) : tr("any")});
    }
    parameters_->setRows(rows, -1, session_.palette());
    giveFirstTheRest(*parameters_);
    for (int row = 0; row < parameters_->rowCount(); ++row) {
        auto* name = parameters_->item(row, 0);
        name->setTextAlignment(Qt::AlignLeft | Qt::AlignVCenter);
        name->setToolTip(text(fit.parameters[static_cast<std::size_t>(row)].name, session_.unit()));
        // What the readings have hardly narrowed is set back.
        if (fit.parameters[static_cast<std::size_t>(row)].untold())
            for (int column = 0; column < parameters_->columnCount(); ++column)
                parameters_->item(row, column)->setForeground(session_.palette().muted);
    }
    parameters_->setMinimumHeight(31 + 22 * std::min(kParameterRows, parameters_->rowCount()));
}

void FitReport::showOutliers(const FitResult& fit) {
    listed_.clear();
    for (const auto& r : fit.residuals)
        if (r.distrusted) listed_.push_back(r);
    std::sort(listed_.begin(), listed_.end(), [](const FitResidual& a, const FitResidual& b) {
        return std::abs(a.standard_errors) > std::abs(b.standard_errors);
    });
    const auto all = listed_.size();
    if (listed_.size() > kShownOutliers) listed_.resize(kShownOutliers);
    outliers_title_->setText(all == 0 ? tr("Every reading is trusted")
                                      : tr("%1 distrusted, the worst first").arg(all));
    outliers_->setVisible(all > 0);
    outliers_->setHeads({tr("lamp | deep"), tr("read"), tr("fit"), tr("errors")});
    std::vector<QStringList> rows;
    for (const auto& r : listed_)
        rows.push_back(
            {tr("%1 | %2").arg(session_.figure(session_.bench().run(r.run).height), session_.figure(r.depth)),
             text(ppfdFigure(Ppfd(r.reading))), text(ppfdFigure(Ppfd(r.model))),
             figure(r.standard_errors, 1.0)});
    outliers_->setRows(rows, -1, session_.palette());
    giveFirstTheRest(*outliers_);
}

void FitReport::goTo(int row) {
    if (row < 0 || row >= static_cast<int>(listed_.size())) return;
    const auto& r = listed_[static_cast<std::size_t>(row)];
    Finding there;
    there.run = r.run;
    there.depth = r.depth;
    there.view = EvidenceView::Field;
    const auto* plane = planeAt(session_.bench().run(r.run), r.depth);
    if (plane != nullptr && plane->grid) there.cell = cellAt(*plane->grid, r.x, r.y);
    session_.show(there);
}

}  // namespace glumet
