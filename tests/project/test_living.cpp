#include <QTemporaryDir>
#include <QTest>

#include "core/words/sentence.h"
#include "formats/bench_json.h"
#include "project/project.h"
#include "runner/registry.h"

namespace project_living {

using namespace glumet;

/// Spots, who lives there and ramps in the project's file.
class TestProjectLiving : public QObject {
    Q_OBJECT

  private slots:
    void init() {
        dir_ = std::make_unique<QTemporaryDir>();
        project_ = std::move(
            *Project::create(dir_->filePath(QStringLiteral("tank.glumet")), QStringLiteral("tank")));
        Tank tank;
        tank.name = "Pond";
        tank.use = TankUse::Living;
        tank_ = *project_->save(tank);
    }
    void cleanup() {
        project_.reset();
        dir_.reset();
    }

    void whatIsStoredIsThereAgain() {
        auto spot = spotNamed("A");
        spot.flow = SpotFlow::High;
        SpotReading reading;
        reading.mean = Ppfd(120);
        reading.min = Ppfd(90);
        reading.max = Ppfd(150);
        reading.tilt_deg = 30;
        reading.shaded = true;
        reading.time = "2026-03-01T18:00:00";
        reading.note = "by hand";
        spot.readings = {reading};
        const Id stored = *project_->save(spot);
        Organism organism;
        organism.spot = stored;
        organism.name = "eelgrass";
        organism.goal.name = "mine";
        organism.goal.band = {Ppfd(10), Ppfd(20)};
        organism.seen_low = Ppfd(11);
        organism.seen_high = Ppfd(19);
        organism.state = Wellbeing::Declining;
        QVERIFY(project_->save(organism));
        Acclimation ramp;
        ramp.tank = tank_;
        ramp.name = "new";
        ramp.by = RampBy::Linear;
        ramp.cap_pct_week = 12;
        ramp.start = "2026-03-01";
        ramp.events = {{"2026-03-05", RampEventKind::StepBack, "pale"}};
        QVERIFY(project_->save(ramp));
        const Bench before = bench();
        project_.reset();
        project_ = std::move(*Project::open(dir_->filePath(QStringLiteral("tank.glumet"))));
        QCOMPARE(bench(), before);
        QCOMPARE(bench().spots[0].readings[0].tilt_deg, 30.0);
        QCOMPARE(bench().organisms[0].goal.band.high.value(), 20.0);
        QCOMPARE(bench().ramps[0].events[0].note, std::string("pale"));
    }

    void eachChangeIsAStepOfUndo() {
        auto spot = spotNamed("A");
        spot.id = *project_->save(spot);
        spot.name = "B";
        QVERIFY(project_->save(spot));
        QVERIFY(*project_->undo());
        QCOMPARE(bench().spots[0].name, std::string("A"));
        QVERIFY(*project_->redo());
        QCOMPARE(bench().spots[0].name, std::string("B"));
        Organism organism;
        organism.spot = bench().spots[0].id;
        organism.name = "moss";
        QVERIFY(project_->save(organism));
        QVERIFY(project_->removeSpot(bench().spots[0].id));
        QVERIFY(bench().spots.empty());
        QCOMPARE(bench().organisms[0].spot, Id{0});  // it is nowhere now
        QVERIFY(*project_->undo());
        QCOMPARE(bench().organisms[0].spot, bench().spots[0].id);
        QVERIFY(project_->removeOrganism(bench().organisms[0].id));
        QVERIFY(bench().organisms.empty());
    }

    void rocksStayWithTheirTankAndGoAlong() {
        Rock rock;
        rock.tank = tank_;
        rock.name = "slate";
        rock.from_x = Millimetre(10);
        rock.to_x = Millimetre(60);
        rock.from_y = Millimetre(20);
        rock.to_y = Millimetre(70);
        rock.top = Millimetre(100);
        rock.bottom = Millimetre(200);
        rock.transmittance = 0.25;
        rock.note = "leans";
        rock.id = *project_->save(rock);
        QCOMPARE(bench().rocks, std::vector<Rock>{rock});
        const auto written = readBench(writeBench(bench()));
        QVERIFY(written);
        QCOMPARE(written->rocks.size(), std::size_t{1});
        QCOMPARE(written->rocks[0].transmittance, 0.25);
        QCOMPARE(written->rocks[0].bottom.value(), 200.0);
        const auto refused = [&](auto change) {
            auto wrong = rock;
            change(wrong);
            return !project_->save(wrong).has_value();
        };
        QVERIFY(refused([](Rock& r) { r.to_x = r.from_x; }));
        QVERIFY(refused([](Rock& r) { r.top = Millimetre(300); }));
        QVERIFY(refused([](Rock& r) { r.to_y = Millimetre(90'000); }));
        QVERIFY(refused([](Rock& r) { r.transmittance = 1.5; }));
        QCOMPARE(bench().rocks, std::vector<Rock>{rock});
        QVERIFY(project_->removeRock(rock.id));
        QVERIFY(bench().rocks.empty());
        QVERIFY(*project_->undo());
        QCOMPARE(bench().rocks, std::vector<Rock>{rock});
    }

    void aReadingOfASpotIsTakenBack() {
        auto spot = spotNamed("A");
        const Id id = *project_->save(spot);
        SpotReading reading;
        reading.mean = Ppfd(50);
        reading.time = "2026-03-01T18:00:00";
        const Id first = *project_->readSpot(id, reading);
        reading.mean = Ppfd(60);
        QVERIFY(project_->readSpot(id, reading));
        QVERIFY(project_->removeSpotReading(first));
        QCOMPARE(bench().spots[0].readings.size(), std::size_t{1});
        QCOMPARE(bench().spots[0].readings[0].mean.value(), 60.0);
        QVERIFY(*project_->undo());
        QCOMPARE(bench().spots[0].readings.size(), std::size_t{2});
    }

    void whatCannotBeIsRefusedAndNothingChanges() {
        const auto refused = [&](const TankSpot& spot) {
            const auto saved = project_->save(spot);
            return saved ? std::string() : english(saved.error());
        };
        auto outside = spotNamed("A");
        outside.x = Millimetre(900);
        QVERIFY(refused(outside).find("outside its tank") != std::string::npos);
        auto deep = spotNamed("A");
        deep.depth = Millimetre(5000);
        QVERIFY(!refused(deep).empty());
        auto unnamed = spotNamed("");
        QVERIFY(!refused(unnamed).empty());
        auto undated = spotNamed("A");
        undated.readings.emplace_back();
        QVERIFY(!refused(undated).empty());
        Organism organism;
        organism.name = "moss";
        organism.seen_low = Ppfd(50);
        organism.seen_high = Ppfd(20);
        QVERIFY(!project_->save(organism));
        Acclimation ramp;
        ramp.weeks = 0;
        QVERIFY(!project_->save(ramp));
        QVERIFY(bench().spots.empty() && bench().organisms.empty() && bench().ramps.empty());
    }

    /// Two tanks may have spots of one name.
    void anExportKeepsSpotsOfOneNameApart() {
        Tank other;
        other.name = "Bog";
        other.use = TankUse::Living;
        const Id bog = *project_->save(other);
        auto first = spotNamed("A");
        QVERIFY(project_->save(first));
        auto second = spotNamed("A");
        second.tank = bog;
        second.depth = Millimetre(50);
        const Id in_bog = *project_->save(second);
        Organism organism;
        organism.name = "bog moss";
        organism.spot = in_bog;
        QVERIFY(project_->save(organism));
        Organism nowhere;
        nowhere.name = "eelgrass";
        QVERIFY(project_->save(nowhere));
        const auto read = readBench(writeBench(bench()));
        QVERIFY2(read, read ? "" : english(read.error()).c_str());
        QCOMPARE(read->spots.size(), std::size_t{2});
        QCOMPARE(byId(read->spots, read->organisms[0].spot)->depth.value(), 50.0);
        QCOMPARE(read->organisms[1].spot, Id{0});
    }

    void whatIsChosenForTheReviewIsUndone() {
        Fixture fixture;
        fixture.name = "Fern";
        Run run;
        run.fixture = *project_->save(fixture);
        run.height = Millimetre(200);
        const Id id = *project_->save(run);
        QVERIFY(project_->markForReview({id}, true));
        QVERIFY(bench().run(id).in_review);
        QVERIFY(*project_->undo());
        QVERIFY(!bench().run(id).in_review);
        QVERIFY(*project_->redo());
        QVERIFY(bench().run(id).in_review);
    }

  private:
    const Bench& bench() const { return project_->bench(); }
    TankSpot spotNamed(const char* name) const {
        TankSpot spot;
        spot.tank = tank_;
        spot.name = name;
        spot.x = Millimetre(100);
        spot.y = Millimetre(200);
        spot.depth = Millimetre(150);
        return spot;
    }

    std::unique_ptr<QTemporaryDir> dir_;
    std::unique_ptr<Project> project_;
    Id tank_ = 0;
};

GLUMET_TEST(TestProjectLiving, "project_living", Application)

}  // namespace project_living

#include "test_living.moc"
