#include <QTest>

#include "core/bench/reading_note.h"
#include "runner/registry.h"

namespace core_reading_note {

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

GLUMET_TEST(TestReadingNote, "core_reading_note", Nothing)

}  // namespace core_reading_note

#include "test_reading_note.moc"
