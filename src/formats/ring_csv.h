#pragma once

#include <string>
#include <string_view>
#include <vector>

#include "core/base/problem.h"
#include "core/bench/bench.h"
#include "formats/delimited_text.h"

namespace glumet {

/// Means as others publish them: a bench of their runs, whose planes hold means and no readings. Ids are
/// negative.
struct RingTable : Separators {
    Bench bench;
    int means = 0;                  ///< rows that can be fitted
    int extremes = 0;               ///< rows of min and max
    std::vector<Problem> problems;  ///< in line order; where = "line N, column"
};

/// Whether the first row names the columns of ring figures (ring beside run, fixture …).
bool looksLikeRings(const DelimitedText& text);

/// Reads ring figures: one row a mean, columns in any order,
///   required run,fixture,height_mm,depth_mm,nx,ny,ring,ppfd; ring is 0 (outermost) …, all, min or max;
///   optional rel_sd (0.03),tank,preset,accessory,level_pct,fixtures,placement,water,source,note,turn_deg.
/// The source is whoever read it: "others" where it is not named.
/// Height > 0, depth, ppfd ≥ 0, nx and ny 1…200, 0 < rel_sd ≤ 1. A ring that the grid does not have, and two
/// rows of one ring that contradict each other (beyond four of their standard deviations), are refused.
RingTable readRings(const DelimitedText& text);

}  // namespace glumet
