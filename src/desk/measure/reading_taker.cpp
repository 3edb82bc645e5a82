#include "desk/measure/reading_taker.h"

#include <algorithm>
#include <cmath>

#include "core/bench/grid.h"
#include "core/bench/reading_note.h"
#include "core/meter/immersion.h"
#include "core/meter/meter_correction.h"
#include "core/simulation/demo_scenario.h"
#include "core/survey/plan_findings.h"
#include "core/survey/route.h"
#include "meters/simulated_meter.h"
#include "report/text.h"

namespace glumet {
namespace {

constexpr double kTryAgain = 2.0;      ///< s after a reading that could not be stored
constexpr double kLookInterval = 0.2;  // s

}  // namespace

ReadingTaker::ReadingTaker(Session& session) : session_(session) {
    connect(&session, &Session::meterChanged, this, &ReadingTaker::followMeter);
    connect(&session, &Session::projectChanged, this, [this] {
        plane_ = 0;  // another project has a plane of the same id
        hands_free_ = false;
        watch_.reset();
        follow();
    });
    connect(&session, &Session::selectionChanged, this, &ReadingTaker::follow);
    connect(&session, &Session::dataChanged, this, &ReadingTaker::follow);
    followMeter();
    follow();
}

SettleRule ReadingTaker::rule() const {
    SettleRule rule;
    rule.relative_error = session_.bench().method.settled_relative_error;
    rule.longest = session_.bench().method.longest_reading;
    return rule;
}

double ReadingTaker::progress() const {
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

void ReadingTaker::followMeter() {
    disconnect(samples_);
    disconnect(states_);
    plane_ = 0;
    watch_.reset();
    if (session_.meter() != nullptr) {
        samples_ = connect(session_.meter(), &Meter::sampled, this, &ReadingTaker::onSample);
        states_ = connect(session_.meter(), &Meter::stateChanged, this, &ReadingTaker::followState);
    }
    follow();
}

/// A reading is never made of two stretches: what was gathered before the cable was pulled begins again.
void ReadingTaker::followState(MeterState state) {
    if (state == MeterState::Live) return session_.say(tr("%1 is live.").arg(session_.meter()->name()));
    if (state != MeterState::Lost) return;
    session_.warn(session_.meter()->trouble());
    mean_ = SettledMean(rule());
    now_.reset();
    watch_.reset();
    emit changed();
}

void ReadingTaker::setHandsFree(bool on) {
    hands_free_ = on;
    watch_.reset();
    session_.say(on ? tr("Hands free: settled means are taken; move the probe to go on.")
                    : tr("By hand: space takes the mean."));
    emit changed();
}

std::optional<MovementWatch::State> ReadingTaker::awaited() const {
    return watch_ ? std::optional(watch_->state()) : std::nullopt;
}

void ReadingTaker::follow() {
    if (storing_) return;
    const auto* plane = session_.plane();
    if (plane == nullptr || !plane->grid) {
        plane_ = 0;
        setTarget(std::nullopt);
        return;
    }
    // An undo may bring another grid under the same id.
    const bool gone =
        target_ && (target_->column >= plane->grid->columns() || target_->row >= plane->grid->rows());
    const bool other = plane->id != plane_ || gone;
    plane_ = plane->id;
    way_ = wayOf(session_.bench(), *session_.run(), *plane);
    if (other) {
        last_.reset();
        if (auto* simulated = dynamic_cast<SimulatedMeter*>(session_.meter()))
            simulated->setScene(sceneOf(session_.bench(), *session_.run()));
        goOnFrom(*plane);
        return;
    }
    if (!target_) goOnFrom(*plane);
}

void ReadingTaker::goOnFrom(const Plane& plane) {
    const auto next = firstUnread(*plane.grid, plane.readings, way_);
    const auto due = next ? checkPointDue(plane, session_.bench().method.check_every) : std::nullopt;
    setTarget(due ? due->cell : next);
    check_ = due;
    if (due) emit changed();
}

std::optional<CheckPointKind> ReadingTaker::checking() const {
    return check_ ? std::optional(check_->kind) : std::nullopt;
}

void ReadingTaker::setTarget(std::optional<Cell> cell) {
    target_ = cell;
    check_.reset();
    armed_ = false;
    was_settled_ = false;
    mean_ = SettledMean(rule());
    now_.reset();
    looked_s_ = -1.0;
    const auto* plane = session_.plane();
    if (cell && plane != nullptr && session_.meter() != nullptr)
        session_.meter()->probeMoved(Millimetre(plane->grid->xs_mm[static_cast<std::size_t>(cell->column)]),
                                     Millimetre(plane->grid->ys_mm[static_cast<std::size_t>(cell->row)]),
                                     plane->depth);
    emit changed();
}

void ReadingTaker::onSample(double seconds, double ppfd) {
    if (!target_) return;
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
    look();
    emit looked();
    if (now_ && now_->settled() && !was_settled_) {
        was_settled_ = true;
        emit settled();
    }
    // Elsewhere the same light is looked at for another purpose: a check, or practice.
    const bool may = !refused_s_ || seconds - *refused_s_ >= kTryAgain;
    if (now_ && now_->settled() && watched_ && may && (armed_ || hands_free_)) take();
}

void ReadingTaker::look() { now_ = mean_.state(); }

Reading ReadingTaker::atTarget() const {
    const auto& grid = *session_.plane()->grid;
    Reading reading;
    reading.x = Millimetre(grid.xs_mm[static_cast<std::size_t>(target_->column)]);
    reading.y = Millimetre(grid.ys_mm[static_cast<std::size_t>(target_->row)]);
    return reading;
}

/// A failed check that nobody has overruled stops work: readings under a dead driver are worth nothing.
bool ReadingTaker::mayTake() {
    const auto stop = stoppingCheck(session_.bench(), *session_.run(), session_.now().toStdString());
    if (!stop) return true;
    armed_ = false;
    session_.warn(
        tr("No reading is taken: %1 Ctrl+B shows the check.").arg(QString::fromStdString(stop->verdict)));
    return false;
}

void ReadingTaker::take() {
    if (!target_ || session_.plane() == nullptr || !mayTake()) return;
    if (watch_) {  // the hand says that the probe is there
        watch_.reset();
        emit changed();
        return;
    }
    look();
    const auto now = now_;
    if (!now) {
        const auto* meter = session_.meter();
        session_.warn(meter == nullptr ? tr("No meter: type the value, then Enter.")
                      : meter->trouble().isEmpty()
                          ? tr("The meter has sent nothing yet.")
                          : tr("%1: Instruments (Ctrl+L) says how they are read.").arg(meter->trouble()));
        return;
    }
    if (!now->settled() && !armed_) {
        armed_ = true;
        emit changed();
        return;
    }
    const auto place = atTarget();
    auto reading = readingFrom(*now, place.x, place.y);
    if (!now->settled()) {
        reading.flag = Mark::Doubtful;
        reading.note = "taken before it settled";
    }
    if (now->timed_out && !now->within_error) reading.note = "not settled within the longest time";
    if (now->left_out > 0) remark(reading, "a passing shadow left out");
    std::optional<Spectrum> spectrum;
    if (const auto* meter = session_.meter(); meter != nullptr) {
        if (meter->simulated()) remark(reading, kSimulatedRemark);
        if (const auto sample = meter->spectrum()) spectrum = spectrumOf(*sample);
    }
    const bool waits = hands_free_ && !session_.meter()->placesItself();
    store(reading, spectrum ? &*spectrum : nullptr);
    if (waits && target_ && !refused_s_) {
        watch_.emplace(*now);
        emit changed();
    }
}

bool ReadingTaker::keepTyped(double ppfd) {
    if (!target_ || session_.plane() == nullptr || !mayTake()) return false;
    if (!std::isfinite(ppfd) || ppfd < 0.0) {
        session_.warn(tr("A reading is a number of 0 or more."));
        return false;
    }
    auto reading = atTarget();
    reading.mean = Ppfd(ppfd);
    reading.note = "typed";
    store(reading);
    return true;
}

void ReadingTaker::store(Reading reading, const Spectrum* spectrum) {
    reading.time = session_.now().toStdString();
    if (const auto draw = session_.draw()) reading.power = *draw;
    // The practice meter shows the truth under water already.
    const bool practice = session_.meter() != nullptr && session_.meter()->simulated();
    if (const auto* profile = byId(session_.bench().meters, session_.run()->meter);
        profile != nullptr && !practice) {
        applyCorrection(reading, *profile, presetName(session_.bench(), *session_.run()));
        applyImmersion(reading, *profile, session_.run()->water);
    }
    if (check_) reading.flag = check_->kind == CheckPointKind::Reference ? Mark::Reference : Mark::Repeat;
    const auto cell = *target_;
    const bool doubtful = reading.flag == Mark::Doubtful;
    storing_ = true;
    const QString fault =
        session_.edit([&](Project& project) { return project.take(plane_, reading, spectrum); });
    storing_ = false;
    refused_s_.reset();
    if (!fault.isEmpty()) {
        refused_s_ = looked_s_;
        return;
    }
    last_ = cell;
    last_kept_ = reading.mean;
    session_.say(tr("%1 kept at %2")
                     .arg(QString::fromStdString(ppfdFigure(reading.mean)),
                          QString::fromStdString(cellName(*session_.plane()->grid, cell))));
    if (const auto* plane = session_.plane(); plane != nullptr)
        goOnFrom(*plane);
    else
        setTarget(std::nullopt);
    emit taken(reading.mean.value(), doubtful);
    judge(cell);
}

/// Says at once what does not fit, while the probe is still near.
void ReadingTaker::judge(Cell cell) {
    const auto* plane = session_.plane();
    if (plane == nullptr || !plane->grid) return;
    for (const auto& doubt : session_.pointDoubts()) {
        if (doubt.cell != cell) continue;
        const QString why = tr("%1: %2. G goes back to it.")
                                .arg(QString::fromStdString(cellName(*plane->grid, cell)),
                                     text(doubt.reason, session_.unit()));
        session_.warn(why);
        emit doubted(why);
        return;
    }
}

void ReadingTaker::stepBack() {
    const auto* plane = session_.plane();
    if (plane == nullptr || !plane->grid) return;
    const auto at = target_ ? std::find(way_.begin(), way_.end(), *target_) : way_.end();
    if (at != way_.begin()) setTarget(*(at - 1));
}

void ReadingTaker::aim(Cell cell) { setTarget(cell); }

void ReadingTaker::readAgain() {
    if (last_)
        aim(*last_);
    else
        stepBack();
}

}  // namespace glumet
