#pragma once

#include <vector>

#include "core/light/scene.h"

namespace glumet {

/// One mirror image of the tank along one axis. A coordinate u of the real tank stands at `sign · u + offset`
/// in the unfolded one; the way there from the footprint crosses the low wall (left or front) and the high
/// wall (right or back) so many times each. The unfolded wall at j·size is the low one for even j.
struct AxisImage {
    int index = 0;  ///< 0 is the tank itself
    double sign = 1.0;
    double offset = 0.0;
    int low_crossings = 0;
    int high_crossings = 0;
};

/// The image of that index.
AxisImage axisImage(int index, double size_mm);

/// Every image of which some point lies within `reach` of the footprint 0…size, the tank itself first, then
/// outwards. An image whose opaque walls would leave less than 10⁻⁹ of the light is left out.
/// size > 0, reach ≥ 0, finite, mm.
std::vector<AxisImage> axisImages(double size_mm, double reach_mm, const SceneWall& low,
                                  const SceneWall& high);

/// How far, at most, a ray runs horizontally in the water between the surface and depth d, mm:
///   min( d tan θw of the beam's last angle,  d/(n h) × the longest run in air that ends in the footprint ),
/// the second because the share of the horizontal distance run in air is at least h/(h + d/n).
/// `air_run_mm`: from the emitter to the far side of the footprint along the axis asked about.
double waterReach(const Beam& beam, double h_mm, double d_mm, double n, double air_run_mm);

}  // namespace glumet
