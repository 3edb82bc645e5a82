#include "desk/tank/spot_walk.h"

#include <algorithm>
#include <cmath>

#include "core/living/shade.h"
#include "core/living/walk.h"
#include "core/meter/immersion.h"
#include "core/meter/meter_correction.h"
#include "core/simulation/demo_scenario.h"
#include "meters/simulated_meter.h"
#include "report/text.h"

namespace glumet {
namespace {

/// The last run over a tank: its lamps are what the practice meter sees, its meter what the probe is.
const Run* lastRunOver(const Bench& bench, Id tank) {
    const Run* last = nullptr;
    for (const auto& run : bench.runs)
        if (run.tank == tank) last = &run;
    return last;
}

const MeterProfile* meterOver(const Bench& bench, Id tank) {
    const auto* run = lastRunOver(bench, tank);
    if (run != nullptr && byId(bench.meters, run->meter) != nullptr) return byId(bench.meters, run->meter);
    return bench.meters.size() == 1 ? &bench.meters.front() : nullptr;
}

}  // namespace

SpotWalk::SpotWalk(Session& session) : session_(session), probe_(session) {
    connect(&probe_, &ProbeReading::due, this, &SpotWalk::take);
    connect(&probe_, &ProbeReading::changed, this, &SpotWalk::changed);
    connect(&probe_, &ProbeReading::meterChanged, this, [this] {
        if (!walking()) return;
        lightPractice();
        aim(at_);
    });
    connect(&session, &Session::projectChanged, this, [this] {
        probe_.forget();
        end();
    });
    connect(&session, &Session::dataChanged, this, [this] {
        const auto gone = [&](Id id) { return byId(session_.bench().spots, id) == nullptr; };
        if (std::none_of(way_.begin(), way_.end(), gone)) return;
        std::erase_if(way_, gone);
        if (way_.empty()) return end();
        aim(std::min(at_, way_.size() - 1));
    });
}

void SpotWalk::start(Id tank) {
    tank_ = tank;
    way_ = walkOf(session_.bench(), tank, dateOf(session_.now().toStdString()));
    if (way_.empty()) return session_.warn(tr("Name spots in the tank first."));
    tilt_deg_ = 0.0;
    shaded_ = false;
    lightPractice();
    aim(0);
}

/// The practice meter sees the lamps of the last run over the tank, and its rocks.
void SpotWalk::lightPractice() {
    auto* simulated = dynamic_cast<SimulatedMeter*>(session_.meter());
    const auto* run = lastRunOver(session_.bench(), tank_);
    if (simulated == nullptr || run == nullptr) return;
    auto scene = sceneOf(session_.bench(), *run);
    scene.obstacles = rocksIn(session_.bench(), tank_);
    if (!simulated->shows(scene)) simulated->setScene(std::move(scene));
}

void SpotWalk::setWatched(bool watched) {
    probe_.setWatched(watched);
    if (!watched || !walking()) return;
    lightPractice();
    aim(at_);
}

void SpotWalk::end() {
    if (way_.empty()) return;
    way_.clear();
    at_ = 0;
    probe_.begin();
    probe_.setGathering(false);
    emit ended();
}

Id SpotWalk::spot() const { return at_ < way_.size() ? way_[at_] : 0; }

void SpotWalk::aim(std::size_t at) {
    if (at != at_) shaded_ = false;  // what was in the way there is not here
    at_ = at;
    probe_.begin();
    probe_.setGathering(true);
    if (const auto* there = byId(session_.bench().spots, spot());
        there != nullptr && session_.meter() != nullptr)
        session_.meter()->probeMoved(there->x, there->y, there->depth);
    emit changed();
}

void SpotWalk::step(int by) {
    if (!walking()) return;
    const auto next = static_cast<std::ptrdiff_t>(at_) + by;
    if (next < 0) return;
    if (next >= static_cast<std::ptrdiff_t>(way_.size())) return end();
    aim(static_cast<std::size_t>(next));
}

void SpotWalk::goTo(Id spot) {
    const auto there = std::find(way_.begin(), way_.end(), spot);
    if (there != way_.end() && spot != this->spot()) aim(static_cast<std::size_t>(there - way_.begin()));
}

void SpotWalk::setHeld(double tilt_deg, bool shaded) {
    tilt_deg_ = tilt_deg;
    shaded_ = shaded;
    emit changed();
}

/// The reason why not; empty when it is stored.
QString SpotWalk::keep(Reading reading) {
    const bool practice = session_.meter() != nullptr && session_.meter()->simulated();
    if (const auto* profile = meterOver(session_.bench(), tank_); profile != nullptr && !practice) {
        applyCorrection(reading, *profile, {});
        applyImmersion(reading, *profile, WaterState::Moving);
    }
    auto kept = spotReadingFrom(reading, session_.now().toStdString());
    kept.tilt_deg = tilt_deg_;
    kept.shaded = shaded_;
    const Id at = spot();
    const auto place = at_;
    const auto fault = session_.edit([&](Project& project) { return project.readSpot(at, kept); });
    if (!fault.isEmpty()) return fault;
    session_.say(
        tr("%1 kept at %2").arg(text(ppfdFigure(kept.mean)), text(byId(session_.bench().spots, at)->name)));
    at_ = place;
    return {};
}

void SpotWalk::take() {
    if (!walking()) return;
    const auto due = probe_.take();
    if (!due) return;
    probe_.accepted();
    if (!keep(due->reading).isEmpty()) return probe_.refused();
    const double kept = due->reading.mean.value();
    step(1);
    emit taken(kept, due->reading.flag == Mark::Doubtful);
    if (walking()) probe_.kept(due->settled);
}

bool SpotWalk::keepTyped(double ppfd) {
    if (!walking()) return false;
    if (!std::isfinite(ppfd) || ppfd < 0.0) {
        session_.warn(tr("A reading is a number of 0 or more."));
        return false;
    }
    Reading reading;
    reading.mean = Ppfd(ppfd);
    reading.note = "typed";
    if (!keep(reading).isEmpty()) return false;
    step(1);
    emit taken(ppfd, false);
    return true;
}

}  // namespace glumet
