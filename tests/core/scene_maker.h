#pragma once

#include "core/light/scene.h"
#include "core/simulation/ripple.h"

namespace glumet {

/// A cube of glass with a painted back and one emitter over its middle, 100 µmol/s.
inline LightScene cubeScene(const Beam& beam, double height_mm) {
    LightScene scene;
    scene.length_mm = 600.0;
    scene.width_mm = 600.0;
    scene.water_depth_mm = 600.0;
    scene.walls = {SceneWall::glass(), SceneWall::glass(), SceneWall::glass(), SceneWall::opaque(0.05)};
    scene.beams = {beam};
    SceneFixture fixture;
    fixture.x_mm = 300.0;
    fixture.y_mm = 300.0;
    fixture.height_mm = height_mm;
    fixture.emitters = {{0.0, 0.0, 100.0, 0, 0}};
    scene.fixtures = {fixture};
    return scene;
}

/// A scene of any kind: tanks, walls, water, heights and beams drawn from a seed.
inline LightScene anyScene(std::uint64_t seed) {
    Noise noise(seed);
    const auto between = [&](double low, double high) { return low + (high - low) * noise.uniform(); };
    LightScene scene;
    scene.length_mm = between(300.0, 1800.0);
    scene.width_mm = between(250.0, 700.0);
    scene.water_depth_mm = between(200.0, 700.0);
    for (auto& wall : scene.walls) {
        const double kind = noise.uniform();
        wall = kind < 0.4   ? SceneWall::glass()
               : kind < 0.6 ? SceneWall::acrylic()
                            : SceneWall::opaque(between(0.0, 0.4));
    }
    if (noise.uniform() < 0.2) scene.water = Water::none();
    scene.channels.front().attenuation = Attenuation::grey(noise.uniform() < 0.5 ? 0.0 : between(0.0, 2.0));
    scene.beams = {*Beam::halfAngle(between(15.0, 75.0)), *Beam::cosinePower(between(0.0, 3.0)),
                   *Beam::table({0, 10, 25, 40, 55, 70, 85},
                                {between(0.1, 1), 0.8, 1.0, between(0.3, 1), 0.5, 0.2, between(0.0, 0.2)})};
    for (int f = 0; f < 2; ++f) {
        SceneFixture fixture;
        fixture.x_mm = scene.length_mm * between(0.1, 0.9);
        fixture.y_mm = scene.width_mm * between(0.3, 0.7);
        fixture.height_mm = between(60.0, 500.0);
        fixture.rotation_deg = between(-90.0, 90.0);
        fixture.level = between(0.2, 1.0);
        for (int e = 0; e < 6; ++e)
            fixture.emitters.push_back({between(-120.0, 120.0), between(-80.0, 80.0), between(1.0, 20.0),
                                        static_cast<std::size_t>(noise.uniform() * 2.999), 0});
        scene.fixtures.push_back(fixture);
    }
    return scene;
}

/// A beam narrow across and wide along by some planes, its kind of symmetry drawn too.
inline Beam anyPlanes(Noise& noise) {
    const std::array<std::vector<double>, 3> azimuths{std::vector<double>{0, 15, 30, 45, 60, 75, 90},
                                                      {0, 20, 70, 90, 135, 180},
                                                      {0, 30, 100, 180, 220, 300, 360}};
    const auto& phi = azimuths[static_cast<std::size_t>(noise.uniform() * 2.999)];
    std::vector<double> theta;
    for (int degree = 0; degree <= 90; degree += 5) theta.push_back(degree);
    std::vector<std::vector<double>> relative;
    for (std::size_t plane = 0; plane < phi.size(); ++plane) {
        const double width = 18.0 + 50.0 * noise.uniform();
        auto& list = relative.emplace_back();
        for (const double t : theta) list.push_back(std::exp(-0.5 * t * t / (width * width)) * (90.0 - t));
    }
    if (phi.back() == 360.0) relative.back() = relative.front();
    return *Beam::planes(theta, phi, relative);
}

/// anyScene with beams that are not round, a shroud and things in the way above the water and in it.
inline LightScene hardScene(std::uint64_t seed) {
    auto scene = anyScene(seed);
    Noise noise(seed + 1000);
    const auto between = [&](double low, double high) { return low + (high - low) * noise.uniform(); };
    scene.beams[0] = anyPlanes(noise);
    scene.beams[1] = anyPlanes(noise);
    scene.fixtures[0].shroud = SceneShroud{between(200, 320), between(120, 220), between(10, 50)};
    const double x = scene.length_mm;
    const double y = scene.width_mm;
    const double d = scene.water_depth_mm;
    const auto somewhere = [&](double size) { return size * between(0.0, 0.8); };
    for (int i = 0; i < 3; ++i) {
        const std::array from{somewhere(x), somewhere(y), d * between(0.1, 0.8)};
        scene.obstacles.push_back(SceneObstacle::box(
            from, {from[0] + 80.0, from[1] + 60.0, from[2] + d * 0.15}, i == 0 ? between(0.2, 0.9) : 0.0));
    }
    scene.obstacles.push_back(SceneObstacle::disc({somewhere(x), somewhere(y), d * 0.45}, 100.0));
    scene.obstacles.push_back(
        SceneObstacle::box({x * 0.4, 0.0, -25.0}, {x * 0.4 + 40.0, y, -10.0}, between(0.6, 0.9)));
    scene.obstacles.push_back(SceneObstacle::box({x * 0.7, y * 0.3, -20.0}, {x * 0.7 + 50.0, y * 0.5, 90.0}));
    return scene;
}

}  // namespace glumet
