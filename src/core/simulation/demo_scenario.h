#pragma once

#include <cstdint>
#include <vector>

#include "core/bench/bench.h"
#include "core/light/scene.h"
#include "core/simulation/simulated_bench.h"

namespace glumet {

/// What really shines in the stand-in for a fixture: hidden from the reviewer, known to the simulator.
struct FixtureTruth {
    Beam beam;
    PhotonFlux flux;
};

/// The invented fixtures, tanks, meters and accessories of the demonstration, with stable ids from 1, and no
/// runs.
Bench demoBench();

/// The demonstration with every reading, made by the simulated bench from the seed: height sweeps of all
/// fixtures, one run broken off half way, and planted mistakes (a half-dead driver, a slipped probe, a room
/// light, a meter in the wrong mode). The same seed gives the same numbers.
Bench demoReadings(std::uint64_t seed);

/// Light under a run's fixtures, hung in a row along the middle of its tank: the demonstration's hidden truth
/// for its fixtures; for any other its described beam and flux, or an invented wide beam of 1.8 µmol per
/// rated joule (100 W if not stated).
LightScene sceneOf(const Bench& bench, const Run& run);

/// The demonstration's first fixture 200 mm over its cube.
LightScene demoScene();

}  // namespace glumet
