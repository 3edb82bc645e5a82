#pragma once

#include <map>
#include <optional>
#include <string>
#include <vector>

#include "core/base/id.h"
#include "core/base/lattice.h"
#include "core/base/quantity.h"
#include "core/base/seldom.h"
#include "core/base/value.h"
#include "core/bench/placement.h"

namespace glumet {

/// What a reading is marked as.
enum class Mark {
    None,
    Doubtful,   ///< counted, and pointed at
    Excluded,   ///< kept, and left out of every statistic
    Reference,  ///< a return to a plane's reference point: tells drift, is in no statistic of the field
    Repeat,     ///< an earlier point read once more: tells repeatability, is in no statistic of the field
};

/// A mark, or a remark in words that files brought and nothing is made of.
struct Flag {
    Mark mark = Mark::None;
    std::string remark;

    Flag(Mark known = Mark::None) : mark(known) {}  // NOLINT: a mark is a flag
    bool empty() const { return mark == Mark::None && remark.empty(); }
    /// "doubtful" …, the remark, or nothing; of() reads it.
    std::string text() const;
    static Flag of(std::string text);
    bool operator==(const Flag&) const = default;
};

/// One settled value at one place, 0 ≤ x ≤ length, 0 ≤ y ≤ width.
struct Reading {
    GLUMET_VALUE(Reading);

    Id id = 0;
    Millimetre x{0};
    Millimetre y{0};
    Ppfd mean{0};
    std::optional<Ppfd> min;
    std::optional<Ppfd> max;
    std::optional<double> sd;       ///< of single samples, µmol·m⁻²·s⁻¹
    std::optional<double> samples;  ///< effective number of independent samples behind the mean
    std::optional<Watt> power;      ///< draw at the wall while reading
    Flag flag;
    std::string note;
    std::string time;         ///< ISO 8601 or whatever the imported file said
    bool superseded = false;  ///< an earlier value of a point measured again; kept, not counted
    Seldom<std::map<std::string, std::string>> extra;  ///< imported columns Glumet does not know

    /// Whether statistics and verdicts use this value.
    bool counts() const { return !superseded && flag != Mark::Excluded && !isCheck(); }
    /// Taken beside the field's own readings, to tell how well they repeat.
    bool isCheck() const { return flag == Mark::Reference || flag == Mark::Repeat; }
    /// Relative standard error of the mean, sd/(mean·√samples); nothing when the swing was not recorded.
    std::optional<double> relativeStandardError() const;

    bool operator==(const Reading&) const = default;
};

/// What part of a plane a published mean is of, spelled "0" (the outermost ring) …, "all", "min" or "max".
/// The least and the greatest value are kept and shown; nothing is computed from them.
struct RingName {
    static constexpr int kAll = -1;
    static constexpr int kLeast = -2;
    static constexpr int kGreatest = -3;
    static constexpr int kUnread = -4;  ///< of a text that names none
    int number = kAll;

    bool isMean() const { return number >= kAll; }
    std::string text() const;
    static RingName of(const std::string& text);
    bool operator==(const RingName&) const = default;
};

/// A mean that others published, of the points of a grid of cell centres that has columns × rows of them.
struct RingMean {
    Id id = 0;
    int columns = 6;
    int rows = 6;
    RingName ring;
    Ppfd ppfd{0};
    double relative_sd = 0.03;  ///< standard uncertainty, relative, > 0

    bool operator==(const RingMean&) const = default;
};

/// Whether the ring has points: 0 … (min(columns, rows) − 1)/2, or all.
bool hasPoints(const RingMean& mean);

/// All readings of a run at one depth below the surface, ≥ 0 mm.
struct Plane {
    GLUMET_VALUE(Plane);

    Id id = 0;
    Millimetre depth{0};
    std::optional<Grid> grid;  ///< the planned lattice; without one the points are free
    std::vector<Reading> readings;
    std::vector<RingMean> means;  ///< of others, who did not publish their readings

    bool operator==(const Plane&) const = default;
};

enum class WaterState { Still, Moving, Dry };

/// Everything that is set for a run but its mounting height: what must be equal for two runs to belong to one
/// height sweep. An empty or absent one was not recorded; an id of 0 is none.
struct RunSettings {
    Id fixture = 0;
    Id accessory = 0;
    Id tank = 0;
    Id meter = 0;
    Id preset = 0;  ///< of the fixture
    std::optional<double> level_pct;
    int fixtures = 1;  ///< how many hang over the tank
    Placement placement;
    WaterState water = WaterState::Still;
    double turn_deg = 0.0;        ///< of each fixture's length against the tank's, from +x towards +y
    std::string read_by;          ///< whoever read it, where the reviewer did not
    std::optional<double> hours;  ///< that the lamp had burnt

    bool byOthers() const { return !read_by.empty(); }
    auto operator<=>(const RunSettings&) const = default;
};

/// Readings taken without changing anything but the probe's place.
struct Run : RunSettings {
    GLUMET_VALUE(Run);

    Id id = 0;
    std::string label;
    Millimetre height{0};  ///< emitters above the water surface
    std::optional<Ppfd> dark_reading;
    std::optional<Ppfd> eye_reading;  ///< at a seated viewer's eye before the tank, facing the lamp
    std::optional<double> warm_up_min;
    std::string note;
    bool in_review = false;     ///< its configuration goes into the review
    std::vector<Plane> planes;  ///< ascending depth

    /// Mean of the draws recorded with the readings.
    std::optional<Watt> power() const;
    /// Whether others' means are all it holds.
    bool onlyMeans() const;
    bool operator==(const Run&) const = default;
};

/// Where a run's fixtures hang along a tank of this length, mm: as its placement says when it names as many
/// centres as fixtures hang, else by equal division.
std::vector<double> hangingPlaces(const RunSettings& run, double length_mm);

}  // namespace glumet
