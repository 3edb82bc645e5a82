#pragma once

#include <optional>
#include <string>
#include <vector>

#include "core/base/problem.h"
#include "core/bench/living.h"

namespace glumet {

/// What a light is raised by.
struct RampQuestion {
    double from_pct = 50.0;  ///< 0 < from < to ≤ 100
    double to_pct = 100.0;
    int weeks = 6;  ///< 1 to kMostRampWeeks
    RampBy by = RampBy::Log;
    std::optional<double> cap_pct_week;  ///< per cent brighter that a week may be
};
inline constexpr int kMostRampWeeks = 104;

struct RampStep {
    int week = 0;  ///< from 0, the beginning
    double level_pct = 0.0;
};

/// The levels week by week, the first at once and the last after `weeks`: linear by equal steps, level(w) =
/// from + (to − from) w/weeks; log by equal shares of the light, level(w) = from (to/from)^(w/weeks), so that
/// each week adds the same percentage of what there was. Refused by name: no weeks, a target that is not
/// above the start, and a cap that the greatest step breaks; then the fewest weeks that keep it are told.
Expected<std::vector<RampStep>> rampSteps(const RampQuestion& question);

/// A step of a plan with its day.
struct DatedStep {
    std::string day;  ///< ISO date
    double level_pct = 0.0;
    bool held = false;  ///< the plan is paused: no step up
    bool back = false;  ///< a step back, by what was seen
};

/// A plan over the calendar with what happened on the way: from a pause to its end nothing rises; a step back
/// goes to the level of a week before and the plan goes on from there. Ends when the target is reached, or
/// with the pause that nothing has ended. Refused as rampSteps() is, and without a day to begin with.
Expected<std::vector<DatedStep>> datedSteps(const Acclimation& ramp);

/// The level on a day: of the last step not after it; the start before the first.
double levelOn(const std::vector<DatedStep>& steps, const std::string& day);

/// So many days after an ISO date; empty for what is none.
std::string daysAfter(const std::string& day, int days);
/// Days from one ISO date (or date and time) to another; nothing for what is none.
std::optional<int> daysBetween(const std::string& from, const std::string& to);

}  // namespace glumet
