#include <QTest>

#include "core/words/wording.h"
#include "runner/registry.h"

namespace core_wording {

using namespace glumet;

class TestWording : public QObject {
    Q_OBJECT

  private slots:
    void lengths_data() {
        QTest::addColumn<double>("mm");
        QTest::addColumn<QString>("cm");
        QTest::addColumn<QString>("inches");
        QTest::newRow("round") << 250.0 << "25 cm"
                               << "9 7/8 in";
        QTest::newRow("half") << 255.0 << "25.5 cm"
                              << "10 in";
        QTest::newRow("small") << 3.2 << "0.3 cm"
                               << "1/8 in";
        QTest::newRow("nought") << 0.0 << "0 cm"
                                << "0 in";
        QTest::newRow("half inch") << 38.1 << "3.8 cm"
                                   << "1 1/2 in";
    }
    void lengths() {
        QFETCH(double, mm);
        QFETCH(QString, cm);
        QFETCH(QString, inches);
        QCOMPARE(QString::fromStdString(lengthText(Millimetre(mm), LengthUnit::Cm)), cm);
        QCOMPARE(QString::fromStdString(lengthText(Millimetre(mm), LengthUnit::Inch)), inches);
    }

    void typedLengths_data() {
        QTest::addColumn<QString>("typed");
        QTest::addColumn<double>("mm");
        QTest::newRow("bare") << "25" << 250.0;
        QTest::newRow("comma") << "25,5" << 255.0;
        QTest::newRow("mm") << "250 mm" << 250.0;
        QTest::newRow("inches") << "9 7/8 in" << 250.825;
        QTest::newRow("mark") << "1/2\"" << 12.7;
        QTest::newRow("metre") << " 0.6 m " << 600.0;
    }
    void typedLengths() {
        QFETCH(QString, typed);
        QFETCH(double, mm);
        const auto length = parseLength(typed.toStdString(), LengthUnit::Cm);
        QVERIFY(length);
        QVERIFY(std::abs(length->value() - mm) < 1e-9);
    }

    void notALength_data() {
        QTest::addColumn<QString>("typed");
        for (const char* text : {"", "cm", "ten", "1/0", "2 5", "1e999", "nan", "1,2,3", "--3"})
            QTest::newRow(text) << QString::fromLatin1(text);
    }
    void notALength() {
        QFETCH(QString, typed);
        QVERIFY(!parseLength(typed.toStdString(), LengthUnit::Cm));
    }

    void whatIsWrittenReadsBack() {
        for (int eighths = 1; eighths < 200; ++eighths) {
            const Millimetre length(eighths * 25.4 / 8.0);
            const auto back = parseLength(lengthText(length, LengthUnit::Inch), LengthUnit::Cm);
            QVERIFY(back);
            QVERIFY(std::abs((*back - length).value()) < 1e-9);
        }
    }

    void percentages() {
        QCOMPARE(percentText(0.784), std::string("78 %"));
        QCOMPARE(percentText(0.034), std::string("3.4 %"));
        QCOMPARE(percentText(0.0), std::string("0 %"));
        QCOMPARE(ppfdFigure(Ppfd(214.6)), std::string("215"));
        QCOMPARE(ppfdFigure(Ppfd(3.44)), std::string("3.4"));
    }
};

GLUMET_TEST(TestWording, "core_wording", Application)

}  // namespace core_wording

#include "test_wording.moc"
