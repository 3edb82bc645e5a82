#pragma once

#include <optional>
#include <string>
#include <vector>

#include "core/base/problem.h"
#include "core/bench/sweep.h"
#include "core/plane/plane_statistics.h"
#include "core/verdicts/verdict_status.h"
#include "core/words/sentence.h"

namespace glumet {

/// What the spill-limit school is asked.
struct SpillLimitOptions {
    double limit = 0.15;  ///< share of the lowest height's grid mean that may be lost, 0 < limit < 1
    std::optional<Millimetre>
        depth;                     ///< plane to judge by; default: the shallowest one that most heights share
    Millimetre height_error{2.5};  ///< standard error of setting a mounting height, ≥ 0
    double assumed_relative_error = 0.02;  ///< of a reading whose swing was not recorded, ≥ 0
    double repeatability =
        0.0;  ///< relative sd of one reading as repeats showed it, ≥ 0; it stands for any smaller
    double drift = 0.0;  ///< largest relative change seen at reference points, ≥ 0

    /// Names the first field that breaks its range.
    std::optional<Problem> invalid() const;
};

/// What the project's method and its repeat readings say for this sweep: limit, height error, and, from three
/// pairs on, repeatability and drift.
SpillLimitOptions spillLimitOptions(const Bench& bench, const Sweep& sweep);

/// One height as the school sees it.
struct SpillEvidence {
    Id run = 0;
    Millimetre height{0};
    Ppfd grid_mean{0};
    double loss = 0.0;        ///< 1 − mean / mean at the lowest height
    double loss_error = 0.0;  ///< standard error of the loss (placing and ripple; calibration cancels)
    bool within = false;
    Ppfd peak{0};
    std::optional<Ppfd> centre;  ///< innermost ring mean
    std::optional<Ppfd> outer;   ///< outermost ring mean
};

/// The runs of these pieces of evidence, in their order.
template <class Evidence>
std::vector<Id> runsIn(const std::vector<Evidence>& evidence) {
    std::vector<Id> runs;
    for (const auto& row : evidence) runs.push_back(row.run);
    return runs;
}

/// The school's answer. It starts as "cannot speak"; `height` is set only when the evidence carries it.
struct SpillLimitVerdict {
    SpillLimitOptions asked;
    bool failed = false;  ///< the question breaks a range
    std::optional<Millimetre> depth_used;
    std::optional<Millimetre> height;       ///< highest measured height within the limit
    std::optional<Millimetre> next_height;  ///< first measured height beyond it
    std::optional<Millimetre> crossing;     ///< where the interpolated loss meets the limit
    std::optional<Millimetre> low;          ///< 95 % interval of the crossing
    std::optional<Millimetre> high;
    Words reason = say(GLUMET_SAY("Core", "not computed"));
    std::vector<Words> doubts;            ///< most serious first
    std::vector<SpillEvidence> evidence;  ///< ascending height
    int readings_assumed = 0;             ///< readings that had no swing of their own

    bool speaks() const { return height.has_value(); }
    /// The runs that stand behind it, ascending height.
    std::vector<Id> used() const { return runsIn(evidence); }
    VerdictStatus status() const {
        return failed ? VerdictStatus::Failed : speaks() ? VerdictStatus::Ready : VerdictStatus::Silent;
    }
};

/// Spill-limit school: raise from the lowest height; the grid mean at a fixed shallow depth falls as light
/// leaves the footprint: loss(h) = 1 − mean(h)/mean(h₀). The answer is the highest measured height before
/// the loss first exceeds the limit, and the crossing of the monotone cubic through the losses.
///
/// Heights whose points differ from the lowest height's are left out and named. The verdict is withheld,
/// with its reason, when fewer than two comparable heights remain, when the mean rises with height by more
/// than its own error allows, or when the readings carry no light. The crossing alone is withheld inside a
/// gap (more than 2.5 usual steps and 60 mm wide) and beyond the highest measured height.
SpillLimitVerdict spillLimit(const Bench& bench, const Sweep& sweep, const SpillLimitOptions& options = {});

}  // namespace glumet
