#include "core/spectrum/scan.h"

#include <algorithm>
#include <cmath>

#include "core/spectrum/bands.h"

namespace glumet {
namespace {

constexpr int kFlatTop = 3;

double relativeSd(const std::vector<Spectrum>& scans) {
    double mean = 0.0;
    std::vector<double> pars;
    for (const auto& scan : scans) {
        pars.push_back(parOf(scan));
        mean += pars.back() / static_cast<double>(scans.size());
    }
    if (scans.size() < 2 || !(mean > 0.0)) return 0.0;
    double squares = 0.0;
    for (const double par : pars) squares += (par - mean) * (par - mean);
    return std::sqrt(squares / static_cast<double>(scans.size() - 1)) / mean;
}

}  // namespace

namespace {

/// Whether the greatest of these stands so often on end, but for the digits that an instrument sends.
bool flatAtItsTop(const std::vector<double>& values) {
    constexpr double kDigits = 1e-5;
    const double top = *std::max_element(values.begin(), values.end());
    int flat = 0;
    for (const double value : values) {
        flat = value >= top * (1.0 - kDigits) ? flat + 1 : 0;
        if (flat >= kFlatTop && top > 0.0) return true;
    }
    return false;
}

}  // namespace

bool isSaturated(const Spectrum& scan) {
    if (scan.values.size() <= 2 * kFlatTop) return false;
    // An instrument that sends watts is cut off in watts, which is no level line in photons.
    auto watts = scan.values;
    for (std::size_t i = 0; i < watts.size(); ++i) watts[i] /= scan.wavelength_nm[i];
    return flatAtItsTop(scan.values) || flatAtItsTop(watts);
}

Expected<ScanAverage> averageOf(const std::vector<Spectrum>& scans, const Spectrum& dark) {
    if (scans.empty()) return problem("scans", say(GLUMET_SAY("Core", "there is no scan yet")));
    const auto& nm = scans.front().wavelength_nm;
    for (const auto& scan : scans)
        if (scan.wavelength_nm != nm)
            return problem("scans", say(GLUMET_SAY("Core", "the instrument has changed its wavelengths")));
    if (!dark.empty() && dark.wavelength_nm != nm)
        return problem("dark", say(GLUMET_SAY("Core", "the dark scan has other wavelengths: take it again")));
    ScanAverage out;
    out.scans = static_cast<int>(scans.size());
    out.sd_share = relativeSd(scans);
    out.saturated = std::any_of(scans.begin(), scans.end(), isSaturated);
    out.spectrum.wavelength_nm = nm;
    out.spectrum.values.assign(nm.size(), 0.0);
    for (const auto& scan : scans)
        for (std::size_t i = 0; i < nm.size(); ++i)
            out.spectrum.values[i] += scan.values[i] / static_cast<double>(scans.size());
    if (dark.empty()) return out;
    if (parOf(dark) > parOf(out.spectrum))
        return problem("dark",
                       say(GLUMET_SAY("Core", "the dark scan is brighter than the light: take it again")));
    for (std::size_t i = 0; i < nm.size(); ++i)
        out.spectrum.values[i] = std::max(0.0, out.spectrum.values[i] - dark.values[i]);
    return out;
}

}  // namespace glumet
