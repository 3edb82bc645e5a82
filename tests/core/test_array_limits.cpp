#include <QTest>
#include <cmath>

#include "core/lamp_maker.h"
#include "core/words/sentence.h"
#include "runner/registry.h"

namespace core_array_limits {

using namespace glumet;
using glumet::testing::lamp;
using glumet::testing::over;

namespace {

Obstacle brace(double from_x, double to_x, double to_y = 600.0) {
    return {"brace", Millimetre(from_x), Millimetre(to_x), Millimetre(0), Millimetre(to_y)};
}

double apart(const SpacingVerdict& verdict) { return verdict.centres_mm.back() - verdict.centres_mm.front(); }

}  // namespace

class TestArrayLimits : public QObject {
    Q_OBJECT

  private slots:
    void bodiesStayWithinTheTankAndApart() {
        const RowRoom room(1200, 600, RowAlong::Length, 200, 100, {});
        QCOMPARE(room.low(), 100.0);
        QCOMPARE(room.high(), 1100.0);
        QVERIFY(room.allows(std::vector<double>{100, 300, 1100}));
        QVERIFY(!room.allows(std::vector<double>{100, 290}));
        QVERIFY(!room.allows(99.0));
        QCOMPARE(*room.nearest(-50), 100.0);
    }

    void aCanopyNarrowsTheRow() {
        ArrayLimits limits;
        limits.canopy_length_mm = 800;
        const RowRoom room(1200, 600, RowAlong::Length, 200, 100, limits);
        QCOMPARE(room.low(), 300.0);
        QCOMPARE(room.high(), 900.0);
        limits.canopy_width_mm = 80;
        QVERIFY(!RowRoom(1200, 600, RowAlong::Length, 200, 100, limits).any());
        limits.canopy_length_mm = 150;
        QVERIFY(!RowRoom(1200, 600, RowAlong::Length, 200, 100, limits).any());
    }

    void onlyWhatReachesFromWallToWallIsABrace() {
        ArrayLimits limits;
        limits.obstacles = {brace(580, 620)};
        limits.clear_of_braces = true;
        const RowRoom room(1200, 600, RowAlong::Length, 200, 100, limits);
        QVERIFY(!room.allows(600.0));
        QVERIFY(!room.allows(690.0));
        QVERIFY(room.allows(720.0));
        QVERIFY(std::abs(*room.nearest(610) - 720.0) < 0.1 || std::abs(*room.nearest(610) - 480.0) < 0.1);
        limits.obstacles = {brace(580, 620, 200)};  // a pump
        QVERIFY(RowRoom(1200, 600, RowAlong::Length, 200, 100, limits).allows(600.0));
        // Crosswise, a brace along x stands in no row's way unless it reaches from end to end.
        QVERIFY(RowRoom(1200, 600, RowAlong::Width, 200, 100, limits).allows(300.0));
    }

    void whatHangsAlreadyIsNotOverlapped() {
        const std::vector<Footprint> others{{300, 300, 100, 100}};
        const RowRoom room(1200, 600, RowAlong::Length, 200, 100, {}, others);
        QVERIFY(!room.allows(300.0));
        QVERIFY(room.allows(460.0));
        const std::vector<Footprint> aside{{300, 60, 100, 100}};
        QVERIFY(RowRoom(1200, 600, RowAlong::Length, 200, 100, {}, aside).allows(300.0));
    }

    void tooManyBodiesAreRefusedInWords() {
        auto question = over(600);
        question.count = 8;
        const auto answer = spacing(lamp(), question);
        QVERIFY(!answer);
        QVERIFY(english(answer.error()).find("does not fit") != std::string::npos);
    }

    void heightsOutsideTheAllowedAreRefused() {
        auto question = over(1200);
        question.limits.lowest = Millimetre(250);
        QVERIFY(!spacing(lamp(), question));
        question.height = Millimetre(260);
        QVERIFY(spacing(lamp(), question));
        question.limits.highest = Millimetre(255);
        QVERIFY(!spacing(lamp(), question));
    }

    void stepsStayClearOfABrace() {
        auto question = over(1200);
        question.limits.obstacles = {brace(280, 320)};
        question.limits.clear_of_braces = true;
        const auto answer = spacing(lamp(), question);
        QVERIFY(answer);
        for (const auto& step : answer->steps)
            for (const double centre : step.centres_mm) QVERIFY(centre < 220.1 || centre > 379.9);
    }

    void innerOnesStayOrSpread() {
        auto question = over(1500);
        question.count = 3;
        const auto stay = spacing(lamp(), question);
        for (const auto& step : stay->steps) QCOMPARE(step.centres_mm[1], 750.0);
        question.count = 4;
        question.inner = InnerOnes::Spread;
        const auto spread = spacing(lamp(), question);
        const auto& c = spread->steps.back().centres_mm;
        QVERIFY(std::abs((c[1] - c[0]) - (c[2] - c[1])) < 1e-9);
    }

    void aCrosswiseRowIsALengthwiseRowOfTheTurnedTank() {
        // The same light, turned by a right angle: walls are all alike.
        auto along = over(1200);
        along.goal.band = {Ppfd(40), Ppfd(120)};
        auto across = along;
        across.tank.length_mm = 600;
        across.tank.width_mm = 1200;
        across.along = RowAlong::Width;
        across.turned = true;
        const auto a = spacing(lamp(), along);
        const auto b = spacing(lamp(), across);
        QVERIFY(a && b);
        QCOMPARE(a->steps.size(), b->steps.size());
        for (std::size_t i = 0; i < a->steps.size(); i += 10) {
            QVERIFY(std::abs(a->steps[i].edge / b->steps[i].edge - 1.0) < 1e-3);
            QVERIFY(std::abs(a->steps[i].in_band - b->steps[i].in_band) < 0.02);
        }
    }

    void movingEachByItselfIsNeverWorse() {
        auto question = over(1200);
        question.tank.walls[0] = SceneWall::opaque(0.0);  // lopsided on purpose
        question.goal.band = {Ppfd(60), Ppfd(120)};
        const auto alike = spacing(lamp(), question);
        question.symmetric = false;
        const auto each = spacing(lamp(), question);
        QVERIFY(each->schools[2].best >= alike->schools[2].best);
        QVERIFY(each->schools[1].best <= alike->schools[1].best + 1e-9);
        QCOMPARE(apart(each->schools[0]), apart(alike->schools[0]));
    }

    void aCompanionAddsItsLight() {
        auto question = over(1200);
        const auto without = spacing(lamp(), question);
        Companion strip;
        strip.model = lamp();
        strip.x_mm = 600;
        strip.y_mm = 60;
        strip.height = question.height;
        question.companions = {strip};
        const auto with = spacing(lamp(), question);
        QVERIFY(with->steps.front().edge > without->steps.front().edge);
        // It is that of the scene with one lamp more.
        const auto scene = *hung(lamp(), question, {400, 800});
        QCOMPARE(scene.fixtures.size(), std::size_t{3});
        QCOMPARE(scene.fixtures.back().y_mm, 60.0);
    }

    void waterTakesItsShare() {
        auto question = over(1200);
        const auto clear = spacing(lamp(), question);
        question.tank.water.attenuation_per_m = 1.0;
        const auto murky = spacing(lamp(), question);
        // Half of 560 mm at 1/m, on paths a little longer.
        const double ratio = murky->steps.front().centre / clear->steps.front().centre;
        QVERIFY(ratio < std::exp(-0.28) && ratio > std::exp(-0.34));
    }

    void theVolumeIsJudgedFinerThanThreeDepths() {
        auto question = over(1200);
        question.goal.band = {Ppfd(60), Ppfd(120)};
        question.over = Over::Volume;
        const auto volume = spacing(lamp(), question);
        QVERIFY(english(volume->schools[2].reason).find("volume") != std::string::npos);
        question.goal.ceiling = Ppfd(70);
        const auto capped = spacing(lamp(), question);
        QVERIFY(capped->steps.front().level_pct < volume->steps.front().level_pct);
    }
};

GLUMET_TEST(TestArrayLimits, "core_array_limits", Nothing)

}  // namespace core_array_limits

#include "test_array_limits.moc"
