#include "core/spectrum/spectral_sample.h"

#include <fmt/format.h>

#include <sstream>

namespace glumet {

Spectrum spectrumOf(const SpectralSample& sample) {
    Spectrum out;
    out.values = sample.values;
    for (std::size_t i = 0; i < sample.values.size(); ++i)
        out.wavelength_nm.push_back(sample.first_nm + sample.step_nm * static_cast<double>(i));
    if (sample.unit == SpectralUnit::WattPerSquareMetre)
        out.values = photonsFromWatts(out.wavelength_nm, out.values);
    return out;
}

Ppfd SpectralSample::ppfd() const { return Ppfd(photonsIn(spectrumOf(*this), kParFromNm, kParToNm)); }

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
