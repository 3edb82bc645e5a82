#pragma once

#include <optional>

#include "core/bench/bench.h"

namespace glumet {

/// The points of a plane: its planned lattice, or the one that others' means of it are of, in that tank.
std::optional<Grid> gridOf(const Plane& plane, const Tank& tank);

/// Whether a sweep holds nothing but means that others published.
bool onlyMeans(const Bench& bench, const std::vector<Id>& runs);

}  // namespace glumet
