// Measures the light field, fast against ordinary, in one run: light_benchmark [JSON]
#include <sys/resource.h>
#include <xmmintrin.h>

#include <chrono>
#include <cmath>
#include <functional>
#include <thread>

#include "core/base/parallel.h"
#include "core/bench/grid.h"
#include "core/fit/bench_scene.h"
#include "core/light/budget.h"
#include "core/light/exact_field.h"
#include "core/light/fast_field.h"
#include "core/light/sampling.h"
#include "core/light/sum_kernel.h"
#include "results.h"

namespace {

using namespace glumet;  // one small program

double milliseconds(const std::function<void()>& work) {
    const auto start = std::chrono::steady_clock::now();
    work();
    return std::chrono::duration<double, std::milli>(std::chrono::steady_clock::now() - start).count();
}

double median(int times, const std::function<void()>& work) {
    std::vector<double> spent;
    for (int i = 0; i < times; ++i) spent.push_back(milliseconds(work));
    return middle(spent);
}

/// `fixtures` in a row over a tank with three clear walls and a painted back, 60 emitters each.
LightScene planner(int fixtures, int columns, int rows, double height) {
    LightScene scene;
    scene.length_mm = 1200.0;
    scene.width_mm = 600.0;
    scene.water_depth_mm = 600.0;
    scene.walls = {SceneWall::glass(), SceneWall::glass(), SceneWall::glass(), SceneWall::opaque(0.05)};
    scene.beams = {*Beam::halfAngle(55.0)};
    Fixture body;
    body.emitters.columns = columns;
    body.emitters.rows = rows;
    body.emitters.pitch_x = Millimetre(24.0);
    body.emitters.pitch_y = Millimetre(24.0);
    for (int i = 0; i < fixtures; ++i) {
        SceneFixture fixture;
        fixture.x_mm = scene.length_mm * (i + 1.0) / (fixtures + 1.0);
        fixture.y_mm = 300.0;
        fixture.height_mm = height;
        fixture.emitters = latticeEmitters(body, PhotonFlux(120.0), 0);
        scene.fixtures.push_back(fixture);
    }
    return scene;
}

std::vector<std::array<double, 2>> gridPoints(const LightScene& scene, int nx, int ny) {
    std::vector<std::array<double, 2>> points;
    const auto grid = cellCentres(Millimetre(scene.length_mm), Millimetre(scene.width_mm), nx, ny);
    for (const double y : grid.ys_mm)
        for (const double x : grid.xs_mm) points.push_back({x, y});
    return points;
}

const std::array kDepths{Millimetre(150), Millimetre(300), Millimetre(450)};

/// The same sums as a plain loop over every point, both cores.
std::vector<double> ordinary(const LightScene& scene, const std::vector<std::array<double, 2>>& points) {
    const ExactField exact(scene);
    std::vector<double> values(points.size() * kDepths.size());
    forEachIndex(values.size(), 0, [&](std::size_t i) {
        const auto& at = points[i % points.size()];
        values[i] = exact.at(Millimetre(at[0]), Millimetre(at[1]), kDepths[i / points.size()]).value();
    });
    return values;
}

void planes(Results& results) {
    auto scene = planner(3, 10, 6, 200.0);
    const auto points = gridPoints(scene, 11, 6);
    FastField fast(scene);
    fast.onPlanes(kDepths, points);
    double height = 201.0;
    const double cold = median(101, [&] {
        for (auto& fixture : scene.fixtures) fixture.height_mm = height;
        height += 0.5;
        fast.setScene(scene);
        fast.onPlanes(kDepths, points);
    });
    double x = 290.0;
    const double move = median(301, [&] {
        scene.fixtures[0].x_mm = x;
        x += 0.05;
        fast.setScene(scene);
        fast.onPlanes(kDepths, points);
    });
    std::vector<double> reference;
    const double plain = median(9, [&] { reference = ordinary(scene, points); });
    double worst = 0.0;
    const auto tabulated = fast.onPlanes(kDepths, points);
    for (std::size_t i = 0; i < reference.size(); ++i)
        worst =
            std::max(worst, std::abs(tabulated[i / points.size()][i % points.size()] / reference[i] - 1.0));
    results.add("light_new_height_ms", "3 x 60 emitters, 3 planes x 66 points: new height", cold, "ms",
                "bar 3");
    results.add("light_sideways_ms", "the same: one fixture moved sideways", move, "ms", "bar 1");
    results.add("light_ordinary_ms", "the same sums, ordinary evaluation, both cores", plain, "ms", "");
    results.add("light_ratio_move", "ordinary / sideways move", plain / move, "x", "");
    results.add("light_worst_error", "greatest relative difference of the two, 1e-4", worst * 1e4, "",
                "bar 1");
}

void volume(Results& results) {
    auto scene = planner(3, 10, 6, 200.0);
    FastField fast(scene);
    double height = 210.0;
    LightVolume sampled;
    const double cold = median(15, [&] {
        for (auto& fixture : scene.fixtures) fixture.height_mm = height;
        height += 1.0;
        fast.setScene(scene);
        sampled = *sampleVolume(fast, Millimetre(20));
    });
    const double warm = median(15, [&] { sampled = *sampleVolume(fast, Millimetre(20)); });
    FastField single(scene, {.threads = 1});
    (void)sampleVolume(single, Millimetre(20));
    const double alone = median(5, [&] { (void)sampleVolume(single, Millimetre(20)); });
    // The ordinary way on every hundredth node, so that the comparison ends within the minute.
    const ExactField exact(scene);
    std::vector<std::size_t> some;
    for (std::size_t i = 0; i < sampled.nodes(); i += 100) some.push_back(i);
    const std::size_t layer = sampled.xs_mm.size() * sampled.ys_mm.size();
    const double plain = milliseconds([&] {
        std::vector<double> values(some.size());
        forEachIndex(some.size(), 0, [&](std::size_t k) {
            const std::size_t i = some[k];
            values[k] = exact
                            .at(Millimetre(sampled.xs_mm[i % sampled.xs_mm.size()]),
                                Millimetre(sampled.ys_mm[i % layer / sampled.xs_mm.size()]),
                                Millimetre(sampled.depths_mm[i / layer]))
                            .value();
        });
    });
    const auto effort = fast.effort();
    results.add("volume_ms", "volume 1200x600x600 at 20 mm, 54 000 nodes, new height", cold, "ms", "bar 100");
    results.add("volume_warm_ms", "the same, tables at hand", warm, "ms", "");
    results.add("volume_one_thread_ms", "the same on one core", alone, "ms", "");
    results.add("volume_ordinary_ms", "ordinary, both cores (1 % of the nodes x 100)", plain * 100.0, "ms",
                "");
    results.add("volume_ratio", "ordinary / fast", plain * 100.0 / cold, "x", "");
    results.add("volume_table_kib", "one table",
                static_cast<double>(effort.table_bytes) / static_cast<double>(effort.tables) / 1024.0, "KiB",
                "");
}

/// What one look-up costs on one core against what fetching and turning its coefficients alone costs: 16
/// bytes a receiver from a table in the first cache, four at a time.
void bound(Results& results) {
    auto scene = planner(3, 10, 6, 200.0);
    for (auto& wall : scene.walls) wall = SceneWall::opaque(0.0);
    FastField fast(scene, {.threads = 1});
    (void)sampleVolume(fast, Millimetre(20));
    double nodes = 0.0;
    const double spent =
        median(9, [&] { nodes = static_cast<double>(sampleVolume(fast, Millimetre(20))->nodes()); });
    const double look_up = spent * 1e6 / (nodes * 180.0);
    constexpr std::size_t kLookUps = 1 << 14;
    std::vector<float> table(4 * 186, 1.0F);
    std::vector<std::uint32_t> cells;
    for (std::size_t i = 0; i < kLookUps; ++i) cells.push_back(static_cast<std::uint32_t>(i * 37 % 186));
    __m128 sum = _mm_setzero_ps();
    const double floor = median(201, [&] {
        for (std::size_t i = 0; i < kLookUps; i += 4) {
            __m128 a = _mm_loadu_ps(&table[4 * cells[i]]);
            __m128 b = _mm_loadu_ps(&table[4 * cells[i + 1]]);
            __m128 c = _mm_loadu_ps(&table[4 * cells[i + 2]]);
            __m128 d = _mm_loadu_ps(&table[4 * cells[i + 3]]);
            _MM_TRANSPOSE4_PS(a, b, c, d);
            sum = _mm_add_ps(sum, _mm_add_ps(_mm_add_ps(a, b), _mm_add_ps(c, d)));
        }
    });
    const volatile float kept = _mm_cvtss_f32(sum);  // the sum is used, so it is computed
    (void)kept;
    results.add("look_up_ns", "one direct look-up, one core", look_up, "ns", "");
    results.add("look_up_floor_ns", "its coefficients fetched and turned, SSE, alone", floor * 1e6 / kLookUps,
                "ns", "");
}

/// How cost grows: each line relative to the first.
void growth(Results& results) {
    const auto cost = [](const LightScene& scene, double pitch) {
        FastField fast(scene);
        (void)sampleVolume(fast, Millimetre(pitch));
        return median(5, [&] { (void)sampleVolume(fast, Millimetre(pitch)); });
    };
    const double base = cost(planner(2, 10, 6, 200.0), 30.0);
    results.add("growth_emitters", "cost of 4 x the emitters", cost(planner(2, 20, 12, 200.0), 30.0) / base,
                "x", "linear 4");
    results.add("growth_nodes", "cost of 8 x the nodes", cost(planner(2, 10, 6, 200.0), 15.0) / base, "x",
                "linear 8");
    auto dark = planner(2, 10, 6, 200.0);
    for (auto& wall : dark.walls) wall = SceneWall::opaque(0.0);
    auto clear = planner(2, 10, 6, 200.0);
    clear.walls.fill(SceneWall::glass());
    results.add("growth_images", "four clear walls / walls that absorb", cost(clear, 30.0) / cost(dark, 30.0),
                "x", "");
}

/// Beams that are not round, and things in the way, against the same scene without.
void unround(Results& results) {
    const auto round = planner(3, 10, 6, 200.0);
    const auto cost = [&](const LightScene& scene, double pitch) {
        FastField fast(scene);
        (void)sampleVolume(fast, Millimetre(pitch));
        return median(9, [&] { (void)sampleVolume(fast, Millimetre(pitch)); });
    };
    const auto exact = [](const LightScene& scene) {
        const ExactField field(scene);
        return median(9, [&] {
            for (const auto& at : gridPoints(scene, 6, 4))
                (void)field.at(Millimetre(at[0]), Millimetre(at[1]), Millimetre(300));
        });
    };
    auto planes = round;
    std::vector<double> theta;
    for (int degree = 0; degree <= 90; degree += 5) theta.push_back(degree);
    std::vector<std::vector<double>> relative;
    for (int plane = 0; plane <= 6; ++plane) {
        auto& list = relative.emplace_back();
        for (const double t : theta) list.push_back(std::exp(-t * t / (900.0 + 300.0 * plane)));
    }
    planes.beams = {*Beam::planes(theta, {0, 15, 30, 45, 60, 75, 90}, relative)};
    auto table = round;
    table.beams = {*Beam::table(theta, relative[3])};
    auto obstacles = round;
    for (int i = 0; i < 10; ++i) {
        const double x = 60.0 + 110.0 * i;
        const double y = 60.0 + 130.0 * (i % 4);
        obstacles.obstacles.push_back(
            i == 9 ? SceneObstacle::box({560, 0, -20}, {600, 600, -8}, 0.9)
                   : SceneObstacle::box({x, y, 300.0 + 20 * i}, {x + 80, y + 70, 360.0 + 20 * i}));
    }
    const double base = cost(round, 20.0);
    results.add("planes_ratio", "volume by seven planes / by one table of the same angles",
                cost(planes, 20.0) / cost(table, 20.0), "x", "bar 2");
    results.add("obstacles_ratio", "volume past ten obstacles / without", cost(obstacles, 20.0) / base, "x",
                "bar 3");
    double height = 210.0;
    FastField fast(obstacles);
    results.add("volume_obstacles_ms", "volume past ten obstacles, new height",
                median(9,
                       [&] {
                           for (auto& fixture : obstacles.fixtures) fixture.height_mm = height;
                           height += 1.0;
                           fast.setScene(obstacles);
                           (void)sampleVolume(fast, Millimetre(20));
                       }),
                "ms", "bar 400");
    results.add("planes_exact_ratio", "exact, seven planes / round", exact(planes) / exact(table), "x", "");
    results.add("obstacles_exact_ratio", "exact, ten obstacles / none", exact(obstacles) / exact(round), "x",
                "");
}

void others(Results& results) {
    const auto scene = planner(3, 10, 6, 200.0);
    results.add("budget_ms", "budget of light, 180 emitters",
                median(3, [&] { (void)lightBudget(scene, kDepths); }), "ms", "");
    const ExactField exact(scene);
    results.add(
        "slopes_us", "all slopes at one point, 180 emitters",
        1e3 * median(51, [&] { (void)exact.slopesAt(Millimetre(410), Millimetre(210), Millimetre(300)); }),
        "us", "");
    const Beam beam = *Beam::halfAngle(55.0);
    double height = 200.0;
    results.add(
        "table_us", "one table made",
        1e3 * median(51,
                     [&] {
                         (void)tabulate(beam, Attenuation{}, {height += 0.1, 300.0, 1.333, 0, 0}, 4e6, 1e-4);
                     }),
        "us", "");
    rusage usage{};
    getrusage(RUSAGE_SELF, &usage);
    results.add("light_peak_mib", "peak memory of this benchmark",
                static_cast<double>(usage.ru_maxrss) / 1024.0, "MiB", "");
}

}  // namespace

int main(int argc, char** argv) {
    Results results;
    std::printf("light field, %s, %u threads\n", kernel::instructionSet(),
                std::thread::hardware_concurrency());
    planes(results);
    volume(results);
    bound(results);
    growth(results);
    unround(results);
    others(results);
    if (argc > 1) results.write(argv[1]);
    return 0;
}
