#include <QTest>

#include "core/words/sentence.h"
#include "formats/plane_sheet.h"
#include "runner/registry.h"

namespace formats_plane_sheet {

using namespace glumet;

namespace {

PlaneSheet sheetOf(const std::string& text, LengthUnit unit = LengthUnit::Cm) {
    const auto split = splitDelimited(text);
    return split ? readPlaneSheet(*split, unit) : PlaneSheet{};
}

SheetAnswers cubeAnswers() {
    SheetAnswers answers;
    answers.run = "first";
    answers.fixture = "Fern 20";
    answers.length = Millimetre(600);
    answers.width = Millimetre(400);
    return answers;
}

}  // namespace

class TestPlaneSheet : public QObject {
    Q_OBJECT

  private slots:
    void titlesAreUnderstood_data() {
        QTest::addColumn<QString>("title");
        QTest::addColumn<double>("height");
        QTest::addColumn<double>("depth");
        QTest::newRow("plain") << "Height 25 cm, depth 15 cm" << 250.0 << 150.0;
        QTest::newRow("letters") << "H=25 D=15" << 250.0 << 150.0;
        QTest::newRow("after") << "25 cm above, 15 cm under the surface" << 250.0 << 150.0;
        QTest::newRow("cells") << "height;250 mm;depth;150 mm" << 250.0 << 150.0;
        QTest::newRow("inches") << "lamp at 9 7/8 in, depth 6 in" << 250.825 << 152.4;
        QTest::newRow("a name with a figure") << "Osier 60, height 36 cm, depth 15 cm" << 360.0 << 150.0;
        QTest::newRow("a name without a comma") << "Osier 60 height 36 depth 15" << 360.0 << 150.0;
        QTest::newRow("words after") << "25 cm height 15 cm depth" << 250.0 << 150.0;
        QTest::newRow("fillers") << "height above the water is 25; plane at 15" << 250.0 << 150.0;
        QTest::newRow("colons") << "height: 25, depth: 15" << 250.0 << 150.0;
        QTest::newRow("sentence") << "Plane 15 cm under water, lamp at 25 cm" << 250.0 << 150.0;
        QTest::newRow("other order") << "Depth 30 cm (height 27,5 cm)" << 275.0 << 300.0;
    }
    void titlesAreUnderstood() {
        QFETCH(QString, title);
        QFETCH(double, height);
        QFETCH(double, depth);
        const auto sheet = sheetOf(title.toStdString() + "\n124;122;156\n181;197;263\n");
        QVERIFY(sheet.problems.empty());
        QCOMPARE(sheet.blocks.size(), std::size_t{1});
        QVERIFY(sheet.blocks[0].height && sheet.blocks[0].depth);
        QVERIFY(std::abs(sheet.blocks[0].height->value() - height) < 1e-6);
        QVERIFY(std::abs(sheet.blocks[0].depth->value() - depth) < 1e-6);
    }

    void severalBlocksWithLabelsAndDecimalCommas() {
        const auto sheet = sheetOf(
            "height 20 cm depth 15 cm\n;A;B;C\nback;1,5;2;3\nfront;4;5;6\n\nheight 20 cm depth 30 "
            "cm\n;A;B;C\nback;7;8;9\nfront;10;11;12,25\n");
        QVERIFY(sheet.problems.empty());
        QCOMPARE(sheet.blocks.size(), std::size_t{2});
        QCOMPARE(sheet.blocks[0].columns(), 3);
        QCOMPARE(sheet.blocks[0].rows[0][0], 1.5);
        QCOMPARE(sheet.blocks[1].rows[1][2], 12.25);
        QCOMPARE(sheet.blocks[1].depth->value(), 300.0);
    }

    void theTopRowIsTheBack() {
        auto answers = cubeAnswers();
        const auto sheet = sheetOf("height 20 depth 15\n1,2,3\n4,5,6\n");
        auto rows = rowsOfSheet(sheet, answers);
        QVERIFY(rows);
        QCOMPARE(rows->size(), std::size_t{6});
        QCOMPARE(rows->at(0).reading.mean.value(), 1.0);
        QCOMPARE(rows->at(0).reading.x.value(), 100.0);
        QCOMPARE(rows->at(0).reading.y.value(), 300.0);
        answers.top_row_is_back = false;
        QCOMPARE(rowsOfSheet(sheet, answers)->at(0).reading.y.value(), 100.0);
        answers.pitch_x = Millimetre(50);
        QCOMPARE(rowsOfSheet(sheet, answers)->at(1).reading.x.value(), 75.0);
    }

    void whatIsMissingIsAskedFor() {
        const auto sheet = sheetOf("my planes\n1,2,3\n4,5,6\n");
        const auto rows = rowsOfSheet(sheet, {});
        QVERIFY(!rows);
        QStringList all;
        for (const auto& problem : rows.error()) all << QString::fromStdString(english(problem));
        const auto text = all.join(QLatin1Char('\n'));
        for (const char* part : {"run needs a name", "fixture needs a name", "distance between",
                                 "height is missing", "depth is missing"})
            QVERIFY2(text.contains(QLatin1String(part)), part);
    }

    void faultsAreNamedByLine_data() {
        QTest::addColumn<QString>("text");
        QTest::addColumn<QString>("part");
        QTest::newRow("ragged") << "h 20 d 15\n1;2;3\n4;5;6;7\n"
                                << "line 3: has 4 values";
        QTest::newRow("word") << "h 20 d 15\n1;2;3\n4;dim;6\n"
                              << "line 3: value 2, \"dim\"";
        QTest::newRow("empty") << "h 20 d 15\n1;2;3\n4;;6\n"
                               << "line 3: value 2 is empty";
        QTest::newRow("negative") << "h 20 d 15\n1;2;-3\n4;5;6\n"
                                  << "line 2: value 3 is negative";
        QTest::newRow("nothing") << "hello\nworld\n"
                                 << "no block of numbers";
    }
    void faultsAreNamedByLine() {
        QFETCH(QString, text);
        QFETCH(QString, part);
        const auto sheet = sheetOf(text.toStdString());
        QVERIFY(!sheet.problems.empty());
        const auto found = QString::fromStdString(english(sheet.problems.front()));
        QVERIFY2(found.contains(part), qPrintable(found));
        QVERIFY(!rowsOfSheet(sheet, cubeAnswers()));
    }

    void columnsPartedBySpacesOrTabs() {
        QCOMPARE(sheetOf("height 20 depth 15\n 124   122  156\n 181 197 263 \n").blocks.at(0).columns(), 3);
        QCOMPARE(sheetOf("height 20 depth 15\n124\t122\t156\n").blocks.at(0).columns(), 3);
    }
};

GLUMET_TEST(TestPlaneSheet, "formats_plane_sheet", Application)

}  // namespace formats_plane_sheet

#include "test_plane_sheet.moc"
