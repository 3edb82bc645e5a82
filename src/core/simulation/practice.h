#pragma once

#include <string>
#include <vector>

#include "core/bench/bench.h"
#include "core/light/fast_field.h"

namespace glumet {

/// A slip that practice planted without telling.
struct PlantedSlip {
    Millimetre x{0};
    Millimetre y{0};
    Millimetre depth{0};
    double slip_mm = 0.0;

    bool operator==(const PlantedSlip&) const = default;
};

/// A run measured in practice against the known truth.
struct PracticeScore {
    int points = 0;
    double rms_error = 0.0;    ///< of reading / truth − 1
    double worst_error = 0.0;  ///< with its sign
    Cell worst_cell;
    Millimetre worst_depth{0};
    double seconds_per_point = 0.0;  ///< 0 when the times do not say
    int planted = 0;                 ///< slips at points that were read
    int mended = 0;                  ///< of them, read again and right in the end (within 5 %)
    double ruler_mm = 0.0;           ///< so much higher than said the fixture hung

    /// "36 points, 2.1 % from the truth. 2 of 3 planted slips found. 14 s a point."
    Words words() const;
};

/// Counted readings of the run's planes with a grid, against the field of `truth`, which hangs as is said. A
/// sound bench lies about 3 % off: ripple and a hand's placing.
PracticeScore scoreOf(const Run& run, LightScene truth, const std::vector<PlantedSlip>& planted,
                      double ruler_mm = 0.0);

}  // namespace glumet
