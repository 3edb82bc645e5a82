#include <QTest>

#include "core/bench/reading_note.h"

using namespace glumet;

class TestReadingNote : public QObject {
    Q_OBJECT

  private slots:
    void remarksStandOneAfterTheOther() {
        Reading reading;
        remark(reading, "a passing shadow left out");
        remark(reading, kSimulatedRemark);
        QCOMPARE(reading.note, std::string("a passing shadow left out; simulated"));
        QVERIFY(isSimulated(reading));
    }

    /// A review says of its readings that they were simulated: a person's words that hold the word do not
    /// count.
    void onlyTheWholeRemarkSaysSimulated_data() {
        QTest::addColumn<QString>("note");
        QTest::addColumn<bool>("simulated");
        QTest::newRow("none") << "" << false;
        QTest::newRow("alone") << "simulated" << true;
        QTest::newRow("first") << "simulated; lid open" << true;
        QTest::newRow("last") << "lid open; simulated" << true;
        QTest::newRow("denied") << "real probe, not simulated" << false;
        QTest::newRow("of something else") << "simulated cloud cover" << false;
        QTest::newRow("only separators") << "; ; " << false;
    }
    void onlyTheWholeRemarkSaysSimulated() {
        QFETCH(QString, note);
        QFETCH(bool, simulated);
        Reading reading;
        reading.note = note.toStdString();
        QCOMPARE(isSimulated(reading), simulated);
    }
};

QTEST_APPLESS_MAIN(TestReadingNote)
#include "test_reading_note.moc"
