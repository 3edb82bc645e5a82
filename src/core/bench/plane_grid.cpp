#include "core/bench/plane_grid.h"

#include <algorithm>

#include "core/bench/grid.h"

namespace glumet {

std::optional<Grid> gridOf(const Plane& plane, const Tank& tank) {
    if (plane.grid || plane.means.empty()) return plane.grid;
    const auto& first = plane.means.front();
    return cellCentres(tank.length, tank.width, first.columns, first.rows);
}

bool onlyMeans(const Bench& bench, const std::vector<Id>& runs) {
    return !runs.empty() &&
           std::all_of(runs.begin(), runs.end(), [&](Id id) { return bench.run(id).onlyMeans(); });
}

}  // namespace glumet
