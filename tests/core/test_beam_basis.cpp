#include <QTest>
#include <cmath>
#include <numbers>
#include <numeric>
#include <random>

#include "core/fit/basis_field.h"
#include "core/fit/beam_basis.h"
#include "core/fit/light_model.h"
#include "core/light/fast_field.h"
#include "core/light/radial_table.h"
#include "runner/registry.h"

namespace core_beam_basis {

using namespace glumet;

namespace {

constexpr std::array kShapes{BeamShape::Round, BeamShape::TwoPlanes, BeamShape::Free};
constexpr double kPi = std::numbers::pi;

/// Coefficients of a beam that has no symmetry beyond its shape's own.
std::vector<double> beamOf(BeamShape shape, std::uint64_t seed) {
    std::mt19937_64 random(seed);
    std::uniform_real_distribution<double> any(0.6, 1.0);
    std::vector<double> beam;
    for (int azimuth = 0; azimuth < BeamBasis::azimuths(shape); ++azimuth) {
        const double much = any(random);
        for (int bell = 0; bell < BeamBasis::kSize; ++bell)
            beam.push_back(100.0 * much * std::max(0.0, 1.0 - static_cast<double>(bell) / BeamBasis::kSize));
    }
    // Straight down every azimuth sees the same.
    for (std::size_t i = 0; i < beam.size(); i += BeamBasis::kSize)
        for (std::size_t bell = 0; bell < 3; ++bell) beam[i + bell] = beam[bell];
    return beam;
}

LightScene pool() {
    LightScene scene;
    scene.length_mm = 700;
    scene.width_mm = 500;
    scene.water_depth_mm = 400;
    scene.walls = {SceneWall::glass(), SceneWall::opaque(0.2), SceneWall::glass(), SceneWall::opaque(0.0)};
    SceneFixture fixture;
    fixture.x_mm = 300;
    fixture.y_mm = 270;
    fixture.height_mm = 180;
    fixture.rotation_deg = 30;
    scene.fixtures = {fixture};
    return scene;
}

LightModel modelOf(BeamShape shape, std::uint64_t seed) {
    LightModel model;
    model.shape = shape;
    model.beam = beamOf(shape, seed);
    model.emitters = {{-60, 0, 0.5}, {60, 20, 0.5}};
    model.covariance.assign(model.parameters() * model.parameters(), 0.0);
    return model;
}

std::vector<BasisField::Point> somePoints(std::uint64_t seed, int count) {
    std::mt19937_64 random(seed);
    std::uniform_real_distribution<double> x(20, 680);
    std::uniform_real_distribution<double> y(20, 480);
    std::uniform_real_distribution<double> z(20, 390);
    std::vector<BasisField::Point> points;
    for (int i = 0; i < count; ++i) points.push_back({x(random), y(random), z(random)});
    return points;
}

}  // namespace

/// Beams as sums of bells, and the field they make.
class TestBeamBasis : public QObject {
    Q_OBJECT

  private slots:
    void bellsAddUpToOneInEveryDirection() {
        for (const auto shape : kShapes) {
            const std::vector<double> even(static_cast<std::size_t>(BeamBasis::size(shape)), 1.0);
            for (double theta = 0.0; theta <= 90.0; theta += 3.7)
                for (double phi = -4.0; phi <= 4.0; phi += 0.41)
                    QVERIFY(std::abs(BeamBasis::intensity(shape, even, theta, phi) - 1.0) < 1e-12);
            const auto shares = BeamBasis::turnShares(shape);
            QCOMPARE(shares.size(), static_cast<std::size_t>(BeamBasis::azimuths(shape)));
            QVERIFY(std::abs(std::accumulate(shares.begin(), shares.end(), 0.0) - 1.0) < 1e-12);
        }
    }

    void noBellIsNegativeAndARowIsTheBeam() {
        for (const auto shape : kShapes) {
            const auto beam = beamOf(shape, 3);
            for (double theta = 0.0; theta <= 90.0; theta += 5.3)
                for (double phi = 0.0; phi < 6.3; phi += 0.7) {
                    std::vector<double> row(static_cast<std::size_t>(BeamBasis::size(shape)), 0.0);
                    BeamBasis::addTo(shape, theta, phi, 2.0, row.data());
                    for (const double height : row) QVERIFY(height >= 0.0);
                    const double by_row = std::inner_product(row.begin(), row.end(), beam.begin(), 0.0);
                    const double at_once = BeamBasis::intensity(shape, beam, theta, phi);
                    QVERIFY(std::abs(by_row - 2.0 * at_once) < 1e-9);
                }
        }
    }

    void twoPlanesOfSymmetryAreMirrored() {
        const auto beam = beamOf(BeamShape::TwoPlanes, 5);
        for (double theta = 10.0; theta < 90.0; theta += 11.0)
            for (double phi = 0.05; phi < 1.5; phi += 0.2) {
                const double here = BeamBasis::intensity(BeamShape::TwoPlanes, beam, theta, phi);
                for (const double same : {-phi, kPi - phi, kPi + phi, 2.0 * kPi + phi})
                    QVERIFY(std::abs(BeamBasis::intensity(BeamShape::TwoPlanes, beam, theta, same) - here) <
                            1e-9);
            }
        const auto free = beamOf(BeamShape::Free, 5);
        double most = 0.0;
        for (double phi = 0.0; phi < 3.0; phi += 0.3)
            most = std::max(most, std::abs(BeamBasis::intensity(BeamShape::Free, free, 60, phi) -
                                           BeamBasis::intensity(BeamShape::Free, free, 60, -phi)));
        QVERIFY(most > 1.0);
    }

    /// ∫∫ I sin θ dθ dφ by a fine sum is what the fluxes of the bells say.
    void fluxesAreTheIntegralsOfTheBells() {
        for (const auto shape : kShapes) {
            const auto beam = beamOf(shape, 7);
            const auto& fluxes = BeamBasis::fluxes(shape);
            const double told = std::inner_product(beam.begin(), beam.end(), fluxes.begin(), 0.0);
            constexpr int kRings = 720;
            constexpr int kTurns = 96;
            double sum = 0.0;
            for (int i = 0; i < kRings; ++i) {
                const double theta = (i + 0.5) * 90.0 / kRings;
                for (int j = 0; j < kTurns; ++j)
                    sum += BeamBasis::intensity(shape, beam, theta, (j + 0.5) * 2.0 * kPi / kTurns) *
                           std::sin(theta * kPi / 180.0);
            }
            sum *= (kPi / 2.0 / kRings) * (2.0 * kPi / kTurns);
            QVERIFY2(std::abs(sum / told - 1.0) < 1e-5,
                     qPrintable(QStringLiteral("%1 %2").arg(sum).arg(told)));
        }
    }

    void theTableOfABeamIsTheBeam() {
        for (const auto shape : kShapes) {
            const auto beam = beamOf(shape, 9);
            const auto table = BeamBasis::tableOf(shape, beam);
            QVERIFY(table);
            QCOMPARE(table->round(), shape == BeamShape::Round);
            // Along the planes and angles that it has, against straight down: there nothing lies between.
            const double down = BeamBasis::intensity(shape, beam, 0.0, 0.0);
            for (std::size_t plane = 0; plane < table->planeCount(); ++plane)
                for (double theta = 0.0; theta <= 90.0; theta += 9.0) {
                    const double phi = 7.5 * static_cast<double>(plane) * kPi / 180.0;
                    const double told = table->planeIntensity(plane, std::cos(theta * kPi / 180.0)) /
                                        table->planeIntensity(0, 1.0);
                    const double wanted = BeamBasis::intensity(shape, beam, theta, phi) / down;
                    QVERIFY2(std::abs(told - wanted) < 1e-3,
                             qPrintable(QStringLiteral("%1 %2").arg(told).arg(wanted)));
                }
        }
    }

    /// Bell by bell, by one beam at once, by the fast field and by the exact one: the same light.
    void allWaysToAFieldAgree() {
        for (const auto shape : kShapes) {
            const auto model = modelOf(shape, 11);
            const auto points = somePoints(1, 40);
            const auto field = model.over(pool(), 0.0, 0.0);
            const auto rows = field.rows(points);
            const auto values = field.values(points, model.beam);
            const auto scene = sceneWith(model, pool());
            QVERIFY(scene);
            FastField fast(*scene);
            const auto width = static_cast<std::size_t>(BeamBasis::size(shape));
            double most = 0.0;
            for (const double value : values) most = std::max(most, value);
            for (std::size_t i = 0; i < points.size(); ++i) {
                const double by_rows =
                    std::inner_product(model.beam.begin(), model.beam.end(),
                                       rows.begin() + static_cast<std::ptrdiff_t>(i * width), 0.0);
                QVERIFY(std::abs(by_rows - values[i]) <= 1e-9 * most);
                const std::array<std::array<double, 2>, 1> place{{{points[i].x_mm, points[i].y_mm}}};
                const double by_fast = fast.onPlane(Millimetre(points[i].depth_mm), place).front();
                // The scene's beam is a table every degree and 7.5° of azimuth: that is what is left.
                QVERIFY2(std::abs(by_fast - values[i]) < (shape == BeamShape::Round ? 0.002 : 0.01) * most,
                         qPrintable(QStringLiteral("%1 %2").arg(by_fast).arg(values[i])));
            }
        }
    }

    /// A beam's cubics worked out before are the same beam.
    void aCurveIsItsBells() {
        for (const auto shape : kShapes) {
            const auto beam = beamOf(shape, 17);
            const BeamCurve curve(shape, beam);
            for (double theta = 0.0; theta <= 95.0; theta += 1.3)
                for (double phi = -4.0; phi <= 4.0; phi += 0.31)
                    QVERIFY(std::abs(curve.at(theta, phi) - BeamBasis::intensity(shape, beam, theta, phi)) <
                            1e-9);
        }
    }

    /// Where a ray by way of a wall ceases to enter the footprint the light falls at once: over a walk the
    /// slopes add up to it, as those of the smooth part do not.
    void slopesKnowWhereRaysCeaseToEnter() {
        const auto model = modelOf(BeamShape::Round, 23);
        const std::vector<ModelEmitter> one{{0.0, 0.0, 1.0}};
        constexpr double kStep = 0.25;
        constexpr int kSteps = 400;
        const auto at = [](double moved) {
            auto scene = pool();
            scene.fixtures[0].x_mm = 20.0 + moved;
            scene.fixtures[0].y_mm = 250.0;
            return scene;
        };
        const std::vector<BasisField::Point> point{{60.0, 250.0, 300.0}};
        const auto lit = [&](double moved) {
            return BasisField(at(moved), one, 0.1).values(point, model.beam).front();
        };
        const auto walked = [&](double edge_mm) {
            double sum = 0.0;
            for (int i = 0; i < kSteps; ++i) {
                std::vector<BasisField::Slopes> slopes;
                BasisField(at((i + 0.5) * kStep), one, 0.1).rows(point, model.beam, {{}}, slopes, edge_mm);
                sum += slopes.front().place_x * kStep;
            }
            return sum;
        };
        const double whole = lit(kSteps * kStep) - lit(0.0);
        const double smooth = walked(1e-9);
        QVERIFY2(std::abs(smooth / whole - 1.0) > 0.1, qPrintable(QString::number(smooth / whole)));
        const double all = walked(BasisField::kEdgeMm);
        QVERIFY2(std::abs(all / whole - 1.0) < 0.01, qPrintable(QString::number(all / whole)));
    }

    /// A direct ray enters between lamp and point, however near the wall.
    void closeToAWallDirectRaysHaveNoEdge() {
        auto scene = pool();
        scene.walls = {SceneWall::opaque(0.0), SceneWall::opaque(0.0), SceneWall::opaque(0.0),
                       SceneWall::opaque(0.0)};
        const auto model = modelOf(BeamShape::Round, 29);
        const std::vector<ModelEmitter> one{{0.0, 0.0, 1.0}};
        const std::vector<BasisField::Point> points{
            {0.5, 250.0, 5.0}, {300.0, 499.5, 5.0}, {698.0, 3.0, 9.0}};
        std::vector<BasisField::Slopes> slopes;
        BasisField(scene, one, 0.1).rows(points, model.beam, {{}}, slopes);
        const auto here = BasisField(scene, one, 0.1).values(points, model.beam);
        constexpr double kStep = 1e-4;
        scene.fixtures[0].x_mm += kStep;
        const auto along = BasisField(scene, one, 0.1).values(points, model.beam);
        scene.fixtures[0].x_mm -= kStep;
        scene.fixtures[0].y_mm += kStep;
        const auto across = BasisField(scene, one, 0.1).values(points, model.beam);
        for (std::size_t i = 0; i < points.size(); ++i) {
            const double tolerance = 1e-4 * here[i];
            QVERIFY(std::abs(slopes[i].place_x - (along[i] - here[i]) / kStep) < tolerance);
            QVERIFY(std::abs(slopes[i].place_y - (across[i] - here[i]) / kStep) < tolerance);
        }
    }

    /// What comes by derivative is what a small step gives, a black wall's first mirror image included.
    void slopesAreThoseOfSmallSteps() {
        constexpr double kStep = 1e-4;
        const auto points = somePoints(3, 30);
        for (const auto shape : kShapes) {
            const auto model = modelOf(shape, 19);
            const std::vector<BasisField::Lean> leans{{-1.0, 0.5}, {0.7, 0.0}};
            const auto lit = [&](double attenuation, double lighter, double along, double across) {
                auto scene = pool();
                for (auto& wall : scene.walls)
                    if (!wall.clear()) wall.reflectance += lighter;
                auto emitters = model.emitters;
                for (std::size_t i = 0; i < emitters.size(); ++i)
                    emitters[i].share *= std::exp(along * leans[i].along + across * leans[i].across);
                return BasisField(scene, emitters, attenuation, shape).values(points, model.beam);
            };
            std::vector<BasisField::Slopes> slopes;
            const BasisField field(pool(), model.emitters, 0.1, shape);
            // Rays that enter just beyond the footprint count in the slopes alone.
            QCOMPARE(field.rows(points, model.beam, leans, slopes), field.rows(points));
            constexpr double kNoEdges = 1e-9;
            QCOMPARE(field.rows(points, model.beam, leans, slopes, kNoEdges), field.rows(points));
            QCOMPARE(slopes.size(), points.size());
            const auto here = lit(0.1, 0.0, 0.0, 0.0);
            const auto agree = [&](const std::vector<double>& moved, double BasisField::Slopes::*slope,
                                   double of_here = 2e-3) {
                for (std::size_t i = 0; i < points.size(); ++i) {
                    const double stepped = (moved[i] - here[i]) / kStep;
                    const double off = std::abs(slopes[i].*slope - stepped);
                    if (off > of_here * here[i] + 2e-3 * std::abs(stepped)) return false;
                }
                return true;
            };
            QVERIFY(agree(lit(0.1 + kStep, 0.0, 0.0, 0.0), &BasisField::Slopes::attenuation));
            QVERIFY(agree(lit(0.1, kStep, 0.0, 0.0), &BasisField::Slopes::reflectance));
            QVERIFY(agree(lit(0.1, 0.0, kStep, 0.0), &BasisField::Slopes::uneven_along));
            QVERIFY(agree(lit(0.1, 0.0, 0.0, kStep), &BasisField::Slopes::uneven_across));
            const auto hung = [&](double x, double y, double up) {
                auto scene = pool();
                for (auto& fixture : scene.fixtures) {
                    fixture.x_mm += x;
                    fixture.y_mm += y;
                    fixture.height_mm += up;
                }
                return BasisField(scene, model.emitters, 0.1, shape).values(points, model.beam);
            };
            constexpr double kPerMm = 1e-6;
            QVERIFY(agree(hung(kStep, 0.0, 0.0), &BasisField::Slopes::place_x, kPerMm));
            QVERIFY(agree(hung(0.0, kStep, 0.0), &BasisField::Slopes::place_y, kPerMm));
            QVERIFY(agree(hung(0.0, 0.0, kStep), &BasisField::Slopes::height, kPerMm));
            const auto spread = [&](double along, double across) {
                auto emitters = model.emitters;
                for (auto& emitter : emitters) {
                    emitter.dx_mm *= std::exp(along);
                    emitter.dy_mm *= std::exp(across);
                }
                return BasisField(pool(), emitters, 0.1, shape).values(points, model.beam);
            };
            QVERIFY(agree(spread(kStep, 0.0), &BasisField::Slopes::spread_along));
            QVERIFY(agree(spread(0.0, kStep), &BasisField::Slopes::spread_across));
            for (const auto& slope : slopes) QVERIFY(slope.attenuation < 0.0 && slope.reflectance >= 0.0);
            QVERIFY(std::count_if(slopes.begin(), slopes.end(),
                                  [](const auto& slope) { return slope.reflectance > 0.0; }) > 10);
        }
    }

    void aPredictionKnowsWhatTheFitDoesNot() {
        auto model = modelOf(BeamShape::Round, 13);
        const auto points = somePoints(2, 20);
        for (const auto& sure : predict(model, pool(), points)) {
            QVERIFY(sure.ppfd > 0.0);
            QVERIFY(std::abs(sure.hi - sure.lo) < 1e-6 * sure.ppfd);
        }
        // A tenth of doubt of the whole beam is a tenth of doubt of the light.
        const std::size_t n = model.parameters();
        for (std::size_t i = 0; i + 1 < n; ++i)
            for (std::size_t j = 0; j + 1 < n; ++j)
                model.covariance[i * n + j] = 0.01 * model.beam[i] * model.beam[j];
        for (const auto& doubtful : predict(model, pool(), points)) {
            const double half = 0.5 * (doubtful.hi - doubtful.lo) / doubtful.ppfd;
            QVERIFY2(std::abs(half / 0.196 - 1.0) < 0.05, qPrintable(QString::number(half)));
        }
        QVERIFY(std::abs(model.fluxError() / model.flux() - 0.1) < 1e-9);
        // Misfit comes on top, and another ruler more.
        auto worse = model;
        worse.misfit = 0.1;
        const auto before = predict(model, pool(), points);
        const auto after = predict(worse, pool(), points);
        for (std::size_t i = 0; i < points.size(); ++i)
            QVERIFY(after[i].hi - after[i].lo > 1.2 * (before[i].hi - before[i].lo));
        worse.ruler_mm = 4.0;
        const auto elsewhere = predict(worse.elsewhere(), pool(), points);
        for (std::size_t i = 0; i < points.size(); ++i)
            QVERIFY(elsewhere[i].hi - elsewhere[i].lo >= after[i].hi - after[i].lo - 1e-9);
    }

    void aRadialTableMeetsWhatItWasAsked() {
        const RadialKey key{150, 200};
        for (const auto& beam : {*Beam::cosinePower(1.0), *Beam::cosinePower(20.0), *Beam::halfAngle(30.0)}) {
            const auto table = tabulate(beam, {}, key, 1e6, 1e-4);
            QVERIFY2(table.error_met <= 1e-4, qPrintable(QString::number(table.error_met)));
            QVERIFY(table.bytes() > 0);
            QCOMPARE(table.lightAt(4e6F), 0.0F);  // beyond it
            // Light falls with distance, and a ray leans outward.
            for (float s = 0.0F; s < 4e5F; s += 4e4F) {
                QVERIFY(table.lightAt(s) >= table.lightAt(s + 4e4F));
                QVERIFY(table.tangentAt(s) > 0.0F);
            }
        }
    }
};

GLUMET_TEST(TestBeamBasis, "core_beam_basis", Windows)

}  // namespace core_beam_basis

#include "test_beam_basis.moc"
