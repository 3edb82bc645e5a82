#include "core/spectrum/spectral_sample.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <sstream>

namespace glumet {
namespace {

constexpr double kFrom = 400.0;
constexpr double kTo = 700.0;
constexpr double kMicromolesPerJouleNm = 0.008359347;  // 1e-9 · 1e6 / (h · c · N_A), SI 2019

}  // namespace

Ppfd SpectralSample::ppfd() const {
    const auto photons = [&](std::size_t i) {
        const double nm = first_nm + step_nm * static_cast<double>(i);
        return unit == SpectralUnit::WattPerSquareMetre ? values[i] * nm * kMicromolesPerJouleNm : values[i];
    };
    double sum = 0.0;
    for (std::size_t i = 0; i + 1 < values.size(); ++i) {
        const double left = first_nm + step_nm * static_cast<double>(i);
        const double low = std::max(left, kFrom);
        const double high = std::min(left + step_nm, kTo);
        if (high <= low) continue;
        const auto at = [&](double nm) {
            return photons(i) + (photons(i + 1) - photons(i)) * (nm - left) / step_nm;
        };
        sum += 0.5 * (at(low) + at(high)) * (high - low);
    }
    return Ppfd(sum);
}

std::string SpectralSample::text() const {
    auto out = fmt::format("{:g} {:g} {}", first_nm, step_nm,
                           unit == SpectralUnit::WattPerSquareMetre ? "W" : "umol");
    for (const double value : values) out += fmt::format(" {:g}", value);
    return out;
}

Expected<SpectralSample> parseSpectralSample(const std::string& text) {
    std::istringstream in(text);
    in.imbue(std::locale::classic());
    SpectralSample sample;
    std::string unit;
    if (!(in >> sample.first_nm >> sample.step_nm >> unit) || !(sample.step_nm > 0.0) ||
        (unit != "W" && unit != "umol"))
        return problem(
            "spectrum",
            say(GLUMET_SAY("Core", "needs a first wavelength, a step and W or umol before its values")));
    sample.unit =
        unit == "W" ? SpectralUnit::WattPerSquareMetre : SpectralUnit::MicromolePerSquareMetreSecond;
    for (double value = 0.0; in >> value;) sample.values.push_back(value);
    if (!in.eof() || sample.values.size() < 2)
        return problem("spectrum", say(GLUMET_SAY("Core", "needs two values or more, all numbers")));
    return sample;
}

}  // namespace glumet
