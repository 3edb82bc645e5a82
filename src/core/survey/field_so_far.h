#pragma once

#include <optional>
#include <vector>

#include "core/bench/bench.h"
#include "core/bench/grid.h"

namespace glumet {

/// How a reading sits in the field that all other readings speak for.
struct PointMisfit {
    std::size_t reading = 0;  ///< index into the plane's readings
    double excess = 0.0;      ///< ln(reading / expected): 0.12 is about 12 % too high
    double error = 0.0;       ///< its standard deviation, field and reading together
    bool doubtful = false;

    double standardErrors() const { return excess / error; }
};

/// What a point must exceed to be doubted: both.
struct MisfitRule {
    double standard_errors = 2.8;
    double excess = 0.05;
};

/// The counted readings of one plane against the field of the fixture so far, each left out in turn.
///
/// The field's logarithm is a Gaussian process over place, depth and mounting height (Rasmussen & Williams
/// 2006, Gaussian Processes for Machine Learning, ch. 2 and eq. 5.10–5.12 for leaving one out): a quadratic
/// trend, a smooth part of long reach, a rougher one of short reach, and a common shift for each run and each
/// plane (height and depth are set with an error of their own). Where the tank and the hanging are symmetric
/// from left to right, both parts are mostly symmetric too: then a point's mirror speaks for it. Noise of a
/// reading: its own ripple error, and placing by hand (kPlacingErrorMm) where the field is steep. Evidence:
/// this plane, the run's other planes, and the same depth at the nearest heights of the same configuration.
///
/// The worst point beyond `rule` is set aside and the rest judged again, so that one slip does not make its
/// neighbours doubtful. Fewer than six readings on the plane and none elsewhere: nothing is judged.
std::vector<PointMisfit> misfitsOf(const Bench& bench, const Run& run, const Plane& plane,
                                   const MisfitRule& rule = {});

/// Whether light and tank are the same from left and right: side walls alike, fixtures in the middle.
bool isSymmetric(const Bench& bench, const Run& run);

}  // namespace glumet
