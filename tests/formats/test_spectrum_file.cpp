#include <QTest>
#include <cmath>

#include "core/spectrum/colour.h"
#include "core/spectrum/generic_spectra.h"
#include "core/words/sentence.h"
#include "formats/spectrum_file.h"
#include "runner/registry.h"

namespace formats_spectrum_file {

using namespace glumet;

namespace {

NamedSpectrum sample() {
    return {"Osier 60, cool white", SpectralScale::Absolute,
            scaled(ledSpectrum({{450, 20, 1}, {555, 120, 3}}), 37.5)};
}

/// Greatest difference from the original, by the greatest value.
double apart(const Spectrum& a, const Spectrum& b) {
    if (a.wavelength_nm.size() != b.wavelength_nm.size()) return 1.0;
    double top = 0.0;
    double most = 0.0;
    for (std::size_t i = 0; i < a.values.size(); ++i) {
        top = std::max(top, a.values[i]);
        most = std::max(
            {most, std::abs(a.values[i] - b.values[i]), std::abs(a.wavelength_nm[i] - b.wavelength_nm[i])});
    }
    return most / top;
}

std::string refusal(const std::string& bytes) {
    const auto read = readSpectra(bytes);
    return read ? std::string() : english(read.error());
}

QString header(const char* data) {
    return QStringLiteral(
               "##TITLE=x\n##JCAMP-DX=4.24\n##DATA TYPE=UV/VIS SPECTRUM\n##XUNITS=NANOMETERS\n"
               "##YUNITS=ARBITRARY UNITS\n##XFACTOR=1\n##YFACTOR=1\n%1##END=\n")
        .arg(QLatin1String(data));
}

}  // namespace

class TestSpectrumFile : public QObject {
    Q_OBJECT

  private slots:
    void everyFormatGivesTheSameSpectrumBack() {
        const auto original = sample();
        for (const auto& [bytes, rounding] :
             {std::pair{writeSpectrumTable({original}), 1e-8}, std::pair{writeSpectrumWatts(original), 1e-8},
              std::pair{writeTm27(original), 1e-8}, std::pair{writeJcamp(original), 1e-8},
              std::pair{writeJcamp(original, true), 2e-9}}) {
            const auto read = readSpectra(bytes);
            QVERIFY2(read, read ? "" : english(read.error()).c_str());
            QCOMPARE(read->size(), std::size_t{1});
            QVERIFY(read->front().unit);
            QVERIFY(read->front().scale == SpectralScale::Absolute);
            QVERIFY2(apart(original.spectrum, read->front().spectrum()) < rounding,
                     qPrintable(QString::number(apart(original.spectrum, read->front().spectrum()))));
            QVERIFY(colourDistance(chromaticityOf(original.spectrum),
                                   chromaticityOf(read->front().spectrum())) < 1e-8);
        }
    }

    void severalSpectraShareATable() {
        auto second = sample();
        second.name = "=red, \"deep\"";
        second.scale = SpectralScale::Relative;
        const auto read = readSpectra(writeSpectrumTable({sample(), second}));
        QVERIFY(read);
        QCOMPARE(read->size(), std::size_t{2});
        QVERIFY((*read)[1].scale == SpectralScale::Relative);
        QVERIFY(QString::fromStdString((*read)[1].name).startsWith(QLatin1String("=red")));
    }

    void headingsSayTheUnit_data() {
        QTest::addColumn<QString>("heading");
        QTest::addColumn<int>("unit");  // −1: not said
        QTest::addColumn<double>("factor");
        QTest::newRow("contract") << "wavelength_nm,value" << 0 << 1.0;
        QTest::newRow("photons") << "wavelength_nm,photons" << 1 << 1.0;
        QTest::newRow("umol") << "nm;µmol/m²/s/nm" << 1 << 1.0;
        QTest::newRow("milliwatt") << "nm\tmW/m2/nm" << 0 << 1e-3;
        QTest::newRow("microwatt") << "nm,uW/cm2/nm" << 0 << 1e-2;
        QTest::newRow("nothing") << "nm,Probe 3" << -1 << 1.0;
    }
    void headingsSayTheUnit() {
        QFETCH(QString, heading);
        QFETCH(int, unit);
        QFETCH(double, factor);
        const auto bytes = heading + QStringLiteral("\n400,0\n500,2\n600,4\n800,0\n")
                                         .replace(QLatin1Char(','),
                                                  heading.contains(QLatin1Char(';'))    ? QLatin1Char(';')
                                                  : heading.contains(QLatin1Char('\t')) ? QLatin1Char('\t')
                                                                                        : QLatin1Char(','));
        const auto read = readSpectra(bytes.toStdString());
        QVERIFY2(read, read ? "" : english(read.error()).c_str());
        const auto& one = read->front();
        QCOMPARE(one.unit ? static_cast<int>(*one.unit) : -1, unit);
        QVERIFY(std::abs(one.values[1] - 2.0 * factor) < 1e-12);
    }

    void instrumentsWriteWordsBeforeTheirNumbers() {
        const auto read =
            readSpectra("Serial;12\nIntegration time;200 ms\n\nnm;W/m2/nm\n380,5;0,1\n381;0,25\n382;0\n");
        QVERIFY(read);
        QCOMPARE(read->front().wavelength_nm.front(), 380.5);
        QCOMPARE(read->front().values[1], 0.25);
    }

    void theWrongIsNamedAndRefused_data() {
        QTest::addColumn<QString>("bytes");
        QTest::addColumn<QString>("says");
        QTest::newRow("empty") << ""
                               << "no row";
        QTest::newRow("words") << "wavelength_nm,value\nred,blue\n"
                               << "no row";
        QTest::newRow("to and fro") << "nm,value\n400,1\n420,2\n410,3\n"
                                    << "line 4";
        QTest::newRow("twice") << "nm,value\n400,1\n400,2\n"
                               << "line 3";
        QTest::newRow("far below 0") << "nm,value\n400,1\n420,-2\n440,3\n"
                                     << "far below 0";
        QTest::newRow("cut short") << "nm,value\n400,1\n420,2\n440\n"
                                   << "cut short";
        QTest::newRow("no number") << "nm,value\n400,1\n420,abc\n"
                                   << "abc";
        QTest::newRow("infinite") << "nm,value\n400,1\n420,1e999\n"
                                  << "no number";
        QTest::newRow("micrometres") << "um,value\n0.4,1\n0.5,2\n"
                                     << "200–1200";
        QTest::newRow("other XML") << "<svg/>"
                                   << "no TM-27";
        QTest::newRow("broken XML") << "<IESTM2714><SpectralData wavelength=\"400\">1"
                                    << "line 1";
        QTest::newRow("no wavelength") << "<IESTM2714><SpectralData>1</SpectralData></IESTM2714>"
                                       << "no wavelength";
        QTest::newRow("reflectance")
            << "<IESTM2714><SpectralQuantity>reflectance</SpectralQuantity></IESTM2714>"
            << "not light";
        QTest::newRow("wavenumbers")
            << QString(header("##FIRSTX=1\n##LASTX=2\n##NPOINTS=2\n##XYDATA=(X++(Y..Y))\n1 5 6\n"))
                   .replace(QLatin1String("NANOMETERS"), QLatin1String("1/CM"))
            << "not nanometres";
        QTest::newRow("fewer points")
            << header("##FIRSTX=400\n##LASTX=403\n##NPOINTS=4\n##XYDATA=(X++(Y..Y))\n400 5 6 7\n")
            << "cut short";
        QTest::newRow("a line missing")
            << header("##FIRSTX=400\n##LASTX=405\n##NPOINTS=6\n##XYDATA=(X++(Y..Y))\n400 5 6\n404 7 8\n")
            << "a line is missing";
        QTest::newRow("a check fails")
            << header("##FIRSTX=400\n##LASTX=403\n##NPOINTS=4\n##XYDATA=(X++(Y..Y))\n400A0JJ\n402A9J\n")
            << "damaged";
        QTest::newRow("no end") << "##TITLE=x\n##XUNITS=NANOMETERS\n##XYPOINTS=(XY..XY)\n400,1 500,2\n"
                                << "##END";
        QTest::newRow("rubbish") << header("##XYPOINTS=(XY..XY)\n400,1 foo,2\n") << "line 9";
    }
    void theWrongIsNamedAndRefused() {
        QFETCH(QString, bytes);
        QFETCH(QString, says);
        const auto why = QString::fromStdString(refusal(bytes.toStdString()));
        QVERIFY2(why.contains(says), qPrintable(why));
    }

    void theOddIsTakenWithANotice() {
        const auto read =
            readSpectra("nm,value\n150,0\n380,-0.01\n450,1\n500,5\n501,5\n502,5\n503,4\n600,1\n");
        QVERIFY(read);
        QCOMPARE(read->front().wavelength_nm.front(), 380.0);
        QCOMPARE(read->front().values.front(), 0.0);
        QCOMPARE(read->front().notices.size(), std::size_t{4});  // left out, clipped, flat top, cut off
        const auto turned = readSpectra("nm,value\n700,1\n500,2\n400,3\n");
        QVERIFY(turned);
        QCOMPARE(turned->front().values.front(), 3.0);
    }

    void packedFormsAreTheOnesOfTheStandard_data() {
        QTest::addColumn<QString>("rows");
        QTest::newRow("fixed") << "400 1000 2000 2001 2002 2003 2003 2003\n";
        QTest::newRow("signs") << "400+1000+2000+2001+2002+2003+2003+2003\n";
        QTest::newRow("squeezed") << "400A000B000B001B002B003B003B003\n";
        QTest::newRow("differences") << "400A000J000JJJ%%\n406B003\n";
        QTest::newRow("duplicates") << "400A000J000JU%T\n406B003\n";
        QTest::newRow("lines with checks") << "400A000J000J\n402B001JJ\n404B003%%\n406B003\n";
    }
    void packedFormsAreTheOnesOfTheStandard() {
        QFETCH(QString, rows);
        const auto bytes = header("##FIRSTX=400\n##LASTX=406\n##NPOINTS=7\n##XYDATA=(X++(Y..Y)) $$ a note\n")
                               .replace(QLatin1String("##END"), rows + QLatin1String("##END"));
        const auto read = readSpectra(bytes.toStdString());
        QVERIFY2(read, read ? "" : english(read.error()).c_str());
        const std::vector<double> expected{1000, 2000, 2001, 2002, 2003, 2003, 2003};
        QVERIFY(read->front().values == expected);
        QCOMPARE(read->front().wavelength_nm.back(), 406.0);
    }

    void aFileMayHoldSeveralBlocks() {
        const auto one = writeJcamp(sample());
        const auto read = readSpectra("##TITLE=both\n##BLOCKS=2\n" + one + one + "##END=\n");
        QVERIFY2(read, read ? "" : english(read.error()).c_str());
        QCOMPARE(read->size(), std::size_t{2});
    }

    void aResponseIsACurve() {
        const auto curve = readResponse("wavelength_nm,response\n400,0.8\n700,1\n");
        QVERIFY(curve);
        QCOMPARE(curve->values.front(), 0.8);
        QVERIFY(!readResponse("wavelength_nm,response\n400,0.8\n700,9\n"));
    }
};

GLUMET_TEST(TestSpectrumFile, "formats_spectrum_file", Application)

}  // namespace formats_spectrum_file

#include "test_spectrum_file.moc"
