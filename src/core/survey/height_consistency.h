#pragma once

#include "core/bench/grid.h"
#include "core/bench/sweep.h"

namespace glumet {

/// A height whose grid mean does not fit those of the others.
struct HeightMisfit {
    Id run = 0;
    Millimetre depth{0};
    double excess = 0.0;  ///< mean / expected − 1
    Millimetre as_if_higher{
        0};  ///< how much higher the fixture would have to hang to give this; negative: lower
};

/// Heights of a sweep whose grid mean at one depth lies more than `tolerance` off the parabola through the
/// logarithms of the other means over height (a line with three others, none with fewer). The worst is named
/// and left out, then the rest is judged again. `depth`: the shallowest that most heights share.
std::vector<HeightMisfit> heightMisfits(const Bench& bench, const Sweep& sweep, double tolerance = 0.06);

}  // namespace glumet
