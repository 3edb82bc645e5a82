#include "core/verdicts/goal_level.h"

#include <QTest>
#include <cmath>

#include "core/verdicts/goals.h"
#include "core/words/sentence.h"
#include "runner/registry.h"

namespace core_goal_level {

using namespace glumet;

namespace {

Goal band(double low, double high) {
    Goal goal;
    goal.band = {Ppfd(low), Ppfd(high)};
    return goal;
}

}  // namespace

class TestGoalLevel : public QObject {
    Q_OBJECT

  private slots:
    void sharesAreThoseAtEachLevel() {
        const auto shares = sharesByLevel({100, 200, 400}, {Ppfd(100), Ppfd(200)});
        QCOMPARE(shares[0], 0.0);
        QCOMPARE(shares[100], 2.0 / 3.0);
        QCOMPARE(shares[50], 2.0 / 3.0);
        QCOMPARE(shares[60], 1.0 / 3.0);
    }

    void theCeilingIsKeptBeforeTheShareCounts() {
        auto goal = band(100, 200);
        const LitPoints points{{100, 110, 120, 130, 300}, {}};
        QCOMPARE(goalLevel(points, goal).best.level_pct, 100.0);
        goal.ceiling = Ppfd(250);
        const auto kept = goalLevel(points, goal);
        QVERIFY(kept.keeps());
        QVERIFY(kept.peak <= 250.0 + 1e-9);
        QVERIFY(kept.best.level_pct < 84.0);
        QVERIFY(kept.best.share < 0.8);
        QVERIFY(english(kept.reason).find("stays under 250") != std::string::npos);
    }

    void thePlateauHasNoGapAndKeepsTheLimits() {
        // Two levels serve half the points each, with a stretch between that serves none.
        const auto goal = band(100, 110);
        const auto verdict = goalLevel({{105, 106, 250, 252}, {}}, goal);
        const auto shares = sharesByLevel({105, 106, 250, 252}, goal.band);
        QVERIFY(verdict.best.share > 0.4);
        for (auto level = verdict.best.plateau_low_pct; level <= verdict.best.plateau_high_pct; ++level)
            QVERIFY(shares[static_cast<std::size_t>(level)] >= verdict.best.share - 0.02 - 1e-12);
        auto capped = band(100, 200);
        capped.ceiling = Ppfd(160);
        const LitPoints points{{190, 195, 198}, {}};
        const auto kept = goalLevel(points, capped);
        QVERIFY(kept.best.plateau_high_pct * 198.0 / 100.0 <= 160.0);
        QVERIFY(bestLevel(points.values, capped.band).plateau_high_pct * 198.0 / 100.0 > 160.0);
    }

    void verdictsHoldWhatWasAskedAndHowTheyStand() {
        const auto goal = band(100, 200);
        const auto spoken = goalLevel({{150, 300}, {}}, goal);
        QCOMPARE(spoken.asked, goal);
        QCOMPARE(spoken.used, std::size_t{2});
        QCOMPARE(spoken.status(), VerdictStatus::Ready);
        QCOMPARE(goalLevel({{10}, {}}, goal).status(), VerdictStatus::Silent);
        QCOMPARE(goalLevel({}, goal).status(), VerdictStatus::Failed);
        QCOMPARE(channelMix({}, {}, goal).status(), VerdictStatus::Failed);
        QCOMPARE(channelMix({"a"}, {{{10}, {}}}, goal).status(), VerdictStatus::Silent);
        QCOMPARE(sharedLevel({}, {}).status(), VerdictStatus::Failed);
        QCOMPARE(sharedLevel({goal, goal}, {{{150}, {}}, {{10}, {}}}).status(), VerdictStatus::Silent);
        QCOMPARE(sharedLevel({goal, goal}, {{{150}, {}}, {{}, {}}}).status(), VerdictStatus::Failed);
        const auto shared = sharedLevel({goal, goal}, {{{150}, {}}, {{250}, {}}});
        QCOMPARE(shared.status(), VerdictStatus::Ready);
        QCOMPARE(shared.parts.front().asked, goal);
        // Both are served from 150·level ≥ 100 to 250·level ≤ 200.
        QCOMPARE(shared.low_pct, 67.0);
        QCOMPARE(shared.high_pct, 80.0);
        QCOMPARE(shared.level_pct, 74.0);
    }

    void aFloorThatCannotBeKeptIsSaid() {
        auto goal = band(100, 200);
        goal.floor = Ppfd(50);
        const auto verdict = goalLevel({{150, 160}, {20, 30}}, goal);
        QVERIFY(!verdict.floor_holds);
        QVERIFY(verdict.best.share > 0.0);
        QVERIFY(english(verdict.reason).find("where 50 is asked") != std::string::npos);
        QVERIFY(goalLevel({{150, 160}, {60, 70}}, goal).floor_holds);
    }

    void fiveMoreAndFiveLessAreTheSharesThere() {
        const auto goal = band(150, 200);
        const auto verdict = goalLevel({{300, 330, 360}, {}}, goal);
        const auto shares = sharesByLevel({300, 330, 360}, goal.band);
        const auto level = static_cast<std::size_t>(verdict.best.level_pct);
        QCOMPARE(verdict.five_less, shares[level - 5]);
        QCOMPARE(verdict.five_more, shares[level + 5]);
    }

    void noLevelBringsAPointIntoTheBand() {
        const auto verdict = goalLevel({{10, 20}, {}}, band(150, 200));
        QCOMPARE(verdict.best.share, 0.0);
        QVERIFY(english(verdict.reason).find("No level") != std::string::npos);
    }

    void depthsLieInTheGoalsZone() {
        auto goal = band(100, 200);
        const auto all = judgedDepths(goal, Millimetre(500), Over::Points);
        QCOMPARE(all.size(), std::size_t{3});
        QCOMPARE(all[1].value(), 270.0);
        QCOMPARE(judgedDepths(goal, Millimetre(800), Over::Volume).front().value(), 50.0);
        QCOMPARE(floorDepth(goal, Millimetre(500)).value(), 500.0);
        goal.zone_from = Millimetre(100);
        goal.zone_to = Millimetre(300);
        for (const auto depth : judgedDepths(goal, Millimetre(500), Over::Volume))
            QVERIFY(depth.value() > 100.0 && depth.value() < 300.0);
        QCOMPARE(floorDepth(goal, Millimetre(500)).value(), 300.0);
        // A zone that reaches below the bottom ends there.
        QCOMPARE(floorDepth(goal, Millimetre(200)).value(), 200.0);
    }

    void channelsAreMixedSoThatTheyTogetherFillTheBand() {
        // One lights the left half, the other twice as strongly the right: equal levels can serve one half.
        const LitPoints left{{200, 200, 0, 0}, {}};
        const LitPoints right{{0, 0, 400, 400}, {}};
        const auto mix = channelMix({"blue", "white"}, {left, right}, band(150, 180));
        QCOMPARE(mix.share, 1.0);
        QVERIFY(mix.level_pct[0] >= 75.0 && mix.level_pct[0] <= 90.0);
        QVERIFY(mix.level_pct[1] >= 37.0 && mix.level_pct[1] <= 45.0);
        QCOMPARE(mix.equal_share, 0.5);
        // Each channel lights its half alone: it may go from 150 to 180 without the other.
        QCOMPARE(mix.low_pct[0], 75.0);
        QCOMPARE(mix.high_pct[0], 90.0);
        QCOMPARE(mix.low_pct[1], 38.0);
        QCOMPARE(mix.high_pct[1], 45.0);
        QVERIFY(english(mix.reason).find("blue at") != std::string::npos);
        QVERIFY(english(channelMix({}, {}, band(1, 2)).reason).find("No channel") != std::string::npos);
    }

    void aChannelKeepsItsOwnBandToo() {
        // Both light all points alike: without a wish any split of 150 to 180 serves, with one blue gives 40.
        const LitPoints blue{{200, 200}, {}};
        const LitPoints white{{400, 400}, {}};
        const auto mix =
            channelMix({"Blue", "white"}, {blue, white}, band(150, 180), {{"blue", band(40, 50).band}});
        QCOMPARE(mix.share, 1.0);
        QVERIFY(mix.level_pct[0] >= 20.0 && mix.level_pct[0] <= 25.0);
        QVERIFY(english(mix.reason).find("its own band") != std::string::npos);
        // A wish that the sum cannot keep leaves nothing.
        QCOMPARE(channelMix({"blue", "white"}, {blue, white}, band(150, 180), {{"blue", band(190, 200).band}})
                     .share,
                 0.0);
        // A name that no channel has is no wish.
        QCOMPARE(channelMix({"blue"}, {blue}, band(150, 180), {{"green", band(0, 1).band}}).share, 1.0);
    }

    void aMixOfManyIsNeverWorseThanOneLevelForAll() {
        // Six channels, too many for the lattice.
        std::vector<LitPoints> channels;
        for (int c = 0; c < 6; ++c) channels.push_back({{40.0 + 5 * c, 90.0 - 8 * c, 60.0 + c * c}, {}});
        const auto mix = channelMix(std::vector<std::string>(6, "c"), channels, band(100, 130));
        QVERIFY(mix.equal_share > 0.0);
        QVERIFY(mix.share >= mix.equal_share);
    }

    void aMixKeepsTheCeilingWhereItCan() {
        auto goal = band(100, 500);
        goal.ceiling = Ppfd(300);
        const auto mix = channelMix({"a", "b"}, {{{200, 400}, {}}, {{200, 100}, {}}}, goal);
        const double second = (400 * mix.level_pct[0] + 100 * mix.level_pct[1]) / 100.0;
        QVERIFY(second <= 300.0 + 1e-9);
        QCOMPARE(mix.share, 1.0);
    }

    void twoGoalsShareTheLevelThatServesTheWorseBest() {
        const auto dim = band(50, 60);
        const auto bright = band(100, 120);
        // The zones ask for 50–60 % and 100 %: what serves one leaves the other out.
        const auto shared = sharedLevel({dim, bright}, {{{100, 100}, {}}, {{110, 200}, {}}});
        QCOMPARE(shared.parts.size(), std::size_t{2});
        QVERIFY(shared.level_pct >= 50.0 && shared.level_pct <= 60.0);
        QCOMPARE(shared.parts[0].share, 1.0);
        QCOMPARE(shared.parts[1].share, 0.5);
        QVERIFY(shared.parts[1].alone_share >= 0.5);
    }

    void schoolsReadAGoalTheirWay() {
        const auto narrow = readyGoals().front();
        const auto broad = asReadBy(LightSchool::BroadRange, narrow, Millimetre(450));
        QCOMPARE(broad.band.low.value(), narrow.band.low.value() / 3.0);
        QCOMPARE(broad.band.high.value(), narrow.band.high.value() * 3.0);
        QCOMPARE(asReadBy(LightSchool::SandBed, narrow, Millimetre(450)).floor->value(),
                 narrow.band.low.value());
        const auto gradient = asReadBy(LightSchool::Gradient, narrow, Millimetre(450));
        QVERIFY(gradient.zoned());
        QCOMPARE(gradient.zone_to.value(), 150.0);
        QVERIFY(gradient.school == LightSchool::Gradient);
        for (const auto school : kLightSchools)
            QVERIFY(!wrongWith(asReadBy(school, narrow, Millimetre(450))));
    }

    void wrongGoalsAreRefusedInWords() {
        auto goal = band(200, 100);
        QVERIFY(wrongWith(goal)->find("band") != std::string::npos);
        goal = band(100, 200);
        goal.photoperiod_h = 25;
        QVERIFY(wrongWith(goal)->find("photoperiod") != std::string::npos);
        goal = band(100, 200);
        goal.ceiling = Ppfd(50);
        QVERIFY(wrongWith(goal)->find("ceiling") != std::string::npos);
        goal = band(100, 200);
        goal.zone_from = Millimetre(300);
        QVERIFY(wrongWith(goal)->find("zone") != std::string::npos);
    }
};

GLUMET_TEST(TestGoalLevel, "core_goal_level", Nothing)

}  // namespace core_goal_level

#include "test_goal_level.moc"
