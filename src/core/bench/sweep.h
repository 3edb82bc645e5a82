#pragma once

#include <string>
#include <vector>

#include "core/bench/bench.h"

namespace glumet {

/// What runs of one height sweep have in common.
using Configuration = RunSettings;

inline const Configuration& configurationOf(const Run& run) { return run; }

/// Runs of one configuration, ascending mounting height; of equal ones the earlier first.
struct Sweep {
    Configuration configuration;
    std::vector<Id> runs;
    std::vector<Id> turned;  ///< runs that differ by nothing but the fixture's turn: a fit takes them too

    /// Those a fit of the fixture takes, its own first.
    std::vector<Id> forFit() const;
    bool operator==(const Sweep&) const = default;
};

/// Groups all runs, in the order in which each configuration first appears.
std::vector<Sweep> sweepsOf(const Bench& bench);

/// The sweep of one fixture alone, set as those of this sweep are, in whatever tank, that holds most runs;
/// the sweep itself where there is none or it is one.
const Sweep& singleOf(const std::vector<Sweep>& sweeps, const Sweep& sweep);

/// What a planned fixture is set as, by itself; and one that is set so, hung anywhere.
Configuration configurationOf(const HungFixture& hung);
HungFixture hungAs(const Configuration& configuration);

/// Whether a planned fixture is known as this configuration is.
bool knownAs(const HungFixture& hung, const Configuration& configuration);

/// The sweep of one alone, known as a planned fixture is, in whatever tank, that holds most runs; nullptr
/// where there is none.
const Sweep* sweepOf(const std::vector<Sweep>& sweeps, const HungFixture& hung);

/// "Osier 60, all on, with diffuser": fixture and whatever sets this configuration apart.
std::string configurationName(const Bench& bench, const Configuration& configuration);

/// Depths measured anywhere in the sweep, ascending, mm, equal ones once.
std::vector<Millimetre> depthsOf(const Bench& bench, const Sweep& sweep);

/// The plane of a run at that depth (within 0.5 mm), or nullptr.
const Plane* planeAt(const Run& run, Millimetre depth);

}  // namespace glumet
