#include <QTest>

#include "core/living/living_findings.h"
#include "core/verdicts/goals.h"
#include "core/words/sentence.h"
#include "runner/registry.h"

namespace core_living_findings {

using namespace glumet;

namespace {

Goal goalNamed(const std::string& name) {
    for (const auto& goal : readyGoals())
        if (goal.name == name) return goal;
    return {};
}

/// A tank of six spots, read on two days: the second by `change` of the first.
struct Tank6 {
    Bench bench;

    explicit Tank6(double change = 1.0) {
        Tank tank;
        tank.id = 1;
        tank.name = "Pond";
        tank.use = TankUse::Living;
        bench.tanks = {tank};
        const double lights[] = {60, 120, 180, 240, 300, 90};
        for (Id i = 1; i <= 6; ++i) {
            TankSpot spot;
            spot.id = i;
            spot.tank = 1;
            spot.name = std::string(1, static_cast<char>('A' + i - 1));
            spot.x = Millimetre(80.0 * static_cast<double>(i));
            spot.y = Millimetre(300);
            spot.depth = Millimetre(200);
            const double light = lights[i - 1];
            spot.readings = {reading(light, "2026-03-01"), reading(light * change, "2026-03-15")};
            bench.spots.push_back(spot);
        }
    }

    static SpotReading reading(double ppfd, const char* time) {
        SpotReading out;
        out.mean = Ppfd(ppfd);
        out.time = time;
        return out;
    }

    Organism& put(Id spot, const char* name, const char* goal, Wellbeing state) {
        Organism organism;
        organism.id = static_cast<Id>(bench.organisms.size()) + 1;
        organism.spot = spot;
        organism.name = name;
        organism.goal = goalNamed(goal);
        organism.state = state;
        bench.organisms.push_back(organism);
        return bench.organisms.back();
    }

    Acclimation& raise(const char* start, double from = 40, double to = 80) {
        Acclimation ramp;
        ramp.id = 1;
        ramp.tank = 1;
        ramp.name = "new lamps";
        ramp.from_pct = from;
        ramp.to_pct = to;
        ramp.weeks = 4;
        ramp.start = start;
        bench.ramps = {ramp};
        return bench.ramps.back();
    }

    std::vector<Finding> find(const char* today) const {
        return livingFindings(bench, {1, today}, surveysOf(bench, 1));
    }
    std::string told(const char* today) const {
        std::string all;
        for (const auto& one : find(today)) all += english(one.title) + ". " + english(one.body) + "\n";
        return all;
    }
};

bool has(const std::string& all, const char* part) { return all.find(part) != std::string::npos; }

}  // namespace

/// What is said of a living tank.
class TestLivingFindings : public QObject {
    Q_OBJECT

  private slots:
    void anUnreadTankIsToBeRead() {
        Tank6 tank;
        for (auto& spot : tank.bench.spots) spot.readings.clear();
        const auto findings = tank.find("2026-03-20");
        QCOMPARE(findings.size(), std::size_t{1});
        QCOMPARE(findings.front().kind, FindingKind::Next);
    }

    void electricityAndLivestockAreMindedEachTime() {
        const auto told = Tank6().told("2026-03-20");
        QVERIFY(has(told, "licensed electrician"));
        QVERIFY(has(told, "flow, water and pests"));
    }

    void whatLostItsLightIsNamedWithWhoLivesThere() {
        Tank6 tank(0.9);
        tank.bench.spots[2].readings[1].mean = Ppfd(70);
        QVERIFY(has(tank.told("2026-03-20"), "C lost light by itself: 70 instead of 162"));
        QVERIFY(has(tank.told("2026-03-20"), "Something stands in its way"));
        tank.put(3, "waterweed", "demanding plants", Wellbeing::Declining);
        QVERIFY(has(tank.told("2026-03-20"), "stands over waterweed"));
        // A lamp that gives less everywhere is no spot's own loss.
        QVERIFY(!has(Tank6(0.5).told("2026-03-20"), "by itself"));
    }

    void aNewLightsFirstLevelSparesTheSpots() {
        const auto told = Tank6(2.0).told("2026-03-16");
        QVERIFY(has(told, "Begin at 60 % of the light of 2026-03-15"));
        // While it is being raised that is settled.
        Tank6 raised(2.0);
        raised.raise("2026-03-15");
        QVERIFY(!has(raised.told("2026-03-16"), "Begin at"));
        QVERIFY(!has(Tank6(1.1).told("2026-03-16"), "Begin at"));
    }

    void aRampTellsTodayAndTheNextStep() {
        Tank6 tank;
        tank.raise("2026-03-15");
        const auto told = tank.told("2026-03-23");
        QVERIFY(has(told, "new lamps: 48 % today, 57 % on 2026-03-29"));
        QVERIFY(has(told, "wait, or a step back"));
        QVERIFY(has(told, "Change one thing at a time"));
        const auto after = tank.told("2026-06-01");
        QVERIFY(has(after, "at its end"));
        QVERIFY(!has(after, "Change one thing at a time"));
        tank.bench.ramps[0].events = {{"2026-03-24", RampEventKind::Pause, "pale"}};
        QVERIFY(has(tank.told("2026-06-01"), "It is paused"));
        tank.raise("2026-03-15", 80, 40);
        QVERIFY(has(tank.told("2026-03-23"), "cannot be kept"));
    }

    void theWorstOffIsMovedAndOnlyThatOne() {
        Tank6 tank;
        tank.put(1, "eelgrass", "seagrass and macroalgae", Wellbeing::Holding);    // has 60 of 150–300
        tank.put(2, "tape grass", "seagrass and macroalgae", Wellbeing::Holding);  // has 120
        const auto told = tank.told("2026-03-20");
        QVERIFY(has(told, "eelgrass at A would have"));
        QVERIFY(!has(told, "tape grass at B would have"));
        // What declines goes first, thriving ones stay.
        tank.bench.organisms[0].state = Wellbeing::Thriving;
        QVERIFY(has(tank.told("2026-03-20"), "tape grass at B would have"));
    }

    void whereNoPlaceIsBetterNothingIsMoved() {
        Tank6 tank;
        auto& organism = tank.put(1, "eelgrass", "seagrass and macroalgae", Wellbeing::Declining);
        organism.seen_low = Ppfd(1000);
        organism.seen_high = Ppfd(2000);
        QVERIFY(!has(tank.told("2026-03-20"), "would have"));
    }

    void whatThrivesOutsideItsBandIsEvidence() {
        Tank6 tank;
        tank.put(5, "bog moss", "low-light plants", Wellbeing::Thriving);  // has 300 of 30–60
        const auto told = tank.told("2026-03-20");
        QVERIFY(has(told, "bog moss thrives at 300, outside its band"));
        QVERIFY(has(told, "broad-range school"));
        tank.bench.organisms[0].state = Wellbeing::Holding;
        QVERIFY(!has(tank.told("2026-03-20"), "outside its band"));
    }

    void anOldLookIsToBeRepeated() {
        QVERIFY(has(Tank6().told("2026-05-01"), "47 days ago"));
        QVERIFY(!has(Tank6().told("2026-03-20"), "days ago"));
    }

    void whatSuitsIsToldByEvidenceAndBand() {
        Tank6 tank;
        QVERIFY(!suits(tank.bench, tank.bench.spots[0]));  // nobody lives there
        tank.put(1, "eelgrass", "seagrass and macroalgae", Wellbeing::Holding);
        tank.put(3, "eelgrass", "seagrass and macroalgae", Wellbeing::Holding);
        tank.put(5, "bog moss", "low-light plants", Wellbeing::Holding);
        QCOMPARE(*suits(tank.bench, tank.bench.spots[0]), LightSuits::Less);
        QCOMPARE(*suits(tank.bench, tank.bench.spots[2]), LightSuits::Right);
        QCOMPARE(*suits(tank.bench, tank.bench.spots[4]), LightSuits::More);
        QCOMPARE(livesAt(tank.bench, 3)->name, std::string("eelgrass"));
        QVERIFY(livesAt(tank.bench, 2) == nullptr);
        tank.bench.spots[0].readings.clear();
        QVERIFY(!suits(tank.bench, tank.bench.spots[0]));
    }

    /// What thrives without a goal or evidence is looked for what it has.
    void whatItHadIsTheLastResort() {
        Tank6 tank;
        auto& organism = tank.put(3, "unknown moss", "", Wellbeing::Thriving);
        const auto wanted = *wantedBy(tank.bench, organism);
        QVERIFY(wanted.basis == WantedLight::Basis::Had);
        QCOMPARE(wanted.band.low.value(), 144.0);
        QCOMPARE(wanted.band.high.value(), 225.0);
        organism.state = Wellbeing::Holding;
        QVERIFY(!wantedBy(tank.bench, organism));
    }

    void aReadingOfTomorrowIsDoubted() {
        Tank6 tank;
        QVERIFY(tank.told("2026-03-16").find("after today") == std::string::npos);
        QVERIFY(tank.told("2026-03-14").find("A reading is dated 2026-03-15, after today") !=
                std::string::npos);
    }

    void othersOfItsKindAreShownAsEvidence() {
        Tank6 tank;
        tank.put(1, "moss", "low-light plants", Wellbeing::Thriving);
        tank.put(4, "moss", "low-light plants", Wellbeing::Declining);
        tank.put(5, "clam", "", Wellbeing::Unknown);
        const auto of = [&](Id spot) {
            std::string all;
            for (const auto& one :
                 livingFindings(tank.bench, {1, "2026-03-16", spot}, surveysOf(tank.bench, 1)))
                all += english(one.title) + " | " + english(one.body) + "\n";
            return all;
        };
        QVERIFY2(of(1).find("moss is kept at 2 levels | 240 at D (declines) and 60 at A (thrives)") !=
                     std::string::npos,
                 of(1).c_str());
        QVERIFY(of(5).find("levels") == std::string::npos);
    }

    void aBarePlaceIsToldWhatWouldFit() {
        Tank6 tank;
        const auto of = [&](Id spot) {
            std::string all;
            for (const auto& one :
                 livingFindings(tank.bench, {1, "2026-03-16", spot}, surveysOf(tank.bench, 1)))
                all += english(one.title) + "\n";
            return all;
        };
        int fitting = 0;
        for (const auto& goal : readyGoals())
            if (goal.band.low.value() <= 180.0 && goal.band.high.value() >= 180.0) {
                ++fitting;
                QVERIFY2(of(3).find(goal.name) != std::string::npos, of(3).c_str());
            }
        QVERIFY(fitting > 0);
        for (auto& reading : tank.bench.spots[2].readings) reading.mean = Ppfd(1);
        QVERIFY(of(3).find("No goal asks for the") != std::string::npos);
    }

    void aMoveToAnotherTankNamesIt() {
        Tank6 tank;
        Tank other;
        other.id = 2;
        other.name = "Bog";
        other.use = TankUse::Living;
        tank.bench.tanks.push_back(other);
        tank.bench.spots.resize(2);
        tank.bench.spots[1].tank = 2;
        tank.put(1, "clam", "", Wellbeing::Declining);
        tank.bench.organisms[0].seen_low = Ppfd(100);
        tank.bench.organisms[0].seen_high = Ppfd(140);
        const auto all = tank.told("2026-03-16");
        QVERIFY2(all.find("That is in Bog.") != std::string::npos, all.c_str());
    }
};

GLUMET_TEST(TestLivingFindings, "core_living_findings", Application)

}  // namespace core_living_findings

#include "test_living_findings.moc"
