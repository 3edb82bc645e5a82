#pragma once

#include <vector>

#include "core/beam.h"
#include "core/bench.h"
#include "core/direct_light.h"

namespace glumet {

/// One point emitter over the water: position in tank coordinates (mm), height over the surface > 0.
struct Emitter {
    double x_mm = 0.0;
    double y_mm = 0.0;
    double height_mm = 0.0;
    double flux_umol_s = 0.0;
    std::size_t beam = 0;  ///< index into LightScene::beams
};

/// What shines into a tank. Walls absorb: light that reaches them is lost, and rays that meet the surface
/// plane outside the footprint never arrive.
struct LightScene {
    Millimetre length{600};
    Millimetre width{600};
    Medium medium;
    std::vector<Beam> beams;
    std::vector<Emitter> emitters;
};

/// Spreads `flux` evenly over the fixture's lattice, centred at (x, y), hung at `height` over the surface.
std::vector<Emitter> emittersOf(const Fixture& fixture, PhotonFlux flux, std::size_t beam, Millimetre x,
                                Millimetre y, Millimetre height);

/// PPFD of still water at a place of the tank: the sum of directPpfd over all emitters whose ray enters
/// through the footprint. 0 ≤ x ≤ length, 0 ≤ y ≤ width, depth ≥ 0.
Ppfd stillPpfd(const LightScene& scene, Millimetre x, Millimetre y, Millimetre depth);

}  // namespace glumet
