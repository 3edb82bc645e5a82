#pragma once

#include <optional>

#include "core/bench/bench.h"
#include "core/bench/grid.h"

namespace glumet {

/// How well readings of the same point agree, and whether the bench moves with time. From check readings
/// (flags "reference" and "repeat") and points measured again.
struct Repeatability {
    int pairs = 0;
    double relative_sd = 0.0;  ///< of one reading, from the pairs' differences / √2; 0 without pairs
    int returns = 0;           ///< to reference points
    double drift_per_hour =
        0.0;  ///< relative, by least squares through the first reading of each reference point
    double drift_error = 0.0;     ///< its standard error
    double largest_change = 0.0;  ///< |return / first − 1|

    /// Whether drift is more than chance: over three standard errors and over 1 % an hour.
    bool drifts() const;
};

/// Of these runs. Pairs further apart than 20 % are mistakes, not scatter: they are left out here and doubted
/// elsewhere.
Repeatability repeatabilityOf(const Bench& bench, const std::vector<Id>& runs);

enum class CheckPointKind { Reference, Repeat };

/// A check reading that is due before the next point.
struct CheckPoint {
    CheckPointKind kind = CheckPointKind::Reference;
    Cell cell;

    bool operator==(const CheckPoint&) const = default;
};

/// The plane's reference point: the planned cell nearest its middle.
Cell referenceCell(const Grid& grid);

/// After every `every` counted readings of the plane a check is due: by turns the reference point and the
/// point read `every`/2 readings ago. Nothing when `every` is 0 or the plane has no grid.
std::optional<CheckPoint> checkPointDue(const Plane& plane, int every);

/// A return to a reference point that has changed by more than `tolerance` (5 %) since its first reading.
struct DriftDoubt {
    Cell cell;
    double change = 0.0;  ///< relative
};
std::optional<DriftDoubt> latestDrift(const Plane& plane, double tolerance = 0.05);

}  // namespace glumet
