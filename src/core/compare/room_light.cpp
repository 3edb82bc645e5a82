#include "core/compare/room_light.h"

#include <cmath>

#include "core/base/angle.h"
#include "core/light/budget.h"

namespace glumet {
namespace {

/// What one emitter sends to the eye; 0 where something hides it.
double toEye(const LightScene& scene, const SceneFixture& fixture, const SceneEmitter& emitter,
             const ViewerEye& eye) {
    const double turn = fixture.rotation_deg * kDegree;
    const double x = fixture.x_mm + emitter.dx_mm * std::cos(turn) - emitter.dy_mm * std::sin(turn);
    const double y = fixture.y_mm + emitter.dx_mm * std::sin(turn) + emitter.dy_mm * std::cos(turn);
    const double dx = 0.5 * scene.length_mm - x;
    const double dy = -eye.away.value() - y;
    const double down = fixture.height_mm - eye.above.value();
    if (down <= 0.0) return 0.0;  // the eye is above the emitters: they shine away from it
    // Where it crosses the front pane the way is still above the water line.
    if (dy >= 0.0 || fixture.height_mm - down * (y / -dy) < 0.0) return 0.0;
    const double squared = dx * dx + dy * dy + down * down;
    const double cos_theta = down / std::sqrt(squared);
    const double phi = std::atan2(dy, dx) - turn;
    if (fixture.shroud) {
        const double drop = fixture.shroud->drop_mm;
        const double run = drop / down * std::hypot(dx, dy);
        if (std::abs(emitter.dx_mm + run * std::cos(phi)) > 0.5 * fixture.shroud->length_mm ||
            std::abs(emitter.dy_mm + run * std::sin(phi)) > 0.5 * fixture.shroud->width_mm)
            return 0.0;
    }
    double level = fixture.level;
    if (emitter.channel < fixture.channel_levels.size()) level *= fixture.channel_levels[emitter.channel];
    return 1e6 * level * emitter.flux_umol_s * scene.beams[emitter.beam].intensity({cos_theta, phi}) /
           squared;
}

}  // namespace

Expected<RoomLight> roomLight(const LightScene& scene, const ViewerEye& eye) {
    if (auto wrong = wrongWith(scene)) return tl::make_unexpected(std::move(*wrong));
    RoomLight out;
    const auto budget = lightBudget(scene, {});
    if (budget.emitted > 0.0) {
        out.spill_share = budget.spilled / budget.emitted;
        out.shroud_share = budget.shrouded / budget.emitted;
    }
    for (const auto& fixture : scene.fixtures)
        for (const auto& emitter : fixture.emitters) out.at_eye += toEye(scene, fixture, emitter, eye);
    out.emitters_seen = out.at_eye > 0.0;
    return out;
}

}  // namespace glumet
