#include "core/bench/sweep.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <map>
#include <tuple>

#include "core/bench/grid.h"

namespace glumet {

namespace {

/// Tells each sweep the runs of those that differ from it by the fixture's turn alone.
void joinTurned(std::vector<Sweep>& sweeps) {
    const auto turned = [](const Sweep& sweep) { return sweep.configuration.turn_deg != 0.0; };
    if (std::none_of(sweeps.begin(), sweeps.end(), turned)) return;  // as a rule; this is asked often
    std::map<Configuration, std::vector<Sweep*>> alike;
    for (auto& sweep : sweeps) {
        auto straight = sweep.configuration;
        straight.turn_deg = 0.0;
        alike[straight].push_back(&sweep);
    }
    for (const auto& [straight, group] : alike)
        for (auto* sweep : group)
            for (const auto* other : group)
                if (other != sweep)
                    sweep->turned.insert(sweep->turned.end(), other->runs.begin(), other->runs.end());
}

/// Whether no run of the same fixture has burnt less.
bool isYoungest(const Bench& bench, const Configuration& configuration) {
    return std::none_of(bench.runs.begin(), bench.runs.end(), [&](const Run& run) {
        return run.fixture == configuration.fixture && run.hours && *run.hours < *configuration.hours;
    });
}

}  // namespace

std::vector<Sweep> sweepsOf(const Bench& bench) {
    std::vector<const Run*> rising;
    for (const auto& run : bench.runs) rising.push_back(&run);
    std::stable_sort(rising.begin(), rising.end(),
                     [](const Run* a, const Run* b) { return a->height < b->height; });
    std::map<Configuration, std::vector<Id>> runs;
    for (const auto* run : rising) runs[*run].push_back(run->id);
    std::vector<Sweep> sweeps;
    for (const auto& run : bench.runs)
        if (auto found = runs.extract(run)) sweeps.push_back({found.key(), std::move(found.mapped()), {}});
    joinTurned(sweeps);
    return sweeps;
}

std::vector<Id> Sweep::forFit() const {
    auto all = runs;
    all.insert(all.end(), turned.begin(), turned.end());
    return all;
}

std::string configurationName(const Bench& bench, const Configuration& configuration) {
    const auto* fixture = byId(bench.fixtures, configuration.fixture);
    std::string name = fixture != nullptr ? fixture->name : "unnamed fixture";
    if (configuration.fixtures > 1) name = fmt::format("{} × {}", configuration.fixtures, name);
    if (const auto* accessory = byId(bench.accessories, configuration.accessory))
        name += ", with " + accessory->name;
    if (const auto preset = presetName(bench, configuration); !preset.empty()) name += ", " + preset;
    if (configuration.level_pct && *configuration.level_pct != 100.0)
        name += fmt::format(", {:g} %", *configuration.level_pct);
    if (!configuration.placement.empty()) name += ", " + configuration.placement.text();
    if (configuration.water == WaterState::Moving) name += ", moving water";
    if (configuration.water == WaterState::Dry) name += ", dry";
    if (configuration.turn_deg != 0.0) name += fmt::format(", turned {:g}°", configuration.turn_deg);
    if (configuration.hours && !isYoungest(bench, configuration))
        name += fmt::format(", {:g} h", *configuration.hours);
    if (configuration.byOthers()) name += ", read by " + configuration.read_by;
    return name;
}

std::vector<Millimetre> depthsOf(const Bench& bench, const Sweep& sweep) {
    std::vector<Millimetre> depths;
    for (const auto index : sweep.runs)
        for (const auto& plane : bench.run(index).planes) depths.push_back(plane.depth);
    std::sort(depths.begin(), depths.end());
    const auto same = [](Millimetre a, Millimetre b) { return (b - a).value() <= kSamePointMm; };
    depths.erase(std::unique(depths.begin(), depths.end(), same), depths.end());
    return depths;
}

const Plane* planeAt(const Run& run, Millimetre depth) {
    for (const auto& plane : run.planes)
        if (std::abs((plane.depth - depth).value()) <= kSamePointMm) return &plane;
    return nullptr;
}

const Sweep& singleOf(const std::vector<Sweep>& sweeps, const Sweep& sweep) {
    const auto& of = sweep.configuration;
    if (of.fixtures == 1) return sweep;
    const Sweep* best = nullptr;
    for (const auto& other : sweeps) {
        const auto& c = other.configuration;
        if (c.fixtures != 1 || c.fixture != of.fixture || c.accessory != of.accessory ||
            c.preset != of.preset || c.level_pct != of.level_pct || c.read_by != of.read_by ||
            c.hours != of.hours)
            continue;
        if (best == nullptr || other.runs.size() > best->runs.size()) best = &other;
    }
    return best == nullptr ? sweep : *best;
}

namespace {

/// What its light is known by, wherever a fixture hangs.
auto known(auto& fixture) {
    return std::tie(fixture.fixture, fixture.accessory, fixture.preset, fixture.read_by);
}

}  // namespace

Configuration configurationOf(const HungFixture& hung) {
    Configuration out;
    known(out) = known(hung);
    return out;
}

HungFixture hungAs(const Configuration& configuration) {
    HungFixture out;
    known(out) = known(configuration);
    return out;
}

bool knownAs(const HungFixture& hung, const Configuration& configuration) {
    return known(hung) == known(configuration);
}

const Sweep* sweepOf(const std::vector<Sweep>& sweeps, const HungFixture& hung) {
    const Sweep* best = nullptr;
    for (const auto& sweep : sweeps) {
        if (sweep.configuration.fixtures != 1 || !knownAs(hung, sweep.configuration)) continue;
        if (best == nullptr || sweep.runs.size() > best->runs.size()) best = &sweep;
    }
    return best;
}

}  // namespace glumet
