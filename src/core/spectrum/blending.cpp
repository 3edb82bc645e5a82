#include "core/spectrum/blending.h"

#include <algorithm>
#include <cmath>
#include <numbers>

#include "core/spectrum/bands.h"
#include "core/spectrum/colour.h"
#include "core/spectrum/sampled.h"

namespace glumet {
namespace {

constexpr std::size_t kLeast = 3;

double angleBetween(const Sampled& a, const Sampled& b) {
    double ab = 0.0;
    double aa = 0.0;
    double bb = 0.0;
    for (auto i = sampledStep(kParFromNm); i <= sampledStep(kParToNm); ++i) {
        ab += a[i] * b[i];
        aa += a[i] * a[i];
        bb += b[i] * b[i];
    }
    if (!(aa > 0.0 && bb > 0.0)) return 0.0;
    return std::acos(std::clamp(ab / std::sqrt(aa * bb), 0.0, 1.0)) * 180.0 / std::numbers::pi;
}

/// Student's t at 97.5 % by degrees of freedom; 1.96 beyond the table.
double studentT(std::size_t freedom) {
    static constexpr double kTable[] = {12.71, 4.30, 3.18, 2.78, 2.57, 2.45, 2.36, 2.31, 2.26, 2.23};
    if (freedom == 0) return 0.0;
    if (freedom <= std::size(kTable)) return kTable[freedom - 1];
    return 1.96 + 2.7 / static_cast<double>(freedom);
}

FigureSpan meanWithSpan(const std::vector<double>& values) {
    FigureSpan out;
    if (values.empty()) return out;
    const auto n = static_cast<double>(values.size());
    for (const double value : values) out.value += value / n;
    double squares = 0.0;
    for (const double value : values) squares += std::pow(value - out.value, 2);
    // The jackknife of a mean is its standard error.
    const double error = values.size() > 1 ? std::sqrt(squares / (n * (n - 1.0))) : 0.0;
    const double reach = studentT(values.size() - 1) * error;
    out.low = std::max(0.0, out.value - reach);
    out.high = out.value + reach;
    return out;
}

std::vector<Spectrum> toOnePar(const std::vector<Spectrum>& spectra) {
    std::vector<Spectrum> out;
    for (const auto& spectrum : spectra) {
        const double par = parOf(spectrum);
        if (!(par > 0.0)) return {};
        out.push_back(scaled(spectrum, 1.0 / par));
    }
    return out;
}

Blending compare(const std::vector<Spectrum>& spectra, std::size_t centre,
                 const std::vector<SpectralBand>& bands) {
    Blending out;
    const auto alike = toOnePar(spectra);
    if (alike.size() < kLeast || centre >= alike.size()) return out;
    std::vector<Sampled> by_nm;
    Sampled mean{};
    for (const auto& spectrum : alike) {
        by_nm.push_back(sampled(spectrum));
        for (std::size_t i = 0; i < kSampledSteps; ++i)
            mean[i] += by_nm.back()[i] / static_cast<double>(alike.size());
    }
    const auto mean_colour = chromaticityOf(spectrumOf(mean));
    const auto centre_colour = chromaticityOf(alike[centre]);
    for (std::size_t k = 0; k < alike.size(); ++k) {
        const auto colour = chromaticityOf(alike[k]);
        out.colour_from_centre.push_back(colourDistance(colour, centre_colour));
        out.colour_from_mean.push_back(colourDistance(colour, mean_colour));
        out.angle_from_centre.push_back(angleBetween(by_nm[k], by_nm[centre]));
        out.angle_from_mean.push_back(angleBetween(by_nm[k], mean));
        out.band_shares.push_back(bandShares(alike[k], bands));
    }
    return out;
}

}  // namespace

double spectralAngle(const Spectrum& a, const Spectrum& b) { return angleBetween(sampled(a), sampled(b)); }

Blending blendingOf(const std::vector<Spectrum>& spectra, std::size_t centre,
                    const std::vector<SpectralBand>& bands) {
    auto out = compare(spectra, centre, bands);
    auto others = out.colour_from_centre;
    if (centre < others.size()) others.erase(others.begin() + static_cast<std::ptrdiff_t>(centre));
    out.figure = meanWithSpan(others);
    return out;
}

Blending blendingOverTime(const std::vector<Spectrum>& moments, const std::vector<SpectralBand>& bands) {
    auto out = compare(moments, 0, bands);
    out.figure = meanWithSpan(out.colour_from_mean);
    return out;
}

}  // namespace glumet
