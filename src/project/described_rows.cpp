#include "project/described_rows.h"

#include <QSqlQuery>
#include <algorithm>
#include <optional>
#include <unordered_set>

#include "core/bench/describing.h"
#include "formats/described_json.h"

namespace glumet {

std::vector<PartType> fieldsOf(Of<ProjectHead>) {
    std::vector<PartType> parts{field("title", &ProjectHead::title)};
    for (auto part : fieldsOf(of<Method>)) {
        part.offset += described::offsetOf(&ProjectHead::method);
        parts.push_back(part);
    }
    return parts;
}

GLUMET_DESCRIBED(ProjectHead)

}  // namespace glumet

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

namespace {

const char* sqlType(const ValueType& type) {
    switch (type.kind) {
        case ValueKind::Optional:
            return sqlType(*type.inner);
        case ValueKind::Number:
            return "REAL";
        case ValueKind::Whole:
        case ValueKind::Flag:
            return "INTEGER";
        case ValueKind::Word:
            return type.word_stored ? "TEXT" : "INTEGER";
        default:
            return "TEXT";
    }
}

/// What a column holds for a value.
QVariant variantOf(const ValueType& type, const void* value) {
    switch (type.kind) {
        case ValueKind::Optional: {
            const void* held = type.held(value);
            return held == nullptr ? QVariant() : variantOf(*type.inner, held);
        }
        case ValueKind::Number:
            return type.number(value);
        case ValueKind::Whole:
        case ValueKind::Flag:
            return QVariant::fromValue(static_cast<qlonglong>(type.whole(value)));
        case ValueKind::Text:
            return QString::fromStdString(*static_cast<const std::string*>(value));
        case ValueKind::Spelled:
            return QString::fromStdString(type.text(value));
        case ValueKind::Word:
            return type.word_stored ? QVariant(QString::fromLatin1(type.word(value)))
                                    : QVariant(static_cast<int>(type.whole(value)));
        default:
            return QString::fromStdString(textOf(type, value));
    }
}

void takeText(const ValueType& type, std::string_view text, void* value) {
    if (text.empty()) return;
    if (type.kind == ValueKind::Word)
        type.read_word(value, text);
    else if (type.kind == ValueKind::Text)
        static_cast<std::string*>(value)->assign(text);
    else if (type.kind == ValueKind::Spelled)
        type.set_text(value, std::string(text));
    else
        readText(std::string(text), type, value);
}

/// Takes a column's value; one that cannot be is left at its default.
void takeCell(const SqlStatement& row, int at, const ValueType& type, void* value) {
    if (type.kind == ValueKind::Optional) {
        if (row.isNull(at)) return;
        if (type.inner->kind == ValueKind::Beam) {
            if (const auto json = parsedJson(row.text(at)))
                *static_cast<std::optional<Beam>*>(value) = beamOf(*json);
        } else {
            takeCell(row, at, *type.inner, type.emplace(value));
        }
    } else if (type.kind == ValueKind::Number) {
        type.set_number(value, row.number(at));
    } else if (type.kind == ValueKind::Whole || type.kind == ValueKind::Flag) {
        type.set_whole(value, row.whole(at));
    } else if (type.kind == ValueKind::Word && !type.word_stored) {
        if (const auto number = row.whole(at); number >= 0 && number < type.words)
            type.set_whole(value, number);
    } else {
        takeText(type, row.text(at), value);
    }
}

/// A text that is no sound value leaves nothing, as if it had not been described.
void takeNested(const SqlStatement& row, int at, const ValueType& type, void* value) {
    try {
        takeCell(row, at, type, value);
    } catch (const Fault&) {
        type.reset(value);
    } catch (const Json::exception&) {
        type.reset(value);
    }
}

/// Binds what a column holds for a value; texts that are made for it stay in `made` until the statement has
/// run.
void bindCell(SqlStatement& to, int at, const ValueType& type, const void* value,
              std::deque<std::string>& made) {
    switch (type.kind) {
        case ValueKind::Optional: {
            const void* held = type.held(value);
            held == nullptr ? to.bindNull(at) : bindCell(to, at, *type.inner, held, made);
            return;
        }
        case ValueKind::Number:
            return to.bind(at, type.number(value));
        case ValueKind::Whole:
        case ValueKind::Flag:
            return to.bind(at, static_cast<qlonglong>(type.whole(value)));
        case ValueKind::Text:
            return to.bind(at, std::string_view(*static_cast<const std::string*>(value)));
        case ValueKind::Word:
            return type.word_stored ? to.bind(at, std::string_view(type.word(value)))
                                    : to.bind(at, static_cast<qlonglong>(type.whole(value)));
        case ValueKind::Spelled:
            return to.bind(at, std::string_view(made.emplace_back(type.text(value))));
        default:
            return to.bind(at, std::string_view(made.emplace_back(textOf(type, value))));
    }
}

/// SQL literal of a value.
QString literal(const QVariant& value) {
    if (value.typeId() != QMetaType::QString) return value.toString();
    QString text = value.toString();
    return QLatin1Char('\'') + text.replace(QLatin1Char('\''), QStringLiteral("''")) + QLatin1Char('\'');
}

Column columnOf(const EntityType& of, const PartType& part, int table_since) {
    const auto& type = *part.type;
    Column column{QString::fromLatin1(part.column), QString::fromLatin1(sqlType(type)), {}, part.since};
    const bool optional = type.kind == ValueKind::Optional || (part.isReference() && !part.required);
    if (!optional) column.declaration += QStringLiteral(" NOT NULL");
    if (!optional && !part.isReference()) {
        column.standard = literal(variantOf(type, part.of(of.blank)));
        if (part.since > table_since)
            column.declaration += QStringLiteral(" DEFAULT ") + column.standard;
        else if (type.is_length && part.least >= 0.0)
            column.declaration +=
                QStringLiteral(" CHECK(%1 %2 %3)")
                    .arg(column.name, part.above ? QStringLiteral(">") : QStringLiteral(">="))
                    .arg(part.least);
    }
    if (part.isReference()) {
        column.declaration += QStringLiteral(" REFERENCES ") + QString::fromLatin1(part.target().table);
        if (part.owned) column.declaration += QStringLiteral(" ON DELETE CASCADE");
    }
    return column;
}

void addTables(QList<Table>& tables, const EntityType& of, const QString& parent_table,
               const QString& parent_column, int since) {
    Table table{QString::fromLatin1(of.table), parent_column, since, {}};
    if (!parent_column.isEmpty())
        table.columns << Column{
            parent_column,
            QStringLiteral("INTEGER NOT NULL REFERENCES %1 ON DELETE CASCADE").arg(parent_table),
            {},
            since};
    for (const auto& part : of.parts)
        if (part.inTable()) table.columns << columnOf(of, part, since);
    tables << table;
    for (const auto& part : of.parts)
        if (part.kind == PartKind::Children)
            addTables(tables, part.child(), table.name, QString::fromLatin1(part.column),
                      std::max(since, part.since));
}

Id settled(Id id, const StoredIds& ids) {
    const auto at = ids.find(id);
    return at == ids.end() ? id : at->second;
}

}  // namespace

const QList<Table>& allTables() {
    static const QList<Table> tables = [] {
        QList<Table> all;
        addTables(all, entityType<ProjectHead>(), {}, {}, 1);
        for (const auto& part : entityType<Bench>().parts) addTables(all, part.child(), {}, {}, part.since);
        return all;
    }();
    return tables;
}

const Table& tableNamed(const QString& name) {
    for (const auto& table : allTables())
        if (table.name == name) return table;
    throw SqlFault{QStringLiteral("there is no table %1").arg(name)};
}

const Table& tableFor(const EntityType& of) { return tableNamed(QString::fromLatin1(of.table)); }

QVariantList valuesOf(const EntityType& of, const void* entity, Id parent, const StoredIds& ids) {
    QVariantList values;
    const auto reference = [&](Id id) {
        const Id known = settled(id, ids);
        return known <= 0 ? QVariant() : QVariant::fromValue(static_cast<qlonglong>(known));
    };
    if (parent != 0) values << reference(parent);
    for (const auto& part : of.parts)
        if (part.inTable())
            values << (part.isReference() ? reference(part.reference(entity))
                                          : variantOf(*part.type, part.of(entity)));
    return values;
}

void bindRow(SqlStatement& to, int at, const EntityType& of, const void* entity, Id parent,
             const StoredIds& ids, std::deque<std::string>& made) {
    const auto reference = [&](Id id) {
        const Id number = settled(id, ids);
        number <= 0 ? to.bindNull(at++) : to.bind(at++, static_cast<qlonglong>(number));
    };
    made.clear();
    if (parent != 0) reference(parent);
    for (const auto& part : of.parts) {
        if (!part.inTable()) continue;
        if (part.isReference())
            reference(part.reference(entity));
        else
            bindCell(to, at++, *part.type, part.of(entity), made);
    }
}

void readRow(const SqlStatement& row, const EntityType& of, void* entity, bool has_parent) {
    int at = 0;
    of.id(entity) = row.whole(at++);
    if (has_parent) ++at;
    for (const auto& part : of.parts)
        if (part.inTable()) takeNested(row, at++, *part.type, part.of(entity));
}

QString columnsOf(const Table& table) {
    return (QStringList{QStringLiteral("id")} + table.columnNames()).join(QStringLiteral(", "));
}

SqlStatement rowsOf(const ProjectFile& file, const Table& table) {
    const QString order =
        table.name == QLatin1String("plane") ? QStringLiteral("depth_mm, id") : QStringLiteral("id");
    return {file, QStringLiteral("SELECT %1 FROM %2 ORDER BY %3").arg(columnsOf(table), table.name, order)};
}

/// How many rows of a table each parent has.
static std::unordered_map<Id, std::size_t> countsByParent(const ProjectFile& file, const Table& table) {
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

static void updateRow(const ProjectFile& file, const Table& table, Id id, const QVariantList& values) {
    const auto done = file.run(QStringLiteral("UPDATE %1 SET %2 = ? WHERE id = ?")
                                   .arg(table.name, table.columnNames().join(QStringLiteral(" = ?, "))),
                               values + QVariantList{static_cast<qlonglong>(id)});
    if (done.numRowsAffected() == 0) throw SqlFault{QStringLiteral("it is gone")};
}

/// Whether the table's row holds just these values.
static bool holds(const ProjectFile& file, const Table& table, Id id, const QVariantList& values) {
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

/// Numbers of the rows that belong to a parent.
static QList<Id> idsBelow(const ProjectFile& file, const Table& table, Id parent) {
    QList<Id> ids;
    for (auto row = file.run(
             QStringLiteral("SELECT id FROM %1 WHERE %2 = ? ORDER BY id").arg(table.name, table.parent),
             {static_cast<qlonglong>(parent)});
         nextRow(row);)
        ids << row.value(0).toLongLong();
    return ids;
}

namespace {

/// The numbers that provisional ones became, in place.
void settleReferences(const EntityType& of, void* entity, const StoredIds& ids) {
    for (const auto& part : of.parts)
        if (part.inTable() && part.isReference())
            part.reference(entity) = settled(part.reference(entity), ids);
}

/// One storing of new rows.
struct NewRowsWriter {
    const ProjectFile& file;
    StoredIds& ids;
    Inserts& inserts;
    bool settles;  ///< the numbers go into the lists, which are not constant
    std::deque<std::string> made = {};

    void storeList(const PartType& part, const void* entity, Id parent) {
        const auto& list = *part.type;
        const auto& of = part.child();
        const auto& table = tableFor(of);
        for (std::size_t i = 0; i < list.size(part.of(entity)); ++i) {
            const void* item = list.at(part.of(entity), i);
            Id id = of.id(item);
            if (id <= 0) {
                id = insert(table, of, item, parent);
                if (settles) settle(of, const_cast<void*>(item), id);
            }
            for (const auto& below : of.parts)
                if (below.kind == PartKind::Children) storeList(below, item, id);
        }
    }

  private:
    Id insert(const Table& table, const EntityType& of, const void* entity, Id parent) {
        auto at = inserts.find(&table);
        if (at == inserts.end())
            at = inserts.emplace(&table, SqlStatement(file, insertStatement(table))).first;
        bindRow(at->second, 0, of, entity, parent, ids, made);
        const Id id = at->second.run();
        if (of.id(entity) < 0) ids[of.id(entity)] = id;
        return id;
    }
    void settle(const EntityType& of, void* entity, Id id) {
        of.id(entity) = id;
        settleReferences(of, entity, ids);
    }
};

}  // namespace

void storeNew(const ProjectFile& file, const PartType& part, void* entity, Id parent, StoredIds& ids,
              Inserts& inserts) {
    NewRowsWriter{file, ids, inserts, true}.storeList(part, entity, parent);
}

void storeNew(const ProjectFile& file, const PartType& part, const void* entity, Id parent, StoredIds& ids) {
    Inserts inserts;
    NewRowsWriter{file, ids, inserts, false}.storeList(part, entity, parent);
}

/// Makes the rows below a stored one the same as its list.
static void storeBelow(const ProjectFile& file, const PartType& part, const void* entity, Id id,
                       StoredIds& ids, bool added) {
    const auto& list = *part.type;
    const auto& of = part.child();
    const auto& table = tableFor(of);
    const auto size = list.size(part.of(entity));
    std::unordered_set<Id> kept;
    for (std::size_t i = 0; i < size; ++i) kept.insert(of.id(list.at(part.of(entity), i)));
    for (const Id old : idsBelow(file, table, id))
        if (!kept.contains(old)) removeRow(file, table, old);
    for (std::size_t i = 0; i < size; ++i) store(file, of, list.at(part.of(entity), i), id, ids, added);
}

Id store(const ProjectFile& file, const EntityType& of, const void* entity, Id parent, StoredIds& ids,
         bool below_new) {
    const auto& table = tableFor(of);
    const auto values = valuesOf(of, entity, parent, ids);
    const bool added = below_new || of.id(entity) <= 0;
    Id id = of.id(entity);
    if (added) {
        id = file.run(insertStatement(table), values).lastInsertId().toLongLong();
        if (of.id(entity) != 0) ids[of.id(entity)] = id;
    } else if (!holds(file, table, id, values)) {
        updateRow(file, table, id, values);
    }
    for (const auto& part : of.parts) {
        if (part.kind != PartKind::Children) continue;
        if (part.grows)
            storeNew(file, part, entity, id, ids);
        else
            storeBelow(file, part, entity, id, ids, added);
    }
    return id;
}

/// Everything that belongs to these, from the file.
static void loadBelow(const ProjectFile& file, const EntityType& of, const std::vector<void*>& parents) {
    std::unordered_map<Id, void*> known;
    for (auto* parent : parents) known[of.id(parent)] = parent;
    for (const auto& part : of.parts) {
        if (part.kind != PartKind::Children) continue;
        const auto& list = *part.type;
        const auto& child = part.child();
        const auto& table = tableFor(child);
        for (const auto& [parent, count] : countsByParent(file, table))
            list.reserve(part.of(known.at(parent)), count);
        for (auto row = rowsOf(file, table); row.next();)
            readRow(row, child, list.add(part.of(known.at(row.whole(1)))), true);
        // A million readings have nothing below them, and would be gathered and numbered for it.
        if (!child.hasChildren()) continue;
        std::vector<void*> below;
        for (auto* parent : parents)
            for (std::size_t i = 0; i < list.size(part.of(parent)); ++i)
                below.push_back(list.mutableAt(part.of(parent), i));
        loadBelow(file, child, below);
    }
}

void loadAll(const ProjectFile& file, const PartType& part, void* bench) {
    const auto& list = *part.type;
    void* all = part.of(bench);
    for (auto row = rowsOf(file, tableFor(part.child())); row.next();)
        readRow(row, part.child(), list.add(all), false);
    std::vector<void*> entities;
    for (std::size_t i = 0; i < list.size(all); ++i) entities.push_back(list.mutableAt(all, i));
    loadBelow(file, part.child(), entities);
}

}  // namespace glumet::described
