#pragma once

#include "core/bench/bench.h"

namespace glumet {

/// The bench with these runs alone: what work in the background takes along of a large one.
Bench partOf(const Bench& bench, const std::vector<Id>& runs);

}  // namespace glumet
