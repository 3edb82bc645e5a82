#include "core/spectrum/pure_water.h"

#include <algorithm>
#include <array>
#include <cmath>

namespace glumet {
namespace {

/// Pope & Fry 1997, table 3: 380 nm on, every 10 nm, 1/m.
constexpr std::array kPureWater{.01137, .00851, .00663, .00473, .00454, .00495, .00635, .00922, .00979,
                                .0106,  .0127,  .0150,  .0204,  .0325,  .0409,  .0434,  .0474,  .0565,
                                .0619,  .0695,  .0896,  .1351,  .2224,  .2644,  .2755,  .2916,  .3108,
                                .340,   .410,   .439,   .465,   .516,   .624,   .827,   1.231};
constexpr double kFirstNm = 380.0;
constexpr double kStepNm = 10.0;
constexpr double kFinestNm = 5.0;

}  // namespace

double pureWaterAbsorption(double wavelength_nm) {
    const double place = std::clamp((wavelength_nm - kFirstNm) / kStepNm, 0.0, kPureWater.size() - 1.0);
    const auto i = std::min(static_cast<std::size_t>(place), kPureWater.size() - 2);
    return kPureWater[i] + (place - static_cast<double>(i)) * (kPureWater[i + 1] - kPureWater[i]);
}

Spectrum afterPureWater(const Spectrum& spectrum, double path_m) {
    Spectrum out;
    const auto add = [&](double nm) {
        out.wavelength_nm.push_back(nm);
        out.values.push_back(valueAt(spectrum, nm) * std::exp(-pureWaterAbsorption(nm) * path_m));
    };
    for (std::size_t i = 0; i < spectrum.wavelength_nm.size(); ++i) {
        if (i > 0) {
            const double from = spectrum.wavelength_nm[i - 1];
            const double width = spectrum.wavelength_nm[i] - from;
            const int pieces = static_cast<int>(std::ceil(width / kFinestNm - 1e-9));
            for (int k = 1; k < pieces; ++k) add(from + width * k / pieces);
        }
        add(spectrum.wavelength_nm[i]);
    }
    return out;
}

}  // namespace glumet
