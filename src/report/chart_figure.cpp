#include "report/chart_figure.h"

#include <algorithm>
#include <cmath>

namespace glumet {
namespace {

struct Range {
    double low = 1e300;
    double high = -1e300;
    void include(double value) {
        low = std::min(low, value);
        high = std::max(high, value);
    }
};

class Axes {
  public:
    Axes(const QRectF& area, Range x, Range y) : plot_(area.adjusted(38, 22, -58, -34)), x_(x), y_(y) {}

    QPointF at(double x, double y) const {
        return {plot_.left() + (x - x_.low) / (x_.high - x_.low) * plot_.width(),
                plot_.bottom() - (y - y_.low) / (y_.high - y_.low) * plot_.height()};
    }
    const QRectF& plot() const { return plot_; }

  private:
    QRectF plot_;
    Range x_;
    Range y_;
};

Range xRange(const ChartData& chart) {
    Range range;
    for (const auto& series : chart.series)
        for (const auto& point : series.points) range.include(point.x());
    const double pad = std::max((range.high - range.low) * 0.04, 1e-6);
    return {range.low - pad, range.high + pad};
}

Range yRange(const ChartData& chart) {
    Range range;
    range.include(0.0);
    if (chart.level) range.include(*chart.level * 1.15);
    for (const auto& series : chart.series)
        for (const auto& point : series.points) range.include(point.y());
    const auto ticks = roundTicks(range.low, range.high, 5);
    return {std::min(range.low, ticks.front()), std::max(range.high, ticks.back())};
}

void paintGrid(QPainter& p, const Axes& axes, const ChartData& chart, Range x, Range y, const Palette& c) {
    p.setFont(houseFont(10));
    for (const double tick : roundTicks(y.low, y.high, 5)) {
        const QPointF left = axes.at(x.low, tick);
        p.setPen(QPen(c.line, 0.8));
        p.drawLine(left, axes.at(x.high, tick));
        p.setPen(c.muted);
        p.drawText(QRectF(left.x() - 38, left.y() - 8, 32, 16), Qt::AlignRight | Qt::AlignVCenter,
                   QString::number(tick));
    }
    for (const double tick : roundTicks(x.low, x.high, 6)) {
        if (tick < x.low || tick > x.high) continue;
        const QPointF foot = axes.at(tick, y.low);
        p.setPen(c.muted);
        p.drawText(QRectF(foot.x() - 24, foot.y() + 3, 48, 14), Qt::AlignCenter, QString::number(tick));
    }
    p.setFont(houseFont(10));
    p.drawText(QRectF(axes.plot().left(), axes.plot().bottom() + 18, axes.plot().width(), 14),
               Qt::AlignCenter, chart.x_label);
    p.drawText(QRectF(axes.plot().left() - 36, axes.plot().top() - 20, 260, 14),
               Qt::AlignLeft | Qt::AlignVCenter, chart.y_label);
}

void paintMarks(QPainter& p, const Axes& axes, const ChartData& chart, Range x, Range y, const Palette& c) {
    if (chart.mark) {
        const double low = std::max(chart.mark_low.value_or(*chart.mark), x.low);
        const double high = std::min(chart.mark_high.value_or(*chart.mark), x.high);
        QColor band = c.accent;
        band.setAlpha(36);
        p.fillRect(QRectF(axes.at(low, y.high), axes.at(high, y.low)), band);
        p.setPen(QPen(c.accent, 1.4));
        p.drawLine(axes.at(*chart.mark, y.low), axes.at(*chart.mark, y.high));
    }
    if (chart.level) {
        p.setPen(QPen(c.text, 1.0, Qt::DashLine));
        p.drawLine(axes.at(x.low, *chart.level), axes.at(x.high, *chart.level));
        p.setFont(houseFont(10));
        p.drawText(QRectF(axes.at(x.low, *chart.level) + QPointF(4, -15), QSizeF(160, 14)), Qt::AlignLeft,
                   chart.level_name);
    }
}

void paintSeries(QPainter& p, const Axes& axes, const ChartData::Series& series) {
    QPolygonF line;
    for (const auto& point : series.points) line << axes.at(point.x(), point.y());
    p.setPen(QPen(series.colour, 1.8, Qt::SolidLine, Qt::RoundCap, Qt::RoundJoin));
    p.setBrush(Qt::NoBrush);
    p.drawPolyline(line);
    p.setPen(Qt::NoPen);
    p.setBrush(series.colour);
    for (const auto& point : line) p.drawEllipse(point, 2.6, 2.6);
}

/// Names at the right ends of the lines, pushed apart from the top down so that they never overlap.
void paintNames(QPainter& p, const Axes& axes, const ChartData& chart, const Palette& c) {
    constexpr double kApart = 12.0;
    std::vector<std::pair<QPointF, QString>> names;
    for (const auto& series : chart.series)
        if (!series.points.empty())
            names.emplace_back(axes.at(series.points.back().x(), series.points.back().y()), series.name);
    std::stable_sort(names.begin(), names.end(),
                     [](const auto& a, const auto& b) { return a.first.y() < b.first.y(); });
    for (std::size_t i = 1; i < names.size(); ++i)
        if (names[i].first.y() - names[i - 1].first.y() < kApart)
            names[i].first.setY(names[i - 1].first.y() + kApart);
    p.setFont(houseFont(10));
    p.setPen(c.text);
    for (const auto& [at, name] : names)
        p.drawText(QRectF(at.x() + 7, at.y() - 7, 58, 14), Qt::AlignLeft | Qt::AlignVCenter, name);
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

std::vector<double> roundTicks(double low, double high, int count) {
    const double raw = std::max((high - low) / std::max(count, 1), 1e-12);
    const double power = std::pow(10.0, std::floor(std::log10(raw)));
    double step = power;
    for (const double factor : {1.0, 2.0, 5.0, 10.0})
        if (factor * power >= raw * 0.999) {
            step = factor * power;
            break;
        }
    std::vector<double> ticks;
    for (double index = std::floor(low / step); index * step < high + step * 0.999; ++index)
        ticks.push_back(index * step);
    return ticks;
}

void paintChart(QPainter& painter, const QRectF& area, const ChartData& chart, const Palette& palette) {
    if (chart.series.empty() || chart.series.front().points.empty()) return;
    painter.save();
    painter.setRenderHint(QPainter::Antialiasing);
    const Range x = xRange(chart);
    const Range y = yRange(chart);
    const Axes axes(area, x, y);
    paintGrid(painter, axes, chart, x, y, palette);
    paintMarks(painter, axes, chart, x, y, palette);
    for (const auto& series : chart.series) paintSeries(painter, axes, series);
    paintNames(painter, axes, chart, palette);
    painter.restore();
}

}  // namespace glumet
