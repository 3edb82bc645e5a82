#include <QTest>
#include <cmath>
#include <random>

#include "core/bench_maker.h"
#include "core/compare/compare_findings.h"
#include "core/compare/conditions.h"
#include "core/compare/pairs.h"
#include "core/words/sentence.h"
#include "runner/registry.h"

namespace core_compare_pairs {

using namespace glumet;
using glumet::testing::planeOfValues;

namespace {

/// A tank 60 cm each way and two fixtures of one kind, read on 6 × 6 points at three depths.
Bench twoLamps() {
    Bench bench;
    Tank tank;
    tank.id = 1;
    tank.name = "Cube";
    bench.tanks = {tank};
    MeterProfile meter;
    meter.id = 1;
    meter.name = "S1";
    bench.meters = {meter};
    for (Id id : {1, 2}) {
        Fixture fixture;
        fixture.id = id;
        fixture.name = id == 1 ? "Fern 20" : "Moss 30";
        fixture.presets = {{10 + id, "full", {}}};
        bench.fixtures.push_back(fixture);
    }
    return bench;
}

double field(double x, double y, double depth) {
    const double r2 = std::pow((x - 2.5) / 2.2, 2) + std::pow((y - 2.5) / 2.5, 2);
    return 300.0 * std::exp(-0.5 * r2) * std::exp(-depth / 400.0) + 20.0;
}

/// How readings of one run are made.
struct Made {
    double level = 1.0;
    double noise = 0.03;
    double height_off_mm = 0.0;
};

Run runOf(Id id, Id fixture, std::mt19937_64& random, const Made& made) {
    std::normal_distribution<double> normal;
    Run run;
    run.id = id;
    run.label = std::to_string(id);
    run.fixture = fixture;
    run.tank = 1;
    run.meter = 1;
    run.preset = 10 + fixture;
    run.level_pct = 100.0;
    run.height = Millimetre(200);
    run.warm_up_min = 30;
    run.dark_reading = Ppfd(0.1);
    for (const double depth : {150.0, 300.0, 450.0}) {
        const double seen = made.level * std::exp(-0.005 * made.height_off_mm);
        run.planes.push_back(planeOfValues(depth, 6, 6, [&](int i, int j) {
            return seen * field(i, j, depth) * (1.0 + made.noise * normal(random));
        }));
        run.planes.back().id = 10 * id + static_cast<Id>(run.planes.size());
    }
    return run;
}

struct Pair {
    Bench bench = twoLamps();
    std::vector<Contender> contenders;

    Pair(std::uint64_t seed, const Made& a, const Made& b) {
        std::mt19937_64 random(seed);
        bench.runs = {runOf(1, 1, random, a), runOf(2, 2, random, b)};
        refresh();
    }
    void refresh() { contenders = contendersOf(bench, sweepsOf(bench), {}, {}); }
    Paired paired() const {
        return glumet::paired(contenders[0], contenders[1], bench.runs[0].meter == bench.runs[1].meter);
    }
    std::vector<ConditionRow> conditions(const std::vector<Condition>& on_purpose = {}) const {
        return conditionsOf(bench, contenders[0], bench, contenders[1], on_purpose);
    }
    ConditionRow row(Condition condition) const {
        for (const auto& row : conditions())
            if (row.condition == condition) return row;
        return {};
    }
};

}  // namespace

class TestComparePairs : public QObject {
    Q_OBJECT

  private slots:
    void equalPairsAreTiesAndThreePerCentIsFound_data() {
        QTest::addColumn<double>("noise");
        QTest::newRow("one per cent") << 0.01;
        QTest::newRow("three per cent") << 0.03;
        QTest::newRow("four per cent") << 0.04;
    }

    /// 36 × 3 readings: of 200 equal pairs 95 in 100 are ties, of 200 that differ by 3 % 90 in 100 are told
    /// apart, and the intervals of both hold 93 to 97 times in 100, whatever the readings scatter.
    void equalPairsAreTiesAndThreePerCentIsFound() {
        QFETCH(double, noise);
        constexpr int kPairs = 200;
        int ties = 0;
        int found = 0;
        int held = 0;
        for (int i = 0; i < kPairs; ++i) {
            const auto seed = static_cast<std::uint64_t>(i);
            const auto equal = Pair(seed, {1.0, noise}, {1.0, noise}).paired();
            const auto more = Pair(seed + 1000, {1.0, noise}, {1.03, noise}).paired();
            ties += equal.all.tie ? 1 : 0;
            found += more.all.tie ? 0 : 1;
            held += equal.all.lo <= 1.0 && equal.all.hi >= 1.0 ? 1 : 0;
            held += more.all.lo <= 1.03 && more.all.hi >= 1.03 ? 1 : 0;
        }
        QVERIFY2(ties >= 0.95 * kPairs, qPrintable(QString::number(ties)));
        QVERIFY2(found >= 0.90 * kPairs, qPrintable(QString::number(found)));
        // 400 intervals: 95 % is 380, and chance moves that by 4.
        QVERIFY2(held >= 0.93 * 2 * kPairs && held <= 0.98 * 2 * kPairs, qPrintable(QString::number(held)));
    }

    void oneMetersCalibrationCancelsAndTwoDoNot() {
        Pair pair(3, {}, {1.05});
        const double narrow = pair.paired().all.hi / pair.paired().all.lo;
        MeterProfile other = pair.bench.meters.front();
        other.id = 2;
        other.name = "S2";
        pair.bench.meters.push_back(other);
        pair.bench.runs[1].meter = 2;
        pair.refresh();
        const auto wide = pair.paired();
        QVERIFY(wide.all.hi / wide.all.lo > std::exp(2.0 * 1.96 * 0.07));
        QVERIFY(narrow < 1.02);
        QVERIFY(wide.all.tie);
        QCOMPARE(pair.row(Condition::Meter).state, ConditionState::NotComparable);
        for (auto& meter : pair.bench.meters) meter.corrections = {{"", 1.02, 0.01, "twin", "", true}};
        QCOMPARE(pair.row(Condition::Meter).state, ConditionState::Corrected);
        QCOMPARE(pair.row(Condition::Correction).state, ConditionState::Same);
    }

    void aHeightThatIsOffIsToldBeside() {
        Pair pair(4, {1.0, 0.002}, {1.02, 0.002});
        std::mt19937_64 random(9);
        for (const Id fixture : {1, 2}) {
            auto higher = runOf(10 + fixture, fixture, random, {0.86, 0.0});
            higher.height = Millimetre(230);
            pair.bench.runs.push_back(higher);
        }
        pair.contenders = contendersOf(pair.bench, sweepsOf(pair.bench), {0, Millimetre(200)}, {});
        const auto paired = pair.paired();
        QVERIFY(!paired.all.tie);
        QVERIFY(paired.heightsCouldExplain());
        // ln 1.02 at ln(1/0.86)/30 a millimetre.
        const double slope = std::log(1.0 / 0.86) / 30.0;
        const double explains = paired.planes.front().explained_by->value();
        QVERIFY2(std::abs(explains - std::log(paired.planes.front().mean.value) / slope) < 0.5,
                 qPrintable(QString::number(explains)));
        pair.bench.method.height_error = Millimetre(0.2);
        pair.contenders = contendersOf(pair.bench, sweepsOf(pair.bench), {0, Millimetre(200)}, {});
        QVERIFY(!pair.paired().heightsCouldExplain());
    }

    void levelsAndOtherLightAreCorrected() {
        Pair pair(5, {}, {0.5});
        pair.bench.runs[1].level_pct = 50.0;
        pair.refresh();
        QCOMPARE(pair.row(Condition::Level).state, ConditionState::Corrected);
        QVERIFY(std::abs(pair.paired().all.value - 1.0) < 0.02);
        Pair lit(5, {}, {});
        lit.bench.runs[1].dark_reading = Ppfd(12);
        for (auto& plane : lit.bench.runs[1].planes)
            for (auto& reading : plane.readings) reading.mean = reading.mean + Ppfd(12);
        lit.refresh();
        QCOMPARE(lit.row(Condition::Ambient).state, ConditionState::Corrected);
        QVERIFY(std::abs(lit.paired().all.value - 1.0) < 0.02);
    }

    /// Dimmed on purpose: each as it was read, and the pair says so.
    void levelsOnPurposeStayAsTheyWere() {
        Pair pair(12, {}, {0.5});
        pair.bench.runs[1].level_pct = 50.0;
        pair.contenders = contendersOf(pair.bench, sweepsOf(pair.bench), {0, std::nullopt, true}, {});
        QVERIFY(std::abs(pair.paired().all.value - 0.5) < 0.02);
        const auto rows = pair.conditions({Condition::Level});
        QCOMPARE(rows[static_cast<std::size_t>(Condition::Level)].state, ConditionState::OnPurpose);
        QVERIFY(comparable(rows));
    }

    /// Every condition stands once, in its order, whatever is compared.
    void everyConditionStandsOnce() {
        const Pair pair(13, {}, {});
        const auto rows = pair.conditions();
        QCOMPARE(rows.size(), std::size(WordsOf<Condition>::value));
        for (std::size_t i = 0; i < rows.size(); ++i) {
            QCOMPARE(rows[i].condition, static_cast<Condition>(i));
            QVERIFY(!english(conditionName(rows[i].condition)).empty());
            QVERIFY(rows[i].state != ConditionState::NotComparable || !rows[i].remedy.empty());
        }
    }

    void everyConditionThatDiffersIsNamed() {
        const Pair pair(6, {}, {});
        QVERIFY(comparable(pair.conditions()));
        QCOMPARE(changedThings(pair.conditions()), std::vector{Condition::Fixture});
        const auto changed = [](auto change) {
            Pair other(6, {}, {});
            change(other.bench, other.bench.runs[1]);
            other.refresh();
            return other;
        };
        const auto cold = changed([](Bench&, Run& run) { run.warm_up_min = 3; });
        QCOMPARE(cold.row(Condition::WarmUp).state, ConditionState::NotComparable);
        QVERIFY(english(cold.row(Condition::WarmUp).remedy).find("20 minutes") != std::string::npos);
        const auto unsaid = changed([](Bench&, Run& run) { run.warm_up_min.reset(); });
        QCOMPARE(unsaid.row(Condition::WarmUp).state, ConditionState::NotComparable);
        const auto old = changed([](Bench& bench, Run& run) {
            run.hours = 9000;
            bench.runs[0].hours = 100;
        });
        QCOMPARE(old.row(Condition::Age).state, ConditionState::NotComparable);
        QCOMPARE(conditionsOf(old.bench, old.contenders[0], old.bench, old.contenders[1],
                              {Condition::Age})[static_cast<std::size_t>(Condition::Age)]
                     .state,
                 ConditionState::OnPurpose);
        const auto dry = changed([](Bench&, Run& run) { run.water = WaterState::Dry; });
        QCOMPARE(dry.row(Condition::Water).state, ConditionState::NotComparable);
        const auto others = changed([](Bench&, Run& run) { run.read_by = "a club"; });
        QCOMPARE(others.row(Condition::Reader).state, ConditionState::NotComparable);
        const auto coarse = changed([](Bench&, Run& run) {
            for (auto& plane : run.planes)
                plane = planeOfValues(plane.depth.value(), 5, 5, [](int, int) { return 100.0; });
        });
        QCOMPARE(coarse.row(Condition::Grid).state, ConditionState::NotComparable);
        const auto shallow = changed([](Bench&, Run& run) { run.planes.pop_back(); });
        QCOMPARE(shallow.row(Condition::Depths).state, ConditionState::Corrected);
        QCOMPARE(shallow.paired().planes.size(), std::size_t{2});
        const auto room = changed([](Bench& bench, Run& run) {
            auto tank = bench.tanks.front();
            tank.id = 2;
            tank.name = "Long";
            tank.length = Millimetre(900);
            bench.tanks.push_back(tank);
            run.tank = 2;
        });
        QCOMPARE(room.row(Condition::Tank).state, ConditionState::NotComparable);
        QVERIFY(!room.contenders[1].speaks());
        QVERIFY(english(room.contenders[1].missing).find("not read in this tank") != std::string::npos);
    }

    void twoThingsAtOnceAreSaid() {
        Pair pair(7, {}, {0.8});
        pair.bench.accessories = {{1, "frost", "", 12.0}};
        pair.bench.runs[1].accessory = 1;
        pair.refresh();
        const auto conditions = pair.conditions();
        QCOMPARE(changedThings(conditions), (std::vector{Condition::Fixture, Condition::Accessory}));
        const auto paired = pair.paired();
        const auto findings =
            compareFindings({}, {}, {&pair.contenders[0], &pair.contenders[1], &paired, &conditions}, {});
        const auto said = std::any_of(findings.begin(), findings.end(), [](const Finding& f) {
            return english(f.title).find("2 things differ at once") != std::string::npos;
        });
        QVERIFY(said);
    }

    void freeSpotsBeforeAndAfterArePaired() {
        Pair pair(8, {1.0, 0.0}, {1.5, 0.0});
        for (auto& run : pair.bench.runs) {
            Plane spots;
            spots.depth = Millimetre(200);
            for (const double x : {60.0, 210.0, 480.0}) {
                Reading reading;
                reading.x = Millimetre(x + (run.id == 2 ? 3.0 : 0.0));
                reading.y = Millimetre(x / 2);
                reading.mean = Ppfd(run.id == 2 ? 150 : 100);
                spots.readings.push_back(reading);
            }
            run.planes = {spots};
        }
        pair.refresh();
        const auto paired = pair.paired();
        QCOMPARE(paired.planes.size(), std::size_t{1});
        QCOMPARE(paired.planes[0].points.size(), std::size_t{3});
        QCOMPARE(paired.all.value, 1.5);
        QVERIFY(!paired.all.tie && paired.planes[0].rings.empty());
    }

    void ringsAndPeaksShowWhereItChanges() {
        Pair pair(9, {1.0, 0.0}, {1.0, 0.0});
        auto& plane = pair.bench.runs[1].planes[0];
        for (auto& reading : plane.readings)
            if (ringOf(*plane.grid, *cellAt(*plane.grid, reading.x, reading.y)) == 2)
                reading.mean = reading.mean * 0.5;
        pair.refresh();
        const auto first = pair.paired().planes[0];
        QCOMPARE(first.rings.size(), std::size_t{3});
        QVERIFY(std::abs(first.rings[0].value - 1.0) < 1e-12);
        QVERIFY(std::abs(first.rings[2].value - 0.5) < 1e-12);
        QVERIFY(!first.rings[2].tie && first.peak.value < 1.0);
        QVERIFY(first.spread_b > first.spread_a);
    }

    void aDarkRunIsNotCompared() {
        Pair pair(11, {}, {0.0});
        QVERIFY(!pair.contenders[1].speaks());
        QVERIFY(english(pair.contenders[1].missing).find("carry no light") != std::string::npos);
        QVERIFY(!pair.paired().speaks());
    }

    void nothingInCommonIsSaid() {
        Pair pair(10, {}, {});
        pair.bench.runs[1].planes.clear();
        pair.contenders = {contenderOf(pair.bench, sweepsOf(pair.bench)[0], {}, nullptr),
                           contenderOf(pair.bench, sweepsOf(pair.bench)[1], {}, nullptr)};
        QVERIFY(!pair.paired().speaks());
        QVERIFY(!pair.paired().refused.empty());
        QCOMPARE(comparedSweeps(pair.bench, sweepsOf(pair.bench)).size(), std::size_t{1});
    }
};

GLUMET_TEST(TestComparePairs, "core_compare_pairs", Nothing)

}  // namespace core_compare_pairs

#include "test_compare_pairs.moc"
