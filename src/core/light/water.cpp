#include "core/light/water.h"

#include <algorithm>
#include <cmath>

#include "core/spectrum/pure_water.h"

namespace glumet {
namespace {

constexpr double kYellowSlope = 0.014;  // 1/nm
constexpr double kTermNm = 5.0;

}  // namespace

double attenuationAt(const Water& water, double nm) {
    double per_m = water.attenuation_per_m;
    if (water.absorbs) per_m += pureWaterAbsorption(nm);
    return per_m + water.yellow_440_per_m * std::exp(-kYellowSlope * (nm - 440.0));
}

Expected<Attenuation> attenuationOf(const Water& water, const Spectrum* spectrum) {
    if (spectrum == nullptr) return Attenuation::grey(water.attenuation_per_m);
    if (const auto wrong = spectrumFault(*spectrum)) return tl::make_unexpected(*wrong);
    const double from = spectrum->wavelength_nm.front();
    const double to = spectrum->wavelength_nm.back();
    const int steps = std::max(1, static_cast<int>(std::ceil((to - from) / kTermNm)));
    const double step = (to - from) / steps;
    Attenuation out;
    out.terms.clear();
    double total = 0.0;
    for (int i = 0; i < steps; ++i) {
        const double nm = from + (i + 0.5) * step;
        const double weight = valueAt(*spectrum, nm);
        if (weight <= 0.0) continue;
        out.terms.push_back({weight, attenuationAt(water, nm)});
        total += weight;
    }
    if (!(total > 0.0)) return problem("values", say(GLUMET_SAY("Core", "carries no light")));
    for (auto& term : out.terms) term.weight /= total;
    return out;
}

}  // namespace glumet
