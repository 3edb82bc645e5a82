#include "project/schema.h"

#include "project/described_rows.h"

namespace glumet {
namespace {

/// The journal: one row per changed row, its old values beside it in undo_TABLE.
QStringList journalTables() {
    return {
        QStringLiteral("CREATE TABLE undo_step(id INTEGER PRIMARY KEY AUTOINCREMENT, title TEXT NOT NULL, "
                       "undone INTEGER NOT NULL DEFAULT 0) STRICT"),
        QStringLiteral(
            "CREATE TABLE undo_change(seq INTEGER PRIMARY KEY AUTOINCREMENT, step INTEGER NOT NULL, "
            "table_name TEXT NOT NULL, op TEXT NOT NULL, row_id INTEGER NOT NULL) STRICT"),
        QStringLiteral("CREATE INDEX undo_change_of_step ON undo_change(step)"),
        QStringLiteral("CREATE TABLE undo_recording(id INTEGER PRIMARY KEY CHECK(id = 1), step INTEGER NOT "
                       "NULL) STRICT"),
        QStringLiteral("INSERT INTO undo_recording VALUES(1, 0)"),
    };
}

}  // namespace

QString oldValuesTable(const QString& table, const QStringList& columns) {
    return QStringLiteral("CREATE TABLE undo_%1(seq INTEGER PRIMARY KEY, %2)")
        .arg(table, columns.join(QStringLiteral(", ")));
}

QStringList undoTriggers(const QString& table, const QStringList& columns) {
    const QString keep =
        QStringLiteral(" INSERT INTO undo_%1(seq, %2) SELECT last_insert_rowid(), old.%3;")
            .arg(table, columns.join(QStringLiteral(", ")), columns.join(QStringLiteral(", old.")));
    const auto trigger = [&](const char* op, const char* row, const QString& rest) {
        return QStringLiteral(
                   "CREATE TRIGGER undo_%1_%2 AFTER %2 ON %1 BEGIN INSERT INTO undo_change(step, table_name, "
                   "op, row_id) SELECT step, '%1', '%2', %3.id FROM undo_recording;%4 END")
            .arg(table, QLatin1String(op), QLatin1String(row), rest);
    };
    return {trigger("insert", "new", QString()), trigger("update", "old", keep),
            trigger("delete", "old", keep)};
}

QStringList schemaStatements() {
    QStringList statements;
    for (const auto& table : described::allTables()) {
        statements << table.statement();
        if (!table.parent.isEmpty())
            statements << QStringLiteral("CREATE INDEX %1_of_%2 ON %1(%2)").arg(table.name, table.parent);
    }
    statements += journalTables();
    for (const auto& table : described::allTables())
        statements += QStringList(oldValuesTable(table.name, table.columnNames())) +
                      undoTriggers(table.name, table.columnNames());
    statements += QStringLiteral("PRAGMA application_id = %1").arg(kApplicationId);
    statements += QStringLiteral("PRAGMA user_version = %1").arg(kSchemaVersion);
    return statements;
}

}  // namespace glumet
