#pragma once

#include <cstdint>
#include <vector>

#include "core/base/beam.h"
#include "core/light/water.h"

namespace glumet {

/// What a radial table holds for: one beam at one height over one depth, in one water.
struct RadialKey {
    double height_mm = 0.0;
    double depth_mm = 0.0;
    double refractive_index = 1.333;
    std::size_t beam = 0;
    std::size_t channel = 0;
    auto operator<=>(const RadialKey&) const = default;
};

/// E(r) and tan θ / r of one emitter of unit flux as functions of s = r², by cubics.
///
/// Cells are equally wide on a logarithmic scale that a float carries in its own bits: with z = 1 + s/s₀,
/// cell = bits(z) >> (23 − B) minus that of z = 1, so a cell is found without a search and covers the same
/// share of z, 2⁻ᴮ. Light falls with a power of distance, so equal shares need equally many cells. A cell in
/// which the beam has a kink or ends carries two cubics and the s at which they part: nothing is smeared.
///
/// A beam by planes has as many cubics a piece, side by side: the azimuth is kept along a ray, so between two
/// planes light is as linear in it as the beam is (AzimuthFold tells which two).
///
/// B and s₀ are raised until the tabulated value is within `error_asked` of the exact one wherever that is
/// more than kFloor of the greatest so far; `error_met` is the worst found at the test points, two in every
/// piece.
struct RadialTable {
    /// Relative errors are only asked of values above this share of the greatest.
    static constexpr double kFloor = 1e-5;

    float inverse_s0 = 0.0F;  ///< 1/mm²
    int shift = 0;            ///< 23 − B
    std::int32_t cells = 0;
    std::int32_t planes = 1;
    bool has_splits = false;
    std::vector<float> splits;  ///< s of the kink in a cell, mm²; +∞ without one; size cells
    /// 4 coefficients a plane, all planes of a piece side by side, two pieces a cell with has_splits, else
    /// one; 1/m².
    std::vector<float> light;
    std::vector<float> tangent;  ///< 4 coefficients a cell; 1/mm
    double error_asked = 0.0;
    double error_met = 0.0;
    int evaluations = 0;  ///< rays followed for it

    /// Light of unit flux along a plane at a squared distance, 1/m²; 0 beyond the table.
    float lightAt(float s_mm2, std::int32_t plane = 0) const;
    /// tan θ / r at a squared distance, 1/mm.
    float tangentAt(float s_mm2) const;
    std::size_t bytes() const;
};

/// Tabulates up to a squared distance of `farthest_mm2` > 0. h > 0, d ≥ 0 mm.
RadialTable tabulate(const Beam& beam, const Attenuation& attenuation, const RadialKey& key,
                     double farthest_mm2, double relative_error);

}  // namespace glumet
