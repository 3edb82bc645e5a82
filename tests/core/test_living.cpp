#include <QTest>
#include <cmath>
#include <random>

#include "core/living/places.h"
#include "core/living/ramp.h"
#include "core/living/survey_history.h"
#include "core/living/tank_map.h"
#include "core/words/sentence.h"
#include "runner/registry.h"

namespace core_living {

using namespace glumet;

namespace {

SpotReading reading(double ppfd, const char* time) {
    SpotReading out;
    out.mean = Ppfd(ppfd);
    out.time = time;
    return out;
}

TankSpot spotAt(Id id, double x, double y, double depth, std::vector<SpotReading> readings) {
    TankSpot spot;
    spot.id = id;
    spot.tank = 1;
    spot.name = std::string(1, static_cast<char>('A' + id - 1));
    spot.x = Millimetre(x);
    spot.y = Millimetre(y);
    spot.depth = Millimetre(depth);
    spot.readings = std::move(readings);
    return spot;
}

Bench tankOf(std::vector<TankSpot> spots) {
    Bench bench;
    Tank tank;
    tank.id = 1;
    tank.use = TankUse::Living;
    tank.length = Millimetre(1200);
    bench.tanks = {tank};
    bench.spots = std::move(spots);
    return bench;
}

Acclimation plan(double from, double to, double weeks) {
    Acclimation ramp;
    ramp.from_pct = from;
    ramp.to_pct = to;
    ramp.weeks = weeks;
    ramp.start = "2026-02-26";
    return ramp;
}

std::string refusal(const RampQuestion& question) {
    const auto steps = rampSteps(question);
    return steps ? "" : english(steps.error());
}

}  // namespace

/// The living tank: what spots had, where something should go, how slowly to brighten.
class TestLiving : public QObject {
    Q_OBJECT

  private slots:
    // Ramps.

    void logAddsTheSameShareEachWeek() {
        const auto steps = *rampSteps({40, 85, 6, RampBy::Log, 15.0});
        QCOMPARE(steps.size(), std::size_t{7});
        QCOMPARE(steps.front().level_pct, 40.0);
        QVERIFY(qAbs(steps.back().level_pct - 85.0) < 1e-9);
        for (std::size_t i = 1; i < steps.size(); ++i)
            QVERIFY(qAbs(steps[i].level_pct / steps[i - 1].level_pct - std::pow(85.0 / 40.0, 1.0 / 6.0)) <
                    1e-12);
    }

    void linearAddsTheSamePoints() {
        const auto steps = *rampSteps({40, 85, 6, RampBy::Linear, {}});
        for (std::size_t i = 1; i < steps.size(); ++i)
            QVERIFY(qAbs(steps[i].level_pct - steps[i - 1].level_pct - 7.5) < 1e-12);
    }

    void whatTheCapForbidsIsRefusedWithWhatWouldDo() {
        const auto told = refusal({40, 85, 6, RampBy::Linear, 15.0});
        QVERIFY2(told.find("18.8 %") != std::string::npos, told.c_str());
        QVERIFY2(told.find("8 weeks would do") != std::string::npos, told.c_str());
        QVERIFY(rampSteps({40, 85, 8, RampBy::Linear, 15.0}));
        QVERIFY(!rampSteps({40, 85, 5, RampBy::Log, 15.0}));
        QVERIFY(refusal({1, 100, 6, RampBy::Linear, 0.5}).find("two years would not do") !=
                std::string::npos);
    }

    void plansThatAreNoneAreRefusedInWords() {
        QVERIFY(refusal({40, 85, 0, RampBy::Log, {}}).find("weeks") != std::string::npos);
        QVERIFY(refusal({85, 40, 6, RampBy::Log, {}}).find("above the start") != std::string::npos);
        QVERIFY(refusal({0, 40, 6, RampBy::Log, {}}).find("from") != std::string::npos);
        QVERIFY(refusal({40, 140, 6, RampBy::Log, {}}).find("100 %") != std::string::npos);
        QVERIFY(!datedSteps([] {
            auto ramp = plan(40, 80, 4);
            ramp.start = "tomorrow";
            return ramp;
        }()));
    }

    void weeksAreDaysOfTheCalendar() {
        const auto steps = *datedSteps(plan(40, 80, 4));
        QCOMPARE(steps.size(), std::size_t{5});
        QCOMPARE(steps[1].day, std::string("2026-03-05"));  // over the end of February
        QCOMPARE(steps.back().day, std::string("2026-03-26"));
        QCOMPARE(levelOn(steps, "2026-03-04"), 40.0);
        QCOMPARE(levelOn(steps, "2026-03-05T08:00:00"), steps[1].level_pct);
        QCOMPARE(levelOn(steps, "2027-01-01"), 80.0);
        QCOMPARE(daysAfter("2024-02-28", 1), std::string("2024-02-29"));
        QCOMPARE(daysAfter("2026-02-30", 1), std::string());
        QCOMPARE(*daysBetween("2026-02-26", "2026-03-05"), 7);
    }

    void aPauseHoldsAndAStepBackGoesBack() {
        auto ramp = plan(40, 80, 4);
        ramp.events = {{"2026-03-07", RampEventKind::StepBack, "pale"},
                       {"2026-03-10", RampEventKind::Pause, ""},
                       {"2026-03-20", RampEventKind::Resume, ""}};
        const auto steps = *datedSteps(ramp);
        const auto plain = *datedSteps(plan(40, 80, 4));
        QVERIFY(steps[2].back);
        QCOMPARE(steps[2].level_pct, plain[0].level_pct);
        QVERIFY(steps[3].held);
        QCOMPARE(levelOn(steps, "2026-03-19"), plain[0].level_pct);
        QCOMPARE(levelOn(steps, "2026-03-27"), plain[1].level_pct);
        QCOMPARE(steps.back().level_pct, 80.0);
        ramp.events.pop_back();
        const auto waiting = *datedSteps(ramp);
        QVERIFY(waiting.back().held);
    }

    // Surveys.

    void surveysAreDaysWithTheLastReadingOfEach() {
        const auto bench = tankOf({spotAt(1, 100, 100, 200,
                                          {reading(100, "2026-03-01T09:00"), reading(110, "2026-03-01T11:00"),
                                           reading(90, "2026-04-01")}),
                                   spotAt(2, 300, 100, 200, {reading(50, "2026-03-01")})});
        const auto surveys = surveysOf(bench, 1);
        QCOMPARE(surveys.size(), std::size_t{2});
        QCOMPARE(surveys[0].at(1)->mean.value(), 110.0);
        QVERIFY(surveys[1].at(2) == nullptr);
        QCOMPARE(latestAt(bench.spots[0])->mean.value(), 90.0);
        QVERIFY(surveysOf(bench, 2).empty());
    }

    void aSpotThatLostLightByItselfIsNamed() {
        std::vector<TankSpot> spots;
        for (Id i = 1; i <= 6; ++i)
            spots.push_back(spotAt(i, 100.0 * static_cast<double>(i), 200, 200,
                                   {reading(200 + 10.0 * static_cast<double>(i), "2026-03-01"),
                                    reading((200 + 10.0 * static_cast<double>(i)) *
                                                (i == 3 ? 0.5 : 1.1 + 0.01 * static_cast<double>(i % 2)),
                                            "2026-04-01")}));
        const auto change = *changeBetween(surveysOf(tankOf(spots), 1), "2026-03-01", "2026-04-01");
        QVERIFY(change.field > 1.09 && change.field < 1.12);
        for (const auto& spot : change.spots) {
            QCOMPARE(spot.lost, spot.spot == 3);
            QVERIFY(!spot.gained);
        }
        QVERIFY(!changeBetween(surveysOf(tankOf(spots), 1), "2026-03-01", "2026-05-01"));
    }

    void theFirstLevelSparesTheSpotThatGainsMost() {
        const auto bench =
            tankOf({spotAt(1, 100, 100, 200, {reading(100, "2026-03-01"), reading(150, "2026-03-08")}),
                    spotAt(2, 300, 100, 200, {reading(80, "2026-03-01"), reading(240, "2026-03-08")})});
        const auto level = *firstLevel(surveysOf(bench, 1), "2026-03-01", "2026-03-08", 0.2);
        QCOMPARE(level.level_pct, 40.0);
        QCOMPARE(level.limited_by, Id{2});
        QVERIFY(!firstLevel(surveysOf(bench, 1), "2026-03-01", "2026-03-09", 0.2));
    }

    // Where something should go.

    void placesAreSoughtByOwnEvidenceThenByGoal() {
        auto bench =
            tankOf({spotAt(1, 100, 100, 200, {reading(60, "2026-03-01")}),
                    spotAt(2, 300, 100, 200, {reading(150, "2026-03-01")}),
                    spotAt(3, 500, 100, 200, {reading(210, "2026-03-01")}), spotAt(4, 700, 100, 200, {})});
        Organism moss;
        moss.id = 1;
        moss.spot = 1;
        moss.name = "moss";
        QVERIFY(!wantedBy(bench, moss));
        QVERIFY(placesFor(bench, moss).empty());
        moss.goal.name = "demanding plants";
        moss.goal.band = {Ppfd(120), Ppfd(250)};
        auto places = placesFor(bench, moss);
        QCOMPARE(places.size(), std::size_t{2});  // unread ones and its own are none
        QCOMPARE(places.front().spot, Id{2});
        QVERIFY(places.front().within);
        Organism other = moss;
        other.id = 2;
        other.spot = 2;
        bench.organisms = {moss, other};
        QCOMPARE(placesFor(bench, moss).front().spot, Id{3});  // a free one first
        moss.seen_low = Ppfd(140);
        moss.seen_high = Ppfd(160);
        QCOMPARE(placesFor(bench, moss).front().spot, Id{2});
        QVERIFY(wantedBy(bench, moss)->basis == WantedLight::Basis::Seen);
        other.state = Wellbeing::Thriving;
        bench.organisms = {moss, other};
        const auto kind = sameKind(bench, moss);
        QCOMPARE(kind.size(), std::size_t{2});
        QCOMPARE(kind.front().light.value(), 150.0);
        QCOMPARE(zoneOf(Ppfd(100), moss.goal.band), LightZone::Dim);
    }

    // The map.

    void theMapHoldsTheReadingsAndKnowsWhereItDoesNot() {
        // Light that falls with depth and has a hill; read at 40 spots with 3 % of noise.
        const auto truth = [](double x, double y, double z) {
            return 400.0 * std::exp(-z / 350.0) *
                   (0.6 +
                    0.6 * std::exp(-(std::pow(x - 400, 2) + std::pow(y - 300, 2)) / (2 * 220.0 * 220.0)));
        };
        std::mt19937 random(7);
        std::normal_distribution<double> noise(0.0, 0.03);
        std::uniform_real_distribution<double> at(0.0, 1.0);
        std::vector<TankSpot> spots;
        for (Id i = 1; i <= 40; ++i) {
            const double x = 50 + 600 * at(random);
            const double y = 50 + 500 * at(random);
            const double z = 50 + 350 * at(random);
            spots.push_back(
                spotAt(i, x, y, z, {reading(truth(x, y, z) * std::exp(noise(random)), "2026-03-01")}));
        }
        const auto map = TankMap::of(spots);
        int told = 0;
        int held = 0;
        int tried = 0;
        for (int i = 0; i < 300; ++i) {
            const double x = 50 + 600 * at(random);
            const double y = 50 + 500 * at(random);
            const double z = 50 + 350 * at(random);
            const auto point = map.at(x, y, z);
            ++tried;
            held += point.lo <= truth(x, y, z) && point.hi >= truth(x, y, z) ? 1 : 0;
            told += point.told ? 1 : 0;
        }
        QVERIFY2(held >= 0.9 * tried, qPrintable(QString::number(held)));
        QVERIFY2(told > 0.5 * tried, qPrintable(QString::number(told)));
        // At the other end of the tank nobody read anything.
        QVERIFY(!map.at(1150, 300, 200).told);
        const auto far = map.at(1150, 300, 200);
        const auto near = map.at(400, 300, 200);
        QVERIFY(far.hi / far.ppfd > 1.1 * near.hi / near.ppfd);
        QCOMPARE(TankMap::of({}).at(1, 1, 1).told, false);
    }

    void anExpectedFieldSpeaksWhereReadingsAreFew() {
        const ExpectedLight expected = [](double, double, double z) { return 400.0 * std::exp(-z / 300.0); };
        std::vector<TankSpot> spots;
        for (Id i = 1; i <= 8; ++i)
            spots.push_back(spotAt(i, 100.0 * static_cast<double>(i), 300, 100,
                                   {reading(0.5 * expected(0, 0, 100), "2026-03-01")}));
        const auto map = TankMap::of(spots, expected);
        const auto deep = map.at(400, 300, 300);
        QVERIFY(qAbs(deep.ppfd / (0.5 * expected(0, 0, 300)) - 1.0) < 0.1);
    }
};

GLUMET_TEST(TestLiving, "core_living", Application)

}  // namespace core_living

#include "test_living.moc"
