#include "core/bench/sweep.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

#include "core/bench/grid.h"

namespace glumet {

Configuration configurationOf(const Run& run) {
    return {run.fixture,   run.accessory, run.tank,      run.meter, run.preset,
            run.level_pct, run.fixtures,  run.placement, run.water};
}

std::vector<Sweep> sweepsOf(const Bench& bench) {
    std::vector<Sweep> sweeps;
    for (std::size_t i = 0; i < bench.runs.size(); ++i) {
        const auto configuration = configurationOf(bench.runs[i]);
        auto known = std::find_if(sweeps.begin(), sweeps.end(),
                                  [&](const Sweep& sweep) { return sweep.configuration == configuration; });
        if (known == sweeps.end()) known = sweeps.insert(sweeps.end(), {configuration, {}});
        known->runs.push_back(i);
    }
    for (auto& sweep : sweeps)
        std::stable_sort(sweep.runs.begin(), sweep.runs.end(), [&](std::size_t a, std::size_t b) {
            return bench.runs[a].height < bench.runs[b].height;
        });
    return sweeps;
}

std::string configurationName(const Bench& bench, const Configuration& configuration) {
    const auto* fixture = byId(bench.fixtures, configuration.fixture);
    std::string name = fixture != nullptr ? fixture->name : "unnamed fixture";
    if (configuration.fixtures > 1) name = fmt::format("{} × {}", configuration.fixtures, name);
    if (const auto* accessory = byId(bench.accessories, configuration.accessory))
        name += ", with " + accessory->name;
    if (!configuration.preset.empty()) name += ", " + configuration.preset;
    if (configuration.level_pct && *configuration.level_pct != 100.0)
        name += fmt::format(", {:g} %", *configuration.level_pct);
    if (!configuration.placement.empty()) name += ", " + configuration.placement;
    if (configuration.water == WaterState::Moving) name += ", moving water";
    if (configuration.water == WaterState::Dry) name += ", dry";
    return name;
}

std::vector<Millimetre> depthsOf(const Bench& bench, const Sweep& sweep) {
    std::vector<Millimetre> depths;
    for (const auto index : sweep.runs)
        for (const auto& plane : bench.runs[index].planes) depths.push_back(plane.depth);
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
            c.preset != of.preset || c.level_pct != of.level_pct)
            continue;
        if (best == nullptr || other.runs.size() > best->runs.size()) best = &other;
    }
    return best == nullptr ? sweep : *best;
}

}  // namespace glumet
