#include <pty.h>
#include <unistd.h>

#include <QModbusTcpServer>
#include <QSignalSpy>
#include <QTcpServer>
#include <QTemporaryDir>
#include <QTest>

#include "meters/hand_clock.h"
#include "meters/instrument.h"
#include "meters/line_meter.h"
#include "meters/line_pattern.h"
#include "runner/registry.h"

namespace meters_meters {

using namespace glumet;

namespace {

std::vector<double> valuesOf(const QSignalSpy& spy) {
    std::vector<double> values;
    for (const auto& call : spy) values.push_back(call[1].toDouble());
    return values;
}

LineFormat columnFormat(int column) {
    LineFormat format;
    format.column = column;
    return format;
}

}  // namespace

class TestMeters : public QObject {
    Q_OBJECT

  private slots:
    void linesAreCutWhereverTheBytesAre() {
        const QByteArray stream("12.5;ok\r\n13,5;ok\nnoise\n14.5;ok\n");
        for (qsizetype cut = 1; cut < stream.size(); ++cut) {
            LineParser parser(columnFormat(1));
            auto values = parser.feed(stream.left(cut));
            for (const double value : parser.feed(stream.mid(cut))) values.push_back(value);
            // The semicolon parts the columns, so the comma is a decimal one.
            QCOMPARE(values, (std::vector{12.5, 13.5, 14.5}));
            QCOMPARE(parser.counts().garbage, 1);
        }
    }

    void patternsFactorsAndColumns() {
        LineFormat format;
        format.pattern = QStringLiteral("PPFD=([-+0-9.,eE]+)");
        format.factor = 2.0;
        LineParser by_pattern(format);
        QCOMPARE(by_pattern.feed("T=21 PPFD=120,5 uE\nT=21\n"), (std::vector{241.0}));
        QCOMPARE(by_pattern.counts().garbage, 1);
        LineParser third(columnFormat(3));
        QCOMPARE(third.feed("a b 7.25\n1 2\n"), (std::vector{7.25}));
        QCOMPARE(third.counts().garbage, 1);
        format.pattern = QStringLiteral("(");
        QCOMPARE(format.invalid()->where, std::string("pattern"));
        format.pattern = QStringLiteral("PPFD");
        QVERIFY(format.invalid());
        format.pattern.clear();
        format.factor = 0.0;
        QCOMPARE(format.invalid()->where, std::string("factor"));
    }

    /// A comma alone between digits is a decimal comma; beside another separator it is one too.
    void commasPartColumnsOnlyWhereTheyMust() {
        LineParser first(columnFormat(1));
        QCOMPARE(first.feed("347,2\n"), std::vector{347.2});
        QCOMPARE(first.feed("347,2;21,5\n"), std::vector{347.2});
        QCOMPARE(first.feed("347.2,21.5\n"), std::vector{347.2});
        LineParser second(columnFormat(2));
        QCOMPARE(second.feed("347,2;21,5\n"), std::vector{21.5});
        QCOMPARE(second.feed("347.2,21.5,3\n"), std::vector{21.5});
        QCOMPARE(second.feed("347.2, 21.5\n"), std::vector{21.5});
    }

    /// A click on a number makes the pattern that finds it in the lines to come.
    void theNumberThatIsMeantMakesThePattern() {
        const auto found = [](const char* line, qsizetype at, const char* later) {
            LineFormat format;
            format.pattern = patternAt(QString::fromUtf8(line), at);
            if (format.invalid()) return -1.0;
            LineParser parser(format);
            const auto values = parser.feed(QByteArray(later) + '\n');
            return values.empty() ? -2.0 : values.front();
        };
        QCOMPARE(found("T=21.5 PPFD=120,5 uE", 14, "T=22.0 PPFD=98,25 uE"), 98.25);
        QCOMPARE(found("T=21.5 PPFD=120,5 uE", 3, "T=22.0 PPFD=98,25 uE"), 22.0);
        QCOMPARE(found("347.2;21", 2, "12;22"), 12.0);
        QCOMPARE(found("#12 (a+b)? 1e3", 12, "#7 (a+b)? 2.5e2"), 250.0);
        QCOMPARE(found("347.2,21.5,3", 7, "12.25,8.5,4"), 8.5);
        // Beside it, on its name or its unit, as long as nothing divides them.
        QCOMPARE(found("PPFD=120.5;P=61", 1, "PPFD=98.25;P=60"), 98.25);
        QCOMPARE(found("PPFD=120.5;P=61", 11, "PPFD=98.25;P=60"), 60.0);
        QVERIFY(patternAt(QStringLiteral("ready"), 2).isEmpty());
        QVERIFY(patternAt(QStringLiteral("PPFD 12"), 1).isEmpty());
    }

    /// What an instrument cannot read is a fault of its line, whatever else there is light.
    void beyondItsOwnGreatestValueNothingCounts() {
        auto format = columnFormat(1);
        format.most = 3000.0;
        LineParser parser(format);
        QCOMPARE(parser.feed("2999\n3001\n65535\n12\n"), (std::vector<double>{2999.0, 12.0}));
        QCOMPARE(parser.counts().garbage, 2);
        format.most = 0.0;
        QVERIFY(format.invalid());
        InstrumentProfile kept;
        kept.name = QStringLiteral("Wand");
        kept.transport = Transport::Tcp;
        kept.place = QStringLiteral("127.0.0.1");
        kept.number = 5025;
        kept.format.most = kept.modbus.most = 3000.0;
        QTemporaryDir dir;
        InstrumentStore store(dir.filePath(QStringLiteral("instruments.json")));
        QVERIFY(store.save({kept}));
        QCOMPARE(store.load()->front().format.most, 3000.0);
    }

    void garbageAndOverlongLinesAreCountedNotParsed() {
        LineParser parser(columnFormat(1));
        QVERIFY(parser.feed(QByteArray(1'000'000, '7')).empty());
        QVERIFY(parser.lastLine().isEmpty());
        QCOMPARE(parser.feed("\n5\n"), std::vector{5.0});
        QCOMPARE(parser.counts().overlong, 1);
        QVERIFY(parser.feed("nan\ninf\n\xff\xfe\n1e999\n").empty());
        QCOMPARE(parser.counts().garbage, 4);
        // A cable pulled inside a line does not glue it to the next one.
        QVERIFY(parser.feed("12").empty());
        parser.restart();
        QCOMPARE(parser.feed("3\n"), std::vector{3.0});
    }

    void whatCannotBeReadIsSaidFromTheFirstLineOn() {
        QTcpServer server;
        QVERIFY(server.listen(QHostAddress::LocalHost));
        HandClock clock;
        LineMeter meter(QStringLiteral("S1"),
                        std::make_unique<TcpSource>(QStringLiteral("127.0.0.1"), server.serverPort()),
                        columnFormat(1), {}, clock.function());
        meter.start();
        QTRY_VERIFY(server.hasPendingConnections());
        QTRY_COMPARE(meter.state(), MeterState::Live);
        QVERIFY(meter.trouble().isEmpty());
        QSignalSpy states(&meter, &Meter::stateChanged);
        auto* socket = server.nextPendingConnection();
        socket->write("PPFD=100\nPPFD=101\n");
        QTRY_COMPARE(states.size(), 1);
        QVERIFY(meter.trouble().contains(QStringLiteral("could not be read")));
        socket->write("PPFD=102\n100\n");
        QSignalSpy samples(&meter, &Meter::sampled);
        QTRY_COMPARE(samples.size(), 1);
        QCOMPARE(states.size(), 1);
    }

    void aTcpInstrumentIsLostAndComesBackByItself() {
        QTcpServer server;
        QVERIFY(server.listen(QHostAddress::LocalHost));
        const auto port = server.serverPort();
        HandClock clock;
        LineMeter meter(QStringLiteral("S1"), std::make_unique<TcpSource>(QStringLiteral("127.0.0.1"), port),
                        columnFormat(1), {}, clock.function());
        meter.setRetry(1);
        QSignalSpy samples(&meter, &Meter::sampled);
        meter.start();
        QTRY_VERIFY(server.hasPendingConnections());
        auto* socket = server.nextPendingConnection();
        clock.seconds = 4.0;
        socket->write("100\n10");
        QTRY_COMPARE(samples.size(), 1);
        QCOMPARE(samples[0][0].toDouble(), 4.0);
        QCOMPARE(meter.state(), MeterState::Live);
        socket->abort();
        QTRY_COMPARE(meter.state(), MeterState::Lost);
        QVERIFY(meter.trouble().contains(QLatin1String("S1")));
        QCOMPARE(samples.size(), 1);
        QTRY_VERIFY(server.hasPendingConnections());
        QTRY_COMPARE(meter.state(), MeterState::Live);
        socket = server.nextPendingConnection();
        socket->write("1\n200\n");
        QTRY_COMPARE(valuesOf(samples), (std::vector{100.0, 1.0, 200.0}));
        QCOMPARE(meter.losses(), 1);
        meter.stop();
        QCOMPARE(meter.state(), MeterState::Idle);
        socket->write("300\n");
        QTest::qWait(0);
        QCOMPARE(samples.size(), 3);
    }

    void nobodyListeningIsSaid() {
        QTcpServer server;
        QVERIFY(server.listen(QHostAddress::LocalHost));
        const auto port = server.serverPort();
        server.close();
        LineMeter meter(QStringLiteral("S1"), std::make_unique<TcpSource>(QStringLiteral("127.0.0.1"), port),
                        columnFormat(1), {}, machineClock());
        meter.start();
        QTRY_COMPARE(meter.state(), MeterState::Lost);
        QCOMPARE(meter.losses(), 0);
        QVERIFY(!meter.trouble().isEmpty());
    }

    void aQuestionIsAskedAndItsAnswerAwaited() {
        QTcpServer server;
        QVERIFY(server.listen(QHostAddress::LocalHost));
        LineMeter meter(QStringLiteral("Plug"),
                        std::make_unique<TcpSource>(QStringLiteral("127.0.0.1"), server.serverPort()),
                        columnFormat(1), {"MEAS:POW?", 60'000}, machineClock());
        QSignalSpy samples(&meter, &Meter::sampled);
        meter.start();
        QTRY_VERIFY(server.hasPendingConnections());
        auto* socket = server.nextPendingConnection();
        QTRY_COMPARE(meter.state(), MeterState::Live);
        meter.ask();
        meter.ask();  // the first is still open
        QTRY_COMPARE(socket->bytesAvailable(), 10);
        QCOMPARE(socket->readAll(), QByteArray("MEAS:POW?\n"));
        socket->write("+6.18E+01\n");
        QTRY_COMPARE(valuesOf(samples), std::vector{61.8});
        meter.ask();
        QTRY_COMPARE(socket->bytesAvailable(), 10);
        QCOMPARE(socket->readAll(), QByteArray("MEAS:POW?\n"));
        // An instrument that forgot is asked again after a while.
        for (int i = 0; i < 5; ++i) meter.ask();
        QCOMPARE(socket->bytesAvailable(), 0);
        meter.ask();
        QTRY_COMPARE(socket->bytesAvailable(), 10);
        QCOMPARE(socket->readAll(), QByteArray("MEAS:POW?\n"));
    }

    void aSpectrometerIsToldItsIntegrationTime() {
        QTcpServer server;
        QVERIFY(server.listen(QHostAddress::LocalHost));
        LineMeter meter(QStringLiteral("Spectrometer"),
                        std::make_unique<TcpSource>(QStringLiteral("127.0.0.1"), server.serverPort()),
                        columnFormat(1), {}, machineClock());
        QVERIFY(!meter.takesIntegration());
        meter.setIntegrationWords("INT {ms}");
        QVERIFY(meter.takesIntegration());
        QVERIFY(!meter.setIntegration(250));  // not connected: nobody was told
        meter.start();
        QTRY_VERIFY(server.hasPendingConnections());
        auto* socket = server.nextPendingConnection();
        QTRY_COMPARE(meter.state(), MeterState::Live);
        QVERIFY(meter.setIntegration(250));
        QTRY_COMPARE(socket->bytesAvailable(), 8);
        QCOMPARE(socket->readAll(), QByteArray("INT 250\n"));
    }

    void aSerialLineThatIsPulledIsLostOnce() {
        int master = -1;
        int slave = -1;
        std::array<char, 128> name{};
        QCOMPARE(openpty(&master, &slave, name.data(), nullptr, nullptr), 0);
        LineMeter meter(QStringLiteral("Wand"),
                        std::make_unique<SerialSource>(QString::fromLatin1(name.data()), 115200),
                        columnFormat(1), {}, machineClock());
        meter.setRetry(60'000);
        QSignalSpy samples(&meter, &Meter::sampled);
        QSignalSpy states(&meter, &Meter::stateChanged);
        meter.start();
        QCOMPARE(meter.state(), MeterState::Live);
        QCOMPARE(::write(master, "42.5\n", 5), 5);
        QTRY_COMPARE(valuesOf(samples), std::vector{42.5});
        ::close(slave);
        ::close(master);
        QTRY_COMPARE(meter.state(), MeterState::Lost);
        for (int i = 0; i < 20; ++i) QCoreApplication::processEvents();
        QCOMPARE(states.size(), 3);  // connecting, live, lost
        QCOMPARE(samples.size(), 1);
    }

    void aLogThatGrowsIsFollowed() {
        const QTemporaryDir dir;
        const QString path = dir.filePath(QStringLiteral("log.txt"));
        const auto append = [&](const QByteArray& bytes, QIODevice::OpenMode mode) {
            QFile file(path);
            QVERIFY(file.open(mode));
            file.write(bytes);
        };
        append("1\n2\n", QIODevice::WriteOnly);
        auto owned = std::make_unique<LogFileSource>(path);
        auto& source = *owned;
        LineMeter meter(QStringLiteral("Log"), std::move(owned), columnFormat(2), {}, machineClock());
        QSignalSpy samples(&meter, &Meter::sampled);
        meter.start();
        append("10:00 3\n10:0", QIODevice::Append);
        source.look();
        append("1 4\n", QIODevice::Append);
        source.look();
        QCOMPARE(valuesOf(samples), (std::vector{3.0, 4.0}));
        append("0 9\n", QIODevice::WriteOnly);  // begun anew, and shorter
        source.look();
        QCOMPARE(valuesOf(samples), (std::vector{3.0, 4.0, 9.0}));
        QFile::remove(path);
        source.look();
        QCOMPARE(meter.state(), MeterState::Lost);
    }

    void aRecordingIsPlayedAtItsPace() {
        const QTemporaryDir dir;
        const QString path = dir.filePath(QStringLiteral("session.txt"));
        QFile file(path);
        QVERIFY(file.open(QIODevice::WriteOnly));
        file.write("0.5\t10\n1.0\t20\nrubbish\n2.5\t30\n");
        file.close();
        auto owned = std::make_unique<ReplaySource>(path);
        auto& source = *owned;
        LineMeter meter(QStringLiteral("Recording"), std::move(owned), columnFormat(1), {}, machineClock());
        QSignalSpy samples(&meter, &Meter::sampled);
        meter.start();
        source.advance(1.1);
        QCOMPARE(valuesOf(samples), (std::vector{10.0, 20.0}));
        source.advance(2.0);
        QCOMPARE(valuesOf(samples), (std::vector{10.0, 20.0, 30.0}));
        QCOMPARE(meter.state(), MeterState::Lost);
        QVERIFY(meter.trouble().contains(QLatin1String("ended")));
    }

    void modbusRegistersAreDecoded() {
        ModbusRegister at;
        at.scale = 0.1;
        QCOMPARE(at.decode({615}), 61.5);
        at.type = ModbusRegister::Type::Signed16;
        QCOMPARE(at.decode({0xFFFF}), -0.1);
        at.type = ModbusRegister::Type::Unsigned32;
        QCOMPARE(at.decode({1, 0}), 6553.6);
        at.swapped = true;
        QCOMPARE(at.decode({0, 1}), 6553.6);
        at.type = ModbusRegister::Type::Float32;
        at.scale = 1.0;
        QCOMPARE(at.decode({0x0000, 0x4248}), 50.0);  // 0x42480000
    }

    void aModbusInstrumentAnswersAndGoesAway() {
        QModbusTcpServer server;
        QModbusDataUnitMap map;
        map.insert(QModbusDataUnit::InputRegisters, {QModbusDataUnit::InputRegisters, 0, 10});
        server.setMap(map);
        server.setServerAddress(3);
        server.setConnectionParameter(QModbusDevice::NetworkAddressParameter, QStringLiteral("127.0.0.1"));
        const int port = freePort();
        server.setConnectionParameter(QModbusDevice::NetworkPortParameter, port);
        QVERIFY(server.connectDevice());
        server.setData(QModbusDataUnit::InputRegisters, 4, 2140);
        ModbusRegister at;
        at.unit = 3;
        at.address = 4;
        at.input = true;
        at.scale = 0.1;
        ModbusMeter meter(QStringLiteral("Cabinet"), RegisterLink::tcp(QStringLiteral("127.0.0.1"), port), at,
                          60'000, machineClock());
        meter.setRetry(60'000);
        QSignalSpy samples(&meter, &Meter::sampled);
        meter.start();
        QTRY_COMPARE(meter.state(), MeterState::Live);
        meter.ask();
        QTRY_COMPARE(valuesOf(samples), std::vector{214.0});
        server.disconnectDevice();
        QTRY_COMPARE(meter.state(), MeterState::Lost);
        QCOMPARE(samples.size(), 1);
    }

    void profilesAreKeptAndChecked() {
        const QTemporaryDir dir;
        const InstrumentStore store(dir.filePath(QStringLiteral("deep/instruments.json")));
        QVERIFY(store.load()->isEmpty());
        InstrumentProfile wand;
        wand.name = QStringLiteral("Wand");
        wand.place = QStringLiteral("/dev/ttyUSB0");
        wand.format.pattern = QStringLiteral("E=(\\S+)");
        wand.integration = QStringLiteral("INT {ms}");
        InstrumentProfile plug;
        plug.name = QStringLiteral("Plug");
        plug.measures = Measures::Power;
        plug.transport = Transport::ModbusTcp;
        plug.place = QStringLiteral("127.0.0.1");
        plug.number = 502;
        plug.modbus.type = ModbusRegister::Type::Float32;
        QVERIFY(!wand.invalid() && !plug.invalid());
        QVERIFY(store.save({wand, plug}));
        QCOMPARE(*store.load(), (QList{wand, plug}));
        wand.integration = QStringLiteral("INT");
        QCOMPARE(wand.invalid()->where, std::string("integration"));
        wand.integration.clear();
        plug.number = 0;
        QCOMPARE(plug.invalid()->where, std::string("port"));
        wand.place.clear();
        QCOMPARE(wand.invalid()->where, std::string("place"));
        QFile file(dir.filePath(QStringLiteral("deep/instruments.json")));
        QVERIFY(file.open(QIODevice::WriteOnly));
        file.write("[{\"transport\":\"telepathy\"}]");
        file.close();
        QVERIFY(!store.load());
    }

  private:
    static int freePort() {
        QTcpServer server;
        server.listen(QHostAddress::LocalHost);
        return server.serverPort();
    }
};

GLUMET_TEST(TestMeters, "meters_meters", Application)

}  // namespace meters_meters

#include "test_meters.moc"
