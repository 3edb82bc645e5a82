#pragma once

#include <optional>
#include <string>
#include <vector>

#include "core/base/problem.h"
#include "core/bench/reading_row.h"
#include "core/words/wording.h"
#include "formats/delimited_text.h"

namespace glumet {

/// One rectangle of numbers as typed in a spreadsheet, with what the lines above it say.
struct SheetBlock {
    int line = 0;       ///< where the numbers begin
    std::string title;  ///< the text above, as it stands
    std::optional<Millimetre> height;
    std::optional<Millimetre> depth;
    std::vector<std::vector<double>> rows;  ///< as typed, top row first

    int columns() const { return rows.empty() ? 0 : static_cast<int>(rows.front().size()); }
};

/// A sheet of planes, and why parts of it cannot be taken.
struct PlaneSheet {
    std::vector<SheetBlock> blocks;
    std::vector<Problem> problems;  ///< empty cells, words among numbers, ragged rows, by line
};

/// Finds the blocks. Consecutive lines of numbers are one block; a label before the numbers is skipped. Of
/// the lines of words above a block the nearest ones that say a height or a depth count, as in
/// "Height 25 cm, depth 15 cm" or "25 cm above, 15 cm under". Figures without a unit are in `assumed`.
PlaneSheet readPlaneSheet(const DelimitedText& text, LengthUnit assumed);

/// What the person at the preview adds to the sheet.
struct SheetAnswers {
    std::string run;
    std::string fixture;
    std::string tank;
    std::optional<Millimetre> height;  ///< for blocks that do not say it
    std::optional<Millimetre> depth;
    /// Distance between columns and between rows; the first lies half a pitch from the left or front.
    std::optional<Millimetre> pitch_x;
    std::optional<Millimetre> pitch_y;
    /// Where a pitch is not given: the footprint that each block's cells fill evenly.
    std::optional<Millimetre> length;
    std::optional<Millimetre> width;
    bool top_row_is_back = true;  ///< as in a plan seen from above with the front below
};

/// The blocks as readings, or everything that is still missing: run, fixture, height, depth, pitch.
Checked<std::vector<ReadingRow>> rowsOfSheet(const PlaneSheet& sheet, const SheetAnswers& answers);

}  // namespace glumet
