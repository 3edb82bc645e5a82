#include "meters/connected_meter.h"

#include <chrono>

namespace glumet {
namespace {

constexpr int kRetryMs = 1000;

}  // namespace

MonotonicClock machineClock() {
    return [] {
        return std::chrono::duration<double>(std::chrono::steady_clock::now().time_since_epoch()).count();
    };
}

ConnectedMeter::ConnectedMeter(QString name, MonotonicClock clock, QObject* parent)
    : Meter(parent), name_(std::move(name)), clock_(std::move(clock)) {
    retry_.setSingleShot(true);
    retry_.setInterval(kRetryMs);
    connect(&retry_, &QTimer::timeout, this, [this] {
        if (wanted()) openTransport();
    });
}

void ConnectedMeter::start() {
    if (wanted()) return;
    reason_.clear();
    change(MeterState::Connecting);
    openTransport();
}

void ConnectedMeter::stop() {
    if (!wanted()) return;
    retry_.stop();
    change(MeterState::Idle);
    closeTransport();
}

void ConnectedMeter::connectionOpened() {
    if (!wanted()) return;
    reason_.clear();
    change(MeterState::Live);
}

void ConnectedMeter::connectionLost(const QString& reason) {
    if (!wanted()) return;
    reason_ = reason;
    if (state_ == MeterState::Live) ++losses_;
    retry_.start();
    change(MeterState::Lost);
}

void ConnectedMeter::change(MeterState state) {
    if (state_ == state) return;
    state_ = state;
    emit stateChanged(state);
}

QString ConnectedMeter::trouble() const {
    return state_ == MeterState::Lost ? tr("%1 is silent; trying again (%2)").arg(name_, reason_) : QString();
}

}  // namespace glumet
