// Throws cells at the readers of workbooks, as the sheet of a sound package and as the package itself: none
// may crash, hang, or give a table that the readers of tables cannot take.
#include <cstdint>
#include <cstdlib>

#include "formats/delimited_text.h"
#include "formats/made_workbooks.h"
#include "formats/spreadsheet.h"

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size) {
    if (size == 0) return 0;
    const std::string rest(reinterpret_cast<const char*>(data) + 1, size - 1);
    const auto bytes = data[0] % 3 == 0   ? rest
                       : data[0] % 3 == 1 ? glumet::testing::xlsx(rest)
                                          : glumet::testing::ods(rest);
    if (!glumet::looksLikeSpreadsheet(bytes)) return 0;
    const auto tables = glumet::readSpreadsheet(bytes);
    if (!tables) return 0;
    for (const auto& table : *tables)
        if (table.cells == 0) std::abort();
    if (const auto table = glumet::tableOfSpreadsheet(bytes)) (void)glumet::splitDelimited(*table);
    return 0;
}
