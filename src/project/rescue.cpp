#include "project/rescue.h"

#include <map>
#include <set>

#include "core/bench/bench_rules.h"
#include "core/words/sentence.h"
#include "project/described_rows.h"
#include "project/project_file.h"

namespace glumet {
namespace {

using described::Table;

template <class Entity>
struct Row {
    Id parent = 0;
    Entity entity;
};

/// The readable rows of a file, and what had to be left out.
class Reader {
  public:
    explicit Reader(const ProjectFile& file) : file_(file) {}

    template <class Entity>
    std::vector<Row<Entity>> rows() {
        const auto& table = described::tableNamed(QString::fromLatin1(tableOf(of<Entity>)));
        std::map<Id, Row<Entity>> found;
        // What lies between two damaged places cannot be reached; nearly always there is one.
        if (!read(table, QStringLiteral("ASC"), found)) read(table, QStringLiteral("DESC"), found);
        count(table, found.size());
        std::vector<Row<Entity>> rows;
        for (auto& [id, row] : found) rows.push_back(std::move(row));
        return rows;
    }

    void lose(const QString& table, std::size_t rows = 1) {
        if (rows > 0) lost_[table] += rows;
    }
    void note(Problem problem) {
        constexpr std::size_t kNamed = 20;
        if (missing_.size() < kNamed) missing_.push_back(std::move(problem));
    }

    std::vector<Problem> missing() const {
        auto all = missing_;
        for (const auto& [table, rows] : lost_)
            all.push_back({table.toStdString(),
                           sayCounted(GLUMET_SAY_N("Core", "{} rows could not be read"), countOf(rows))});
        return all;
    }

  private:
    /// Whether the table's end was reached.
    template <class Entity>
    bool read(const Table& table, const QString& order, std::map<Id, Row<Entity>>& found) {
        const bool has_parent = !table.parent.isEmpty();
        try {
            for (SqlStatement row(file_, QStringLiteral("SELECT %1 FROM %2 ORDER BY id %3")
                                             .arg(described::columnsOf(table), table.name, order));
                 row.next();) {
                const Id id = row.whole(0);
                if (found.contains(id)) return true;
                found[id] = {has_parent ? row.whole(1) : 0, described::entityOf<Entity>(row, has_parent)};
            }
            return true;
        } catch (const SqlFault&) {
            return false;
        }
    }

    /// An index often tells how many there were.
    void count(const Table& table, std::size_t found) {
        try {
            auto row = file_.run(QStringLiteral("SELECT count(*) FROM %1").arg(table.name));
            const auto there = nextRow(row) ? static_cast<std::size_t>(row.value(0).toLongLong()) : 0;
            if (there > found) lose(table.name, there - found);
        } catch (const SqlFault& fault) {
            note({table.name.toStdString(),
                  say(GLUMET_SAY("Core", "cannot be read whole: {}"), fault.text.toStdString())});
        }
    }

    const ProjectFile& file_;
    std::map<QString, std::size_t> lost_;
    std::vector<Problem> missing_;
};

/// Hangs what was read below its parents, in the order of the rows.
template <class Parent>
void hangBelow(Reader& reader, const std::vector<Parent*>& parents) {
    std::map<Id, Parent*> known;
    for (auto* parent : parents) known[parent->id] = parent;
    forEachChildren(of<Parent>, [&](const auto& part) {
        using Child = typename ValueOf<Parent, std::decay_t<decltype(part)>>::value_type;
        std::vector<Child*> below;
        for (auto& row : reader.rows<Child>()) {
            const auto at = known.find(row.parent);
            if (at == known.end())
                reader.lose(QString::fromLatin1(tableOf(of<Child>)));
            else
                part.access(*at->second).push_back(std::move(row.entity));
        }
        for (auto* parent : parents)
            for (auto& child : part.access(*parent)) below.push_back(&child);
        hangBelow(reader, below);
    });
}

template <class Entity>
void readAll(Reader& reader, std::vector<Entity>& list) {
    for (auto& row : reader.rows<Entity>()) list.push_back(std::move(row.entity));
    std::vector<Entity*> all;
    for (auto& entity : list) all.push_back(&entity);
    hangBelow(reader, all);
}

/// Takes out what cannot be, naming it.
template <class Entity>
void dropFaulty(Reader& reader, std::vector<Entity>& list) {
    std::erase_if(list, [&](const Entity& entity) {
        auto fault = faultOf(entity);
        if (fault) reader.note(std::move(*fault));
        return fault.has_value();
    });
}

template <class T>
void mend(const std::vector<T>& items, Id& reference) {
    if (byId(items, reference) == nullptr) reference = 0;
}

/// Readings are worth more than the description of what gave them: a stand-in takes the place of a lost
/// fixture.
void standIn(Bench& bench, Id fixture) {
    if (fixture <= 0 || byId(bench.fixtures, fixture) != nullptr) return;
    Fixture lost;
    lost.id = fixture;
    lost.name = "lost fixture " + std::to_string(fixture);
    bench.fixtures.push_back(std::move(lost));
}

/// What belongs to a lost fixture goes with it; what names a lost channel, preset or tank names none.
void mendSpectra(Bench& bench) {
    const auto lost = [&](const auto& item) { return byId(bench.fixtures, item.fixture) == nullptr; };
    std::erase_if(bench.spectra, lost);
    std::erase_if(bench.schedules, lost);
    std::erase_if(bench.ratings, lost);
    for (auto& record : bench.spectra) {
        const auto& fixture = *byId(bench.fixtures, record.fixture);
        mend(fixture.channels, record.channel);
        mend(fixture.presets, record.preset);
        mend(bench.tanks, record.tank);
    }
    for (auto& schedule : bench.schedules)
        std::erase_if(schedule.ramps, [&](const ScheduleRamp& ramp) {
            return ramp.channel != 0 &&
                   byId(byId(bench.fixtures, schedule.fixture)->channels, ramp.channel) == nullptr;
        });
    for (auto& log : bench.logs) mend(bench.tanks, log.tank);
    for (auto& rating : bench.ratings) mend(bench.accessories, rating.accessory);
    std::erase_if(bench.spots, [&](const TankSpot& spot) { return byId(bench.tanks, spot.tank) == nullptr; });
    std::erase_if(bench.rocks, [&](const Rock& rock) { return byId(bench.tanks, rock.tank) == nullptr; });
    for (auto& organism : bench.organisms) mend(bench.spots, organism.spot);
    for (auto& ramp : bench.ramps) mend(bench.tanks, ramp.tank);
}

/// Half an array would be another one.
void mendPlans(Bench& bench) {
    std::erase_if(bench.plans, [&](const PlannedArray& plan) {
        return byId(bench.tanks, plan.tank) == nullptr || plan.fixtures.empty() ||
               std::any_of(plan.fixtures.begin(), plan.fixtures.end(), [&](const HungFixture& hung) {
                   return byId(bench.fixtures, hung.fixture) == nullptr;
               });
    });
    for (auto& plan : bench.plans)
        for (auto& hung : plan.fixtures) {
            mend(bench.accessories, hung.accessory);
            mend(byId(bench.fixtures, hung.fixture)->presets, hung.preset);
        }
}

void mendReferences(Bench& bench) {
    std::set<Id> presets;
    for (auto& run : bench.runs) standIn(bench, run.fixture);
    for (auto& fixture : bench.fixtures)
        for (auto& preset : fixture.presets) {
            presets.insert(preset.id);
            std::erase_if(preset.levels, [&](const auto& level) {
                return byId(fixture.channels, level.channel) == nullptr;
            });
        }
    std::erase_if(bench.runs, [](const Run& run) { return run.fixture <= 0; });
    for (auto& run : bench.runs) {
        mend(bench.accessories, run.accessory);
        mend(bench.tanks, run.tank);
        mend(bench.meters, run.meter);
        if (!presets.contains(run.preset)) run.preset = 0;
    }
    mendSpectra(bench);
    mendPlans(bench);
    std::erase_if(bench.checks, [&](const auto& check) { return byId(bench.runs, check.run) == nullptr; });
}

void dropWhatCannotBe(Reader& reader, Bench& bench) {
    forEachChildren(of<Bench>, [&](const auto& part) { dropFaulty(reader, part.access(bench)); });
    for (auto& run : bench.runs) {
        dropFaulty(reader, run.planes);
        for (auto& plane : run.planes) dropFaulty(reader, plane.readings);
    }
    if (faultOf(bench.method)) bench.method = {};
}

}  // namespace

Expected<Rescued> rescuedFrom(const QString& path) {
    auto file = ProjectFile::lookThrough(path);
    if (!file) return tl::make_unexpected(file.error());
    Reader reader(*file);
    Rescued rescued;
    auto& bench = rescued.bench;
    for (auto& row : reader.rows<ProjectHead>()) {
        bench.title = row.entity.title;
        bench.method = row.entity.method;
    }
    forEachChildren(of<Bench>, [&](const auto& part) { readAll(reader, part.access(bench)); });
    dropWhatCannotBe(reader, bench);
    mendReferences(bench);
    if (bench.fixtures.empty() && bench.tanks.empty() && bench.runs.empty())
        return problem(path.toStdString(),
                       say(GLUMET_SAY("Core", "is damaged, and nothing in it can be read")));
    rescued.missing = reader.missing();
    return rescued;
}

namespace {

template <class Entity>
void storeListAsIs(const ProjectFile& file, const std::vector<Entity>& list, Id parent) {
    if (list.empty()) return;
    const auto& table = described::tableNamed(QString::fromLatin1(tableOf(of<Entity>)));
    const QStringList marks(table.columns.size() + 1, QStringLiteral("?"));
    SqlStatement insert(
        file, QStringLiteral("INSERT INTO %1(id,%2) VALUES(%3)")
                  .arg(table.name, table.columnNames().join(QLatin1Char(',')), marks.join(QLatin1Char(','))));
    std::deque<std::string> made;
    for (const auto& entity : list) {
        insert.bind(0, static_cast<qlonglong>(entity.id));
        described::bindRow(insert, 1, entity, parent, {}, made);
        insert.run();
    }
    for (const auto& entity : list)
        forEachChildren(of<Entity>,
                        [&](const auto& part) { storeListAsIs(file, part.access(entity), entity.id); });
}

}  // namespace

void storeAsIs(const ProjectFile& file, const Bench& bench) {
    Transaction transaction(file);
    file.run(QStringLiteral("PRAGMA defer_foreign_keys = ON"));
    described::StoredIds ids;
    described::store(file, ProjectHead{1, bench.title, bench.method}, 0, ids);
    forEachChildren(of<Bench>, [&](const auto& part) { storeListAsIs(file, part.access(bench), 0); });
    file.run(QStringLiteral("DELETE FROM undo_change"));
    transaction.commit();
}

}  // namespace glumet
