#pragma once

#include <cstdint>

#include "core/light/fast_field.h"
#include "core/ripple.h"
#include "core/run.h"
#include "core/settled_mean.h"

namespace glumet {

/// How a hand and a probe fall short of the still-water truth.
struct BenchNoise {
    double ripple_sd = 0.10;  ///< relative, of single samples
    double ripple_correlation_s = 0.30;
    double placing_sd_mm = 3.0;  ///< of the probe in x and in y
    double sample_interval_s = 0.05;
};

/// The stand-in for a tank, a fixture and a person with a probe: answers with readings as they would be
/// taken there. One seed, one sequence of readings.
class SimulatedBench {
  public:
    SimulatedBench(LightScene scene, BenchNoise noise, std::uint64_t seed);

    /// A settled reading at a place, taken by `rule`.
    Reading read(Millimetre x, Millimetre y, Millimetre depth, const SettleRule& rule = {});

    /// Puts the probe down with a fresh placing error; sample() then follows the water from there.
    void placeProbe(Millimetre x, Millimetre y, Millimetre depth);
    /// The next sample, `sample_interval_s` after the last.
    Ppfd sample();

    const LightScene& scene() const { return field_.scene(); }
    const BenchNoise& noise() const { return noise_; }

  private:
    FastField field_;
    BenchNoise noise_;
    Noise hand_;
    RippleProcess ripple_;
    Ppfd still_{0};
};

}  // namespace glumet
