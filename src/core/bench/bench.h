#pragma once

#include <string>
#include <utility>
#include <vector>

#include "core/base/value.h"
#include "core/bench/check.h"
#include "core/bench/fixture.h"
#include "core/bench/living.h"
#include "core/bench/meter_profile.h"
#include "core/bench/method.h"
#include "core/bench/planned_array.h"
#include "core/bench/rating.h"
#include "core/bench/run.h"
#include "core/bench/schedule.h"
#include "core/bench/spectrum_record.h"
#include "core/bench/tank.h"

namespace glumet {

/// The element of `items` with that id, or nullptr.
template <class T>
const T* byId(const std::vector<T>& items, Id id) {
    for (const auto& item : items)
        if (item.id == id) return &item;
    return nullptr;
}
template <class T>
T* byId(std::vector<T>& items, Id id) {
    for (auto& item : items)
        if (item.id == id) return &item;
    return nullptr;
}

/// The whole project as values: what the file holds and every computation reads.
struct Bench {
    GLUMET_VALUE(Bench);

    std::string title;
    std::vector<Tank> tanks;
    std::vector<Fixture> fixtures;
    std::vector<Accessory> accessories;
    std::vector<MeterProfile> meters;
    Method method;
    std::vector<Run> runs;
    std::vector<CommissionCheck> checks;  ///< in the order they were made
    std::vector<SpectrumRecord> spectra;
    std::vector<Schedule> schedules;
    std::vector<DayLog> logs;
    std::vector<Rating> ratings;
    std::vector<TankSpot> spots;  ///< of living tanks
    std::vector<Rock> rocks;
    std::vector<Organism> organisms;
    std::vector<Acclimation> ramps;
    std::vector<PlannedArray> plans;  ///< arrays that nobody has hung yet

    /// The run of that id; a blank one when it is gone.
    const Run& run(Id id) const;
    bool operator==(const Bench&) const = default;
};

/// How many readings a bench holds, whatever they are marked as.
std::size_t readingCount(const Bench& bench);

/// The preset of that id, whosever it is, or nullptr.
const Preset* presetById(const Bench& bench, Id id);
/// The name of a run's preset; empty when it was not recorded.
std::string presetName(const Bench& bench, const RunSettings& run);

/// Runs that are to be added, with the presets that they need and their fixtures do not have yet.
struct NewRuns {
    std::vector<Run> runs;
    std::vector<std::pair<Id, Preset>> presets;  ///< by fixture; provisional ids

    /// The fixture's preset of that name, or a new one; 0 for an empty name.
    Id preset(const Bench& bench, Id fixture, const std::string& name);
};

}  // namespace glumet
