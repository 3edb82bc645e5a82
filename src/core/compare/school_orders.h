#pragma once

#include <string>
#include <vector>

#include "core/compare/rank_board.h"

namespace glumet {

/// The same fixtures as one school would rank them.
struct SchoolOrder {
    Words school;
    Words heading;                    ///< the same in a word or two, for a table
    std::vector<std::string> names;   ///< best first
    std::vector<Millimetre> heights;  ///< of those
    std::vector<int> moved;           ///< places gained (+) or lost against the project's own order
    Words why;                        ///< what moves the one that moves most; empty: nothing moves

    bool changes() const;
};

/// The order by the project's own method, then under every school of height, every school of how much light
/// (as it reads the goal), and with each meter's response taken off, where a response and a spectrum are
/// known. `fits` as judgeAll() takes them; weights are the project's.
std::vector<SchoolOrder> schoolOrders(const Bench& bench, const std::vector<Sweep>& sweeps,
                                      const ComparePlace& place, const FitOf& fit_of,
                                      std::stop_token stop = {});

}  // namespace glumet
