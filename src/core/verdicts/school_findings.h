#pragma once

#include "core/survey/findings.h"
#include "core/verdicts/height_schools.h"
#include "core/words/finding.h"

namespace glumet {

/// Where the schools agree with the headline and where they do not: those whose height lies within
/// kSchoolsAgreeMm of it or whose interval holds it, those elsewhere with their heights, and the silent ones.
/// Nothing while the headline is silent or no other school speaks.
std::optional<Finding> schoolsFinding(const std::vector<SchoolVerdict>& schools,
                                      const SchoolVerdict& headline);
inline constexpr double kSchoolsAgreeMm = 15.0;

}  // namespace glumet
