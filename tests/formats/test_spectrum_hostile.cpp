#include <QTest>
#include <cmath>
#include <random>

#include "core/bench/bench_rules.h"
#include "core/spectrum/generic_spectra.h"
#include "core/words/sentence.h"
#include "formats/day_log_csv.h"
#include "formats/spectrum_file.h"
#include "runner/registry.h"

namespace formats_spectrum_hostile {

using namespace glumet;

namespace {

NamedSpectrum original(std::mt19937& engine) {
    std::uniform_real_distribution<> value(0.0, 5.0);
    std::uniform_int_distribution<> kind(0, 2);
    Spectrum s;
    const double step = kind(engine) == 0 ? 1.0 : kind(engine) == 1 ? 5.0 : 0.3;
    for (double nm = 380; nm <= 780; nm += step) {
        s.wavelength_nm.push_back(std::round(nm * 1000.0) / 1000.0);
        s.values.push_back(nm < 385 || nm > 775 ? 0.0 : value(engine));
    }
    return {"any lamp", kind(engine) == 0 ? SpectralScale::Absolute : SpectralScale::Relative, s};
}

std::vector<std::string> writtenAll(const NamedSpectrum& one) {
    return {writeSpectrumTable({one}), writeSpectrumWatts(one), writeTm27(one), writeJcamp(one),
            writeJcamp(one, true)};
}

/// What was read is sound, or the refusal is one line that can be read.
bool soundOrRefused(const std::string& bytes) {
    const auto read = readSpectra(bytes);
    if (!read) {
        const auto line = english(read.error());
        return !line.empty() && line.size() < 400 && line.find('\n') == std::string::npos;
    }
    for (const auto& one : *read)
        if (spectrumFault(one.spectrum())) return false;
    return true;
}

}  // namespace

/// Files of spectra that are cut, bent or meant ill.
class TestSpectrumHostile : public QObject {
    Q_OBJECT

  private slots:
    void anySpectrumComesBackFromEveryFormat() {
        std::mt19937 engine(3);
        for (int i = 0; i < 20; ++i) {
            const auto one = original(engine);
            for (const auto& bytes : writtenAll(one)) {
                const auto read = readSpectra(bytes);
                QVERIFY2(read, read ? "" : english(read.error()).c_str());
                QVERIFY(read->front().scale == one.scale);
                const auto back = read->front().spectrum();
                QCOMPARE(back.values.size(), one.spectrum.values.size());
                for (std::size_t k = 0; k < back.values.size(); ++k) {
                    QVERIFY(std::abs(back.wavelength_nm[k] - one.spectrum.wavelength_nm[k]) < 1e-6);
                    QVERIFY(std::abs(back.values[k] - one.spectrum.values[k]) < 1e-7);
                }
            }
        }
    }

    void aFileCutAnywhereIsRefusedOrSound() {
        std::mt19937 engine(4);
        auto one = original(engine);
        one.spectrum.wavelength_nm.resize(12);
        one.spectrum.values.resize(12);
        for (const auto& bytes : writtenAll(one))
            for (std::size_t size = 0; size < bytes.size(); ++size)
                QVERIFY2(soundOrRefused(bytes.substr(0, size)), bytes.substr(0, size).c_str());
    }

    void packedFilesNoticeWhatIsMissing() {
        // A table cut between two rows is a shorter table; JCAMP-DX and TM-27 say where they end.
        std::mt19937 engine(5);
        const auto one = original(engine);
        for (const auto& bytes : {writeJcamp(one), writeJcamp(one, true), writeTm27(one)}) {
            QVERIFY(!readSpectra(bytes.substr(0, bytes.size() / 2)));
            const auto lines = QByteArray::fromStdString(bytes).split('\n');
            for (qsizetype gone = lines.size() / 2; gone < lines.size() / 2 + 3; ++gone) {
                auto fewer = lines;
                fewer.removeAt(gone);
                const auto read = readSpectra(fewer.join('\n').toStdString());
                // TM-27 does not count its values: one less is a coarser spectrum.
                QVERIFY(!read || read->front().values.size() + 1 == one.spectrum.values.size());
            }
        }
    }

    void bentBytesNeverMakeAnUnsoundSpectrum() {
        std::mt19937 engine(6);
        auto one = original(engine);
        one.spectrum.wavelength_nm.resize(40);
        one.spectrum.values.resize(40);
        static const std::string kOdd("-+.,;:eE%@Jj<>#=\n\t\0\xC3\xFF", 21);
        for (const auto& bytes : writtenAll(one))
            for (int i = 0; i < 400; ++i) {
                auto bent = bytes;
                for (int k = 0; k < 1 + i % 4; ++k)
                    bent[engine() % bent.size()] = kOdd[engine() % kOdd.size()];
                QVERIFY2(soundOrRefused(bent), bent.c_str());
            }
    }

    void whatIsTooMuchIsRefused_data() {
        QTest::addColumn<QByteArray>("bytes");
        QTest::newRow("large") << QByteArray(11 << 20, '1');
        QByteArray wide("nm");
        for (int i = 0; i < 10'100; ++i) wide += ",a";
        wide += "\n400";
        for (int i = 0; i < 10'100; ++i) wide += ",1";
        QTest::newRow("wide") << wide + "\n";
        QByteArray longer("nm,value\n");
        for (int i = 0; i < 20'100; ++i) longer += QByteArray::number(300 + i * 0.01, 'f', 2) + ",1\n";
        QTest::newRow("long") << longer;
        QTest::newRow("repeats") << QByteArray(
            "##TITLE=x\n##XUNITS=NM\n##FIRSTX=1\n##LASTX=2\n##NPOINTS=99999999\n"
            "##XYDATA=(X++(Y..Y))\n1A0S9999999\n##END=\n");
        QTest::newRow("blocks") << QByteArray("##TITLE=x\n").repeated(1000);
        QTest::newRow("entities") << QByteArray(
            "<!DOCTYPE x [<!ENTITY a \"aaaaaaaaaa\"><!ENTITY b \"&a;&a;&a;&a;&a;&a;\">"
            "<!ENTITY c \"&b;&b;&b;&b;&b;&b;\"><!ENTITY d \"&c;&c;&c;&c;&c;&c;\">"
            "<!ENTITY e \"&d;&d;&d;&d;&d;&d;&d;&d;\">]><IESTM2714>&e;</IESTM2714>");
        QTest::newRow("other bytes") << QByteArray("nm,value\n400,1\n\xFF\xFE,2\n");
    }
    void whatIsTooMuchIsRefused() {
        QFETCH(QByteArray, bytes);
        const auto read = readSpectra(bytes.toStdString());
        QVERIFY(!read);
        QVERIFY(english(read.error()).size() < 400);
    }

    void bentLogsAreRefusedOrSound() {
        std::mt19937 engine(7);
        std::string bytes = "time,temp,ppfd\n";
        for (int hour = 0; hour < 24; ++hour)
            bytes += "2026-11-08 " + std::to_string(hour) + ":00:00,21.5," + std::to_string(hour * 3) + "\n";
        const std::string odd = "-+.,;:eT \n\t9\"";
        for (int i = 0; i < 2000; ++i) {
            auto bent = bytes;
            for (int k = 0; k < 1 + i % 5; ++k) bent[engine() % bent.size()] = odd[engine() % odd.size()];
            const auto table = splitDelimited(bent);
            if (!table) continue;
            const auto log = readDayLog(*table);
            if (log)
                QVERIFY2(!faultOf(log->log), bent.c_str());
            else
                QVERIFY(!english(log.error()).empty());
        }
    }
};

GLUMET_TEST(TestSpectrumHostile, "formats_spectrum_hostile", Application)

}  // namespace formats_spectrum_hostile

#include "test_spectrum_hostile.moc"
