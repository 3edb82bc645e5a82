#include <QJsonArray>
#include <QTest>

#include "cli/cli_runner.h"
#include "runner/registry.h"

namespace cli_living {

using namespace glumet::testing;

/// Spots and ramps without a window.
class TestCliLiving : public QObject {
    Q_OBJECT

  private slots:
    void theSpotsOfTheDemonstration() {
        const auto result =
            runCli({QStringLiteral("spots"), QStringLiteral(GLUMET_SOURCE_DIR "/data/demo/nursery.glumet"),
                    QStringLiteral("--json")});
        QVERIFY2(result.code == 0, qPrintable(result.err));
        const auto tanks = result.json()[QLatin1String("tanks")].toArray();
        QCOMPARE(tanks.size(), 1);
        QCOMPARE(tanks.first()[QLatin1String("name")].toString(), QStringLiteral("Raceway 120"));
        const auto spots = tanks.first()[QLatin1String("spots")].toArray();
        QCOMPARE(spots.size(), 14);
        QCOMPARE(spots.first()[QLatin1String("lives_there")].toString(), QStringLiteral("eelgrass"));
        QCOMPARE(spots.first()[QLatin1String("flow")].toString(), QStringLiteral("medium"));
        QVERIFY(spots[7][QLatin1String("lives_there")].isNull());
        for (const auto& value : spots) {
            const auto spot = value.toObject();
            QVERIFY(spot[QLatin1String("swing_lo")].toDouble() <= spot[QLatin1String("ppfd")].toDouble());
            QVERIFY(spot[QLatin1String("swing_hi")].toDouble() >= spot[QLatin1String("ppfd")].toDouble());
            QVERIFY(spot[QLatin1String("time")].toString().startsWith(QStringLiteral("2026-11-16")));
            for (const char* key : {"x_mm", "y_mm", "depth_mm"})
                QVERIFY(spot[QLatin1String(key)].toDouble() > 0.0);
            const auto readings = spot[QLatin1String("readings")].toArray();
            QCOMPARE(readings.size(), 3);  // a survey each
            QCOMPARE(readings.last()[QLatin1String("ppfd")].toDouble(),
                     spot[QLatin1String("ppfd")].toDouble());
            QVERIFY(!readings.first()[QLatin1String("shaded")].toBool());
        }
    }

    void aRampByWeeks() {
        const auto result =
            runCli(cliWords(QStringLiteral("ramp --from 40 --to 85 --weeks 6 --by log --cap 15 --json")));
        QVERIFY2(result.code == 0, qPrintable(result.err));
        const auto steps = result.json()[QLatin1String("steps")].toArray();
        QCOMPARE(steps.size(), 7);
        QCOMPARE(steps.first()[QLatin1String("level_pct")].toDouble(), 40.0);
        QCOMPARE(steps.last()[QLatin1String("week")].toInt(), 6);
        QVERIFY(qAbs(steps.last()[QLatin1String("level_pct")].toDouble() - 85.0) < 1e-9);
        QVERIFY(result.json()[QLatin1String("reason")].toString().contains(QStringLiteral("13.4 %")));
    }

    void whatTheCapForbidsEndsWithItsReason() {
        const auto result =
            runCli(cliWords(QStringLiteral("ramp --from 40 --to 85 --weeks 6 --by linear --cap 15 --json")));
        QCOMPARE(result.code, 1);
        QVERIFY2(result.err.contains(QStringLiteral("8 weeks would do")), qPrintable(result.err));
        for (const char* bad :
             {"ramp --from 40 --to 85 --weeks 0", "ramp --from 85 --to 40 --weeks 3",
              "ramp --from 40 --to 85 --weeks 3 --by leaps", "ramp --from x --to 85 --weeks 3",
              "ramp --from 40 --to 85 --weeks 3 --cap 0", "ramp --to 85 --weeks 3"}) {
            const auto refused = runCli(cliWords(QLatin1String(bad)));
            QVERIFY2(refused.code == 1 || refused.code == 2, bad);
            QVERIFY2(!refused.err.isEmpty(), bad);
        }
    }

    void aCalendarIsWritten() {
        QTemporaryDir dir;
        const auto file = dir.filePath(QStringLiteral("ramp.ics"));
        const auto result = runCli(cliWords(
            QStringLiteral("ramp --from 40 --to 85 --weeks 6 --start 2026-12-01 --ics %1").arg(file)));
        QVERIFY2(result.code == 0, qPrintable(result.err));
        QFile read(file);
        QVERIFY(read.open(QIODevice::ReadOnly));
        const auto text = read.readAll();
        QCOMPARE(text.count("BEGIN:VEVENT"), 7);
        QVERIFY(text.contains("DTSTART;VALUE=DATE:20270112"));
        QCOMPARE(runCli(cliWords(QStringLiteral("ramp --from 40 --to 85 --weeks 6 --ics /no/such/place.ics")))
                     .code,
                 1);
    }
};

GLUMET_TEST(TestCliLiving, "cli_living", Application)

}  // namespace cli_living

#include "test_living.moc"
