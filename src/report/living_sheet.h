#pragma once

#include "core/living/ramp.h"
#include "core/living/survey_history.h"
#include "report/page/document.h"
#include "report/tank_figure.h"

namespace glumet {

/// What a sheet beside the tank is made of.
struct LivingSheetQuestion {
    const Bench* bench = nullptr;
    Id tank = 0;
    std::vector<DatedStep> steps;  ///< of the plan; empty: none
    std::string plan;              ///< its name
    TankFigure figure;
    std::string day;  ///< ISO date
    LengthUnit unit = LengthUnit::Cm;
};

/// A sheet to print and write on: the tank with its spots, the steps with room for a tick and for what was
/// seen, the spots with what they had and room for the next reading, and what to look for, with cautions.
Document livingSheet(const LivingSheetQuestion& question);

}  // namespace glumet
