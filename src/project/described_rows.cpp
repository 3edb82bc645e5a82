#include "project/described_rows.h"

namespace glumet::described {

QStringList Table::columnNames() const {
    QStringList names;
    for (const auto& column : columns) names << column.name;
    return names;
}

QString Table::statement() const {
    QStringList parts{name == QLatin1String("project")
                          ? QStringLiteral("id INTEGER PRIMARY KEY CHECK(id = 1)")
                          : QStringLiteral("id INTEGER PRIMARY KEY")};
    for (const auto& column : columns) parts << column.name + QLatin1Char(' ') + column.declaration;
    return QStringLiteral("CREATE TABLE %1(%2) STRICT").arg(name, parts.join(QStringLiteral(", ")));
}

QString literal(const QVariant& value) {
    if (value.typeId() != QMetaType::QString) return value.toString();
    QString text = value.toString();
    return QLatin1Char('\'') + text.replace(QLatin1Char('\''), QStringLiteral("''")) + QLatin1Char('\'');
}

const QList<Table>& allTables() {
    static const QList<Table> tables = [] {
        QList<Table> all;
        addTables<ProjectHead>(all, {}, {}, 1);
        forEachChildren(of<Bench>, [&](const auto& part) {
            using Entity = typename ValueOf<Bench, std::decay_t<decltype(part)>>::value_type;
            addTables<Entity>(all, {}, {}, part.since);
        });
        return all;
    }();
    return tables;
}

const Table& tableNamed(const QString& name) {
    for (const auto& table : allTables())
        if (table.name == name) return table;
    throw SqlFault{QStringLiteral("there is no table %1").arg(name)};
}

QString columnsOf(const Table& table) {
    return (QStringList{QStringLiteral("id")} + table.columnNames()).join(QStringLiteral(", "));
}

SqlStatement rowsOf(const ProjectFile& file, const Table& table) {
    const QString order =
        table.name == QLatin1String("plane") ? QStringLiteral("depth_mm, id") : QStringLiteral("id");
    return {file, QStringLiteral("SELECT %1 FROM %2 ORDER BY %3").arg(columnsOf(table), table.name, order)};
}

std::unordered_map<Id, std::size_t> countsByParent(const ProjectFile& file, const Table& table) {
    std::unordered_map<Id, std::size_t> counts;
    for (SqlStatement row(
             file, QStringLiteral("SELECT %1, count(*) FROM %2 GROUP BY %1").arg(table.parent, table.name));
         row.next();)
        counts[row.whole(0)] = static_cast<std::size_t>(row.whole(1));
    return counts;
}

QString insertStatement(const Table& table) {
    const QStringList marks(table.columns.size(), QStringLiteral("?"));
    return QStringLiteral("INSERT INTO %1(%2) VALUES(%3)")
        .arg(table.name, table.columnNames().join(QLatin1Char(',')), marks.join(QLatin1Char(',')));
}

void updateRow(const ProjectFile& file, const Table& table, Id id, const QVariantList& values) {
    const auto done = file.run(QStringLiteral("UPDATE %1 SET %2 = ? WHERE id = ?")
                                   .arg(table.name, table.columnNames().join(QStringLiteral(" = ?, "))),
                               values + QVariantList{static_cast<qlonglong>(id)});
    if (done.numRowsAffected() == 0) throw SqlFault{QStringLiteral("it is gone")};
}

bool holds(const ProjectFile& file, const Table& table, Id id, const QVariantList& values) {
    auto row = file.run(QStringLiteral("SELECT %1 FROM %2 WHERE id = ?")
                            .arg(table.columnNames().join(QStringLiteral(", ")), table.name),
                        {static_cast<qlonglong>(id)});
    if (!nextRow(row)) return false;
    for (int i = 0; i < values.size(); ++i) {
        const QVariant there = row.value(i);
        if (there.isNull() != values[i].isNull()) return false;
        if (!there.isNull() && there.toString() != values[i].toString()) return false;
    }
    return true;
}

void removeRow(const ProjectFile& file, const Table& table, Id id) {
    file.run(QStringLiteral("DELETE FROM %1 WHERE id = ?").arg(table.name), {static_cast<qlonglong>(id)});
}

QList<Id> idsBelow(const ProjectFile& file, const Table& table, Id parent) {
    QList<Id> ids;
    for (auto row = file.run(
             QStringLiteral("SELECT id FROM %1 WHERE %2 = ? ORDER BY id").arg(table.name, table.parent),
             {static_cast<qlonglong>(parent)});
         nextRow(row);)
        ids << row.value(0).toLongLong();
    return ids;
}

}  // namespace glumet::described
