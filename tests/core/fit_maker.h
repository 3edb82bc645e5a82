#pragma once

#include <algorithm>
#include <cmath>

#include "core/bench/grid.h"
#include "core/bench/placement.h"
#include "core/fit/bench_scene.h"
#include "core/fit/fit.h"
#include "core/light/exact_field.h"
#include "core/simulation/beam_by_planes.h"
#include "core/simulation/demo_scenario.h"
#include "core/words/sentence.h"

namespace glumet::testing {

/// What shines: a cluster nobody described, over a cube with a painted back.
struct Truth {
    Beam beam = *Beam::halfAngle(40.0);
    double flux = 120.0;
    double height_offset = 3.0;
    double reflectance = 0.08;
    double attenuation = 0.06;
    double ruler = 0.0;                        ///< how far heights read too low all evening, mm
    std::optional<EmitterLattice> emitters{};  ///< where they are not as the bench says
    double brighter_right = 0.0;               ///< at the right end against the middle, relative
    double turn_deg = 0.0;                     ///< of the fixture, and said of its runs

    LightScene scene(const Bench& bench, const Tank& tank, const std::vector<double>& centres,
                     double height) const {
        auto fixture = bench.fixtures.front();
        if (emitters) fixture.emitters = *emitters;
        auto points = latticeEmitters(fixture, PhotonFlux(flux), 0);
        double most = 1.0;
        for (const auto& e : points) most = std::max(most, std::abs(e.dx_mm));
        for (auto& e : points) e.flux_umol_s *= 1.0 + brighter_right * e.dx_mm / most;
        auto out = emptyScene(tank, false);
        out.beams = {beam};
        hangAt(out, centres, Millimetre(height + height_offset), 1.0, points);
        for (auto& hung : out.fixtures) {
            hung.shroud = sceneShroud(fixture);
            hung.rotation_deg = turn_deg;
        }
        out.water.attenuation_per_m = attenuation;
        for (auto& channel : out.channels) channel.attenuation = Attenuation::grey(attenuation);
        for (auto& wall : out.walls)
            if (!wall.clear()) wall.reflectance = reflectance;
        return out;
    }
};

/// The bench's fixture read over its tank: 6 × 6 points at each height and depth.
inline Bench readOver(Bench bench, const Truth& truth, double noise, const std::vector<double>& heights,
                      const std::vector<double>& depths) {
    Noise random(17);
    for (const double height : heights) {
        Run run;
        run.id = static_cast<Id>(bench.runs.size()) + 1;
        run.label = "run " + std::to_string(run.id);
        run.fixture = bench.fixtures.front().id;
        run.tank = bench.tanks.front().id;
        run.height = Millimetre(height);
        run.turn_deg = truth.turn_deg;
        FastField field(truth.scene(bench, bench.tanks.front(), {300.0}, height + truth.ruler));
        for (const double depth : depths) {
            Plane plane;
            plane.depth = Millimetre(depth);
            plane.grid = cellCentres(Millimetre(600), Millimetre(600), 6, 6);
            for (const auto cell : serpentine(*plane.grid)) {
                const std::array<double, 2> at{plane.grid->xs_mm[static_cast<std::size_t>(cell.column)],
                                               plane.grid->ys_mm[static_cast<std::size_t>(cell.row)]};
                Reading reading;
                reading.x = Millimetre(at[0]);
                reading.y = Millimetre(at[1]);
                reading.mean =
                    Ppfd(field.onPlane(plane.depth, {&at, 1}).front() * (1.0 + noise * random.normal()));
                plane.readings.push_back(reading);
            }
            run.planes.push_back(plane);
        }
        bench.runs.push_back(run);
    }
    return bench;
}

/// Tubes in a reflector that throws a hump to both sides.
inline Beam tubesInReflector() {
    return beamByPlanes(90, 15, [](double theta, double phi) {
        const double x = std::sin(theta) * std::cos(phi);
        const double across = std::atan2(std::sin(theta) * std::sin(phi), std::cos(theta));
        return std::max(0.0, std::cos(theta)) * std::sqrt(1.0 - x * x) *
               (0.5 + 0.8 * std::exp(-std::pow((across - 0.65) / 0.28, 2)));
    });
}

/// Over the demonstration's first fixture and tank.
inline Bench read(const Truth& truth, double noise, const std::vector<double>& heights,
                  const std::vector<double>& depths) {
    auto bench = demoBench();
    bench.fixtures.resize(1);
    return readOver(std::move(bench), truth, noise, heights, depths);
}

inline std::vector<Id> allRuns(const Bench& bench) {
    std::vector<Id> runs;
    for (const auto& run : bench.runs) runs.push_back(run.id);
    return runs;
}

/// Two fixtures over a tank twice as long, at a height never read, against the truth.
struct ArrayError {
    double median = 0.0;
    double worst = 0.0;
    double inside = 0.0;  ///< share of points whose 95 % interval holds the truth
};

inline ArrayError arrayError(const Bench& bench, const Truth& truth, const LightModel& model) {
    auto longer = bench.tanks.front();
    longer.length = Millimetre(1200);
    auto scene = truth.scene(bench, longer, {350, 850}, 240);
    const ExactField known(scene);
    for (auto& fixture : scene.fixtures) fixture.height_mm -= truth.height_offset;
    std::vector<BasisField::Point> points;
    for (double x = 60; x < 1200; x += 120)
        for (double y = 60; y < 600; y += 120)
            for (const double depth : {180.0, 400.0}) points.push_back({x, y, depth});
    const auto said = predict(model, scene, points);
    std::vector<double> errors;
    int held = 0;
    for (std::size_t i = 0; i < points.size(); ++i) {
        const double real =
            known.at(Millimetre(points[i].x_mm), Millimetre(points[i].y_mm), Millimetre(points[i].depth_mm))
                .value();
        errors.push_back(std::abs(said[i].ppfd / real - 1.0));
        held += real >= said[i].lo && real <= said[i].hi ? 1 : 0;
    }
    std::sort(errors.begin(), errors.end());
    return {errors[errors.size() / 2], errors.back(),
            static_cast<double>(held) / static_cast<double>(points.size())};
}

inline bool saysOf(const FitResult& fit, const std::string& words) {
    return std::any_of(fit.cannot_tell.begin(), fit.cannot_tell.end(),
                       [&](const Words& said) { return english(said).find(words) != std::string::npos; });
}

}  // namespace glumet::testing
