#include "core/light/obstruction.h"

#include <QTest>
#include <cmath>

#include "core/light/exact_field.h"
#include "runner/registry.h"
#include "scene_maker.h"

namespace core_obstruction {

using namespace glumet;

namespace {

using Point = std::array<double, 3>;

const auto kBox = SceneObstacle::box({100, 100, 100}, {200, 300, 150});
const auto kDisc = SceneObstacle::disc({150, 150, 120}, 60);

AxisImage imageOf(int index) { return axisImage(index, 600.0); }

}  // namespace

class TestObstruction : public QObject {
    Q_OBJECT

  private slots:
    void aWayMeetsABoxWhereItEntersIt_data() {
        QTest::addColumn<Point>("from");
        QTest::addColumn<Point>("to");
        QTest::addColumn<double>("share");  ///< −1: it does not
        QTest::newRow("from above") << Point{150, 200, 0} << Point{150, 200, 400} << 0.25;
        QTest::newRow("from the side") << Point{0, 200, 120} << Point{400, 200, 120} << 0.25;
        QTest::newRow("aslant") << Point{50, 200, 50} << Point{250, 200, 250} << 0.25;
        QTest::newRow("past a corner") << Point{0, 0, 120} << Point{199, 0, 120} << -1.0;
        QTest::newRow("over it") << Point{0, 200, 90} << Point{400, 200, 99} << -1.0;
        QTest::newRow("ends before") << Point{150, 200, 0} << Point{150, 200, 99.9} << -1.0;
        QTest::newRow("touches a face") << Point{0, 100, 120} << Point{400, 100, 120} << 0.25;
        QTest::newRow("begins inside") << Point{150, 200, 120} << Point{150, 200, 400} << 0.0;
        QTest::newRow("a point beside it") << Point{50, 50, 50} << Point{50, 50, 50} << -1.0;
    }
    void aWayMeetsABoxWhereItEntersIt() {
        QFETCH(Point, from);
        QFETCH(Point, to);
        QFETCH(double, share);
        const auto met = meetingAt(kBox, from, to);
        QCOMPARE(met.has_value(), share >= 0.0);
        QCOMPARE(meets(kBox, from, to), share >= 0.0);
        if (met) QVERIFY(std::abs(*met - share) < 1e-12);
    }

    void aWayMeetsADiscInItsPlane() {
        QVERIFY(std::abs(*meetingAt(kDisc, {150, 150, 0}, {150, 150, 240}) - 0.5) < 1e-12);
        QVERIFY(meets(kDisc, {180, 150, 0}, {180, 150, 240}));  // on its rim
        QVERIFY(!meets(kDisc, {181, 150, 0}, {181, 150, 240}));
        QVERIFY(!meets(kDisc, {150, 150, 0}, {150, 150, 119}));
        QVERIFY(!meets(kDisc, {0, 150, 119}, {600, 150, 119}));
        QVERIFY(meets(kDisc, {150, 160, 120}, {600, 150, 120}));  // begins in it
        QVERIFY(meets(kDisc, {90, 150, 60}, {210, 150, 180}));
    }

    void mirrorsStandWhereTheUnfoldedTankHasThem() {
        const auto right = mirrored(kBox, imageOf(1), imageOf(0));
        QCOMPARE(right.from_mm, (Point{1000, 100, 100}));
        QCOMPARE(right.to_mm, (Point{1100, 300, 150}));
        const auto left = mirrored(kDisc, imageOf(-1), imageOf(2));
        QCOMPARE(left.centre_mm, (Point{-150, 1350, 120}));
        QCOMPARE(mirrored(kBox, imageOf(0), imageOf(0)), kBox);
    }

    void imagesBetweenAreThoseAWayMayCross() {
        const auto indices = [](int index) {
            std::vector<int> out;
            for (const auto& image : imagesBetween(imageOf(index), 600.0)) out.push_back(image.index);
            return out;
        };
        QCOMPARE(indices(0), (std::vector<int>{0}));
        QCOMPARE(indices(2), (std::vector<int>{0, 1, 2}));
        QCOMPARE(indices(-3), (std::vector<int>{0, -1, -2, -3}));
    }

    void theSurfacePartsAnObstacle() {
        const auto through = SceneObstacle::box({0, 0, -50}, {10, 10, 80});
        QCOMPARE(partInAir(through)->to_mm[2], 0.0);
        QCOMPARE(partInAir(through)->from_mm[2], -50.0);
        QCOMPARE(partInWater(through)->from_mm[2], 0.0);
        QVERIFY(!partInAir(kBox) && partInWater(kBox));
        QVERIFY(!partInAir(kDisc) && partInWater(kDisc));
        const auto above = SceneObstacle::disc({0, 0, -5}, 10);
        QVERIFY(partInAir(above) && !partInWater(above));
        QVERIFY(partInWater(SceneObstacle::disc({0, 0, 0}, 10)));
    }

    void aShroudLetsPassWhatLeavesItsEdge() {
        const SceneShroud shroud{200, 100, 40};
        QVERIFY(shroudPasses(shroud, 0, 0, 2.5, 1.25));
        QVERIFY(!shroudPasses(shroud, 0, 0, 2.51, 0));
        QVERIFY(!shroudPasses(shroud, 0, 0, 0, -1.26));
        QVERIFY(shroudPasses(shroud, 90, 0, 0.25, 0) && !shroudPasses(shroud, 90, 0, 0.26, 0));
        QVERIFY(shroudPasses(shroud, 90, 0, -4.75, 0));
        QVERIFY(!shroudPasses(shroud, 120, 0, 0, 0));  // an emitter beside it
    }

    void twoObstaclesDimAWayByBoth() {
        auto scene = cubeScene(*Beam::halfAngle(50.0), 200.0);
        const auto pass = [&] {
            return obstaclesPass(scene, imageOf(0), imageOf(0), {300, 300, -200}, {300, 300, 0},
                                 {300, 300, 500});
        };
        QCOMPARE(pass(), 1.0);
        scene.obstacles = {SceneObstacle::disc({300, 300, 100}, 50, 0.5),
                           SceneObstacle::disc({300, 300, -100}, 50, 0.4)};
        QVERIFY(std::abs(pass() - 0.2) < 1e-12);
        scene.obstacles.push_back(SceneObstacle::box({290, 290, 300}, {310, 310, 320}));
        QCOMPARE(pass(), 0.0);
    }

    /// Met twice by way of a wall, it dims once.
    void aReflectedWayIsDimmedOnceByEach() {
        auto scene = cubeScene(*Beam::halfAngle(50.0), 200.0);
        // A sheet before the right wall: in the unfolded tank it stands on both sides of the wall.
        scene.obstacles = {SceneObstacle::box({580, 1, 1}, {590, 599, 599}, 0.5)};
        const double once =
            obstaclesPass(scene, imageOf(1), imageOf(0), {300, 300, -200}, {350, 300, 0}, {700, 300, 500});
        QVERIFY(std::abs(once - 0.5) < 1e-12);
    }

    /// The ways add up to the field, and each enters where Snell has it.
    void theWaysOfLightAreTheField() {
        for (std::uint64_t seed = 3; seed < 9; ++seed) {
            const auto scene = hardScene(seed);
            const ExactField field(scene);
            const Millimetre x(scene.length_mm * 0.37);
            const Millimetre y(scene.width_mm * 0.58);
            const Millimetre depth(scene.water_depth_mm * 0.6);
            double sum = 0.0;
            for (const auto& way : field.arrivals(x, y, depth)) {
                sum += way.ppfd;
                QVERIFY(way.entry_x_mm >= 0.0 && way.entry_x_mm <= scene.length_mm);
                QVERIFY(way.entry_y_mm >= 0.0 && way.entry_y_mm <= scene.width_mm);
                const double sine_air = std::sqrt(1.0 - way.cos_air * way.cos_air);
                const double sine_water = std::sqrt(1.0 - way.cos_water * way.cos_water);
                QVERIFY(std::abs(sine_air - scene.water.refractive_index * sine_water) < 1e-9);
                const auto& source = field.sources()[way.source];
                const double run = std::hypot(way.entry_x_mm - source.x_mm, way.entry_y_mm - source.y_mm);
                QVERIFY(std::abs(run - source.height_mm * sine_air / way.cos_air) < 1e-6 * (1.0 + run));
            }
            QVERIFY(std::abs(sum - field.at(x, y, depth).value()) <= 1e-9 * (1.0 + sum));
        }
    }
};

GLUMET_TEST(TestObstruction, "core_obstruction", Nothing)

}  // namespace core_obstruction

#include "test_obstruction.moc"
