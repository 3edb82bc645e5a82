#pragma once

#include "core/beam.h"

namespace glumet {

/// Water (or air) between the surface and the receiver.
struct Medium {
    double refractive_index = 1.333;  ///< ≥ 1; 1 is a dry tank
    double attenuation_per_m = 0.0;   ///< K ≥ 0, along the path
};

/// Unpolarised Fresnel transmittance from air into a medium of index n at the air angle's cosine.
/// 0–1; 1 at n = 1.
double surfaceTransmittance(double cos_air, double n);

/// Where the ray meets the flat surface, and how it goes on.
struct SurfaceCrossing {
    double tan_air = 0.0;
    double cos_air = 1.0;
    double cos_water = 1.0;
    double from_emitter_mm = 0.0;  ///< horizontal run in air, h·tan θ
};

/// Solves r = h tan θ + d tan θw, sin θ = n sin θw, for the air angle. With q = tan θ the right side
/// h q + d q/√(n² + (n²−1) q²) is rising and concave, so Newton's method from 0 converges.
/// h > 0, d ≥ 0, r ≥ 0, all mm; n ≥ 1.
SurfaceCrossing crossSurface(double h_mm, double d_mm, double r_mm, double n);

/// PPFD (µmol·m⁻²·s⁻¹) on a horizontal cosine-correct receiver from a point emitter of `flux_umol_s`
/// at height h over a flat surface; depth d, horizontal distance r, all mm, h > 0, d ≥ 0, r ≥ 0.
///   E(r) = Φ I(θ) T(θ) sin θ / (r r′) exp(−K d / cos θw),  r′ = h/cos²θ + d cos θ/(n cos³θw)
/// and its limit at r = 0: Φ I(0) T(0)/(h + d/n)². The quotient is the flux-tube Jacobian: it already
/// holds the receiver's cosine and the n² of the interface. Source: geometrical optics, Snell, Fresnel.
Ppfd directPpfd(const Beam& beam, double flux_umol_s, double h_mm, double d_mm, double r_mm,
                const Medium& medium);

}  // namespace glumet
