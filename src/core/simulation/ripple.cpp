#include "core/simulation/ripple.h"

#include <cmath>
#include <numbers>

namespace glumet {

double Noise::uniform() {
    // 53 random bits, moved off 0 by half a step.
    return (static_cast<double>(engine_() >> 11U) + 0.5) * 0x1.0p-53;
}

double Noise::normal() {
    const double radius = std::sqrt(-2.0 * std::log(uniform()));
    return radius * std::cos(2.0 * std::numbers::pi * uniform());
}

RippleProcess::RippleProcess(double relative_sd, double correlation_s, std::uint64_t seed)
    : noise_(seed),
      log_sd_(std::sqrt(std::log1p(relative_sd * relative_sd))),
      correlation_s_(correlation_s),
      state_(noise_.normal()) {}

double RippleProcess::next(double dt_s) {
    const double keep = std::exp(-dt_s / correlation_s_);
    state_ = keep * state_ + std::sqrt(1.0 - keep * keep) * noise_.normal();
    return std::exp(log_sd_ * state_ - 0.5 * log_sd_ * log_sd_);
}

}  // namespace glumet
