#include "meters/connected_meter.h"

#include <chrono>

namespace glumet {
namespace {

constexpr int kRetryMs = 1000;
constexpr int kWatchMs = 400;

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
    watch_.setInterval(kWatchMs);
    connect(&watch_, &QTimer::timeout, this, &ConnectedMeter::lookForSilence);
}

void ConnectedMeter::heard() {
    heard_at_ = clock_();
    if (!silent_) return;
    silent_ = false;
    emit stateChanged(state_);
}

void ConnectedMeter::lookForSilence() {
    const bool expected = state_ == MeterState::Live || state_ == MeterState::Connecting;
    if (!expected || silent_ || clock_() - heard_at_ < silent_after_s_) return;
    silent_ = true;
    emit stateChanged(state_);
}

void ConnectedMeter::start() {
    if (wanted()) return;
    reason_.clear();
    beginToListen();
    watch_.start();
    change(MeterState::Connecting);
    openTransport();
}

void ConnectedMeter::stop() {
    if (!wanted()) return;
    retry_.stop();
    watch_.stop();
    change(MeterState::Idle);
    closeTransport();
}

void ConnectedMeter::connectionOpened() {
    if (!wanted()) return;
    reason_.clear();
    beginToListen();
    change(MeterState::Live);
}

void ConnectedMeter::connectionLost(const QString& reason) {
    if (!wanted()) return;
    reason_ = reason;
    if (state_ == MeterState::Live) ++losses_;
    retry_.start();
    change(MeterState::Lost);
}

void ConnectedMeter::beginToListen() {
    heard_at_ = clock_();
    silent_ = false;
}

void ConnectedMeter::change(MeterState state) {
    if (state_ == state) return;
    state_ = state;
    emit stateChanged(state);
}

QString ConnectedMeter::trouble() const {
    if (state_ == MeterState::Lost) return tr("%1 is silent; trying again (%2)").arg(name_, reason_);
    if (!silent_) return {};
    return state_ == MeterState::Live ? tr("%1 is connected and sends nothing").arg(name_)
                                      : tr("%1 does not answer").arg(name_);
}

}  // namespace glumet
