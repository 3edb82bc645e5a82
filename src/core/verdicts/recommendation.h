#pragma once

#include <optional>
#include <stop_token>
#include <string>
#include <vector>

#include "core/bench/sweep.h"
#include "core/fit/fit.h"
#include "core/verdicts/array.h"

namespace glumet {

/// How a fixture is to serve a goal over a tank.
struct RecommendationQuestion {
    Id tank = 0;
    Goal goal;
    Millimetre height{200};   ///< it hangs at
    double goal_share = 0.8;  ///< of points in the band that is enough
    int most = 6;             ///< fixtures
    int draws = 20;           ///< from the fit's posterior, for the interval of the share
    std::stop_token stop = {};
};

/// How many, how far apart and how bright. Silent with its reason where neither a reading nor a fit speaks.
struct Recommendation {
    Id tank = 0;
    Goal goal;
    Millimetre height{200};
    bool read = false;  ///< by readings at this height in this tank; else by the fit
    int count = 1;
    RowAlong along = RowAlong::Length;
    bool turned = false;
    std::vector<double> centres_mm;   ///< along the row; empty for what was read
    GoalLevel level;                  ///< intensity, with those that do as well; share in the band
    std::optional<double> share_low;  ///< 95 % interval of the share, by what the fit leaves open
    std::optional<double> share_high;
    Ppfd mean{0};         ///< over the judged points, at that level
    double dli = 0.0;     ///< of that mean over the goal's photoperiod, mol·m⁻²·d⁻¹
    bool enough = false;  ///< the share is reached, ceiling and floor are kept
    Words missing;

    bool speaks() const { return missing.empty(); }
    VerdictStatus status() const { return speaks() ? VerdictStatus::Ready : VerdictStatus::Silent; }
    /// Between neighbours' middles, mm; nothing for one.
    std::optional<Millimetre> spacing() const;
};

/// One fixture as it was read where that is enough; else the fewest, up to `most`, that are by the fit, at
/// their best spacing (counts()). Where no number is enough, the fewest that come within 0.03 of the best,
/// said to be not.
Recommendation recommend(const Bench& bench, const Sweep& sweep, const FitResult* fit,
                         const RecommendationQuestion& question);

/// The sweep's fixture alone against ready goals: which of them its readings at a height serve when it is
/// dimmed for each, with four fifths of the points in the band, and which not even half.
struct GoalsServed {
    std::vector<GoalLevel> served;
    std::vector<GoalLevel> not_served;
};
GoalsServed goalsServed(const Run& run, const std::vector<Goal>& goals);

}  // namespace glumet
