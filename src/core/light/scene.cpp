#include "core/light/scene.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <numbers>

namespace glumet {
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

}  // namespace

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
    return check.wrong();
}

double levelOf(const SceneFixture& fixture, std::size_t channel) {
    return fixture.level * (channel < fixture.channel_levels.size() ? fixture.channel_levels[channel] : 1.0);
}

std::vector<PointSource> sourcesOf(const LightScene& scene) {
    std::vector<PointSource> sources;
    for (std::size_t f = 0; f < scene.fixtures.size(); ++f) {
        const auto& fixture = scene.fixtures[f];
        const double turn = fixture.rotation_deg * std::numbers::pi / 180.0;
        const double c = std::cos(turn);
        const double s = std::sin(turn);
        for (const auto& emitter : fixture.emitters) {
            const double flux = emitter.flux_umol_s * levelOf(fixture, emitter.channel);
            if (flux == 0.0) continue;
            sources.push_back({fixture.x_mm + c * emitter.dx_mm - s * emitter.dy_mm,
                               fixture.y_mm + s * emitter.dx_mm + c * emitter.dy_mm, fixture.height_mm, flux,
                               emitter.beam, emitter.channel, f});
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
