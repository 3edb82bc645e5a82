#include "core/simulation/demo_ratings.h"

#include <array>

namespace glumet {
namespace {

/// Both reviewers' scores of a fixture, in the order of kRubricCriteria; 0: not scored.
struct Scores {
    const char* fixture;
    Id accessory;
    std::array<int, kRubricCriteria.size()> first;
    std::array<int, kRubricCriteria.size()> second;
};

constexpr std::array kScores{
    Scores{"Osier 60", 0, {4, 4, 3, 4, 2, 3, 4, 3, 4, 3}, {4, 3, 3, 4, 2, 3, 4, 4, 4, 3}},
    Scores{"Osier 60", 1, {3, 2, 5, 4, 2, 3, 3, 3, 4, 3}, {3, 2, 4, 4, 2, 3, 3, 4, 4, 2}},
    Scores{"Sedge Panel", 0, {4, 2, 5, 3, 4, 5, 4, 2, 3, 4}, {3, 2, 5, 4, 4, 5, 5, 2, 3, 4}},
    Scores{"Twin Alder", 0, {3, 5, 2, 4, 3, 2, 3, 4, 5, 2}, {3, 4, 2, 4, 0, 2, 3, 4, 4, 2}},
    Scores{"Rushlight 2T", 0, {2, 1, 5, 1, 1, 5, 2, 3, 1, 5}, {2, 1, 5, 0, 1, 5, 3, 3, 1, 5}}};

/// Why a score is what it is, where there is more to say than the anchor does.
const char* reasonOf(std::size_t criterion, int score) {
    constexpr std::array kLow{"greens look grey beside the north window",
                              "hardly any movement of light on the sand",
                              "red and blue specks along the front pane",
                              "no dimmer; on or off",
                              "comes on at a tenth, far too bright for a night",
                              "the fan is heard across the raceway hall",
                              "the cover flexes when it is lifted",
                              "needs a rail of its own",
                              "no control of any kind",
                              "the mount is sold apart"};
    constexpr std::array kHigh{
        "leaves stand out against each other", "lively lines, down to the bottom",
        "one white, wherever one stands",      "smooth to one per cent, no flicker in the camera",
        "a faint blue that can be set",        "no fan",
        "gasketed, screws not clips",          "wire kit with a second tether",
        "keeps its day after a power cut",     "everything is in the box"};
    if (score <= 2) return kLow[criterion];
    return score >= 4 ? kHigh[criterion] : "neither stands out nor disturbs";
}

}  // namespace

void addDemoRatings(Bench& bench) {
    for (const auto& scores : kScores)
        for (const auto& fixture : bench.fixtures) {
            if (fixture.name != scores.fixture) continue;
            for (std::size_t i = 0; i < kRubricCriteria.size(); ++i)
                for (const auto& [by, list] :
                     {std::pair{"Wren", &scores.first}, std::pair{"Lark", &scores.second}}) {
                    const int score = (*list)[i];
                    if (score == 0) continue;
                    bench.ratings.push_back({static_cast<Id>(bench.ratings.size()) + 1, fixture.id,
                                             scores.accessory, kRubricCriteria[i], score, reasonOf(i, score),
                                             by, "", "2026-11-05T16:00:00"});
                }
        }
}

}  // namespace glumet
