#pragma once

#include <string>
#include <string_view>
#include <vector>

#include "core/base/problem.h"
#include "core/bench/reading_row.h"
#include "formats/delimited_text.h"

namespace glumet {

/// What a readings file turned out to hold: the rows that are sound and every reason why others are not.
struct ReadingTable : Separators {
    std::vector<ReadingRow> rows;
    std::vector<Problem> problems;  ///< in line order; where = "line N, column"
    std::vector<std::string> unknown_columns;
};

/// Whether the first row names the columns of a readings file (run, fixture, height_mm … ppfd).
bool looksLikeReadings(const DelimitedText& text);

/// Reads the readings CSV: one row a reading, columns in any order,
///   required run,fixture,height_mm,depth_mm,x_mm,y_mm,ppfd;
///   optional ppfd_min,ppfd_max,samples,sd,preset,accessory,level_pct,power_w,fixtures,placement,meter,
///   flag,note,time,tank,water.
/// Other columns are kept with each reading. Height > 0, depth, x, y, ppfd ≥ 0; ppfd_min ≤ ppfd ≤ ppfd_max.
/// A file that lacks a required column has that as its only problem.
ReadingTable readReadings(const DelimitedText& text);

/// The same for raw bytes.
ReadingTable readReadings(std::string_view bytes);

/// The same, each sound row handed over as it is read instead of kept.
using TakeReading = std::function<void(ReadingRow&&)>;
ReadingTable streamReadings(std::string_view bytes, const TakeReading& take);

/// Writes what readReadings reads, numbers in the shortest form that reads back the same.
std::string writeReadings(const std::vector<ReadingRow>& rows);

}  // namespace glumet
