#include <QTest>
#include <cmath>

#include "core/bench/sweep.h"
#include "core/bench_maker.h"
#include "core/simulation/ripple.h"
#include "core/verdicts/spill_limit.h"
#include "core/words/sentence.h"
#include "runner/registry.h"

namespace core_spill_limit {

using namespace glumet;
using glumet::testing::flatSweep;
using glumet::testing::planeOfValues;

namespace {

SpillLimitVerdict judge(const Bench& bench, SpillLimitOptions options = {}) {
    return spillLimit(bench, sweepsOf(bench).front(), options);
}

bool contains(const std::string& text, const char* part) { return text.find(part) != std::string::npos; }

}  // namespace

class TestSpillLimit : public QObject {
    Q_OBJECT

  private slots:
    void theHighestHeightWithinTheLimit() {
        // A straight fall of 5 % a step: 15 % is met exactly at the fourth height.
        const auto v = judge(flatSweep({{150, 200}, {200, 190}, {250, 180}, {300, 168}, {350, 158}}));
        QVERIFY(v.speaks());
        QCOMPARE(v.height->value(), 250.0);
        QCOMPARE(v.next_height->value(), 300.0);
        QCOMPARE(v.depth_used->value(), 150.0);
        QCOMPARE(v.evidence.size(), std::size_t{5});
        QVERIFY(std::abs(v.evidence[2].loss - 0.10) < 1e-12);
        QVERIFY(v.crossing->value() > 250.0 && v.crossing->value() < 300.0);
        QVERIFY(*v.low < *v.crossing && *v.crossing < *v.high);
    }

    void theCrossingOfAStraightFall() {
        const auto v = judge(flatSweep({{100, 100}, {200, 90}, {300, 80}, {400, 70}}));
        QVERIFY(std::abs(v.crossing->value() - 250.0) < 1e-6);
    }

    void theLimitItselfIsWithin() {
        SpillLimitOptions options;
        options.limit = 0.10;
        QCOMPARE(judge(flatSweep({{100, 100}, {200, 90}, {300, 80}}), options).height->value(), 200.0);
    }

    void oneHeightCannotSpeak() {
        const auto v = judge(flatSweep({{150, 200}}));
        QVERIFY(!v.speaks());
        QVERIFY(contains(english(v.reason, LengthUnit::Mm), "two heights"));
    }

    void aRisingMeanIsSaidNotGuessed() {
        const auto v = judge(flatSweep({{150, 200}, {200, 150}, {250, 185}, {300, 120}}));
        QVERIFY(!v.speaks());
        QVERIFY(contains(english(v.reason, LengthUnit::Mm), "rises"));
        QVERIFY(contains(english(v.reason, LengthUnit::Mm), "200 mm"));
        QVERIFY(contains(english(v.reason, LengthUnit::Mm), "250 mm"));
        QCOMPARE(v.evidence.size(), std::size_t{4});
    }

    void unequalGridsAreLeftOutAndNamed() {
        auto bench = flatSweep({{150, 200}, {200, 190}, {250, 150}});
        bench.runs[1].planes = {planeOfValues(150, 3, 3, [](int, int) { return 190.0; })};
        const auto v = judge(bench);
        QVERIFY(v.speaks());
        QCOMPARE(v.evidence.size(), std::size_t{2});
        QVERIFY(contains(english(v.doubts.front(), LengthUnit::Mm), "200 mm"));
        bench.runs.pop_back();
        QVERIFY(!judge(bench).speaks());
        QVERIFY(contains(english(judge(bench).reason, LengthUnit::Mm), "200 mm"));
    }

    void aMissingPlaneIsSaid() {
        auto bench = flatSweep({{150, 200}, {200, 195}, {250, 150}});
        bench.runs[1].planes.clear();
        const auto v = judge(bench);
        QVERIFY(contains(english(v.doubts.front(), LengthUnit::Mm), "Nothing was read"));
        QVERIFY(contains(english(v.doubts.front(), LengthUnit::Mm), "200 mm"));
    }

    void insideAGapNoCrossingIsNamed() {
        const auto v = judge(flatSweep({{100, 100}, {130, 97}, {160, 94}, {300, 70}, {330, 66}}));
        QVERIFY(v.speaks());
        QCOMPARE(v.height->value(), 160.0);
        QVERIFY(!v.crossing);
        QVERIFY(contains(english(v.doubts.front(), LengthUnit::Mm), "gap"));
    }

    void aLimitNeverReachedAsksForMore() {
        const auto v = judge(flatSweep({{100, 100}, {150, 99}, {200, 96}}));
        QCOMPARE(v.height->value(), 200.0);
        QVERIFY(!v.crossing && !v.high);
        QVERIFY(contains(english(v.reason, LengthUnit::Mm), "Read higher"));
    }

    void theShallowestDepthMostHeightsShare() {
        auto bench = flatSweep({{100, 100}, {200, 80}});
        bench.runs[0].planes.insert(bench.runs[0].planes.begin(),
                                    planeOfValues(50, 2, 2, [](int, int) { return 300.0; }));
        QCOMPARE(judge(bench).depth_used->value(), 150.0);
        SpillLimitOptions options;
        options.depth = Millimetre(50);
        QVERIFY(!judge(bench, options).speaks());
    }

    void theLaterOfTwoRunsAtOneHeightCounts() {
        auto bench = flatSweep({{100, 100}, {200, 50}, {200, 90}});
        const auto v = judge(bench);
        QCOMPARE(v.evidence.size(), std::size_t{2});
        QCOMPARE(v.evidence[1].grid_mean.value(), 90.0);
        QVERIFY(contains(english(v.doubts.front(), LengthUnit::Mm), "more than once"));
    }

    void optionsNameTheirFault() {
        QVERIFY(!SpillLimitOptions{}.invalid());
        SpillLimitOptions options;
        options.limit = 1.5;
        QCOMPARE(options.invalid()->where, std::string("limit"));
        QVERIFY(!judge(flatSweep({{100, 100}, {200, 80}}), options).speaks());
        options = {};
        options.height_error = Millimetre(std::nan(""));
        QCOMPARE(options.invalid()->where, std::string("height_error"));
    }

    void darkReadingsCannotSpeak() { QVERIFY(!judge(flatSweep({{100, 0}, {200, 0}})).speaks()); }

    /// The 95 % interval must contain the true crossing about 95 times in 100: the truth is a smooth fall,
    /// the readings ripple with their stated error and the heights are set with theirs.
    void theIntervalContainsTheTruth() {
        const auto truth = [](double height) { return 300.0 / std::pow(1.0 + height / 900.0, 2.0); };
        const double wanted = truth(120.0) * 0.85;
        const double exact = 900.0 * (std::sqrt(300.0 / wanted) - 1.0);
        constexpr int kTrials = 400;
        int inside = 0;
        Noise noise(23);
        for (int trial = 0; trial < kTrials; ++trial) {
            Bench bench = flatSweep({{120, 1}, {160, 1}, {200, 1}, {240, 1}, {280, 1}});
            for (auto& run : bench.runs) {
                const double mean = truth(run.height.value() + 2.5 * noise.normal());
                for (auto& reading : run.planes.front().readings) {
                    reading.mean = Ppfd(mean * (1.0 + 0.02 * noise.normal()));
                    reading.sd = mean * 0.1;
                    reading.samples = 25.0;
                }
            }
            const auto v = judge(bench);
            if (!v.speaks() || !v.low) continue;
            const bool above = *v.low <= Millimetre(exact);
            inside += above && (!v.high || *v.high >= Millimetre(exact)) ? 1 : 0;
        }
        const double share = static_cast<double>(inside) / kTrials;
        QVERIFY2(share > 0.92 && share < 0.99, qPrintable(QString::number(share)));
    }
};

GLUMET_TEST(TestSpillLimit, "core_spill_limit", Application)

}  // namespace core_spill_limit

#include "test_spill_limit.moc"
