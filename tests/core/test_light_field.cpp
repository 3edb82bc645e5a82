#include <hwy/targets.h>

#include <QTest>
#include <cmath>
#include <functional>
#include <numbers>

#include "core/light/budget.h"
#include "core/light/exact_field.h"
#include "core/light/fast_field.h"
#include "core/light/sampling.h"
#include "core/light/surface.h"
#include "runner/registry.h"
#include "scene_maker.h"

namespace core_light_field {

using namespace glumet;
using std::numbers::pi;

namespace {

bool near(double value, double expected, double relative) {
    return std::abs(value - expected) <= relative * std::abs(expected);
}

double exactAt(const LightScene& scene, double x, double y, double depth) {
    return ExactField(scene).at(Millimetre(x), Millimetre(y), Millimetre(depth)).value();
}

std::vector<std::array<double, 2>> gridPoints(const LightScene& scene, int nx, int ny) {
    std::vector<std::array<double, 2>> points;
    for (int j = 0; j < ny; ++j)
        for (int i = 0; i < nx; ++i)
            points.push_back({(i + 0.5) * scene.length_mm / nx, (j + 0.5) * scene.width_mm / ny});
    return points;
}

/// Photons crossing a depth, by summing the exact field over the footprint, µmol/s.
double summedOver(const LightScene& scene, double depth, int n) {
    const ExactField field(scene);
    double sum = 0.0;
    for (const auto& at : gridPoints(scene, n, n))
        sum += field.at(Millimetre(at[0]), Millimetre(at[1]), Millimetre(depth)).value();
    return sum / (n * n) * scene.length_mm * scene.width_mm * 1e-6;
}

/// Central difference of the exact field as a scene is changed by ±step.
template <class Change>
double difference(const LightScene& scene, double step, Change change) {
    auto more = scene;
    auto less = scene;
    change(more, step);
    change(less, -step);
    return (exactAt(more, 210.0, 340.0, 260.0) - exactAt(less, 210.0, 340.0, 260.0)) / (2.0 * step);
}

}  // namespace

class TestLightField : public QObject {
    Q_OBJECT

  private slots:
    void linearInFluxAndAdditiveOverFixtures() {
        for (std::uint64_t seed = 1; seed <= 10; ++seed) {
            const auto scene = anyScene(seed);
            auto first = scene;
            auto second = scene;
            auto triple = scene;
            first.fixtures.pop_back();
            second.fixtures.erase(second.fixtures.begin());
            for (auto& fixture : triple.fixtures) fixture.level *= 3.0;
            const double x = scene.length_mm * 0.31;
            const double y = scene.width_mm * 0.62;
            const double depth = scene.water_depth_mm * 0.7;
            const double both = exactAt(scene, x, y, depth);
            QVERIFY(near(exactAt(first, x, y, depth) + exactAt(second, x, y, depth), both, 1e-12));
            QVERIFY(near(exactAt(triple, x, y, depth), 3.0 * both, 1e-12));
        }
    }

    /// What is drawn in the kernel's lanes and what a table holds must not depend on where the obstacles
    /// stand in the list.
    void theOrderOfObstaclesDoesNotMatter() {
        auto scene = hardScene(7);
        auto turned = scene;
        std::reverse(turned.obstacles.begin(), turned.obstacles.end());
        for (const auto& at : gridPoints(scene, 5, 4))
            QVERIFY(near(exactAt(scene, at[0], at[1], scene.water_depth_mm * 0.9),
                         exactAt(turned, at[0], at[1], scene.water_depth_mm * 0.9), 1e-12));
    }

    void aTurnedFixtureTurnsItsBeam() {
        // Long along x: turned a quarter it is long along y.
        auto scene = cubeScene(*Beam::planes({0, 45, 90}, {0, 90}, {{1, 0.9, 0.2}, {1, 0.3, 0}}), 250.0);
        scene.walls.fill(SceneWall::opaque(0.0));
        auto turned = scene;
        turned.fixtures[0].rotation_deg = 90.0;
        QVERIFY(exactAt(scene, 500, 300, 200) > 1.5 * exactAt(scene, 300, 500, 200));
        QVERIFY(near(exactAt(turned, 300, 500, 200), exactAt(scene, 500, 300, 200), 1e-12));
        QVERIFY(near(exactAt(turned, 100, 300, 200), exactAt(scene, 300, 100, 200), 1e-12));
    }

    void equalPlanesAreARoundBeam() {
        const auto round = *Beam::table({0, 20, 50, 80}, {1.0, 0.8, 0.5, 0.1});
        const std::vector<double> list = round.relative();
        for (const auto& phi : {std::vector<double>{0, 40, 90}, {0, 90, 180}, {0, 77, 200, 360}}) {
            const std::vector<std::vector<double>> lists(phi.size(), list);
            const auto scene = cubeScene(round, 220.0);
            const auto planes = cubeScene(*Beam::planes(round.thetaDeg(), phi, lists), 220.0);
            FastField fast(planes);
            for (const auto& at : gridPoints(scene, 4, 4)) {
                const double expected = exactAt(scene, at[0], at[1], 300);
                QVERIFY(near(exactAt(planes, at[0], at[1], 300), expected, 1e-12));
                const std::array<std::array<double, 2>, 1> one{at};
                QVERIFY(near(fast.onPlane(Millimetre(300), one)[0], expected, 1e-4));
            }
        }
    }

    void anObstacleDimsAPathOnce() {
        auto scene = cubeScene(*Beam::halfAngle(60.0), 250.0);
        const double bare = exactAt(scene, 300, 300, 400);
        // Through the surface: one box above and below the water counts once.
        scene.obstacles = {SceneObstacle::box({290, 290, -40}, {310, 310, 60}, 0.5)};
        QVERIFY(near(exactAt(scene, 300, 300, 400), 0.5 * bare, 1e-12));
        scene.obstacles.push_back(SceneObstacle::disc({300, 300, 200}, 20.0, 0.8));
        QVERIFY(near(exactAt(scene, 300, 300, 400), 0.4 * bare, 1e-12));
        // Above it there is no shadow; beside it only the reflected light that passes under it is gone.
        QVERIFY(near(exactAt(scene, 300, 300, 150),
                     0.5 * exactAt(cubeScene(*Beam::halfAngle(60.0), 250.0), 300, 300, 150), 1e-12));
    }

    void whatStandsAtAGlassWallHidesItsReflection() {
        auto scene = cubeScene(*Beam::cosinePower(0.5), 100.0);
        scene.fixtures[0].x_mm = 120.0;
        const double with_wall = exactAt(scene, 60, 300, 400);
        auto dark = scene;
        dark.walls[0] = SceneWall::opaque(0.0);
        const double direct = exactAt(dark, 60, 300, 400);
        QVERIFY(with_wall > 1.02 * direct);
        // A thin sheet just inside the left wall, from the surface to the bottom.
        scene.obstacles = {SceneObstacle::box({1, 1, 1}, {3, 599, 599}, 0.0)};
        QVERIFY(near(exactAt(scene, 60, 300, 400), direct, 2e-3));
    }

    void aShroudCutsEveryEmitterByItself() {
        auto scene = cubeScene(*Beam::cosinePower(1.0), 200.0);
        scene.walls.fill(SceneWall::opaque(0.0));
        scene.water = Water::none();
        scene.fixtures[0].emitters = {{-80.0, 0.0, 50.0, 0, 0}, {80.0, 0.0, 50.0, 0, 0}};
        scene.fixtures[0].shroud = SceneShroud{200.0, 100.0, 50.0};
        auto left = scene;
        left.fixtures[0].emitters.pop_back();
        auto open = left;
        open.fixtures[0].shroud.reset();
        // From the left emitter the rim on its own side lies 20 mm out and 50 mm down.
        const double depth = 100.0;
        const double edge = 220.0 - 20.0 / 50.0 * (200.0 + depth);
        QCOMPARE(exactAt(left, edge - 1.0, 300, depth), 0.0);
        QVERIFY(near(exactAt(left, edge + 1.0, 300, depth), exactAt(open, edge + 1.0, 300, depth), 1e-12));
        // The other one's rim on that side lies far out: its light passes.
        QVERIFY(exactAt(scene, edge - 1.0, 300, depth) > 0.0);
        const double lost = lightBudget(left, {}).shrouded;
        QVERIFY(lost > 0.0 && lost < 50.0);
    }

    void photonsAreAccountedForAroundObstacles() {
        for (std::uint64_t seed = 60; seed < 64; ++seed) {
            const auto scene = hardScene(seed);
            const std::array depths{Millimetre(scene.water_depth_mm * 0.95)};
            const auto budget = lightBudget(scene, depths);
            QVERIFY2(std::abs(budget.residual()) < 2e-3, qPrintable(QString::number(budget.residual())));
            QVERIFY(budget.shrouded > 0.0 && budget.obstructed > 0.0);
            const double summed = summedOver(scene, depths[0].value(), 60);
            QVERIFY2(near(summed, budget.planes[0].delivered, 0.02),
                     qPrintable(QStringLiteral("%1: %2 against %3")
                                    .arg(seed)
                                    .arg(summed)
                                    .arg(budget.planes[0].delivered)));
        }
    }

    void whatCannotStandThereIsNamed_data() {
        QTest::addColumn<QString>("where");
        QTest::addColumn<std::function<void(LightScene&)>>("spoil");
        const auto row = [](const char* name, const char* where, std::function<void(LightScene&)> spoil) {
            QTest::newRow(name) << QString::fromLatin1(where) << std::move(spoil);
        };
        row("around an emitter", "obstacles[0].from_mm", [](LightScene& s) {
            s.obstacles = {SceneObstacle::box({250, 250, -300}, {350, 350, -150})};
        });
        row("beside the tank", "obstacles[0].from_mm", [](LightScene& s) {
            s.obstacles = {SceneObstacle::box({700, 0, 100}, {800, 100, 200})};
        });
        row("under the bottom", "obstacles[0].centre_mm", [](LightScene& s) {
            s.obstacles = {SceneObstacle::disc({300, 300, 700}, 50)};
        });
        row("turned inside out", "obstacles[0].to_mm", [](LightScene& s) {
            s.obstacles = {SceneObstacle::box({300, 300, 200}, {200, 400, 300})};
        });
        row("brighter than light", "obstacles[0].transmittance", [](LightScene& s) {
            s.obstacles = {SceneObstacle::disc({300, 300, 200}, 50, 1.5)};
        });
        row("a shroud into the water", "fixtures[0].shroud.drop_mm", [](LightScene& s) {
            s.fixtures[0].shroud = SceneShroud{300, 200, 220};
        });
    }
    void whatCannotStandThereIsNamed() {
        QFETCH(QString, where);
        QFETCH(std::function<void(LightScene&)>, spoil);
        auto scene = cubeScene(*Beam::halfAngle(50.0), 200.0);
        QVERIFY(!wrongWith(scene));
        spoil(scene);
        const auto wrong = wrongWith(scene);
        QVERIFY(wrong.has_value());
        QCOMPARE(QString::fromStdString(wrong->where), where);
    }

    void mirrorsWithTheTank() {
        for (std::uint64_t seed = 20; seed < 30; ++seed) {
            const auto scene = anyScene(seed);
            auto mirrored = scene;
            std::swap(mirrored.walls[0], mirrored.walls[1]);
            for (auto& fixture : mirrored.fixtures) {
                fixture.x_mm = scene.length_mm - fixture.x_mm;
                fixture.rotation_deg = -fixture.rotation_deg;
                for (auto& emitter : fixture.emitters) emitter.dx_mm = -emitter.dx_mm;
            }
            for (const auto& at : gridPoints(scene, 4, 3)) {
                const double depth = scene.water_depth_mm * 0.5;
                const double here = exactAt(scene, at[0], at[1], depth);
                const double there = exactAt(mirrored, scene.length_mm - at[0], at[1], depth);
                QVERIFY(std::abs(here - there) <= 1e-9 * (here + 1e-6));
            }
        }
    }

    void dryItIsTheInverseSquareLaw() {
        auto scene = cubeScene(*Beam::cosinePower(1.0), 300.0);
        scene.water = Water::none();
        scene.walls.fill(SceneWall::opaque(0.0));
        const double r2 = (100.0 * 100.0 + 40.0 * 40.0) * 1e-6;
        const double distance2 = 0.5 * 0.5 + r2;
        const double cosine = 0.5 / std::sqrt(distance2);
        QVERIFY(near(exactAt(scene, 400.0, 340.0, 200.0), 100.0 / pi * cosine * cosine / distance2, 1e-9));
    }

    void aHugeTankHasNoWalls() {
        auto scene = cubeScene(*Beam::halfAngle(50.0), 200.0);
        scene.length_mm = scene.width_mm = 90000.0;
        scene.fixtures[0].x_mm = scene.fixtures[0].y_mm = 45000.0;
        const double expected =
            directPpfd(scene.beams[0], 100.0, 200.0, 300.0, 250.0, 1.333, Attenuation{}).value();
        QVERIFY(near(exactAt(scene, 45250.0, 45000.0, 300.0), expected, 1e-12));
        scene.walls.fill(SceneWall::opaque(0.0));
        QVERIFY(near(exactAt(scene, 45250.0, 45000.0, 300.0), expected, 1e-12));
    }

    void attenuationFollowsThePath() {
        auto scene = cubeScene(*Beam::cosinePower(1.0), 250.0);
        const double clear = exactAt(scene, 300.0, 300.0, 400.0);
        scene.walls.fill(SceneWall::opaque(0.0));
        scene.channels.front().attenuation = Attenuation::grey(0.8);
        QVERIFY(near(exactAt(scene, 300.0, 300.0, 400.0), clear * std::exp(-0.8 * 0.4), 0.05));
        auto bare = scene;
        bare.channels.front().attenuation = {};
        QVERIFY(near(exactAt(scene, 300.0, 300.0, 400.0),
                     exactAt(bare, 300.0, 300.0, 400.0) * std::exp(-0.8 * 0.4), 1e-12));
        // Off the axis the path is longer than the depth.
        QVERIFY(exactAt(scene, 550.0, 300.0, 400.0) <
                exactAt(bare, 550.0, 300.0, 400.0) * std::exp(-0.8 * 0.4));
    }

    void photonsAreAccountedFor() {
        for (std::uint64_t seed = 40; seed < 52; ++seed) {
            const auto scene = anyScene(seed);
            const std::array depths{Millimetre(scene.water_depth_mm * 0.4), Millimetre(scene.water_depth_mm)};
            const auto budget = lightBudget(scene, depths);
            QVERIFY2(std::abs(budget.residual()) < 1e-3, qPrintable(QString::number(budget.residual())));
            QVERIFY(near(budget.planes[1].delivered, budget.bottom, 1e-9));
            // The rays and the field are two computations of one thing.
            const double summed = summedOver(scene, depths[0].value(), 60);
            QVERIFY2(near(summed, budget.planes[0].delivered, 0.01),
                     qPrintable(QStringLiteral("%1: %2 against %3")
                                    .arg(seed)
                                    .arg(summed)
                                    .arg(budget.planes[0].delivered)));
            for (const double wall : budget.walls) QVERIFY(wall >= 0.0);
        }
    }

    void wallsThatReflectAllKeepAllThatEntered() {
        auto scene = cubeScene(*Beam::halfAngle(60.0), 200.0);
        scene.walls.fill(SceneWall::opaque(1.0));
        const std::array depths{Millimetre(300.0)};
        const auto budget = lightBudget(scene, depths);
        QVERIFY(near(budget.bottom, budget.emitted - budget.spilled - budget.reflected, 1e-9));
        QVERIFY(near(summedOver(scene, 300.0, 120), budget.bottom, 2e-3));
    }

    void spillIsTheSolidAngleThatMisses() {
        // A source of equal intensity h over the middle of a square of side 2h sends 1/6 of the sphere, 1/3
        // of its hemisphere, into it.
        auto scene = cubeScene(*Beam::cosinePower(0.0), 300.0);
        const auto budget = lightBudget(scene, {});
        QVERIFY2(near(budget.spilled, 100.0 * 2.0 / 3.0, 1e-4),
                 qPrintable(QString::number(budget.spilled, 'g', 10)));
    }

    void aSourceBesideTheTankStillShinesIn() {
        auto scene = cubeScene(*Beam::cosinePower(1.0), 200.0);
        scene.walls.fill(SceneWall::opaque(0.0));
        scene.fixtures[0].x_mm = -100.0;
        // The ray to a near, deep point meets the surface outside the tank; that to a far one inside.
        QCOMPARE(exactAt(scene, 20.0, 300.0, 300.0), 0.0);
        QVERIFY(exactAt(scene, 400.0, 300.0, 50.0) > 0.0);
        FastField fast(scene);
        const std::array points{std::array{20.0, 300.0}, std::array{400.0, 300.0}};
        QCOMPARE(fast.onPlane(Millimetre(300), points)[0], 0.0);
        QVERIFY(near(fast.onPlane(Millimetre(50), points)[1], exactAt(scene, 400.0, 300.0, 50.0), 1e-4));
    }

    void continuousAcrossTheAxisAndTheTanksEdge() {
        const auto scene = cubeScene(*Beam::halfAngle(35.0), 180.0);
        const double on = exactAt(scene, 300.0, 300.0, 250.0);
        QVERIFY(near(exactAt(scene, 300.01, 300.0, 250.0), on, 1e-6));
        auto at_edge = scene;
        at_edge.fixtures[0].x_mm = -1e-6;
        auto inside = scene;
        inside.fixtures[0].x_mm = 1e-6;
        QVERIFY(near(exactAt(at_edge, 200.0, 310.0, 300.0), exactAt(inside, 200.0, 310.0, 300.0), 1e-6));
    }

    void neverNegativeAndFastAgreesWithExact_data() {
        QTest::addColumn<bool>("hard");
        QTest::newRow("round beams, nothing in the way") << false;
        QTest::newRow("planes, shrouds and obstacles") << true;
    }
    void neverNegativeAndFastAgreesWithExact() {
        QFETCH(bool, hard);
        double worst = 0.0;
        int apart = 0;
        int count = 0;
        for (std::uint64_t seed = 100; seed < 140; ++seed) {
            const auto scene = hard ? hardScene(seed) : anyScene(seed);
            QVERIFY(!wrongWith(scene));
            const ExactField exact(scene);
            FastField fast(scene);
            const auto points = gridPoints(scene, 7, 5);
            const std::array depths{Millimetre(0.0), Millimetre(scene.water_depth_mm * 0.3),
                                    Millimetre(scene.water_depth_mm)};
            const auto values = fast.onPlanes(depths, points);
            double peak = 0.0;
            for (const auto& plane : values)
                for (const double value : plane) peak = std::max(peak, value);
            for (std::size_t d = 0; d < depths.size(); ++d)
                for (std::size_t i = 0; i < points.size(); ++i) {
                    const double truth =
                        exact.at(Millimetre(points[i][0]), Millimetre(points[i][1]), depths[d]).value();
                    QVERIFY(values[d][i] >= 0.0 && truth >= 0.0);
                    const double error = std::abs(values[d][i] - truth) / (truth + 1e-4 * peak);
                    ++count;
                    worst = std::max(worst, error);
                    apart += error > 1e-4;
                }
            QVERIFY(fast.effort().worst_error <= 1e-4);
        }
        // A point on the very edge of a patch may fall on either side of it.
        QVERIFY2(apart * 500 <= count,
                 qPrintable(QStringLiteral("%1 of %2, worst %3").arg(apart).arg(count).arg(worst)));
    }

    /// The program carries a version for each instruction set; all must give the same light.
    void everyInstructionSetAgrees() {
        for (const auto& scene : {anyScene(104), hardScene(104)}) {
            const auto points = gridPoints(scene, 9, 7);
            const Millimetre depth(scene.water_depth_mm * 0.8);
            const ExactField exact(scene);
            std::vector<std::int64_t> targets{HWY_SCALAR};
            for (const auto target : hwy::SupportedAndGeneratedTargets()) targets.push_back(target);
            for (const auto target : targets) {
                hwy::GetChosenTarget().Update(target);
                FastField fast(scene);
                const auto values = fast.onPlane(depth, points);
                for (std::size_t i = 0; i < points.size(); ++i) {
                    const double truth =
                        exact.at(Millimetre(points[i][0]), Millimetre(points[i][1]), depth).value();
                    QVERIFY2(near(values[i], truth, 2e-4), hwy::TargetName(target));
                }
            }
        }
        hwy::GetChosenTarget().Update(hwy::SupportedTargets());
    }

    void tablesKeepTheEndOfABeamSharp() {
        const auto beam = *Beam::table({0, 20, 30}, {1.0, 0.6, 0.5});
        const RadialKey key{200.0, 300.0, 1.333, 0, 0};
        const auto table = tabulate(beam, Attenuation{}, key, 4e6, 1e-4);
        const double theta = 30.0 * pi / 180.0;
        const double end = 200.0 * std::tan(theta) + 300.0 * std::tan(std::asin(std::sin(theta) / 1.333));
        const auto at = [&](double r) {
            return static_cast<double>(table.lightAt(static_cast<float>(r * r)));
        };
        QCOMPARE(at(end + 0.01), 0.0);
        for (const double r : {0.0, 3.0, 70.0, end - 30.0, end - 0.01})
            QVERIFY(near(at(r), directPpfd(beam, 1.0, 200.0, 300.0, r, 1.333, {}).value(), 1e-4));
        QVERIFY(table.error_met <= 1e-4);
    }

    void denseAndSteepTablesAreTabulatedToo() {
        std::vector<double> theta;
        std::vector<double> relative;
        for (int i = 0; i <= 180; ++i) {
            theta.push_back(0.5 * i);
            relative.push_back(std::exp(-0.5 * std::pow((0.5 * i - 22.0) / 6.0, 2)) + (i == 90 ? 0.3 : 0.0));
        }
        const auto beam = *Beam::table(theta, relative);
        for (const double height : {20.0, 150.0, 900.0}) {
            const RadialKey key{height, 350.0, 1.333, 0, 0};
            const auto table = tabulate(beam, Attenuation{}, key, 9e6, 1e-4);
            QVERIFY2(table.error_met <= 1e-4, qPrintable(QString::number(table.error_met)));
            QVERIFY(table.bytes() < 1'000'000);
        }
    }

    void slopesAreThoseOfTheField() {
        auto scene = cubeScene(*Beam::halfAngle(48.0), 210.0);
        scene.beams.push_back(*Beam::table({0, 30, 60, 90}, {0.8, 1.0, 0.4, 0.0}));
        scene.channels.push_back({"second", Attenuation::grey(0.4)});
        scene.fixtures[0].emitters = {{-40.0, 20.0, 60.0, 0, 0}, {30.0, 10.0, 40.0, 1, 1}};
        scene.fixtures[0].level = 0.7;
        scene.fixtures[0].channel_levels = {1.0, 0.6};
        scene.fixtures[0].rotation_deg = 12.0;
        const auto slopes = ExactField(scene).slopesAt(Millimetre(210), Millimetre(340), Millimetre(260));
        const auto& own = slopes.fixtures[0];
        QVERIFY(near(slopes.ppfd, exactAt(scene, 210.0, 340.0, 260.0), 1e-12));
        const auto fixture = [](LightScene& s) -> SceneFixture& { return s.fixtures[0]; };
        QVERIFY(near(own.x_per_mm, difference(scene, 0.01, [&](auto& s, double d) { fixture(s).x_mm += d; }),
                     1e-5));
        QVERIFY(near(own.y_per_mm, difference(scene, 0.01, [&](auto& s, double d) { fixture(s).y_mm += d; }),
                     1e-5));
        QVERIFY(near(own.height_per_mm,
                     difference(scene, 0.01, [&](auto& s, double d) { fixture(s).height_mm += d; }), 1e-5));
        QVERIFY(near(own.rotation_per_deg,
                     difference(scene, 0.01, [&](auto& s, double d) { fixture(s).rotation_deg += d; }),
                     1e-5));
        QVERIFY(near(own.level, difference(scene, 0.01, [&](auto& s, double d) { fixture(s).level += d; }),
                     1e-6));
        QVERIFY(near(own.channel_levels[1],
                     difference(scene, 0.01, [&](auto& s, double d) { fixture(s).channel_levels[1] += d; }),
                     1e-6));
        QVERIFY(
            near(slopes.beams[0][0],
                 difference(scene, 0.01, [](auto& s, double d) { s.beams[0] = *Beam::halfAngle(48.0 + d); }),
                 1e-5));
        for (std::size_t knot = 0; knot < 3; ++knot)
            QVERIFY(near(slopes.beams[1][knot],
                         difference(scene, 1e-4,
                                    [&](auto& s, double d) {
                                        auto values = s.beams[1].relative();
                                        values[knot] += d;
                                        s.beams[1] = *Beam::table({0, 30, 60, 90}, values);
                                    }),
                         1e-5));
    }

    void movingKeepsTablesRaisingMakesNew() {
        auto scene = cubeScene(*Beam::halfAngle(48.0), 210.0);
        FastField fast(scene);
        const auto points = gridPoints(scene, 6, 6);
        (void)fast.onPlane(Millimetre(300), points);
        const auto before = fast.effort();
        scene.fixtures[0].x_mm += 25.0;
        fast.setScene(scene);
        (void)fast.onPlane(Millimetre(300), points);
        QCOMPARE(fast.effort().evaluations, before.evaluations);
        scene.fixtures[0].height_mm += 25.0;
        fast.setScene(scene);
        (void)fast.onPlane(Millimetre(300), points);
        QCOMPARE(fast.effort().tables, before.tables + 1);
        // Another water is another light.
        scene.water = Water::none();
        fast.setScene(scene);
        const double dry = fast.onPlane(Millimetre(300), points)[0];
        QVERIFY(near(dry, exactAt(scene, points[0][0], points[0][1], 300.0), 1e-4));
    }

    void volumeLineAndBandAgreeWithTheField() {
        auto scene = cubeScene(*Beam::halfAngle(50.0), 200.0);
        scene.walls.fill(SceneWall::opaque(0.0));  // else the column brightens again near the bottom
        FastField fast(scene);
        const auto volume = sampleVolume(fast, Millimetre(50));
        QVERIFY(volume.has_value());
        QCOMPARE(volume->nodes(), std::size_t{12 * 12 * 12});
        QVERIFY(near(volume->at(3, 8, 5),
                     exactAt(scene, volume->xs_mm[3], volume->ys_mm[8], volume->depths_mm[5]), 1e-4));
        const auto line = alongLine(ExactField(scene), {0, 300, 100}, {600, 300, 500}, 5);
        QVERIFY(near(line[2].value(), exactAt(scene, 300, 300, 300), 1e-12));
        QVERIFY(shareInBand(*volume, {Ppfd(0), Ppfd(1e9)}) == 1.0);
        // The column under the emitter falls with depth: the band lies between its two crossings.
        const auto under = [&](double depth) {
            return exactAt(scene, volume->xs_mm[6], volume->ys_mm[6], depth);
        };
        const auto range = bandRanges(*volume, {Ppfd(under(330.0)), Ppfd(under(170.0))})[6 * 12 + 6];
        QCOMPARE(range.kind, BandRange::Kind::Part);
        QVERIFY(std::abs(range.from.value() - 170.0) < 10.0 && std::abs(range.to.value() - 330.0) < 10.0);
        QVERIFY(near(range.share, 4.0 / 12.0, 1e-9));
        const auto whole = bandRanges(*volume, {Ppfd(0), Ppfd(1e9)})[0];
        QCOMPARE(whole.kind, BandRange::Kind::All);
        QCOMPARE(whole.from.value(), 0.0);
        QVERIFY(near(whole.to.value(), scene.water_depth_mm, 1e-12));
        QCOMPARE(bandRanges(*volume, {Ppfd(1e8), Ppfd(1e9)})[0].kind, BandRange::Kind::None);
        QVERIFY(!sampleVolume(fast, Millimetre(0.5)));
        QVERIFY(!sampleVolume(fast, Millimetre(2)));
        const auto slice = verticalSlice(fast, Millimetre(300), Millimetre(50));
        QVERIFY(near(slice.values[5 * 12 + 3],
                     exactAt(scene, slice.grid.xs_mm[3], 300.0, slice.grid.ys_mm[5]), 1e-4));
    }

    void whatCannotBeComputedIsNamed() {
        const auto good = anyScene(7);
        QVERIFY(!wrongWith(good));
        const auto wrong = [&](const auto& spoil) {
            auto scene = good;
            spoil(scene);
            const auto problem = wrongWith(scene);
            return problem ? problem->where : std::string("nothing");
        };
        const double nan = std::nan("");
        QCOMPARE(wrong([](auto& s) { s.length_mm = 0.0; }), std::string("tank.length_mm"));
        QCOMPARE(wrong([&](auto& s) { s.width_mm = nan; }), std::string("tank.width_mm"));
        QCOMPARE(wrong([](auto& s) { s.walls[2] = SceneWall::opaque(1.2); }),
                 std::string("tank.walls.front.reflectance"));
        QCOMPARE(wrong([](auto& s) { s.water.refractive_index = 0.9; }),
                 std::string("water.refractive_index"));
        QCOMPARE(wrong([](auto& s) { s.fixtures[1].height_mm = 0.0; }), std::string("fixtures[1].height_mm"));
        QCOMPARE(wrong([&](auto& s) { s.fixtures[0].emitters[2].flux_umol_s = nan; }),
                 std::string("fixtures[0].emitters[2].flux_umol_s"));
        QCOMPARE(wrong([](auto& s) { s.fixtures[0].emitters[2].beam = 9; }),
                 std::string("fixtures[0].emitters[2].beam"));
        QCOMPARE(wrong([](auto& s) { s.fixtures[0].emitters.resize(kMostEmitters + 1); }),
                 std::string("fixtures"));
    }
};

GLUMET_TEST(TestLightField, "core_light_field", Application)

}  // namespace core_light_field

#include "test_light_field.moc"
