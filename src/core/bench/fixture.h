#pragma once

#include <optional>
#include <string>
#include <string_view>
#include <vector>

#include "core/base/beam.h"
#include "core/base/id.h"
#include "core/base/quantity.h"
#include "core/base/value.h"

namespace glumet {

/// A regular lattice of equal emitters, columns along the fixture's length.
struct EmitterLattice {
    int columns = 1;
    int rows = 1;
    Millimetre pitch_x{0};
    Millimetre pitch_y{0};
    Millimetre size{0};  ///< side of the patch each shines from: a lens, a cluster; 0 is a point

    bool operator==(const EmitterLattice&) const = default;
};

/// Emitters of a fixture that are dimmed together and share a spectrum (Bench::spectra). What is not stated
/// is as of the whole fixture, or unknown.
struct Channel {
    Id id = 0;
    std::string name;
    std::optional<double> flux_share;        ///< of the fixture's photon flux at full level, 0–1
    std::optional<double> power_share;       ///< of its rated watts, 0–1
    std::optional<EmitterLattice> emitters;  ///< where they are not the fixture's own
    std::optional<Beam> beam;

    bool operator==(const Channel&) const = default;
};

/// A channel's level in a preset.
struct PresetLevel {
    Id id = 0;
    Id channel = 0;
    double level_pct = 100.0;

    bool operator==(const PresetLevel&) const = default;
};

/// A channel mix under a name. Without levels it is a name and no more; with some, channels that are not
/// listed are off.
struct Preset {
    Id id = 0;
    std::string name;
    std::vector<PresetLevel> levels;

    bool operator==(const Preset&) const = default;
};

/// What the maker says and what the reviewer weighed. Sizes in mm, all ≥ 0; 0 means not stated.
struct Fixture {
    GLUMET_VALUE(Fixture);

    Id id = 0;
    std::string name;
    std::string maker;
    std::string kind;  ///< in words: "single cluster", "long bar"
    Millimetre length{0};
    Millimetre width{0};
    EmitterLattice emitters;  ///< over the body
    std::vector<Channel> channels;
    std::vector<Preset> presets;  ///< channel mixes that its runs were set to
    std::optional<Watt> rated_power;
    double mass_kg = 0.0;
    double price = 0.0;
    std::string currency;
    double mount_price = 0.0;  ///< of mounts and whatever else must be bought with each
    double lamp_price = 0.0;   ///< of new lamps or modules at the end of its life; 0: it is replaced whole
    double life_h = 0.0;       ///< hours until then, as stated
    std::optional<double> noise_dba;  ///< at a metre, at full level
    bool power_supply_inside = false;
    std::optional<Millimetre> claimed_height_low;
    std::optional<Millimetre> claimed_height_high;
    std::string claimed_coverage;
    std::optional<Beam> beam;        ///< of each emitter, as described: stated, or from a photometric file
    std::optional<PhotonFlux> flux;  ///< of the whole fixture at full level, as described
    Millimetre shroud_length{0};     ///< of a shroud's lower edge along the body; 0: it has none
    Millimetre shroud_width{0};
    Millimetre shroud_drop{0};  ///< from the emitters to that edge
    std::string note;

    bool operator==(const Fixture&) const = default;
};

/// Something put on the fixture: diffuser, lens kit, shroud.
struct Accessory {
    Id id = 0;
    std::string name;
    std::string note;
    double price = 0.0;  ///< in the fixture's currency

    bool operator==(const Accessory&) const = default;
};

/// The channels' names, "warm white, deep red".
std::string channelNames(const Fixture& fixture);
/// Takes a list of names: known channels are kept, whatever the case, others are made, those not named go.
void setChannelNames(Fixture& fixture, std::string_view names);

/// The preset's only channel that shines; nullptr when it is a mix or its levels are not known.
const Channel* soleChannel(const Fixture& fixture, Id preset);
/// Gives presets without levels, named like a channel ("blue", "blue alone"), that channel alone.
void linkPresets(Fixture& fixture);

/// Share of the fixture's flux, or of its watts, at a preset: Σ share × level, where every channel's share is
/// stated; 1 for a preset without levels; nothing where it is not known.
std::optional<double> fluxShare(const Fixture& fixture, Id preset);
std::optional<double> powerShare(const Fixture& fixture, Id preset);

/// Same name but for case and blanks around.
bool sameName(std::string_view a, std::string_view b);

}  // namespace glumet
