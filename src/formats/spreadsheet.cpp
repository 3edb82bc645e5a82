#include "formats/spreadsheet.h"

#include <fmt/format.h>

#include <QByteArray>
#include <QXmlStreamReader>
#include <algorithm>
#include <deque>
#include <map>
#include <memory>
#include <orcus/orcus_ods.hpp>
#include <orcus/orcus_xlsx.hpp>
#include <orcus/spreadsheet/import_interface.hpp>
#include <stdexcept>

#include "core/base/limits.h"
#include "formats/delimited_text.h"
#include "formats/readings_csv.h"
#include "formats/ring_csv.h"
#include "formats/zip_archive.h"

namespace glumet {
namespace {

namespace ss = orcus::spreadsheet;

constexpr ss::row_t kRows = 1'048'576;
constexpr ss::col_t kColumns = 16'384;

/// What makes a workbook too much; it ends the reading from within the library.
struct TooMuch : std::runtime_error {
    using std::runtime_error::runtime_error;
};

/// Texts that cells name by number.
class Strings : public ss::iface::import_shared_strings {
  public:
    size_t append(std::string_view s) override {
        all_.emplace_back(s);
        return all_.size() - 1;
    }
    size_t add(std::string_view s) override { return append(s); }
    void set_segment_font(size_t) override {}
    void set_segment_bold(bool) override {}
    void set_segment_italic(bool) override {}
    void set_segment_font_name(std::string_view) override {}
    void set_segment_font_size(double) override {}
    void set_segment_font_color(ss::color_elem_t, ss::color_elem_t, ss::color_elem_t,
                                ss::color_elem_t) override {}
    void append_segment(std::string_view s) override { segments_ += s; }
    size_t commit_segments() override {
        const auto number = append(segments_);
        segments_.clear();
        return number;
    }
    std::string at(size_t number) const { return number < all_.size() ? all_[number] : std::string(); }

  private:
    std::deque<std::string> all_;
    std::string segments_;
};

class Sheet;

/// A cell's formula: only what it came to is taken.
class Result : public ss::iface::import_formula {
  public:
    explicit Result(Sheet& sheet) : sheet_(sheet) {}
    void set_position(ss::row_t row, ss::col_t column) override {
        row_ = row;
        column_ = column;
    }
    void set_formula(ss::formula_grammar_t, std::string_view) override {}
    void set_shared_formula_index(size_t) override {}
    void set_result_string(std::string_view value) override;
    void set_result_value(double value) override;
    void set_result_bool(bool value) override;
    void set_result_empty() override {}
    void commit() override {}

  private:
    Sheet& sheet_;
    ss::row_t row_ = 0;
    ss::col_t column_ = 0;
};

class Sheet : public ss::iface::import_sheet {
  public:
    Sheet(std::string name, const Strings& strings)
        : name_(std::move(name)), strings_(strings), result_(*this) {}

    void put(ss::row_t row, ss::col_t column, std::string text) {
        if (text.empty()) return;
        if (column >= limits::kAlongLattice) throw TooMuch("has cells beyond the thousandth column");
        if (cells_.size() >= limits::kReadings) throw TooMuch("has too many cells");
        cells_[{row, column}] = std::move(text);
    }

    ss::iface::import_formula* get_formula() override { return &result_; }
    void set_auto(ss::row_t row, ss::col_t column, std::string_view s) override {
        put(row, column, std::string(s));
    }
    void set_string(ss::row_t row, ss::col_t column, ss::string_id_t number) override {
        put(row, column, strings_.at(number));
    }
    void set_value(ss::row_t row, ss::col_t column, double value) override {
        put(row, column, fmt::format("{}", value));
    }
    void set_bool(ss::row_t row, ss::col_t column, bool value) override {
        put(row, column, value ? "1" : "0");
    }
    void set_date_time(ss::row_t row, ss::col_t column, int year, int month, int day, int hour, int minute,
                       double second) override {
        put(row, column,
            fmt::format("{:04}-{:02}-{:02}T{:02}:{:02}:{:02}", year, month, day, hour, minute,
                        static_cast<int>(second)));
    }
    void set_format(ss::row_t, ss::col_t, size_t) override {}
    void set_format(ss::row_t, ss::col_t, ss::row_t, ss::col_t, size_t) override {}
    void fill_down_cells(ss::row_t row, ss::col_t column, ss::row_t count) override {
        const auto from = cells_.find({row, column});
        if (from == cells_.end()) return;
        for (ss::row_t i = 1; i <= count; ++i) put(row + i, column, from->second);
    }
    ss::range_size_t get_sheet_size() const override { return {kRows, kColumns}; }

    SpreadsheetTable table() const {
        SpreadsheetTable out{name_, {}, cells_.size()};
        ss::row_t at = 0;
        std::vector<std::string> line;
        const auto end = [&](ss::row_t next) {
            appendLine(out.csv, line);
            line.clear();
            // One empty line parts blocks of cells as well as many.
            if (next > at + 1) out.csv += '\n';
            at = next;
        };
        if (!cells_.empty()) at = cells_.begin()->first.first;
        for (const auto& [place, text] : cells_) {
            if (place.first != at) end(place.first);
            line.resize(static_cast<std::size_t>(place.second));
            line.push_back(text);
        }
        if (!line.empty()) end(at);
        return out;
    }

  private:
    std::string name_;
    const Strings& strings_;
    Result result_;
    std::map<std::pair<ss::row_t, ss::col_t>, std::string> cells_;
};

void Result::set_result_string(std::string_view value) { sheet_.put(row_, column_, std::string(value)); }
void Result::set_result_value(double value) { sheet_.set_value(row_, column_, value); }
void Result::set_result_bool(bool value) { sheet_.set_bool(row_, column_, value); }

class Settings : public ss::iface::import_global_settings {
  public:
    void set_origin_date(int, int, int) override {}
    void set_default_formula_grammar(ss::formula_grammar_t grammar) override { grammar_ = grammar; }
    ss::formula_grammar_t get_default_formula_grammar() const override { return grammar_; }
    void set_character_set(orcus::character_set_t) override {}

  private:
    ss::formula_grammar_t grammar_ = ss::formula_grammar_t::xlsx;
};

/// "B12" as places, counted from 0.
class Places : public ss::iface::import_reference_resolver {
  public:
    ss::src_address_t resolve_address(std::string_view address) override {
        ss::src_address_t out{0, 0, 0};
        std::size_t at = 0;
        for (; at < address.size() && address[at] >= 'A' && address[at] <= 'Z' && at < kLetters; ++at)
            out.column = out.column * 26 + (address[at] - 'A' + 1);
        for (; at < address.size() && address[at] >= '0' && address[at] <= '9' && out.row < kRows; ++at)
            out.row = out.row * 10 + (address[at] - '0');
        if (at != address.size() || out.column < 1 || out.row < 1) throw std::invalid_argument("address");
        --out.column;
        --out.row;
        return out;
    }
    ss::src_range_t resolve_range(std::string_view range) override {
        const auto colon = range.find(':');
        const auto first = resolve_address(range.substr(0, colon));
        return {first, colon == std::string_view::npos ? first : resolve_address(range.substr(colon + 1))};
    }

  private:
    static constexpr std::size_t kLetters = 3;
};

class Workbook : public ss::iface::import_factory {
  public:
    ss::iface::import_global_settings* get_global_settings() override { return &settings_; }
    ss::iface::import_shared_strings* get_shared_strings() override { return &strings_; }
    ss::iface::import_reference_resolver* get_reference_resolver(ss::formula_ref_context_t) override {
        return &places_;
    }
    ss::iface::import_sheet* append_sheet(ss::sheet_t, std::string_view name) override {
        sheets_.push_back(std::make_unique<Sheet>(std::string(name), strings_));
        names_.emplace_back(name);
        return sheets_.back().get();
    }
    ss::iface::import_sheet* get_sheet(std::string_view name) override {
        for (std::size_t i = 0; i < names_.size(); ++i)
            if (names_[i] == name) return sheets_[i].get();
        return nullptr;
    }
    ss::iface::import_sheet* get_sheet(ss::sheet_t number) override {
        return number >= 0 && static_cast<std::size_t>(number) < sheets_.size()
                   ? sheets_[static_cast<std::size_t>(number)].get()
                   : nullptr;
    }
    void finalize() override {}

    std::vector<SpreadsheetTable> tables() const {
        std::vector<SpreadsheetTable> out;
        for (const auto& sheet : sheets_)
            if (auto table = sheet->table(); table.cells > 0) out.push_back(std::move(table));
        return out;
    }

  private:
    Settings settings_;
    Places places_;
    Strings strings_;
    std::vector<std::unique_ptr<Sheet>> sheets_;
    std::vector<std::string> names_;
};

bool has(const std::vector<ArchiveMember>& members, std::string_view name) {
    return std::any_of(members.begin(), members.end(),
                       [&](const auto& member) { return member.name == name; });
}

bool isOpenDocument(const std::vector<ArchiveMember>& members) {
    return std::any_of(members.begin(), members.end(), [](const auto& member) {
        return member.name == "mimetype" &&
               member.bytes.starts_with("application/vnd.oasis.opendocument.spreadsheet");
    });
}

tl::unexpected<Problem> noWorkbook() {
    return problem("", say(GLUMET_SAY("Core", "does not read as a workbook")));
}

/// The library takes some unsound XML for a fault of its own and ends the program: it is shown none.
bool soundXml(const ArchiveMember& member) {
    if (!member.name.ends_with(".xml") && !member.name.ends_with(".rels")) return true;
    QXmlStreamReader xml(
        QByteArray::fromRawData(member.bytes.data(), static_cast<qsizetype>(member.bytes.size())));
    while (!xml.atEnd()) xml.readNext();
    return !xml.hasError();
}

}  // namespace

bool looksLikeSpreadsheet(std::string_view bytes) {
    if (!looksLikeZip(bytes)) return false;
    const auto members = unzipped(bytes);
    return members && (has(*members, "xl/workbook.xml") || isOpenDocument(*members));
}

Expected<std::vector<SpreadsheetTable>> readSpreadsheet(std::string_view bytes) {
    // Unpacked here first: what is damaged or swells beyond the limit is refused before the library sees it.
    const auto members = unzipped(bytes);
    if (!members) return tl::make_unexpected(members.error());
    if (!std::all_of(members->begin(), members->end(), soundXml)) return noWorkbook();
    Workbook workbook;
    try {
        if (isOpenDocument(*members)) {
            orcus::orcus_ods(&workbook).read_stream(bytes);
        } else {
            orcus::orcus_xlsx(&workbook).read_stream(bytes);
        }
    } catch (const TooMuch& wrong) {
        return problem("", verbatim(wrong.what()));
    } catch (const std::exception&) {
        return noWorkbook();
    }
    auto tables = workbook.tables();
    if (tables.empty()) return problem("", say(GLUMET_SAY("Core", "holds no cell")));
    return tables;
}

Expected<std::string> tableOfSpreadsheet(std::string_view bytes) {
    auto tables = readSpreadsheet(bytes);
    if (!tables) return tl::make_unexpected(tables.error());
    for (auto& table : *tables) {
        const auto head = splitDelimited(std::string_view(table.csv).substr(0, table.csv.find('\n')));
        if (head && (looksLikeReadings(*head) || looksLikeRings(*head))) return std::move(table.csv);
    }
    return std::move(tables->front().csv);
}

}  // namespace glumet
