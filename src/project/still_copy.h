#pragma once

#include <QString>

#include "core/base/problem.h"

namespace glumet {

/// Copies a project file and the log or journal beside it to another path as they are at one moment, whoever
/// writes meanwhile: what was read is read again, until nothing has changed between. Changes nothing of the
/// original and makes nothing beside it.
Expected<bool> copyStill(const QString& from, const QString& to);

/// Whether a log or journal of unfinished work lies beside a project file.
bool hasLog(const QString& path);

}  // namespace glumet
