#include "formats/calendar.h"

#include <fmt/format.h>
#include <libical/ical.h>

#include <memory>

namespace glumet {
namespace {

constexpr const char* kLook =
    "Look before you raise: bleached, closed or shedding? Then wait a week or go a step back, and change "
    "nothing else.";

using Component = std::unique_ptr<icalcomponent, decltype(&icalcomponent_free)>;

/// A date as iCalendar has it; nothing for what is none.
std::optional<icaltimetype> dateOf(const std::string& day) {
    if (daysAfter(day, 0).empty()) return std::nullopt;
    icaltimetype date = icaltime_null_date();
    date.year = std::stoi(day.substr(0, 4));
    date.month = std::stoi(day.substr(5, 2));
    date.day = std::stoi(day.substr(8, 2));
    date.is_date = 1;
    return date;
}

}  // namespace

Expected<std::string> calendarOf(const std::vector<CalendarDay>& days, const std::string& stamp) {
    const Component calendar(icalcomponent_new(ICAL_VCALENDAR_COMPONENT), &icalcomponent_free);
    icalcomponent_add_property(calendar.get(), icalproperty_new_version("2.0"));
    icalcomponent_add_property(calendar.get(), icalproperty_new_prodid("-//Glumet//EN"));
    auto made = dateOf(stamp);
    if (!made) return problem("date", say(GLUMET_SAY("Core", "is no date such as 2026-11-27")));
    made->is_date = 0;
    made->zone = icaltimezone_get_utc_timezone();
    for (const auto& day : days) {
        const auto date = dateOf(day.day);
        if (!date) return problem(day.summary, say(GLUMET_SAY("Core", "is no date such as 2026-11-27")));
        auto* event = icalcomponent_new(ICAL_VEVENT_COMPONENT);
        icalcomponent_add_component(calendar.get(), event);
        icalcomponent_add_property(event, icalproperty_new_uid(day.uid.c_str()));
        icalcomponent_add_property(event, icalproperty_new_dtstamp(*made));
        icalcomponent_add_property(event, icalproperty_new_dtstart(*date));
        icalcomponent_add_property(event, icalproperty_new_summary(day.summary.c_str()));
        if (!day.note.empty())
            icalcomponent_add_property(event, icalproperty_new_description(day.note.c_str()));
        icalcomponent_add_property(event, icalproperty_new_transp(ICAL_TRANSP_TRANSPARENT));
    }
    const std::unique_ptr<char, decltype(&free)> text(icalcomponent_as_ical_string_r(calendar.get()), &free);
    return std::string(text.get());
}

std::vector<CalendarDay> calendarDays(const std::string& name, const std::vector<DatedStep>& steps) {
    std::vector<CalendarDay> out;
    for (const auto& step : steps) {
        const std::string what = step.held ? "hold" : step.back ? "step back to" : "set";
        out.push_back({fmt::format("{}-{}@glumet", step.day, out.size()), step.day,
                       fmt::format("{}: {} {:.0f} %", name, what, step.level_pct), kLook});
    }
    return out;
}

CalendarDay lookDay(const std::string& tank, const std::string& day) {
    return {fmt::format("look-{}@glumet", tank), day, fmt::format("{}: read the spots", tank), kLook};
}

}  // namespace glumet
