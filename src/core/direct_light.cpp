#include "core/direct_light.h"

#include <cmath>

namespace glumet {
namespace {

constexpr double kMetrePerMm = 1e-3;
/// Newton stops when r is met to this, mm: far below any placing error, far above rounding.
constexpr double kRadiusToleranceMm = 1e-9;

}  // namespace

double surfaceTransmittance(double cos_air, double n) {
    const double sin2_water = (1.0 - cos_air * cos_air) / (n * n);
    const double cos_water = std::sqrt(1.0 - sin2_water);
    const double s = (cos_air - n * cos_water) / (cos_air + n * cos_water);
    const double p = (n * cos_air - cos_water) / (n * cos_air + cos_water);
    return 1.0 - 0.5 * (s * s + p * p);
}

SurfaceCrossing crossSurface(double h_mm, double d_mm, double r_mm, double n) {
    const double extra = n * n - 1.0;
    double q = 0.0;
    for (int i = 0; i < 100; ++i) {
        const double root = std::sqrt(n * n + extra * q * q);
        const double miss = h_mm * q + d_mm * q / root - r_mm;
        if (std::abs(miss) < kRadiusToleranceMm) break;
        q -= miss / (h_mm + d_mm * n * n / (root * root * root));
    }
    SurfaceCrossing out;
    out.tan_air = q;
    out.cos_air = 1.0 / std::sqrt(1.0 + q * q);
    const double sin_water = q * out.cos_air / n;
    out.cos_water = std::sqrt(1.0 - sin_water * sin_water);
    out.from_emitter_mm = h_mm * q;
    return out;
}

Ppfd directPpfd(const Beam& beam, double flux_umol_s, double h_mm, double d_mm, double r_mm,
                const Medium& medium) {
    const double n = medium.refractive_index;
    const auto ray = crossSurface(h_mm, d_mm, r_mm, n);
    const double h = h_mm * kMetrePerMm;
    const double d = d_mm * kMetrePerMm;
    const double cos3_water = ray.cos_water * ray.cos_water * ray.cos_water;
    const double r_prime = h / (ray.cos_air * ray.cos_air) + d * ray.cos_air / (n * cos3_water);
    // sin θ / r without the division by r: r = tan θ (h + d cos θ/(n cos θw)).
    const double sine_over_r = ray.cos_air / (h + d * ray.cos_air / (n * ray.cos_water));
    const double absorbed = std::exp(-medium.attenuation_per_m * d / ray.cos_water);
    return Ppfd(flux_umol_s * beam.intensity(ray.cos_air) * surfaceTransmittance(ray.cos_air, n) *
                sine_over_r / r_prime * absorbed);
}

}  // namespace glumet
