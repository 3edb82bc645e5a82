#pragma once

#include <string>
#include <vector>

#include "core/bench/sweep.h"
#include "core/fit/fit.h"
#include "core/survey/findings.h"
#include "core/words/finding.h"

namespace glumet {

/// A point of a plane that should be read again, and why.
struct PointDoubt {
    Cell cell;
    double excess = 0.0;  ///< relative, by which it is off; 0 where no figure is known
    Words reason;         ///< what it disagrees with, without the point's name
    bool by_mirror = false;
};

/// Everything on a plane that is doubtful: points off the field so far, off their mirror, marked when they
/// were taken, and a reference point that has moved. Each point once, the largest first. With a fit of the
/// fixture the field is the fitted one (beyond 3 standard errors and 5 %; it holds the mirror too); without,
/// that of misfitsOf().
std::vector<PointDoubt> pointDoubts(const Bench& bench, const Run& run, const Plane& plane,
                                    const FitResult* fit = nullptr);

/// Those doubts as findings that lead to their points; mirror pairs are left out, for runDoubts() names them.
std::vector<Finding> doubtFindings(const std::vector<PointDoubt>& doubts, const Plane& plane, Id run);

/// Doubts about a sweep: heights that do not fit, a bench that drifts; and what the repeats say.
std::vector<Finding> sweepDoubts(const Bench& bench, const Sweep& sweep);

/// Puts findings before the first next step of a list.
void addBeforeNext(std::vector<Finding>& list, const std::vector<Finding>& more);

}  // namespace glumet
