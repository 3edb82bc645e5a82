#include "core/survey/survey_method.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <set>

#include "core/bench/describing.h"
#include "core/bench/grid.h"
#include "core/bench/placement.h"
#include "core/bench/sweep.h"
#include "core/survey/route.h"
#include "core/words/wording.h"

namespace glumet {

GLUMET_VALUE_COMPILED(SurveyMethod);
namespace {

constexpr int kMostCells = 60;
constexpr double kFewCm = 30.0;         // mm, the usual step of a height sweep
constexpr double kUsualCellMm = 100.0;  // of a grid

std::vector<Millimetre> steps(double from, double step, int count) {
    std::vector<Millimetre> out;
    for (int i = 0; i < count; ++i) out.emplace_back(from + step * i);
    return out;
}

/// Three depths at a quarter, half and four fifths of the water, to the centimetre.
std::vector<Millimetre> threeDepths(const Tank& tank) {
    std::vector<Millimetre> out;
    for (const double share : {0.27, 0.54, 0.8})
        out.emplace_back(std::max(10.0, std::round(share * tank.water_depth.value() / 10.0) * 10.0));
    return out;
}

std::vector<Spot> threeSpots(const Tank& tank) {
    const auto middle = tank.width * 0.5;
    return {{"left", tank.length * 0.2, middle},
            {"middle", tank.length * 0.5, middle},
            {"right", tank.length * 0.8, middle}};
}

Grid gridOfSpots(const std::vector<Spot>& spots) {
    std::set<double> xs;
    std::set<double> ys;
    for (const auto& spot : spots) {
        xs.insert(spot.x.value());
        ys.insert(spot.y.value());
    }
    Grid grid;
    grid.xs_mm.assign(xs.begin(), xs.end());
    grid.ys_mm.assign(ys.begin(), ys.end());
    for (const auto& spot : spots)
        if (const auto cell = cellAt(grid, spot.x, spot.y)) grid.names[*cell] = spot.name;
    for (int column = 0; column < grid.columns(); ++column)
        for (int row = 0; row < grid.rows(); ++row)
            if (!grid.names.contains({column, row})) grid.left_out.push_back({column, row});
    return grid;
}

Grid gridOf(const SurveyMethod& method, const Tank& tank) {
    auto grid = method.spots.empty() ? cellCentres(tank.length, tank.width, method.columns, method.rows)
                                     : gridOfSpots(method.spots);
    leaveOutUnreachable(grid, tank.obstacles);
    return grid;
}

bool known(const Bench& bench, const Run& run) {
    return std::any_of(bench.runs.begin(), bench.runs.end(), [&](const Run& other) {
        const auto has = [&](const Plane& plane) { return planeAt(other, plane.depth) != nullptr; };
        return configurationOf(other) == configurationOf(run) &&
               std::abs((other.height - run.height).value()) <= kSamePointMm &&
               std::all_of(run.planes.begin(), run.planes.end(), has);
    });
}

/// Builds the matrix, one loop an axis.
class Matrix {
  public:
    Matrix(const Bench& bench, const SurveyMethod& method, const SurveySubject& subject, const Tank& tank)
        : bench_(bench), method_(method), subject_(subject), tank_(tank), grid_(gridOf(method, tank)) {}

    NewRuns runs() {
        for (const auto fixture : subject_.fixtures)
            for (const auto& accessory : method_.accessories) addOf(fixture, idOf(accessory));
        return std::move(new_);
    }

  private:
    Id idOf(const std::string& accessory) const {
        for (const auto& known : bench_.accessories)
            if (known.name == accessory) return known.id;
        return 0;
    }

    std::vector<Placement> placements() const {
        std::vector<Placement> out;
        for (const auto spread : method_.spreads)
            out.push_back(placementAt(withSpread(tank_.length, method_.fixtures, spread)));
        if (out.empty()) out.emplace_back();
        return out;
    }

    void addOf(Id fixture, Id accessory) {
        for (const auto& placement : placements())
            for (const auto height : method_.heights)
                for (const auto& preset : method_.presets) {
                    Run run;
                    run.fixture = fixture;
                    run.accessory = accessory;
                    run.tank = tank_.id;
                    run.meter = subject_.meter;
                    run.preset = new_.preset(bench_, fixture, preset);
                    run.level_pct = 100.0;
                    run.height = height;
                    run.fixtures = method_.fixtures;
                    run.placement = placement;
                    run.water = method_.water;
                    add(std::move(run));
                }
    }

    void add(Run run) {
        for (const auto depth : method_.depths) {
            Plane plane;
            plane.depth = depth;
            plane.grid = grid_;
            run.planes.push_back(std::move(plane));
        }
        if (known(bench_, run)) return;
        const auto number = bench_.runs.size() + new_.runs.size() + 1;
        run.label = fmt::format("{:02} {} {}", number, byId(bench_.fixtures, run.fixture)->name,
                                lengthFigure(run.height, LengthUnit::Cm));
        new_.runs.push_back(std::move(run));
    }

    const Bench& bench_;
    const SurveyMethod& method_;
    const SurveySubject& subject_;
    const Tank& tank_;
    Grid grid_;
    NewRuns new_;
};

std::optional<Problem> misfit(const Bench& bench, const SurveyMethod& method, const SurveySubject& subject,
                              const Tank& tank) {
    if (subject.fixtures.empty()) return Problem{"fixture", say(GLUMET_SAY("Core", "is not chosen"))};
    for (const auto id : subject.fixtures)
        if (byId(bench.fixtures, id) == nullptr)
            return Problem{"fixture", say(GLUMET_SAY("Core", "is not described"))};
    for (const auto& name : method.accessories) {
        const auto same = [&](const Accessory& a) { return a.name == name; };
        if (!name.empty() && std::none_of(bench.accessories.begin(), bench.accessories.end(), same))
            return Problem{"accessory", say(GLUMET_SAY("Core", "\"{}\" is not described in Bench"), name)};
    }
    if (method.depths.back() > tank.water_depth)
        return Problem{"depths", say(GLUMET_SAY("Core", "{} is below the bottom of {}"), method.depths.back(),
                                     tank.name)};
    for (const auto& spot : method.spots)
        if (spot.x > tank.length || spot.y > tank.width)
            return Problem{"spots", say(GLUMET_SAY("Core", "\"{}\" lies outside {}"), spot.name, tank.name)};
    for (const auto spread : method.spreads)
        if (spread >= tank.length)
            return Problem{"spreads", say(GLUMET_SAY("Core", "{} does not fit over {}"), spread, tank.name)};
    if (gridOf(method, tank).plannedCells() == 0)
        return Problem{"grid", say(GLUMET_SAY("Core", "no point of it can be reached"))};
    return std::nullopt;
}

}  // namespace

std::optional<Problem> SurveyMethod::invalid() const {
    if (name.empty()) return Problem{"name", say(GLUMET_SAY("Core", "is missing"))};
    if (heights.empty()) return Problem{"heights", say(GLUMET_SAY("Core", "are missing"))};
    if (heights.front().value() <= 0.0)
        return Problem{"heights", say(GLUMET_SAY("Core", "must be above the water"))};
    if (depths.empty()) return Problem{"depths", say(GLUMET_SAY("Core", "are missing"))};
    if (columns < 1 || rows < 1 || columns > kMostCells || rows > kMostCells)
        return Problem{"grid", say(GLUMET_SAY("Core", "must have 1 to 60 columns and rows"))};
    if (presets.empty()) return Problem{"channel mixes", say(GLUMET_SAY("Core", "are missing"))};
    if (accessories.empty()) return Problem{"accessories", say(GLUMET_SAY("Core", "are missing"))};
    if (fixtures < 1 || fixtures > 20)
        return Problem{"how many hang", say(GLUMET_SAY("Core", "must lie between 1 and 20"))};
    if (fixtures < 2 && !spreads.empty())
        return Problem{"spreads", say(GLUMET_SAY("Core", "need two fixtures or more"))};
    return std::nullopt;
}

namespace {

/// The usual depths and grid of a tank, one height: what every ready method begins with.
SurveyMethod usualMethod(const Tank& tank) {
    SurveyMethod base;
    base.depths = threeDepths(tank);
    base.columns = std::clamp(static_cast<int>(std::lround(tank.length.value() / kUsualCellMm)), 3, 20);
    base.rows = std::clamp(static_cast<int>(std::lround(tank.width.value() / kUsualCellMm)), 3, 20);
    base.heights = {Millimetre(200)};
    return base;
}

class ReadyMethods {
  public:
    explicit ReadyMethods(const Tank& tank) : tank_(tank), base_(usualMethod(tank)) {}

    void addSweeps(const Fixture& fixture) {
        add(GLUMET_SAY("Core", "Height sweep"),
            GLUMET_SAY(
                "Core",
                "Raise in steps and read the same shallow plane each time: where light begins to spill."),
            [](SurveyMethod& m) {
                m.heights = steps(120, kFewCm, 7);
                m.depths.resize(1);
            });
        add(GLUMET_SAY("Core", "Three-depth map"),
            GLUMET_SAY("Core", "Three heights, three depths, the whole grid: the field of one fixture."),
            [](SurveyMethod& m) { m.heights = steps(150, 2 * kFewCm, 3); });
        add(GLUMET_SAY("Core", "Spacing sweep"),
            GLUMET_SAY("Core", "Two fixtures moved outward in steps, read at mid depth where they overlap."),
            [&](SurveyMethod& m) {
                m.fixtures = 2;
                m.depths = {base_.depths[1]};
                for (const double share : {0.35, 0.42, 0.5, 0.58})
                    m.spreads.emplace_back(std::round(share * tank_.length.value() / 10.0) * 10.0);
            });
        add(GLUMET_SAY("Core", "Channel by channel"),
            GLUMET_SAY("Core", "Each channel alone at one height, and all together."), [&](SurveyMethod& m) {
                m.depths = {base_.depths.front()};
                for (const auto& channel : fixture.channels) m.presets.push_back(channel.name + " alone");
            });
    }

    void addComparisons(const std::vector<Accessory>& accessories) {
        add(GLUMET_SAY("Core", "With and without"),
            GLUMET_SAY("Core", "The same runs bare and with each accessory."), [&](SurveyMethod& m) {
                m.heights = steps(150, 2 * kFewCm, 3);
                for (const auto& accessory : accessories) m.accessories.push_back(accessory.name);
            });
        add(GLUMET_SAY("Core", "Generation against generation"),
            GLUMET_SAY("Core", "Two fixtures, the same heights and planes, one after the other."),
            [](SurveyMethod& m) { m.heights = steps(150, 2 * kFewCm, 3); });
        add(GLUMET_SAY("Core", "Spots before and after"),
            GLUMET_SAY("Core", "Named places, read before a change and again after it."),
            [&](SurveyMethod& m) {
                m.spots = threeSpots(tank_);
                m.depths = {base_.depths[1]};
                m.presets = {"before", "after"};
            });
        add(GLUMET_SAY("Core", "Blending in air"),
            GLUMET_SAY(
                "Core",
                "Nine places under the fixture in a dry tank, repeated higher up: how channels blend."),
            [](SurveyMethod& m) {
                m.water = WaterState::Dry;
                m.columns = m.rows = 3;
                m.heights = steps(200, 100, 2);
                m.depths = {Millimetre(10)};
            });
    }

    std::vector<SurveyMethod> take() { return std::move(out_); }

  private:
    template <class Change>
    void add(const char* name, const char* purpose, Change change) {
        auto method = base_;
        method.name = name;
        method.purpose = purpose;
        change(method);
        out_.push_back(std::move(method));
    }

    const Tank& tank_;
    SurveyMethod base_;
    std::vector<SurveyMethod> out_;
};

}  // namespace

std::vector<SurveyMethod> readyMethods(const Tank& tank, const Fixture& fixture,
                                       const std::vector<Accessory>& accessories) {
    ReadyMethods ready(tank);
    ready.addSweeps(fixture);
    ready.addComparisons(accessories);
    return ready.take();
}

Expected<NewRuns> plannedRuns(const Bench& bench, const SurveyMethod& method, const SurveySubject& subject) {
    if (const auto wrong = method.invalid()) return tl::make_unexpected(*wrong);
    if (bench.fixtures.empty())
        return problem("", say(GLUMET_SAY("Core", "Describe the fixture first, in Bench")));
    if (bench.tanks.empty()) return problem("", say(GLUMET_SAY("Core", "Describe the tank first, in Bench")));
    const auto* tank = byId(bench.tanks, subject.tank);
    if (tank == nullptr) return problem("tank", say(GLUMET_SAY("Core", "is not chosen")));
    if (const auto wrong = misfit(bench, method, subject, *tank)) return tl::make_unexpected(*wrong);
    return Matrix(bench, method, subject, *tank).runs();
}

std::vector<PartType> fieldsOf(Of<SurveyMethod>) {
    return {field("name", &SurveyMethod::name),
            field("purpose", &SurveyMethod::purpose),
            field("heights_mm", &SurveyMethod::heights),
            field("depths_mm", &SurveyMethod::depths),
            field("columns", &SurveyMethod::columns),
            field("rows", &SurveyMethod::rows),
            field("spots", &SurveyMethod::spots),
            field("presets", &SurveyMethod::presets),
            field("accessories", &SurveyMethod::accessories),
            field("fixtures", &SurveyMethod::fixtures),
            field("spreads_mm", &SurveyMethod::spreads),
            field("water", &SurveyMethod::water)};
}

GLUMET_DESCRIBED(SurveyMethod)

}  // namespace glumet
