#pragma once

#include <array>
#include <cstdint>
#include <optional>
#include <string>
#include <vector>

#include "core/base/beam.h"
#include "core/base/quantity.h"
#include "core/base/wall.h"
#include "core/bench/goal.h"

namespace glumet {

/// Row number in the project file; 0 means not stored yet.
using Id = std::int64_t;

/// One side of the tank. Clear glass and acrylic have air behind them and reflect inside; opaque means
/// painted, covered or filmed on the outside.
struct Wall {
    WallKind kind = WallKind::Glass;
    double reflectance = 0.05;  ///< of an opaque wall, 0–1

    bool operator==(const Wall&) const = default;
};

enum class WaterState { Still, Moving, Dry };
enum class WaterKind { Fresh, Sea };
/// A bare painted-back bench compares fixtures; a living tank shows what livestock gets. Never mixed.
enum class TankUse { Bench, Living };

/// Something no probe gets through from above: a brace, a pump, a pipe. A rectangle in plan, mm, from < to.
struct Obstacle {
    std::string name;
    Millimetre from_x{0};
    Millimetre to_x{0};
    Millimetre from_y{0};
    Millimetre to_y{0};

    bool operator==(const Obstacle&) const = default;
};

/// Inner sizes, all > 0 mm. x runs along the length from the left, y from front to back, depth downward
/// from the surface.
struct Tank {
    Id id = 0;
    std::string name;
    Millimetre length{600};
    Millimetre width{600};
    Millimetre water_depth{560};
    std::array<Wall, 4> walls{};  ///< in the order of kSides
    WaterKind water_kind = WaterKind::Fresh;
    TankUse use = TankUse::Bench;
    std::vector<Obstacle> obstacles;

    const Wall& wall(Side side) const { return walls[static_cast<std::size_t>(side)]; }
    Wall& wall(Side side) { return walls[static_cast<std::size_t>(side)]; }
    bool operator==(const Tank&) const = default;
};

/// What the maker says and what the reviewer weighed. Sizes in mm, all ≥ 0; 0 means not stated.
struct Fixture {
    Id id = 0;
    std::string name;
    std::string maker;
    std::string kind;  ///< in words: "single cluster", "long bar"
    Millimetre length{0};
    Millimetre width{0};
    int emitter_columns = 1;  ///< emitters lie on a regular lattice over the body
    int emitter_rows = 1;
    Millimetre emitter_pitch_x{0};
    Millimetre emitter_pitch_y{0};
    Millimetre emitter_size{0};  ///< side of the patch each shines from: a lens, a cluster; 0 is a point
    std::string channels;        ///< names, comma-separated
    std::optional<Watt> rated_power;
    double mass_kg = 0.0;
    double price = 0.0;
    std::string currency;
    bool power_supply_inside = false;
    std::optional<Millimetre> claimed_height_low;
    std::optional<Millimetre> claimed_height_high;
    std::string claimed_coverage;
    std::optional<Beam> beam;        ///< of each emitter, as described: stated, or from a photometric file
    std::optional<PhotonFlux> flux;  ///< of the whole fixture at full level, as described
    std::string note;

    bool operator==(const Fixture&) const = default;
};

/// Something put on the fixture: diffuser, lens kit, shroud.
struct Accessory {
    Id id = 0;
    std::string name;
    std::string note;

    bool operator==(const Accessory&) const = default;
};

/// Who multiplied by the immersion factor, so that it is done once and only once.
enum class ImmersionBy { Nobody, MeterMode, Glumet };

/// One point of a sensor's spectral response, 1 where it tells the truth.
struct ResponsePoint {
    double wavelength_nm = 0.0;
    double relative = 1.0;

    bool operator==(const ResponsePoint&) const = default;
};

/// What a meter's readings of one channel are multiplied by, found beside another meter. Stored readings keep
/// their raw value.
struct MeterCorrection {
    std::string channel;       ///< the run's preset it holds for; empty: any
    double factor = 1.0;       ///< > 0
    double uncertainty = 0.0;  ///< of the factor, k = 1, relative
    std::string source;        ///< in words: "twin Sensor S2, 9 pairs"
    std::string time;
    bool applied = true;  ///< to readings taken from now on

    bool operator==(const MeterCorrection&) const = default;
};

struct MeterProfile {
    Id id = 0;
    std::string name;
    std::string kind;  ///< in words: "quantum sensor, silicon"
    double immersion_factor = 1.0;
    ImmersionBy immersion_by = ImmersionBy::MeterMode;
    double relative_uncertainty = 0.05;  ///< absolute calibration, k = 1 share of the reading
    std::string calibrated_on;           ///< ISO date or empty
    std::string note;
    std::vector<ResponsePoint> response;  ///< ascending wavelength; empty: not known
    double cosine_error = 0.0;  ///< largest relative error of oblique light up to 60°, 0: not stated
    std::vector<MeterCorrection> corrections;

    bool operator==(const MeterProfile&) const = default;
};

/// How the reviewer measures and judges.
struct Method {
    double spill_limit = 0.15;  ///< share of the grid mean that may be lost
    Goal goal;                  ///< what the fixture is judged for
    int grid_columns = 6;
    int grid_rows = 6;
    double settled_relative_error = 0.02;  ///< standard error of the mean at which a reading is settled
    Second longest_reading{30};            ///< a reading is offered after this, settled or not
    Millimetre height_error{2.5};          ///< standard error of setting the mounting height
    std::string note;
    int check_every = 0;                 ///< readings between two check points (reference or repeat); 0: none
    std::string school = "spill-limit";  ///< whose height is the headline
    std::string dissent;                 ///< the reviewer's own words against it; published
    std::vector<Goal> goals;             ///< the reviewer's own profiles to choose from

    bool operator==(const Method&) const = default;
};

/// What is checked before the first reading.
enum class CheckKind { Draw, WarmUp, Dark, Water, ProbeLevel, Height, MeterMode, MeterTruth };
inline constexpr std::array kCheckKinds{CheckKind::Draw,      CheckKind::WarmUp,     CheckKind::Dark,
                                        CheckKind::Water,     CheckKind::ProbeLevel, CheckKind::Height,
                                        CheckKind::MeterMode, CheckKind::MeterTruth};

/// One check as it was made. A later one of the same kind and subject takes its place; both are kept.
struct CommissionCheck {
    Id id = 0;
    Id run = 0;
    CheckKind kind = CheckKind::Draw;
    std::string subject;  ///< a channel, or what it was compared with; empty: the whole
    double value = 0.0;   ///< in the kind's unit, see core/commission.h
    bool passed = false;
    std::string verdict;    ///< one sentence
    std::string overruled;  ///< why work went on although it failed; published
    std::string time;

    bool operator==(const CommissionCheck&) const = default;
};

}  // namespace glumet
