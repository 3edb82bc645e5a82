#include "core/light/shadow.h"

#include <QTest>
#include <cmath>
#include <random>

#include "runner/registry.h"
#include "scene_maker.h"

namespace core_shadow {

using namespace glumet;

namespace {

using Point = std::array<double, 2>;

/// A surface of many plane waves whose curvature has the autocorrelation exp(−Δ²/ℓ²): wave numbers by
/// k exp(−k²ℓ²/4), all directions alike.
class WavySurface {
  public:
    WavySurface(std::mt19937_64& random, double correlation_mm, double curvature) {
        std::uniform_real_distribution<double> any(0.0, 1.0);
        while (waves_.size() < kWaves) {
            const double k = 2.0 / correlation_mm * std::sqrt(-std::log(1.0 - any(random)));
            // The longest waves bend nothing and tilt much.
            if (k < 0.1 / correlation_mm) continue;
            const double turn = 2.0 * M_PI * any(random);
            waves_.push_back({k * std::cos(turn), k * std::sin(turn), 2.0 * M_PI * any(random),
                              curvature * std::sqrt(2.0 / kWaves) / (k * k)});
        }
    }
    Point slope(const Point& at) const {
        Point out{0.0, 0.0};
        for (const auto& w : waves_) {
            const double s = -w.amplitude * std::sin(w.kx * at[0] + w.ky * at[1] + w.phase);
            out[0] += s * w.kx;
            out[1] += s * w.ky;
        }
        return out;
    }

  private:
    static constexpr std::size_t kWaves = 80;
    struct Wave {
        double kx, ky, phase, amplitude;
    };
    std::vector<Wave> waves_;
};

/// Where a ray from an emitter through `entry` lands, by Snell's law for vectors.
Point landing(const WavySurface& surface, const Point& emitter, double height, double depth, double n,
              const Point& entry) {
    const auto g = surface.slope(entry);
    const double normal_length = std::sqrt(1.0 + g[0] * g[0] + g[1] * g[1]);
    const std::array<double, 3> normal{-g[0] / normal_length, -g[1] / normal_length, 1.0 / normal_length};
    std::array<double, 3> ray{entry[0] - emitter[0], entry[1] - emitter[1], -height};
    const double length = std::hypot(ray[0], ray[1], ray[2]);
    for (double& component : ray) component /= length;
    const double in = -(ray[0] * normal[0] + ray[1] * normal[1] + ray[2] * normal[2]);
    const double out = std::sqrt(1.0 - (1.0 - in * in) / (n * n));
    std::array<double, 3> bent{};
    for (std::size_t i = 0; i < 3; ++i) bent[i] = ray[i] / n + (in / n - out) * normal[i];
    return {entry[0] + depth * bent[0] / -bent[2], entry[1] + depth * bent[1] / -bent[2]};
}

/// Density of light at a receiver: one over the stretch of the landing map where it is met.
double brightness(const WavySurface& surface, const Point& emitter, double height, double depth, double n,
                  const Point& receiver, Point entry) {
    const auto at = [&](const Point& u) { return landing(surface, emitter, height, depth, n, u); };
    constexpr double kStep = 1e-3;
    constexpr double kMet = 1e-9;
    double determinant = 1.0;
    double miss = 1.0;
    for (int round = 0; round < 6 && miss > kMet; ++round) {
        const auto here = at(entry);
        const auto right = at({entry[0] + kStep, entry[1]});
        const auto back = at({entry[0], entry[1] + kStep});
        const double a = (right[0] - here[0]) / kStep;
        const double b = (back[0] - here[0]) / kStep;
        const double c = (right[1] - here[1]) / kStep;
        const double d = (back[1] - here[1]) / kStep;
        determinant = a * d - b * c;
        const double ex = receiver[0] - here[0];
        const double ey = receiver[1] - here[1];
        miss = std::hypot(ex, ey);
        entry[0] += (d * ex - b * ey) / determinant;
        entry[1] += (a * ey - c * ex) / determinant;
    }
    return 1.0 / determinant;
}

LightScene lampsOver(const std::vector<Point>& places, double height) {
    auto scene = cubeScene(*Beam::cosinePower(1.0), height);
    scene.length_mm = scene.width_mm = 4000.0;
    scene.water_depth_mm = 600.0;
    scene.walls.fill(SceneWall::opaque(0.0));
    scene.fixtures[0].x_mm = scene.fixtures[0].y_mm = 2000.0;
    scene.fixtures[0].emitters.clear();
    for (const auto& place : places) scene.fixtures[0].emitters.push_back({place[0], place[1], 50.0, 0, 0});
    return scene;
}

/// Standard deviation of the relative fluctuation by rays through random surfaces, against that of one
/// emitter straight above by the same surfaces.
double shimmerByRays(const ExactField& field, double height, double depth) {
    const double n = field.scene().water.refractive_index;
    const Point receiver{2000.0, 2000.0};
    const auto ways = field.arrivals(Millimetre(2000), Millimetre(2000), Millimetre(depth));
    double all = 0.0;
    for (const auto& way : ways) all += way.ppfd;
    std::mt19937_64 none(1);
    const WavySurface flat(none, 20.0, 0.0);
    const auto under = [&](const WavySurface& surface, const Point& emitter, const Point& entry) {
        return brightness(surface, emitter, height, depth, n, receiver, entry);
    };
    const auto emitterOf = [&](const auto& way) {
        const auto& source = field.sources()[way.source];
        return Point{source.x_mm, source.y_mm};
    };
    const auto entryOf = [](const auto& way) { return Point{way.entry_x_mm, way.entry_y_mm}; };
    std::vector<double> calm;
    for (const auto& way : ways) calm.push_back(under(flat, emitterOf(way), entryOf(way)));
    const double calm_above = under(flat, receiver, receiver);
    std::mt19937_64 random(20261127);
    double squares = 0.0;
    double straight = 0.0;
    constexpr int kSurfaces = 6000;
    for (int i = 0; i < kSurfaces; ++i) {
        const WavySurface surface(random, 20.0, 1e-6);
        double light = 0.0;
        for (std::size_t way = 0; way < ways.size(); ++way)
            light += ways[way].ppfd / all *
                     (under(surface, emitterOf(ways[way]), entryOf(ways[way])) / calm[way] - 1.0);
        const double above = under(surface, receiver, receiver) / calm_above - 1.0;
        squares += light * light;
        straight += above * above;
    }
    return std::sqrt(squares / straight);
}

}  // namespace

class TestShadow : public QObject {
    Q_OBJECT

  private slots:
    void onePointCastsAFullShadowAndShimmersFully() {
        const auto scene = lampsOver({{0, 0}}, 250.0);
        const std::vector<Point> points{{2000, 2000}, {2010, 1990}};
        QCOMPARE(shadowFigure(scene, Millimetre(300), points), 0.0);
        const double shimmer =
            shimmerAt(ExactField(scene), Millimetre(2000), Millimetre(2000), Millimetre(300));
        QVERIFY(std::abs(shimmer - 1.0) < 1e-9);
    }

    /// Under a wide sheet of emitters the disc hides the share of the light that comes from behind it.
    void aWideSheetLeavesWhatComesFromTheSide() {
        auto scene = lampsOver({}, 200.0);
        for (int i = -30; i <= 30; ++i)
            for (int j = -30; j <= 30; ++j)
                scene.fixtures[0].emitters.push_back({i * 30.0, j * 30.0, 1.0, 0, 0});
        scene.water = Water::none();
        const std::vector<Point> point{{2007, 2011}};
        // In air a cosine emitter gives r⁻⁴ cos⁴ over the sheet: the disc hides the part inside its cone.
        const double depth = 300.0;
        const double cone = 50.0 / 100.0 * (depth + 200.0);
        double hidden = 0.0;
        double all = 0.0;
        for (const auto& e : scene.fixtures[0].emitters) {
            const double r2 = std::pow(e.dx_mm - 7.0, 2) + std::pow(e.dy_mm - 11.0, 2);
            const double light = 1.0 / std::pow(r2 + std::pow(depth + 200.0, 2), 2);
            all += light;
            hidden += r2 <= cone * cone ? light : 0.0;
        }
        QVERIFY(std::abs(shadowFigure(scene, Millimetre(depth), point) - (1.0 - hidden / all)) < 1e-9);
    }

    void theDiscHangsOverEachReceiverByItself() {
        const auto scene = lampsOver({{-500, 0}, {500, 0}}, 200.0);
        const std::vector<Point> one{{2000, 2000}};
        const std::vector<Point> two{{2000, 2000}, {2500, 2000}};
        const double middle = shadowFigure(scene, Millimetre(300), one);
        QVERIFY(middle > 0.99);  // between the two, both pass the disc
        const double both = shadowFigure(scene, Millimetre(300), two);
        QVERIFY(both < middle && both > 0.4);
        ShadowDisc wide;
        wide.diameter = Millimetre(400);
        QCOMPARE(shadowFigure(scene, Millimetre(300), one, wide), 0.0);
    }

    void shimmerIsThatOfRaysThroughRandomSurfaces_data() {
        QTest::addColumn<std::vector<Point>>("places");
        QTest::newRow("two, 2 cm apart") << std::vector<Point>{{-10, 0}, {10, 0}};
        QTest::newRow("two, 6 cm apart") << std::vector<Point>{{-30, 0}, {30, 0}};
        QTest::newRow("a row of five") << std::vector<Point>{{-80, 0}, {-40, 0}, {0, 0}, {40, 0}, {80, 0}};
        QTest::newRow("one, 20 cm aside") << std::vector<Point>{{200, 0}};
        QTest::newRow("one, 40 cm aside, across") << std::vector<Point>{{240, 320}};
        QTest::newRow("two, oblique and near") << std::vector<Point>{{300, 0}, {320, 30}};
    }
    void shimmerIsThatOfRaysThroughRandomSurfaces() {
        QFETCH(std::vector<Point>, places);
        const ExactField field(lampsOver(places, 250.0));
        const double ours = shimmerAt(field, Millimetre(2000), Millimetre(2000), Millimetre(300));
        const double rays = shimmerByRays(field, 250.0, 300.0);
        QVERIFY2(std::abs(ours / rays - 1.0) < 0.05,
                 qPrintable(QStringLiteral("%1 against %2").arg(ours).arg(rays)));
    }

    void channelsThatShineFromTheSamePlacesFlashNot() {
        auto scene = lampsOver({{-30, 0}, {30, 0}}, 250.0);
        scene.channels.push_back({"blue", {}});
        for (std::size_t i = 0; i < 2; ++i) {
            auto twin = scene.fixtures[0].emitters[i];
            twin.channel = 1;
            twin.flux_umol_s *= 0.3;
            scene.fixtures[0].emitters.push_back(twin);
        }
        const auto flash = [](const LightScene& lit) {
            return colourFlashAt(ExactField(lit), Millimetre(2000), Millimetre(2000), Millimetre(300), 0, 1);
        };
        QVERIFY(flash(scene) < 1e-6);
        // Side by side they do; far apart as much as two lamps that know nothing of each other.
        for (std::size_t i = 2; i < 4; ++i) scene.fixtures[0].emitters[i].dx_mm += 12.0;
        const double near = flash(scene);
        QVERIFY(near > 0.1);
        for (std::size_t i = 2; i < 4; ++i) scene.fixtures[0].emitters[i].dy_mm += 150.0;
        QVERIFY(flash(scene) > near);
        scene.fixtures[0].channel_levels = {1.0, 0.0};
        QCOMPARE(flash(scene), 0.0);
    }

    void dryAndAtTheSurfaceNothingShimmers() {
        auto scene = lampsOver({{0, 0}}, 250.0);
        QCOMPARE(shimmerAt(ExactField(scene), Millimetre(2000), Millimetre(2000), Millimetre(0)), 0.0);
        scene.water = Water::none();
        QCOMPARE(shimmerAt(ExactField(scene), Millimetre(2000), Millimetre(2000), Millimetre(300)), 0.0);
    }

    void theMiddleRingOfAGrid() {
        std::vector<Point> points;
        for (int j = 0; j < 6; ++j)
            for (int i = 0; i < 11; ++i) points.push_back({i * 1.0, j * 1.0});
        const auto middle = middleRing(points, 11, 6);
        QCOMPARE(middle.size(), std::size_t{14});
        QCOMPARE(middle.front(), (Point{2, 2}));
        QCOMPARE(middle.back(), (Point{8, 3}));
        QCOMPARE(middleRing(points, 0, 0).size(), points.size());
    }
};

GLUMET_TEST(TestShadow, "core_shadow", Nothing)

}  // namespace core_shadow

#include "test_shadow.moc"
