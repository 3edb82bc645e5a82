#include "core/living/ramp_by_readings.h"

#include <algorithm>
#include <cmath>

namespace glumet {
namespace {

constexpr double kOff = 0.1;
constexpr double kMoved = 0.05;  // ln of the least change of level that tells an exponent
constexpr double kMostExponent = 3.0;
constexpr double kJump = 1.0 / 7.0;
constexpr int kLeastDays = 90;
constexpr double kDaysInYear = 365.25;
constexpr double kFullPct = 100.0;

}  // namespace

bool RampOutcome::off() const { return std::abs(std::log(read / meant)) > kOff; }

std::optional<RampOutcome> outcomeOf(const std::vector<DatedStep>& steps,
                                     const std::vector<TankSurvey>& surveys) {
    if (steps.empty()) return std::nullopt;
    const auto first = std::find_if(surveys.begin(), surveys.end(),
                                    [&](const TankSurvey& survey) { return survey.day > steps.front().day; });
    if (first == surveys.end() || first->day == surveys.back().day) return std::nullopt;
    const auto change = changeBetween(surveys, first->day, surveys.back().day);
    if (!change) return std::nullopt;
    RampOutcome out{change->before,
                    change->now,
                    levelOn(steps, change->now) / levelOn(steps, change->before),
                    change->field,
                    {}};
    const double meant = std::log(out.meant);
    const double read = std::log(out.read);
    if (std::abs(meant) > kMoved && read / meant > 0.0)
        out.exponent = std::clamp(read / meant, 1.0 / kMostExponent, kMostExponent);
    return out;
}

std::vector<DatedStep> byReadings(std::vector<DatedStep> steps, const std::vector<TankSurvey>& surveys) {
    const auto outcome = outcomeOf(steps, surveys);
    if (!outcome || !outcome->off() || !outcome->exponent) return steps;
    const double base = levelOn(steps, outcome->from);
    const double now = levelOn(steps, outcome->to);
    for (auto& step : steps) {
        if (step.day <= outcome->to) continue;
        const double wanted = step.level_pct / base;
        const double level = now * std::pow(wanted / outcome->read, 1.0 / *outcome->exponent);
        step.level_pct = step.back ? std::min(step.level_pct, level) : std::clamp(level, now, kFullPct);
    }
    return steps;
}

std::optional<SlowChange> slowChange(const std::vector<TankSurvey>& surveys) {
    if (surveys.size() < 2) return std::nullopt;
    std::size_t from = surveys.size() - 1;
    while (from > 0) {
        const auto change = changeBetween(surveys, surveys[from - 1].day, surveys[from].day);
        if (!change || std::abs(std::log(change->field)) > kJump) break;
        --from;
    }
    const auto days = daysBetween(surveys[from].day, surveys.back().day);
    if (!days || *days < kLeastDays) return std::nullopt;
    const auto whole = changeBetween(surveys, surveys[from].day, surveys.back().day);
    if (!whole) return std::nullopt;
    return SlowChange{whole->before, whole->now, whole->field,
                      std::pow(whole->field, kDaysInYear / *days) - 1.0};
}

}  // namespace glumet
