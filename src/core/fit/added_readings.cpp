#include "core/fit/added_readings.h"

#include <algorithm>

namespace glumet {
namespace {

bool sameSetting(const Run& a, const Run& b) {
    return a.id == b.id && configurationOf(a) == configurationOf(b) && a.height == b.height &&
           a.planes.size() == b.planes.size() &&
           std::equal(a.planes.begin(), a.planes.end(), b.planes.begin(),
                      [](const Plane& one, const Plane& other) { return one.means == other.means; });
}

/// Appends what `after` has more than `before`; false when it is not just more.
bool appendAdded(Id run, const Plane& before, const Plane& after, std::vector<AddedReading>& out) {
    if (before.depth != after.depth || before.readings.size() > after.readings.size() ||
        !std::equal(before.readings.begin(), before.readings.end(), after.readings.begin()))
        return false;
    for (auto i = before.readings.size(); i < after.readings.size(); ++i)
        out.push_back({run, after.depth, after.readings[i]});
    return true;
}

}  // namespace

std::optional<std::vector<AddedReading>> readingsAdded(const Bench& before, const Bench& after,
                                                       const Sweep& sweep) {
    if (before.tanks != after.tanks || before.fixtures != after.fixtures || before.checks != after.checks)
        return std::nullopt;
    std::vector<AddedReading> out;
    for (const auto id : sweep.forFit()) {
        const auto& then = before.run(id);
        const auto& now = after.run(id);
        if (!sameSetting(then, now)) return std::nullopt;
        for (std::size_t p = 0; p < now.planes.size(); ++p)
            if (!appendAdded(id, then.planes[p], now.planes[p], out)) return std::nullopt;
    }
    return out;
}

}  // namespace glumet
