#include "core/verdicts/goals.h"

namespace glumet {

const std::vector<Goal>& readyGoals() {
    static const std::vector<Goal> goals{{"low-light plants", {Ppfd(30), Ppfd(60)}, 8.0},
                                         {"soft corals", {Ppfd(50), Ppfd(120)}, 10.0},
                                         {"demanding plants", {Ppfd(80), Ppfd(150)}, 8.0},
                                         {"large-polyp stony corals", {Ppfd(80), Ppfd(160)}, 10.0},
                                         {"seagrass and macroalgae", {Ppfd(150), Ppfd(300)}, 10.0},
                                         {"clams", {Ppfd(200), Ppfd(400)}, 10.0},
                                         {"small-polyp stony corals", {Ppfd(250), Ppfd(450)}, 10.0}};
    return goals;
}

const Goal* goalOf(const Band& band) {
    for (const auto& goal : readyGoals())
        if (goal.band.low == band.low && goal.band.high == band.high) return &goal;
    return nullptr;
}

double dailyLightIntegral(Ppfd ppfd, double hours) { return ppfd.value() * hours * 3600.0 / 1e6; }

}  // namespace glumet
