#pragma once

#include <QString>

#include "core/base/problem.h"
#include "core/bench/sweep.h"
#include "core/words/wording.h"

namespace glumet {

/// For working on paper: a checklist of what is checked before the first reading, then a sheet for every
/// plane of the sweep that has points left, with the probe's way numbered and a box to write each value in.
/// PDF, A4. Gives the number of pages; the file appears whole or not at all.
Expected<int> writePointSheets(const Bench& bench, const Sweep& sweep, LengthUnit unit, const QString& path);

}  // namespace glumet
