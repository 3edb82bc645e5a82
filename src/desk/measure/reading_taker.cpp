#include "desk/measure/reading_taker.h"

#include <algorithm>
#include <cmath>

#include "core/bench/grid.h"
#include "core/meter/immersion.h"
#include "core/meter/meter_correction.h"
#include "core/simulation/demo_scenario.h"
#include "core/survey/plan_findings.h"
#include "core/survey/route.h"
#include "meters/simulated_meter.h"
#include "report/text.h"

namespace glumet {

ReadingTaker::ReadingTaker(Session& session) : session_(session), probe_(session) {
    connect(&probe_, &ProbeReading::meterChanged, this, &ReadingTaker::followMeter);
    connect(&probe_, &ProbeReading::sampled, this, &ReadingTaker::sampled);
    connect(&probe_, &ProbeReading::looked, this, &ReadingTaker::looked);
    connect(&probe_, &ProbeReading::settled, this, &ReadingTaker::settled);
    connect(&probe_, &ProbeReading::changed, this, &ReadingTaker::changed);
    connect(&probe_, &ProbeReading::due, this, &ReadingTaker::take);
    connect(&session, &Session::projectChanged, this, [this] {
        plane_ = 0;  // another project has a plane of the same id
        probe_.forget();
        follow();
    });
    connect(&session, &Session::selectionChanged, this, &ReadingTaker::follow);
    connect(&session, &Session::dataChanged, this, &ReadingTaker::follow);
    followMeter();
}

void ReadingTaker::followMeter() {
    disconnect(states_);
    plane_ = 0;
    if (auto* meter = session_.meter())
        states_ = connect(meter, &Meter::stateChanged, this, [this, meter](MeterState state) {
            if (state == MeterState::Live) session_.say(tr("%1 is live.").arg(meter->name()));
            if (state == MeterState::Lost) session_.warn(meter->trouble());
        });
    follow();
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
    probe_.begin();
    probe_.setGathering(cell.has_value());
    placeProbe();
    emit changed();
}

void ReadingTaker::placeProbe() {
    const auto* plane = session_.plane();
    if (!target_ || plane == nullptr || session_.meter() == nullptr) return;
    const auto at = atTarget();
    session_.meter()->probeMoved(at.x, at.y, plane->depth);
}

/// Another stage may have led the practice meter elsewhere meanwhile.
void ReadingTaker::setWatched(bool watched) {
    probe_.setWatched(watched);
    auto* simulated = dynamic_cast<SimulatedMeter*>(session_.meter());
    if (!watched || simulated == nullptr || session_.plane() == nullptr) return;
    auto scene = sceneOf(session_.bench(), *session_.run());
    if (simulated->shows(scene)) return;
    simulated->setScene(std::move(scene));
    placeProbe();
}

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
    probe_.disarm();
    session_.warn(
        tr("No reading is taken: %1 Ctrl+B shows the check.").arg(QString::fromStdString(stop->verdict)));
    return false;
}

void ReadingTaker::take() {
    if (!target_ || session_.plane() == nullptr || !mayTake()) return;
    auto taken = probe_.take();
    if (!taken) return;
    const auto place = atTarget();
    taken->reading.x = place.x;
    taken->reading.y = place.y;
    store(taken->reading, taken->spectrum ? &*taken->spectrum : nullptr);
    if (target_ && !probe_.wasRefused()) probe_.kept(taken->settled);
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
    probe_.accepted();
    if (!fault.isEmpty()) return probe_.refused();
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
