#pragma once

#include <string>
#include <vector>

#include "core/plane_statistics.h"

namespace glumet {

/// How much light a class of livestock is usually given: a starting point in round figures, to be edited.
/// Schools differ: a narrow band is aimed at, others note the same species thriving at a third or at three
/// times that.
struct Goal {
    std::string name;
    Band band;
    double photoperiod_h = 10.0;
};

/// Ready goals, dimmest first.
const std::vector<Goal>& readyGoals();

/// The ready goal with this very band, or nullptr: the reviewer's own.
const Goal* goalOf(const Band& band);

/// Daily light integral, mol·m⁻²·d⁻¹: PPFD · hours · 3600 / 10⁶.
double dailyLightIntegral(Ppfd ppfd, double hours);

}  // namespace glumet
