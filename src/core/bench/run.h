#pragma once

#include <algorithm>
#include <map>
#include <optional>
#include <string>
#include <vector>

#include "core/base/lattice.h"
#include "core/bench/bench.h"

namespace glumet {

/// Known values of Reading::flag. Any other text is kept as it came and treated as a remark.
namespace flag {
inline constexpr const char* kDoubtful = "doubtful";  ///< counted, and pointed at
inline constexpr const char* kExcluded = "excluded";  ///< kept, and left out of every statistic
/// A return to a plane's reference point: tells drift, is in no statistic of the field.
inline constexpr const char* kReference = "reference";
/// An earlier point read once more: tells repeatability, is in no statistic of the field.
inline constexpr const char* kRepeat = "repeat";
}  // namespace flag

/// One settled value at one place, 0 ≤ x ≤ length, 0 ≤ y ≤ width.
struct Reading {
    Id id = 0;
    Millimetre x{0};
    Millimetre y{0};
    Ppfd mean{0};
    std::optional<Ppfd> min;
    std::optional<Ppfd> max;
    std::optional<double> sd;       ///< of single samples, µmol·m⁻²·s⁻¹
    std::optional<double> samples;  ///< effective number of independent samples behind the mean
    std::optional<Watt> power;      ///< draw at the wall while reading
    std::string flag;
    std::string note;
    std::string time;         ///< ISO 8601 or whatever the imported file said
    bool superseded = false;  ///< an earlier value of a point measured again; kept, not counted
    std::map<std::string, std::string> extra;  ///< imported columns Glumet does not know

    /// Whether statistics and verdicts use this value.
    bool counts() const { return !superseded && flag != flag::kExcluded && !isCheck(); }
    /// Taken beside the field's own readings, to tell how well they repeat.
    bool isCheck() const { return flag == flag::kReference || flag == flag::kRepeat; }
    /// Relative standard error of the mean, sd/(mean·√samples); nothing when the swing was not recorded.
    std::optional<double> relativeStandardError() const;

    bool operator==(const Reading&) const = default;
};

/// All readings of a run at one depth below the surface, ≥ 0 mm.
struct Plane {
    Id id = 0;
    Millimetre depth{0};
    std::optional<Grid> grid;  ///< the planned lattice; without one the points are free
    std::vector<Reading> readings;
};

/// Readings taken without changing anything but the probe's place. All settings are what was set;
/// an empty or absent one was not recorded.
struct Run {
    Id id = 0;
    std::string label;
    Id fixture = 0;
    Id accessory = 0;  ///< 0: none
    Id tank = 0;       ///< 0: not described
    Id meter = 0;      ///< 0: not recorded
    std::string preset;
    std::optional<double> level_pct;
    Millimetre height{0};  ///< emitters above the water surface
    int fixtures = 1;      ///< how many hang over the tank
    std::string placement;
    WaterState water = WaterState::Still;
    std::optional<Ppfd> dark_reading;
    std::optional<double> warm_up_min;
    std::string note;
    std::vector<Plane> planes;  ///< ascending depth

    /// Mean of the draws recorded with the readings.
    std::optional<Watt> power() const;
};

/// The whole project as values: what the file holds and every computation reads.
struct Bench {
    std::string title;
    std::vector<Tank> tanks;
    std::vector<Fixture> fixtures;
    std::vector<Accessory> accessories;
    std::vector<MeterProfile> meters;
    Method method;
    std::vector<Run> runs;
    std::vector<CommissionCheck> checks;  ///< in the order they were made
};

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

}  // namespace glumet
