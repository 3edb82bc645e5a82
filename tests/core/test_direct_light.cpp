#include <QTest>
#include <cmath>
#include <numbers>

#include "core/light_scene.h"
#include "core/ripple.h"

using namespace glumet;
using std::numbers::pi;

namespace {

bool near(double value, double expected, double relative) {
    return std::abs(value - expected) <= relative * std::abs(expected);
}

/// Photons that reach a wide plane, by summing rings of PPFD: ∫ E 2π r dr, µmol/s.
double collected(const Beam& beam, double h, double d, const Medium& medium, double radius) {
    constexpr int kRings = 20000;
    double sum = 0.0;
    const double step = radius / kRings;
    for (int i = 0; i < kRings; ++i) {
        const double r = (i + 0.5) * step;
        sum += directPpfd(beam, 1.0, h, d, r, medium).value() * 2.0 * pi * r * step * 1e-6;
    }
    return sum;
}

}  // namespace

class TestDirectLight : public QObject {
    Q_OBJECT

  private slots:
    void inAirItIsTheInverseSquareLaw() {
        const auto beam = *Beam::cosinePower(1.0);
        const Medium air{1.0, 0.0};
        for (const double r : {0.0, 100.0, 400.0}) {
            const double distance2 = (500.0 * 500.0 + r * r) * 1e-6;
            const double cosine = 0.5 / std::sqrt(distance2);
            QVERIFY(near(directPpfd(beam, 100.0, 300.0, 200.0, r, air).value(),
                         100.0 / pi * cosine * cosine / distance2, 1e-9));
        }
    }

    void onTheAxisOfWater() {
        const auto beam = *Beam::cosinePower(2.0);
        const double n = 1.333;
        const double through = 1.0 - std::pow((n - 1) / (n + 1), 2);
        const double apparent = 0.2 + 0.3 / n;
        const double expected = 3.0 / (2.0 * pi) * through / (apparent * apparent) * std::exp(-0.5 * 0.3);
        QVERIFY(near(directPpfd(beam, 1.0, 200.0, 300.0, 0.0, {n, 0.5}).value(), expected, 1e-9));
    }

    void continuousAcrossTheAxis() {
        const auto beam = *Beam::halfAngle(40.0);
        const Medium water;
        const double on = directPpfd(beam, 50.0, 200.0, 300.0, 0.0, water).value();
        QVERIFY(near(directPpfd(beam, 50.0, 200.0, 300.0, 1e-3, water).value(), on, 1e-8));
    }

    void snellAndGeometryHoldAtTheCrossing() {
        for (const double r : {1.0, 50.0, 400.0, 3000.0, 100000.0}) {
            const auto ray = crossSurface(200.0, 400.0, r, 1.333);
            const double sin_air = ray.tan_air * ray.cos_air;
            const double sin_water = std::sqrt(1.0 - ray.cos_water * ray.cos_water);
            QVERIFY(std::abs(sin_air - 1.333 * sin_water) < 1e-12);
            QVERIFY(near(ray.from_emitter_mm + 400.0 * sin_water / ray.cos_water, r, 1e-9));
        }
    }

    void photonsAreConserved() {
        // A beam that ends at 60°: in air all arrives; in water all but what the surface reflects, which is
        // the same at every depth.
        const auto beam = *Beam::table({0, 30, 59, 60}, {1.0, 1.2, 0.6, 0.0});
        QVERIFY(near(collected(beam, 200.0, 300.0, {1.0, 0.0}, 900.0), 1.0, 1e-3));
        const double shallow = collected(beam, 200.0, 50.0, {1.333, 0.0}, 420.0);
        const double deep = collected(beam, 200.0, 500.0, {1.333, 0.0}, 800.0);
        QVERIFY(near(shallow, deep, 1e-3));
        QVERIFY(shallow > 0.95 && shallow < 0.98);
    }

    void fresnelAtTheEnds() {
        QVERIFY(near(surfaceTransmittance(1.0, 1.333), 1.0 - std::pow(0.333 / 2.333, 2), 1e-12));
        QVERIFY(surfaceTransmittance(1e-6, 1.333) < 1e-4);
        QVERIFY(near(surfaceTransmittance(0.3, 1.0), 1.0, 1e-12));
    }

    void beamsCarryOneUnitOfFlux() {
        for (const auto& beam : {*Beam::cosinePower(0.0), *Beam::cosinePower(7.5), *Beam::halfAngle(25.0),
                                 *Beam::table({0, 20, 50, 90}, {0.4, 1.0, 0.7, 0.0})}) {
            double sum = 0.0;
            constexpr int kSteps = 200000;
            for (int i = 0; i < kSteps; ++i) {
                const double theta = (i + 0.5) * pi / 2 / kSteps;
                sum += beam.intensity(std::cos(theta)) * 2 * pi * std::sin(theta) * pi / 2 / kSteps;
            }
            QVERIFY(near(sum, 1.0, 1e-5));
        }
    }

    void halfAngleFallsToHalf() {
        const auto beam = *Beam::halfAngle(35.0);
        QVERIFY(near(beam.intensity(std::cos(35.0 * pi / 180.0)), 0.5 * beam.intensity(1.0), 1e-12));
    }

    void badBeamsAreNamed() {
        QCOMPARE(Beam::halfAngle(90.0).error().where, std::string("half_angle_deg"));
        QCOMPARE(Beam::cosinePower(-1.0).error().where, std::string("m"));
        QCOMPARE(Beam::cosinePower(std::nan("")).error().where, std::string("m"));
        QCOMPARE(Beam::table({0, 0}, {1, 1}).error().where, std::string("theta_deg"));
        QCOMPARE(Beam::table({0, 50}, {1, -1}).error().where, std::string("relative"));
        QCOMPARE(Beam::table({0, 50}, {0, 0}).error().where, std::string("relative"));
        QVERIFY(!Beam::table({0}, {1}));
    }

    void aSceneIsTheSumOfItsEmittersAndMirrors() {
        Fixture bar;
        bar.emitter_columns = 5;
        bar.emitter_rows = 2;
        bar.emitter_pitch_x = Millimetre(60);
        bar.emitter_pitch_y = Millimetre(40);
        LightScene scene;
        scene.beams = {*Beam::halfAngle(50.0)};
        scene.emitters =
            emittersOf(bar, PhotonFlux(80), 0, Millimetre(300), Millimetre(300), Millimetre(180));
        QCOMPARE(scene.emitters.size(), std::size_t{10});
        const double left = stillPpfd(scene, Millimetre(110), Millimetre(210), Millimetre(200)).value();
        QVERIFY(
            near(stillPpfd(scene, Millimetre(490), Millimetre(210), Millimetre(200)).value(), left, 1e-12));
        QVERIFY(
            near(stillPpfd(scene, Millimetre(110), Millimetre(390), Millimetre(200)).value(), left, 1e-12));
        for (auto& emitter : scene.emitters) emitter.flux_umol_s *= 3.0;
        QVERIFY(near(stillPpfd(scene, Millimetre(110), Millimetre(210), Millimetre(200)).value(), 3.0 * left,
                     1e-12));
    }

    void lightFromOutsideTheFootprintIsSpill() {
        LightScene scene;
        scene.beams = {*Beam::cosinePower(1.0)};
        scene.emitters = {{-100.0, 300.0, 200.0, 100.0, 0}};
        // The ray to a near, deep point meets the surface outside the tank; that to a far one inside.
        QCOMPARE(stillPpfd(scene, Millimetre(20), Millimetre(300), Millimetre(300)).value(), 0.0);
        QVERIFY(stillPpfd(scene, Millimetre(400), Millimetre(300), Millimetre(50)).value() > 0.0);
    }

    void rippleHasItsMeanAndSpread() {
        RippleProcess ripple(0.15, 0.3, 9);
        double sum = 0.0;
        double squares = 0.0;
        constexpr int kCount = 200000;
        for (int i = 0; i < kCount; ++i) {
            const double factor = ripple.next(0.05);
            QVERIFY(factor > 0.0);
            sum += factor;
            squares += factor * factor;
        }
        const double mean = sum / kCount;
        QVERIFY(near(mean, 1.0, 0.01));
        QVERIFY(near(std::sqrt(squares / kCount - mean * mean), 0.15, 0.05));
    }
};

QTEST_GUILESS_MAIN(TestDirectLight)
#include "test_direct_light.moc"
