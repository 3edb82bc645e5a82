#include <QProcess>
#include <QRandomGenerator>
#include <QSignalSpy>
#include <QSqlDatabase>
#include <QSqlError>
#include <QSqlQuery>
#include <QTemporaryDir>
#include <QTest>

#include "core/bench/bench_rules.h"
#include "core/simulation/demo_scenario.h"
#include "core/words/sentence.h"
#include "formats/bench_json.h"
#include "project/described.h"
#include "project/project_maker.h"
#include "project/schema.h"
#include "runner/registry.h"

namespace project_project {

using namespace glumet;

class TestProject : public QObject {
    Q_OBJECT

  private slots:
    void init() {
        dir_ = std::make_unique<QTemporaryDir>();
        path_ = dir_->filePath(QStringLiteral("bench.glumet"));
    }

    void everythingSurvivesClosing() {
        auto project = created();
        auto fixture = demoBench().fixtures.front();
        fixture.id = 0;
        const auto fixture_id = *project->save(fixture);
        auto tank = demoBench().tanks.back();
        tank.id = 0;
        const auto tank_id = *project->save(tank);
        Run run = plannedRun(fixture_id);
        run.tank = tank_id;
        run.level_pct = 61.803398874989;
        run.dark_reading = Ppfd(0.1);
        QVERIFY(project->save(run));
        auto reading = readingAt(50, 50, 1.0 / 3.0);
        reading.sd = 0.1;
        reading.extra["mood"] = "calm";
        QVERIFY(project->take(project->bench().runs[0].planes[0].id, reading));
        const auto before = described(project->bench());
        project.reset();
        project = opened();
        QCOMPARE(described(project->bench()), before);
        QCOMPARE(project->bench().runs[0].planes[0].readings[0].mean.value(), 1.0 / 3.0);
        fixture.id = fixture_id;
        QVERIFY(project->bench().fixtures[0] == fixture);
        tank.id = tank_id;
        QVERIFY(project->bench().tanks[0] == tank);
    }

    void aFileOfTheFirstFormatIsBroughtUpToDate() {
        QVERIFY(QFile::copy(QStringLiteral(GLUMET_SOURCE_DIR "/tests/data/version1.glumet"), path_));
        QFile::setPermissions(path_, QFile::ReadOwner | QFile::WriteOwner);
        auto project = opened();
        QCOMPARE(project->bench().runs[0].planes[0].readings.size(), std::size_t{2});
        auto fixture = project->bench().fixtures[0];
        QVERIFY(!fixture.beam);
        QCOMPARE(fixture.emitters.size.value(), 0.0);
        fixture.beam = *Beam::table({0, 40, 80}, {1.0, 0.7, 0.0});
        fixture.flux = PhotonFlux(90);
        QVERIFY(project->save(fixture));
        project.reset();
        project = opened();
        QVERIFY(project->bench().fixtures[0] == fixture);
        // What was done before the change of format can still be undone, and so can what came after.
        QVERIFY(*project->undo());
        QVERIFY(!project->bench().fixtures[0].beam);
        QVERIFY(*project->undo());
        QVERIFY(project->bench().runs.empty());
        QVERIFY(*project->redo() && *project->redo());
        QVERIFY(project->bench().fixtures[0] == fixture);
    }

    void goalsAreKeptAndUndone() {
        auto project = created();
        Method method = project->bench().method;
        method.goal.name = "bog corner";
        method.goal.band = {Ppfd(90), Ppfd(170)};
        method.goal.ceiling = Ppfd(260);
        method.goal.zone_to = Millimetre(180);
        method.goal.school = LightSchool::Gradient;
        auto other = method.goal;
        other.name = "shade";
        other.ceiling.reset();
        other.floor = Ppfd(12.5);
        other.photoperiod_h = 7.5;
        method.goals = {method.goal, other};
        QVERIFY(project->saveMethod(QStringLiteral("t"), method));
        project = opened();
        QVERIFY(project->bench().method == method);
        QVERIFY(*project->undo());
        QVERIFY(project->bench().method.goals.empty());
        QCOMPARE(project->bench().method.goal.band.low.value(), 150.0);
    }

    /// Means of others and the turn of a run: kept, exported, read back, and undone.
    void othersMeansAndATurnAreKept() {
        auto project = withRun();
        auto run = plannedRun(project->bench().fixtures.front().id);
        run.label = "chart";
        run.read_by = "a reader";
        run.turn_deg = 90.0;
        run.planes[0].grid.reset();
        run.planes[0].means = {{0, 6, 6, {0}, Ppfd(61), 0.02}, {0, 6, 6, {RingName::kLeast}, Ppfd(40), 0.02}};
        QVERIFY(project->save(run));
        const auto now = described(project->bench());
        project = opened();
        QCOMPARE(described(project->bench()), now);
        const auto& kept = project->bench().runs.back();
        QCOMPARE(kept.read_by, std::string("a reader"));
        QCOMPARE(kept.turn_deg, 90.0);
        QVERIFY(kept.onlyMeans());
        QCOMPARE(kept.planes.at(0).means.at(1).ring.number, RingName::kLeast);
        const auto again = readBench(writeBench(project->bench()));
        QVERIFY2(again, again ? "" : english(again.error()).c_str());
        QCOMPARE(again->runs.back().planes.at(0).means.at(0).ppfd, Ppfd(61));
        QVERIFY(*project->undo());
        QCOMPARE(project->bench().runs.size(), std::size_t{1});
        QVERIFY(*project->redo());
        QCOMPARE(project->bench().runs.back().planes.at(0).means.size(), std::size_t{2});
    }

    void aRingThatTheGridHasNotIsRefused() {
        auto project = withRun();
        auto run = plannedRun(project->bench().fixtures.front().id);
        run.planes[0].means = {{0, 6, 6, {3}, Ppfd(61), 0.02}};
        auto bench = project->bench();
        bench.runs.push_back(run);
        const auto faults = faultsOf(bench);
        QVERIFY(!faults.empty());
        QVERIFY2(english(faults[0]).find("has no ring 3") != std::string::npos, english(faults[0]).c_str());
    }

    void filesOfEarlierFormatsOpenWithTheirHistory_data() {
        QTest::addColumn<QString>("file");
        for (const char* name : {"version2", "version3", "version4", "version5", "version6", "version7",
                                 "version8", "version9", "version10", "version11", "version12", "version13"})
            QTest::newRow(name)
                << QStringLiteral(GLUMET_SOURCE_DIR "/tests/data/%1.glumet").arg(QLatin1String(name));
    }

    /// Each was made by the program that wrote its format: a fixture whose list of channels was edited
    /// between readings and runs, and the last edit undone.
    void filesOfEarlierFormatsOpenWithTheirHistory() {
        QFETCH(QString, file);
        QVERIFY(QFile::copy(file, path_));
        QFile::setPermissions(path_, QFile::ReadOwner | QFile::WriteOwner);
        auto project = opened();
        const auto fixture = [&]() -> const Fixture& { return project->bench().fixtures.front(); };
        QCOMPARE(channelNames(fixture()), std::string("warm white, deep red, blue"));
        QCOMPARE(project->bench().runs.size(), std::size_t{2});
        QCOMPARE(presetName(project->bench(), project->bench().runs[0]), std::string("all on"));
        QCOMPARE(soleChannel(fixture(), project->bench().runs[1].preset)->name, std::string("blue"));
        QCOMPARE(project->bench().method.spill_limit, 0.2);
        if (!file.contains(QLatin1String("version2")) && !file.contains(QLatin1String("version3"))) {
            QCOMPARE(project->bench().method.goal.name, std::string("clams"));
            QCOMPARE(project->bench().method.goal.band.high.value(), 400.0);
            QCOMPARE(project->bench().method.goals.front().ceiling->value(), 500.0);
        }
        const auto now = described(project->bench());
        QVERIFY(*project->redo());
        QCOMPARE(channelNames(fixture()), std::string("blue"));
        QVERIFY(*project->undo());
        QCOMPARE(described(project->bench()), now);
        QVERIFY(*project->undo());  // the method
        QCOMPARE(project->bench().method.spill_limit, 0.15);
        QCOMPARE(project->bench().method.goal.band.high.value(), 300.0);
        QVERIFY(*project->undo());  // the second run
        QVERIFY(*project->undo());  // the third channel
        QCOMPARE(channelNames(fixture()), std::string("warm white, deep red"));
        QCOMPARE(project->bench().runs.front().planes.front().readings.size(), std::size_t{2});
        while (*project->undo()) continue;
        QVERIFY(project->bench().fixtures.empty() && project->bench().runs.empty());
        for (int i = 0; i < 8; ++i) QVERIFY(*project->redo());
        QCOMPARE(described(project->bench()), now);
        project = opened();
        QCOMPARE(described(project->bench()), now);
    }

    void plansChecksAndCorrectionsAreKeptAndUndone() {
        auto project = created();
        Fixture fixture;
        fixture.name = "Fern 20";
        const auto fixture_id = *project->save(fixture);
        MeterProfile meter;
        meter.name = "S1";
        meter.response = {{400, 0.8}, {550, 1.0}};
        meter.cosine_error = 0.03;
        meter.corrections = {{"blue", 1.12, 0.04, "twin S2, 9 pairs", "2026-11-25", true}};
        meter.id = *project->save(meter);
        auto run = plannedRun(fixture_id);
        run.planes[0].grid->left_out = {{0, 0}};
        run.planes[0].grid->names[{1, 0}] = "reef top";
        const auto grid = run.planes[0].grid;
        QVERIFY(project->addRuns({{run, run}, {}}, QStringLiteral("plan")));
        CommissionCheck check;
        check.run = project->bench().runs[0].id;
        check.kind = CheckKind::WarmUp;
        check.value = -0.12;
        check.verdict = "steady";
        check.id = *project->save(check);
        check.overruled = "in a hurry";
        QVERIFY(project->save(check));
        project.reset();
        project = opened();
        QVERIFY(project->bench().meters[0] == meter);
        QVERIFY(*project->bench().runs[1].planes[0].grid == *grid);
        QVERIFY(project->bench().checks.size() == 1 && project->bench().checks[0] == check);
        QVERIFY(*project->undo() && *project->undo());
        QVERIFY(project->bench().checks.empty());
        QVERIFY(*project->undo());
        QVERIFY(project->bench().runs.empty());  // both runs were one step
        QVERIFY(*project->redo() && *project->redo() && *project->redo());
        QCOMPARE(project->bench().checks[0].overruled, std::string("in a hurry"));
    }

    void checkReadingsNeitherReplaceNorAreReplaced() {
        auto project = created();
        Fixture fixture;
        fixture.name = "Fern 20";
        QVERIFY(project->save(plannedRun(*project->save(fixture))));
        const auto plane = project->bench().runs[0].planes[0].id;
        QVERIFY(project->take(plane, readingAt(50, 50, 200)));
        auto again = readingAt(50, 50, 204);
        again.flag = Mark::Reference;
        QVERIFY(project->take(plane, again));
        QVERIFY(project->take(plane, readingAt(50, 50, 190)));
        const auto& readings = project->bench().runs[0].planes[0].readings;
        QVERIFY(readings[0].superseded && !readings[1].superseded && !readings[2].superseded);
        QVERIFY(!readings[1].counts() && readings[2].counts());
    }

    void undoAndRedoEveryKindOfEditAcrossARestart() {
        auto project = created();
        std::vector<std::string> states{described(project->bench())};
        const auto note = [&] { states.push_back(described(project->bench())); };
        Fixture fixture;
        fixture.name = "Fern 20";
        fixture.id = *project->save(fixture);
        note();
        fixture.maker = "Marsh";
        QVERIFY(project->save(fixture));
        note();
        QVERIFY(project->save(plannedRun(fixture.id)));
        note();
        const auto plane = project->bench().runs[0].planes[0].id;
        const auto first = *project->take(plane, readingAt(50, 50, 200));
        note();
        QVERIFY(project->take(plane, readingAt(50, 50, 210)));
        note();
        QVERIFY(project->setFlag(first, Mark::Doubtful));
        note();
        Method method;
        method.spill_limit = 0.2;
        QVERIFY(project->saveMethod(QStringLiteral("Other title"), method));
        note();
        QVERIFY(project->removeRun(project->bench().runs[0].id));
        note();
        for (auto state = states.rbegin() + 1; state != states.rend(); ++state) {
            QVERIFY(*project->undo());
            QCOMPARE(described(project->bench()), *state);
            if (state == states.rbegin() + 4) {
                project.reset();
                project = opened();
            }
        }
        QVERIFY(!*project->undo());
        for (std::size_t i = 1; i < states.size(); ++i) {
            QVERIFY(*project->redo());
            QCOMPARE(described(project->bench()), states[i]);
        }
        QVERIFY(!*project->redo());
    }

    void aNewEditForgetsWhatWasUndone() {
        auto project = created();
        Accessory accessory;
        accessory.name = "shroud";
        QVERIFY(project->save(accessory));
        QVERIFY(*project->undo());
        accessory.name = "lens kit";
        QVERIFY(project->save(accessory));
        QVERIFY(!*project->redo());
        QCOMPARE(project->bench().accessories.size(), std::size_t{1});
        QCOMPARE(project->undoTitle(), QStringLiteral("accessory lens kit"));
    }

    void theEarlierValueOfAPointIsKept() {
        auto project = withRun();
        const auto plane = project->bench().runs[0].planes[0].id;
        QVERIFY(project->take(plane, readingAt(50, 50, 200)));
        QVERIFY(project->take(plane, readingAt(50.2, 50, 210)));
        QVERIFY(project->take(plane, readingAt(150, 50, 300)));
        project.reset();
        const auto again = opened();
        const auto& readings = again->bench().runs[0].planes[0].readings;
        QCOMPARE(readings.size(), std::size_t{3});
        QVERIFY(readings[0].superseded && !readings[1].superseded);
        QCOMPARE(readings[0].mean.value(), 200.0);
    }

    void importIsOneStepAndAllOrNothing() {
        auto project = withRun();
        const auto before = described(project->bench());
        MergeReport made;
        const auto rows = rowsOf(withRows(
            {}, {row("A", 200, 150, 50, 50), row("A", 200, 150, 150, 50), row("B", 250, 150, 50, 50)}, made));
        QSignalSpy changed(project.get(), &Project::changed);
        const auto report = project->importRows(rows, QStringLiteral("a.csv"));
        QVERIFY(report);
        QCOMPARE(report->added, 3);
        QCOMPARE(changed.count(), 1);
        QCOMPARE(project->bench().runs.size(), std::size_t{3});
        const auto twice = project->importRows(rows, QStringLiteral("a.csv"));
        QCOMPARE(twice->already_there, 3);
        QVERIFY(*project->undo());
        QVERIFY(*project->undo());
        QCOMPARE(described(project->bench()), before);
        // A height no table allows breaks the last row: the sound ones before it must not stay.
        auto broken = rows;
        broken.back().depth = Millimetre(-5);
        QVERIFY(!project->importRows(broken, QStringLiteral("b.csv")));
        QCOMPARE(described(project->bench()), before);
        project.reset();
        QCOMPARE(described(opened()->bench()), before);
    }

    void filesThatAreNotProjectsAreLeftAlone_data() {
        QTest::addColumn<QByteArray>("bytes");
        QTest::addColumn<QString>("part");
        QTest::newRow("text") << QByteArray("hello, this is no database at all") << "not a Glumet project";
        QTest::newRow("empty") << QByteArray() << "not a Glumet project";
        QTest::newRow("cut header") << QByteArray("SQLite format 3\0", 16) << "not a Glumet project";
        QTest::newRow("foreign") << patched(68, QByteArray("\0\0\0\7", 4)) << "another program";
        QTest::newRow("newer") << patched(60, QByteArray("\0\0\0\x63", 4)) << "newer Glumet";
        QTest::newRow("cut short") << patched(0, {}).left(9000) << "damaged";
        QTest::newRow("scrambled") << patched(4096, QByteArray(8192, 'x')) << "damaged";
    }
    void filesThatAreNotProjectsAreLeftAlone() {
        QFETCH(QByteArray, bytes);
        QFETCH(QString, part);
        write(bytes);
        const auto project = Project::open(path_);
        QVERIFY(!project);
        const auto said = QString::fromStdString(english(project.error()));
        QVERIFY2(said.contains(part), qPrintable(said));
        QVERIFY(said.contains(path_));
        QCOMPARE(QDir(dir_->path()).entryList(QDir::Files).size(), 1);
        QFile file(path_);
        QVERIFY(file.open(QIODevice::ReadOnly));
        QCOMPARE(file.readAll(), bytes);
    }

    void aMissingFileAndAnExistingOne() {
        QVERIFY(!Project::open(dir_->filePath(QStringLiteral("none.glumet"))));
        created();
        const auto again = Project::create(path_, QStringLiteral("x"));
        QVERIFY(!again);
        QVERIFY(english(again.error()).find("exists") != std::string::npos);
    }

    /// A foreign hand takes rows or a table away while we have the project open: said, never an end of the
    /// program, and what was read stays in sight.
    void whatAForeignHandBreaksIsSaid_data() {
        QTest::addColumn<QString>("statement");
        QTest::newRow("a plane without its run") << QStringLiteral("DELETE FROM run");
        QTest::newRow("readings without their plane") << QStringLiteral("DELETE FROM plane");
        QTest::newRow("a table gone") << QStringLiteral("DROP TABLE reading");
    }
    void whatAForeignHandBreaksIsSaid() {
        QFETCH(QString, statement);
        auto project = withRun();
        const auto plane = project->bench().runs[0].planes[0].id;
        QVERIFY(project->take(plane, readingAt(50, 50, 100)));
        const auto before = described(project->bench());
        QCOMPARE(byForeignHand(path_, {statement}), QString());
        const auto done = project->take(plane, readingAt(150, 50, 110));
        QVERIFY(!done);
        QVERIFY(!english(done.error()).empty());
        QVERIFY(!project->save(plannedRun(project->bench().fixtures[0].id)));
        QCOMPARE(described(project->bench()), before);
        project.reset();
        // Nor does opening it end the program.
        QVERIFY(!Project::open(path_));
    }

    /// The file is moved away while a copy of it is made, or another program has it open: work goes on.
    void aFileMovedAwayWhileOthersHaveItOpenIsWrittenOn() {
        auto mine = withRun();
        auto other = opened();
        const auto plane = mine->bench().runs[0].planes[0].id;
        const auto away = dir_->filePath(QStringLiteral("away.glumet"));
        QVERIFY(QFile::rename(path_, away));
        QVERIFY(mine->take(plane, readingAt(50, 50, 111)));
        other.reset();
        QVERIFY(mine->take(plane, readingAt(150, 50, 222)));
        QVERIFY(!QFile::exists(path_ + QStringLiteral("-wal")));
        mine.reset();
        auto found = Project::open(away);
        QVERIFY(found);
        QCOMPARE((*found)->bench().runs[0].planes[0].readings.size(), std::size_t{2});
    }

    void anotherProcessesWorkIsTakenIn() {
        auto mine = withRun();
        auto other = opened();
        QVERIFY(other->take(other->bench().runs[0].planes[0].id, readingAt(50, 50, 111)));
        QVERIFY(mine->take(mine->bench().runs[0].planes[0].id, readingAt(150, 50, 222)));
        QCOMPARE(mine->bench().runs[0].planes[0].readings.size(), std::size_t{2});
    }

    void aCopyIsWholeAndRefusesToOverwrite() {
        auto project = withRun();
        const auto copy = dir_->filePath(QStringLiteral("copy.glumet"));
        QVERIFY(project->copyTo(copy));
        QVERIFY(!project->copyTo(copy));
        QCOMPARE(described((*Project::open(copy))->bench()), described(project->bench()));
    }

    /// A process is killed at a random moment of storing, again and again; every reading it reported must be
    /// there.
    void killedAtAnyMomentNoAcceptedReadingIsLost() {
        withRun().reset();
        constexpr int kKills = 20;
        std::size_t expected_rows = 0;
        for (int kill = 0; kill < kKills; ++kill) {
            QProcess writer;
            writer.start(QStringLiteral(GLUMET_BINARY_DIR "/reading_writer"), {path_});
            QVERIFY(writer.waitForStarted());
            QByteArray acknowledged;
            const int wanted = static_cast<int>(QRandomGenerator::global()->bounded(3U, 50U));
            while (acknowledged.count('\n') < wanted) {
                QVERIFY(writer.waitForReadyRead());
                acknowledged += writer.readAll();
            }
            writer.kill();
            writer.waitForFinished();
            acknowledged += writer.readAll();
            const auto count = static_cast<std::size_t>(acknowledged.count('\n'));
            const auto project = opened();
            const auto& readings = project->bench().runs[0].planes[0].readings;
            const auto stored = readings.size() - expected_rows;
            // The one being stored when the blow fell may be there as well.
            QVERIFY2(stored == count || stored == count + 1,
                     qPrintable(QStringLiteral("%1 of %2").arg(stored).arg(count)));
            QCOMPARE(readings[expected_rows + count - 1].mean.value(), static_cast<double>(count - 1));
            expected_rows = readings.size();
        }
    }

  private:
    std::unique_ptr<Project> created() {
        auto project = Project::create(path_, QStringLiteral("Test bench"));
        return project ? std::move(*project) : nullptr;
    }

    std::unique_ptr<Project> opened() {
        auto project = Project::open(path_);
        if (!project) qWarning("%s", english(project.error()).c_str());
        return project ? std::move(*project) : nullptr;
    }

    std::unique_ptr<Project> withRun() { return projectWithRun(path_); }

    static ReadingRow row(const std::string& run, double height, double depth, double x, double y) {
        ReadingRow out;
        out.run.label = run;
        out.fixture = "Fern 20";
        out.run.height = Millimetre(height);
        out.depth = Millimetre(depth);
        out.reading = readingAt(x, y, 100 + x);
        return out;
    }

    void write(const QByteArray& bytes) const {
        QFile file(path_);
        QVERIFY(file.open(QIODevice::WriteOnly));
        file.write(bytes);
    }

    /// A sound project file with some bytes replaced.
    static QByteArray patched(int at, const QByteArray& bytes) {
        const QTemporaryDir dir;
        const auto path = dir.filePath(QStringLiteral("sound.glumet"));
        Project::create(path, QStringLiteral("x"));
        QFile file(path);
        if (!file.open(QIODevice::ReadOnly)) return {};
        QByteArray all = file.readAll();
        return all.replace(at, bytes.size(), bytes);
    }

    std::unique_ptr<QTemporaryDir> dir_;
    QString path_;
};

GLUMET_TEST(TestProject, "project_project", Application)

}  // namespace project_project

#include "test_project.moc"
