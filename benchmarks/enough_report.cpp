// How few readings are enough: each invented fixture is read plane by plane, half a grid a plane, where the
// planner says, until it says stop or a third of the full matrix is spent; height and spacing are compared
// with those of the full matrix. Usage: enough_report [FIXTURES [SEED]]
#include <algorithm>
#include <array>
#include <cmath>
#include <cstdio>
#include <cstdlib>
#include <random>

#include "core/bench/grid.h"
#include "core/fit/bench_scene.h"
#include "core/verdicts/enough.h"

namespace {

using namespace glumet;  // one small program

constexpr std::array kHeights{120.0, 180.0, 240.0};
constexpr std::array kDepths{150.0, 300.0, 450.0};

double pick(std::mt19937_64& random, double low, double high) {
    return std::uniform_real_distribution(low, high)(random);
}

struct Invented {
    Fixture fixture;
    Beam beam;
};

Invented invent(int number, std::mt19937_64& random) {
    Fixture f;
    f.id = 1;
    f.name = "invented " + std::to_string(number);
    f.flux = PhotonFlux(pick(random, 60, 250));
    f.length = Millimetre(200);
    f.width = Millimetre(120);
    const auto lattice = [&](int columns, int rows, double pitch, double size) {
        f.emitters.columns = columns;
        f.emitters.rows = rows;
        f.emitters.pitch_x = f.emitters.pitch_y = Millimetre(pitch);
        f.emitters.size = Millimetre(size);
    };
    switch (number % 5) {
        case 0:
            lattice(4, 3, 28, 18);
            return {f, *Beam::halfAngle(pick(random, 30, 48))};
        case 1:
            lattice(4, 3, 28, 18);
            return {f, *Beam::halfAngle(pick(random, 48, 62))};
        case 2:
            lattice(12, 1, 27, 14);
            return {f, *Beam::halfAngle(pick(random, 42, 60))};
        case 3: {  // a batwing pair: more light aside than straight down
            lattice(2, 1, pick(random, 180, 300), 70);
            const double peak = pick(random, 28, 42);
            return {f, *Beam::table({0, 0.4 * peak, 0.8 * peak, peak, 1.35 * peak, 1.75 * peak, 82, 90},
                                    {0.7, 0.79, 0.95, 1.0, 0.72, 0.28, 0.04, 0.0})};
        }
        default:
            lattice(8, 6, 36, 0);
            return {f, *Beam::cosinePower(pick(random, 0.9, 1.5))};
    }
}

/// A bench that can be read at any plane, and remembers what was.
class ReadBench {
  public:
    ReadBench(const Invented& invented, std::uint64_t seed) : invented_(invented), random_(seed) {
        cube_.id = 1;
        cube_.wall(Side::Back) = {WallKind::Opaque, 0.05};
        for (auto& slip : slips_) slip = 2.0 * normal_(random_);
        offset_ = 3.0 * normal_(random_);
    }

    /// One plane; `half`: every second cell, the other half the next time.
    Plane read(std::size_t height, double depth, bool half, int parity) {
        auto scene = emptyScene(cube_, false);
        scene.beams = {invented_.beam};
        hangAt(scene, {300.0}, Millimetre(kHeights[height] + offset_ + slips_[height]), 1.0,
               latticeEmitters(invented_.fixture, *invented_.fixture.flux, 0));
        FastField field(scene);
        Plane plane;
        plane.depth = Millimetre(depth);
        plane.grid = cellCentres(cube_.length, cube_.width, 6, 6);
        for (const auto cell : serpentine(*plane.grid)) {
            if (half && (cell.column + cell.row) % 2 != parity) continue;
            const double x = plane.grid->xs_mm[static_cast<std::size_t>(cell.column)];
            const double y = plane.grid->ys_mm[static_cast<std::size_t>(cell.row)];
            const std::array<double, 2> p{x + 4.0 * normal_(random_), y + 4.0 * normal_(random_)};
            Reading reading;
            reading.x = Millimetre(x);
            reading.y = Millimetre(y);
            reading.mean =
                Ppfd(field.onPlane(plane.depth, {&p, 1}).front() * (1.0 + 0.03 * normal_(random_)));
            plane.readings.push_back(reading);
        }
        return plane;
    }

    Bench empty() const {
        Bench bench;
        bench.fixtures = {invented_.fixture};
        bench.tanks = {cube_};
        for (const double height : kHeights) {
            Run run;
            run.id = static_cast<Id>(bench.runs.size()) + 1;
            run.fixture = run.tank = 1;
            run.height = Millimetre(height);
            bench.runs.push_back(run);
        }
        return bench;
    }
    const Tank& cube() const { return cube_; }

  private:
    const Invented& invented_;
    std::mt19937_64 random_;
    std::normal_distribution<double> normal_;
    Tank cube_;
    std::array<double, kHeights.size()> slips_{};
    double offset_ = 0.0;
};

struct Verdicts {
    std::optional<double> height;
    std::optional<double> spacing;
};

EnoughQuestion question(const ReadBench& bench, const FitResult& fit) {
    EnoughQuestion q;
    q.tank = emptyScene(bench.cube(), false);
    q.tank.water.attenuation_per_m = fit.attenuation_per_m;
    q.tank.walls[3].reflectance = fit.reflectance;
    q.grid = cellCentres(bench.cube().length, bench.cube().width, 6, 6);
    for (const double h : kHeights) q.heights.emplace_back(h);
    for (const double d : kDepths) q.depths.emplace_back(d);
    return q;
}

Verdicts verdictsOf(const ReadBench& bench, const FitResult& fit) {
    Verdicts out;
    const auto q = question(bench, fit);
    if (const auto known = whatTellsMost(fit.model, q); known.height) out.height = known.height->value();
    ArrayQuestion array;
    array.tank = q.tank;
    array.tank.length_mm = 1200;
    array.height = Millimetre(210);
    const auto answer = spacing(fit.model, array);
    if (answer && answer->schools[0].speaks())
        out.spacing = answer->schools[0].centres_mm.back() - answer->schools[0].centres_mm.front();
    return out;
}

std::vector<Id> runsWithReadings(const Bench& bench) {
    std::vector<Id> runs;
    for (const auto& run : bench.runs)
        if (!run.planes.empty()) runs.push_back(run.id);
    return runs;
}

bool same(const std::optional<double>& a, const std::optional<double>& b, double within) {
    return a.has_value() == b.has_value() && (!a || std::abs(*a - *b) <= within);
}

}  // namespace

int main(int argc, char** argv) {
    const int fixtures = argc > 1 ? std::atoi(argv[1]) : 100;
    const auto seed = argc > 2 ? static_cast<std::uint64_t>(std::atoll(argv[2])) : 1U;
    int heights = 0;
    int spacings = 0;
    int both = 0;
    double readings = 0.0;
    std::vector<double> off;
    for (int i = 0; i < fixtures; ++i) {
        std::mt19937_64 random(seed * 1000 + static_cast<std::uint64_t>(i));
        const auto invented = invent(i, random);
        ReadBench bench(invented, random());
        auto whole = bench.empty();
        for (std::size_t h = 0; h < kHeights.size(); ++h)
            for (const double depth : kDepths) whole.runs[h].planes.push_back(bench.read(h, depth, false, 0));
        const auto full = fitFixture(whole, runsWithReadings(whole));
        // The planner's own way: two opposite corners of the matrix, then what tells most.
        auto part = bench.empty();
        std::vector<std::pair<std::size_t, double>> next{{0, 150.0}, {2, 300.0}};
        int spent = 0;
        std::optional<FitResult> fit;
        int parity = 0;
        while (!next.empty()) {
            for (const auto& [h, depth] : next) {
                auto plane = bench.read(h, depth, true, parity);
                parity = 1 - parity;
                spent += static_cast<int>(plane.readings.size());
                part.runs[h].planes.push_back(std::move(plane));
            }
            next.clear();
            auto done = fitFixture(part, runsWithReadings(part));
            if (!done) break;
            fit = std::move(*done);
            auto q = question(bench, *fit);
            for (const auto& run : part.runs)
                for (const auto& plane : run.planes) q.read.emplace_back(run.height, plane.depth);
            const auto known = whatTellsMost(fit->model, q);
            if ((known.enough && spent >= 72) || known.offers.empty() || spent + 18 > 108) break;
            const auto& best = known.offers.front();
            const auto at = std::find(kHeights.begin(), kHeights.end(), best.height.value());
            next.emplace_back(static_cast<std::size_t>(at - kHeights.begin()), best.depth.value());
        }
        if (!full || !fit) continue;
        const auto wanted = verdictsOf(bench, *full);
        const auto given = verdictsOf(bench, *fit);
        const bool same_height = same(wanted.height, given.height, 10.0);
        const bool same_spacing = same(wanted.spacing, given.spacing, 20.0);
        heights += same_height ? 1 : 0;
        spacings += same_spacing ? 1 : 0;
        both += same_height && same_spacing ? 1 : 0;
        readings += spent;
        if (wanted.height && given.height) off.push_back(std::abs(*wanted.height - *given.height));
    }
    std::sort(off.begin(), off.end());
    std::printf("fixtures %d, readings used %.0f of 324 on average\n", fixtures, readings / fixtures);
    std::printf("height within 10 mm of the full matrix's: %d (median %.1f mm, 95th %.1f mm off)\n", heights,
                off.empty() ? 0.0 : off[off.size() / 2], off.empty() ? 0.0 : off[off.size() * 95 / 100]);
    std::printf("each of two fixtures within 10 mm: %d\nboth: %d\n", spacings, both);
}
