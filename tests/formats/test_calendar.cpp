#include "formats/calendar.h"

#include <libical/ical.h>

#include <QTest>
#include <memory>

#include "core/words/sentence.h"
#include "runner/registry.h"

namespace formats_calendar {

using namespace glumet;

/// Ramps as calendars, read back by a reader that is not ours.
class TestCalendar : public QObject {
    Q_OBJECT

  private slots:
    void aPlanIsDaysOfACalendar() {
        Acclimation ramp;
        ramp.from_pct = 40;
        ramp.to_pct = 85;
        ramp.weeks = 6;
        ramp.start = "2026-12-24";
        ramp.events = {{"2027-01-01", RampEventKind::Pause, "pale"},
                       {"2027-01-08", RampEventKind::Resume, ""}};
        const auto steps = *datedSteps(ramp);
        const auto text = *calendarOf(calendarDays("Lamps, \"new\"; raceway\nhall", steps), "2026-11-27");
        const std::unique_ptr<icalcomponent, decltype(&icalcomponent_free)> read(
            icalparser_parse_string(text.c_str()), &icalcomponent_free);
        QVERIFY(read != nullptr);
        QCOMPARE(icalcomponent_count_errors(read.get()), 0);
        QVERIFY(icalrestriction_check(read.get()) != 0);
        QCOMPARE(icalcomponent_count_components(read.get(), ICAL_VEVENT_COMPONENT),
                 static_cast<int>(steps.size()));
        std::size_t at = 0;
        for (auto* event = icalcomponent_get_first_component(read.get(), ICAL_VEVENT_COMPONENT);
             event != nullptr;
             event = icalcomponent_get_next_component(read.get(), ICAL_VEVENT_COMPONENT), ++at) {
            const auto start = icalcomponent_get_dtstart(event);
            QVERIFY(start.is_date);
            QCOMPARE(QStringLiteral("%1-%2-%3")
                         .arg(start.year)
                         .arg(start.month, 2, 10, QLatin1Char('0'))
                         .arg(start.day, 2, 10, QLatin1Char('0')),
                     QString::fromStdString(steps[at].day));
            QVERIFY(QString::fromUtf8(icalcomponent_get_summary(event))
                        .startsWith(QStringLiteral("Lamps, \"new\"; raceway")));
        }
        // Lines are folded, and the same plan gives the same bytes.
        for (const auto& line : QString::fromStdString(text).split(QStringLiteral("\r\n")))
            QVERIFY(line.toUtf8().size() <= 75);
        QCOMPARE(*calendarOf(calendarDays("Lamps, \"new\"; raceway\nhall", steps), "2026-11-27"), text);
    }

    void daysThatAreNoneAreRefused() {
        QVERIFY(!calendarOf({{"1", "soon", "x", ""}}, "2026-11-27"));
        QVERIFY(!calendarOf({}, "today"));
    }
};

GLUMET_TEST(TestCalendar, "formats_calendar", Application)

}  // namespace formats_calendar

#include "test_calendar.moc"
