#include <QFile>
#include <QTemporaryDir>
#include <QTest>

#include "core/spectrum/bands.h"
#include "core/spectrum/spectral_sample.h"
#include "core/words/sentence.h"
#include "formats/bench_json.h"
#include "project/project.h"
#include "runner/registry.h"

namespace project_spectra {

using namespace glumet;

/// Spectra, schedules and loggers' days in a project.
class TestSpectra : public QObject {
    Q_OBJECT

  private slots:
    void init() {
        folder_ = std::make_unique<QTemporaryDir>();
        path_ = folder_->filePath(QStringLiteral("bench.glumet"));
    }

    void aSpectrumIsKeptChangedAndTakenBack() {
        auto project = withFixture();
        const Id id = *project->save(record(*project));
        QCOMPARE(project->bench().spectra.size(), std::size_t{1});
        auto kept = project->bench().spectra.front();
        kept.id = 0;
        QVERIFY(kept == record(*project));
        kept.id = id;
        kept.name = "again";
        QVERIFY(project->save(kept));
        project.reset();
        project = std::move(*Project::open(path_));
        QCOMPARE(project->bench().spectra.front().name, std::string("again"));
        QVERIFY(*project->undo());
        QCOMPARE(project->bench().spectra.front().name, std::string("blue"));
        QVERIFY(*project->undo());
        QVERIFY(project->bench().spectra.empty());
        QVERIFY(*project->redo());
        QVERIFY(project->removeSpectra({id}));
        QVERIFY(project->bench().spectra.empty());
        QVERIFY(*project->undo());
        QCOMPARE(project->bench().spectra.size(), std::size_t{1});
    }

    void whatIsNoSpectrumIsRefused() {
        auto project = withFixture();
        for (const Spectrum& wrong : {Spectrum{}, Spectrum{{500, 400}, {1, 1}}, Spectrum{{400, 500}, {1, -1}},
                                      Spectrum{{400, 4000}, {1, 1}}}) {
            auto one = record(*project);
            one.spectrum = wrong;
            QVERIFY(!project->save(one));
            QVERIFY(!project->addSpectra({record(*project), one}, QStringLiteral("two")));
        }
        QVERIFY(project->bench().spectra.empty());
    }

    void aChannelTakesItsSpectraAlong() {
        auto project = withFixture();
        QVERIFY(project->save(record(*project)));
        auto fixture = project->bench().fixtures.front();
        fixture.channels.erase(fixture.channels.begin());
        QVERIFY(project->save(fixture));
        QVERIFY(project->bench().spectra.empty());
        QVERIFY(*project->undo());
        QCOMPARE(project->bench().spectra.size(), std::size_t{1});
    }

    void aReadingBringsItsSpectrumInOneStep() {
        auto project = withFixture();
        Run run;
        run.fixture = project->bench().fixtures.front().id;
        run.height = Millimetre(200);
        run.planes.emplace_back();
        run.planes.front().depth = Millimetre(150);
        QVERIFY(project->save(run));
        Reading reading;
        reading.x = Millimetre(50);
        reading.mean = Ppfd(100);
        const Spectrum light{{400, 700}, {0.3, 0.4}};
        QVERIFY(project->take(project->bench().runs.front().planes.front().id, reading, &light));
        const auto& kept = project->bench().spectra.front();
        QVERIFY(kept.spectrum == light);
        QVERIFY(kept.scale == SpectralScale::Absolute && kept.origin == SpectrumOrigin::Read);
        QCOMPARE(kept.depth->value(), 150.0);
        QCOMPARE(kept.x->value(), 50.0);
        QVERIFY(*project->undo());
        QVERIFY(project->bench().spectra.empty());
        QVERIFY(project->bench().runs.front().planes.front().readings.empty());
    }

    void schedulesAndLogsAreKept() {
        auto project = withFixture();
        Schedule schedule;
        schedule.name = "long day";
        schedule.fixture = project->bench().fixtures.front().id;
        schedule.drift_s_day = 11;
        schedule.ramps = {{0, 0, {{8, 0}, {9, 85}}},
                          {0, project->bench().fixtures.front().channels.back().id, {{7, 100}}}};
        const Id id = *project->save(schedule);
        DayLog log;
        log.name = "logger";
        log.points = {{0.5, Ppfd(3)}, {1.5, Ppfd(4)}};
        QVERIFY(project->save(log));
        project = std::move(*Project::open(path_));
        const auto& kept = project->bench().schedules.front();
        QCOMPARE(kept.ramps.size(), std::size_t{2});
        QVERIFY(kept.ramps[1].channel == schedule.ramps[1].channel &&
                kept.ramps[0].points == schedule.ramps[0].points);
        QVERIFY(project->bench().logs.front().points == log.points);
        auto wrong = kept;
        wrong.ramps[0].points = {{9, 0}, {8, 5}};
        QVERIFY(!project->save(wrong));
        QVERIFY(project->removeSchedule(id));
        QVERIFY(project->bench().schedules.empty());
    }

    void aDescriptionCarriesThemThere() {
        auto project = withFixture();
        QVERIFY(project->save(record(*project)));
        Schedule schedule;
        schedule.name = "day";
        schedule.fixture = project->bench().fixtures.front().id;
        schedule.ramps = {{0, project->bench().fixtures.front().channels.front().id, {{8, 50}}}};
        QVERIFY(project->save(schedule));
        DayLog log;
        log.points = {{0.5, Ppfd(3)}, {1.5, Ppfd(4)}};
        QVERIFY(project->save(log));
        auto method = project->bench().method;
        method.bands = {{"mine", 420, 470}};
        method.price_kwh = 0.31;
        QVERIFY(project->saveMethod(QStringLiteral("Spectra"), method));
        const auto json = writeBench(project->bench());
        const auto described = readBench(json);
        QVERIFY2(described, described ? "" : english(described.error()).c_str());
        const QString there = folder_->filePath(QStringLiteral("there.glumet"));
        auto other = std::move(*Project::create(there, QStringLiteral("There")));
        for (int again = 0; again < 2; ++again) {  // the same once more adds nothing
            QVERIFY(other->importBench(*described, {}, QStringLiteral("file")));
            QCOMPARE(other->bench().spectra.size(), std::size_t{1});
            QCOMPARE(other->bench().schedules.size(), std::size_t{1});
            QCOMPARE(other->bench().logs.size(), std::size_t{1});
        }
        QVERIFY(other->bench().method.bands == method.bands);
        QCOMPARE(writeBench(other->bench()), json);
        QCOMPARE(other->bench().spectra.front().channel, other->bench().fixtures.front().channels.front().id);
    }

    void textsOfFormat8BecomeRows() {
        QVERIFY(QFile::copy(QStringLiteral(GLUMET_SOURCE_DIR "/tests/data/version8.glumet"), path_));
        QFile::setPermissions(path_, QFile::ReadOwner | QFile::WriteOwner);
        const SpectralSample sample{
            400.0, 100.0, SpectralUnit::MicromolePerSquareMetreSecond, {0.1, 0.5, 0.2, 0.0}};
        auto project = std::move(*Project::open(path_));
        QCOMPARE(project->bench().spectra.size(), std::size_t{2});
        const auto& of_channel = project->bench().spectra[0];
        QCOMPARE(of_channel.channel, project->bench().fixtures.front().channels.front().id);
        QVERIFY(of_channel.spectrum == spectrumOf(sample));
        QVERIFY(of_channel.scale == SpectralScale::Relative);
        const auto& of_reading = project->bench().spectra[1];
        QVERIFY(of_reading.scale == SpectralScale::Absolute);
        QVERIFY(of_reading.height && of_reading.depth);
        QVERIFY(project->faults().empty());
    }

  private:
    std::unique_ptr<Project> withFixture() {
        auto project = std::move(*Project::create(path_, QStringLiteral("Spectra")));
        Fixture fixture;
        fixture.name = "Osier 60";
        setChannelNames(fixture, "blue, red");
        if (!project->save(fixture)) return nullptr;
        return project;
    }

    static SpectrumRecord record(const Project& project) {
        const auto& fixture = project.bench().fixtures.front();
        SpectrumRecord out;
        out.name = "blue";
        out.fixture = fixture.id;
        out.channel = fixture.channels.front().id;
        out.height = Millimetre(480);
        out.scale = SpectralScale::Absolute;
        out.spectrum = {{400, 450.5, 500}, {0.25, 1.0 / 3.0, 0}};
        return out;
    }

    std::unique_ptr<QTemporaryDir> folder_;
    QString path_;
};

GLUMET_TEST(TestSpectra, "project_spectra", Application)

}  // namespace project_spectra

#include "test_spectra.moc"
