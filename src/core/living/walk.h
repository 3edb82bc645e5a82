#pragma once

#include <string>
#include <vector>

#include "core/bench/bench.h"

namespace glumet {

/// The spots of a tank in the order of a walk with the probe: from the one nearest to the front left corner
/// always to the nearest next (plan and depth). Those that were read on `today` come last, in the same way.
std::vector<Id> walkOf(const Bench& bench, Id tank, const std::string& today);

/// The reading of a spot from a settled mean's figures, which hold for a level probe at that time.
SpotReading spotReadingFrom(const Reading& reading, const std::string& time);

}  // namespace glumet
