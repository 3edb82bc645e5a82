#include "core/light/scene.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

#include "core/base/angle.h"

namespace glumet {

GLUMET_VALUE_COMPILED(LightScene);
namespace {

constexpr double kLongestMm = 1e5;
constexpr std::array kSideNames{"left", "right", "front", "back"};

/// Collects the first number that is out of its range.
class RangeCheck {
  public:
    void within(double value, double low, double high, const std::string& key) {
        if (wrong_ || (value >= low && value <= high)) return;
        wrong_ = Problem{key, say(GLUMET_SAY("Core", "must lie within {}…{}, is {}"), Figure{low},
                                  Figure{high}, Figure{value})};
    }
    void fail(const std::string& key, Words what) {
        if (!wrong_) wrong_ = Problem{key, std::move(what)};
    }
    const std::optional<Problem>& wrong() const { return wrong_; }

  private:
    std::optional<Problem> wrong_;
};

void checkTank(RangeCheck& check, const LightScene& scene) {
    check.within(scene.length_mm, 1.0, kLongestMm, "tank.length_mm");
    check.within(scene.width_mm, 1.0, kLongestMm, "tank.width_mm");
    check.within(scene.water_depth_mm, 1.0, kLongestMm, "tank.water_depth_mm");
    for (const auto side : kSides) {
        const auto& wall = scene.wall(side);
        const auto key = fmt::format("tank.walls.{}.", kSideNames[static_cast<std::size_t>(side)]);
        if (wall.clear())
            check.within(wall.refractive_index, 1.0, 3.0, key + "refractive_index");
        else
            check.within(wall.reflectance, 0.0, 1.0, key + "reflectance");
    }
    check.within(scene.water.refractive_index, 1.0, 2.0, "water.refractive_index");
    check.within(scene.water.attenuation_per_m, 0.0, 1e6, "water.attenuation_per_m");
    check.within(scene.water.yellow_440_per_m, 0.0, 1e6, "water.yellow_440_per_m");
}

void checkFixture(RangeCheck& check, const LightScene& scene, std::size_t index) {
    const auto& fixture = scene.fixtures[index];
    const auto key = fmt::format("fixtures[{}].", index);
    check.within(fixture.x_mm, -kLongestMm, kLongestMm, key + "x_mm");
    check.within(fixture.y_mm, -kLongestMm, kLongestMm, key + "y_mm");
    check.within(fixture.height_mm, 0.1, kLongestMm, key + "height_mm");
    check.within(fixture.rotation_deg, -1e6, 1e6, key + "rotation_deg");
    check.within(fixture.level, 0.0, 1e6, key + "level");
    for (const double level : fixture.channel_levels) check.within(level, 0.0, 1e6, key + "channel_levels");
    if (fixture.shroud) {
        check.within(fixture.shroud->length_mm, 1.0, kLongestMm, key + "shroud.length_mm");
        check.within(fixture.shroud->width_mm, 1.0, kLongestMm, key + "shroud.width_mm");
        check.within(fixture.shroud->drop_mm, 0.0, fixture.height_mm, key + "shroud.drop_mm");
    }
    for (std::size_t i = 0; i < fixture.emitters.size() && !check.wrong(); ++i) {
        const auto& emitter = fixture.emitters[i];
        const auto at = fmt::format("{}emitters[{}].", key, i);
        check.within(emitter.dx_mm, -kLongestMm, kLongestMm, at + "dx_mm");
        check.within(emitter.dy_mm, -kLongestMm, kLongestMm, at + "dy_mm");
        check.within(emitter.flux_umol_s, 0.0, 1e9, at + "flux_umol_s");
        if (emitter.beam >= scene.beams.size())
            check.fail(at + "beam", say(GLUMET_SAY("Core", "is not described")));
        if (emitter.channel >= scene.channels.size())
            check.fail(at + "channel", say(GLUMET_SAY("Core", "is not described")));
    }
}

/// Where light can pass: over the footprint and between it and the emitters, down to the bottom.
struct LitSpace {
    std::array<double, 3> low;
    std::array<double, 3> high;
};

LitSpace litSpace(const LightScene& scene) {
    LitSpace space{{0.0, 0.0, 0.0}, {scene.length_mm, scene.width_mm, scene.water_depth_mm}};
    for (const auto& source : sourcesOf(scene)) {
        const std::array at{source.x_mm, source.y_mm, -source.height_mm};
        for (std::size_t axis = 0; axis < at.size(); ++axis) {
            space.low[axis] = std::min(space.low[axis], at[axis]);
            space.high[axis] = std::max(space.high[axis], at[axis]);
        }
    }
    return space;
}

void checkShape(RangeCheck& check, const SceneObstacle& obstacle, const std::string& key) {
    const auto numbers = [&](const std::array<double, 3>& values, const char* name) {
        for (const double value : values) check.within(value, -kLongestMm, kLongestMm, key + name);
    };
    check.within(obstacle.transmittance, 0.0, 1.0, key + "transmittance");
    if (obstacle.kind == SceneObstacle::Kind::Disc) {
        numbers(obstacle.centre_mm, "centre_mm");
        check.within(obstacle.diameter_mm, 0.1, kLongestMm, key + "diameter_mm");
        return;
    }
    numbers(obstacle.from_mm, "from_mm");
    numbers(obstacle.to_mm, "to_mm");
    for (std::size_t axis = 0; axis < 3; ++axis)
        if (!(obstacle.from_mm[axis] < obstacle.to_mm[axis]))
            check.fail(key + "to_mm", say(GLUMET_SAY("Core", "must be more than from_mm in x, y and depth")));
}

void checkObstacle(RangeCheck& check, const LightScene& scene, const LitSpace& space, std::size_t index) {
    const auto& obstacle = scene.obstacles[index];
    const auto key = fmt::format("obstacles[{}].", index);
    checkShape(check, obstacle, key);
    if (check.wrong()) return;
    const auto low = obstacle.low();
    const auto high = obstacle.high();
    bool outside = low[2] > scene.water_depth_mm || high[2] <= space.low[2];
    for (std::size_t axis = 0; axis < 2; ++axis) {
        const double size = axis == 0 ? scene.length_mm : scene.width_mm;
        // In the water only what stands in the tank meets light.
        const bool in_water = low[2] >= 0.0;
        outside = outside || high[axis] <= (in_water ? 0.0 : space.low[axis]) ||
                  low[axis] >= (in_water ? size : space.high[axis]);
    }
    const auto place = key + (obstacle.kind == SceneObstacle::Kind::Disc ? "centre_mm" : "from_mm");
    if (outside) check.fail(place, say(GLUMET_SAY("Core", "lies where no light passes, outside the tank")));
    if (obstacle.kind == SceneObstacle::Kind::Disc) return;
    for (const auto& source : sourcesOf(scene))
        if (source.x_mm > low[0] && source.x_mm < high[0] && source.y_mm > low[1] && source.y_mm < high[1] &&
            -source.height_mm > low[2] && -source.height_mm < high[2])
            check.fail(place, say(GLUMET_SAY("Core", "the obstacle lies around an emitter of fixture {}"),
                                  countOf(source.fixture + 1)));
}

void checkObstacles(RangeCheck& check, const LightScene& scene) {
    if (check.wrong() || scene.obstacles.empty()) return;
    if (scene.obstacles.size() > kMostObstacles)
        check.fail("obstacles", say(GLUMET_SAY("Core", "holds more than {}"), countOf(kMostObstacles)));
    const auto space = litSpace(scene);
    for (std::size_t i = 0; i < scene.obstacles.size() && !check.wrong(); ++i)
        checkObstacle(check, scene, space, i);
}

}  // namespace

SceneObstacle SceneObstacle::box(std::array<double, 3> from, std::array<double, 3> to, double transmittance) {
    return {Kind::Box, from, to, {}, 0.0, transmittance};
}

SceneObstacle SceneObstacle::disc(std::array<double, 3> centre, double diameter, double transmittance) {
    return {Kind::Disc, {}, {}, centre, diameter, transmittance};
}

std::array<double, 3> SceneObstacle::low() const {
    if (kind == Kind::Box) return from_mm;
    return {centre_mm[0] - diameter_mm / 2.0, centre_mm[1] - diameter_mm / 2.0, centre_mm[2]};
}

std::array<double, 3> SceneObstacle::high() const {
    if (kind == Kind::Box) return to_mm;
    return {centre_mm[0] + diameter_mm / 2.0, centre_mm[1] + diameter_mm / 2.0, centre_mm[2]};
}

std::optional<Problem> wrongWith(const LightScene& scene) {
    RangeCheck check;
    checkTank(check, scene);
    std::size_t emitters = 0;
    for (std::size_t i = 0; i < scene.fixtures.size() && !check.wrong(); ++i) {
        emitters += scene.fixtures[i].emitters.size();
        if (emitters > kMostEmitters)
            check.fail("fixtures",
                       say(GLUMET_SAY("Core", "have more than {} emitters"), countOf(kMostEmitters)));
        checkFixture(check, scene, i);
    }
    checkObstacles(check, scene);
    return check.wrong();
}

double levelOf(const SceneFixture& fixture, std::size_t channel) {
    return fixture.level * (channel < fixture.channel_levels.size() ? fixture.channel_levels[channel] : 1.0);
}

std::vector<PointSource> sourcesOf(const LightScene& scene) {
    std::vector<PointSource> sources;
    for (std::size_t f = 0; f < scene.fixtures.size(); ++f) {
        const auto& fixture = scene.fixtures[f];
        const double turn = fixture.rotation_deg * kDegree;
        const double c = std::cos(turn);
        const double s = std::sin(turn);
        for (const auto& emitter : fixture.emitters) {
            const double flux = emitter.flux_umol_s * levelOf(fixture, emitter.channel);
            if (flux == 0.0) continue;
            sources.push_back({fixture.x_mm + c * emitter.dx_mm - s * emitter.dy_mm,
                               fixture.y_mm + s * emitter.dx_mm + c * emitter.dy_mm, fixture.height_mm, flux,
                               emitter.beam, emitter.channel, f, emitter.dx_mm, emitter.dy_mm, c, s});
        }
    }
    return sources;
}

void hangInRow(LightScene& scene, int count, Millimetre height, double level,
               const std::vector<SceneEmitter>& emitters) {
    std::vector<double> centres;
    for (int i = 0; i < count; ++i) centres.push_back(scene.length_mm * ((i + 1.0) / (count + 1.0)));
    hangAt(scene, centres, height, level, emitters);
}

void hangAt(LightScene& scene, const std::vector<double>& centres_mm, Millimetre height, double level,
            const std::vector<SceneEmitter>& emitters) {
    for (const double centre : centres_mm) {
        SceneFixture placed;
        placed.x_mm = centre;
        placed.y_mm = scene.width_mm * 0.5;
        placed.height_mm = height.value();
        placed.level = level;
        placed.emitters = emitters;
        scene.fixtures.push_back(placed);
    }
}

}  // namespace glumet
