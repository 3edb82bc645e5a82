#pragma once

#include "core/bench/bench.h"
#include "core/bench/grid.h"

namespace glumet {

/// How far one planned plane is.
struct PlaneProgress {
    Id run = 0;
    Millimetre depth{0};
    int planned = 0;  ///< points; those read where no grid was planned
    int read = 0;
    int doubtful = 0;  ///< marked by hand or when taken

    bool complete() const { return read >= planned; }
};

PlaneProgress progressOf(Id run, const Plane& plane);

/// Every plane of every run, in the order of the runs.
std::vector<PlaneProgress> surveyProgress(const Bench& bench);

/// A point of the plan.
struct WorkPlace {
    Id run = 0;
    Millimetre depth{0};
    Cell cell;

    bool operator==(const WorkPlace&) const = default;
};

/// Where work stopped: the next point of the plane that was begun last and is not complete; else the first
/// unread point after the reading taken last, in the order of the runs, and after those from the beginning.
/// Nothing when all is read.
std::optional<WorkPlace> whereItStopped(const Bench& bench);

}  // namespace glumet
