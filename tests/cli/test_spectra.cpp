#include <QJsonArray>
#include <QTest>
#include <cmath>

#include "cli/cli_runner.h"
#include "runner/registry.h"

namespace cli_spectra {

using namespace glumet::testing;

namespace {

/// Equal energy every nanometre.
QByteArray equalEnergy() {
    QByteArray out = "wavelength_nm,value\n";
    for (int nm = 360; nm <= 830; ++nm) out += QByteArray::number(nm) + ",1\n";
    return out;
}

QJsonObject at(const CliResult& result, int index) {
    return result.json()[QLatin1String("spectra")].toArray()[index].toObject();
}

}  // namespace

/// Spectra by the command line.
class TestSpectra : public QObject {
    Q_OBJECT

  private slots:
    void colourAndBandsAreSaid() {
        const auto said =
            runCli({QStringLiteral("spectrum"), written("e.csv", equalEnergy()), QStringLiteral("--json")});
        QVERIFY2(said.code == 0, qPrintable(said.err));
        const auto one = at(said, 0);
        QVERIFY(std::abs(one[QLatin1String("x")].toDouble() - 1.0 / 3.0) < 5e-4);
        QVERIFY(std::abs(one[QLatin1String("y")].toDouble() - 1.0 / 3.0) < 5e-4);
        QVERIFY(std::abs(one[QLatin1String("u_prime")].toDouble() - 4.0 / 19.0) < 5e-4);
        QVERIFY(one[QLatin1String("cct_k")].toDouble() > 5000);
        double sum = 0;
        for (const auto band : one[QLatin1String("bands")].toArray())
            sum += band[QLatin1String("photon_share")].toDouble();
        QVERIFY(std::abs(sum - 1.0) < 1e-9);
        QVERIFY(said.json()[QLatin1String("blend")][QLatin1String("figure")].isNull());
    }

    void aSensorsFactorIsTheQuotientOfItsIntegrals() {
        const auto response = written("s.csv", "wavelength_nm,response\n400,0.8\n700,0.8\n");
        const auto said = runCli({QStringLiteral("spectrum"), written("e.csv", equalEnergy()),
                                  QStringLiteral("--response"), response, QStringLiteral("--json")});
        QVERIFY(std::abs(at(said, 0)[QLatin1String("correction_factor")].toDouble() - 1.25) < 1e-9);
    }

    void waterTakesTheRedAway() {
        const auto file = written("e.csv", equalEnergy());
        const auto far = runCli({QStringLiteral("spectrum"), file, QStringLiteral("--depth-m"),
                                 QStringLiteral("5"), QStringLiteral("--json")});
        const auto near = runCli({QStringLiteral("spectrum"), file, QStringLiteral("--json")});
        QVERIFY(at(far, 0)[QLatin1String("x")].toDouble() <
                at(near, 0)[QLatin1String("x")].toDouble() - 0.05);
        QVERIFY(!at(far, 0)[QLatin1String("spectrum")].toObject().isEmpty());
    }

    void everyKeyOfTheContractIsThere() {
        const auto said =
            runCli({QStringLiteral("spectrum"), written("e.csv", equalEnergy()), QStringLiteral("--json")});
        const auto one = at(said, 0);
        for (const char* key : {"file", "x", "y", "u_prime", "v_prime", "cct_k", "duv", "bands", "peaks"})
            QVERIFY2(one.contains(QLatin1String(key)), key);
        for (const auto band : one[QLatin1String("bands")].toArray())
            for (const char* key : {"name", "from_nm", "to_nm", "photon_share"})
                QVERIFY2(band.toObject().contains(QLatin1String(key)), key);
        QVERIFY(said.json()[QLatin1String("blend")].isObject());
        QVERIFY(!one.contains(QLatin1String("correction_factor")));
    }

    void photonsAreWeighedByACurve() {
        const auto curve = written("half.csv", "wavelength_nm,weight\n380,0.5\n780,0.5\n");
        const auto said = runCli({QStringLiteral("spectrum"), written("e.csv", equalEnergy()),
                                  QStringLiteral("--weights"), curve, QStringLiteral("--json")});
        QVERIFY2(said.code == 0, qPrintable(said.err));
        const auto weighted = at(said, 0)[QLatin1String("weighted")].toArray();
        QCOMPARE(weighted.size(), 4);  // PAR, extended PAR, the eye, and this one
        QVERIFY(std::abs(weighted[3][QLatin1String("photon_share")].toDouble() - 0.5) < 1e-9);
        QVERIFY(weighted[0][QLatin1String("photon_share")].toDouble() <
                weighted[1][QLatin1String("photon_share")].toDouble());
        const auto bad =
            runCli({QStringLiteral("spectrum"), written("e.csv", equalEnergy()), QStringLiteral("--weights"),
                    written("nine.csv", "wavelength_nm,weight\n380,9\n780,9\n")});
        QCOMPARE(bad.code, 1);
        QVERIFY(bad.err.contains(QLatin1String("nine.csv")));
    }

    void aBlueLampHasNoTemperature() {
        const auto blue = written("blue.csv", "wavelength_nm,photons\n430,0\n450,1\n470,0\n");
        const auto said = runCli({QStringLiteral("spectrum"), blue, blue, blue, QStringLiteral("--json")});
        QVERIFY(at(said, 0)[QLatin1String("cct_k")].isNull());
        QVERIFY(at(said, 0)[QLatin1String("ra")].isNull());
        QCOMPARE(said.json()[QLatin1String("blend")][QLatin1String("figure")].toDouble(), 0.0);
    }

    void theWrongHasOneClearLine() {
        const auto bad = runCli(
            {QStringLiteral("spectrum"), written("bad.csv", "wavelength_nm,value\n400,1\n390,2\n420,1\n")});
        QCOMPARE(bad.code, 1);
        QVERIFY(bad.err.contains(QLatin1String("bad.csv")) && bad.err.contains(QLatin1String("line")));
        QCOMPARE(bad.err.count(QLatin1Char('\n')), 1);
        const auto gone = runCli({QStringLiteral("spectrum"), QStringLiteral("/nowhere.csv")});
        QCOMPARE(gone.code, 1);
        QCOMPARE(runCli({QStringLiteral("spectrum")}).code, 2);
    }

    void spectraGoIntoAProjectAndOutAgain() {
        const auto project = path("spectra.glumet");
        const auto file = written("blue.csv", "wavelength_nm,photons\n430,0\n450,1\n470,0\n");
        const auto nobody = runCli({QStringLiteral("import"), file, QStringLiteral("--into"), project});
        QCOMPARE(nobody.code, 1);
        QVERIFY(nobody.err.contains(QLatin1String("--fixture")));
        for (int again = 0; again < 2; ++again) {
            const auto in = runCli({QStringLiteral("import"), file, QStringLiteral("--into"), project,
                                    QStringLiteral("--fixture"), QStringLiteral("Fern 20"),
                                    QStringLiteral("--channel"), QStringLiteral("blue")});
            QVERIFY2(in.code == 0, qPrintable(in.err));
        }
        const auto folder = path("out");
        QCOMPARE(runCli({QStringLiteral("export"), project, QStringLiteral("--out"), folder}).code, 0);
        QFile bench(folder + QStringLiteral("/bench.json"));
        QVERIFY(bench.open(QIODevice::ReadOnly));
        const auto spectra = QJsonDocument::fromJson(bench.readAll())[QLatin1String("spectra")].toArray();
        QCOMPARE(spectra.size(), 1);
        QCOMPARE(spectra[0][QLatin1String("channel")].toString(), QStringLiteral("blue"));
    }

  private:
    QString written(const char* name, const QByteArray& bytes) const { return writtenIn(dir_, name, bytes); }
    QString path(const char* name) const { return dir_.filePath(QLatin1String(name)); }

    QTemporaryDir dir_;
};

GLUMET_TEST(TestSpectra, "cli_spectra", Application)

}  // namespace cli_spectra

#include "test_spectra.moc"
