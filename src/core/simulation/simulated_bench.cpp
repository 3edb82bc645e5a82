#include "core/simulation/simulated_bench.h"

#include <algorithm>
#include <cmath>

#include "core/base/angle.h"

namespace glumet {
namespace {

/// Keeps the two random streams of one seed apart.
constexpr std::uint64_t kHandStream = 0x9E3779B97F4A7C15ULL;
constexpr int kSamplesPerLook = 10;
constexpr double kLowestMm = 1.0;

}  // namespace

SimulatedBench::SimulatedBench(LightScene scene, BenchNoise noise, std::uint64_t seed)
    : field_(std::move(scene)),
      noise_(noise),
      hand_(seed ^ kHandStream),
      ripple_(noise.ripple_sd, noise.ripple_correlation_s, seed) {}

void SimulatedBench::placeProbe(Millimetre x, Millimetre y, Millimetre depth) {
    const double dx = hand_.normal() * noise_.placing_sd_mm;
    const double dy = hand_.normal() * noise_.placing_sd_mm;
    probe_ = {std::clamp(x.value() + dx - faults_.slip_mm, 0.0, scene().length_mm),
              std::clamp(y.value() + dy, 0.0, scene().width_mm), depth.value()};
    look();
}

void SimulatedBench::look() {
    const std::array<double, 2> at{probe_.x_mm, probe_.y_mm};
    still_ = Ppfd(field_.onPlane(Millimetre(probe_.depth_mm), {&at, 1}).front());
}

void SimulatedBench::hang(Millimetre height) {
    auto hung = scene();
    for (auto& fixture : hung.fixtures)
        fixture.height_mm = std::max(kLowestMm, height.value() + faults_.ruler_mm);
    field_.setScene(std::move(hung));
    look();
}

void SimulatedBench::setFaults(const BenchFaults& faults) {
    const double higher = faults.ruler_mm - faults_.ruler_mm;
    faults_ = faults;
    if (higher == 0.0) return;
    auto hung = scene();
    for (auto& fixture : hung.fixtures) fixture.height_mm = std::max(kLowestMm, fixture.height_mm + higher);
    field_.setScene(std::move(hung));
    look();
}

Ppfd SimulatedBench::sample() {
    running_s_ += noise_.sample_interval_s;
    const double warm =
        1.0 + faults_.warm_up_excess * std::exp(-running_s_ / (60.0 * faults_.warm_up_minutes));
    const double lamp = still_.value() * ripple_.next(noise_.sample_interval_s) * faults_.driver_share * warm;
    double meter = faults_.mode_factor * std::cos(faults_.tilt_deg * kDegree) *
                   (1.0 + faults_.drift_per_hour * running_s_ / 3600.0);
    if (faults_.sensor_noise > 0.0) meter *= std::max(0.0, 1.0 + faults_.sensor_noise * hand_.normal());
    return Ppfd((lamp + faults_.room_light) * meter);
}

Reading SimulatedBench::read(Millimetre x, Millimetre y, Millimetre depth, const SettleRule& rule) {
    placeProbe(x, y, depth);
    SettledMean mean(rule);
    for (int i = 0;; ++i) {
        mean.add(Second(i * noise_.sample_interval_s), sample());
        // The hand looks twice a second; to look at every sample would only cost time.
        if (i % kSamplesPerLook == 0 && mean.settled()) return readingFrom(*mean.state(), x, y);
    }
}

}  // namespace glumet
