#pragma once

#include <optional>
#include <string>
#include <vector>

#include "core/base/problem.h"
#include "core/bench/bench.h"

namespace glumet {

/// A spot as it was read on one day.
struct SpotOnDay {
    Id spot = 0;
    const SpotReading* reading = nullptr;  ///< the last of that day
};

/// One look at a living tank.
struct TankSurvey {
    std::string day;  ///< ISO date
    std::vector<SpotOnDay> spots;

    const SpotReading* at(Id spot) const;
};

/// A tank's readings at spots, day by day, ascending. They refer to the bench.
std::vector<TankSurvey> surveysOf(const Bench& bench, Id tank);

/// The ISO date of an ISO date and time.
std::string dateOf(const std::string& time);

/// The latest reading of a spot, nullptr without one; of times that say the same the later in the list.
const SpotReading* latestAt(const TankSpot& spot);

/// A spot between two surveys.
struct SpotChange {
    Id spot = 0;
    Ppfd before{0};
    Ppfd now{0};
    double ratio = 1.0;  ///< now / before
    /// Away from what the others did, beyond chance: it lost light while the field did not (something grew or
    /// was put over it), or gained.
    bool lost = false;
    bool gained = false;
};

/// Two surveys of one tank over the spots both read.
struct SurveyChange {
    std::string before;
    std::string now;
    double field = 1.0;   ///< median ratio of the spots: lamp, settings, water
    double spread = 0.0;  ///< relative standard deviation of the ratios about it, robust: 1.4826 MAD
    std::vector<SpotChange> spots;
};

/// Nothing where fewer than three spots were read on both days, and for days that are not there. A spot has
/// changed by itself where its ratio lies more than three spreads, and a seventh, from the median; readings
/// that were marked as shaded are judged like the others, the mark is what explains them.
std::optional<SurveyChange> changeBetween(const std::vector<TankSurvey>& surveys, const std::string& before,
                                          const std::string& now);

/// The level of a new light at which no spot gets more than `share` above what it had: the least of had ·
/// (1 + share) / new over the spots read before and, under the new light at full level, after. Nothing where
/// no spot was read on both days. At most 100 %.
struct FirstLevel {
    double level_pct = 100.0;
    Id limited_by = 0;  ///< spot
    int spots = 0;
};
std::optional<FirstLevel> firstLevel(const std::vector<TankSurvey>& surveys, const std::string& before,
                                     const std::string& now, double share);

}  // namespace glumet
