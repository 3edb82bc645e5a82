#include <QSqlQuery>
#include <QTemporaryDir>
#include <QTest>

#include "core/words/sentence.h"
#include "project/held_project.h"
#include "project/project_maker.h"
#include "runner/registry.h"

namespace project_spectra_damage {

using namespace glumet;

/// Spectra, clocks and logs in a file that somebody has bent.
class TestSpectraDamage : public QObject {
    Q_OBJECT

  private slots:
    void init() {
        folder_ = std::make_unique<QTemporaryDir>();
        path_ = folder_->filePath(QStringLiteral("bench.glumet"));
        auto project = projectWithRun(path_);
        QVERIFY(project);
        const Id fixture = project->bench().fixtures.front().id;
        SpectrumRecord record;
        record.name = "all on";
        record.fixture = fixture;
        record.spectrum = {{400, 500, 700}, {0, 2, 0}};
        QVERIFY(project->save(record));
        Schedule schedule;
        schedule.name = "day";
        schedule.fixture = fixture;
        schedule.ramps = {{0, 0, {{8, 0}, {9, 100}}}};
        QVERIFY(project->save(schedule));
        DayLog log;
        log.name = "logger";
        log.points = {{1, Ppfd(3)}, {2, Ppfd(4)}};
        QVERIFY(project->save(log));
    }

    void whatCannotBeIsNamedAndRescued_data() {
        QTest::addColumn<QString>("sql");
        QTest::addColumn<QString>("says");
        QTest::newRow("no JSON") << "UPDATE spectrum SET spectrum = 'x'"
                                 << "wavelength";
        QTest::newRow("descending")
            << R"(UPDATE spectrum SET spectrum = '{"wavelength_nm":[500,400],"photons":[1,1]}')"
            << "ascend";
        QTest::newRow("unequal")
            << R"(UPDATE spectrum SET spectrum = '{"wavelength_nm":[400,500],"photons":[1]}')"
            << "as many values";
        QTest::newRow("depth") << "UPDATE spectrum SET depth_mm = 1e9"
                               << "depth_mm";
        QTest::newRow("back in time")
            << R"(UPDATE schedule_ramp SET points = '[{"hour":9,"level_pct":0},{"hour":8,"level_pct":5}]')"
            << "in time";
        QTest::newRow("lights") << "UPDATE schedule SET lights = 0"
                                << "lights";
        QTest::newRow("log") << R"(UPDATE day_log SET points = '[{"hour":2,"ppfd":1},{"hour":1,"ppfd":1}]')"
                             << "in time";
    }
    /// Opening refuses by name; looking as far as it is sound leaves the rest whole.
    void whatCannotBeIsNamedAndRescued() {
        QFETCH(QString, sql);
        QFETCH(QString, says);
        QCOMPARE(bentBy(path_, sql), QString());
        const auto opened = Project::open(path_);
        QVERIFY(!opened);
        const auto why = QString::fromStdString(english(opened.error()));
        QVERIFY2(why.contains(says), qPrintable(why));
        const auto rescued = Project::rescue(path_);
        QVERIFY2(rescued, rescued ? "" : english(rescued.error()).c_str());
        QVERIFY(!(*rescued)->missing().empty());
        QCOMPARE((*rescued)->bench().runs.size(), std::size_t{1});
        const QString copy = folder_->filePath(QStringLiteral("rescued.glumet"));
        QVERIFY((*rescued)->copyTo(copy));
        const auto again = Project::open(copy);
        QVERIFY2(again, again ? "" : english(again.error()).c_str());
        QVERIFY((*again)->faults().empty());
    }

    void aLampThatGoesTakesItsLightAlong() {
        auto project = std::move(*Project::open(path_));
        while (*project->undo()) continue;
        QVERIFY(project->bench().spectra.empty() && project->bench().schedules.empty() &&
                project->bench().logs.empty());
        while (*project->redo()) continue;
        QCOMPARE(project->bench().spectra.size(), std::size_t{1});
        QCOMPARE(project->bench().schedules.front().ramps.front().points.size(), std::size_t{2});
        QCOMPARE(project->bench().logs.size(), std::size_t{1});
    }

  private:
    std::unique_ptr<QTemporaryDir> folder_;
    QString path_;
};

GLUMET_TEST(TestSpectraDamage, "project_spectra_damage", Application)

}  // namespace project_spectra_damage

#include "test_spectra_damage.moc"
