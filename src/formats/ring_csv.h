#pragma once

#include <string>
#include <string_view>
#include <vector>

#include "core/base/problem.h"
#include "core/bench/bench.h"
#include "core/fit/fit.h"
#include "formats/delimited_text.h"

namespace glumet {

/// Means as others publish them: a bench of their runs, without readings, and the means with the ids of those
/// runs. Least and greatest values are counted; nothing is fitted to them.
struct RingTable : Separators {
    Bench bench;
    std::vector<MeanReading> means;
    int extremes = 0;               ///< rows of min and max
    std::vector<Problem> problems;  ///< in line order; where = "line N, column"
};

/// Whether the first row names the columns of ring figures (ring beside run, fixture …).
bool looksLikeRings(const DelimitedText& text);

/// Reads ring figures: one row a mean, columns in any order,
///   required run,fixture,height_mm,depth_mm,nx,ny,ring,ppfd; ring is 0 (outermost) …, all, min or max;
///   optional rel_sd (0.03),tank,preset,accessory,level_pct,fixtures,placement,water,source,note.
/// Height > 0, depth, ppfd ≥ 0, nx and ny 1…200, 0 < rel_sd ≤ 1. A ring that the grid does not have, and two
/// rows of one ring that contradict each other (beyond four of their standard deviations), are refused.
RingTable readRings(const DelimitedText& text);

}  // namespace glumet
