#include "core/simulation/demo_scenario.h"

#include <fmt/format.h>

#include <array>
#include <cmath>

#include "core/bench/grid.h"
#include "core/bench/placement.h"
#include "core/bench/sweep.h"
#include "core/fit/bench_scene.h"
#include "core/simulation/beam_by_planes.h"
#include "core/simulation/demo_living.h"
#include "core/simulation/demo_ratings.h"
#include "core/simulation/demo_spectra.h"
#include "core/survey/commission.h"
#include "core/survey/repeatability.h"
#include "core/survey/survey_method.h"
#include "core/words/sentence.h"

namespace glumet {
namespace {

constexpr double kInventedEfficacy = 1.8;  // µmol/J
constexpr double kInventedPower = 100.0;
constexpr Id kCube = 1;
constexpr Id kMeterSub = 1;
constexpr Id kDiffuser = 1;
constexpr double kFreshHours = 100.0;
constexpr const char* kAllOn = "all channels full";
enum FixtureId : Id { kOsier = 1, kSallow, kSedge, kAlder, kRushlight };

Fixture fixture(Id id, const char* name, const char* maker, const char* kind, double length, double width,
                int columns, int rows, double pitch_x, double pitch_y, double watt) {
    Fixture f;
    f.id = id;
    f.name = name;
    f.maker = maker;
    f.kind = kind;
    f.length = Millimetre(length);
    f.width = Millimetre(width);
    f.emitters.columns = columns;
    f.emitters.rows = rows;
    f.emitters.pitch_x = Millimetre(pitch_x);
    f.emitters.pitch_y = Millimetre(pitch_y);
    f.rated_power = Watt(watt);
    f.currency = "¤";
    return f;
}

void claim(Fixture& f, double low, double high, const char* coverage, double price, double mass) {
    f.claimed_height_low = Millimetre(low);
    f.claimed_height_high = Millimetre(high);
    f.claimed_coverage = coverage;
    f.price = price;
    f.mass_kg = mass;
    setChannelNames(f, "warm white, cool white, deep red");
}

void ownership(Fixture& f, double mounts, double lamps, double life_h, std::optional<double> noise) {
    f.mount_price = mounts;
    f.lamp_price = lamps;
    f.life_h = life_h;
    f.noise_dba = noise;
}

std::vector<Fixture> demoFixtures() {
    std::vector<Fixture> all{
        fixture(kOsier, "Osier 60", "Withy & Fen", "single cluster", 180, 130, 4, 3, 28, 28, 62),
        fixture(kSallow, "Sallow 110", "Carr Lamps", "long bar, linear lens", 540, 80, 20, 1, 27, 0, 110),
        fixture(kSedge, "Sedge Panel", "Withy & Fen", "wide panel", 420, 300, 12, 8, 34, 34, 96),
        fixture(kAlder, "Twin Alder", "Holm Bench Works", "pair of clusters", 460, 150, 2, 1, 300, 0, 88),
        fixture(kRushlight, "Rushlight 2T", "Old Mere", "two tubes with reflectors", 560, 160, 28, 2, 20, 80,
                48)};
    claim(all[0], 130, 180, "60 × 60 cm", 210, 1.4);
    claim(all[1], 150, 300, "90 × 45 cm", 280, 2.1);
    claim(all[2], 200, 400, "70 × 60 cm", 340, 4.2);
    claim(all[3], 200, 300, "80 × 50 cm", 305, 2.6);
    claim(all[4], 80, 150, "60 × 40 cm", 60, 2.0);
    setChannelNames(all[4], "tubes");
    ownership(all[0], 0, 0, 40000, 31);
    ownership(all[1], 28, 0, 50000, std::nullopt);
    ownership(all[2], 36, 0, 50000, 24);
    ownership(all[3], 22, 0, 40000, 37);
    ownership(all[4], 8, 18, 8000, 22);
    // What their makers say of beam and flux; the bench finds most of it a little kind.
    all[0].beam = *Beam::halfAngle(45.0);
    all[0].flux = PhotonFlux(128);
    all[1].beam = *Beam::halfAngle(60.0);
    all[1].flux = PhotonFlux(205);
    all[2].beam = *Beam::halfAngle(60.0);
    all[3].beam = *Beam::table({0, 10, 20, 30, 40, 50, 60, 70, 80, 90},
                               {0.7, 0.76, 0.84, 0.97, 1.0, 0.74, 0.42, 0.18, 0.05, 0.0});
    all[3].flux = PhotonFlux(170);
    all[0].emitters.size = Millimetre(18);
    all[1].emitters.size = Millimetre(14);
    all[3].emitters.size = Millimetre(70);
    return all;
}

/// Half as bright at 30° across the bar and at 58° along it.
Beam linearLens() {
    constexpr double kAcross = 0.577;  // tan 30°
    constexpr double kAlong = 1.600;   // tan 58°
    return beamByPlanes(90, 15, [](double theta, double phi) {
        const double q = std::tan(std::min(theta, 1.55));
        return std::cos(theta) * std::exp2(-(std::pow(q * std::cos(phi) / kAlong, 2) +
                                             std::pow(q * std::sin(phi) / kAcross, 2)));
    });
}

/// A tube's own light, and across it the hump of its reflector at 40°.
Beam tubeInReflector() {
    return beamByPlanes(90, 15, [](double theta, double phi) {
        const double along = std::sqrt(1.0 - std::pow(std::sin(theta) * std::cos(phi), 2));
        const double across = std::atan2(std::sin(theta) * std::sin(phi), std::cos(theta));
        const double hump = std::exp(-std::pow((across - 0.7) / 0.28, 2));
        return std::cos(theta) * along * (0.6 + 0.64 * hump);
    });
}

/// A channel of the cluster by itself: its own lenses, its share of the light.
struct ChannelTruth {
    const char* name;
    double half_angle_deg;
    double share;
};
constexpr std::array kOsierChannels{ChannelTruth{"warm white", 45.0, 0.36},
                                    ChannelTruth{"cool white", 44.0, 0.42},
                                    ChannelTruth{"deep red", 39.0, 0.22}};

FixtureTruth truthOf(const Bench& bench, const Run& run) {
    const Id fixture_id = run.fixture;
    const Id accessory = run.accessory;
    const auto preset = presetName(bench, run);
    const auto* f = byId(bench.fixtures, fixture_id);
    const std::string name = f == nullptr ? "" : f->name;
    const auto flux = [&](double per_joule) {
        const double watt = f != nullptr && f->rated_power ? f->rated_power->value() : kInventedPower;
        return PhotonFlux(per_joule * watt);
    };
    if (name == "Osier 60" && accessory != 0) return {*Beam::cosinePower(1.0), flux(1.72)};
    if (name == "Osier 60")
        for (const auto& channel : kOsierChannels)
            if (preset == channel.name)
                return {*Beam::halfAngle(channel.half_angle_deg), flux(1.95 * channel.share)};
    if (name == "Osier 60" && run.hours.value_or(0.0) > kFreshHours)
        return {*Beam::halfAngle(45.0), flux(1.70)};
    if (name == "Osier 60") return {*Beam::halfAngle(44.0), flux(1.95)};
    if (name == "Sallow 110") return {linearLens(), flux(1.80)};
    if (name == "Sedge Panel") return {*Beam::cosinePower(1.0), flux(1.90)};
    // A batwing: more light at 35° than straight down.
    if (name == "Twin Alder")
        return {*Beam::table({0, 15, 30, 38, 50, 65, 80, 90}, {0.72, 0.8, 0.96, 1.0, 0.72, 0.28, 0.05, 0.0}),
                flux(1.85)};
    if (name == "Rushlight 2T") return {tubeInReflector(), flux(1.05)};
    if (f != nullptr && f->beam) return {*f->beam, f->flux.value_or(flux(kInventedEfficacy))};
    return {*Beam::halfAngle(50.0), flux(kInventedEfficacy)};
}

constexpr double kAgedHours = 9000.0;

/// What is planted in a run.
struct PlantedFaults {
    bool half_dead_driver = false;
    bool room_light = false;
    bool wrong_mode = false;
    bool slipped_probe = false;
    double dark = 0.2;        ///< other light, where the room light is off
    double draw_share = 1.0;  ///< of the rating, of what is on
    double hours = kFreshHours;
    int readings = -1;  ///< break off after so many; −1 is all
};

constexpr std::uint64_t kAgainSeed = 1000;
constexpr std::uint64_t kSpectraSeed = 2000;
constexpr double kRoomLight = 7.5;
constexpr double kDarkNight = 0.1;
constexpr double kDeadShare = 0.54;
constexpr double kSlipMm = 55.0;
constexpr double kWrongMode = 1.0 / 1.32;
constexpr double kHungTooHighMm = 22.0;

class DemoMaker {
  public:
    explicit DemoMaker(std::uint64_t seed)
        : bench_(demoBench()), seed_(seed), noise_(seed), check_noise_(seed + 1) {}

    Bench make() {
        bench_.method.check_every = 18;
        for (const double h : {120, 150, 180, 210, 240, 270, 300})
            addRun(kOsier, 0, h, {.slipped_probe = h == 240});
        addRun(kOsier, 0, 330, {.readings = 36 + 21});
        for (const double h : {120, 160, 200, 240, 280}) addRun(kOsier, kDiffuser, h, {});
        for (const double h : {120, 160, 200, 240, 280})
            addRun(kSallow, 0, h, {.half_dead_driver = h == 240});
        for (const double h : {150, 200, 250, 300, 350}) addRun(kSedge, 0, h, {.wrong_mode = h == 200});
        for (const double h : {150, 200, 250, 300, 350}) addRun(kAlder, 0, h, {.room_light = h == 250});
        for (const double h : {80, 120, 160, 200}) addRun(kRushlight, 0, h, {});
        for (const double h : {120, 150, 180, 210, 240}) addRun(kOsier, 0, h, {.hours = kAgedHours});
        planSpacing();
        planMixed();
        for (const double h : {150, 210})
            for (const auto& channel : kOsierChannels) addChannelRun(channel, h);
        addDemoSpectra(bench_, seed_ + kSpectraSeed);
        addDemoRatings(bench_);
        addDemoLiving(bench_, seed_);
        return std::move(bench_);
    }

  private:
    /// Two clusters over the raceway, moved outward: the narrowest is not read yet, the second was hung too
    /// high by mistake.
    void planSpacing() {
        const auto& raceway = bench_.tanks[1];
        SurveyMethod method;
        method.name = "spacing";
        method.heights = {Millimetre(210)};
        method.depths = {Millimetre(220)};
        method.columns = 12;
        method.fixtures = 2;
        method.spreads = {Millimetre(420), Millimetre(500), Millimetre(580)};
        auto planned = plannedRuns(bench_, method, {{kOsier}, raceway.id, kMeterSub});
        addPresets(*planned);
        for (auto& run : planned->runs) {
            run.id = static_cast<Id>(bench_.runs.size()) + 1;
            run.hours = kFreshHours;
            for (auto& plane : run.planes) plane.id = next_plane_++;
            if (run.placement != placementAt(withSpread(raceway.length, 2, method.spreads.front())))
                readPlanned(run,
                            run.placement == placementAt(withSpread(raceway.length, 2, method.spreads[1]))
                                ? kHungTooHighMm
                                : 0.0);
            bench_.runs.push_back(std::move(run));
        }
    }

    /// Two clusters with the tubes behind them, which nobody has hung yet.
    void planMixed() {
        constexpr double kHeight = 210.0;
        constexpr double kBesideGapMm = 15.0;
        const auto& raceway = bench_.tanks[1];
        PlannedArray plan;
        plan.id = 1;
        plan.tank = raceway.id;
        plan.name = "Two clusters, tubes behind";
        plan.note = "The tubes stay on for the evening when the clusters are out.";
        const auto hang = [&](Id fixture_id, double x, double y, double level_pct) {
            HungFixture hung;
            hung.id = static_cast<Id>(plan.fixtures.size()) + 1;
            hung.fixture = fixture_id;
            hung.preset = presetNamed(fixture_id, kAllOn);
            hung.x = Millimetre(x);
            hung.y = Millimetre(y);
            hung.height = Millimetre(kHeight);
            hung.level_pct = level_pct;
            plan.fixtures.push_back(std::move(hung));
        };
        for (const double x : {0.25, 0.75})
            hang(kOsier, x * raceway.length.value(), 0.5 * raceway.width.value(), 80.0);
        const double behind =
            raceway.width.value() - 0.5 * byId(bench_.fixtures, kRushlight)->width.value() - kBesideGapMm;
        hang(kRushlight, 0.5 * raceway.length.value(), behind, 100.0);
        bench_.plans.push_back(std::move(plan));
    }

    void readPlanned(Run& run, double too_high_mm) {
        auto as_hung = run;
        as_hung.height = as_hung.height + Millimetre(too_high_mm);
        SimulatedBench sim(sceneOf(bench_, as_hung), {}, seed_ + static_cast<std::uint64_t>(run.id));
        run.warm_up_min = 25;
        run.dark_reading = Ppfd(0.2);
        for (auto& plane : run.planes)
            for (const auto cell : serpentine(*plane.grid))
                plane.readings.push_back(read(sim, run, plane, cell, {.draw_share = 2.0}, 0.0));
    }

    void addChannelRun(const ChannelTruth& channel, double height) {
        auto run = newRun(kOsier, 0, height);
        run.preset = presetNamed(kOsier, channel.name);
        run.label += fmt::format(" {}", channel.name);
        run.dark_reading = Ppfd(kDarkNight);
        fillPlanes(run, {.dark = kDarkNight, .draw_share = channel.share});
        bench_.runs.push_back(std::move(run));
    }

    void addCheck(const Run& run, CheckKind kind, double value, const CheckVerdict& verdict,
                  const std::string& overruled = {}) {
        CommissionCheck check;
        check.id = static_cast<Id>(bench_.checks.size()) + 1;
        check.run = run.id;
        check.kind = kind;
        check.value = value;
        check.passed = verdict.passed;
        check.verdict = english(verdict.sentence);
        check.overruled = overruled;
        check.time = run.planes.front().readings.front().time;
        bench_.checks.push_back(std::move(check));
    }

    /// What was checked before the run; the room light was forgotten where it is planted.
    void addChecks(const Run& run, const PlantedFaults& planted) {
        const auto watt = run.power();
        const auto& f = *byId(bench_.fixtures, run.fixture);
        addCheck(run, CheckKind::Draw, watt->value(), judgeDraw(*watt, f.rated_power, std::nullopt, ""),
                 planted.half_dead_driver ? "read on purpose, to show what half a driver does to a map" : "");
        const double rate = std::round(5.0 * check_noise_.normal()) / 100.0;
        addCheck(run, CheckKind::WarmUp, rate, judgeWarmUpPercent(rate));
        if (!planted.room_light) addCheck(run, CheckKind::Dark, 0.2, judgeDark(Ppfd(0.2), run));
        const double again = run.height.value() + std::round(1.5 * check_noise_.normal());
        addCheck(run, CheckKind::Height, again,
                 judgeHeight(Millimetre(again), run, bench_.method.height_error));
    }

    /// Every eighteen readings the reference point or an earlier point once more, read by its own simulator
    /// so that the field's readings stay what they are.
    void addCheckReading(SimulatedBench& sim, const Run& run, Plane& plane) {
        const auto due = checkPointDue(plane, bench_.method.check_every);
        if (!due) return;
        const auto time = plane.readings.back().time;
        const auto power = plane.readings.back().power;
        auto reading =
            sim.read(Millimetre(plane.grid->xs_mm[static_cast<std::size_t>(due->cell.column)]),
                     Millimetre(plane.grid->ys_mm[static_cast<std::size_t>(due->cell.row)]), plane.depth);
        reading.x = Millimetre(plane.grid->xs_mm[static_cast<std::size_t>(due->cell.column)]);
        reading.y = Millimetre(plane.grid->ys_mm[static_cast<std::size_t>(due->cell.row)]);
        scale(reading, 1.0, run.dark_reading->value());
        reading.power = power;
        reading.flag = due->kind == CheckPointKind::Reference ? Mark::Reference : Mark::Repeat;
        reading.time = time;
        plane.readings.push_back(std::move(reading));
    }

    /// The fixture's preset of that name, made when it is first used.
    Id presetNamed(Id fixture_id, const std::string& name) {
        auto& presets = byId(bench_.fixtures, fixture_id)->presets;
        for (const auto& preset : presets)
            if (preset.name == name) return preset.id;
        presets.push_back({next_preset_++, name, {}});
        linkPresets(*byId(bench_.fixtures, fixture_id));
        return presets.back().id;
    }

    /// Gives what a plan brought new its place and ids.
    void addPresets(NewRuns& planned) {
        for (const auto& [fixture_id, preset] : planned.presets) {
            const Id id = presetNamed(fixture_id, preset.name);
            for (auto& run : planned.runs)
                if (run.preset == preset.id) run.preset = id;
        }
    }

    Run newRun(Id fixture_id, Id accessory, double height) {
        Run run;
        run.id = static_cast<Id>(bench_.runs.size()) + 1;
        run.fixture = fixture_id;
        run.accessory = accessory;
        run.tank = kCube;
        run.meter = kMeterSub;
        run.preset = presetNamed(fixture_id, kAllOn);
        run.level_pct = 100.0;
        run.height = Millimetre(height);
        run.warm_up_min = 25;
        run.hours = kFreshHours;
        run.dark_reading = Ppfd(0.2);
        run.label =
            fmt::format("{:02} {} {:.0f}", run.id, byId(bench_.fixtures, fixture_id)->name, height / 10.0);
        return run;
    }

    void addRun(Id fixture_id, Id accessory, double height, const PlantedFaults& planted) {
        auto run = newRun(fixture_id, accessory, height);
        run.hours = planted.hours;
        if (planted.hours != kFreshHours) run.label += fmt::format(" {:.0f} h", planted.hours);
        run.warm_up_min = std::round(24.0 + 3.0 * noise_.normal());
        if (planted.room_light) run.dark_reading = Ppfd(kRoomLight);
        fillPlanes(run, planted);
        addChecks(run, planted);
        bench_.runs.push_back(std::move(run));
    }

    void fillPlanes(Run& run, const PlantedFaults& planted) {
        const auto& tank = bench_.tanks.front();
        SimulatedBench sim(sceneOf(bench_, run), {}, seed_ + static_cast<std::uint64_t>(run.id));
        SimulatedBench again(sceneOf(bench_, run), {},
                             seed_ + kAgainSeed + static_cast<std::uint64_t>(run.id));
        int left = planted.readings;
        for (const double depth : {150.0, 300.0, 450.0}) {
            Plane plane;
            plane.id = next_plane_++;
            plane.depth = Millimetre(depth);
            plane.grid = cellCentres(tank.length, tank.width, 6, 6);
            for (const auto cell : serpentine(*plane.grid)) {
                if (left == 0) break;
                --left;
                const bool slips = planted.slipped_probe && depth == 150.0 && cell == Cell{4, 1};
                plane.readings.push_back(read(sim, run, plane, cell, planted, slips ? kSlipMm : 0.0));
                if (run.fixture == kOsier && run.accessory == 0 && planted.draw_share == 1.0 &&
                    planted.hours == kFreshHours)
                    addCheckReading(again, run, plane);
            }
            run.planes.push_back(std::move(plane));
        }
    }

    Reading read(SimulatedBench& sim, const Run& run, const Plane& plane, Cell cell,
                 const PlantedFaults& planted, double slip_mm) {
        const Millimetre x(plane.grid->xs_mm[static_cast<std::size_t>(cell.column)]);
        const Millimetre y(plane.grid->ys_mm[static_cast<std::size_t>(cell.row)]);
        auto reading = sim.read(x - Millimetre(slip_mm), y + Millimetre(slip_mm), plane.depth);
        reading.x = x;
        reading.y = y;
        double factor = 1.0;
        if (planted.half_dead_driver) factor *= kDeadShare;
        if (planted.wrong_mode) factor *= kWrongMode;
        scale(reading, factor, planted.room_light ? kRoomLight : planted.dark);
        const double rated = byId(bench_.fixtures, run.fixture)->rated_power->value();
        const double drawn = rated * planted.draw_share * (planted.half_dead_driver ? kDeadShare : 0.99) *
                             (1.0 + 0.002 * noise_.normal());
        reading.power = Watt(std::round(drawn * 10.0) / 10.0);
        reading.time = nextTime();
        return reading;
    }

    static void scale(Reading& reading, double factor, double added) {
        const auto shown = [&](Ppfd value) {
            return Ppfd(std::round((value.value() * factor + added) * 10.0) / 10.0);
        };
        reading.mean = shown(reading.mean);
        reading.min = shown(*reading.min);
        reading.max = shown(*reading.max);
        reading.sd = std::round(*reading.sd * factor * 100.0) / 100.0;
        reading.samples = std::round(*reading.samples * 10.0) / 10.0;
    }

    /// Twelve seconds a point, from eight in the morning on the third of November 2026; the next day is
    /// begun after 1800 readings.
    std::string nextTime() {
        const int of_day = taken_ % 1800;
        const int day = 3 + taken_ / 1800;
        const int second = 8 * 3600 + of_day * 12;
        ++taken_;
        return fmt::format("2026-11-{:02}T{:02}:{:02}:{:02}", day, second / 3600, second / 60 % 60,
                           second % 60);
    }

    Bench bench_;
    std::uint64_t seed_;
    Noise noise_;
    Noise check_noise_;
    Id next_plane_ = 1;
    Id next_preset_ = 1;
    int taken_ = 0;
};

}  // namespace

Bench demoBench() {
    Bench bench;
    bench.title = "Nursery raceway lamps";
    Tank cube;
    cube.id = kCube;
    cube.name = "Bench cube 60";
    cube.wall(Side::Back) = {WallKind::Opaque, 0.03};
    Tank raceway = cube;
    raceway.id = 2;
    raceway.name = "Raceway 120";
    raceway.length = Millimetre(1200);
    raceway.water_depth = Millimetre(450);
    for (const auto side : {Side::Left, Side::Right}) raceway.wall(side) = {WallKind::Opaque, 0.03};
    raceway.use = TankUse::Living;
    bench.tanks = {cube, raceway};
    bench.fixtures = demoFixtures();
    Id next_channel = 1;
    for (auto& f : bench.fixtures)
        for (auto& channel : f.channels) channel.id = next_channel++;
    bench.accessories = {{kDiffuser, "frost diffuser", "clips over the lenses", 24.0}};
    MeterProfile submerged;
    submerged.id = kMeterSub;
    submerged.name = "Sensor S1";
    submerged.kind = "quantum sensor on a wand";
    submerged.immersion_factor = 1.08;
    submerged.immersion_by = ImmersionBy::MeterMode;
    submerged.calibrated_on = "2026-06-15";
    bench.meters = {submerged};
    bench.method.reviewer = "the nursery's bench team";
    bench.method.licence = "CC0-1.0";
    bench.method.note =
        "Invented demonstration: every fixture, tank and reading was made by Glumet's simulated bench.";
    return bench;
}

Bench demoReadings(std::uint64_t seed) { return DemoMaker(seed).make(); }

LightScene sceneOf(const Bench& bench, const Run& run) {
    const auto* tank = byId(bench.tanks, run.tank);
    auto scene = emptyScene(tank == nullptr ? Tank{} : *tank, run.water == WaterState::Dry);
    const auto truth = truthOf(bench, run);
    scene.beams = {truth.beam};
    const auto* known = byId(bench.fixtures, run.fixture);
    const auto emitters = latticeEmitters(known == nullptr ? Fixture{} : *known, truth.flux, 0);
    hangRun(scene, run, run.height, run.level_pct.value_or(100.0) / 100.0, emitters);
    return scene;
}

LightScene demoScene() {
    const auto bench = demoBench();
    Run run;
    run.fixture = bench.fixtures.front().id;
    run.tank = bench.tanks.front().id;
    run.height = Millimetre(200);
    return sceneOf(bench, run);
}

}  // namespace glumet
