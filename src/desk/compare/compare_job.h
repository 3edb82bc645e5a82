#pragma once

#include "core/compare/comparison.h"
#include "core/compare/school_orders.h"
#include "desk/shared/answer_store.h"

namespace glumet {

/// A bench side by side, in the background: fits are made where they are needed, and remembered.
Expected<Comparison> compareInBackground(std::shared_ptr<const Bench> bench, CompareQuestion question,
                                         const Asked& asked);

/// The same fixtures under every school.
Expected<std::vector<SchoolOrder>> schoolsInBackground(const std::shared_ptr<const Bench>& bench,
                                                       const ComparePlace& place, const Asked& asked);

}  // namespace glumet
