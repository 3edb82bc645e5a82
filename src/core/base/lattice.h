#pragma once

#include <algorithm>
#include <compare>
#include <map>
#include <string>
#include <vector>

namespace glumet {

/// A cell of a grid: column from the left, row from the front, both from 0.
struct Cell {
    int column = 0;
    int row = 0;
    auto operator<=>(const Cell&) const = default;
};

/// Cell centres of a lattice, both ascending, mm. Columns run along x from the left, rows along y from
/// the front. Pitches may differ.
struct Grid {
    std::vector<double> xs_mm;
    std::vector<double> ys_mm;
    std::vector<Cell> left_out = {};  ///< ascending; cells that are not to be read: under a brace, or no spot
    std::map<Cell, std::string> names = {};  ///< of single cells: an organism, a spot

    int columns() const { return static_cast<int>(xs_mm.size()); }
    int rows() const { return static_cast<int>(ys_mm.size()); }
    int cells() const { return columns() * rows(); }
    bool planned(Cell cell) const { return !std::binary_search(left_out.begin(), left_out.end(), cell); }
    int plannedCells() const { return cells() - static_cast<int>(left_out.size()); }
    bool operator==(const Grid&) const = default;
};

/// Values over a lattice, row by row from the front; size grid.cells().
struct Surface {
    Grid grid;
    std::vector<double> values;
};

}  // namespace glumet
