#pragma once

#include <cstdint>
#include <random>

namespace glumet {

/// Random numbers that are the same on every machine for the same seed.
class Noise {
  public:
    explicit Noise(std::uint64_t seed) : engine_(seed) {}
    /// Uniform in (0, 1).
    double uniform();
    /// Standard normal, by Box and Muller's transform.
    double normal();

  private:
    std::mt19937_64 engine_;
};

/// How the light under moving water swings around its still-water mean: log-normal and stationary, mean 1,
/// with exponential correlation (a first-order autoregression of the logarithm).
class RippleProcess {
  public:
    /// relative_sd ≥ 0 (0.05–0.20 is typical), correlation time > 0 s (0.2–0.5 is typical).
    RippleProcess(double relative_sd, double correlation_s, std::uint64_t seed);

    /// Factor on the still-water value `dt_s` > 0 after the last one. Always > 0.
    double next(double dt_s);

  private:
    Noise noise_;
    double log_sd_;
    double correlation_s_;
    double state_;
};

}  // namespace glumet
