#pragma once

#include <QList>
#include <QString>
#include <QStringList>

namespace glumet {

/// "GLMT": tells a Glumet project from any other SQLite file (PRAGMA application_id).
inline constexpr quint32 kApplicationId = 0x474C4D54;

/// Version of the tables (PRAGMA user_version). A file with a higher one is not opened.
///   1 (2026-11-24): first version.
///   2 (2026-11-25): fixture.beam, fixture.flux_umol_s and fixture.emitter_size_mm.
///   3 (2026-11-25): tank.obstacles; meter.response, .cosine_error and .corrections; project.check_every,
///                   .school and .dissent; table commission.
///   4 (2026-11-25): project.goal and .goals.
inline constexpr int kSchemaVersion = 4;

/// A table whose edits can be undone, and its columns without the row number.
struct EditableTable {
    QString name;
    QStringList columns;
};

/// The tables that hold the reviewer's data, parents before children.
const QList<EditableTable>& editableTables();

/// Statements that make an empty project file of kSchemaVersion, undo triggers included.
QStringList schemaStatements();

/// Statements that bring a file of an older version up to kSchemaVersion; undo history included.
QStringList migrationStatements(int version);

}  // namespace glumet
