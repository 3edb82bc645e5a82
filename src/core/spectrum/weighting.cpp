#include "core/spectrum/weighting.h"

#include <algorithm>

#include "core/spectrum/generic_spectra.h"

namespace glumet {
namespace {

/// V(λ) is of power; a photon carries 1/λ of it. Scaled to 1 at its highest.
Spectrum eyePerPhoton() {
    Spectrum curve;
    for (double nm = kSeenFromNm; nm <= kSeenToNm; nm += cie::kStepNm) {
        curve.wavelength_nm.push_back(nm);
        curve.values.push_back(cieAt(cie::kMatching[1], nm) / nm);
    }
    const double top = *std::max_element(curve.values.begin(), curve.values.end());
    return scaled(std::move(curve), 1.0 / top);
}

}  // namespace

const std::vector<WeightingCurve>& readyWeightings() {
    static const std::vector<WeightingCurve> ready{
        {"par", GLUMET_SAY("Core", "PAR 400–700"), "definition", {{400, 700}, {1, 1}}},
        {"epar", GLUMET_SAY("Core", "extended PAR 400–750"), "definition", {{400, 750}, {1, 1}}},
        {"eye", GLUMET_SAY("Core", "the eye by day"), "V(λ), CIE 1924, per photon", eyePerPhoton()}};
    return ready;
}

double weighedShare(const Spectrum& spectrum, const WeightingCurve& weighting) {
    const double all = photonsIn(spectrum, kSeenFromNm, kSeenToNm);
    if (!(all > 0.0) || weighting.curve.empty()) return 0.0;
    const auto& nm = weighting.curve.wavelength_nm;
    return weighedIn(spectrum, weighting.curve, std::max(kSeenFromNm, nm.front()),
                     std::min(kSeenToNm, nm.back())) /
           all;
}

}  // namespace glumet
