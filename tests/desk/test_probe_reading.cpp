#include "core/bench/reading_note.h"
#include "desk/shared/probe_reading.h"
#include "desk/tank/tank_light.h"
#include "desk/window_fixture.h"
#include "runner/registry.h"

namespace desk_probe_reading {

using namespace glumet;
using glumet::testing::HandMeter;
using glumet::testing::WindowFixture;

/// What gathers a reading wherever a probe is held, and the light a living tank is compared with.
class TestProbeReading : public QObject {
    Q_OBJECT

  private slots:
    void init() {
        w_ = std::make_unique<WindowFixture>();
        QVERIFY(w_->createWithRuns({200}));
        w_->window.showStage(QStringLiteral("measure"));
        w_->settle();
        meter_ = &w_->attachMeter();
        w_->settle();
        probe_ = std::make_unique<ProbeReading>(w_->session);
    }
    void cleanup() {
        probe_.reset();
        w_.reset();
    }

    void nothingIsGatheredWithoutAPlace() {
        meter_->send(100, 3);
        QVERIFY(!probe_->state());
        probe_->setGathering(true);
        meter_->send(100, 3);
        QVERIFY(probe_->state()->within_error);
        QCOMPARE(probe_->progress(), 1.0);
        probe_->begin();
        QVERIFY(!probe_->state());
        QCOMPARE(probe_->progress(), 0.0);
    }

    void anUnsettledMeanIsArmedThenDueThenTaken() {
        probe_->setGathering(true);
        int due = 0;
        int settled = 0;
        connect(probe_.get(), &ProbeReading::due, this, [&] { ++due; });
        connect(probe_.get(), &ProbeReading::settled, this, [&] { ++settled; });
        meter_->send(120, 1.0);
        QVERIFY(!probe_->take());
        QVERIFY(probe_->armed());
        QCOMPARE(due, 0);
        meter_->send(120, 1.5);
        QVERIFY(due > 0);
        QCOMPARE(settled, 1);
        const auto taken = probe_->take();
        QVERIFY(taken);
        QCOMPARE(taken->reading.mean.value(), 120.0);
        QVERIFY(taken->reading.flag != Mark::Doubtful);
        QVERIFY(taken->reading.note.empty());
    }

    void askedTwiceItIsTakenAsItIsAndMarked() {
        probe_->setGathering(true);
        meter_->swing(120, 1.0);
        QVERIFY(!probe_->take());
        const auto taken = probe_->take();
        QVERIFY(taken);
        QCOMPARE(taken->reading.flag, Mark::Doubtful);
        QCOMPARE(taken->reading.note, std::string("taken before it settled"));
        QVERIFY(taken->reading.min < taken->reading.max);
    }

    void aShadowThatPassesIsRemarked() {
        probe_->setGathering(true);
        meter_->send(200, 4);
        meter_->send(90, 0.3);
        meter_->send(200, 3);
        const auto taken = probe_->take();
        QVERIFY(taken);
        QVERIFY(taken->reading.note.find("shadow") != std::string::npos);
        QCOMPARE(taken->reading.mean.value(), 200.0);
    }

    void withoutAMeterOrItsWordASentenceSaysSo() {
        probe_->setGathering(true);
        QVERIFY(!probe_->take());
        QVERIFY(w_->lastWord().contains(QStringLiteral("has sent nothing yet")));
        w_->session.setMeter(nullptr);
        QVERIFY(!probe_->take());
        QVERIFY(w_->lastWord().contains(QStringLiteral("No meter")));
        QVERIFY(!probe_->armed());
    }

    void handsFreeTheNextWaitsForTheProbeToMove() {
        probe_->setGathering(true);
        probe_->setHandsFree(true);
        meter_->send(150, 3);
        const auto taken = probe_->take();
        QVERIFY(taken);
        probe_->kept(taken->settled);
        probe_->begin();
        QCOMPARE(*probe_->awaited(), MovementWatch::State::Resting);
        meter_->send(150, 5);
        QVERIFY(probe_->awaited() && !probe_->state());
        meter_->send(20, 1);
        meter_->send(60, 6);
        QVERIFY(!probe_->awaited());
        QVERIFY(probe_->state());
        // Another project is no place to go on without a hand.
        probe_->forget();
        QVERIFY(!probe_->handsFree());
    }

    void whatNobodyLooksAtIsNotDue() {
        probe_->setGathering(true);
        probe_->setHandsFree(true);
        probe_->setWatched(false);
        int due = 0;
        connect(probe_.get(), &ProbeReading::due, this, [&] { ++due; });
        meter_->send(150, 5);
        QCOMPARE(due, 0);
        probe_->setWatched(true);
        meter_->send(150, 3);
        QVERIFY(due > 0);
        // What was gathered while nobody looked, wherever the probe was, is no part of a reading here.
        probe_->setWatched(false);
        meter_->send(900, 5);
        probe_->setWatched(true);
        QVERIFY(!probe_->state());
        meter_->send(150, 3);
        QCOMPARE(probe_->state()->mean.value(), 150.0);
        // One that could not be stored is not tried again at every sample.
        probe_->refused();
        const int before = due;
        meter_->send(150, 1);
        QCOMPARE(due, before);
        meter_->send(150, 2);
        QVERIFY(due > before);
        probe_->accepted();
        QVERIFY(!probe_->wasRefused());
    }

    // The light of a living tank.

    void withoutAFitThereIsNoLight() {
        TankLight light(w_->session);
        QVERIFY(!light.settle(nullptr));
        QVERIFY(!light.settle(&w_->session.bench().tanks.front()));
        QVERIFY(!light.known() && !light.asIf());
        QVERIFY(!light.with() && !light.without());
        QVERIFY(light.at({{100, 100, 100}}).empty());
    }

    void rocksTakeLightAndNothingElseDoes() {
        WindowFixture demo;
        QVERIFY(demo.openDemo());
        const auto raceway = demo.session.bench().tanks[1];
        TankLight light(demo.session);
        light.settle(&raceway);
        QTRY_VERIFY_WITH_TIMEOUT((light.settle(&raceway), light.known()), 60'000);
        const auto with = light.with();
        const auto without = light.without();
        const auto& rock = demo.session.bench().rocks.front();
        const double x = 0.5 * (rock.from_x + rock.to_x).value();
        const double y = 0.5 * (rock.from_y + rock.to_y).value();
        const double under = rock.top.value() + 20.0;
        QVERIFY(with(x, y, under) < 0.01 * without(x, y, under));
        QVERIFY(std::abs(with(x, y, 100) - without(x, y, 100)) < 1e-6 * without(x, y, 100));
        double shaded = 0.0;
        for (const auto& spot : demo.session.bench().spots) {
            const double kept = with(spot.x.value(), spot.y.value(), spot.depth.value()) /
                                without(spot.x.value(), spot.y.value(), spot.depth.value());
            QVERIFY(kept <= 1.0 + 1e-6);
            shaded = std::max(shaded, 1.0 - kept);
        }
        // Worked out in one go it is the same light.
        light.prepare(Millimetre(222), {{123, 234}, {345, 345}});
        TankLight other(demo.session);
        other.settle(&raceway);
        QVERIFY(std::abs(other.with()(345, 345, 222) / with(345, 345, 222) - 1.0) < 1e-6);
        const auto said = light.at({{345, 345, 222}});
        QCOMPARE(said.size(), std::size_t{1});
        QVERIFY(said[0].lo < said[0].ppfd && said[0].ppfd < said[0].hi);
        QVERIFY(std::abs(said[0].ppfd / with(345, 345, 222) - 1.0) < 0.02);
    }

    void lampsAsIfGoByTheirNumberAndHeight() {
        WindowFixture demo;
        QVERIFY(demo.openDemo());
        const auto cube = demo.session.bench().tanks[0];
        TankLight light(demo.session);
        LampsAsIf lamps;
        lamps.of = demo.session.sweep()->configuration;
        lamps.count = 1;
        lamps.height = Millimetre(200);
        light.hang(lamps);
        QTRY_VERIFY_WITH_TIMEOUT((light.settle(&cube), light.known()), 60'000);
        QVERIFY(light.asIf());
        const BasisField::Point middle{0.5 * cube.length.value(), 0.5 * cube.width.value(), 150};
        const double one = light.at({middle}).front().ppfd;
        lamps.height = Millimetre(400);
        light.hang(lamps);
        QVERIFY(light.settle(&cube));
        QVERIFY(light.at({middle}).front().ppfd < 0.8 * one);
        lamps.height = Millimetre(200);
        lamps.count = 3;
        light.hang(lamps);
        QVERIFY(light.settle(&cube));
        QVERIFY(light.at({middle}).front().ppfd > 1.2 * one);
        QVERIFY(!light.settle(&cube));  // nothing has changed
        lamps.count = 100'000;          // more than anybody hangs, or can be reckoned
        light.hang(lamps);
        light.settle(&cube);
        QVERIFY(!light.known());
        light.hang(std::nullopt);
        light.settle(&cube);
        QVERIFY(!light.asIf());
    }

  private:
    std::unique_ptr<WindowFixture> w_;
    HandMeter* meter_ = nullptr;
    std::unique_ptr<ProbeReading> probe_;
};

GLUMET_TEST(TestProbeReading, "desk_probe_reading", Windows)

}  // namespace desk_probe_reading

#include "test_probe_reading.moc"
