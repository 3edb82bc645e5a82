#include <QTest>
#include <cmath>

#include "core/bench/grid.h"
#include "core/bench_maker.h"
#include "core/plane/plane_statistics.h"
#include "runner/registry.h"

namespace core_plane_statistics {

using namespace glumet;
using glumet::testing::planeOfValues;

namespace {

constexpr double kTiny = 1e-9;
bool close(double a, double b) { return std::abs(a - b) < kTiny; }

}  // namespace

class TestPlaneStatistics : public QObject {
    Q_OBJECT

  private slots:
    void figuresOfAKnownPlane() {
        // 1, 2, 3, 4: mean 2.5, variance over the points 1.25.
        const auto plane = planeOfValues(100, 2, 2, [](int i, int j) { return 1 + i + 2 * j; });
        const auto s = planeStatistics(plane, Band{Ppfd(2), Ppfd(3)});
        QVERIFY(s);
        QCOMPARE(s->n, 4);
        QVERIFY(close(s->mean.value(), 2.5));
        QVERIFY(close(s->cv, std::sqrt(1.25) / 2.5));
        QVERIFY(close(s->min_over_mean, 0.4));
        QVERIFY(close(s->max_over_mean, 1.6));
        QVERIFY(close(*s->share_in_band, 0.5));  // both ends belong to the band
        QCOMPARE(s->below_band, 1);
        QCOMPARE(s->above_band, 1);
        QCOMPARE(s->ring_means.size(), std::size_t{1});
        QVERIFY(!s->centre_to_outer);
    }

    void ringMeansGoFromTheEdgeInward() {
        // Each cell reads its own ring's number plus one.
        const auto grid = cellCentres(Millimetre(600), Millimetre(600), 6, 6);
        const auto plane = planeOfValues(100, 6, 6, [&](int i, int j) { return 1.0 + ringOf(grid, {i, j}); });
        const auto s = planeStatistics(plane);
        QCOMPARE(s->ring_sizes, (std::vector<int>{20, 12, 4}));
        QVERIFY(close(s->ring_means[0].value(), 1.0));
        QVERIFY(close(s->ring_means[2].value(), 3.0));
        QVERIFY(close(*s->centre_to_outer, 3.0));
        QVERIFY(!s->share_in_band);
    }

    void excludedAndSupersededDoNotCount() {
        auto plane = planeOfValues(100, 2, 1, [](int i, int) { return 10.0 + i; });
        Reading wild = plane.readings.front();
        wild.mean = Ppfd(900);
        wild.flag = Mark::Excluded;
        plane.readings.push_back(wild);
        wild.flag = Mark::None;
        wild.superseded = true;
        plane.readings.push_back(wild);
        const auto s = planeStatistics(plane);
        QCOMPARE(s->n, 2);
        QVERIFY(close(s->max.value(), 11.0));
    }

    void freePointsHaveNoRings() {
        auto plane = planeOfValues(100, 3, 3, [](int i, int j) { return i + j; });
        plane.readings[3].x = Millimetre(77);
        QVERIFY(planeStatistics(plane)->ring_means.empty());
    }

    void nothingReadIsSaid() {
        const auto s = planeStatistics(Plane{});
        QVERIFY(!s);
        QVERIFY(!s.error().what.empty());
    }

    void aDarkPlaneDividesByNothing() {
        const auto s = planeStatistics(planeOfValues(100, 6, 6, [](int, int) { return 0.0; }));
        QCOMPARE(s->cv, 0.0);
        QVERIFY(!s->centre_to_outer);
    }

    void fallOffIsAgainstTheShallowest() {
        Run run;
        run.planes = {planeOfValues(150, 2, 2, [](int, int) { return 200; }),
                      planeOfValues(300, 2, 2, [](int, int) { return 150; }), Plane{}};
        const auto steps = fallOffWithDepth(run);
        QCOMPARE(steps.size(), std::size_t{2});
        QVERIFY(close(steps[1].share_of_shallowest, 0.75));
    }

    void deliveredOutputIsMeanTimesFootprint() {
        const auto delivered = deliveredOutput(Ppfd(200), Millimetre(600), Millimetre(500));
        QVERIFY(close(delivered.value(), 60.0));
        QVERIFY(close(deliveredEfficacy(delivered, Watt(40)), 1.5));
    }
};

GLUMET_TEST(TestPlaneStatistics, "core_plane_statistics", Application)

}  // namespace core_plane_statistics

#include "test_plane_statistics.moc"
