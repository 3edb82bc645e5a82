#pragma once

#include <array>
#include <string>
#include <vector>

#include "core/bench/goal.h"

namespace glumet {

/// Ready goals, dimmest first: how much light a class of livestock is usually given, in round figures that
/// are common knowledge, to be edited.
const std::vector<Goal>& readyGoals();

/// A narrow goal as another school reads it, in water of this depth.
Goal asReadBy(LightSchool school, Goal narrow, Millimetre water_depth);

/// What is wrong with a goal, naming the field, or nothing: band 0 ≤ low ≤ high, photoperiod 0–24 h, ceiling
/// not under the band's lower end, zone 0 ≤ from ≤ to.
std::optional<std::string> wrongWith(const Goal& goal);

/// Daily light integral, mol·m⁻²·d⁻¹: PPFD · hours · 3600 / 10⁶.
double dailyLightIntegral(Ppfd ppfd, double hours);

}  // namespace glumet
