#include "project/project.h"

#include <algorithm>
#include <cmath>
#include <stdexcept>
#include <unordered_map>

#include "core/bench/grid.h"
#include "core/bench/sweep.h"
#include "project/row_codec.h"
#include "project/schema.h"

namespace glumet {
namespace {

Problem notStored(const QString& why) {
    return {"", QStringLiteral("could not be stored: %1").arg(why).toStdString()};
}

const QStringList& columnsOf(const QString& name) {
    for (const auto& table : editableTables())
        if (table.name == name) return table.columns;
    throw SqlFault{QStringLiteral("no such table")};
}

QString insertStatement(const QString& table) {
    const auto& columns = columnsOf(table);
    const QStringList marks(columns.size(), QStringLiteral("?"));
    return QStringLiteral("INSERT INTO %1(%2) VALUES(%3)")
        .arg(table, columns.join(QLatin1Char(',')), marks.join(QLatin1Char(',')));
}

struct PlaneRef {
    Run* run = nullptr;
    Plane* plane = nullptr;
};

PlaneRef findPlane(Bench& bench, Id id) {
    for (auto& run : bench.runs)
        for (auto& plane : run.planes)
            if (plane.id == id) return {&run, &plane};
    return {};
}

bool samePoint(const Reading& a, const Reading& b) {
    return std::abs((a.x - b.x).value()) <= kSamePointMm && std::abs((a.y - b.y).value()) <= kSamePointMm;
}

}  // namespace

Project::Project(ProjectFile file) : file_(std::move(file)), journal_(file_) { reload(); }

Expected<std::unique_ptr<Project>> Project::create(const QString& path, const QString& title) {
    auto file = ProjectFile::create(path, title);
    if (!file) return tl::make_unexpected(file.error());
    return std::unique_ptr<Project>(new Project(std::move(*file)));
}

Expected<std::unique_ptr<Project>> Project::open(const QString& path) {
    auto file = ProjectFile::open(path);
    if (!file) return tl::make_unexpected(file.error());
    try {
        return std::unique_ptr<Project>(new Project(std::move(*file)));
    } catch (const SqlFault& fault) {
        return problem(path.toStdString(), "cannot be read: " + fault.text.toStdString());
    } catch (const std::out_of_range&) {
        return problem(path.toStdString(), "is damaged: a reading belongs to no run");
    }
}

void Project::reload() {
    bench_ = loadBench(file_);
    seen_version_ = file_.dataVersion();
}

/// Another process may have written to the file since; its work is taken in before ours goes on top.
void Project::followOthers() {
    if (file_.dataVersion() != seen_version_) reload();
}

template <class Work>
Expected<Id> Project::edit(const QString& title, Work work) {
    try {
        followOthers();
        Transaction transaction(file_);
        journal_.begin(title);
        const Id id = work();
        transaction.commit();
        return id;
    } catch (const SqlFault& fault) {
        return tl::make_unexpected(notStored(fault.text));
    }
}

Id Project::insert(const QString& table, const QVariantList& values) const {
    return file_.run(insertStatement(table), values).lastInsertId().toLongLong();
}

Id Project::put(const QString& table, Id id, const QVariantList& values) const {
    if (id <= 0) return insert(table, values);
    const QStringList set = columnsOf(table);
    file_.run(
        QStringLiteral("UPDATE %1 SET %2 = ? WHERE id = ?").arg(table, set.join(QStringLiteral(" = ?, "))),
        values + QVariantList{static_cast<qlonglong>(id)});
    return id;
}

template <class T>
Expected<Id> Project::saveIn(const QString& table, const T& item, const QString& title) {
    auto id = edit(title, [&] { return put(table, item.id, valuesOf(item)); });
    if (!id) return id;
    reload();
    emit changed();
    return id;
}

Expected<Id> Project::save(const Tank& tank) {
    return saveIn(QStringLiteral("tank"), tank, tr("tank %1").arg(QString::fromStdString(tank.name)));
}
Expected<Id> Project::save(const Fixture& fixture) {
    return saveIn(QStringLiteral("fixture"), fixture,
                  tr("fixture %1").arg(QString::fromStdString(fixture.name)));
}
Expected<Id> Project::save(const Accessory& accessory) {
    return saveIn(QStringLiteral("accessory"), accessory,
                  tr("accessory %1").arg(QString::fromStdString(accessory.name)));
}
Expected<Id> Project::save(const MeterProfile& meter) {
    return saveIn(QStringLiteral("meter"), meter, tr("meter %1").arg(QString::fromStdString(meter.name)));
}

Id Project::putRun(const Run& run) const {
    const Id run_id = put(QStringLiteral("run"), run.id, valuesOf(run));
    for (const auto& plane : run.planes)
        if (plane.id <= 0) insert(QStringLiteral("plane"), valuesOf(plane, run_id));
    return run_id;
}

Expected<Id> Project::save(const Run& run) {
    return saveRuns({run}, tr("run %1").arg(QString::fromStdString(run.label)));
}

Expected<Id> Project::saveRuns(const std::vector<Run>& runs, const QString& title) {
    auto id = edit(title, [&] {
        Id first = 0;
        for (const auto& run : runs) {
            const Id run_id = putRun(run);
            if (first == 0) first = run_id;
        }
        return first;
    });
    if (!id) return id;
    reload();
    emit changed();
    return id;
}

Expected<Id> Project::save(const CommissionCheck& check) {
    return saveIn(QStringLiteral("commission"), check, tr("check before the first reading"));
}

Expected<Id> Project::saveMethod(const QString& title, const Method& method) {
    auto id = edit(tr("method"), [&] { return put(QStringLiteral("project"), 1, valuesOf(title, method)); });
    if (!id) return id;
    reload();
    emit changed();
    return id;
}

Expected<Id> Project::take(Id plane, const Reading& reading) {
    std::vector<Id> earlier;
    auto id = edit(tr("reading %1").arg(reading.mean.value(), 0, 'f', 0), [&] {
        const auto at = findPlane(bench_, plane);
        if (at.plane == nullptr) throw SqlFault{tr("the plane is gone")};
        for (const auto& other : at.plane->readings)
            if (!reading.isCheck() && !other.superseded && !other.isCheck() && samePoint(other, reading))
                earlier.push_back(other.id);
        for (const auto other : earlier)
            file_.run(QStringLiteral("UPDATE reading SET superseded = 1 WHERE id = ?"),
                      {static_cast<qlonglong>(other)});
        return insert(QStringLiteral("reading"), valuesOf(reading, plane));
    });
    if (!id) return id;
    auto& readings = findPlane(bench_, plane).plane->readings;
    for (auto& other : readings)
        if (std::find(earlier.begin(), earlier.end(), other.id) != earlier.end()) other.superseded = true;
    readings.push_back(reading);
    readings.back().id = *id;
    emit readingTaken(*id);
    emit changed();
    return id;
}

Expected<Id> Project::setFlag(Id reading, const QString& flag) {
    auto id = edit(tr("mark"), [&] {
        file_.run(QStringLiteral("UPDATE reading SET flag = ? WHERE id = ?"),
                  {flag, static_cast<qlonglong>(reading)});
        return reading;
    });
    if (!id) return id;
    for (auto& run : bench_.runs)
        for (auto& plane : run.planes)
            if (auto* found = byId(plane.readings, reading)) found->flag = flag.toStdString();
    emit changed();
    return id;
}

Expected<Id> Project::removeRun(Id run) {
    auto id = edit(tr("removal of a run"), [&] {
        file_.run(QStringLiteral("DELETE FROM run WHERE id = ?"), {static_cast<qlonglong>(run)});
        return run;
    });
    if (!id) return id;
    reload();
    emit changed();
    return id;
}

int Project::schemaVersion() { return kSchemaVersion; }

bool Project::undo() {
    try {
        if (!journal_.undo()) return false;
    } catch (const SqlFault&) {
        return false;
    }
    reload();
    emit changed();
    return true;
}

bool Project::redo() {
    try {
        if (!journal_.redo()) return false;
    } catch (const SqlFault&) {
        return false;
    }
    reload();
    emit changed();
    return true;
}

namespace {

/// Writes the new elements of a list and notes what their provisional ids became.
template <class T, class Insert>
void storeNew(const std::vector<T>& items, Insert insert, std::unordered_map<Id, Id>& ids) {
    for (const auto& item : items)
        if (item.id < 0) ids[item.id] = insert(item);
}

Id stored(const std::unordered_map<Id, Id>& ids, Id id) {
    const auto at = ids.find(id);
    return at == ids.end() ? id : at->second;
}

}  // namespace

void Project::store(const Bench& after, const std::vector<Id>& superseded) {
    std::unordered_map<Id, Id> ids;
    const auto inserter = [&](const char* table) {
        return [this, table](const auto& item) { return insert(QString::fromLatin1(table), valuesOf(item)); };
    };
    storeNew(after.tanks, inserter("tank"), ids);
    storeNew(after.fixtures, inserter("fixture"), ids);
    storeNew(after.accessories, inserter("accessory"), ids);
    storeNew(after.meters, inserter("meter"), ids);
    auto add_reading = file_.prepare(insertStatement(QStringLiteral("reading")));
    for (auto run : after.runs) {
        run.fixture = stored(ids, run.fixture);
        run.accessory = stored(ids, run.accessory);
        run.tank = stored(ids, run.tank);
        run.meter = stored(ids, run.meter);
        const Id run_id = run.id < 0 ? insert(QStringLiteral("run"), valuesOf(run)) : run.id;
        if (run.id < 0) ids[run.id] = run_id;
        for (const auto& plane : run.planes) {
            const Id plane_id =
                plane.id < 0 ? insert(QStringLiteral("plane"), valuesOf(plane, run_id)) : plane.id;
            for (const auto& reading : plane.readings)
                if (reading.id <= 0) ProjectFile::runAgain(add_reading, valuesOf(reading, plane_id));
        }
    }
    for (auto check : after.checks) {
        if (check.id > 0) continue;
        check.run = stored(ids, check.run);
        insert(QStringLiteral("commission"), valuesOf(check));
    }
    for (const auto id : superseded)
        file_.run(QStringLiteral("UPDATE reading SET superseded = 1 WHERE id = ?"),
                  {static_cast<qlonglong>(id)});
}

Expected<MergeReport> Project::importRows(const std::vector<ReadingRow>& rows, const QString& source) {
    return importBench({}, rows, source);
}

namespace {

template <class T>
void adoptNamed(const std::vector<T>& described, std::vector<T>& known) {
    for (const auto& item : described) {
        const auto same = [&](const T& other) { return other.name == item.name; };
        if (std::none_of(known.begin(), known.end(), same)) known.push_back(item);
    }
}

template <class T>
Id idByName(const std::vector<T>& described, const std::vector<T>& known, Id id) {
    const auto* item = byId(described, id);
    if (item == nullptr) return 0;
    for (const auto& other : known)
        if (other.name == item->name) return other.id;
    return 0;
}

/// The described runs with their references turned to the elements the project knows.
void adoptRuns(const Bench& description, Bench& bench) {
    for (auto run : description.runs) {
        run.fixture = idByName(description.fixtures, bench.fixtures, run.fixture);
        run.accessory = idByName(description.accessories, bench.accessories, run.accessory);
        run.tank = idByName(description.tanks, bench.tanks, run.tank);
        run.meter = idByName(description.meters, bench.meters, run.meter);
        const auto same = [&](const Run& other) {
            return other.label == run.label && other.height == run.height &&
                   configurationOf(other) == configurationOf(run);
        };
        if (std::any_of(bench.runs.begin(), bench.runs.end(), same)) continue;
        bench.runs.push_back(run);
        for (const auto& check : description.checks)
            if (check.run == run.id) bench.checks.push_back(check);
    }
}

}  // namespace

Expected<MergeReport> Project::importBench(const Bench& description, const std::vector<ReadingRow>& rows,
                                           const QString& source) {
    MergeReport report;
    const auto done = edit(tr("import of %1").arg(source), [&] {
        Bench bench = bench_;
        adoptNamed(description.tanks, bench.tanks);
        adoptNamed(description.fixtures, bench.fixtures);
        adoptNamed(description.accessories, bench.accessories);
        adoptNamed(description.meters, bench.meters);
        adoptRuns(description, bench);
        const bool takes_title = bench_.runs.empty() && !description.title.empty();
        if (takes_title)
            put(QStringLiteral("project"), 1,
                valuesOf(QString::fromStdString(description.title), description.method));
        const Bench after = withRows(std::move(bench), rows, report);
        store(after, report.superseded);
        return Id{0};
    });
    if (!done) return tl::make_unexpected(done.error());
    reload();
    emit changed();
    return report;
}

}  // namespace glumet
