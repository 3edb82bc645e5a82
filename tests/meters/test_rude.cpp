#include <pty.h>
#include <unistd.h>

#include <QFile>
#include <QSignalSpy>
#include <QTcpServer>
#include <QTcpSocket>
#include <QTemporaryDir>
#include <QTest>
#include <QtEndian>

#include "meters/hand_clock.h"
#include "meters/instrument.h"
#include "meters/line_meter.h"
#include "runner/registry.h"

namespace meters_rude {

using namespace glumet;

namespace {

/// A line instrument over TCP, its server and its clock in the test's hands.
struct Played {
    explicit Played(const LineMeter::Question& question = {}) {
        listening = server.listen(QHostAddress::LocalHost);
        meter = std::make_unique<LineMeter>(
            QStringLiteral("S1"),
            std::make_unique<TcpSource>(QStringLiteral("127.0.0.1"), server.serverPort()), LineFormat{},
            question, clock.function());
    }
    QTcpServer server;
    HandClock clock;
    bool listening = false;
    std::unique_ptr<LineMeter> meter;
};

/// A Modbus TCP instrument that answers as it is told to.
class RudeModbus : public QTcpServer {
  public:
    RudeModbus() {
        listen(QHostAddress::LocalHost);
        connect(this, &QTcpServer::newConnection, this, [this] {
            socket = nextPendingConnection();
            connect(socket, &QTcpSocket::readyRead, this, [this] {
                const QByteArray asked = socket->readAll();
                ++questions;
                if (asked.size() >= 12 && answer) socket->write(answer(asked));
            });
        });
    }
    /// A sound answer to a question: transaction, protocol 0, length, unit, function, bytes, value.
    static QByteArray sound(const QByteArray& asked, quint16 value) {
        QByteArray out =
            asked.left(2) + QByteArray("\0\0\0\5", 4) + asked.mid(6, 2) + QByteArray("\2\0\0", 3);
        qToBigEndian(value, out.data() + 9);
        return out;
    }

    QTcpSocket* socket = nullptr;
    int questions = 0;
    std::function<QByteArray(const QByteArray&)> answer;
};

}  // namespace

/// Instruments that flood, fall silent, lie, or answer what nobody asked.
class TestRude : public QObject {
    Q_OBJECT

  private slots:
    void aFloodIsPassedOverAndCounted() {
        LineParser parser({});
        QByteArray flood;
        for (int i = 0; i < 1000; ++i) flood += QByteArray::number(i) + '\n';
        flood += "77";
        QCOMPARE(parser.feed(flood, 3), (std::vector{997.0, 998.0, 999.0}));
        QCOMPARE(parser.counts().passed_over, 997);
        QCOMPARE(parser.counts().values, 3);
        // The line that the flood left unfinished is finished by what follows.
        QCOMPARE(parser.feed("8\n", 3), std::vector{778.0});
        QVERIFY(parser.feed("1\n2\n", 0).empty());
        QCOMPARE(parser.counts().passed_over, 999);
    }

    void anInstrumentThatFloodsIsReadNoFasterThanItMust() {
        Played played;
        QVERIFY(played.listening);
        auto& [server, clock, listening, held] = played;
        auto& meter = *held;
        QSignalSpy samples(&meter, &Meter::sampled);
        meter.start();
        QTRY_VERIFY(server.hasPendingConnections());
        auto* socket = server.nextPendingConnection();
        constexpr qint64 kLines = 400'000;
        socket->write(QByteArray("123.4\n").repeated(kLines));
        const auto& counts = meter.parser().counts();
        QTRY_COMPARE_WITH_TIMEOUT(counts.values + counts.passed_over, kLines, 60'000);
        QCOMPARE(samples.size(), LineMeter::kLinesPerSecond);
        QVERIFY2(meter.trouble().contains(QStringLiteral("passed over")), qPrintable(meter.trouble()));
        // A second later as many again.
        clock.seconds += 1.0;
        socket->write(QByteArray("123.4\n").repeated(2 * LineMeter::kLinesPerSecond));
        QTRY_COMPARE(counts.values + counts.passed_over, kLines + 2 * LineMeter::kLinesPerSecond);
        QVERIFY(samples.size() > LineMeter::kLinesPerSecond);
        QVERIFY(samples.size() <= 2 * LineMeter::kLinesPerSecond);
    }

    void silenceIsSaidWithinThreeSeconds() {
        Played played;
        QVERIFY(played.listening);
        auto& [server, clock, listening, held] = played;
        auto& meter = *held;
        meter.start();
        QTRY_COMPARE(meter.state(), MeterState::Live);
        QTRY_VERIFY(server.hasPendingConnections());
        auto* socket = server.nextPendingConnection();
        QSignalSpy states(&meter, &Meter::stateChanged);
        clock.seconds = 2.4;
        meter.lookForSilence();
        QVERIFY(!meter.silent() && meter.trouble().isEmpty());
        // Half a line is no word yet.
        socket->write("12");
        clock.seconds = 2.9;
        meter.lookForSilence();
        QVERIFY(meter.silent());
        QCOMPARE(states.size(), 1);
        QVERIFY2(meter.trouble().contains(QStringLiteral("sends nothing")), qPrintable(meter.trouble()));
        socket->write("3\n");
        QTRY_VERIFY(!meter.silent());
        QVERIFY(meter.trouble().isEmpty());
        QCOMPARE(states.size(), 2);
    }

    void anInstrumentThatIsAskedSeldomIsNotSilentBetween() {
        Played played(LineMeter::Question{"READ?", 10'000});
        QVERIFY(played.listening);
        auto& [server, clock, listening, held] = played;
        auto& meter = *held;
        meter.start();
        QTRY_COMPARE(meter.state(), MeterState::Live);
        clock.seconds = 20.0;
        meter.lookForSilence();
        QVERIFY(!meter.silent());
        clock.seconds = 31.0;
        meter.lookForSilence();
        QVERIFY(meter.silent());
    }

    void valuesThatNoLightHasAreCountedAsUnreadable() {
        LineParser parser({});
        QVERIFY(parser.feed("-0.1\n-5\n1e9\n1e308\nnan\n-inf\n").empty());
        QCOMPARE(parser.counts().garbage, 6);
        QCOMPARE(parser.feed("0\n1000000\n"), (std::vector{0.0, 1e6}));
        LineFormat milli;
        milli.factor = -1.0;
        LineParser turned(milli);
        QCOMPARE(turned.feed("-5\n5\n"), std::vector{5.0});
    }

    void aSerialLineThatIsPulledAndPutBackSpeaksAgain() {
        const QTemporaryDir dir;
        const QString port = dir.filePath(QStringLiteral("probe"));
        const auto plugged = [&](int& master) {
            int slave = -1;
            std::array<char, 128> name{};
            QCOMPARE(openpty(&master, &slave, name.data(), nullptr, nullptr), 0);
            QFile::remove(port);
            QVERIFY(QFile::link(QString::fromLatin1(name.data()), port));
            ::close(slave);
        };
        int master = -1;
        plugged(master);
        LineMeter meter(QStringLiteral("Wand"), std::make_unique<SerialSource>(port, 115200), {}, {},
                        machineClock());
        meter.setRetry(1);
        QSignalSpy samples(&meter, &Meter::sampled);
        meter.start();
        QTRY_COMPARE(meter.state(), MeterState::Live);
        QCOMPARE(::write(master, "42.5\n4", 6), 6);
        QTRY_COMPARE(samples.size(), 1);
        ::close(master);
        QTRY_COMPARE(meter.state(), MeterState::Lost);
        plugged(master);
        QTRY_COMPARE(meter.state(), MeterState::Live);
        QCOMPARE(::write(master, "3.5\n", 4), 4);
        QTRY_COMPARE(samples.size(), 2);
        QCOMPARE(samples[1][1].toDouble(), 3.5);
        QCOMPARE(meter.losses(), 1);
        meter.stop();
        ::close(master);
    }

    void modbusAnswersThatAreNotOursDoNotCount_data() {
        QTest::addColumn<int>("byte");
        QTest::addColumn<char>("value");
        QTest::newRow("another transaction") << 1 << '\x77';
        QTest::newRow("another protocol") << 3 << '\x01';
        QTest::newRow("another unit") << 6 << '\x09';
        QTest::newRow("another function") << 7 << '\x04';
        QTest::newRow("another length") << 8 << '\x04';
        QTest::newRow("an exception") << 7 << '\x83';
    }
    void modbusAnswersThatAreNotOursDoNotCount() {
        QFETCH(int, byte);
        QFETCH(char, value);
        RudeModbus server;
        server.answer = [&](const QByteArray& asked) {
            auto wrong = RudeModbus::sound(asked, 999);
            wrong[byte] = value;
            return wrong;
        };
        ModbusMeter meter(QStringLiteral("M"),
                          RegisterLink::tcp(QStringLiteral("127.0.0.1"), server.serverPort()), {}, 60'000,
                          machineClock());
        QSignalSpy samples(&meter, &Meter::sampled);
        meter.start();
        QTRY_COMPARE(meter.state(), MeterState::Live);
        for (int question = 1; question <= 2; ++question) {
            meter.ask();
            QTRY_COMPARE(server.questions, question);
            QTRY_VERIFY(!meter.asking());
        }
        QCOMPARE(samples.size(), 0);
        // What nobody asked for is no value either, even when it looks sound.
        server.socket->write(RudeModbus::sound(QByteArray("\0\x63\0\0\0\6\1\3\0\0\0\1", 12), 500));
        server.answer = [](const QByteArray& asked) { return RudeModbus::sound(asked, 321); };
        QTRY_VERIFY_WITH_TIMEOUT((meter.ask(), samples.size() > 0), 5000);
        for (const auto& sample : samples) QCOMPARE(sample[1].toDouble(), 321.0);
    }

    void modbusValuesThatNoLightHasDoNotCount() {
        RudeModbus server;
        server.answer = [](const QByteArray& asked) { return RudeModbus::sound(asked, 0xFFFF); };
        ModbusRegister at;
        at.type = ModbusRegister::Type::Signed16;
        ModbusMeter meter(QStringLiteral("M"),
                          RegisterLink::tcp(QStringLiteral("127.0.0.1"), server.serverPort()), at, 60'000,
                          machineClock());
        QSignalSpy samples(&meter, &Meter::sampled);
        meter.start();
        QTRY_COMPARE(meter.state(), MeterState::Live);
        meter.ask();
        QTRY_VERIFY(!meter.trouble().isEmpty());
        QCOMPARE(samples.size(), 0);
    }
};

GLUMET_TEST(TestRude, "meters_rude", Application)

}  // namespace meters_rude

#include "test_rude.moc"
