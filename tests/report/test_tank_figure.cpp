#include "core/living/living_findings.h"
#include "report/tank_figure.h"

#include <QImage>
#include <QTest>

#include "core/simulation/demo_living.h"
#include "core/simulation/demo_scenario.h"
#include "runner/registry.h"

namespace report_tank_figure {

using namespace glumet;

namespace {

/// The demonstration's raceway with what lives in it.
const Bench& demo() {
    static const Bench bench = [] {
        auto made = demoBench();
        addDemoLiving(made, 11);
        return made;
    }();
    return bench;
}

QImage painted(const QSize& size, const std::function<void(QPainter&, const QRectF&)>& work) {
    QImage image(size, QImage::Format_RGB32);
    image.fill(Qt::white);
    QPainter p(&image);
    work(p, QRectF(QPointF(0, 0), size));
    return image;
}

/// So many pixels are not as the ground was.
int inkOf(const QImage& image) {
    int count = 0;
    for (int y = 0; y < image.height(); ++y)
        for (int x = 0; x < image.width(); ++x) count += image.pixel(x, y) != qRgb(255, 255, 255) ? 1 : 0;
    return count;
}

}  // namespace

/// A living tank as it is drawn.
class TestTankFigure : public QObject {
    Q_OBJECT

    static TankFigure figureOf(const Bench& bench, double depth_mm, Id chosen,
                               const ExpectedLight& expected = {}) {
        const auto& tank = bench.tanks[1];
        const auto surveys = surveysOf(bench, tank.id);
        return tankFigure(bench, tank, Millimetre(depth_mm), chosen,
                          mapOf(bench, tank.id, comparedChange(surveys, {}, {}), expected));
    }

  private slots:
    void everySpotHasItsMark() {
        const auto figure = figureOf(demo(), 260, demo().spots.front().id);
        QCOMPARE(figure.marks.size(), demo().spots.size());
        QVERIFY(figure.marks.front().chosen);
        QVERIFY(figure.marks.front().name.startsWith(QStringLiteral("A ")));
        QCOMPARE(figure.marks.front().below, QStringLiteral("eelgrass"));
        int bare = 0;
        for (const auto& mark : figure.marks) bare += mark.mark == SpotMark::Bare ? 1 : 0;
        QCOMPARE(bare, 4);
        QCOMPARE(figure.plan.size(), static_cast<std::size_t>(figure.columns * figure.rows));
        QCOMPARE(figure.side.size(), static_cast<std::size_t>(figure.columns * figure.layers));
    }

    /// Few readings tell little by themselves; a fitted field tells the rest, but not what stands in a shade.
    void nothingIsTexturedThatNobodyKnows() {
        const auto told = [](const TankFigure& figure) {
            return std::count_if(figure.plan.begin(), figure.plan.end(),
                                 [](const MapPoint& point) { return point.told; });
        };
        const auto alone = figureOf(demo(), 330, 0);
        QVERIFY(told(alone) < static_cast<long>(alone.plan.size()) / 2);
        Run lamps;
        lamps.fixture = demo().fixtures.front().id;
        lamps.tank = demo().tanks[1].id;
        lamps.fixtures = 2;
        lamps.placement = placementAt({Millimetre(310), Millimetre(890)});
        lamps.height = Millimetre(210);
        auto field = std::make_shared<FastField>(sceneOf(demo(), lamps));
        const auto by_field = figureOf(demo(), 330, 0, [field](double x, double y, double z) {
            const std::array<std::array<double, 2>, 1> place{{{x, y}}};
            return field->onPlane(Millimetre(z), place).front();
        });
        QVERIFY(told(by_field) > static_cast<long>(by_field.plan.size()) * 3 / 4);
        // C was grown over.
        const auto& c = by_field.marks[2];
        const int column = static_cast<int>(c.x_mm / by_field.length.value() * by_field.columns);
        const int row = static_cast<int>(c.y_mm / by_field.width.value() * by_field.rows);
        QVERIFY(!by_field.plan[static_cast<std::size_t>(row * by_field.columns + column)].told);
    }

    void anUnreadTankSaysSo() {
        auto bench = demo();
        for (auto& spot : bench.spots) spot.readings.clear();
        const auto figure = figureOf(bench, 200, 0);
        QVERIFY(!figure.empty.isEmpty());
        QVERIFY(figure.plan.empty());
        for (const auto& mark : figure.marks) QCOMPARE(mark.mark, SpotMark::Unread);
        const auto image = painted(
            {400, 200}, [&](QPainter& p, const QRectF& area) { paintTankPlan(p, area, figure, paper()); });
        QVERIFY(inkOf(image) > 1000);
    }

    void theMarkUnderAFingerIsFound() {
        const auto figure = figureOf(demo(), 260, 0);
        const QRectF area(0, 0, 800, 500);
        for (std::size_t i = 0; i < figure.marks.size(); ++i) {
            const auto at = tankPoint(area, figure, figure.marks[i].x_mm, figure.marks[i].y_mm);
            QCOMPARE(*markNear(area, figure, at + QPointF(3, -2)), i);
        }
        QVERIFY(!markNear(area, figure, QPointF(790, 495)));
        const auto foot = tankFootprint(area, figure);
        QVERIFY(qAbs(foot.width() / foot.height() - 2.0) < 1e-9);
        QVERIFY(tankPoint(area, figure, 0, 0).y() > tankPoint(area, figure, 0, 500).y());  // front below
    }

    void pictureOfThePlanTheSideTheRampAndTheHistories() {
        const auto figure = figureOf(demo(), 260, demo().spots[2].id);
        for (const auto* palette : {&paper(), &dimRoom()}) {
            QVERIFY(inkOf(painted({500, 300}, [&](QPainter& p, const QRectF& area) {
                        paintTankPlan(p, area, figure, *palette);
                    })) > 20'000);
            QVERIFY(inkOf(painted({300, 120}, [&](QPainter& p, const QRectF& area) {
                        paintTankSide(p, area, figure, *palette);
                    })) > 10'000);
        }
        const auto steps = *datedSteps(demo().ramps.front());
        const auto before = painted({400, 160}, [&](QPainter& p, const QRectF& area) {
            paintRamp(p, area, steps, QStringLiteral("2026-10-01"), paper());
        });
        const auto during = painted({400, 160}, [&](QPainter& p, const QRectF& area) {
            paintRamp(p, area, steps, QStringLiteral("2026-11-20"), paper());
        });
        QVERIFY(inkOf(before) > 300);
        QVERIFY(inkOf(during) > inkOf(before));  // today's mark
        QCOMPARE(inkOf(painted({400, 160},
                               [&](QPainter& p, const QRectF& area) {
                                   paintRamp(p, area, {}, QStringLiteral("2026-11-20"), paper());
                               })),
                 0);
        const std::vector<SpotHistory> histories{{QStringLiteral("A"), {{0, 100}, {30, 120}}, false},
                                                 {QStringLiteral("B"), {{0, 80}}, true}};
        QVERIFY(inkOf(painted({400, 80}, [&](QPainter& p, const QRectF& area) {
                    paintHistories(p, area, histories, paper());
                })) > 60);
    }

    void theDemonstrationsRampKeepsItsCap() {
        const auto& ramp = demo().ramps.front();
        const auto steps = *datedSteps(ramp);
        for (std::size_t i = 1; i < steps.size(); ++i)
            QVERIFY(steps[i].level_pct / steps[i - 1].level_pct <= 1.0 + *ramp.cap_pct_week / 100.0);
    }
};

GLUMET_TEST(TestTankFigure, "report_tank_figure", Windows)

}  // namespace report_tank_figure

#include "test_tank_figure.moc"
