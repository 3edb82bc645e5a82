#pragma once

#include <stop_token>

#include "core/bench/sweep.h"
#include "core/fit/fit.h"
#include "core/verdicts/height_schools.h"
#include "core/verdicts/verdict_status.h"

namespace glumet {

/// A school's height by the fitted field, at heights nobody read, with the fit's own interval.
struct FittedHeight {
    HeightSchool school = HeightSchool::SpillLimit;
    SchoolOptions asked;
    std::vector<Id> used;  ///< runs that the fit is of
    std::optional<Millimetre> height;
    std::optional<Millimetre> low;  ///< 95 % interval
    std::optional<Millimetre> high;
    /// How the height leans on the fit's parameters (LightModel::parameters() of them), mm a unit of each:
    /// along the directions in which they are least certain. Empty where the school does not speak.
    std::vector<double> slope;
    Words reason;

    bool speaks() const { return height.has_value(); }
    VerdictStatus status() const { return speaks() ? VerdictStatus::Ready : VerdictStatus::Silent; }
};

/// What is asked of a fit.
struct FittedHeightsQuestion {
    SchoolOptions schools;
    double step_mm = 10.0;
    double beyond_mm = 100.0;  ///< above the highest height read
    int draws = 40;
    int directions = 12;  ///< of the fit's uncertainty that slopes are taken along
    std::uint64_t seed = 1;
    std::stop_token stop;
    std::function<void(double)> progress = [](double) {};  ///< told the share of the draws done
};

/// All five schools on planes that the fit predicts at the sweep's depths and grid, every `step_mm` from its
/// lowest height to `beyond_mm` above its highest. The interval is the middle 95 % of the schools' answers on
/// `draws` draws from the fit's posterior (beam and height offset); a school that most draws silence does not
/// speak. Empty when the sweep has no tank, no grid or several fixtures.
std::vector<FittedHeight> fittedHeights(const FitResult& fit, const Bench& bench, const Sweep& sweep,
                                        const FittedHeightsQuestion& question);

/// The same as sentences, one for each school that speaks.
Words fittedHeightWords(const FittedHeight& verdict);

}  // namespace glumet
