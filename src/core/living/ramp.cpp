#include "core/living/ramp.h"

#include <fmt/format.h>

#include <algorithm>
#include <charconv>
#include <chrono>
#include <cmath>

namespace glumet {
namespace {

constexpr double kRounding = 1e-9;
constexpr int kDaysInWeek = 7;
constexpr int kMostSteps = 400;  // of a plan with its pauses

double levelAt(const RampQuestion& q, double weeks) {
    const double share = std::clamp(weeks / q.weeks, 0.0, 1.0);
    if (q.by == RampBy::Linear) return q.from_pct + (q.to_pct - q.from_pct) * share;
    return q.from_pct * std::pow(q.to_pct / q.from_pct, share);
}

/// Per cent brighter in a week: the first one by linear, any by log.
double greatestStep(const RampQuestion& q) { return 100.0 * (levelAt(q, 1.0) / q.from_pct - 1.0); }

std::optional<int> fewestWeeks(RampQuestion q) {
    for (q.weeks = 1; q.weeks <= kMostRampWeeks; ++q.weeks)
        if (greatestStep(q) <= *q.cap_pct_week + kRounding) return q.weeks;
    return std::nullopt;
}

std::optional<Problem> wrongWith(const RampQuestion& q) {
    if (!(q.from_pct > 0.0 && q.from_pct <= 100.0))
        return Problem{"from", say(GLUMET_SAY("Core", "must lie above 0 and up to 100 %"))};
    if (!(q.to_pct <= 100.0)) return Problem{"to", say(GLUMET_SAY("Core", "must be at most 100 %"))};
    if (!(q.to_pct > q.from_pct))
        return Problem{
            "to",
            say(GLUMET_SAY("Core", "must lie above the start: light is taken away at once, not in steps"))};
    if (q.weeks < 1 || q.weeks > kMostRampWeeks)
        return Problem{"weeks", say(GLUMET_SAY("Core", "must be 1 to {}"), Count{kMostRampWeeks})};
    if (q.cap_pct_week && !(*q.cap_pct_week > 0.0))
        return Problem{"cap", say(GLUMET_SAY("Core", "must be above 0"))};
    return std::nullopt;
}

std::optional<std::chrono::sys_days> dayOf(std::string_view text) {
    if (text.size() < 10 || text[4] != '-' || text[7] != '-') return std::nullopt;
    int parts[3] = {0, 0, 0};
    const std::size_t at[3] = {0, 5, 8};
    const std::size_t length[3] = {4, 2, 2};
    for (int i = 0; i < 3; ++i) {
        const auto piece = text.substr(at[i], length[i]);
        const auto read = std::from_chars(piece.data(), piece.data() + piece.size(), parts[i]);
        if (read.ec != std::errc() || read.ptr != piece.data() + piece.size()) return std::nullopt;
    }
    const std::chrono::year_month_day date{std::chrono::year(parts[0]),
                                           std::chrono::month(static_cast<unsigned>(parts[1])),
                                           std::chrono::day(static_cast<unsigned>(parts[2]))};
    if (!date.ok()) return std::nullopt;
    return std::chrono::sys_days(date);
}

std::string textOf(std::chrono::sys_days day) {
    const std::chrono::year_month_day date(day);
    return fmt::format("{:04}-{:02}-{:02}", static_cast<int>(date.year()),
                       static_cast<unsigned>(date.month()), static_cast<unsigned>(date.day()));
}

RampQuestion questionOf(const Acclimation& ramp) {
    return {ramp.from_pct, ramp.to_pct, static_cast<int>(std::ceil(ramp.weeks - kRounding)), ramp.by,
            ramp.cap_pct_week};
}

}  // namespace

Expected<std::vector<RampStep>> rampSteps(const RampQuestion& q) {
    if (auto wrong = wrongWith(q)) return tl::make_unexpected(std::move(*wrong));
    if (q.cap_pct_week && greatestStep(q) > *q.cap_pct_week + kRounding) {
        const Figure step{greatestStep(q), 1};
        const Figure cap{*q.cap_pct_week, 1};
        const auto weeks = fewestWeeks(q);
        return tl::make_unexpected(Problem{
            "cap",
            weeks
                ? say(GLUMET_SAY(
                          "Core",
                          "forbids it: one week would be {} % brighter, {} % are allowed; {} weeks would do"),
                      step, cap, Count{*weeks})
                : say(GLUMET_SAY("Core",
                                 "forbids it: one week would be {} % brighter, {} % are allowed, and two "
                                 "years would not do"),
                      step, cap)});
    }
    std::vector<RampStep> steps;
    for (int week = 0; week <= q.weeks; ++week) steps.push_back({week, levelAt(q, week)});
    return steps;
}

Expected<std::vector<DatedStep>> datedSteps(const Acclimation& ramp) {
    const auto q = questionOf(ramp);
    if (const auto steps = rampSteps(q); !steps) return tl::make_unexpected(steps.error());
    const auto start = dayOf(ramp.start);
    if (!start)
        return tl::make_unexpected(
            Problem{"start", say(GLUMET_SAY("Core", "is no date such as 2026-11-27"))});
    std::vector<std::pair<std::chrono::sys_days, RampEventKind>> events;
    for (const auto& event : ramp.events)
        if (const auto day = dayOf(event.day); day && *day >= *start) events.emplace_back(*day, event.kind);
    std::stable_sort(events.begin(), events.end(),
                     [](const auto& a, const auto& b) { return a.first < b.first; });
    std::vector<DatedStep> out;
    auto day = *start;
    double progress = 0.0;  // weeks of the plan that are done
    bool paused = false;
    std::size_t next = 0;
    out.push_back({textOf(day), levelAt(q, 0.0)});
    while (static_cast<int>(out.size()) < kMostSteps) {
        const auto due = day + std::chrono::days(kDaysInWeek);
        // While it is paused nothing is due but what ends the pause.
        if (next < events.size() && (paused || events[next].first <= due)) {
            const auto [when, kind] = events[next++];
            day = when;
            if (kind == RampEventKind::StepBack) progress = std::max(0.0, progress - 1.0);
            paused = kind == RampEventKind::Pause || (paused && kind != RampEventKind::Resume);
            out.push_back({textOf(day), levelAt(q, progress), paused, kind == RampEventKind::StepBack});
            continue;
        }
        if (paused || progress >= q.weeks - kRounding) break;
        day = due;
        progress = std::min<double>(q.weeks, progress + 1.0);
        out.push_back({textOf(day), levelAt(q, progress)});
    }
    return out;
}

double levelOn(const std::vector<DatedStep>& steps, const std::string& day) {
    double level = steps.empty() ? 0.0 : steps.front().level_pct;
    for (const auto& step : steps)
        if (step.day <= day.substr(0, 10)) level = step.level_pct;
    return level;
}

std::string daysAfter(const std::string& day, int days) {
    const auto from = dayOf(day);
    return from ? textOf(*from + std::chrono::days(days)) : std::string();
}

std::optional<int> daysBetween(const std::string& from, const std::string& to) {
    const auto a = dayOf(from);
    const auto b = dayOf(to);
    if (!a || !b) return std::nullopt;
    return static_cast<int>((*b - *a).count());
}

}  // namespace glumet
