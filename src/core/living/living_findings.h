#pragma once

#include <string>
#include <vector>

#include "core/living/places.h"
#include "core/living/raise.h"
#include "core/living/ramp.h"
#include "core/living/shade.h"
#include "core/living/survey_history.h"
#include "core/living/zones.h"
#include "core/words/finding.h"

namespace glumet {

/// Above what a spot had that a new light may give it at once.
inline constexpr double kFirstShare = 0.2;
/// After so many days the spots are to be read again.
inline constexpr int kLookAgainDays = 30;

/// What is looked at in a living tank.
struct LivingQuestion {
    Id tank = 0;
    std::string today;                 ///< ISO date
    Id spot = 0;                       ///< that is looked at; 0: none
    double first_share = kFirstShare;  ///< above what it had that a spot may get at once
    /// Days of the two looks that are compared; empty: the last two.
    std::string before = {};
    std::string now = {};
};

/// Spots that lost light while the field did not; whether a first level or a step is due; where what does not
/// do well should go, one at a time, with its reason; what thrives beyond its band, as the broad-range school
/// would note; reminders of the next look, of changing one thing at a time, and the cautions for livestock.
/// `surveys`: of that tank, as surveysOf() gives them.
std::vector<Finding> livingFindings(const Bench& bench, const LivingQuestion& question,
                                    const std::vector<TankSurvey>& surveys);

/// The change between two looks, by their days; of the last two where one is not named.
std::optional<SurveyChange> comparedChange(const std::vector<TankSurvey>& surveys, const std::string& before,
                                           const std::string& now);

/// What the rocks do at a spot, and from where light would reach under; nothing where they take next to
/// nothing and nothing else stands there.
std::optional<Finding> shadeFinding(const Bench& bench, const SpotShade& shade, const ReachUnder& reach);
/// How much higher the fixtures would have to hang for what lives at a spot.
Finding raiseFinding(const Bench& bench, const TankSpot& spot, const Raise& raise);
/// Zones of a depth, unlit corners, seams and the floor, for a goal.
std::optional<Finding> zoneFinding(const TankZones& zones, Millimetre depth, const Goal& goal);

/// Whether a spot's last light is what lives there asks; nothing where that is not known.
enum class LightSuits { Less, Right, More };
std::optional<LightSuits> suits(const Bench& bench, const TankSpot& spot);

/// Who lives at a spot; nullptr: nobody.
const Organism* livesAt(const Bench& bench, Id spot);

}  // namespace glumet
