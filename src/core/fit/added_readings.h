#pragma once

#include <optional>
#include <vector>

#include "core/bench/sweep.h"

namespace glumet {

/// A reading that came after a fit.
struct AddedReading {
    Id run = 0;
    Millimetre depth{0};
    Reading reading;
};

/// What was added to a sweep since, in order, when nothing else of it changed: tanks, fixtures, runs and
/// earlier readings are what they were. Nothing when they are not; then a fit must begin anew.
std::optional<std::vector<AddedReading>> readingsAdded(const Bench& before, const Bench& after,
                                                       const Sweep& sweep);

}  // namespace glumet
