#include "core/living/shade.h"
#include "core/base/median.h"

#include <algorithm>
#include <array>

#include "core/light/fast_field.h"
#include "core/living/survey_history.h"

namespace glumet {
namespace {

constexpr double kBeyondRocks = 2.0 / 3.0;
constexpr int kStripEmitters = 12;
constexpr double kEdgeMm = 40.0;      // of a strip from the pane
constexpr double kStripFlux = 100.0;  // only shares are told
constexpr double kSeen = 0.95;        // of its light: less is a shade

double lightAt(LightScene scene, double x, double y, Millimetre depth) {
    const std::array<std::array<double, 2>, 1> place{{{x, y}}};
    return FastField(std::move(scene)).onPlane(depth, place).front();
}

/// Emitters in a line over one edge, in place of the scene's fixtures.
LightScene stripOver(const LightScene& scene, Side side) {
    auto out = scene;
    out.beams = {*Beam::cosinePower(1.0)};
    const bool ends = side == Side::Left || side == Side::Right;
    const bool far_side = side == Side::Back || side == Side::Right;
    const double along = ends ? scene.width_mm : scene.length_mm;
    const double across = ends ? scene.length_mm : scene.width_mm;
    const double edge = std::min(kEdgeMm, across / 4.0);
    const double away = far_side ? across - edge : edge;
    SceneFixture strip;
    strip.height_mm = scene.fixtures.front().height_mm;
    strip.x_mm = ends ? away : along / 2.0;
    strip.y_mm = ends ? along / 2.0 : away;
    for (int i = 0; i < kStripEmitters; ++i) {
        const double off = along * ((i + 0.5) / kStripEmitters - 0.5);
        SceneEmitter emitter;
        (ends ? emitter.dy_mm : emitter.dx_mm) = off;
        emitter.flux_umol_s = kStripFlux / kStripEmitters;
        strip.emitters.push_back(emitter);
    }
    out.fixtures = {strip};
    return out;
}

/// Share of a scene's light that its rocks let through to a place; nothing in the dark.
std::optional<double> keptOf(const LightScene& scene, double x, double y, Millimetre depth) {
    auto bare = scene;
    bare.obstacles.clear();
    const double all = lightAt(std::move(bare), x, y, depth);
    if (!(all > 0.0)) return std::nullopt;
    return lightAt(scene, x, y, depth) / all;
}

}  // namespace

std::vector<SceneObstacle> rocksIn(const Bench& bench, Id tank) {
    std::vector<SceneObstacle> out;
    for (const auto& rock : bench.rocks)
        if (rock.tank == tank)
            out.push_back(SceneObstacle::box({rock.from_x.value(), rock.from_y.value(), rock.top.value()},
                                             {rock.to_x.value(), rock.to_y.value(), rock.bottom.value()},
                                             rock.transmittance));
    return out;
}

std::vector<SpotShade> shadesIn(const Bench& bench, Id tank, const ExpectedLight& with,
                                const ExpectedLight& without) {
    std::vector<SpotShade> out;
    if (!with || !without) return out;
    std::vector<double> levels;
    for (const auto& spot : bench.spots) {
        if (spot.tank != tank) continue;
        const double open = without(spot.x.value(), spot.y.value(), spot.depth.value());
        if (!(open > 0.0)) continue;
        SpotShade shade{spot.id, with(spot.x.value(), spot.y.value(), spot.depth.value()) / open, {}, false};
        if (const auto* reading = latestAt(spot); reading != nullptr) {
            shade.as_read = reading->mean.value() / open;
            if (shade.by_model > kSeen) levels.push_back(*shade.as_read);
        }
        out.push_back(shade);
    }
    const double level = levels.empty() ? 0.0 : medianOf(levels);
    for (auto& shade : out) {
        if (!shade.as_read) continue;
        if (!(level > 0.0)) {
            shade.as_read.reset();
            continue;
        }
        *shade.as_read /= level;
        shade.more_than_rocks = *shade.as_read < kBeyondRocks * shade.by_model;
    }
    return out;
}

ReachUnder reachUnder(const LightScene& scene, Millimetre x, Millimetre y, Millimetre depth) {
    ReachUnder out;
    if (scene.fixtures.empty()) return out;
    const auto kept = [&](const LightScene& of) { return keptOf(of, x.value(), y.value(), depth); };
    out.hung = kept(scene).value_or(0.0);
    out.front = kept(stripOver(scene, Side::Front));
    out.back = kept(stripOver(scene, Side::Back));
    out.left = kept(stripOver(scene, Side::Left));
    out.right = kept(stripOver(scene, Side::Right));
    auto turned = scene;
    for (auto& fixture : turned.fixtures) fixture.rotation_deg += 90.0;
    const double now = lightAt(scene, x.value(), y.value(), depth);
    if (now > 0.0) out.turned = lightAt(std::move(turned), x.value(), y.value(), depth) / now;
    return out;
}

}  // namespace glumet
