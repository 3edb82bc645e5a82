#pragma once

#include <vector>

#include "core/light/images.h"
#include "core/light/scene.h"

namespace glumet {

/// Whether the straight way between two points (x, y, depth; mm) meets an obstacle: a box, or the disc's
/// plane within its rim.
/// Touching counts. meetingAt: the share of the way at which it is first met.
std::optional<double> meetingAt(const SceneObstacle& obstacle, const std::array<double, 3>& from,
                                const std::array<double, 3>& to);
bool meets(const SceneObstacle& obstacle, const std::array<double, 3>& from, const std::array<double, 3>& to);

/// An obstacle as it stands in one mirror image of the tank; what is above the water has none but itself.
SceneObstacle mirrored(const SceneObstacle& obstacle, const AxisImage& along, const AxisImage& across);

/// The part of an obstacle in the water, and that above it; nothing where it has none. A disc on the surface
/// is in the water.
std::optional<SceneObstacle> partInWater(const SceneObstacle& obstacle);
std::optional<SceneObstacle> partInAir(const SceneObstacle& obstacle);

/// The mirror images a way from the tank to image (i, j) may cross, along one axis: those from 0 to i.
std::vector<AxisImage> imagesBetween(const AxisImage& image, double size_mm);

/// Product of the transmittances of all obstacles on a way: straight from the emitter to where it enters the
/// water, then straight to the receiver's image. 1 without obstacles.
double obstaclesPass(const LightScene& scene, const AxisImage& along, const AxisImage& across,
                     const std::array<double, 3>& emitter, const std::array<double, 3>& entry,
                     const std::array<double, 3>& receiver);

/// Whether a shroud lets a ray pass that leaves an emitter at (dx, dy) of its fixture with slopes
/// (tan θ cos φ, tan θ sin φ), φ from the fixture's +x.
bool shroudPasses(const SceneShroud& shroud, double dx_mm, double dy_mm, double slope_x, double slope_y);

}  // namespace glumet
