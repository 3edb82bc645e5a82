#pragma once

#include <string>
#include <vector>

#include "core/base/problem.h"
#include "core/living/ramp.h"

namespace glumet {

/// A whole day in a calendar.
struct CalendarDay {
    std::string uid;  ///< the same for the same day of the same plan, so that a new export takes its place
    std::string day;  ///< ISO date
    std::string summary;
    std::string note;
};

/// Days as an iCalendar file (RFC 5545), all-day events. `stamp`: ISO date it was made on. Refused: a day
/// that is none.
Expected<std::string> calendarOf(const std::vector<CalendarDay>& days, const std::string& stamp);

/// A plan's steps as days: what to set, and to look before the next.
std::vector<CalendarDay> calendarDays(const std::string& name, const std::vector<DatedStep>& steps);

/// A day to read the spots of a tank again; of one tank there is one.
CalendarDay lookDay(const std::string& tank, const std::string& day);

}  // namespace glumet
