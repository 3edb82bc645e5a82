#pragma once

#include <optional>
#include <string>
#include <vector>

#include "core/bench/bench.h"

namespace glumet {

/// Two positions closer than this are the same point, mm: finer than anyone places a probe.
inline constexpr double kSamePointMm = 0.5;
/// Places this close along an axis are one where an instrument was put there twice, by hand.
inline constexpr double kSamePlaceMm = 1.0;

/// Whether two readings were taken at the same point.
bool samePoint(const Reading& a, const Reading& b);

/// Grid of cell centres over a footprint: x = (i+½)·length/columns, y = (j+½)·width/rows.
/// Needs columns, rows ≥ 1.
Grid cellCentres(Millimetre length, Millimetre width, int columns, int rows);

/// The lattice on which all counted readings lie and which they fill completely, one reading a cell;
/// nothing when the points are free, a cell is empty or one is taken twice.
std::optional<Grid> detectGrid(const std::vector<Reading>& readings);

/// The cell whose centre is within kSamePointMm of the point.
std::optional<Cell> cellAt(const Grid& grid, Millimetre x, Millimetre y);

/// Ring of a cell: min(i, j, columns−1−i, rows−1−j); 0 is the outermost.
int ringOf(const Grid& grid, Cell cell);

/// The points that a published mean is of, over a footprint, mm.
std::vector<std::array<double, 2>> pointsOf(const RingMean& mean, Millimetre length, Millimetre width);

/// Number of rings: ⌈min(columns, rows)/2⌉.
int ringCount(const Grid& grid);

/// "A1" is the front left cell; letters run along the length, past Z as AA, AB …
std::string cellName(Cell cell);

/// The name the grid gives the cell, else cellName().
std::string cellName(const Grid& grid, Cell cell);

/// The planned lattice when every planned cell is read, else the one detectGrid() finds.
std::optional<Grid> readGrid(const Plane& plane);

/// Index into `readings` of the counted value of each cell, row by row from the front (size cells());
/// −1 where there is none.
std::vector<int> readingOfCell(const Grid& grid, const std::vector<Reading>& readings);

/// Planned cells row by row, every other row backward: the shortest way over a lattice without obstacles.
std::vector<Cell> serpentine(const Grid& grid);

/// First cell of a way that has no counted reading yet.
std::optional<Cell> firstUnread(const Grid& grid, const std::vector<Reading>& readings,
                                const std::vector<Cell>& way);

/// firstUnread() along the serpentine.
std::optional<Cell> nextCell(const Grid& grid, const std::vector<Reading>& readings);

}  // namespace glumet
