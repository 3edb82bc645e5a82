#include <QTest>

#include "core/simulation/demo_scenario.h"
#include "core/words/sentence.h"
#include "formats/readings_csv.h"
#include "runner/registry.h"

namespace formats_readings_csv {

using namespace glumet;

namespace {

const std::string kHead = "run,fixture,height_mm,depth_mm,x_mm,y_mm,ppfd";

std::string firstProblem(const std::string& text) {
    const auto table = readReadings(text);
    return table.problems.empty() ? "" : english(table.problems.front());
}

}  // namespace

class TestReadingsCsv : public QObject {
    Q_OBJECT

  private slots:
    void columnsInAnyOrderAndUnknownOnesKept() {
        const auto table = readReadings(
            "ppfd,run,mood,fixture,depth_mm,height_mm,y_mm,x_mm,flag\n214.5,A,\"calm, "
            "blue\",Fern,150,200,50,150,doubtful\n");
        QVERIFY(table.problems.empty());
        QCOMPARE(table.rows.size(), std::size_t{1});
        const auto& row = table.rows[0];
        QCOMPARE(row.reading.mean.value(), 214.5);
        QCOMPARE(row.run.height.value(), 200.0);
        QCOMPARE(row.reading.x.value(), 150.0);
        QVERIFY(row.reading.flag == Mark::Doubtful);
        QCOMPARE(row.reading.extra.at("mood"), std::string("calm, blue"));
    }

    void semicolonsAndDecimalCommas() {
        const auto table = readReadings(
            "\xEF\xBB\xBFrun;fixture;height_mm;depth_mm;x_mm;y_mm;ppfd\r\nA;Fern;200;150;50,5;50;214,5\r\n");
        QVERIFY(table.problems.empty());
        QCOMPARE(table.delimiter, ';');
        QVERIFY(table.decimal_comma);
        QCOMPARE(table.rows[0].reading.mean.value(), 214.5);
    }

    void badRowsAreNamedByLine_data() {
        QTest::addColumn<QString>("row");
        QTest::addColumn<QString>("part");
        QTest::newRow("not a number") << "A,F,200,150,50,50,bright"
                                      << "line 2, ppfd";
        QTest::newRow("negative") << "A,F,200,150,50,50,-4"
                                  << "line 2, ppfd";
        QTest::newRow("no height") << "A,F,,150,50,50,4"
                                   << "line 2, height_mm: is empty";
        QTest::newRow("height at the water") << "A,F,0,150,50,50,4"
                                             << "must be above 0";
        QTest::newRow("too few fields") << "A,F,200,150,50"
                                        << "has 5 fields";
        QTest::newRow("nan") << "A,F,200,150,nan,50,4"
                             << "line 2, x_mm";
        QTest::newRow("infinite") << "A,F,200,1e999,5,50,4"
                                  << "line 2, depth_mm";
        QTest::newRow("thousands") << "A,F,200,150,5,50,\"1,234\""
                                   << "line 2, ppfd";
        QTest::newRow("no run") << ",F,200,150,5,50,4"
                                << "line 2, run: is empty";
    }
    void badRowsAreNamedByLine() {
        QFETCH(QString, row);
        QFETCH(QString, part);
        const auto found = QString::fromStdString(firstProblem(kHead + "\n" + row.toStdString() + "\n"));
        QVERIFY2(found.contains(part), qPrintable(found));
    }

    void swingMustEncloseTheMean() {
        QVERIFY(firstProblem(kHead + ",ppfd_min\nA,F,200,150,5,5,10,11\n").find("above ppfd") !=
                std::string::npos);
        QVERIFY(firstProblem(kHead + ",ppfd_max\nA,F,200,150,5,5,10,9\n").find("below ppfd") !=
                std::string::npos);
    }

    void linesAreCountedThroughBlanksAndQuotes() {
        const auto found =
            firstProblem(kHead + ",note\n\nA,F,200,150,5,5,1,\"two\nlines\"\nA,F,200,150,5,5,x,\n");
        QVERIFY2(found.find("line 5, ppfd") != std::string::npos, found.c_str());
    }

    void missingAndDoubleColumns() {
        QVERIFY(firstProblem("run,fixture,height_mm,x_mm,y_mm,ppfd\n").find("depth_mm is missing") !=
                std::string::npos);
        QVERIFY(firstProblem(kHead + ",ppfd\n").find("stands twice") != std::string::npos);
        QVERIFY(!firstProblem("").empty());
    }

    void foreignBytesAreRefused() {
        QVERIFY(firstProblem(std::string("run,fixture\n\xff\xfe\n")).find("UTF-8") != std::string::npos);
        QVERIFY(firstProblem(std::string("a\0b", 3)).find("UTF-8") != std::string::npos);
        QVERIFY(!firstProblem(kHead + "\nA,F,200,150,5,5,1\"x\n").empty());
    }

    void whatIsWrittenReadsBackTheSame() {
        Bench bench = demoBench();
        Run run;
        run.label = "odd, \"run\"";
        run.fixture = 1;
        run.accessory = 1;
        run.tank = 1;
        run.meter = 1;
        run.height = Millimetre(123.4567890123);
        run.level_pct = 33.3;
        run.water = WaterState::Moving;
        Plane plane;
        plane.depth = Millimetre(0.1 + 0.2);
        Reading reading;
        reading.mean = Ppfd(1.0 / 3.0);
        reading.max = Ppfd(2.0 / 3.0);
        reading.samples = 7.25;
        reading.power = Watt(61.8);
        reading.flag = Mark::Excluded;
        reading.superseded = true;
        reading.note = "first\nsecond; third";
        reading.extra["mood"] = "calm";
        plane.readings = {reading};
        run.planes = {plane};
        bench.runs = {run};
        const auto rows = rowsOf(bench);
        const auto back = readReadings(writeReadings(rows));
        QVERIFY2(back.problems.empty(), back.problems.empty() ? "" : english(back.problems[0]).c_str());
        QCOMPARE(back.rows.size(), std::size_t{1});
        QVERIFY(back.rows[0].reading == reading);
        QCOMPARE(back.rows[0].run.height.value(), run.height.value());
        QCOMPARE(back.rows[0].depth.value(), plane.depth.value());
        QCOMPARE(writeReadings(back.rows), writeReadings(rows));
    }
};

GLUMET_TEST(TestReadingsCsv, "formats_readings_csv", Application)

}  // namespace formats_readings_csv

#include "test_readings_csv.moc"
