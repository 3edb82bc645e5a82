#include "core/simulation/demo_living.h"

#include <algorithm>
#include <array>
#include <cmath>

#include "core/living/ramp.h"
#include "core/living/shade.h"
#include "core/simulation/demo_scenario.h"
#include "core/simulation/simulated_bench.h"
#include "core/verdicts/goals.h"

namespace glumet {
namespace {

constexpr double kGrownOver = 0.48;  // of the light that is left under what grew
constexpr double kFrom = 40.0;
constexpr double kTo = 85.0;
constexpr int kWeeks = 6;

struct PlantedSpot {
    const char* name;
    double x, y, depth;
    SpotFlow flow;
    const char* organism;  ///< nullptr: bare
    const char* goal;
    Wellbeing state;
};

constexpr std::array kSpots{
    PlantedSpot{"A", 180, 420, 260, SpotFlow::Medium, "eelgrass", "seagrass and macroalgae",
                Wellbeing::Thriving},
    PlantedSpot{"B", 360, 160, 380, SpotFlow::Low, "tape grass", "demanding plants", Wellbeing::Holding},
    PlantedSpot{"C", 560, 360, 330, SpotFlow::Low, "waterweed", "demanding plants", Wellbeing::Declining},
    PlantedSpot{"D", 750, 140, 420, SpotFlow::Low, "bog moss", "low-light plants", Wellbeing::Holding},
    PlantedSpot{"E", 980, 400, 240, SpotFlow::High, "eelgrass", "seagrass and macroalgae",
                Wellbeing::Thriving},
    PlantedSpot{"F", 1120, 130, 400, SpotFlow::Medium, "stonewort", "demanding plants", Wellbeing::Holding},
    PlantedSpot{"G", 90, 150, 400, SpotFlow::Low, "bog moss", "low-light plants", Wellbeing::Thriving},
    PlantedSpot{"H", 460, 480, 200, SpotFlow::Medium, nullptr, "", Wellbeing::Unknown},
    PlantedSpot{"I", 640, 220, 180, SpotFlow::Medium, nullptr, "", Wellbeing::Unknown},
    PlantedSpot{"J", 860, 300, 300, SpotFlow::Medium, "tape grass", "demanding plants", Wellbeing::Thriving},
    PlantedSpot{"K", 280, 300, 430, SpotFlow::Low, "stonewort", "demanding plants", Wellbeing::Holding},
    PlantedSpot{"L", 1060, 260, 350, SpotFlow::High, nullptr, "", Wellbeing::Unknown},
    PlantedSpot{"M", 520, 90, 300, SpotFlow::Medium, nullptr, "", Wellbeing::Unknown},
    PlantedSpot{"N", 930, 520, 430, SpotFlow::Low, "bog moss", "low-light plants", Wellbeing::Holding}};

Goal goalNamed(const std::string& name) {
    for (const auto& goal : readyGoals())
        if (goal.name == name) return goal;
    return {};
}

Run lampsOver(const Bench& bench, Id tank, const char* fixture, double height, double level_pct) {
    Run run;
    for (const auto& known : bench.fixtures)
        if (known.name == fixture) run.fixture = known.id;
    run.tank = tank;
    run.fixtures = 2;
    run.placement = placementAt({Millimetre(310), Millimetre(890)});
    run.height = Millimetre(height);
    run.level_pct = level_pct;
    run.water = WaterState::Moving;
    return run;
}

/// Three of the diffuse ones, low over the water.
Run oldLamps(const Bench& bench, Id tank) {
    auto run = lampsOver(bench, tank, "Rushlight 2T", 120, 100);
    run.fixtures = 3;
    run.placement = {};
    return run;
}

double rounded(double value) { return std::round(value * 10.0) / 10.0; }

void survey(Bench& bench, const Run& lamps, const char* day, std::uint64_t seed, Id& next, bool grown_over) {
    auto scene = sceneOf(bench, lamps);
    scene.obstacles = rocksIn(bench, lamps.tank);
    SimulatedBench sim(std::move(scene), {}, seed);
    for (auto& spot : bench.spots) {
        const double left = grown_over && spot.name == "C" ? kGrownOver : 1.0;
        const auto taken = sim.read(spot.x, spot.y, spot.depth);
        SpotReading reading;
        reading.id = next++;
        reading.mean = Ppfd(rounded(taken.mean.value() * left));
        if (taken.min) reading.min = Ppfd(rounded(taken.min->value() * left));
        if (taken.max) reading.max = Ppfd(rounded(taken.max->value() * left));
        reading.time = std::string(day) + "T18:00:00";
        spot.readings.push_back(std::move(reading));
    }
}

}  // namespace

void addDemoLiving(Bench& bench, std::uint64_t seed) {
    const auto raceway = std::find_if(bench.tanks.begin(), bench.tanks.end(),
                                      [](const Tank& tank) { return tank.use == TankUse::Living; });
    if (raceway == bench.tanks.end()) return;
    for (const auto& planted : kSpots) {
        TankSpot spot;
        spot.id = static_cast<Id>(bench.spots.size()) + 1;
        spot.tank = raceway->id;
        spot.name = planted.name;
        spot.x = Millimetre(planted.x);
        spot.y = Millimetre(planted.y);
        spot.depth = Millimetre(planted.depth);
        spot.flow = planted.flow;
        if (planted.organism != nullptr) {
            Organism organism;
            organism.id = static_cast<Id>(bench.organisms.size()) + 1;
            organism.spot = spot.id;
            organism.name = planted.organism;
            organism.goal = goalNamed(planted.goal);
            organism.state = planted.state;
            organism.since = "2026-09-01";
            bench.organisms.push_back(std::move(organism));
        }
        bench.spots.push_back(std::move(spot));
    }
    bench.rocks.push_back({1,
                           raceway->id,
                           "slate",
                           Millimetre(690),
                           Millimetre(820),
                           Millimetre(390),
                           Millimetre(530),
                           Millimetre(300),
                           raceway->water_depth,
                           0.0,
                           {}});
    Id next = 1;
    survey(bench, oldLamps(bench, raceway->id), "2026-10-12", seed + 101, next, false);
    survey(bench, lampsOver(bench, raceway->id, "Osier 60", 210, 100), "2026-11-02", seed + 102, next, false);
    const auto steps = rampSteps({kFrom, kTo, kWeeks, RampBy::Log, 15.0});
    survey(bench, lampsOver(bench, raceway->id, "Osier 60", 210, (*steps)[2].level_pct), "2026-11-16",
           seed + 103, next, true);
    Acclimation ramp;
    ramp.id = 1;
    ramp.tank = raceway->id;
    ramp.name = "new lamps";
    ramp.from_pct = kFrom;
    ramp.to_pct = kTo;
    ramp.weeks = kWeeks;
    ramp.cap_pct_week = 15.0;
    ramp.start = "2026-11-02";
    bench.ramps.push_back(std::move(ramp));
}

}  // namespace glumet
