#pragma once

#include "core/verdicts/array.h"

namespace glumet {

/// Depth at which edge share and seam are judged.
Millimetre spacingDepth(const ArrayQuestion& question);

/// Mean of these values, row by row from the front, over one ring of a grid; 0 for an empty ring.
double ringMean(const Grid& grid, const std::vector<double>& values, int ring);

/// Under each fixture and half way to the next, along the row's middle line.
std::vector<std::array<double, 2>> seamPoints(const ArrayQuestion& question,
                                              const std::vector<double>& centres_mm);

/// Where the light half way between neighbours departs most from that under them (geometric mean), in the
/// logarithm; of the values at seamPoints.
struct Seam {
    double apart = 0.0;
    double between = 0.0;
    double under = 0.0;
};
Seam widestSeam(const std::vector<double>& values);

/// The interval of each school's figure with the fixtures where it hangs them, dimmed as it dims them: the
/// middle 95 % over `asked.draws` draws from the model's posterior. The answer itself lies within. The light
/// of companions is taken as it is.
void addSpacingIntervals(SpacingAnswer& answer);

}  // namespace glumet
