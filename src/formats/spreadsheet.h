#pragma once

#include <string>
#include <string_view>
#include <vector>

#include "core/base/problem.h"

namespace glumet {

/// One sheet of a workbook: its cells as a table file would have them (RFC 4180, commas), an empty line for
/// an empty row. Formulas are what they came to when the workbook was stored; dates are ISO 8601; numbers
/// have as many digits as tell them.
struct SpreadsheetTable {
    std::string name;
    std::string csv;
    std::size_t cells = 0;  ///< that hold something
};

/// Whether bytes are a workbook of OOXML (.xlsx) or OpenDocument (.ods).
bool looksLikeSpreadsheet(std::string_view bytes);

/// Every sheet that holds something. Refused: what does not read, is larger than limits.h allows when
/// unpacked, or holds cells beyond limits::kAlongLattice columns.
Expected<std::vector<SpreadsheetTable>> readSpreadsheet(std::string_view bytes);

/// Of a workbook's sheets the one that holds readings or others' means by its header, else the first.
Expected<std::string> tableOfSpreadsheet(std::string_view bytes);

}  // namespace glumet
