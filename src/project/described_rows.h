#pragma once

#include <QSqlQuery>
#include <QVariant>
#include <unordered_map>

#include "core/bench/descriptions.h"
#include "formats/described_json.h"
#include "project/project_file.h"

/// Tables, rows and values of described entities (core/bench/describe.h) in the project file.
namespace glumet {

/// The one row of the table `project`: what belongs to the bench as a whole.
struct ProjectHead {
    Id id = 1;
    std::string title;
    Method method;
};
constexpr const char* tableOf(Of<ProjectHead>) { return "project"; }
constexpr auto fieldsOf(Of<ProjectHead>) {
    return std::tuple_cat(
        std::tuple{field("title", &ProjectHead::title)},
        std::apply(
            [](const auto&... inner) { return std::tuple{within(accessOf(&ProjectHead::method), inner)...}; },
            fieldsOf(of<Method>)));
}

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
    int since = 1;
    QList<Column> columns;

    QStringList columnNames() const;
    QString statement() const;
};

template <class Value>
constexpr const char* sqlType() {
    if constexpr (kIsOptional<Value>)
        return sqlType<typename Value::value_type>();
    else if constexpr (std::is_same_v<Value, double> || kIsQuantity<Value>)
        return "REAL";
    else if constexpr (Worded<Value>)
        return WordsOf<Value>::stored ? "TEXT" : "INTEGER";
    else if constexpr (std::is_integral_v<Value>)
        return "INTEGER";
    else
        return "TEXT";
}

/// What a column holds for a value.
template <class Value>
QVariant variantOf(const Value& value) {
    if constexpr (kIsOptional<Value>)
        return value ? variantOf(*value) : QVariant();
    else if constexpr (kIsQuantity<Value>)
        return value.value();
    else if constexpr (std::is_same_v<Value, double>)
        return value;
    else if constexpr (std::is_integral_v<Value>)
        return QVariant::fromValue(static_cast<qlonglong>(value));
    else if constexpr (std::is_same_v<Value, std::string>)
        return QString::fromStdString(value);
    else if constexpr (Spelled<Value>)
        return QString::fromStdString(value.text());
    else if constexpr (Worded<Value>) {
        if constexpr (WordsOf<Value>::stored)
            return QString::fromLatin1(wordOf(value));
        else
            return static_cast<int>(value);
    } else
        return QString::fromStdString(textOf(value));
}

/// Takes a column's value; one that cannot be is left at its default. Text comes as UTF-8 bytes or NULL.
template <class Value>
void takeVariant(const QVariant& from, Value& value) {
    if constexpr (kIsOptional<Value>) {
        if (from.isNull()) return;
        takeVariant(from, value.emplace());
    } else if constexpr (kIsQuantity<Value>) {
        value = Value(from.toDouble());
    } else if constexpr (std::is_same_v<Value, double>) {
        value = from.toDouble();
    } else if constexpr (std::is_integral_v<Value>) {
        value = static_cast<Value>(from.toLongLong());
    } else if constexpr (Worded<Value>) {
        if constexpr (WordsOf<Value>::stored) {
            readWord(from.toByteArray().toStdString(), value);
        } else {
            const int number = from.toInt();
            if (number >= 0 && number < static_cast<int>(WordsOf<Value>::value.size()))
                value = static_cast<Value>(number);
        }
    } else {
        if (from.isNull()) return;
        const auto text = from.toByteArray().toStdString();
        if constexpr (std::is_same_v<Value, std::string>)
            value = text;
        else if constexpr (Spelled<Value>)
            value = Value::of(text);
        else
            readText(text, value);
    }
}

/// A text that is no sound value leaves nothing, as if it had not been described.
template <class Value>
void takeNested(const QVariant& from, Value& value) {
    try {
        takeVariant(from, value);
    } catch (const Fault&) {
        value = Value{};
    } catch (const Json::exception&) {
        value = Value{};
    }
}
inline void takeNested(const QVariant& from, std::optional<Beam>& value) {
    try {
        if (!from.isNull())
            if (const auto json = parsedJson(from.toByteArray().toStdString())) value = beamOf(*json);
    } catch (const Fault&) {
        value.reset();
    } catch (const Json::exception&) {
        value.reset();
    }
}

/// SQL literal of a value.
QString literal(const QVariant& value);

template <class Entity, class Part>
Column columnOf(const Part& part, int table_since) {
    using Value = ValueOf<Entity, Part>;
    Column column{QString::fromLatin1(part.column), QString::fromLatin1(sqlType<Value>()), {}, part.since};
    constexpr bool kReference = !std::is_void_v<typename Part::target>;
    const bool optional = kIsOptional<Value> || (kReference && !part.required);
    if (!optional) column.declaration += QStringLiteral(" NOT NULL");
    if (!optional && !kReference) {
        const Entity blank{};
        column.standard = literal(variantOf(part.access(blank)));
        if (part.since > table_since)
            column.declaration += QStringLiteral(" DEFAULT ") + column.standard;
        else if (std::is_same_v<Value, Millimetre> && part.least >= 0.0)
            column.declaration +=
                QStringLiteral(" CHECK(%1 %2 %3)")
                    .arg(column.name, part.above ? QStringLiteral(">") : QStringLiteral(">="))
                    .arg(part.least);
    }
    if constexpr (kReference) {
        column.declaration +=
            QStringLiteral(" REFERENCES ") + QString::fromLatin1(tableOf(of<typename Part::target>));
        if (part.owned) column.declaration += QStringLiteral(" ON DELETE CASCADE");
    }
    return column;
}

template <class Entity>
void addTables(QList<Table>& tables, const QString& parent_table, const QString& parent_column, int since) {
    Table table{QString::fromLatin1(tableOf(of<Entity>)), parent_column, since, {}};
    if (!parent_column.isEmpty())
        table.columns << Column{
            parent_column,
            QStringLiteral("INTEGER NOT NULL REFERENCES %1 ON DELETE CASCADE").arg(parent_table),
            {},
            since};
    forEachColumn(of<Entity>, [&](const auto& part) { table.columns << columnOf<Entity>(part, since); });
    tables << table;
    forEachChildren(of<Entity>, [&](const auto& part) {
        using Child = typename ValueOf<Entity, std::decay_t<decltype(part)>>::value_type;
        addTables<Child>(tables, table.name, QString::fromLatin1(part.column), std::max(since, part.since));
    });
}

/// All tables, parents before children.
const QList<Table>& allTables();
const Table& tableNamed(const QString& name);

/// The values of a row, the parent first where it has one; references to rows just stored by their new ids.
using StoredIds = std::unordered_map<Id, Id>;

template <class Entity>
QVariantList valuesOf(const Entity& entity, Id parent, const StoredIds& ids) {
    QVariantList values;
    const auto reference = [&](Id id) {
        const auto at = ids.find(id);
        const Id known = at == ids.end() ? id : at->second;
        return known <= 0 ? QVariant() : QVariant::fromValue(static_cast<qlonglong>(known));
    };
    if (parent != 0) values << reference(parent);
    forEachColumn(of<Entity>, [&](const auto& part) {
        if constexpr (std::is_void_v<typename std::decay_t<decltype(part)>::target>)
            values << variantOf(part.access(entity));
        else
            values << reference(part.access(entity));
    });
    return values;
}

/// Reads a row of rowsOf(): its number, the parent where there is one, and the fields.
template <class Entity>
Entity entityOf(const QSqlQuery& row, bool has_parent) {
    Entity entity{};
    int at = 0;
    entity.id = row.value(at++).toLongLong();
    if (has_parent) ++at;
    forEachColumn(of<Entity>, [&](const auto& part) { takeNested(row.value(at++), part.access(entity)); });
    return entity;
}

/// The columns of a table as entityOf() reads them, the row's number first.
QString columnsOf(const Table& table);

/// All rows of a table, or those of one parent. Texts come as UTF-8 bytes and empty ones as NULL: the
/// conversion of a text nobody wrote would be most of the time of opening.
QSqlQuery rowsOf(const ProjectFile& file, const Table& table, Id parent = 0);

QString insertStatement(const Table& table);
void updateRow(const ProjectFile& file, const Table& table, Id id, const QVariantList& values);
/// Whether the table's row holds just these values.
bool holds(const ProjectFile& file, const Table& table, Id id, const QVariantList& values);
void removeRow(const ProjectFile& file, const Table& table, Id id);
/// Numbers of the rows that belong to a parent.
QList<Id> idsBelow(const ProjectFile& file, const Table& table, Id parent);

/// Inserts those of the list that have no number yet, and whatever is new below each; notes what provisional
/// numbers became.
template <class Entity>
void storeNew(const ProjectFile& file, const std::vector<Entity>& list, Id parent, StoredIds& ids) {
    const auto& table = tableNamed(QString::fromLatin1(tableOf(of<Entity>)));
    std::optional<QSqlQuery> insert;
    for (const auto& entity : list) {
        Id id = entity.id;
        if (id <= 0) {
            if (!insert) insert = file.prepare(insertStatement(table));
            file.runAgain(*insert, valuesOf(entity, parent, ids));
            id = insert->lastInsertId().toLongLong();
            if (entity.id < 0) ids[entity.id] = id;
        }
        forEachChildren(of<Entity>, [&](const auto& part) { storeNew(file, part.access(entity), id, ids); });
    }
}

/// Adds a row, or replaces the one of that number, and makes what belongs to it the same; its number. What
/// hangs below a row that is added is added too, whatever numbers it brought from elsewhere.
template <class Entity>
Id store(const ProjectFile& file, const Entity& entity, Id parent, StoredIds& ids, bool below_new = false) {
    const auto& table = tableNamed(QString::fromLatin1(tableOf(of<Entity>)));
    const auto values = valuesOf(entity, parent, ids);
    const bool added = below_new || entity.id <= 0;
    Id id = entity.id;
    if (added) {
        id = file.run(insertStatement(table), values).lastInsertId().toLongLong();
        if (entity.id != 0) ids[entity.id] = id;
    } else if (!holds(file, table, id, values)) {
        updateRow(file, table, id, values);
    }
    forEachChildren(of<Entity>, [&](const auto& part) {
        const auto& list = part.access(entity);
        if (part.grows) return storeNew(file, list, id, ids);
        using Child = typename std::decay_t<decltype(list)>::value_type;
        const auto& below = tableNamed(QString::fromLatin1(tableOf(of<Child>)));
        for (const Id old : idsBelow(file, below, id))
            if (byId(list, old) == nullptr) removeRow(file, below, old);
        for (const auto& child : list) store(file, child, id, ids, added);
    });
    return id;
}

/// Everything that belongs to these, from the file.
template <class Parent>
void loadBelow(const ProjectFile& file, const std::vector<Parent*>& parents) {
    forEachChildren(of<Parent>, [&](const auto& part) {
        using Child = typename ValueOf<Parent, std::decay_t<decltype(part)>>::value_type;
        std::unordered_map<Id, Parent*> known;
        for (auto* parent : parents) known[parent->id] = parent;
        const auto& table = tableNamed(QString::fromLatin1(tableOf(of<Child>)));
        for (auto row = rowsOf(file, table); nextRow(row);)
            part.access(*known.at(row.value(1).toLongLong())).push_back(entityOf<Child>(row, true));
        std::vector<Child*> below;
        for (auto* parent : parents)
            for (auto& child : part.access(*parent)) below.push_back(&child);
        loadBelow(file, below);
    });
}

/// A whole table of entities that belong to nobody, with everything below them.
template <class Entity>
void loadAll(const ProjectFile& file, std::vector<Entity>& list) {
    const auto& table = tableNamed(QString::fromLatin1(tableOf(of<Entity>)));
    for (auto row = rowsOf(file, table); nextRow(row);) list.push_back(entityOf<Entity>(row, false));
    std::vector<Entity*> all;
    for (auto& entity : list) all.push_back(&entity);
    loadBelow(file, all);
}

}  // namespace described
}  // namespace glumet
