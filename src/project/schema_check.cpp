#include "project/schema_check.h"

#include <QRegularExpression>
#include <QSet>

#include "project/described_rows.h"
#include "project/schema.h"

namespace glumet {
namespace {

struct Item {
    QString type;
    QString name;
    QString sql;
};

/// A column as every Glumet has declared it, or a bare name in a table of old values.
const QString kColumn =
    QStringLiteral(R"("?\w+"?( (INTEGER|REAL|TEXT))?( PRIMARY KEY( AUTOINCREMENT)?)?( NOT NULL)?)"
                   R"(( DEFAULT (-?[0-9.eE+-]+|'([^']|'')*'))?( CHECK\(\w+ (=|>|>=) [0-9.]+\))?)"
                   R"(( REFERENCES "?\w+"?)?( ON DELETE CASCADE)?)");

bool matches(const QString& pattern, const QString& text) {
    static QHash<QString, QRegularExpression> known;
    auto& expression = known[pattern];
    if (expression.pattern().isEmpty())
        expression = QRegularExpression(QRegularExpression::anchoredPattern(pattern));
    return expression.match(text).hasMatch();
}

const QString& tablePattern() {
    static const QString pattern =
        QStringLiteral(R"(CREATE TABLE "?\w+"?\(%1(, ?%1)*\)( STRICT)?)").arg(kColumn);
    return pattern;
}

struct Ours {
    QSet<QString> tables{QStringLiteral("undo_step"), QStringLiteral("undo_change"),
                         QStringLiteral("undo_recording")};
    QSet<QString> indexes{QStringLiteral("undo_change_of_step")};
    QHash<QString, QString> triggers;

    Ours() {
        for (const auto& table : described::allTables()) {
            tables << table.name << QStringLiteral("undo_") + table.name;
            if (!table.parent.isEmpty()) indexes << QStringLiteral("%1_of_%2").arg(table.name, table.parent);
            for (const auto& statement : undoTriggers(table.name, table.columnNames()))
                triggers[statement.section(QLatin1Char(' '), 2, 2)] = statement;
        }
    }
};

bool isOurs(const Item& item, bool current) {
    static const Ours ours;
    if (item.type == QLatin1String("table"))
        return ours.tables.contains(item.name) && matches(tablePattern(), item.sql);
    if (item.type == QLatin1String("index"))
        return ours.indexes.contains(item.name) &&
               matches(QStringLiteral(R"(CREATE INDEX \w+ ON "?\w+"?\(\w+\))"), item.sql);
    // Triggers of earlier formats are dropped before anything of the file is changed.
    return item.type == QLatin1String("trigger") && ours.triggers.contains(item.name) &&
           (!current || ours.triggers.value(item.name) == item.sql);
}

}  // namespace

std::optional<QString> foreignSchema(const ProjectFile& file, int version) {
    for (auto row = file.run(QStringLiteral("SELECT type, name, coalesce(sql, '') FROM sqlite_master"));
         nextRow(row);) {
        const Item item{row.value(0).toString(), row.value(1).toString(), row.value(2).toString()};
        const bool internal = item.name.startsWith(QLatin1String("sqlite_")) &&
                              (item.type == QLatin1String("index") || item.type == QLatin1String("table"));
        if (!internal && !isOurs(item, version == kSchemaVersion))
            return QStringLiteral("%1 \"%2\"").arg(item.type, item.name.left(60));
    }
    return std::nullopt;
}

}  // namespace glumet
