#pragma once

#include <QString>
#include <QVariant>

#include "core/bench/goal.h"

namespace glumet {

/// A goal without its band, which has columns of its own, as the project file keeps it.
QString goalText(const Goal& goal);
/// Empty or unreadable text is a goal with nothing but its defaults.
Goal goalFrom(const QVariant& value);

/// Goals whole, as a list; empty when there is none.
QString goalsText(const std::vector<Goal>& goals);
std::vector<Goal> goalsFrom(const QVariant& value);

}  // namespace glumet
