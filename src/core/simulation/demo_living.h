#pragma once

#include <cstdint>

#include "core/bench/bench.h"

namespace glumet {

/// The nursery's raceway with what lives in it: fourteen spots read under the old lamps, under the new ones
/// at full level, and two weeks into the ramp; one was grown over since. Invented, read by the simulated
/// bench.
void addDemoLiving(Bench& bench, std::uint64_t seed);

}  // namespace glumet
