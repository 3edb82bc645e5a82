#pragma once

#include <QPainter>
#include <QString>
#include <array>
#include <optional>
#include <vector>

#include "core/base/value.h"
#include "core/bench/bench.h"
#include "core/living/ramp.h"
#include "core/living/tank_map.h"
#include "report/palette.h"

namespace glumet {

/// How a spot stands, by its mark's shape.
enum class SpotMark { Bare, Right, More, Less, Unread };

/// A living tank with its spots and the light between them.
struct TankFigure {
    GLUMET_VALUE(TankFigure);

    struct Mark {
        Id spot = 0;
        QString name;   ///< with its light: "A 310"
        QString below;  ///< who lives there
        double x_mm = 0.0;
        double y_mm = 0.0;
        double depth_mm = 0.0;
        SpotMark mark = SpotMark::Bare;
        bool chosen = false;
    };
    Millimetre length{600};
    Millimetre width{600};
    Millimetre water_depth{560};
    std::vector<Obstacle> obstacles;
    std::vector<Rock> rocks;
    int columns = 0;  ///< of the map below
    int rows = 0;
    std::vector<MapPoint> plan;  ///< row by row from the front, at one depth
    int layers = 0;
    std::vector<MapPoint> side;  ///< layer by layer from the surface, along the middle of the spots
    double scale_top = 1.0;
    std::vector<Mark> marks;
    std::optional<std::pair<std::size_t, std::size_t>> move;  ///< from one mark to another, suggested
    QString empty;                                            ///< said where nothing was read
};

/// Places of one depth.
struct MapPlaces {
    Millimetre depth{0};
    std::vector<std::array<double, 2>> places;  ///< (x, y), mm
};
/// Where tankFigure() asks its map, depth by depth, so that an expected light can be worked out in one go.
std::vector<MapPlaces> mapPlaces(const Bench& bench, const Tank& tank, Millimetre depth);

/// A figure of a tank as it was read last; its map at that depth.
TankFigure tankFigure(const Bench& bench, const Tank& tank, Millimetre depth, Id chosen, const TankMap& map);

void paintTankPlan(QPainter& painter, const QRectF& area, const TankFigure& figure, const Palette& palette);
void paintTankSide(QPainter& painter, const QRectF& area, const TankFigure& figure, const Palette& palette);
/// Where a place of the plan stands, and the place under a point; the tank's footprint fits the area.
QRectF tankFootprint(const QRectF& area, const TankFigure& figure);
QPointF tankPoint(const QRectF& area, const TankFigure& figure, double x_mm, double y_mm);
/// The mark nearest to a point, within a finger's reach.
std::optional<std::size_t> markNear(const QRectF& area, const TankFigure& figure, const QPointF& point);

/// Levels over weeks as steps, today's marked; what is past is drawn heavy.
void paintRamp(QPainter& painter, const QRectF& area, const std::vector<DatedStep>& steps,
               const QString& today, const Palette& palette);

/// What one spot had over time.
struct SpotHistory {
    QString name;
    std::vector<std::pair<double, double>> points;  ///< day, PPFD
    bool lost = false;
    QString change = {};  ///< between the looks that are compared: "−49 %"; empty: not read at both
};
void paintHistories(QPainter& painter, const QRectF& area, const std::vector<SpotHistory>& histories,
                    const Palette& palette);

}  // namespace glumet
