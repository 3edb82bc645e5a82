#pragma once

#include <QByteArray>

namespace glumet {

/// How many stored edits the write-ahead log beside a project holds that SQLite will pass over because the
/// log is damaged before or in them. Each edit is synced before the next begins, so two or more cannot be the
/// last edit torn by a loss of power; one is, and counts as none. −1: the log's head is damaged, and none of
/// it will be read. Of the log's format: SQLite's documentation, "WAL-mode file format".
int lostEdits(const QByteArray& log);

}  // namespace glumet
