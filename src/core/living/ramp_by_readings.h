#pragma once

#include "core/living/ramp.h"
#include "core/living/survey_history.h"

namespace glumet {

/// How a plan's light came out between two looks on its way.
struct RampOutcome {
    std::string from;  ///< days of the looks, both after the plan's first day
    std::string to;
    double meant = 1.0;  ///< light at `to` against `from` if light went by the level
    double read = 1.0;   ///< as the spots say, their median
    /// Light goes by level^exponent: ln read / ln meant, within 1/3 … 3; nothing where the level hardly
    /// moved between the looks or the light went the other way.
    std::optional<double> exponent;

    /// More than a tenth off what was meant.
    bool off() const;
};

/// Of the first and the last look after the plan's first day; nothing with fewer than two of three spots.
std::optional<RampOutcome> outcomeOf(const std::vector<DatedStep>& steps,
                                     const std::vector<TankSurvey>& surveys);

/// The plan with its coming steps as the readings ask, so that the light, not the level, rises as planned:
/// level = level(to) (wanted / read)^(1/exponent), wanted the planned level against that at `from`; never
/// below the level of the last look, never above 100 %. Unchanged where no outcome is off.
std::vector<DatedStep> byReadings(std::vector<DatedStep> steps, const std::vector<TankSurvey>& surveys);

/// The light of the whole tank since its last change of lamps or settings: looks between which the field
/// moved by less than a seventh each.
struct SlowChange {
    std::string from;
    std::string to;
    double field = 1.0;     ///< at `to` against `from`
    double per_year = 0.0;  ///< relative change a year, exponential
};
/// Nothing for less than three months.
std::optional<SlowChange> slowChange(const std::vector<TankSurvey>& surveys);

}  // namespace glumet
