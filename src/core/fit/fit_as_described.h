#pragma once

#include "core/fit/fit.h"

namespace glumet {

/// Whether a fixture's emitters are described; a bare cluster is a guess.
bool layoutDescribed(const Bench& bench, const std::vector<Id>& runs);

/// fitFixture() where they are, else fitUnknownLayout().
Expected<FitResult> fitAsDescribed(const Bench& bench, const std::vector<Id>& runs,
                                   const FitOptions& options = {});

}  // namespace glumet
