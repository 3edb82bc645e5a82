#pragma once

#include <cstdint>
#include <vector>

#include "core/base/beam.h"

namespace glumet {

/// Between which two planes of a beam an azimuth lies, for the fast field: a direction is folded by the
/// planes of symmetry into 0…last, which is cut into equal bins no wider than the least step between planes,
/// so that a bin holds one plane at most.
struct AzimuthFold {
    enum class Symmetry { Round, TwoPlanes, AboutX, None };

    Symmetry symmetry = Symmetry::Round;
    bool even = false;  ///< each bin is the step from a plane to the next
    std::int32_t bins = 0;
    float bins_per_rad = 0.0F;
    std::vector<std::int32_t> plane_of_bin;  ///< the plane at or below the bin's start
    std::vector<float> start;                ///< azimuth of each plane, radians
    std::vector<float> per_rad;              ///< one over the step to the next plane, 1/rad

    bool round() const { return symmetry == Symmetry::Round; }
    static AzimuthFold of(const Beam& beam);
};

}  // namespace glumet
