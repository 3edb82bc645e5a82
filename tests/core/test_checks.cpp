#include "core/survey/checks.h"

#include <QTest>
#include <cmath>

#include "core/bench/placement.h"
#include "core/bench/sweep.h"
#include "core/bench_maker.h"
#include "core/simulation/demo_scenario.h"
#include "core/survey/findings.h"
#include "core/words/sentence.h"
#include "runner/registry.h"

namespace core_checks {

using namespace glumet;
using glumet::testing::planeOfValues;

namespace {

Fixture lamp() {
    Fixture fixture;
    fixture.id = 1;
    fixture.name = "Fern 20";
    setChannelNames(fixture, "warm white, Deep Red,blue ");
    fixture.presets = {{1, "all on", {}},
                       {2, "deep red", {}},
                       {3, " WARM WHITE ", {}},
                       {4, "blue alone", {}},
                       {5, "red", {}}};
    linkPresets(fixture);
    fixture.rated_power = Watt(50);
    return fixture;
}

const Bench& demo() {
    static const Bench bench = demoReadings(3);
    return bench;
}

Run drawing(double watt, int fixtures = 1, Id preset = 1) {
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
        QCOMPARE(soleChannel(fixture, 2)->name, std::string("Deep Red"));
        QCOMPARE(soleChannel(fixture, 3)->name, std::string("warm white"));
        QCOMPARE(soleChannel(fixture, 4)->name, std::string("blue"));
        QVERIFY(soleChannel(fixture, 5) == nullptr);
        QVERIFY(soleChannel(fixture, 1) == nullptr);
        QVERIFY(soleChannel(fixture, 0) == nullptr);
        QVERIFY(soleChannel(Fixture{}, 2) == nullptr);
    }

    void theDrawIsAgainstTheRatingOfAllThatHang() {
        QCOMPARE(*drawShare(drawing(49), lamp()), 0.98);
        QCOMPARE(*drawShare(drawing(98, 2), lamp()), 0.98);
        QVERIFY(std::abs(*drawShare(drawing(49, 2), lamp()) - 0.49) < 1e-12);
    }

    void aChannelAloneHasNoRating() {
        QVERIFY(!drawShare(drawing(18, 1, 2), lamp()));
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
        bench.runs = {drawing(98, 2), drawing(49, 2), drawing(18, 1, 4)};
        for (std::size_t i = 0; i < bench.runs.size(); ++i) bench.runs[i].id = static_cast<Id>(i) + 1;
        const auto doubts = [&](Id run) {
            int count = 0;
            for (const auto& finding : runDoubts(bench, run))
                count += english(finding.title).find("of its rating") != std::string::npos ? 1 : 0;
            return count;
        };
        QCOMPARE(doubts(1), 0);
        QCOMPARE(doubts(2), 1);
        QCOMPARE(doubts(3), 0);
    }

    void otherLightIsAShareOfTheDimmestPoint() {
        auto run = drawing(49);
        QVERIFY(!roomLightShare(run));
        run.dark_reading = Ppfd(2);
        QCOMPARE(*roomLightShare(run), 0.02);
        run.planes[0].readings[0].mean = Ppfd(50);
        QCOMPARE(*roomLightShare(run), 0.04);
        run.planes[0].readings[0].flag = Mark::Excluded;
        QCOMPARE(*roomLightShare(run), 0.02);
    }

    void theDemonstrationsChannelsAddUp() {
        // Three channels by themselves give what all together give, whatever their lenses.
        const auto& bench = demo();
        double all = 0.0;
        double apart = 0.0;
        int channels = 0;
        for (const auto& run : bench.runs) {
            if (run.fixture != 1 || run.accessory != 0 || run.fixtures != 1 ||
                run.height != Millimetre(210) || run.hours != 100.0)
                continue;
            double sum = 0.0;
            for (const auto& plane : run.planes)
                for (const auto& reading : plane.readings)
                    if (reading.counts()) sum += reading.mean.value();
            if (soleChannel(bench.fixtures[0], run.preset) != nullptr) {
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
            QCOMPARE(run.placement.centres.size(), std::size_t{2});
            (run.planes[0].readings.empty() ? planned : read) += 1;
        }
        QCOMPARE(read, 2);
        QCOMPARE(planned, 1);
    }
};

GLUMET_TEST(TestChecks, "core_checks", Nothing)

}  // namespace core_checks

#include "test_checks.moc"
