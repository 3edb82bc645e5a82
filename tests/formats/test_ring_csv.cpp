#include <QTest>

#include "core/words/sentence.h"
#include "formats/ring_csv.h"
#include "runner/registry.h"

namespace formats_ring_csv {

using namespace glumet;

namespace {

const std::string kHead = "run,fixture,height_mm,depth_mm,nx,ny,ring,ppfd\n";

RingTable read(const std::string& text) {
    const auto split = splitDelimited(text);
    return split ? readRings(*split) : RingTable{};
}

}  // namespace

class TestRingCsv : public QObject {
    Q_OBJECT

  private slots:
    void meansBelongToRunsOfTheirOwn() {
        const auto table = read(
            "fixture,run,height_mm,depth_mm,nx,ny,ring,ppfd,rel_sd,source,level_pct\n"
            "Fern 20,A,200,150,6,6,0,81,0.05,a chart,100\n"
            "Fern 20,A,200,150,6,6,all,120,,a chart,100\n"
            "Fern 20,A,260,150,6,6,2,150,,a chart,100\n"
            "Fern 20,A,200,150,6,6,max,210,,a chart,100\n"
            "Fern 20,A,200,150,6,6,min,40,,a chart,100\n");
        QVERIFY(table.problems.empty());
        QCOMPARE(table.bench.runs.size(), std::size_t{2});
        QCOMPARE(table.bench.fixtures.size(), std::size_t{1});
        QCOMPARE(table.means, 3);
        QCOMPARE(table.extremes, 2);
        const auto& means = table.bench.runs[0].planes.at(0).means;
        QCOMPARE(means.size(), std::size_t{4});
        QCOMPARE(means[0].ring.number, 0);
        QCOMPARE(means[0].relative_sd, 0.05);
        QCOMPARE(means[1].ring.number, RingName::kAll);
        QCOMPARE(means[1].relative_sd, 0.03);
        QCOMPARE(means[2].ring.number, RingName::kGreatest);
        QCOMPARE(table.bench.runs[1].read_by, std::string("a chart"));
        QVERIFY(table.bench.runs[1].onlyMeans());
        QCOMPARE(table.bench.runs[1].height, Millimetre(260));
        QCOMPARE(*table.bench.runs[0].level_pct, 100.0);
    }

    void aRingsFileIsKnownByItsHeader() {
        QVERIFY(looksLikeRings(*splitDelimited(kHead)));
        QVERIFY(
            !looksLikeRings(*splitDelimited(std::string("run,fixture,height_mm,depth_mm,x_mm,y_mm,ppfd\n"))));
        QVERIFY(!looksLikeRings(*splitDelimited(std::string("124;122;156\n"))));
    }

    void otherSeparatorsAreRead() {
        const auto table = read("run;fixture;height_mm;depth_mm;nx;ny;ring;ppfd\nA;F;200;150;6;6;1;81,5\n");
        QVERIFY(table.problems.empty());
        QCOMPARE(table.bench.runs.at(0).planes.at(0).means.at(0).ppfd, Ppfd(81.5));
    }

    void whatIsWrongIsNamedByLineAndColumn_data() {
        QTest::addColumn<QString>("row");
        QTest::addColumn<QString>("where");
        QTest::addColumn<QString>("said");
        const auto row = [](const char* name, const char* text, const char* where, const char* said) {
            QTest::newRow(name) << QString::fromUtf8(text) << QString::fromUtf8(where)
                                << QString::fromUtf8(said);
        };
        row("a ring the grid has not", "A,F,200,150,6,6,3,80", "line 2, ring", "must lie within 0…2");
        row("half a ring", "A,F,200,150,6,6,0.5,80", "line 2, ring", "whole number");
        row("no grid", "A,F,200,150,0,6,0,80", "line 2, nx", "must lie within 1…200");
        row("no number", "A,F,high,150,6,6,0,80", "line 2, height_mm", "\"high\" is not a number");
        row("no height", "A,F,0,150,6,6,0,80", "line 2, height_mm", "must lie within");
        row("negative light", "A,F,200,150,6,6,0,-3", "line 2, ppfd", "must lie within");
        row("nobody's", "A,,200,150,6,6,0,80", "line 2, fixture", "is missing");
        row("contradiction", "A,F,200,150,6,6,0,80\nA,F,200,150,6,6,0,130", "line 3, ppfd",
            "130 contradicts 80 at line 2");
    }
    void whatIsWrongIsNamedByLineAndColumn() {
        QFETCH(QString, row);
        QFETCH(QString, where);
        QFETCH(QString, said);
        const auto table = read(kHead + row.toStdString() + "\n");
        QCOMPARE(table.problems.size(), std::size_t{1});
        QCOMPARE(QString::fromStdString(table.problems[0].where), where);
        const auto words = QString::fromStdString(english(table.problems[0].what));
        QVERIFY2(words.contains(said), qPrintable(words));
    }

    void twoThatAgreeAreBothTaken() {
        const auto table = read(kHead + "A,F,200,150,6,6,0,80\nA,F,200,150,6,6,0,82\n");
        QVERIFY(table.problems.empty());
        QCOMPARE(table.means, 2);
    }

    void aMissingColumnIsTheOnlyProblem() {
        const auto table = read("run,fixture,height_mm,depth_mm,nx,ring,ppfd\nA,F,200,150,6,0,80\n");
        QCOMPARE(table.problems.size(), std::size_t{1});
        QVERIFY(english(table.problems[0]).find("has no column ny") != std::string::npos);
    }
};

GLUMET_TEST(TestRingCsv, "formats_ring_csv", Nothing)

}  // namespace formats_ring_csv

#include "test_ring_csv.moc"
