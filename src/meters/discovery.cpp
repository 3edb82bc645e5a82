#include "meters/discovery.h"

#include <algorithm>
#include <array>

namespace glumet {
namespace {

constexpr std::array kUsualBauds{115200, 9600, 19200, 38400, 57600};

}  // namespace

QList<InstrumentProfile> discoveryCandidates(const QStringList& ports,
                                             const QList<InstrumentProfile>& saved) {
    QList<InstrumentProfile> all;
    for (const auto& profile : saved)
        if (!profile.invalid() && !profile.isFile()) all << profile;
    for (const auto& port : ports)
        for (const int baud : kUsualBauds) {
            InstrumentProfile candidate;
            candidate.name = QObject::tr("%1 at %2").arg(port).arg(baud);
            candidate.place = port;
            candidate.number = baud;
            all << candidate;
        }
    return all;
}

Discovery::Discovery(const QList<InstrumentProfile>& candidates, const MonotonicClock& clock, int listen_ms,
                     QObject* parent)
    : QObject(parent), clock_(clock) {
    for (const auto& candidate : candidates) {
        const auto same = [&](const Place& place) {
            const auto& first = place.left.front();
            return first.place == candidate.place &&
                   (candidate.isSerial() || first.number == candidate.number);
        };
        const auto known = std::find_if(places_.begin(), places_.end(), same);
        if (known == places_.end())
            places_.push_back({{candidate}, nullptr, false});
        else
            known->left << candidate;
    }
    timer_.setInterval(listen_ms);
    connect(&timer_, &QTimer::timeout, this, &Discovery::nextRound);
}

Discovery::~Discovery() = default;

int Discovery::left() const {
    int count = 0;
    for (const auto& place : places_) count += place.found ? 0 : static_cast<int>(place.left.size());
    return count;
}

void Discovery::start() {
    running_ = true;
    timer_.start();
    nextRound();
}

void Discovery::nextRound() {
    if (!running_) return;
    bool any = false;
    for (std::size_t i = 0; i < places_.size(); ++i) {
        auto& place = places_[i];
        if (place.meter) place.meter->stop();
        place.meter.reset();
        if (place.found || place.left.isEmpty()) continue;
        any = true;
        const auto profile = place.left.takeFirst();
        place.meter = makeInstrument(profile, clock_);
        connect(place.meter.get(), &Meter::sampled, this,
                [this, i, profile](double /*seconds*/, double value) {
                    if (places_[i].found) return;
                    places_[i].found = true;
                    emit found(profile, value);
                });
        place.meter->start();
    }
    if (any) return;
    timer_.stop();
    running_ = false;
    emit finished();
}

}  // namespace glumet
