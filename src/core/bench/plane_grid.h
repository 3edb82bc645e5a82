#pragma once

#include <optional>

#include "core/bench/bench.h"

namespace glumet {

/// The points of a plane: its planned lattice, or the one that others' means of it are of, in that tank.
std::optional<Grid> gridOf(const Plane& plane, const Tank& tank);

/// Whether two means of the same ring cannot both be right: they lie more than four standard deviations of
/// their difference apart.
bool contradict(const RingMean& one, const RingMean& other);

/// Whether a sweep holds nothing but means that others published.
bool onlyMeans(const Bench& bench, const std::vector<Id>& runs);

}  // namespace glumet
