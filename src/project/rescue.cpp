#include "project/rescue.h"

#include <algorithm>
#include <map>
#include <optional>
#include <set>

#include "core/bench/bench_rules.h"
#include "core/words/sentence.h"
#include "project/described_rows.h"
#include "project/project_file.h"

namespace glumet {
namespace {

using described::Table;

/// The readable rows of a file, and what had to be left out.
class Reader {
  public:
    explicit Reader(const ProjectFile& file) : file_(file) {}

    /// Reads the rows of what a list holds into it, as they lie in the file; the parent of each by its
    /// number.
    std::map<Id, Id> rows(const PartType& part, void* list) {
        const auto& table = described::tableFor(part.child());
        std::map<Id, Id> parents;
        // What lies between two damaged places cannot be reached; nearly always there is one.
        if (!read(table, QStringLiteral("ASC"), part, list, parents))
            read(table, QStringLiteral("DESC"), part, list, parents);
        count(table, parents.size());
        return parents;
    }

    /// The one row of the table `project`, where it can be read.
    std::optional<ProjectHead> head() {
        const auto& table = described::tableFor(entityType<ProjectHead>());
        std::optional<ProjectHead> head;
        try {
            SqlStatement row(
                file_, QStringLiteral("SELECT %1 FROM %2").arg(described::columnsOf(table), table.name));
            if (row.next()) head = described::entityOf<ProjectHead>(row, false);
        } catch (const SqlFault&) {
            head.reset();
        }
        count(table, head ? 1 : 0);
        return head;
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
    bool read(const Table& table, const QString& order, const PartType& part, void* list,
              std::map<Id, Id>& parents) {
        const bool has_parent = !table.parent.isEmpty();
        try {
            for (SqlStatement row(file_, QStringLiteral("SELECT %1 FROM %2 ORDER BY id %3")
                                             .arg(described::columnsOf(table), table.name, order));
                 row.next();) {
                const Id id = row.whole(0);
                if (parents.contains(id)) return true;
                described::readRow(row, part.child(), part.type->add(list), has_parent);
                parents[id] = has_parent ? row.whole(1) : 0;
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

/// Those of a list by number, in the order of the rows.
std::map<Id, void*> byNumber(const PartType& part, void* list) {
    std::map<Id, void*> items;
    for (std::size_t i = 0; i < part.type->size(list); ++i) {
        void* item = part.type->mutableAt(list, i);
        items[part.child().id(item)] = item;
    }
    return items;
}

/// Hangs what was read below its parents, in the order of the rows.
void hangBelow(Reader& reader, const EntityType& of, const std::map<Id, void*>& parents) {
    for (const auto& part : of.parts) {
        if (part.kind != PartKind::Children) continue;
        const auto loose = part.type->make();
        const auto parent_of = reader.rows(part, loose.get());
        for (const auto& [id, item] : byNumber(part, loose.get())) {
            const auto at = parents.find(parent_of.at(id));
            if (at == parents.end())
                reader.lose(QString::fromLatin1(part.child().table));
            else
                part.type->take(part.of(at->second), item);
        }
        std::map<Id, void*> below;
        for (const auto& [id, parent] : parents) below.merge(byNumber(part, part.of(parent)));
        hangBelow(reader, part.child(), below);
    }
}

/// A whole list of a bench, with everything below.
void readAll(Reader& reader, const PartType& part, void* bench) {
    const auto loose = part.type->make();
    reader.rows(part, loose.get());
    for (const auto& [id, item] : byNumber(part, loose.get())) part.type->take(part.of(bench), item);
    hangBelow(reader, part.child(), byNumber(part, part.of(bench)));
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
    dropFaulty(reader, bench.tanks);
    dropFaulty(reader, bench.fixtures);
    dropFaulty(reader, bench.accessories);
    dropFaulty(reader, bench.meters);
    dropFaulty(reader, bench.runs);
    dropFaulty(reader, bench.checks);
    dropFaulty(reader, bench.spectra);
    dropFaulty(reader, bench.schedules);
    dropFaulty(reader, bench.logs);
    dropFaulty(reader, bench.ratings);
    dropFaulty(reader, bench.spots);
    dropFaulty(reader, bench.rocks);
    dropFaulty(reader, bench.organisms);
    dropFaulty(reader, bench.ramps);
    dropFaulty(reader, bench.plans);
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
    if (const auto head = reader.head()) {
        bench.title = head->title;
        bench.method = head->method;
    }
    for (const auto& part : entityType<Bench>().parts) readAll(reader, part, &bench);
    dropWhatCannotBe(reader, bench);
    mendReferences(bench);
    if (bench.fixtures.empty() && bench.tanks.empty() && bench.runs.empty())
        return problem(path.toStdString(),
                       say(GLUMET_SAY("Core", "is damaged, and nothing in it can be read")));
    rescued.missing = reader.missing();
    return rescued;
}

namespace {

void storeListAsIs(const ProjectFile& file, const PartType& part, const void* entity, Id parent) {
    const auto& list = *part.type;
    const void* items = part.of(entity);
    if (list.size(items) == 0) return;
    const auto& of = part.child();
    const auto& table = described::tableFor(of);
    const QStringList marks(table.columns.size() + 1, QStringLiteral("?"));
    SqlStatement insert(
        file, QStringLiteral("INSERT INTO %1(id,%2) VALUES(%3)")
                  .arg(table.name, table.columnNames().join(QLatin1Char(',')), marks.join(QLatin1Char(','))));
    std::deque<std::string> made;
    for (std::size_t i = 0; i < list.size(items); ++i) {
        const void* item = list.at(items, i);
        insert.bind(0, static_cast<qlonglong>(of.id(item)));
        described::bindRow(insert, 1, of, item, parent, {}, made);
        insert.run();
    }
    for (std::size_t i = 0; i < list.size(items); ++i)
        for (const auto& below : of.parts)
            if (below.kind == PartKind::Children)
                storeListAsIs(file, below, list.at(items, i), of.id(list.at(items, i)));
}

}  // namespace

void storeAsIs(const ProjectFile& file, const Bench& bench) {
    Transaction transaction(file);
    file.run(QStringLiteral("PRAGMA defer_foreign_keys = ON"));
    described::StoredIds ids;
    described::store(file, ProjectHead{1, bench.title, bench.method}, 0, ids);
    for (const auto& part : entityType<Bench>().parts) storeListAsIs(file, part, &bench, 0);
    file.run(QStringLiteral("DELETE FROM undo_change"));
    transaction.commit();
}

}  // namespace glumet
