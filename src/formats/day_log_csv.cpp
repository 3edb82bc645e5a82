#include "formats/day_log_csv.h"

#include <QDateTime>
#include <QRegularExpression>
#include <cmath>

#include "core/base/limits.h"
#include "core/bench/bench_rules.h"

namespace glumet {
namespace {

constexpr double kHoursADay = 24.0;
constexpr double kSecondsAnHour = 3600.0;

/// A time as hours, with its day where the cell names one.
struct Moment {
    double hour = 0.0;
    std::optional<QDate> day;
};

std::optional<Moment> momentOf(const std::string& cell) {
    static const QRegularExpression clock(QStringLiteral(
        "^(?:(\\d{4})-(\\d{1,2})-(\\d{1,2})[T ]\\s*|(\\d{1,2})\\.(\\d{1,2})\\.(\\d{4})[, ]\\s*)?"
        "(\\d{1,2}):(\\d{2})(?::(\\d{2}(?:\\.\\d+)?))?(?:Z|[+-]\\d{2}:?\\d{2})?$"));
    const auto match = clock.match(QString::fromStdString(cell).trimmed());
    if (!match.hasMatch()) return std::nullopt;
    const auto part = [&](int at) { return match.captured(at).toDouble(); };
    Moment moment;
    moment.hour = part(7) + part(8) / 60.0 + part(9) / kSecondsAnHour;
    if (part(7) > 24 || part(8) >= 60 || part(9) >= 60 || moment.hour > kHoursADay) return std::nullopt;
    QDate day;
    if (!match.captured(1).isEmpty()) day = QDate(int(part(1)), int(part(2)), int(part(3)));
    if (!match.captured(4).isEmpty()) day = QDate(int(part(6)), int(part(5)), int(part(4)));
    if (!match.captured(1).isEmpty() || !match.captured(4).isEmpty()) {
        if (!day.isValid()) return std::nullopt;
        moment.day = day;
    }
    return moment;
}

struct LogColumns {
    std::size_t first_row = 0;
    std::size_t time = 0;
    std::size_t value = 0;
    bool hours = false;  ///< times are numbers
};

bool namesLight(const std::string& heading) {
    const auto text = QString::fromStdString(heading).toLower();
    return text.contains(QLatin1String("ppfd")) || text.contains(QLatin1String("par"));
}

std::optional<LogColumns> columnsOf(const DelimitedText& text) {
    for (std::size_t r = 0; r < text.rows.size(); ++r) {
        const auto& cells = text.rows[r].cells;
        LogColumns found{r, cells.size(), cells.size(), false};
        for (std::size_t c = 0; c < cells.size() && found.time == cells.size(); ++c)
            if (momentOf(cells[c])) found.time = c;
        if (found.time == cells.size() && cells.size() >= 2 && cellNumber(text, cells[0]) &&
            cellNumber(text, cells[1])) {
            found.time = 0;
            found.hours = true;
        }
        for (std::size_t c = found.time + 1; c < cells.size(); ++c) {
            const bool named =
                r > 0 && c < text.rows[r - 1].cells.size() && namesLight(text.rows[r - 1].cells[c]);
            if (cellNumber(text, cells[c]) && (found.value == cells.size() || named)) found.value = c;
        }
        if (found.time < cells.size() && found.value < cells.size()) return found;
    }
    return std::nullopt;
}

}  // namespace

Expected<DayLogTable> readDayLog(const DelimitedText& text) {
    const auto columns = columnsOf(text);
    if (!columns) return problem("", say(GLUMET_SAY("Core", "holds no row of a time and a value")));
    if (text.rows.size() - columns->first_row > limits::kListed)
        return problem("",
                       sayCounted(GLUMET_SAY_N("Core", "holds more than {} rows"), countOf(limits::kListed)));
    DayLogTable out;
    std::optional<QDate> first_day;
    double days = 0.0;
    for (auto r = columns->first_row; r < text.rows.size(); ++r) {
        const auto& row = text.rows[r];
        const auto where = "line " + std::to_string(row.line);
        const auto cell = [&](std::size_t c) { return c < row.cells.size() ? row.cells[c] : std::string(); };
        const auto value = cellNumber(text, cell(columns->value));
        if (!value) {
            ++out.skipped;
            continue;
        }
        double hour = 0.0;
        if (columns->hours) {
            const auto number = cellNumber(text, cell(columns->time));
            if (!number || *number < 0.0) return problem(where, say(GLUMET_SAY("Core", "is no time")));
            hour = *number;
        } else {
            const auto moment = momentOf(cell(columns->time));
            if (!moment)
                return problem(
                    where, say(GLUMET_SAY("Core", "\"{}\" is no time"), cell(columns->time).substr(0, 40)));
            if (moment->day) {
                if (!first_day) {
                    first_day = moment->day;
                    out.log.time = first_day->toString(Qt::ISODate).toStdString();
                }
                days = static_cast<double>(first_day->daysTo(*moment->day));
            } else if (!out.log.points.empty() &&
                       moment->hour + kHoursADay * days < out.log.points.back().hour) {
                days += 1.0;
            }
            hour = moment->hour + kHoursADay * days;
        }
        if (!out.log.points.empty() && hour == out.log.points.back().hour) continue;
        if (!out.log.points.empty() && hour < out.log.points.back().hour)
            return problem(where, say(GLUMET_SAY("Core", "runs back in time")));
        if (*value < 0.0 || *value > limits::kPpfd)
            return problem(where, say(GLUMET_SAY("Core", "is no PPFD: it must be 0 or more")));
        out.log.points.push_back({hour, Ppfd(*value)});
    }
    if (out.log.points.size() < 2) return problem("", say(GLUMET_SAY("Core", "holds fewer than two values")));
    if (auto fault = faultOf(out.log)) return tl::make_unexpected(std::move(*fault));
    return out;
}

}  // namespace glumet
