#pragma once

#include <vector>

#include "core/compare/ageing.h"
#include "core/compare/conditions.h"
#include "core/compare/pairs.h"
#include "core/compare/rank_board.h"
#include "core/words/finding.h"

namespace glumet {

/// What comes out of a comparison, before anything is looked at.
struct CompareAnswer {
    Words title;  ///< "Sedge Panel spreads better, Osier 60 gives more for its watts"
    Words body;   ///< heights, and how far the order holds
};
CompareAnswer compareAnswer(const std::vector<Judged>& judged, const RankBoard& board);

/// The pair that is looked at.
struct LookedAtPair {
    const Contender* a = nullptr;
    const Contender* b = nullptr;
    const Paired* paired = nullptr;
    const std::vector<ConditionRow>* conditions = nullptr;
};

/// The pair first: what changes, what it takes off the peak, the swing; then what makes it unfair, who is not
/// ranked and why, the lamps' ageing, and the next step.
std::vector<Finding> compareFindings(const std::vector<Judged>& judged, const RankBoard& board,
                                     const LookedAtPair& pair, const std::vector<Ageing>& ageings);

/// "B gives 12 % more than A: between +8 % and +16 %", or that they are a tie.
Words pairWords(const Paired& paired, const std::string& b, const std::string& a);

}  // namespace glumet
