#include <QSignalSpy>
#include <QTest>
#include <cmath>

#include "core/light/exact_field.h"
#include "core/simulation/demo_scenario.h"
#include "core/spectrum/scan.h"
#include "core/words/sentence.h"
#include "meters/discovery.h"
#include "meters/instrument.h"
#include "runner/registry.h"
#include "servers.h"

namespace meters_rig {

using namespace glumet;
using glumet::rig::Rig;
using glumet::rig::Servers;

namespace {

double meanOf(Rig& rig, int samples) {
    double sum = 0.0;
    for (int i = 0; i < samples; ++i) {
        rig.advance(0.05);
        sum += rig.ppfd();
    }
    return sum / samples;
}

}  // namespace

/// Every transport, from the simulated bench through a real socket or terminal into an instrument.
class TestRig : public QObject {
    Q_OBJECT

  private slots:
    void theProbeReadsTheField() {
        Rig rig(demoScene(), 1);
        QCOMPARE(rig.command(QStringLiteral("probe 250 300 200")), QStringLiteral("ok"));
        const double truth =
            ExactField(demoScene()).at(Millimetre(250), Millimetre(300), Millimetre(200)).value();
        QVERIFY(std::abs(meanOf(rig, 6000) / truth - 1.0) < 0.06);  // placing error and ripple
    }

    void aRaisedLampGivesWhatItGivesThere() {
        Rig rig(demoScene(), 1);
        QCOMPARE(rig.command(QStringLiteral("probe 250 300 200")), QStringLiteral("ok"));
        QCOMPARE(rig.command(QStringLiteral("height 400")), QStringLiteral("ok"));
        auto scene = demoScene();
        for (auto& fixture : scene.fixtures) fixture.height_mm = 400;
        const double truth = ExactField(scene).at(Millimetre(250), Millimetre(300), Millimetre(200)).value();
        QVERIFY(std::abs(meanOf(rig, 6000) / truth - 1.0) < 0.06);
        QVERIFY(rig.command(QStringLiteral("height 0")).startsWith(QLatin1String("wrong")));
        QVERIFY(rig.command(QStringLiteral("height up")).startsWith(QLatin1String("wrong")));
    }

    void faultsAreWhatTheySay() {
        Rig rig(demoScene(), 1);
        const double sound = meanOf(rig, 4000);
        const auto with = [&](const char* fault) {
            rig.command(QStringLiteral("mend"));
            rig.command(QString::fromLatin1(fault));
            return meanOf(rig, 4000) / sound;
        };
        constexpr double kRipple = 0.02;
        QVERIFY(std::abs(with("fault driver 0.5") - 0.5) < kRipple);
        QVERIFY(std::abs(rig.watt() - 31.0) < 1.0);
        QVERIFY(std::abs(with("fault mode 0.8") - 0.8) < kRipple);
        QVERIFY(std::abs(with("fault tilt 60") - 0.5) < kRipple);
        QVERIFY(with("fault room 500") > 1.4);
        QVERIFY(std::abs(with("mend") - 1.0) < kRipple);
        QVERIFY(rig.command(QStringLiteral("fault gremlin")).startsWith(QLatin1String("wrong")));
        QVERIFY(rig.command(QStringLiteral("probe 9999 0 0")).startsWith(QLatin1String("wrong")));
        QVERIFY(rig.command(QString()).startsWith(QLatin1String("wrong")));
    }

    void aSensorThatUnderReadsBlueReadsThisLampLow() {
        Rig rig(demoScene(), 1);
        const double flat = meanOf(rig, 4000);
        rig.setResponse({{400, 0.8}, {500, 0.8}, {501, 1.0}, {700, 1.0}});
        const double blind = meanOf(rig, 4000) / flat;
        QVERIFY2(blind > 0.9 && blind < 0.99, qPrintable(QString::number(blind)));
        rig.setResponse({{390, 0.8}, {710, 0.8}});
        QVERIFY(std::abs(meanOf(rig, 4000) / flat - 0.8) < 0.02);
    }

    void aSpectrometersLinesCarryTheSamePpfd() {
        Rig rig(demoScene(), 1);
        Servers servers(rig);
        const auto where = servers.spectra(0);
        QVERIFY(where);
        InstrumentProfile profile;
        profile.name = QStringLiteral("Spectrometer");
        profile.measures = Measures::Spectrum;
        profile.transport = Transport::Tcp;
        profile.place = QStringLiteral("127.0.0.1");
        profile.number = where->section(QLatin1Char(' '), -1).toInt();
        QVERIFY(profile.invalid());  // no wavelengths yet
        profile.format.spectrum = SpectralSample{380.0, 5.0, SpectralUnit::WattPerSquareMetre, {}};
        QVERIFY(!profile.invalid());
        auto meter = makeInstrument(profile, [] { return 0.0; });
        QSignalSpy samples(meter.get(), &Meter::sampled);
        meter->start();
        rig.advance(0.05);
        QTRY_VERIFY(samples.size() > 0);
        QVERIFY(std::abs(samples[0][1].toDouble() / rig.ppfd() - 1.0) < 1e-4);
        QVERIFY(meter->spectrum());
        QCOMPARE(meter->spectrum()->values.size(), std::size_t{81});
        // Told to gather light for a long time its top goes flat.
        QVERIFY(!isSaturated(spectrumOf(*meter->spectrum())));
        QVERIFY(!meter->setIntegration(20'000));
        profile.integration = QStringLiteral("INT {ms}");
        auto told = makeInstrument(profile, [] { return 0.0; });
        told->start();
        QTRY_VERIFY(told->setIntegration(20'000));
        QTRY_VERIFY(told->spectrum() && isSaturated(spectrumOf(*told->spectrum())));
    }

    void whatSendsIsFoundAndWhatDoesNotIsNot() {
        Rig rig(demoScene(), 1);
        Servers servers(rig);
        const auto lines = servers.lines(0);
        const auto terminal = servers.terminal();
        QVERIFY(lines && terminal);
        InstrumentProfile tcp;
        tcp.name = QStringLiteral("known");
        tcp.transport = Transport::Tcp;
        tcp.place = QStringLiteral("127.0.0.1");
        tcp.number = lines->section(QLatin1Char(' '), -1).toInt();
        tcp.format.pattern = QStringLiteral("PPFD=([0-9.]+)");
        auto dead = tcp;
        dead.name = QStringLiteral("dead");
        dead.number = 1;
        auto candidates = discoveryCandidates({QStringLiteral("/dev/does-not-exist")}, {tcp, dead});
        QCOMPARE(candidates.size(), 7);
        Discovery discovery(
            candidates, [] { return 0.0; }, 60'000);
        QSignalSpy found(&discovery, &Discovery::found);
        QSignalSpy finished(&discovery, &Discovery::finished);
        discovery.start();
        QTRY_VERIFY_WITH_TIMEOUT(
            [&] {
                rig.advance(0.05);
                return found.size() == 1;
            }(),
            5000);
        QCOMPARE(found[0][0].value<InstrumentProfile>().name, QStringLiteral("known"));
        for (int round = 0; round < 6; ++round) discovery.nextRound();
        QCOMPARE(finished.size(), 1);
        QCOMPARE(found.size(), 1);
        QVERIFY(!discovery.running());
    }

    void everyTransportBringsTheSameValue_data() {
        QTest::addColumn<QString>("kind");
        for (const char* kind : {"tcp", "serial", "scpi", "modbus-tcp", "modbus-rtu"})
            QTest::newRow(kind) << QString::fromLatin1(kind);
    }
    void everyTransportBringsTheSameValue() {
        QFETCH(QString, kind);
        Rig rig(demoScene(), 3);
        Servers servers(rig);
        InstrumentProfile profile;
        profile.name = kind;
        profile.every_ms = 20;
        Expected<QString> where = problem("", {});
        if (kind == QLatin1String("tcp")) where = servers.lines(0);
        if (kind == QLatin1String("serial")) where = servers.terminal();
        if (kind == QLatin1String("scpi")) where = servers.scpi(0);
        if (kind == QLatin1String("modbus-tcp")) where = servers.modbusTcp(0);
        if (kind == QLatin1String("modbus-rtu")) where = servers.modbusRtu();
        QVERIFY2(where.has_value(), where ? "" : english(where.error()).c_str());
        const auto words = where->split(QLatin1Char(' '));
        profile.place = words[1];
        if (words.size() > 2) profile.number = words[2].toInt();
        profile.transport = kind == QLatin1String("modbus-tcp")   ? Transport::ModbusTcp
                            : kind == QLatin1String("modbus-rtu") ? Transport::ModbusRtu
                            : kind == QLatin1String("serial")     ? Transport::Serial
                                                                  : Transport::Tcp;
        if (kind == QLatin1String("scpi")) profile.question = QStringLiteral("MEAS:PPFD?");
        if (kind == QLatin1String("tcp") || kind == QLatin1String("serial"))
            profile.format.pattern = QStringLiteral("PPFD=([0-9.]+)");
        profile.modbus.input = true;
        profile.modbus.type = ModbusRegister::Type::Float32;
        QVERIFY2(!profile.invalid(), profile.invalid() ? english(*profile.invalid()).c_str() : "");
        const auto meter = makeInstrument(profile, machineClock());
        QSignalSpy samples(meter.get(), &Meter::sampled);
        meter->start();
        QTRY_COMPARE(meter->state(), MeterState::Live);
        QTRY_VERIFY((rig.advance(0.05), samples.size() >= 3));
        // Two decimals on the wire, four figures by question, a float in registers.
        QTRY_VERIFY(std::abs(samples.last()[1].toDouble() / rig.ppfd() - 1.0) < 1e-3);
    }

    void aPulledCableIsNoticedAndMended() {
        Rig rig(demoScene(), 4);
        Servers servers(rig);
        const auto words = servers.lines(0)->split(QLatin1Char(' '));
        InstrumentProfile profile;
        profile.name = QStringLiteral("S1");
        profile.transport = Transport::Tcp;
        profile.place = words[1];
        profile.number = words[2].toInt();
        profile.format.pattern = QStringLiteral("PPFD=([0-9.]+)");
        const auto meter = makeInstrument(profile, machineClock());
        meter->setRetry(1);
        QSignalSpy samples(meter.get(), &Meter::sampled);
        meter->start();
        QTRY_VERIFY((rig.advance(0.05), samples.size() >= 2));
        rig.command(QStringLiteral("fault silence 1"));
        QTRY_COMPARE(meter->state(), MeterState::Lost);
        const auto kept = samples.size();
        for (int i = 0; i < 10; ++i) rig.advance(0.05);
        QCOMPARE(samples.size(), kept);
        QTRY_VERIFY((rig.advance(0.05), meter->state() == MeterState::Live && samples.size() > kept));
        rig.command(QStringLiteral("fault garbage"));
        QTRY_VERIFY((rig.advance(0.05), meter->trouble().contains(QLatin1String("could not be read"))));
    }

    void theHandWalksItsRoute() {
        Rig rig(demoScene(), 5);
        QSignalSpy moves(&rig, &Rig::handMoved);
        rig.setRoute({{100, 100, 150}, {200, 100, 150}, {300, 100, 150}}, {true, 2.0, 0.5});
        for (int i = 0; i < 200; ++i) rig.advance(0.05);
        QCOMPARE(moves.size(), 3);
        QCOMPARE(moves.last()[0].toString(), QStringLiteral("300 100 150"));
    }
};

GLUMET_TEST(TestRig, "meters_rig", Application)

}  // namespace meters_rig

#include "test_rig.moc"
