#include "core/meter/settled_mean.h"

#include <algorithm>
#include <array>
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
/// The same, below which running sums are not exact enough to be asked.
constexpr double kCoarse = 1e-8;
constexpr double kMadToSd = 1.4826;  ///< of a normal distribution

double meanOf(const std::vector<double>& values) {
    double sum = 0.0;
    for (const double value : values) sum += value;
    return sum / static_cast<double>(values.size());
}

/// τ of a first-order autoregression whose lag-one correlation is corrected for what a short stretch and its
/// own mean take from it, (1 + 3ρ)/n.
double firstOrder(double rho, double n) {
    const double corrected = std::clamp(rho + (1.0 + 3.0 * rho) / n, 0.0, 0.999);
    return (1.0 + corrected) / (1.0 - corrected);
}

/// A stretch of samples about its own mean.
class Swings {
  public:
    explicit Swings(std::vector<double> values) : swings_(std::move(values)), mean_(meanOf(swings_)) {
        for (double& value : swings_) value -= mean_;
        for (const double swing : swings_) squares_ += swing * swing;
    }

    double mean() const { return mean_; }
    double size() const { return static_cast<double>(swings_.size()); }
    double sd() const { return std::sqrt(squares_ / (size() - 1.0)); }
    bool still() const { return squares_ / size() <= kStill * mean_ * mean_; }

    double firstOrderTau() const { return still() ? 1.0 : firstOrder(autocorrelations<1>(1)[0], size()); }

    /// Sum of autocorrelations over the initial positive sequence.
    double initialPositiveSequence() const {
        if (still()) return 1.0;
        double tau = 1.0;
        for (std::size_t lag = 1; lag + 1 < swings_.size() / 2; lag += 4) {
            // Two pairs at once: their sums do not wait for each other.
            const auto rho = autocorrelations<4>(lag);
            for (std::size_t pair = 0; pair < 2; ++pair) {
                const double both = rho[2 * pair] + rho[2 * pair + 1];
                if (both <= 0.0 || lag + 2 * pair + 1 >= swings_.size() / 2) return tau;
                tau += 2.0 * both;
            }
        }
        return tau;
    }

    double tau() const { return std::max({initialPositiveSequence(), firstOrderTau(), 1.0}); }

  private:
    /// At `lag` and those after it.
    template <std::size_t N>
    std::array<double, N> autocorrelations(std::size_t lag) const {
        std::array<double, N> sums{};
        const std::size_t n = swings_.size();
        // The first samples reach only the shorter lags.
        for (std::size_t i = lag; i < std::min(n, lag + N); ++i)
            for (std::size_t k = 0; k <= i - lag; ++k) sums[k] += swings_[i] * swings_[i - lag - k];
        for (std::size_t i = lag + N; i < n; ++i)
            for (std::size_t k = 0; k < N; ++k) sums[k] += swings_[i] * swings_[i - lag - k];
        for (double& sum : sums) sum /= squares_;
        return sums;
    }

    std::vector<double> swings_;
    double mean_;
    double squares_ = 0.0;
};

/// Of the mean, with what stopping at a small one adds.
double statedError(double sd, double effective_samples) {
    const double root = std::sqrt(effective_samples);
    return sd / root * (1.0 + kStoppingBias / root);
}

}  // namespace

double integratedAutocorrelation(const std::vector<double>& values) { return Swings(values).tau(); }

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
    if (values_.empty()) sums_ = {.origin = ppfd.value()};
    const double above = ppfd.value() - sums_.origin;
    sums_.values += above;
    sums_.squares += above * above;
    if (!values_.empty()) sums_.neighbours += above * (values_.back() - sums_.origin);
    times_.push_back(time.value());
    values_.push_back(ppfd.value());
    const double logarithm = std::log(std::max(ppfd.value(), 1e-6));
    logarithms_.push_back(logarithm);
    ordered_.insert(std::upper_bound(ordered_.begin(), ordered_.end(), logarithm), logarithm);
    while (times_.size() > 2 && times_.back() - times_[1] >= rule_.longest.value()) forgetFirst();
}

void SettledMean::forgetFirst() {
    const double above = values_.front() - sums_.origin;
    sums_.values -= above;
    sums_.squares -= above * above;
    sums_.neighbours -= above * (values_[1] - sums_.origin);
    ordered_.erase(std::lower_bound(ordered_.begin(), ordered_.end(), logarithms_.front()));
    times_.pop_front();
    values_.pop_front();
    logarithms_.pop_front();
}

void SettledMean::clear() {
    times_.clear();
    values_.clear();
    logarithms_.clear();
    ordered_.clear();
}

double SettledMean::median() const { return ordered_[ordered_.size() / 2]; }

double SettledMean::farthest() const {
    return std::max(ordered_.back() - median(), median() - ordered_.front());
}

/// Whether a sample lies further out than kFarOut: whether the spread is less than a kFarOut-th of the
/// farthest distance, which counting those within it tells.
bool SettledMean::disturbed() const {
    if (ordered_.size() < kFewest || farthest() <= kFarOut * kLeastSpread) return false;
    const double within = farthest() / kFarOut / kMadToSd;
    const auto from = std::lower_bound(ordered_.begin(), ordered_.end(), median() - within);
    const auto to = std::upper_bound(from, ordered_.end(), median() + within);
    return static_cast<std::size_t>(to - from) > ordered_.size() / 2 && farthest() / spread() > kFarOut;
}

/// Robust standard deviation of the logarithms, which lie in order: the distances from their median are met
/// from the smallest on by going outward from it.
double SettledMean::spread() const {
    const double middle = median();
    std::size_t above = ordered_.size() / 2;
    std::size_t below = above;
    double distance = 0.0;
    for (std::size_t met = 0; met <= ordered_.size() / 2; ++met) {
        const bool up = below == 0 ||
                        (above < ordered_.size() && ordered_[above] - middle <= middle - ordered_[below - 1]);
        distance = up ? ordered_[above++] - middle : middle - ordered_[--below];
    }
    return std::max(kMadToSd * distance, kLeastSpread);
}

/// The samples without what passed over the probe.
std::vector<double> SettledMean::undisturbed() const {
    std::vector<double> values(values_.begin(), values_.end());
    if (!disturbed()) return values;
    const double middle = median();
    const double unit = spread();
    const auto far = [](double distance) { return std::abs(distance) > kFarOut; };
    std::vector<double> distances;
    for (const double logarithm : logarithms_) distances.push_back((logarithm - middle) / unit);
    std::vector<bool> out(values.size(), false);
    const auto spread = [&](std::size_t from, int step) {
        // Its edges too: on while it lies on the same side, beyond one standard deviation.
        const double side = distances[from] > 0.0 ? 1.0 : -1.0;
        for (auto i = from; i < values.size() && side * distances[i] > 1.0;
             i += static_cast<std::size_t>(step))
            out[i] = true;
    };
    for (std::size_t i = 0; i < values.size(); ++i) {
        if (!far(distances[i])) continue;
        spread(i, 1);
        spread(i, -1);
    }
    std::vector<double> kept;
    for (std::size_t i = 0; i < values.size(); ++i)
        if (!out[i]) kept.push_back(values[i]);
    const double left_out = static_cast<double>(values.size() - kept.size());
    return left_out > kMostLeftOut * static_cast<double>(values.size()) ? values : kept;
}

std::optional<Settled> SettledMean::state() const {
    if (values_.size() < 2) return std::nullopt;
    const auto kept = undisturbed();
    Settled out;
    out.count = static_cast<int>(kept.size());
    out.left_out = static_cast<int>(values_.size() - kept.size());
    const Swings swings(kept);
    const auto [low, high] = std::minmax_element(kept.begin(), kept.end());
    out.mean = Ppfd(swings.mean());
    out.min = Ppfd(*low);
    out.max = Ppfd(*high);
    out.sd = swings.sd();
    const double tau = swings.tau();
    out.effective_samples = std::max(1.0, swings.size() / tau);
    out.standard_error = statedError(out.sd, out.effective_samples);
    // What is kept of a reading must give the error that was stated of it.
    if (out.standard_error > 0.0)
        out.effective_samples = std::max(1.0, std::pow(out.sd / out.standard_error, 2));
    out.duration = Second(times_.back() - times_.front());
    // τ itself is known only once the stretch spans it many times over.
    const bool long_enough = out.duration >= rule_.shortest && swings.size() >= kSpansOfTau * tau;
    out.within_error = long_enough && out.standard_error <= rule_.relative_error * swings.mean();
    out.timed_out = out.duration >= rule_.longest;
    return out;
}

/// Whether the running sums alone tell that the error is too large: nearly every sample ends here, for next
/// to nothing. They are less exact than the whole, so that a small margin is left to it.
bool SettledMean::surelyLoose() const {
    constexpr double kMargin = 1.01;
    if (disturbed()) return false;
    const auto n = static_cast<double>(values_.size());
    const double mean = sums_.values / n;
    const double squares = sums_.squares - n * mean * mean;
    const double ends = values_.front() + values_.back() - 2.0 * sums_.origin;
    const double neighbours = sums_.neighbours - mean * (2.0 * sums_.values - ends) + (n - 1.0) * mean * mean;
    const double level = mean + sums_.origin;
    if (squares <= kCoarse * n * level * level) return false;
    const double effective = std::max(1.0, n / firstOrder(neighbours / squares, n));
    return statedError(std::sqrt(squares / (n - 1.0)), effective) > kMargin * rule_.relative_error * level;
}

bool SettledMean::settled() const {
    if (values_.size() < 2) return false;
    const double duration = times_.back() - times_.front();
    if (duration >= rule_.longest.value()) return true;
    if (duration < rule_.shortest.value() || surelyLoose()) return false;
    const Swings swings(undisturbed());
    const auto within = [&](double tau) {
        const double error = statedError(swings.sd(), std::max(1.0, swings.size() / tau));
        return swings.size() >= kSpansOfTau * tau && error <= rule_.relative_error * swings.mean();
    };
    // The whole τ is never less than that of first order, which one lag tells.
    return within(swings.firstOrderTau()) && within(swings.tau());
}

}  // namespace glumet
