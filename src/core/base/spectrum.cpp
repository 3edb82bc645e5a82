#include "core/base/spectrum.h"

#include <algorithm>
#include <cmath>

#include "core/base/limits.h"

namespace glumet {
namespace {

/// The piece of the table that holds a wavelength within it: the index of its upper end.
std::size_t pieceOf(const std::vector<double>& nm, double at) {
    const auto next = std::upper_bound(nm.begin() + 1, nm.end() - 1, at);
    return static_cast<std::size_t>(next - nm.begin());
}

double between(const Spectrum& s, double nm) {
    const auto k = pieceOf(s.wavelength_nm, nm);
    const double share = (nm - s.wavelength_nm[k - 1]) / (s.wavelength_nm[k] - s.wavelength_nm[k - 1]);
    return s.values[k - 1] + share * (s.values[k] - s.values[k - 1]);
}

/// Calls `work(low, high)` for every stretch of from…to within which both tables are straight.
template <class Work>
void forEachStretch(const Spectrum& a, const Spectrum* b, double from, double to, Work work) {
    from = std::max(from, a.wavelength_nm.front());
    to = std::min(to, a.wavelength_nm.back());
    if (!(from < to)) return;
    auto of_a = std::upper_bound(a.wavelength_nm.begin(), a.wavelength_nm.end(), from);
    static const std::vector<double> none;
    const auto& others = b == nullptr ? none : b->wavelength_nm;
    auto of_b = std::upper_bound(others.begin(), others.end(), from);
    for (double low = from; low < to;) {
        double high = to;
        if (of_a != a.wavelength_nm.end()) high = std::min(high, *of_a);
        if (of_b != others.end()) high = std::min(high, *of_b);
        work(low, high);
        if (of_a != a.wavelength_nm.end() && *of_a <= high) ++of_a;
        if (of_b != others.end() && *of_b <= high) ++of_b;
        low = high;
    }
}

}  // namespace

std::optional<Problem> spectrumFault(const Spectrum& s) {
    if (s.wavelength_nm.size() < 2 || s.wavelength_nm.size() != s.values.size())
        return Problem{"wavelength_nm",
                       say(GLUMET_SAY("Core", "needs two wavelengths or more and as many values"))};
    if (s.wavelength_nm.size() > limits::kSpectrumPoints)
        return Problem{"wavelength_nm", sayCounted(GLUMET_SAY_N("Core", "holds more than {} wavelengths"),
                                                   countOf(limits::kSpectrumPoints))};
    for (std::size_t i = 0; i < s.wavelength_nm.size(); ++i) {
        const double nm = s.wavelength_nm[i];
        if (!(nm >= kShortestNm && nm <= kLongestNm) || (i > 0 && nm <= s.wavelength_nm[i - 1]))
            return Problem{"wavelength_nm", say(GLUMET_SAY("Core", "must ascend within 200…1200"))};
        if (!(s.values[i] >= 0.0) || !std::isfinite(s.values[i]))
            return Problem{"values", say(GLUMET_SAY("Core", "must be 0 or more at every wavelength"))};
    }
    return std::nullopt;
}

double valueAt(const Spectrum& spectrum, double nm) {
    if (spectrum.empty() || nm < spectrum.wavelength_nm.front() || nm > spectrum.wavelength_nm.back())
        return 0.0;
    return between(spectrum, nm);
}

double curveAt(const Spectrum& curve, double nm) {
    if (curve.empty()) return 0.0;
    if (curve.wavelength_nm.size() == 1) return curve.values.front();
    return between(curve, std::clamp(nm, curve.wavelength_nm.front(), curve.wavelength_nm.back()));
}

double photonsIn(const Spectrum& spectrum, double from_nm, double to_nm) {
    if (spectrum.wavelength_nm.size() < 2) return 0.0;
    double sum = 0.0;
    forEachStretch(spectrum, nullptr, from_nm, to_nm, [&](double low, double high) {
        sum += between(spectrum, 0.5 * (low + high)) * (high - low);
    });
    return sum;
}

double weighedIn(const Spectrum& spectrum, const Spectrum& curve, double from_nm, double to_nm) {
    if (spectrum.wavelength_nm.size() < 2 || curve.empty()) return 0.0;
    double sum = 0.0;
    // The product of two lines is a parabola: three values give its integral exactly.
    forEachStretch(spectrum, &curve, from_nm, to_nm, [&](double low, double high) {
        const double middle = 0.5 * (low + high);
        const auto product = [&](double nm) { return between(spectrum, nm) * curveAt(curve, nm); };
        sum += (product(low) + 4.0 * product(middle) + product(high)) * (high - low) / 6.0;
    });
    return sum;
}

std::vector<double> photonsFromWatts(const std::vector<double>& nm, const std::vector<double>& watts) {
    std::vector<double> out(watts.size());
    for (std::size_t i = 0; i < out.size(); ++i) out[i] = watts[i] * nm[i] * kMicromolesPerJouleNm;
    return out;
}

std::vector<double> wattsFromPhotons(const std::vector<double>& nm, const std::vector<double>& photons) {
    std::vector<double> out(photons.size());
    for (std::size_t i = 0; i < out.size(); ++i) out[i] = photons[i] / (nm[i] * kMicromolesPerJouleNm);
    return out;
}

Spectrum scaled(Spectrum spectrum, double factor) {
    for (double& value : spectrum.values) value *= factor;
    return spectrum;
}

}  // namespace glumet
