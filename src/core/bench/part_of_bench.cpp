#include "core/bench/part_of_bench.h"

#include <algorithm>

namespace glumet {

Bench partOf(const Bench& bench, const std::vector<Id>& runs) {
    Bench part{bench.title, bench.tanks,  bench.fixtures, bench.accessories, bench.meters, bench.method,
               {},          bench.checks, bench.spectra,  bench.schedules,   bench.logs,   bench.ratings};
    for (const auto& run : bench.runs)
        if (std::find(runs.begin(), runs.end(), run.id) != runs.end()) part.runs.push_back(run);
    return part;
}

}  // namespace glumet
