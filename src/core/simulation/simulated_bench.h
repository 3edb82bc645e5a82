#pragma once

#include <cstdint>

#include "core/bench/bench.h"
#include "core/light/fast_field.h"
#include "core/light/sampling.h"
#include "core/meter/settled_mean.h"
#include "core/simulation/ripple.h"

namespace glumet {

/// How a hand and a probe fall short of the still-water truth.
struct BenchNoise {
    double ripple_sd = 0.10;  ///< relative, of single samples
    double ripple_correlation_s = 0.30;
    double placing_sd_mm = 3.0;  ///< of the probe in x and in y
    double sample_interval_s = 0.05;
};

/// What can be wrong at a bench, planted on purpose; the defaults are a bench in order.
struct BenchFaults {
    double driver_share = 1.0;     ///< of the fixture's light and draw that is left, 0–1
    double room_light = 0.0;       ///< PPFD of other light, added under the lamp's
    double mode_factor = 1.0;      ///< of a meter in the wrong mode
    double slip_mm = 0.0;          ///< the probe stands so far to the left of where it should
    double tilt_deg = 0.0;         ///< of the probe: its reading is taken times the cosine
    double drift_per_hour = 0.0;   ///< relative, of the meter
    double warm_up_excess = 0.0;   ///< relative, light that a cold fixture gives too much, dying away …
    double warm_up_minutes = 8.0;  ///< … with this time constant
    double sensor_noise = 0.0;     ///< relative sd of single samples, independent
    double ruler_mm = 0.0;         ///< so much higher than is said the fixtures hang, all evening
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

    /// Hangs every fixture so high over the water, > 0, by a ruler that may be off; the probe stays where it
    /// is.
    void hang(Millimetre height);

    /// Plants faults, or mends them with the defaults; a slip holds from the next placing on.
    void setFaults(const BenchFaults& faults);
    const BenchFaults& faults() const { return faults_; }
    /// Draw at the wall now, for a fixture that is rated so much.
    Watt draw(Watt rated) const { return rated * faults_.driver_share; }
    /// Time since the bench was switched on, by the samples taken.
    Second running() const { return Second(running_s_); }

    /// As it really hangs.
    const LightScene& scene() const { return field_.scene(); }
    const BenchNoise& noise() const { return noise_; }

  private:
    void look();  ///< takes the light where the probe stands

    FastField field_;
    BenchNoise noise_;
    Noise hand_;
    RippleProcess ripple_;
    BenchFaults faults_;
    double running_s_ = 0.0;
    Place probe_{};  ///< where it really stands
    Ppfd still_{0};
};

}  // namespace glumet
