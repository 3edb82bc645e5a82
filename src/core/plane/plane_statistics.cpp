#include "core/plane/plane_statistics.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

#include "core/bench/grid.h"

namespace glumet {
namespace {

std::vector<double> countedValues(const Plane& plane) {
    std::vector<double> values;
    values.reserve(plane.readings.size());
    for (const auto& reading : plane.readings)
        if (reading.counts()) values.push_back(reading.mean.value());
    return values;
}

double meanOf(const std::vector<double>& values) {
    double sum = 0.0;
    for (const double value : values) sum += value;
    return sum / static_cast<double>(values.size());
}

double populationSd(const std::vector<double>& values, double mean) {
    double squares = 0.0;
    for (const double value : values) squares += (value - mean) * (value - mean);
    return std::sqrt(squares / static_cast<double>(values.size()));
}

void addRings(const Plane& plane, PlaneStatistics& out) {
    const auto grid = readGrid(plane);
    if (!grid) return;
    std::vector<double> sums(static_cast<std::size_t>(ringCount(*grid)), 0.0);
    out.ring_sizes.assign(sums.size(), 0);
    const auto cells = readingOfCell(*grid, plane.readings);
    for (int row = 0; row < grid->rows(); ++row)
        for (int column = 0; column < grid->columns(); ++column) {
            const auto ring = static_cast<std::size_t>(ringOf(*grid, {column, row}));
            const auto index = cells[static_cast<std::size_t>(row * grid->columns() + column)];
            if (index < 0) continue;  // not planned
            sums[ring] += plane.readings[static_cast<std::size_t>(index)].mean.value();
            ++out.ring_sizes[ring];
        }
    if (std::find(out.ring_sizes.begin(), out.ring_sizes.end(), 0) != out.ring_sizes.end()) {
        out.ring_sizes.clear();  // a ring nobody can reach: its mean would be made up
        return;
    }
    for (std::size_t ring = 0; ring < sums.size(); ++ring)
        out.ring_means.emplace_back(sums[ring] / out.ring_sizes[ring]);
    if (sums.size() > 1 && out.ring_means.front().value() > 0.0)
        out.centre_to_outer = out.ring_means.back() / out.ring_means.front();
}

void addBand(const std::vector<double>& values, const Band& band, PlaneStatistics& out) {
    for (const double value : values) {
        if (Ppfd(value) < band.low) ++out.below_band;
        if (Ppfd(value) > band.high) ++out.above_band;
    }
    out.share_in_band = static_cast<double>(out.n - out.below_band - out.above_band) / out.n;
}

}  // namespace

Expected<PlaneStatistics> planeStatistics(const Plane& plane, const std::optional<Band>& band) {
    const auto values = countedValues(plane);
    if (values.empty())
        return problem(fmt::format("plane at {:g} mm", plane.depth.value()),
                       say(GLUMET_SAY("Core", "holds no reading yet")));
    PlaneStatistics out;
    out.n = static_cast<int>(values.size());
    const double mean = meanOf(values);
    const auto [low, high] = std::minmax_element(values.begin(), values.end());
    out.mean = Ppfd(mean);
    out.min = Ppfd(*low);
    out.max = Ppfd(*high);
    if (mean > 0.0) {
        out.cv = populationSd(values, mean) / mean;
        out.min_over_mean = *low / mean;
        out.max_over_mean = *high / mean;
    }
    addRings(plane, out);
    if (band) addBand(values, *band, out);
    return out;
}

std::vector<DepthStep> fallOffWithDepth(const Run& run) {
    std::vector<DepthStep> steps;
    for (const auto& plane : run.planes)
        if (const auto statistics = planeStatistics(plane))
            steps.push_back({plane.depth, statistics->mean, 1.0});
    if (steps.empty() || steps.front().mean.value() <= 0.0) return {};
    for (auto& step : steps) step.share_of_shallowest = step.mean / steps.front().mean;
    return steps;
}

PhotonFlux deliveredOutput(Ppfd mean, Millimetre length, Millimetre width) {
    return PhotonFlux(mean.value() * length.value() * width.value() * 1e-6);
}

double deliveredEfficacy(PhotonFlux delivered, Watt power) { return delivered.value() / power.value(); }

}  // namespace glumet
