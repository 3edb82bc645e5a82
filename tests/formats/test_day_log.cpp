#include <QFile>
#include <QTest>

#include "core/words/sentence.h"
#include "formats/day_log_csv.h"
#include "runner/registry.h"

namespace formats_day_log {

using namespace glumet;

namespace {

Expected<DayLogTable> read(const char* bytes) {
    const auto table = splitDelimited(bytes);
    if (!table) return tl::make_unexpected(table.error());
    return readDayLog(*table);
}

}  // namespace

class TestDayLog : public QObject {
    Q_OBJECT

  private slots:
    /// Found by throwing bytes at the readers: hours beyond what a project may hold.
    void hoursThatNoLogHasAreRefused() {
        QFile file(QStringLiteral(GLUMET_SOURCE_DIR "/fuzz/corpus/tables/day_beyond_its_limits.csv"));
        QVERIFY(file.open(QIODevice::ReadOnly));
        const auto text = splitDelimited(file.readAll().toStdString());
        QVERIFY(text);
        const auto log = readDayLog(*text);
        QVERIFY(!log);
        QVERIFY(!english(log.error()).empty());
    }

    void timesAreReadAsLoggersWriteThem_data() {
        QTest::addColumn<QByteArray>("bytes");
        QTest::newRow("ISO") << QByteArray("time,ppfd\n2026-11-08T07:30:00,12\n2026-11-09 08:00,20\n");
        QTest::newRow("German") << QByteArray("Zeit;PAR\n08.11.2026 07:30;12\n09.11.2026 08:00:00;20\n");
        QTest::newRow("numbered") << QByteArray(
            "#,date,temp,PPFD\n1,2026-11-08 07:30,21.5,12\n2,2026-11-09 08:00,21,20\n");
        QTest::newRow("hours") << QByteArray("hour,ppfd\n7.5,12\n32,20\n");
        QTest::newRow("over midnight")
            << QByteArray("07:30,12\n23:00,x\n08:00,20\n06:00,\n").replace("06:00,\n", "");
    }
    void timesAreReadAsLoggersWriteThem() {
        QFETCH(QByteArray, bytes);
        const auto log = read(bytes.constData());
        QVERIFY2(log, log ? "" : english(log.error()).c_str());
        QCOMPARE(log->log.points.size(), std::size_t{2});
        QCOMPARE(log->log.points[0].hour, 7.5);
        QCOMPARE(log->log.points[0].ppfd.value(), 12.0);
        if (QByteArray(QTest::currentDataTag()) != "over midnight") QCOMPARE(log->log.points[1].hour, 32.0);
    }

    void theWrongIsRefused_data() {
        QTest::addColumn<QByteArray>("bytes");
        QTest::addColumn<QString>("says");
        QTest::newRow("nothing") << QByteArray("a,b\nc,d\n") << "no row of a time";
        QTest::newRow("back") << QByteArray("2026-11-08 07:30,12\n2026-11-07 08:00,20\n") << "line 2";
        QTest::newRow("negative") << QByteArray("07:30,12\n08:30,-4\n") << "line 2";
        QTest::newRow("no time") << QByteArray("07:30,12\nnoon,4\n") << "noon";
        QTest::newRow("one value") << QByteArray("07:30,12\n") << "fewer than two";
        QTest::newRow("no such day") << QByteArray("2026-13-41 07:30,12\n2026-13-42 07:30,12\n") << "no row";
    }
    void theWrongIsRefused() {
        QFETCH(QByteArray, bytes);
        QFETCH(QString, says);
        const auto log = read(bytes.constData());
        QVERIFY(!log);
        QVERIFY2(QString::fromStdString(english(log.error())).contains(says), english(log.error()).c_str());
    }
};

GLUMET_TEST(TestDayLog, "formats_day_log", Application)

}  // namespace formats_day_log

#include "test_day_log.moc"
