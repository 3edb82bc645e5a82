#include <QTemporaryDir>
#include <QTest>
#include <functional>
#include <random>

#include "core/bench/bench_rules.h"
#include "core/words/sentence.h"
#include "formats/bench_json.h"
#include "project/described.h"
#include "project/project.h"
#include "runner/registry.h"

namespace project_random_edits {

using namespace glumet;

namespace {

/// Edits as a hand makes them, drawn at random; what cannot be is drawn too, and refused.
class Editor {
  public:
    Editor(Project& project, std::uint64_t seed) : project_(project), random_(seed) {
        Tank tank;
        tank.name = "Pond";
        tank.use = TankUse::Living;
        tank_ = *project_.save(tank);
    }

    /// Whether it was stored.
    bool edit() {
        switch (whole(0, 10)) {
            case 0:
            case 1:
                return saveSpot();
            case 2:
            case 3:
                return readSpot();
            case 4:
                return saveRock();
            case 5:
                return saveOrganism();
            case 6:
                return saveRamp();
            case 7:
                return removeSomething();
            case 8:
                return saveTank();
            case 9:
                return savePlan();
            default:
                return saveFixture();
        }
    }

  private:
    const Bench& bench() const { return project_.bench(); }
    int whole(int low, int high) { return std::uniform_int_distribution<int>(low, high)(random_); }
    double any(double low, double high) { return std::uniform_real_distribution<double>(low, high)(random_); }
    std::string name() { return std::string(1, static_cast<char>('A' + whole(0, 5))); }
    template <class Row>
    const Row* one(const std::vector<Row>& rows) {
        return rows.empty() ? nullptr
                            : &rows[static_cast<std::size_t>(whole(0, static_cast<int>(rows.size()) - 1))];
    }
    template <class Row>
    Row freshOr(const std::vector<Row>& rows) {
        const auto* known = whole(0, 1) == 0 ? one(rows) : nullptr;
        return known == nullptr ? Row{} : *known;
    }

    bool saveSpot() {
        auto spot = freshOr(bench().spots);
        spot.tank = tank_;
        spot.name = whole(0, 9) == 0 ? "" : name();
        spot.x = Millimetre(any(0, 700));  // the tank is 600 long: some lie outside
        spot.y = Millimetre(any(0, 600));
        spot.depth = Millimetre(any(0, 500));
        spot.flow = static_cast<SpotFlow>(whole(0, 3));
        return project_.save(spot).has_value();
    }
    bool readSpot() {
        const auto* spot = one(bench().spots);
        if (spot == nullptr) return false;
        SpotReading reading;
        reading.mean = Ppfd(any(-10, 300));
        reading.shaded = whole(0, 1) == 1;
        reading.tilt_deg = any(0, 200);
        reading.time = "2026-03-0" + std::to_string(whole(1, 9));
        return project_.readSpot(spot->id, reading).has_value();
    }
    bool saveRock() {
        auto rock = freshOr(bench().rocks);
        rock.tank = tank_;
        rock.name = name();
        rock.from_x = Millimetre(any(0, 300));
        rock.to_x = Millimetre(any(200, 600));
        rock.from_y = Millimetre(any(0, 300));
        rock.to_y = Millimetre(any(200, 600));
        rock.top = Millimetre(any(0, 300));
        rock.bottom = Millimetre(any(200, 500));
        rock.transmittance = any(0, 1.1);
        return project_.save(rock).has_value();
    }
    bool saveOrganism() {
        auto organism = freshOr(bench().organisms);
        const auto* spot = one(bench().spots);
        organism.spot = spot == nullptr ? 0 : spot->id;
        organism.name = whole(0, 9) == 0 ? "" : "moss " + name();
        organism.state = static_cast<Wellbeing>(whole(0, 3));
        return project_.save(organism).has_value();
    }
    bool saveRamp() {
        auto ramp = freshOr(bench().ramps);
        ramp.tank = tank_;
        ramp.name = name();
        ramp.from_pct = any(-5, 60);
        ramp.to_pct = any(60, 100);
        ramp.weeks = whole(0, 12);
        ramp.start = "2026-03-01";
        return project_.save(ramp).has_value();
    }
    bool savePlan() {
        auto plan = freshOr(bench().plans);
        plan.tank = tank_;
        plan.name = name();
        plan.fixtures.resize(static_cast<std::size_t>(whole(0, 3)));
        for (auto& hung : plan.fixtures) {
            const auto* fixture = one(bench().fixtures);
            hung.fixture = fixture == nullptr ? 0 : fixture->id;
            hung.x = Millimetre(any(0, 700));
            hung.level_pct = any(-5, 105);
        }
        return project_.save(plan).has_value();
    }
    bool removeSomething() {
        if (const auto* plan = one(bench().plans); plan != nullptr && whole(0, 3) == 0)
            return project_.removePlan(plan->id).has_value();
        if (const auto* spot = one(bench().spots); spot != nullptr && whole(0, 2) == 0)
            return project_.removeSpot(spot->id).has_value();
        if (const auto* spot = one(bench().spots); spot != nullptr && !spot->readings.empty())
            return project_.removeSpotReading(spot->readings.front().id).has_value();
        if (const auto* rock = one(bench().rocks)) return project_.removeRock(rock->id).has_value();
        if (const auto* ramp = one(bench().ramps)) return project_.removeRamp(ramp->id).has_value();
        return false;
    }
    bool saveTank() {
        auto tank = bench().tanks.front();
        tank.name = "Pond " + name();
        tank.obstacles.resize(static_cast<std::size_t>(whole(0, 3)),
                              {"brace", Millimetre(100), Millimetre(150), Millimetre(0), Millimetre(600)});
        return project_.save(tank).has_value();
    }
    bool saveFixture() {
        auto fixture = freshOr(bench().fixtures);
        fixture.name = "Fern " + name();
        fixture.channels.resize(static_cast<std::size_t>(whole(0, 3)));
        for (auto& channel : fixture.channels) channel.name = name();
        return project_.save(fixture).has_value();
    }

    Project& project_;
    std::mt19937_64 random_;
    Id tank_ = 0;
};

}  // namespace

/// Whatever is edited, undone and done again: the file holds what the window shows, by our own rules.
class TestRandomEdits : public QObject {
    Q_OBJECT

  private slots:
    void init() {
        dir_ = std::make_unique<QTemporaryDir>();
        path_ = dir_->filePath(QStringLiteral("one.glumet"));
    }
    void cleanup() { dir_.reset(); }

    void undoLeadsBackThroughEveryState_data() { seeds(); }
    void undoLeadsBackThroughEveryState() {
        QFETCH(int, seed);
        auto project = std::move(*Project::create(path_, QStringLiteral("one")));
        Editor editor(*project, static_cast<std::uint64_t>(seed));
        std::vector<std::string> states{described(project->bench())};
        int refused = 0;
        while (states.size() < 35) {
            const auto before = described(project->bench());
            if (editor.edit()) {
                states.push_back(described(project->bench()));
                QVERIFY(faultsOf(project->bench(), 1).empty());
            } else {
                ++refused;
                QCOMPARE(described(project->bench()), before);
            }
        }
        QVERIFY(refused > 3);
        // The file says the same as what was kept in hand.
        project.reset();
        project = std::move(*Project::open(path_));
        QCOMPARE(described(project->bench()), states.back());
        for (auto state = states.rbegin() + 1; state != states.rend(); ++state) {
            QVERIFY(*project->undo());
            QCOMPARE(described(project->bench()), *state);
        }
        for (auto state = states.begin() + 1; state != states.end(); ++state) {
            QVERIFY(*project->redo());
            QCOMPARE(described(project->bench()), *state);
        }
        QVERIFY(!*project->redo());
    }

    void anEditAfterUndoForgetsWhatWasUndone_data() { seeds(); }
    void anEditAfterUndoForgetsWhatWasUndone() {
        QFETCH(int, seed);
        auto project = std::move(*Project::create(path_, QStringLiteral("one")));
        Editor editor(*project, static_cast<std::uint64_t>(seed) + 100);
        std::mt19937 random(static_cast<unsigned>(seed));
        std::vector<std::string> states{described(project->bench())};
        for (int turn = 0; turn < 50; ++turn) {
            if (states.size() > 3 && random() % 4 == 0) {
                QVERIFY(*project->undo());
                states.pop_back();
                QCOMPARE(described(project->bench()), states.back());
                continue;
            }
            if (editor.edit()) {
                states.push_back(described(project->bench()));
                QVERIFY(!*project->redo());
            }
        }
        while (states.size() > 1) {
            QVERIFY(*project->undo());
            states.pop_back();
            QCOMPARE(described(project->bench()), states.back());
        }
    }

    /// A bench description of any such project is read again as the same, and imported once it adds nothing
    /// the second time.
    void whatIsExportedComesBack_data() { seeds(); }
    void whatIsExportedComesBack() {
        QFETCH(int, seed);
        auto project = std::move(*Project::create(path_, QStringLiteral("one")));
        Editor editor(*project, static_cast<std::uint64_t>(seed) + 200);
        for (int turn = 0; turn < 40; ++turn) editor.edit();
        const auto text = writeBench(project->bench());
        const auto read = readBench(text);
        QVERIFY2(read, read ? "" : english(read.error()).c_str());
        QCOMPARE(read->spots.size(), project->bench().spots.size());
        QCOMPARE(read->rocks.size(), project->bench().rocks.size());
        QCOMPARE(read->plans.size(), project->bench().plans.size());
        QCOMPARE(read->organisms.size(), project->bench().organisms.size());
        QCOMPARE(writeBench(*read), text);
    }

  private:
    void seeds() {
        QTest::addColumn<int>("seed");
        for (int seed = 1; seed <= 3; ++seed) QTest::addRow("%d", seed) << seed;
    }

    std::unique_ptr<QTemporaryDir> dir_;
    QString path_;
};

GLUMET_TEST(TestRandomEdits, "project_random_edits", Application)

}  // namespace project_random_edits

#include "test_random_edits.moc"
