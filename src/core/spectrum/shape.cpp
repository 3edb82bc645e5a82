#include "core/spectrum/shape.h"

#include <algorithm>

#include "core/spectrum/bands.h"
#include "core/spectrum/sampled.h"

namespace glumet {
namespace {

constexpr double kStandsOut = 0.05;
constexpr double kGapShare = 0.25;
constexpr double kGapLeastNm = 10.0;
constexpr double kGapFromNm = 410.0;
constexpr double kGapToNm = 690.0;
constexpr double kBlueFromNm = 380.0;
constexpr double kBlueToNm = 500.0;
constexpr double kNoBlue = 0.001;  // of the highest value: the foot of another colour

/// Where the curve crosses a level between two steps of the table, nm.
double crossing(const Sampled& s, std::size_t below, std::size_t above, double level) {
    const double share = (level - s[below]) / (s[above] - s[below]);
    return sampledNm(below) + share * (sampledNm(above) - sampledNm(below));
}

/// From a place down to a level, on either side; nothing where the curve ends or rises above the place first.
std::optional<double> downTo(const Sampled& s, std::size_t at, int step, double level) {
    for (auto i = static_cast<int>(at);; i += step) {
        const int next = i + step;
        if (next < 0 || next >= static_cast<int>(kSampledSteps)) return std::nullopt;
        if (s[static_cast<std::size_t>(next)] > s[at]) return std::nullopt;
        if (s[static_cast<std::size_t>(next)] <= level)
            return crossing(s, static_cast<std::size_t>(next), static_cast<std::size_t>(i), level);
    }
}

/// How deep the curve falls on one side before it is higher than here.
double lowestBeforeHigher(const Sampled& s, std::size_t at, int step) {
    double lowest = s[at];
    for (int i = static_cast<int>(at) + step; i >= 0 && i < static_cast<int>(kSampledSteps); i += step) {
        const double value = s[static_cast<std::size_t>(i)];
        if (value > s[at]) return lowest;
        lowest = std::min(lowest, value);
    }
    return std::min(lowest, 0.0);
}

}  // namespace

std::vector<SpectralPeak> peaksOf(const Spectrum& spectrum) {
    const auto s = sampled(spectrum);
    const double highest = *std::max_element(s.begin(), s.end());
    std::vector<SpectralPeak> peaks;
    if (highest <= 0.0) return peaks;
    for (std::size_t i = 1; i + 1 < kSampledSteps; ++i) {
        if (!(s[i] > s[i - 1] && s[i] >= s[i + 1])) continue;
        const double valley = std::max(lowestBeforeHigher(s, i, -1), lowestBeforeHigher(s, i, 1));
        if (s[i] - valley < kStandsOut * highest) continue;
        SpectralPeak peak{sampledNm(i), s[i], {}};
        const auto left = downTo(s, i, -1, 0.5 * s[i]);
        const auto right = downTo(s, i, 1, 0.5 * s[i]);
        if (left && right) peak.width_nm = *right - *left;
        peaks.push_back(peak);
    }
    return peaks;
}

std::vector<SpectralGap> gapsOf(const Spectrum& spectrum) {
    const double level = kGapShare * parOf(spectrum) / (kParToNm - kParFromNm);
    std::vector<SpectralGap> gaps;
    if (!(level > 0.0)) return gaps;
    const auto s = sampled(spectrum);
    double begun = 0.0;
    bool inside = false;
    bool lit = false;  // light on this side already
    for (auto i = sampledStep(kParFromNm); i <= sampledStep(kParToNm); ++i) {
        const bool dark = s[i] < level;
        if (dark && lit && !inside) {
            begun = sampledNm(i);
            inside = true;
        }
        if (!dark && inside) {
            const SpectralGap gap{std::max(begun, kGapFromNm), std::min(sampledNm(i), kGapToNm)};
            if (gap.to_nm - gap.from_nm >= kGapLeastNm) gaps.push_back(gap);
            inside = false;
        }
        lit = lit || !dark;
    }
    return gaps;
}

double blueWidth(const Spectrum& spectrum, double share) {
    const auto s = sampled(spectrum);
    const auto first = sampledStep(kBlueFromNm);
    const auto last = sampledStep(kBlueToNm);
    auto top = first;
    for (auto i = first; i <= last; ++i)
        if (s[i] > s[top]) top = i;
    const double highest = *std::max_element(s.begin(), s.end());
    if (!(s[top] > kNoBlue * highest)) return 0.0;
    const double level = share * s[top];
    auto from = top;
    auto to = top;
    while (from > first && s[from - 1] >= level) --from;
    while (to < last && s[to + 1] >= level) ++to;
    const double low = from > first ? crossing(s, from - 1, from, level) : kBlueFromNm;
    const double high = to < last ? crossing(s, to + 1, to, level) : kBlueToNm;
    return high - low;
}

}  // namespace glumet
