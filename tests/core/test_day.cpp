#include <QTest>
#include <cmath>

#include "core/dose/day.h"
#include "runner/registry.h"

namespace core_day {

using namespace glumet;

namespace {

Schedule schedule(std::vector<ClockPoint> points, Id channel = 0) {
    Schedule s;
    s.ramps.push_back({1, channel, std::move(points)});
    return s;
}

ClockedLight light(Schedule s, double ppfd = 200.0) { return {std::move(s), {{1, ppfd, 50.0, {}}}}; }

const std::vector<ClockPoint> kTenHours{{8, 0}, {9, 100}, {18, 100}, {19, 0}};

}  // namespace

class TestDay : public QObject {
    Q_OBJECT

  private slots:
    void levelsRampAndWrapRoundMidnight() {
        const auto s = schedule(kTenHours);
        QCOMPARE(levelAt(s, 1, 8.5), 0.5);
        QCOMPARE(levelAt(s, 1, 12), 1.0);
        QCOMPARE(levelAt(s, 1, 23), 0.0);
        const auto night = schedule({{2, 100}, {22, 0}});
        QCOMPARE(levelAt(night, 1, 0), 0.5);
        QCOMPARE(levelAt(night, 1, 23), 0.25);
        QCOMPARE(levelAt(Schedule{}, 1, 12), 0.0);
    }

    void aChannelsOwnRampGoesBeforeTheCommonOne() {
        auto s = schedule(kTenHours);
        s.ramps.push_back({2, 7, {{0, 5}}});
        QCOMPARE(levelAt(s, 7, 3), 0.05);
        QCOMPARE(levelAt(s, 1, 12), 1.0);
    }

    void aDoseIsTheAreaUnderTheDay() {
        const auto day = figuresOf(dayCurve({light(schedule(kTenHours))}));
        // Nine hours at 200 and two ramps of an hour: ten hours' worth.
        QVERIFY(std::abs(day.dli - 200 * 10 * 3600e-6) < 1e-3);
        QCOMPARE(day.peak, 200.0);
        QCOMPARE(day.plateau, 200.0);
        QVERIFY(std::abs(day.photoperiod_h - 10.8) < 0.03);
        QCOMPARE(day.night_ppfd, 0.0);
        QVERIFY(day.short_peaks.empty());
    }

    void aShortPeakIsNotThePlateau() {
        const auto day = figuresOf(dayCurve({light(schedule(
            {{8, 0}, {9, 60}, {13, 60}, {13.1, 100}, {13.5, 100}, {13.6, 60}, {18, 60}, {19, 0}}))}));
        QVERIFY(std::abs(day.plateau - 120) < 0.5);
        QCOMPARE(day.peak, 200.0);
        QCOMPARE(day.short_peaks.size(), std::size_t{1});
        QVERIFY(day.short_peaks[0].hours() < 0.7 && day.short_peaks[0].hours() > 0.4);
    }

    void nightLightIsSaid() {
        const auto day = figuresOf(dayCurve({light(schedule({{8, 1}, {9, 100}, {18, 100}, {19, 1}}))}));
        QVERIFY(std::abs(day.night_ppfd - 2.0) < 1e-9);
    }

    void clocksDriftApart() {
        auto a = schedule(kTenHours);
        auto b = schedule(kTenHours);
        b.drift_s_day = 20;
        QVERIFY(std::abs(clockSpread({a, b}, 90) - 30.0) < 1e-9);
        QCOMPARE(clockSpread({a}, 90), 0.0);
        const auto fresh = figuresOf(dayCurve({light(a), light(b)}));
        const auto later = figuresOf(dayCurve({light(a), light(b)}, 90));
        QVERIFY(std::abs(fresh.dli - later.dli) < 1e-3);
        QVERIFY(later.photoperiod_h > fresh.photoperiod_h + 0.2);
    }

    void energyFollowsTheLevels() {
        QVERIFY(std::abs(*energyOf({light(schedule(kTenHours))}) - 0.5) < 1e-6);
        auto unknown = light(schedule(kTenHours));
        unknown.channels[0].watt.reset();
        QVERIFY(!energyOf({unknown}));
    }

    void aLoggersWholeDaysAreFound() {
        DayLog log;
        for (double h = 9; h <= 60; h += 0.25) log.points.push_back({h, Ppfd(100)});
        const auto days = daysOf(log);
        QCOMPARE(days.size(), std::size_t{1});
        QVERIFY(std::abs(figuresOf(days[0]).dli - 100 * 24 * 3600e-6) < 1e-9);
        for (auto& point : log.points)
            if (point.hour > 30) point.hour += 3;
        QVERIFY(daysOf(log).empty());
    }

    void clocksAreReadAsTheyAreWritten() {
        const std::vector<ClockPoint> points{{8, 0}, {9.5, 60}, {18, 60}, {19.5, 0}};
        QCOMPARE(clockText(points), std::string("8:00 0, 9:30 60, 18:00 60, 19:30 0"));
        QVERIFY(*parseClock(clockText(points)) == points);
        QVERIFY(*parseClock("8 0 9:30 60% 18:00 60, 19.5 0") == points);
        for (const char* wrong : {"", "8:00", "8:00 0, 7:00 5", "25:00 3", "8:00 120", "8:61 5", "x"})
            QVERIFY2(!parseClock(wrong), wrong);
    }
};

GLUMET_TEST(TestDay, "core_day", Application)

}  // namespace core_day

#include "test_day.moc"
