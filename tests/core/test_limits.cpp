#include <QTest>
#include <limits>

#include "core/base/seldom.h"
#include "core/base/utf8.h"
#include "core/bench/bench_rules.h"
#include "core/bench/part_of_bench.h"
#include "core/bench/reading_row.h"
#include "core/simulation/demo_scenario.h"
#include "core/words/sentence.h"
#include "runner/registry.h"

namespace core_limits {

using namespace glumet;

namespace {

/// The demonstration's description with runs of one reading.
Bench benchWithRuns(int count) {
    auto bench = demoBench();
    for (int i = 0; i < count; ++i) {
        Run run;
        run.id = i + 1;
        run.fixture = bench.fixtures.front().id;
        run.height = Millimetre(200);
        run.planes.emplace_back();
        run.planes.front().readings.emplace_back();
        bench.runs.push_back(run);
    }
    return bench;
}

}  // namespace

/// What can be, and how what cannot is told.
class TestLimits : public QObject {
    Q_OBJECT

  private slots:
    void utf8IsToldFromOtherBytes_data() {
        QTest::addColumn<QByteArray>("bytes");
        QTest::addColumn<bool>("sound");
        QTest::newRow("empty") << QByteArray() << true;
        QTest::newRow("plain") << QByteArray("Fern 20") << true;
        QTest::newRow("two, three and four bytes")
            << QByteArray("\xC3\xA4\xE2\x82\xAC\xF0\x9F\x90\x9F") << true;
        QTest::newRow("last of all") << QByteArray("\xF4\x8F\xBF\xBF") << true;
        QTest::newRow("beyond the last") << QByteArray("\xF4\x90\x80\x80") << false;
        QTest::newRow("overlong") << QByteArray("\xC0\xAF") << false;
        QTest::newRow("overlong, three") << QByteArray("\xE0\x80\xAF") << false;
        QTest::newRow("overlong, four") << QByteArray("\xF0\x80\x80\xAF") << false;
        QTest::newRow("half of a pair") << QByteArray("\xED\xA0\x80") << false;
        QTest::newRow("cut") << QByteArray("a\xE2\x82") << false;
        QTest::newRow("a tail alone") << QByteArray("\x80") << false;
        QTest::newRow("no byte of any text") << QByteArray("ok\xFF") << false;
    }
    void utf8IsToldFromOtherBytes() {
        QFETCH(QByteArray, bytes);
        QFETCH(bool, sound);
        QCOMPARE(isUtf8(bytes.toStdString()), sound);
        // What is shown is always text, on one line.
        QVERIFY(isUtf8(shownText(bytes.toStdString(), 100)));
    }

    void whatIsShownIsShortAndOnOneLine() {
        QCOMPARE(shownText("abc", 3), std::string("abc"));
        QCOMPARE(shownText("abcd", 3), std::string("abc…"));
        QCOMPARE(shownText("a\nb\x1B[31mc\x7F", 20), std::string("a b [31mc "));
        // Marks that turn the direction of what follows could make one name look like another.
        QCOMPARE(shownText("gl\u202Etemu", 20), std::string("gl temu"));
        QCOMPARE(shownText("ä\xFFö", 20), std::string("ä\uFFFDö"));
        const Problem long_one{std::string(5'000, 'p'), say("is {}", std::string(5'000, '\n'))};
        const auto line = QString::fromStdString(english(long_one));
        QVERIFY2(line.size() < 300, qPrintable(QString::number(line.size())));
        QVERIFY(line.contains(QStringLiteral("…: is")));
    }

    void theDemonstrationIsWithinAllLimits() {
        QCOMPARE(faultsOf(demoBench()).size(), std::size_t{0});
        QCOMPARE(faultsOf(benchWithRuns(3)).size(), std::size_t{0});
    }

    void eachRuleNamesItsPlace_data() {
        QTest::addColumn<int>("spoil");
        QTest::addColumn<QString>("place");
        QTest::newRow("tank") << 0 << "tank";
        QTest::newRow("channel's share") << 1 << "flux_share";
        QTest::newRow("channel's emitters") << 2 << "emitter_columns";
        QTest::newRow("goal") << 3 << "method, goal";
        QTest::newRow("plane") << 4 << "depth_mm";
        QTest::newRow("grid") << 5 << "grid";
        QTest::newRow("lost tank") << 6 << "tank";
        QTest::newRow("check of a run that is gone") << 7 << "check";
        QTest::newRow("unknown column") << 8 << "extra";
        QTest::newRow("title") << 9 << "title";
        QTest::newRow("obstacle") << 10 << "obstacles";
    }
    void eachRuleNamesItsPlace() {
        QFETCH(int, spoil);
        QFETCH(QString, place);
        auto bench = benchWithRuns(1);
        auto& run = bench.runs.front();
        switch (spoil) {
            case 0:
                bench.tanks.front().length = Millimetre(0);
                break;
            case 1:
                bench.fixtures.front().channels.push_back({1, "x", 1.5, {}, {}, {}});
                break;
            case 2:
                bench.fixtures.front().channels.push_back({1, "x", {}, {}, EmitterLattice{900, 900}, {}});
                break;
            case 3:
                bench.method.goal.photoperiod_h = std::numeric_limits<double>::quiet_NaN();
                break;
            case 4:
                run.planes.front().depth = Millimetre(-1);
                break;
            case 5:
                run.planes.front().grid = Grid{std::vector<double>(1'001, 1.0), {1.0}};
                break;
            case 6:
                run.tank = 4711;
                break;
            case 7:
                bench.checks.push_back({});
                bench.checks.back().run = 4711;
                break;
            case 8:
                run.planes.front().readings.front().extra[std::string(2'000, 'x')] = "y";
                break;
            case 9:
                bench.title = "\xFF";
                break;
            default:
                bench.tanks.front().obstacles.push_back({"brace", Millimetre(-5), {}, {}, {}});
                break;
        }
        const auto faults = faultsOf(bench);
        QVERIFY(!faults.empty());
        const auto said = QString::fromStdString(english(faults.front()));
        QVERIFY2(said.contains(place), qPrintable(said));
    }

    void aPartOfABenchHasItsRunsAlone() {
        const auto bench = benchWithRuns(5);
        const auto part = partOf(bench, {2, 4, 99});
        QCOMPARE(part.runs.size(), std::size_t{2});
        QCOMPARE(part.runs[1].id, Id{4});
        QCOMPARE(readingCount(part), std::size_t{2});
        QCOMPARE(part.fixtures.size(), bench.fixtures.size());
        QCOMPARE(part.title, bench.title);
        QVERIFY(part.method == bench.method);
    }

    void manyFaultsAreGatheredUpToANumber() {
        auto bench = benchWithRuns(5);
        for (auto& run : bench.runs) run.fixtures = 0;
        QCOMPARE(faultsOf(bench, 3).size(), std::size_t{3});
        QCOMPARE(faultsOf(bench, 1'000).size(), std::size_t{5});
    }

    void whatIsSeldomCopiesDeepAndCostsAPointer() {
        using Extra = Seldom<std::map<std::string, std::string>>;
        static_assert(sizeof(Extra) == sizeof(void*));
        Extra first;
        QVERIFY(first.empty() && first == Extra());
        QVERIFY(first.find("a") == first.end());
        first["a"] = "1";
        Extra second = first;
        second["a"] = "2";
        QCOMPARE(first.at("a"), std::string("1"));
        QVERIFY(first != second);
        second = first;
        QVERIFY(first == second);
        const Extra taken = std::move(second);
        QVERIFY(taken.contains("a"));
    }

    /// Rows may come in any order, and more than once; what is remembered of planes is let go in between.
    void rowsMergeTheSameInWhateverOrder() {
        std::vector<ReadingRow> rows;
        for (int run = 0; run < 3; ++run)
            for (int x = 0; x < 50; ++x) {
                ReadingRow row;
                row.run.label = "run " + std::to_string(run);
                row.run.height = Millimetre(200);
                row.fixture = "Fern";
                row.depth = Millimetre(100);
                row.reading.x = Millimetre(10 * x);
                row.reading.mean = Ppfd(100 + x);
                row.reading.time = "2026-11-26T12:00:" + std::to_string(x);
                rows.push_back(row);
            }
        auto mixed = rows;
        for (std::size_t i = 0; i < mixed.size(); ++i) std::swap(mixed[i], mixed[i * 7919 % mixed.size()]);
        MergeReport report;
        const auto bench = withRows({}, rows, report);
        QCOMPARE(report.added, 150);
        QCOMPARE(readingCount(bench), std::size_t{150});
        MergeReport again;
        const auto same = withRows(bench, mixed, again);
        QCOMPARE(again.added, 0);
        QCOMPARE(again.already_there, 150);
        QCOMPARE(readingCount(same), std::size_t{150});
        // By way of a bench of their own.
        MergeReport gathered;
        RowMerge merge({}, gathered);
        takeRows(withRows({}, mixed, report), merge);
        QCOMPARE(readingCount(merge.finish()), std::size_t{150});
    }
};

GLUMET_TEST(TestLimits, "core_limits", Application)

}  // namespace core_limits

#include "test_limits.moc"
