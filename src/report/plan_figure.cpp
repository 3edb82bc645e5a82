#include "report/plan_figure.h"

#include <QPainterPath>
#include <algorithm>
#include <cmath>

#include "core/plane/contour.h"
#include "core/words/wording.h"

namespace glumet {

GLUMET_VALUE_COMPILED(PlanData);
namespace {

constexpr double kNameGutter = 22.0;
constexpr double kWallGap = 7.0;
constexpr double kSmallestText = 24.0;  // px of cell width below which a value would not be readable

/// Cell borders along one axis, from the centres: n + 1 values.
std::vector<double> borders(const std::vector<double>& centres) {
    std::vector<double> edges;
    if (centres.size() == 1) return {0.0, 2.0 * centres[0]};
    for (std::size_t i = 0; i + 1 < centres.size(); ++i) edges.push_back(0.5 * (centres[i] + centres[i + 1]));
    edges.insert(edges.begin(), 2.0 * centres.front() - edges.front());
    edges.push_back(2.0 * centres.back() - edges.back());
    return edges;
}

QString figure(Ppfd ppfd) { return QString::fromStdString(ppfdFigure(ppfd)); }

class PlanPainter {
  public:
    PlanPainter(QPainter& painter, const PlanData& plan, const Palette& palette, const PlanLayout& layout)
        : p_(painter), plan_(plan), palette_(palette), layout_(layout) {}

    void walls() {
        if (!plan_.walls) return;
        for (const auto side : kSides) wall(side);
    }

    void cells(bool gaps) {
        eachCell([&](Cell at) { cell(at, gaps); });
    }

    /// One ground for every ring, without gaps: nobody knows what its points read.
    void rings() {
        p_.setPen(Qt::NoPen);
        for (const auto& ring : plan_.rings) {
            p_.setBrush(groundOf(ring));
            p_.drawRect(outlineOf(ring));
        }
    }

    /// Their figures stand in the frame's front side, the innermost's in its middle.
    void ringValues() {
        for (std::size_t i = 0; i < plan_.rings.size(); ++i) {
            const auto& ring = plan_.rings[i];
            QRectF place = outlineOf(ring);
            if (i + 1 < plan_.rings.size()) place.setTop(outlineOf(plan_.rings[i + 1]).bottom());
            const QColor ink = inkFor(groundOf(ring));
            p_.setFont(houseFont(std::clamp(place.height() * 0.4, 9.0, 24.0), true));
            p_.setPen(ink);
            p_.drawText(place, Qt::AlignCenter, ring.face ? ring.face->text : figure(ring.mean));
            if (plan_.band && !ring.face) bandMark(place, ring.mean, ink);
        }
    }

    /// Values and marks, on top of cells and contours.
    void values() {
        eachCell([&](Cell at) { value(at); });
    }

    void freePoints() {
        for (const auto& reading : plan_.free_points) {
            const QPointF at = layout_.at(reading.x.value(), reading.y.value());
            const QColor colour = tideColour(reading.mean.value(), plan_.scale_top);
            const QRectF dot(at - QPointF(17, 12), QSizeF(34, 24));
            p_.setPen(Qt::NoPen);
            p_.setBrush(colour);
            p_.drawRoundedRect(dot, 12, 12);
            p_.setPen(inkFor(colour));
            p_.setFont(houseFont(12, true));
            p_.drawText(dot, Qt::AlignCenter, figure(reading.mean));
        }
    }

    void contours() {
        if (plan_.contour_levels.empty()) return;
        Surface coarse{plan_.grid, {}};
        for (const auto& value : plan_.values) {
            if (!value) return;
            coarse.values.push_back(value->value());
        }
        if (plan_.grid.columns() < 2 || plan_.grid.rows() < 2) return;
        const auto fine = refined(coarse, 8);
        QList<QLineF> lines;
        for (const double level : plan_.contour_levels)
            for (const auto& s : contour(fine, level))
                lines << QLineF(layout_.at(s.x0, s.y0), layout_.at(s.x1, s.y1));
        // Light on dark, so that a line is seen on every colour of the scale.
        p_.setPen(QPen(QColor(0x10, 0x18, 0x1A), 2.8, Qt::SolidLine, Qt::RoundCap));
        p_.drawLines(lines);
        p_.setPen(QPen(QColor(0xF2, 0xEA, 0xD8), 1.2, Qt::SolidLine, Qt::RoundCap));
        p_.drawLines(lines);
    }

    void body() {
        if (!plan_.body_mm) return;
        const auto& b = *plan_.body_mm;
        const QRectF outline(layout_.at(b.left(), b.bottom()), layout_.at(b.right(), b.top()));
        p_.setBrush(Qt::NoBrush);
        p_.setPen(QPen(palette_.muted, 1.2, Qt::DashLine));
        p_.drawRoundedRect(outline.normalized(), 4, 4);
    }

    void obstacles() {
        for (const auto& o : plan_.obstacles) {
            const QRectF rect = QRectF(layout_.at(o.from_x.value(), o.to_y.value()),
                                       layout_.at(o.to_x.value(), o.from_y.value()))
                                    .intersected(layout_.footprint());
            p_.fillRect(rect, palette_.line);
            p_.fillRect(rect, QBrush(palette_.muted, Qt::BDiagPattern));
        }
    }

    QPointF centreOf(Cell cell) const {
        return layout_.at(plan_.grid.xs_mm[static_cast<std::size_t>(cell.column)],
                          plan_.grid.ys_mm[static_cast<std::size_t>(cell.row)]);
    }

    std::vector<Cell> way() const { return plan_.way.empty() ? serpentine(plan_.grid) : plan_.way; }

    void numbers() {
        if (!plan_.numbers) return;
        int number = 0;
        for (const auto cell : way()) {
            const QRectF rect = layout_.cell(plan_.grid, cell);
            p_.setFont(houseFont(std::clamp(rect.height() * 0.26, 7.0, 11.0)));
            p_.setPen(palette_.muted);
            p_.drawText(rect.adjusted(4, 2, 0, 0), Qt::AlignLeft | Qt::AlignTop, QString::number(++number));
        }
    }

    /// Names of spots, where nothing else is shown.
    void spotNames() {
        p_.setFont(houseFont(11));
        p_.setPen(palette_.text);
        for (const auto& [cell, name] : plan_.grid.names)
            if (!valueAt(cell))
                p_.drawText(layout_.cell(plan_.grid, cell), Qt::AlignCenter | Qt::TextWordWrap,
                            QString::fromStdString(name));
    }

    void route() {
        if (!plan_.route || (!plan_.next && plan_.way.empty())) return;
        QPolygonF path;
        for (const auto cell : way())
            if (!valueAt(cell)) path << centreOf(cell);
        QPen pen(palette_.muted, 2.0, Qt::DotLine, Qt::RoundCap);
        p_.setBrush(Qt::NoBrush);
        p_.setPen(pen);
        p_.drawPolyline(path);
    }

    void next() {
        if (!plan_.next) return;
        const QRectF rect = layout_.cell(plan_.grid, *plan_.next).adjusted(1.5, 1.5, -1.5, -1.5);
        p_.setBrush(palette_.raised);
        p_.setPen(QPen(palette_.accent, 2.5));
        p_.drawRoundedRect(rect, 4, 4);
        const double size = std::min({rect.width(), rect.height(), 60.0}) * 0.55;
        QRectF ring(0, 0, size, size);
        ring.moveCenter(rect.center());
        p_.setBrush(Qt::NoBrush);
        p_.setPen(QPen(palette_.line, size * 0.16));
        p_.drawEllipse(ring);
        if (plan_.next_progress <= 0.0) return;
        p_.setPen(QPen(palette_.accent, size * 0.16, Qt::SolidLine, Qt::FlatCap));
        p_.drawArc(ring, 90 * 16, -qRound(std::min(plan_.next_progress, 1.0) * 360.0 * 16.0));
    }

    void selected() {
        if (!plan_.selected || plan_.selected == plan_.next) return;
        const QRectF rect = layout_.cell(plan_.grid, *plan_.selected).adjusted(1.5, 1.5, -1.5, -1.5);
        p_.setBrush(Qt::NoBrush);
        p_.setPen(QPen(palette_.dark ? QColor(0, 0, 0, 150) : QColor(255, 255, 255, 190), 5));
        p_.drawRoundedRect(rect, 3, 3);
        p_.setPen(QPen(palette_.accent, 2.5));
        p_.drawRoundedRect(rect, 3, 3);
    }

    void names(const QRectF& footprint) {
        p_.setFont(houseFont(12));
        p_.setPen(palette_.muted);
        for (int column = 0; column < plan_.grid.columns(); ++column) {
            const auto cell = layout_.cell(plan_.grid, {column, 0});
            if (cell.width() < 14) continue;
            const QString letter = QString::fromStdString(cellName({column, 0})).chopped(1);
            p_.drawText(QRectF(cell.left(), footprint.bottom() + kWallGap + 2, cell.width(), 16),
                        Qt::AlignCenter, letter);
        }
        for (int row = 0; row < plan_.grid.rows(); ++row) {
            const auto cell = layout_.cell(plan_.grid, {0, row});
            p_.drawText(QRectF(footprint.left() - kWallGap - 18, cell.top(), 14, cell.height()),
                        Qt::AlignRight | Qt::AlignVCenter, QString::number(row + 1));
        }
    }

  private:
    std::optional<Ppfd> valueAt(Cell cell) const {
        return plan_.values[static_cast<std::size_t>(cell.row * plan_.grid.columns() + cell.column)];
    }

    /// Glass is a bright thin line, acrylic a dashed one, an opaque wall a dull thick bar.
    void wall(Side side) {
        const QRectF f =
            layout_.footprint().adjusted(-kWallGap + 2, -kWallGap + 2, kWallGap - 2, kWallGap - 2);
        QLineF line(f.topLeft(), f.topRight());
        if (side == Side::Front) line = {f.bottomLeft(), f.bottomRight()};
        if (side == Side::Left) line = {f.topLeft(), f.bottomLeft()};
        if (side == Side::Right) line = {f.topRight(), f.bottomRight()};
        switch ((*plan_.walls)[static_cast<std::size_t>(side)].kind) {
            case WallKind::Glass:
                p_.setPen(QPen(palette_.water, 1.8));
                break;
            case WallKind::Acrylic:
                p_.setPen(QPen(palette_.water, 1.8, Qt::DashLine));
                break;
            case WallKind::Opaque:
                p_.setPen(
                    QPen(palette_.dark ? palette_.line : palette_.muted, 4.0, Qt::SolidLine, Qt::FlatCap));
                break;
        }
        p_.drawLine(line);
    }

    template <class Work>
    void eachCell(Work work) {
        for (int row = 0; row < plan_.grid.rows(); ++row)
            for (int column = 0; column < plan_.grid.columns(); ++column)
                if (const Cell cell{column, row}; plan_.grid.planned(cell) || valueAt(cell)) work(cell);
    }

    QColor groundOf(const PlanData::Ring& ring) const {
        return ring.face ? ring.face->ground : tideColour(ring.mean.value(), plan_.scale_top);
    }

    QRectF outlineOf(const PlanData::Ring& ring) const {
        const int in = std::max(0, ring.number);
        const Cell first{in, in};
        const Cell last{plan_.grid.columns() - 1 - in, plan_.grid.rows() - 1 - in};
        return layout_.cell(plan_.grid, first).united(layout_.cell(plan_.grid, last));
    }

    const PlanData::Face* faceOf(Cell at) const {
        if (plan_.faces.empty()) return nullptr;
        return &plan_.faces[static_cast<std::size_t>(at.row * plan_.grid.columns() + at.column)];
    }

    QColor groundOf(Cell at, Ppfd value) const {
        const auto* face = faceOf(at);
        return face != nullptr ? face->ground : tideColour(value.value(), plan_.scale_top);
    }

    QRectF inside(Cell at, bool gaps) const {
        const QRectF rect = layout_.cell(plan_.grid, at);
        const double gap = gaps ? std::min(1.0, rect.width() * 0.02) : 0.0;
        return rect.adjusted(gap, gap, -gap, -gap);
    }

    void cell(Cell at, bool gaps) {
        const QRectF inner = inside(at, gaps);
        const auto value = valueAt(at);
        if (!value) {
            p_.setBrush(palette_.panel);
            p_.setPen(QPen(palette_.line, 1.0));
            p_.drawRoundedRect(inner.adjusted(0.5, 0.5, -0.5, -0.5), gaps ? 3 : 0, gaps ? 3 : 0);
            return;
        }
        p_.setPen(Qt::NoPen);
        p_.setBrush(groundOf(at, *value));
        if (gaps)
            p_.drawRoundedRect(inner, 2.5, 2.5);
        else
            p_.drawRect(inner);
    }

    void value(Cell at) {
        const auto value = valueAt(at);
        if (!value) return;
        const QRectF inner = inside(at, true);
        const QColor colour = groundOf(at, *value);
        if (plan_.band) bandMark(inner, *value, inkFor(colour));
        if (inner.width() >= kSmallestText) valueText(inner, at, *value, inkFor(colour));
        if (std::find(plan_.doubtful.begin(), plan_.doubtful.end(), at) != plan_.doubtful.end()) doubt(inner);
    }

    void valueText(const QRectF& rect, Cell at, Ppfd value, const QColor& ink) {
        const auto* face = faceOf(at);
        const QString shown = face != nullptr ? face->text : figure(value);
        double size = std::clamp(std::min(rect.width() * 0.30, rect.height() * 0.36), 9.0, 22.0);
        const double wide = QFontMetricsF(houseFont(size, true)).horizontalAdvance(shown);
        if (wide > rect.width() * 0.84) size = std::max(9.0, size * rect.width() * 0.84 / wide);
        p_.setFont(houseFont(size, true));
        p_.setPen(ink);
        p_.drawText(rect, Qt::AlignCenter, shown);
    }

    /// Too dim: a low bar along the foot of the cell. Too bright: a bar at its head. Plain: in the band.
    void bandMark(const QRectF& rect, Ppfd value, const QColor& ink) {
        if (plan_.band->contains(value)) return;
        const double thick = std::clamp(rect.height() * 0.05, 2.0, 4.0);
        const double inset = rect.width() * 0.3;
        const double y = value < plan_.band->low ? rect.bottom() - 3.0 - thick : rect.top() + 3.0;
        p_.setPen(Qt::NoPen);
        QColor quiet = ink;
        quiet.setAlpha(200);
        p_.setBrush(quiet);
        p_.drawRoundedRect(QRectF(rect.left() + inset, y, rect.width() - 2 * inset, thick), thick / 2,
                           thick / 2);
    }

    void doubt(const QRectF& rect) {
        const double s = std::clamp(rect.width() * 0.17, 7.0, 13.0);
        const QPointF at(rect.right() - s - 4, rect.top() + 4);
        QPainterPath triangle;
        triangle.moveTo(at + QPointF(s / 2, 0));
        triangle.lineTo(at + QPointF(s, s));
        triangle.lineTo(at + QPointF(0, s));
        triangle.closeSubpath();
        p_.setPen(QPen(palette_.dark ? palette_.ground : QColor(Qt::white), 1.5));
        p_.setBrush(palette_.accent);
        p_.drawPath(triangle);
    }

    QPainter& p_;
    const PlanData& plan_;
    const Palette& palette_;
    const PlanLayout& layout_;
};

}  // namespace

PlanLayout::PlanLayout(const QRectF& area, Millimetre length, Millimetre width) {
    scale_ = std::min(area.width() / length.value(), area.height() / width.value());
    footprint_ = QRectF(0, 0, length.value() * scale_, width.value() * scale_);
    footprint_.moveCenter(QPointF(area.center().x(), 0.0));
    footprint_.moveTop(area.top());
}

QPointF PlanLayout::at(double x_mm, double y_mm) const {
    return {footprint_.left() + x_mm * scale_, footprint_.bottom() - y_mm * scale_};
}

QRectF PlanLayout::cell(const Grid& grid, Cell cell) const {
    const auto xs = borders(grid.xs_mm);
    const auto ys = borders(grid.ys_mm);
    const auto column = static_cast<std::size_t>(cell.column);
    const auto row = static_cast<std::size_t>(cell.row);
    return {at(xs[column], ys[row + 1]), at(xs[column + 1], ys[row])};
}

std::optional<Cell> PlanLayout::cellUnder(const Grid& grid, const QPointF& point) const {
    for (int row = 0; row < grid.rows(); ++row)
        for (int column = 0; column < grid.columns(); ++column)
            if (const Cell at{column, row}; grid.planned(at) && cell(grid, at).contains(point)) return at;
    return std::nullopt;
}

PlanLayout planLayout(const QRectF& area, const PlanData& plan, bool names) {
    const double gutter = names ? kNameGutter : 0.0;
    const double wall = plan.walls ? kWallGap : 0.0;
    return {area.adjusted(gutter + wall, wall, -wall, -gutter - wall), plan.length, plan.width};
}

void paintPlan(QPainter& painter, const QRectF& area, const PlanData& plan, const Palette& palette,
               bool names) {
    const auto layout = planLayout(area, plan, names);
    painter.save();
    painter.setRenderHint(QPainter::Antialiasing);
    PlanPainter paint(painter, plan, palette, layout);
    paint.walls();
    plan.rings.empty() ? paint.cells(true) : paint.rings();
    paint.obstacles();
    paint.contours();
    plan.rings.empty() ? paint.values() : paint.ringValues();
    paint.freePoints();
    paint.body();
    paint.spotNames();
    paint.route();
    paint.numbers();
    paint.next();
    paint.selected();
    if (names) paint.names(layout.footprint());
    painter.restore();
}

void paintSmallPlan(QPainter& painter, const QRectF& area, const PlanData& plan, const Palette& palette) {
    const PlanLayout layout(area, plan.length, plan.width);
    painter.save();
    PlanPainter paint(painter, plan, palette, layout);
    plan.rings.empty() ? paint.cells(false) : paint.rings();
    painter.restore();
}

namespace {

/// Rings of the first grid that others published of this plane; the mean of all points where there are none.
void addRings(PlanData& plan, const Plane& plane) {
    const auto& first = plane.means.front();
    const auto alike = [&](const RingMean& mean) {
        return mean.columns == first.columns && mean.rows == first.rows && mean.ring.isMean();
    };
    for (const auto& mean : plane.means)
        if (alike(mean) && mean.ring.number >= 0)
            plan.rings.push_back({mean.ring.number, 0, mean.ppfd, std::nullopt});
    if (plan.rings.empty())
        for (const auto& mean : plane.means)
            if (alike(mean)) plan.rings.push_back({RingName::kAll, 0, mean.ppfd, std::nullopt});
    std::sort(plan.rings.begin(), plan.rings.end(),
              [](const auto& a, const auto& b) { return a.number < b.number; });
    plan.grid = cellCentres(plan.length, plan.width, first.columns, first.rows);
    plan.values.assign(plan.grid.cells(), std::nullopt);
    for (auto& ring : plan.rings) {
        RingMean of = first;
        of.ring.number = ring.number;
        ring.points = static_cast<int>(pointsOf(of, plan.length, plan.width).size());
    }
}

}  // namespace

PlanData planOf(const Bench& bench, const Run& run, const Plane& plane) {
    PlanData plan;
    const auto detected = detectGrid(plane.readings);
    const auto grid = plane.grid ? plane.grid : detected;
    if (grid) {
        plan.grid = *grid;
        for (const int index : readingOfCell(*grid, plane.readings))
            plan.values.push_back(index < 0
                                      ? std::nullopt
                                      : std::optional(plane.readings[static_cast<std::size_t>(index)].mean));
    } else {
        for (const auto& reading : plane.readings)
            if (reading.counts()) plan.free_points.push_back(reading);
    }
    if (const auto* tank = byId(bench.tanks, run.tank)) {
        plan.length = tank->length;
        plan.width = tank->width;
        plan.walls = tank->walls;
        plan.obstacles = tank->obstacles;
    } else if (grid) {
        plan.length = Millimetre(borders(grid->xs_mm).back());
        plan.width = Millimetre(borders(grid->ys_mm).back());
    } else {
        for (const auto& reading : plan.free_points) {
            plan.length = std::max(plan.length, reading.x);
            plan.width = std::max(plan.width, reading.y);
        }
    }
    if (plane.readings.empty() && !plane.means.empty()) addRings(plan, plane);
    return plan;
}

namespace {

PlanData::Face differenceFace(std::optional<Ppfd> reading, Ppfd model, const Palette& palette) {
    constexpr double kFullColour = 0.20;  // a difference that takes the whole colour
    const QColor neutral = palette.dark ? palette.raised : palette.line;
    if (!reading || model.value() <= 0.0) return {QString(), neutral};
    const double off = *reading / model - 1.0;
    // The two ends of the field scale: dim water below the model, cream above it; the sign says it too.
    const QColor end = colourOf(tide(off < 0.0 ? 0.28 : 0.9));
    const double share = std::min(std::abs(off) / kFullColour, 1.0);
    const auto mix = [share](int from, int to) { return from + qRound((to - from) * share); };
    const int percent = qRound(off * 100.0);
    const QString sign = percent > 0 ? QStringLiteral("+") : percent < 0 ? QStringLiteral("−") : QString();
    return {sign + QString::number(std::abs(percent)),
            QColor(mix(neutral.red(), end.red()), mix(neutral.green(), end.green()),
                   mix(neutral.blue(), end.blue()))};
}

}  // namespace

std::vector<PlanData::Face> differenceFaces(const std::vector<std::optional<Ppfd>>& readings,
                                            const std::vector<Ppfd>& model, const Palette& palette) {
    std::vector<PlanData::Face> faces;
    for (std::size_t i = 0; i < readings.size(); ++i)
        faces.push_back(differenceFace(readings[i], model[i], palette));
    return faces;
}

void showRingDifferences(PlanData& plan, const std::vector<Ppfd>& model, const Palette& palette) {
    for (auto& ring : plan.rings) {
        double sum = 0.0;
        for (std::size_t i = 0; i < model.size(); ++i) {
            const Cell cell{static_cast<int>(i) % plan.grid.columns(),
                            static_cast<int>(i) / plan.grid.columns()};
            if (ring.number < 0 || ringOf(plan.grid, cell) == ring.number) sum += model[i].value();
        }
        ring.face = differenceFace(ring.mean, Ppfd(sum / std::max(1, ring.points)), palette);
    }
}

double scaleTop(const Bench& bench, const std::vector<Id>& runs) {
    std::vector<double> values;
    for (const auto index : runs)
        for (const auto& plane : bench.run(index).planes) {
            for (const auto& reading : plane.readings)
                if (reading.counts()) values.push_back(reading.mean.value());
            for (const auto& mean : plane.means) values.push_back(mean.ppfd.value());
        }
    if (values.empty()) return 1.0;
    const auto at = values.begin() + static_cast<std::ptrdiff_t>((values.size() - 1) * 49 / 50);
    std::nth_element(values.begin(), at, values.end());
    if (*at <= 0.0) return 1.0;
    const double step = std::pow(10.0, std::floor(std::log10(*at)) - 1.0);
    return std::ceil(*at / step) * step;
}

}  // namespace glumet
