#include "core/fit/fit_as_described.h"

#include <algorithm>
#include <set>

namespace glumet {
namespace {

constexpr int kStandsByItself = 60;  ///< readings, in more than one plane

struct Extent {
    int readings = 0;
    std::size_t planes = 0;

    bool stands() const { return readings >= kStandsByItself && planes > 1; }
    bool bears(const Extent& other) const { return planes > 1 && readings >= 2 * other.readings; }
};

Extent extentOf(const Bench& bench, const std::vector<Id>& runs) {
    Extent extent;
    std::set<std::pair<double, double>> planes;
    for (const auto id : runs)
        for (const auto& plane : bench.run(id).planes)
            for (const auto& reading : plane.readings) {
                if (!reading.counts()) continue;
                ++extent.readings;
                planes.insert({bench.run(id).height.value(), plane.depth.value()});
            }
    extent.planes = planes.size();
    return extent;
}

/// Whether two sweeps are of the same fixture with other channels on, or the same at another level.
bool sameButChannels(const Configuration& a, const Configuration& b) {
    return a.fixture == b.fixture && a.accessory == b.accessory && a.hours == b.hours &&
           a.read_by == b.read_by && a.fixtures == 1 && b.fixtures == 1 &&
           (a.preset != b.preset || a.level_pct != b.level_pct);
}

bool shareRuns(const Sweep& a, const Sweep& b) {
    return std::find_first_of(a.runs.begin(), a.runs.end(), b.runs.begin(), b.runs.end()) != a.runs.end();
}

/// Sweeps of the same fixture with other channels on, the one read most first.
std::vector<Sweep> othersOf(const Bench& bench, const Sweep& sweep) {
    std::vector<std::pair<int, Sweep>> found;
    for (const auto& other : sweepsOf(bench))
        if (sameButChannels(sweep.configuration, other.configuration) && !shareRuns(sweep, other))
            if (const auto extent = extentOf(bench, other.forFit()); extent.readings > 0)
                found.emplace_back(extent.planes > 1 ? extent.readings : -1, other);
    std::stable_sort(found.begin(), found.end(),
                     [](const auto& a, const auto& b) { return a.first > b.first; });
    std::vector<Sweep> others;
    for (auto& [readings, other] : found) others.push_back(std::move(other));
    return others;
}

/// Runs of all of them, known as the first is.
Sweep atOnce(const std::vector<Sweep>& sweeps) {
    Sweep all{sweeps.front().configuration, {}, {}};
    for (const auto& sweep : sweeps) {
        all.runs.insert(all.runs.end(), sweep.runs.begin(), sweep.runs.end());
        all.turned.insert(all.turned.end(), sweep.turned.begin(), sweep.turned.end());
    }
    return all;
}

Expected<FitResult> byItself(const Bench& bench, const Sweep& sweep, const FitOptions& options) {
    return layoutDescribed(bench, sweep.runs) ? fitFixture(bench, sweep.forFit(), options)
                                              : fitUnknownLayout(bench, sweep.forFit(), options);
}

}  // namespace

bool layoutDescribed(const Bench& bench, const std::vector<Id>& runs) {
    const auto* fixture = byId(bench.fixtures, bench.run(runs.front()).fixture);
    return fixture != nullptr &&
           (fixture->emitters.columns * fixture->emitters.rows > 1 || fixture->emitters.size.value() > 0.0);
}

std::optional<Sweep> leansOn(const Bench& bench, const Sweep& sweep) {
    const auto own = extentOf(bench, sweep.forFit());
    if (own.stands() || own.readings == 0) return std::nullopt;
    const auto others = othersOf(bench, sweep);
    if (others.empty()) return std::nullopt;
    const auto most = extentOf(bench, others.front().forFit());
    const auto on = most.stands() ? others.front() : atOnce(others);
    return extentOf(bench, on.forFit()).bears(own) ? std::optional(on) : std::nullopt;
}

std::vector<Id> runsForFit(const Bench& bench, const Sweep& sweep) {
    auto runs = sweep.forFit();
    if (const auto on = leansOn(bench, sweep))
        for (const auto run : on->forFit())
            if (std::find(runs.begin(), runs.end(), run) == runs.end()) runs.push_back(run);
    return runs;
}

Expected<FitResult> fitLeaning(const Bench& bench, const Sweep& sweep, FitOptions options,
                               const FitOther& other, const FitOther& by_itself) {
    const auto on = leansOn(bench, sweep);
    if (!on) return by_itself(sweep);
    auto borne = other(*on);
    if (!borne) return by_itself(sweep);
    options.leans_on = std::make_shared<const FitResult>(std::move(*borne));
    auto leaning = fitFixture(bench, sweep.forFit(), options);
    if (!leaning) return leaning;
    auto alone = by_itself(sweep);
    return alone && alone->evidence > leaning->evidence ? alone : leaning;
}

Expected<FitResult> fitAsDescribed(const Bench& bench, const Sweep& sweep, const FitOptions& options,
                                   const FitOther& other) {
    const FitOther alone = [&](const Sweep& one) { return byItself(bench, one, options); };
    return fitLeaning(bench, sweep, options, other ? other : alone, alone);
}

}  // namespace glumet
