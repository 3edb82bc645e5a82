#include "core/meter/movement_watch.h"

#include <algorithm>
#include <cmath>

namespace glumet {
namespace {

/// A window's mean rests within so many of its standard deviations.
constexpr double kStandardDeviations = 5.5;
/// Less than this is never a movement, more than that always is: shares of the level.
constexpr double kLeast = 0.05;
constexpr double kAlways = 0.5;

}  // namespace

MovementWatch::MovementWatch(const Settled& taken) : mean_(taken.mean.value()) {
    // sd of a window's mean = sd √(τ/T) with τ = T_all/n_eff, at most the samples' own.
    const double tau =
        taken.effective_samples > 0.0 ? taken.duration.value() / taken.effective_samples : kWindow;
    // A swing judged from few independent samples may be larger than it looked.
    const double doubt = 1.0 + 3.0 / std::sqrt(std::max(taken.effective_samples, 1.0));
    relative_swing_ = mean_ > 0.0 ? taken.sd / mean_ * std::sqrt(std::min(1.0, tau / kWindow)) * doubt : 0.0;
}

double MovementWatch::allowed(double level) const {
    return level * std::clamp(kStandardDeviations * relative_swing_, kLeast, kAlways);
}

double MovementWatch::windowMean() const {
    double sum = 0.0;
    for (const auto& [time, value] : window_) sum += value;
    return sum / static_cast<double>(window_.size());
}

MovementWatch::State MovementWatch::add(Second time, Ppfd ppfd) {
    if (!std::isfinite(ppfd.value())) return state_;
    window_.emplace_back(time.value(), ppfd.value());
    while (time.value() - window_.front().first > kWindow) window_.pop_front();
    if (time.value() - window_.front().first < 0.8 * kWindow || state_ == State::Arrived) return state_;
    const double now = windowMean();
    if (state_ == State::Resting) {
        if (std::abs(now - mean_) <= allowed(mean_)) return state_;
        state_ = State::Moving;
        calm_since_ = time.value();
        calm_level_ = now;
        return state_;
    }
    if (std::abs(now - calm_level_) > allowed(calm_level_)) {
        calm_since_ = time.value();
        calm_level_ = now;
    }
    if (time.value() - calm_since_ >= kCalm + kWindow) state_ = State::Arrived;
    return state_;
}

}  // namespace glumet
