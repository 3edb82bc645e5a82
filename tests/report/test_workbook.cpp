#include "report/workbook.h"

#include <QTest>
#include <QXmlStreamReader>

#include "core/words/sentence.h"
#include "formats/zip_archive.h"
#include "project/shipped_demo.h"
#include "runner/registry.h"

namespace report_workbook {

using namespace glumet;

namespace {

const QString kDay = QStringLiteral("2026-11-24");

/// The demonstration, made once.
const Bench& demo() {
    static const Bench bench = testing::shippedDemo();
    return bench;
}

FixtureReview reviewOfDemo(const Bench& bench = demo()) {
    const auto sweep = sweepsOf(bench).front();
    return *fixtureReviewOf(bench, sweep.configuration);
}

std::string member(const QByteArray& workbook, const std::string& name) {
    const auto members = *unzipped({workbook.constData(), static_cast<std::size_t>(workbook.size())});
    for (const auto& one : members)
        if (one.name == name) return one.bytes;
    return {};
}

/// Cells of a sheet: place → formula and value as they are stored.
std::map<QString, std::pair<QString, QString>> cellsOf(const QByteArray& workbook, int sheet) {
    std::map<QString, std::pair<QString, QString>> cells;
    QXmlStreamReader xml(
        QString::fromStdString(member(workbook, "xl/worksheets/sheet" + std::to_string(sheet) + ".xml")));
    QString at;
    while (!xml.atEnd()) {
        xml.readNext();
        if (!xml.isStartElement()) continue;
        if (xml.name() == QLatin1String("c")) at = xml.attributes().value(QLatin1String("r")).toString();
        if (xml.name() == QLatin1String("f")) cells[at].first = xml.readElementText();
        if (xml.name() == QLatin1String("v")) cells[at].second = xml.readElementText();
    }
    return cells;
}

}  // namespace

/// The workbook for people with spreadsheets, looked at as they get it.
class TestWorkbook : public QObject {
    Q_OBJECT

  private slots:
    void everyReadingIsARow() {
        const auto review = reviewOfDemo();
        const auto workbook = workbookOf(review, kDay);
        QVERIFY2(workbook, workbook ? "" : english(workbook.error()).c_str());
        const auto cells = cellsOf(*workbook, 1);
        const auto readings = readingCount(review.bench);
        QVERIFY(cells.contains(QStringLiteral("F%1").arg(readings + 1)));
        QVERIFY(!cells.contains(QStringLiteral("F%1").arg(readings + 2)));
        const auto& first = review.bench.runs.front();
        QCOMPARE(cells.at(QStringLiteral("B2")).second.toDouble(), first.height.value());
        QCOMPARE(cells.at(QStringLiteral("F2")).second.toDouble(),
                 first.planes.front().readings.front().mean.value());
    }

    void figuresAreFormulasWithTheirValues() {
        const auto review = reviewOfDemo();
        const auto cells = cellsOf(*workbookOf(review, kDay), 2);
        for (std::size_t i = 0; i < review.rows.size(); ++i) {
            const auto& s = review.rows[i].statistics;
            const auto& mean = cells.at(QStringLiteral("D%1").arg(i + 2));
            QVERIFY2(mean.first.startsWith(QStringLiteral("AVERAGEIFS(Readings!$F$2:$F$")),
                     qPrintable(mean.first));
            QVERIFY(std::abs(mean.second.toDouble() - s.mean.value()) < 1e-6);
            QVERIFY(std::abs(cells.at(QStringLiteral("E%1").arg(i + 2)).second.toDouble() - s.min.value()) <
                    1e-6);
            QCOMPARE(cells.at(QStringLiteral("C%1").arg(i + 2)).second.toInt(), s.n);
        }
        QVERIFY(!member(*workbookOf(review, kDay), "xl/charts/chart1.xml").empty());
    }

    void schoolsStandWithTheirReasons() {
        const auto review = reviewOfDemo();
        const auto cells = cellsOf(*workbookOf(review, kDay), 3);
        for (std::size_t i = 0; i < review.schools.size(); ++i) {
            const auto at = QStringLiteral("B%1").arg(i + 2);
            QCOMPARE(cells.contains(at), review.schools[i].height.has_value());
            if (cells.contains(at))
                QCOMPARE(cells.at(at).second.toDouble(), review.schools[i].height->value());
        }
    }

    void theSameReviewGivesTheSameBytes() {
        auto bench = demo();
        bench.method.reviewer = "Wren & <Lark>";
        const auto review = reviewOfDemo(bench);
        const auto once = *workbookOf(review, kDay);
        QCOMPARE(*workbookOf(review, kDay), once);
        QVERIFY(member(once, "docProps/core.xml").find("Wren &amp; &lt;Lark&gt;") != std::string::npos);
        QVERIFY(member(once, "docProps/core.xml").find("2026-11-24") != std::string::npos);
    }

    void aTextIsNeverAFormula() {
        auto bench = demo();
        bench.runs.front().planes.front().readings.front().note = "=1+1";
        const auto workbook = *workbookOf(reviewOfDemo(bench), kDay);
        QVERIFY(cellsOf(workbook, 1).at(QStringLiteral("K2")).first.isEmpty());
    }

    void oneHeightHasNoChart() {
        auto bench = demo();
        const auto sweep = sweepsOf(bench).front();
        std::erase_if(bench.runs, [&](const Run& run) {
            return configurationOf(run) == sweep.configuration && run.id != sweep.runs.front();
        });
        auto review = reviewOfDemo(bench);
        review.rows.resize(1);
        QVERIFY(member(*workbookOf(review, kDay), "xl/charts/chart1.xml").empty());
    }
};

GLUMET_TEST(TestWorkbook, "report_workbook", Windows)

}  // namespace report_workbook

#include "test_workbook.moc"
