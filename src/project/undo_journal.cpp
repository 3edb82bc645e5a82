#include "project/undo_journal.h"

#include <sqlite3.h>

#include <algorithm>
#include <vector>

#include "project/described_rows.h"

namespace glumet {
namespace {

/// Older steps are dropped; nobody goes back further, and the file stays small.
constexpr int kStepsKept = 1000;

struct Change {
    qlonglong seq;
    QString table;
    QString op;
    qlonglong row;
};

}  // namespace

void UndoJournal::record(qlonglong step) const {
    file_.run(QStringLiteral("UPDATE undo_recording SET step = ?"), {step});
}

void UndoJournal::WithoutTriggers::set(bool on) const {
    sqlite3_db_config(file_.handle(), SQLITE_DBCONFIG_ENABLE_TRIGGER, on ? 1 : 0, nullptr);
}

std::vector<qlonglong> UndoJournal::lastRows() const {
    std::vector<qlonglong> rows;
    for (const auto& table : described::allTables()) {
        auto last = file_.run(QStringLiteral("SELECT coalesce(max(id), 0) FROM %1").arg(table.name));
        rows.push_back(nextRow(last) ? last.value(0).toLongLong() : 0);
    }
    return rows;
}

void UndoJournal::recordBeyond(const std::vector<qlonglong>& last) const {
    auto row = last.begin();
    for (const auto& table : described::allTables())
        file_.run(QStringLiteral("INSERT INTO undo_change(step, table_name, op, row_id) SELECT (SELECT step "
                                 "FROM undo_recording), '%1', 'insert', id FROM %1 WHERE id > ? ORDER BY id")
                      .arg(table.name),
                  {*row++});
}

void UndoJournal::begin(const QString& title) const {
    auto forgotten = file_.run(
        QStringLiteral(
            "SELECT 1 FROM undo_step WHERE undone = 1 OR id <= (SELECT max(id) - ? FROM undo_step) LIMIT 1"),
        {kStepsKept});
    if (nextRow(forgotten)) {
        const QString old =
            QStringLiteral(
                "(SELECT id FROM undo_step WHERE undone = 1 OR id <= (SELECT max(id) - %1 FROM undo_step))")
                .arg(kStepsKept);
        for (const auto& table : described::allTables())
            file_.run(QStringLiteral(
                          "DELETE FROM undo_%1 WHERE seq IN (SELECT seq FROM undo_change WHERE step IN %2)")
                          .arg(table.name, old));
        file_.run(QStringLiteral("DELETE FROM undo_change WHERE step IN ") + old);
        file_.run(QStringLiteral("DELETE FROM undo_step WHERE id IN ") + old);
    }
    const auto step = file_.run(QStringLiteral("INSERT INTO undo_step(title) VALUES(?)"), {title});
    record(step.lastInsertId().toLongLong());
}

UndoJournal::Step UndoJournal::stepBy(const QString& condition) const {
    auto query = file_.run(QStringLiteral("SELECT id, title FROM undo_step WHERE ") + condition +
                           QStringLiteral(" LIMIT 1"));
    if (!nextRow(query)) return {};
    return {query.value(0).toLongLong(), query.value(1).toString()};
}

UndoJournal::Step UndoJournal::lastDone() const {
    return stepBy(QStringLiteral("undone = 0 ORDER BY id DESC"));
}
UndoJournal::Step UndoJournal::firstUndone() const {
    return stepBy(QStringLiteral("undone = 1 ORDER BY id"));
}

QString UndoJournal::undoTitle() const { return lastDone().title; }
QString UndoJournal::redoTitle() const { return firstUndone().title; }

bool UndoJournal::undo() const { return replay(lastDone(), true); }
bool UndoJournal::redo() const { return replay(firstUndone(), false); }

void UndoJournal::forget() const {
    Transaction transaction(file_);
    for (const auto& table : described::allTables())
        file_.run(QStringLiteral("DELETE FROM undo_%1").arg(table.name));
    file_.run(QStringLiteral("DELETE FROM undo_change"));
    file_.run(QStringLiteral("DELETE FROM undo_step"));
    transaction.commit();
}

bool UndoJournal::replay(const Step& step, bool undone) const {
    if (step.id == 0) return false;
    Transaction transaction(file_);
    file_.run(QStringLiteral("PRAGMA defer_foreign_keys = ON"));
    record(step.id);
    std::vector<Change> changes;
    auto query =
        file_.run(QStringLiteral(
                      "SELECT seq, table_name, op, row_id FROM undo_change WHERE step = ? ORDER BY seq DESC"),
                  {step.id});
    while (nextRow(query))
        changes.push_back({query.value(0).toLongLong(), query.value(1).toString(), query.value(2).toString(),
                           query.value(3).toLongLong()});
    query.finish();
    for (const auto& change : changes) {
        revert(change.table, change.op, change.row, change.seq);
        file_.run(
            QStringLiteral("DELETE FROM undo_%1 WHERE seq = ?").arg(described::tableNamed(change.table).name),
            {change.seq});
        file_.run(QStringLiteral("DELETE FROM undo_change WHERE seq = ?"), {change.seq});
    }
    file_.run(QStringLiteral("UPDATE undo_step SET undone = ? WHERE id = ?"),
              {static_cast<int>(undone), step.id});
    transaction.commit();
    return true;
}

void UndoJournal::revert(const QString& name, const QString& op, qlonglong row, qlonglong seq) const {
    const auto& table = described::tableNamed(name);
    const QString columns = table.columnNames().join(QStringLiteral(", "));
    if (op == QLatin1String("insert")) {
        file_.run(QStringLiteral("DELETE FROM %1 WHERE id = ?").arg(table.name), {row});
    } else if (op == QLatin1String("delete")) {
        file_.run(QStringLiteral("INSERT INTO %1(id, %2) SELECT ?, %2 FROM undo_%1 WHERE seq = ?")
                      .arg(table.name, columns),
                  {row, seq});
    } else {
        file_.run(QStringLiteral("UPDATE %1 SET (%2) = (SELECT %2 FROM undo_%1 WHERE seq = ?) WHERE id = ?")
                      .arg(table.name, columns),
                  {seq, row});
    }
}

}  // namespace glumet
