#pragma once

#include "core/words/finding.h"
#include "desk/array/array_form.h"
#include "desk/array/array_panes.h"

namespace glumet {

/// Why a fit carries no verdict on arrays; empty when it does.
QString refusal(const FitResult& fit, const Bench& bench);

/// The trough or hump that a school's answer leaves between lamps, and who would not; nothing where it leaves
/// none.
Words seamWords(const SpacingAnswer& spacing, std::size_t school);

Finding nothingYet(const QString& why);

/// The Array stage's sentences: the fit, the other schools, number, brightness, two goals, channels, what was
/// measured, what the fit distrusts and cannot tell.
std::vector<Finding> arrayFindings(const Session& session, const FitResult& fit,
                                   const ArrayVerdicts& verdicts, std::size_t school,
                                   const ArrayChoices& choices);

}  // namespace glumet
