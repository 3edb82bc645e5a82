#include <QDir>
#include <QJsonArray>
#include <QJsonDocument>
#include <QJsonObject>
#include <QTemporaryDir>
#include <QTest>
#include <cmath>

#include "cli/cli_runner.h"
#include "runner/registry.h"

namespace cli_cli {

using namespace glumet::testing;

namespace {

const QString kDemo = QStringLiteral(GLUMET_SOURCE_DIR "/data/demo/nursery.glumet");

using Result = CliResult;
constexpr auto run = runCli;
constexpr auto words = cliWords;

}  // namespace

class TestCli : public QObject {
    Q_OBJECT

  private slots:
    void init() { dir_ = std::make_unique<QTemporaryDir>(); }

    /// Started as users start it; all other runs come from one that is loaded once.
    void itStartsByItself() {
        QProcess process;
        process.start(QStringLiteral(GLUMET_BINARY_DIR "/glumet-cli"), {QStringLiteral("--help")});
        QVERIFY(process.waitForFinished());
        QCOMPARE(process.exitCode(), 0);
        QCOMPARE(run({QStringLiteral("--help")}).out, process.readAllStandardOutput());
    }

    void statsGiveRingsAndBand() {
        QByteArray csv = "run,fixture,height_mm,depth_mm,x_mm,y_mm,ppfd\n";
        for (int j = 0; j < 3; ++j)
            for (int i = 0; i < 3; ++i)
                csv += QStringLiteral("A,F,200,150,%1,%2,%3\n")
                           .arg(i * 10)
                           .arg(j * 10)
                           .arg(i == 1 && j == 1 ? 300 : 100)
                           .toUtf8();
        const auto result = run({QStringLiteral("stats"), written("r.csv", csv), QStringLiteral("--band"),
                                 QStringLiteral("90:200"), QStringLiteral("--json")});
        QCOMPARE(result.code, 0);
        const auto runs = result.json()[QStringLiteral("runs")].toArray();
        QCOMPARE(runs.size(), 1);
        QCOMPARE(runs[0].toObject()[QStringLiteral("height_mm")].toDouble(), 200.0);
        const auto plane = runs[0].toObject()[QStringLiteral("planes")].toArray()[0].toObject();
        QCOMPARE(plane[QStringLiteral("n")].toInt(), 9);
        QCOMPARE(plane[QStringLiteral("ring_means")].toArray(), (QJsonArray{100.0, 300.0}));
        QCOMPARE(plane[QStringLiteral("share_in_band")].toDouble(), 8.0 / 9.0);
    }

    void fieldComputesEveryPointAndItsBudget() {
        const QString scene = QStringLiteral(GLUMET_SOURCE_DIR "/tests/data/reference/A_h200.scene.json");
        const auto result =
            run({QStringLiteral("field"), scene, QStringLiteral("--budget"), QStringLiteral("--json")});
        QCOMPARE(result.code, 0);
        const auto planes = result.json()[QStringLiteral("planes")].toArray();
        QCOMPARE(planes.size(), 3);
        QCOMPARE(planes[1].toObject()[QStringLiteral("depth_mm")].toDouble(), 300.0);
        const auto points = planes[1].toObject()[QStringLiteral("points")].toArray();
        QCOMPARE(points.size(), 36);
        // The tank is the same from the left and from the right; its back is painted.
        const auto at = [&](int column, int row) {
            return points[row * 6 + column].toObject()[QStringLiteral("ppfd_umol_m2_s")].toDouble();
        };
        QVERIFY(std::abs(at(1, 2) / at(4, 2) - 1.0) < 1e-9);
        QVERIFY(at(2, 0) > 1.05 * at(2, 5));
        const auto budget = result.json()[QStringLiteral("budget")].toObject();
        double sum = 0.0;
        for (const char* part : {"spilled", "reflected", "absorbed", "left_wall", "right_wall", "front_wall",
                                 "back_wall", "bottom"})
            sum += budget[QLatin1String(part) + QLatin1String("_umol_s")].toDouble();
        QVERIFY(std::abs(sum - 100.0) < 0.1);
        QCOMPARE(budget[QStringLiteral("emitted_umol_s")].toDouble(), 100.0);
    }

    void fieldNamesTheKeyThatIsWrong_data() {
        QTest::addColumn<QByteArray>("from");
        QTest::addColumn<QByteArray>("to");
        QTest::addColumn<QString>("key");
        const auto row = [](const char* from, const char* to, const char* key) {
            QTest::newRow(to) << QByteArray(from) << QByteArray(to) << QString::fromLatin1(key);
        };
        row("\"height_mm\": 200", "\"height_mm\": 0", "fixtures[0].height_mm");
        row("\"height_mm\": 200", "\"height_mm\": -5", "fixtures[0].height_mm");
        row("\"length_mm\": 600", "\"length_mm\": -600", "tank.length_mm");
        row("\"kind\": \"opaque\"", "\"kind\": \"velvet\"", "tank.walls.back.kind");
        row("\"half_angle_deg\": 60", "\"half_angle_deg\": 95",
            "fixtures[0].emitters[0].beam.half_angle_deg");
        row("\"flux_umol_s\": 100", "\"flux_umol_s\": \"much\"", "fixtures[0].emitters[0].flux_umol_s");
        row("[150, 300, 450]", "[150, 300, 4500]", "depths_mm[2]");
        row("\"nx\": 6", "\"nx\": 99999999", "grid.nx");
    }
    void fieldNamesTheKeyThatIsWrong() {
        QFETCH(QByteArray, from);
        QFETCH(QByteArray, to);
        QFETCH(QString, key);
        QFile good(QStringLiteral(GLUMET_SOURCE_DIR "/tests/data/reference/A_h200.scene.json"));
        QVERIFY(good.open(QIODevice::ReadOnly));
        const QByteArray text = good.readAll();
        QVERIFY(text.contains(from));
        const auto result =
            run({QStringLiteral("field"), written("scene.json", QByteArray(text).replace(from, to)),
                 QStringLiteral("--json")});
        QCOMPARE(result.code, 1);
        QVERIFY(result.out.isEmpty());
        QVERIFY2(result.err.contains(key), qPrintable(result.err));
        QCOMPARE(result.err.count(QLatin1Char('\n')), 1);
    }

    void aSceneMayNameAPhotometricFileBesideIt() {
        written("lamp.ies",
                "IES:LM-63-2019\n[LUMINAIRE] Reed 4\nTILT=NONE\n1 -1 1 4 1 1 2 0 0 0\n1 1 0\n"
                "0 30 60 90\n0\n100 80 30 0\n");
        QFile good(QStringLiteral(GLUMET_SOURCE_DIR "/tests/data/reference/A_h200.scene.json"));
        QVERIFY(good.open(QIODevice::ReadOnly));
        QByteArray text = good.readAll();
        const QByteArray beam = "{\"kind\": \"half_angle\", \"half_angle_deg\": 60}";
        QVERIFY(text.contains(beam));
        const auto result =
            run({QStringLiteral("field"),
                 written("scene.json",
                         QByteArray(text).replace(beam, "{\"kind\": \"lm63\", \"file\": \"lamp.ies\"}")),
                 QStringLiteral("--json")});
        QCOMPARE(result.code, 0);
        const auto missing =
            run({QStringLiteral("field"),
                 written("scene.json",
                         QByteArray(text).replace(beam, "{\"kind\": \"lm63\", \"file\": \"none.ies\"}"))});
        QCOMPARE(missing.code, 1);
        QVERIFY(missing.err.contains(QLatin1String("beam.file")));
    }

    void beamReadsAndWritesPhotometricFiles() {
        const auto file = written("lamp.ies",
                                  "IESNA:LM-63-2002\n[LUMINAIRE] Reed 4\nTILT=NONE\n1 1000 1 4 1 1 2 0 0 0\n"
                                  "1 1 40\n0 30 60 90\n0\n100 80 30 0\n");
        const auto back = dir_->filePath(QStringLiteral("back.ies"));
        const auto first =
            run({QStringLiteral("beam"), file, QStringLiteral("--out"), back, QStringLiteral("--json")});
        QCOMPARE(first.code, 0);
        QCOMPARE(first.json()[QStringLiteral("name")].toString(), QStringLiteral("Reed 4"));
        QCOMPARE(first.json()[QStringLiteral("input_w")].toDouble(), 40.0);
        const auto second = run({QStringLiteral("beam"), back, QStringLiteral("--json")});
        QCOMPARE(second.code, 0);
        const auto relative = [](const Result& of) {
            const auto list =
                of.json()[QStringLiteral("beam")].toObject()[QStringLiteral("relative")].toArray();
            return list[1].toDouble() / list[0].toDouble();
        };
        QVERIFY(std::abs(relative(first) - 0.8) < 1e-9);
        QVERIFY(std::abs(relative(second) - 0.8) < 1e-5);
        const auto tilted = run({QStringLiteral("beam"), written("t.ies", "IES:LM-63-2019\nTILT=INCLUDE\n")});
        QCOMPARE(tilted.code, 1);
        QVERIFY(tilted.err.contains(QLatin1String("TILT=INCLUDE")));
    }

    void heightSpeaksOrSaysWhyNot() {
        QByteArray csv = "run,fixture,height_mm,depth_mm,x_mm,y_mm,ppfd\n";
        for (const auto& [height, value] : {std::pair{100, 100}, {200, 90}, {300, 80}, {400, 70}})
            for (int i = 0; i < 4; ++i)
                csv += QStringLiteral("A,F,%1,150,%2,%3,%4\n")
                           .arg(height)
                           .arg(i % 2 * 10)
                           .arg(i / 2 * 10)
                           .arg(value)
                           .toUtf8();
        auto result = run({QStringLiteral("height"), written("r.csv", csv), QStringLiteral("--limit"),
                           QStringLiteral("15"), QStringLiteral("--json")});
        QCOMPARE(result.code, 0);
        auto school = result.json()[QStringLiteral("schools")].toArray()[0].toObject();
        QCOMPARE(school[QStringLiteral("school")].toString(), QStringLiteral("spill-limit"));
        QCOMPARE(school[QStringLiteral("height_mm")].toDouble(), 200.0);
        QVERIFY(qAbs(school[QStringLiteral("crossing_height_mm")].toDouble() - 250.0) < 1e-6);
        QCOMPARE(school[QStringLiteral("evidence")].toArray().size(), 4);
        csv = csv.left(csv.indexOf("A,F,200"));
        result = run({QStringLiteral("height"), written("one.csv", csv), QStringLiteral("--json")});
        QCOMPARE(result.code, 0);
        school = result.json()[QStringLiteral("schools")].toArray()[0].toObject();
        QVERIFY(school[QStringLiteral("height_mm")].isNull());
        QVERIFY(school[QStringLiteral("reason")].toString().contains(QStringLiteral("two heights")));
    }

    void aFixtureIsFittedAndItsArrayPredicted() {
        const auto model = fittedModel();
        const auto scene = written("scene.json", R"({
            "tank":{"length_mm":1200,"width_mm":600,"water_depth_mm":560,"walls":{"left":{"kind":"glass"},
              "right":{"kind":"glass"},"front":{"kind":"glass"},"back":{"kind":"opaque","reflectance":0.03}}},
            "water":{"refractive_index":1.333,"attenuation_per_m":0.0},
            "fixtures":[{"x_mm":350,"y_mm":300,"height_mm":200,"level":0.5,"use":"model"},
                        {"x_mm":850,"y_mm":300,"height_mm":200,"level":0.5,"use":"model"}],
            "depths_mm":[200],"grid":{"nx":4,"ny":2}})");
        const auto said = run(
            {QStringLiteral("predict"), QStringLiteral("--model"), model, scene, QStringLiteral("--json")});
        QVERIFY2(said.code == 0, qPrintable(said.err));
        const auto points =
            said.json()[QStringLiteral("planes")].toArray()[0].toObject()[QStringLiteral("points")].toArray();
        QCOMPARE(points.size(), 8);
        for (const auto& value : points) {
            const auto point = value.toObject();
            const double ppfd = point[QStringLiteral("ppfd_umol_m2_s")].toDouble();
            QVERIFY(ppfd > 5.0);
            QVERIFY(point[QStringLiteral("lo")].toDouble() < ppfd &&
                    ppfd < point[QStringLiteral("hi")].toDouble());
        }
        const auto level = run({QStringLiteral("intensity"), QStringLiteral("--model"), model, scene,
                                QStringLiteral("--band"), QStringLiteral("20:60"), QStringLiteral("--json")});
        QCOMPARE(level.code, 0);
        const auto plateau = level.json()[QStringLiteral("plateau_pct")].toArray();
        const double best = level.json()[QStringLiteral("level_pct")].toDouble();
        QVERIFY(plateau[0].toDouble() <= best && best <= plateau[1].toDouble());
        // The same model twice as two channels: twice the light, so no mix is worse than dimming both alike.
        const auto mix = run({QStringLiteral("intensity"), scene, QStringLiteral("--model"), model,
                              QStringLiteral("--model"), model, QStringLiteral("--band"),
                              QStringLiteral("20:60"), QStringLiteral("--json")});
        QCOMPARE(mix.code, 0);
        QCOMPARE(mix.json()[QStringLiteral("channels")].toArray().size(), 2);
        QVERIFY(mix.json()[QStringLiteral("mix_share_in_band")].toDouble() >=
                mix.json()[QStringLiteral("share_in_band")].toDouble() - 1e-9);
        const auto nobody =
            run({QStringLiteral("predict"), QStringLiteral("--model"), model,
                 QStringLiteral(GLUMET_SOURCE_DIR "/tests/data/reference/A_h200.scene.json")});
        QCOMPARE(nobody.code, 1);
        QVERIFY(nobody.err.contains(QStringLiteral("\"use\"")));
    }

    /// Light that was read in air is fitted in air: with water's index in its place the flux would be off.
    void aDryTankIsFittedDry() {
        const auto tank = QStringLiteral(
            R"("tank":{"length_mm":600,"width_mm":600,"water_depth_mm":560,"walls":{"left":{"kind":"glass"},
            "right":{"kind":"glass"},"front":{"kind":"glass"},"back":{"kind":"glass"}}},"water":null)");
        QByteArray csv = "run,fixture,height_mm,depth_mm,x_mm,y_mm,ppfd\n";
        for (const int height : {150, 250}) {
            const auto scene =
                QStringLiteral(R"({%1,"fixtures":[{"x_mm":300,"y_mm":300,"height_mm":%2,"emitters":[
                {"dx_mm":0,"dy_mm":0,"flux_umol_s":100,"beam":{"kind":"half_angle","half_angle_deg":50}}]}],
                "depths_mm":[100,300],"grid":{"nx":6,"ny":6}})");
            const auto lit =
                run({QStringLiteral("field"), written("dry.json", scene.arg(tank).arg(height).toUtf8()),
                     QStringLiteral("--json")});
            QVERIFY2(lit.code == 0, qPrintable(lit.err));
            for (const auto& plane : lit.json()[QStringLiteral("planes")].toArray())
                for (const auto& value : plane.toObject()[QStringLiteral("points")].toArray()) {
                    const auto point = value.toObject();
                    csv += QStringLiteral("%1,F,%1,%2,%3,%4,%5\n")
                               .arg(height)
                               .arg(plane.toObject()[QStringLiteral("depth_mm")].toDouble())
                               .arg(point[QStringLiteral("x_mm")].toDouble())
                               .arg(point[QStringLiteral("y_mm")].toDouble())
                               .arg(point[QStringLiteral("ppfd_umol_m2_s")].toDouble(), 0, 'g', 10)
                               .toUtf8();
                }
        }
        const auto fitted =
            run({QStringLiteral("fit"), written("dry.csv", csv), QStringLiteral("--tank"),
                 written("tank.json", QStringLiteral("{%1}").arg(tank).toUtf8()), QStringLiteral("--json")});
        QVERIFY2(fitted.code == 0, qPrintable(fitted.err));
        auto wet = tank;
        wet.replace(QStringLiteral("\"water\":null"),
                    QStringLiteral(R"("water":{"refractive_index":1.333})"));
        const auto drowned =
            run({QStringLiteral("fit"), path("dry.csv"), QStringLiteral("--tank"),
                 written("wet.json", QStringLiteral("{%1}").arg(wet).toUtf8()), QStringLiteral("--json")});
        QVERIFY2(drowned.code == 0, qPrintable(drowned.err));
        const auto number = [](const Result& of, const char* key) {
            return of.json()[QLatin1String(key)].toDouble();
        };
        QVERIFY(number(fitted, "relative_residual") < 0.005);
        QVERIFY2(number(drowned, "relative_residual") > 3.0 * number(fitted, "relative_residual"),
                 qPrintable(QStringLiteral("%1 against %2")
                                .arg(number(drowned, "relative_residual"))
                                .arg(number(fitted, "relative_residual"))));
        // Beyond the angles that were read the beam is a guess, and the flux with it.
        QVERIFY(std::abs(number(fitted, "flux_umol_s") - 100.0) < 8.0);
    }

    void spacingSpeaksByThreeSchools() {
        const auto tank = written("long.json", R"({"length_mm":1200,"width_mm":600,"water_depth_mm":450,
            "walls":{"left":{"kind":"glass"},"right":{"kind":"glass"},"front":{"kind":"glass"},"back":{"kind":"glass"}}})");
        const QStringList asked{QStringLiteral("spacing"),
                                QStringLiteral("--model"),
                                fittedModel(),
                                QStringLiteral("--tank"),
                                tank,
                                QStringLiteral("--count"),
                                QStringLiteral("2"),
                                QStringLiteral("--height-mm"),
                                QStringLiteral("210"),
                                QStringLiteral("--grid"),
                                QStringLiteral("12x6"),
                                QStringLiteral("--json")};
        const auto result = run(asked);
        QVERIFY2(result.code == 0, qPrintable(result.err));
        const auto schools = result.json()[QStringLiteral("schools")].toArray();
        QCOMPARE(schools.size(), 3);
        QCOMPARE(schools[0].toObject()[QStringLiteral("school")].toString(), QStringLiteral("edge-share"));
        QVERIFY(schools[0].toObject()[QStringLiteral("evidence")].toArray().size() > 10);
        for (const auto& one : schools) {
            const auto centres = one.toObject()[QStringLiteral("centres_mm")];
            if (!centres.isNull()) QCOMPARE(centres.toArray().size(), 2);
        }
        const auto asking = [&](const QStringList& more) {
            const auto answer = run(asked + more);
            return answer.code == 0 ? answer.json() : QJsonObject();
        };
        const auto school = [](const QJsonObject& answer, int index) {
            const auto list = answer[QStringLiteral("schools")].toArray();
            return list.at(index).toObject();
        };
        // The first fixture's place at the first or last step.
        const auto outermost = [&](const QJsonObject& answer, bool last) {
            const auto evidence = school(answer, 0)[QStringLiteral("evidence")].toArray();
            const auto step = (last ? evidence.last() : evidence.first()).toObject();
            return step[QStringLiteral("centres_mm")].toArray().first().toDouble();
        };
        QCOMPARE(outermost(asking({QStringLiteral("--crosswise")}), false), 200.0);
        // A body of 180 mm within 900 of 1200.
        QCOMPARE(outermost(asking({QStringLiteral("--canopy-length-mm"), QStringLiteral("900")}), true),
                 240.0);
        const auto fewest =
            asking({QStringLiteral("--band"), QStringLiteral("60:200"), QStringLiteral("--fewest-for"),
                    QStringLiteral("60")})[QStringLiteral("counts")]
                .toArray();
        QVERIFY(!fewest.isEmpty());
        for (int i = 0; i + 1 < fewest.size(); ++i)
            QVERIFY(fewest[i].toObject()[QStringLiteral("share_pct")].toDouble() < 60.0);
        const auto level = [&](const QJsonObject& answer) {
            return school(answer, 2)[QStringLiteral("level_pct")].toDouble();
        };
        const QStringList banded{QStringLiteral("--band"), QStringLiteral("60:200")};
        const QStringList capped = banded + QStringList{QStringLiteral("--ceiling"), QStringLiteral("150")};
        QVERIFY(level(asking(capped)) <= level(asking(banded)));
        auto wrong = asked;
        wrong[10] = QStringLiteral("12by6");
        QCOMPARE(run(wrong).code, 1);
    }

    void allHeightSchoolsAnswer() {
        const auto result = run({QStringLiteral("height"), exportedReadings(), QStringLiteral("--band"),
                                 QStringLiteral("100:250"), QStringLiteral("--json")});
        QCOMPARE(result.code, 0);
        QStringList first;
        for (const auto& value : result.json()[QStringLiteral("schools")].toArray()) {
            const auto school = value.toObject();
            QVERIFY(!school[QStringLiteral("reason")].toString().isEmpty());
            if (first.size() < 5) first << school[QStringLiteral("school")].toString();
        }
        QCOMPARE(first, words(QStringLiteral("spill-limit flattest band-fill peak-cap makers-range")));
        const auto one = run({QStringLiteral("height"), exportedReadings(), QStringLiteral("--school"),
                              QStringLiteral("flattest"), QStringLiteral("--json")});
        for (const auto& value : one.json()[QStringLiteral("schools")].toArray())
            QCOMPARE(value.toObject()[QStringLiteral("school")].toString(), QStringLiteral("flattest"));
    }

    void whatCannotBeFittedIsOneLine() {
        const auto few = written("few.csv",
                                 "run,fixture,height_mm,depth_mm,x_mm,y_mm,ppfd\nA,F,200,150,10,10,100\n"
                                 "A,F,200,150,20,10,100\n");
        for (const auto& [readings, tank] : {std::pair{few, cube()},
                                             {exportedReadings(), written("no.json", "{\"length_mm\": -1}")},
                                             {exportedReadings(), path("missing.json")}}) {
            const auto result = run({QStringLiteral("fit"), readings, QStringLiteral("--tank"), tank});
            QCOMPARE(result.code, 1);
            QCOMPARE(result.err.count(QLatin1Char('\n')), 1);
        }
    }

    /// Of a channel nine readings in one plane are enough beside those of all channels.
    void aChannelReadAtFewPointsLeansOnTheOthers() {
        const auto all = exportedReadings();
        QFile file(all);
        QVERIFY(file.open(QIODevice::ReadOnly));
        QByteArray few = file.readLine();
        int met = 0;
        int kept = 0;
        while (!file.atEnd()) {
            const auto line = file.readLine();
            if (!line.contains(",Osier 60,")) continue;
            const bool red = line.contains(",deep red,");
            if (red && (!line.contains(",Osier 60,150,300,") || met++ % 4 != 2)) continue;
            kept += red ? 1 : 0;
            few += line;
        }
        QCOMPARE(kept, 9);
        const auto fixture =
            written("fixture.json", R"({"length_mm":180,"width_mm":130,"emitter_columns":4,"emitter_rows":3,
            "emitter_pitch_x_mm":28,"emitter_pitch_y_mm":28,"emitter_size_mm":18})");
        const auto fluxOf = [&](const QString& readings) {
            const auto result = run({QStringLiteral("fit"), readings, QStringLiteral("--tank"), cube(),
                                     QStringLiteral("--fixture"), fixture, QStringLiteral("--preset"),
                                     QStringLiteral("deep red"), QStringLiteral("--json")});
            return result.json()[QStringLiteral("flux_umol_s")].toDouble();
        };
        const double by_nine = fluxOf(written("few.csv", few));
        const double by_all = fluxOf(all);
        QVERIFY2(by_all > 0.0 && std::abs(by_nine / by_all - 1.0) < 0.1,
                 qPrintable(QStringLiteral("%1, %2").arg(by_nine).arg(by_all)));
        const auto other = run({QStringLiteral("fit"), all, QStringLiteral("--tank"), cube(),
                                QStringLiteral("--preset"), QStringLiteral("deep rot")});
        QCOMPARE(other.code, 1);
        QCOMPARE(other.err.trimmed(),
                 QStringLiteral("glumet-cli: --preset: no run has the preset \"deep rot\"; there "
                                "are all channels full, cool white, deep red, warm white"));
    }

    void exportThenImportLosesNothing() {
        QCOMPARE(run({QStringLiteral("export"), kDemo, QStringLiteral("--out"), path("a")}).code, 0);
        QCOMPARE(run({QStringLiteral("import"), path("a/readings.csv"), path("a/bench.json"),
                      QStringLiteral("--into"), path("b.glumet")})
                     .code,
                 0);
        QCOMPARE(run({QStringLiteral("export"), path("b.glumet"), QStringLiteral("--out"), path("c")}).code,
                 0);
        for (const char* name : {"readings.csv", "bench.json"}) {
            const auto first = bytes(path("a/") + QLatin1String(name));
            QVERIFY(first.size() > 1000);
            QCOMPARE(bytes(path("c/") + QLatin1String(name)), first);
        }
    }

    void aBadRowImportsNothing() {
        const auto file =
            written("bad.csv",
                    "run,fixture,height_mm,depth_mm,x_mm,y_mm,ppfd\nA,F,200,150,1,1,5\nA,F,200,150,1,2,x\n");
        const auto result = run({QStringLiteral("import"), file, QStringLiteral("--into"), path("p.glumet")});
        QCOMPARE(result.code, 1);
        QCOMPARE(result.err.count(QLatin1Char('\n')), 1);
        QVERIFY(result.err.contains(QStringLiteral("bad.csv, line 3, ppfd")));
        QVERIFY(!QFile::exists(path("p.glumet")));
    }

    void aSheetIsImportedWithItsAnswers() {
        const auto sheet = written("planes.csv", "height 20 cm, depth 15 cm\n1;2\n3;4\n");
        auto result = run({QStringLiteral("import"), sheet, QStringLiteral("--into"), path("p.glumet")});
        QCOMPARE(result.code, 1);
        QVERIFY(result.err.contains(QStringLiteral("fixture needs a name")));
        result = run({QStringLiteral("import"), sheet, QStringLiteral("--into"), path("p.glumet"),
                      QStringLiteral("--fixture"), QStringLiteral("F"), QStringLiteral("--pitch-x-mm"),
                      QStringLiteral("100"), QStringLiteral("--pitch-y-mm"), QStringLiteral("50")});
        QVERIFY2(result.code == 0, qPrintable(result.err));
        run({QStringLiteral("export"), path("p.glumet"), QStringLiteral("--out"), path("o")});
        QVERIFY(bytes(path("o/readings.csv")).contains("planes,F,200,150,50,75,1,"));
    }

    void checkCountsAndRefuses() {
        const auto good = run({QStringLiteral("check"), kDemo, QStringLiteral("--json")});
        QCOMPARE(good.json()[QStringLiteral("readings")].toInt(), 4782);
        const auto bad = run({QStringLiteral("check"), written("x.glumet", "nothing")});
        QCOMPARE(bad.code, 1);
        QVERIFY(bad.err.contains(QStringLiteral("not a Glumet project")));
        QVERIFY(bad.out.isEmpty());
    }

    void wrongUsageIsTwo_data() {
        QTest::addColumn<QString>("line");
        for (const char* line :
             {"", "dance", "stats", "stats a.csv --wobble", "help dance", "publish x.glumet"})
            QTest::newRow(line) << QString::fromLatin1(line);
    }
    void wrongUsageIsTwo() {
        QFETCH(QString, line);
        QCOMPARE(run(line.isEmpty() ? QStringList() : words(line)).code, 2);
    }

    void wrongValuesAreOne() {
        const auto file =
            written("r.csv", "run,fixture,height_mm,depth_mm,x_mm,y_mm,ppfd\nA,F,200,150,1,1,5\n");
        for (const QStringList& arguments :
             {QStringList{QStringLiteral("stats"), file, QStringLiteral("--band"), QStringLiteral("9:1")},
              QStringList{QStringLiteral("stats"), path("none.csv")},
              QStringList{QStringLiteral("height"), file, QStringLiteral("--limit"), QStringLiteral("400")},
              QStringList{QStringLiteral("height"), file, QStringLiteral("--school"),
                          QStringLiteral("loudest")},
              QStringList{QStringLiteral("export"), path("none.glumet"), QStringLiteral("--out"),
                          path("o")}}) {
            const auto result = run(arguments);
            QCOMPARE(result.code, 1);
            QCOMPARE(result.err.count(QLatin1Char('\n')), 1);
            QVERIFY(result.out.isEmpty());
        }
    }

    void everyVerbHasHelp() {
        for (const char* verb : {"stats", "height", "import", "export", "publish", "check"}) {
            const auto result = run({QStringLiteral("help"), QLatin1String(verb)});
            QCOMPARE(result.code, 0);
            QVERIFY(result.out.contains(verb));
        }
    }

  private:
    QString cube() {
        return written("cube.json", R"({"tank":{"length_mm":600,"width_mm":600,"water_depth_mm":560,
            "walls":{"left":{"kind":"glass"},"right":{"kind":"glass"},"front":{"kind":"glass"},
            "back":{"kind":"opaque","reflectance":0.03}}}})");
    }

    QString exportedReadings() {
        run({QStringLiteral("export"), kDemo, QStringLiteral("--out"), path("demo")});
        return path("demo/readings.csv");
    }

    /// The demonstration's first fixture, fitted.
    QString fittedModel() {
        const auto fixture =
            written("fixture.json", R"({"length_mm":180,"width_mm":130,"emitter_columns":4,"emitter_rows":3,
            "emitter_pitch_x_mm":28,"emitter_pitch_y_mm":28,"emitter_size_mm":18,"rated_power_w":62})");
        const auto result = run({QStringLiteral("fit"), exportedReadings(), QStringLiteral("--tank"), cube(),
                                 QStringLiteral("--fixture"), fixture, QStringLiteral("-o"),
                                 path("model.json"), QStringLiteral("--json")});
        // The slipped probe of the demonstration is named, and few others are.
        const auto distrusted = result.json()[QStringLiteral("distrusted")].toArray().size();
        if (result.code != 0 || distrusted < 1 || distrusted > 30)
            qWarning("fit: %d, %d distrusted: %s", result.code, static_cast<int>(distrusted),
                     qPrintable(result.err));
        return path("model.json");
    }

    QString path(const char* name) const { return dir_->filePath(QLatin1String(name)); }
    QString written(const char* name, const QByteArray& text) const {
        QFile file(path(name));
        if (file.open(QIODevice::WriteOnly)) file.write(text);
        return path(name);
    }
    static QByteArray bytes(const QString& name) {
        QFile file(name);
        return file.open(QIODevice::ReadOnly) ? file.readAll() : QByteArray();
    }

    std::unique_ptr<QTemporaryDir> dir_;
};

GLUMET_TEST(TestCli, "cli_cli", Application)

}  // namespace cli_cli

#include "test_cli.moc"
