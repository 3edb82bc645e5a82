#include <QTest>
#include <algorithm>

#include "core/bench/grid.h"
#include "core/bench_maker.h"
#include "core/plane/contour.h"
#include "runner/registry.h"

namespace core_grid {

using namespace glumet;
using glumet::testing::planeOfValues;

class TestGrid : public QObject {
    Q_OBJECT

  private slots:
    void ringsOfSixBySixHold20_12_4() { QCOMPARE(ringSizes(6, 6), (std::vector<int>{20, 12, 4})); }
    void ringsOfElevenBySixHold30_22_14() { QCOMPARE(ringSizes(11, 6), (std::vector<int>{30, 22, 14})); }

    void cellCentresAreHalfAPitchIn() {
        const auto grid = cellCentres(Millimetre(600), Millimetre(300), 6, 3);
        QCOMPARE(grid.xs_mm.front(), 50.0);
        QCOMPARE(grid.xs_mm.back(), 550.0);
        QCOMPARE(grid.ys_mm, (std::vector<double>{50, 150, 250}));
    }

    void aShuffledGridIsDetected() {
        auto plane = planeOfValues(100, 4, 3, [](int i, int j) { return i + 10 * j; });
        std::reverse(plane.readings.begin(), plane.readings.end());
        const auto grid = detectGrid(plane.readings);
        QVERIFY(grid);
        QCOMPARE(*grid, *plane.grid);
    }

    void aHoleOrADoubleIsNoGrid() {
        auto plane = planeOfValues(100, 3, 3, [](int, int) { return 1; });
        auto hole = plane;
        hole.readings[4].flag = Mark::Excluded;
        QVERIFY(!detectGrid(hole.readings));
        auto twice = plane;
        twice.readings.push_back(twice.readings.front());
        QVERIFY(!detectGrid(twice.readings));
        twice.readings.front().superseded = true;
        QVERIFY(detectGrid(twice.readings));
    }

    void theRouteVisitsEveryCellByNeighbours() {
        const auto grid = cellCentres(Millimetre(500), Millimetre(400), 5, 4);
        const auto route = serpentine(grid);
        QCOMPARE(route.size(), std::size_t{20});
        for (std::size_t i = 1; i < route.size(); ++i)
            QCOMPARE(
                std::abs(route[i].column - route[i - 1].column) + std::abs(route[i].row - route[i - 1].row),
                1);
    }

    void theNextCellIsTheFirstGapOfTheRoute() {
        auto plane = planeOfValues(100, 3, 2, [](int, int) { return 1; });
        QVERIFY(!nextCell(*plane.grid, plane.readings));
        plane.readings.erase(plane.readings.begin() + 5);  // (2, 1) is visited first in the second row
        plane.readings.erase(plane.readings.begin() + 3);  // (0, 1) last
        QCOMPARE(*nextCell(*plane.grid, plane.readings), (Cell{2, 1}));
    }

    void namesGoPastZ() {
        QCOMPARE(cellName({2, 3}), std::string("C4"));
        QCOMPARE(cellName({25, 0}), std::string("Z1"));
        QCOMPARE(cellName({26, 0}), std::string("AA1"));
    }

    void contourOfAPlaneSlopeIsAStraightLine() {
        const auto plane = planeOfValues(100, 6, 6, [](int i, int) { return 100.0 * i; });
        const auto surface = refined(*surfaceOf(plane), 4);
        const auto segments = contour(surface, 250.0);
        QVERIFY(!segments.empty());
        for (const auto& s : segments) {
            QVERIFY(std::abs(s.x0 - 300.0) < 1e-6);  // half way between the centres at 250 and 350 mm
            QVERIFY(std::abs(s.x1 - 300.0) < 1e-6);
        }
        QVERIFY(contour(surface, 999.0).empty());
    }

    void refiningKeepsTheReadings() {
        const auto plane = planeOfValues(100, 4, 4, [](int i, int j) { return (i * 7 + j * 13) % 11; });
        const auto coarse = *surfaceOf(plane);
        const auto fine = refined(coarse, 5);
        QCOMPARE(fine.grid.columns(), 16);
        for (int j = 0; j < 4; ++j)
            for (int i = 0; i < 4; ++i)
                QVERIFY(std::abs(fine.values[static_cast<std::size_t>(j * 5 * 16 + i * 5)] -
                                 coarse.values[static_cast<std::size_t>(j * 4 + i)]) < 1e-9);
    }

  private:
    static std::vector<int> ringSizes(int columns, int rows) {
        const auto grid = cellCentres(Millimetre(600), Millimetre(600), columns, rows);
        std::vector<int> sizes(static_cast<std::size_t>(ringCount(grid)), 0);
        for (int j = 0; j < rows; ++j)
            for (int i = 0; i < columns; ++i) ++sizes[static_cast<std::size_t>(ringOf(grid, {i, j}))];
        return sizes;
    }
};

GLUMET_TEST(TestGrid, "core_grid", Application)

}  // namespace core_grid

#include "test_grid.moc"
