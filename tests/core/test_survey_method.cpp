#include "core/survey/survey_method.h"

#include <QTest>

#include "core/bench/grid.h"
#include "core/bench/placement.h"
#include "core/bench_maker.h"
#include "core/simulation/demo_scenario.h"
#include "core/survey/pace.h"
#include "core/survey/progress.h"
#include "core/survey/route.h"
#include "core/words/sentence.h"
#include "runner/registry.h"

namespace core_survey_method {

using namespace glumet;
using glumet::testing::flatSweep;

namespace {

SurveyMethod method(std::vector<double> heights, std::vector<double> depths) {
    SurveyMethod m;
    m.name = "mine";
    for (const double h : heights) m.heights.emplace_back(h);
    for (const double d : depths) m.depths.emplace_back(d);
    return m;
}

SurveySubject subjectOf(const Bench& bench) {
    return {{bench.fixtures.front().id}, bench.tanks.front().id, bench.meters.front().id};
}

std::string at(int second) {
    char text[40];
    std::snprintf(text, sizeof text, "2026-11-03T%02d:%02d:%02d", 8 + second / 3600, second / 60 % 60,
                  second % 60);
    return text;
}

/// Planned runs as if they had been stored.
std::vector<Run> numbered(std::vector<Run> runs) {
    for (std::size_t i = 0; i < runs.size(); ++i) runs[i].id = static_cast<Id>(i) + 1;
    return runs;
}

}  // namespace

class TestSurveyMethod : public QObject {
    Q_OBJECT

  private slots:
    void everyReadyMethodMakesRunsForTheDemoTank() {
        const auto bench = demoBench();
        const auto ready = readyMethods(bench.tanks.front(), bench.fixtures.front(), bench.accessories);
        QVERIFY(ready.size() >= 6);
        for (const auto& m : ready) {
            QVERIFY2(!m.invalid(), m.name.c_str());
            const auto runs = plannedRuns(bench, m, subjectOf(bench));
            QVERIFY2(runs && !runs->runs.empty(), m.name.c_str());
        }
    }

    void theMatrixIsEveryCombination() {
        const auto bench = demoBench();
        auto m = method({150, 200, 250}, {100, 300});
        m.presets = {"white", "blue"};
        m.accessories = {"", bench.accessories.front().name};
        const auto runs = plannedRuns(bench, m, subjectOf(bench));
        QCOMPARE(runs->runs.size(), std::size_t{3 * 2 * 2});
        QCOMPARE(runs->runs.front().planes.size(), std::size_t{2});
        QCOMPARE(runs->runs.front().planes.front().grid->cells(), 36);
        // What is heavy changes least: the accessory once, the height every other run.
        QCOMPARE(runs->runs[0].height, runs->runs[1].height);
        QCOMPARE(runs->runs[5].accessory, Id{0});
        QVERIFY(runs->runs[6].accessory != 0);
    }

    void whatIsPlannedAlreadyIsNotPlannedTwice() {
        auto bench = demoBench();
        const auto m = method({150, 200}, {100});
        auto first = plannedRuns(bench, m, subjectOf(bench))->runs;
        first.pop_back();
        bench.runs = first;
        const auto again = plannedRuns(bench, m, subjectOf(bench));
        QCOMPARE(again->runs.size(), std::size_t{1});
        QCOMPARE(again->runs.front().height.value(), 200.0);
    }

    void spreadsBecomePlacementsThatCanBeReadBack() {
        auto bench = demoBench();
        auto m = method({200}, {200});
        m.fixtures = 3;
        m.spreads = {Millimetre(300), Millimetre(400)};
        const auto runs = plannedRuns(bench, m, subjectOf(bench));
        QCOMPARE(runs->runs.size(), std::size_t{2});
        QCOMPARE(hangingPlaces(runs->runs[1], 600.0), (std::vector<double>{100, 300, 500}));
        QVERIFY(Placement::of("left and right").centres.empty());
        QCOMPARE(Placement::of("centres 392.5, 807.5 mm").centres.front().value(), 392.5);
        QCOMPARE(hangingPlaces(Run{}, 600.0), (std::vector<double>{300}));
        // The simulated bench hangs them there.
        QCOMPARE(sceneOf(bench, runs->runs[1]).fixtures.front().x_mm, 100.0);
    }

    void spotsAreReadByNameAndNothingElse() {
        const auto bench = demoBench();
        auto m = method({200}, {200});
        m.spots = {{"reef top", Millimetre(220), Millimetre(140)},
                   {"sand", Millimetre(400), Millimetre(300)}};
        const auto runs = plannedRuns(bench, m, subjectOf(bench));
        const auto& grid = *runs->runs.front().planes.front().grid;
        QCOMPARE(grid.plannedCells(), 2);
        QCOMPARE(cellName(grid, *cellAt(grid, Millimetre(220), Millimetre(140))), std::string("reef top"));
        QCOMPARE(serpentine(grid).size(), std::size_t{2});
    }

    void whatDoesNotFitIsNamed() {
        const auto bench = demoBench();
        const auto where = [&](const SurveyMethod& m, const SurveySubject& subject) {
            const auto runs = plannedRuns(bench, m, subject);
            return runs ? std::string("made") : runs.error().where;
        };
        const auto good = method({200}, {200});
        QCOMPARE(where(method({}, {200}), subjectOf(bench)), std::string("heights"));
        QCOMPARE(where(method({200}, {}), subjectOf(bench)), std::string("depths"));
        QCOMPARE(where(method({200}, {900}), subjectOf(bench)), std::string("depths"));
        QCOMPARE(where(good, SurveySubject{{}, 1, 1}), std::string("fixture"));
        QCOMPARE(where(good, SurveySubject{{1}, 99, 1}), std::string("tank"));
        auto accessory = good;
        accessory.accessories = {"unheard of"};
        QCOMPARE(where(accessory, subjectOf(bench)), std::string("accessory"));
        auto spreads = good;
        spreads.spreads = {Millimetre(300)};
        QCOMPARE(where(spreads, subjectOf(bench)), std::string("spreads"));
        auto spots = good;
        spots.spots = {{"far", Millimetre(900), Millimetre(10)}};
        QCOMPARE(where(spots, subjectOf(bench)), std::string("spots"));
    }

    void obstaclesLeaveTheirPointsOutOfThePlan() {
        auto bench = demoBench();
        bench.tanks.front().obstacles = {
            {"brace", Millimetre(240), Millimetre(260), Millimetre(0), Millimetre(600)}};
        const auto runs = plannedRuns(bench, method({200}, {200}), subjectOf(bench));
        QCOMPARE(runs->runs.front().planes.front().grid->plannedCells(), 30);
    }

    void paceIsTheReviewersOwn() {
        auto bench = flatSweep({{150, 100.0}, {200, 90.0}});
        QCOMPARE(paceOf(bench).points_timed, 0);
        for (auto& run : bench.runs)
            run.planes.front() = testing::planeOfValues(150, 3, 3, [](int, int) { return 5; });
        int second = 0;
        for (auto& run : bench.runs) {
            for (auto& reading : run.planes.front().readings) reading.time = at(second += 14);
            second += 300;
        }
        bench.runs[0].planes.front().readings[4].time = at(3 * 3600);  // a pause does not count
        const auto pace = paceOf(bench);
        QVERIFY(pace.points_timed >= kLeastTimed);
        QCOMPARE(pace.point.value(), 14.0);
        QCOMPARE(*secondsOf("1970-01-02T00:00:01"), 86401.0);
        QVERIFY(!secondsOf("yesterday"));
        QCOMPARE(durationText(Second(9600)), std::string("2 h 40 min"));
    }

    void theEstimateIsOfWhatIsLeft() {
        auto bench = demoBench();
        bench.runs = numbered(plannedRuns(bench, method({150, 200}, {100, 200}), subjectOf(bench))->runs);
        Pace pace;
        const auto all = estimateOf(bench.runs, pace);
        QCOMPARE(all.points, 144);
        QCOMPARE(all.usual.value(), 144 * 20.0 + 2 * 60.0 + 2 * 240.0);
        bench.runs[0].planes[0] = testing::planeOfValues(100, 6, 6, [](int, int) { return 5; });
        const auto left = estimateOf(bench.runs, pace);
        QCOMPARE(left.points, 108);
        QCOMPARE(left.planes, 3);
    }

    void workGoesOnWhereItStopped() {
        auto bench = demoBench();
        bench.runs =
            numbered(plannedRuns(bench, method({150, 200, 250}, {100, 200}), subjectOf(bench))->runs);
        QCOMPARE(whereItStopped(bench)->run, Id{1});
        // The second run's upper plane was begun last.
        auto& plane = bench.runs[1].planes[0];
        const auto way = wayOf(bench, bench.runs[1], plane);
        for (int i = 0; i < 5; ++i) {
            Reading reading;
            reading.id = i + 1;
            reading.x = Millimetre(plane.grid->xs_mm[static_cast<std::size_t>(way[i].column)]);
            reading.y = Millimetre(plane.grid->ys_mm[static_cast<std::size_t>(way[i].row)]);
            reading.mean = Ppfd(10);
            reading.flag = i == 0 ? Mark::Doubtful : Mark::None;
            plane.readings.push_back(reading);
        }
        QCOMPARE(*whereItStopped(bench), (WorkPlace{2, Millimetre(100), way[5]}));
        const auto progress = progressOf(2, plane);
        QCOMPARE(progress.planned, 36);
        QCOMPARE(progress.read, 5);
        QCOMPARE(progress.doubtful, 1);
        bench.runs.clear();
        QVERIFY(!whereItStopped(bench));
    }
};

GLUMET_TEST(TestSurveyMethod, "core_survey_method", Application)

}  // namespace core_survey_method

#include "test_survey_method.moc"
