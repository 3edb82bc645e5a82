#pragma once

#include <QSqlQuery>
#include <QVariant>
#include <algorithm>
#include <deque>
#include <unordered_map>

#include "core/bench/descriptions.h"
#include "formats/described_json.h"
#include "project/project_file.h"
#include "project/sql_rows.h"

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

/// Whether a table keeps an enumeration's number and not its word.
template <class Value>
constexpr bool storedAsNumber() {
    if constexpr (Worded<Value>)
        return !WordsOf<Value>::stored;
    else
        return false;
}

/// Takes a column's value; one that cannot be is left at its default.
template <class Value>
void takeCell(const SqlStatement& row, int at, Value& value) {
    if constexpr (kIsOptional<Value>) {
        if (row.isNull(at)) return;
        takeCell(row, at, value.emplace());
    } else if constexpr (kIsQuantity<Value>) {
        value = Value(row.number(at));
    } else if constexpr (std::is_same_v<Value, double>) {
        value = row.number(at);
    } else if constexpr (std::is_same_v<Value, bool>) {
        value = row.whole(at) != 0;
    } else if constexpr (std::is_integral_v<Value>) {
        using Limits = std::numeric_limits<Value>;
        value = static_cast<Value>(std::clamp<qlonglong>(row.whole(at), Limits::min(), Limits::max()));
    } else if constexpr (storedAsNumber<Value>()) {
        const auto number = row.whole(at);
        if (number >= 0 && number < static_cast<qlonglong>(WordsOf<Value>::value.size()))
            value = static_cast<Value>(number);
    } else {
        const auto text = row.text(at);
        if (text.empty()) return;
        if constexpr (Worded<Value>)
            readWord(text, value);
        else if constexpr (std::is_same_v<Value, std::string>)
            value = text;
        else if constexpr (Spelled<Value>)
            value = Value::of(std::string(text));
        else
            readText(std::string(text), value);
    }
}

/// A text that is no sound value leaves nothing, as if it had not been described.
template <class Value>
void takeNested(const SqlStatement& row, int at, Value& value) {
    try {
        takeCell(row, at, value);
    } catch (const Fault&) {
        value = Value{};
    } catch (const Json::exception&) {
        value = Value{};
    }
}
inline void takeNested(const SqlStatement& row, int at, std::optional<Beam>& value) {
    try {
        if (!row.isNull(at))
            if (const auto json = parsedJson(row.text(at))) value = beamOf(*json);
    } catch (const Fault&) {
        value.reset();
    } catch (const Json::exception&) {
        value.reset();
    }
}

/// Binds what a column holds for a value; texts that are made for it stay in `made` until the statement has
/// run.
template <class Value>
void bindCell(SqlStatement& to, int at, const Value& value, std::deque<std::string>& made) {
    if constexpr (kIsOptional<Value>) {
        value ? bindCell(to, at, *value, made) : to.bindNull(at);
    } else if constexpr (kIsQuantity<Value>) {
        to.bind(at, value.value());
    } else if constexpr (std::is_same_v<Value, double>) {
        to.bind(at, value);
    } else if constexpr (std::is_integral_v<Value>) {
        to.bind(at, static_cast<qlonglong>(value));
    } else if constexpr (std::is_same_v<Value, std::string>) {
        to.bind(at, std::string_view(value));
    } else if constexpr (Worded<Value>) {
        if constexpr (WordsOf<Value>::stored)
            to.bind(at, std::string_view(wordOf(value)));
        else
            to.bind(at, static_cast<qlonglong>(value));
    } else if constexpr (Spelled<Value>) {
        to.bind(at, std::string_view(made.emplace_back(value.text())));
    } else {
        to.bind(at, std::string_view(made.emplace_back(textOf(value))));
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

/// Binds the values of a row from `at` on, the parent first where it has one.
template <class Entity>
void bindRow(SqlStatement& to, int at, const Entity& entity, Id parent, const StoredIds& ids,
             std::deque<std::string>& made) {
    const auto reference = [&](Id id) {
        const auto known = ids.find(id);
        const Id number = known == ids.end() ? id : known->second;
        number <= 0 ? to.bindNull(at++) : to.bind(at++, static_cast<qlonglong>(number));
    };
    made.clear();
    if (parent != 0) reference(parent);
    forEachColumn(of<Entity>, [&](const auto& part) {
        if constexpr (std::is_void_v<typename std::decay_t<decltype(part)>::target>)
            bindCell(to, at++, part.access(entity), made);
        else
            reference(part.access(entity));
    });
}

/// Reads a row of rowsOf(): its number, the parent where there is one, and the fields.
template <class Entity>
Entity entityOf(const SqlStatement& row, bool has_parent) {
    Entity entity{};
    int at = 0;
    entity.id = row.whole(at++);
    if (has_parent) ++at;
    forEachColumn(of<Entity>, [&](const auto& part) { takeNested(row, at++, part.access(entity)); });
    return entity;
}

/// The columns of a table as entityOf() reads them, the row's number first.
QString columnsOf(const Table& table);

/// All rows of a table, in the order they are kept in memory.
SqlStatement rowsOf(const ProjectFile& file, const Table& table);
/// How many rows of a table each parent has.
std::unordered_map<Id, std::size_t> countsByParent(const ProjectFile& file, const Table& table);

QString insertStatement(const Table& table);
void updateRow(const ProjectFile& file, const Table& table, Id id, const QVariantList& values);
/// Whether the table's row holds just these values.
bool holds(const ProjectFile& file, const Table& table, Id id, const QVariantList& values);
void removeRow(const ProjectFile& file, const Table& table, Id id);
/// Numbers of the rows that belong to a parent.
QList<Id> idsBelow(const ProjectFile& file, const Table& table, Id parent);

/// Prepared inserts of one piece of work, by table.
using Inserts = std::unordered_map<const Table*, SqlStatement>;

/// The numbers that provisional ones became, in place.
template <class Entity>
void settleReferences(Entity& entity, const StoredIds& ids) {
    forEachColumn(of<Entity>, [&](const auto& part) {
        if constexpr (!std::is_void_v<typename std::decay_t<decltype(part)>::target>) {
            auto& reference = part.access(entity);
            if (const auto known = ids.find(reference); known != ids.end()) reference = known->second;
        }
    });
}

/// Inserts those of the list that have no number yet, and whatever is new below each; notes what provisional
/// numbers became, and puts them into the list where that is not constant.
template <class List>
void storeNew(const ProjectFile& file, List& list, Id parent, StoredIds& ids, Inserts& inserts) {
    using Entity = typename List::value_type;
    const auto& table = tableNamed(QString::fromLatin1(tableOf(of<Entity>)));
    auto insert = inserts.find(&table);
    std::deque<std::string> made;
    for (auto& entity : list) {
        Id id = entity.id;
        if (id <= 0) {
            if (insert == inserts.end())
                insert = inserts.emplace(&table, SqlStatement(file, insertStatement(table))).first;
            bindRow(insert->second, 0, entity, parent, ids, made);
            id = insert->second.run();
            if (entity.id < 0) ids[entity.id] = id;
            if constexpr (!std::is_const_v<List>) {
                entity.id = id;
                settleReferences(entity, ids);
            }
        }
        forEachChildren(of<Entity>,
                        [&](const auto& part) { storeNew(file, part.access(entity), id, ids, inserts); });
    }
}
template <class List>
void storeNew(const ProjectFile& file, List& list, Id parent, StoredIds& ids) {
    Inserts inserts;
    storeNew(file, list, parent, ids, inserts);
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
        for (const auto& [parent, count] : countsByParent(file, table))
            part.access(*known.at(parent)).reserve(count);
        for (auto row = rowsOf(file, table); row.next();)
            part.access(*known.at(row.whole(1))).push_back(entityOf<Child>(row, true));
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
    for (auto row = rowsOf(file, table); row.next();) list.push_back(entityOf<Entity>(row, false));
    std::vector<Entity*> all;
    for (auto& entity : list) all.push_back(&entity);
    loadBelow(file, all);
}

}  // namespace described
}  // namespace glumet
