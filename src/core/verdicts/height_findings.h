#pragma once

#include "core/bench/sweep.h"
#include "core/verdicts/spill_limit.h"
#include "core/words/finding.h"

namespace glumet {

/// What a height verdict says, with what one step more or less would do.
std::vector<Finding> heightFindings(const Bench& bench, const Sweep& sweep, const SpillLimitVerdict& verdict);

}  // namespace glumet
