#include "core/light/surface.h"

#include <algorithm>

namespace glumet {
namespace {

/// Newton stops when the distance is met to this share: far below any placing error, far above rounding.
constexpr double kRelativeMiss = 1e-13;
constexpr int kMostSteps = 60;

}  // namespace

double tangentPerMm(double h_mm, double d_mm, double s_mm2, double n, double from) {
    const double extra = n * n - 1.0;
    double g = std::max(from, 1.0 / (h_mm + d_mm / n));
    for (int i = 0; i < kMostSteps; ++i) {
        const double root = std::sqrt(n * n + extra * g * g * s_mm2);
        const double miss = g * (h_mm + d_mm / root) - 1.0;
        if (std::abs(miss) < kRelativeMiss) break;
        g -= miss / (h_mm + d_mm * n * n / (root * root * root));
    }
    return g;
}

Ppfd directPpfd(const Beam& beam, double flux_umol_s, double h_mm, double d_mm, double r_mm, double n,
                const Attenuation& attenuation) {
    const auto ray = crossSurface(h_mm, d_mm, r_mm * r_mm, n);
    return Ppfd(flux_umol_s * beam.intensity(ray.cos_air) * spreading(ray, h_mm, d_mm, n) *
                attenuation.transmittance(d_mm * 1e-3 / ray.cos_water));
}

}  // namespace glumet
