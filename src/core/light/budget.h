#pragma once

#include <array>
#include <span>
#include <vector>

#include "core/light/scene.h"

namespace glumet {

/// Where the photons of a scene go, all µmol/s. Every part is summed by itself, none is the rest of the
/// others:
///   emitted = shrouded + spilled + reflected + absorbed + obstructed + Σ walls + delivered at the bottom, to
/// `residual`.
struct LightBudget {
    double emitted = 0.0;           ///< Σ flux × level
    double shrouded = 0.0;          ///< kept back by fixtures' shrouds
    double obstructed = 0.0;        ///< kept back by what is in the way, above the water and in it
    double spilled = 0.0;           ///< meets the surface plane outside the footprint, or runs along it
    double reflected = 0.0;         ///< at the water's surface
    double absorbed = 0.0;          ///< by the water on the way to the bottom
    std::array<double, 4> walls{};  ///< lost through or in each wall, in the order of kSides
    double bottom = 0.0;            ///< arrives at the bottom
    struct PlaneShare {
        Millimetre depth{0};
        double delivered = 0.0;  ///< crosses this depth on its way down
    };
    std::vector<PlaneShare> planes;

    double accounted() const;
    /// (emitted − accounted)/emitted; 0 for a dark scene.
    double residual() const;
};

/// Follows rays of every source. Around each source the surface is integrated in rings: whole rings for what
/// the direction alone decides (reflection), the arcs inside and outside the footprint for the rest, by
/// Gauss-Legendre in the angle between the places where the integrand breaks. On the way down a ray meets the
/// walls at fixed angles; each meeting takes 1 − R of what is left, each stretch its share of absorption, and
/// each obstacle 1 − its transmittance, once. Where a beam is not round or things are in the way the pieces
/// are finer, and rays fall on either side of a shadow's edge: the parts are then right to about 1 %.
/// The scene must pass wrongWith; depths within the water. Closes to 0.1 % for any scene of usual
/// proportions.
LightBudget lightBudget(const LightScene& scene, std::span<const Millimetre> depths);

}  // namespace glumet
