#pragma once

#include <optional>
#include <vector>

#include "core/bench/bench.h"
#include "core/dose/day.h"
#include "core/verdicts/channel_mix.h"
#include "core/words/finding.h"

namespace glumet {

/// What is known of a day.
struct DayQuestion {
    std::vector<ClockedLight> lights;
    DayFigures day;                  ///< of all of them
    const DayLog* log = nullptr;     ///< nullptr: none
    std::vector<DayFigures> logged;  ///< its whole days
};

/// DLI over the points of a mix's run, mol·m⁻²·d⁻¹: of its chosen plane, and of all its planes.
struct DoseSpan {
    double plane_low = 0.0;
    double plane_high = 0.0;
    double all_low = 0.0;
    double all_high = 0.0;
};
/// `lights`: clocks of the mix's channels, each as one light. Nothing without points.
std::optional<DoseSpan> doseOver(const RunMix& mix, const std::vector<ClockedLight>& lights);

/// The dose against the goal, short peaks and night light, energy and its cost, clocks that drift, what a
/// logger saw.
std::vector<Finding> dayFindings(const Bench& bench, const DayQuestion& question);

}  // namespace glumet
