#pragma once

#include <optional>
#include <string>
#include <vector>

#include "core/bench/sweep.h"
#include "core/verdicts/goal_level.h"
#include "core/verdicts/spill_limit.h"
#include "core/verdicts/verdict_status.h"

namespace glumet {

/// One height as a school sees it.
struct SchoolEvidence {
    Millimetre height{0};
    double figure = 0.0;  ///< what the school weighs, in its own unit
    Words words;          ///< the same as a sentence's piece
    Id run = 0;           ///< that it was read in
};

/// What the schools are asked.
struct SchoolOptions {
    Band band{Ppfd(150), Ppfd(300)};
    std::optional<Ppfd> ceiling;  ///< of the peak cap; default: the band's upper end
    SpillLimitOptions spill;
};

/// A school's answer from readings alone. It starts as "cannot speak".
struct SchoolVerdict {
    HeightSchool school = HeightSchool::SpillLimit;
    SchoolOptions asked;
    bool failed = false;                 ///< the question breaks a range
    std::optional<Millimetre> height;    ///< a measured height
    std::optional<Millimetre> crossing;  ///< between measured heights, where the evidence carries it
    std::optional<Millimetre> low;       ///< 95 % interval
    std::optional<Millimetre> high;
    Words reason = say(GLUMET_SAY("Core", "not computed"));
    std::vector<SchoolEvidence> evidence;  ///< ascending height

    bool speaks() const { return height.has_value(); }
    /// The runs that stand behind it, ascending height.
    std::vector<Id> used() const { return runsIn(evidence); }
    VerdictStatus status() const {
        return failed ? VerdictStatus::Failed : speaks() ? VerdictStatus::Ready : VerdictStatus::Silent;
    }
};

/// What the project's method, goal and repeats say for this sweep.
SchoolOptions schoolOptions(const Bench& bench, const Sweep& sweep);

/// Flattest field: the height at which centre and edge agree best over all depths. Figure: root mean square
/// over the depths of ln(innermost / outermost ring mean). Needs rings at three heights; the crossing is the
/// bottom of the parabola through the three heights around the least.
SchoolVerdict flattestField(const Bench& bench, const Sweep& sweep, const SchoolOptions& options);

/// Band fill: the height that, dimmed to its best level (1–100 %), puts the largest share of all points into
/// the band. Figure: that share. Ties go to the lower height: less spill for the same.
SchoolVerdict bandFill(const Bench& bench, const Sweep& sweep, const SchoolOptions& options);

/// Peak cap: the lowest height at which no reading exceeds the ceiling. Figure: the peak. The crossing
/// follows the logarithm of the peak between the two heights.
SchoolVerdict peakCap(const Bench& bench, const Sweep& sweep, const SchoolOptions& options);

/// Maker's range: the maker's claim against the spill limit and the peak cap: the highest measured height
/// within the claim that both allow, and where the claim fails.
SchoolVerdict makersRange(const Bench& bench, const Sweep& sweep, const SchoolOptions& options);

/// The spill-limit school in the same form.
SchoolVerdict spillLimitSchool(const Bench& bench, const Sweep& sweep, const SchoolOptions& options);

/// All five, in the order of the documentation: spill-limit, flattest, band-fill, peak-cap, makers-range.
std::vector<SchoolVerdict> heightSchools(const Bench& bench, const Sweep& sweep,
                                         const SchoolOptions& options);

}  // namespace glumet
