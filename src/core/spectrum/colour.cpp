#include "core/spectrum/colour.h"

#include <algorithm>
#include <cmath>
#include <vector>

#include "core/spectrum/cie_tables.h"
#include "core/spectrum/generic_spectra.h"
#include "core/spectrum/sampled.h"

namespace glumet {
namespace {

/// The colour-matching functions by the nanometre, per photon: straight lines between CIE's steps.
using Weights = std::array<std::array<double, kSampledSteps>, 3>;
const Weights& matchingPerPhoton() {
    static const Weights weights = [] {
        Weights out{};
        for (std::size_t c = 0; c < 3; ++c)
            for (std::size_t i = 0; i < kSampledSteps; ++i)
                out[c][i] = cieAt(cie::kMatching[c], sampledNm(i)) / (sampledNm(i) * kMicromolesPerJouleNm);
        return out;
    }();
    return weights;
}

Tristimulus tristimulusOf(const Sampled& s) {
    const auto& w = matchingPerPhoton();
    std::array<double, 3> sum{};
    for (std::size_t c = 0; c < 3; ++c)
        for (std::size_t i = 0; i < kSampledSteps; ++i) sum[c] += s[i] * w[c][i];
    return {sum[0], sum[1], sum[2]};
}

/// CIE 1960 u, v.
struct Uv {
    double u = 0.0;
    double v = 0.0;
};
Uv uvOf(const Chromaticity& c) { return {c.uPrime(), c.vPrime() * 2.0 / 3.0}; }

// The Planckian locus by mired (10⁶/K).
constexpr int kFirstMired = 10;
constexpr int kLastMired = 1000;
const std::vector<Uv>& locus() {
    static const std::vector<Uv> points = [] {
        std::vector<Uv> out;
        for (int m = kFirstMired; m <= kLastMired; ++m)
            out.push_back(uvOf(chromaticityOf(tristimulusOf(blackbody(1e6 / m)))));
        return out;
    }();
    return points;
}

constexpr double kWarmestDaylight = 5000.0;

/// The reference light of CIE 13.3 for a colour temperature.
Spectrum referenceOf(double kelvin) {
    return kelvin < kWarmestDaylight ? blackbody(kelvin) : daylightPhase(kelvin);
}

/// c and d of the adaptation of CIE 13.3.
double adaptC(const Uv& p) { return (4.0 - p.u - 10.0 * p.v) / p.v; }
double adaptD(const Uv& p) { return (1.708 * p.v + 0.404 - 1.481 * p.u) / p.v; }

/// A test colour under a light: its place in CIE 1964 W*U*V*.
struct Seen {
    Uv uv;
    double lightness = 0.0;
};
Seen seenUnder(const Sampled& light, double white_y, const cie::Table& sample) {
    Sampled reflected = light;
    for (std::size_t i = 0; i < kSampledSteps; ++i) reflected[i] *= cieAt(sample, sampledNm(i));
    const auto t = tristimulusOf(reflected);
    return {uvOf(chromaticityOf(t)), 25.0 * std::cbrt(100.0 * t.y / white_y) - 17.0};
}

}  // namespace

Tristimulus tristimulusOf(const Spectrum& spectrum) { return tristimulusOf(sampled(spectrum)); }

Chromaticity chromaticityOf(const Tristimulus& light) {
    const double sum = light.x + light.y + light.z;
    if (!(sum > 0.0)) return {};
    return {light.x / sum, light.y / sum};
}

double colourDistance(const Chromaticity& a, const Chromaticity& b) {
    return std::hypot(a.uPrime() - b.uPrime(), a.vPrime() - b.vPrime());
}

ColourTemperature temperatureOf(const Chromaticity& colour) {
    const auto at = uvOf(colour);
    const auto& points = locus();
    const auto squared = [&](std::size_t i) {
        return std::pow(points[i].u - at.u, 2) + std::pow(points[i].v - at.v, 2);
    };
    std::size_t nearest = 0;
    double least = squared(0);
    for (std::size_t i = 1; i < points.size(); ++i)
        if (const double d = squared(i); d < least) {
            least = d;
            nearest = i;
        }
    // Near its least the squared distance is a parabola of the place on the locus.
    double shift = 0.0;
    if (nearest > 0 && nearest + 1 < points.size()) {
        const double before = squared(nearest - 1);
        const double after = squared(nearest + 1);
        const double bend = before - 2.0 * least + after;
        if (bend > 0.0) shift = std::clamp(0.5 * (before - after) / bend, -0.5, 0.5);
        least = std::max(0.0, least - 0.25 * (before - after) * shift);
    }
    // Above the locus is left of the way from cool to warm.
    const auto& point = points[nearest];
    const auto& cooler = points[nearest == 0 ? 0 : nearest - 1];
    const auto& warmer = points[std::min(nearest + 1, points.size() - 1)];
    const double side = (warmer.u - cooler.u) * (at.v - point.v) - (warmer.v - cooler.v) * (at.u - point.u);
    const double sign = side >= 0.0 ? 1.0 : -1.0;
    return {1e6 / (kFirstMired + static_cast<double>(nearest) + shift), sign * std::sqrt(least)};
}

std::optional<ColourRendering> renderingOf(const Spectrum& spectrum) {
    const auto test = sampled(spectrum);
    const auto test_white = tristimulusOf(test);
    if (test_white.dark()) return std::nullopt;
    const auto temperature = temperatureOf(chromaticityOf(test_white));
    if (std::abs(temperature.duv) > kNearWhiteDuv) return std::nullopt;
    const auto reference = sampled(referenceOf(temperature.kelvin));
    const auto reference_white = tristimulusOf(reference);
    const auto k = uvOf(chromaticityOf(test_white));
    const auto r = uvOf(chromaticityOf(reference_white));
    ColourRendering out;
    for (std::size_t i = 0; i < ColourRendering::kColours; ++i) {
        const auto a = seenUnder(test, test_white.y, cie::kSamples[i]);
        const auto b = seenUnder(reference, reference_white.y, cie::kSamples[i]);
        const double c = adaptC(r) / adaptC(k) * adaptC(a.uv);
        const double d = adaptD(r) / adaptD(k) * adaptD(a.uv);
        const double below = 16.518 + 1.481 * c - d;
        const Uv adapted{(10.872 + 0.404 * c - 4.0 * d) / below, 5.520 / below};
        const double du = 13.0 * (b.lightness * (b.uv.u - r.u) - a.lightness * (adapted.u - r.u));
        const double dv = 13.0 * (b.lightness * (b.uv.v - r.v) - a.lightness * (adapted.v - r.v));
        const double dw = b.lightness - a.lightness;
        out.special[i] = 100.0 - 4.6 * std::sqrt(du * du + dv * dv + dw * dw);
        if (i < 8) out.general += out.special[i] / 8.0;
    }
    return out;
}

Swatch swatchOf(const Chromaticity& c) {
    const double y = std::max(c.y, 1e-6);
    const double big_x = c.x / y;
    const double big_z = (1.0 - c.x - c.y) / y;
    // IEC 61966-2-1.
    std::array<double, 3> rgb{3.2406 * big_x - 1.5372 - 0.4986 * big_z,
                              -0.9689 * big_x + 1.8758 + 0.0415 * big_z,
                              0.0557 * big_x - 0.2040 + 1.0570 * big_z};
    constexpr double kJustOutside = -0.005;
    const double highest = std::max({rgb[0], rgb[1], rgb[2]});
    const double lowest = std::min({rgb[0], rgb[1], rgb[2]});
    Swatch swatch;
    swatch.in_gamut = lowest >= kJustOutside * highest;
    if (lowest < 0.0)  // towards white until the screen can show it
        for (double& value : rgb) value -= lowest;
    const double top = std::max({rgb[0], rgb[1], rgb[2]});
    const auto shown = [&](double linear) {
        const double v = std::clamp(linear / top, 0.0, 1.0);
        const double s = v <= 0.0031308 ? 12.92 * v : 1.055 * std::pow(v, 1.0 / 2.4) - 0.055;
        return static_cast<std::uint8_t>(std::lround(255.0 * s));
    };
    swatch.red = shown(rgb[0]);
    swatch.green = shown(rgb[1]);
    swatch.blue = shown(rgb[2]);
    return swatch;
}

}  // namespace glumet
