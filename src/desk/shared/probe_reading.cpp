#include "desk/shared/probe_reading.h"

#include <algorithm>
#include <cmath>

#include "core/bench/reading_note.h"
#include "core/simulation/demo_scenario.h"

namespace glumet {
namespace {

constexpr double kTryAgain = 2.0;      ///< s after a reading that could not be stored
constexpr double kLookInterval = 0.2;  // s

}  // namespace

ProbeReading::ProbeReading(Session& session) : session_(session) {
    connect(&session, &Session::meterChanged, this, &ProbeReading::followMeter);
    followMeter();
}

SettleRule ProbeReading::rule() const {
    SettleRule rule;
    rule.relative_error = session_.bench().method.settled_relative_error;
    rule.longest = session_.bench().method.longest_reading;
    return rule;
}

double ProbeReading::progress() const {
    const auto& now = now_;
    if (!now || now->mean.value() <= 0.0) return 0.0;
    if (now->settled()) return 1.0;
    // The error falls with the root of time, so the share of the time needed is the square of its ratio.
    const double by_error = now->standard_error > 0.0
                                ? std::pow(rule().relative_error * now->mean.value() / now->standard_error, 2)
                                : 1.0;
    return std::clamp(
        std::max(std::min(by_error, now->duration / rule().shortest), now->duration / rule().longest), 0.0,
        0.99);
}

void ProbeReading::followMeter() {
    disconnect(samples_);
    disconnect(states_);
    watch_.reset();
    if (session_.meter() != nullptr) {
        samples_ = connect(session_.meter(), &Meter::sampled, this, &ProbeReading::onSample);
        states_ = connect(session_.meter(), &Meter::stateChanged, this, &ProbeReading::followState);
    }
    emit meterChanged();
}

/// A reading is never made of two stretches: what was gathered before the cable was pulled begins again.
void ProbeReading::followState(MeterState state) {
    if (state != MeterState::Lost) return;
    mean_ = SettledMean(rule());
    now_.reset();
    watch_.reset();
    emit changed();
}

void ProbeReading::setHandsFree(bool on) {
    hands_free_ = on;
    watch_.reset();
    session_.say(on ? tr("Hands free: settled means are taken; move the probe to go on.")
                    : tr("By hand: space takes the mean."));
    emit changed();
}

std::optional<MovementWatch::State> ProbeReading::awaited() const {
    return watch_ ? std::optional(watch_->state()) : std::nullopt;
}

void ProbeReading::begin() {
    armed_ = false;
    was_settled_ = false;
    mean_ = SettledMean(rule());
    now_.reset();
    looked_s_ = -1.0;
}

void ProbeReading::setWatched(bool watched) {
    if (watched && !watched_) begin();
    watched_ = watched;
}

void ProbeReading::forget() {
    hands_free_ = false;
    watch_.reset();
}

void ProbeReading::onSample(double seconds, double ppfd) {
    if (!gathering_) return;
    if (watch_) {
        const bool arrived = watch_->add(Second(seconds), Ppfd(ppfd)) == MovementWatch::State::Arrived;
        if (arrived) watch_.reset();
        emit sampled(seconds, ppfd);
        if (arrived) emit changed();
        return;
    }
    mean_.add(Second(seconds), Ppfd(ppfd));
    emit sampled(seconds, ppfd);
    // An eye sees no more than a few figures a second, and each look at the mean costs.
    if (looked_s_ >= 0.0 && seconds - looked_s_ < kLookInterval) return;
    looked_s_ = seconds;
    now_ = mean_.state();
    emit looked();
    if (now_ && now_->settled() && !was_settled_) {
        was_settled_ = true;
        emit settled();
    }
    // Elsewhere the same light is looked at for another purpose: a check, or practice.
    const bool may = !refused_s_ || seconds - *refused_s_ >= kTryAgain;
    if (now_ && now_->settled() && watched_ && may && (armed_ || hands_free_)) emit due();
}

std::optional<ProbeReading::Taken> ProbeReading::take() {
    if (watch_) {  // the hand says that the probe is there
        watch_.reset();
        emit changed();
        return std::nullopt;
    }
    now_ = mean_.state();
    const auto* meter = session_.meter();
    if (!now_) {
        session_.warn(meter == nullptr ? tr("No meter: type the value, then Enter.")
                      : meter->trouble().isEmpty()
                          ? tr("The meter has sent nothing yet.")
                          : tr("%1: Instruments (Ctrl+L) says how they are read.").arg(meter->trouble()));
        return std::nullopt;
    }
    if (!now_->settled() && !armed_) {
        armed_ = true;
        emit changed();
        return std::nullopt;
    }
    Taken out{*now_, readingFrom(*now_, Millimetre(0), Millimetre(0)), {}};
    auto& reading = out.reading;
    if (!now_->settled()) {
        reading.flag = Mark::Doubtful;
        reading.note = "taken before it settled";
    }
    if (now_->timed_out && !now_->within_error) reading.note = "not settled within the longest time";
    if (now_->left_out > 0) remark(reading, "a passing shadow left out");
    if (meter != nullptr) {
        if (meter->simulated()) remark(reading, kSimulatedRemark);
        if (const auto sample = meter->spectrum()) out.spectrum = spectrumOf(*sample);
    }
    return out;
}

void ProbeReading::kept(const Settled& settled) {
    if (!hands_free_ || session_.meter() == nullptr || session_.meter()->placesItself()) return;
    watch_.emplace(settled);
    emit changed();
}

}  // namespace glumet
