#include "meters/simulated_meter.h"

#include <algorithm>

namespace glumet {
namespace {

constexpr int kTickMs = 50;
constexpr double kSlipChance = 1.0 / 12.0;
constexpr double kLeastSlip = 35.0;  // mm
constexpr double kMostSlip = 70.0;
constexpr double kRulerMm = 4.0;  // standard deviation

}  // namespace

SimulatedMeter::SimulatedMeter(std::uint64_t seed, QObject* parent)
    : Meter(parent), seed_(seed), chance_(seed + 1) {
    timer_.setInterval(kTickMs);
    connect(&timer_, &QTimer::timeout, this, [this] { advance(kTickMs * 1e-3); });
}

void SimulatedMeter::start() {
    timer_.start();
    emit stateChanged(MeterState::Live);
}

void SimulatedMeter::stop() {
    timer_.stop();
    emit stateChanged(MeterState::Idle);
}

void SimulatedMeter::setPlants(bool plants) {
    plants_ = plants;
    ruler_mm_ = plants ? kRulerMm * chance_.normal() : 0.0;
}

void SimulatedMeter::setScene(LightScene scene) {
    bench_.emplace(std::move(scene), BenchNoise{}, seed_++);
    placed_ = false;
}

void SimulatedMeter::probeMoved(Millimetre x, Millimetre y, Millimetre depth) {
    if (!bench_) return;
    BenchFaults faults;
    faults.ruler_mm = ruler_mm_;
    const auto here = [&](const PlantedSlip& slip) {
        return slip.x == x && slip.y == y && slip.depth == depth;
    };
    const bool slipped_before = std::any_of(planted_.begin(), planted_.end(), here);
    if (plants_ && !slipped_before && chance_.uniform() < kSlipChance) {
        faults.slip_mm = kLeastSlip + (kMostSlip - kLeastSlip) * chance_.uniform();
        planted_.push_back({x, y, depth, faults.slip_mm});
    }
    bench_->setFaults(faults);
    bench_->placeProbe(x, y, depth);
    placed_ = true;
}

void SimulatedMeter::advance(double seconds) {
    if (!bench_ || !placed_) return;
    const double step = bench_->noise().sample_interval_s;
    // Half a step of slack keeps a full tick from losing its last sample to rounding.
    for (owed_s_ += seconds; owed_s_ > 0.5 * step; owed_s_ -= step) {
        clock_s_ += step;
        emit sampled(clock_s_, bench_->sample().value());
    }
}

}  // namespace glumet
