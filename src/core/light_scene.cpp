#include "core/light_scene.h"

#include <cmath>

namespace glumet {

std::vector<Emitter> emittersOf(const Fixture& fixture, PhotonFlux flux, std::size_t beam, Millimetre x,
                                Millimetre y, Millimetre height) {
    const int columns = fixture.emitter_columns;
    const int rows = fixture.emitter_rows;
    std::vector<Emitter> emitters;
    for (int row = 0; row < rows; ++row)
        for (int column = 0; column < columns; ++column)
            emitters.push_back({x.value() + (column - 0.5 * (columns - 1)) * fixture.emitter_pitch_x.value(),
                                y.value() + (row - 0.5 * (rows - 1)) * fixture.emitter_pitch_y.value(),
                                height.value(), flux.value() / (columns * rows), beam});
    return emitters;
}

namespace {

bool entersThroughFootprint(const LightScene& scene, const Emitter& emitter, double dx, double dy, double r,
                            double run) {
    const double share = r > 0.0 ? run / r : 0.0;
    const double x = emitter.x_mm + dx * share;
    const double y = emitter.y_mm + dy * share;
    return x >= 0.0 && x <= scene.length.value() && y >= 0.0 && y <= scene.width.value();
}

}  // namespace

Ppfd stillPpfd(const LightScene& scene, Millimetre x, Millimetre y, Millimetre depth) {
    double sum = 0.0;
    for (const auto& emitter : scene.emitters) {
        const double dx = x.value() - emitter.x_mm;
        const double dy = y.value() - emitter.y_mm;
        const double r = std::hypot(dx, dy);
        const auto ray = crossSurface(emitter.height_mm, depth.value(), r, scene.medium.refractive_index);
        if (!entersThroughFootprint(scene, emitter, dx, dy, r, ray.from_emitter_mm)) continue;
        sum += directPpfd(scene.beams[emitter.beam], emitter.flux_umol_s, emitter.height_mm, depth.value(), r,
                          scene.medium)
                   .value();
    }
    return Ppfd(sum);
}

}  // namespace glumet
