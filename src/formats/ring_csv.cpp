#include "formats/ring_csv.h"

#include <fmt/format.h>

#include <cmath>
#include <map>

#include "core/bench/descriptions.h"
#include "core/bench/plane_grid.h"
#include "core/words/sentence.h"

namespace glumet {
namespace {

constexpr std::array kRingColumns{"run", "fixture", "height_mm", "depth_mm", "nx", "ny", "ring", "ppfd"};
constexpr double kDefaultSd = 0.03;

/// One row by the names of its columns; collects what is wrong with it.
class Row {
  public:
    Row(const std::map<std::string, std::size_t>& columns, const TextRow& row, const Separators& separators,
        std::vector<Problem>& problems)
        : columns_(columns),
          row_(row),
          separators_(separators),
          problems_(problems),
          before_(problems.size()) {}

    std::string word(const char* column) const {
        const auto at = columns_.find(column);
        return at == columns_.end() || at->second >= row_.cells.size() ? ""
                                                                       : textOfCell(row_.cells[at->second]);
    }
    double number(const char* column, double least, double most, std::optional<double> otherwise = {}) {
        const auto text = word(column);
        if (text.empty() && otherwise) return *otherwise;
        const auto value = cellNumber(separators_, text);
        if (value && *value >= least && *value <= most) return *value;
        fail(column, value ? say(GLUMET_SAY("Core", "must lie within {}…{}, is {}"), Figure{least},
                                 Figure{most}, Figure{*value})
                           : say(GLUMET_SAY("Core", "\"{}\" is not a number"), text));
        return least;
    }
    int count(const char* column, int least, int most, std::optional<double> otherwise = {}) {
        const double value = number(column, least, most, otherwise);
        if (value != std::floor(value)) fail(column, say(GLUMET_SAY("Core", "must be a whole number")));
        return static_cast<int>(value);
    }
    void fail(const char* column, Words what) {
        problems_.push_back({fmt::format("line {}, {}", row_.line, column), std::move(what)});
    }
    bool sound() const { return problems_.size() == before_; }
    int line() const { return row_.line; }

  private:
    const std::map<std::string, std::size_t>& columns_;
    const TextRow& row_;
    const Separators& separators_;
    std::vector<Problem>& problems_;
    std::size_t before_;
};

template <class T>
Id named(std::vector<T>& list, const std::string& name, Id& next) {
    if (name.empty()) return 0;
    for (const auto& item : list)
        if (item.name == name) return item.id;
    T made;
    made.id = next--;
    made.name = name;
    list.push_back(std::move(made));
    return list.back().id;
}

class Reader {
  public:
    explicit Reader(const DelimitedText& text) : text_(text) { static_cast<Separators&>(out_) = text; }

    RingTable read() {
        if (text_.rows.empty()) {
            out_.problems.push_back({"line 1", say(GLUMET_SAY("Core", "the file is empty"))});
            return std::move(out_);
        }
        for (std::size_t i = 0; i < text_.rows.front().cells.size(); ++i)
            columns_[text_.rows.front().cells[i]] = i;
        for (const char* column : kRingColumns)
            if (!columns_.contains(column)) {
                out_.problems.push_back(
                    {"line 1", say(GLUMET_SAY("Core", "has no column {}"), std::string(column))});
                return std::move(out_);
            }
        for (std::size_t i = 1; i < text_.rows.size(); ++i) {
            Row row(columns_, text_.rows[i], out_, out_.problems);
            take(row);
        }
        return std::move(out_);
    }

  private:
    void take(Row& row) {
        RingMean mean;
        const auto height = Millimetre(row.number("height_mm", 0.1, limits::kLengthMm));
        const auto depth = Millimetre(row.number("depth_mm", 0.0, limits::kLengthMm));
        mean.columns = row.count("nx", 1, limits::kAlongRings);
        mean.rows = row.count("ny", 1, limits::kAlongRings);
        mean.ppfd = Ppfd(row.number("ppfd", 0.0, limits::kPpfd));
        mean.relative_sd = row.number("rel_sd", 1e-4, 1.0, kDefaultSd);
        if (row.word("run").empty()) row.fail("run", say(GLUMET_SAY("Core", "is missing")));
        if (row.word("fixture").empty()) row.fail("fixture", say(GLUMET_SAY("Core", "is missing")));
        if (!row.sound()) return;
        mean.ring = RingName::of(row.word("ring"));
        if (mean.ring.number == RingName::kUnread || mean.ring.number >= 0)
            mean.ring.number = row.count("ring", 0, (std::min(mean.columns, mean.rows) - 1) / 2);
        if (!row.sound()) return;
        auto* run = runOf(row, height);
        if (!row.sound() || contradicts(row, run->id, depth, mean)) return;
        lines_[keyOf(run->id, depth, mean)] = {row.line(), mean};
        ++(mean.ring.isMean() ? out_.means : out_.extremes);
        planeOf(*run, depth).means.push_back(mean);
    }

    Plane& planeOf(Run& run, Millimetre depth) {
        for (auto& plane : run.planes)
            if (plane.depth == depth) return plane;
        Plane plane;
        plane.id = next_--;
        plane.depth = depth;
        run.planes.push_back(plane);
        return run.planes.back();
    }

    Id presetOf(Id fixture, const std::string& name) {
        auto* of = byId(out_.bench.fixtures, fixture);
        return of == nullptr ? 0 : named(of->presets, name, next_);
    }

    Run* runOf(Row& row, Millimetre height) {
        Run run;
        run.label = row.word("run");
        run.fixture = named(out_.bench.fixtures, row.word("fixture"), next_);
        run.accessory = named(out_.bench.accessories, row.word("accessory"), next_);
        run.tank = named(out_.bench.tanks, row.word("tank"), next_);
        run.preset = presetOf(run.fixture, row.word("preset"));
        run.placement = Placement::of(row.word("placement"));
        run.turn_deg = row.number("turn_deg", 0.0, 360.0, 0.0);
        run.read_by = row.word("source").empty() ? "others" : row.word("source");
        run.note = row.word("note");
        run.height = height;
        run.fixtures = row.count("fixtures", 1, limits::kFixtures, 1.0);
        if (!row.word("level_pct").empty()) run.level_pct = row.number("level_pct", 0.0, 100.0);
        if (!row.word("water").empty() && !readWord(row.word("water"), run.water))
            row.fail("water", say(GLUMET_SAY("Core", "is not still, moving or dry")));
        for (auto& other : out_.bench.runs)
            if (other.label == run.label && other.height == height &&
                static_cast<const RunSettings&>(other) == run)
                return &other;
        run.id = next_--;
        out_.bench.runs.push_back(run);
        return &out_.bench.runs.back();
    }

    using MeanKey = std::tuple<Id, double, int, int, int>;
    static MeanKey keyOf(Id run, Millimetre depth, const RingMean& mean) {
        return {run, depth.value(), mean.columns, mean.rows, mean.ring.number};
    }

    bool contradicts(Row& row, Id run, Millimetre depth, const RingMean& mean) {
        const auto before = lines_.find(keyOf(run, depth, mean));
        if (before == lines_.end()) return false;
        const auto& [line, other] = before->second;
        if (!contradict(mean, other)) return false;
        row.fail("ppfd", say(GLUMET_SAY("Core", "{} contradicts {} at line {}, the same ring"),
                             Figure{mean.ppfd.value()}, Figure{other.ppfd.value()}, Count{line}));
        return true;
    }

    const DelimitedText& text_;
    RingTable out_;
    std::map<std::string, std::size_t> columns_;
    std::map<MeanKey, std::pair<int, RingMean>> lines_;
    Id next_ = -1;
};

}  // namespace

bool looksLikeRings(const DelimitedText& text) {
    if (text.rows.empty()) return false;
    const auto& head = text.rows.front().cells;
    const auto has = [&](const char* name) {
        return std::find(head.begin(), head.end(), name) != head.end();
    };
    return has("ring") && has("ppfd") && !has("x_mm");
}

RingTable readRings(const DelimitedText& text) { return Reader(text).read(); }

}  // namespace glumet
