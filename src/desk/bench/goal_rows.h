#pragma once

#include "desk/shared/form_column.h"

namespace glumet {

/// Rows that choose and edit the project's goal: ready ones and the reviewer's own, the school it speaks for,
/// band, ceiling, floor, depth zone, photoperiod, and a name to keep it under.
void addGoalRows(Session& session, FormColumn& form);

}  // namespace glumet
