#pragma once

#include <nlohmann/json_fwd.hpp>

#include "core/base/beam.h"

namespace glumet {

/// A beam as scene files, bench descriptions and models hold it:
///   {"kind": "half_angle", "half_angle_deg": 44}
///   {"kind": "cosine_power", "m": 2.5}
///   {"kind": "table", "theta_deg": [0, 30, 90], "relative": [1, 0.8, 0]}
///   {"kind": "table", "theta_deg": [0, 30, 90], "phi_deg": [0, 90], "relative": [[1, 0.8, 0], [1, 0.3, 0]]}
nlohmann::ordered_json jsonOfBeam(const Beam& beam);

/// Reads the same; the error names the key within the beam.
Expected<Beam> beamFromJson(const nlohmann::ordered_json& json);

}  // namespace glumet
