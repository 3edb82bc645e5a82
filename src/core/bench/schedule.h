#pragma once

#include <optional>
#include <string>
#include <vector>

#include "core/base/id.h"
#include "core/base/quantity.h"
#include "core/base/value.h"

namespace glumet {

/// A level at a time of the day; straight lines between, and round midnight from the last to the first.
struct ClockPoint {
    double hour = 0.0;  ///< 0–24
    double level_pct = 0.0;

    bool operator==(const ClockPoint&) const = default;
};

/// What a clock does to a channel through the day.
struct ScheduleRamp {
    Id id = 0;
    Id channel = 0;  ///< of the schedule's fixture; 0: every channel that has no ramp of its own
    std::vector<ClockPoint> points;  ///< ascending hours; none: off

    bool operator==(const ScheduleRamp&) const = default;
};

/// A light's day by its own clock.
struct Schedule {
    GLUMET_VALUE(Schedule);

    Id id = 0;
    std::string name;
    Id fixture = 0;
    int lights = 1;            ///< how many of the fixture run by this clock
    double ahead_min = 0.0;    ///< the clock is ahead of the others by so much, − behind
    double drift_s_day = 0.0;  ///< it gains so much a day, − loses
    std::vector<ScheduleRamp> ramps;
    std::string note;

    bool operator==(const Schedule&) const = default;
};

/// A value of a logger that stays at one place.
struct LoggedPoint {
    double hour = 0.0;  ///< since the first midnight of the series
    Ppfd ppfd{0};

    bool operator==(const LoggedPoint&) const = default;
};

/// A fixed logger's series.
struct DayLog {
    GLUMET_VALUE(DayLog);

    Id id = 0;
    std::string name;
    Id tank = 0;
    std::optional<Millimetre> x;
    std::optional<Millimetre> y;
    std::optional<Millimetre> depth;
    std::vector<LoggedPoint> points;  ///< ascending hours
    std::string note;
    std::string time;  ///< of the first value, as the file said

    bool operator==(const DayLog&) const = default;
};

}  // namespace glumet
