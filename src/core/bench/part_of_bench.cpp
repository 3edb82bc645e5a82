#include "core/bench/part_of_bench.h"

#include <algorithm>

namespace glumet {

Bench partOf(const Bench& bench, const std::vector<Id>& runs) {
    Bench part;
    part.title = bench.title;
    part.tanks = bench.tanks;
    part.fixtures = bench.fixtures;
    part.accessories = bench.accessories;
    part.meters = bench.meters;
    part.method = bench.method;
    part.checks = bench.checks;
    part.spectra = bench.spectra;
    part.schedules = bench.schedules;
    part.logs = bench.logs;
    part.ratings = bench.ratings;
    for (const auto& run : bench.runs)
        if (std::find(runs.begin(), runs.end(), run.id) != runs.end()) part.runs.push_back(run);
    return part;
}

}  // namespace glumet
