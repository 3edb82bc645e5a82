#include "core/compare/contender.h"

#include <algorithm>
#include <cmath>
#include <map>

#include "core/base/interval.h"
#include "core/bench/grid.h"
#include "core/bench/plane_grid.h"
#include "core/fit/bench_scene.h"
#include "core/fit/posterior_draws.h"
#include "core/survey/repeatability.h"
#include "core/verdicts/goal_level.h"
#include "core/verdicts/height_schools.h"

namespace glumet {
namespace {

constexpr double kUnknownNoise = 0.03;  // of a reading without a swing of its own
constexpr double kLeastNoise = 0.01;
constexpr double kPlacingMm = 4.0;
constexpr int kFewestRepeats = 6;
constexpr double kDarkShare = 0.01;  // of the mean; less dark light is none
constexpr double kGoodMeter = 0.05;
constexpr double kCellMm = 100.0;
constexpr int kDraws = 60;
constexpr std::uint64_t kDrawSeed = 1;

double levelOf(const Configuration& configuration) { return configuration.level_pct.value_or(100.0) / 100.0; }

bool holdsReadings(const Run& run) {
    return std::any_of(run.planes.begin(), run.planes.end(), [](const Plane& plane) {
        return std::any_of(plane.readings.begin(), plane.readings.end(),
                           [](const Reading& reading) { return reading.counts(); });
    });
}

bool holdsAnything(const Run& run) {
    return holdsReadings(run) || std::any_of(run.planes.begin(), run.planes.end(),
                                             [](const Plane& plane) { return !plane.means.empty(); });
}

bool anythingRead(const Bench& bench, const Sweep& sweep) {
    return std::any_of(sweep.runs.begin(), sweep.runs.end(),
                       [&](Id run) { return holdsAnything(bench.run(run)); });
}

/// The sweep's run at that height that holds most, else the nearest; the later of two alike.
const Run* runNear(const Bench& bench, const Sweep& sweep, Millimetre height) {
    const Run* best = nullptr;
    const auto apart = [&](const Run& run) { return std::abs((run.height - height).value()); };
    for (const Id id : sweep.runs) {
        const auto& run = bench.run(id);
        if (!holdsAnything(run)) continue;
        if (best == nullptr || apart(run) <= apart(*best) + kSamePointMm) best = &run;
    }
    return best;
}

double swingOf(const Reading& reading) {
    if (!reading.min || !reading.max || reading.mean.value() <= 0.0) return 0.0;
    return (*reading.max - *reading.min) / reading.mean;
}

/// Counted readings of a plane as points: in the order of its grid's cells where they fill one.
ComparedPlane planeOf(const Plane& plane) {
    ComparedPlane out;
    out.depth = plane.depth;
    const auto add = [&](const Reading& r) {
        out.points.push_back({r.x.value(), r.y.value(), r.mean.value(), swingOf(r)});
    };
    if (const auto grid = readGrid(plane)) {
        for (const int index : readingOfCell(*grid, plane.readings))
            if (index >= 0) add(plane.readings[static_cast<std::size_t>(index)]);
        if (out.points.size() == static_cast<std::size_t>(grid->cells())) out.grid = grid;
        return out;
    }
    for (const auto& reading : plane.readings)
        if (reading.counts()) add(reading);
    return out;
}

/// What a probe that is placed off does to a reading, relative: the root mean square of the plane's slopes,
/// along and across, from neighbour to neighbour of its grid.
double placingError(const ComparedPlane& plane) {
    if (!plane.grid) return 0.0;
    const auto columns = static_cast<std::size_t>(plane.grid->columns());
    double squares = 0.0;
    int steps = 0;
    const auto add = [&](const ComparedPoint& a, const ComparedPoint& b) {
        const double apart = std::hypot(b.x_mm - a.x_mm, b.y_mm - a.y_mm);
        const double middle = 0.5 * (a.ppfd + b.ppfd);
        if (apart <= 0.0 || middle <= 0.0) return;
        squares += std::pow((b.ppfd - a.ppfd) / middle / apart * kPlacingMm, 2);
        ++steps;
    };
    for (std::size_t i = 0; i < plane.points.size(); ++i) {
        if (i % columns != 0) add(plane.points[i - 1], plane.points[i]);
        if (i >= columns) add(plane.points[i - columns], plane.points[i]);
    }
    return steps == 0 ? 0.0 : std::sqrt(2.0 * squares / steps);
}

/// A reading's own standard error, root mean square over those that tell it; nothing without any.
std::optional<double> ownError(const Plane& plane) {
    double squares = 0.0;
    int told = 0;
    for (const auto& reading : plane.readings) {
        if (!reading.counts()) continue;
        if (const auto error = reading.relativeStandardError()) {
            squares += *error * *error;
            ++told;
        }
    }
    if (told == 0) return std::nullopt;
    return std::sqrt(squares / told);
}

/// d ln mean / d height at a depth, from the nearest heights read on either side.
double slopeWithHeight(const Bench& bench, const Sweep& sweep, Millimetre height, Millimetre depth) {
    std::map<double, double> means;  // by height
    for (const Id id : sweep.runs) {
        const auto& run = bench.run(id);
        const auto* plane = planeAt(run, depth);
        if (plane == nullptr) continue;
        const double mean = planeOf(*plane).mean();
        if (mean > 0.0) means[run.height.value()] = mean;
    }
    if (means.size() < 2) return 0.0;
    auto above = means.upper_bound(height.value() + kSamePointMm);
    if (above == means.end()) --above;
    auto below = above;
    while (below != means.begin() && (below == above || below->first > height.value() - kSamePointMm))
        --below;
    if (below == above) ++above;
    return std::log(above->second / below->second) / (above->first - below->first);
}

void takeRun(Contender& out, const Bench& bench, const Sweep& sweep, const Run& run, bool keep_level) {
    const auto repeats = repeatabilityOf(bench, sweep.runs);
    for (const auto& plane : run.planes) {
        auto taken = planeOf(plane);
        if (taken.points.empty()) continue;
        const double placing = placingError(taken);
        const double own = std::max(kLeastNoise, ownError(plane).value_or(kUnknownNoise));
        taken.point_error = repeats.pairs >= kFewestRepeats ? repeats.relative_sd : std::hypot(own, placing);
        taken.height_slope = slopeWithHeight(bench, sweep, run.height, plane.depth);
        out.planes.push_back(std::move(taken));
    }
    double mean = 0.0;
    for (const auto& plane : out.planes) mean += plane.mean() / static_cast<double>(out.planes.size());
    if (run.dark_reading && run.dark_reading->value() > kDarkShare * mean)
        out.dark = run.dark_reading->value();
    const double scale = keep_level || out.level <= 0.0 ? 1.0 : 1.0 / out.level;
    for (auto& plane : out.planes)
        for (auto& point : plane.points) point.ppfd = std::max(0.0, point.ppfd - out.dark) * scale;
}

Grid usualGrid(const Tank& tank) {
    const auto cells = [](Millimetre length) {
        return std::max(2, static_cast<int>(std::lround(length.value() / kCellMm)));
    };
    return cellCentres(tank.length, tank.width, cells(tank.length), cells(tank.width));
}

/// Planes to be filled by a fit: those of `like`, else the usual ones.
std::vector<ComparedPlane> blankPlanes(const Bench& bench, const Tank& tank, const Contender* like) {
    std::vector<ComparedPlane> out;
    if (like != nullptr && like->speaks()) {
        for (const auto& plane : like->planes) {
            auto& blank = out.emplace_back();
            blank.depth = plane.depth;
            blank.grid = plane.grid;
            blank.points = plane.points;
            for (auto& point : out.back().points) point.swing = 0.0;
        }
        return out;
    }
    for (const auto depth : judgedDepths(bench.method.goal, tank.water_depth, Over::Points)) {
        ComparedPlane plane;
        plane.depth = Millimetre(std::round(depth.value()));
        plane.grid = usualGrid(tank);
        for (int row = 0; row < plane.grid->rows(); ++row)
            for (int column = 0; column < plane.grid->columns(); ++column)
                plane.points.push_back({plane.grid->xs_mm[static_cast<std::size_t>(column)],
                                        plane.grid->ys_mm[static_cast<std::size_t>(row)]});
        out.push_back(std::move(plane));
    }
    return out;
}

/// Values of a model over places of a plane: as it is, how far all of them are in doubt, and draw by draw.
void fillPlane(ComparedPlane& plane, const LightModel& model, const LightScene& scene, double level) {
    std::vector<BasisField::Point> places;
    for (const auto& point : plane.points) places.push_back({point.x_mm, point.y_mm, plane.depth.value()});
    const auto values = predict(model, scene, places);
    double error = 0.0;
    for (std::size_t i = 0; i < values.size(); ++i) {
        plane.points[i].ppfd = values[i].ppfd / level;
        if (values[i].ppfd > 0.0)
            error += (values[i].hi - values[i].lo) / (2.0 * kInterval95 * values[i].ppfd) /
                     static_cast<double>(values.size());
    }
    plane.common_error = error;
    // A misfit is smooth: half of its variance goes along with the whole plane.
    plane.point_error = plane.drawn_error = model.misfit / std::sqrt(2.0);
    const DrawnField field(model, scene, places);
    PosteriorDraws draws(model, kDrawSeed);
    for (int draw = 0; draw < kDraws; ++draw) {
        plane.draws.push_back(field.values(draws.next()));
        for (auto& value : plane.draws.back()) value /= level;
    }
}

void takeFit(Contender& out, const Bench& bench, const Tank& tank, const FitResult& fit,
             const Contender* like) {
    const bool at_home = std::find(fit.tanks.begin(), fit.tanks.end(), tank.id) != fit.tanks.end();
    const auto model = at_home ? fit.model : fit.model.elsewhere();
    auto scene = tankByFit(fit, tank, out.configuration.water == WaterState::Dry);
    auto settings = out.configuration;
    settings.placement = {};
    hangRun(scene, settings, out.height, 1.0, {});
    out.planes = blankPlanes(bench, tank, like);
    for (auto& plane : out.planes) fillPlane(plane, model, scene, out.level > 0.0 ? out.level : 1.0);
    out.basis = fit.means > 0 && fit.means == static_cast<int>(fit.residuals.size()) ? LightBasis::Charted
                                                                                     : LightBasis::Modelled;
}

void takePower(Contender& out, const Bench& bench, const Sweep& sweep, const Run& run) {
    const auto* fixture = byId(bench.fixtures, out.configuration.fixture);
    auto drawn = run.power();
    for (const Id id : sweep.runs)
        if (!drawn) drawn = bench.run(id).power();
    const double level = out.level > 0.0 ? out.level : 1.0;
    if (drawn) {
        out.power = *drawn * (1.0 / level);
    } else if (fixture != nullptr && fixture->rated_power) {
        out.power = *fixture->rated_power * powerShare(*fixture, out.configuration.preset).value_or(1.0);
        out.power_is_rated = true;
    }
}

}  // namespace

double ComparedPlane::mean() const {
    double sum = 0.0;
    for (const auto& point : points) sum += point.ppfd;
    return points.empty() ? 0.0 : sum / static_cast<double>(points.size());
}

std::vector<const Sweep*> comparedSweeps(const Bench& bench, const std::vector<Sweep>& sweeps) {
    std::vector<const Sweep*> out;
    for (const auto& sweep : sweeps) {
        const auto* fixture = byId(bench.fixtures, sweep.configuration.fixture);
        const bool a_channel = fixture != nullptr && fixture->channels.size() > 1 &&
                               soleChannel(*fixture, sweep.configuration.preset) != nullptr;
        if (sweep.configuration.fixtures == 1 && !a_channel && anythingRead(bench, sweep))
            out.push_back(&sweep);
    }
    return out;
}

Id commonTank(const std::vector<const Sweep*>& sweeps) {
    std::map<Id, int> counts;
    Id best = 0;
    for (const auto* sweep : sweeps) ++counts[sweep->configuration.tank];
    for (const auto* sweep : sweeps) {
        const Id tank = sweep->configuration.tank;
        if (tank != 0 && (best == 0 || counts[tank] > counts[best])) best = tank;
    }
    return best;
}

void nameApart(const Bench& bench, std::vector<Contender>& contenders) {
    for (auto& contender : contenders) {
        auto shown = contender.configuration;
        const auto shared = [&](auto part) {
            return std::all_of(contenders.begin(), contenders.end(), [&](const Contender& other) {
                return other.configuration.fixture != shown.fixture ||
                       other.configuration.*part == contender.configuration.*part;
            });
        };
        if (shared(&Configuration::preset)) shown.preset = 0;
        if (shared(&Configuration::level_pct)) shown.level_pct.reset();
        if (shared(&Configuration::water)) shown.water = WaterState::Still;
        if (shared(&Configuration::turn_deg)) shown.turn_deg = 0.0;
        contender.name = configurationName(bench, shown);
    }
}

Millimetre ownHeight(const Bench& bench, const Sweep& sweep, HeightSchool school) {
    const auto options = schoolOptions(bench, sweep);
    const auto answers = heightSchools(bench, sweep, options);
    for (const auto asked : {school, HeightSchool::SpillLimit})
        for (const auto& verdict : answers)
            if (verdict.school == asked && verdict.speaks()) return *verdict.height;
    std::vector<Millimetre> heights;
    for (const Id run : sweep.runs)
        if (holdsAnything(bench.run(run))) heights.push_back(bench.run(run).height);
    return heights.empty() ? Millimetre(0) : heights[heights.size() / 2];
}

Contender contenderOf(const Bench& bench, const Sweep& sweep, const ComparePlace& place, const FitResult* fit,
                      const Contender* like) {
    Contender out;
    out.configuration = sweep.configuration;
    out.name = configurationName(bench, sweep.configuration);
    out.runs = sweep.runs;
    out.own_height = !place.height;
    out.height =
        place.height ? *place.height : ownHeight(bench, sweep, place.school.value_or(bench.method.school));
    out.level = levelOf(sweep.configuration);
    out.height_error_mm = bench.method.height_error.value();
    const auto* meter = byId(bench.meters, sweep.configuration.meter);
    out.meter_error = meter == nullptr ? kGoodMeter : meter->relative_uncertainty;
    const auto* run = runNear(bench, sweep, out.height);
    out.tank = place.tank != 0 ? place.tank : sweep.configuration.tank;
    const auto* tank = byId(bench.tanks, out.tank);
    if (run == nullptr) {
        out.missing = say(GLUMET_SAY("Core", "Nothing has been read of it."));
        return out;
    }
    out.run = run->id;
    takePower(out, bench, sweep, *run);
    const bool here = place.tank == 0 || place.tank == sweep.configuration.tank;
    const bool at_height = std::abs((run->height - out.height).value()) <= kSamePointMm;
    if (here && at_height && holdsReadings(*run)) {
        takeRun(out, bench, sweep, *run, place.keep_levels);
        const auto lit = [](const ComparedPlane& plane) { return plane.mean() > 0.0; };
        if (std::none_of(out.planes.begin(), out.planes.end(), lit)) {
            out.planes.clear();
            out.missing = say(GLUMET_SAY("Core", "Its readings carry no light."));
        }
        return out;
    }
    if (fit != nullptr && tank != nullptr) {
        takeFit(out, bench, *tank, *fit, like);
    } else {
        out.missing =
            !here ? say(GLUMET_SAY("Core", "It was not read in this tank, and no fit speaks for it."))
            : at_height
                ? say(GLUMET_SAY("Core", "Only means of it were published, and no fit speaks for it."))
                : say(GLUMET_SAY("Core", "It was not read at {}, and no fit speaks for it."), out.height);
    }
    return out;
}

std::vector<Contender> contendersOf(const Bench& bench, const std::vector<Sweep>& sweeps,
                                    const ComparePlace& place, const FitOf& fit_of) {
    auto at = place;
    const auto compared = comparedSweeps(bench, sweeps);
    if (at.tank == 0) at.tank = commonTank(compared);
    std::vector<Contender> out;
    const Contender* like = nullptr;
    out.reserve(compared.size());
    for (const auto* sweep : compared) {
        out.push_back(contenderOf(bench, *sweep, at, nullptr));
        if (like == nullptr && out.back().speaks()) like = &out.back();
    }
    nameApart(bench, out);
    if (!fit_of) return out;
    for (std::size_t i = 0; i < compared.size(); ++i)
        if (!out[i].speaks())
            if (const auto* fit = fit_of(*compared[i]))
                out[i] = contenderOf(bench, *compared[i], at, fit, like);
    nameApart(bench, out);
    return out;
}

}  // namespace glumet
