#pragma once

#include <string>
#include <vector>

#include "core/survey/commission.h"
#include "core/survey/findings.h"
#include "core/words/finding.h"

namespace glumet {

/// How far the whole plan is, how long the rest takes at the reviewer's pace, and where to go on.
std::vector<Finding> planFindings(const Bench& bench);

/// What the checks of a run say: those that stop work, those overruled, how many are not made yet.
std::vector<Finding> commissionFindings(const Bench& bench, Id run, const std::string& today);

/// The first failed and not overruled check of a run: no reading is taken while there is one. Nothing when
/// work may go on.
std::optional<CommissionCheck> stoppingCheck(const Bench& bench, const Run& run, const std::string& today);

}  // namespace glumet
