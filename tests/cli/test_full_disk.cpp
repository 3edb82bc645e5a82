#include <QDir>
#include <QFile>
#include <QProcess>
#include <QTemporaryDir>
#include <QTest>
#include <map>
#include <memory>
#include <vector>

#include "cli/cli_runner.h"
#include "files/failing_disk.h"
#include "project/project.h"
#include "runner/registry.h"

namespace cli_full_disk {

using glumet::testing::startedCli;

namespace {

struct Result {
    int code = 0;
    bool killed = false;
    QString out;
    QString err;
};

using Folder = std::map<QString, QByteArray>;

Folder contents(const QString& folder) {
    Folder files;
    for (const auto& name : QDir(folder).entryList(QDir::Files | QDir::Hidden)) {
        QFile file(QDir(folder).filePath(name));
        files[name] = file.open(QIODevice::ReadOnly) ? file.readAll() : QByteArray("unreadable");
    }
    return files;
}

}  // namespace

/// Whatever the disk does at whichever write: what was accepted is there, what was refused is not half there.
class TestFullDisk : public QObject {
    Q_OBJECT

  private slots:
    void init() {
        dir_ = std::make_unique<QTemporaryDir>();
        const QByteArray head = "run,fixture,height_mm,depth_mm,x_mm,y_mm,ppfd\n";
        QByteArray rows;
        for (int i = 0; i < 36; ++i)
            rows += QStringLiteral("A,Fern 20,200,150,%1,%2,%3\n")
                        .arg(50 + i % 6 * 100)
                        .arg(50 + i / 6 * 100)
                        .arg(100 + i)
                        .toUtf8();
        QVERIFY(write("first.csv", head + rows));
        QVERIFY(write("second.csv", head + QByteArray(rows).replace("A,Fern 20,200", "B,Fern 20,250")));
        QCOMPARE(
            run({QStringLiteral("import"), path("first.csv"), QStringLiteral("--into"), path("one.glumet")})
                .code,
            0);
        QVERIFY(QFile::copy(path("one.glumet"), path("two.glumet")));
        QCOMPARE(
            run({QStringLiteral("import"), path("second.csv"), QStringLiteral("--into"), path("two.glumet")})
                .code,
            0);
    }
    void cleanup() { dir_.reset(); }

    void anExportIsWholeOrNotAtAll_data() { ways(); }
    void anExportIsWholeOrNotAtAll() { everyWrite({QStringLiteral("export")}, 1); }

    void aPublicationIsWholeOrNotAtAll_data() { ways(); }
    void aPublicationIsWholeOrNotAtAll() {
        everyWrite({QStringLiteral("publish"), QStringLiteral("--template"), QStringLiteral("card")}, 17);
    }

    /// Four at once: one makes the project, all import the same, and it is there once.
    void fourWritersMakeOneProject() {
        for (int round = 0; round < 5; ++round) {
            const auto target = path(qPrintable(QStringLiteral("shared%1.glumet").arg(round)));
            std::vector<std::unique_ptr<QProcess>> writers;
            for (int i = 0; i < 4; ++i) {
                writers.push_back(std::make_unique<QProcess>());
                writers.back()->start(
                    QStringLiteral(GLUMET_BINARY_DIR "/glumet-cli"),
                    {QStringLiteral("import"), path(i % 2 == 0 ? "first.csv" : "second.csv"),
                     QStringLiteral("--into"), target});
            }
            for (auto& writer : writers) {
                writer->waitForFinished(-1);
                QVERIFY2(writer->exitCode() == 0, writer->readAllStandardError().constData());
            }
            QCOMPARE(readingsIn(target), 72);
            const auto shared = glumet::Project::open(target);
            QVERIFY(shared);
            QCOMPARE((*shared)->bench().fixtures.size(), std::size_t{1});
            // No half-made project is left lying about.
            QVERIFY(QDir(dir_->path())
                        .entryList({QStringLiteral(".shared*")}, QDir::Files | QDir::Hidden)
                        .isEmpty());
        }
    }

    void anImportIsWholeOrNotAtAll_data() { ways(); }
    /// The project itself: every kill and fault leaves the readings of before, or all of the new ones.
    void anImportIsWholeOrNotAtAll() {
        QFETCH(QString, how);
        for (int at = 1;; ++at) {
            QVERIFY(at < 200);
            QFile::remove(path("work.glumet"));
            for (const char* end : {"-wal", "-shm"}) QFile::remove(path("work.glumet") + QLatin1String(end));
            QVERIFY(QFile::copy(path("one.glumet"), path("work.glumet")));
            const auto done = run(
                {QStringLiteral("import"), path("second.csv"), QStringLiteral("--into"), path("work.glumet")},
                how, at, path("work.glumet"));
            const auto readings = readingsIn(path("work.glumet"));
            QVERIFY2(readings == 36 || readings == 72, qPrintable(QString::number(readings)));
            if (!done.killed) {
                // Said done, it is done; refused, it is not half there and one line says why.
                QCOMPARE(readings, done.code == 0 ? 72 : 36);
                if (done.code != 0) QCOMPARE(done.err.trimmed().count(QLatin1Char('\n')), 0);
            }
            if (done.code == 0 && !done.killed && how != QLatin1String("short")) break;
            if (done.code == 0 && at > 40) break;
        }
    }

  private:
    void ways() {
        QTest::addColumn<QString>("how");
        for (const char* how : {"full", "fault", "short", "kill"})
            QTest::newRow(how) << QString::fromLatin1(how);
    }

    /// A second edition over a first, with the disk failing at every `step`th write until none is left.
    void everyWrite(const QStringList& verb, int step) {
        QFETCH(QString, how);
        const auto edition = [&](const char* project, const QString& folder, int at) {
            return run(verb + QStringList{path(project), QStringLiteral("--out"), folder},
                       at == 0 ? QString() : how, at, dir_->path());
        };
        QCOMPARE(edition("one.glumet", path("out"), 0).code, 0);
        QCOMPARE(edition("one.glumet", path("wanted"), 0).code, 0);
        QCOMPARE(edition("two.glumet", path("wanted"), 0).code, 0);
        const auto before = contents(path("out"));
        const auto wanted = contents(path("wanted"));
        QVERIFY(before != wanted && before.size() >= 2);
        int refused = 0;
        for (int at = 1; at < 400; at += step) {
            const auto done = edition("two.glumet", path("out"), at);
            const auto now = contents(path("out"));
            if (done.killed) {
                QVERIFY2(now == before || now == wanted, qPrintable(QString::number(at)));
            } else if (done.code == 0) {
                QVERIFY2(now == wanted, qPrintable(QString::number(at)));
                QVERIFY(refused > 0 || how == QLatin1String("kill") || how == QLatin1String("short"));
                return;
            } else {
                ++refused;
                QVERIFY2(now == before, qPrintable(QString::number(at)));
                QCOMPARE(done.code, 1);
                QVERIFY2(done.err.contains(QStringLiteral("cannot be written")) ||
                             done.err.contains(QStringLiteral("one.glumet")) ||
                             done.err.contains(QStringLiteral("two.glumet")),
                         qPrintable(done.err));
            }
        }
        QFAIL("no end of writes");
    }

    int readingsIn(const QString& project) {
        const auto opened = glumet::Project::open(project);
        return opened ? static_cast<int>(glumet::readingCount((*opened)->bench())) : -1;
    }

    Result run(const QStringList& arguments, const QString& how = {}, int at = 0, const QString& under = {}) {
        const auto ended = startedCli().run(arguments, glumet::failingDisk(how, at, under));
        return {ended.code, ended.killed, QString::fromUtf8(ended.out), QString::fromUtf8(ended.err)};
    }
    QString path(const char* name) const { return dir_->filePath(QLatin1String(name)); }
    bool write(const char* name, const QByteArray& bytes) const {
        QFile file(path(name));
        return file.open(QIODevice::WriteOnly) && file.write(bytes) == bytes.size();
    }

    std::unique_ptr<QTemporaryDir> dir_;
};

GLUMET_TEST(TestFullDisk, "cli_full_disk", Application)

}  // namespace cli_full_disk

#include "test_full_disk.moc"
