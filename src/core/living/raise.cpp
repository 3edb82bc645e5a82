#include "core/living/raise.h"

#include <algorithm>
#include <array>

#include "core/light/fast_field.h"

namespace glumet {
namespace {

constexpr double kStepMm = 20.0;
constexpr double kMostMm = 400.0;

}  // namespace

std::optional<Raise> raiseFor(const LightScene& scene, const TankSpot& spot, Ppfd read, Ppfd most) {
    if (!(read > most) || scene.fixtures.empty()) return std::nullopt;
    FastField field(scene);
    const std::array<Millimetre, 2> depths{spot.depth, Millimetre(scene.water_depth_mm)};
    const std::array<std::array<double, 2>, 2> places{
        {{spot.x.value(), spot.y.value()}, {scene.length_mm / 2.0, scene.width_mm / 2.0}}};
    const auto ask = [&] {
        const auto values = field.onPlanes(depths, places);
        return std::pair{values[0][0], values[1][1]};
    };
    const auto [here, floor] = ask();
    if (!(here > 0.0)) return std::nullopt;
    for (double up = kStepMm; up <= kMostMm; up += kStepMm) {
        auto raised = scene;
        for (auto& fixture : raised.fixtures) fixture.height_mm += up;
        field.setScene(std::move(raised));
        const auto [there, deep] = ask();
        const Ppfd then(read.value() * there / here);
        if (then <= most) return Raise{Millimetre(up), then, floor > 0.0 ? deep / floor : 1.0};
    }
    return std::nullopt;
}

}  // namespace glumet
