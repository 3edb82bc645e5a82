#include "core/survey/route.h"

#include <QTest>
#include <cmath>
#include <set>

#include "core/bench/grid.h"
#include "core/bench_maker.h"
#include "core/survey/lengths_text.h"
#include "runner/registry.h"

namespace core_route {

using namespace glumet;
using glumet::testing::planeOfValues;

namespace {

Obstacle brace(double from_x, double to_x) {
    return {"brace", Millimetre(from_x), Millimetre(to_x), Millimetre(0), Millimetre(600)};
}

bool visitsAll(const Grid& grid, const std::vector<Cell>& way) {
    return std::set<Cell>(way.begin(), way.end()).size() == way.size() &&
           static_cast<int>(way.size()) == grid.plannedCells();
}

}  // namespace

class TestRoute : public QObject {
    Q_OBJECT

  private slots:
    void aFullLatticeIsWalkedInItsShortestLength() {
        const auto grid = cellCentres(Millimetre(600), Millimetre(600), 6, 6);
        const auto way = shortWay(grid, {});
        QVERIFY(visitsAll(grid, way));
        QCOMPARE(wayLength(grid, {}, way), 35 * 100.0);
    }

    void narrowCellsAreWalkedAlongTheirShortSide() {
        const auto grid = cellCentres(Millimetre(900), Millimetre(200), 3, 4);
        QCOMPARE(wayLength(grid, {}, shortWay(grid, {})), 9 * 50.0 + 2 * 300.0);
    }

    void aBraceIsCrossedOnceOnly() {
        const auto grid = cellCentres(Millimetre(600), Millimetre(600), 6, 6);
        const std::vector<Obstacle> obstacles{brace(295, 305)};
        const auto way = shortWay(grid, obstacles);
        QVERIFY(visitsAll(grid, way));
        // One lift; a serpentine along the length would need six.
        QCOMPARE(wayLength(grid, obstacles, way), 35 * 100.0 + kLiftMm);
        QVERIFY(wayLength(grid, obstacles, serpentine(grid)) > 5 * kLiftMm);
    }

    void pointsUnderAnObstacleAreLeftOut() {
        auto grid = cellCentres(Millimetre(600), Millimetre(600), 6, 6);
        const std::vector<Obstacle> obstacles{brace(220, 280)};
        leaveOutUnreachable(grid, obstacles);
        QCOMPARE(grid.plannedCells(), 30);
        QVERIFY(!grid.planned({2, 3}));
        QVERIFY(visitsAll(grid, shortWay(grid, obstacles)));
        leaveOutUnreachable(grid, obstacles);
        QCOMPARE(grid.plannedCells(), 30);
    }

    void aWayWithHolesIsNoLongerThanTheSerpentineAndEndsNowhereTwice() {
        auto grid = cellCentres(Millimetre(1200), Millimetre(600), 12, 6);
        for (int i = 0; i < 12; i += 3)
            for (int j = 1; j < 6; j += 2) grid.left_out.push_back({i, j});
        std::sort(grid.left_out.begin(), grid.left_out.end());
        const auto way = shortWay(grid, {});
        QVERIFY(visitsAll(grid, way));
        QVERIFY(wayLength(grid, {}, way) <= wayLength(grid, {}, serpentine(grid)));
    }

    void theNextPlaneBeginsWhereTheLastEnded() {
        Bench bench;
        Run run;
        for (const double depth : {150.0, 300.0, 450.0}) {
            run.planes.push_back(planeOfValues(depth, 6, 6, [](int, int) { return 1.0; }));
            run.planes.back().readings.clear();
        }
        const auto first = wayOf(bench, run, run.planes[0]);
        const auto second = wayOf(bench, run, run.planes[1]);
        QCOMPARE(second.front(), first.back());
        QCOMPARE(wayOf(bench, run, run.planes[2]), first);
        QCOMPARE(*nextOnWay(bench, run, run.planes[1]), first.back());
    }

    void readingsOfALatticeWithHolesHaveRings() {
        auto plane = planeOfValues(150, 6, 6, [](int i, int j) { return i * j; });
        plane.grid->left_out = {{2, 3}};
        std::erase_if(plane.readings, [&](const Reading& reading) {
            return cellAt(*plane.grid, reading.x, reading.y) == Cell{2, 3};
        });
        QVERIFY(readGrid(plane));
        plane.readings.pop_back();
        QVERIFY(!readGrid(plane));
    }

    void obstaclesAreReadAsTheyAreWritten() {
        const Tank tank;
        const auto read = parseObstacles("brace 28-32 x 0-60; pump 0–8 × 50–60 cm", LengthUnit::Cm, tank);
        QVERIFY(read);
        QCOMPARE(read->size(), std::size_t{2});
        QCOMPARE((*read)[0].name, std::string("brace"));
        QCOMPARE((*read)[0].to_x.value(), 320.0);
        QCOMPARE((*read)[1].from_y.value(), 500.0);
        QCOMPARE(*parseObstacles(obstaclesText(*read, LengthUnit::Cm), LengthUnit::Cm, tank), *read);
        QVERIFY(parseObstacles("", LengthUnit::Cm, tank)->empty());
    }

    void obstaclesThatAreNoneAreRefused() {
        const Tank tank;
        for (const char* wrong :
             {"brace", "brace 28 × 0–60", "brace 32–28 × 0–60", "far 90–95 × 0–10", "b 1–2 × x"})
            QVERIFY2(!parseObstacles(wrong, LengthUnit::Cm, tank), wrong);
    }

    void listsOfLengthsAreReadWithSteps() {
        const auto values = [](const char* text, LengthUnit unit) {
            std::vector<double> out;
            const auto read = parseLengths(text, unit);
            if (read)
                for (const auto length : *read) out.push_back(length.value());
            return out;
        };
        QCOMPARE(values("12, 15, 18", LengthUnit::Cm), (std::vector<double>{120, 150, 180}));
        QCOMPARE(values("12–21 by 3", LengthUnit::Cm), (std::vector<double>{120, 150, 180, 210}));
        QCOMPARE(values("30; 12,5; 12,5", LengthUnit::Cm), (std::vector<double>{125, 300}));
        QCOMPARE(values("150–300 mm by 75 mm, 10 cm", LengthUnit::Cm),
                 (std::vector<double>{100, 150, 225, 300}));
        QVERIFY(!parseLengths("12, fifteen", LengthUnit::Cm));
        QVERIFY(!parseLengths("12–30 by 0", LengthUnit::Cm));
        QVERIFY(!parseLengths("0–100 by 0.1", LengthUnit::Cm));
    }
};

GLUMET_TEST(TestRoute, "core_route", Application)

}  // namespace core_route

#include "test_route.moc"
