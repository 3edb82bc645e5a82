#pragma once

#include <optional>
#include <string_view>
#include <vector>

#include "core/bench/bench.h"
#include "core/bench/grid.h"

namespace glumet {

/// Two cells that mirror each other across the tank's middle and do not agree.
struct MirrorDoubt {
    Cell cell;  ///< the one that also differs more from its neighbours
    Cell mirror;
    Ppfd value{0};
    Ppfd mirror_value{0};
    double difference = 0.0;  ///< |a − b| / mean of both
};

/// Standard error of placing a probe by hand, per direction, mm.
inline constexpr double kPlacingErrorMm = 4.0;

/// Pairs on a filled grid, mirrored left to right, that differ by more than `tolerance` and by more than
/// 3.5 standard errors of their difference (ripple, and placing where the field is steep). A centred,
/// symmetric fixture over walls that match left and right gives none; the caller knows whether that holds.
/// Largest difference first.
std::vector<MirrorDoubt> mirrorDoubts(const Plane& plane, double tolerance = 0.12);

/// What a run should draw at the wall: rating × fixtures × level, times the preset's share of the watts where
/// its channels' levels and shares are known. Nothing without a rating, or where they are not: a channel by
/// itself has no rating of its own.
std::optional<Watt> expectedDraw(const Fixture& fixture, const RunSettings& run);

/// Draw at the wall / expectedDraw(), when both are known.
std::optional<double> drawShare(const Run& run, const Fixture& fixture);

/// Draw further than this from the rating is a doubt: a driver that is half dead draws about half.
inline constexpr double kDrawTolerance = 0.10;

/// Room light above this share of the dimmest counted reading spoils a run.
inline constexpr double kDarkTolerance = 0.01;

/// Dark reading / dimmest counted reading of the run, when both are known.
std::optional<double> roomLightShare(const Run& run);

}  // namespace glumet
