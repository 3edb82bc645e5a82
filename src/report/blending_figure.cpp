#include "report/blending_figure.h"

#include <algorithm>
#include <cmath>

#include "core/bench/grid.h"
#include "core/spectrum/colour.h"
#include "core/spectrum/overlay.h"
#include "report/spectrum_figure.h"
#include "report/text.h"

namespace glumet {
namespace {

constexpr double kBlendingGap = 6.0;
constexpr double kCorner = 12.0;
constexpr double kLeastForSpectrum = 84.0;
constexpr int kMomentsInARow = 8;

/// Where a spectrum would be too narrow to be read: how far off, as a bar.
void paintBar(QPainter& p, const QRectF& box, double distance, double farthest, const Palette& c) {
    const double room = box.height() - 26.0;
    QRectF bar(box.left() + 6, box.bottom() - 4, 8, 0);
    bar.setTop(bar.bottom() - std::max(1.0, room * distance / farthest));
    p.fillRect(bar, c.water);
}

double xOf(const SpectrumRecord& record) { return record.x.value_or(Millimetre(0)).value(); }
double yOf(const SpectrumRecord& record) { return record.y.value_or(Millimetre(0)).value(); }

/// Places along one axis, ascending.
void addPlace(std::vector<double>& places, double value) {
    for (const double known : places)
        if (std::abs(known - value) < kSamePlaceMm) return;
    places.insert(std::upper_bound(places.begin(), places.end(), value), value);
}

int rankOf(const std::vector<double>& places, double value) {
    for (std::size_t i = 0; i < places.size(); ++i)
        if (std::abs(places[i] - value) < kSamePlaceMm) return static_cast<int>(i);
    return 0;
}

}  // namespace

QString colourDistanceText(double distance) { return QString::number(distance * 1000.0, 'f', 1); }

BlendingFigure blendingFigure(const BlendingTest& test) {
    const auto& distances = test.over_time ? test.result.colour_from_mean : test.result.colour_from_centre;
    std::vector<double> xs;
    std::vector<double> ys;
    for (const auto* record : test.points) {
        addPlace(xs, xOf(*record));
        addPlace(ys, yOf(*record));
    }
    BlendingFigure out;
    for (std::size_t i = 0; i < test.points.size(); ++i) {
        const auto& record = *test.points[i];
        const int number = static_cast<int>(i);
        BlendingFigure::Point point;
        point.name = text(record.name);
        point.column = test.over_time ? number % kMomentsInARow : rankOf(xs, xOf(record));
        point.row = test.over_time ? number / kMomentsInARow
                                   : static_cast<int>(ys.size()) - 1 - rankOf(ys, yOf(record));
        point.spectrum = scaledFor(record.spectrum, OverlayScale::Par);
        point.distance = i < distances.size() ? distances[i] : 0.0;
        point.centre = !test.over_time && i == test.centre;
        out.columns = std::max(out.columns, point.column + 1);
        out.rows = std::max(out.rows, point.row + 1);
        out.points.push_back(std::move(point));
    }
    return out;
}

QRectF blendingField(const QRectF& area, const BlendingFigure& figure, std::size_t point) {
    const double w = std::floor((area.width() - kBlendingGap * (figure.columns - 1)) / figure.columns);
    const double h = std::floor((area.height() - kBlendingGap * (figure.rows - 1)) / figure.rows);
    return {area.left() + figure.points[point].column * (w + kBlendingGap),
            area.top() + figure.points[point].row * (h + kBlendingGap), w, h};
}

void paintBlending(QPainter& p, const QRectF& area, const BlendingFigure& figure, const Palette& c,
                   std::optional<std::size_t> chosen) {
    double top = 0.0;
    double farthest = kColourShows;
    for (const auto& point : figure.points) {
        farthest = std::max(farthest, point.distance);
        for (const double value : point.spectrum.values) top = std::max(top, value);
    }
    for (std::size_t i = 0; i < figure.points.size(); ++i) {
        const auto& point = figure.points[i];
        const QRectF box = blendingField(area, figure, i).adjusted(1, 1, -1, -1);
        const bool shows = point.distance > kColourShows;
        p.setPen(chosen == i ? QPen(c.accent, 1.8) : Qt::NoPen);
        p.setBrush(c.panel);
        p.drawRoundedRect(box, 4, 4);
        p.setBrush(Qt::NoBrush);
        p.setPen(QPen(c.text, 1.2));
        if (box.width() >= kLeastForSpectrum)
            p.drawPolyline(spectrumLine(box.adjusted(6, 8, -46, -5), point.spectrum, top));
        else
            paintBar(p, box, point.distance, farthest, c);
        p.setFont(houseFont(15, true));
        p.setPen(shows ? c.accent : c.text);
        p.drawText(box.adjusted(0, 4, -9, 0), Qt::AlignRight | Qt::AlignTop,
                   point.centre ? tr("middle") : colourDistanceText(point.distance));
        if (!shows) continue;
        p.setPen(Qt::NoPen);
        p.setBrush(c.accent);
        p.drawPolygon(QPolygonF{box.bottomRight(), box.bottomRight() - QPointF(kCorner, 0),
                                box.bottomRight() - QPointF(0, kCorner)});
    }
}

}  // namespace glumet
