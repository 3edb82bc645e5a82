#include "formats/readings_csv.h"

#include <fmt/format.h>

#include <algorithm>
#include <array>
#include <cmath>
#include <map>
#include <set>

#include "core/base/limits.h"
#include "core/base/utf8.h"
#include "core/bench/describing.h"
#include "core/bench/descriptions.h"

namespace glumet {
namespace {

constexpr std::array kReadingColumns{"run", "fixture", "height_mm", "depth_mm", "x_mm", "y_mm", "ppfd"};
constexpr const char* kSuperseded = "superseded";

/// The columns in the order they are written: what a run is set to, and what a reading holds.
const std::vector<PartType>& columnsOfRow() {
    using Row = ReadingRow;
    static const std::vector<PartType> columns{
        field("run", &Row::run, &Run::label),
        field("fixture", &Row::fixture),
        field("height_mm", &Row::run, &Run::height).moreThan(0),
        field("depth_mm", &Row::depth).atLeast(0),
        field("x_mm", &Row::reading, &Reading::x).atLeast(0),
        field("y_mm", &Row::reading, &Reading::y).atLeast(0),
        field("ppfd", &Row::reading, &Reading::mean).atLeast(0),
        field("ppfd_min", &Row::reading, &Reading::min).atLeast(0),
        field("ppfd_max", &Row::reading, &Reading::max).atLeast(0),
        field("samples", &Row::reading, &Reading::samples).atLeast(1),
        field("sd", &Row::reading, &Reading::sd).atLeast(0),
        field("preset", &Row::preset),
        field("accessory", &Row::accessory),
        field("level_pct", &Row::run, &Run::level_pct).atLeast(0),
        field("power_w", &Row::reading, &Reading::power).atLeast(0),
        field("fixtures", &Row::run, &Run::fixtures).atLeast(1).atMost(1000),
        field("placement", &Row::run, &Run::placement),
        field("meter", &Row::meter),
        field("flag", &Row::reading, &Reading::flag),
        field("note", &Row::reading, &Reading::note),
        field("time", &Row::reading, &Reading::time),
        field("tank", &Row::tank),
        field("water", &Row::run, &Run::water),
        field("turn_deg", &Row::run, &Run::turn_deg).atLeast(0).atMost(360),
        field("read_by", &Row::run, &Run::read_by),
        field("hours", &Row::run, &Run::hours).atLeast(0)};
    return columns;
}

/// "still, moving or dry".
std::string wordList(const ValueType& type) {
    std::string list;
    const auto words = static_cast<std::size_t>(type.words);
    for (std::size_t i = 0; i < words; ++i)
        list += std::string(i == 0 ? "" : i + 1 == words ? " or " : ", ") + type.word_at(i);
    return list;
}

bool isRequired(std::string_view column) {
    return std::find(kReadingColumns.begin(), kReadingColumns.end(), column) != kReadingColumns.end();
}

/// Where each column stands; found by a name that need not be a string of its own.
using Columns = std::map<std::string, std::size_t, std::less<>>;

/// One row being read: finds cells by column name and notes what is wrong.
class RowReader {
  public:
    RowReader(const Separators& text, const Columns& columns, const TextRow& row)
        : text_(text), columns_(columns), row_(row) {}

    const std::string& word(std::string_view column) const {
        static const std::string none;
        const auto at = columns_.find(column);
        return at == columns_.end() ? none : row_.cells[at->second];
    }

    /// The number in a cell; nothing for an empty one, and blame for one that is not in the column's range.
    std::optional<double> number(const PartType& column) {
        const auto& cell = word(column.key);
        if (cell.empty()) return std::nullopt;
        const auto number = cellNumber(text_, cell);
        if (!number) {
            blame(column.key, say(GLUMET_SAY("Core", "\"{}\" is not a number"), cell.substr(0, 40)));
            return std::nullopt;
        }
        const double reach = column.type->reach;
        if (column.holds(*number) && std::abs(*number) <= reach) return number;
        if (*number > reach) return blameReach(column.key, cell, reach);
        if (*number > column.most)
            blame(column.key, say(GLUMET_SAY("Core", "{} is above {}"), cell, Figure{column.most}));
        else
            blame(column.key, column.above
                                  ? say(GLUMET_SAY("Core", "must be above {}"), Figure{column.least})
                                  : say(GLUMET_SAY("Core", "{} is below {}"), cell, Figure{column.least}));
        return std::nullopt;
    }

    std::nullopt_t blameReach(const char* column, const std::string& cell, double reach) {
        blame(column, say(GLUMET_SAY("Core", "{} is above {}"), shownText(cell, 40), Figure{reach}));
        return std::nullopt;
    }

    void read(const PartType& column, ReadingRow& row) {
        const auto& type = *column.type;
        void* value = column.of(&row);
        const auto& cell = word(column.key);
        switch (type.kind) {
            case ValueKind::Text:
                *static_cast<std::string*>(value) = textOfCell(cell);
                return;
            case ValueKind::Spelled:
                return type.set_text(value, textOfCell(cell));
            case ValueKind::Word:
                if (!cell.empty() && !type.read_word(value, cell))
                    blame(column.key, say(GLUMET_SAY("Core", "must be {}"), wordList(type)));
                return;
            case ValueKind::Whole:
                return readWhole(column, value);
            case ValueKind::Optional:
                if (const auto found = number(column)) type.inner->set_number(type.emplace(value), *found);
                return;
            default:
                if (cell.empty() && isRequired(column.key))
                    blame(column.key, say(GLUMET_SAY("Core", "is empty")));
                if (!cell.empty()) type.set_number(value, number(column).value_or(0.0));
        }
    }

    void blame(const std::string& column, Words what) {
        problems_.push_back({fmt::format("line {}, {}", row_.line, column), std::move(what)});
    }

    const std::vector<Problem>& problems() const { return problems_; }

  private:
    void readWhole(const PartType& column, void* value) {
        const auto whole = number(column);
        if (whole && *whole != std::floor(*whole))
            return blame(column.key, say(GLUMET_SAY("Core", "is not a whole number")));
        if (whole) column.type->set_whole(value, static_cast<std::int64_t>(*whole));
    }

    const Separators& text_;
    const Columns& columns_;
    const TextRow& row_;
    std::vector<Problem> problems_;
};

/// An earlier value of its point says so before its own flag.
void readSuperseded(Reading& reading) {
    const std::string mark = kSuperseded;
    auto& remark = reading.flag.remark;
    if (!remark.starts_with(mark)) return;
    reading.superseded = true;
    reading.flag = Flag::of(remark.size() > mark.size() ? remark.substr(mark.size() + 1) : "");
}

ReadingRow readRow(RowReader& in) {
    ReadingRow row;
    for (const auto& column : columnsOfRow()) in.read(column, row);
    if (row.run.label.empty()) in.blame("run", say(GLUMET_SAY("Core", "is empty")));
    if (row.fixture.empty()) in.blame("fixture", say(GLUMET_SAY("Core", "is empty")));
    auto& reading = row.reading;
    readSuperseded(reading);
    if (reading.min && *reading.min > reading.mean)
        in.blame("ppfd_min", say(GLUMET_SAY("Core", "is above ppfd")));
    if (reading.max && *reading.max < reading.mean)
        in.blame("ppfd_max", say(GLUMET_SAY("Core", "is below ppfd")));
    return row;
}

std::optional<Problem> columnProblem(const TextRow& header) {
    std::set<std::string> seen;
    for (const auto& name : header.cells)
        if (!name.empty() && !seen.insert(name).second)
            return Problem{fmt::format("line {}", header.line),
                           say(GLUMET_SAY("Core", "column {} stands twice"), name)};
    for (const auto* name : kReadingColumns)
        if (!seen.contains(name))
            return Problem{fmt::format("line {}", header.line),
                           say(GLUMET_SAY("Core", "column {} is missing"), name)};
    return std::nullopt;
}

bool isKnown(const std::string& name) {
    const auto& columns = columnsOfRow();
    return std::any_of(columns.begin(), columns.end(),
                       [&](const auto& column) { return name == column.key; });
}

std::string cellOf(const ValueType& type, const void* value) {
    switch (type.kind) {
        case ValueKind::Text:
            return cellOfText(*static_cast<const std::string*>(value));
        case ValueKind::Spelled:
            return cellOfText(type.text(value));
        case ValueKind::Word:
            return type.word(value);
        case ValueKind::Whole:
            return fmt::format("{}", type.whole(value));
        case ValueKind::Optional: {
            const void* held = type.held(value);
            return held == nullptr ? std::string() : cellOf(*type.inner, held);
        }
        default:
            return fmt::format("{}", type.number(value));
    }
}

std::string flagCell(const Reading& reading) {
    const auto flag = reading.flag.text();
    if (!reading.superseded) return flag;
    return flag.empty() ? kSuperseded : std::string(kSuperseded) + " " + flag;
}

std::vector<std::string> cellsOf(const ReadingRow& row) {
    std::vector<std::string> cells;
    for (const auto& column : columnsOfRow()) {
        const void* value = column.of(&row);
        cells.push_back(value == &row.reading.flag ? cellOfText(flagCell(row.reading))
                                                   : cellOf(*column.type, value));
    }
    return cells;
}

}  // namespace

bool looksLikeReadings(const DelimitedText& text) {
    if (text.rows.empty()) return false;
    const auto& header = text.rows.front().cells;
    const auto named = std::count_if(kReadingColumns.begin(), kReadingColumns.end(), [&](const char* name) {
        return std::find(header.begin(), header.end(), name) != header.end();
    });
    return named >= 3;
}

namespace {

/// Takes the rows of a readings file as they come.
class TableReader {
  public:
    explicit TableReader(const TakeReading& take) : take_(take) {}

    void take(const TextRow& row, const Separators& separators) {
        if (begun_)
            takeRow(row, separators);
        else
            takeHeader(row);
        begun_ = true;
    }

    ReadingTable finish(const Separators& separators) {
        static_cast<Separators&>(table_) = separators;
        if (!begun_) table_.problems.push_back({"line 1", say(GLUMET_SAY("Core", "the file is empty"))});
        return std::move(table_);
    }

  private:
    void takeHeader(const TextRow& header) {
        if (const auto wrong = columnProblem(header)) {
            table_.problems.push_back(*wrong);
            return;
        }
        for (std::size_t i = 0; i < header.cells.size(); ++i) {
            columns_[header.cells[i]] = i;
            if (!header.cells[i].empty() && !isKnown(header.cells[i]))
                table_.unknown_columns.push_back(header.cells[i]);
        }
        width_ = header.cells.size();
    }

    void takeRow(const TextRow& row, const Separators& separators) {
        if (columns_.empty()) return;
        if (row.cells.size() != width_) {
            table_.problems.push_back({fmt::format("line {}", row.line),
                                       sayCounted(GLUMET_SAY_N("Core", "has {} fields, the header has {}"),
                                                  countOf(row.cells.size()), countOf(width_))});
            return;
        }
        RowReader in(separators, columns_, row);
        auto reading = readRow(in);
        table_.problems.insert(table_.problems.end(), in.problems().begin(), in.problems().end());
        if (!in.problems().empty()) return;
        for (const auto& name : table_.unknown_columns)
            if (const auto value = in.word(name); !value.empty())
                reading.reading.extra[textOfCell(name)] = textOfCell(value);
        take_(std::move(reading));
    }

    const TakeReading& take_;
    ReadingTable table_;
    Columns columns_;
    std::size_t width_ = 0;
    bool begun_ = false;
};

}  // namespace

ReadingTable readReadings(const DelimitedText& text) {
    std::vector<ReadingRow> rows;
    const TakeReading take = [&](ReadingRow&& row) { rows.push_back(std::move(row)); };
    TableReader reader(take);
    for (const auto& row : text.rows) reader.take(row, text);
    auto table = reader.finish(text);
    table.rows = std::move(rows);
    return table;
}

ReadingTable streamReadings(std::string_view bytes, const TakeReading& take) {
    TableReader reader(take);
    const auto separators =
        forEachRow(bytes, [&](const TextRow& row, const Separators& found) { reader.take(row, found); });
    if (separators) return reader.finish(*separators);
    auto table = reader.finish({});
    table.problems.assign(1, separators.error());
    return table;
}

ReadingTable readReadings(std::string_view bytes) {
    std::vector<ReadingRow> rows;
    auto table = streamReadings(bytes, [&](ReadingRow&& row) { rows.push_back(std::move(row)); });
    if (table.problems.empty() || !table.problems.front().where.empty()) table.rows = std::move(rows);
    return table;
}

std::string writeReadings(const std::vector<ReadingRow>& rows) {
    std::set<std::string> extra;
    for (const auto& row : rows)
        for (const auto& [name, value] : row.reading.extra) extra.insert(name);
    std::vector<std::string> header;
    for (const auto& column : columnsOfRow()) header.emplace_back(column.key);
    for (const auto& name : extra) header.push_back(cellOfText(name));
    std::string out;
    appendLine(out, header);
    for (const auto& row : rows) {
        auto cells = cellsOf(row);
        for (const auto& name : extra) {
            const auto at = row.reading.extra.find(name);
            cells.push_back(at == row.reading.extra.end() ? "" : cellOfText(at->second));
        }
        appendLine(out, cells);
    }
    return out;
}

}  // namespace glumet
