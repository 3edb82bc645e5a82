#include "core/compare/conditions.h"

#include <algorithm>
#include <cmath>
#include <map>
#include <tuple>

#include "core/bench/grid.h"

namespace glumet {
namespace {

constexpr double kWarmMin = 20.0;
constexpr double kSameAge = 200.0;     // hours
constexpr double kSameAgeShare = 0.1;  // … or of the older
constexpr double kSameFactor = 0.001;
constexpr double kAgeClass = 1000.0;  // hours

using State = ConditionState;

/// One side as its run says it.
struct RunSide {
    const Bench& bench;
    const Contender& contender;
    const Run& run;

    const Configuration& configuration() const { return contender.configuration; }
    bool modelled() const { return contender.basis != LightBasis::Read; }
};

class Conditions {
  public:
    Conditions(RunSide a, RunSide b, const std::vector<Condition>& on_purpose)
        : a_(a), b_(b), on_purpose_(on_purpose) {}

    std::vector<ConditionRow> all() {
        addWhatIsCompared();
        addTankAndWater();
        addPlaces();
        addMeter();
        addCareTaken();
        return std::move(rows_);
    }

  private:
    struct Unlike {
        State state = State::NotComparable;
        Words remedy;
        bool modelled = false;
    };

    void add(Condition condition, Words a, Words b, bool same, Unlike unlike) {
        ConditionRow row{condition, std::move(a), std::move(b)};
        if (!same) {
            row.state = unlike.state;
            row.remedy = std::move(unlike.remedy);
            row.modelled = unlike.modelled;
            const bool meant =
                std::find(on_purpose_.begin(), on_purpose_.end(), condition) != on_purpose_.end();
            if (row.state == State::NotComparable && meant) {
                row.state = State::OnPurpose;
                row.remedy = {};
            }
        }
        rows_.push_back(std::move(row));
    }

    /// What one side does not say is not comparable, whatever else would hold.
    void addRecorded(Condition condition, Words a, Words b, bool same, Unlike unlike) {
        if (a.empty() != b.empty())
            unlike = {State::NotComparable,
                      say(GLUMET_SAY("Core", "{} is not recorded of {}: record it, or read that run again."),
                          conditionName(condition), a.empty() ? a_.contender.name : b_.contender.name)};
        add(condition, std::move(a), std::move(b), same, std::move(unlike));
    }

    /// Where a fit stands for one of the two, it was asked for the other's conditions.
    Unlike byFit(Words remedy) const {
        if (a_.modelled() || b_.modelled())
            return {State::Corrected,
                    say(GLUMET_SAY("Core", "Modelled: a fit speaks for the same conditions.")), true};
        return {State::NotComparable, std::move(remedy)};
    }

    template <class T>
    static Words nameIn(const std::vector<T>& items, Id id, const char* none) {
        const auto* item = byId(items, id);
        return item == nullptr ? (*none == '\0' ? Words() : Words(say(none))) : Words(verbatim(item->name));
    }

    void addWhatIsCompared() {
        const auto fixture = [](const RunSide& s) {
            return nameIn(s.bench.fixtures, s.configuration().fixture, "");
        };
        const Unlike meant{State::OnPurpose, {}};
        add(Condition::Fixture, fixture(a_), fixture(b_), fixture(a_) == fixture(b_), meant);
        const auto accessory = [](const RunSide& s) {
            return nameIn(s.bench.accessories, s.configuration().accessory, GLUMET_SAY("Core", "none"));
        };
        add(Condition::Accessory, accessory(a_), accessory(b_), accessory(a_) == accessory(b_), meant);
        const auto channels = [](const RunSide& s) {
            const auto name = presetName(s.bench, s.configuration());
            return name.empty() ? Words() : Words(verbatim(name));
        };
        addRecorded(
            Condition::Channels, channels(a_), channels(b_),
            sameName(presetName(a_.bench, a_.configuration()), presetName(b_.bench, b_.configuration())),
            meant);
        addLevel();
        const auto count = [](const RunSide& s) {
            return Words(say("{}", Count{s.configuration().fixtures}));
        };
        add(Condition::Count, count(a_), count(b_), count(a_) == count(b_), meant);
        const auto turn = [](const RunSide& s) {
            return Words(say("{}°", Figure{s.configuration().turn_deg}));
        };
        add(Condition::Turn, turn(a_), turn(b_), turn(a_) == turn(b_),
            byFit(say(GLUMET_SAY("Core", "Hang both the same way and read one again."))));
    }

    void addLevel() {
        const auto level = [](const RunSide& s) {
            return Words(say("{} %", Figure{100.0 * s.contender.level}));
        };
        const bool same = std::abs(a_.contender.level - b_.contender.level) < 1e-6;
        const bool meant =
            std::find(on_purpose_.begin(), on_purpose_.end(), Condition::Level) != on_purpose_.end();
        add(Condition::Level, level(a_), level(b_), same,
            meant ? Unlike{State::OnPurpose, {}}
                  : Unlike{State::Corrected,
                           say(GLUMET_SAY("Core",
                                          "Both are brought to full level; dimming is taken as linear."))});
    }

    void addTankAndWater() {
        // Over which it is compared, or, where nothing speaks for it there, over which it was read.
        const auto tankOf = [](const RunSide& s) {
            return s.contender.speaks() ? s.contender.tank : s.run.tank;
        };
        const auto tank = [&](const RunSide& s) { return nameIn(s.bench.tanks, tankOf(s), ""); };
        const auto alike = [&] {
            const auto* a = byId(a_.bench.tanks, tankOf(a_));
            const auto* b = byId(b_.bench.tanks, tankOf(b_));
            return (a == nullptr && b == nullptr) ||
                   (a != nullptr && b != nullptr && a->length == b->length && a->width == b->width &&
                    a->water_depth == b->water_depth && a->walls == b->walls &&
                    a->water_kind == b->water_kind);
        };
        const auto moved = [&](const RunSide& s) { return s.modelled() && s.run.tank != tankOf(s); };
        addRecorded(Condition::Tank, tank(a_), tank(b_), alike() && !moved(a_) && !moved(b_),
                    byFit(say(GLUMET_SAY("Core", "Read one of them again in the other's tank."))));
        const auto water = [](const RunSide& s) {
            constexpr std::array kWater{GLUMET_SAY("Core", "still"), GLUMET_SAY("Core", "moving"),
                                        GLUMET_SAY("Core", "dry")};
            return Words(say(kWater[static_cast<std::size_t>(s.configuration().water)]));
        };
        const bool same = a_.configuration().water == b_.configuration().water;
        const bool dry =
            (a_.configuration().water == WaterState::Dry) != (b_.configuration().water == WaterState::Dry);
        // Moving water widens the swing; the mean stays.
        add(Condition::Water, water(a_), water(b_), same,
            dry ? byFit(say(GLUMET_SAY("Core", "Fill the tank, or empty it, and read one again.")))
                : Unlike{State::Corrected,
                         say(GLUMET_SAY("Core", "Means are compared; the swings are not alike."))});
    }

    void addPlaces() {
        addGrid();
        addDepths();
        const auto height = [](const RunSide& s) { return Words(say("{}", s.contender.height)); };
        const auto off = [](Millimetre a, Millimetre b) { return std::abs((a - b).value()) > kSamePointMm; };
        const bool same = !off(a_.contender.height, b_.contender.height);
        const auto not_read = [&](const RunSide& s) { return off(s.run.height, s.contender.height); };
        const bool own = a_.contender.own_height && b_.contender.own_height;
        const bool modelled = same && (not_read(a_) || not_read(b_));
        add(Condition::Height, height(a_), height(b_), same && !modelled,
            modelled ? byFit({})
            : own    ? Unlike{State::OnPurpose, {}}
                     : Unlike{State::NotComparable,
                           say(GLUMET_SAY("Core", "Hang one of them at {} and read it again."),
                                  a_.contender.height)});
    }

    static Words gridWords(const ComparedPlane& plane) {
        if (plane.grid) return say("{} × {}", Count{plane.grid->columns()}, Count{plane.grid->rows()});
        return sayCounted(GLUMET_SAY_N("Core", "{} free points"), countOf(plane.points.size()));
    }

    /// Whether every place of the smaller set is in the other.
    static bool samePlaces(const ComparedPlane& a, const ComparedPlane& b) {
        if (a.points.size() != b.points.size()) return false;
        return std::all_of(a.points.begin(), a.points.end(), [&](const ComparedPoint& p) {
            return std::any_of(b.points.begin(), b.points.end(), [&](const ComparedPoint& q) {
                return std::abs(p.x_mm - q.x_mm) <= kSamePointMm && std::abs(p.y_mm - q.y_mm) <= kSamePointMm;
            });
        });
    }

    void addGrid() {
        const auto& a = a_.contender;
        const auto& b = b_.contender;
        if (!a.speaks() || !b.speaks()) return;
        bool same = true;
        for (const auto& plane : a.planes)
            for (const auto& other : b.planes)
                if (std::abs((plane.depth - other.depth).value()) <= kSamePointMm)
                    same = same && samePlaces(plane, other);
        add(Condition::Grid, gridWords(a.planes.front()), gridWords(b.planes.front()), same,
            byFit(say(GLUMET_SAY("Core", "Read one of them again on the other's points."))));
    }

    void addDepths() {
        const auto depths = [](const Contender& c) {
            Lengths out;
            for (const auto& plane : c.planes) out.push_back(plane.depth);
            return out;
        };
        const auto in_a = depths(a_.contender);
        const auto in_b = depths(b_.contender);
        const auto common = std::count_if(in_a.begin(), in_a.end(), [&](Millimetre depth) {
            return std::any_of(in_b.begin(), in_b.end(), [&](Millimetre other) {
                return std::abs((depth - other).value()) <= kSamePointMm;
            });
        });
        const auto most = static_cast<std::ptrdiff_t>(std::max(in_a.size(), in_b.size()));
        const auto words = [](const Lengths& list) {
            return list.empty() ? Words() : Words(say("{}", list));
        };
        add(Condition::Depths, words(in_a), words(in_b), common == most,
            common > 0 ? Unlike{State::Corrected,
                                say(GLUMET_SAY("Core", "Only depths that both have are compared."))}
                       : byFit(say(GLUMET_SAY("Core", "Read one of them again at the other's depths."))));
    }

    /// The meter's factor for the run's channels, where one is applied.
    static const MeterCorrection* factorOf(const RunSide& side) {
        const auto* meter = byId(side.bench.meters, side.run.meter);
        if (meter == nullptr) return nullptr;
        const auto channels = presetName(side.bench, side.configuration());
        for (const auto& correction : meter->corrections)
            if (correction.applied && (correction.channel.empty() || sameName(correction.channel, channels)))
                return &correction;
        return nullptr;
    }

    static bool immersed(const RunSide& side) {
        const auto* meter = byId(side.bench.meters, side.run.meter);
        return meter != nullptr && meter->immersion_by != ImmersionBy::Nobody;
    }

    void addMeter() {
        const auto meter = [](const RunSide& s) { return nameIn(s.bench.meters, s.run.meter, ""); };
        const auto* factor_a = factorOf(a_);
        const auto* factor_b = factorOf(b_);
        const bool both = factor_a != nullptr && factor_b != nullptr;
        addRecorded(Condition::Meter, meter(a_), meter(b_), meter(a_) == meter(b_),
                    both ? Unlike{State::Corrected,
                                  say(GLUMET_SAY("Core",
                                                 "Each by its own factor; both calibrations are in the "
                                                 "interval."))}
                         : Unlike{State::NotComparable,
                                  say(GLUMET_SAY("Core",
                                                 "Read both meters side by side in Bench, or read one "
                                                 "again with the other's meter."))});
        const auto correction = [](const RunSide& s, const MeterCorrection* factor) {
            if (byId(s.bench.meters, s.run.meter) == nullptr) return Words();
            Words out = factor == nullptr ? Words(say(GLUMET_SAY("Core", "no factor")))
                                          : Words(say(GLUMET_SAY("Core", "× {}"), Figure{factor->factor, 3}));
            if (s.configuration().water != WaterState::Dry && !immersed(s))
                out += say(GLUMET_SAY("Core", "(not for water)"));
            return out;
        };
        const bool water_alike = immersed(a_) == immersed(b_) ||
                                 a_.configuration().water == WaterState::Dry ||
                                 b_.configuration().water == WaterState::Dry;
        const double fa = factor_a == nullptr ? 1.0 : factor_a->factor;
        const double fb = factor_b == nullptr ? 1.0 : factor_b->factor;
        const bool same = std::abs(fa - fb) < kSameFactor && water_alike;
        addRecorded(
            Condition::Correction, correction(a_, factor_a), correction(b_, factor_b), same,
            both && water_alike
                ? Unlike{State::Corrected, say(GLUMET_SAY("Core", "Each by its own factor."))}
                : Unlike{State::NotComparable,
                         water_alike
                             ? say(GLUMET_SAY("Core", "Find the other's factor too, and read it again."))
                             : say(GLUMET_SAY("Core", "One meter is not set for water: read again."))});
    }

    void addCareTaken() {
        const auto warm = [](const RunSide& s) {
            return s.run.warm_up_min ? Words(say(GLUMET_SAY("Core", "{} min"), Figure{*s.run.warm_up_min, 0}))
                                     : Words();
        };
        const auto is_warm = [](const Run& run) { return run.warm_up_min.value_or(kWarmMin) >= kWarmMin; };
        addRecorded(
            Condition::WarmUp, warm(a_), warm(b_),
            (warm(a_).empty() == warm(b_).empty()) && is_warm(a_.run) && is_warm(b_.run),
            {State::NotComparable,
             say(GLUMET_SAY("Core", "Let it burn for {} minutes, then read again."), Figure{kWarmMin, 0})});
        const auto dark = [](const RunSide& s) {
            return s.run.dark_reading ? Words(say("{}", *s.run.dark_reading)) : Words();
        };
        const bool none_taken_off = a_.contender.dark == 0.0 && b_.contender.dark == 0.0;
        addRecorded(Condition::Ambient, dark(a_), dark(b_),
                    dark(a_).empty() == dark(b_).empty() && none_taken_off,
                    {State::Corrected, say(GLUMET_SAY("Core", "The dark reading is taken off."))});
        addAge();
        const auto reader = [](const RunSide& s) {
            return s.configuration().byOthers() ? Words(verbatim(s.configuration().read_by))
                                                : Words(say(GLUMET_SAY("Core", "ourselves")));
        };
        add(Condition::Reader, reader(a_), reader(b_), reader(a_) == reader(b_),
            {State::NotComparable,
             say(GLUMET_SAY("Core", "Others' readings rest on a bench we do not know: read it ourselves."))});
    }

    void addAge() {
        const auto age = [](const RunSide& s) {
            return s.run.hours ? Words(say(GLUMET_SAY("Core", "{} h"), Figure{*s.run.hours, 0})) : Words();
        };
        const double ha = a_.run.hours.value_or(0.0);
        const double hb = b_.run.hours.value_or(0.0);
        const bool same = age(a_).empty() == age(b_).empty() &&
                          std::abs(ha - hb) <= std::max(kSameAge, kSameAgeShare * std::max(ha, hb));
        const bool one_fixture = rows_.front().state == State::Same;
        addRecorded(Condition::Age, age(a_), age(b_), same,
                    one_fixture ? Unlike{State::OnPurpose, {}}
                                : Unlike{State::NotComparable,
                                         say(GLUMET_SAY("Core",
                                                        "One lamp has burnt {} h longer: read one of "
                                                        "the same age."),
                                             Figure{std::abs(ha - hb), 0})});
    }

    RunSide a_;
    RunSide b_;
    const std::vector<Condition>& on_purpose_;
    std::vector<ConditionRow> rows_;
};

}  // namespace

std::vector<ConditionRow> conditionsOf(const Bench& bench_a, const Contender& a, const Bench& bench_b,
                                       const Contender& b, const std::vector<Condition>& on_purpose) {
    return Conditions({bench_a, a, bench_a.run(a.run)}, {bench_b, b, bench_b.run(b.run)}, on_purpose).all();
}

bool comparable(const std::vector<ConditionRow>& rows) {
    return std::none_of(rows.begin(), rows.end(),
                        [](const ConditionRow& row) { return row.state == State::NotComparable; });
}

std::vector<Words> unlikeTheRest(const Bench& bench, const std::vector<Contender>& contenders,
                                 const std::vector<Condition>& on_purpose) {
    // One of the largest group that shares what can keep two apart stands for all of it.
    const auto keyOf = [&](const Contender& c) {
        const auto& run = bench.run(c.run);
        const auto age = run.hours ? static_cast<int>(*run.hours / kAgeClass) : -1;
        const auto points = c.speaks() ? c.planes.front().points.size() : 0;
        return std::tuple(run.tank, run.water == WaterState::Dry, run.meter, run.read_by, age, points);
    };
    std::map<decltype(keyOf(contenders.front())), std::vector<const Contender*>> groups;
    for (const auto& contender : contenders)
        if (contender.speaks()) groups[keyOf(contender)].push_back(&contender);
    const std::vector<const Contender*>* largest = nullptr;
    for (const auto& [key, group] : groups)
        if (largest == nullptr || group.size() > largest->size()) largest = &group;
    std::vector<Words> out(contenders.size());
    for (std::size_t i = 0; largest != nullptr && i < contenders.size(); ++i) {
        const auto* like =
            largest->front() != &contenders[i] || largest->size() == 1 ? largest->front() : largest->back();
        // A fixture's own other age is fair to itself and to nobody else: ask one of another fixture.
        for (const auto* other : *largest)
            if (other->configuration.fixture != contenders[i].configuration.fixture) {
                like = other;
                break;
            }
        if (like == &contenders[i] || !contenders[i].speaks()) continue;
        for (const auto& row : conditionsOf(bench, *like, bench, contenders[i], on_purpose))
            if (row.state == State::NotComparable && out[i].empty())
                out[i] = say(GLUMET_SAY("Core", "{}: {}"), conditionName(row.condition), row.remedy);
    }
    return out;
}

std::vector<Condition> changedThings(const std::vector<ConditionRow>& rows) {
    std::vector<Condition> out;
    for (const auto& row : rows)
        if (row.state == State::OnPurpose && row.condition != Condition::Height) out.push_back(row.condition);
    return out;
}

Words conditionName(Condition condition) {
    constexpr std::array kNames{
        GLUMET_SAY("Core", "fixture"), GLUMET_SAY("Core", "accessory"), GLUMET_SAY("Core", "channels"),
        GLUMET_SAY("Core", "level"),   GLUMET_SAY("Core", "count"),     GLUMET_SAY("Core", "turn"),
        GLUMET_SAY("Core", "tank"),    GLUMET_SAY("Core", "water"),     GLUMET_SAY("Core", "grid"),
        GLUMET_SAY("Core", "depths"),  GLUMET_SAY("Core", "height"),    GLUMET_SAY("Core", "meter"),
        GLUMET_SAY("Core", "factor"),  GLUMET_SAY("Core", "warm-up"),   GLUMET_SAY("Core", "other light"),
        GLUMET_SAY("Core", "age"),     GLUMET_SAY("Core", "reader")};
    return say(kNames[static_cast<std::size_t>(condition)]);
}

}  // namespace glumet
