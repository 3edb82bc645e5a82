#pragma once

#include <vector>

#include "desk/shared/stage.h"

namespace glumet {

/// All stages in the order of work.
std::vector<StageEntry> allStages();

}  // namespace glumet
