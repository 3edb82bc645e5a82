#include "formats/spreadsheet.h"

#include <QTest>
#include <random>

#include "core/words/sentence.h"
#include "formats/made_workbooks.h"
#include "formats/plane_sheet.h"
#include "formats/readings_csv.h"
#include "formats/zip_archive.h"
#include "runner/registry.h"

namespace formats_spreadsheet {

using namespace glumet;
using glumet::testing::ods;
using glumet::testing::xlsx;

namespace {

std::string cellOf(double value) {
    return "<table:table-cell office:value-type=\"float\" office:value=\"" + std::to_string(value) +
           "\"><text:p>x</text:p></table:table-cell>";
}

}  // namespace

/// Workbooks of spreadsheet programs as tables.
class TestSpreadsheet : public QObject {
    Q_OBJECT

  private slots:
    void aWorkbookBecomesATable() {
        const auto bytes = xlsx(
            "<row r=\"1\"><c r=\"A1\" t=\"s\"><v>0</v></c></row>"
            "<row r=\"2\"><c r=\"A2\"><v>120.5</v></c><c r=\"C2\"><v>0.1</v></c></row>"
            "<row r=\"5\"><c r=\"A5\" t=\"s\"><v>1</v></c><c r=\"B5\"><f>A2*2</f><v>241</v></c></row>");
        QVERIFY(looksLikeSpreadsheet(bytes));
        const auto tables = readSpreadsheet(bytes);
        QVERIFY2(tables, tables ? "" : english(tables.error()).c_str());
        QCOMPARE(tables->size(), std::size_t{1});
        QCOMPARE(tables->front().name, std::string("Tank"));
        QCOMPARE(
            QString::fromStdString(tables->front().csv),
            QStringLiteral("\"Height 25 cm, depth 15 cm\"\n120.5,,0.1\n\n\"a, \"\"quoted\"\" one\",241\n"));
    }

    void planesTypedThereAreFound() {
        std::string rows = "<row r=\"1\"><c r=\"A1\" t=\"s\"><v>0</v></c></row>";
        for (int row = 2; row <= 4; ++row) {
            rows += "<row r=\"" + std::to_string(row) + "\">";
            for (char column = 'A'; column <= 'C'; ++column)
                rows += "<c r=\"" + std::string(1, column) + std::to_string(row) + "\"><v>" +
                        std::to_string(100 + row * 10 + column - 'A') + "</v></c>";
            rows += "</row>";
        }
        const auto sheet = readPlaneSheet(*splitDelimited(*tableOfSpreadsheet(xlsx(rows))), LengthUnit::Cm);
        QCOMPARE(sheet.blocks.size(), std::size_t{1});
        QCOMPARE(sheet.blocks.front().height->value(), 250.0);
        QCOMPARE(sheet.blocks.front().depth->value(), 150.0);
        QCOMPARE(sheet.blocks.front().rows[2][2], 142.0);
    }

    void openDocumentReadsToo() {
        std::string rows =
            "<table:table-row><table:table-cell office:value-type=\"string\"><text:p>Height 25 cm, depth 15 "
            "cm</text:p></table:table-cell></table:table-row>";
        for (int row = 0; row < 2; ++row)
            rows += "<table:table-row>" + cellOf(100 + row) + cellOf(200 + row) + "</table:table-row>";
        const auto bytes = ods(rows);
        QVERIFY(looksLikeSpreadsheet(bytes));
        const auto table = tableOfSpreadsheet(bytes);
        QVERIFY2(table, table ? "" : english(table.error()).c_str());
        QCOMPARE(QString::fromStdString(*table),
                 QStringLiteral("\"Height 25 cm, depth 15 cm\"\n100,200\n101,201\n"));
    }

    void readingsComeByTheirHeader() {
        const char* heads[] = {"run", "fixture", "height_mm", "depth_mm", "x_mm", "y_mm", "ppfd"};
        std::string rows = "<table:table-row>";
        for (const char* head : heads)
            rows += "<table:table-cell office:value-type=\"string\"><text:p>" + std::string(head) +
                    "</text:p></table:table-cell>";
        rows +=
            "</table:table-row><table:table-row><table:table-cell "
            "office:value-type=\"string\"><text:p>A</text:p></table:table-cell>"
            "<table:table-cell office:value-type=\"string\"><text:p>Fern 20</text:p></table:table-cell>";
        for (const double value : {200.0, 150.0, 50.0, 50.0, 123.25}) rows += cellOf(value);
        rows += "</table:table-row>";
        const auto table = readReadings(*tableOfSpreadsheet(ods(rows)));
        QVERIFY(table.problems.empty());
        QCOMPARE(table.rows.size(), std::size_t{1});
    }

    void whatIsNoWorkbookIsRefused() {
        QVERIFY(!looksLikeSpreadsheet("run,fixture"));
        QVERIFY(!looksLikeSpreadsheet(*zipOf({{"datapackage.json", "{}"}})));
        QVERIFY(!readSpreadsheet("nothing"));
        for (const auto& bytes :
             {xlsx("<row"), xlsx(""), ods("<table:table-row>"), *zipOf({{"xl/workbook.xml", "x"}}),
              *zipOf({{"mimetype", "application/vnd.oasis.opendocument.spreadsheet"}})}) {
            const auto read = readSpreadsheet(bytes);
            QVERIFY(!read);
            QVERIFY(english(read.error()).size() < 300);
        }
        // Cut short anywhere, it neither crashes nor reads as something else.
        const auto whole = xlsx("<row r=\"1\"><c r=\"A1\"><v>1</v></c></row>");
        for (std::size_t size = 0; size < whole.size(); size += 37) {
            const auto read = readSpreadsheet(std::string_view(whole).substr(0, size));
            QVERIFY(!read);
        }
    }

    /// Sheets that are no sound XML ended the program within the library: they do not come that far.
    void sheetsThatAreNoXmlAreRefused() {
        const std::string found =
            "<ta-row table:number-rows-repeated=\"3\"><table:table-cell office:value-type=\"floa&t\" "
            "office:valumber-columns-repeated=\"2\"><text:p>1.5<e=\"1.5\" "
            "table:number-columns-repeated!=\"2\"><text:p>1.5</te;t:p></table:table-cell></table:tabl";
        QVERIFY(!readSpreadsheet(ods(found)));
        const std::string sound =
            "<table:table-row><table:table-cell office:value-type=\"float\" office:value=\"1.5\">"
            "<text:p>1.5</text:p></table:table-cell></table:table-row>";
        QVERIFY(readSpreadsheet(ods(sound)));
        const std::string row = "<row r=\"1\"><c r=\"A1\"><v>1</v></c><c r=\"B1\"><v>2</v></c></row>";
        QVERIFY(readSpreadsheet(xlsx(row)));
        std::mt19937 random(5);
        for (int i = 0; i < 600; ++i) {
            auto bent = i % 2 == 0 ? sound : row;
            const auto at = random() % bent.size();
            if (i % 3 == 0)
                bent.erase(at, 1 + random() % 12);
            else
                bent.insert(at, 1, "<>&\"/="[random() % 6]);
            const auto read = readSpreadsheet(i % 2 == 0 ? ods(bent) : xlsx(bent));
            if (!read) QVERIFY(english(read.error()).size() < 300);
        }
    }

    void tooMuchIsRefused() {
        const auto far = readSpreadsheet(xlsx("<row r=\"1\"><c r=\"ZZZ1\"><v>1</v></c></row>"));
        QVERIFY(!far);
        const auto repeated = readSpreadsheet(
            ods("<table:table-row table:number-rows-repeated=\"1048576\"><table:table-cell "
                "table:number-columns-repeated=\"16384\" "
                "office:value-type=\"float\" "
                "office:value=\"1\"><text:p>1</text:p></table:table-cell></table:table-row>"));
        QVERIFY(!repeated);
    }
};

GLUMET_TEST(TestSpreadsheet, "formats_spreadsheet", Application)

}  // namespace formats_spreadsheet

#include "test_spreadsheet.moc"
