#include <QTest>

#include "core/bench/descriptions.h"
#include "core/simulation/demo_scenario.h"
#include "core/words/sentence.h"
#include "formats/bench_json.h"
#include "runner/registry.h"

namespace formats_bench_json {

using namespace glumet;

namespace {

QString versionNow() { return QStringLiteral("\"version\": %1").arg(kBenchFormat); }

}  // namespace

class TestBenchJson : public QObject {
    Q_OBJECT

  private slots:
    void writingAndReadingLosesNothing() {
        auto bench = demoBench();
        bench.fixtures[0].power_supply_inside = true;
        bench.tanks[1].wall(Side::Left).kind = WallKind::Acrylic;
        Run run;
        run.label = "one";
        run.fixture = 2;
        run.tank = 2;
        run.meter = 1;
        run.height = Millimetre(210);
        run.dark_reading = Ppfd(0.3);
        Plane plane;
        plane.depth = Millimetre(150);
        plane.grid = Grid{{10, 20.5}, {5}};
        plane.grid->left_out = {{1, 0}};
        plane.grid->names[{0, 0}] = "reef top";
        bench.tanks[0].obstacles = {
            {"brace", Millimetre(280), Millimetre(320), Millimetre(0), Millimetre(600)}};
        bench.meters[0].response = {{400, 0.8}, {550, 1.0}};
        bench.meters[0].corrections = {{"blue", 1.12, 0.04, "twin S2, 9 pairs", "2026-11-25", true}};
        CommissionCheck check;
        check.run = run.id = 1;
        check.kind = CheckKind::MeterMode;
        check.verdict = "once";
        bench.checks = {check};
        run.planes = {plane, Plane{}};
        bench.runs = {run};
        const auto written = writeBench(bench);
        const auto back = readBench(written);
        QVERIFY2(back, back ? "" : english(back.error()).c_str());
        QCOMPARE(writeBench(*back), written);
        QCOMPARE(byId(back->fixtures, back->runs[0].fixture)->name, bench.fixtures[1].name);
        QCOMPARE(*back->runs[0].planes[0].grid, *plane.grid);
        QCOMPARE(back->tanks[0].obstacles, bench.tanks[0].obstacles);
        QCOMPARE(back->meters[0].corrections, bench.meters[0].corrections);
        QCOMPARE(back->checks[0].run, back->runs[0].id);
    }

    void goalsAreWrittenWhole() {
        auto bench = demoBench();
        auto& goal = bench.method.goal;
        goal.name = "bog corner";
        goal.ceiling = Ppfd(260);
        goal.zone_from = Millimetre(20);
        goal.zone_to = Millimetre(180);
        goal.school = LightSchool::Gradient;
        goal.photoperiod_h = 8.5;
        auto own = goal;
        own.ceiling.reset();
        own.floor = Ppfd(12);
        bench.method.goals = {own};
        const auto back = readBench(writeBench(bench));
        QVERIFY(back);
        QCOMPARE(back->method.goal, goal);
        QCOMPARE(back->method.goals, bench.method.goals);
    }

    void aMethodOfVersion3KnowsTheBandAlone() {
        auto words = QString::fromStdString(writeBench(demoBench()));
        words.replace(versionNow(), QStringLiteral("\"version\": 3"));
        // The goal stood in the method itself.
        words.replace(
            QStringLiteral("\"goal\": {"),
            QStringLiteral("\"band_low_umol_m2_s\": 70, \"band_high_umol_m2_s\": 90, \"later\": {"));
        const auto bench = readBench(words.toStdString());
        QVERIFY2(bench, bench ? "" : english(bench.error()).c_str());
        QCOMPARE(bench->method.goal.band.low.value(), 70.0);
        QCOMPARE(bench->method.goal.band.high.value(), 90.0);
        QVERIFY(!bench->method.goal.ceiling);
    }

    void descriptionsOfEarlierVersionsAreRead() {
        auto words = QString::fromStdString(writeBench(demoBench()));
        words.replace(versionNow(), QStringLiteral("\"version\": 2"));
        for (const char* later : {"obstacles", "response_nm_relative", "corrections"})
            words.replace(QStringLiteral("\"%1\"").arg(QLatin1String(later)),
                          QStringLiteral("\"not yet %1\"").arg(QLatin1String(later)));
        const auto bench = readBench(words.toStdString());
        QVERIFY2(bench, bench ? "" : english(bench.error()).c_str());
        QVERIFY(bench->meters[0].response.empty());
    }

    void faultsNameTheirKey_data() {
        QTest::addColumn<QString>("from");
        QTest::addColumn<QString>("to");
        QTest::addColumn<QString>("part");
        QTest::newRow("newer") << versionNow() << "\"version\": 99"
                               << "newer";
        QTest::newRow("foreign") << "glumet bench"
                                 << "other"
                                 << "format";
        QTest::newRow("missing") << "\"water_depth_mm\""
                                 << "\"depth\""
                                 << "water_depth_mm";
        QTest::newRow("negative") << "\"length_mm\": 600.0"
                                  << "\"length_mm\": -1"
                                  << "length_mm";
        QTest::newRow("unknown wall") << "\"kind\": \"opaque\""
                                      << "\"kind\": \"stone\""
                                      << "stone";
        QTest::newRow("wrong type") << "\"mass_kg\": 1.4"
                                    << "\"mass_kg\": \"heavy\""
                                    << "number";
    }
    void faultsNameTheirKey() {
        QFETCH(QString, from);
        QFETCH(QString, to);
        QFETCH(QString, part);
        auto text = QString::fromStdString(writeBench(demoBench()));
        QVERIFY(text.contains(from));
        text.replace(text.indexOf(from), from.size(), to);
        const auto back = readBench(text.toStdString());
        QVERIFY(!back);
        const auto said = QString::fromStdString(english(back.error()));
        QVERIFY2(said.contains(part), qPrintable(said));
    }

    void notJsonIsSaid() {
        QVERIFY(!readBench("{ \"format\": "));
        QVERIFY(!readBench(""));
        QVERIFY(!readBench("[1, 2]"));
    }
};

GLUMET_TEST(TestBenchJson, "formats_bench_json", Application)

}  // namespace formats_bench_json

#include "test_bench_json.moc"
