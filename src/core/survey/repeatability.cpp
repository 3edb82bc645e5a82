#include "core/survey/repeatability.h"

#include <algorithm>
#include <cmath>

#include "core/survey/pace.h"

namespace glumet {
namespace {

constexpr double kMistake = 0.20;
constexpr double kSecondsPerHour = 3600.0;
constexpr double kLeastDriftPerHour = 0.01;

/// The earliest reading of the same point that a check reading is compared with.
const Reading* firstAt(const Plane& plane, const Reading& check) {
    for (const auto& reading : plane.readings) {
        if (&reading == &check) return nullptr;
        if (reading.flag != Mark::Excluded && samePoint(reading, check) && reading.mean.value() > 0.0)
            return &reading;
    }
    return nullptr;
}

struct DriftSums {
    double weight = 0.0;  // Σ t²
    double change = 0.0;  // Σ t·change
    std::vector<std::pair<double, double>> points;
};

void addPlane(const Plane& plane, Repeatability& out, double& squares, DriftSums& drift) {
    for (const auto& reading : plane.readings) {
        const auto* first = firstAt(plane, reading);
        if (first == nullptr || reading.flag == Mark::Excluded) continue;
        const double change = reading.mean / first->mean - 1.0;
        if (reading.flag == Mark::Reference) {
            ++out.returns;
            out.largest_change = std::max(out.largest_change, std::abs(change));
            const auto from = secondsOf(first->time);
            const auto to = secondsOf(reading.time);
            if (from && to && *to > *from) drift.points.emplace_back((*to - *from) / kSecondsPerHour, change);
        }
        if (std::abs(change) > kMistake) continue;
        squares += change * change;
        ++out.pairs;
    }
}

void fitDrift(DriftSums& drift, Repeatability& out) {
    if (drift.points.size() < 3) return;
    for (const auto& [hours, change] : drift.points) {
        drift.weight += hours * hours;
        drift.change += hours * change;
    }
    out.drift_per_hour = drift.change / drift.weight;
    double squares = 0.0;
    for (const auto& [hours, change] : drift.points) {
        const double off = change - out.drift_per_hour * hours;
        squares += off * off;
    }
    out.drift_error = std::sqrt(squares / (static_cast<double>(drift.points.size()) - 1.0) / drift.weight);
}

}  // namespace

bool Repeatability::drifts() const {
    return std::abs(drift_per_hour) > kLeastDriftPerHour && std::abs(drift_per_hour) > 3.0 * drift_error;
}

Repeatability repeatabilityOf(const Bench& bench, const std::vector<Id>& runs) {
    Repeatability out;
    double squares = 0.0;
    DriftSums drift;
    for (const auto run : runs)
        for (const auto& plane : bench.run(run).planes) addPlane(plane, out, squares, drift);
    if (out.pairs > 0) out.relative_sd = std::sqrt(squares / out.pairs / 2.0);
    fitDrift(drift, out);
    return out;
}

Cell referenceCell(const Grid& grid) {
    const auto middle = [](const std::vector<double>& v) { return 0.5 * (v.front() + v.back()); };
    const double x = middle(grid.xs_mm);
    const double y = middle(grid.ys_mm);
    Cell best;
    double nearest = -1.0;
    for (const auto cell : serpentine(grid)) {
        const double apart = std::hypot(grid.xs_mm[static_cast<std::size_t>(cell.column)] - x,
                                        grid.ys_mm[static_cast<std::size_t>(cell.row)] - y);
        if (nearest >= 0.0 && apart >= nearest - kSamePointMm) continue;
        nearest = apart;
        best = cell;
    }
    return best;
}

std::optional<CheckPoint> checkPointDue(const Plane& plane, int every) {
    if (every <= 0 || !plane.grid) return std::nullopt;
    std::vector<const Reading*> counted;
    std::size_t since = 0;
    int checks = 0;
    for (const auto& reading : plane.readings) {
        if (reading.isCheck()) {
            ++checks;
            since = 0;
        } else if (reading.counts()) {
            counted.push_back(&reading);
            ++since;
        }
    }
    if (since < static_cast<std::size_t>(every)) return std::nullopt;
    const auto reference = referenceCell(*plane.grid);
    const bool reference_read = readingOfCell(*plane.grid, plane.readings)[static_cast<std::size_t>(
                                    reference.row * plane.grid->columns() + reference.column)] >= 0;
    const auto back = counted[counted.size() - 1 - static_cast<std::size_t>(every) / 2];
    if (checks % 2 == 0 && reference_read) return CheckPoint{CheckPointKind::Reference, reference};
    const auto cell = cellAt(*plane.grid, back->x, back->y);
    return cell ? std::optional(CheckPoint{CheckPointKind::Repeat, *cell}) : std::nullopt;
}

std::optional<DriftDoubt> latestDrift(const Plane& plane, double tolerance) {
    if (!plane.grid) return std::nullopt;
    for (auto reading = plane.readings.rbegin(); reading != plane.readings.rend(); ++reading) {
        if (reading->flag != Mark::Reference) continue;
        const auto* first = firstAt(plane, *reading);
        const auto cell = cellAt(*plane.grid, reading->x, reading->y);
        if (first == nullptr || !cell) return std::nullopt;
        const double change = reading->mean / first->mean - 1.0;
        if (std::abs(change) <= tolerance) return std::nullopt;
        return DriftDoubt{*cell, change};
    }
    return std::nullopt;
}

}  // namespace glumet
