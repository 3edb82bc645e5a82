#include "core/spectrum/overlay.h"

#include <algorithm>

#include "core/base/parallel.h"
#include "core/spectrum/bands.h"
#include "core/spectrum/sampled.h"

namespace glumet {
namespace {

constexpr std::size_t kBlock = 64;

}  // namespace

Spectrum scaledFor(Spectrum spectrum, OverlayScale scale) {
    if (scale == OverlayScale::Absolute || spectrum.empty()) return spectrum;
    const double by = scale == OverlayScale::Peak
                          ? *std::max_element(spectrum.values.begin(), spectrum.values.end())
                          : parOf(spectrum);
    return by > 0.0 ? scaled(std::move(spectrum), 1.0 / by) : spectrum;
}

OverlayStatistics overlayStatistics(const std::vector<Spectrum>& spectra, OverlayScale scale) {
    OverlayStatistics out;
    const std::size_t count = spectra.size();
    if (count == 0) return out;
    // By wavelength, so that each sort walks over neighbours; in blocks, so that what is written lies
    // together.
    std::vector<float> values(kSampledSteps * count);
    forEachIndex((count + kBlock - 1) / kBlock, 0, [&](std::size_t block) {
        const auto from = block * kBlock;
        const auto to = std::min(from + kBlock, count);
        std::vector<Sampled> by_nm;
        for (auto k = from; k < to; ++k) by_nm.push_back(sampled(scaledFor(spectra[k], scale)));
        for (std::size_t i = 0; i < kSampledSteps; ++i)
            for (auto k = from; k < to; ++k) values[i * count + k] = static_cast<float>(by_nm[k - from][i]);
    });
    for (auto* list : {&out.least, &out.tenth, &out.median, &out.ninetieth, &out.greatest})
        list->resize(kSampledSteps);
    forEachIndex(kSampledSteps, 0, [&](std::size_t i) {
        const auto begin = values.begin() + static_cast<std::ptrdiff_t>(i * count);
        const auto end = begin + static_cast<std::ptrdiff_t>(count);
        const auto at = [&](double share) {
            return begin + static_cast<std::ptrdiff_t>(share * static_cast<double>(count - 1) + 0.5);
        };
        const auto middle = at(0.5);
        std::nth_element(begin, middle, end);
        out.median[i] = *middle;
        const auto low = at(0.1);
        if (low < middle) std::nth_element(begin, low, middle);
        out.tenth[i] = *low;
        out.least[i] = *std::min_element(begin, low + 1);
        const auto high = at(0.9);
        if (high > middle) std::nth_element(middle + 1, high, end);
        out.ninetieth[i] = *high;
        out.greatest[i] = *std::max_element(high, end);
    });
    return out;
}

}  // namespace glumet
