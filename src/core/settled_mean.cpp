#include "core/settled_mean.h"

#include <algorithm>
#include <cmath>

namespace glumet {
namespace {

double meanOf(const std::vector<double>& values) {
    double sum = 0.0;
    for (const double value : values) sum += value;
    return sum / static_cast<double>(values.size());
}

double autocovariance(const std::vector<double>& values, double mean, std::size_t lag) {
    double sum = 0.0;
    for (std::size_t i = lag; i < values.size(); ++i) sum += (values[i] - mean) * (values[i - lag] - mean);
    return sum / static_cast<double>(values.size());
}

}  // namespace

double integratedAutocorrelation(const std::vector<double>& values) {
    const double mean = meanOf(values);
    const double variance = autocovariance(values, mean, 0);
    if (variance <= 0.0) return 1.0;
    double tau = 1.0;
    for (std::size_t lag = 1; lag + 1 < values.size() / 2; lag += 2) {
        const double pair =
            (autocovariance(values, mean, lag) + autocovariance(values, mean, lag + 1)) / variance;
        if (pair <= 0.0) break;
        tau += 2.0 * pair;
    }
    return std::max(tau, 1.0);
}

Reading readingFrom(const Settled& settled, Millimetre x, Millimetre y) {
    Reading reading;
    reading.x = x;
    reading.y = y;
    reading.mean = settled.mean;
    reading.min = settled.min;
    reading.max = settled.max;
    reading.sd = settled.sd;
    reading.samples = settled.effective_samples;
    return reading;
}

void SettledMean::add(Second time, Ppfd ppfd) {
    if (!std::isfinite(ppfd.value()) || ppfd.value() < 0.0) return;
    if (!times_.empty() && time.value() <= times_.back()) return;
    times_.push_back(time.value());
    values_.push_back(ppfd.value());
}

void SettledMean::clear() {
    times_.clear();
    values_.clear();
}

std::optional<Settled> SettledMean::state() const {
    if (values_.size() < 2) return std::nullopt;
    Settled out;
    out.count = static_cast<int>(values_.size());
    const double n = static_cast<double>(values_.size());
    const double mean = meanOf(values_);
    const auto [low, high] = std::minmax_element(values_.begin(), values_.end());
    out.mean = Ppfd(mean);
    out.min = Ppfd(*low);
    out.max = Ppfd(*high);
    double squares = 0.0;
    for (const double value : values_) squares += (value - mean) * (value - mean);
    out.sd = std::sqrt(squares / (n - 1.0));
    out.effective_samples = std::max(1.0, n / integratedAutocorrelation(values_));
    out.standard_error = out.sd / std::sqrt(out.effective_samples);
    out.duration = Second(times_.back() - times_.front());
    const bool long_enough = out.duration >= rule_.shortest;
    out.within_error = long_enough && out.standard_error <= rule_.relative_error * mean;
    out.timed_out = out.duration >= rule_.longest;
    return out;
}

}  // namespace glumet
