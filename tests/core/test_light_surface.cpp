#include <QTest>
#include <cmath>
#include <numbers>
#include "core/spectrum/pure_water.h"

#include "core/light/images.h"
#include "core/light/surface.h"
#include "core/simulation/ripple.h"
#include "runner/registry.h"

namespace core_light_surface {

using namespace glumet;
using std::numbers::pi;

namespace {

bool near(double value, double expected, double relative) {
    return std::abs(value - expected) <= relative * std::abs(expected);
}

/// Photons that reach a wide plane, by summing rings of PPFD: ∫ E 2π r dr, µmol/s.
double collected(const Beam& beam, double h, double d, double n, double radius) {
    constexpr int kRings = 20000;
    double sum = 0.0;
    const double step = radius / kRings;
    for (int i = 0; i < kRings; ++i) {
        const double r = (i + 0.5) * step;
        sum += directPpfd(beam, 1.0, h, d, r, n, {}).value() * 2.0 * pi * r * step * 1e-6;
    }
    return sum;
}

}  // namespace

class TestLightSurface : public QObject {
    Q_OBJECT

  private slots:
    void inAirItIsTheInverseSquareLaw() {
        const auto beam = *Beam::cosinePower(1.0);
        for (const double r : {0.0, 100.0, 400.0}) {
            const double distance2 = (500.0 * 500.0 + r * r) * 1e-6;
            const double cosine = 0.5 / std::sqrt(distance2);
            QVERIFY(near(directPpfd(beam, 100.0, 300.0, 200.0, r, 1.0, {}).value(),
                         100.0 / pi * cosine * cosine / distance2, 1e-9));
        }
    }

    void onTheAxisOfWater() {
        const auto beam = *Beam::cosinePower(2.0);
        const double n = 1.333;
        const double through = 1.0 - std::pow((n - 1) / (n + 1), 2);
        const double apparent = 0.2 + 0.3 / n;
        const double expected = 3.0 / (2.0 * pi) * through / (apparent * apparent) * std::exp(-0.5 * 0.3);
        QVERIFY(near(directPpfd(beam, 1.0, 200.0, 300.0, 0.0, n, Attenuation::grey(0.5)).value(), expected,
                     1e-9));
    }

    void continuousAcrossTheAxis() {
        const auto beam = *Beam::halfAngle(40.0);
        const double on = directPpfd(beam, 50.0, 200.0, 300.0, 0.0, 1.333, {}).value();
        QVERIFY(near(directPpfd(beam, 50.0, 200.0, 300.0, 1e-3, 1.333, {}).value(), on, 1e-8));
    }

    void snellAndGeometryHoldAtTheCrossing() {
        for (const double r : {1.0, 50.0, 400.0, 3000.0, 100000.0}) {
            const auto ray = crossSurface(200.0, 400.0, r * r, 1.333);
            const double tangent = ray.tan_per_mm * r;
            const double sin_air = tangent * ray.cos_air;
            const double sin_water = ray.sine_per_mm * r;
            QVERIFY(std::abs(sin_air - 1.333 * sin_water) < 1e-12);
            QVERIFY(near(200.0 * tangent + 400.0 * sin_water / ray.cos_water, r, 1e-9));
            QVERIFY(near(ray.air_share, 200.0 * tangent / r, 1e-12));
        }
    }

    void photonsAreConserved() {
        // A beam that ends at 60°: in air all arrives; in water all but what the surface reflects, which is
        // the same at every depth.
        const auto beam = *Beam::table({0, 30, 59, 60}, {1.0, 1.2, 0.6, 0.0});
        QVERIFY(near(collected(beam, 200.0, 300.0, 1.0, 900.0), 1.0, 1e-3));
        const double shallow = collected(beam, 200.0, 50.0, 1.333, 420.0);
        const double deep = collected(beam, 200.0, 500.0, 1.333, 800.0);
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

    void parameterSlopesAreThoseOfTheBeam() {
        const auto check = [](const auto& make, double at, double cosine) {
            const double step = 1e-5;
            const double numeric =
                (make(at + step).intensity(cosine) - make(at - step).intensity(cosine)) / (2.0 * step);
            return near(make(at).parameterSlopes({cosine, 0.0}).front(), numeric, 1e-6);
        };
        for (const double cosine : {1.0, 0.8, 0.3}) {
            QVERIFY(check([](double m) { return *Beam::cosinePower(m); }, 2.4, cosine));
            QVERIFY(check([](double a) { return *Beam::halfAngle(a); }, 41.0, cosine));
            QVERIFY(check([](double v) { return *Beam::table({0, 40, 90}, {v, 0.8, 0.1}); }, 1.2, cosine));
        }
    }

    void panesReflectTotallyBeyondTheCriticalAngle() {
        // Water to air: sin i > 1/n, whatever the pane between.
        const double critical = std::sqrt(1.0 - 1.0 / (1.333 * 1.333));
        QCOMPARE(paneReflectance(critical - 1e-9, 1.333, 1.52), 1.0);
        QVERIFY(paneReflectance(critical + 1e-3, 1.333, 1.52) < 0.99);
        // Straight on: two faces, (a + b − 2ab)/(1 − ab).
        const double a = std::pow((1.52 - 1.333) / (1.52 + 1.333), 2);
        const double b = std::pow(0.52 / 2.52, 2);
        QVERIFY(near(paneReflectance(1.0, 1.333, 1.52), (a + b - 2 * a * b) / (1 - a * b), 1e-12));
        // A pane of air is no pane: water against air.
        QVERIFY(near(paneReflectance(1.0, 1.333, 1.0), std::pow(0.333 / 2.333, 2), 1e-9));
    }

    void imagesCountTheWallsTheyCross() {
        const auto images = axisImages(600.0, 1300.0, SceneWall::glass(), SceneWall::glass());
        QCOMPARE(images.size(), std::size_t{7});
        for (const auto& image : images) {
            QCOMPARE(image.low_crossings + image.high_crossings, std::abs(image.index));
            // The image of a point keeps its distance to the walls it is mirrored at.
            const double x = image.sign * 100.0 + image.offset;
            const double from = image.index * 600.0;
            QVERIFY(x >= from && x <= from + 600.0);
            QVERIFY(near(std::min(x - from, from + 600.0 - x), 100.0, 1e-12));
        }
        QCOMPARE(images[1].high_crossings, 1);
        QCOMPARE(images[4].low_crossings, 1);
        // Behind a wall that absorbs there is nothing.
        QCOMPARE(axisImages(600.0, 1300.0, SceneWall::opaque(0.0), SceneWall::opaque(0.0)).size(),
                 std::size_t{1});
    }

    void pureWaterAbsorbsRedBeforeBlue() {
        QCOMPARE(pureWaterAbsorption(450.0), 0.00922);
        QVERIFY(near(pureWaterAbsorption(665.0), 0.5 * (0.410 + 0.439), 1e-12));
        Water water;
        water.absorbs = true;
        const Spectrum blue{{440, 460}, {1, 1}};
        const Spectrum red{{650, 670}, {1, 1}};
        QVERIFY(attenuationOf(water, &blue)->transmittance(1.0) > 0.985);
        QVERIFY(attenuationOf(water, &red)->transmittance(1.0) < 0.70);
        // A wide spectrum hardens: what is left after one metre loses less in the next.
        const Spectrum wide{{400, 700}, {1, 1}};
        const auto both = *attenuationOf(water, &wide);
        QVERIFY(both.transmittance(2.0) > both.transmittance(1.0) * both.transmittance(1.0));
        QCOMPARE(both.transmittance(0.0), 1.0);
        const Spectrum dark{{400, 700}, {0, 0}};
        QVERIFY(!attenuationOf(water, &dark));
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

GLUMET_TEST(TestLightSurface, "core_light_surface", Application)

}  // namespace core_light_surface

#include "test_light_surface.moc"
