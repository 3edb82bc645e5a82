#pragma once

#include "core/bench/bench.h"
#include "core/words/finding.h"

namespace glumet {

/// What one plane of a run says about the field: spread, fall-off, band, walls of doubt.
std::vector<Finding> fieldFindings(const Bench& bench, Id run, Millimetre depth,
                                   const FindingContext& context);

/// Doubts about a run as a whole: draw against rating, room light, mirror pairs on each plane.
std::vector<Finding> runDoubts(const Bench& bench, Id run, const FindingContext& context);

/// What is still to be read, and where to begin.
std::vector<Finding> measureFindings(const Bench& bench, Id run, Millimetre depth,
                                     const FindingContext& context);

/// What the bench's description lacks.
std::vector<Finding> benchFindings(const Bench& bench, const FindingContext& context);

}  // namespace glumet
