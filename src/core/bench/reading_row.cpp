#include "core/bench/reading_row.h"

#include <algorithm>
#include <cmath>
#include <map>
#include <set>
#include <tuple>
#include <unordered_map>

#include "core/bench/grid.h"
#include "core/bench/sweep.h"

namespace glumet {
namespace {

template <class T>
Id idOfName(std::vector<T>& items, const std::string& name, Id& next) {
    if (name.empty()) return 0;
    for (const auto& item : items)
        if (item.name == name) return item.id;
    T item;
    item.id = next--;
    item.name = name;
    items.push_back(item);
    return item.id;
}

template <class T>
std::string nameOfId(const std::vector<T>& items, Id id) {
    const auto* item = byId(items, id);
    return item == nullptr ? std::string() : item->name;
}

template <class T>
Id lowestId(const std::vector<T>& items) {
    Id low = 0;
    for (const auto& item : items) low = std::min(low, item.id);
    return low;
}

using RunKey = std::tuple<std::string, double, Configuration>;

RunKey keyOf(const Run& run) { return {run.label, run.height.value(), configurationOf(run)}; }

using PointKey = std::pair<long, long>;

PointKey pointOf(const Reading& reading) {
    return {std::lround(reading.x.value() / kSamePointMm), std::lround(reading.y.value() / kSamePointMm)};
}

}  // namespace

class RowMerge::Work {
  public:
    Work(Bench bench, MergeReport& report) : bench_(std::move(bench)), report_(report) {
        next_ = std::min({lowestId(bench_.fixtures), lowestId(bench_.accessories), lowestId(bench_.meters),
                          lowestId(bench_.tanks), lowestId(bench_.runs)}) -
                1;
        for (const auto& run : bench_.runs) next_ = std::min(next_, lowestId(run.planes) - 1);
        for (const auto& fixture : bench_.fixtures)
            next_ = std::min({next_, lowestId(fixture.channels) - 1, lowestId(fixture.presets) - 1});
        for (std::size_t i = 0; i < bench_.runs.size(); ++i) runs_.emplace(keyOf(bench_.runs[i]), i);
    }

    void add(ReadingRow&& row) {
        const auto run = runOf(row);
        const auto plane = planeOf(run, row.depth);
        touched_.insert({run, plane});
        place(bench_.runs[run].planes[plane], std::move(row.reading));
        last_size_ = bench_.runs[run].planes[plane].readings.size();
    }

    Bench finish() {
        for (const auto& [run, plane] : touched_) {
            auto& target = bench_.runs[run].planes[plane];
            if (!target.grid) target.grid = detectGrid(target.readings);
        }
        for (auto& run : bench_.runs)
            std::stable_sort(run.planes.begin(), run.planes.end(),
                             [](const Plane& a, const Plane& b) { return a.depth < b.depth; });
        return std::move(bench_);
    }

  private:
    /// Rows of one run stand together as a rule.
    std::size_t runOf(const ReadingRow& row) {
        if (!last_ || !sameRun(*last_, row)) {
            last_run_ = findRun(row);
            last_ = row;
            last_->reading = {};
        }
        return last_run_;
    }

    static bool sameRun(const ReadingRow& a, const ReadingRow& b) {
        return a.run.label == b.run.label && a.run.height == b.run.height && a.fixture == b.fixture &&
               a.accessory == b.accessory && a.tank == b.tank && a.meter == b.meter && a.preset == b.preset &&
               static_cast<const RunSettings&>(a.run) == b.run;
    }

    std::size_t findRun(const ReadingRow& row) {
        Run run = row.run;
        run.fixture = idOfName(bench_.fixtures, row.fixture, next_);
        run.accessory = idOfName(bench_.accessories, row.accessory, next_);
        run.meter = idOfName(bench_.meters, row.meter, next_);
        run.tank = idOfName(bench_.tanks, row.tank, next_);
        run.preset = presetOf(run.fixture, row.preset);
        const auto [known, fresh] = runs_.emplace(keyOf(run), bench_.runs.size());
        if (fresh) {
            run.id = next_--;
            bench_.runs.push_back(run);
        }
        return known->second;
    }

    Id presetOf(Id fixture, const std::string& name) {
        auto* of = byId(bench_.fixtures, fixture);
        if (of == nullptr) return 0;
        const auto count = of->presets.size();
        const Id id = idOfName(of->presets, name, next_);
        if (of->presets.size() > count) linkPresets(*of);
        return id;
    }

    std::size_t planeOf(std::size_t run, Millimetre depth) {
        auto& planes = bench_.runs[run].planes;
        for (std::size_t i = 0; i < planes.size(); ++i)
            if (std::abs((planes[i].depth - depth).value()) <= kSamePointMm) return i;
        Plane plane;
        plane.id = next_--;
        plane.depth = depth;
        planes.push_back(std::move(plane));
        // Planes are alike as a rule.
        planes.back().readings.reserve(last_size_);
        return planes.size() - 1;
    }

    void place(Plane& plane, Reading reading) {
        reading.id = 0;
        auto& points = pointsOf(plane);
        const auto at = points.find(pointOf(reading));
        if (isKnown(plane, reading)) {
            ++report_.already_there;
            return;
        }
        known_[plane.id].emplace(traceOf(reading), plane.readings.size());
        if (at == points.end() || reading.superseded || reading.isCheck()) {
            if (!reading.superseded && !reading.isCheck()) points[pointOf(reading)] = plane.readings.size();
            append(plane.readings, std::move(reading));
            ++report_.added;
            return;
        }
        auto& earlier = plane.readings[at->second];
        if (earlier.mean == reading.mean && earlier.time == reading.time) {
            ++report_.already_there;
            return;
        }
        earlier.superseded = true;
        if (earlier.id != 0) report_.superseded.push_back(earlier.id);
        at->second = plane.readings.size();
        append(plane.readings, std::move(reading));
        ++report_.added;
        ++report_.superseding;
    }

    /// Grows by a quarter at a time: of a million readings half would be room for more.
    static void append(std::vector<Reading>& readings, Reading&& reading) {
        if (readings.size() == readings.capacity()) readings.reserve(readings.size() * 5 / 4 + 8);
        readings.push_back(std::move(reading));
    }

    /// What tells a reading from any other of its plane, as a hash; equal ones are compared in full.
    static std::size_t traceOf(const Reading& reading) {
        const auto [x, y] = pointOf(reading);
        std::size_t hash = std::hash<std::string>()(reading.time);
        for (const auto part : {std::hash<long>()(x), std::hash<long>()(y),
                                std::hash<double>()(reading.mean.value()), std::size_t{reading.isCheck()}})
            hash = hash * 1'000'003 + part;
        return hash;
    }

    static bool sameTrace(const Reading& a, const Reading& b) {
        return pointOf(a) == pointOf(b) && a.mean == b.mean && a.time == b.time && a.isCheck() == b.isCheck();
    }

    /// Whether it has come before, even if another has taken its place since. A value that was read twice
    /// without a time is a new reading of its point, unless it says that it was replaced.
    bool isKnown(const Plane& plane, const Reading& reading) const {
        if (reading.time.empty() && !reading.superseded && !reading.isCheck()) return false;
        const auto known = known_.find(plane.id);
        if (known == known_.end()) return false;
        const auto [from, to] = known->second.equal_range(traceOf(reading));
        return std::any_of(
            from, to, [&](const auto& entry) { return sameTrace(plane.readings[entry.second], reading); });
    }

    /// Index of the counted reading at each point of a plane, made once per plane.
    std::map<PointKey, std::size_t>& pointsOf(const Plane& plane) {
        if (++remembered_ > kMostRemembered) {
            remembered_ = 0;
            points_.clear();
            known_.clear();
        }
        const auto [known, fresh] = points_.try_emplace(plane.id);
        for (std::size_t i = 0; fresh && i < plane.readings.size(); ++i) {
            const auto& reading = plane.readings[i];
            known_[plane.id].emplace(traceOf(reading), i);
            if (!reading.superseded && !reading.isCheck()) known->second[pointOf(reading)] = i;
        }
        return known->second;
    }

    /// Rows come plane by plane as a rule; what is remembered of earlier planes is made again when it is
    /// wanted.
    static constexpr int kMostRemembered = 100'000;

    Bench bench_;
    MergeReport& report_;
    int remembered_ = 0;
    Id next_ = -1;
    std::map<RunKey, std::size_t> runs_;
    std::map<Id, std::map<PointKey, std::size_t>> points_;
    std::map<Id, std::unordered_multimap<std::size_t, std::size_t>> known_;  ///< by plane: trace, index
    std::optional<ReadingRow> last_;
    std::size_t last_run_ = 0;
    std::size_t last_size_ = 0;
    std::set<std::pair<std::size_t, std::size_t>> touched_;
};

RowMerge::RowMerge(Bench bench, MergeReport& report)
    : work_(std::make_unique<Work>(std::move(bench), report)) {}
RowMerge::RowMerge(RowMerge&&) noexcept = default;
RowMerge::~RowMerge() = default;
void RowMerge::add(ReadingRow row) { work_->add(std::move(row)); }
Bench RowMerge::finish() { return work_->finish(); }

Bench withRows(Bench bench, const std::vector<ReadingRow>& rows, MergeReport& report) {
    RowMerge merge(std::move(bench), report);
    for (const auto& row : rows) merge.add(row);
    return merge.finish();
}

namespace {

ReadingRow rowOf(const Bench& bench, const Run& run, const Plane& plane, const Reading& reading) {
    ReadingRow row;
    static_cast<RunSettings&>(row.run) = run;
    row.run.label = run.label;
    row.run.height = run.height;
    row.fixture = nameOfId(bench.fixtures, run.fixture);
    row.accessory = nameOfId(bench.accessories, run.accessory);
    row.tank = nameOfId(bench.tanks, run.tank);
    row.meter = nameOfId(bench.meters, run.meter);
    row.preset = presetName(bench, run);
    row.depth = plane.depth;
    row.reading = reading;
    return row;
}

}  // namespace

void takeRows(Bench bench, RowMerge& into) {
    for (auto& run : bench.runs)
        for (auto& plane : run.planes) {
            const auto readings = std::exchange(plane.readings, {});
            for (const auto& reading : readings) into.add(rowOf(bench, run, plane, reading));
        }
}

std::vector<ReadingRow> rowsOf(const Bench& bench) {
    std::vector<ReadingRow> rows;
    for (const auto& run : bench.runs)
        for (const auto& plane : run.planes)
            for (const auto& reading : plane.readings) rows.push_back(rowOf(bench, run, plane, reading));
    return rows;
}

}  // namespace glumet
