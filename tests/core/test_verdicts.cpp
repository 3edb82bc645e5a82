#include <QTest>
#include <algorithm>
#include <cmath>

#include "core/bench/grid.h"
#include "core/bench/sweep.h"
#include "core/bench_maker.h"
#include "core/lamp_maker.h"
#include "core/simulation/demo_scenario.h"
#include "core/verdicts/enough.h"
#include "core/verdicts/goals.h"
#include "core/verdicts/school_findings.h"
#include "core/words/finding.h"
#include "core/words/sentence.h"
#include "runner/registry.h"

namespace core_verdicts {

using namespace glumet;
using glumet::testing::lamp;
using glumet::testing::over;
using glumet::testing::planeOfValues;

namespace {

/// A sweep whose cell (i, j) reads value(height, i, j) on a 4 × 4 grid at 150 mm.
Bench sweepOf(const std::vector<double>& heights, const std::function<double(double, int, int)>& value) {
    Bench bench;
    Fixture fixture;
    fixture.id = 1;
    fixture.name = "Fern 20";
    bench.fixtures = {fixture};
    for (const double height : heights) {
        Run run;
        run.id = static_cast<Id>(bench.runs.size()) + 1;
        run.fixture = 1;
        run.height = Millimetre(height);
        run.planes = {planeOfValues(150, 4, 4, [&](int i, int j) { return value(height, i, j); })};
        bench.runs.push_back(run);
    }
    return bench;
}

bool inner(int i, int j) { return i > 0 && i < 3 && j > 0 && j < 3; }

}  // namespace

class TestVerdicts : public QObject {
    Q_OBJECT

  private slots:
    void theFlattestHeightIsFoundBetweenTheMeasured() {
        // Centre over edge falls with height, through 1 at 190 mm.
        const auto bench = sweepOf({120, 160, 200, 240, 280}, [](double h, int i, int j) {
            return inner(i, j) ? 100.0 * std::exp((190.0 - h) / 300.0) : 100.0;
        });
        const auto verdict = flattestField(bench, sweepsOf(bench).front(), {});
        QVERIFY(verdict.speaks());
        QCOMPARE(verdict.height->value(), 200.0);
        QVERIFY(std::abs(verdict.crossing->value() - 190.0) < 25.0);
        QVERIFY(*verdict.low <= *verdict.crossing && *verdict.crossing <= *verdict.high);
        QCOMPARE(verdict.evidence.size(), std::size_t{5});
    }

    void tooLittleForASchoolIsSaid() {
        const auto bench = sweepOf({120, 160}, [](double, int, int) { return 100.0; });
        const auto sweep = sweepsOf(bench).front();
        for (const auto& school : heightSchools(bench, sweep, {})) QVERIFY(!school.reason.empty());
        SchoolOptions asked;
        asked.spill.limit = 0.2;
        const auto all = heightSchools(bench, sweep, asked);
        QCOMPARE(all[0].status(), VerdictStatus::Ready);
        QCOMPARE(all[1].status(), VerdictStatus::Silent);
        for (const auto& school : all) QCOMPARE(school.asked.spill.limit, 0.2);
        QCOMPARE(all[0].used(), sweep.runs);
        // Of a height that was read twice the latest run counts, and is the one that is named.
        auto twice = sweepOf({120, 160, 160}, [](double, int, int) { return 100.0; });
        const auto again = sweepsOf(twice).front();
        for (const auto& school : heightSchools(twice, again, {}))
            if (!school.evidence.empty())
                QCOMPARE(school.used(), (std::vector<Id>{again.runs.front(), again.runs.back()}));
        asked.spill.limit = 2.0;
        QCOMPARE(heightSchools(bench, sweep, asked)[0].status(), VerdictStatus::Failed);
        QVERIFY(!flattestField(bench, sweep, {}).speaks());
        QVERIFY(!makersRange(bench, sweep, {}).speaks());
    }

    void bandFillTakesTheHeightThatFitsBest() {
        const auto bench = sweepOf({120, 200, 280}, [](double h, int i, int j) {
            const double spread = h < 150 ? 4.0 : h < 250 ? 1.5 : 2.6;
            return inner(i, j) ? 200.0 * spread : 200.0;
        });
        SchoolOptions options;
        options.band = {Ppfd(150), Ppfd(300)};
        const auto verdict = bandFill(bench, sweepsOf(bench).front(), options);
        QCOMPARE(verdict.height->value(), 200.0);
        QVERIFY(english(verdict.reason, LengthUnit::Cm).find("100 %") != std::string::npos);
        options.band = {Ppfd(5000), Ppfd(6000)};
        QVERIFY(!bandFill(bench, sweepsOf(bench).front(), options).speaks());
    }

    void thePeakCapIsTheLowestHeightBelowTheCeiling() {
        const auto bench = sweepOf({100, 200, 300}, [](double h, int i, int j) {
            return (inner(i, j) ? 400.0 : 200.0) * 100.0 / h;
        });
        SchoolOptions options;
        options.ceiling = Ppfd(250);
        const auto verdict = peakCap(bench, sweepsOf(bench).front(), options);
        QCOMPARE(verdict.height->value(), 200.0);
        QVERIFY(verdict.crossing->value() > 150.0 && verdict.crossing->value() < 180.0);
        options.ceiling = Ppfd(50);
        QVERIFY(!peakCap(bench, sweepsOf(bench).front(), options).speaks());
    }

    void theMakersClaimFailsWhereItDoes() {
        auto bench =
            sweepOf({100, 200, 300}, [](double h, int, int) { return h > 250 ? 60.0 : 110.0 - h * 0.1; });
        bench.fixtures[0].claimed_height_low = Millimetre(150);
        bench.fixtures[0].claimed_height_high = Millimetre(350);
        const auto verdict = makersRange(bench, sweepsOf(bench).front(), {});
        QCOMPARE(verdict.height->value(), 200.0);
        QVERIFY(english(verdict.reason, LengthUnit::Cm).find("more light is lost") != std::string::npos);
        bench.fixtures[0].claimed_height_low = bench.fixtures[0].claimed_height_high = Millimetre(900);
        QVERIFY(!makersRange(bench, sweepsOf(bench).front(), {}).speaks());
    }

    void schoolsSayWhereTheyAgree() {
        const auto school = [](HeightSchool name, std::optional<double> height) {
            SchoolVerdict verdict;
            verdict.school = name;
            if (height) verdict.height = Millimetre(*height);
            return verdict;
        };
        const auto headline = school(HeightSchool::SpillLimit, 200);
        const auto some =
            schoolsFinding({headline, school(HeightSchool::Flattest, 210),
                            school(HeightSchool::BandFill, 300), school(HeightSchool::PeakCap, std::nullopt)},
                           headline);
        QCOMPARE(english(some->title), std::string("Flattest agrees"));
        QVERIFY(english(some->body).find("band fill 300 mm") != std::string::npos);
        QVERIFY(english(some->body).find("Silent: peak cap") != std::string::npos);
        const auto none = schoolsFinding({headline, school(HeightSchool::MakersRange, 400)}, headline);
        QCOMPARE(english(none->title), std::string("No other school agrees"));
        QVERIFY(!schoolsFinding({headline}, headline));
        // An interval that holds the height agrees however far its middle lies.
        auto wide = school(HeightSchool::Flattest, 260);
        wide.low = Millimetre(180);
        wide.high = Millimetre(320);
        QCOMPARE(english(schoolsFinding({headline, wide}, headline)->title), std::string("Flattest agrees"));
    }

    void theBestLevelHasAPlateau() {
        const auto best = bestLevel({300, 330, 360}, {Ppfd(150), Ppfd(200)});
        QCOMPARE(best.share, 1.0);
        QVERIFY(best.level_pct >= 50.0 && best.level_pct <= 55.0);
        QVERIFY(best.plateau_low_pct <= best.level_pct && best.level_pct <= best.plateau_high_pct);
        QCOMPARE(bestLevel({10, 20}, {Ppfd(150), Ppfd(200)}).share, 0.0);
        Goal goal;
        goal.band = {Ppfd(150), Ppfd(200)};
        const auto verdict = goalLevel({{300, 330, 360}, {}}, goal);
        QVERIFY(verdict.five_less < 1.0);
        QVERIFY(!verdict.reason.empty());
    }

    void equalDivisionComesFirstAndStepsAreFiveMillimetres() {
        auto question = over(1200);
        const auto answer = spacing(lamp(), question);
        QVERIFY(answer);
        QCOMPARE(answer->steps[1].outward_mm - answer->steps[0].outward_mm, 5.0);
        // Bodies of 120 mm meet the ends when the outer ones have moved from 400 to 60 mm.
        QCOMPARE(answer->steps.back().outward_mm, 340.0);
        // Moving outward brightens the edge and dims the middle.
        QVERIFY(answer->steps.back().share > answer->steps.front().share);
    }

    void theEdgeShareIsTheFirstStepThatReachesIt() {
        auto question = over(1200);
        const auto probe = spacing(lamp(), question);
        question.share = probe->steps[20].share - 1e-9;
        const auto answer = spacing(lamp(), question);
        const auto& verdict = answer->schools[0];
        QVERIFY(verdict.speaks());
        QVERIFY(verdict.step <= 20);
        QVERIFY(answer->steps[verdict.step].share >= question.share);
        if (verdict.step > 0) QVERIFY(answer->steps[verdict.step - 1].share < question.share);
        question.count = 1;
        question.share = 1.01 * spacing(lamp(), question)->steps.front().share;
        const auto never = spacing(lamp(), question);
        QVERIFY(never);
        QVERIFY(!never->schools[0].speaks());
        QVERIFY(never->schools[0].best > 0.0);
    }

    void overlapAddsUp() {
        // Two lamps give what each gives.
        const auto model = lamp();
        auto tank = over(900).tank;
        const std::vector<BasisField::Point> points{{300, 300, 200}, {450, 250, 350}};
        const auto at = [&](std::vector<double> centres) {
            auto scene = tank;
            hangAt(scene, centres, Millimetre(220), 1.0, {});
            return predict(model, scene, points);
        };
        const auto both = at({300, 600});
        const auto left = at({300});
        const auto right = at({600});
        for (std::size_t i = 0; i < points.size(); ++i)
            QVERIFY(std::abs(both[i].ppfd - left[i].ppfd - right[i].ppfd) < 1e-9);
    }

    void moreFixturesFillMoreUntilTheGoal() {
        auto question = over(1500);
        question.goal.band = {Ppfd(40), Ppfd(120)};
        const auto rows = counts(lamp(), question, 0.9);
        QVERIFY(rows);
        QVERIFY(rows->size() >= 2);
        QVERIFY(rows->back().share >= rows->front().share);
        for (std::size_t i = 0; i + 1 < rows->size(); ++i) QVERIFY((*rows)[i].share < 0.9);
    }

    void goalsAreBandsAndADayOfThem() {
        for (const auto& goal : readyGoals()) {
            QVERIFY(goal.band.low < goal.band.high);
            QCOMPARE(wrongWith(goal).has_value(), false);
        }
        QVERIFY(std::abs(dailyLightIntegral(Ppfd(200), 10.0) - 7.2) < 1e-12);
    }

    /// Coarse steps choose the way of each number: no other way, spaced finely, fills the band better.
    void theWayThatCoarseStepsChooseIsTheBest() {
        auto question = over(900);
        // Wider than long: a row along the length, the first that is tried, is not the best.
        std::swap(question.tank.length_mm, question.tank.width_mm);
        question.goal.band = {Ppfd(60), Ppfd(140)};
        question.draws = 0;
        const auto rows = counts(lamp(), question, 2.0, 4);
        QVERIFY(rows && rows->size() >= 3);
        QCOMPARE(rows->at(2).along, RowAlong::Width);
        for (const auto& row : *rows) {
            question.count = row.count;
            for (const auto along : {RowAlong::Length, RowAlong::Width})
                for (const bool turned : {false, true}) {
                    question.along = along;
                    question.turned = turned;
                    const auto answer = spacing(lamp(), question);
                    if (answer) QVERIFY(answer->schools.back().best <= row.share + 0.01);
                }
        }
    }

    void theNextPlaneNarrowsTheHeightAndEnoughIsSaid() {
        auto model = lamp();
        for (std::size_t k = 0; k < model.beam.size(); ++k)
            model.covariance[k * (model.parameters() + 1)] = std::pow(0.05 * model.beam[k] + 0.2, 2);
        model.covariance.back() = 25.0;
        EnoughQuestion q;
        q.tank = over(600).tank;
        q.grid = cellCentres(Millimetre(600), Millimetre(600), 4, 4);
        q.heights = {Millimetre(120), Millimetre(200), Millimetre(280)};
        q.depths = {Millimetre(150), Millimetre(400)};
        q.read = {{Millimetre(120), Millimetre(150)}};
        const auto known = whatTellsMost(model, q);
        QVERIFY2(known.height, english(known.reason).c_str());
        QVERIFY(!known.enough);
        QCOMPARE(known.offers.size(), std::size_t{5});
        for (const auto& offer : known.offers) QVERIFY(offer.error_after_mm <= known.error_mm + 1e-9);
        QVERIFY(known.offers.front().error_after_mm < 0.9 * known.error_mm);
        for (auto& value : model.covariance) value *= 1e-6;
        QVERIFY(whatTellsMost(model, q).enough);
        q.heights.clear();
        QVERIFY(!whatTellsMost(model, q).height);
    }

    void impossibleQuestionsAreNamed() {
        auto question = over(1200);
        question.count = 0;
        QCOMPARE(spacing(lamp(), question).error().where, std::string("count"));
        question = over(1200);
        question.depth = Millimetre(5000);
        QCOMPARE(spacing(lamp(), question).error().where, std::string("depth"));
        question = over(1200);
        question.step = Millimetre(0);
        QCOMPARE(spacing(lamp(), question).error().where, std::string("step"));
        question = over(1200);
        question.height = Millimetre(-3);
        QCOMPARE(spacing(lamp(), question).error().where, std::string("height"));
    }
};

GLUMET_TEST(TestVerdicts, "core_verdicts", Application)

}  // namespace core_verdicts

#include "test_verdicts.moc"
