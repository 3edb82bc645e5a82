#include "core/spectrum/generic_spectra.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <optional>
#include <string_view>

#include "core/base/leading_number.h"
#include "core/spectrum/pure_water.h"

namespace glumet {
namespace {

constexpr double kMadeFromNm = 360.0;
constexpr double kMadeToNm = 830.0;
constexpr double kSecondRadiation = 1.4388e7;  // nm·K

/// A spectrum from its power by wavelength.
template <class Power>
Spectrum fromPower(double from, double to, double step, Power power) {
    Spectrum out;
    for (double nm = from; nm <= to + 1e-9; nm += step) {
        out.wavelength_nm.push_back(nm);
        out.values.push_back(std::max(0.0, power(nm)));
    }
    out.values = photonsFromWatts(out.wavelength_nm, out.values);
    return out;
}

double bell(double nm, double peak, double width) {
    constexpr double kFourLn2 = 2.772588722239781;
    return std::exp(-kFourLn2 * std::pow((nm - peak) / width, 2));
}

/// Photons as bells over a floor.
Spectrum bells(const std::vector<LedBin>& bins, double floor) {
    Spectrum out;
    for (double nm = kMadeFromNm; nm <= kMadeToNm; nm += 1.0) {
        double sum = floor;
        for (const auto& bin : bins) sum += bin.share * bell(nm, bin.peak_nm, bin.width_nm) / bin.width_nm;
        out.wavelength_nm.push_back(nm);
        out.values.push_back(sum);
    }
    return out;
}

Spectrum fluorescent(const cie::FluorescentTable& table) {
    return fromPower(cie::kFluorescentFromNm, 780.0, cie::kStepNm, [&](double nm) {
        return table[static_cast<std::size_t>(std::lround((nm - cie::kFluorescentFromNm) / cie::kStepNm))];
    });
}

struct Usual {
    const char* word;
    std::vector<LedBin> bins;
};

/// Longer words first: "deep red" before "red".
const std::vector<Usual>& usual() {
    static const std::vector<Usual> all{{"cool white", {{450, 20, 0.25}, {550, 125, 0.75}}},
                                        {"warm white", {{450, 20, 0.10}, {605, 130, 0.90}}},
                                        {"neutral white", {{450, 20, 0.17}, {575, 130, 0.83}}},
                                        {"white", {{450, 20, 0.2}, {565, 130, 0.8}}},
                                        {"royal", {{450, 20, 1}}},
                                        {"ultraviolet", {{385, 14, 1}}},
                                        {"near-uv", {{390, 14, 1}}},
                                        {"uv", {{385, 14, 1}}},
                                        {"violet", {{420, 16, 1}}},
                                        {"cyan", {{500, 30, 1}}},
                                        {"blue", {{465, 24, 1}}},
                                        {"green", {{525, 34, 1}}},
                                        {"lime", {{555, 100, 1}}},
                                        {"amber", {{595, 18, 1}}},
                                        {"deep red", {{660, 20, 1}}},
                                        {"far red", {{730, 28, 1}}},
                                        {"red", {{630, 18, 1}}}};
    return all;
}

constexpr double kDeepWaterM = 10.0;

/// "450/20 0.4"; nothing for anything else.
std::optional<LedBin> binOf(std::string_view text) {
    const auto peak = leadingNumber(text);
    if (!peak || text.empty() || text.front() != '/') return std::nullopt;
    text.remove_prefix(1);
    const auto width = leadingNumber(text);
    if (!width) return std::nullopt;
    const LedBin bin{*peak, *width, leadingNumber(text).value_or(1.0)};
    const bool possible = bin.peak_nm >= 300.0 && bin.peak_nm <= 900.0 && bin.width_nm >= 5.0 &&
                          bin.width_nm <= 200.0 && bin.share > 0.0 && bin.share <= 1e6;
    if (!possible || text.find_first_not_of(" \t") != std::string_view::npos) return std::nullopt;
    return bin;
}

}  // namespace

double cieAt(const cie::Table& table, double nm) {
    const double place = std::clamp((nm - cie::kFromNm) / cie::kStepNm, 0.0, cie::kSteps - 1.0);
    const auto i = std::min(static_cast<std::size_t>(place), cie::kSteps - 2);
    return table[i] + (place - static_cast<double>(i)) * (table[i + 1] - table[i]);
}

Spectrum blackbody(double kelvin) {
    kelvin = std::clamp(kelvin, 500.0, 1e6);
    const double scale = std::pow(560.0, 5) * std::expm1(kSecondRadiation / (560.0 * kelvin));
    return fromPower(kMadeFromNm, kMadeToNm, 1.0, [&](double nm) {
        return scale / (std::pow(nm, 5) * std::expm1(kSecondRadiation / (nm * kelvin)));
    });
}

Spectrum daylightPhase(double kelvin) {
    const double t = std::clamp(kelvin, 4000.0, 25000.0);
    const double t1 = 1e3 / t;
    const double x = t <= 7000.0 ? 0.244063 + 0.09911 * t1 + 2.9678 * t1 * t1 - 4.6070 * t1 * t1 * t1
                                 : 0.237040 + 0.24748 * t1 + 1.9018 * t1 * t1 - 2.0064 * t1 * t1 * t1;
    const double y = -3.0 * x * x + 2.870 * x - 0.275;
    const double m = 0.0241 + 0.2562 * x - 0.7341 * y;
    const double m1 = (-1.3515 - 1.7703 * x + 5.9114 * y) / m;
    const double m2 = (0.0300 - 31.4424 * x + 30.0717 * y) / m;
    return fromPower(kMadeFromNm, kMadeToNm, cie::kStepNm, [&](double nm) {
        return cieAt(cie::kDaylight[0], nm) + m1 * cieAt(cie::kDaylight[1], nm) +
               m2 * cieAt(cie::kDaylight[2], nm);
    });
}

Spectrum ledSpectrum(const std::vector<LedBin>& bins) { return bells(bins, 0.0); }

std::string binsText(const std::vector<LedBin>& bins) {
    std::string out;
    for (const auto& bin : bins) {
        out += fmt::format("{}{:g}/{:g}", out.empty() ? "" : ", ", bin.peak_nm, bin.width_nm);
        if (bins.size() > 1) out += fmt::format(" {:g}", bin.share);
    }
    return out;
}

Expected<std::vector<LedBin>> parseBins(const std::string& text) {
    std::vector<LedBin> bins;
    for (std::size_t from = 0; from <= text.size();) {
        const auto end = std::min(text.find_first_of(",;", from), text.size());
        const auto part = text.substr(from, end - from);
        from = end + 1;
        if (part.find_first_not_of(" \t") == std::string::npos) continue;
        const auto bin = binOf(part);
        if (!bin)
            return problem("peaks", say(GLUMET_SAY("Core", "\"{}\" is no peak and width in nm, like 450/20"),
                                        part.substr(0, 40)));
        bins.push_back(*bin);
    }
    if (bins.empty() || bins.size() > 20)
        return problem("peaks", say(GLUMET_SAY("Core", "needs one peak to twenty, like 450/20")));
    return bins;
}

std::vector<LedBin> usualBins(const std::string& name) {
    std::string lower;
    for (const char c : name) lower += static_cast<char>(c >= 'A' && c <= 'Z' ? c - 'A' + 'a' : c);
    for (const auto& [word, bins] : usual())
        if (lower.find(word) != std::string::npos) return bins;
    return {};
}

const std::vector<ReferenceSpectrum>& referenceSpectra() {
    static const std::vector<ReferenceSpectrum> all{
        {"daylight-5500", GLUMET_SAY("Core", "daylight, 5500 K"), daylightPhase(5500)},
        {"daylight-6500", GLUMET_SAY("Core", "daylight, 6500 K"), daylightPhase(6500)},
        {"daylight-10000", GLUMET_SAY("Core", "daylight, 10 000 K"), daylightPhase(10000)},
        {"sun-10m", GLUMET_SAY("Core", "noon sun under 10 m of pure water"),
         afterPureWater(daylightPhase(5500), kDeepWaterM)},
        {"filament", GLUMET_SAY("Core", "black body, 2856 K"), blackbody(2856)},
        {"fluorescent", GLUMET_SAY("Core", "generic cool white tube"), fluorescent(cie::kF2)},
        {"three-band", GLUMET_SAY("Core", "generic three-band tube"), fluorescent(cie::kF11)},
        {"actinic", GLUMET_SAY("Core", "generic actinic tube"),
         bells({{420, 32, 1.0}, {436, 4, 0.12}, {546, 4, 0.05}}, 2e-5)},
        {"halide", GLUMET_SAY("Core", "generic halide-like lamp"),
         bells({{405, 5, 0.05},
                {420, 14, 0.1},
                {436, 6, 0.08},
                {455, 22, 0.12},
                {508, 30, 0.06},
                {536, 10, 0.14},
                {547, 6, 0.1},
                {578, 12, 0.12},
                {590, 22, 0.12},
                {670, 30, 0.07}},
               6e-4)}};
    return all;
}

}  // namespace glumet
