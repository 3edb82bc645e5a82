#pragma once

#include <optional>
#include <vector>

#include "core/compare/pairs.h"

namespace glumet {

/// One lamp at an age against its youngest readings.
struct AgedPoint {
    double hours = 0.0;
    Ratio output;  ///< over the youngest
    std::vector<Id> runs;
    int heights = 0;  ///< that both were read at
};

/// How a fixture's output falls with the hours it burns.
struct Ageing {
    Id fixture = 0;
    Configuration youngest;
    double from_hours = 0.0;
    std::vector<AgedPoint> points;  ///< ascending hours, the youngest left out
    double rate = 0.0;              ///< 1/h, of output = exp(−rate · hours); mean through the points
    double rate_lo = 0.0;           ///< 95 % interval
    double rate_hi = 0.0;
    std::optional<double> look_again_h;  ///< of burning, from the last: when a twentieth more may be gone
    std::optional<double> replace_h;     ///< … when three tenths will be, by the mean rate
    Words reason;
};

/// Sweeps of one fixture that differ by nothing but the hours burnt, each against the youngest at every
/// height that both were read at (pairs.h); of several heights the weighted mean. The rate is the weighted
/// mean of ln(ratio)/Δh over the ages; it is taken as steady, which no two ages can tell.
std::vector<Ageing> ageingOf(const Bench& bench, const std::vector<Sweep>& sweeps);

}  // namespace glumet
