#pragma once

#include "core/bench/bench.h"
#include "core/words/finding.h"

namespace glumet {

/// What one plane of a run says about the field: spread, fall-off, band, walls of doubt.
std::vector<Finding> fieldFindings(const Bench& bench, Id run, Millimetre depth,
                                   const std::optional<Band>& band);

/// Doubts about a run as a whole: draw against rating, room light, mirror pairs on each plane.
std::vector<Finding> runDoubts(const Bench& bench, Id run);

/// What is still to be read, and where to begin.
std::vector<Finding> measureFindings(const Bench& bench, Id run, Millimetre depth);

/// What the bench's description lacks.
std::vector<Finding> benchFindings(const Bench& bench);

}  // namespace glumet
