#include "core/survey/commission.h"

#include <QTest>
#include <cmath>

#include "core/bench_maker.h"
#include "core/simulation/ripple.h"
#include "core/survey/plan_findings.h"
#include "core/words/finding.h"
#include "core/words/sentence.h"
#include "runner/registry.h"

namespace core_commission {

using namespace glumet;
using glumet::testing::flatSweep;

namespace {

const std::string kToday = "2026-11-25T10:00:00";

CommissionCheck check(Id run, CheckKind kind, bool passed, const std::string& subject = {}) {
    CommissionCheck c;
    c.id = 1;
    c.run = run;
    c.kind = kind;
    c.passed = passed;
    c.subject = subject;
    c.verdict = passed ? "fine" : "not fine";
    c.time = kToday;
    return c;
}

const CommissionState& state(const std::vector<CommissionState>& states, CheckKind kind) {
    return states[static_cast<std::size_t>(kind)];
}

}  // namespace

class TestCommission : public QObject {
    Q_OBJECT

  private slots:
    void theAnchorsBearFiveTimesTheLoad() {
        QVERIFY(judgeHanging(20.0, 2.0, 2, Tether::On).passed);
        const auto weak = judgeHanging(19.9, 2.0, 2, Tether::On);
        QVERIFY(!weak.passed);
        QVERIFY(english(weak.sentence).find("stronger anchors") != std::string::npos);
        QVERIFY(!judgeHanging(100.0, 2.0, 1, Tether::None).passed);
        QVERIFY(!judgeHanging(100.0, 2.0, 1, Tether::SomebodyBelow).passed);
        QVERIFY(!judgeHanging(-1.0, 2.0, 1, Tether::On).passed);
        const auto unknown = judgeHanging(100.0, 0.0, 1, Tether::On);
        QVERIFY(!unknown.passed);
        QVERIFY(english(unknown.sentence).find("mass is not described") != std::string::npos);
    }

    void eyesAndHandsAreLookedAt() {
        QVERIFY(judgeEyesAndHands(EyesAndHandsState::Safe).passed);
        for (const auto state : {EyesAndHandsState::NoEyewear, EyesAndHandsState::Wet,
                                 EyesAndHandsState::NoResidualCurrentProtection})
            QVERIFY(!judgeEyesAndHands(state).passed);
    }

    void aHalfDeadDriverStops() {
        QVERIFY(judgeDraw(Watt(61), Watt(62), std::nullopt, "").passed);
        const auto half = judgeDraw(Watt(33), Watt(62), std::nullopt, "");
        QVERIFY(!half.passed);
        QVERIFY(english(half.sentence).find("53 %") != std::string::npos);
        QVERIFY(
            judgeDraw(Watt(33), Watt(62), Watt(0.55 * 62), "").passed);  // at this level that is its share
        QVERIFY(!judgeDraw(Watt(80), Watt(62), std::nullopt, "").passed);
        QVERIFY(judgeDraw(Watt(20), std::nullopt, std::nullopt, "").passed);
        QVERIFY(!judgeDraw(Watt(-1), Watt(62), std::nullopt, "").passed);
    }

    void aDarkChannelStops() {
        QVERIFY(judgeDraw(Watt(12), Watt(62), std::nullopt, "blue").passed);
        QVERIFY(!judgeDraw(Watt(0.2), Watt(62), std::nullopt, "blue").passed);
        QVERIFY(judgeChannelSum({Watt(20), Watt(42)}, Watt(60)).passed);
        QVERIFY(!judgeChannelSum({Watt(20), Watt(42)}, Watt(40)).passed);
    }

    void aWarmingLampIsToldFromASteadyOne() {
        QVERIFY(!judgeWarmUp(rateAfter(0.08, 60.0)).passed);
        QVERIFY(judgeWarmUp(rateAfter(0.08, 45 * 60.0)).passed);
        QVERIFY(!WarmUpWatch().rate());
    }

    void theRateIsRightWithinItsError() {
        int inside = 0;
        constexpr int kTimes = 200;
        for (int i = 0; i < kTimes; ++i) {
            const auto rate = rateAfter(0.0, 200.0, static_cast<std::uint64_t>(i) + 1);
            inside += std::abs(rate.per_minute) < 1.96 * rate.standard_error ? 1 : 0;
        }
        QVERIFY2(inside > kTimes * 90 / 100, qPrintable(QString::number(inside)));
        QVERIFY(inside < kTimes);
    }

    void rippleTooStrongToTellIsSaid() {
        QVERIFY(!judgeWarmUp({0.0005, 0.02}).passed);
        QVERIFY(judgeWarmUpPercent(0.1).passed);
        QVERIFY(!judgeWarmUpPercent(-0.6).passed);
    }

    void otherLightIsFoundAgainstTheDimmestPoint() {
        const auto bench = flatSweep({{150, 200.0}});
        QVERIFY(judgeDark(Ppfd(1.5), bench.runs.front()).passed);
        QVERIFY(!judgeDark(Ppfd(7.5), bench.runs.front()).passed);
        QVERIFY(judgeDark(Ppfd(0.4), Run{}).passed);
        QVERIFY(!judgeDark(Ppfd(3.0), Run{}).passed);
    }

    void theFactorIsUsedOnceAndOnlyOnce() {
        MeterProfile meter;
        meter.immersion_factor = 1.08;
        const auto passes = [&](ImmersionBy by, bool water_mode, WaterState water = WaterState::Still) {
            meter.immersion_by = by;
            return judgeMeterMode(water_mode, meter, water).passed;
        };
        QVERIFY(passes(ImmersionBy::MeterMode, true));
        QVERIFY(!passes(ImmersionBy::MeterMode, false));
        QVERIFY(passes(ImmersionBy::Glumet, false));
        QVERIFY(!passes(ImmersionBy::Glumet, true));
        QVERIFY(!passes(ImmersionBy::Nobody, false));
        QVERIFY(!passes(ImmersionBy::MeterMode, true, WaterState::Dry));
        meter.immersion_factor = 1.0;
        QVERIFY(passes(ImmersionBy::Nobody, false));
    }

    void heightTiltWaterAndSunHaveTheirLimits() {
        Run run;
        run.height = Millimetre(200);
        QVERIFY(judgeHeight(Millimetre(204), run, Millimetre(2.5)).passed);
        QVERIFY(!judgeHeight(Millimetre(212), run, Millimetre(2.5)).passed);
        QVERIFY(judgeTilt(1.5).passed);
        QVERIFY(!judgeTilt(-4.0).passed);
        QVERIFY(judgeWater(WaterState::Still, run).passed);
        QVERIFY(!judgeWater(WaterState::Moving, run).passed);
        MeterProfile meter;
        QVERIFY(judgeMeterTruth(Ppfd(1900), Ppfd(kNoonSun), kNoonSunUncertainty, meter).passed);
        QVERIFY(!judgeMeterTruth(Ppfd(1400), Ppfd(kNoonSun), kNoonSunUncertainty, meter).passed);
        QVERIFY(!judgeMeterTruth(Ppfd(240), Ppfd(200), 0.05, meter).passed);
    }

    void aCheckHoldsForTheDaysOtherRunsButHeightDoesNot() {
        auto bench = flatSweep({{150, 100.0}, {200, 90.0}});
        bench.checks = {check(1, CheckKind::Draw, true), check(1, CheckKind::Height, true)};
        const auto states = commissionOf(bench, bench.runs[1], kToday);
        QVERIFY(!state(states, CheckKind::Draw).open());
        QVERIFY(state(states, CheckKind::Height).open());
        QVERIFY(state(commissionOf(bench, bench.runs[1], "2026-11-26T09:00:00"), CheckKind::Draw).open());
        QVERIFY(!state(commissionOf(bench, bench.runs[0], "2026-11-26T09:00:00"), CheckKind::Draw).open());
    }

    void aFailedPartStopsUntilItIsMendedOrOverruled() {
        auto bench = flatSweep({{150, 100.0}});
        bench.checks = {check(1, CheckKind::Draw, false, "blue"), check(1, CheckKind::Draw, true, "red")};
        QVERIFY(stoppingCheck(bench, bench.runs[0], kToday));
        QCOMPARE(commissionFindings(bench, 1, kToday).front().kind, FindingKind::Doubt);
        auto mended = bench;
        mended.checks.push_back(check(1, CheckKind::Draw, true, "white"));  // a third does not lift it
        QVERIFY(stoppingCheck(mended, mended.runs[0], kToday));
        mended.checks.push_back(check(1, CheckKind::Draw, true, "blue"));
        QVERIFY(!stoppingCheck(mended, mended.runs[0], kToday));
        bench.checks[0].overruled = "the blue driver is known to be dead";
        QVERIFY(!stoppingCheck(bench, bench.runs[0], kToday));
        QVERIFY(english(commissionFindings(bench, 1, kToday).front().body).find("known to be dead") !=
                std::string::npos);
    }

  private:
    /// What a watch says three minutes after a lamp has been on for `since` seconds.
    static WarmUpRate rateAfter(double excess, double since, std::uint64_t seed = 3) {
        RippleProcess ripple(0.01, 0.3, seed);
        WarmUpWatch watch;
        for (double t = 0.0; t < 200.0; t += 0.05) {
            const double warm = 1.0 + excess * std::exp(-(since + t) / 480.0);
            watch.add(Second(t), Ppfd(200.0 * warm * ripple.next(0.05)));
        }
        return *watch.rate();
    }
};

GLUMET_TEST(TestCommission, "core_commission", Application)

}  // namespace core_commission

#include "test_commission.moc"
