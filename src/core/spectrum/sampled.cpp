#include "core/spectrum/sampled.h"

#include <algorithm>
#include <cmath>

namespace glumet {
namespace {

constexpr double kHalfStep = 0.5;

}  // namespace

Sampled sampled(const Spectrum& s) {
    Sampled out{};
    for (std::size_t i = 0; i + 1 < s.wavelength_nm.size(); ++i) {
        const double from = s.wavelength_nm[i];
        const double to = s.wavelength_nm[i + 1];
        const double slope = (s.values[i + 1] - s.values[i]) / (to - from);
        const double end = std::min(to, sampledNm(kSampledSteps - 1) + kHalfStep);
        double low = std::max(from, kSampledFromNm - kHalfStep);
        while (low < end) {
            const auto step = sampledStep(low);
            const double high = std::min(end, sampledNm(step) + kHalfStep);
            out[step] += (s.values[i] + slope * (0.5 * (low + high) - from)) * (high - low);
            if (high <= low) break;
            low = high;
        }
    }
    return out;
}

std::size_t sampledStep(double nm) {
    const double step = std::floor(nm - kSampledFromNm + kHalfStep);
    return static_cast<std::size_t>(std::clamp(step, 0.0, static_cast<double>(kSampledSteps - 1)));
}

Spectrum spectrumOf(const Sampled& sampled) {
    std::size_t first = 0;
    std::size_t last = kSampledSteps - 1;
    while (first < last && sampled[first] <= 0.0) ++first;
    while (last > first && sampled[last] <= 0.0) --last;
    if (first > 0) --first;
    if (last + 1 < kSampledSteps) ++last;
    Spectrum out;
    for (std::size_t i = first; i <= last; ++i) {
        out.wavelength_nm.push_back(sampledNm(i));
        out.values.push_back(sampled[i]);
    }
    return out;
}

}  // namespace glumet
