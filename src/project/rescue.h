#pragma once

#include <QString>
#include <vector>

#include "core/base/problem.h"
#include "core/bench/bench.h"

namespace glumet {

class ProjectFile;

/// What could be read of a damaged project, and what could not.
struct Rescued {
    Bench bench;
    std::vector<Problem> missing;
};

/// Reads every row of a damaged project that can still be reached, from both ends of each table; rows that
/// belong to nothing that was read, and values that cannot be, are left out and counted. Fails where nothing
/// at all is left, and for a file that is none of ours. Changes nothing.
Expected<Rescued> rescuedFrom(const QString& path);

/// Stores a bench in an empty project, each row under the number it has. Throws SqlFault.
void storeAsIs(const ProjectFile& file, const Bench& bench);

}  // namespace glumet
