#pragma once

#include <vector>

#include "core/bench/grid.h"

namespace glumet {

/// What lifting the probe over an obstacle costs, as mm of way.
inline constexpr double kLiftMm = 400.0;

/// Whether a probe can be put down there: no obstacle covers the point.
bool reachable(Millimetre x, Millimetre y, const std::vector<Obstacle>& obstacles);

/// Adds the cells that no probe reaches to those left out.
void leaveOutUnreachable(Grid& grid, const std::vector<Obstacle>& obstacles);

/// Length of a way over the grid's cells, mm: straight moves, and kLiftMm for each obstacle a move crosses.
double wayLength(const Grid& grid, const std::vector<Obstacle>& obstacles, const std::vector<Cell>& way);

/// The planned cells in an order that moves the probe little: the better serpentine (along the length or
/// along the width), then shortened by turning stretches round and moving single points (2-opt and or-opt)
/// until neither helps. Over a full lattice without obstacles the serpentine is already shortest.
std::vector<Cell> shortWay(const Grid& grid, const std::vector<Obstacle>& obstacles);

/// The way over one plane of a run, in the direction in which it was begun; a plane not begun yet starts
/// where the one above it ends. Empty without a grid.
std::vector<Cell> wayOf(const Bench& bench, const Run& run, const Plane& plane);

/// First cell of wayOf() that is not read yet.
std::optional<Cell> nextOnWay(const Bench& bench, const Run& run, const Plane& plane);

}  // namespace glumet
