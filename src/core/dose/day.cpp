#include "core/dose/day.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

#include "core/base/leading_number.h"

namespace glumet {
namespace {

constexpr double kHoursADay = 24.0;
constexpr double kMinutesAnHour = 60.0;
constexpr double kSecondsAnHour = 3600.0;
constexpr double kMolPerMicromole = 1e-6;
constexpr double kAbovePlateau = 1.05;
constexpr double kDayShare = 0.1;
constexpr double kLongestGapH = 1.0;

double wrapped(double hour) {
    hour = std::fmod(hour, kHoursADay);
    return hour < 0.0 ? hour + kHoursADay : hour;
}

/// How far a clock is ahead, hours.
double aheadOf(const Schedule& schedule, double days) {
    return schedule.ahead_min / kMinutesAnHour + schedule.drift_s_day * days / kSecondsAnHour;
}

double levelOf(const std::vector<ClockPoint>& points, double hour) {
    if (points.empty()) return 0.0;
    const auto next = std::upper_bound(points.begin(), points.end(), hour,
                                       [](double h, const ClockPoint& p) { return h < p.hour; });
    const auto& after = next == points.end() ? points.front() : *next;
    const auto& before = next == points.begin() ? points.back() : *(next - 1);
    double span = after.hour - before.hour;
    double gone = hour - before.hour;
    if (span <= 0.0) span += kHoursADay;
    if (gone < 0.0) gone += kHoursADay;
    return (before.level_pct + (after.level_pct - before.level_pct) * gone / span) / 100.0;
}

/// The greatest value that a curve keeps up for an hour on end where `counts` says so.
template <class Counts>
double heldForAnHour(const DayCurve& day, Counts counts) {
    double held = 0.0;
    for (std::size_t i = 0, j = 0; i < day.hour.size(); ++i) {
        j = std::max(j, i);
        double least = day.ppfd[i];
        bool whole = false;
        for (j = i; j < day.hour.size() && counts(j); ++j) {
            least = std::min(least, day.ppfd[j]);
            if (least <= held) break;
            if (day.hour[j] - day.hour[i] >= 1.0 - 1e-9) {
                whole = true;
                break;
            }
        }
        if (whole) held = least;
    }
    return held;
}

/// "8:30", "8.5" or "8"; nothing for anything else.
std::optional<double> timeOf(std::string_view& text) {
    const auto hour = leadingNumber(text);
    if (!hour || text.empty() || text.front() != ':') return hour;
    text.remove_prefix(1);
    if (text.size() < 2) return std::nullopt;
    auto minutes = text.substr(0, 2);
    const auto minute = leadingNumber(minutes);
    if (!minute || !minutes.empty() || *minute < 0.0 || *minute >= kMinutesAnHour) return std::nullopt;
    text.remove_prefix(2);
    return *hour + *minute / kMinutesAnHour;
}

}  // namespace

double levelAt(const Schedule& schedule, Id channel, double hour, double days) {
    const ScheduleRamp* ramp = nullptr;
    for (const auto& known : schedule.ramps)
        if (known.channel == channel || (known.channel == 0 && ramp == nullptr)) ramp = &known;
    if (ramp == nullptr) return 0.0;
    return std::clamp(levelOf(ramp->points, wrapped(hour + aheadOf(schedule, days))), 0.0, 1.0);
}

DayCurve dayCurve(const std::vector<ClockedLight>& lights, double days) {
    DayCurve day;
    constexpr int kMinutes = 24 * 60;
    for (int minute = 0; minute <= kMinutes; ++minute) {
        const double hour = minute / kMinutesAnHour;
        double sum = 0.0;
        for (const auto& light : lights)
            for (const auto& channel : light.channels)
                sum +=
                    channel.ppfd * channel.dimming.at(levelAt(light.schedule, channel.channel, hour, days));
        day.hour.push_back(hour);
        day.ppfd.push_back(sum);
    }
    return day;
}

DayFigures figuresOf(const DayCurve& day) {
    DayFigures out;
    if (day.hour.size() < 2) return out;
    for (std::size_t i = 0; i + 1 < day.hour.size(); ++i)
        out.dli += 0.5 * (day.ppfd[i] + day.ppfd[i + 1]) * (day.hour[i + 1] - day.hour[i]) * kSecondsAnHour *
                   kMolPerMicromole;
    out.peak = *std::max_element(day.ppfd.begin(), day.ppfd.end());
    out.plateau = heldForAnHour(day, [](std::size_t) { return true; });
    const double lit = kDayShare * out.plateau;
    for (std::size_t i = 0; i + 1 < day.hour.size(); ++i)
        if (out.plateau > 0.0 && 0.5 * (day.ppfd[i] + day.ppfd[i + 1]) >= lit)
            out.photoperiod_h += day.hour[i + 1] - day.hour[i];
    out.night_ppfd = heldForAnHour(day, [&](std::size_t i) { return day.ppfd[i] < lit; });
    const double above = kAbovePlateau * out.plateau;
    for (std::size_t i = 0; i < day.hour.size();) {
        if (!(day.ppfd[i] > above)) {
            ++i;
            continue;
        }
        auto end = i;
        while (end + 1 < day.hour.size() && day.ppfd[end + 1] > above) ++end;
        out.short_peaks.push_back({day.hour[i], day.hour[end]});
        i = end + 1;
    }
    return out;
}

std::optional<double> energyOf(const std::vector<ClockedLight>& lights) {
    double watt_hours = 0.0;
    constexpr int kMinutes = 24 * 60;
    for (const auto& light : lights)
        for (const auto& channel : light.channels) {
            if (!channel.watt) return std::nullopt;
            for (int minute = 0; minute < kMinutes; ++minute)
                watt_hours += *channel.watt *
                              levelAt(light.schedule, channel.channel, (minute + 0.5) / kMinutesAnHour) /
                              kMinutesAnHour;
        }
    return watt_hours / 1000.0;
}

double clockSpread(const std::vector<Schedule>& schedules, double days) {
    if (schedules.size() < 2) return 0.0;
    const auto [first, last] = std::minmax_element(
        schedules.begin(), schedules.end(),
        [&](const Schedule& a, const Schedule& b) { return aheadOf(a, days) < aheadOf(b, days); });
    return (aheadOf(*last, days) - aheadOf(*first, days)) * kMinutesAnHour;
}

std::vector<DayCurve> daysOf(const DayLog& log) {
    std::vector<DayCurve> days;
    if (log.points.empty()) return days;
    const auto last = static_cast<int>(log.points.back().hour / kHoursADay);
    std::size_t at = 0;
    for (int number = 0; number <= last; ++number) {
        const double from = number * kHoursADay;
        const double to = from + kHoursADay;
        DayCurve day;
        double before = from;
        bool covered = true;
        while (at < log.points.size() && log.points[at].hour < from) ++at;
        for (auto i = at; i < log.points.size() && log.points[i].hour <= to; ++i) {
            covered = covered && log.points[i].hour - before <= kLongestGapH;
            before = log.points[i].hour;
            day.hour.push_back(before - from);
            day.ppfd.push_back(log.points[i].ppfd.value());
        }
        if (covered && to - before <= kLongestGapH && day.hour.size() >= 2) days.push_back(std::move(day));
    }
    return days;
}

std::string clockText(const std::vector<ClockPoint>& points) {
    std::string out;
    for (const auto& point : points) {
        const auto minutes = std::lround(point.hour * kMinutesAnHour);
        out += fmt::format("{}{}:{:02} {:g}", out.empty() ? "" : ", ", minutes / 60, minutes % 60,
                           std::round(point.level_pct * 100.0) / 100.0);
    }
    return out;
}

Expected<std::vector<ClockPoint>> parseClock(const std::string& text) {
    std::vector<ClockPoint> points;
    std::string_view rest = text;
    const auto skip = [&](const char* what) {
        while (!rest.empty() && std::string_view(what).find(rest.front()) != std::string_view::npos)
            rest.remove_prefix(1);
    };
    for (skip(" ,;\t"); !rest.empty(); skip(" ,;\t%")) {
        const auto before = std::string(rest.substr(0, 20));
        const auto hour = timeOf(rest);
        const auto level = hour ? leadingNumber(rest) : std::nullopt;
        if (!level)
            return problem("points",
                           say(GLUMET_SAY("Core", "\"{}\" is no time with a level, like 9:30 60"), before));
        if (!(*hour >= 0.0 && *hour <= kHoursADay && *level >= 0.0 && *level <= 100.0))
            return problem("points",
                           say(GLUMET_SAY("Core", "times go from 0:00 to 24:00 and levels to 100 %")));
        if (!points.empty() && *hour <= points.back().hour)
            return problem("points", say(GLUMET_SAY("Core", "must follow each other in time")));
        points.push_back({*hour, *level});
    }
    if (points.empty())
        return problem("points", say(GLUMET_SAY("Core", "needs a time with a level, like 9:30 60")));
    return points;
}

}  // namespace glumet
