#include <QSignalSpy>
#include <QTest>
#include <cmath>

#include "core/fit/bench_scene.h"
#include "desk/array/array_geometry.h"
#include "runner/registry.h"

namespace desk_array_geometry {

using namespace glumet;

namespace {

LightModel lamp() {
    LightModel model;
    model.fixture = "Fern 20";
    model.emitters = {{0, 0, 1}};
    model.body_length_mm = 200;
    model.body_width_mm = 100;
    model.beam.assign(BeamBasis::kSize, 20.0);
    model.covariance.assign(model.parameters() * model.parameters(), 0.0);
    return model;
}

ArrayLight::Shown shownAt(const std::vector<double>& centres) {
    ArrayLight::Shown shown;
    shown.model = lamp();
    Tank tank;
    tank.length = Millimetre(1200);
    tank.water_depth = Millimetre(450);
    shown.question.tank = emptyScene(tank, false);
    shown.question.count = static_cast<int>(centres.size());
    shown.question.height = Millimetre(200);
    shown.question.goal.band = {Ppfd(10), Ppfd(60)};
    shown.centres = centres;
    return shown;
}

}  // namespace

class TestArrayGeometry : public QObject {
    Q_OBJECT

  private slots:
    void init() {
        light_ = std::make_unique<ArrayLight>();
        QVERIFY(light_->show(shownAt({300, 900})));
    }

    void thePlanIsToScaleAndItsBackOnTop() {
        const ArrayGeometry at({640, 400}, *light_, ArrayPart::Plan, 0);
        QVERIFY(std::abs(at.tank().width() / at.tank().height() - 2.0) < 1e-9);
        QVERIFY(at.yInPlan(600) < at.yInPlan(0));
        QVERIFY(std::abs(at.mmAlongX(at.x(345)) - 345) < 1e-9);
        QVERIFY(std::abs(at.mmAlongY(at.yInPlan(123)) - 123) < 1e-9);
        const auto body = at.fromAbove(1);
        QVERIFY(std::abs(body.width() - 200 * at.pixelsPerMm()) < 1e-9);
        QVERIFY(std::abs(at.mmAlongX(body.center().x()) - 900) < 1e-9);
    }

    void aTurnedFixtureIsAsWideAsItsBody() {
        auto shown = shownAt({300, 900});
        shown.question.turned = true;
        QVERIFY(light_->show(shown));
        const ArrayGeometry at({640, 400}, *light_, ArrayPart::Plan, 0);
        QVERIFY(std::abs(at.fromAbove(0).width() - 100 * at.pixelsPerMm()) < 1e-9);
        QVERIFY(std::abs(at.fromAbove(0).height() - 200 * at.pixelsPerMm()) < 1e-9);
    }

    void aCrosswiseRowRunsUpThePlan() {
        auto shown = shownAt({150, 450});
        shown.question.along = RowAlong::Width;
        QVERIFY(light_->show(shown));
        const ArrayGeometry at({640, 400}, *light_, ArrayPart::Plan, 0);
        QVERIFY(std::abs(at.fromAbove(0).center().x() - at.fromAbove(1).center().x()) < 1e-9);
        QVERIFY(at.fromAbove(1).center().y() < at.fromAbove(0).center().y());
    }

    void theSideHasRoomForTheFixtures() {
        for (const double height : {50.0, 200.0, 640.0}) {
            auto shown = shownAt({300, 900});
            shown.question.height = Millimetre(height);
            QVERIFY(light_->show(shown));
            const double air = ArrayGeometry::airFor(Millimetre(height));
            QVERIFY(air > height);
            const ArrayGeometry at({320, 700}, *light_, ArrayPart::Side, air);
            const auto body = at.fromSide(0);
            QVERIFY(body.top() > 0.0);
            QVERIFY(std::abs(body.bottom() - at.yOfHeight(height)) < 1e-9);
            QVERIFY(at.yOfDepth(450) <= 700.0);
            QVERIFY(at.tank().left() > 0.0 && at.tank().right() < 320.0);
        }
        // Small moves do not change the scale.
        QCOMPARE(ArrayGeometry::airFor(Millimetre(205)), ArrayGeometry::airFor(Millimetre(225)));
    }

    void theLightMovesWithItsFixtures() {
        const double left = light_->plan().at(5, 5);
        QVERIFY(light_->move(0, 200, false));
        QCOMPARE(light_->centres()[0], 200.0);
        QVERIFY(light_->plan().at(5, 5) < left);
        // What it shows is what a scene built anew shows.
        ArrayLight anew;
        QVERIFY(anew.show(shownAt({200, 900})));
        for (int row = 0; row < anew.plan().rows; ++row)
            for (int column = 0; column < anew.plan().columns; ++column)
                QVERIFY(std::abs(anew.plan().at(column, row) / light_->plan().at(column, row) - 1.0) < 1e-6);
    }

    void bodiesNeitherPassNorLeave() {
        light_->move(0, 5000, false);
        QCOMPARE(light_->centres()[0], 700.0);
        light_->move(0, -5000, false);
        QCOMPARE(light_->centres()[0], 100.0);
        QVERIFY(!light_->move(0, -5000, false));
        QVERIFY(!light_->move(7, 300, false));
    }

    void snappingHoldsNearAndLetsGoFarther() {
        auto shown = shownAt({300, 900});
        shown.snaps = {{250, 950}};
        QVERIFY(light_->show(shown));
        QVERIFY(light_->move(0, 259, true));
        QCOMPARE(light_->centres()[0], 250.0);
        QVERIFY(light_->move(0, 275, true));
        QCOMPARE(light_->centres()[0], 275.0);
        QVERIFY(light_->move(0, 259, false));
        QCOMPARE(light_->centres()[0], 259.0);
    }

    void heightsGoInStepsWithinTheirLimits() {
        auto shown = shownAt({300, 900});
        shown.question.limits.lowest = Millimetre(150);
        shown.question.limits.highest = Millimetre(260);
        QVERIFY(light_->show(shown));
        QVERIFY(light_->raise(Millimetre(213)));
        QCOMPARE(light_->height().value(), 215.0);
        light_->raise(Millimetre(900));
        QCOMPARE(light_->height().value(), 260.0);
        light_->raise(Millimetre(1));
        QCOMPARE(light_->height().value(), 150.0);
        QVERIFY(!light_->raise(Millimetre(151)));
    }

    void coloursStayWhileSomethingIsHeld() {
        const double before = light_->top();
        light_->hold(true);
        light_->raise(Millimetre(100));
        QCOMPARE(light_->top(), before);
        QVERIFY(light_->figures().max > before);
        QSignalSpy let_go(light_.get(), &ArrayLight::letGo);
        light_->hold(false);
        QCOMPARE(let_go.count(), 1);
        QCOMPARE(light_->top(), light_->figures().max);
    }

    void figuresAreThoseOfWhatIsShown() {
        const auto full = light_->figures();
        auto shown = shownAt({300, 900});
        shown.level = 0.5;
        QVERIFY(light_->show(shown));
        QVERIFY(std::abs(light_->figures().mean / full.mean - 0.5) < 1e-9);
        double mean = 0.0;
        for (const auto& row : light_->depthRows()) mean += row.in_band / 3.0;
        QVERIFY(std::abs(mean - light_->figures().in_band) < 1e-9);
        QCOMPARE(light_->depthRows().size(), std::size_t{3});
        // Deeper is dimmer in clear water with walls that lose light.
        QVERIFY(light_->depthRows().front().mean > light_->depthRows().back().mean);
    }

    void nothingIsShownWhereNothingCanBe() {
        light_->clear();
        QVERIFY(!light_->shown());
        QVERIFY(!light_->move(0, 300, false));
        QVERIFY(!light_->raise(Millimetre(300)));
        light_->choose(0);
    }

  private:
    std::unique_ptr<ArrayLight> light_;
};

GLUMET_TEST(TestArrayGeometry, "desk_array_geometry", Windows)

}  // namespace desk_array_geometry

#include "test_array_geometry.moc"
