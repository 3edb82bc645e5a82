#include "core/compare/rubric.h"

#include <QTest>
#include <cmath>
#include <numbers>

#include "core/bench_maker.h"
#include "core/compare/ageing.h"
#include "core/compare/room_light.h"
#include "core/words/sentence.h"
#include "runner/registry.h"

namespace core_rubric {

using namespace glumet;
using glumet::testing::planeOfValues;

namespace {

Bench scored(const std::vector<std::pair<int, int>>& scores) {
    Bench bench;
    bench.fixtures.resize(1);
    bench.fixtures[0].id = 1;
    Id id = 1;
    for (std::size_t i = 0; i < scores.size(); ++i) {
        bench.ratings.push_back({id++, 1, 0, kRubricCriteria[i], scores[i].first, "why", "Ana", "", ""});
        bench.ratings.push_back({id++, 1, 0, kRubricCriteria[i], scores[i].second, "why", "Bo", "", ""});
    }
    return bench;
}

LightScene lampScene(double height_mm) {
    LightScene scene;
    scene.beams = {*Beam::cosinePower(1.0)};
    SceneFixture fixture;
    fixture.x_mm = 300;
    fixture.y_mm = 300;
    fixture.height_mm = height_mm;
    fixture.emitters = {{0.0, 0.0, 100.0, 0, 0}};
    scene.fixtures = {fixture};
    return scene;
}

}  // namespace

class TestRubric : public QObject {
    Q_OBJECT

  private slots:
    void everyCriterionHasItsAnchors() {
        for (const auto criterion : kRubricCriteria) {
            const auto anchors = anchorsOf(criterion);
            for (const auto& words : {anchors.name, anchors.least, anchors.middle, anchors.greatest})
                QVERIFY(!english(words).empty());
        }
    }

    void agreementByWeightedKappa() {
        const auto alike = scored({{1, 1}, {2, 2}, {3, 3}, {4, 4}, {5, 5}});
        QCOMPARE(*rubricAgreement(alike, "Ana", "Bo").kappa, 1.0);
        // By hand: Σ(i−j)² = 4 over five pairs; expected by both's shares, Σ_ij (i−j)² n_i m_j / 5 = 20.
        const auto near = scored({{1, 2}, {2, 1}, {3, 3}, {4, 5}, {5, 4}});
        const auto agreement = rubricAgreement(near, "Ana", "Bo");
        QVERIFY(std::abs(*agreement.kappa - (1.0 - 4.0 / 20.0)) < 1e-12);
        QCOMPARE(agreement.both, 5);
        QCOMPARE(agreement.same, 1);
        QCOMPARE(agreement.far, 0);
        const auto opposite = scored({{1, 5}, {5, 1}, {1, 5}, {5, 1}, {3, 3}});
        QVERIFY(*rubricAgreement(opposite, "Ana", "Bo").kappa < -0.9);
        // Neither varied a score: agreement cannot be told from chance.
        const auto flat = scored({{3, 3}, {3, 3}, {3, 3}, {3, 3}, {3, 3}});
        QVERIFY(!rubricAgreement(flat, "Ana", "Bo").kappa);
        QVERIFY(!rubricAgreement(scored({{1, 1}, {5, 5}}), "Ana", "Bo").kappa);
        QCOMPARE(rubricAgreement(alike, "Ana", "Cy").both, 0);
        QVERIFY(english(agreementWords({}, "Ana", "Cy")).find("nothing in common") != std::string::npos);
    }

    void theLastScoreCounts() {
        auto bench = scored({{1, 1}});
        bench.ratings.push_back({9, 1, 0, RubricCriterion::Looks, 4, "seen again", "Ana", "", ""});
        QCOMPARE(ratingOf(bench, 1, 0, RubricCriterion::Looks, "Ana")->score, 4);
        QCOMPARE(rubricAgreement(bench, "Ana", "Bo").far, 1);
        QCOMPARE(reviewersOf(bench), (std::vector<std::string>{"Ana", "Bo"}));
    }

    void ageingIsFoundWithItsInterval() {
        Bench bench;
        bench.tanks.resize(1);
        bench.tanks[0].id = 1;
        bench.fixtures.resize(1);
        bench.fixtures[0].id = 1;
        for (const double hours : {100.0, 4600.0, 9100.0})
            for (const double height : {150.0, 200.0, 250.0}) {
                Run run;
                run.id = static_cast<Id>(bench.runs.size()) + 1;
                run.fixture = 1;
                run.tank = 1;
                run.height = Millimetre(height);
                run.hours = hours;
                const double level = std::exp(-2e-5 * (hours - 100.0) - 0.004 * height);
                run.planes.push_back(
                    planeOfValues(150, 6, 6, [&](int i, int j) { return level * (300.0 + 7 * i + 3 * j); }));
                bench.runs.push_back(run);
            }
        const auto ageings = ageingOf(bench, sweepsOf(bench));
        QCOMPARE(ageings.size(), std::size_t{1});
        const auto& ageing = ageings.front();
        QCOMPARE(ageing.points.size(), std::size_t{2});
        QCOMPARE(ageing.points[1].heights, 3);
        QVERIFY(std::abs(ageing.points[1].output.value - std::exp(-0.18)) < 1e-9);
        QVERIFY(std::abs(ageing.rate - 2e-5) < 1e-9);
        QVERIFY(ageing.rate_lo < 2e-5 && ageing.rate_hi > 2e-5);
        QVERIFY(std::abs(*ageing.look_again_h + std::log(0.95) / ageing.rate_hi) < 1e-6);
        // −ln 0.7 at that rate, less what has burnt since the first look.
        QVERIFY(std::abs(*ageing.replace_h - (std::log(1 / 0.7) / 2e-5 - 9000.0)) < 1.0);
        for (auto& run : bench.runs) run.hours.reset();
        QVERIFY(ageingOf(bench, sweepsOf(bench)).empty());
    }

    void lightAtTheEyeIsThatOfTheInverseSquare() {
        const auto room = roomLight(lampScene(400), {Millimetre(1000), Millimetre(250)});
        QVERIFY(room.has_value());
        // 1.3 m to the front, 15 cm down; I = cos θ / π.
        const double squared = 1.3 * 1.3 + 0.15 * 0.15;
        const double expected = 100.0 * (0.15 / std::sqrt(squared)) / std::numbers::pi / squared;
        QVERIFY2(std::abs(room->at_eye / expected - 1.0) < 1e-9, qPrintable(QString::number(room->at_eye)));
        QVERIFY(room->emitters_seen && room->spill_share > 0.3);
    }

    void aShroudAndAHighEyeHideTheLamp() {
        auto scene = lampScene(400);
        scene.fixtures[0].shroud = SceneShroud{200, 200, 80};
        const auto room = roomLight(scene, {Millimetre(1000), Millimetre(250)});
        QCOMPARE(room->at_eye, 0.0);
        QVERIFY(room->shroud_share > 0.0);
        QVERIFY(room->spill_share < roomLight(lampScene(400), {})->spill_share);
        QVERIFY(!roomLight(lampScene(200), {Millimetre(1000), Millimetre(250)})->emitters_seen);
    }
};

GLUMET_TEST(TestRubric, "core_rubric", Nothing)

}  // namespace core_rubric

#include "test_rubric.moc"
