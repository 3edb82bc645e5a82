#pragma once

#include <string>
#include <string_view>

#include "core/fit/fit.h"
#include "formats/scene_json.h"

namespace glumet {

/// A fitted light model as JSON, docs/file-formats.md: {"format": "glumet light model", "version": 1, …}.
std::string writeModel(const LightModel& model);

/// Reads what writeModel() writes. The problem names the key.
Expected<LightModel> readModel(std::string_view bytes);

/// A scene of which some fixtures are the model's ("use": "model" instead of emitters).
struct ModelScene {
    SceneFile file;                     ///< all fixtures; those of the model carry a stand-in emitter
    std::vector<std::size_t> of_model;  ///< indices of the model's fixtures
};
Expected<ModelScene> readModelScene(std::string_view bytes, const OpenNamed& open);

/// A tank file: the "tank" and "water" of a scene, or the tank's keys alone. The scene has no fixtures.
Expected<LightScene> readTank(std::string_view bytes);

/// A fixture file: "emitters" as in a scene, or a lattice: "emitter_columns", "emitter_rows",
/// "emitter_pitch_x_mm", "emitter_pitch_y_mm", "emitter_size_mm"; optional "name", "length_mm", "width_mm",
/// "rated_power_w", "claimed_height_low_mm", "claimed_height_high_mm".
struct FixtureFile {
    Fixture fixture;
    std::vector<ModelEmitter> emitters;  ///< empty: the lattice
};
Expected<FixtureFile> readFixtureFile(std::string_view bytes);

}  // namespace glumet
