#include <QTemporaryDir>
#include <QTest>

#include "core/bench/move_ids.h"
#include "core/words/sentence.h"
#include "formats/bench_json.h"
#include "formats/readings_csv.h"
#include "project/held_project.h"
#include "project/project_maker.h"
#include "runner/registry.h"

namespace project_ratings {

using namespace glumet;

/// Scores, prices, ages and the weights of a comparison in a project.
class TestRatings : public QObject {
    Q_OBJECT

  private slots:
    void init() {
        folder_ = std::make_unique<QTemporaryDir>();
        path_ = folder_->filePath(QStringLiteral("bench.glumet"));
        project_ = projectWithRun(path_);
        QVERIFY(project_);
    }

    void aScoreIsKeptChangedAndTakenBack() {
        const Id id = *project_->save(rating());
        auto kept = bench().ratings.front();
        kept.score = 5;
        kept.reason = "seen again";
        QVERIFY(project_->save(kept));
        reopen();
        QCOMPARE(bench().ratings.size(), std::size_t{1});
        QCOMPARE(bench().ratings.front().score, 5);
        QCOMPARE(bench().ratings.front().reason, std::string("seen again"));
        QVERIFY(*project_->undo());
        QCOMPARE(bench().ratings.front().score, 2);
        QVERIFY(*project_->undo());
        QVERIFY(bench().ratings.empty());
        QVERIFY(*project_->redo());
        QVERIFY(project_->removeRating(id));
        QVERIFY(bench().ratings.empty());
        QVERIFY(*project_->undo());
        QCOMPARE(bench().ratings.front().by, std::string("Wren"));
    }

    void whatIsNoScoreIsRefused() {
        for (const int score : {0, 6, -1}) {
            auto wrong = rating();
            wrong.score = score;
            const auto done = project_->save(wrong);
            QVERIFY(!done);
            QVERIFY2(english(done.error()).find("score") != std::string::npos, english(done.error()).c_str());
        }
        auto nobody = rating();
        nobody.fixture = 999;
        QVERIFY(!project_->save(nobody));
        auto large = rating();
        large.photo.assign(2'000'000, 'A');
        QVERIFY(!project_->save(large));
        QVERIFY(bench().ratings.empty());
    }

    void scoresGoWithTheirFixtureOnly() {
        Accessory frost;
        frost.name = "frost";
        frost.price = 12.5;
        const Id accessory = *project_->save(frost);
        QCOMPARE(bench().accessories.front().price, 12.5);
        auto with = rating();
        with.accessory = accessory;
        QVERIFY(project_->save(with));
        reopen();
        QCOMPARE(bench().ratings.front().accessory, accessory);
    }

    void whatFixturesCostAndTheirAgeIsKept() {
        auto fixture = bench().fixtures.front();
        fixture.price = 210;
        fixture.mount_price = 20;
        fixture.lamp_price = 30;
        fixture.life_h = 40000;
        fixture.noise_dba = 31;
        QVERIFY(project_->save(fixture));
        auto run = bench().runs.front();
        run.hours = 4500;
        QVERIFY(project_->save(run));
        reopen();
        const auto& kept = bench().fixtures.front();
        QCOMPARE(kept.mount_price, 20.0);
        QCOMPARE(kept.lamp_price, 30.0);
        QCOMPARE(kept.life_h, 40000.0);
        QCOMPARE(*kept.noise_dba, 31.0);
        QCOMPARE(*bench().runs.front().hours, 4500.0);
        fixture = kept;
        fixture.noise_dba = 400;
        QVERIFY(!project_->save(fixture));
    }

    void theMethodOfAComparisonIsKept() {
        auto method = bench().method;
        method.weights = {{Criterion::Shadow, 4}, {Criterion::LifeCost, 0}};
        method.on_purpose = {Condition::Age, Condition::Reader};
        method.compared_height = Millimetre(240);
        method.years = 7;
        method.eye_away = Millimetre(1500);
        method.eye_above = Millimetre(-50);
        QVERIFY(project_->saveMethod(QStringLiteral("compare"), method));
        reopen();
        QVERIFY(bench().method == method);
        method.years = 0;
        QVERIFY(!project_->saveMethod(QStringLiteral("compare"), method));
        method.years = 5;
        method.weights = {{Criterion::Shadow, 9}};
        QVERIFY(!project_->saveMethod(QStringLiteral("compare"), method));
    }

    void anExportBringsAllOfItBack() {
        Accessory frost;
        frost.name = "frost";
        auto with = rating();
        with.accessory = *project_->save(frost);
        with.photo = "aGVsbG8=";
        QVERIFY(project_->save(with));
        auto run = bench().runs.front();
        run.hours = 4500;
        QVERIFY(project_->save(run));
        QVERIFY(project_->take(run.planes.front().id, readingAt(50, 50, 120)));
        const auto again = readBench(writeBench(bench()));
        QVERIFY2(again, again ? "" : english(again.error()).c_str());
        QCOMPARE(again->ratings.size(), std::size_t{1});
        QCOMPARE(again->ratings.front().photo, std::string("aGVsbG8="));
        QCOMPARE(byId(again->accessories, again->ratings.front().accessory)->name, std::string("frost"));
        const auto table = readReadings(writeReadings(rowsOf(bench())));
        QVERIFY(table.problems.empty());
        QCOMPARE(table.rows.size(), std::size_t{1});
        for (const auto& row : table.rows) QCOMPARE(*row.run.hours, 4500.0);
        // Into another project, twice: nothing doubles.
        auto other = std::move(
            *Project::create(folder_->filePath(QStringLiteral("other.glumet")), QStringLiteral("other")));
        for (int i = 0; i < 2; ++i) QVERIFY(other->importBench(*again, table.rows, QStringLiteral("export")));
        QCOMPARE(other->bench().ratings.size(), std::size_t{1});
        QCOMPARE(other->bench().runs.size(), std::size_t{1});
        QCOMPARE(*other->bench().runs.front().hours, 4500.0);
    }

    void idsMoveTogether() {
        auto moved = bench();
        moveIds(moved, [](const char* /*table*/) { return Id{1000}; });
        QCOMPARE(moved.fixtures.front().id, bench().fixtures.front().id - 1000);
        QCOMPARE(moved.runs.front().fixture, moved.fixtures.front().id);
        QCOMPARE(moved.runs.front().planes.front().id, bench().runs.front().planes.front().id - 1000);
        QCOMPARE(moved.runs.front().accessory, Id{0});
    }

    void whatCannotBeIsNamedAndRescued_data() {
        QTest::addColumn<QString>("sql");
        QTest::addColumn<QString>("says");
        QTest::newRow("score") << "UPDATE rating SET score = 9"
                               << "score";
        QTest::newRow("age") << "UPDATE run SET hours = -5"
                             << "hours";
        QTest::newRow("noise") << "UPDATE fixture SET noise_dba = 1e6"
                               << "noise";
        QTest::newRow("years") << "UPDATE project SET years = -1"
                               << "years";
    }
    void whatCannotBeIsNamedAndRescued() {
        QFETCH(QString, sql);
        QFETCH(QString, says);
        QVERIFY(project_->save(rating()));
        project_.reset();
        QCOMPARE(bentBy(path_, sql), QString());
        const auto opened = Project::open(path_);
        QVERIFY(!opened);
        QVERIFY2(QString::fromStdString(english(opened.error())).contains(says),
                 english(opened.error()).c_str());
        const auto rescued = Project::rescue(path_);
        QVERIFY2(rescued, rescued ? "" : english(rescued.error()).c_str());
        // A method that cannot be gives way to the usual one, which is no loss to name.
        QCOMPARE((*rescued)->missing().empty(), says == QLatin1String("years"));
        QCOMPARE((*rescued)->bench().fixtures.size(), std::size_t{1});  // itself, or what stands in for it
    }

  private:
    const Bench& bench() const { return project_->bench(); }
    void reopen() {
        project_.reset();
        project_ = std::move(*Project::open(path_));
    }
    Rating rating() const {
        Rating out;
        out.fixture = bench().fixtures.front().id;
        out.criterion = RubricCriterion::NightLight;
        out.score = 2;
        out.reason = "too bright";
        out.by = "Wren";
        return out;
    }
    std::unique_ptr<QTemporaryDir> folder_;
    std::unique_ptr<Project> project_;
    QString path_;
};

GLUMET_TEST(TestRatings, "project_ratings", Application)

}  // namespace project_ratings

#include "test_ratings.moc"
