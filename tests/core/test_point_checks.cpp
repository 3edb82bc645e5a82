#include <QTest>
#include <array>
#include <cmath>

#include "core/bench/grid.h"
#include "core/bench/sweep.h"
#include "core/bench_maker.h"
#include "core/plane/plane_statistics.h"
#include "core/simulation/demo_scenario.h"
#include "core/simulation/practice.h"
#include "core/simulation/simulated_bench.h"
#include "core/survey/field_so_far.h"
#include "core/survey/height_consistency.h"
#include "core/survey/pace.h"
#include "core/survey/point_doubts.h"
#include "core/survey/repeatability.h"
#include "core/verdicts/spill_limit.h"
#include "core/words/sentence.h"
#include "runner/registry.h"

namespace core_point_checks {

using namespace glumet;
using glumet::testing::flatSweep;
using glumet::testing::planeOfValues;

namespace {

/// A sweep of the demonstration's first fixture over its cube, as a person would read it.
Bench measured(std::uint64_t seed) {
    auto bench = demoBench();
    for (const double height : {150.0, 200.0}) {
        Run run;
        run.id = static_cast<Id>(bench.runs.size()) + 1;
        run.fixture = bench.fixtures.front().id;
        run.tank = bench.tanks.front().id;
        run.height = Millimetre(height);
        SimulatedBench sim(sceneOf(bench, run), {}, seed + static_cast<std::uint64_t>(height));
        for (const double depth : {150.0, 300.0}) {
            Plane plane;
            plane.depth = Millimetre(depth);
            plane.grid = cellCentres(Millimetre(600), Millimetre(600), 6, 6);
            for (const auto cell : serpentine(*plane.grid))
                plane.readings.push_back(
                    sim.read(Millimetre(plane.grid->xs_mm[static_cast<std::size_t>(cell.column)]),
                             Millimetre(plane.grid->ys_mm[static_cast<std::size_t>(cell.row)]), plane.depth));
            run.planes.push_back(plane);
        }
        bench.runs.push_back(run);
    }
    return bench;
}

Reading checkReading(double x, double y, double ppfd, Mark flag, const std::string& time) {
    Reading reading;
    reading.x = Millimetre(x);
    reading.y = Millimetre(y);
    reading.mean = Ppfd(ppfd);
    reading.flag = flag;
    reading.time = time;
    return reading;
}

}  // namespace

class TestPointChecks : public QObject {
    Q_OBJECT

  private slots:
    void aReadingThatIsWrongByAFifthIsFoundAlmostAlwaysAndFewSoundOnesAreDoubted() {
        int caught = 0;
        int planted = 0;
        int doubted = 0;
        int sound = 0;
        for (std::uint64_t seed = 1; seed <= 4; ++seed) {
            auto bench = measured(seed * 100);
            for (std::size_t p = 0; p < 2; ++p)
                for (const std::size_t wrong : {7U, 21U, 33U}) {
                    auto spoilt = bench;
                    auto& plane = spoilt.runs[0].planes[p];
                    plane.readings[wrong].mean = plane.readings[wrong].mean * (wrong == 21U ? 1.2 : 0.8);
                    ++planted;
                    for (const auto& misfit : misfitsOf(spoilt, spoilt.runs[0], plane)) {
                        if (misfit.reading == wrong)
                            caught += misfit.doubtful ? 1 : 0;
                        else {
                            ++sound;
                            doubted += misfit.doubtful ? 1 : 0;
                        }
                    }
                }
        }
        QVERIFY2(caught >= planted * 9 / 10, qPrintable(QStringLiteral("%1 of %2").arg(caught).arg(planted)));
        QVERIFY2(doubted * 100 <= sound * 3, qPrintable(QStringLiteral("%1 of %2").arg(doubted).arg(sound)));
    }

    void oneSlipDoesNotMakeItsNeighboursDoubtful() {
        auto bench = measured(7);
        auto& plane = bench.runs[0].planes[0];
        plane.readings[14].mean = plane.readings[14].mean * 2.0;
        int doubtful = 0;
        for (const auto& misfit : misfitsOf(bench, bench.runs[0], plane)) doubtful += misfit.doubtful ? 1 : 0;
        QVERIFY2(doubtful >= 1 && doubtful <= 3,  // of 36; without setting it aside it is a dozen
                 qPrintable(QString::number(doubtful)));
        const auto doubts = pointDoubts(bench, bench.runs[0], plane);
        QVERIFY(!doubts.empty());
        QCOMPARE(doubts.front().cell, *cellAt(*plane.grid, plane.readings[14].x, plane.readings[14].y));
        QVERIFY(doubts.front().excess > 0.7);
    }

    void aFittedFixtureJudgesTheNextHeightToo() {
        const auto bench = measured(21);
        const auto fit = fitFixture(bench, {bench.runs[0].id, bench.runs[1].id});
        QVERIFY(fit);
        // A height that took no part in the fit.
        auto later = bench;
        Run run = later.runs[0];
        run.id = 3;
        run.height = Millimetre(240);
        SimulatedBench sim(sceneOf(later, run), {}, 5);
        for (auto& plane : run.planes)
            for (auto& reading : plane.readings) reading = sim.read(reading.x, reading.y, plane.depth);
        run.planes[0].readings[10].mean = run.planes[0].readings[10].mean * 0.8;
        later.runs.push_back(run);
        const auto doubts = pointDoubts(later, later.runs[2], later.runs[2].planes[0], &*fit);
        QVERIFY(!doubts.empty() && doubts.size() <= 4);
        QCOMPARE(doubts.front().cell,
                 *cellAt(*run.planes[0].grid, run.planes[0].readings[10].x, run.planes[0].readings[10].y));
        QVERIFY(english(doubts.front().reason).find("fitted") != std::string::npos);
    }

    void tooFewReadingsJudgeNothing() {
        auto bench = measured(3);
        bench.runs.resize(1);
        bench.runs[0].planes.resize(1);
        bench.runs[0].planes[0].readings.resize(4);
        QVERIFY(misfitsOf(bench, bench.runs[0], bench.runs[0].planes[0]).empty());
    }

    void symmetryIsOfWallsAndHanging() {
        auto bench = measured(3);
        QVERIFY(isSymmetric(bench, bench.runs[0]));
        bench.runs[0].placement = Placement::of("centres 200, 500 mm");
        QVERIFY(!isSymmetric(bench, bench.runs[0]));
        bench.runs[0].placement = Placement::of("centres 150, 450 mm");
        QVERIFY(isSymmetric(bench, bench.runs[0]));
        bench.tanks[0].wall(Side::Left).kind = WallKind::Opaque;
        QVERIFY(!isSymmetric(bench, bench.runs[0]));
    }

    void repeatsTellTheScatterAndReturnsTheDrift() {
        auto bench = flatSweep({{150, 100.0}});
        auto& plane = bench.runs[0].planes[0];
        for (auto& reading : plane.readings) reading.time = "2026-11-03T08:00:00";
        const auto before = planeStatistics(plane)->mean;
        for (int i = 1; i <= 4; ++i) {
            const auto time = "2026-11-03T0" + std::to_string(8 + i) + ":00:00";
            plane.readings.push_back(checkReading(150, 150, 100.0 * (1.0 + 0.02 * i), Mark::Reference, time));
        }
        plane.readings.push_back(checkReading(450, 450, 104.0, Mark::Repeat, "2026-11-03T12:00:00"));
        const auto repeats = repeatabilityOf(bench, {bench.runs[0].id});
        QCOMPARE(repeats.pairs, 5);
        QCOMPARE(repeats.returns, 4);
        QVERIFY(std::abs(repeats.drift_per_hour - 0.02) < 1e-9);
        QVERIFY(repeats.drifts());
        QVERIFY(std::abs(repeats.largest_change - 0.08) < 1e-9);
        const double squares = 0.02 * 0.02 + 0.04 * 0.04 + 0.06 * 0.06 + 0.08 * 0.08 + 0.04 * 0.04;
        QVERIFY(std::abs(repeats.relative_sd - std::sqrt(squares / 5 / 2)) < 1e-9);
        QCOMPARE(planeStatistics(plane)->mean, before);  // checks are in no statistic
        QVERIFY(latestDrift(plane));
        QVERIFY(!sweepDoubts(bench, sweepsOf(bench).front()).empty());
    }

    void repeatsWidenTheIntervalOfTheVerdict() {
        auto bench = flatSweep({{120, 100.0}, {160, 94.0}, {200, 84.0}, {240, 70.0}});
        for (auto& run : bench.runs)
            for (auto& reading : run.planes[0].readings) {
                reading.sd = 0.1;
                reading.samples = 50.0;
            }
        const auto width = [](const Bench& b) {
            const auto sweep = sweepsOf(b).front();
            const auto verdict = spillLimit(b, sweep, spillLimitOptions(b, sweep));
            return (*verdict.high - *verdict.low).value();
        };
        const double calm = width(bench);
        for (const double ppfd : {106.0, 95.0, 104.0})
            bench.runs[0].planes[0].readings.push_back(checkReading(150, 150, ppfd, Mark::Repeat, ""));
        QVERIFY(width(bench) > calm * 1.1);
    }

    void checkPointsComeByTurns() {
        auto plane = planeOfValues(150, 4, 4, [](int, int) { return 10.0; });
        auto all = plane.readings;
        plane.readings.clear();
        QVERIFY(!checkPointDue(plane, 4));
        for (int i = 0; i < 7; ++i) plane.readings.push_back(all[static_cast<std::size_t>(i)]);
        QVERIFY(!checkPointDue(plane, 0));
        const auto first = checkPointDue(plane, 4);
        QVERIFY(first);
        const auto reference = referenceCell(*plane.grid);
        QCOMPARE(first->kind, CheckPointKind::Reference);
        QCOMPARE(first->cell, reference);
        plane.readings.push_back(checkReading(375, 225, 10.0, Mark::Reference, ""));
        QVERIFY(!checkPointDue(plane, 4));
        for (int i = 7; i < 11; ++i) plane.readings.push_back(all[static_cast<std::size_t>(i)]);
        const auto second = checkPointDue(plane, 4);
        QCOMPARE(second->kind, CheckPointKind::Repeat);
        QCOMPARE(second->cell, *cellAt(*plane.grid, all[8].x, all[8].y));
    }

    void aHeightInTheWrongModeIsNamed() {
        auto bench =
            flatSweep({{120, 100.0}, {150, 96.0}, {180, 91.0}, {210, 85.5}, {240, 79.5}, {270, 73.0}});
        const auto sweep = sweepsOf(bench).front();
        QVERIFY(heightMisfits(bench, sweep).empty());
        for (auto& reading : bench.runs[3].planes[0].readings) reading.mean = reading.mean / 1.32;
        const auto misfits = heightMisfits(bench, sweep);
        QCOMPARE(misfits.size(), std::size_t{1});
        QCOMPARE(misfits.front().run, bench.runs[3].id);
        QVERIFY(std::abs(misfits.front().excess + 0.24) < 0.03);
        QVERIFY(misfits.front().as_if_higher.value() > 50.0);
    }

    void practiceIsScoredAgainstTheTruth() {
        auto bench = measured(11);
        const auto& run = bench.runs[0];
        const auto& slipped = run.planes[0].readings[8];
        const PlantedSlip slip{slipped.x, slipped.y, run.planes[0].depth, 50.0};
        const auto sound = scoreOf(run, sceneOf(bench, run), {slip});
        QCOMPARE(sound.points, 72);
        QVERIFY(sound.rms_error > 0.005 && sound.rms_error < 0.06);
        QCOMPARE(sound.planted, 1);
        QCOMPARE(sound.mended, 1);
        auto spoilt = run;
        spoilt.planes[0].readings[8].mean = slipped.mean * 0.7;
        const auto bad = scoreOf(spoilt, sceneOf(bench, run), {slip});
        QCOMPARE(bad.mended, 0);
        QVERIFY(std::abs(bad.worst_error + 0.3) < 0.08);
        QCOMPARE(bad.worst_cell, *cellAt(*run.planes[0].grid, slipped.x, slipped.y));
    }

    /// A ruler that is off hangs the lamp elsewhere than is said, whatever height is set next; practice
    /// tells.
    void aRulerThatIsOffHoldsAllEvening() {
        auto said = demoScene();
        auto real = said;
        for (auto& fixture : real.fixtures) fixture.height_mm += 12.0;
        const BenchNoise still{.ripple_sd = 0.0, .placing_sd_mm = 0.0};
        SimulatedBench off(said, still, 1);
        BenchFaults faults;
        faults.ruler_mm = 12.0;
        off.setFaults(faults);
        SimulatedBench truth(real, still, 1);
        const auto read = [](SimulatedBench& bench) {
            return bench.read(Millimetre(300), Millimetre(300), Millimetre(150)).mean.value();
        };
        QCOMPARE(read(off), read(truth));
        off.hang(Millimetre(250));
        truth.hang(Millimetre(262));
        QCOMPARE(read(off), read(truth));
        off.setFaults({});
        truth.hang(Millimetre(250));
        QCOMPARE(read(off), read(truth));
        auto bench = measured(11);
        const auto& run = bench.runs[0];
        QVERIFY(english(scoreOf(run, sceneOf(bench, run), {}, 3.0).words())
                    .find("3 mm higher than the ruler says") != std::string::npos);
    }
};

GLUMET_TEST(TestPointChecks, "core_point_checks", Application)

}  // namespace core_point_checks

#include "test_point_checks.moc"
