#include "core/bench/plane_grid.h"

#include <algorithm>
#include <cmath>

#include "core/bench/grid.h"

namespace glumet {

std::optional<Grid> gridOf(const Plane& plane, const Tank& tank) {
    if (plane.grid || plane.means.empty()) return plane.grid;
    const auto& first = plane.means.front();
    return cellCentres(tank.length, tank.width, first.columns, first.rows);
}

bool contradict(const RingMean& one, const RingMean& other) {
    constexpr double kContradict = 4.0;
    const double doubt =
        std::hypot(one.relative_sd * one.ppfd.value(), other.relative_sd * other.ppfd.value());
    return std::abs((one.ppfd - other.ppfd).value()) > kContradict * doubt;
}

bool onlyMeans(const Bench& bench, const std::vector<Id>& runs) {
    return !runs.empty() &&
           std::all_of(runs.begin(), runs.end(), [&](Id id) { return bench.run(id).onlyMeans(); });
}

}  // namespace glumet
