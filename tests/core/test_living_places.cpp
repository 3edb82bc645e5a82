#include <QTest>
#include <cmath>

#include "core/light/fast_field.h"
#include "core/living/living_findings.h"
#include "core/living/ramp_by_readings.h"
#include "core/living/walk.h"
#include "core/verdicts/goals.h"
#include "core/words/sentence.h"
#include "runner/registry.h"

namespace core_living_places {

using namespace glumet;

namespace {

SpotReading reading(double ppfd, const std::string& time) {
    SpotReading out;
    out.mean = Ppfd(ppfd);
    out.time = time;
    return out;
}

TankSpot spotAt(Id id, double x, double y, double depth, double ppfd = 0.0) {
    TankSpot spot;
    spot.id = id;
    spot.tank = 1;
    spot.name = std::string(1, static_cast<char>('A' + id - 1));
    spot.x = Millimetre(x);
    spot.y = Millimetre(y);
    spot.depth = Millimetre(depth);
    if (ppfd > 0.0) spot.readings = {reading(ppfd, "2026-03-01T12:00:00")};
    return spot;
}

Tank pond() {
    Tank tank;
    tank.id = 1;
    tank.use = TankUse::Living;
    tank.length = Millimetre(1200);
    tank.width = Millimetre(600);
    tank.water_depth = Millimetre(500);
    return tank;
}

/// One bright point over the middle of an empty tank with black walls.
LightScene sceneWith(std::vector<SceneObstacle> rocks) {
    LightScene scene;
    scene.length_mm = 1200;
    scene.width_mm = 600;
    scene.water_depth_mm = 500;
    for (auto& wall : scene.walls) wall = SceneWall::opaque(0.0);
    scene.beams = {*Beam::cosinePower(1.0)};
    SceneFixture fixture;
    fixture.x_mm = 600;
    fixture.y_mm = 300;
    fixture.height_mm = 200;
    fixture.emitters = {{0, 0, 300, 0, 0}};
    scene.fixtures = {fixture};
    scene.obstacles = std::move(rocks);
    return scene;
}

/// Spots that all have the same light on each of these days.
std::vector<TankSpot> spotsOver(const std::vector<std::pair<std::string, double>>& days) {
    std::vector<TankSpot> spots;
    for (Id id = 1; id <= 5; ++id) {
        auto spot = spotAt(id, 100.0 * static_cast<double>(id), 300, 200);
        for (const auto& [day, light] : days)
            spot.readings.push_back(reading(light * static_cast<double>(10 + id), day));
        spots.push_back(spot);
    }
    return spots;
}

Bench pondOf(std::vector<TankSpot> spots) {
    Bench bench;
    bench.tanks = {pond()};
    bench.spots = std::move(spots);
    return bench;
}

std::vector<DatedStep> plan(double from, double to, int weeks) {
    Acclimation ramp;
    ramp.from_pct = from;
    ramp.to_pct = to;
    ramp.weeks = weeks;
    ramp.start = "2026-03-01";
    return *datedSteps(ramp);
}

}  // namespace

/// Places in a living tank: what stands over them, how they are walked, and how their light came out.
class TestLivingPlaces : public QObject {
    Q_OBJECT

  private slots:
    // Rocks.

    void aRockShadesWhatStandsUnderIt() {
        auto bench = pondOf({spotAt(1, 600, 300, 400, 20), spotAt(2, 300, 300, 300, 100),
                             spotAt(3, 900, 300, 300, 100), spotAt(4, 600, 100, 300, 100)});
        Rock rock;
        rock.tank = 1;
        rock.from_x = Millimetre(560);
        rock.to_x = Millimetre(640);
        rock.from_y = Millimetre(260);
        rock.to_y = Millimetre(340);
        rock.top = Millimetre(200);
        rock.bottom = Millimetre(250);
        rock.transmittance = 0.2;
        bench.rocks = {rock};
        const auto obstacles = rocksIn(bench, 1);
        QCOMPARE(obstacles.size(), std::size_t{1});
        QVERIFY(rocksIn(bench, 2).empty());
        auto with = std::make_shared<FastField>(sceneWith(obstacles));
        auto without = std::make_shared<FastField>(sceneWith({}));
        const auto lightOf = [](std::shared_ptr<FastField> field) {
            return [field](double x, double y, double depth) {
                const std::array<std::array<double, 2>, 1> place{{{x, y}}};
                return field->onPlane(Millimetre(depth), place).front();
            };
        };
        // The others read what the open field says, at another level; the one under the rock far less.
        for (std::size_t i = 1; i < 4; ++i) {
            auto& spot = bench.spots[i];
            spot.readings.front().mean =
                Ppfd(1.7 * lightOf(without)(spot.x.value(), spot.y.value(), spot.depth.value()));
        }
        bench.spots[0].readings.front().mean = Ppfd(1.7 * 0.2 * lightOf(without)(600, 300, 400));
        auto shades = shadesIn(bench, 1, lightOf(with), lightOf(without));
        QCOMPARE(shades.size(), std::size_t{4});
        QVERIFY(std::abs(shades[0].by_model - 0.2) < 0.01);  // one path, and the rock is in it
        QVERIFY(std::abs(*shades[0].as_read - 0.2) < 0.01);
        QVERIFY(!shades[0].more_than_rocks);
        QVERIFY(std::abs(shades[1].by_model - 1.0) < 1e-6);
        QVERIFY(std::abs(*shades[1].as_read - 1.0) < 1e-6);
        // Half of that again is missing where something grew besides.
        bench.spots[0].readings.front().mean = bench.spots[0].readings.front().mean * 0.5;
        shades = shadesIn(bench, 1, lightOf(with), lightOf(without));
        QVERIFY(shades[0].more_than_rocks);
        const auto said = shadeFinding(bench, shades[0], {});
        QVERIFY(said && said->kind == FindingKind::Doubt);
        QVERIFY(english(said->title).find("A keeps 20 % of its light by the rocks as drawn, 10 % as read") !=
                std::string::npos);
        QVERIFY(!shadeFinding(bench, shades[1], {}));
    }

    /// A plate over the spot reaches to the back pane: only light from the front comes under it.
    void aStripFromTheOpenSideReachesUnder() {
        const auto plate = SceneObstacle::box({400, 250, 150}, {800, 600, 170});
        const auto reach = reachUnder(sceneWith({plate}), Millimetre(600), Millimetre(320), Millimetre(400));
        QVERIFY(reach.hung < 0.05);
        QVERIFY(reach.front && reach.back);
        QVERIFY2(*reach.front > 0.5 && *reach.back < 0.1,
                 qPrintable(QStringLiteral("%1 %2").arg(*reach.front).arg(*reach.back)));
        auto bench = pondOf({spotAt(1, 600, 320, 400, 20)});
        const auto said = shadeFinding(bench, {1, 0.04, {}, false}, reach);
        QVERIFY(said && said->kind == FindingKind::Fact);
        QVERIFY(english(said->title).find("keeps 4 %") != std::string::npos);
        const auto open = reachUnder(sceneWith({}), Millimetre(600), Millimetre(320), Millimetre(400));
        QCOMPARE(open.hung, 1.0);
        QCOMPARE(*open.back, 1.0);
        QVERIFY(std::abs(*open.turned - 1.0) < 1e-6);  // a round beam is the same turned
    }

    void whatNearsTheLampsIsSparedByMoreHeight() {
        const auto scene = sceneWith({});
        const auto spot = spotAt(1, 600, 300, 40);
        const auto raise = raiseFor(scene, spot, Ppfd(400), Ppfd(300));
        QVERIFY(raise && raise->by.value() > 0.0 && raise->there.value() <= 300.0);
        QVERIFY(raise->others < 1.0 && raise->others > 0.7);  // deep down it matters less
        auto one_less = scene;
        one_less.fixtures[0].height_mm += raise->by.value() - 20.0;
        FastField field(one_less);
        FastField now(scene);
        const std::array<std::array<double, 2>, 1> place{{{600.0, 300.0}}};
        QVERIFY(400.0 * field.onPlane(Millimetre(40), place).front() /
                    now.onPlane(Millimetre(40), place).front() >
                300.0);
        QVERIFY(!raiseFor(scene, spot, Ppfd(200), Ppfd(300)));
        QVERIFY(!raiseFor(scene, spot, Ppfd(400), Ppfd(1)));
    }

    // Zones.

    void zonesCornersSeamsAndTheFloorAreTold() {
        // Two bright places along the tank, and next to nothing in the corners.
        const auto light = [](double x, double y, double depth) {
            const auto hump = [&](double at) {
                return std::exp(-((x - at) * (x - at) + (y - 300) * (y - 300)) / 40'000.0);
            };
            return (20.0 + 300.0 * (hump(300) + hump(900))) * std::exp(-depth / 500.0);
        };
        std::vector<TankSpot> spots;
        for (Id id = 1; id <= 8; ++id) {
            const double x = 150.0 * static_cast<double>(id) - 80.0;
            const double y = id % 2 == 0 ? 150 : 420;
            spots.push_back(spotAt(id, x, y, 200, light(x, y, 200)));
        }
        const auto bench = pondOf(spots);
        const auto map = mapOf(bench, 1, {}, light);
        const Band band{Ppfd(60), Ppfd(150)};
        const auto zones = zonesOf(map, bench.tanks[0], Millimetre(200), band);
        QVERIFY(zones.here.told > 0.99);
        QVERIFY(std::abs(zones.here.dim + zones.here.middle + zones.here.bright - 1.0) < 1e-9);
        QVERIFY(zones.here.dim > 0.2 && zones.here.bright > 0.1);
        QCOMPARE(zones.unlit.size(), std::size_t{4});
        QVERIFY(zones.seam && std::abs(zones.seam->x_mm - 600.0) < 60.0 && zones.seam->share < 0.6);
        QVERIFY(std::abs(*zones.floor_least / light(20, 20, 490) - 1.0) < 0.1);
        Goal goal;
        goal.name = "sand bed";
        goal.band = band;
        goal.floor = Ppfd(1.2 * light(20, 20, 490));
        const auto said = [&] { return english(zoneFinding(zones, Millimetre(200), goal)->body); };
        QVERIFY(said().find("is not held") != std::string::npos);
        QVERIFY(said().find("corner has") != std::string::npos &&
                said().find("fixtures meet") != std::string::npos);
        goal.floor = Ppfd(0.8 * light(20, 20, 490));
        QVERIFY(said().find("is held") != std::string::npos);
        QVERIFY(said().find("For sand bed (60–150), over") != std::string::npos);
        goal.name.clear();
        QVERIFY(said().find("For 60–150, over") != std::string::npos);
        QVERIFY(
            !zoneFinding(zonesOf(TankMap(), bench.tanks[0], Millimetre(200), band), Millimetre(200), goal));
    }

    // Walks.

    void theNearestUnreadSpotComesNext() {
        auto bench = pondOf({spotAt(1, 1100, 300, 200), spotAt(2, 100, 100, 200), spotAt(3, 600, 300, 200),
                             spotAt(4, 200, 150, 200)});
        QCOMPARE(walkOf(bench, 1, "2026-03-01"), (std::vector<Id>{2, 4, 3, 1}));
        bench.spots[1].readings = {reading(50, "2026-03-01T10:00:00")};
        QCOMPARE(walkOf(bench, 1, "2026-03-01"), (std::vector<Id>{4, 3, 1, 2}));
        QCOMPARE(walkOf(bench, 1, "2026-03-02").front(), Id{2});
        QVERIFY(walkOf(bench, 2, "2026-03-01").empty());
    }

    // Plans by readings.

    void aPlanIsWorkedOutAnewWhereLightDoesNotFollowTheLevel() {
        const auto steps = plan(40, 80, 4);
        // Light goes by the square of the level.
        const double grown = std::pow(steps[2].level_pct / steps[1].level_pct, 2.0);
        auto bench =
            pondOf(spotsOver({{"2026-03-01", 9.0}, {"2026-03-09", 10.0}, {"2026-03-16", 10.0 * grown}}));
        const auto surveys = surveysOf(bench, 1);
        const auto outcome = outcomeOf(steps, surveys);
        QVERIFY(outcome && outcome->off());
        QCOMPARE(outcome->from, std::string("2026-03-09"));  // on its first day the level is in doubt
        QVERIFY(std::abs(*outcome->exponent - 2.0) < 1e-9);
        const auto anew = byReadings(steps, surveys);
        QCOMPARE(anew.size(), steps.size());
        for (std::size_t i = 0; i < steps.size(); ++i) {
            if (steps[i].day <= outcome->to) {
                QCOMPARE(anew[i].level_pct, steps[i].level_pct);
                continue;
            }
            const double light = outcome->read * std::pow(anew[i].level_pct / steps[2].level_pct, 2.0);
            const double wanted = steps[i].level_pct / steps[1].level_pct;
            QVERIFY(anew[i].level_pct >= steps[2].level_pct);
            if (wanted > outcome->read) QVERIFY(std::abs(light / wanted - 1.0) < 1e-9);
        }
        QVERIFY(anew.back().level_pct < steps.back().level_pct);
    }

    void aPlanThatComesOutIsLeftAlone() {
        const auto steps = plan(40, 80, 4);
        const double grown = steps[2].level_pct / steps[1].level_pct;
        const auto bench = pondOf(spotsOver({{"2026-03-09", 10.0}, {"2026-03-16", 10.2 * grown}}));
        const auto surveys = surveysOf(bench, 1);
        QVERIFY(!outcomeOf(steps, surveys)->off());
        QCOMPARE(byReadings(steps, surveys).back().level_pct, steps.back().level_pct);
        QVERIFY(!outcomeOf(steps, {}));
        // Light that fell while the level rose is no matter of the level.
        const auto fell = pondOf(spotsOver({{"2026-03-09", 10.0}, {"2026-03-16", 7.0}}));
        const auto outcome = outcomeOf(steps, surveysOf(fell, 1));
        QVERIFY(outcome && outcome->off() && !outcome->exponent);
        QCOMPARE(byReadings(steps, surveysOf(fell, 1)).back().level_pct, steps.back().level_pct);
    }

    // Growth and time.

    void ageingIsToldFromGrowth() {
        auto bench = pondOf(spotsOver(
            {{"2025-06-01", 20.0}, {"2025-09-01", 10.0}, {"2025-12-01", 9.5}, {"2026-03-01", 9.0}}));
        for (auto& one : bench.spots.back().readings)
            if (one.time > "2025-12-15") one.mean = one.mean * 0.4;  // grown over by itself
        const auto slow = slowChange(surveysOf(bench, 1));
        QVERIFY(slow);
        QCOMPARE(slow->from, std::string("2025-09-01"));  // before it lamps were changed
        QVERIFY(std::abs(slow->field - 0.9) < 1e-9);
        QVERIFY(std::abs(slow->per_year - (std::pow(0.9, 365.25 / 181.0) - 1.0)) < 1e-9);
        const auto all = livingFindings(bench, {1, "2026-03-02"}, surveysOf(bench, 1));
        const auto says = [&](const char* part) {
            return std::any_of(all.begin(), all.end(), [&](const Finding& one) {
                return english(one.title).find(part) != std::string::npos;
            });
        };
        QVERIFY(says("The whole tank lost 10 % of its light since 2025-09-01"));
        QVERIFY(says("E lost light by itself"));
        bench.spots.resize(2);
        QVERIFY(!slowChange(surveysOf(bench, 1)));
    }

    void anyTwoLooksCanBeCompared() {
        auto bench = pondOf(spotsOver({{"2026-01-01", 10.0}, {"2026-02-01", 10.0}, {"2026-03-01", 10.0}}));
        bench.spots[0].readings[1].mean = bench.spots[0].readings[1].mean * 0.5;
        const auto surveys = surveysOf(bench, 1);
        QVERIFY(comparedChange(surveys, {}, {})->spots[0].gained);
        QVERIFY(comparedChange(surveys, "2026-01-01", "2026-02-01")->spots[0].lost);
        QVERIFY(!comparedChange(surveys, "2026-01-01", "2026-03-01")->spots[0].lost);
        QVERIFY(!comparedChange(surveys, "2026-01-01", "2030-01-01"));
    }
};

GLUMET_TEST(TestLivingPlaces, "core_living_places", Windows)

}  // namespace core_living_places

#include "test_living_places.moc"
