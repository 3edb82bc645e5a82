#include <QTest>

#include "core/fit/leaning_beam.h"
#include "core/fit/trough_beam.h"
#include "core/fit_maker.h"
#include "core/words/sentence.h"
#include "runner/registry.h"

namespace core_fit_pictures {

using namespace glumet;
using namespace glumet::testing;

namespace {

constexpr double kDegree = M_PI / 180.0;

/// Coefficients of a round beam of that half angle.
Eigen::VectorXd roundBeam(double half_deg) {
    const auto beam = *Beam::halfAngle(half_deg);
    Eigen::VectorXd out(BeamBasis::kSize);
    for (Eigen::Index k = 0; k < out.size(); ++k)
        out(k) = beam.intensity(
            std::cos(std::min(90.0, 90.0 * static_cast<double>(k) / BeamBasis::kIntervals) * kDegree));
    return out;
}

std::span<const double> spanOf(const Eigen::VectorXd& beam) {
    return {beam.data(), static_cast<std::size_t>(beam.size())};
}

Eigen::Vector3d direction(double theta_deg, double phi) {
    return {std::sin(theta_deg * kDegree) * std::cos(phi), std::sin(theta_deg * kDegree) * std::sin(phi),
            std::cos(theta_deg * kDegree)};
}

/// A lens that looks aside.
Beam aside(double half_deg, double x_deg, double y_deg) {
    const Eigen::Vector3d axis =
        Eigen::Vector3d(std::tan(x_deg * kDegree), std::tan(y_deg * kDegree), 1.0).normalized();
    const double power = std::log(0.5) / std::log(std::cos(half_deg * kDegree));
    return beamByPlanes(360, 15, [=](double theta, double phi) {
        return std::pow(std::max(0.0, direction(theta / kDegree, phi).dot(axis)), power);
    });
}

Bench benchUnder(int columns, int rows, double pitch_x, double pitch_y) {
    auto bench = demoBench();
    bench.fixtures.resize(1);
    bench.fixtures.front().emitters = {columns, rows, Millimetre(pitch_x), Millimetre(pitch_y),
                                       Millimetre(0)};
    return bench;
}

const std::vector<double> kHeights{150, 210, 270};
const std::vector<double> kDepths{150, 300, 450};

std::string saidOf(const FitResult& fit) {
    std::string all;
    for (const auto& words : fit.cannot_tell) all += english(words) + "\n";
    return all;
}

}  // namespace

/// Beams that are not round as one thinks of them: round ones that look aside, and troughs.
class TestFitPictures : public QObject {
    Q_OBJECT

  private slots:
    void aLeanIsFoundAgain() {
        const auto round = roundBeam(38);
        const Eigen::VectorXd free = leaningBells({8.0, -5.0}) * round;
        const auto found = nearestLeaning(free, {0.0, 0.0});
        QVERIFY2(std::hypot(found.lean[0] - 8.0, found.lean[1] + 5.0) < 0.2,
                 qPrintable(QStringLiteral("%1 %2").arg(found.lean[0]).arg(found.lean[1])));
        // Its light is the round beam's, about another axis.
        const Eigen::Vector3d axis =
            Eigen::Vector3d(std::tan(8.0 * kDegree), std::tan(-5.0 * kDegree), 1.0).normalized();
        const double peak = BeamBasis::intensity(BeamShape::Round, spanOf(round), 0.0, 0.0);
        for (double theta = 0; theta <= 80; theta += 10)
            for (double phi = 0.1; phi < 6.2; phi += 0.7) {
                const double away = std::acos(direction(theta, phi).dot(axis)) / kDegree;
                const double is = BeamBasis::intensity(BeamShape::Free, spanOf(free), theta, phi);
                const double asked = BeamBasis::intensity(BeamShape::Round, spanOf(round), away, 0.0);
                QVERIFY2(
                    std::abs(is - asked) < 0.02 * peak,
                    qPrintable(QStringLiteral("%1 %2: %3 for %4").arg(theta).arg(phi).arg(is).arg(asked)));
            }
        // And how it answers to the lean.
        const Eigen::VectorXd moved = leaningBells({8.2, -5.0}) * found.round;
        const Eigen::VectorXd told = found.bells * found.round + 0.2 * found.by_lean.col(0);
        QVERIFY((leaningBells({found.lean[0] + 0.2, found.lean[1]}) * found.round - told).norm() <
                0.05 * (moved - free).norm() + 1e-3 * free.norm());
    }

    void aTroughIsItsOwnPicture() {
        Eigen::VectorXd any(BeamBasis::size(BeamShape::TwoPlanes));
        for (Eigen::Index i = 0; i < any.size(); ++i)
            any(i) = 10.0 / (1.0 + static_cast<double>(i % BeamBasis::kSize)) *
                     (1.0 + 0.1 * static_cast<double>(i / BeamBasis::kSize));
        const auto once = nearestTrough(any);
        const auto twice = nearestTrough(once.beam);
        QVERIFY2((twice.beam - once.beam).norm() < 0.05 * once.beam.norm(),
                 qPrintable(QString::number((twice.beam - once.beam).norm() / once.beam.norm())));
        // What it gives at two angles along is in the same proportion at every angle across.
        const auto apart = [&](const Eigen::VectorXd& beam) {
            const auto at = [&](double across_deg, double along_deg) {
                const double rest = std::cos(along_deg * kDegree);
                const Eigen::Vector3d d(std::sin(along_deg * kDegree), rest * std::sin(across_deg * kDegree),
                                        rest * std::cos(across_deg * kDegree));
                return BeamBasis::intensity(BeamShape::TwoPlanes, spanOf(beam), std::acos(d.z()) / kDegree,
                                            std::atan2(d.y(), d.x()));
            };
            return std::abs(std::log(at(10, 40) / at(10, 10) * at(45, 10) / at(45, 40)));
        };
        QVERIFY2(apart(once.beam) < 0.1, qPrintable(QString::number(apart(once.beam))));
        QVERIFY2(apart(any) > 0.2, qPrintable(QString::number(apart(any))));
    }

    void aClusterThatLooksAsideIsFoundAndSaid() {
        Truth truth;
        truth.beam = aside(36, 9, 4);
        const auto bench = readOver(benchUnder(4, 3, 28, 28), truth, 0.02, kHeights, kDepths);
        const auto fit = fitFixture(bench, allRuns(bench));
        QVERIFY(fit);
        QCOMPARE(fit->model.shape, BeamShape::Free);
        const auto said = saidOf(*fit);
        const std::string begins = "looks aside by ";
        const auto at = said.find(begins);
        QVERIFY2(at != std::string::npos, said.c_str());
        QVERIFY2(std::abs(std::stod(said.substr(at + begins.size())) - std::hypot(9.0, 4.0)) < 1.5,
                 said.c_str());
        QVERIFY2(said.find("toward its right end and its back") != std::string::npos, said.c_str());
        const auto error = arrayError(bench, truth, fit->model);
        QVERIFY2(error.median < 0.012, qPrintable(QString::number(error.median)));
        QVERIFY2(error.inside > 0.85, qPrintable(QString::number(error.inside)));
    }

    void aRoundOneLooksStraightDown() {
        const auto bench = readOver(benchUnder(4, 3, 28, 28), Truth{}, 0.02, kHeights, kDepths);
        const auto fit = fitFixture(bench, allRuns(bench));
        QVERIFY(fit);
        QCOMPARE(fit->model.shape, BeamShape::Round);
        QVERIFY(saidOf(*fit).find("looks aside") == std::string::npos);
    }

    void tubesInAReflectorHaveTwoPlanes() {
        Truth truth;
        truth.beam = tubesInReflector();
        const auto bench = readOver(benchUnder(20, 2, 26, 70), truth, 0.02, kHeights, kDepths);
        const auto fit = fitFixture(bench, allRuns(bench));
        QVERIFY(fit);
        QCOMPARE(fit->model.shape, BeamShape::TwoPlanes);
        const auto error = arrayError(bench, truth, fit->model);
        QVERIFY2(error.median < 0.015, qPrintable(QString::number(error.median)));
        QVERIFY2(error.inside > 0.85, qPrintable(QString::number(error.inside)));
        // The hump stands where it is.
        const auto at = [&](double theta) {
            return BeamBasis::intensity(fit->model.shape, fit->model.beam, theta, M_PI / 2);
        };
        QVERIFY(at(35) > 1.1 * at(0));
    }
};

GLUMET_TEST(TestFitPictures, "core_fit_pictures", Application)

}  // namespace core_fit_pictures

#include "test_fit_pictures.moc"
