#include "core/survey/pace.h"

#include <chrono>
#include <cmath>
#include <cstdio>

#include "core/bench/grid.h"

namespace glumet {
namespace {

constexpr double kPointPause = 300.0;
constexpr double kPlanePause = 1800.0;
constexpr double kRunPause = 7200.0;
constexpr std::size_t kLatest = 2000;  // readings
constexpr double kNotTaken = 1.5;      // s; nobody reads that fast

struct Taken {
    double time;
    Id run;
    Id plane;
    std::size_t plane_index;
};

/// Of the latest runs: today's pace, and not the whole past of a large project.
std::vector<Taken> takenReadings(const Bench& bench) {
    std::vector<Taken> taken;
    for (std::size_t back = 0; back < bench.runs.size() && taken.size() < kLatest; ++back) {
        const auto& run = bench.runs[bench.runs.size() - 1 - back];
        for (std::size_t plane = 0; plane < run.planes.size(); ++plane)
            for (const auto& reading : run.planes[plane].readings)
                if (const auto time = secondsOf(reading.time))
                    taken.push_back({*time, run.id, run.planes[plane].id, plane});
    }
    std::stable_sort(taken.begin(), taken.end(),
                     [](const Taken& a, const Taken& b) { return a.time < b.time; });
    return taken;
}

/// Quantile of sorted values by nearest rank.
double quantile(const std::vector<double>& sorted, double share) {
    const auto last = static_cast<double>(sorted.size() - 1);
    return sorted[static_cast<std::size_t>(std::lround(share * last))];
}

void takeMedian(std::vector<double>& gaps, Second& into) {
    if (gaps.size() < 2) return;
    std::sort(gaps.begin(), gaps.end());
    into = Second(quantile(gaps, 0.5));
}

}  // namespace

std::optional<double> secondsOf(const std::string& iso_time) {
    int year = 0;
    unsigned month = 0;
    unsigned day = 0;
    int hour = 0;
    int minute = 0;
    double second = 0.0;
    if (std::sscanf(iso_time.c_str(), "%d-%u-%uT%d:%d:%lf", &year, &month, &day, &hour, &minute, &second) !=
        6)
        return std::nullopt;
    const std::chrono::year_month_day date{std::chrono::year(year), std::chrono::month(month),
                                           std::chrono::day(day)};
    if (!date.ok()) return std::nullopt;
    const auto days = std::chrono::sys_days(date).time_since_epoch().count();
    return static_cast<double>(days) * 86400.0 + hour * 3600.0 + minute * 60.0 + second;
}

Pace paceOf(const Bench& bench) {
    std::vector<double> points;
    std::vector<double> planes;
    std::vector<double> runs;
    const auto taken = takenReadings(bench);
    for (std::size_t i = 1; i < taken.size(); ++i) {
        const auto& before = taken[i - 1];
        const auto& here = taken[i];
        const double gap = here.time - before.time;
        if (gap < kNotTaken) continue;
        if (here.run == before.run && here.plane_index == before.plane_index) {
            if (gap < kPointPause) points.push_back(gap);
        } else if (here.run == before.run) {
            if (gap < kPlanePause) planes.push_back(gap);
        } else if (gap < kRunPause) {
            runs.push_back(gap);
        }
    }
    Pace pace;
    if (points.size() < static_cast<std::size_t>(kLeastTimed)) return pace;
    std::sort(points.begin(), points.end());
    pace.points_timed = static_cast<int>(points.size());
    pace.point = Second(quantile(points, 0.5));
    pace.point_quick = Second(quantile(points, 0.25));
    pace.point_slow = Second(quantile(points, 0.75));
    takeMedian(planes, pace.plane);
    takeMedian(runs, pace.run);
    return pace;
}

TimeEstimate estimateOf(const std::vector<Run>& runs, const Pace& pace) {
    TimeEstimate estimate;
    for (const auto& run : runs) {
        int planes = 0;
        for (const auto& plane : run.planes) {
            if (!plane.grid) continue;
            int read = 0;
            for (const int index : readingOfCell(*plane.grid, plane.readings)) read += index >= 0 ? 1 : 0;
            const int left = std::max(0, plane.grid->plannedCells() - read);
            estimate.points += left;
            planes += left > 0 ? 1 : 0;
        }
        estimate.planes += planes;
        estimate.runs += planes > 0 ? 1 : 0;
    }
    const int depth_changes = estimate.planes - estimate.runs;
    const Second between = pace.plane * depth_changes + pace.run * estimate.runs;
    estimate.quick = pace.point_quick * estimate.points + between;
    estimate.usual = pace.point * estimate.points + between;
    estimate.slow = pace.point_slow * estimate.points + between;
    return estimate;
}

}  // namespace glumet
