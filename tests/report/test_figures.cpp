#include <QImage>
#include <QTest>

#include "core/bench/grid.h"
#include "core/bench/sweep.h"
#include "core/words/sentence.h"
#include "project/shipped_demo.h"
#include "report/chart_figure.h"
#include "report/plan_figure.h"
#include "report/section_figure.h"
#include "report/text.h"
#include "report/tide.h"
#include "runner/registry.h"

namespace report_figures {

using namespace glumet;

namespace {

const Bench& demo() {
    static const Bench bench = testing::shippedDemo();
    return bench;
}

}  // namespace

class TestFigures : public QObject {
    Q_OBJECT

  private slots:
    void theFieldScaleOnlyGetsLighter() {
        double last = -1.0;
        for (int i = 0; i <= 200; ++i) {
            const double lightness = perceivedLightness(tide(i / 200.0));
            // Rounding to 8 bits may take back less than a step.
            QVERIFY2(lightness > last - 0.003, qPrintable(QString::number(i)));
            last = lightness;
        }
        QCOMPARE(tide(-3.0), tide(0.0));
        QCOMPARE(tide(7.0), tide(1.0));
    }

    void everyFieldColourCarriesReadableInk() {
        // The values are large and bold: WCAG asks 3 of those.
        for (int i = 0; i <= 100; ++i) QVERIFY(contrast(inkOn(tide(i / 100.0)), tide(i / 100.0)) >= 4.0);
    }

    void planGeometryIsTrueToScale() {
        const PlanLayout layout(QRectF(10, 20, 600, 400), Millimetre(1200), Millimetre(600));
        QCOMPARE(layout.footprint().width() / layout.footprint().height(), 2.0);
        QCOMPARE(layout.at(0, 0), layout.footprint().bottomLeft());
        QCOMPARE(layout.at(1200, 600), layout.footprint().topRight());
    }

    void cellsTileTheFootprintAndAreFoundAgain() {
        const auto grid = cellCentres(Millimetre(1200), Millimetre(600), 11, 6);
        const PlanLayout layout(QRectF(0, 0, 500, 500), Millimetre(1200), Millimetre(600));
        double area = 0.0;
        for (int row = 0; row < 6; ++row)
            for (int column = 0; column < 11; ++column) {
                const auto rect = layout.cell(grid, {column, row});
                area += rect.width() * rect.height();
                QCOMPARE(*layout.cellUnder(grid, rect.center()), (Cell{column, row}));
            }
        QVERIFY(qAbs(area - layout.footprint().width() * layout.footprint().height()) < 1e-6);
        QVERIFY(!layout.cellUnder(grid, layout.footprint().bottomRight() + QPointF(5, 5)));
        // Row 1 is the front and the front is below.
        QVERIFY(layout.cell(grid, {0, 0}).center().y() > layout.cell(grid, {0, 5}).center().y());
    }

    void sectionHasOneScaleForHeightsAndDepths() {
        const auto sweep = sweepsOf(demo()).front();
        const auto data =
            sectionOf(demo(), sweep, Millimetre(180), Millimetre(150), nullptr, {}, LengthUnit::Cm);
        const SectionLayout layout(QRectF(0, 0, 300, 700), data);
        const double surface = layout.yOfDepth(Millimetre(0));
        QCOMPARE(layout.yOfHeight(Millimetre(0)), surface);
        QVERIFY(qAbs((surface - layout.yOfHeight(Millimetre(200))) -
                     (layout.yOfDepth(Millimetre(200)) - surface)) < 1e-9);
        QVERIFY(qAbs((layout.x(600) - layout.x(0)) - (layout.yOfDepth(Millimetre(600)) - surface)) < 1e-9);
        QCOMPARE(data.heights.size(), sweep.runs.size());
        QCOMPARE(data.shelves.size(), std::size_t{3});
    }

    void theSectionFindsMarksAndShelves() {
        const auto data = sectionOf(demo(), sweepsOf(demo()).front(), Millimetre(180), Millimetre(150),
                                    nullptr, {sweepsOf(demo()).front().runs.front()}, LengthUnit::Cm);
        const SectionLayout layout(QRectF(0, 0, 300, 700), data);
        QCOMPARE(data.heights.front().kind, MarkKind::Doubtful);
        for (const auto& mark : data.heights)
            QCOMPARE(layout.heightNear(data, {20, layout.yOfHeight(mark.height)})->value(),
                     mark.height.value());
        for (const auto& shelf : data.shelves)
            QCOMPARE(layout.depthNear(data, {20, layout.yOfDepth(shelf.depth) - 5})->value(),
                     shelf.depth.value());
        QVERIFY(!layout.heightNear(data, {20, 0}));
    }

    void ticksAreRoundAndCoverTheRange() {
        for (const auto& [low, high] :
             {std::pair{0.0, 41.0}, {0.0, 877.0}, {12.0, 33.0}, {0.0, 0.3}, {-3.0, 41.0}}) {
            const auto ticks = roundTicks(low, high, 5);
            QVERIFY(ticks.size() >= 3 && ticks.size() <= 12);
            QVERIFY(ticks.front() <= low && ticks.back() >= high);
        }
    }

    /// Fixtures stand where their run hung them, and the bracket is the headline's.
    void theSectionShowsWhatHangsAndWhatIsRecommended() {
        Bench bench = demo();
        Run run = bench.runs.front();
        run.fixtures = 2;
        run.placement.centres = {Millimetre(120), Millimetre(400)};
        bench.runs = {run};
        const auto sweep = sweepsOf(bench).front();
        SchoolVerdict headline;
        headline.school = HeightSchool::Flattest;
        headline.height = Millimetre(280);
        headline.low = Millimetre(260);
        const auto data = sectionOf(bench, sweep, run.height, {}, &headline, {}, LengthUnit::Cm);
        QCOMPARE(data.centres, (std::vector{120.0, 400.0}));
        QCOMPARE(data.recommended->value(), 280.0);
        QCOMPARE(data.recommended_low->value(), 260.0);
    }
};

GLUMET_TEST(TestFigures, "report_figures", Windows)

}  // namespace report_figures

#include "test_figures.moc"
