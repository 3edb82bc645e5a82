#include "report/section_figure.h"

#include <QPainterPath>
#include <algorithm>
#include <cmath>

#include "core/bench/grid.h"
#include "core/plane/plane_statistics.h"
#include "report/plan_figure.h"

namespace glumet {
namespace {

constexpr double kMarkGutter = 30.0;  // marks of the heights, left of the tank
constexpr double kRightGutter = 42.0;
constexpr double kBodyMm = 24.0;
constexpr double kSectionReach = 11.0;  // px
constexpr double kRimMm = 30.0;

QString lengthNumber(Millimetre length, LengthUnit unit) {
    return QString::fromStdString(lengthFigure(length, unit));
}

/// Room on the left: the widest figure and the marks.
double leftGutter(const SectionData& data) {
    const QFontMetricsF metrics(houseFont(13, true));
    double widest = 14.0;
    for (const auto& mark : data.heights)
        widest = std::max(widest, metrics.horizontalAdvance(lengthNumber(mark.height, data.unit)));
    for (const auto& shelf : data.shelves)
        widest = std::max(widest, metrics.horizontalAdvance(lengthNumber(shelf.depth, data.unit)));
    return widest + kMarkGutter;
}

double highestMark(const SectionData& data) {
    double highest = 250.0;
    for (const auto& mark : data.heights) highest = std::max(highest, mark.height.value());
    return highest;
}

/// Readings along the row nearest to the middle, left to right.
std::vector<std::pair<double, double>> middleProfile(const Plane& plane, double middle_mm) {
    std::vector<std::pair<double, double>> profile;
    double best = 1e9;
    for (const auto& reading : plane.readings)
        if (reading.counts()) best = std::min(best, std::abs(reading.y.value() - middle_mm));
    for (const auto& reading : plane.readings)
        if (reading.counts() && std::abs(std::abs(reading.y.value() - middle_mm) - best) <= kSamePointMm)
            profile.emplace_back(reading.x.value(), reading.mean.value());
    std::sort(profile.begin(), profile.end());
    // An even grid has two middle rows: their mean is the profile.
    std::vector<std::pair<double, double>> merged;
    for (std::size_t i = 0; i < profile.size();) {
        double sum = 0.0;
        std::size_t k = i;
        for (; k < profile.size() && profile[k].first - profile[i].first <= kSamePointMm; ++k)
            sum += profile[k].second;
        merged.emplace_back(profile[i].first, sum / static_cast<double>(k - i));
        i = k;
    }
    return merged;
}

class SectionPainter {
  public:
    SectionPainter(QPainter& painter, const SectionData& data, const Palette& palette,
                   const SectionLayout& layout, double shared_room)
        : p_(painter), d_(data), c_(palette), l_(layout), shared_room_(shared_room) {}

    void tank() {
        const QRectF basin(QPointF(l_.x(0), l_.yOfDepth(Millimetre(0))),
                           QPointF(l_.x(d_.length.value()), l_.yOfDepth(d_.water_depth)));
        p_.fillRect(basin, c_.basin);
        shelves();
        for (const auto& line : d_.iso_lines) isoLine(line);
        p_.setPen(QPen(c_.muted, 1.8));
        const double rim = l_.yOfDepth(Millimetre(-kRimMm));
        p_.drawPolyline(QPolygonF({QPointF(basin.left(), rim), basin.bottomLeft(), basin.bottomRight(),
                                   QPointF(basin.right(), rim)}));
        p_.setPen(QPen(c_.water, 2.0));
        p_.drawLine(basin.topLeft(), basin.topRight());
    }

    void heights() {
        const double x = l_.x(0) - 18;
        for (const auto& mark : d_.heights) {
            const bool chosen = d_.height && mark.height == *d_.height;
            const double y = l_.yOfHeight(mark.height);
            p_.setPen(
                QPen(chosen ? c_.accent : c_.line, chosen ? 1.8 : 1.0, chosen ? Qt::SolidLine : Qt::DotLine));
            p_.drawLine(QPointF(x, y), QPointF(l_.x(d_.length.value()), y));
            paintMark(p_, {x, y}, mark.kind, 9, c_, chosen);
        }
        heightLabels(x);
    }

    void fixtures() {
        if (!d_.height) return;
        for (const double centre : d_.centres) {
            const double y = l_.yOfHeight(*d_.height);
            const double half =
                std::min(d_.body_length.value(), d_.length.value() * 1.1) * l_.pixelsPerMm() / 2;
            const double tall = std::max(kBodyMm * l_.pixelsPerMm(), 8.0);
            p_.setPen(QPen(c_.muted, 1.0));
            p_.drawLine(QPointF(l_.x(centre) - half * 0.8, l_.top()),
                        QPointF(l_.x(centre) - half * 0.8, y - tall));
            p_.drawLine(QPointF(l_.x(centre) + half * 0.8, l_.top()),
                        QPointF(l_.x(centre) + half * 0.8, y - tall));
            p_.setPen(QPen(c_.text, 1.6));
            p_.setBrush(c_.raised);
            p_.drawRoundedRect(QRectF(l_.x(centre) - half, y - tall, 2 * half, tall), 3, 3);
        }
    }

    void recommendation() {
        if (!d_.recommended) return;
        const auto low = d_.recommended_low.value_or(*d_.recommended);
        const auto high = d_.recommended_high.value_or(*d_.recommended);
        const double x = l_.x(d_.length.value()) + 8;
        paintBracket(p_, x, l_.yOfHeight(high) - 3, l_.yOfHeight(low) + 3, c_);
        p_.setFont(houseFont(14, true));
        p_.setPen(c_.text);
        p_.drawText(QRectF(x + 6, l_.yOfHeight(*d_.recommended) - 10, kRightGutter, 20),
                    Qt::AlignVCenter | Qt::AlignLeft, lengthNumber(*d_.recommended, d_.unit));
    }

  private:
    void shelves() {
        for (std::size_t i = 0; i < d_.shelves.size(); ++i) {
            const auto& shelf = d_.shelves[i];
            const double y = l_.yOfDepth(shelf.depth);
            const double above = i == 0 ? 0.0 : d_.shelves[i - 1].depth.value();
            const double room = (shelf.depth.value() - above) * l_.pixelsPerMm() * 0.86;
            const bool chosen = d_.depth && std::abs((shelf.depth - *d_.depth).value()) <= kSamePointMm;
            profile(shelf, y, room);
            p_.setPen(QPen(chosen ? c_.accent : c_.muted, chosen ? 2.4 : 1.0));
            p_.drawLine(QPointF(l_.x(0), y), QPointF(l_.x(d_.length.value()), y));
            shelfLabels(shelf, y, chosen);
        }
    }

    /// The line and its PPFD where it is long enough to carry one: at its right end, or deepest down where
    /// another line's stands there.
    void isoLine(const SectionData::IsoLine& line) {
        constexpr double kWorthALabel = 70.0;  // px
        QList<QLineF> pieces;
        QPointF rightmost(-1.0, 0.0);
        QPointF deepest(0.0, -1.0);
        double length = 0.0;
        for (const auto& s : line.segments) {
            const QLineF piece(l_.x(s.x0), l_.yOfDepth(Millimetre(s.y0)), l_.x(s.x1),
                               l_.yOfDepth(Millimetre(s.y1)));
            pieces << piece;
            length += piece.length();
            for (const auto& end : {piece.p1(), piece.p2()}) {
                if (end.x() > rightmost.x()) rightmost = end;
                if (end.y() > deepest.y()) deepest = end;
            }
        }
        p_.setPen(QPen(c_.basin, 3.2, Qt::SolidLine, Qt::RoundCap));
        p_.drawLines(pieces);
        p_.setPen(QPen(c_.text, 1.2, Qt::SolidLine, Qt::RoundCap));
        p_.drawLines(pieces);
        if (length < kWorthALabel) return;
        p_.setFont(houseFont(11, true));
        auto box = labelAt(rightmost);
        for (const auto& other : labels_)
            if (box.intersects(other)) box = labelAt(deepest);
        labels_ << box;
        p_.setPen(Qt::NoPen);
        p_.setBrush(c_.basin);
        p_.drawRoundedRect(box, 3, 3);
        p_.setPen(c_.text);
        p_.drawText(box, Qt::AlignCenter, QString::fromStdString(ppfdFigure(line.level)));
    }

    /// Within the tank and under the surface.
    QRectF labelAt(QPointF place) const {
        return {std::min(place.x() - 15.0, l_.x(d_.length.value()) - 33.0),
                std::max(place.y() - 8.0, l_.yOfDepth(Millimetre(0)) + 2.0), 30.0, 16.0};
    }

    void profile(const SectionData::Shelf& shelf, double y, double room) {
        if (shelf.profile.size() < 2) return;
        // One scale for all shelves: the least room of any shelf carries profile_top.
        QPainterPath path;
        path.moveTo(l_.x(shelf.profile.front().first), y);
        double peak = 0.0;
        for (const auto& [x, value] : shelf.profile) {
            path.lineTo(l_.x(x), y - std::min(value / d_.profile_top * shared_room_, room / 0.86));
            peak = std::max(peak, value);
        }
        path.lineTo(l_.x(shelf.profile.back().first), y);
        path.closeSubpath();
        // Readings beyond a tank that is described too short stay within it.
        p_.save();
        p_.setClipRect(QRectF(QPointF(l_.x(0.0), y - 2.0 * room), QPointF(l_.x(d_.length.value()), y + 1.0)),
                       Qt::IntersectClip);
        QColor fill = tideColour(peak, d_.profile_top);
        if (!c_.dark) fill = fill.darker(104);
        p_.setPen(Qt::NoPen);
        p_.setBrush(fill);
        p_.drawPath(path);
        p_.restore();
    }

    void shelfLabels(const SectionData::Shelf& shelf, double y, bool chosen) {
        p_.setFont(houseFont(13, chosen));
        p_.setPen(chosen ? c_.accent : c_.muted);
        p_.drawText(QRectF(l_.x(0) - 110, y - 10, 100, 20), Qt::AlignRight | Qt::AlignVCenter,
                    lengthNumber(shelf.depth, d_.unit));
        if (!shelf.mean) return;
        p_.setPen(chosen ? c_.text : c_.muted);
        p_.drawText(QRectF(l_.x(d_.length.value()) + 8, y - 10, kRightGutter, 20),
                    Qt::AlignLeft | Qt::AlignVCenter, QString::fromStdString(ppfdFigure(*shelf.mean)));
    }

    /// The chosen height's figure, and others where there is room beside it.
    void heightLabels(double x) {
        double last = 1e9;
        const auto label = [&](const SectionData::HeightMark& mark, bool chosen) {
            const double y = l_.yOfHeight(mark.height);
            p_.setFont(houseFont(13, chosen));
            p_.setPen(chosen ? c_.accent : c_.muted);
            p_.drawText(QRectF(x - 108, y - 9, 100, 18), Qt::AlignRight | Qt::AlignVCenter,
                        lengthNumber(mark.height, d_.unit));
        };
        std::optional<double> chosen_y;
        for (const auto& mark : d_.heights)
            if (d_.height && mark.height == *d_.height) {
                chosen_y = l_.yOfHeight(mark.height);
                label(mark, true);
            }
        for (const auto& mark : d_.heights) {
            const double y = l_.yOfHeight(mark.height);
            if ((chosen_y && std::abs(y - *chosen_y) < 17) || last - y < 17) continue;
            label(mark, false);
            last = y;
        }
    }

    QPainter& p_;
    const SectionData& d_;
    const Palette& c_;
    const SectionLayout& l_;
    QList<QRectF> labels_;  ///< of lines, where they stand
    double shared_room_;    ///< px that profile_top is drawn high, on every shelf
};

double smallestRoom(const SectionData& data, double scale) {
    double least = 1e9;
    double above = 0.0;
    for (const auto& shelf : data.shelves) {
        least = std::min(least, (shelf.depth.value() - above) * scale);
        above = shelf.depth.value();
    }
    return least * 0.86;
}

}  // namespace

void paintMark(QPainter& p, const QPointF& centre, MarkKind kind, double size, const Palette& c,
               bool chosen) {
    p.save();
    p.setRenderHint(QPainter::Antialiasing);
    const QColor colour = chosen || kind == MarkKind::Doubtful ? c.accent : c.text;
    const double r = size / 2;
    if (kind == MarkKind::Doubtful) {
        p.setPen(Qt::NoPen);
        p.setBrush(colour);
        p.drawPolygon(QPolygonF({centre + QPointF(0, -r * 1.1), centre + QPointF(r * 1.1, r * 0.9),
                                 centre + QPointF(-r * 1.1, r * 0.9)}));
    } else {
        p.setPen(QPen(colour, 1.6));
        p.setBrush(kind == MarkKind::Measured ? colour : c.panel);
        p.drawEllipse(centre, r - 0.5, r - 0.5);
    }
    p.restore();
}

void paintBracket(QPainter& p, double x, double y_high, double y_low, const Palette& c) {
    p.setPen(QPen(c.text, 2.0));
    p.setBrush(Qt::NoBrush);
    p.drawPolyline(
        QPolygonF({QPointF(x - 5, y_high), QPointF(x, y_high), QPointF(x, y_low), QPointF(x - 5, y_low)}));
}

SectionLayout::SectionLayout(const QRectF& area, const SectionData& data) {
    const double left_gutter = leftGutter(data);
    const double wide = area.width() - left_gutter - kRightGutter;
    const double above = highestMark(data) + 2.5 * kBodyMm;
    scale_ = std::min(wide / data.length.value(), (area.height() - 8) / (above + data.water_depth.value()));
    left_ = area.left() + left_gutter + (wide - data.length.value() * scale_) / 2;
    surface_ = area.bottom() - 4 - data.water_depth.value() * scale_;
    top_ = area.top();
}

std::optional<Millimetre> SectionLayout::heightNear(const SectionData& data, const QPointF& point) const {
    std::optional<Millimetre> best;
    double distance = kSectionReach;
    for (const auto& mark : data.heights) {
        const double d = std::abs(point.y() - yOfHeight(mark.height));
        if (d < distance) {
            distance = d;
            best = mark.height;
        }
    }
    return best;
}

std::optional<Millimetre> SectionLayout::depthNear(const SectionData& data, const QPointF& point) const {
    // Anywhere between the shelf and the one above it belongs to the shelf: its profile stands there.
    if (point.y() < surface_) return std::nullopt;
    for (const auto& shelf : data.shelves)
        if (point.y() <= yOfDepth(shelf.depth) + kSectionReach) return shelf.depth;
    return std::nullopt;
}

void paintSection(QPainter& painter, const QRectF& area, const SectionData& data, const Palette& palette) {
    const SectionLayout layout(area, data);
    painter.save();
    painter.setRenderHint(QPainter::Antialiasing);
    SectionPainter paint(painter, data, palette, layout, smallestRoom(data, layout.pixelsPerMm()));
    paint.tank();
    paint.heights();
    paint.fixtures();
    paint.recommendation();
    painter.restore();
}

SectionData sectionOf(const Bench& bench, const Sweep& sweep, std::optional<Millimetre> height,
                      std::optional<Millimetre> depth, const SchoolVerdict* headline,
                      const std::vector<Id>& doubtful_runs, LengthUnit unit) {
    SectionData data;
    data.unit = unit;
    data.height = height;
    data.depth = depth;
    const auto* fixture = byId(bench.fixtures, sweep.configuration.fixture);
    if (fixture != nullptr && fixture->length.value() > 0) data.body_length = fixture->length;
    data.profile_top = scaleTop(bench, sweep.runs);
    double width = 600.0;
    if (const auto* tank = byId(bench.tanks, sweep.configuration.tank)) {
        data.length = tank->length;
        data.water_depth = tank->water_depth;
        width = tank->width.value();
    }
    data.centres = hangingPlaces(sweep.configuration, data.length.value());
    const Run* shown = nullptr;
    for (const auto index : sweep.runs) {
        const auto& run = bench.run(index);
        const bool doubtful =
            std::find(doubtful_runs.begin(), doubtful_runs.end(), index) != doubtful_runs.end();
        const bool measured = std::any_of(run.planes.begin(), run.planes.end(),
                                          [](const Plane& plane) { return !plane.readings.empty(); });
        data.heights.push_back({run.height, doubtful   ? MarkKind::Doubtful
                                            : measured ? MarkKind::Measured
                                                       : MarkKind::Planned});
        if (height && run.height == *height) shown = &run;
    }
    for (const auto shelf_depth : depthsOf(bench, sweep)) {
        SectionData::Shelf shelf{shelf_depth, std::nullopt, {}};
        data.water_depth = std::max(data.water_depth, shelf_depth);
        const auto* plane = shown == nullptr ? nullptr : planeAt(*shown, shelf_depth);
        if (plane != nullptr) {
            if (const auto statistics = planeStatistics(*plane)) shelf.mean = statistics->mean;
            shelf.profile = middleProfile(*plane, width / 2);
        }
        data.shelves.push_back(shelf);
    }
    if (headline != nullptr && headline->speaks()) {
        data.recommended = headline->height;
        data.recommended_low = headline->low;
        data.recommended_high = headline->high;
    }
    return data;
}

}  // namespace glumet
