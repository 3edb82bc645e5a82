#pragma once

#include <vector>

#include "core/bench/bench.h"

namespace glumet {

struct ContourSegment {
    double x0, y0, x1, y1;  ///< mm, tank coordinates
};

/// The counted means of a plane's grid as a surface; nothing when a cell has no reading.
std::optional<Surface> surfaceOf(const Plane& plane);

/// The same surface on a finer lattice, `times` ≥ 1 steps between neighbouring centres, by monotone cubics
/// along x and then y: passes through the readings, never overshoots them.
Surface refined(const Surface& coarse, int times);

/// Where the surface crosses `level`, as unordered straight pieces, linear on each cell's edges.
std::vector<ContourSegment> contour(const Surface& surface, double level);

}  // namespace glumet
