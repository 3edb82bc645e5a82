#include "core/survey/checks.h"

#include <QTest>
#include <cmath>

#include "core/bench/placement.h"
#include "core/bench/sweep.h"
#include "core/bench_maker.h"
#include "core/simulation/demo_scenario.h"
#include "core/survey/findings.h"

using namespace glumet;
using glumet::testing::planeOfValues;

namespace {

Fixture lamp() {
    Fixture fixture;
    fixture.id = 1;
    fixture.name = "Fern 20";
    fixture.channels = "warm white, Deep Red,blue ";
    fixture.rated_power = Watt(50);
    return fixture;
}

const Bench& demo() {
    static const Bench bench = demoReadings(3);
    return bench;
}

Run drawing(double watt, int fixtures = 1, const char* preset = "all on") {
    Run run;
    run.fixture = 1;
    run.fixtures = fixtures;
    run.preset = preset;
    auto plane = planeOfValues(150, 2, 2, [](int, int) { return 100.0; });
    for (auto& reading : plane.readings) reading.power = Watt(watt);
    run.planes = {plane};
    return run;
}

}  // namespace

class TestChecks : public QObject {
    Q_OBJECT

  private slots:
    void aPresetIsAChannelWhateverItsCase() {
        const auto fixture = lamp();
        QVERIFY(namesChannel(fixture, "deep red"));
        QVERIFY(namesChannel(fixture, " WARM WHITE "));
        QVERIFY(namesChannel(fixture, "blue"));
        QVERIFY(!namesChannel(fixture, "red"));
        QVERIFY(!namesChannel(fixture, "all on"));
        QVERIFY(!namesChannel(fixture, ""));
        QVERIFY(!namesChannel(Fixture{}, "blue"));
    }

    void theDrawIsAgainstTheRatingOfAllThatHang() {
        QCOMPARE(*drawShare(drawing(49), lamp()), 0.98);
        QCOMPARE(*drawShare(drawing(98, 2), lamp()), 0.98);
        QVERIFY(std::abs(*drawShare(drawing(49, 2), lamp()) - 0.49) < 1e-12);
    }

    void aChannelAloneHasNoRating() {
        QVERIFY(!drawShare(drawing(18, 1, "deep red"), lamp()));
        auto unrated = lamp();
        unrated.rated_power.reset();
        QVERIFY(!drawShare(drawing(49), unrated));
        auto silent = drawing(49);
        for (auto& reading : silent.planes[0].readings) reading.power.reset();
        QVERIFY(!drawShare(silent, lamp()));
    }

    void aHalfDeadPairIsDoubted() {
        Bench bench;
        bench.fixtures = {lamp()};
        bench.runs = {drawing(98, 2), drawing(49, 2), drawing(18, 1, "blue")};
        const auto doubts = [&](std::size_t run) {
            int count = 0;
            for (const auto& finding : runDoubts(bench, run, {}))
                count += finding.title.find("of its rating") != std::string::npos ? 1 : 0;
            return count;
        };
        QCOMPARE(doubts(0), 0);
        QCOMPARE(doubts(1), 1);
        QCOMPARE(doubts(2), 0);
    }

    void otherLightIsAShareOfTheDimmestPoint() {
        auto run = drawing(49);
        QVERIFY(!roomLightShare(run));
        run.dark_reading = Ppfd(2);
        QCOMPARE(*roomLightShare(run), 0.02);
        run.planes[0].readings[0].mean = Ppfd(50);
        QCOMPARE(*roomLightShare(run), 0.04);
        run.planes[0].readings[0].flag = flag::kExcluded;
        QCOMPARE(*roomLightShare(run), 0.02);
    }

    void theDemonstrationsChannelsAddUp() {
        // Three channels by themselves give what all together give, whatever their lenses.
        const auto& bench = demo();
        double all = 0.0;
        double apart = 0.0;
        int channels = 0;
        for (const auto& run : bench.runs) {
            if (run.fixture != 1 || run.accessory != 0 || run.fixtures != 1 || run.height != Millimetre(210))
                continue;
            double sum = 0.0;
            for (const auto& plane : run.planes)
                for (const auto& reading : plane.readings)
                    if (reading.counts()) sum += reading.mean.value();
            if (namesChannel(bench.fixtures[0], run.preset)) {
                apart += sum;
                ++channels;
            } else {
                all += sum;
            }
        }
        QCOMPARE(channels, 3);
        QVERIFY(std::abs(apart / all - 1.0) < 0.03);
    }

    void theDemonstrationsArraysHangWhereTheySay() {
        const auto& bench = demo();
        int read = 0;
        int planned = 0;
        for (const auto& run : bench.runs) {
            if (run.fixtures != 2) continue;
            QCOMPARE(centresOf(run.placement).size(), std::size_t{2});
            (run.planes[0].readings.empty() ? planned : read) += 1;
        }
        QCOMPARE(read, 2);
        QCOMPARE(planned, 1);
    }
};

QTEST_APPLESS_MAIN(TestChecks)
#include "test_checks.moc"
