#include "core/fit/shadow_finding.h"

#include <algorithm>
#include <cmath>

#include "core/bench/grid.h"
#include "core/light/shadow.h"

namespace glumet {
namespace {

constexpr double kClusterHalfMm = 35.0;
/// A fixture that is hardly wider is a single cluster itself.
constexpr double kWiderThanACluster = 2.5;
constexpr double kNothing = 0.005;

Grid gridOf(const Run& run, const LightScene& scene) {
    for (const auto& plane : run.planes)
        if (plane.grid) return *plane.grid;
    return cellCentres(Millimetre(scene.length_mm), Millimetre(scene.width_mm), 6, 6);
}

double halfSpread(const LightScene& scene) {
    double most = 0.0;
    for (const auto& fixture : scene.fixtures)
        for (const auto& e : fixture.emitters) most = std::max(most, std::hypot(e.dx_mm, e.dy_mm));
    return most;
}

/// The same fixtures drawn together to a cluster each.
LightScene drawnTogether(LightScene scene, double half_mm) {
    for (auto& fixture : scene.fixtures) {
        fixture.shroud.reset();
        for (auto& e : fixture.emitters) {
            e.dx_mm *= kClusterHalfMm / half_mm;
            e.dy_mm *= kClusterHalfMm / half_mm;
        }
    }
    return scene;
}

/// Median of the relative swing (standard deviation of single samples) of the run's readings.
std::optional<double> readSwing(const Run& run) {
    std::vector<double> swings;
    for (const auto& plane : run.planes)
        for (const auto& reading : plane.readings)
            if (reading.counts() && reading.sd && reading.mean.value() > 0.0)
                swings.push_back(*reading.sd / reading.mean.value());
    if (swings.empty()) return std::nullopt;
    const auto middle = swings.begin() + static_cast<std::ptrdiff_t>(swings.size() / 2);
    std::nth_element(swings.begin(), middle, swings.end());
    return *middle;
}

}  // namespace

std::optional<Finding> shadowFinding(const Bench& bench, Id run_id, const DescribedModel& model) {
    const auto& scene = model.scene();
    const ExactField field(scene);
    if (field.sources().empty() || field.sources().size() > kMostForShadow) return std::nullopt;
    const auto grid = gridOf(bench.run(run_id), scene);
    std::vector<std::array<double, 2>> points;
    for (const double y : grid.ys_mm)
        for (const double x : grid.xs_mm) points.push_back({x, y});
    const auto middle = middleRing(points, grid.columns(), grid.rows());
    const Millimetre depth(scene.water_depth_mm / 2.0);
    const ShadowDisc disc;
    const double shadow = shadowFigure(scene, depth, middle, disc);
    Finding out;
    out.title =
        shadow < kNothing
            ? say(GLUMET_SAY("Core", "A hand's breadth of colony leaves no light under it"))
            : say(GLUMET_SAY("Core", "A hand's breadth of colony keeps {} of its light"), Share{shadow});
    out.body =
        say(GLUMET_SAY("Core",
                       "By the model, under an opaque disc of {} hung {} above the probe, {} under water."),
            disc.diameter, disc.above, depth);
    const double half = halfSpread(scene);
    if (half > kWiderThanACluster * kClusterHalfMm)
        out.body += say(GLUMET_SAY("Core", "A single cluster in its place would keep {}."),
                        Share{shadowFigure(drawnTogether(scene, half), depth, middle, disc)});
    const auto& at = middle.front();
    const double shimmer = field.sources().size() > kMostForShimmer
                               ? 0.0
                               : shimmerAt(field, Millimetre(at[0]), Millimetre(at[1]), depth);
    if (shimmer > 0.0)
        out.body +=
            say(GLUMET_SAY("Core", "Small ripple moves the light {} times as much as that of one point."),
                Figure{shimmer, 2});
    if (const auto swing = readSwing(bench.run(run_id)))
        out.body +=
            say(GLUMET_SAY("Core", "The samples read there swung by ± {} about their means."), Share{*swing});
    return out;
}

}  // namespace glumet
