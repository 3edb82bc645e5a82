#pragma once

#include <functional>
#include <optional>
#include <string>
#include <string_view>
#include <vector>

#include "core/base/problem.h"

namespace glumet {

/// One non-empty line of a table file.
struct TextRow {
    int line = 0;  ///< 1-based line of the file at which the row begins
    std::vector<std::string> cells;
};

/// How a table file sets its cells apart and writes its numbers.
struct Separators {
    char delimiter = ',';        ///< ',', ';', tab or, for columns set apart by spaces, ' '
    bool decimal_comma = false;  ///< numbers are written 12,5
};

/// A table file split into cells, and what its separators turned out to be.
struct DelimitedText : Separators {
    std::vector<TextRow> rows;
};

/// Splits bytes into cells and hands over one row after the other; quotes as in RFC 4180. The delimiter is
/// the one of tab, semicolon and comma that the lines use; a comma counts as a decimal mark only where
/// another delimiter separates. Refuses bytes that are not UTF-8 text and what is larger than
/// limits::kTableBytes; a quotation mark in the wrong place is told after the rows before it.
Expected<Separators> forEachRow(std::string_view bytes,
                                const std::function<void(const TextRow&, const Separators&)>& take);
/// All rows at once.
Expected<DelimitedText> splitDelimited(std::string_view bytes);

/// The number in a cell by the file's own decimal mark; nothing unless the whole cell is one finite number.
std::optional<double> cellNumber(const Separators& separators, const std::string& cell);

/// A text as a cell that no spreadsheet runs: what begins with =, +, -, @, tab or return gets an apostrophe
/// before it. textOfCell() takes it away again, so that every text comes back as it was.
std::string cellOfText(const std::string& text);
std::string textOfCell(const std::string& cell);

/// Adds a line of comma-separated cells, quoted where they need it (RFC 4180).
void appendLine(std::string& out, const std::vector<std::string>& cells);

}  // namespace glumet
