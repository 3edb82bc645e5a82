#include <QTest>

#include "core/meter/movement_watch.h"
#include "core/simulation/ripple.h"
#include "runner/registry.h"

namespace core_movement_watch {

using namespace glumet;

namespace {

constexpr double kInterval = 0.05;

/// A rippling place, a settled reading at it, and the watch that follows.
struct Pond {
    explicit Pond(std::uint64_t seed, double sd) : ripple(sd, 0.3, seed) {}
    double at(double level) { return level * ripple.next(kInterval); }
    Settled settle(double level) {
        SettledMean mean;
        Settled result;
        while (!result.settled()) {
            mean.add(Second(now += kInterval), Ppfd(at(level)));
            if (const auto state = mean.state()) result = *state;
        }
        return result;
    }
    MovementWatch::State pass(MovementWatch& watch, double level, double seconds) {
        auto state = watch.state();
        for (double t = 0.0; t < seconds; t += kInterval)
            state = watch.add(Second(now += kInterval), Ppfd(at(level)));
        return state;
    }
    RippleProcess ripple;
    double now = 0.0;
};

}  // namespace

class TestMovementWatch : public QObject {
    Q_OBJECT

  private slots:
    void aRestingProbeIsLeftAlone() {
        int false_alarms = 0;
        for (std::uint64_t seed = 1; seed <= 100; ++seed) {
            Pond pond(seed, 0.10);
            MovementWatch watch(pond.settle(200.0));
            if (pond.pass(watch, 200.0, 20.0) != MovementWatch::State::Resting) ++false_alarms;
        }
        QVERIFY2(false_alarms <= 3, qPrintable(QString::number(false_alarms)));
    }

    void aMovedProbeIsNoticedOnceItIsCalm() {
        int noticed = 0;
        for (std::uint64_t seed = 1; seed <= 100; ++seed) {
            Pond pond(seed, 0.10);
            MovementWatch watch(pond.settle(200.0));
            pond.pass(watch, 60.0, 1.0);  // lifted, turned away
            QVERIFY(watch.state() != MovementWatch::State::Arrived);
            pond.pass(watch, 190.0, 4.0);
            noticed += watch.state() == MovementWatch::State::Arrived ? 1 : 0;
        }
        QVERIFY2(noticed >= 97, qPrintable(QString::number(noticed)));
    }

    void inStillWaterASmallChangeIsEnough() {
        Pond pond(1, 0.001);
        MovementWatch watch(pond.settle(200.0));
        QCOMPARE(pond.pass(watch, 200.0, 5.0), MovementWatch::State::Resting);
        QCOMPARE(pond.pass(watch, 185.0, 0.6), MovementWatch::State::Moving);
        QCOMPARE(pond.pass(watch, 185.0, 2.0), MovementWatch::State::Arrived);
    }
};

GLUMET_TEST(TestMovementWatch, "core_movement_watch", Application)

}  // namespace core_movement_watch

#include "test_movement_watch.moc"
