#include "core/base/beam.h"

#include <QTest>
#include <numbers>

#include "core/light/azimuth_fold.h"
#include "core/words/sentence.h"
#include "runner/registry.h"

namespace core_beam {

using namespace glumet;
using std::numbers::pi;

namespace {

const std::vector<double> kTheta{0, 20, 45, 70, 90};

Beam quarter() {
    return *Beam::planes(kTheta, {0, 30, 90}, {{1, .9, .6, .2, 0}, {1, .8, .4, .1, 0}, {1, .5, .2, .0, 0}});
}
Beam half() {
    return *Beam::planes(kTheta, {0, 90, 120, 180},
                         {{1, .9, .6, .2, 0}, {1, .8, .4, .1, 0}, {1, .6, .3, .1, 0}, {1, .5, .2, 0, 0}});
}
Beam whole() {
    return *Beam::planes(kTheta, {0, 100, 200, 360},
                         {{1, .9, .6, .2, 0}, {1, .8, .4, .1, 0}, {1, .5, .2, 0, 0}, {1, .9, .6, .2, 0}});
}

/// Emitted flux by sums over directions.
double fluxOf(const Beam& beam) {
    double sum = 0.0;
    constexpr int kSteps = 400;
    for (int i = 0; i < kSteps; ++i)
        for (int j = 0; j < kSteps; ++j) {
            const double theta = (i + 0.5) * pi / 2.0 / kSteps;
            sum += beam.intensity({std::cos(theta), (j + 0.5) * 2.0 * pi / kSteps}) * std::sin(theta) *
                   (pi / 2.0 / kSteps) * (2.0 * pi / kSteps);
        }
    return sum;
}

std::string refusal(const Expected<Beam>& beam) { return beam ? "a beam" : english(beam.error()); }

}  // namespace

class TestBeam : public QObject {
    Q_OBJECT

  private slots:
    void everyKindIsOneUnitOfFlux() {
        for (const auto& beam :
             {quarter(), half(), whole(), *Beam::halfAngle(40.0), *Beam::table(kTheta, {1, 1, .5, .2, 0})})
            QVERIFY2(std::abs(fluxOf(beam) - 1.0) < 1e-3, qPrintable(QString::number(fluxOf(beam))));
    }

    void planesOfSymmetryAreKept() {
        const auto at = [](const Beam& beam, double phi) { return beam.intensity({std::cos(0.6), phi}); };
        for (const double phi : {0.1, 0.7, 1.3}) {
            QVERIFY(std::abs(at(quarter(), phi) - at(quarter(), -phi)) < 1e-12);
            QVERIFY(std::abs(at(quarter(), phi) - at(quarter(), pi - phi)) < 1e-12);
            QVERIFY(std::abs(at(half(), phi) - at(half(), -phi)) < 1e-12);
            QVERIFY(std::abs(at(half(), phi) - at(half(), pi - phi)) > 1e-4);
            QVERIFY(std::abs(at(whole(), phi) - at(whole(), -phi)) > 1e-4);
            QVERIFY(std::abs(at(whole(), phi) - at(whole(), phi + 4.0 * pi)) < 1e-12);
        }
    }

    void betweenPlanesItIsLinear() {
        const auto beam = quarter();
        const double cosine = std::cos(20.0 * pi / 180.0);
        const double first = beam.planeIntensity(0, cosine);
        const double second = beam.planeIntensity(1, cosine);
        QVERIFY(std::abs(beam.intensity({cosine, 10.0 * pi / 180.0}) - (first + (second - first) / 3.0)) <
                1e-12);
        QVERIFY(std::abs(beam.intensity({cosine, 0.0}) - first) < 1e-12);
        QVERIFY(std::abs(first / second - 0.9 / 0.8) < 1e-12);
    }

    void theMeanIsThatOfAllAzimuths() {
        for (const auto& beam : {quarter(), half(), whole()}) {
            const double cosine = std::cos(0.5);
            double mean = 0.0;
            constexpr int kSteps = 7200;
            for (int j = 0; j < kSteps; ++j)
                mean += beam.intensity({cosine, (j + 0.5) * 2.0 * pi / kSteps}) / kSteps;
            QVERIFY(std::abs(beam.intensity(cosine) / mean - 1.0) < 1e-6);
        }
    }

    void slopesAreThoseOfTheBeam() {
        constexpr double kStep = 1e-6;
        for (const auto& beam : {quarter(), half(), whole(), *Beam::halfAngle(40.0)})
            for (const double phi : {0.2, 1.1, 2.6, -0.9, 4.4}) {
                const Beam::Ray ray{std::cos(0.5), phi};
                const double by_cos = (beam.intensity({ray.cos_theta + kStep, phi}) -
                                       beam.intensity({ray.cos_theta - kStep, phi})) /
                                      (2.0 * kStep);
                const double by_phi = (beam.intensity({ray.cos_theta, phi + kStep}) -
                                       beam.intensity({ray.cos_theta, phi - kStep})) /
                                      (2.0 * kStep);
                QVERIFY(std::abs(beam.intensitySlope(ray) - by_cos) < 1e-5);
                QVERIFY(std::abs(beam.azimuthSlope(ray) - by_phi) < 1e-5);
            }
    }

    void slopesByTheTablesValues() {
        const auto beam = quarter();
        const Beam::Ray ray{std::cos(30.0 * pi / 180.0), 50.0 * pi / 180.0};
        const auto slopes = beam.parameterSlopes(ray);
        QCOMPARE(slopes.size(), beam.parameters().size());
        constexpr double kStep = 1e-6;
        for (std::size_t i = 0; i < slopes.size(); ++i) {
            const auto moved = [&](double by) {
                std::vector<std::vector<double>> lists;
                for (std::size_t plane = 0; plane < 3; ++plane) lists.push_back(beam.planeRelative(plane));
                lists[i / kTheta.size()][i % kTheta.size()] += by;
                return Beam::planes(kTheta, beam.phiDeg(), lists)->intensity(ray);
            };
            // Values at zero can only rise.
            const double numeric = (moved(kStep) - moved(0.0)) / kStep;
            QVERIFY2(std::abs(slopes[i] - numeric) < 1e-5, qPrintable(QString::number(static_cast<int>(i))));
        }
    }

    /// The fast field finds the same two planes and the same share of the way between them.
    void theFoldFindsThePlanes() {
        for (const auto& beam : {quarter(), half(), whole()}) {
            const auto fold = AzimuthFold::of(beam);
            QVERIFY(!fold.round() && !fold.even);
            QCOMPARE(fold.start.size(), beam.phiDeg().size());
            const double last = beam.phiDeg().back() * pi / 180.0;
            for (int bin = 0; bin < fold.bins; ++bin) {
                const double middle = (bin + 0.5) * last / fold.bins;
                auto plane = static_cast<std::size_t>(fold.plane_of_bin[static_cast<std::size_t>(bin)]);
                if (middle >= fold.start[plane + 1]) ++plane;
                QVERIFY(middle >= fold.start[plane] && middle <= fold.start[plane + 1]);
                const double share = (middle - fold.start[plane]) * fold.per_rad[plane];
                QVERIFY(share >= 0.0 && share <= 1.0);
            }
        }
        QVERIFY(AzimuthFold::of(*Beam::halfAngle(30.0)).round());
        const auto even =
            AzimuthFold::of(*Beam::planes({0, 90}, {0, 30, 60, 90}, {{1, 0}, {1, 0}, {1, 0.1}, {1, 0.1}}));
        QVERIFY(even.even);
        QCOMPARE(even.bins, 3);
    }

    void whatIsNoBeamIsNamed() {
        const std::vector<double> list{1, .5};
        QVERIFY(refusal(Beam::planes({0, 90}, {0}, {list})).find("two azimuths") != std::string::npos);
        QVERIFY(refusal(Beam::planes({0, 90}, {0, 100}, {list, list})).find("90, 180 or 360") !=
                std::string::npos);
        QVERIFY(refusal(Beam::planes({0, 90}, {5, 90}, {list, list})).find("90, 180 or 360") !=
                std::string::npos);
        QVERIFY(refusal(Beam::planes({0, 90}, {0, 50, 40, 90}, {list, list, list, list})).find("ascend") !=
                std::string::npos);
        QVERIFY(refusal(Beam::planes({0, 90}, {0, 90}, {list, {1}})).find("as many values") !=
                std::string::npos);
        QVERIFY(refusal(Beam::planes({0, 90}, {0, 90}, {{0, 0}, {0, 0}})).find("no light") !=
                std::string::npos);
        QVERIFY(refusal(Beam::planes({0, 90}, {0, 90}, {list, {1, -1}})).find("0 or more") !=
                std::string::npos);
        QVERIFY(refusal(Beam::planes({0, 90}, {0, 180, 360}, {list, list, {2, 1}})).find("360°") !=
                std::string::npos);
    }
};

GLUMET_TEST(TestBeam, "core_beam", Nothing)

}  // namespace core_beam

#include "test_beam.moc"
