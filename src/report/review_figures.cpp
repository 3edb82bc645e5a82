#include "report/review_figures.h"

#include <QCoreApplication>

#include "core/plane/plane_statistics.h"
#include "report/plan_figure.h"
#include "report/section_figure.h"
#include "report/text.h"

namespace glumet {
namespace {

void markAnswer(const Review& review, ChartData& chart) {
    const auto& v = review.verdict;
    const auto at = v.crossing ? v.crossing : v.height;
    if (at) chart.mark = inUnit(*at, review.unit);
    if (v.low) chart.mark_low = inUnit(*v.low, review.unit);
    if (v.high) chart.mark_high = inUnit(*v.high, review.unit);
}

ChartData onHeights(const Review& review) {
    ChartData chart;
    chart.x_label = tr("fixture above water, %1").arg(text(unitName(review.unit)));
    markAnswer(review, chart);
    return chart;
}

}  // namespace

double inUnit(Millimetre length, LengthUnit unit) {
    switch (unit) {
        case LengthUnit::Cm:
            return length.value() / 10.0;
        case LengthUnit::Mm:
            return length.value();
        case LengthUnit::Inch:
            return length.value() / 25.4;
    }
    return length.value();
}

ChartData lossChart(const Review& review, const Palette& palette) {
    ChartData chart = onHeights(review);
    chart.y_label = tr("loss of the grid mean, %");
    chart.level = review.verdict.asked.limit * 100.0;
    chart.level_name = tr("limit %1").arg(text(percentText(review.verdict.asked.limit)));
    ChartData::Series series{tr("loss"), palette.water, {}};
    for (const auto& row : review.verdict.evidence)
        series.points.emplace_back(inUnit(row.height, review.unit), row.loss * 100.0);
    chart.series.push_back(series);
    return chart;
}

ChartData spreadChart(const Review& review, const Palette& palette) {
    ChartData chart = onHeights(review);
    chart.y_label = tr("µmol·m⁻²·s⁻¹");
    ChartData::Series centre{tr("centre"), palette.accent, {}};
    ChartData::Series mean{tr("mean"), palette.text, {}};
    ChartData::Series outer{tr("outer"), palette.water, {}};
    for (const auto& row : review.verdict.evidence) {
        const double x = inUnit(row.height, review.unit);
        if (row.centre) centre.points.emplace_back(x, row.centre->value());
        mean.points.emplace_back(x, row.grid_mean.value());
        if (row.outer) outer.points.emplace_back(x, row.outer->value());
    }
    for (const auto& series : {centre, mean, outer})
        if (!series.points.empty()) chart.series.push_back(series);
    return chart;
}

void paintMaps(QPainter& p, const QRectF& area, const Review& review, const Palette& palette) {
    const auto& run = review.bench.run(review.shown_run);
    std::vector<const Plane*> planes;
    for (const auto& plane : run.planes)
        if (planeStatistics(plane)) planes.push_back(&plane);
    if (planes.empty()) return;
    const double gap = 14.0;
    const double wide =
        (area.width() - gap * static_cast<double>(planes.size() - 1)) / static_cast<double>(planes.size());
    for (std::size_t i = 0; i < planes.size(); ++i) {
        auto plan = planOf(review.bench, run, *planes[i]);
        plan.band = review.band;
        plan.scale_top = review.scale_top;
        const QRectF room(area.left() + static_cast<double>(i) * (wide + gap), area.top(), wide,
                          area.height());
        const auto map = room.adjusted(0, 22, 0, 0);
        paintPlan(p, map, plan, palette, false);
        const double left = planLayout(map, plan, false).footprint().left();
        p.setFont(houseFont(11, true));
        p.setPen(palette.text);
        p.drawText(QRectF(left, room.top(), wide, 18), Qt::AlignLeft | Qt::AlignVCenter,
                   tr("%1 under water, mean %2")
                       .arg(text(lengthText(planes[i]->depth, review.unit)),
                            text(ppfdFigure(planeStatistics(*planes[i])->mean))));
    }
}

void paintReviewSection(QPainter& painter, const QRectF& area, const Review& review, const Palette& palette) {
    const auto& run = review.bench.run(review.shown_run);
    const auto data = sectionOf(review.bench, review.sweep, run.height, review.verdict.depth_used,
                                review.headline(), {}, review.unit);
    paintSection(painter, area, data, palette);
}

}  // namespace glumet
