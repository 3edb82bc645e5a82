#pragma once

#include <vector>

#include "core/bench/bench.h"
#include "core/dose/day.h"
#include "core/words/finding.h"

namespace glumet {

/// What is known of a day.
struct DayQuestion {
    std::vector<ClockedLight> lights;
    DayFigures day;                          ///< of all of them
    const DayLog* log = nullptr;             ///< nullptr: none
    std::vector<DayFigures> logged;          ///< its whole days
};

/// The dose against the goal, short peaks and night light, energy and its cost, clocks that drift, what a logger saw.
std::vector<Finding> dayFindings(const Bench& bench, const DayQuestion& question);

}  // namespace glumet
