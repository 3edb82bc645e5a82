#include "core/spectrum/mix.h"

#include <algorithm>
#include <cmath>

#include "core/spectrum/bands.h"
#include "core/spectrum/sampled.h"

namespace glumet {
namespace {

constexpr double kFull = 1.0 - 1e-9;

}  // namespace

double DimmingCurve::at(double share) const {
    share = std::clamp(share, 0.0, 1.0);
    if (level.size() < 2) return share;
    const auto next = std::upper_bound(level.begin() + 1, level.end() - 1, share);
    const auto k = static_cast<std::size_t>(next - level.begin());
    const double part = (share - level[k - 1]) / (level[k] - level[k - 1]);
    return output[k - 1] + part * (output[k] - output[k - 1]);
}

std::optional<DimmingCurve> dimmingCurve(std::vector<std::pair<double, double>> readings) {
    std::sort(readings.begin(), readings.end());
    if (readings.size() < 2 || readings.back().first < kFull || !(readings.back().second > 0.0))
        return std::nullopt;
    DimmingCurve curve{{0.0}, {0.0}};
    for (std::size_t i = 0; i < readings.size();) {
        double sum = 0.0;
        std::size_t count = 0;
        const double level = readings[i].first;
        for (; i < readings.size() && readings[i].first == level; ++i, ++count) sum += readings[i].second;
        if (level <= 0.0) continue;
        curve.level.push_back(std::min(level, 1.0));
        curve.output.push_back(std::max(0.0, sum / static_cast<double>(count)));
    }
    if (curve.level.size() < 3 || !(curve.output.back() > 0.0)) return std::nullopt;
    const double full = curve.output.back();
    for (double& value : curve.output) value /= full;
    return curve;
}

Mix::Mix(std::vector<MixChannel> channels, const std::vector<SpectralBand>& bands)
    : channels_(std::move(channels)), bands_(bands.size()) {
    for (const auto& channel : channels_) {
        Ready ready;
        const double par = parOf(channel.spectrum);
        ready.known = par > 0.0;
        if (ready.known) {
            ready.per_par = tristimulusOf(channel.spectrum) * (1.0 / par);
            for (const auto& band : bands)
                ready.photons.push_back(photonsIn(channel.spectrum, band.from_nm, band.to_nm) / par);
            ready.seen = photonsIn(channel.spectrum, kSeenFromNm, kSeenToNm) / par;
            ready.shape = spectrumOf(sampled(scaled(channel.spectrum, 1.0 / par)));
        }
        ready_.push_back(std::move(ready));
    }
}

std::vector<double> Mix::outputs(const std::vector<double>& levels) const {
    std::vector<double> out;
    for (std::size_t c = 0; c < channels_.size(); ++c)
        out.push_back(channels_[c].ppfd * channels_[c].dimming.at(levels[c]));
    return out;
}

MixState Mix::ofLight(const std::vector<double>& ppfds) const {
    MixState state;
    state.light = Tristimulus{};
    state.band_shares.assign(bands_, 0.0);
    double seen = 0.0;
    for (std::size_t c = 0; c < channels_.size(); ++c) {
        state.ppfd += ppfds[c];
        if (ppfds[c] <= 0.0) continue;
        if (!ready_[c].known) state.light.reset();
        state.assumed = state.assumed || channels_[c].assumed;
        if (!state.light) continue;
        state.light = *state.light + ready_[c].per_par * ppfds[c];
        seen += ready_[c].seen * ppfds[c];
        for (std::size_t b = 0; b < bands_; ++b) state.band_shares[b] += ready_[c].photons[b] * ppfds[c];
    }
    if (!state.light || state.light->dark()) {
        state.light.reset();
        state.band_shares.clear();
    }
    for (double& share : state.band_shares) share /= seen;
    return state;
}

MixState Mix::at(const std::vector<double>& levels) const {
    auto state = ofLight(outputs(levels));
    state.watt = state.idle_watt = 0.0;
    for (std::size_t c = 0; c < channels_.size(); ++c) {
        if (!channels_[c].watt) {
            state.watt = state.idle_watt = std::nullopt;
            break;
        }
        *state.watt += *channels_[c].watt * levels[c];
        *state.idle_watt += *channels_[c].watt * (1.0 - levels[c]);
    }
    return state;
}

Spectrum Mix::spectrumAt(const std::vector<double>& levels) const {
    Sampled sum{};
    const auto ppfds = outputs(levels);
    for (std::size_t c = 0; c < channels_.size(); ++c) {
        if (!ready_[c].known || ppfds[c] <= 0.0) continue;
        const auto& shape = ready_[c].shape;
        for (std::size_t i = 0; i < shape.wavelength_nm.size(); ++i)
            sum[sampledStep(shape.wavelength_nm[i])] += shape.values[i] * ppfds[c];
    }
    return spectrumOf(sum);
}

}  // namespace glumet
