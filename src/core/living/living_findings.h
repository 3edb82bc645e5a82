#pragma once

#include <string>
#include <vector>

#include "core/living/places.h"
#include "core/living/ramp.h"
#include "core/living/survey_history.h"
#include "core/words/finding.h"

namespace glumet {

/// What is looked at in a living tank.
struct LivingQuestion {
    Id tank = 0;
    std::string today;         ///< ISO date
    Id spot = 0;               ///< that is looked at; 0: none
    double first_share = 0.2;  ///< above what it had that a spot may get at once
};

/// Spots that lost light while the field did not; whether a first level or a step is due; where what does not
/// do well should go, one at a time, with its reason; what thrives beyond its band, as the broad-range school
/// would note; reminders of the next look, of changing one thing at a time, and the cautions for livestock.
std::vector<Finding> livingFindings(const Bench& bench, const LivingQuestion& question);

/// Whether a spot's last light is what lives there asks; nothing where that is not known.
enum class LightSuits { Less, Right, More };
std::optional<LightSuits> suits(const Bench& bench, const TankSpot& spot);

/// Who lives at a spot; nullptr: nobody.
const Organism* livesAt(const Bench& bench, Id spot);

}  // namespace glumet
