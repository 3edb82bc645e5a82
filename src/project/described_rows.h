#pragma once

#include <QVariant>
#include <deque>
#include <unordered_map>

#include "core/bench/descriptions.h"
#include "project/project_file.h"
#include "project/sql_rows.h"

/// Tables, rows and values of described entities (core/bench/describe.h) in the project file. Functions that
/// take an EntityType are handed entities of that type, or a list (std::vector) of them.
namespace glumet {

/// The one row of the table `project`: what belongs to the bench as a whole.
struct ProjectHead {
    Id id = 1;
    std::string title;
    Method method;
};
constexpr const char* tableOf(Of<ProjectHead>) { return "project"; }
std::vector<PartType> fieldsOf(Of<ProjectHead>);
template <>
const EntityType& entityType<ProjectHead>();

namespace described {

/// A column as SQL declares it.
struct Column {
    QString name;
    QString declaration;  ///< type, NOT NULL, DEFAULT, CHECK, REFERENCES
    QString standard;     ///< SQL literal of the default; empty where NULL is the default
    int since = 1;
};

/// A table and its columns without the row number; a reference to the parent comes first.
struct Table {
    QString name;
    QString parent;  ///< column; empty for none
    int since = 1;   ///< format that brought it
    QList<Column> columns;

    QStringList columnNames() const;
    QString statement() const;
};

/// All tables, parents before children.
const QList<Table>& allTables();
const Table& tableNamed(const QString& name);
const Table& tableFor(const EntityType& of);

/// The values of a row, the parent first where it has one; references to rows just stored by their new ids.
using StoredIds = std::unordered_map<Id, Id>;
QVariantList valuesOf(const EntityType& of, const void* entity, Id parent, const StoredIds& ids);

/// Binds the values of a row from `at` on, the parent first where it has one; texts that are made for it stay
/// in `made` until the statement has run.
void bindRow(SqlStatement& to, int at, const EntityType& of, const void* entity, Id parent,
             const StoredIds& ids, std::deque<std::string>& made);

/// Reads a row of rowsOf(): its number, the parent where there is one, and the fields. `entity` is as made.
void readRow(const SqlStatement& row, const EntityType& of, void* entity, bool has_parent);
template <class Entity>
Entity entityOf(const SqlStatement& row, bool has_parent) {
    Entity entity{};
    readRow(row, entityType<Entity>(), &entity, has_parent);
    return entity;
}

/// The columns of a table as readRow() reads them, the row's number first.
QString columnsOf(const Table& table);

/// All rows of a table, in the order they are kept in memory.
SqlStatement rowsOf(const ProjectFile& file, const Table& table);

QString insertStatement(const Table& table);
void removeRow(const ProjectFile& file, const Table& table, Id id);

/// Prepared inserts of one piece of work, by table.
using Inserts = std::unordered_map<const Table*, SqlStatement>;

/// Inserts those of the part's list that have no number yet, and whatever is new below each; notes what
/// provisional numbers became, and puts them into the list.
void storeNew(const ProjectFile& file, const PartType& part, void* entity, Id parent, StoredIds& ids,
              Inserts& inserts);
/// The same, and the list stays as it is.
void storeNew(const ProjectFile& file, const PartType& part, const void* entity, Id parent, StoredIds& ids);

/// Adds a row, or replaces the one of that number, and makes what belongs to it the same; its number. What
/// hangs below a row that is added is added too, whatever numbers it brought from elsewhere.
Id store(const ProjectFile& file, const EntityType& of, const void* entity, Id parent, StoredIds& ids,
         bool below_new = false);
template <class Entity>
Id store(const ProjectFile& file, const Entity& entity, Id parent, StoredIds& ids) {
    return store(file, entityType<Entity>(), &entity, parent, ids);
}

/// The whole table of a part of a bench into its list, with everything below.
void loadAll(const ProjectFile& file, const PartType& part, void* bench);

}  // namespace described
}  // namespace glumet
