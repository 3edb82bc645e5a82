#include <QTest>

#include "core/bench/reading_row.h"
#include "core/bench/sweep.h"
#include "core/bench_maker.h"
#include "core/plane/plane_statistics.h"
#include "core/simulation/demo_scenario.h"
#include "core/survey/checks.h"
#include "core/survey/findings.h"
#include "core/verdicts/height_findings.h"
#include "core/verdicts/spill_limit.h"
#include "core/words/finding.h"
#include "core/words/sentence.h"
#include "runner/registry.h"

namespace core_findings {

using namespace glumet;
using glumet::testing::flatSweep;
using glumet::testing::planeOfValues;

namespace {

const Finding* titled(const std::vector<Finding>& findings, const std::string& part,
                      LengthUnit unit = LengthUnit::Cm) {
    for (const auto& finding : findings)
        if (english(finding.title, unit).find(part) != std::string::npos) return &finding;
    return nullptr;
}

/// The demonstration is made once; its making is a test of its own.
const Bench& demo() {
    static const Bench bench = demoReadings(20261124);
    return bench;
}

Id runOf(const std::string& fixture, double height) {
    for (const auto& run : demo().runs)
        if (byId(demo().fixtures, run.fixture)->name == fixture && run.height.value() == height &&
            run.accessory == 0)
            return run.id;
    return 0;
}

}  // namespace

class TestFindings : public QObject {
    Q_OBJECT

  private slots:
    void theDemonstrationIsReproducible() {
        const auto again = demoReadings(20261124);
        QCOMPARE(rowsOf(again).size(), rowsOf(demo()).size());
        QCOMPARE(again.runs[3].planes[1].readings[17].mean.value(),
                 demo().runs[3].planes[1].readings[17].mean.value());
        QVERIFY(demoReadings(5).runs[3].planes[1].readings[17].mean !=
                demo().runs[3].planes[1].readings[17].mean);
    }

    void thePlantedMistakesAreFound() {
        QVERIFY(titled(runDoubts(demo(), runOf("Sallow 110", 240)), "of its rating"));
        QVERIFY(titled(runDoubts(demo(), runOf("Twin Alder", 250)), "Other light"));
        const auto slipped = runDoubts(demo(), runOf("Osier 60", 240));
        const auto* doubt = titled(slipped, "E2 disagrees");
        QVERIFY(doubt);
        QCOMPARE(*doubt->cell, (Cell{4, 1}));
        for (const auto& sweep : sweepsOf(demo())) {
            const bool panel = byId(demo().fixtures, sweep.configuration.fixture)->name == "Sedge Panel";
            if (panel) QVERIFY(!spillLimit(demo(), sweep).speaks());
        }
    }

    void soundReadingsAreRarelyDoubted() {
        int pairs = 0;
        int doubts = 0;
        for (const auto& run : demo().runs)
            for (const auto& plane : run.planes) {
                if (plane.readings.size() != 36) continue;
                pairs += 18;
                for (const auto& doubt : mirrorDoubts(plane))
                    doubts +=
                        doubt.cell == Cell{4, 1} && run.height.value() == 240 && plane.depth.value() == 150
                            ? 0
                            : 1;
            }
        QVERIFY(pairs > 1500);
        QVERIFY2(doubts < 0.01 * pairs, qPrintable(QString::number(doubts)));
    }

    void anEvenFieldRaisesNoDoubt() {
        QVERIFY(mirrorDoubts(planeOfValues(100, 6, 6, [](int, int j) { return 100.0 + j; })).empty());
    }

    void theOddOneOfAPairIsNamed() {
        auto plane = planeOfValues(100, 6, 6, [](int, int) { return 100.0; });
        plane.readings[4 + 6 * 2].mean = Ppfd(140);
        const auto doubts = mirrorDoubts(plane);
        QCOMPARE(doubts.size(), std::size_t{1});
        QCOMPARE(doubts[0].cell, (Cell{4, 2}));
        QCOMPARE(doubts[0].mirror, (Cell{1, 2}));
    }

    void heightFindingsSayWhatAStepCosts() {
        const auto bench = flatSweep({{150, 200}, {200, 190}, {250, 150}});
        const auto sweep = sweepsOf(bench).front();
        const auto findings = heightFindings(bench, sweep, spillLimit(bench, sweep));
        QVERIFY(titled(findings, "Hang it 20 cm"));
        const auto* raise = titled(findings, "Raising from 20 to 25 cm");
        QVERIFY(raise);
        QVERIFY(english(raise->body).find("21 %") != std::string::npos);
        QVERIFY(english(raise->body).find("40 off the peak") != std::string::npos);
        QVERIFY(titled(findings, "7 7/8 in", LengthUnit::Inch));
    }

    void theMakersClaimIsChecked() {
        auto bench = flatSweep({{150, 200}, {200, 190}, {250, 150}});
        bench.fixtures[0].claimed_height_low = Millimetre(40);
        bench.fixtures[0].claimed_height_high = Millimetre(90);
        const auto sweep = sweepsOf(bench).front();
        auto findings = heightFindings(bench, sweep, spillLimit(bench, sweep));
        QCOMPARE(titled(findings, "maker says 4–9 cm")->kind, FindingKind::Doubt);
        bench.fixtures[0].claimed_height_high = Millimetre(300);
        findings = heightFindings(bench, sweep, spillLimit(bench, sweep));
        QCOMPARE(titled(findings, "maker says")->kind, FindingKind::Fact);
    }

    void anUnfinishedPlaneNamesItsNextPoint() {
        auto bench = flatSweep({{150, 200}});
        bench.runs[0].planes[0].readings.pop_back();
        const auto findings = measureFindings(bench, 1, Millimetre(150));
        QCOMPARE(*titled(findings, "is next")->cell, (Cell{1, 1}));
    }

    void mergingKeepsTheEarlierValue() {
        MergeReport report;
        const auto rows = rowsOf(flatSweep({{150, 200}}));
        auto bench = withRows({}, rows, report);
        QCOMPARE(report.added, 4);
        auto later = rows;
        later[0].reading.mean = Ppfd(205);
        bench = withRows(bench, later, report);
        QCOMPARE(report.already_there, 3);
        QCOMPARE(report.superseding, 1);
        QCOMPARE(bench.runs.size(), std::size_t{1});
        const auto& readings = bench.runs[0].planes[0].readings;
        QCOMPARE(readings.size(), std::size_t{5});
        QVERIFY(readings[0].superseded);
        QCOMPARE(planeStatistics(bench.runs[0].planes[0])->max.value(), 205.0);
    }

    void anOldFileBringsNothingBackAndNothingTwice() {
        MergeReport report;
        auto rows = rowsOf(flatSweep({{150, 200}}));
        for (auto& row : rows) row.reading.time = "2026-11-01T10:00:00";
        auto later = rows;
        later[0].reading.mean = Ppfd(205);
        later[0].reading.time = "2026-11-02T10:00:00";
        const auto bench = withRows(withRows({}, rows, report), later, report);
        // What was exported from here holds the replaced value too.
        report = {};
        const auto again = withRows(bench, rowsOf(bench), report);
        QCOMPARE(report.already_there, 5);
        QCOMPARE(again.runs[0].planes[0].readings.size(), std::size_t{5});
        // And the first file, from before the point was read again, does not win over it.
        report = {};
        const auto old = withRows(bench, rows, report);
        QCOMPARE(report.already_there, 4);
        QCOMPARE(planeStatistics(old.runs[0].planes[0])->max.value(), 205.0);
    }

    void aValueTypedTwiceWithoutATimeCountsAsReadAgain() {
        MergeReport report;
        const auto rows = rowsOf(flatSweep({{150, 200}}));
        auto three = std::vector{rows[0], rows[0], rows[0]};
        three[1].reading.mean = Ppfd(210);
        const auto bench = withRows({}, three, report);
        QCOMPARE(report.superseding, 2);
        QCOMPARE(planeStatistics(bench.runs[0].planes[0])->mean.value(), 200.0);
    }

    void configurationsDoNotMix() {
        auto bench = flatSweep({{150, 200}, {200, 190}, {250, 170}});
        bench.runs[1].level_pct = 60;
        QCOMPARE(sweepsOf(bench).size(), std::size_t{2});
        bench.runs[2].water = WaterState::Moving;
        QCOMPARE(sweepsOf(bench).size(), std::size_t{3});
    }
};

GLUMET_TEST(TestFindings, "core_findings", Application)

}  // namespace core_findings

#include "test_findings.moc"
