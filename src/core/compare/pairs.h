#pragma once

#include <optional>
#include <vector>

#include "core/compare/contender.h"

namespace glumet {

/// A ratio with its interval.
struct Ratio {
    double value = 1.0;
    double lo = 1.0;  ///< 95 % interval
    double hi = 1.0;
    bool tie = true;  ///< within what chance does 99 times in 100
};

/// One place that both have.
struct PairedPoint {
    double x_mm = 0.0;
    double y_mm = 0.0;
    double a = 0.0;  ///< µmol·m⁻²·s⁻¹
    double b = 0.0;
    bool tie = true;  ///< of this point by itself
};

/// Two contenders at one depth, over the places both have. Ratios are b over a.
struct PairedPlane {
    Millimetre depth{0};
    std::optional<Grid> grid;  ///< that the points fill, row by row
    std::vector<PairedPoint> points;
    Ratio mean;                ///< Σ b / Σ a
    double difference = 0.0;   ///< of the means, b − a, µmol·m⁻²·s⁻¹
    std::vector<Ratio> rings;  ///< outermost first; empty without a grid
    Ratio peak;                ///< of the greatest values
    double spread_a = 0.0;     ///< least over mean
    double spread_b = 0.0;
    double swing_a = 0.0;  ///< (max − min)/mean of single readings, mean; 0: not recorded
    double swing_b = 0.0;
    double point_error = 0.0;  ///< relative standard error of a point's ratio
    /// How far one of the mounting heights would have to be off to explain the mean's ratio; nothing where
    /// nobody knows how the light changes with it.
    std::optional<Millimetre> explained_by;
};

/// Two contenders, point by point.
struct Paired {
    std::vector<PairedPlane> planes;  ///< depths that both have
    Ratio all;                        ///< of all planes together: Σ b / Σ a
    /// The same interval with both heights' setting error in it.
    double lo_with_heights = 1.0;
    double hi_with_heights = 1.0;
    bool resampled = false;  ///< one of them by its fit
    Words refused;           ///< why nothing could be paired

    bool speaks() const { return !planes.empty(); }
    /// Whether heights set as well as they are could explain a difference that is no tie.
    bool heightsCouldExplain() const { return !all.tie && lo_with_heights <= 1.0 && hi_with_heights >= 1.0; }
};

/// Pairs points that lie at the same place (within 5 mm) at the same depth.
///
/// The error of a point's ratio is both readings' own, √(r_a² + r_b²), but where a grid of 4 × 4 or more is
/// shared the readings speak for themselves: mixed differences of ln(b/a), across and along at once, cancel
/// whatever changes in one direction alone, and what is left of chance in their squares is 4 σ². That figure
/// is taken between a quarter and one and a half of the former. Of means, σ² Σ(a² r² …) is carried through to
/// the ratio of the sums; what a fit leaves open and, with two meters, both calibrations are common to all
/// points. One meter's calibration cancels.
///
/// An interval is 1.96 standard errors; a difference is named only beyond 2.58: one false alarm in a hundred
/// equal pairs. Heights are taken as set; what their setting error would add is told beside.
Paired paired(const Contender& a, const Contender& b, bool same_meter);

}  // namespace glumet
