#pragma once

#include <optional>
#include <string>
#include <vector>

#include "core/base/id.h"
#include "core/base/quantity.h"
#include "core/base/spectrum.h"
#include "core/base/value.h"

namespace glumet {

/// Whether a spectrum's values are µmol·m⁻²·s⁻¹·nm⁻¹ or only its shape is known.
enum class SpectralScale { Absolute, Relative };

/// Where a spectrum came from.
enum class SpectrumOrigin {
    Read,     ///< by an instrument of ours
    File,     ///< somebody's file
    Assumed,  ///< made of stated peaks and widths: not measured
};

/// A spectrum of a fixture and what it belongs to: a channel at full level, a preset, or all channels on
/// where neither is named; at a place where height, depth, x and y say so.
struct SpectrumRecord {
    GLUMET_VALUE(SpectrumRecord);

    Id id = 0;
    std::string name;
    Id fixture = 0;
    Id channel = 0;                    ///< of the fixture; 0: a mix
    Id preset = 0;                     ///< of the fixture; 0: a channel, or all on
    Id tank = 0;                       ///< 0: in air, outside a tank
    std::string test;                  ///< blending test that it is a point of; empty: none
    std::optional<Millimetre> height;  ///< emitters above the water, or above the sensor in air
    std::optional<Millimetre> depth;   ///< under water
    std::optional<Millimetre> x;       ///< in the tank, or from the fixture's middle in air
    std::optional<Millimetre> y;
    SpectralScale scale = SpectralScale::Relative;
    SpectrumOrigin origin = SpectrumOrigin::File;
    Spectrum spectrum;
    std::optional<double> sd_share;  ///< relative sd of single scans from moment to moment, of moving water
    std::string note;
    std::string time;  ///< ISO 8601 or empty

    bool operator==(const SpectrumRecord&) const = default;
};

}  // namespace glumet
