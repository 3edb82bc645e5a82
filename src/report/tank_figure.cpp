#include "report/tank_figure.h"

#include <QCoreApplication>
#include <QPainterPath>
#include <algorithm>
#include <cmath>

#include "core/living/living_findings.h"
#include "report/text.h"

namespace glumet {

GLUMET_VALUE_COMPILED(TankFigure);
namespace {

constexpr double kMapCellMm = 40.0;
constexpr int kMostCells = 60;
constexpr double kMark = 8.0;
constexpr double kTankReach = 22.0;
constexpr double kColumn = 1.5;  // px
constexpr double kChangeTall = 13.0;
constexpr double kOutside = 4.0;           // how much worse words outside the tank are than over others
constexpr std::size_t kDottedPoints = 24;  // more run into each other
constexpr double kNothing = 0.10;          // how much of a colour stays where light is told badly

int cellsAlong(Millimetre length) {
    return std::clamp(static_cast<int>(std::lround(length.value() / kMapCellMm)), 4, kMostCells);
}

SpotMark markOf(const Bench& bench, const TankSpot& spot) {
    if (latestAt(spot) == nullptr) return SpotMark::Unread;
    const auto suited = suits(bench, spot);
    if (!suited) return SpotMark::Bare;
    return *suited == LightSuits::Less   ? SpotMark::Less
           : *suited == LightSuits::More ? SpotMark::More
                                         : SpotMark::Right;
}

void paintMark(QPainter& p, const QPointF& at, const TankFigure::Mark& mark, const Palette& c) {
    const bool off = mark.mark == SpotMark::More || mark.mark == SpotMark::Less;
    p.setPen(QPen(c.ground, 1.5));
    p.setBrush(off ? c.accent : mark.mark == SpotMark::Right ? c.text : c.ground);
    if (mark.mark == SpotMark::Bare || mark.mark == SpotMark::Unread)
        p.setPen(QPen(c.text, 2.0, mark.mark == SpotMark::Unread ? Qt::DotLine : Qt::SolidLine));
    if (off) {
        const double up = mark.mark == SpotMark::More ? -kMark : kMark;
        p.drawPolygon(
            QPolygonF{at + QPointF(0, up), at + QPointF(kMark, -up * 0.8), at + QPointF(-kMark, -up * 0.8)});
    } else {
        p.drawEllipse(at, kMark - 1, kMark - 1);
    }
    if (!mark.chosen) return;
    p.setBrush(Qt::NoBrush);
    p.setPen(QPen(c.accent, 2.0));
    p.drawEllipse(at, kMark + 5, kMark + 5);
}

/// Where a mark's words may stand: beside it, and where something stands there already, elsewhere around it.
class Labels {
  public:
    Labels(const QRectF& area, bool small) : area_(area), small_(small) {}
    /// Marks are not written over.
    void keepFree(const QPointF& at) {
        taken_.push_back(QRectF(at.x() - kMark, at.y() - kMark, 2 * kMark, 2 * kMark));
    }

    void paint(QPainter& p, const QPointF& at, const TankFigure::Mark& mark) {
        const QFont name = houseFont(small_ ? 11 : 14, true);
        const QFont below = houseFont(11);
        const bool two = !small_ && !mark.below.isEmpty();
        const double wide = std::max(QFontMetricsF(name).horizontalAdvance(mark.name),
                                     two ? QFontMetricsF(below).horizontalAdvance(mark.below) : 0.0) +
                            2;
        const double tall = two ? 32.0 : small_ ? 14.0 : 18.0;
        const auto box = freeBox(at, wide, tall);
        taken_.push_back(box);
        p.fillRect(box.adjusted(-3, -1, 3, 0), QColor(20, 18, 16, 150));
        p.setPen(QColor(0xF4, 0xEE, 0xE2));
        p.setFont(name);
        p.drawText(box, Qt::AlignLeft | Qt::AlignTop, mark.name);
        if (!two) return;
        p.setFont(below);
        p.drawText(box.adjusted(0, 17, 0, 0), Qt::AlignLeft | Qt::AlignTop, mark.below);
    }

  private:
    QRectF freeBox(const QPointF& at, double wide, double tall) const {
        const std::array places{QPointF(kMark + 6, -10), QPointF(-kMark - 8 - wide, -10),
                                QPointF(-wide / 2, kMark + 3), QPointF(-wide / 2, -kMark - 3 - tall)};
        QRectF best;
        double least = 1e300;
        for (const auto& off : places) {
            const QRectF box(at + off, QSizeF(wide, tall));
            const auto inside = box.intersected(area_);
            double covered = kOutside * (wide * tall - inside.width() * inside.height());
            for (const auto& other : taken_) {
                const auto both = other.intersected(box);
                covered += both.width() * both.height();
            }
            if (covered < 1.0) return box;  // px²: nothing that is seen
            if (covered >= least) continue;
            least = covered;
            best = box;
        }
        return best;
    }

    QRectF area_;
    bool small_;
    std::vector<QRectF> taken_;
};

/// Roughly drawn, as it is: stone is dark, what light passes through is seen through.
void paintRock(QPainter& p, const QRectF& box, const Rock& rock, const Palette& c) {
    QColor fill = c.ground;
    fill.setAlphaF(static_cast<float>(0.92 - 0.6 * rock.transmittance));
    p.setBrush(fill);
    p.setPen(QPen(c.muted, 1.2));
    p.drawRoundedRect(box, std::min(14.0, box.width() / 3.0), std::min(14.0, box.height() / 3.0));
    p.setFont(houseFont(11));
    p.setPen(c.muted);
    const QString name = QFontMetricsF(p.font()).elidedText(text(rock.name), Qt::ElideRight, box.width() - 6);
    if (box.height() > 16.0) p.drawText(box.adjusted(3, 0, -3, -2), Qt::AlignHCenter | Qt::AlignBottom, name);
}

QColor colourOfPoint(const MapPoint& point, double top, const Palette& c) {
    if (point.told) return tideColour(point.ppfd, top);
    QColor ground = c.dark ? c.panel : c.raised;
    const QColor full = tideColour(point.ppfd, top);
    const auto mixed = [](int a, int b) { return static_cast<int>(a + (b - a) * kNothing); };
    return {mixed(ground.red(), full.red()), mixed(ground.green(), full.green()),
            mixed(ground.blue(), full.blue())};
}

void paintCells(QPainter& p, const QRectF& area, const std::vector<MapPoint>& points, int columns, int rows,
                bool from_below, double top, const Palette& c) {
    if (columns < 1 || rows < 1) return;
    p.setRenderHint(QPainter::Antialiasing, false);
    for (int row = 0; row < rows; ++row)
        for (int column = 0; column < columns; ++column) {
            const int line = from_below ? rows - 1 - row : row;
            const double x0 = area.left() + area.width() * column / columns;
            const double x1 = area.left() + area.width() * (column + 1) / columns;
            const double y0 = area.top() + area.height() * line / rows;
            const double y1 = area.top() + area.height() * (line + 1) / rows;
            p.fillRect(QRectF(QPointF(std::floor(x0), std::floor(y0)), QPointF(std::ceil(x1), std::ceil(y1))),
                       colourOfPoint(points[static_cast<std::size_t>(row * columns + column)], top, c));
        }
    p.setRenderHint(QPainter::Antialiasing, true);
}

QRectF fitted(const QRectF& area, double wide, double tall) {
    const double scale = std::min(area.width() / wide, area.height() / tall);
    return {area.left() + (area.width() - wide * scale) / 2.0, area.top(), wide * scale, tall * scale};
}

double along(Millimetre length, int cells, int i) { return length.value() * (i + 0.5) / cells; }

/// The middle of the spots, across.
double middleOfSpots(const Bench& bench, const Tank& tank) {
    double sum = 0.0;
    int count = 0;
    for (const auto& spot : bench.spots)
        if (spot.tank == tank.id) {
            sum += spot.y.value();
            ++count;
        }
    return count == 0 ? tank.width.value() / 2.0 : sum / count;
}

/// The light between the spots, from above at that depth and along the middle of the spots.
void addMap(TankFigure& out, const Bench& bench, const Tank& tank, Millimetre depth, const TankMap& map) {
    if (map.readings() == 0) {
        out.empty = tr("No spot was read yet");
        return;
    }
    out.columns = cellsAlong(tank.length);
    out.rows = cellsAlong(tank.width);
    out.layers = cellsAlong(tank.water_depth);
    const auto planes = mapPlaces(bench, tank, depth);
    for (const auto& plane : planes)
        for (const auto& [x, y] : plane.places)
            (&plane == &planes.front() ? out.plan : out.side).push_back(map.at(x, y, plane.depth.value()));
    for (const auto& point : out.plan)
        if (point.told) out.scale_top = std::max(out.scale_top, point.ppfd);
}

/// From where the chosen one stands to where it would rather.
void addMove(TankFigure& out, const Bench& bench, Id chosen) {
    const auto* who = livesAt(bench, chosen);
    if (who == nullptr || suits(bench, *byId(bench.spots, chosen)) == LightSuits::Right) return;
    const auto places = placesFor(bench, *who);
    if (places.empty() || !places.front().within) return;
    for (std::size_t to = 0; to < out.marks.size(); ++to)
        for (std::size_t from = 0; from < out.marks.size(); ++from)
            if (out.marks[from].spot == chosen && out.marks[to].spot == places.front().spot)
                out.move = {from, to};
}

}  // namespace

std::vector<MapPlaces> mapPlaces(const Bench& bench, const Tank& tank, Millimetre depth) {
    const int columns = cellsAlong(tank.length);
    const int rows = cellsAlong(tank.width);
    const int layers = cellsAlong(tank.water_depth);
    std::vector<MapPlaces> out{{depth, {}}};
    for (int row = 0; row < rows; ++row)
        for (int column = 0; column < columns; ++column)
            out.front().places.push_back({along(tank.length, columns, column), along(tank.width, rows, row)});
    const double y = middleOfSpots(bench, tank);
    for (int layer = 0; layer < layers; ++layer) {
        MapPlaces plane{Millimetre(along(tank.water_depth, layers, layer)), {}};
        for (int column = 0; column < columns; ++column)
            plane.places.push_back({along(tank.length, columns, column), y});
        out.push_back(std::move(plane));
    }
    return out;
}

TankFigure tankFigure(const Bench& bench, const Tank& tank, Millimetre depth, Id chosen, const TankMap& map) {
    TankFigure out;
    out.length = tank.length;
    out.width = tank.width;
    out.water_depth = tank.water_depth;
    out.obstacles = tank.obstacles;
    for (const auto& rock : bench.rocks)
        if (rock.tank == tank.id) out.rocks.push_back(rock);
    for (const auto& spot : bench.spots) {
        if (spot.tank != tank.id) continue;
        const auto* reading = latestAt(spot);
        const auto* who = livesAt(bench, spot.id);
        if (reading != nullptr) out.scale_top = std::max(out.scale_top, reading->mean.value());
        out.marks.push_back({spot.id,
                             reading == nullptr
                                 ? text(spot.name)
                                 : text(spot.name) + QLatin1Char(' ') + text(ppfdFigure(reading->mean)),
                             who == nullptr ? QString() : text(who->name), spot.x.value(), spot.y.value(),
                             spot.depth.value(), markOf(bench, spot), spot.id == chosen});
    }
    addMove(out, bench, chosen);
    addMap(out, bench, tank, depth, map);
    return out;
}

QRectF tankFootprint(const QRectF& area, const TankFigure& figure) {
    return fitted(area, figure.length.value(), figure.width.value());
}

QPointF tankPoint(const QRectF& area, const TankFigure& figure, double x_mm, double y_mm) {
    const auto foot = tankFootprint(area, figure);
    return {foot.left() + foot.width() * x_mm / figure.length.value(),
            foot.bottom() - foot.height() * y_mm / figure.width.value()};
}

std::optional<std::size_t> markNear(const QRectF& area, const TankFigure& figure, const QPointF& point) {
    std::optional<std::size_t> nearest;
    double best = kTankReach;
    for (std::size_t i = 0; i < figure.marks.size(); ++i) {
        const QPointF off = tankPoint(area, figure, figure.marks[i].x_mm, figure.marks[i].y_mm) - point;
        if (const double away = std::hypot(off.x(), off.y()); away < best) {
            best = away;
            nearest = i;
        }
    }
    return nearest;
}

void paintTankPlan(QPainter& p, const QRectF& area, const TankFigure& figure, const Palette& c) {
    const auto foot = tankFootprint(area, figure);
    p.fillRect(foot, c.dark ? c.panel : c.raised);
    paintCells(p, foot, figure.plan, figure.columns, figure.rows, true, figure.scale_top, c);
    p.setPen(QPen(c.line, 1.0));
    p.setBrush(c.ground);
    for (const auto& rock : figure.rocks)
        paintRock(p,
                  QRectF(tankPoint(area, figure, rock.from_x.value(), rock.to_y.value()),
                         tankPoint(area, figure, rock.to_x.value(), rock.from_y.value())),
                  rock, c);
    p.setPen(QPen(c.line, 1.0));
    p.setBrush(c.ground);
    for (const auto& obstacle : figure.obstacles)
        p.drawRect(QRectF(tankPoint(area, figure, obstacle.from_x.value(), obstacle.to_y.value()),
                          tankPoint(area, figure, obstacle.to_x.value(), obstacle.from_y.value())));
    p.setBrush(Qt::NoBrush);
    p.setPen(QPen(c.water, 1.5));
    p.drawRect(foot);
    if (figure.move) {
        const auto& from = figure.marks[figure.move->first];
        const auto& to = figure.marks[figure.move->second];
        const QPointF a = tankPoint(area, figure, from.x_mm, from.y_mm);
        const QPointF b = tankPoint(area, figure, to.x_mm, to.y_mm);
        QPainterPath way(a);
        way.quadTo((a + b) / 2.0 - QPointF(0, 40), b);
        p.setPen(QPen(QColor(0xF4, 0xEE, 0xE2), 1.8, Qt::DashLine));
        p.drawPath(way);
    }
    Labels labels(foot, false);
    for (const auto& mark : figure.marks) labels.keepFree(tankPoint(area, figure, mark.x_mm, mark.y_mm));
    for (const auto& mark : figure.marks) {
        const QPointF at = tankPoint(area, figure, mark.x_mm, mark.y_mm);
        labels.paint(p, at, mark);
        paintMark(p, at, mark, c);
    }
    if (figure.empty.isEmpty()) return;
    p.setFont(houseFont(14));
    p.setPen(c.muted);
    // Over spots that nobody has read it would hide their names.
    const auto at = figure.marks.empty() ? Qt::AlignCenter : Qt::AlignHCenter | Qt::AlignBottom;
    p.drawText(foot.adjusted(0, 0, 0, -6), at, figure.empty);
}

void paintTankSide(QPainter& p, const QRectF& area, const TankFigure& figure, const Palette& c) {
    const auto body = fitted(area, figure.length.value(), figure.water_depth.value());
    p.fillRect(body, c.basin);
    paintCells(p, body, figure.side, figure.columns, figure.layers, false, figure.scale_top, c);
    const auto deep = [&](double mm) { return body.top() + body.height() * mm / figure.water_depth.value(); };
    const auto over = [&](double mm) { return body.left() + body.width() * mm / figure.length.value(); };
    for (const auto& rock : figure.rocks)
        paintRock(p,
                  QRectF(QPointF(over(rock.from_x.value()), deep(rock.top.value())),
                         QPointF(over(rock.to_x.value()), deep(rock.bottom.value()))),
                  rock, c);
    p.setBrush(Qt::NoBrush);
    p.setPen(QPen(c.muted, 1.0));
    p.drawRect(body);
    p.setPen(QPen(c.water, 2.0));
    p.drawLine(body.topLeft(), body.topRight());
    Labels labels(body, true);
    for (const auto& mark : figure.marks) labels.keepFree({over(mark.x_mm), deep(mark.depth_mm)});
    for (const auto& mark : figure.marks) {
        const QPointF at(over(mark.x_mm), deep(mark.depth_mm));
        auto shown = mark;
        shown.name = mark.name.section(QLatin1Char(' '), 0, 0);
        labels.paint(p, at, shown);
        paintMark(p, at, shown, c);
    }
}

void paintRamp(QPainter& p, const QRectF& area, const std::vector<DatedStep>& steps, const QString& today,
               const Palette& c) {
    if (steps.size() < 2) return;
    const QRectF box = area.adjusted(34, 8, -12, -20);
    double low = 100.0;
    double high = 0.0;
    for (const auto& step : steps) {
        low = std::min(low, step.level_pct);
        high = std::max(high, step.level_pct);
    }
    low = std::max(0.0, std::floor(low / 20.0) * 20.0);
    high = std::min(100.0, std::ceil(high / 20.0) * 20.0);
    const int last = *daysBetween(steps.front().day, steps.back().day) + 7;
    const auto x = [&](const std::string& day) {
        return box.left() +
               box.width() * std::clamp(daysBetween(steps.front().day, day).value_or(0), 0, last) / last;
    };
    const auto y = [&](double level) {
        return box.bottom() - box.height() * (level - low) / std::max(1.0, high - low);
    };
    p.setFont(houseFont(11));
    for (double level = low; level <= high + 0.1; level += 20.0) {
        p.setPen(QPen(c.line, 1.0));
        p.drawLine(QPointF(box.left(), y(level)), QPointF(box.right(), y(level)));
        p.setPen(c.muted);
        p.drawText(QRectF(area.left(), y(level) - 8, 28, 16), Qt::AlignRight | Qt::AlignVCenter,
                   QString::number(level));
    }
    const std::string day = today.left(10).toStdString();
    for (std::size_t i = 0; i < steps.size(); ++i) {
        const double from = x(steps[i].day);
        const double to = i + 1 < steps.size() ? x(steps[i + 1].day) : box.right();
        const bool past = i + 1 < steps.size() ? steps[i + 1].day <= day : false;
        p.setPen(QPen(past ? c.text : c.accent, past ? 3.5 : 2.2, steps[i].held ? Qt::DotLine : Qt::SolidLine,
                      Qt::FlatCap));
        p.drawLine(QPointF(from, y(steps[i].level_pct)), QPointF(to, y(steps[i].level_pct)));
        if (i > 0) p.drawLine(QPointF(from, y(steps[i - 1].level_pct)), QPointF(from, y(steps[i].level_pct)));
        p.setPen(c.muted);
        if (i % 2 == 0 || steps.size() < 8)
            p.drawText(QRectF(from - 26, box.bottom() + 4, 52, 14), Qt::AlignCenter,
                       text(steps[i].day).mid(5));
    }
    if (day < steps.front().day) return;
    const double level = levelOn(steps, day);
    const QPointF at(x(day), y(level));
    p.setPen(Qt::NoPen);
    p.setBrush(c.text);
    p.drawEllipse(at, 6, 6);
    p.setFont(houseFont(12, true));
    p.setPen(c.text);
    const QString now = tr("today, %1 %").arg(qRound(level));
    const bool left = at.x() + 110 > box.right();
    p.drawText(QRectF(left ? at.x() - 112 : at.x() + 10, at.y() + 5, 102, 16),
               left ? Qt::AlignRight : Qt::AlignLeft, now);
}

namespace {

/// Years of looks fall into the same column of pixels: of each its mean, and the last as it is.
QPolygonF thinned(const QPolygonF& line) {
    QPolygonF out;
    for (qsizetype i = 0; i < line.size();) {
        QPointF sum;
        const qsizetype from = i;
        while (i < line.size() && line[i].x() < line[from].x() + kColumn) sum += line[i++];
        out << sum / static_cast<double>(i - from);
    }
    if (!line.isEmpty()) out.back() = line.back();
    return out;
}

}  // namespace

void paintHistories(QPainter& p, const QRectF& area, const std::vector<SpotHistory>& histories,
                    const Palette& c) {
    if (histories.empty()) return;
    const auto count = static_cast<int>(histories.size());
    const int columns = std::min(count, 5);
    const int rows = (count + columns - 1) / columns;
    double first = 1e300;
    double last = -1e300;
    double top = 1.0;
    for (const auto& one : histories)
        for (const auto& [day, ppfd] : one.points) {
            first = std::min(first, day);
            last = std::max(last, day);
            top = std::max(top, ppfd);
        }
    for (int i = 0; i < count; ++i) {
        const auto& one = histories[static_cast<std::size_t>(i)];
        const QRectF cell(area.left() + area.width() * (i % columns) / columns,
                          area.top() + area.height() * (i / columns) / rows, area.width() / columns - 10,
                          area.height() / rows - 4);
        const QColor colour = one.lost ? c.accent : c.text;
        p.setPen(colour);
        p.setFont(houseFont(12, true));
        p.drawText(QRectF(cell.left(), cell.top(), 22, cell.height()), Qt::AlignLeft | Qt::AlignVCenter,
                   one.name);
        const QRectF box = cell.adjusted(24, 6, -46, -6);
        QPolygonF line;
        for (const auto& [day, ppfd] : one.points)
            line << QPointF(
                last > first ? box.left() + box.width() * (day - first) / (last - first) : box.center().x(),
                box.bottom() - box.height() * ppfd / top);
        p.setPen(QPen(colour, 1.6));
        p.drawPolyline(thinned(line));
        p.setBrush(colour);
        if (one.points.size() <= kDottedPoints)
            for (const auto& at : line) p.drawEllipse(at, 2.4, 2.4);
        p.setFont(houseFont(12));
        p.setPen(one.lost ? c.accent : c.muted);
        if (one.points.empty()) continue;
        const QRectF figures(box.right() + 6, cell.top(), 44, cell.height());
        const bool both = !one.change.isEmpty();
        p.drawText(figures.adjusted(0, 0, 0, both ? -kChangeTall : 0.0), Qt::AlignLeft | Qt::AlignVCenter,
                   text(ppfdFigure(Ppfd(one.points.back().second))));
        if (!both) continue;
        p.setFont(houseFont(10));
        p.drawText(figures.adjusted(0, cell.height() - kChangeTall, 0, 0), Qt::AlignLeft | Qt::AlignVCenter,
                   one.change);
    }
}

}  // namespace glumet
