#include <algorithm>
#include <cmath>

#include "core/base/interval.h"
#include "core/fit/fitter.h"

namespace glumet {

LightScene tankByFit(const FitResult& fit, const Tank& tank, bool dry) {
    auto scene = emptyScene(tank, dry);
    if (!dry) scene.water.attenuation_per_m = fit.attenuation_per_m;
    if (std::find(fit.tanks.begin(), fit.tanks.end(), tank.id) != fit.tanks.end())
        for (auto& wall : scene.walls)
            if (!wall.clear())
                wall.reflectance = std::clamp(wall.reflectance + fit.reflectance_change, 0.0, 1.0);
    return scene;
}

LightScene sceneByFit(const FitResult& fit, const Bench& bench, Id id, const Tank& tank) {
    const auto& run = bench.run(id);
    auto scene = tankByFit(fit, tank, run.water == WaterState::Dry);
    double slip = 0.0;
    double level = run.level_pct.value_or(100.0) / 100.0;
    for (const auto& s : fit.slips)
        if (s.run == id) {
            slip = s.height_mm;
            level *= s.level;
        }
    hangRun(scene, run, run.height + Millimetre(slip), level, {});
    const bool same_place =
        run.fixtures == 1 && std::find(fit.tanks.begin(), fit.tanks.end(), tank.id) != fit.tanks.end();
    if (same_place)
        for (auto& fixture : scene.fixtures) {
            fixture.x_mm += fit.away_x_mm;
            fixture.y_mm += fit.away_y_mm;
        }
    return scene;
}

std::vector<FitResidual> residualsAgainst(const FitResult& fit, const Bench& bench, Id run,
                                          const Plane& plane, const FitOptions& options) {
    std::vector<FitResidual> out;
    const auto* tank = byId(bench.tanks, bench.run(run).tank);
    if (tank == nullptr) return out;
    std::vector<BasisField::Point> points;
    std::vector<double> noise;
    for (const auto& reading : plane.readings) {
        if (!reading.counts() || reading.x > tank->length || reading.y > tank->width) continue;
        out.push_back({run, plane.depth, reading.x, reading.y, reading.mean.value(), 0, 0, false, {}});
        noise.push_back(
            std::max(options.least_noise, reading.relativeStandardError().value_or(options.unknown_noise)));
        const double x = reading.x.value();
        const double y = reading.y.value();
        // The point, and its neighbours for the steepness of the field.
        for (const auto& [dx, dy] :
             {std::pair{0.0, 0.0}, {options.placing_mm, 0.0}, {0.0, options.placing_mm}})
            points.push_back({x + dx, y + dy, plane.depth.value()});
    }
    const auto said = predict(fit.model, sceneByFit(fit, bench, run, *tank), points);
    for (std::size_t i = 0; i < out.size(); ++i) {
        const auto& here = said[3 * i];
        const double placing = std::hypot(said[3 * i + 1].ppfd - here.ppfd, said[3 * i + 2].ppfd - here.ppfd);
        const double unknown = (here.hi - here.lo) / (2.0 * kInterval95);
        const double error = std::hypot(noise[i] * here.ppfd, placing, unknown);
        out[i].model = here.ppfd;
        out[i].standard_errors = error > 0.0 ? (out[i].reading - here.ppfd) / error : 0.0;
        out[i].distrusted = std::abs(out[i].standard_errors) > kDistrusted;
    }
    return out;
}

std::optional<double> unitSuspicion(double flux_umol_s, std::optional<Watt> rated) {
    if (!rated || rated->value() <= 0.0 || !(flux_umol_s > 0.0)) return std::nullopt;
    // Lamps give between half a micromole and four a joule; outside that by a unit's factor is a unit's
    // mistake.
    const double efficacy = flux_umol_s / rated->value();
    if (efficacy > 0.3 && efficacy < 4.5) return std::nullopt;
    for (const double factor : {10.0, 0.1, 25.4 * 25.4, 1.0 / (25.4 * 25.4), 100.0, 0.01})
        if (efficacy * factor > 0.5 && efficacy * factor < 4.0) return factor;
    return std::nullopt;
}

}  // namespace glumet
