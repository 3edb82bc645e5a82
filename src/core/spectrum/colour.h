#pragma once

#include <array>
#include <cstdint>
#include <optional>

#include "core/base/spectrum.h"

namespace glumet {

/// CIE 1931 tristimulus values of a 2° observer, without a scale of their own; they add as light adds.
struct Tristimulus {
    double x = 0.0;
    double y = 0.0;
    double z = 0.0;

    Tristimulus operator+(const Tristimulus& o) const { return {x + o.x, y + o.y, z + o.z}; }
    Tristimulus operator*(double f) const { return {x * f, y * f, z * f}; }
    bool dark() const { return !(x + y + z > 0.0); }
};

/// ∫ power · (x̄, ȳ, z̄) dλ over 360–830 nm, the sum over steps of 1 nm.
Tristimulus tristimulusOf(const Spectrum& spectrum);

/// CIE 1931 x, y.
struct Chromaticity {
    double x = 1.0 / 3.0;
    double y = 1.0 / 3.0;

    /// CIE 1976 u' = 4x / (−2x + 12y + 3), v' = 9y / (−2x + 12y + 3).
    double uPrime() const { return 4.0 * x / (-2.0 * x + 12.0 * y + 3.0); }
    double vPrime() const { return 9.0 * y / (-2.0 * x + 12.0 * y + 3.0); }
};
/// Equal energy for no light.
Chromaticity chromaticityOf(const Tristimulus& light);
inline Chromaticity chromaticityOf(const Spectrum& spectrum) {
    return chromaticityOf(tristimulusOf(spectrum));
}

/// Distance in CIE 1976 u', v'.
double colourDistance(const Chromaticity& a, const Chromaticity& b);
/// About the least distance at which two lights beside each other are seen to differ.
inline constexpr double kColourShows = 0.004;

/// Correlated colour temperature by the nearest Planckian radiator in CIE 1960 u, v, 1000–100 000 K.
struct ColourTemperature {
    double kelvin = 0.0;
    double duv = 0.0;  ///< distance from the Planckian locus in CIE 1960 u, v; + above it, − below

    /// CIE 15: the temperature says nothing of a colour farther from the locus than 0.05.
    bool meaningful() const { return duv < kFarthest && duv > -kFarthest; }
    static constexpr double kFarthest = 0.05;
};
ColourTemperature temperatureOf(const Chromaticity& colour);

/// Colour rendering by CIE 13.3: the general index of the first eight test colours and every special one.
struct ColourRendering {
    static constexpr std::size_t kColours = 14;
    double general = 0.0;
    std::array<double, kColours> special{};  ///< R1 … R14
};
/// Nothing for a light whose colour is farther than 0.0054 from the Planckian locus (CIE 1960 u, v), the
/// tolerance of CIE 13.3: it is no white, and the index says nothing of it.
std::optional<ColourRendering> renderingOf(const Spectrum& spectrum);
inline constexpr double kNearWhiteDuv = 0.0054;

/// A colour on an sRGB screen, as bright as the screen can show it.
struct Swatch {
    std::uint8_t red = 255;
    std::uint8_t green = 255;
    std::uint8_t blue = 255;
    bool in_gamut = true;  ///< false: the screen cannot show it; what is shown is less saturated
};
Swatch swatchOf(const Chromaticity& colour);

}  // namespace glumet
