#include "formats/readings_csv.h"

#include <fmt/format.h>

#include <algorithm>
#include <array>
#include <cmath>
#include <map>
#include <set>
#include <tuple>

#include "core/base/limits.h"
#include "core/base/utf8.h"
#include "core/bench/descriptions.h"

namespace glumet {
namespace {

constexpr std::array kReadingColumns{"run", "fixture", "height_mm", "depth_mm", "x_mm", "y_mm", "ppfd"};
constexpr const char* kSuperseded = "superseded";

/// The columns in the order they are written: what a run is set to, and what a reading holds.
constexpr auto columnsOfRow() {
    const auto reading = [](auto member) {
        return [member](auto& row) -> auto& { return row.reading.*member; };
    };
    const auto run = [](auto member) {
        return [member](auto& row) -> auto& { return row.run.*member; };
    };
    return std::tuple{fieldAt("run", run(&Run::label)),
                      field("fixture", &ReadingRow::fixture),
                      fieldAt("height_mm", run(&Run::height)).moreThan(0),
                      field("depth_mm", &ReadingRow::depth).atLeast(0),
                      fieldAt("x_mm", reading(&Reading::x)).atLeast(0),
                      fieldAt("y_mm", reading(&Reading::y)).atLeast(0),
                      fieldAt("ppfd", reading(&Reading::mean)).atLeast(0),
                      fieldAt("ppfd_min", reading(&Reading::min)).atLeast(0),
                      fieldAt("ppfd_max", reading(&Reading::max)).atLeast(0),
                      fieldAt("samples", reading(&Reading::samples)).atLeast(1),
                      fieldAt("sd", reading(&Reading::sd)).atLeast(0),
                      field("preset", &ReadingRow::preset),
                      field("accessory", &ReadingRow::accessory),
                      fieldAt("level_pct", run(&Run::level_pct)).atLeast(0),
                      fieldAt("power_w", reading(&Reading::power)).atLeast(0),
                      fieldAt("fixtures", run(&Run::fixtures)).atLeast(1).atMost(1000),
                      fieldAt("placement", run(&Run::placement)),
                      field("meter", &ReadingRow::meter),
                      fieldAt("flag", reading(&Reading::flag)),
                      fieldAt("note", reading(&Reading::note)),
                      fieldAt("time", reading(&Reading::time)),
                      field("tank", &ReadingRow::tank),
                      fieldAt("water", run(&Run::water)),
                      fieldAt("turn_deg", run(&Run::turn_deg)).atLeast(0).atMost(360),
                      fieldAt("read_by", run(&Run::read_by)),
                      fieldAt("hours", run(&Run::hours)).atLeast(0)};
}

template <class Work>
void forEachCell(Work&& work) {
    std::apply([&](const auto&... column) { (work(column), ...); }, columnsOfRow());
}

/// "still, moving or dry".
template <Worded E>
std::string wordList(E) {
    std::string list;
    const auto& words = WordsOf<E>::value;
    for (std::size_t i = 0; i < words.size(); ++i)
        list += std::string(i == 0 ? "" : i + 1 == words.size() ? " or " : ", ") + words[i].second;
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
    template <class Column>
    std::optional<double> number(const Column& column) {
        const auto& cell = word(column.key);
        if (cell.empty()) return std::nullopt;
        const auto number = cellNumber(text_, cell);
        if (!number) {
            blame(column.key, say(GLUMET_SAY("Core", "\"{}\" is not a number"), cell.substr(0, 40)));
            return std::nullopt;
        }
        using Value = ValueOf<ReadingRow, Column>;
        constexpr double kReach = limits::reach<Value>();
        if (column.holds(*number) && std::abs(*number) <= kReach) return number;
        if (*number > kReach) return blameReach(column.key, cell, kReach);
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

    template <class Column>
    void read(const Column& column, ReadingRow& row) {
        using Value = ValueOf<ReadingRow, Column>;
        auto& value = column.access(row);
        if constexpr (std::is_same_v<Value, std::string>) {
            value = textOfCell(word(column.key));
        } else if constexpr (Spelled<Value>) {
            value = Value::of(textOfCell(word(column.key)));
        } else if constexpr (Worded<Value>) {
            const auto cell = word(column.key);
            if (!cell.empty() && !readWord(cell, value))
                blame(column.key, say(GLUMET_SAY("Core", "must be {}"), wordList(value)));
        } else if constexpr (std::is_same_v<Value, int>) {
            const auto whole = number(column);
            if (whole && *whole != std::floor(*whole))
                return blame(column.key, say(GLUMET_SAY("Core", "is not a whole number")));
            if (whole) value = static_cast<int>(*whole);
        } else if constexpr (requires { value.reset(); }) {
            if (const auto found = number(column)) value = typename Value::value_type(*found);
        } else {
            if (word(column.key).empty()) {
                if (isRequired(column.key)) blame(column.key, say(GLUMET_SAY("Core", "is empty")));
                return;
            }
            value = Value(number(column).value_or(0.0));
        }
    }

    void blame(const std::string& column, Words what) {
        problems_.push_back({fmt::format("line {}, {}", row_.line, column), std::move(what)});
    }

    const std::vector<Problem>& problems() const { return problems_; }

  private:
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
    forEachCell([&](const auto& column) { in.read(column, row); });
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
    bool known = false;
    forEachCell([&](const auto& column) { known = known || name == column.key; });
    return known;
}

template <class Value>
std::string cellOf(const Value& value) {
    if constexpr (std::is_same_v<Value, std::string>)
        return cellOfText(value);
    else if constexpr (Spelled<Value>)
        return cellOfText(value.text());
    else if constexpr (Worded<Value>)
        return wordOf(value);
    else if constexpr (requires { value.has_value(); })
        return value ? cellOf(*value) : std::string();
    else if constexpr (requires { value.value(); })
        return fmt::format("{}", value.value());
    else
        return fmt::format("{}", value);
}

std::string flagCell(const Reading& reading) {
    const auto flag = reading.flag.text();
    if (!reading.superseded) return flag;
    return flag.empty() ? kSuperseded : std::string(kSuperseded) + " " + flag;
}

std::vector<std::string> cellsOf(const ReadingRow& row) {
    std::vector<std::string> cells;
    forEachCell([&](const auto& column) {
        using Value = ValueOf<ReadingRow, std::decay_t<decltype(column)>>;
        if constexpr (std::is_same_v<Value, Flag>)
            cells.push_back(cellOfText(flagCell(row.reading)));
        else
            cells.push_back(cellOf(column.access(row)));
    });
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
    forEachCell([&](const auto& column) { header.emplace_back(column.key); });
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
