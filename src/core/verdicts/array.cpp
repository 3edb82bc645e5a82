#include "core/verdicts/array.h"

#include <algorithm>
#include <cmath>

#include "core/bench/placement.h"
#include "core/verdicts/band_fill.h"

namespace glumet {

GLUMET_VALUE_COMPILED(ArrayQuestion);
namespace {

constexpr double kQuarterTurn = 90.0;

/// A body's extents along x and y when it is turned.
Footprint outlineOf(const LightModel& model, double x, double y, bool turned) {
    return {x, y, turned ? model.body_width_mm : model.body_length_mm,
            turned ? model.body_length_mm : model.body_width_mm};
}

std::vector<Footprint> outlinesOf(const std::vector<Companion>& companions) {
    std::vector<Footprint> out;
    for (const auto& c : companions)
        out.push_back(
            outlineOf(c.model, c.x_mm, c.y_mm, std::abs(std::cos(c.rotation_deg * M_PI / 180)) < 0.5));
    return out;
}

double rowLength(const ArrayQuestion& q) {
    return q.along == RowAlong::Length ? q.tank.length_mm : q.tank.width_mm;
}

SceneFixture placed(const ArrayQuestion& q, double centre) {
    const bool lengthwise = q.along == RowAlong::Length;
    SceneFixture fixture;
    fixture.x_mm = lengthwise ? centre : 0.5 * q.tank.length_mm;
    fixture.y_mm = lengthwise ? 0.5 * q.tank.width_mm : centre;
    fixture.height_mm = q.height.value();
    fixture.rotation_deg = q.turned ? kQuarterTurn : 0.0;
    return fixture;
}

/// Companions shine with beams of their own and at their own height.
std::optional<Problem> addCompanions(LightScene& scene, const std::vector<Companion>& companions) {
    for (const auto& companion : companions) {
        const auto beam = companion.model.sceneBeam();
        if (!beam) return beam.error();
        scene.beams.push_back(*beam);
        SceneFixture fixture;
        fixture.x_mm = companion.x_mm;
        fixture.y_mm = companion.y_mm;
        fixture.rotation_deg = companion.rotation_deg;
        fixture.height_mm = std::max(1.0, companion.height.value() + companion.model.height_offset_mm);
        fixture.level = companion.level;
        fixture.emitters = companion.model.sceneEmitters(scene.beams.size() - 1);
        fixture.shroud = companion.model.shroud;
        scene.fixtures.push_back(std::move(fixture));
    }
    return std::nullopt;
}

}  // namespace

std::optional<Problem> ArrayQuestion::invalid() const {
    if (count < 1 || count > 20)
        return Problem{"count", say(GLUMET_SAY("Core", "must lie between 1 and 20"))};
    if (!(height.value() > 0.0 && height.value() < 1e5))
        return Problem{"height", say(GLUMET_SAY("Core", "must be above 0 mm"))};
    if (!(step.value() >= 1.0)) return Problem{"step", say(GLUMET_SAY("Core", "must be 1 mm or more"))};
    if (!(share > 0.0 && share <= 1.5))
        return Problem{"share", say(GLUMET_SAY("Core", "must lie between 0 and 150 %"))};
    if (depth && !(depth->value() >= 0.0 && depth->value() <= tank.water_depth_mm))
        return Problem{"depth", say(GLUMET_SAY("Core", "must lie within the water"))};
    if (columns < 0 || rows < 0 || columns > 200 || rows > 200)
        return Problem{"grid", say(GLUMET_SAY("Core", "must have 1 to 200 cells a side"))};
    return limits.wrongHeight(height);
}

RowRoom roomOf(const LightModel& model, const ArrayQuestion& q) {
    const auto body = outlineOf(model, 0, 0, q.turned);
    return RowRoom(q.tank.length_mm, q.tank.width_mm, q.along, body.length_mm, body.width_mm, q.limits,
                   outlinesOf(q.companions));
}

std::vector<double> equallyHung(const LightModel& model, const ArrayQuestion& q) {
    const auto room = roomOf(model, q);
    std::vector<double> centres;
    if (!room.any()) return {};
    for (const auto centre : equalDivision(Millimetre(rowLength(q)), q.count)) {
        const auto place = room.nearest(centre.value());
        if (!place) return {};
        centres.push_back(*place);
    }
    std::sort(centres.begin(), centres.end());
    if (room.allows(centres)) return centres;
    // Long bodies overlap at equal division: side by side from the middle.
    for (int i = 0; i < q.count; ++i)
        centres[static_cast<std::size_t>(i)] = 0.5 * rowLength(q) + (i - 0.5 * (q.count - 1)) * room.body();
    return room.allows(centres) ? centres : std::vector<double>{};
}

void hangRow(LightScene& scene, const ArrayQuestion& q, const std::vector<double>& centres_mm) {
    for (const double centre : centres_mm) scene.fixtures.push_back(placed(q, centre));
}

Expected<LightScene> hung(const LightModel& model, const ArrayQuestion& q,
                          const std::vector<double>& centres_mm) {
    auto scene = q.tank;
    hangRow(scene, q, centres_mm);
    auto lit = sceneWith(model, scene);
    if (!lit) return lit;
    if (const auto wrong = addCompanions(*lit, q.companions)) return tl::make_unexpected(*wrong);
    return lit;
}

LitPoints litPoints(FastField& field, const ArrayQuestion& q, const Goal& goal) {
    const auto points = arrayPoints(q);
    const Millimetre water(q.tank.water_depth_mm);
    LitPoints out;
    for (const auto& plane : field.onPlanes(judgedDepths(goal, water, q.over), points.all))
        out.values.insert(out.values.end(), plane.begin(), plane.end());
    if (goal.floor) out.lowest = field.onPlane(floorDepth(goal, water), points.all);
    return out;
}

namespace {

/// With the spacing that fills the band best.
Expected<CountRow> rowOf(const LightModel& model, const ArrayQuestion& q, std::optional<FastField>& field) {
    const auto answer = bandFill(model, q, field);
    if (!answer) return tl::make_unexpected(answer.error());
    const auto& fill = answer->schools.back();
    const bool keeps = fill.speaks() && answer->steps[fill.step].keeps;
    return CountRow{q.count, q.along, q.turned, fill.best, fill.level_pct, keeps, fill.centres_mm};
}

/// The question with the way in which so many are hung best, by coarse steps; nothing where they fit in none.
Expected<std::optional<ArrayQuestion>> bestWay(const LightModel& model, const ArrayQuestion& question,
                                               std::optional<FastField>& field) {
    constexpr Millimetre kCoarse{20};
    constexpr std::array kWays{std::pair{RowAlong::Length, false}, std::pair{RowAlong::Length, true},
                               std::pair{RowAlong::Width, false}, std::pair{RowAlong::Width, true}};
    std::optional<ArrayQuestion> found;
    std::pair<bool, double> best;
    for (const auto& [along, turned] : kWays) {
        auto way = question;
        way.along = along;
        way.turned = turned;
        // One fixture alone hangs in the middle whichever way the row would run.
        if (equallyHung(model, way).empty() || (way.count == 1 && along == RowAlong::Width)) continue;
        way.step = std::max(question.step, kCoarse);
        const auto row = rowOf(model, way, field);
        if (!row) return tl::make_unexpected(row.error());
        way.step = question.step;
        if (found && std::pair(row->keeps, row->share) <= std::pair(best.first, best.second + 1e-9)) continue;
        best = {row->keeps, row->share};
        found = std::move(way);
    }
    return found;
}

}  // namespace

Expected<std::vector<CountRow>> counts(const LightModel& model, ArrayQuestion question, double goal_share,
                                       int most) {
    std::vector<CountRow> rows;
    std::optional<FastField> field;  // its tables serve every number and way
    question.draws = 0;
    for (question.count = 1; question.count <= most; ++question.count) {
        const auto way = bestWay(model, question, field);
        if (!way) return tl::make_unexpected(way.error());
        if (!*way) break;
        const auto row = rowOf(model, **way, field);
        if (!row) return tl::make_unexpected(row.error());
        rows.push_back(*row);
        if (row->keeps && row->share >= goal_share) break;
    }
    return rows;
}

}  // namespace glumet
