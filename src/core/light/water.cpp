#include "core/light/water.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <optional>

namespace glumet {
namespace {

/// Pope & Fry 1997, table 3: 380 nm on, every 10 nm, 1/m.
constexpr std::array kPureWater{.01137, .00851, .00663, .00473, .00454, .00495, .00635, .00922, .00979,
                                .0106,  .0127,  .0150,  .0204,  .0325,  .0409,  .0434,  .0474,  .0565,
                                .0619,  .0695,  .0896,  .1351,  .2224,  .2644,  .2755,  .2916,  .3108,
                                .340,   .410,   .439,   .465,   .516,   .624,   .827,   1.231};
constexpr double kFirstNm = 380.0;
constexpr double kStepNm = 10.0;
constexpr double kYellowSlope = 0.014;  // 1/nm
constexpr double kTermNm = 5.0;

std::optional<Problem> wrongSpectrum(const Spectrum& s) {
    if (s.wavelength_nm.size() < 2 || s.wavelength_nm.size() != s.relative.size())
        return Problem{
            "wavelength_nm",
            say(GLUMET_SAY("Core", "needs two wavelengths or more and as many values of relative"))};
    for (std::size_t i = 0; i < s.wavelength_nm.size(); ++i) {
        const double nm = s.wavelength_nm[i];
        if (!(nm >= 200.0 && nm <= 1200.0) || (i > 0 && nm <= s.wavelength_nm[i - 1]))
            return Problem{"wavelength_nm", say(GLUMET_SAY("Core", "must ascend within 200…1200"))};
        if (!(s.relative[i] >= 0.0) || !std::isfinite(s.relative[i]))
            return Problem{"relative", say(GLUMET_SAY("Core", "must be 0 or more at every wavelength"))};
    }
    return std::nullopt;
}

double valueAt(const Spectrum& s, double nm) {
    const auto next = std::upper_bound(s.wavelength_nm.begin(), s.wavelength_nm.end() - 1, nm);
    const auto i = std::max<std::ptrdiff_t>(next - s.wavelength_nm.begin(), 1);
    const auto k = static_cast<std::size_t>(i);
    const double share = (nm - s.wavelength_nm[k - 1]) / (s.wavelength_nm[k] - s.wavelength_nm[k - 1]);
    return s.relative[k - 1] + share * (s.relative[k] - s.relative[k - 1]);
}

}  // namespace

double pureWaterAbsorption(double wavelength_nm) {
    const double place = std::clamp((wavelength_nm - kFirstNm) / kStepNm, 0.0, kPureWater.size() - 1.0);
    const auto i = std::min(static_cast<std::size_t>(place), kPureWater.size() - 2);
    return kPureWater[i] + (place - static_cast<double>(i)) * (kPureWater[i + 1] - kPureWater[i]);
}

Expected<Attenuation> attenuationOf(const Water& water, const Spectrum* spectrum) {
    if (spectrum == nullptr) return Attenuation::grey(water.attenuation_per_m);
    if (const auto wrong = wrongSpectrum(*spectrum)) return tl::make_unexpected(*wrong);
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
        double per_m = water.attenuation_per_m;
        if (water.absorbs) per_m += pureWaterAbsorption(nm);
        per_m += water.yellow_440_per_m * std::exp(-kYellowSlope * (nm - 440.0));
        out.terms.push_back({weight, per_m});
        total += weight;
    }
    if (!(total > 0.0)) return problem("relative", say(GLUMET_SAY("Core", "carries no light")));
    for (auto& term : out.terms) term.weight /= total;
    return out;
}

}  // namespace glumet
