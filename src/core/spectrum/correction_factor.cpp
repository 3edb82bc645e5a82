#include "core/spectrum/correction_factor.h"

namespace glumet {

Expected<double> correctionFactor(const Spectrum& light, const Spectrum& response) {
    const double all = photonsIn(light, kParFromNm, kParToNm);
    if (!(all > 0.0)) return problem("spectrum", say(GLUMET_SAY("Core", "has no light within 400–700 nm")));
    const double seen = weighedIn(light, response, kParFromNm, kParToNm);
    if (!(seen > 0.0)) return problem("response", say(GLUMET_SAY("Core", "sees nothing of this light")));
    return all / seen;
}

Expected<double> correctionFactor(const Spectrum& light, const Spectrum& response,
                                  const Spectrum& calibrated_under) {
    const auto here = correctionFactor(light, response);
    if (!here) return here;
    const auto there = correctionFactor(calibrated_under, response);
    if (!there) return there;
    return *here / *there;
}

}  // namespace glumet
