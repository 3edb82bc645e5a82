#include "formats/readings_csv.h"

#include <fmt/format.h>

#include <algorithm>
#include <array>
#include <cmath>
#include <map>
#include <set>

namespace glumet {
namespace {

constexpr std::array kRequired{"run", "fixture", "height_mm", "depth_mm", "x_mm", "y_mm", "ppfd"};
constexpr std::array kOptional{"ppfd_min",  "ppfd_max", "samples",  "sd",        "preset", "accessory",
                               "level_pct", "power_w",  "fixtures", "placement", "meter",  "flag",
                               "note",      "time",     "tank",     "water"};
constexpr const char* kSuperseded = "superseded";

std::string waterWord(WaterState water) {
    switch (water) {
        case WaterState::Still:
            return "still";
        case WaterState::Moving:
            return "moving";
        case WaterState::Dry:
            return "dry";
    }
    return "still";
}

/// One row being read: finds cells by column name and notes what is wrong.
class RowReader {
  public:
    RowReader(const DelimitedText& text, const std::map<std::string, std::size_t>& columns,
              const TextRow& row)
        : text_(text), columns_(columns), row_(row) {}

    std::string word(const std::string& column) const {
        const auto at = columns_.find(column);
        return at == columns_.end() ? std::string() : row_.cells[at->second];
    }

    std::optional<double> optionalNumber(const std::string& column, double least) {
        const auto cell = word(column);
        if (cell.empty()) return std::nullopt;
        const auto number = cellNumber(text_, cell);
        if (!number) {
            blame(column, fmt::format("\"{}\" is not a number", cell.substr(0, 40)));
            return std::nullopt;
        }
        if (*number < least) {
            blame(column, fmt::format("{} is below {}", cell, least));
            return std::nullopt;
        }
        return number;
    }

    double number(const std::string& column, double least) {
        if (word(column).empty()) {
            blame(column, "is empty");
            return 0.0;
        }
        return optionalNumber(column, least).value_or(0.0);
    }

    void blame(const std::string& column, std::string what) {
        problems_.push_back({fmt::format("line {}, {}", row_.line, column), std::move(what)});
    }

    const std::vector<Problem>& problems() const { return problems_; }

  private:
    const DelimitedText& text_;
    const std::map<std::string, std::size_t>& columns_;
    const TextRow& row_;
    std::vector<Problem> problems_;
};

std::optional<Ppfd> asPpfd(std::optional<double> value) {
    return value ? std::optional(Ppfd(*value)) : std::nullopt;
}

void readFlag(RowReader& in, Reading& reading) {
    reading.flag = in.word("flag");
    const std::string mark = kSuperseded;
    if (!reading.flag.starts_with(mark)) return;
    reading.superseded = true;
    reading.flag = reading.flag.size() > mark.size() ? reading.flag.substr(mark.size() + 1) : "";
}

void readReading(RowReader& in, Reading& reading) {
    reading.x = Millimetre(in.number("x_mm", 0.0));
    reading.y = Millimetre(in.number("y_mm", 0.0));
    reading.mean = Ppfd(in.number("ppfd", 0.0));
    reading.min = asPpfd(in.optionalNumber("ppfd_min", 0.0));
    reading.max = asPpfd(in.optionalNumber("ppfd_max", 0.0));
    reading.sd = in.optionalNumber("sd", 0.0);
    reading.samples = in.optionalNumber("samples", 1.0);
    if (const auto power = in.optionalNumber("power_w", 0.0)) reading.power = Watt(*power);
    reading.note = in.word("note");
    reading.time = in.word("time");
    readFlag(in, reading);
    if (reading.min && *reading.min > reading.mean) in.blame("ppfd_min", "is above ppfd");
    if (reading.max && *reading.max < reading.mean) in.blame("ppfd_max", "is below ppfd");
}

void readCount(RowReader& in, ReadingRow& row) {
    const auto count = in.optionalNumber("fixtures", 1.0);
    if (!count) return;
    if (*count != std::floor(*count) || *count > 1000.0)
        in.blame("fixtures", "is not a whole number up to 1000");
    else
        row.fixtures = static_cast<int>(*count);
}

void readWater(RowReader& in, ReadingRow& row) {
    const auto word = in.word("water");
    if (word.empty() || word == "still") return;
    if (word == "moving")
        row.water = WaterState::Moving;
    else if (word == "dry")
        row.water = WaterState::Dry;
    else
        in.blame("water", "must be still, moving or dry");
}

ReadingRow readRow(RowReader& in) {
    ReadingRow row;
    row.run = in.word("run");
    row.fixture = in.word("fixture");
    if (row.run.empty()) in.blame("run", "is empty");
    if (row.fixture.empty()) in.blame("fixture", "is empty");
    row.height = Millimetre(in.number("height_mm", 0.0));
    if (in.problems().empty() && row.height.value() <= 0.0) in.blame("height_mm", "must be above 0");
    row.depth = Millimetre(in.number("depth_mm", 0.0));
    row.preset = in.word("preset");
    row.accessory = in.word("accessory");
    row.level_pct = in.optionalNumber("level_pct", 0.0);
    row.placement = in.word("placement");
    row.meter = in.word("meter");
    row.tank = in.word("tank");
    readCount(in, row);
    readWater(in, row);
    readReading(in, row.reading);
    return row;
}

std::optional<Problem> columnProblem(const TextRow& header) {
    std::set<std::string> seen;
    for (const auto& name : header.cells)
        if (!name.empty() && !seen.insert(name).second)
            return Problem{fmt::format("line {}", header.line), fmt::format("column {} stands twice", name)};
    for (const auto* name : kRequired)
        if (!seen.contains(name))
            return Problem{fmt::format("line {}", header.line), fmt::format("column {} is missing", name)};
    return std::nullopt;
}

bool isKnown(const std::string& column) {
    return std::find(kRequired.begin(), kRequired.end(), column) != kRequired.end() ||
           std::find(kOptional.begin(), kOptional.end(), column) != kOptional.end();
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

std::string numberCell(std::optional<double> value) {
    return value ? fmt::format("{}", *value) : std::string();
}
std::string ppfdCell(std::optional<Ppfd> value) {
    return value ? fmt::format("{}", value->value()) : std::string();
}

std::string flagCell(const Reading& reading) {
    if (!reading.superseded) return reading.flag;
    return reading.flag.empty() ? kSuperseded : std::string(kSuperseded) + " " + reading.flag;
}

std::vector<std::string> cellsOf(const ReadingRow& row) {
    const auto& r = row.reading;
    return {row.run,
            row.fixture,
            fmt::format("{}", row.height.value()),
            fmt::format("{}", row.depth.value()),
            fmt::format("{}", r.x.value()),
            fmt::format("{}", r.y.value()),
            fmt::format("{}", r.mean.value()),
            ppfdCell(r.min),
            ppfdCell(r.max),
            numberCell(r.samples),
            numberCell(r.sd),
            row.preset,
            row.accessory,
            numberCell(row.level_pct),
            r.power ? fmt::format("{}", r.power->value()) : "",
            fmt::format("{}", row.fixtures),
            row.placement,
            row.meter,
            flagCell(r),
            r.note,
            r.time,
            row.tank,
            waterWord(row.water)};
}

void appendLine(std::string& out, const std::vector<std::string>& cells) {
    for (std::size_t i = 0; i < cells.size(); ++i) {
        if (i > 0) out += ',';
        out += quoted(cells[i]);
    }
    out += '\n';
}

}  // namespace

bool looksLikeReadings(const DelimitedText& text) {
    if (text.rows.empty()) return false;
    const auto& header = text.rows.front().cells;
    const auto named = std::count_if(kRequired.begin(), kRequired.end(), [&](const char* name) {
        return std::find(header.begin(), header.end(), name) != header.end();
    });
    return named >= 3;
}

ReadingTable readReadings(const DelimitedText& text) {
    ReadingTable table;
    table.delimiter = text.delimiter;
    table.decimal_comma = text.decimal_comma;
    if (text.rows.empty()) {
        table.problems.push_back({"line 1", "the file is empty"});
        return table;
    }
    const auto& header = text.rows.front();
    if (const auto wrong = columnProblem(header)) {
        table.problems.push_back(*wrong);
        return table;
    }
    std::map<std::string, std::size_t> columns;
    for (std::size_t i = 0; i < header.cells.size(); ++i) {
        columns[header.cells[i]] = i;
        if (!header.cells[i].empty() && !isKnown(header.cells[i]))
            table.unknown_columns.push_back(header.cells[i]);
    }
    for (std::size_t i = 1; i < text.rows.size(); ++i) {
        const auto& cells = text.rows[i];
        if (cells.cells.size() != header.cells.size()) {
            table.problems.push_back(
                {fmt::format("line {}", cells.line),
                 fmt::format("has {} fields, the header has {}", cells.cells.size(), header.cells.size())});
            continue;
        }
        RowReader in(text, columns, cells);
        auto row = readRow(in);
        table.problems.insert(table.problems.end(), in.problems().begin(), in.problems().end());
        if (!in.problems().empty()) continue;
        for (const auto& name : table.unknown_columns)
            if (const auto value = in.word(name); !value.empty()) row.reading.extra[name] = value;
        table.rows.push_back(std::move(row));
    }
    return table;
}

ReadingTable readReadings(std::string_view bytes) {
    const auto text = splitDelimited(bytes);
    if (text) return readReadings(*text);
    ReadingTable table;
    table.problems.push_back(text.error());
    return table;
}

std::string writeReadings(const std::vector<ReadingRow>& rows) {
    std::set<std::string> extra;
    for (const auto& row : rows)
        for (const auto& [name, value] : row.reading.extra) extra.insert(name);
    std::vector<std::string> header(kRequired.begin(), kRequired.end());
    header.insert(header.end(), kOptional.begin(), kOptional.end());
    header.insert(header.end(), extra.begin(), extra.end());
    std::string out;
    appendLine(out, header);
    for (const auto& row : rows) {
        auto cells = cellsOf(row);
        for (const auto& name : extra) {
            const auto at = row.reading.extra.find(name);
            cells.push_back(at == row.reading.extra.end() ? "" : at->second);
        }
        appendLine(out, cells);
    }
    return out;
}

}  // namespace glumet
