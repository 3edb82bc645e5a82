#include "formats/delimited_text.h"

#include <csv.h>

#include <algorithm>
#include <array>

#include "core/base/limits.h"
#include "core/base/utf8.h"
#include "core/words/wording.h"

namespace glumet {
namespace {

constexpr std::array kDelimiters{'\t', ';', ','};

std::string_view firstLine(std::string_view bytes) { return bytes.substr(0, bytes.find('\n')); }

/// In how many lines a character stands; lines without a figure are titles and do not count.
int linesWith(std::string_view bytes, char wanted) {
    int count = 0;
    while (!bytes.empty()) {
        const auto line = firstLine(bytes);
        const bool figures = line.find_first_of("0123456789") != std::string_view::npos;
        if (figures && line.find(wanted) != std::string_view::npos) ++count;
        bytes.remove_prefix(std::min(line.size() + 1, bytes.size()));
    }
    return count;
}

/// A header of readings decides by itself; else the one of tab, semicolon and comma that stands in most
/// lines, the earlier in a tie since 12,5;13,2 holds both; else a space.
char delimiterOf(std::string_view bytes) {
    const auto head = firstLine(bytes);
    if (head.find("ppfd") != std::string_view::npos)
        for (const char candidate : kDelimiters)
            if (head.find(candidate) != std::string_view::npos) return candidate;
    char best = ' ';
    int most = 0;
    for (const char candidate : kDelimiters) {
        const int count = linesWith(bytes, candidate);
        if (count > most) {
            most = count;
            best = candidate;
        }
    }
    return best;
}

using TakeRow = std::function<void(const TextRow&)>;

/// Receives libcsv's calls. Blank lines are reported too, so that lines can be counted.
struct Collector {
    const TakeRow& take;
    TextRow current;
    std::size_t used = 0;  ///< cells of the current row
    int line = 1;
    int breaks_in_row = 0;

    void field(const char* text, std::size_t size) {
        // Cells of the row before are written over: most rows are alike, and nothing is allocated for them.
        if (used < current.cells.size())
            current.cells[used].assign(text, size);
        else
            current.cells.emplace_back(text, size);
        ++used;
        breaks_in_row += static_cast<int>(std::count(text, text + size, '\n'));
    }

    void endOfRow() {
        current.cells.resize(used);
        used = 0;
        const bool empty = std::all_of(current.cells.begin(), current.cells.end(),
                                       [](const auto& cell) { return cell.empty(); });
        if (!empty) {
            current.line = line;
            take(current);
        }
        line += 1 + breaks_in_row;
        breaks_in_row = 0;
    }
};

void onField(void* text, std::size_t size, void* collector) {
    static_cast<Collector*>(collector)->field(static_cast<const char*>(text), size);
}

void onRow(int /*terminator*/, void* collector) { static_cast<Collector*>(collector)->endOfRow(); }

Expected<bool> splitByCsv(std::string_view text, char delimiter, const TakeRow& take) {
    csv_parser parser;
    if (csv_init(&parser, CSV_REPALL_NL | CSV_STRICT | CSV_STRICT_FINI) != 0)
        return problem("", say(GLUMET_SAY("Core", "out of memory")));
    csv_set_delim(&parser, static_cast<unsigned char>(delimiter));
    Collector collector{take, {}};
    const auto taken = csv_parse(&parser, text.data(), text.size(), onField, onRow, &collector);
    const bool sound = taken == text.size() && csv_fini(&parser, onField, onRow, &collector) == 0;
    csv_free(&parser);
    if (!sound)
        return problem("line " + std::to_string(collector.line),
                       say(GLUMET_SAY("Core", "a quotation mark is opened or closed in the wrong place")));
    return true;
}

/// Line ends as \n alone, no byte order mark; runs of spaces as one when spaces separate.
std::string normalised(std::string_view bytes, char delimiter) {
    if (bytes.starts_with("\xEF\xBB\xBF")) bytes.remove_prefix(3);
    std::string text;
    text.reserve(bytes.size());
    for (std::size_t i = 0; i < bytes.size(); ++i) {
        char c = bytes[i];
        if (c == '\r') {
            if (i + 1 < bytes.size() && bytes[i + 1] == '\n') continue;
            c = '\n';
        }
        if (delimiter == ' ' && c == ' ' && (text.empty() || text.back() == ' ' || text.back() == '\n'))
            continue;
        if (delimiter == ' ' && c == '\n' && !text.empty() && text.back() == ' ') text.pop_back();
        text.push_back(c);
    }
    return text;
}

/// Whether more cells are numbers with a comma in them than with a dot.
class DecimalMarks {
  public:
    void count(const TextRow& row) {
        for (const auto& cell : row.cells) {
            if (!parseNumber(cell)) continue;
            commas_ += cell.find(',') != std::string::npos ? 1 : 0;
            dots_ += cell.find('.') != std::string::npos ? 1 : 0;
        }
    }
    bool commas() const { return commas_ > dots_; }

  private:
    int commas_ = 0;
    int dots_ = 0;
};

/// Whether lines end by \n alone and need no other change before they are split.
bool isPlain(std::string_view bytes, char delimiter) {
    return delimiter != ' ' && !bytes.starts_with("\xEF\xBB\xBF") &&
           bytes.find('\r') == std::string_view::npos;
}

std::optional<Problem> unreadable(std::string_view bytes) {
    if (bytes.size() > limits::kTableBytes)
        return Problem{"",
                       say(GLUMET_SAY("Core", "is larger than {} MiB"), countOf(limits::kTableBytes >> 20U))};
    if (bytes.find('\0') != std::string_view::npos || !isUtf8(bytes))
        return Problem{"", say(GLUMET_SAY("Core", "is not UTF-8 text; save it as CSV in UTF-8"))};
    return std::nullopt;
}

std::string quoted(const std::string& cell) {
    if (cell.find_first_of(",\"\r\n;\t") == std::string::npos && !cell.starts_with(' ') &&
        !cell.ends_with(' '))
        return cell;
    std::string out = "\"";
    for (const char c : cell) {
        if (c == '"') out += '"';
        out += c;
    }
    return out + "\"";
}

}  // namespace

namespace {

/// Whether a spreadsheet would run the text, or an apostrophe has been put before one that it would.
bool runs(std::string_view text) {
    const auto first = text.find_first_not_of('\'');
    return first != std::string_view::npos &&
           std::string_view("=+-@\t\r").find(text[first]) != std::string_view::npos;
}

}  // namespace

void appendLine(std::string& out, const std::vector<std::string>& cells) {
    for (std::size_t i = 0; i < cells.size(); ++i) {
        if (i > 0) out += ',';
        out += quoted(cells[i]);
    }
    out += '\n';
}

std::string cellOfText(const std::string& text) { return runs(text) ? "'" + text : text; }

std::string textOfCell(const std::string& cell) {
    return cell.starts_with('\'') && runs(cell) ? cell.substr(1) : cell;
}

Expected<Separators> forEachRow(std::string_view bytes,
                                const std::function<void(const TextRow&, const Separators&)>& take) {
    if (auto fault = unreadable(bytes)) return tl::make_unexpected(std::move(*fault));
    Separators separators{delimiterOf(bytes)};
    std::string changed;
    if (!isPlain(bytes, separators.delimiter)) bytes = changed = normalised(bytes, separators.delimiter);
    if (separators.delimiter != ',') {
        DecimalMarks marks;
        const auto counted =
            splitByCsv(bytes, separators.delimiter, [&](const TextRow& row) { marks.count(row); });
        if (!counted) return tl::make_unexpected(counted.error());
        separators.decimal_comma = marks.commas();
    }
    const auto done =
        splitByCsv(bytes, separators.delimiter, [&](const TextRow& row) { take(row, separators); });
    if (!done) return tl::make_unexpected(done.error());
    return separators;
}

Expected<DelimitedText> splitDelimited(std::string_view bytes) {
    DelimitedText out;
    auto done = forEachRow(bytes, [&](const TextRow& row, const Separators&) { out.rows.push_back(row); });
    if (!done) return tl::make_unexpected(done.error());
    static_cast<Separators&>(out) = *done;
    return out;
}

std::optional<double> cellNumber(const Separators& separators, const std::string& cell) {
    if (cell.find(separators.decimal_comma ? '.' : ',') != std::string::npos) return std::nullopt;
    return parseNumber(cell);
}

}  // namespace glumet
