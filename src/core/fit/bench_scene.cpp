#include "core/fit/bench_scene.h"

#include <algorithm>
#include <cmath>

namespace glumet {

SceneWall sceneWall(const Wall& wall) {
    if (wall.kind == WallKind::Opaque) return SceneWall::opaque(wall.reflectance);
    return wall.kind == WallKind::Acrylic ? SceneWall::acrylic() : SceneWall::glass();
}

LightScene emptyScene(const Tank& tank, bool dry) {
    LightScene scene;
    scene.length_mm = tank.length.value();
    scene.width_mm = tank.width.value();
    scene.water_depth_mm = tank.water_depth.value();
    for (const auto side : kSides) scene.walls[static_cast<std::size_t>(side)] = sceneWall(tank.wall(side));
    if (dry) scene.water = Water::none();
    return scene;
}

std::optional<SceneShroud> sceneShroud(const Fixture& fixture) {
    if (fixture.shroud_length.value() <= 0.0 || fixture.shroud_width.value() <= 0.0) return std::nullopt;
    return SceneShroud{fixture.shroud_length.value(), fixture.shroud_width.value(),
                       fixture.shroud_drop.value()};
}

void hangRun(LightScene& scene, const RunSettings& run, Millimetre height, double level,
             const std::vector<SceneEmitter>& emitters) {
    const auto before = scene.fixtures.size();
    hangAt(scene, hangingPlaces(run, scene.length_mm), height, level, emitters);
    for (auto i = before; i < scene.fixtures.size(); ++i) scene.fixtures[i].rotation_deg = run.turn_deg;
}

std::vector<SceneEmitter> latticeEmitters(const Fixture& fixture, PhotonFlux flux, std::size_t beam) {
    const int columns = fixture.emitters.columns;
    const int rows = fixture.emitters.rows;
    constexpr double kPointPitchMm = 15.0;
    constexpr int kMostAcross = 4;
    const double size = fixture.emitters.size.value();
    const int across = std::clamp(static_cast<int>(std::ceil(size / kPointPitchMm)), 1, kMostAcross);
    const double step = size / across;
    const double share = flux.value() / (columns * rows * across * across);
    const auto offset = [](int index, int count, double pitch) {
        return (index - 0.5 * (count - 1)) * pitch;
    };
    std::vector<SceneEmitter> emitters;
    for (int row = 0; row < rows; ++row)
        for (int column = 0; column < columns; ++column)
            for (int j = 0; j < across; ++j)
                for (int i = 0; i < across; ++i)
                    emitters.push_back(
                        {offset(column, columns, fixture.emitters.pitch_x.value()) + offset(i, across, step),
                         offset(row, rows, fixture.emitters.pitch_y.value()) + offset(j, across, step), share,
                         beam, 0});
    return emitters;
}

}  // namespace glumet
