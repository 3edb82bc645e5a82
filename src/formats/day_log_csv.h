#pragma once

#include <string_view>

#include "core/base/problem.h"
#include "core/bench/schedule.h"
#include "formats/delimited_text.h"

namespace glumet {

/// What a logger's file holds.
struct DayLogTable {
    DayLog log;
    int skipped = 0;  ///< rows whose value was missing, as loggers write when they were busy
};

/// A table of times and PPFD: the first column whose cells are times (2026-11-08 07:30:00, with a T or a
/// blank between, seconds or not; 8.11.2026 07:30; 07:30; or hours as a number) and the first column of
/// numbers behind it, or the one headed ppfd or par. Times of the day alone that begin anew are the next day.
/// Refused: times that run back, values below 0, no time, no value; 100 000 rows at most.
Expected<DayLogTable> readDayLog(const DelimitedText& text);

}  // namespace glumet
