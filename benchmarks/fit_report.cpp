// Fits invented fixtures from simulated readings and compares predicted arrays in a tank twice as long, at
// heights never measured, with the truth: the table of docs/method.md. Usage: fit_report [FIXTURES [SEED
// [RULER_MM [unknown|rings|wrong|next-right|known [KIND]]]]]
#include <algorithm>
#include <array>
#include <chrono>
#include <cmath>
#include <cstdio>
#include <cstdlib>
#include <random>

#include "core/bench/grid.h"
#include "core/bench/placement.h"
#include "core/fit/bench_scene.h"
#include "core/fit/fit.h"
#include "core/simulation/beam_by_planes.h"
#include "core/simulation/demo_scenario.h"
#include "core/words/sentence.h"

namespace {

// How untidy a bench is from run to run, as the fit believes: the mounting height, and the lamp's output.
constexpr double kHungMm = 2.0;
constexpr double kOutput = 0.004;

using namespace glumet;  // one small program

double pick(std::mt19937_64& random, double low, double high) {
    return std::uniform_real_distribution(low, high)(random);
}

struct Invented {
    Fixture fixture;
    Beam beam;
    const char* kind;
    std::vector<SceneEmitter> emitters = {};  ///< instead of the lattice
};

constexpr int kKinds = 11;

/// Behind a linear lens: narrow across (y), wide along (x).
Beam linearLens(double across_deg, double along_deg) {
    return beamByPlanes(90, 7.5, [=](double theta, double phi) {
        const double x = std::tan(std::min(theta, 1.55)) * std::cos(phi) / std::tan(along_deg * M_PI / 180.0);
        const double y =
            std::tan(std::min(theta, 1.55)) * std::sin(phi) / std::tan(across_deg * M_PI / 180.0);
        return std::exp(-std::log(2.0) * (x * x + y * y)) * std::cos(theta);
    });
}

/// A tube in a reflector: a cosine along it, across it a hump at the reflector's angle besides.
Beam tube(double hump_deg, double share) {
    return beamByPlanes(90, 7.5, [=](double theta, double phi) {
        const double along = std::sqrt(std::max(0.0, 1.0 - std::pow(std::sin(theta) * std::cos(phi), 2)));
        const double across = std::abs(std::atan2(std::sin(theta) * std::sin(phi), std::cos(theta)));
        const double hump = std::exp(-std::pow((across - hump_deg * M_PI / 180.0) / 0.28, 2));
        return std::cos(theta) * along * (1.0 - share + share * hump * 1.6) + 0.02 * std::cos(theta);
    });
}

/// A cluster whose lens looks aside by some degrees.
Beam leaning(double half_deg, double lean_deg, double toward) {
    const double power = std::log(0.5) / std::log(std::cos(half_deg * M_PI / 180.0));
    const double s = std::sin(lean_deg * M_PI / 180.0);
    const double c = std::cos(lean_deg * M_PI / 180.0);
    return beamByPlanes(360, 7.5, [=](double theta, double phi) {
        const double cosine = std::cos(theta) * c + std::sin(theta) * s * std::cos(phi - toward);
        return std::pow(std::max(0.0, cosine), power);
    });
}

/// Lenses, batwings, clusters, bars, panels; tubes, linear bars, shrouds, leaning and unequal clusters, wide
/// bars.
Invented invent(int number, std::mt19937_64& random) {
    Fixture f;
    f.id = 1;
    f.name = "invented " + std::to_string(number);
    f.flux = PhotonFlux(pick(random, 60, 250));
    const auto lattice = [&](int columns, int rows, double pitch_x, double pitch_y, double size) {
        f.emitters.columns = columns;
        f.emitters.rows = rows;
        f.emitters.pitch_x = Millimetre(pitch_x);
        f.emitters.pitch_y = Millimetre(pitch_y);
        f.emitters.size = Millimetre(size);
    };
    switch (number % kKinds) {
        case 0:
            lattice(4, 3, 28, 28, 18);
            return {f, *Beam::halfAngle(pick(random, 28, 45)), "lens cluster"};
        case 1: {
            lattice(2, 1, pick(random, 180, 300), 0, 70);
            const double peak = pick(random, 28, 42);
            return {f,
                    *Beam::table({0, 0.4 * peak, 0.8 * peak, peak, 1.35 * peak, 1.75 * peak, 82, 90},
                                 {0.7, 0.79, 0.95, 1.0, 0.72, 0.28, 0.04, 0.0}),
                    "batwing pair"};
        }
        case 2:
            lattice(4, 3, 28, 28, 18);
            return {f, *Beam::halfAngle(pick(random, 50, 62)), "open cluster"};
        case 3:
            lattice(20, 1, 27, 0, 14);
            return {f, *Beam::halfAngle(pick(random, 45, 62)), "bar"};
        case 5: {
            lattice(24, 2, 22, 70, 14);
            return {f, tube(pick(random, 30, 50), pick(random, 0.3, 0.6)), "tube pair"};
        }
        case 6:
            lattice(14, 1, 40, 0, 10);
            return {f, linearLens(pick(random, 20, 30), pick(random, 42, 58)), "linear bar"};
        case 7:
            lattice(10, 6, 34, 34, 0);
            f.shroud_length = Millimetre(10 * 34 + pick(random, 10, 40));
            f.shroud_width = Millimetre(6 * 34 + pick(random, 10, 40));
            f.shroud_drop = Millimetre(45);
            return {f, *Beam::cosinePower(pick(random, 0.9, 1.4)), "shrouded panel"};
        case 8:
            lattice(4, 3, 28, 28, 18);
            return {f, leaning(pick(random, 32, 46), pick(random, 6, 12), pick(random, 0, 6.28)), "leaning"};
        case 9: {
            lattice(2, 1, pick(random, 180, 280), 0, 70);
            Invented out{f, *Beam::halfAngle(pick(random, 32, 50)), "unequal pair"};
            out.emitters = latticeEmitters(f, *f.flux, 0);
            const double more = pick(random, 0.08, 0.2);
            for (auto& e : out.emitters) e.flux_umol_s *= e.dx_mm > 0 ? 1.0 + more : 1.0 - more;
            return out;
        }
        case 10:
            lattice(10, 2, 40, 46, 12);
            return {f, *Beam::halfAngle(pick(random, 45, 62)), "double bar"};
        default:
            lattice(12, 8, 34, 34, 0);
            return {f, *Beam::cosinePower(pick(random, 0.9, 1.4)), "panel"};
    }
}

struct Score {
    double median = 0.0;
    double p95 = 0.0;
    double inside = 0.0;  // share of points whose interval holds the truth
    double seconds = 0.0;
};

/// Ruler off all evening, mm; and whether the fit is told where the emitters are.
double ruler_mm = 0.0;
bool unknown_layout = false;
bool rings_only = false;    ///< twelve ring means of others, 2 % off: four heights, one depth
bool wrong_layout = false;  ///< or is told wrongly: a panel as a point, all else as a small panel
bool next_right = false;    ///< the next tank's ruler is right, only the evening's is off

/// Errors of every fixture's points; and those of one whose light is known without any error: readings see
/// the emitters' offset and the evening's ruler only together, and the next tank has a ruler of its own.
struct Pooled {
    std::vector<double> errors;
    std::vector<double> by_ruler;
};

double percentile(std::vector<double> values, std::size_t percent) {
    std::sort(values.begin(), values.end());
    return values.empty() ? 0.0 : 100 * values[values.size() * percent / 100];
}

Score trial(int number, std::uint64_t seed, Pooled& pooled) {
    std::mt19937_64 random(seed);
    std::normal_distribution<double> normal;
    const auto invented = invent(number, random);
    Bench bench;
    bench.fixtures = {invented.fixture};
    Tank cube;
    cube.id = 1;
    cube.wall(Side::Back) = {WallKind::Opaque, 0.05};
    bench.tanks = {cube};
    const double offset = 3.0 * normal(random);  // of the emitters against where heights are taken from
    const double reflectance = pick(random, 0.0, 0.12);
    const double attenuation = pick(random, 0.0, 0.15);
    const double away_x = 6.0 * normal(random);
    const double away_y = 6.0 * normal(random);
    const auto emitters = invented.emitters.empty()
                              ? latticeEmitters(invented.fixture, *invented.fixture.flux, 0)
                              : invented.emitters;
    const double evening = ruler_mm * normal(random);
    const auto truth = [&](const Tank& tank, const std::vector<double>& centres, double height, bool hung) {
        auto scene = emptyScene(tank, false);
        scene.beams = {invented.beam};
        hangAt(scene, centres,
               Millimetre(height + offset + (hung ? evening + kHungMm * normal(random) : 0.0)),
               hung ? std::exp(kOutput * normal(random)) : 1.0, emitters);
        scene.water.attenuation_per_m = attenuation;
        for (auto& fixture : scene.fixtures) fixture.shroud = sceneShroud(invented.fixture);
        for (auto& channel : scene.channels) channel.attenuation = Attenuation::grey(attenuation);
        scene.walls[3].reflectance = reflectance;
        if (hung)
            for (auto& fixture : scene.fixtures) {
                fixture.x_mm += away_x;
                fixture.y_mm += away_y;
            }
        return scene;
    };
    for (const double height : {150.0, 210.0, 270.0}) {
        Run run;
        run.id = static_cast<Id>(bench.runs.size()) + 1;
        run.fixture = run.tank = 1;
        run.height = Millimetre(height);
        FastField field(truth(cube, {300.0}, height, true));
        for (const double depth : {150.0, 300.0, 450.0}) {
            Plane plane;
            plane.depth = Millimetre(depth);
            plane.grid = cellCentres(cube.length, cube.width, 6, 6);
            for (const auto cell : serpentine(*plane.grid)) {
                const double x = plane.grid->xs_mm[static_cast<std::size_t>(cell.column)];
                const double y = plane.grid->ys_mm[static_cast<std::size_t>(cell.row)];
                const double off = 4.0;
                const std::array<double, 2> p{x + off * normal(random), y + off * normal(random)};
                Reading reading;
                reading.x = Millimetre(x);
                reading.y = Millimetre(y);
                reading.mean =
                    Ppfd(field.onPlane(plane.depth, {&p, 1}).front() * (1.0 + 0.03 * normal(random)));
                plane.readings.push_back(reading);
            }
            run.planes.push_back(plane);
        }
        bench.runs.push_back(run);
    }
    const auto start = std::chrono::steady_clock::now();
    if (wrong_layout) {
        auto& told = bench.fixtures.front().emitters;
        const bool wide = told.columns * told.rows > 40;
        told = wide ? EmitterLattice{} : EmitterLattice{6, 5, Millimetre(50), Millimetre(50), Millimetre(0)};
    }
    FitOptions options;
    std::vector<Id> runs{1, 2, 3};
    if (rings_only) {
        bench.runs.clear();
        runs.clear();
        for (const double height : {150.0, 200.0, 250.0, 300.0}) {
            Run run;
            run.id = static_cast<Id>(bench.runs.size()) + 1;
            run.fixture = run.tank = 1;
            run.height = Millimetre(height);
            FastField field(truth(cube, {300.0}, height, true));
            const auto grid = cellCentres(cube.length, cube.width, 6, 6);
            std::array<double, 3> sums{};
            std::array<int, 3> counts{};
            for (int j = 0; j < 6; ++j)
                for (int i = 0; i < 6; ++i) {
                    const auto ring = static_cast<std::size_t>(std::min({i, j, 5 - i, 5 - j}));
                    const std::array<double, 2> p{grid.xs_mm[static_cast<std::size_t>(i)],
                                                  grid.ys_mm[static_cast<std::size_t>(j)]};
                    sums[ring] += field.onPlane(Millimetre(300), {&p, 1}).front();
                    ++counts[ring];
                }
            run.read_by = "report";
            run.planes = {Plane{}};
            run.planes[0].depth = Millimetre(300);
            for (int ring = 0; ring < 3; ++ring) {
                const auto at = static_cast<std::size_t>(ring);
                run.planes[0].means.push_back(
                    {0, 6, 6, {ring}, Ppfd(sums[at] / counts[at] * (1.0 + 0.02 * normal(random))), 0.02});
            }
            runs.push_back(run.id);
            bench.runs.push_back(run);
        }
    }
    const auto fit =
        unknown_layout ? fitUnknownLayout(bench, runs, options) : fitFixture(bench, runs, options);
    Score score;
    score.seconds = std::chrono::duration<double>(std::chrono::steady_clock::now() - start).count();
    if (!fit) {
        std::printf("%s: %s\n", invented.fixture.name.c_str(), english(fit.error()).c_str());
        return score;
    }
    Tank longer = cube;
    longer.length = Millimetre(1200);
    std::vector<double> errors;
    int inside = 0;
    int all = 0;
    for (const double height : {180.0, 240.0}) {
        const auto centres = std::vector<double>{350.0, 850.0};
        auto scene = truth(longer, centres, height, false);
        FastField real(scene);
        // The next tank has a ruler of its own.
        const double next = (next_right ? 0.0 : ruler_mm) * normal(random);
        auto by_ruler = scene;
        for (auto& fixture : by_ruler.fixtures)
            fixture.height_mm += fit->model.own_offset_share * (offset + evening) - offset - next;
        FastField perfect(by_ruler);
        for (auto& fixture : scene.fixtures) fixture.height_mm -= offset + next;
        // Nobody knows the water and the paint but by the fit.
        scene.water.attenuation_per_m = fit->attenuation_per_m;
        scene.walls[3].reflectance = fit->reflectance;
        for (const double depth : {150.0, 300.0, 450.0}) {
            std::vector<BasisField::Point> points;
            std::vector<std::array<double, 2>> at;
            for (int i = 0; i < 24; ++i)
                for (int j = 0; j < 12; ++j) {
                    at.push_back({(i + 0.5) * 50.0, (j + 0.5) * 50.0});
                    points.push_back({at.back()[0], at.back()[1], depth});
                }
            const auto known = real.onPlane(Millimetre(depth), at);
            const auto said = predict(fit->model.elsewhere(), scene, points);
            const auto at_best = perfect.onPlane(Millimetre(depth), at);
            for (std::size_t i = 0; i < known.size(); ++i) {
                errors.push_back(std::abs(said[i].ppfd / known[i] - 1.0));
                pooled.by_ruler.push_back(std::abs(at_best[i] / known[i] - 1.0));
                inside += known[i] >= said[i].lo && known[i] <= said[i].hi ? 1 : 0;
                ++all;
            }
        }
    }
    pooled.errors.insert(pooled.errors.end(), errors.begin(), errors.end());
    std::sort(errors.begin(), errors.end());
    score.median = errors[errors.size() / 2];
    score.p95 = errors[errors.size() * 95 / 100];
    score.inside = static_cast<double>(inside) / all;
    std::printf(
        "%-14s %7.2f%% %7.2f%% %7.1f%% %7.2f s  %s chi2 %.2f  offset %+.1f (%+.1f) K %.3f (%.3f) rho %.3f "
        "(%.3f) distrusted %d rounds %d misfit %.1f%%\n",
        invented.kind, 100 * score.median, 100 * score.p95, 100 * score.inside, score.seconds,
        wordOf(fit->model.shape), fit->reduced_chi_square, fit->model.height_offset_mm, offset,
        fit->attenuation_per_m, attenuation, fit->reflectance, reflectance, fit->distrusted(),
        fit->iterations, 100 * fit->model.misfit);
    return score;
}

/// What one more reading costs a fit of 324.
void oneMore() {
    auto bench = demoReadings(20261124);
    const std::vector<Id> runs{1, 2, 3};
    auto& plane = bench.runs[2].planes[2];
    std::erase_if(plane.readings, [](const Reading& reading) { return !reading.counts(); });
    const auto reading = plane.readings.back();
    plane.readings.pop_back();
    auto stream = StreamingFit::begin(bench, runs);
    if (!stream) return;
    const auto start = std::chrono::steady_clock::now();
    constexpr int kTimes = 20;
    for (int i = 0; i < kTimes; ++i)
        if (!stream->add(3, plane.depth, reading)) return;
    std::printf(
        "one more reading: %.1f ms\n",
        std::chrono::duration<double>(std::chrono::steady_clock::now() - start).count() * 1e3 / kTimes);
}

}  // namespace

int main(int argc, char** argv) {
    const int fixtures = argc > 1 ? std::atoi(argv[1]) : 20;
    if (fixtures < 1) {
        std::fprintf(
            stderr,
            "fit_report [FIXTURES [SEED [RULER_MM [unknown|rings|wrong|next-right|known [KIND]]]]]\n");
        return 1;
    }
    const auto seed = argc > 2 ? static_cast<std::uint64_t>(std::atoll(argv[2])) : 1U;
    ruler_mm = argc > 3 ? std::atof(argv[3]) : 0.0;
    unknown_layout = argc > 4 && std::string(argv[4]) == "unknown";
    rings_only = argc > 4 && std::string(argv[4]) == "rings";
    wrong_layout = argc > 4 && std::string(argv[4]) == "wrong";
    next_right = argc > 4 && std::string(argv[4]) == "next-right";
    std::printf("%-14s %8s %8s %8s %9s\n", "fixture", "median", "95th", "inside", "time");
    Pooled pooled;
    double inside = 0.0;
    double worst_median = 0.0;
    double worst_p95 = 0.0;
    const int only = argc > 5 ? std::atoi(argv[5]) : -1;  // one kind alone
    for (int i = 0; i < fixtures; ++i) {
        if (only >= 0 && i % kKinds != only) continue;
        const auto score = trial(i, seed * 1000 + static_cast<std::uint64_t>(i), pooled);
        inside += score.inside / fixtures;
        worst_median = std::max(worst_median, score.median);
        worst_p95 = std::max(worst_p95, score.p95);
    }
    oneMore();
    std::printf("pooled: median %.2f%%, 95th %.2f%%; worst fixture %.2f%% / %.2f%%; intervals hold %.1f%%\n",
                percentile(pooled.errors, 50), percentile(pooled.errors, 95), 100 * worst_median,
                100 * worst_p95, 100 * inside);
    std::printf("of it by rulers alone, the light known without error: median %.2f%%, 95th %.2f%%\n",
                percentile(pooled.by_ruler, 50), percentile(pooled.by_ruler, 95));
}
