#include "core/bench/grid.h"

#include <algorithm>
#include <cmath>

namespace glumet {
namespace {

/// Sorted distinct coordinates, values closer than kSamePointMm merged.
std::vector<double> distinct(std::vector<double> values) {
    std::sort(values.begin(), values.end());
    std::vector<double> kept;
    for (const double value : values)
        if (kept.empty() || value - kept.back() > kSamePointMm) kept.push_back(value);
    return kept;
}

std::optional<int> indexOf(const std::vector<double>& centres, double value) {
    const auto at = std::lower_bound(centres.begin(), centres.end(), value - kSamePointMm);
    if (at == centres.end() || std::abs(*at - value) > kSamePointMm) return std::nullopt;
    return static_cast<int>(at - centres.begin());
}

std::vector<double> centres(Millimetre extent, int count) {
    std::vector<double> values(static_cast<std::size_t>(count));
    for (int i = 0; i < count; ++i) values[static_cast<std::size_t>(i)] = (i + 0.5) * extent.value() / count;
    return values;
}

}  // namespace

bool samePoint(const Reading& a, const Reading& b) {
    return std::abs((a.x - b.x).value()) <= kSamePointMm && std::abs((a.y - b.y).value()) <= kSamePointMm;
}

Grid cellCentres(Millimetre length, Millimetre width, int columns, int rows) {
    Grid grid;
    grid.xs_mm = centres(length, columns);
    grid.ys_mm = centres(width, rows);
    return grid;
}

std::optional<Grid> detectGrid(const std::vector<Reading>& readings) {
    std::vector<double> xs;
    std::vector<double> ys;
    for (const auto& reading : readings) {
        if (!reading.counts()) continue;
        xs.push_back(reading.x.value());
        ys.push_back(reading.y.value());
    }
    const auto count = static_cast<int>(xs.size());
    Grid grid;
    grid.xs_mm = distinct(std::move(xs));
    grid.ys_mm = distinct(std::move(ys));
    if (count == 0 || grid.cells() != count) return std::nullopt;
    const auto cells = readingOfCell(grid, readings);
    if (std::find(cells.begin(), cells.end(), -1) != cells.end()) return std::nullopt;
    return grid;
}

std::optional<Cell> cellAt(const Grid& grid, Millimetre x, Millimetre y) {
    const auto column = indexOf(grid.xs_mm, x.value());
    const auto row = indexOf(grid.ys_mm, y.value());
    if (!column || !row) return std::nullopt;
    return Cell{*column, *row};
}

int ringOf(const Grid& grid, Cell cell) {
    return std::min({cell.column, cell.row, grid.columns() - 1 - cell.column, grid.rows() - 1 - cell.row});
}

std::vector<std::array<double, 2>> pointsOf(const RingMean& mean, Millimetre length, Millimetre width) {
    const auto grid = cellCentres(length, width, mean.columns, mean.rows);
    std::vector<std::array<double, 2>> points;
    for (int row = 0; row < mean.rows; ++row)
        for (int column = 0; column < mean.columns; ++column)
            if (mean.ring.number == RingName::kAll || ringOf(grid, {column, row}) == mean.ring.number)
                points.push_back({grid.xs_mm[static_cast<std::size_t>(column)],
                                  grid.ys_mm[static_cast<std::size_t>(row)]});
    return points;
}

int ringCount(const Grid& grid) { return (std::min(grid.columns(), grid.rows()) + 1) / 2; }

std::string cellName(Cell cell) {
    std::string letters;
    for (int rest = cell.column; rest >= 0; rest = rest / 26 - 1)
        letters.insert(letters.begin(), static_cast<char>('A' + rest % 26));
    return letters + std::to_string(cell.row + 1);
}

std::string cellName(const Grid& grid, Cell cell) {
    const auto named = grid.names.find(cell);
    return named == grid.names.end() ? cellName(cell) : named->second;
}

std::optional<Grid> readGrid(const Plane& plane) {
    if (plane.grid && !plane.grid->left_out.empty() && !nextCell(*plane.grid, plane.readings))
        return plane.grid;
    return detectGrid(plane.readings);
}

std::vector<int> readingOfCell(const Grid& grid, const std::vector<Reading>& readings) {
    std::vector<int> cells(static_cast<std::size_t>(grid.cells()), -1);
    for (std::size_t i = 0; i < readings.size(); ++i) {
        if (!readings[i].counts()) continue;
        const auto cell = cellAt(grid, readings[i].x, readings[i].y);
        if (cell)
            cells[static_cast<std::size_t>(cell->row * grid.columns() + cell->column)] = static_cast<int>(i);
    }
    return cells;
}

std::vector<Cell> serpentine(const Grid& grid) {
    std::vector<Cell> route;
    route.reserve(static_cast<std::size_t>(grid.cells()));
    for (int row = 0; row < grid.rows(); ++row)
        for (int step = 0; step < grid.columns(); ++step) {
            const Cell cell{row % 2 == 0 ? step : grid.columns() - 1 - step, row};
            if (grid.planned(cell)) route.push_back(cell);
        }
    return route;
}

std::optional<Cell> firstUnread(const Grid& grid, const std::vector<Reading>& readings,
                                const std::vector<Cell>& way) {
    const auto cells = readingOfCell(grid, readings);
    for (const auto cell : way)
        if (cells[static_cast<std::size_t>(cell.row * grid.columns() + cell.column)] < 0) return cell;
    return std::nullopt;
}

std::optional<Cell> nextCell(const Grid& grid, const std::vector<Reading>& readings) {
    return firstUnread(grid, readings, serpentine(grid));
}

}  // namespace glumet
