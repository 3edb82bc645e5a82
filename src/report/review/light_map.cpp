#include "report/review/light_map.h"

#include <algorithm>

#include "core/verdicts/array.h"
#include "report/palette.h"
#include "report/plan_figure.h"

namespace glumet {
namespace {

constexpr double kLightMapWide = 520.0;
constexpr double kLowest = 120.0;
constexpr double kMapMargin = 8.0;

}  // namespace

PageFigure lightMap(LightScene scene, const Tank& tank, Millimetre depth, double level, const Band& band) {
    ArrayQuestion where;
    where.tank = scene;
    const auto points = arrayPoints(where);
    FastField field(std::move(scene));
    PlanData plan;
    plan.length = tank.length;
    plan.width = tank.width;
    plan.walls = tank.walls;
    plan.obstacles = tank.obstacles;
    plan.grid = points.grid;
    plan.band = band;
    for (const double value : field.onPlane(depth, points.all)) {
        plan.values.emplace_back(Ppfd(value * level));
        plan.scale_top = std::max(plan.scale_top, plan.values.back()->value());
    }
    PageFigure figure;
    const double tall =
        std::clamp(kLightMapWide * tank.width.value() / tank.length.value(), kLowest, kLightMapWide);
    figure.size = QSize(static_cast<int>(kLightMapWide), static_cast<int>(tall));
    figure.paint = [plan](QPainter& p, const QRectF& area, LengthUnit) {
        paintPlan(p, area.adjusted(kMapMargin, kMapMargin, -kMapMargin, -kMapMargin), plan, paper(), false);
    };
    return figure;
}

}  // namespace glumet
