#include "core/living/walk.h"

#include <algorithm>
#include <cmath>

#include "core/living/survey_history.h"

namespace glumet {
namespace {

struct Stop {
    Id spot;
    double x, y, z;
};

/// From a place always to the nearest one left.
void goThrough(std::vector<Stop> left, std::vector<Id>& way, double& x, double& y, double& z) {
    while (!left.empty()) {
        const auto away = [&](const Stop& stop) { return std::hypot(stop.x - x, stop.y - y, stop.z - z); };
        const auto next = std::min_element(left.begin(), left.end(),
                                           [&](const Stop& a, const Stop& b) { return away(a) < away(b); });
        way.push_back(next->spot);
        x = next->x;
        y = next->y;
        z = next->z;
        left.erase(next);
    }
}

}  // namespace

std::vector<Id> walkOf(const Bench& bench, Id tank, const std::string& today) {
    std::vector<Stop> unread;
    std::vector<Stop> read;
    for (const auto& spot : bench.spots) {
        if (spot.tank != tank) continue;
        const auto* last = latestAt(spot);
        const bool done = last != nullptr && dateOf(last->time) == today;
        (done ? read : unread).push_back({spot.id, spot.x.value(), spot.y.value(), spot.depth.value()});
    }
    std::vector<Id> way;
    double x = 0.0;
    double y = 0.0;
    double z = 0.0;
    goThrough(std::move(unread), way, x, y, z);
    goThrough(std::move(read), way, x, y, z);
    return way;
}

SpotReading spotReadingFrom(const Reading& reading, const std::string& time) {
    SpotReading out;
    out.mean = reading.mean;
    out.min = reading.min;
    out.max = reading.max;
    out.time = time;
    out.note = reading.note;
    return out;
}

}  // namespace glumet
