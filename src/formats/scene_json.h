#pragma once

#include <array>
#include <functional>
#include <string>
#include <string_view>
#include <vector>

#include "core/light/scene.h"

namespace glumet {

/// A scene file: what shines where, and the points that are asked for.
struct SceneFile {
    LightScene scene;
    std::vector<Millimetre> depths;
    std::vector<std::array<double, 2>> points;  ///< x, y, mm
    int columns = 0;  ///< of the grid that the points are, row by row; 0: they are none
    int rows = 0;
};

/// Bytes of a file that a scene names, or why there are none.
using OpenNamed = std::function<Expected<std::string>(const std::string& name)>;

/// Reads a scene (JSON, docs/file-formats.md). Everything is checked: the error's `where` is the key
/// ("fixtures[0].emitters[3].beam.half_angle_deg"). At most 1 000 depths and 1 000 000 points a depth.
/// Beams of kind "lm63" name a photometric file, which `open` fetches.
Expected<SceneFile> readScene(std::string_view bytes, const OpenNamed& open);

/// Writes a scene that readScene reads back equal; beams in full, points one by one.
std::string writeScene(const SceneFile& file);

}  // namespace glumet
