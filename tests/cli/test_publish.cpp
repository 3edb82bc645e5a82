#include <QDir>
#include <QJsonArray>
#include <QTest>

#include "cli/cli_runner.h"
#include "runner/registry.h"

namespace cli_publish {

using namespace glumet::testing;

namespace {

const QString kDemo = QStringLiteral(GLUMET_SOURCE_DIR "/data/demo/nursery.glumet");

QByteArray bytesOf(const QString& path) {
    QFile file(path);
    return file.open(QIODevice::ReadOnly) ? file.readAll() : QByteArray();
}

}  // namespace

/// The review written without a window.
class TestCliPublish : public QObject {
    Q_OBJECT

  private slots:
    void init() {
        dir_ = std::make_unique<QTemporaryDir>();
        QByteArray rows = "run,fixture,tank,height_mm,depth_mm,x_mm,y_mm,ppfd\n";
        for (int height = 150; height <= 250; height += 50)
            for (int i = 0; i < 36; ++i)
                rows += QStringLiteral("%1,Fern 20,Cube,%1,150,%2,%3,%4\n")
                            .arg(height)
                            .arg(50 + i % 6 * 100)
                            .arg(50 + i / 6 * 100)
                            .arg(300 - height / 2)
                            .toUtf8();
        const auto source = writtenIn(*dir_, "small.csv", rows);
        QCOMPARE(
            runCli({QStringLiteral("import"), source, QStringLiteral("--into"), path("small.glumet")}).code,
            0);
    }
    void cleanup() { dir_.reset(); }

    void aReviewOfOneFixture() {
        const auto result = publish(
            {kDemo}, {QStringLiteral("--fixture"), QStringLiteral("Twin Alder"), QStringLiteral("--json")});
        QVERIFY2(result.code == 0, qPrintable(result.err));
        QVERIFY(result.err.isEmpty());
        QProcess text;
        text.start(QStringLiteral("pdftotext"),
                   {QStringLiteral("-layout"), path("out/review.pdf"), QStringLiteral("-")});
        QVERIFY(text.waitForFinished());
        const auto page =
            QString::fromUtf8(text.readAllStandardOutput()).replace(QChar(0xa0), QLatin1Char(' '));
        QVERIFY(page.count(QLatin1Char('\f')) > 3);
        for (const char* part : {"Twin Alder", "20 cm", "spill limit", "Other light was on",
                                 "licensed electrician", "Invented demonstration", "Frictionless"})
            QVERIFY2(page.contains(QLatin1String(part)), part);
        const auto html = QString::fromUtf8(bytesOf(path("out/review.html")));
        QVERIFY(!html.contains(QStringLiteral("src=\"http")));
        QVERIFY(html.size() < 5'000'000);
        // The data behind it are those of this fixture alone.
        QVERIFY(!bytesOf(path("out/readings.csv")).contains(",Osier 60,"));
        QCOMPARE(result.json()[QLatin1String("edition")].toInt(), 1);
        QVERIFY(result.json()[QLatin1String("files")].toArray().contains(QStringLiteral("review.pdf")));
    }

    void theNextEditionFollows() {
        const QStringList asked{QStringLiteral("--template"), QStringLiteral("card"),
                                QStringLiteral("--json")};
        QCOMPARE(publish({path("small.glumet")}, asked).code, 0);
        const auto first = bytesOf(path("out/review.pdf"));
        QCOMPARE(publish({path("small.glumet")}, asked).code, 0);
        QVERIFY(bytesOf(path("out/review.pdf")) == first);
        const auto form = writtenIn(*dir_, "form.md", "Mine, at {{heigth}}.\n<!-- glumet: card -->\n");
        const auto next =
            publish({path("small.glumet")}, {QStringLiteral("--template"), form, QStringLiteral("--json")});
        QVERIFY2(next.code == 0, qPrintable(next.err));
        QCOMPARE(next.json()[QLatin1String("edition")].toInt(), 2);
        QCOMPARE(next.json()[QLatin1String("unknown")].toArray().first().toString(),
                 QStringLiteral("heigth"));
        QVERIFY(bytesOf(path("out/review.html")).contains("Mine, at"));
        QVERIFY(writtenIn(*dir_, "out/edition.json", "something else").size() > 0);
        const auto refused = publish({path("small.glumet")}, asked);
        QCOMPARE(refused.code, 1);
        QVERIFY(refused.err.contains(QStringLiteral("edition.json")));
        QVERIFY(bytesOf(path("out/review.html")).contains("Mine, at"));
    }

    void severalProjectsEachIntoItsFolder() {
        QVERIFY(QFile::copy(path("small.glumet"), path("one.glumet")));
        QVERIFY(QFile::copy(path("small.glumet"), path("two.glumet")));
        const auto result =
            publish({path("one.glumet"), path("two.glumet")},
                    {QStringLiteral("--template"), QStringLiteral("card"), QStringLiteral("--json")});
        QVERIFY2(result.code == 0, qPrintable(result.err));
        QVERIFY(result.err.contains(QStringLiteral("2 of 2")));
        QCOMPARE(result.json()[QLatin1String("published")].toArray().size(), 2);
        for (const char* file : {"out/one/review.html", "out/two/review.pdf"})
            QVERIFY2(QFile::exists(path(file)), file);
    }

    void whatCannotBePublishedIsSaid() {
        const auto said = [&](const QStringList& options) {
            const auto result = publish({path("small.glumet")}, options);
            return result.code == 0 ? QStringLiteral("done") : result.err.trimmed();
        };
        QVERIFY(said({QStringLiteral("--fixture"), QStringLiteral("Nobody")})
                    .contains(QStringLiteral("\"Nobody\"")));
        QVERIFY(said({QStringLiteral("--template"), QStringLiteral("no/such.md")})
                    .contains(QStringLiteral("such.md")));
        const auto bad = writtenIn(*dir_, "bad.md", "<!-- glumet: dance -->");
        QVERIFY(said({QStringLiteral("--template"), bad})
                    .contains(QStringLiteral("line 1: there is no section")));
        QVERIFY(
            said({QStringLiteral("--day"), QStringLiteral("yesterday")}).contains(QStringLiteral("date")));
        QVERIFY(!QFile::exists(path("out")));
        QVERIFY(!writtenIn(*dir_, "out", "a file").isEmpty());
        QVERIFY(said({QStringLiteral("--template"), QStringLiteral("card")}) != QStringLiteral("done"));
        QCOMPARE(bytesOf(path("out")), QByteArray("a file"));
    }

  private:
    CliResult publish(const QStringList& projects, const QStringList& options) {
        return runCli(QStringList{QStringLiteral("publish")} + projects +
                      QStringList{QStringLiteral("--out"), path("out")} + options);
    }
    QString path(const char* name) const { return dir_->filePath(QLatin1String(name)); }

    std::unique_ptr<QTemporaryDir> dir_;
};

GLUMET_TEST(TestCliPublish, "cli_publish", Application)

}  // namespace cli_publish

#include "test_publish.moc"
