#pragma once

#include "core/bench/bench.h"

namespace glumet {

/// How fast this reviewer works, from the times of their own readings.
struct Pace {
    Second point{20};        ///< from one reading to the next on a plane
    Second point_quick{15};  ///< a quarter of the points are quicker …
    Second point_slow{30};   ///< … and a quarter slower
    Second plane{60};        ///< from the last reading of a plane to the first of the next
    Second run{240};         ///< from a run to the next: fixture raised, depths set
    int points_timed = 0;    ///< 0: nobody has been timed yet, these are usual figures
};

/// Fewer timed points than this are no pace.
inline constexpr int kLeastTimed = 10;

/// Medians over the latest runs with ISO times (about 2000 readings); pauses (5 min between points, 30 min
/// between planes, 2 h between runs) are not counted, nor are readings of one second, as of an import.
Pace paceOf(const Bench& bench);

/// Seconds since 1970 of "2026-11-25T08:30:00" with or without a zone's letters behind; nothing for other
/// text.
std::optional<double> secondsOf(const std::string& iso_time);

/// How long planned work takes.
struct TimeEstimate {
    int points = 0;
    int planes = 0;
    int runs = 0;
    Second quick{0};
    Second usual{0};
    Second slow{0};
};

/// Time for what is planned and not read yet in these runs.
TimeEstimate estimateOf(const std::vector<Run>& runs, const Pace& pace);

}  // namespace glumet
