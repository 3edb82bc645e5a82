#include <QImage>
#include <QTest>

#include "core/living/living_findings.h"
#include "core/words/sentence.h"
#include "project/shipped_demo.h"
#include "report/blending_figure.h"
#include "report/living_sheet.h"
#include "report/page/pdf_page.h"
#include "runner/registry.h"

namespace report_living_sheet {

using namespace glumet;

namespace {

const Bench& demo() {
    static const Bench bench = testing::shippedDemo();
    return bench;
}

LivingSheetQuestion sheetOf(const Bench& bench) {
    LivingSheetQuestion q;
    q.bench = &bench;
    q.tank = bench.tanks[1].id;
    q.day = "2026-11-27";
    q.figure = tankFigure(bench, bench.tanks[1], Millimetre(200), 0, TankMap());
    return q;
}

std::string allOf(const Prose& prose) {
    std::string out;
    for (const auto& span : prose) out += english(span.words);
    return out;
}

std::vector<const DataTable*> tablesOf(const Document& document) {
    std::vector<const DataTable*> out;
    for (const auto& block : document.blocks)
        if (const auto* table = std::get_if<DataTable>(&block)) out.push_back(table);
    return out;
}

BlendingTest testOf(const std::vector<SpectrumRecord>& records, bool over_time) {
    BlendingTest test;
    test.over_time = over_time;
    for (const auto& record : records) test.points.push_back(&record);
    test.result.colour_from_centre = test.result.colour_from_mean =
        std::vector<double>(records.size(), 0.001);
    return test;
}

SpectrumRecord recordAt(double x, double y) {
    SpectrumRecord record;
    record.name = std::to_string(static_cast<int>(x)) + "/" + std::to_string(static_cast<int>(y));
    record.x = Millimetre(x);
    record.y = Millimetre(y);
    record.spectrum = {{400, 500, 700}, {1, 2, 1}};
    return record;
}

}  // namespace

/// The sheet beside a living tank, and the board of a blending test.
class TestLivingSheet : public QObject {
    Q_OBJECT

  private slots:
    void theSheetHasEverySpotAndEveryStep() {
        auto q = sheetOf(demo());
        q.steps = *datedSteps(demo().ramps.front());
        q.plan = demo().ramps.front().name;
        const auto sheet = livingSheet(q);
        const auto tables = tablesOf(sheet);
        QCOMPARE(tables.size(), std::size_t{2});
        QCOMPARE(tables[0]->rows.size(), q.steps.size());
        QCOMPARE(english(tables[0]->rows[0][0]), q.steps[0].day);
        QCOMPARE(tables[1]->rows.size(), demo().spots.size());
        for (const auto* table : tables)
            for (const auto& row : table->rows) QCOMPARE(row.size(), table->columns.size());
        QCOMPARE(english(tables[1]->rows[0][1]), std::string("eelgrass"));
        QVERIFY(english(tables[1]->rows[0][2], LengthUnit::Inch).find("in") != std::string::npos);
        const auto pdf = pdfOf(sheet);
        QVERIFY(pdf);
        QCOMPARE(*pdfOf(sheet), *pdf);
    }

    void cautionsStandOnEverySheet() {
        auto bench = demo();
        bench.spots.clear();
        bench.ramps.clear();
        const auto sheet = livingSheet(sheetOf(bench));
        QCOMPARE(tablesOf(sheet).size(), std::size_t{1});
        int cautions = 0;
        for (const auto& block : sheet.blocks)
            if (const auto* paragraph = std::get_if<Paragraph>(&block);
                paragraph != nullptr && paragraph->tone == ProseTone::Caution) {
                ++cautions;
                QVERIFY(allOf(paragraph->text).find("licensed electrician") != std::string::npos);
            }
        QCOMPARE(cautions, 1);
        QVERIFY(pdfOf(sheet));
    }

    void aPausedStepSaysHold() {
        auto q = sheetOf(demo());
        auto ramp = demo().ramps.front();
        ramp.events = {{"2026-11-10", RampEventKind::Pause, ""}, {"2026-11-20", RampEventKind::Resume, ""}};
        q.steps = *datedSteps(ramp);
        const auto sheet = livingSheet(q);
        int held = 0;
        for (const auto& row : tablesOf(sheet)[0]->rows) held += english(row[2]) == "hold" ? 1 : 0;
        QVERIFY(held >= 1);
    }

    // Blending.

    void pointsStandWhereTheyWereReadFromAbove() {
        std::vector<SpectrumRecord> records;
        for (const double y : {100.0, 300.0})
            for (const double x : {500.0, 100.4, 300.0}) records.push_back(recordAt(x, y));
        const auto figure = blendingFigure(testOf(records, false));
        QCOMPARE(figure.columns, 3);
        QCOMPARE(figure.rows, 2);
        QCOMPARE(figure.points[0].column, 2);  // the rightmost,
        QCOMPARE(figure.points[0].row, 1);     // in front: below
        QCOMPARE(figure.points[4].column, 0);
        QCOMPARE(figure.points[4].row, 0);
        const QRectF area(0, 0, 400, 200);
        for (std::size_t i = 0; i < figure.points.size(); ++i) {
            const auto field = blendingField(area, figure, i);
            QVERIFY(area.contains(field));
            for (std::size_t j = 0; j < i; ++j) QVERIFY(!blendingField(area, figure, j).intersects(field));
        }
    }

    void momentsStandInRowsOfEight() {
        std::vector<SpectrumRecord> records(20, recordAt(100, 100));
        const auto figure = blendingFigure(testOf(records, true));
        QCOMPARE(figure.columns, 8);
        QCOMPARE(figure.rows, 3);
        QCOMPARE(figure.points[19].column, 3);
        QCOMPARE(figure.points[19].row, 2);
        for (const auto& point : figure.points) QVERIFY(!point.centre);
    }

    void whatShowsIsMarked() {
        std::vector<SpectrumRecord> records{recordAt(100, 100), recordAt(300, 100), recordAt(500, 100)};
        auto test = testOf(records, false);
        test.centre = 1;
        test.result.colour_from_centre = {0.001, 0.0, 0.02};
        const auto figure = blendingFigure(test);
        QVERIFY(figure.points[1].centre);
        QImage image(360, 80, QImage::Format_RGB32);
        image.fill(paper().ground);
        QPainter p(&image);
        paintBlending(p, QRectF(image.rect()), figure, paper());
        p.end();
        const auto accents = [&](std::size_t point) {
            const auto field = blendingField(QRectF(image.rect()), figure, point).toRect();
            int count = 0;
            for (int y = field.top(); y < field.bottom(); ++y)
                for (int x = field.left(); x < field.right(); ++x)
                    count += image.pixelColor(x, y) == paper().accent ? 1 : 0;
            return count;
        };
        QCOMPARE(accents(0), 0);
        QVERIFY(accents(2) > 30);
        QCOMPARE(colourDistanceText(0.0071), QStringLiteral("7.1"));
    }
};

GLUMET_TEST(TestLivingSheet, "report_living_sheet", Windows)

}  // namespace report_living_sheet

#include "test_living_sheet.moc"
