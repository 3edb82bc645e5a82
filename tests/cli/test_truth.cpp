#include <QJsonArray>
#include <QTest>
#include <cmath>

#include "cli/cli_runner.h"
#include "runner/registry.h"

namespace cli_truth {

using namespace glumet::testing;

namespace {

const QByteArray kTank =
    R"("tank":{"length_mm":600,"width_mm":600,"water_depth_mm":560,"walls":{"left":{"kind":"glass"},
    "right":{"kind":"glass"},"front":{"kind":"glass"},"back":{"kind":"opaque","reflectance":0.05}}},
    "water":{"refractive_index":1.333,"attenuation_per_m":0.0})";

/// A row of lamps of a half angle; `more` are keys of the scene besides.
QByteArray sceneOf(const QByteArray& emitters, int height, const QByteArray& more = {}) {
    return "{" + kTank +
           ",\"fixtures\":[{\"x_mm\":300,\"y_mm\":300,\"height_mm\":" + QByteArray::number(height) +
           ",\"emitters\":[" + emitters + "]}],\"depths_mm\":[280],\"grid\":{\"nx\":6,\"ny\":6}" + more + "}";
}

QByteArray emitter(int dx, const char* channel = nullptr) {
    QByteArray out =
        "{\"dx_mm\":" + QByteArray::number(dx) +
        ",\"dy_mm\":0,\"flux_umol_s\":50,\"beam\":{\"kind\":\"half_angle\",\"half_angle_deg\":50}";
    if (channel != nullptr) out += QByteArray(",\"channel\":\"") + channel + "\"";
    return out + "}";
}

QJsonObject first(const QJsonObject& json, const char* list) {
    return json[QLatin1String(list)].toArray()[0].toObject();
}

}  // namespace

/// Beams by planes, things in the way, shadows and other people's charts, by the command line.
class TestTruth : public QObject {
    Q_OBJECT

  private slots:
    void shadowsAndShimmerOfAScene() {
        const auto one = runCli({QStringLiteral("shadow"), written("one.json", sceneOf(emitter(0), 200)),
                                 QStringLiteral("--json")});
        QVERIFY2(one.code == 0, qPrintable(one.err));
        QCOMPARE(first(one.json(), "planes")[QStringLiteral("depth_mm")].toDouble(), 280.0);
        QCOMPARE(first(one.json(), "planes")[QStringLiteral("shadow")].toDouble(), 0.0);
        QVERIFY(std::abs(first(one.json(), "shimmer")[QStringLiteral("shimmer")].toDouble() - 1.0) < 0.1);
        QVERIFY(first(one.json(), "shimmer")[QStringLiteral("colour_flash")].toArray().isEmpty());
        QByteArray row;
        for (int dx = -250; dx <= 250; dx += 50) row += (row.isEmpty() ? "" : ",") + emitter(dx);
        const auto wide = runCli(
            {QStringLiteral("shadow"), written("row.json", sceneOf(row, 200)), QStringLiteral("--json")});
        QVERIFY(first(wide.json(), "shimmer")[QStringLiteral("shimmer")].toDouble() < 0.6);
    }

    void coloursFlashWhereTheyShineFromOtherPlaces() {
        const QByteArray channels = R"(,"channels":{"blue":{},"white":{}})";
        const auto flash = [&](int apart) {
            const auto said =
                runCli({QStringLiteral("shadow"),
                        written("two.json",
                                sceneOf(emitter(0, "blue") + "," + emitter(apart, "white"), 200, channels)),
                        QStringLiteral("--json")});
            const auto list = first(said.json(), "shimmer")[QStringLiteral("colour_flash")].toArray();
            return list.isEmpty() ? -1.0 : list[0].toObject()[QStringLiteral("value")].toDouble();
        };
        QVERIFY(std::abs(flash(0)) < 1e-6);
        QVERIFY(flash(20) > 0.05);
        QVERIFY(flash(60) > flash(20));
    }

    void aModelsShadowNeedsTheModel() {
        auto scene = sceneOf(emitter(0), 200);
        scene.replace("\"emitters\":[" + emitter(0) + "]", "\"use\":\"model\"");
        const auto said = runCli({QStringLiteral("shadow"), written("model.json", scene)});
        QCOMPARE(said.code, 1);
        QVERIFY2(said.err.contains(QStringLiteral("--model")), qPrintable(said.err));
    }

    /// An obstacle around the emitter, one outside the tank, planes out of order: one sentence each.
    void whatCannotBeIsRefusedByKey_data() {
        QTest::addColumn<QByteArray>("more");
        QTest::addColumn<QString>("said");
        QTest::newRow("around the emitter")
            << QByteArray(R"(,"obstacles":[{"kind":"box","from_mm":[250,250,-250],"to_mm":[350,350,-150]}])")
            << QStringLiteral("obstacles[0].from_mm");
        QTest::newRow("outside")
            << QByteArray(R"(,"obstacles":[{"kind":"disc","centre_mm":[900,300,100],"diameter_mm":50}])")
            << QStringLiteral("outside the tank");
        QTest::newRow("no size")
            << QByteArray(R"(,"obstacles":[{"kind":"disc","centre_mm":[300,300,100],"diameter_mm":0}])")
            << QStringLiteral("obstacles[0].diameter_mm");
    }
    void whatCannotBeIsRefusedByKey() {
        QFETCH(QByteArray, more);
        QFETCH(QString, said);
        const auto answer =
            runCli({QStringLiteral("field"), written("bad.json", sceneOf(emitter(0), 200, more))});
        QCOMPARE(answer.code, 1);
        QCOMPARE(answer.err.count(QLatin1Char('\n')), 1);
        QVERIFY2(answer.err.contains(said), qPrintable(answer.err));
    }

    void theBudgetNamesWhatIsKeptBack() {
        const auto said =
            runCli({QStringLiteral("field"),
                    written("lid.json",
                            sceneOf(emitter(0), 200,
                                    R"(,"obstacles":[{"kind":"box","from_mm":[0,0,-20],"to_mm":[600,600,-10],
                                                    "transmittance":0.9}])")),
                    QStringLiteral("--budget"), QStringLiteral("--json")});
        QVERIFY2(said.code == 0, qPrintable(said.err));
        const auto budget = said.json()[QStringLiteral("budget")].toObject();
        // A pane over the whole tank keeps a tenth of what would enter.
        const double kept = budget[QStringLiteral("obstructed_umol_s")].toDouble();
        QVERIFY2(kept > 2.0 && kept < 5.0, qPrintable(QString::number(kept)));
        QVERIFY(std::abs(budget[QStringLiteral("residual")].toDouble()) < 1e-3);
    }

    /// Twelve means of somebody's chart are a fixture one can plan with.
    void publishedRingsAreFittedAndPredicted() {
        const auto model = dir_->filePath(QStringLiteral("model.json"));
        const auto fitted = runCli({QStringLiteral("fit"), written("rings.csv", rings()),
                                    QStringLiteral("--tank"), written("tank.json", "{" + kTank + "}"),
                                    QStringLiteral("-o"), model, QStringLiteral("--json")});
        QVERIFY2(fitted.code == 0, qPrintable(fitted.err));
        QCOMPARE(fitted.json()[QStringLiteral("read_by_others")].toInt(), 12);
        QCOMPARE(fitted.json()[QStringLiteral("beam")].toString(), QStringLiteral("round"));
        QVERIFY(fitted.json()[QStringLiteral("misfit")].toDouble() >= 0.05);
        // The field it was made from lies in the interval.
        auto asked = sceneOf(emitter(0), 230);
        asked.replace("\"emitters\":[" + emitter(0) + "]", "\"use\":\"model\"");
        const auto said = runCli({QStringLiteral("predict"), QStringLiteral("--model"), model,
                                  written("asked.json", asked), QStringLiteral("--json")});
        const auto truth = runCli({QStringLiteral("field"), written("truth.json", sceneOf(emitter(0), 230)),
                                   QStringLiteral("--json")});
        const auto points = first(said.json(), "planes")[QStringLiteral("points")].toArray();
        const auto known = first(truth.json(), "planes")[QStringLiteral("points")].toArray();
        QCOMPARE(points.size(), 36);
        int inside = 0;
        for (int i = 0; i < points.size(); ++i) {
            const auto p = points[i].toObject();
            const double real = known[i].toObject()[QStringLiteral("ppfd_umol_m2_s")].toDouble();
            inside +=
                p[QStringLiteral("lo")].toDouble() <= real && real <= p[QStringLiteral("hi")].toDouble();
        }
        QVERIFY2(inside >= 33, qPrintable(QString::number(inside)));
    }

    void ringsThatAreWrongAreRefusedByLine() {
        auto wrong = rings();
        wrong += "A300,F,300,280,6,6,3,80\n";
        const auto said = runCli({QStringLiteral("fit"), written("wrong.csv", wrong),
                                  QStringLiteral("--tank"), written("tank.json", "{" + kTank + "}")});
        QCOMPARE(said.code, 1);
        QVERIFY2(said.err.contains(QStringLiteral("line 14, ring")), qPrintable(said.err));
    }

    /// Readings and rings in one fit, each file known by its header.
    void readingsAndRingsAreFittedTogether() {
        QByteArray readings = "run,fixture,height_mm,depth_mm,x_mm,y_mm,ppfd\n";
        for (const int height : {150, 250})
            forEachPoint(height, [&](double x, double y, double ppfd) {
                readings += "R" + QByteArray::number(height) + ",F," + QByteArray::number(height) + ",280," +
                            QByteArray::number(x) + ',' + QByteArray::number(y) + ',' +
                            QByteArray::number(ppfd, 'g', 8) + '\n';
            });
        const auto fitted = runCli({QStringLiteral("fit"), written("own.csv", readings),
                                    written("rings.csv", rings()), QStringLiteral("--tank"),
                                    written("tank.json", "{" + kTank + "}"), QStringLiteral("--json")});
        QVERIFY2(fitted.code == 0, qPrintable(fitted.err));
        QCOMPARE(fitted.json()[QStringLiteral("readings")].toInt(), 72 + 12);
        QCOMPARE(fitted.json()[QStringLiteral("read_by_others")].toInt(), 12);
    }

    /// Into a project, and out of it again.
    void othersMeansAreImported() {
        const auto project = dir_->filePath(QStringLiteral("charts.glumet"));
        const auto done = runCli({QStringLiteral("import"), written("rings.csv", rings()),
                                  QStringLiteral("--into"), project, QStringLiteral("--json")});
        QVERIFY2(done.code == 0, qPrintable(done.err));
        QCOMPARE(done.json()[QStringLiteral("read_by_others")].toInt(), 12);
        QCOMPARE(runCli({QStringLiteral("export"), project, QStringLiteral("--out"),
                         dir_->filePath(QStringLiteral("out"))})
                     .code,
                 0);
        QFile bench(dir_->filePath(QStringLiteral("out/bench.json")));
        QVERIFY(bench.open(QIODevice::ReadOnly));
        QCOMPARE(bench.readAll().count("\"ring\":"), 12);
    }

  private:
    QString written(const char* name, const QByteArray& bytes) const { return writtenIn(*dir_, name, bytes); }

    /// PPFD of one lamp at every cell of the grid.
    template <class See>
    void forEachPoint(int height, See see) const {
        const auto lit = runCli({QStringLiteral("field"), written("lit.json", sceneOf(emitter(0), height)),
                                 QStringLiteral("--json")});
        for (const auto& value : first(lit.json(), "planes")[QStringLiteral("points")].toArray()) {
            const auto p = value.toObject();
            see(p[QStringLiteral("x_mm")].toDouble(), p[QStringLiteral("y_mm")].toDouble(),
                p[QStringLiteral("ppfd_umol_m2_s")].toDouble());
        }
    }

    QByteArray rings() const {
        QByteArray csv = "run,fixture,height_mm,depth_mm,nx,ny,ring,ppfd\n";
        for (const int height : {150, 200, 250, 300}) {
            std::array<double, 3> sums{};
            std::array<int, 3> counts{};
            forEachPoint(height, [&](double x, double y, double ppfd) {
                const int i = static_cast<int>(x / 100.0);
                const int j = static_cast<int>(y / 100.0);
                const auto ring = static_cast<std::size_t>(std::min({i, j, 5 - i, 5 - j}));
                sums[ring] += ppfd;
                ++counts[ring];
            });
            for (std::size_t ring = 0; ring < 3; ++ring)
                csv += "A" + QByteArray::number(height) + ",F," + QByteArray::number(height) + ",280,6,6," +
                       QByteArray::number(static_cast<int>(ring)) + ',' +
                       QByteArray::number(sums[ring] / counts[ring], 'g', 8) + '\n';
        }
        return csv;
    }

    std::unique_ptr<QTemporaryDir> dir_ = std::make_unique<QTemporaryDir>();
};

GLUMET_TEST(TestTruth, "cli_truth", Application)

}  // namespace cli_truth

#include "test_truth.moc"
