#include "project/project.h"

#include <QScopeGuard>
#include <algorithm>
#include <cmath>
#include <exception>
#include <map>

#include "core/bench/bench_rules.h"
#include "core/bench/grid.h"
#include "core/bench/plane_grid.h"
#include "core/bench/sweep.h"
#include "core/words/sentence.h"
#include "project/described_rows.h"
#include "project/rescue.h"
#include "project/schema.h"

namespace glumet {
namespace {

Problem notStored(const QString& why) {
    return {"", say(GLUMET_SAY("Core", "could not be stored: {}"), why.toStdString())};
}

Problem onlyLookedAt() {
    return {"", say(GLUMET_SAY("Core", "not stored: the project is open to be looked at only"))};
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

}  // namespace

Project::Project(ProjectFile file) : file_(std::move(file)), journal_(file_) { readWhole(); }

/// One moment of the file, whoever else writes meanwhile.
void Project::readWhole() {
    file_.run(QStringLiteral("SAVEPOINT reading"));
    const auto done = qScopeGuard([&] {
        try {
            file_.run(QStringLiteral("RELEASE reading"));
        } catch (const SqlFault&) {
            // SQLite has ended it by itself already.
        }
    });
    const int version = file_.dataVersion();
    bench_ = loadBench(file_);
    seen_version_ = version;
}

Expected<std::unique_ptr<Project>> Project::create(const QString& path, const QString& title,
                                                   std::chrono::milliseconds patience) {
    auto file = ProjectFile::create(path, title, patience);
    if (!file) return tl::make_unexpected(file.error());
    return std::unique_ptr<Project>(new Project(std::move(*file)));
}

/// A file's project, if what it holds can be.
Expected<std::unique_ptr<Project>> Project::read(Expected<ProjectFile> file) {
    if (!file) return tl::make_unexpected(file.error());
    const auto path = file->path().toStdString();
    try {
        std::unique_ptr<Project> project(new Project(std::move(*file)));
        if (const auto faults = faultsOf(project->bench_, 1); !faults.empty()) {
            Words what = say(GLUMET_SAY("Core", "is damaged: {}: {}"), faults[0].where, faults[0].what);
            return problem(path, what);
        }
        return project;
    } catch (const SqlFault& fault) {
        return problem(path, say(GLUMET_SAY("Core", "cannot be read: {}"), fault.text.toStdString()));
    } catch (const std::exception&) {
        return problem(path, say(GLUMET_SAY("Core", "is damaged: a reading belongs to no run")));
    }
}

Expected<std::unique_ptr<Project>> Project::open(const QString& path, std::chrono::milliseconds patience) {
    return read(ProjectFile::open(path, patience));
}

Expected<std::unique_ptr<Project>> Project::look(const QString& path) {
    return read(ProjectFile::look(path));
}

Expected<std::unique_ptr<Project>> Project::rescue(const QString& path) {
    auto rescued = rescuedFrom(path);
    if (!rescued) return tl::make_unexpected(rescued.error());
    auto folder = std::make_unique<QTemporaryDir>();
    auto file = ProjectFile::create(folder->filePath(QStringLiteral("rescued.glumet")),
                                    QString::fromStdString(rescued->bench.title));
    if (!file) return tl::make_unexpected(file.error());
    try {
        storeAsIs(*file, rescued->bench);
    } catch (const SqlFault& fault) {
        return problem(path.toStdString(),
                       say(GLUMET_SAY("Core", "cannot be rescued: {}"), fault.text.toStdString()));
    }
    auto project = read(std::move(file));
    if (!project) return project;
    (*project)->rescued_in_ = std::move(folder);
    (*project)->shown_path_ = path;
    (*project)->missing_ = std::move(rescued->missing);
    return project;
}

std::vector<Problem> Project::faults() const {
    std::vector<Problem> faults;
    try {
        for (const auto& line : file_.damage()) faults.push_back({"", verbatim(line.toStdString())});
    } catch (const SqlFault& fault) {
        faults.push_back({"", verbatim(fault.text.toStdString())});
    }
    auto rules = faultsOf(bench_);
    faults.insert(faults.end(), rules.begin(), rules.end());
    return faults;
}

/// Reads everything again. What another hand has made unreadable leaves the bench as it was last read.
Expected<bool> Project::reload() {
    try {
        readWhole();
        return true;
    } catch (const SqlFault& fault) {
        return problem(
            "", say(GLUMET_SAY("Core", "the project cannot be read any more: {}"), fault.text.toStdString()));
    } catch (const std::exception&) {
        return problem("", say(GLUMET_SAY("Core",
                                          "the project has been damaged from outside: "
                                          "what it holds does not belong together")));
    }
}

template <class Work>
Expected<Id> Project::edit(const QString& title, Work work) {
    if (lookedAt()) return tl::make_unexpected(onlyLookedAt());
    try {
        file_.mindPlace();
        Transaction transaction(file_);
        // From here on nobody else writes; what others have stored since is taken in before ours goes on top.
        if (file_.dataVersion() != seen_version_)
            if (const auto read = reload(); !read) return tl::make_unexpected(read.error());
        journal_.begin(title);
        const Id id = work();
        transaction.commit();
        return id;
    } catch (const SqlFault& fault) {
        return tl::make_unexpected(notStored(fault.text));
    } catch (const std::exception& fault) {
        return tl::make_unexpected(notStored(QString::fromUtf8(fault.what())));
    }
}

/// An edit after which the bench is read again.
template <class Work>
Expected<Id> Project::rewrite(const QString& title, Work work) {
    auto id = edit(title, std::move(work));
    if (!id) return id;
    if (const auto read = reload(); !read) return tl::make_unexpected(read.error());
    emit changed();
    return id;
}

template <class T>
Expected<Id> Project::saveOne(const T& item, const QString& title) {
    if constexpr (requires { faultOf(item); })
        if (auto fault = faultOf(item)) return tl::make_unexpected(std::move(*fault));
    return rewrite(title, [&] {
        described::StoredIds ids;
        return described::store(file_, item, 0, ids);
    });
}

Expected<Id> Project::save(const Tank& tank) {
    return saveOne(tank, tr("tank %1").arg(QString::fromStdString(tank.name)));
}
Expected<Id> Project::save(const Fixture& fixture) {
    return saveOne(fixture, tr("fixture %1").arg(QString::fromStdString(fixture.name)));
}
Expected<Id> Project::save(const Accessory& accessory) {
    return saveOne(accessory, tr("accessory %1").arg(QString::fromStdString(accessory.name)));
}
Expected<Id> Project::save(const MeterProfile& meter) {
    return saveOne(meter, tr("meter %1").arg(QString::fromStdString(meter.name)));
}
Expected<Id> Project::save(const Run& run) {
    return saveOne(run, tr("run %1").arg(QString::fromStdString(run.label)));
}
Expected<Id> Project::save(const CommissionCheck& check) {
    return saveOne(check, tr("check before the first reading"));
}

Expected<Id> Project::save(const SpectrumRecord& record) {
    return saveOne(record, tr("spectrum %1").arg(QString::fromStdString(record.name)));
}
Expected<Id> Project::save(const Schedule& schedule) {
    return saveOne(schedule, tr("schedule %1").arg(QString::fromStdString(schedule.name)));
}
Expected<Id> Project::save(const DayLog& log) {
    return saveOne(log, tr("logger %1").arg(QString::fromStdString(log.name)));
}
Expected<Id> Project::save(const Rating& rating) {
    return saveOne(rating, tr("score by %1").arg(QString::fromStdString(rating.by)));
}
Expected<Id> Project::save(const TankSpot& spot) {
    if (auto fault = faultOf(spot, byId(bench_.tanks, spot.tank)))
        return tl::make_unexpected(std::move(*fault));
    return saveOne(spot, tr("spot %1").arg(QString::fromStdString(spot.name)));
}
Expected<Id> Project::readSpot(Id spot, const SpotReading& reading) {
    if (auto fault = faultOf(reading)) return tl::make_unexpected(std::move(*fault));
    auto id = edit(tr("reading %1").arg(reading.mean.value(), 0, 'f', 0), [&] {
        if (byId(bench_.spots, spot) == nullptr) throw SqlFault{tr("the spot is gone")};
        described::StoredIds ids;
        auto fresh = reading;
        fresh.id = 0;
        return described::store(file_, fresh, spot, ids);
    });
    if (!id) return id;
    auto& readings = byId(bench_.spots, spot)->readings;
    readings.push_back(reading);
    readings.back().id = *id;
    emit changed();
    return id;
}
Expected<Id> Project::save(const Rock& rock) {
    if (auto fault = faultOf(rock, byId(bench_.tanks, rock.tank)))
        return tl::make_unexpected(std::move(*fault));
    return saveOne(rock, tr("rock %1").arg(QString::fromStdString(rock.name)));
}
Expected<Id> Project::save(const Organism& organism) {
    return saveOne(organism, tr("organism %1").arg(QString::fromStdString(organism.name)));
}
Expected<Id> Project::save(const Acclimation& ramp) {
    return saveOne(ramp, tr("ramp %1").arg(QString::fromStdString(ramp.name)));
}
Expected<Id> Project::save(const PlannedArray& plan) {
    if (auto fault = faultOf(plan, byId(bench_.tanks, plan.tank)))
        return tl::make_unexpected(std::move(*fault));
    return saveOne(plan, tr("planned array %1").arg(QString::fromStdString(plan.name)));
}

Expected<Id> Project::addSpectra(const std::vector<SpectrumRecord>& records, const QString& title) {
    for (const auto& record : records)
        if (auto fault = faultOf(record)) return tl::make_unexpected(std::move(*fault));
    return rewrite(title, [&] {
        described::StoredIds ids;
        Id first = 0;
        for (const auto& record : records) {
            const Id id = described::store(file_, record, 0, ids);
            if (first == 0) first = id;
        }
        return first;
    });
}

Expected<Id> Project::addRuns(const NewRuns& added, const QString& title) {
    return rewrite(title, [&] {
        described::StoredIds ids;
        std::map<Id, Fixture> fixtures;
        for (const auto& [id, preset] : added.presets) {
            const auto* known = byId(bench_.fixtures, id);
            if (known == nullptr) throw SqlFault{tr("the fixture is gone")};
            fixtures.try_emplace(id, *known).first->second.presets.push_back(preset);
        }
        for (auto& [id, fixture] : fixtures) {
            linkPresets(fixture);
            described::store(file_, fixture, 0, ids);
        }
        Id first = 0;
        for (const auto& run : added.runs) {
            const Id id = described::store(file_, run, 0, ids);
            if (first == 0) first = id;
        }
        return first;
    });
}

Expected<Id> Project::saveMethod(const QString& title, const Method& method) {
    if (auto fault = faultOf(method)) return tl::make_unexpected(std::move(*fault));
    return saveOne(ProjectHead{1, title.toStdString(), method}, tr("method"));
}

namespace {

/// A spectrum read along with a reading: of the run's fixture and preset, at the reading's place.
SpectrumRecord spectrumAt(const Run& run, const Plane& plane, const Reading& reading,
                          const Spectrum& spectrum) {
    SpectrumRecord record;
    record.fixture = run.fixture;
    record.preset = run.preset;
    record.tank = run.tank;
    record.height = run.height;
    record.depth = plane.depth;
    record.x = reading.x;
    record.y = reading.y;
    record.scale = SpectralScale::Absolute;
    record.origin = SpectrumOrigin::Read;
    record.spectrum = spectrum;
    record.time = reading.time;
    return record;
}

}  // namespace

Expected<Id> Project::take(Id plane, const Reading& reading, const Spectrum* spectrum) {
    if (auto fault = faultOf(reading)) return tl::make_unexpected(std::move(*fault));
    std::vector<Id> earlier;
    std::optional<SpectrumRecord> read_along;
    auto id = edit(tr("reading %1").arg(reading.mean.value(), 0, 'f', 0), [&] {
        const auto at = findPlane(bench_, plane);
        if (at.plane == nullptr) throw SqlFault{tr("the plane is gone")};
        for (const auto& other : at.plane->readings)
            if (!reading.isCheck() && !other.superseded && !other.isCheck() && samePoint(other, reading))
                earlier.push_back(other.id);
        for (const auto other : earlier)
            file_.run(QStringLiteral("UPDATE reading SET superseded = 1 WHERE id = ?"),
                      {static_cast<qlonglong>(other)});
        described::StoredIds ids;
        auto fresh = reading;
        fresh.id = 0;
        if (spectrum != nullptr) {
            read_along = spectrumAt(*at.run, *at.plane, fresh, *spectrum);
            if (auto fault = faultOf(*read_along)) throw SqlFault{QString::fromStdString(english(*fault))};
            read_along->id = described::store(file_, *read_along, 0, ids);
        }
        return described::store(file_, fresh, plane, ids);
    });
    if (!id) return id;
    if (read_along) bench_.spectra.push_back(std::move(*read_along));
    auto& readings = findPlane(bench_, plane).plane->readings;
    for (auto& other : readings)
        if (std::find(earlier.begin(), earlier.end(), other.id) != earlier.end()) other.superseded = true;
    readings.push_back(reading);
    readings.back().id = *id;
    emit readingTaken(*id);
    emit changed();
    return id;
}

Expected<Id> Project::setFlag(Id reading, const Flag& flag) {
    auto id = edit(tr("mark"), [&] {
        file_.run(QStringLiteral("UPDATE reading SET flag = ? WHERE id = ?"),
                  {QString::fromStdString(flag.text()), static_cast<qlonglong>(reading)});
        return reading;
    });
    if (!id) return id;
    for (auto& run : bench_.runs)
        for (auto& plane : run.planes)
            if (auto* found = byId(plane.readings, reading)) found->flag = flag;
    emit changed();
    return id;
}

Expected<Id> Project::markForReview(const std::vector<Id>& runs, bool in_review) {
    auto id = edit(tr("choice for the review"), [&] {
        for (const Id run : runs)
            file_.run(QStringLiteral("UPDATE run SET in_review = ? WHERE id = ?"),
                      {in_review, static_cast<qlonglong>(run)});
        return runs.empty() ? Id{0} : runs.front();
    });
    if (!id) return id;
    for (auto& run : bench_.runs)
        if (std::find(runs.begin(), runs.end(), run.id) != runs.end()) run.in_review = in_review;
    emit changed();
    return id;
}

Expected<Id> Project::remove(const char* table, const std::vector<Id>& rows, const QString& title) {
    return rewrite(title, [&] {
        for (const Id row : rows)
            file_.run(QStringLiteral("DELETE FROM %1 WHERE id = ?").arg(QLatin1String(table)),
                      {static_cast<qlonglong>(row)});
        return rows.empty() ? Id{0} : rows.front();
    });
}
Expected<Id> Project::removeRun(Id run) { return remove("run", {run}, tr("removal of a run")); }
Expected<Id> Project::removeSpectra(const std::vector<Id>& records) {
    return remove("spectrum", records, tr("removal of spectra"));
}
Expected<Id> Project::removeSchedule(Id schedule) {
    return remove("schedule", {schedule}, tr("removal of a schedule"));
}
Expected<Id> Project::removeRating(Id rating) { return remove("rating", {rating}, tr("removal of a score")); }
/// Who lived there is nowhere then.
Expected<Id> Project::removeSpot(Id spot) {
    return rewrite(tr("removal of a spot"), [&] {
        file_.run(QStringLiteral("UPDATE organism SET spot = NULL WHERE spot = ?"),
                  {static_cast<qlonglong>(spot)});
        file_.run(QStringLiteral("DELETE FROM spot WHERE id = ?"), {static_cast<qlonglong>(spot)});
        return spot;
    });
}
Expected<Id> Project::removeRock(Id rock) { return remove("rock", {rock}, tr("removal of a rock")); }
Expected<Id> Project::removePlan(Id plan) {
    return remove("planned_array", {plan}, tr("removal of a planned array"));
}
Expected<Id> Project::removeSpotReading(Id reading) {
    return remove("spot_reading", {reading}, tr("removal of a reading"));
}
Expected<Id> Project::removeOrganism(Id organism) {
    return remove("organism", {organism}, tr("removal of an organism"));
}
Expected<Id> Project::removeRamp(Id ramp) { return remove("acclimation", {ramp}, tr("removal of a ramp")); }
Expected<Id> Project::removeLog(Id log) { return remove("day_log", {log}, tr("removal of a logger's day")); }

int Project::schemaVersion() { return kSchemaVersion; }

Expected<bool> Project::replay(bool (UndoJournal::*step)() const) {
    if (lookedAt()) return tl::make_unexpected(onlyLookedAt());
    try {
        file_.mindPlace();
        if (!(journal_.*step)()) return false;
    } catch (const SqlFault& fault) {
        return tl::make_unexpected(notStored(fault.text));
    } catch (const std::exception& fault) {
        return tl::make_unexpected(notStored(QString::fromUtf8(fault.what())));
    }
    if (const auto read = reload(); !read) return read;
    emit changed();
    return true;
}

Expected<bool> Project::undo() { return replay(&UndoJournal::undo); }
Expected<bool> Project::redo() { return replay(&UndoJournal::redo); }

void Project::storeAdded(Bench& after, const std::vector<Id>& superseded) {
    described::StoredIds ids;
    described::Inserts inserts;
    journal_.recordAdded([&] {
        for (const auto& part : entityType<Bench>().parts)
            described::storeNew(file_, part, &after, 0, ids, inserts);
    });
    for (const auto id : superseded)
        file_.run(QStringLiteral("UPDATE reading SET superseded = 1 WHERE id = ?"),
                  {static_cast<qlonglong>(id)});
}

Expected<MergeReport> Project::importRows(const std::vector<ReadingRow>& rows, const QString& source) {
    return importBench({}, rows, source);
}

namespace {

/// The described entity of that name, or the one the project knows.
template <class T>
Id idByName(const std::vector<T>& described, const std::vector<T>& known, Id id) {
    const auto* item = byId(described, id);
    if (item == nullptr) return 0;
    for (const auto& other : known)
        if (other.name == item->name) return other.id;
    return 0;
}

template <class T>
void adoptNamed(const std::vector<T>& described, std::vector<T>& known) {
    for (const auto& item : described) {
        const auto same = [&](const T& other) { return other.name == item.name; };
        if (std::none_of(known.begin(), known.end(), same)) known.push_back(item);
    }
}

/// A fixture the project knows gains the presets that runs are described with.
Id adoptPreset(const Bench& description, Fixture& known, Id preset) {
    const auto* described = presetById(description, preset);
    if (described == nullptr) return 0;
    for (const auto& other : known.presets)
        if (other.name == described->name) return other.id;
    known.presets.push_back({described->id, described->name, {}});
    linkPresets(known);
    return described->id;
}

/// A channel that the known fixture has by that name, or gains.
Id adoptChannel(const Fixture& described, Fixture& known, Id id) {
    const auto* channel = byId(described.channels, id);
    if (channel == nullptr) return 0;
    for (const auto& other : known.channels)
        if (sameName(other.name, channel->name)) return other.id;
    known.channels.push_back(*channel);
    return channel->id;
}

/// Adds what is not there yet, whatever its id.
template <class T>
void addOnce(std::vector<T>& known, T item) {
    const auto same = [&](T other) {
        other.id = item.id;
        return other == item;
    };
    if (std::none_of(known.begin(), known.end(), same)) known.push_back(std::move(item));
}

/// Spectra and schedules of described fixtures, and loggers' days, that the project does not have yet.
void adoptSpectra(const Bench& description, Bench& bench) {
    const auto fixtureOf = [&](Id& id) -> std::pair<const Fixture*, Fixture*> {
        const auto* described = byId(description.fixtures, id);
        id = idByName(description.fixtures, bench.fixtures, id);
        return {described, byId(bench.fixtures, id)};
    };
    for (auto record : description.spectra) {
        const auto [described, known] = fixtureOf(record.fixture);
        if (described == nullptr || known == nullptr) continue;
        record.channel = adoptChannel(*described, *known, record.channel);
        record.preset = adoptPreset(description, *known, record.preset);
        record.tank = idByName(description.tanks, bench.tanks, record.tank);
        addOnce(bench.spectra, std::move(record));
    }
    for (auto schedule : description.schedules) {
        const auto [described, known] = fixtureOf(schedule.fixture);
        if (described == nullptr || known == nullptr) continue;
        for (auto& ramp : schedule.ramps) ramp.channel = adoptChannel(*described, *known, ramp.channel);
        const auto same = [&](const Schedule& other) {
            return other.name == schedule.name && other.fixture == schedule.fixture;
        };
        if (std::none_of(bench.schedules.begin(), bench.schedules.end(), same))
            bench.schedules.push_back(std::move(schedule));
    }
    for (auto log : description.logs) {
        log.tank = idByName(description.tanks, bench.tanks, log.tank);
        addOnce(bench.logs, std::move(log));
    }
}

/// Scores of described fixtures that the project does not have yet.
void adoptRatings(const Bench& description, Bench& bench) {
    for (auto rating : description.ratings) {
        rating.fixture = idByName(description.fixtures, bench.fixtures, rating.fixture);
        if (byId(bench.fixtures, rating.fixture) == nullptr) continue;
        rating.accessory = idByName(description.accessories, bench.accessories, rating.accessory);
        addOnce(bench.ratings, std::move(rating));
    }
}

/// Spots of described tanks, with readings that the project does not have yet; who lives there; ramps.
void adoptLiving(const Bench& description, Bench& bench) {
    const auto spotOf = [&](Id id) -> TankSpot* {
        const auto* described = byId(description.spots, id);
        if (described == nullptr) return nullptr;
        const Id tank = idByName(description.tanks, bench.tanks, described->tank);
        for (auto& spot : bench.spots)
            if (spot.tank == tank && spot.name == described->name) return &spot;
        return nullptr;
    };
    for (auto spot : description.spots) {
        spot.tank = idByName(description.tanks, bench.tanks, spot.tank);
        if (byId(bench.tanks, spot.tank) == nullptr) continue;
        if (auto* known = spotOf(spot.id))
            for (auto& reading : spot.readings) addOnce(known->readings, std::move(reading));
        else
            bench.spots.push_back(std::move(spot));
    }
    for (auto rock : description.rocks) {
        rock.tank = idByName(description.tanks, bench.tanks, rock.tank);
        if (byId(bench.tanks, rock.tank) != nullptr) addOnce(bench.rocks, std::move(rock));
    }
    for (auto organism : description.organisms) {
        const auto* spot = spotOf(organism.spot);
        organism.spot = spot == nullptr ? 0 : spot->id;
        addOnce(bench.organisms, std::move(organism));
    }
    for (auto ramp : description.ramps) {
        ramp.tank = idByName(description.tanks, bench.tanks, ramp.tank);
        for (const auto& fixture : description.fixtures)
            if (byId(fixture.channels, ramp.channel) != nullptr)
                if (auto* known =
                        byId(bench.fixtures, idByName(description.fixtures, bench.fixtures, fixture.id)))
                    ramp.channel = adoptChannel(fixture, *known, ramp.channel);
        addOnce(bench.ramps, std::move(ramp));
    }
}

/// Planned arrays over described tanks, of described fixtures, that the project does not have yet.
void adoptPlans(const Bench& description, Bench& bench) {
    const auto known = [&](HungFixture& hung) {
        const Id preset = hung.preset;
        hung.fixture = idByName(description.fixtures, bench.fixtures, hung.fixture);
        hung.accessory = idByName(description.accessories, bench.accessories, hung.accessory);
        auto* fixture = byId(bench.fixtures, hung.fixture);
        if (fixture != nullptr) hung.preset = adoptPreset(description, *fixture, preset);
        return fixture != nullptr;
    };
    for (auto plan : description.plans) {
        plan.tank = idByName(description.tanks, bench.tanks, plan.tank);
        const auto same = [&](const PlannedArray& other) {
            return other.name == plan.name && other.tank == plan.tank;
        };
        if (byId(bench.tanks, plan.tank) != nullptr &&
            std::none_of(bench.plans.begin(), bench.plans.end(), same) &&
            std::all_of(plan.fixtures.begin(), plan.fixtures.end(), known))
            bench.plans.push_back(std::move(plan));
    }
}

/// Whether there is nothing that rows could belong to.
bool holdsNothing(const Bench& bench) {
    return bench.tanks.empty() && bench.fixtures.empty() && bench.accessories.empty() &&
           bench.meters.empty() && bench.runs.empty();
}

bool samePlace(Millimetre a, Millimetre b) { return std::abs((a - b).value()) <= kSamePointMm; }

/// Means that others published and a known run does not have yet. Throws SqlFault where two contradict each
/// other.
void adoptMeans(const Run& described, Run& known) {
    for (const auto& plane : described.planes) {
        if (plane.means.empty()) continue;
        const auto same_depth = [&](const Plane& other) { return samePlace(other.depth, plane.depth); };
        const auto at = std::find_if(known.planes.begin(), known.planes.end(), same_depth);
        if (at == known.planes.end()) {
            known.planes.push_back(plane);
            continue;
        }
        for (const auto& mean : plane.means) {
            const auto same_ring = [&](const RingMean& other) {
                return other.columns == mean.columns && other.rows == mean.rows && other.ring == mean.ring;
            };
            const auto before = std::find_if(at->means.begin(), at->means.end(), same_ring);
            if (before == at->means.end()) {
                at->means.push_back(mean);
                continue;
            }
            if (contradict(*before, mean))
                throw SqlFault{
                    Project::tr("%1: ring %2 contradicts what is there: %3, and %4 before")
                        .arg(QString::fromStdString(known.label), QString::fromStdString(mean.ring.text()))
                        .arg(mean.ppfd.value())
                        .arg(before->ppfd.value())};
        }
    }
}

/// The described runs with their references turned to the elements the project knows.
void adoptRuns(const Bench& description, Bench& bench) {
    for (auto run : description.runs) {
        run.fixture = idByName(description.fixtures, bench.fixtures, run.fixture);
        run.accessory = idByName(description.accessories, bench.accessories, run.accessory);
        run.tank = idByName(description.tanks, bench.tanks, run.tank);
        run.meter = idByName(description.meters, bench.meters, run.meter);
        if (auto* fixture = byId(bench.fixtures, run.fixture))
            run.preset = adoptPreset(description, *fixture, run.preset);
        const auto same = [&](const Run& other) {
            return other.label == run.label && other.height == run.height &&
                   configurationOf(other) == configurationOf(run);
        };
        const auto known = std::find_if(bench.runs.begin(), bench.runs.end(), same);
        if (known != bench.runs.end()) {
            adoptMeans(run, *known);
            continue;
        }
        bench.runs.push_back(run);
        for (const auto& check : description.checks)
            if (check.run == run.id) bench.checks.push_back(check);
    }
}

}  // namespace

Expected<MergeReport> Project::importBench(const Bench& description, const std::vector<ReadingRow>& rows,
                                           const QString& source) {
    return import(description, source, {},
                  [&](Bench bench, MergeReport& report) { return withRows(std::move(bench), rows, report); });
}

Expected<MergeReport> Project::importReadings(const Bench& description, Bench readings,
                                              const MergeReport& gathered, const QString& source) {
    MergeReport before;
    before.already_there = gathered.already_there;
    before.superseding = gathered.superseding;
    return import(description, source, before, [&](Bench bench, MergeReport& report) {
        if (holdsNothing(bench)) {  // what was gathered is the whole of it
            readings.title = bench.title;
            readings.method = bench.method;
            report.added = gathered.added;
            return std::move(readings);
        }
        RowMerge merge(std::move(bench), report);
        takeRows(std::move(readings), merge);
        return merge.finish();
    });
}

template <class AddRows>
Expected<MergeReport> Project::import(const Bench& description, const QString& source, MergeReport report,
                                      AddRows add_rows) {
    Bench after;
    const auto done = edit(tr("import of %1").arg(source), [&] {
        Bench bench = bench_;
        adoptNamed(description.tanks, bench.tanks);
        adoptNamed(description.fixtures, bench.fixtures);
        adoptNamed(description.accessories, bench.accessories);
        adoptNamed(description.meters, bench.meters);
        adoptRuns(description, bench);
        adoptSpectra(description, bench);
        adoptRatings(description, bench);
        adoptLiving(description, bench);
        adoptPlans(description, bench);
        if (bench_.runs.empty() && !description.title.empty()) {
            described::StoredIds ids;
            described::store(file_, ProjectHead{1, description.title, description.method}, 0, ids);
            bench.title = description.title;
            bench.method = description.method;
        }
        after = add_rows(std::move(bench), report);
        if (const auto faults = faultsOf(after, 1); !faults.empty())
            throw SqlFault{QString::fromStdString(english(faults[0]))};
        storeAdded(after, report.superseded);
        return Id{0};
    });
    if (!done) return tl::make_unexpected(done.error());
    bench_ = std::move(after);
    emit changed();
    return report;
}

}  // namespace glumet
