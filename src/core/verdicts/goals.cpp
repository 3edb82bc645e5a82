#include "core/verdicts/goals.h"

namespace glumet {
namespace {

constexpr double kBroad = 3.0;

Goal ready(const char* name, double low, double high, double hours) {
    Goal goal;
    goal.name = name;
    goal.band = {Ppfd(low), Ppfd(high)};
    goal.photoperiod_h = hours;
    return goal;
}

}  // namespace

const std::vector<Goal>& readyGoals() {
    static const std::vector<Goal> goals{
        ready("low-light plants", 30, 60, 8),           ready("soft corals", 50, 120, 10),
        ready("demanding plants", 80, 150, 8),          ready("large-polyp stony corals", 80, 160, 10),
        ready("seagrass and macroalgae", 150, 300, 10), ready("clams", 200, 400, 10),
        ready("small-polyp stony corals", 250, 450, 10)};
    return goals;
}

Goal asReadBy(LightSchool school, Goal goal, Millimetre water_depth) {
    goal.school = school;
    if (school == LightSchool::BroadRange) goal.band = {goal.band.low / kBroad, goal.band.high * kBroad};
    if (school == LightSchool::SandBed) goal.floor = goal.band.low;
    if (school == LightSchool::Gradient) {
        goal.zone_from = Millimetre(0);
        goal.zone_to = water_depth / 3.0;
    }
    return goal;
}

std::optional<std::string> wrongWith(const Goal& goal) {
    if (!(goal.band.low.value() >= 0.0 && goal.band.low <= goal.band.high))
        return "The band must run from low to high, such as 150–300.";
    if (!(goal.photoperiod_h >= 0.0 && goal.photoperiod_h <= 24.0))
        return "The photoperiod must lie between 0 and 24 hours.";
    if (goal.ceiling && *goal.ceiling < goal.band.low)
        return "The ceiling must not lie under the band's lower end.";
    if (goal.floor && !(goal.floor->value() >= 0.0)) return "The floor must not be negative.";
    if (!(goal.zone_from.value() >= 0.0 && goal.zone_from <= goal.zone_to))
        return "The depth zone must run downward, such as 0–20 cm.";
    return std::nullopt;
}

double dailyLightIntegral(Ppfd ppfd, double hours) { return ppfd.value() * hours * 3600.0 / 1e6; }

}  // namespace glumet
