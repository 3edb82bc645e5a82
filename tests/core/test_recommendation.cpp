#include "core/verdicts/recommendation.h"

#include <QTest>

#include "core/bench_maker.h"
#include "core/fit/fit_as_described.h"
#include "core/simulation/demo_scenario.h"
#include "core/verdicts/goals.h"
#include "runner/registry.h"

namespace core_recommendation {

using namespace glumet;
using glumet::testing::planeOfValues;

namespace {

/// A run over a described cube, its planes as given.
Bench cube(std::vector<Plane> planes) {
    Bench bench;
    Tank tank;
    tank.id = 1;
    bench.tanks = {tank};
    Fixture fixture;
    fixture.id = 1;
    fixture.name = "Fern 20";
    bench.fixtures = {fixture};
    Run run;
    run.id = 1;
    run.fixture = 1;
    run.tank = 1;
    run.height = Millimetre(200);
    run.planes = std::move(planes);
    bench.runs = {run};
    return bench;
}

Goal goalOf(double low, double high) {
    Goal goal;
    goal.band = {Ppfd(low), Ppfd(high)};
    return goal;
}

struct Fitted {
    Bench bench = demoReadings(11);
    std::vector<Sweep> sweeps = sweepsOf(bench);
    const Sweep& sweep = sweeps.front();
    FitResult fit = *fitAsDescribed(bench, sweep);
};
const Fitted& demo() {
    static const Fitted fitted;
    return fitted;
}

}  // namespace

class TestRecommendation : public QObject {
    Q_OBJECT

  private slots:
    void whatWasReadSpeaksWhereItIsEnough() {
        // 18 points of 300, 18 of 200: at 50 % all lie within 90–160.
        const auto bench = cube({planeOfValues(150, 6, 6, [](int, int j) { return j < 3 ? 300.0 : 200.0; })});
        const auto made =
            recommend(bench, sweepsOf(bench).front(), nullptr, {1, goalOf(90, 160), Millimetre(200)});
        QVERIFY(made.speaks() && made.read && made.enough);
        QCOMPARE(made.count, 1);
        QVERIFY(!made.spacing());
        QCOMPARE(made.level.best.share, 1.0);
        // Between 45 % (200 reaches 90) and 53 % (300 stays under 160).
        QVERIFY(made.level.best.level_pct >= 45.0 && made.level.best.level_pct <= 53.0);
        QCOMPARE(made.mean.value(), 250.0 * made.level.best.level_pct / 100.0);
        QCOMPARE(made.dli, made.mean.value() * 10.0 * 3600.0 / 1e6);
    }

    void aDimmedRunIsBroughtToFullLevel() {
        auto bench = cube({planeOfValues(150, 6, 6, [](int, int) { return 100.0; })});
        bench.runs.front().level_pct = 50.0;
        const auto made =
            recommend(bench, sweepsOf(bench).front(), nullptr, {1, goalOf(190, 210), Millimetre(200)});
        QVERIFY(made.enough);
        QVERIFY(qAbs(made.mean.value() - 200.0) < 10.0);
    }

    void onlyTheGoalsZoneIsJudged() {
        const auto bench = cube({planeOfValues(100, 6, 6, [](int, int) { return 900.0; }),
                                 planeOfValues(400, 6, 6, [](int, int) { return 100.0; })});
        auto goal = goalOf(90, 110);
        const RecommendationQuestion whole{1, goal, Millimetre(200)};
        QVERIFY(!recommend(bench, sweepsOf(bench).front(), nullptr, whole).enough);
        goal.zone_from = Millimetre(300);
        goal.zone_to = Millimetre(500);
        QVERIFY(recommend(bench, sweepsOf(bench).front(), nullptr, {1, goal, Millimetre(200)}).enough);
    }

    void withoutAFitWhatIsNotEnoughIsSaidToBeNot() {
        const auto bench = cube({planeOfValues(150, 6, 6, [](int i, int) { return i < 3 ? 500.0 : 50.0; })});
        const auto made =
            recommend(bench, sweepsOf(bench).front(), nullptr, {1, goalOf(190, 210), Millimetre(200)});
        QVERIFY(made.speaks() && made.read && !made.enough);
        // Nothing was read at that height, and no fit speaks.
        const auto silent =
            recommend(bench, sweepsOf(bench).front(), nullptr, {1, goalOf(190, 210), Millimetre(300)});
        QVERIFY(!silent.speaks());
        QCOMPARE(silent.status(), VerdictStatus::Silent);
    }

    /// Of the raceway, twice as long as the cube, which nobody read with one.
    void severalAreModelledOverALongerTank() {
        const auto raceway = demo().bench.tanks.at(1).id;
        RecommendationQuestion asked{raceway, demo().bench.method.goal, Millimetre(210)};
        const auto made = recommend(demo().bench, demo().sweep, &demo().fit, asked);
        QVERIFY(made.speaks() && !made.read);
        QVERIFY(made.count > 1);
        QCOMPARE(made.centres_mm.size(), static_cast<std::size_t>(made.count));
        QVERIFY(made.spacing()->value() > 100.0);
        QVERIFY(made.share_low && *made.share_low <= made.level.best.share &&
                *made.share_high >= made.level.best.share);
        // It says no less than the table of numbers, which tries every spacing of every number.
        ArrayQuestion all;
        all.tank = tankByFit(demo().fit, demo().bench.tanks.at(1), false);
        all.height = Millimetre(210);
        all.goal = demo().bench.method.goal;
        const auto rows = counts(demo().fit.model.elsewhere(), all, 1.1, made.count);
        QVERIFY(rows && rows->size() == static_cast<std::size_t>(made.count));
        double best = 0.0;
        for (const auto& row : *rows) best = std::max(best, row.share);
        QVERIFY2(made.level.best.share >= best - 0.031, qPrintable(QString::number(made.level.best.share)));
        // A band wide enough for anybody takes fewer.
        asked.goal = goalOf(1, 5000);
        const auto few = recommend(demo().bench, demo().sweep, &demo().fit, asked);
        QVERIFY(few.enough);
        QCOMPARE(few.count, 1);
    }

    void goalsThatOneServesAndThoseItDoesNot() {
        const auto even = cube({planeOfValues(150, 6, 6, [](int, int) { return 200.0; })});
        const auto all = goalsServed(even.runs.front(), readyGoals());
        QVERIFY(all.not_served.size() == 1);  // those that want more than it gives
        QCOMPARE(all.not_served.front().asked.name, std::string("small-polyp stony corals"));
        const auto uneven =
            cube({planeOfValues(150, 6, 6, [](int i, int j) { return 10.0 * (1 + i * 6 + j); })});
        QVERIFY(goalsServed(uneven.runs.front(), readyGoals()).served.empty());
    }
};

GLUMET_TEST(TestRecommendation, "core_recommendation", Application)

}  // namespace core_recommendation

#include "test_recommendation.moc"
