#pragma once

#include <optional>
#include <vector>

#include "core/bench/schedule.h"
#include "core/spectrum/mix.h"

namespace glumet {

/// Levels of a channel through a day by a schedule, 0–1. `days`: since the clock was set, for its drift.
double levelAt(const Schedule& schedule, Id channel, double hour, double days = 0.0);

/// What a channel of a light gives at the place that is asked about, and draws, both at full level.
struct LightChannel {
    Id channel = 0;
    double ppfd = 0.0;  ///< µmol·m⁻²·s⁻¹ of all lights of the schedule together
    std::optional<double> watt;
    DimmingCurve dimming;
};
/// A schedule with the light that it rules.
struct ClockedLight {
    Schedule schedule;
    std::vector<LightChannel> channels;
};

/// PPFD through a day, hours ascending within 0–24.
struct DayCurve {
    std::vector<double> hour;
    std::vector<double> ppfd;
};
/// Of all lights together, every minute.
DayCurve dayCurve(const std::vector<ClockedLight>& lights, double days = 0.0);

/// A stretch of the day.
struct DaySpan {
    double from_h = 0.0;
    double to_h = 0.0;
    double hours() const { return to_h - from_h; }
};

/// What a day's light amounts to.
struct DayFigures {
    double dli = 0.0;                  ///< ∫ PPFD dt, mol·m⁻²·d⁻¹
    double peak = 0.0;                 ///< greatest PPFD
    double plateau = 0.0;              ///< the greatest PPFD that is held for an hour on end
    double photoperiod_h = 0.0;        ///< hours at a tenth of the plateau or above
    double night_ppfd = 0.0;           ///< greatest outside of those hours that is held for an hour on end
    std::vector<DaySpan> short_peaks;  ///< above the plateau by 5 % or more: none lasts an hour
};
DayFigures figuresOf(const DayCurve& day);

/// Energy of a day, kWh; nothing where a channel's draw is not known. Watts rise with the level.
std::optional<double> energyOf(const std::vector<ClockedLight>& lights);

/// How far apart the clocks of several lights are after so many days: the greatest difference, minutes.
double clockSpread(const std::vector<Schedule>& schedules, double days);

/// Whole days of a logger's series, each from midnight to midnight; a day that is not covered but for gaps of
/// at most an hour is left out.
std::vector<DayCurve> daysOf(const DayLog& log);

/// "8:00 0, 9:30 60, 18:00 60, 19:30 0": times of the day and levels in %, ascending, both ways.
std::string clockText(const std::vector<ClockPoint>& points);
Expected<std::vector<ClockPoint>> parseClock(const std::string& text);

}  // namespace glumet
