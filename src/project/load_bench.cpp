#include <unordered_map>

#include "project/project.h"
#include "project/row_codec.h"
#include "project/schema.h"

namespace glumet {
namespace {

QSqlQuery allOf(const ProjectFile& file, const char* name, const QString& order = QStringLiteral("id")) {
    for (const auto& table : editableTables())
        if (table.name == QLatin1String(name))
            return file.run(QStringLiteral("SELECT id, %1 FROM %2 ORDER BY %3")
                                .arg(table.columns.join(QStringLiteral(", ")), table.name, order));
    throw SqlFault{QStringLiteral("no such table")};
}

/// The readings, their words as UTF-8 bytes and empty ones as NULL: the conversion of a text nobody wrote
/// would be most of the time of opening.
QSqlQuery allReadings(const ProjectFile& file) {
    QStringList columns = editableTables().back().columns;
    for (auto& column : columns)
        for (const char* words : {"flag", "note", "time", "extra"})
            if (column == QLatin1String(words))
                column = QStringLiteral("CAST(NULLIF(%1, '') AS BLOB)").arg(column);
    return file.run(
        QStringLiteral("SELECT id, %1 FROM reading ORDER BY id").arg(columns.join(QStringLiteral(", "))));
}

template <class T, class Read>
std::vector<T> listOf(const ProjectFile& file, const char* table, Read read) {
    std::vector<T> items;
    for (auto row = allOf(file, table); row.next();) items.push_back(read(row));
    return items;
}

void loadPlanes(const ProjectFile& file, Bench& bench) {
    std::unordered_map<Id, Run*> run_of;
    for (auto& run : bench.runs) run_of[run.id] = &run;
    for (auto row = allOf(file, "plane", QStringLiteral("depth_mm, id")); row.next();)
        run_of.at(row.value(1).toLongLong())->planes.push_back(planeFrom(row));
    std::unordered_map<Id, Plane*> plane_of;
    for (auto& run : bench.runs)
        for (auto& plane : run.planes) plane_of[plane.id] = &plane;
    for (auto row = allReadings(file); row.next();)
        plane_of.at(row.value(1).toLongLong())->readings.push_back(readingFrom(row));
}

}  // namespace

Bench loadBench(const ProjectFile& file) {
    Bench bench;
    auto project = allOf(file, "project");
    if (!project.next()) throw SqlFault{QStringLiteral("the project row is missing")};
    bench.title = project.value(1).toString().toStdString();
    bench.method = methodFrom(project);
    bench.tanks = listOf<Tank>(file, "tank", tankFrom);
    bench.fixtures = listOf<Fixture>(file, "fixture", fixtureFrom);
    bench.accessories = listOf<Accessory>(file, "accessory", accessoryFrom);
    bench.meters = listOf<MeterProfile>(file, "meter", meterFrom);
    bench.runs = listOf<Run>(file, "run", runFrom);
    loadPlanes(file, bench);
    bench.checks = listOf<CommissionCheck>(file, "commission", checkFrom);
    return bench;
}

}  // namespace glumet
