#include "core/bench/bench_rules.h"

#include <algorithm>
#include <unordered_set>

#include "core/base/utf8.h"
#include "core/bench/descriptions.h"
#include "core/bench/field_rules.h"

namespace glumet {
namespace {

std::string nameOf(const std::string& kind, const std::string& name, Id id) {
    return kind + " " + (name.empty() ? std::to_string(id) : shownText(name, limits::kShownName));
}

/// The first of an entity's own fields that cannot be.
template <class Entity>
std::optional<Problem> fieldFault(const Entity& entity, const std::string& name) {
    for (const auto& part : entityType<Entity>().parts)
        if (part.kind == PartKind::Field)
            if (auto what = rules::ofField(part, part.of(&entity)))
                return Problem{name + ", " + part.key, std::move(*what)};
    return std::nullopt;
}

Problem tooManyEmitters(const std::string& name) {
    return {name + ", emitter_columns",
            sayCounted(GLUMET_SAY_N("Core", "makes more than {} emitters"), Count{limits::kEmitters})};
}

bool tooMany(const EmitterLattice& lattice) {
    return static_cast<double>(lattice.columns) * lattice.rows > limits::kEmitters;
}

std::optional<Problem> belowFixture(const Fixture& fixture, const std::string& name) {
    if (tooMany(fixture.emitters)) return tooManyEmitters(name);
    for (const auto& channel : fixture.channels) {
        if (auto fault = fieldFault(channel, name + ", " + nameOf("channel", channel.name, channel.id)))
            return fault;
        if (channel.emitters && tooMany(*channel.emitters)) return tooManyEmitters(name);
    }
    for (const auto& preset : fixture.presets) {
        const auto at = name + ", " + nameOf("preset", preset.name, preset.id);
        if (auto fault = fieldFault(preset, at)) return fault;
        for (const auto& level : preset.levels)
            if (auto fault = fieldFault(level, at)) return fault;
    }
    return std::nullopt;
}

/// Whether points of a day follow each other in time.
template <class Point>
bool ascending(const std::vector<Point>& points) {
    const auto later = [](const Point& a, const Point& b) { return a.hour >= b.hour; };
    return std::adjacent_find(points.begin(), points.end(), later) == points.end();
}

Problem notAscending(const std::string& name) {
    return {name + ", points", say(GLUMET_SAY("Core", "must follow each other in time"))};
}

/// Gathers faults until there are enough.
class Gathered {
  public:
    explicit Gathered(std::size_t most) : most_(most) {}
    bool full() const { return faults_.size() >= most_; }
    void add(std::optional<Problem> fault, const std::string& before = {}) {
        if (!fault || full()) return;
        if (!before.empty()) fault->where = before + ", " + fault->where;
        faults_.push_back(std::move(*fault));
    }
    std::vector<Problem> take() { return std::move(faults_); }

  private:
    std::size_t most_;
    std::vector<Problem> faults_;
};

/// Whether a reference leads nowhere.
template <class T>
std::optional<Problem> lostReference(const std::vector<T>& items, Id id, const Run& run, const char* key) {
    if (id == 0 || byId(items, id) != nullptr) return std::nullopt;
    return Problem{nameOf("run", run.label, run.id) + ", " + key,
                   say(GLUMET_SAY("Core", "names something that is not there"))};
}

void addRun(Gathered& gathered, const Bench& bench, const Run& run) {
    gathered.add(faultOf(run));
    gathered.add(lostReference(bench.fixtures, run.fixture, run, "fixture"));
    gathered.add(lostReference(bench.accessories, run.accessory, run, "accessory"));
    gathered.add(lostReference(bench.tanks, run.tank, run, "tank"));
    gathered.add(lostReference(bench.meters, run.meter, run, "meter"));
    for (const auto& plane : run.planes) {
        const auto at = nameOf("run", run.label, run.id);
        gathered.add(faultOf(plane), at);
        for (const auto& reading : plane.readings) {
            if (gathered.full()) return;
            if (auto fault = faultOf(reading)) gathered.add(std::move(fault), at);
        }
    }
}

}  // namespace

std::optional<Problem> faultOf(const Tank& tank) {
    return fieldFault(tank, nameOf("tank", tank.name, tank.id));
}
std::optional<Problem> faultOf(const Fixture& fixture) {
    const auto name = nameOf("fixture", fixture.name, fixture.id);
    if (auto fault = fieldFault(fixture, name)) return fault;
    return belowFixture(fixture, name);
}
std::optional<Problem> faultOf(const Accessory& accessory) {
    return fieldFault(accessory, nameOf("accessory", accessory.name, accessory.id));
}
std::optional<Problem> faultOf(const MeterProfile& meter) {
    return fieldFault(meter, nameOf("meter", meter.name, meter.id));
}
std::optional<Problem> faultOf(const Run& run) { return fieldFault(run, nameOf("run", run.label, run.id)); }
std::optional<Problem> faultOf(const Plane& plane) {
    const auto name = nameOf("plane", {}, plane.id);
    if (auto fault = fieldFault(plane, name)) return fault;
    for (const auto& mean : plane.means)
        if (auto fault = faultOf(mean)) return Problem{name + ", " + fault->where, fault->what};
    return std::nullopt;
}
std::optional<Problem> faultOf(const RingMean& mean) {
    const auto name = nameOf("mean", {}, mean.id);
    if (auto fault = fieldFault(mean, name)) return fault;
    if (hasPoints(mean) || mean.ring.number == RingName::kLeast || mean.ring.number == RingName::kGreatest)
        return std::nullopt;
    return Problem{name + ", ring",
                   mean.ring.number < 0
                       ? say(GLUMET_SAY("Core", "is no ring: name its number from outside, all, min or max"))
                       : say(GLUMET_SAY("Core", "a grid of {} × {} points has no ring {}"),
                             Count{mean.columns}, Count{mean.rows}, Count{mean.ring.number})};
}
std::optional<Problem> faultOf(const Reading& reading) {
    // Of every reading of a project: the name is made only for one that needs it.
    if (auto what = rules::ofFields(entityType<Reading>(), &reading); !what) return std::nullopt;
    return fieldFault(reading, nameOf("reading", {}, reading.id));
}
std::optional<Problem> faultOf(const CommissionCheck& check) {
    return fieldFault(check, nameOf("check", {}, check.id));
}
std::optional<Problem> faultOf(const Method& method) {
    if (static_cast<double>(method.grid_columns) * method.grid_rows > limits::kCells)
        return Problem{"method, grid_columns",
                       sayCounted(GLUMET_SAY_N("Core", "has more than {} cells"), Count{limits::kCells})};
    return fieldFault(method, "method");
}

std::optional<Problem> faultOf(const SpectrumRecord& record) {
    const auto name = nameOf("spectrum", record.name, record.id);
    if (auto fault = fieldFault(record, name)) return fault;
    if (auto fault = spectrumFault(record.spectrum)) return Problem{name + ", " + fault->where, fault->what};
    return std::nullopt;
}
std::optional<Problem> faultOf(const Schedule& schedule) {
    const auto name = nameOf("schedule", schedule.name, schedule.id);
    if (auto fault = fieldFault(schedule, name)) return fault;
    for (const auto& ramp : schedule.ramps) {
        if (auto fault = fieldFault(ramp, name)) return fault;
        if (!ascending(ramp.points)) return notAscending(name);
    }
    return std::nullopt;
}
std::optional<Problem> faultOf(const DayLog& log) {
    const auto name = nameOf("log", log.name, log.id);
    if (auto fault = fieldFault(log, name)) return fault;
    if (!ascending(log.points)) return notAscending(name);
    return std::nullopt;
}
std::optional<Problem> faultOf(const Rating& rating) {
    return fieldFault(rating, nameOf("rating", rating.by, rating.id));
}

std::optional<Problem> faultOf(const SpotReading& reading) {
    const auto name = nameOf("reading", reading.time, reading.id);
    if (reading.time.empty()) return Problem{name + ", time", say(GLUMET_SAY("Core", "is missing"))};
    return fieldFault(reading, name);
}
std::optional<Problem> faultOf(const TankSpot& spot, const Tank* tank) {
    const auto name = nameOf("spot", spot.name, spot.id);
    if (auto fault = fieldFault(spot, name)) return fault;
    if (spot.name.empty()) return Problem{name + ", name", say(GLUMET_SAY("Core", "is missing"))};
    for (const auto& reading : spot.readings)
        if (auto fault = faultOf(reading)) return fault;
    if (tank != nullptr && (spot.x > tank->length || spot.y > tank->width || spot.depth > tank->water_depth))
        return Problem{name, say(GLUMET_SAY("Core", "lies outside its tank"))};
    return std::nullopt;
}
std::optional<Problem> faultOf(const Rock& rock, const Tank* tank) {
    const auto name = nameOf("rock", rock.name, rock.id);
    if (auto fault = fieldFault(rock, name)) return fault;
    if (!(rock.from_x < rock.to_x) || !(rock.from_y < rock.to_y) || !(rock.top < rock.bottom))
        return Problem{name,
                       say(GLUMET_SAY("Core", "must reach from less to more in length, width and depth"))};
    if (tank != nullptr &&
        (rock.to_x > tank->length || rock.to_y > tank->width || rock.bottom > tank->water_depth))
        return Problem{name, say(GLUMET_SAY("Core", "lies outside its tank"))};
    return std::nullopt;
}
std::optional<Problem> faultOf(const Organism& organism) {
    const auto name = nameOf("organism", organism.name, organism.id);
    if (auto fault = fieldFault(organism, name)) return fault;
    if (organism.name.empty()) return Problem{name + ", name", say(GLUMET_SAY("Core", "is missing"))};
    if (organism.seen_low && organism.seen_high && *organism.seen_low > *organism.seen_high)
        return Problem{name, say(GLUMET_SAY("Core", "was seen from more to less light"))};
    return std::nullopt;
}
std::optional<Problem> faultOf(const Acclimation& ramp) {
    return fieldFault(ramp, nameOf("ramp", ramp.name, ramp.id));
}

std::optional<Problem> faultOf(const PlannedArray& plan, const Tank* tank) {
    const auto name = nameOf("plan", plan.name, plan.id);
    if (auto fault = fieldFault(plan, name)) return fault;
    if (plan.name.empty()) return Problem{name + ", name", say(GLUMET_SAY("Core", "is missing"))};
    if (plan.fixtures.empty()) return Problem{name, say(GLUMET_SAY("Core", "has no fixture"))};
    if (plan.fixtures.size() > limits::kFixtures)
        return Problem{
            name, sayCounted(GLUMET_SAY_N("Core", "has more than {} fixtures"), Count{limits::kFixtures})};
    for (const auto& hung : plan.fixtures) {
        if (auto fault = fieldFault(hung, name)) return fault;
        if (tank != nullptr && (hung.x > tank->length || hung.y > tank->width))
            return Problem{name, say(GLUMET_SAY("Core", "hangs beside its tank"))};
    }
    return std::nullopt;
}

static Problem namesNothing(const std::string& name, const char* key) {
    return {name + key, say(GLUMET_SAY("Core", "names something that is not there"))};
}

static void addPlan(Gathered& gathered, const Bench& bench, const PlannedArray& plan) {
    const auto* tank = byId(bench.tanks, plan.tank);
    const auto name = nameOf("plan", plan.name, plan.id);
    gathered.add(faultOf(plan, tank));
    if (tank == nullptr) gathered.add(namesNothing(name, ", tank"));
    for (const auto& hung : plan.fixtures) {
        const auto* fixture = byId(bench.fixtures, hung.fixture);
        if (fixture == nullptr)
            gathered.add(namesNothing(name, ", fixture"));
        else if (hung.preset != 0 && byId(fixture->presets, hung.preset) == nullptr)
            gathered.add(namesNothing(name, ", preset"));
        if (hung.accessory != 0 && byId(bench.accessories, hung.accessory) == nullptr)
            gathered.add(namesNothing(name, ", accessory"));
    }
}

std::vector<Problem> faultsOf(const Bench& bench, std::size_t most) {
    Gathered gathered(most);
    gathered.add(faultOf(bench.method));
    if (auto what = rules::ofText(bench.title, limits::kNameBytes)) gathered.add(Problem{"title", *what});
    for (const auto& tank : bench.tanks) gathered.add(faultOf(tank));
    for (const auto& fixture : bench.fixtures) gathered.add(faultOf(fixture));
    for (const auto& accessory : bench.accessories) gathered.add(faultOf(accessory));
    for (const auto& meter : bench.meters) gathered.add(faultOf(meter));
    if (readingCount(bench) > limits::kReadings)
        gathered.add(Problem{
            "readings", sayCounted(GLUMET_SAY_N("Core", "are more than {}"), countOf(limits::kReadings))});
    for (const auto& record : bench.spectra) {
        gathered.add(faultOf(record));
        if (byId(bench.fixtures, record.fixture) == nullptr)
            gathered.add(namesNothing(nameOf("spectrum", record.name, record.id), ", fixture"));
    }
    for (const auto& schedule : bench.schedules) gathered.add(faultOf(schedule));
    for (const auto& log : bench.logs) gathered.add(faultOf(log));
    for (const auto& rating : bench.ratings) {
        gathered.add(faultOf(rating));
        if (byId(bench.fixtures, rating.fixture) == nullptr)
            gathered.add(namesNothing(nameOf("rating", rating.by, rating.id), ", fixture"));
    }
    for (const auto& spot : bench.spots) {
        const auto* tank = byId(bench.tanks, spot.tank);
        gathered.add(faultOf(spot, tank));
        if (tank == nullptr) gathered.add(namesNothing(nameOf("spot", spot.name, spot.id), ", tank"));
    }
    for (const auto& rock : bench.rocks) {
        const auto* tank = byId(bench.tanks, rock.tank);
        gathered.add(faultOf(rock, tank));
        if (tank == nullptr) gathered.add(namesNothing(nameOf("rock", rock.name, rock.id), ", tank"));
    }
    for (const auto& organism : bench.organisms) gathered.add(faultOf(organism));
    for (const auto& ramp : bench.ramps) gathered.add(faultOf(ramp));
    for (const auto& plan : bench.plans) addPlan(gathered, bench, plan);
    std::unordered_set<Id> runs;
    for (const auto& run : bench.runs) {
        if (gathered.full()) break;
        runs.insert(run.id);
        addRun(gathered, bench, run);
    }
    for (const auto& check : bench.checks) {
        gathered.add(faultOf(check));
        if (!runs.contains(check.run)) gathered.add(namesNothing(nameOf("check", {}, check.id), ", run"));
    }
    return gathered.take();
}

}  // namespace glumet
