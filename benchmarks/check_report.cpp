// How many planted mistakes the checks at the tank find, and how many sound readings they doubt: a table for
// docs/method.md. Usage: glumet_check_report [FIXTURES [SEED]]
#include <algorithm>
#include <array>
#include <cmath>
#include <cstdio>
#include <cstdlib>
#include <random>
#include <set>

#include "core/bench/grid.h"
#include "core/fit/fit.h"
#include "core/simulation/demo_scenario.h"
#include "core/survey/point_doubts.h"

namespace {

using namespace glumet;  // one small program

/// A fixture nobody has seen: cluster, bar, panel or pair, with a plain, wide or batwing beam.
void inventFixture(Bench& bench, std::mt19937_64& random) {
    const auto pick = [&](double low, double high) {
        return std::uniform_real_distribution(low, high)(random);
    };
    auto& f = bench.fixtures.front();
    f.name = "invented";
    const int kind = static_cast<int>(pick(0, 4));
    f.emitters.columns = kind == 0 ? 4 : kind == 1 ? 18 : kind == 2 ? 10 : 2;
    f.emitters.rows = kind == 0 ? 3 : kind == 2 ? 7 : 1;
    f.emitters.pitch_x = Millimetre(kind == 3 ? pick(180, 320) : pick(20, 36));
    f.emitters.pitch_y = Millimetre(pick(20, 36));
    f.emitters.size = Millimetre(kind == 3 ? 70 : 16);
    f.flux = PhotonFlux(pick(60, 250));
    f.beam = pick(0, 1) < 0.3 ? *Beam::table({0, 15, 30, 38, 50, 65, 80, 90},
                                             {0.72, 0.8, 0.96, 1.0, 0.72, 0.28, 0.05, 0.0})
                              : *Beam::halfAngle(pick(32, 62));
}

struct Tally {
    int planted = 0;
    int caught = 0;
    void add(bool found) {
        ++planted;
        caught += found ? 1 : 0;
    }
    double share() const { return planted == 0 ? 0.0 : 100.0 * caught / planted; }
};

struct Report {
    Tally strong_by_fit;
    Tally visible_by_fit;
    int doubted_by_fit = 0;
    Tally strong;   // moved at least 30 mm or made wrong by 12 %, and off by 12 % or more
    Tally slips;    // moved at least 30 mm, whatever that did to the reading
    Tally visible;  // moved at least 30 mm and off by 6 % or more
    int sound = 0;
    int doubted = 0;
};

/// One height of a sweep is measured with mistakes in one reading of twelve.
void measure(std::uint64_t seed, Report& report) {
    std::mt19937_64 random(seed);
    const auto pick = [&](double low, double high) {
        return std::uniform_real_distribution(low, high)(random);
    };
    auto bench = demoBench();
    inventFixture(bench, random);
    const auto& tank = bench.tanks.front();
    std::set<std::tuple<std::size_t, std::size_t, std::size_t>> wrong;
    std::vector<std::tuple<std::size_t, std::size_t, std::size_t, double, bool>> planted;
    for (const double height : {150.0, 200.0, 250.0}) {
        Run run;
        run.id = static_cast<Id>(bench.runs.size()) + 1;
        run.fixture = bench.fixtures.front().id;
        run.tank = tank.id;
        run.height = Millimetre(height);
        BenchNoise noise;
        noise.ripple_sd = pick(0.05, 0.15);
        noise.placing_sd_mm = 4.0 / std::sqrt(2.0);
        Run hung = run;
        hung.height = Millimetre(height + 2.5 * std::normal_distribution()(random));
        auto scene = sceneOf(bench, hung);
        for (auto& fixture : scene.fixtures) {  // nobody hangs a lamp in the very middle
            fixture.x_mm += 3.0 * std::normal_distribution()(random);
            fixture.y_mm += 3.0 * std::normal_distribution()(random);
        }
        SimulatedBench sim(scene, noise, seed * 31 + static_cast<std::uint64_t>(height));
        FastField truth(scene);
        for (const double depth : {150.0, 300.0, 450.0}) {
            Plane plane;
            plane.depth = Millimetre(depth);
            plane.grid = cellCentres(tank.length, tank.width, 6, 6);
            for (const auto cell : serpentine(*plane.grid)) {
                const double x = plane.grid->xs_mm[static_cast<std::size_t>(cell.column)];
                const double y = plane.grid->ys_mm[static_cast<std::size_t>(cell.row)];
                const bool plants = pick(0, 12) < 1;
                const bool slips = plants && pick(0, 1) < 0.5;
                double dx = 0.0;
                double dy = 0.0;
                if (slips) {
                    const double far = pick(30, 60);
                    const double way = pick(0, 2 * M_PI);
                    dx = far * std::cos(way);
                    dy = far * std::sin(way);
                }
                const double sx = std::clamp(x + dx, 0.0, tank.length.value());
                const double sy = std::clamp(y + dy, 0.0, tank.width.value());
                auto reading = sim.read(Millimetre(sx), Millimetre(sy), plane.depth);
                reading.x = Millimetre(x);
                reading.y = Millimetre(y);
                double effect = 0.0;
                const auto at = [&](double px, double py) {
                    const std::array<double, 2> p{px, py};
                    return truth.onPlane(plane.depth, {&p, 1}).front();
                };
                if (slips) effect = at(sx, sy) / at(x, y) - 1.0;
                if (plants && !slips) {
                    effect = pick(0.12, 0.30) * (pick(0, 1) < 0.5 ? -1.0 : 1.0);
                    reading.mean = reading.mean * (1.0 + effect);
                }
                if (plants)
                    planted.emplace_back(bench.runs.size(), run.planes.size(), plane.readings.size(), effect,
                                         slips);
                plane.readings.push_back(reading);
            }
            run.planes.push_back(plane);
        }
        bench.runs.push_back(run);
    }
    for (const auto& [run, plane, reading, effect, slips] : planted) wrong.insert({run, plane, reading});
    std::set<std::tuple<std::size_t, std::size_t, std::size_t>> by_fit;
    if (const auto fit = fitFixture(bench, {bench.runs[0].id, bench.runs[1].id, bench.runs[2].id})) {
        for (std::size_t r = 0; r < bench.runs.size(); ++r)
            for (std::size_t p = 0; p < bench.runs[r].planes.size(); ++p) {
                const auto& plane = bench.runs[r].planes[p];
                for (const auto& doubt : pointDoubts(bench, bench.runs[r], plane, &*fit))
                    for (std::size_t i = 0; i < plane.readings.size(); ++i)
                        if (cellAt(*plane.grid, plane.readings[i].x, plane.readings[i].y) == doubt.cell)
                            by_fit.insert({r, p, i});
            }
    }
    for (std::size_t r = 0; r < bench.runs.size(); ++r)
        for (std::size_t p = 0; p < bench.runs[r].planes.size(); ++p) {
            const auto& plane = bench.runs[r].planes[p];
            const auto doubts = pointDoubts(bench, bench.runs[r], plane);
            for (std::size_t i = 0; i < plane.readings.size(); ++i) {
                const auto cell = cellAt(*plane.grid, plane.readings[i].x, plane.readings[i].y);
                const bool found = std::any_of(doubts.begin(), doubts.end(),
                                               [&](const PointDoubt& doubt) { return doubt.cell == *cell; });
                if (!wrong.contains({r, p, i})) {
                    ++report.sound;
                    report.doubted += found ? 1 : 0;
                    report.doubted_by_fit += by_fit.contains({r, p, i}) ? 1 : 0;
                }
                for (const auto& [wr, wp, wi, effect, slips] : planted) {
                    if (wr != r || wp != p || wi != i) continue;
                    if (std::abs(effect) >= 0.12) {
                        report.strong.add(found);
                        report.strong_by_fit.add(by_fit.contains({r, p, i}));
                    }
                    if (slips && std::abs(effect) >= 0.06)
                        report.visible_by_fit.add(by_fit.contains({r, p, i}));
                    if (slips) report.slips.add(found);
                    if (slips && std::abs(effect) >= 0.06) report.visible.add(found);
                }
            }
        }
}

}  // namespace

int main(int argc, char** argv) {
    const int fixtures = argc > 1 ? std::atoi(argv[1]) : 40;
    const auto seed = argc > 2 ? static_cast<std::uint64_t>(std::atoll(argv[2])) : 1U;
    Report report;
    for (int i = 0; i < fixtures; ++i) measure(seed * 1000 + static_cast<std::uint64_t>(i), report);
    std::printf("fixtures %d, readings %d\n", fixtures,
                report.sound + report.strong.planted + report.slips.planted);
    std::printf("%-44s %8s %8s %8s\n", "mistake", "planted", "caught", "share");
    const auto row = [](const char* name, const Tally& t) {
        std::printf("%-44s %8d %8d %7.1f%%\n", name, t.planted, t.caught, t.share());
    };
    row("off by 12 % or more (slipped or misread)", report.strong);
    row("slipped 30-60 mm, off by 6 % or more", report.visible);
    row("slipped 30-60 mm, whatever came of it", report.slips);
    std::printf("%-44s %8d %8d %7.2f%%\n", "sound readings, wrongly doubted", report.sound, report.doubted,
                100.0 * report.doubted / report.sound);
    std::printf("by the fit of all nine planes instead:\n");
    row("off by 12 % or more (slipped or misread)", report.strong_by_fit);
    row("slipped 30-60 mm, off by 6 % or more", report.visible_by_fit);
    std::printf("%-44s %8d %8d %7.2f%%\n", "sound readings, wrongly doubted", report.sound,
                report.doubted_by_fit, 100.0 * report.doubted_by_fit / report.sound);
}
