#pragma once

#include <cmath>

#include "core/base/beam.h"
#include "core/light/water.h"

namespace glumet {

/// Unpolarised Fresnel transmittance from air into a medium of index n at the cosine of the air angle.
/// 0–1; 1 at n = 1. Source: Fresnel's equations.
template <class T>
T surfaceTransmittance(const T& cos_air, double n) {
    using std::sqrt;
    if (n == 1.0) return T(1.0);
    const T cos_water = sqrt(1.0 - (1.0 - cos_air * cos_air) / (n * n));
    const T s = (cos_air - n * cos_water) / (cos_air + n * cos_water);
    const T p = (n * cos_air - cos_water) / (n * cos_air + cos_water);
    return 1.0 - 0.5 * (s * s + p * p);
}

/// A ray from an emitter through the flat surface to a receiver, by quantities that are smooth and even in
/// the horizontal distance r, so that nothing is divided by it.
template <class T>
struct Crossing {
    T tan_per_mm;   ///< tan θ / r, θ the air angle, 1/mm
    T cos_air;      ///< cos θ
    T sine_per_mm;  ///< sin θw / r, θw the water angle, 1/mm
    T cos_water;    ///< cos θw
    T air_share;    ///< share of r that is run before the surface, h tan θ / r
};

/// tan θ / r for h > 0, d ≥ 0 in mm, squared horizontal distance s ≥ 0 in mm², index n ≥ 1. Solves
///   g (h + d / √(n² + (n² − 1) g² s)) = 1,   g = tan θ / r,
/// which is r = h tan θ + d tan θw with sin θ = n sin θw. The left side is rising and concave in g, and the
/// start 1/(h + d/n), exact on the axis, lies below the root: Newton's method ascends to it. So does it from
/// the root of any smaller s: `from` may be that.
double tangentPerMm(double h_mm, double d_mm, double s_mm2, double n, double from = 0.0);

/// The whole crossing. T is double, or a type with derivatives for `h_mm` and `s_mm2`.
template <class T>
Crossing<T> crossSurface(const T& h_mm, double d_mm, const T& s_mm2, double n, double solved_tan_per_mm) {
    using std::sqrt;
    const double extra = n * n - 1.0;
    // One more Newton step from the solved number: nothing changes for a double, and a type with
    // derivatives receives those of the implicit function.
    const double g0 = solved_tan_per_mm;
    const T root0 = sqrt(n * n + extra * g0 * g0 * s_mm2);
    const T miss = g0 * (h_mm + d_mm / root0) - 1.0;
    const T slope = h_mm + d_mm * n * n / (root0 * root0 * root0);
    Crossing<T> out;
    out.tan_per_mm = g0 - miss / slope;
    out.cos_air = 1.0 / sqrt(1.0 + out.tan_per_mm * out.tan_per_mm * s_mm2);
    out.sine_per_mm = out.tan_per_mm * out.cos_air / n;
    out.cos_water = sqrt(1.0 - out.sine_per_mm * out.sine_per_mm * s_mm2);
    out.air_share = h_mm * out.tan_per_mm;
    return out;
}

inline Crossing<double> crossSurface(double h_mm, double d_mm, double s_mm2, double n) {
    return crossSurface<double>(h_mm, d_mm, s_mm2, n, tangentPerMm(h_mm, d_mm, s_mm2, n));
}

/// Everything of the direct PPFD but the beam and the water's colour: sin θ · T / (r r′), 1/m², with
///   r′ = h/cos²θ + d cos θ/(n cos³θw).
/// The quotient is the flux-tube Jacobian: it already holds the receiver's cosine and the n² of the
/// interface; apply neither again.
template <class T>
T spreading(const Crossing<T>& ray, const T& h_mm, double d_mm, double n) {
    const T slope_mm = h_mm / (ray.cos_air * ray.cos_air) +
                       d_mm * ray.cos_air / (n * ray.cos_water * ray.cos_water * ray.cos_water);
    return 1e6 * ray.tan_per_mm * ray.cos_air / slope_mm * surfaceTransmittance(ray.cos_air, n);
}

/// PPFD (µmol·m⁻²·s⁻¹) on a horizontal cosine-correct receiver from a point emitter of `flux_umol_s`
/// at height h over a flat surface; depth d, horizontal distance r, all mm, h > 0, d ≥ 0, r ≥ 0; n ≥ 1.
///   E(r) = Φ I(θ) T(θ) sin θ / (r r′) · transmittance(d / cos θw)
/// and its limit at r = 0: Φ I(0) T(0)/(h + d/n)². Source: geometrical optics, Snell, Fresnel.
Ppfd directPpfd(const Beam& beam, double flux_umol_s, double h_mm, double d_mm, double r_mm, double n,
                const Attenuation& attenuation);

/// Share of the light inside the water that a wall sends back, 0–1, unpolarised: water | pane | air with the
/// bounces inside the pane summed without interference, per polarisation, then averaged. Total beyond the
/// critical angle of water against air whatever the pane.
/// cos_incidence: cosine of the angle to the wall's normal in the water, 0–1; n_water, n_pane ≥ 1.
template <class T>
T paneReflectance(const T& cos_incidence, double n_water, double n_pane) {
    using std::sqrt;
    const T sine2 = (1.0 - cos_incidence * cos_incidence) * (n_water * n_water);
    if (sine2 >= 1.0) return T(1.0);
    const T cos_pane = sqrt(1.0 - sine2 / (n_pane * n_pane));
    const T cos_outside = sqrt(1.0 - sine2);
    const auto both = [](const T& inner, const T& outer) {
        const T a = inner * inner;
        const T b = outer * outer;
        return (a + b - 2.0 * a * b) / (1.0 - a * b);
    };
    const auto ratio = [](const T& x, const T& y) { return (x - y) / (x + y); };
    const T s =
        both(ratio(n_water * cos_incidence, n_pane * cos_pane), ratio(n_pane * cos_pane, T(cos_outside)));
    const T p =
        both(ratio(n_pane * cos_incidence, n_water * cos_pane), ratio(T(cos_pane), n_pane * cos_outside));
    return 0.5 * (s + p);
}

}  // namespace glumet
