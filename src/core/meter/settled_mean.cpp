#include "core/meter/settled_mean.h"

#include <algorithm>
#include <cmath>

namespace glumet {
namespace {

constexpr double kSpansOfTau = 6.0;
/// Chosen in simulation so that the stated error is the real one (docs/method.md).
constexpr double kStoppingBias = 1.25;
/// Meters flicker by their last digit: less than this is no disturbance, relative.
constexpr double kLeastSpread = 0.01;
constexpr std::size_t kFewest = 20;  ///< samples before a disturbance can be told
/// Relative variance below which only rounding moves the samples.
constexpr double kStill = 1e-20;

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

namespace {

/// Sum of autocorrelations over the initial positive sequence.
double initialPositiveSequence(const std::vector<double>& values, double mean, double variance) {
    double tau = 1.0;
    for (std::size_t lag = 1; lag + 1 < values.size() / 2; lag += 2) {
        const double pair =
            (autocovariance(values, mean, lag) + autocovariance(values, mean, lag + 1)) / variance;
        if (pair <= 0.0) break;
        tau += 2.0 * pair;
    }
    return tau;
}

/// τ of a first-order autoregression whose lag-one correlation is corrected for what a short stretch and
/// its own mean take from it, (1 + 3ρ)/n.
double firstOrderTau(const std::vector<double>& values, double mean, double variance) {
    const auto n = static_cast<double>(values.size());
    double rho = autocovariance(values, mean, 1) / variance;
    rho = std::clamp(rho + (1.0 + 3.0 * rho) / n, 0.0, 0.999);
    return (1.0 + rho) / (1.0 - rho);
}

}  // namespace

double integratedAutocorrelation(const std::vector<double>& values) {
    const double mean = meanOf(values);
    const double variance = autocovariance(values, mean, 0);
    if (variance <= kStill * mean * mean) return 1.0;
    return std::max(
        {initialPositiveSequence(values, mean, variance), firstOrderTau(values, mean, variance), 1.0});
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
    while (times_.size() > 2 && times_.back() - times_[1] >= rule_.longest.value()) {
        times_.pop_front();
        values_.pop_front();
    }
}

void SettledMean::clear() {
    times_.clear();
    values_.clear();
}

namespace {

double medianOf(std::vector<double> values) {
    const auto middle = values.begin() + static_cast<std::ptrdiff_t>(values.size() / 2);
    std::nth_element(values.begin(), middle, values.end());
    return *middle;
}

/// Distance of each sample's logarithm from their median, in robust standard deviations, signed.
std::vector<double> robustDistances(const std::vector<double>& values) {
    std::vector<double> distances;
    for (const double value : values) distances.push_back(std::log(std::max(value, 1e-6)));
    const double middle = medianOf(distances);
    for (double& distance : distances) distance -= middle;
    std::vector<double> sizes;
    for (const double distance : distances) sizes.push_back(std::abs(distance));
    const double spread = std::max(1.4826 * medianOf(sizes), kLeastSpread);
    for (double& distance : distances) distance /= spread;
    return distances;
}

/// The samples without what passed over the probe.
std::vector<double> undisturbed(const std::vector<double>& values) {
    if (values.size() < kFewest) return values;
    const auto distances = robustDistances(values);
    std::vector<bool> out(values.size(), false);
    const auto spread = [&](std::size_t from, int step) {
        // Its edges too: on while it lies on the same side, beyond one standard deviation.
        const double side = distances[from] > 0.0 ? 1.0 : -1.0;
        for (auto i = from; i < values.size() && side * distances[i] > 1.0;
             i += static_cast<std::size_t>(step))
            out[i] = true;
    };
    for (std::size_t i = 0; i < values.size(); ++i) {
        if (std::abs(distances[i]) <= SettledMean::kFarOut) continue;
        spread(i, 1);
        spread(i, -1);
    }
    std::vector<double> kept;
    for (std::size_t i = 0; i < values.size(); ++i)
        if (!out[i]) kept.push_back(values[i]);
    const double left_out = static_cast<double>(values.size() - kept.size());
    return left_out > SettledMean::kMostLeftOut * static_cast<double>(values.size()) ? values : kept;
}

}  // namespace

std::optional<Settled> SettledMean::state() const {
    if (values_.size() < 2) return std::nullopt;
    const auto kept = undisturbed({values_.begin(), values_.end()});
    Settled out;
    out.count = static_cast<int>(kept.size());
    out.left_out = static_cast<int>(values_.size() - kept.size());
    const double n = static_cast<double>(kept.size());
    const double mean = meanOf(kept);
    const auto [low, high] = std::minmax_element(kept.begin(), kept.end());
    out.mean = Ppfd(mean);
    out.min = Ppfd(*low);
    out.max = Ppfd(*high);
    double squares = 0.0;
    for (const double value : kept) squares += (value - mean) * (value - mean);
    out.sd = std::sqrt(squares / (n - 1.0));
    const double tau = integratedAutocorrelation(kept);
    out.effective_samples = std::max(1.0, n / tau);
    const double root = std::sqrt(out.effective_samples);
    out.standard_error = out.sd / root * (1.0 + kStoppingBias / root);
    // What is kept of a reading must give the error that was stated of it.
    if (out.standard_error > 0.0)
        out.effective_samples = std::max(1.0, std::pow(out.sd / out.standard_error, 2));
    out.duration = Second(times_.back() - times_.front());
    // τ itself is known only once the stretch spans it many times over.
    const bool long_enough = out.duration >= rule_.shortest && n >= kSpansOfTau * tau;
    out.within_error = long_enough && out.standard_error <= rule_.relative_error * mean;
    out.timed_out = out.duration >= rule_.longest;
    return out;
}

}  // namespace glumet
