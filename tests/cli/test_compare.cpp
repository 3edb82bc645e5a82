#include <QJsonArray>
#include <QTest>
#include <cmath>
#include <random>

#include "cli/cli_runner.h"
#include "runner/registry.h"

namespace cli_compare {

using namespace glumet::testing;

/// Projects that a script made, compared by the command line.
class TestCliCompare : public QObject {
    Q_OBJECT

  private slots:
    void theKeysAreThoseOfTheContract() {
        const auto result = compare(project({{"A", 1.0, 1}, {"B", 1.1, 2}}), "--json");
        QCOMPARE(result.code, 0);
        const auto json = result.json();
        const auto pair = json[QLatin1String("pairs")].toArray().first().toObject();
        QCOMPARE(pair[QLatin1String("a")].toString(), QStringLiteral("A"));
        QCOMPARE(pair[QLatin1String("b")].toString(), QStringLiteral("B"));
        QCOMPARE(pair[QLatin1String("comparable")].toBool(), true);
        for (const auto& value : pair[QLatin1String("conditions")].toArray()) {
            const auto condition = value.toObject();
            QVERIFY(condition.contains(QLatin1String("name")) && condition.contains(QLatin1String("a")) &&
                    condition.contains(QLatin1String("b")));
            QVERIFY(QStringLiteral("same|corrected|on purpose|not comparable")
                        .split(QLatin1Char('|'))
                        .contains(condition[QLatin1String("state")].toString()));
        }
        QCOMPARE(pair[QLatin1String("planes")].toArray().size(), 3);
        const auto plane = pair[QLatin1String("planes")].toArray().first().toObject();
        QCOMPARE(plane[QLatin1String("depth_mm")].toDouble(), 150.0);
        QVERIFY(plane[QLatin1String("lo")].toDouble() < 1.1 && plane[QLatin1String("hi")].toDouble() > 1.1);
        QCOMPARE(plane[QLatin1String("tie")].toBool(), false);
        const auto ranks = json[QLatin1String("ranks")].toArray();
        QCOMPARE(ranks.size(), 2);
        for (const auto& value : ranks) {
            const auto rank = value.toObject();
            QVERIFY(rank.contains(QLatin1String("configuration")) &&
                    rank.contains(QLatin1String("height_mm")) && rank.contains(QLatin1String("rank")) &&
                    rank.contains(QLatin1String("rank_lo")) && rank.contains(QLatin1String("rank_hi")));
            const auto evenness =
                rank[QLatin1String("criteria")].toObject()[QLatin1String("evenness")].toObject();
            for (const char* key : {"value", "lo", "hi", "unit"})
                QVERIFY2(evenness.contains(QLatin1String(key)), key);
        }
        // Nobody stated prices or watts: what nobody has does not count, and is said to be missing.
        QCOMPARE(ranks[0].toObject()[QLatin1String("rank")].toInt() +
                     ranks[1].toObject()[QLatin1String("rank")].toInt(),
                 3);
        QVERIFY(ranks[0]
                    .toObject()[QLatin1String("missing")]
                    .toObject()[QLatin1String("price-per-output")]
                    .toString()
                    .contains(QLatin1String("not stated")));
    }

    void equalOnesAreATie() {
        const auto result = compare(project({{"A", 1.0, 1}, {"B", 1.0, 2}}), "--json");
        const auto pair = result.json()[QLatin1String("pairs")].toArray().first().toObject();
        QVERIFY(pair[QLatin1String("all")].toObject()[QLatin1String("tie")].toBool());
    }

    /// What is published comes back by the package: the same bench, the same verdicts.
    void aPublishedPackageIsImported() {
        const auto source = project({{"A", 1.0, 1}, {"B", 1.1, 2}});
        const auto out = dir_.filePath(QStringLiteral("out"));
        QCOMPARE(runCli(cliWords(QStringLiteral("publish %1 --out %2").arg(source, out))).code, 0);
        const auto package = out + QStringLiteral("/data-package.zip");
        const auto again = dir_.filePath(QStringLiteral("again.glumet"));
        const auto imported =
            runCli(cliWords(QStringLiteral("import %1 --into %2 --json").arg(package, again)));
        QCOMPARE(imported.code, 0);
        QCOMPARE(imported.json()[QLatin1String("added")].toInt(), 108);
        QFile file(package);
        QVERIFY(file.open(QIODevice::ReadWrite));
        file.seek(file.size() / 2);
        file.write("lie");
        file.close();
        const auto refused = runCli(cliWords(
            QStringLiteral("import %1 --into %2").arg(package, dir_.filePath(QStringLiteral("no.glumet")))));
        QCOMPARE(refused.code, 1);
        QCOMPARE(refused.err.count(QLatin1Char('\n')), 1);
        QVERIFY(!QFile::exists(dir_.filePath(QStringLiteral("no.glumet"))));
    }

    void whatCannotBeComparedIsSaid() {
        auto result = compare(project({{"A", 1.0, 1}}), "--json");
        QCOMPARE(result.code, 1);
        QVERIFY(result.err.contains(QLatin1String("fewer than two configurations")));
        result = compare(project({{"A", 1.0, 1}, {"B", 1.0, 2}}), "--tank Nowhere");
        QCOMPARE(result.code, 1);
        QVERIFY(result.err.contains(QLatin1String("no tank")));
        result = compare(project({{"A", 1.0, 1}, {"B", 1.0, 2}}), "--at high");
        QCOMPARE(result.code, 1);
        QVERIFY(result.err.contains(QLatin1String("--at")));
        result = compare(dir_.filePath(QStringLiteral("none.glumet")));
        QCOMPARE(result.code, 1);
        // At a height that nobody read the fits speak, and say so.
        result = compare(project({{"A", 1.0, 1}, {"B", 1.0, 2}}), "--at 260 --json");
        QCOMPARE(result.code, 0);
        const auto ranks = result.json()[QLatin1String("ranks")].toArray();
        for (const auto& rank : ranks) {
            const auto basis = rank.toObject()[QLatin1String("basis")].toString();
            QVERIFY(basis == QLatin1String("modelled") ||
                    !rank.toObject()[QLatin1String("unranked")].toString().isEmpty());
        }
    }

  private:
    static CliResult compare(const QString& project, const char* options = "") {
        auto words = cliWords(QStringLiteral("compare %1 %2").arg(project, QLatin1String(options)));
        words.removeAll(QString());
        return runCli(words);
    }

    struct Lamp {
        const char* name;
        double level;
        std::uint64_t seed;
    };

    /// Each lamp read on 6 × 6 points at three depths, with 2 % of noise, imported into a project.
    QString project(const std::vector<Lamp>& lamps) {
        QByteArray csv("run,fixture,height_mm,depth_mm,x_mm,y_mm,ppfd,tank,meter\n");
        for (const auto& lamp : lamps) {
            std::mt19937_64 random(lamp.seed);
            std::normal_distribution<double> normal;
            for (const double depth : {150.0, 300.0, 450.0})
                for (int j = 0; j < 6; ++j)
                    for (int i = 0; i < 6; ++i) {
                        const double r2 = std::pow((i - 2.5) / 2.4, 2) + std::pow((j - 2.5) / 2.4, 2);
                        const double ppfd = lamp.level *
                                            (40.0 + 250.0 * std::exp(-0.5 * r2 - depth / 500.0)) *
                                            (1.0 + 0.02 * normal(random));
                        csv += QByteArray(lamp.name) + "," + lamp.name + ",200," + QByteArray::number(depth) +
                               "," + QByteArray::number(50 + 100 * i) + "," +
                               QByteArray::number(50 + 100 * j) + "," + QByteArray::number(ppfd, 'f', 2) +
                               ",Cube,S1\n";
                    }
        }
        const auto source = dir_.filePath(QStringLiteral("r%1.csv").arg(++made_));
        QFile file(source);
        if (!file.open(QIODevice::WriteOnly)) return {};
        file.write(csv);
        file.close();
        const auto target = dir_.filePath(QStringLiteral("p%1.glumet").arg(made_));
        return runCli(cliWords(QStringLiteral("import %1 --into %2").arg(source, target))).code == 0
                   ? target
                   : QString();
    }

    QTemporaryDir dir_;
    int made_ = 0;
};

GLUMET_TEST(TestCliCompare, "cli_compare", Application)

}  // namespace cli_compare

#include "test_compare.moc"
