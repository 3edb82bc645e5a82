#pragma once

#include <array>
#include <cstdint>
#include <string>
#include <vector>

#include "core/base/beam.h"
#include "core/base/limits.h"
#include "core/base/value.h"
#include "core/base/wall.h"
#include "core/light/water.h"

namespace glumet {

/// One wall of a scene as light in the water sees it.
struct SceneWall {
    WallKind kind = WallKind::Glass;
    double refractive_index = 1.52;  ///< of a clear pane, 1…3
    double reflectance = 0.0;        ///< of an opaque wall, 0–1, specular, at any angle

    bool clear() const { return kind != WallKind::Opaque; }
    static SceneWall glass(double index = 1.52) { return {WallKind::Glass, index, 0.0}; }
    static SceneWall acrylic(double index = 1.49) { return {WallKind::Acrylic, index, 0.0}; }
    static SceneWall opaque(double reflectance) { return {WallKind::Opaque, 1.52, reflectance}; }
    bool operator==(const SceneWall&) const = default;
};

/// Emitters that are dimmed together and share a spectrum.
struct SceneChannel {
    std::string name;
    Attenuation attenuation;  ///< of this channel's light in this scene's water
    bool operator==(const SceneChannel&) const = default;
};

/// A point emitter on its fixture, before the fixture is turned and placed.
struct SceneEmitter {
    double dx_mm = 0.0;
    double dy_mm = 0.0;
    double flux_umol_s = 0.0;  ///< ≥ 0, at full level
    std::size_t beam = 0;      ///< index into LightScene::beams
    std::size_t channel = 0;   ///< index into LightScene::channels
    bool operator==(const SceneEmitter&) const = default;
};

/// What hangs under a fixture and keeps its light together: opaque sides down to a rectangle, centred on the
/// fixture and turned with it. Light that is not inside that rectangle so far under the emitters is lost.
struct SceneShroud {
    double length_mm = 0.0;  ///< along the fixture's x
    double width_mm = 0.0;
    double drop_mm = 0.0;  ///< under the emitters; ends above the water
    bool operator==(const SceneShroud&) const = default;
};

/// A fixture where it hangs. `rotation_deg` turns +x towards +y.
struct SceneFixture {
    double x_mm = 0.0;
    double y_mm = 0.0;
    double height_mm = 200.0;  ///< of the emitters over the surface, > 0
    double rotation_deg = 0.0;
    double level = 1.0;                  ///< ≥ 0, of all channels
    std::vector<double> channel_levels;  ///< by channel, ≥ 0; those left out are 1
    std::vector<SceneEmitter> emitters;
    std::optional<SceneShroud> shroud;
    bool operator==(const SceneFixture&) const = default;
};

/// Something in the light's way, above the water or in it: a box along the axes or a horizontal disc. z is
/// depth, negative above the surface. A path is multiplied by its transmittance once, however often it meets
/// it.
struct SceneObstacle {
    enum class Kind { Box, Disc };
    Kind kind = Kind::Box;
    std::array<double, 3> from_mm{};    ///< of a box, x, y, z; below `to_mm` each
    std::array<double, 3> to_mm{};      ///< of a box
    std::array<double, 3> centre_mm{};  ///< of a disc
    double diameter_mm = 0.0;           ///< of a disc
    double transmittance = 0.0;         ///< 0–1

    static SceneObstacle box(std::array<double, 3> from, std::array<double, 3> to,
                             double transmittance = 0.0);
    static SceneObstacle disc(std::array<double, 3> centre, double diameter, double transmittance = 0.0);
    /// The least box along the axes that holds it.
    std::array<double, 3> low() const;
    std::array<double, 3> high() const;
    bool operator==(const SceneObstacle&) const = default;
};

/// What shines into a tank: x along the length from the left, y from front to back, depth down from the
/// surface, height up from it, mm. The glass above the water line is crossed freely in air; a ray enters the
/// water only where it meets the surface inside the footprint. The bottom absorbs.
struct LightScene {
    GLUMET_VALUE(LightScene);

    double length_mm = 600.0;
    double width_mm = 600.0;
    double water_depth_mm = 560.0;
    std::array<SceneWall, 4> walls{};  ///< in the order of kSides
    Water water;
    std::vector<Beam> beams;
    std::vector<SceneChannel> channels{SceneChannel{}};
    std::vector<SceneFixture> fixtures;
    std::vector<SceneObstacle> obstacles;

    const SceneWall& wall(Side side) const { return walls[static_cast<std::size_t>(side)]; }
    bool operator==(const LightScene&) const = default;
};

/// The first thing about a scene that cannot be computed with, naming the key as the scene file does
/// ("fixtures[1].height_mm"), or nothing. Limits: sizes 1 mm…100 m, heights 0.1 mm…100 m, indices 1…2
/// (water) and 1…3 (panes), reflectance 0…1, at most kMostEmitters emitters and kMostObstacles obstacles. A
/// shroud ends above the water; an obstacle holds no emitter and lies where light passes.
std::optional<Problem> wrongWith(const LightScene& scene);
inline constexpr std::size_t kMostEmitters = limits::kSceneEmitters;
inline constexpr std::size_t kMostObstacles = limits::kSceneObstacles;

/// One point emitter in tank coordinates with its level applied.
struct PointSource {
    double x_mm = 0.0;
    double y_mm = 0.0;
    double height_mm = 0.0;
    double flux_umol_s = 0.0;
    std::size_t beam = 0;
    std::size_t channel = 0;
    std::size_t fixture = 0;
    double dx_mm = 0.0;  ///< on its fixture
    double dy_mm = 0.0;
    double cos_turn = 1.0;  ///< of the fixture's rotation
    double sin_turn = 0.0;
};

/// All emitters of a scene that shine.
std::vector<PointSource> sourcesOf(const LightScene& scene);
/// Level of a channel of a fixture, its own level included.
double levelOf(const SceneFixture& fixture, std::size_t channel);

/// Hangs `count` fixtures of the same emitters in a row along the middle, by equal division: centres at
/// (i + 1)·length/(count + 1).
void hangInRow(LightScene& scene, int count, Millimetre height, double level,
               const std::vector<SceneEmitter>& emitters);

/// Hangs fixtures of the same emitters along the middle, their centres at these places along the length, mm.
void hangAt(LightScene& scene, const std::vector<double>& centres_mm, Millimetre height, double level,
            const std::vector<SceneEmitter>& emitters);

}  // namespace glumet
