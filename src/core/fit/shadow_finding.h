#pragma once

#include <optional>

#include "core/bench/bench.h"
#include "core/fit/described_model.h"
#include "core/words/finding.h"

namespace glumet {

/// So many point emitters are weighed for shadow, and for shimmer, which weighs every way of light against
/// every other.
inline constexpr std::size_t kMostForShadow = 400;
inline constexpr std::size_t kMostForShimmer = 150;

/// How hard the run's fixture is to shadow, and how it shimmers, at half the water's depth over the middle
/// ring of the run's grid; beside it what a single cluster in its place would leave, and the swing of
/// the samples that were read. Nothing for a scene of
/// so many emitters that it would keep a reader waiting.
std::optional<Finding> shadowFinding(const Bench& bench, Id run, const DescribedModel& model);

}  // namespace glumet
