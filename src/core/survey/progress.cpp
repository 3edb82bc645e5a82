#include "core/survey/progress.h"

#include <algorithm>

#include "core/survey/route.h"

namespace glumet {
namespace {

struct PlanePlace {
    Id run;
    const Plane* plane;
};

std::vector<PlanePlace> planesInOrder(const Bench& bench) {
    std::vector<PlanePlace> all;
    for (const auto& run : bench.runs)
        for (const auto& plane : run.planes) all.push_back({run.id, &plane});
    return all;
}

/// The newest reading of a plane, by the order in which readings were stored; 0 without any.
Id newestOf(const Plane& plane) {
    Id newest = 0;
    for (const auto& reading : plane.readings) newest = std::max(newest, reading.id);
    return newest;
}

}  // namespace

PlaneProgress progressOf(Id run, const Plane& plane) {
    PlaneProgress progress{run, plane.depth, 0, 0, 0};
    for (const auto& reading : plane.readings)
        if (reading.counts() && reading.flag == Mark::Doubtful) ++progress.doubtful;
    if (plane.grid) {
        progress.planned = plane.grid->plannedCells();
        for (const int index : readingOfCell(*plane.grid, plane.readings))
            progress.read += index >= 0 ? 1 : 0;
        return progress;
    }
    for (const auto& reading : plane.readings) progress.read += reading.counts() ? 1 : 0;
    progress.planned = progress.read;
    return progress;
}

std::vector<PlaneProgress> surveyProgress(const Bench& bench) {
    std::vector<PlaneProgress> all;
    for (const auto& place : planesInOrder(bench)) all.push_back(progressOf(place.run, *place.plane));
    return all;
}

std::optional<WorkPlace> whereItStopped(const Bench& bench) {
    const auto planes = planesInOrder(bench);
    std::optional<WorkPlace> begun;
    Id newest_begun = 0;
    Id newest = 0;
    std::size_t last = 0;
    std::vector<bool> complete(planes.size(), false);  // as far as it has been looked at
    for (std::size_t i = 0; i < planes.size(); ++i) {
        const Id here = newestOf(*planes[i].plane);
        if (here > newest) {
            newest = here;
            last = i;
        }
        if (here <= newest_begun) continue;
        if (const auto cell = nextOnWay(bench, bench.run(planes[i].run), *planes[i].plane)) {
            begun = WorkPlace{planes[i].run, planes[i].plane->depth, *cell};
            newest_begun = here;
        } else {
            complete[i] = true;
        }
    }
    if (begun) return begun;
    for (std::size_t step = 0; step < planes.size(); ++step) {
        const auto at = (last + step) % planes.size();
        if (complete[at]) continue;
        const auto& place = planes[at];
        if (const auto cell = nextOnWay(bench, bench.run(place.run), *place.plane))
            return WorkPlace{place.run, place.plane->depth, *cell};
    }
    return std::nullopt;
}

}  // namespace glumet
