// Compares and ranks many fixtures: compare_report [FIXTURES]. Readings are made up: 11 × 6 points at three
// depths and three heights each.
#include <fmt/format.h>

#include <chrono>
#include <cmath>
#include <cstdlib>
#include <memory>
#include <random>

#include "core/bench/grid.h"
#include "core/compare/comparison.h"

namespace {

using namespace glumet;  // NOLINT: one small program

double seconds(const auto& work) {
    const auto from = std::chrono::steady_clock::now();
    work();
    return std::chrono::duration<double>(std::chrono::steady_clock::now() - from).count();
}

Plane planeAt(const Tank& tank, double height, double depth, double width, double level,
              std::mt19937_64& random) {
    std::normal_distribution<double> normal;
    Plane plane;
    plane.depth = Millimetre(depth);
    plane.grid = cellCentres(tank.length, tank.width, 11, 6);
    for (const auto cell : serpentine(*plane.grid)) {
        Reading reading;
        reading.x = Millimetre(plane.grid->xs_mm[static_cast<std::size_t>(cell.column)]);
        reading.y = Millimetre(plane.grid->ys_mm[static_cast<std::size_t>(cell.row)]);
        const double r2 = std::pow((reading.x.value() - 600.0) / width, 2) +
                          std::pow((reading.y.value() - 300.0) / width, 2);
        const double light = level * (30.0 + 280.0 * std::exp(-0.5 * r2 - depth / 500.0 - height / 400.0));
        reading.mean = Ppfd(light * (1.0 + 0.03 * normal(random)));
        plane.readings.push_back(reading);
    }
    return plane;
}

Bench benchOf(int fixtures) {
    Bench bench;
    Tank tank;
    tank.id = 1;
    tank.name = "Raceway";
    tank.length = Millimetre(1200);
    bench.tanks = {tank};
    std::mt19937_64 random(7);
    std::uniform_real_distribution<double> spread(180.0, 420.0);
    std::uniform_real_distribution<double> level(0.7, 1.3);
    for (int i = 0; i < fixtures; ++i) {
        Fixture fixture;
        fixture.id = i + 1;
        fixture.name = fmt::format("Sample {}", i + 1);
        fixture.rated_power = Watt(60.0 + i % 40);
        fixture.price = 100.0 + i;
        bench.fixtures.push_back(fixture);
        const double width = spread(random);
        const double light = level(random);
        for (const double height : {150.0, 200.0, 250.0}) {
            Run run;
            run.id = static_cast<Id>(bench.runs.size()) + 1;
            run.fixture = fixture.id;
            run.tank = 1;
            run.height = Millimetre(height);
            for (const double depth : {150.0, 300.0, 450.0})
                run.planes.push_back(planeAt(tank, height, depth, width, light, random));
            bench.runs.push_back(std::move(run));
        }
    }
    return bench;
}

}  // namespace

int main(int argc, char** argv) {
    const int fixtures = argc > 1 ? std::atoi(argv[1]) : 200;
    const auto bench = std::make_shared<const Bench>(benchOf(fixtures));
    Comparison compared;
    const double ranked = seconds([&] { compared = compareAll(bench, {}, {}); });
    double ties = 0.0;
    int pairs = 0;
    const double paired = seconds([&] {
        for (std::size_t a = 0; a < compared.judged.size(); ++a)
            for (std::size_t b = a + 1; b < compared.judged.size(); ++b) {
                ties += compared.pairOf(a, b).all.tie ? 1.0 : 0.0;
                ++pairs;
            }
    });
    fmt::print("{} fixtures, {} resamples: compared and ranked in {:.2f} s\n", fixtures,
               compared.board.resamples, ranked);
    fmt::print("{} pairs point by point in {:.2f} s, {:.1f} % ties\n", pairs, paired,
               100.0 * ties / std::max(1, pairs));
    return 0;
}
