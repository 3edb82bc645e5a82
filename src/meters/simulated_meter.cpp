#include "meters/simulated_meter.h"

namespace glumet {
namespace {

constexpr int kTickMs = 50;

}  // namespace

SimulatedMeter::SimulatedMeter(std::uint64_t seed, QObject* parent) : Meter(parent), seed_(seed) {
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

void SimulatedMeter::setScene(LightScene scene) {
    bench_.emplace(std::move(scene), BenchNoise{}, seed_++);
    placed_ = false;
}

void SimulatedMeter::probeMoved(Millimetre x, Millimetre y, Millimetre depth) {
    if (!bench_) return;
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
