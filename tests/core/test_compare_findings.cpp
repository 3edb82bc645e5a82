#include "core/compare/compare_findings.h"

#include <QTest>
#include <cmath>

#include "core/bench_maker.h"
#include "core/compare/comparison.h"
#include "core/compare/school_orders.h"
#include "core/words/sentence.h"
#include "runner/registry.h"

namespace core_compare_findings {

using namespace glumet;
using glumet::testing::planeOfValues;

namespace {

/// A fixture's runs at three heights: mean at the lowest, what 50 mm more leave of it, and its swing.
struct Lamp {
    const char* name;
    double mean = 200.0;
    double keeps = 0.9;
    double swing = 0.0;
    double edge = 0.8;
};

Bench benchOf(const std::vector<Lamp>& lamps) {
    Bench bench;
    Tank tank;
    tank.id = 1;
    tank.name = "Cube";
    bench.tanks = {tank};
    for (const auto& lamp : lamps) {
        Fixture fixture;
        fixture.id = static_cast<Id>(bench.fixtures.size()) + 1;
        fixture.name = lamp.name;
        fixture.rated_power = Watt(60);
        bench.fixtures.push_back(fixture);
        for (int step = 0; step < 3; ++step) {
            Run run;
            run.id = static_cast<Id>(bench.runs.size()) + 1;
            run.fixture = fixture.id;
            run.tank = 1;
            run.height = Millimetre(150.0 + 50.0 * step);
            for (const double depth : {150.0, 350.0})
                run.planes.push_back(planeOfValues(depth, 6, 6, [&](int i, int j) {
                    const bool outer = i == 0 || j == 0 || i == 5 || j == 5;
                    return lamp.mean * std::pow(lamp.keeps, step) * (depth > 200.0 ? 0.8 : 1.0) *
                           (outer ? lamp.edge : 2.0 - lamp.edge);
                }));
            for (auto& plane : run.planes)
                for (auto& reading : plane.readings) {
                    if (lamp.swing <= 0.0) continue;
                    reading.min = reading.mean * (1.0 - 0.5 * lamp.swing);
                    reading.max = reading.mean * (1.0 + 0.5 * lamp.swing);
                }
            bench.runs.push_back(std::move(run));
        }
    }
    return bench;
}

Comparison comparedOf(const Bench& bench) {
    CompareQuestion question;
    question.resamples = 100;
    question.place.height = bench.method.compared_height;
    return compareAll(std::make_shared<const Bench>(bench), {}, question);
}

std::string said(const Comparison& compared, std::size_t a, std::size_t b) {
    const auto pair = compared.pairOf(a, b);
    const auto conditions = compared.conditions(a, b);
    std::string all;
    for (const auto& finding :
         compareFindings(compared.judged, compared.board,
                         {&compared.judged[a].contender, &compared.judged[b].contender, &pair, &conditions},
                         compared.ageings))
        all += english(finding.title) + ": " + english(finding.body) + "\n";
    return all;
}

bool holds(const std::string& text, const char* part) { return text.find(part) != std::string::npos; }

}  // namespace

/// What Compare says, sentence by sentence.
class TestCompareFindings : public QObject {
    Q_OBJECT

  private slots:
    void moreAndLessAreSaidAsSuch() {
        const auto compared = comparedOf(benchOf({{"Fern"}, {"Moss", 260.0}}));
        QVERIFY2(holds(said(compared, 0, 1), "Moss gives 30 % more than Fern"), said(compared, 0, 1).c_str());
        QVERIFY2(holds(said(compared, 1, 0), "Fern gives 23 % less than Moss"), said(compared, 1, 0).c_str());
        const auto equal = comparedOf(benchOf({{"Fern"}, {"Moss"}}));
        QVERIFY(holds(said(equal, 0, 1), "A tie in light"));
        QVERIFY(holds(said(equal, 0, 1), "are a tie in light: between"));
    }

    void aDiffusersPeakAndSwingAreSaid() {
        const auto compared =
            comparedOf(benchOf({{"Bare", 200, 0.9, 0.4, 0.5}, {"Frosted", 180, 0.9, 0.2, 0.8}}));
        const auto words = said(compared, 0, 1);
        QVERIFY2(holds(words, "comes off the peak"), words.c_str());
        QVERIFY2(holds(words, "Readings swing by -50 %") || holds(words, "Readings swing by −50 %"),
                 words.c_str());
    }

    void aHeightThatCouldExplainItIsADoubt() {
        auto bench = benchOf({{"Fern", 200, 0.8}, {"Moss", 204, 0.8}});
        bench.method.compared_height = Millimetre(200);
        for (auto& run : bench.runs)
            for (auto& plane : run.planes)
                for (auto& reading : plane.readings) {
                    reading.sd = 0.01 * reading.mean.value();
                    reading.samples = 100;
                }
        const auto words = said(comparedOf(bench), 0, 1);
        QVERIFY2(holds(words, "of height would explain it"), words.c_str());
        bench.method.height_error = Millimetre(0.1);
        QVERIFY(!holds(said(comparedOf(bench), 0, 1), "of height would explain it"));
    }

    void whoIsNotRankedIsNamedUpToAFew() {
        auto bench = benchOf({{"A"}, {"B"}, {"C"}, {"D"}, {"E"}, {"F"}});
        bench.method.weights = {{Criterion::Noise, 1}};
        bench.fixtures[0].noise_dba = 30;
        const auto compared = comparedOf(bench);
        QCOMPARE(compared.board.order, std::vector<std::size_t>{0});
        QCOMPARE(english(compared.answer().title), std::string("Only A can be ranked"));
        const auto words = said(compared, 0, 1);
        for (const char* name : {"B is not ranked", "C is not ranked", "E is not ranked"})
            QVERIFY(holds(words, name));
        QVERIFY(!holds(words, "F is not ranked"));
        QVERIFY2(holds(words, "1 more are not ranked"), words.c_str());
        bench.fixtures[0].noise_dba.reset();
        QCOMPARE(english(comparedOf(bench).answer().title), std::string("Nothing can be ranked yet"));
    }

    void oneHeightForAllIsSaid() {
        auto bench = benchOf({{"Fern"}, {"Moss", 260.0}});
        QVERIFY(holds(english(comparedOf(bench).answer().body), "Each at its own height."));
        bench.method.compared_height = Millimetre(200);
        QVERIFY(holds(english(comparedOf(bench).answer().body), "All at 200 mm."));
    }

    /// Fern loses light fast and is hung low by the spill limit; the flattest field hangs all alike.
    void schoolsMoveTheHeights() {
        const auto bench = benchOf({{"Fern", 200, 0.80}, {"Moss", 190, 0.97}});
        const auto orders = schoolOrders(bench, sweepsOf(bench), {}, {});
        std::set<std::string> schools;
        for (const auto& order : orders) {
            QVERIFY(schools.insert(english(order.school)).second);
            QCOMPARE(order.names.size(), order.heights.size());
            QCOMPARE(order.names.size(), order.moved.size());
            QVERIFY(!english(order.heading).empty());
        }
        QVERIFY(schools.contains("as chosen") && schools.contains("height by spill limit"));
        // Broad range takes another band; no response is known, so nothing stands for the meter.
        QVERIFY(schools.contains("how much light: broad range"));
        QVERIFY(!schools.contains("meters corrected for each spectrum"));
        // All at one height: the schools of height have nothing to move.
        const auto fixed = schoolOrders(bench, sweepsOf(bench), {0, Millimetre(200)}, {});
        for (const auto& order : fixed)
            for (const auto height : order.heights) QCOMPARE(height, Millimetre(200));
        QVERIFY(fixed.size() < orders.size());
        std::stop_source stop;
        stop.request_stop();
        QVERIFY(schoolOrders(bench, sweepsOf(bench), {}, {}, stop.get_token()).empty());
    }
};

GLUMET_TEST(TestCompareFindings, "core_compare_findings", Nothing)

}  // namespace core_compare_findings

#include "test_compare_findings.moc"
