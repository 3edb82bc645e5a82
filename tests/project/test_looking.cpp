#include <sys/file.h>

#include <QProcess>
#include <QRandomGenerator>
#include <QStandardPaths>
#include <QTemporaryDir>
#include <QTest>

#include "project/described.h"
#include "project/kept_copies.h"
#include "project/log_check.h"
#include "project/project_maker.h"
#include "project/sql_guard.h"
#include "runner/registry.h"

namespace project_looking {

using namespace glumet;

/// What is looked at, refused, rescued and kept aside.
class TestLooking : public QObject {
    Q_OBJECT

  private slots:
    void initTestCase() { QStandardPaths::setTestModeEnabled(true); }
    void init() {
        dir_ = std::make_unique<QTemporaryDir>();
        path_ = dir_->filePath(QStringLiteral("bench.glumet"));
    }

    void lookingChangesAndMakesNothing_data() {
        QTest::addColumn<bool>("log");
        QTest::newRow("closed") << false;
        QTest::newRow("with a log left beside it") << true;
    }
    void lookingChangesAndMakesNothing() {
        QFETCH(bool, log);
        if (log)
            leaveLog();
        else
            projectWithReadings(path_).reset();
        const auto before = contentsOf(dir_->path());
        QCOMPARE(before.size(), log ? 2U : 1U);
        {
            const auto project = Project::look(path_);
            QVERIFY2(project, qPrintable(project ? QString() : said(project.error())));
            QCOMPARE((*project)->bench().runs[0].planes[0].readings.size(), std::size_t{36});
            QVERIFY((*project)->lookedAt());
            QVERIFY((*project)->faults().empty());
            QVERIFY(!(*project)->saveMethod(QStringLiteral("x"), {}));
            QVERIFY(!(*project)->undo());
            QVERIFY((*project)->copyTo(dir_->filePath(QStringLiteral("copy"))));
            QFile::remove(dir_->filePath(QStringLiteral("copy")));
        }
        QCOMPARE(contentsOf(dir_->path()), before);
    }

    void earlierFormatsAreLookedAtAsTheyAre_data() {
        QTest::addColumn<int>("version");
        for (int version = 1; version <= 5; ++version) QTest::addRow("%d", version) << version;
    }
    void earlierFormatsAreLookedAtAsTheyAre() {
        QFETCH(int, version);
        const auto kept = QStringLiteral(GLUMET_SOURCE_DIR "/tests/data/version%1.glumet").arg(version);
        QVERIFY(QFile::copy(kept, path_));
        const auto project = Project::look(path_);
        QVERIFY2(project, qPrintable(project ? QString() : said(project.error())));
        QCOMPARE((*project)->format(), version);
        QVERIFY(!(*project)->bench().runs.empty());
        QCOMPARE(bytesOf(path_), bytesOf(kept));
    }

    /// A page is damaged while a log lies beside the file: told, and not a byte changes.
    void damageBesideALogIsSeen() {
        leaveLog();
        auto bytes = bytesOf(path_);
        for (qsizetype at = 4096; at < bytes.size(); at += 4096)
            bytes.replace(at, 64, QByteArray(64, '\x55'));
        QVERIFY(writeBytes(path_, bytes));
        // What the log holds anew hides damage below it; without those pages in it nothing would be left.
        QVERIFY(writeBytes(path_ + QStringLiteral("-wal"), shortLog()));
        const auto before = contentsOf(dir_->path());
        QVERIFY(!Project::look(path_));
        const auto opened = Project::open(path_);
        QVERIFY(!opened);
        QVERIFY2(said(opened.error()).contains(QStringLiteral("damaged")), qPrintable(said(opened.error())));
        QCOMPARE(contentsOf(dir_->path()), before);
    }

    void aDamagedLogIsSeen() {
        leaveLog();
        const auto log = bytesOf(path_ + QStringLiteral("-wal"));
        QCOMPARE(lostEdits(log), 0);
        QCOMPARE(lostEdits({}), 0);
        // At its head, and in the middle: what was stored after that would silently be gone.
        QCOMPARE(lostEdits(QByteArray(log).replace(4, 1, "x")), -1);
        const auto spoiled = QByteArray(log).replace(log.size() / 2, 1, "x");
        QVERIFY(lostEdits(spoiled) > 2);
        // The last edit alone may have been torn by a loss of power and was never said to be stored.
        QCOMPARE(lostEdits(QByteArray(log).replace(log.size() - 9, 4, "xxxx")), 0);
        QCOMPARE(lostEdits(log.left(log.size() - 100)), 0);
        QVERIFY(writeBytes(path_ + QStringLiteral("-wal"), spoiled));
        const auto before = contentsOf(dir_->path());
        const auto opened = Project::open(path_);
        QVERIFY(!opened);
        QVERIFY2(said(opened.error()).contains(QStringLiteral("edits cannot be read")),
                 qPrintable(said(opened.error())));
        QCOMPARE(contentsOf(dir_->path()), before);
    }

    void whatAForeignHandWouldRunIsRefusedByName_data() {
        QTest::addColumn<QString>("statement");
        QTest::addColumn<QString>("name");
        QTest::newRow("trigger")
            << "CREATE TRIGGER tidy AFTER INSERT ON reading BEGIN DELETE FROM reading; END"
            << "tidy";
        QTest::newRow("view") << "CREATE VIEW endless AS WITH RECURSIVE n(i) AS (SELECT 1 UNION ALL SELECT i "
                                 "+ 1 FROM n) SELECT i FROM n"
                              << "endless";
        QTest::newRow("trigger under a name of ours")
            << "CREATE TRIGGER undo_reading_insert AFTER INSERT ON reading BEGIN DELETE FROM run; END"
            << "undo_reading_insert";
        QTest::newRow("table") << "CREATE TABLE more(a TEXT DEFAULT (hex(zeroblob(1000000))))"
                               << "more";
        QTest::newRow("computed column")
            << "ALTER TABLE accessory ADD COLUMN extra TEXT AS (hex(zeroblob(9999999)))"
            << "accessory";
        QTest::newRow("default that computes")
            << "ALTER TABLE accessory ADD COLUMN extra TEXT DEFAULT CURRENT_TIMESTAMP"
            << "accessory";
        QTest::newRow("index over an expression") << "CREATE INDEX slow ON reading(abs(ppfd))"
                                                  << "slow";
    }
    void whatAForeignHandWouldRunIsRefusedByName() {
        QFETCH(QString, statement);
        QFETCH(QString, name);
        projectWithReadings(path_).reset();
        QStringList statements{statement};
        if (name.startsWith(QLatin1String("undo_")))
            statements.prepend(QStringLiteral("DROP TRIGGER ") + name);
        if (const auto fault = byForeignHand(path_, statements); !fault.isEmpty())
            QSKIP(qPrintable(QStringLiteral("SQLite itself refuses it: ") + fault));
        const auto before = contentsOf(dir_->path());
        for (const auto& project : {Project::open(path_), Project::look(path_)}) {
            QVERIFY(!project);
            QVERIFY2(said(project.error()).contains(QStringLiteral("\"%1\"").arg(name)),
                     qPrintable(said(project.error())));
        }
        QCOMPARE(contentsOf(dir_->path()), before);
        // What is ours in it can still be had.
        const auto rescued = Project::rescue(path_);
        QVERIFY(rescued);
        QCOMPARE((*rescued)->bench().runs[0].planes[0].readings.size(), std::size_t{36});
    }

    void aStatementThatDoesNotEndIsEnded() {
        SqlGuard guard(std::chrono::milliseconds(20));
        {
            auto database = QSqlDatabase::addDatabase(QStringLiteral("QSQLITE"), QStringLiteral("endless"));
            database.setDatabaseName(QStringLiteral(":memory:"));
            QVERIFY(database.open());
            guard.watch(database);
            guard.begin();
            QSqlQuery query(database);
            query.exec(QStringLiteral(
                "WITH RECURSIVE n(i) AS (SELECT 1 UNION ALL SELECT i + 1 FROM n) SELECT count(*) FROM n"));
            QVERIFY(!query.next());
            QVERIFY(query.lastError().isValid());
        }
        QSqlDatabase::removeDatabase(QStringLiteral("endless"));
    }

    void valuesThatCannotBeAreRefusedByPlaceAndRule_data() {
        QTest::addColumn<QString>("statement");
        QTest::addColumn<QString>("place");
        QTest::newRow("no fixtures") << "UPDATE run SET fixtures = 0"
                                     << "run first, fixtures";
        QTest::newRow("fewer than none") << "UPDATE run SET fixtures = -1"
                                         << "run first, fixtures";
        QTest::newRow("a thousand million") << "UPDATE run SET fixtures = 1000000000"
                                            << "run first, fixtures";
        QTest::newRow("infinite") << "UPDATE reading SET ppfd = 9e999 WHERE id = 5"
                                  << "reading 5, ppfd";
        QTest::newRow("beyond any light") << "UPDATE reading SET ppfd = 1e308 WHERE id = 5"
                                          << "reading 5, ppfd";
        QTest::newRow("emitters") << "UPDATE fixture SET emitter_columns = 65536, emitter_rows = 65536"
                                  << "fixture Fern 20, emitter_columns";
        QTest::newRow("too many together") << "UPDATE fixture SET emitter_columns = 1000, emitter_rows = 1000"
                                           << "fixture Fern 20, emitter_columns";
        QTest::newRow("grid of the method") << "UPDATE project SET grid_columns = 20000, grid_rows = 20000"
                                            << "method, grid_columns";
        QTest::newRow("a long name") << "UPDATE fixture SET name = printf('%.*c', 10000000, 'x')"
                                     << "name: is longer than";
        QTest::newRow("no text") << "UPDATE fixture SET name = CAST(x'ff41fe' AS TEXT)"
                                 << "name: is not UTF-8";
        QTest::newRow("high as a house") << "UPDATE run SET height_mm = 1e7"
                                         << "run first, height_mm";
    }
    void valuesThatCannotBeAreRefusedByPlaceAndRule() {
        QFETCH(QString, statement);
        QFETCH(QString, place);
        projectWithReadings(path_).reset();
        QCOMPARE(byForeignHand(path_, {statement}), QString());
        const auto project = Project::open(path_);
        QVERIFY(!project);
        const auto sentence = said(project.error());
        QVERIFY2(sentence.contains(place), qPrintable(sentence));
        QVERIFY(sentence.size() < 300);
        QVERIFY(!sentence.contains(QLatin1Char('\n')));
        // Nor can they be put in by way of the program.
        QVERIFY(Project::rescue(path_));
    }

    void theSameRulesHoldForWhatIsStored() {
        auto project = projectWithRun(path_);
        const auto plane = project->bench().runs[0].planes[0].id;
        QVERIFY(!project->take(plane, readingAt(50, 50, 1e308)));
        QVERIFY(!project->take(plane, readingAt(50, 50, std::nan(""))));
        QVERIFY(!project->take(plane, readingAt(1e9, 50, 100)));
        auto run = project->bench().runs[0];
        run.fixtures = 0;
        QVERIFY(!project->save(run));
        auto fixture = project->bench().fixtures[0];
        fixture.name = std::string(2'000, 'x');
        const auto saved = project->save(fixture);
        QVERIFY(!saved);
        QVERIFY(said(saved.error()).size() < 300);
        QCOMPARE(described(project->bench()), described((*Project::look(path_))->bench()));
    }

    void theReadableRowsOfADamagedProjectAreRescued() {
        projectWithReadings(path_).reset();
        const auto sound = bytesOf(path_);
        QRandomGenerator random(7);
        int rescued = 0;
        int whole = 0;
        for (int round = 0; round < 40; ++round) {
            auto bytes = sound;
            // One page after the schema's.
            const auto page = 1 + random.bounded(static_cast<int>(sound.size() / 4096) - 1);
            bytes.replace(page * 4096, 2048, QByteArray(2048, static_cast<char>(random.bounded(256))));
            QVERIFY(writeBytes(path_, bytes));
            const auto project = Project::rescue(path_);
            QCOMPARE(bytesOf(path_), bytes);
            if (!project) continue;
            ++rescued;
            QVERIFY((*project)->lookedAt());
            QCOMPARE((*project)->path(), path_);
            std::size_t readings = 0;
            for (const auto& run : (*project)->bench().runs)
                for (const auto& plane : run.planes) readings += plane.readings.size();
            if (readings == 36)
                ++whole;
            else
                QVERIFY2(!(*project)->missing().empty(), "what is missing must be named");
            const auto copy = dir_->filePath(QStringLiteral("rescue %1.glumet").arg(round));
            QVERIFY((*project)->copyTo(copy));
            auto again = Project::open(copy);
            QVERIFY2(again, qPrintable(again ? QString() : said(again.error())));
            QVERIFY((*again)->faults().empty());
            QCOMPARE(described((*again)->bench()), described((*project)->bench()));
        }
        QVERIFY2(rescued >= 30, qPrintable(QString::number(rescued)));
        QVERIFY(whole > 10);
    }

    void readingsOutliveTheFixtureTheyAreOf() {
        projectWithReadings(path_).reset();
        QCOMPARE(byForeignHand(path_, {QStringLiteral("DELETE FROM fixture")}), QString());
        QVERIFY(!Project::look(path_));
        const auto project = Project::rescue(path_);
        QVERIFY(project);
        QCOMPARE((*project)->bench().runs[0].planes[0].readings.size(), std::size_t{36});
        QCOMPARE((*project)->bench().fixtures.size(), std::size_t{1});
    }

    void aProjectThatAnotherProgramHoldsIsLookedAt() {
        auto project = projectWithReadings(path_);
        {
            auto other = QSqlDatabase::addDatabase(QStringLiteral("QSQLITE"), QStringLiteral("holder"));
            other.setDatabaseName(path_);
            QVERIFY(other.open());
            QSqlQuery query(other);
            QVERIFY(query.exec(QStringLiteral("BEGIN IMMEDIATE")));
            auto impatient = Project::open(path_, std::chrono::milliseconds(1));
            QVERIFY(impatient);
            QVERIFY(!(*impatient)->saveMethod(QStringLiteral("x"), {}));
            QVERIFY(Project::look(path_));
        }
        QSqlDatabase::removeDatabase(QStringLiteral("holder"));
        QVERIFY(project->saveMethod(QStringLiteral("x"), {}));
    }

    void copiesAreKeptFewAndOnlyOfWhatChanged() {
        const KeptCopies copies(dir_->filePath(QStringLiteral("kept")));
        auto project = projectWithRun(path_);
        const auto plane = project->bench().runs[0].planes[0].id;
        const QDateTime start(QDate(2026, 11, 26), QTime(20, 0));
        QVERIFY(*copies.keep(path_, start));
        QVERIFY(!*copies.keep(path_, start.addSecs(3600)));  // nothing has changed
        for (int hour = 1; hour <= 10; ++hour) {
            QVERIFY(project->take(plane, readingAt(50, 50, 100 + hour)));
            QVERIFY(*copies.keep(path_, start.addSecs(3600 * hour)));
        }
        const auto kept = copies.of(path_);
        QCOMPARE(kept.size(), qsizetype{KeptCopies::kMost});
        QCOMPARE(kept.front().time, start.addSecs(36000));
        // Each is whole by itself, though the project was open with a log beside it.
        for (qsizetype i = 0; i < kept.size(); ++i) {
            const auto copy = Project::look(kept[i].path);
            QVERIFY(copy);
            QCOMPARE((*copy)->bench().runs[0].planes[0].readings.size(), static_cast<std::size_t>(10 - i));
        }
        // Another project of the same name elsewhere has copies of its own.
        QVERIFY(copies.of(dir_->filePath(QStringLiteral("kept/bench.glumet"))).isEmpty());
    }

    /// Another program that opens the project and goes must not take the log away from under us.
    void keepingACopyLeavesTheLocksOfAnOpenProject() {
        const KeptCopies copies(dir_->filePath(QStringLiteral("kept")));
        auto project = projectWithRun(path_);
        QVERIFY(*copies.keep(path_, QDateTime(QDate(2026, 11, 26), QTime(20, 0))));
        const auto look = [&] {
            QProcess other;
            other.start(QStringLiteral(GLUMET_BINARY_DIR "/editor"), {path_, QStringLiteral("look")});
            other.waitForFinished(-1);
            return other.readAllStandardOutput();
        };
        const auto before = look();
        QVERIFY(QFileInfo(path_ + QStringLiteral("-wal")).exists());
        QVERIFY(project->take(project->bench().runs[0].planes[0].id, readingAt(50, 50, 111)));
        QVERIFY(!before.isEmpty());
        QVERIFY(look() != before);
    }

    void aCopyIsKeptBeforeAFileIsBroughtUpToDate() {
        const auto old = QStringLiteral(GLUMET_SOURCE_DIR "/tests/data/version3.glumet");
        QVERIFY(QFile::copy(old, path_));
        QFile::setPermissions(path_, QFile::ReadOwner | QFile::WriteOwner);
        QVERIFY(Project::open(path_));
        const auto kept = KeptCopies().of(path_);
        QCOMPARE(kept.size(), 1);
        const auto copy = Project::look(kept[0].path);
        QVERIFY(copy);
        QCOMPARE((*copy)->format(), 3);
        QCOMPARE(described((*copy)->bench()), described((*Project::look(old))->bench()));
        QFile::remove(kept[0].path);
    }

  private:
    /// A project with 36 readings whose last edits stand in the log alone, as a killed program leaves it.
    void leaveLog() {
        const auto alive = dir_->filePath(QStringLiteral("alive.glumet"));
        {
            const auto project = projectWithReadings(alive);
            QVERIFY(QFile::copy(alive, path_));
            QVERIFY(QFile::copy(alive + QStringLiteral("-wal"), path_ + QStringLiteral("-wal")));
        }
        QFile::remove(alive);
    }

    /// The log of leaveLog() up to its first frames.
    QByteArray shortLog() const { return bytesOf(path_ + QStringLiteral("-wal")).left(32 + 2 * (24 + 4096)); }

    std::unique_ptr<QTemporaryDir> dir_;
    QString path_;
};

GLUMET_TEST(TestLooking, "project_looking", Application)

}  // namespace project_looking

#include "test_looking.moc"
