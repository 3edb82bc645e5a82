#pragma once

#include <string>
#include <vector>

#include "core/bench/run.h"

namespace glumet {

/// Everything but the mounting height that must be equal for two runs to belong to one height sweep.
struct Configuration {
    Id fixture = 0;
    Id accessory = 0;
    Id tank = 0;
    Id meter = 0;
    std::string preset;
    std::optional<double> level_pct;
    int fixtures = 1;
    std::string placement;
    WaterState water = WaterState::Still;

    auto operator<=>(const Configuration&) const = default;
};

Configuration configurationOf(const Run& run);

/// Runs of one configuration, ascending mounting height. `runs` are indices into Bench::runs.
struct Sweep {
    Configuration configuration;
    std::vector<std::size_t> runs;
};

/// Groups all runs, in the order in which each configuration first appears.
std::vector<Sweep> sweepsOf(const Bench& bench);

/// The sweep of one fixture alone, set as those of this sweep are, in whatever tank, that holds most runs;
/// the sweep itself where there is none or it is one.
const Sweep& singleOf(const std::vector<Sweep>& sweeps, const Sweep& sweep);

/// "Osier 60, all on, with diffuser": fixture and whatever sets this configuration apart.
std::string configurationName(const Bench& bench, const Configuration& configuration);

/// Depths measured anywhere in the sweep, ascending, mm, equal ones once.
std::vector<Millimetre> depthsOf(const Bench& bench, const Sweep& sweep);

/// The plane of a run at that depth (within 0.5 mm), or nullptr.
const Plane* planeAt(const Run& run, Millimetre depth);

}  // namespace glumet
