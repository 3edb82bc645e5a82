#include "core/survey/checks.h"

#include <algorithm>
#include <cmath>

#include "core/plane/contour.h"

namespace glumet {
namespace {

constexpr double kStandardErrors = 3.5;

/// Relative distance of a cell from the mean of its direct neighbours.
double neighbourMisfit(const Surface& surface, Cell cell) {
    const int columns = surface.grid.columns();
    const auto value = [&](int column, int row) {
        return surface.values[static_cast<std::size_t>(row * columns + column)];
    };
    double sum = 0.0;
    int count = 0;
    for (const auto& [dx, dy] : {std::pair{-1, 0}, {1, 0}, {0, -1}, {0, 1}}) {
        const int column = cell.column + dx;
        const int row = cell.row + dy;
        if (column < 0 || row < 0 || column >= columns || row >= surface.grid.rows()) continue;
        sum += value(column, row);
        ++count;
    }
    if (count == 0 || sum <= 0.0) return 0.0;
    return std::abs(value(cell.column, cell.row) / (sum / count) - 1.0);
}

/// Steepest relative change of the field beside a cell, per mm: to its direct neighbours.
double steepness(const Surface& surface, Cell cell) {
    const auto& grid = surface.grid;
    const auto value = [&](int column, int row) {
        return surface.values[static_cast<std::size_t>(row * grid.columns() + column)];
    };
    const double here = value(cell.column, cell.row);
    double steepest = 0.0;
    if (here <= 0.0) return steepest;
    for (const int column : {cell.column - 1, cell.column + 1}) {
        if (column < 0 || column >= grid.columns()) continue;
        const double apart = std::abs(grid.xs_mm[static_cast<std::size_t>(column)] -
                                      grid.xs_mm[static_cast<std::size_t>(cell.column)]);
        steepest = std::max(steepest, std::abs(value(column, cell.row) - here) / here / apart);
    }
    for (const int row : {cell.row - 1, cell.row + 1}) {
        if (row < 0 || row >= grid.rows()) continue;
        const double apart = std::abs(grid.ys_mm[static_cast<std::size_t>(row)] -
                                      grid.ys_mm[static_cast<std::size_t>(cell.row)]);
        steepest = std::max(steepest, std::abs(value(cell.column, row) - here) / here / apart);
    }
    return steepest;
}

/// Relative error of a reading by ripple and by where the probe may have stood.
double errorOf(const Surface& surface, Cell cell, const Reading& reading) {
    return std::hypot(reading.relativeStandardError().value_or(0.0),
                      steepness(surface, cell) * kPlacingErrorMm);
}

}  // namespace

std::vector<MirrorDoubt> mirrorDoubts(const Plane& plane, double tolerance) {
    std::vector<MirrorDoubt> doubts;
    const auto surface = surfaceOf(plane);
    if (!surface) return doubts;
    const auto& grid = surface->grid;
    const auto cells = readingOfCell(grid, plane.readings);
    const auto at = [&](Cell cell) -> const Reading& {
        return plane.readings[static_cast<std::size_t>(
            cells[static_cast<std::size_t>(cell.row * grid.columns() + cell.column)])];
    };
    for (int row = 0; row < grid.rows(); ++row)
        for (int column = 0; column < grid.columns() / 2; ++column) {
            Cell cell{column, row};
            Cell mirror{grid.columns() - 1 - column, row};
            const double middle = 0.5 * (at(cell).mean + at(mirror).mean).value();
            if (middle <= 0.0) continue;
            const double difference = std::abs((at(cell).mean - at(mirror).mean).value()) / middle;
            const double error =
                std::hypot(errorOf(*surface, cell, at(cell)), errorOf(*surface, mirror, at(mirror)));
            if (difference <= tolerance || difference <= kStandardErrors * error) continue;
            if (neighbourMisfit(*surface, mirror) > neighbourMisfit(*surface, cell)) std::swap(cell, mirror);
            doubts.push_back({cell, mirror, at(cell).mean, at(mirror).mean, difference});
        }
    std::stable_sort(doubts.begin(), doubts.end(),
                     [](const MirrorDoubt& a, const MirrorDoubt& b) { return a.difference > b.difference; });
    return doubts;
}

std::optional<Watt> expectedDraw(const Fixture& fixture, const RunSettings& run) {
    if (!fixture.rated_power || fixture.rated_power->value() <= 0.0) return std::nullopt;
    const auto share = powerShare(fixture, run.preset);
    if (!share) return std::nullopt;
    return *fixture.rated_power *
           (std::max(1, run.fixtures) * *share * run.level_pct.value_or(100.0) / 100.0);
}

std::optional<double> drawShare(const Run& run, const Fixture& fixture) {
    const auto power = run.power();
    const auto expected = expectedDraw(fixture, run);
    if (!power || !expected || expected->value() <= 0.0) return std::nullopt;
    return *power / *expected;
}

std::optional<double> roomLightShare(const Run& run) {
    if (!run.dark_reading) return std::nullopt;
    std::optional<Ppfd> dimmest;
    for (const auto& plane : run.planes)
        for (const auto& reading : plane.readings)
            if (reading.counts() && (!dimmest || reading.mean < *dimmest)) dimmest = reading.mean;
    if (!dimmest || dimmest->value() <= 0.0) return std::nullopt;
    return *run.dark_reading / *dimmest;
}

}  // namespace glumet
