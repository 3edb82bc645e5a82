#include "formats/bench_json.h"

#include <array>
#include <nlohmann/json.hpp>
#include <utility>

#include "formats/beam_json.h"

namespace glumet {
namespace {

using Json = nlohmann::ordered_json;

template <class Enum, std::size_t N>
std::string wordOf(const std::array<std::pair<Enum, const char*>, N>& words, Enum value) {
    for (const auto& [known, word] : words)
        if (known == value) return word;
    return words.front().second;
}

/// Reading stops at the first thing that is wrong; caught in readBench.
struct Fault {
    std::string key;
    std::string what;
};

template <class Enum, std::size_t N>
Enum enumOf(const std::array<std::pair<Enum, const char*>, N>& words, const Json& json, const char* key) {
    const auto text = json.at(key).get<std::string>();
    for (const auto& [value, word] : words)
        if (text == word) return value;
    throw Fault{key, "\"" + text + "\" is not known"};
}

constexpr std::array kWallWords{std::pair{WallKind::Glass, "glass"}, std::pair{WallKind::Acrylic, "acrylic"},
                                std::pair{WallKind::Opaque, "opaque"}};
constexpr std::array kSideWords{std::pair{Side::Left, "left"}, std::pair{Side::Right, "right"},
                                std::pair{Side::Front, "front"}, std::pair{Side::Back, "back"}};
constexpr std::array kWaterWords{std::pair{WaterState::Still, "still"},
                                 std::pair{WaterState::Moving, "moving"}, std::pair{WaterState::Dry, "dry"}};
constexpr std::array kKindWords{std::pair{WaterKind::Fresh, "fresh"}, std::pair{WaterKind::Sea, "sea"}};
constexpr std::array kUseWords{std::pair{TankUse::Bench, "bench"}, std::pair{TankUse::Living, "living"}};
constexpr std::array kImmersionWords{std::pair{ImmersionBy::Nobody, "nobody"},
                                     std::pair{ImmersionBy::MeterMode, "meter"},
                                     std::pair{ImmersionBy::Glumet, "glumet"}};

double numberAt(const Json& json, const char* key, double least) {
    const auto value = json.at(key).get<double>();
    if (!(value >= least)) throw Fault{key, "is below its least value"};
    return value;
}

template <class Q>
void putOptional(Json& json, const char* key, const std::optional<Q>& value) {
    if constexpr (std::is_same_v<Q, double>) {
        json[key] = value ? Json(*value) : Json(nullptr);
    } else {
        json[key] = value ? Json(value->value()) : Json(nullptr);
    }
}

template <class Q>
std::optional<Q> optionalAt(const Json& json, const char* key) {
    const auto& value = json.at(key);
    if (value.is_null()) return std::nullopt;
    return Q(value.get<double>());
}

Json toJson(const Tank& tank) {
    Json walls;
    for (const auto side : kSides) {
        Json wall{{"kind", wordOf(kWallWords, tank.wall(side).kind)}};
        if (tank.wall(side).kind == WallKind::Opaque) wall["reflectance"] = tank.wall(side).reflectance;
        walls[wordOf(kSideWords, side)] = wall;
    }
    Json obstacles = Json::array();
    for (const auto& o : tank.obstacles)
        obstacles.push_back({{"name", o.name},
                             {"from_x_mm", o.from_x.value()},
                             {"to_x_mm", o.to_x.value()},
                             {"from_y_mm", o.from_y.value()},
                             {"to_y_mm", o.to_y.value()}});
    return {{"name", tank.name},
            {"length_mm", tank.length.value()},
            {"width_mm", tank.width.value()},
            {"water_depth_mm", tank.water_depth.value()},
            {"walls", walls},
            {"water_kind", wordOf(kKindWords, tank.water_kind)},
            {"use", wordOf(kUseWords, tank.use)},
            {"obstacles", obstacles}};
}

Obstacle obstacleOf(const Json& json) {
    Obstacle o;
    o.name = json.at("name").get<std::string>();
    o.from_x = Millimetre(numberAt(json, "from_x_mm", 0.0));
    o.to_x = Millimetre(numberAt(json, "to_x_mm", o.from_x.value()));
    o.from_y = Millimetre(numberAt(json, "from_y_mm", 0.0));
    o.to_y = Millimetre(numberAt(json, "to_y_mm", o.from_y.value()));
    return o;
}

/// What descriptions of earlier versions do not have is empty.
const Json& listAt(const Json& json, const char* key) {
    static const Json none = Json::array();
    return json.contains(key) ? json.at(key) : none;
}

Tank tankOf(const Json& json) {
    Tank tank;
    tank.name = json.at("name").get<std::string>();
    tank.length = Millimetre(numberAt(json, "length_mm", 1.0));
    tank.width = Millimetre(numberAt(json, "width_mm", 1.0));
    tank.water_depth = Millimetre(numberAt(json, "water_depth_mm", 1.0));
    tank.water_kind = enumOf(kKindWords, json, "water_kind");
    tank.use = enumOf(kUseWords, json, "use");
    for (const auto side : kSides) {
        const auto& wall = json.at("walls").at(wordOf(kSideWords, side));
        tank.wall(side).kind = enumOf(kWallWords, wall, "kind");
        if (wall.contains("reflectance")) tank.wall(side).reflectance = numberAt(wall, "reflectance", 0.0);
    }
    for (const auto& item : listAt(json, "obstacles")) tank.obstacles.push_back(obstacleOf(item));
    return tank;
}

Json toJson(const Fixture& f) {
    Json json{{"name", f.name},
              {"maker", f.maker},
              {"kind", f.kind},
              {"length_mm", f.length.value()},
              {"width_mm", f.width.value()},
              {"emitter_columns", f.emitter_columns},
              {"emitter_rows", f.emitter_rows},
              {"emitter_pitch_x_mm", f.emitter_pitch_x.value()},
              {"emitter_pitch_y_mm", f.emitter_pitch_y.value()},
              {"channels", f.channels},
              {"mass_kg", f.mass_kg},
              {"price", f.price},
              {"currency", f.currency},
              {"power_supply_inside", f.power_supply_inside},
              {"claimed_coverage", f.claimed_coverage},
              {"note", f.note}};
    putOptional(json, "rated_power_w", f.rated_power);
    putOptional(json, "claimed_height_low_mm", f.claimed_height_low);
    putOptional(json, "claimed_height_high_mm", f.claimed_height_high);
    json["emitter_size_mm"] = f.emitter_size.value();
    putOptional(json, "flux_umol_s", f.flux);
    json["beam"] = f.beam ? jsonOfBeam(*f.beam) : Json(nullptr);
    return json;
}

Fixture fixtureOf(const Json& json) {
    Fixture f;
    f.name = json.at("name").get<std::string>();
    f.maker = json.at("maker").get<std::string>();
    f.kind = json.at("kind").get<std::string>();
    f.length = Millimetre(numberAt(json, "length_mm", 0.0));
    f.width = Millimetre(numberAt(json, "width_mm", 0.0));
    f.emitter_columns = static_cast<int>(numberAt(json, "emitter_columns", 1.0));
    f.emitter_rows = static_cast<int>(numberAt(json, "emitter_rows", 1.0));
    f.emitter_pitch_x = Millimetre(numberAt(json, "emitter_pitch_x_mm", 0.0));
    f.emitter_pitch_y = Millimetre(numberAt(json, "emitter_pitch_y_mm", 0.0));
    f.channels = json.at("channels").get<std::string>();
    f.mass_kg = numberAt(json, "mass_kg", 0.0);
    f.price = numberAt(json, "price", 0.0);
    f.currency = json.at("currency").get<std::string>();
    f.power_supply_inside = json.at("power_supply_inside").get<bool>();
    f.claimed_coverage = json.at("claimed_coverage").get<std::string>();
    f.note = json.at("note").get<std::string>();
    f.rated_power = optionalAt<Watt>(json, "rated_power_w");
    f.claimed_height_low = optionalAt<Millimetre>(json, "claimed_height_low_mm");
    f.claimed_height_high = optionalAt<Millimetre>(json, "claimed_height_high_mm");
    // Descriptions of version 1 know no beam.
    if (json.contains("emitter_size_mm")) f.emitter_size = Millimetre(numberAt(json, "emitter_size_mm", 0.0));
    if (json.contains("flux_umol_s")) f.flux = optionalAt<PhotonFlux>(json, "flux_umol_s");
    if (json.contains("beam") && !json.at("beam").is_null()) {
        const auto beam = beamFromJson(json.at("beam"));
        if (!beam) throw Fault{"beam." + beam.error().where, beam.error().what};
        f.beam = *beam;
    }
    return f;
}

Json toJson(const Accessory& a) { return {{"name", a.name}, {"note", a.note}}; }

Accessory accessoryOf(const Json& json) {
    Accessory a;
    a.name = json.at("name").get<std::string>();
    a.note = json.at("note").get<std::string>();
    return a;
}

Json toJson(const MeterProfile& m) {
    Json response = Json::array();
    for (const auto& point : m.response) response.push_back({point.wavelength_nm, point.relative});
    Json corrections = Json::array();
    for (const auto& c : m.corrections)
        corrections.push_back({{"channel", c.channel},
                               {"factor", c.factor},
                               {"uncertainty", c.uncertainty},
                               {"source", c.source},
                               {"time", c.time},
                               {"applied", c.applied}});
    return {{"name", m.name},
            {"kind", m.kind},
            {"immersion_factor", m.immersion_factor},
            {"immersion_by", wordOf(kImmersionWords, m.immersion_by)},
            {"relative_uncertainty", m.relative_uncertainty},
            {"calibrated_on", m.calibrated_on},
            {"note", m.note},
            {"cosine_error", m.cosine_error},
            {"response_nm_relative", response},
            {"corrections", corrections}};
}

MeterProfile meterOf(const Json& json) {
    MeterProfile m;
    m.name = json.at("name").get<std::string>();
    m.kind = json.at("kind").get<std::string>();
    m.immersion_factor = numberAt(json, "immersion_factor", 0.0);
    m.immersion_by = enumOf(kImmersionWords, json, "immersion_by");
    m.relative_uncertainty = numberAt(json, "relative_uncertainty", 0.0);
    m.calibrated_on = json.at("calibrated_on").get<std::string>();
    m.note = json.at("note").get<std::string>();
    if (json.contains("cosine_error")) m.cosine_error = numberAt(json, "cosine_error", 0.0);
    for (const auto& point : listAt(json, "response_nm_relative"))
        m.response.push_back({point.at(0).get<double>(), point.at(1).get<double>()});
    for (const auto& item : listAt(json, "corrections"))
        m.corrections.push_back({item.at("channel").get<std::string>(), numberAt(item, "factor", 1e-6),
                                 numberAt(item, "uncertainty", 0.0), item.at("source").get<std::string>(),
                                 item.at("time").get<std::string>(), item.at("applied").get<bool>()});
    return m;
}

Json toJson(const Goal& g) {
    Json json{{"name", g.name},
              {"school", g.school},
              {"band_low_umol_m2_s", g.band.low.value()},
              {"band_high_umol_m2_s", g.band.high.value()},
              {"photoperiod_h", g.photoperiod_h},
              {"zone_from_mm", g.zone_from.value()},
              {"zone_to_mm", g.zone_to.value()}};
    putOptional(json, "ceiling_umol_m2_s", g.ceiling);
    putOptional(json, "floor_umol_m2_s", g.floor);
    return json;
}

Goal goalOf(const Json& json) {
    Goal g;
    g.name = json.at("name").get<std::string>();
    g.school = json.at("school").get<std::string>();
    g.band.low = Ppfd(numberAt(json, "band_low_umol_m2_s", 0.0));
    g.band.high = Ppfd(numberAt(json, "band_high_umol_m2_s", g.band.low.value()));
    g.photoperiod_h = numberAt(json, "photoperiod_h", 0.0);
    g.zone_from = Millimetre(numberAt(json, "zone_from_mm", 0.0));
    g.zone_to = Millimetre(numberAt(json, "zone_to_mm", g.zone_from.value()));
    g.ceiling = optionalAt<Ppfd>(json, "ceiling_umol_m2_s");
    g.floor = optionalAt<Ppfd>(json, "floor_umol_m2_s");
    return g;
}

/// Up to version 3 a method held the band alone.
Goal goalOfMethod(const Json& json) {
    if (json.contains("goal")) return goalOf(json.at("goal"));
    Goal g;
    g.band.low = Ppfd(numberAt(json, "band_low_umol_m2_s", 0.0));
    g.band.high = Ppfd(numberAt(json, "band_high_umol_m2_s", g.band.low.value()));
    return g;
}

Json toJson(const Method& m) {
    Json goals = Json::array();
    for (const auto& goal : m.goals) goals.push_back(toJson(goal));
    return {{"spill_limit", m.spill_limit},
            {"grid_columns", m.grid_columns},
            {"grid_rows", m.grid_rows},
            {"settled_relative_error", m.settled_relative_error},
            {"longest_reading_s", m.longest_reading.value()},
            {"height_error_mm", m.height_error.value()},
            {"note", m.note},
            {"check_every", m.check_every},
            {"school", m.school},
            {"dissent", m.dissent},
            {"goal", toJson(m.goal)},
            {"goals", goals}};
}

Method methodOf(const Json& json) {
    Method m;
    m.spill_limit = numberAt(json, "spill_limit", 0.0);
    m.goal = goalOfMethod(json);
    for (const auto& goal : listAt(json, "goals")) m.goals.push_back(goalOf(goal));
    m.grid_columns = static_cast<int>(numberAt(json, "grid_columns", 1.0));
    m.grid_rows = static_cast<int>(numberAt(json, "grid_rows", 1.0));
    m.settled_relative_error = numberAt(json, "settled_relative_error", 0.0);
    m.longest_reading = Second(numberAt(json, "longest_reading_s", 0.0));
    m.height_error = Millimetre(numberAt(json, "height_error_mm", 0.0));
    if (json.contains("check_every")) m.check_every = static_cast<int>(numberAt(json, "check_every", 0.0));
    m.note = json.at("note").get<std::string>();
    if (json.contains("school")) m.school = json.at("school").get<std::string>();
    if (json.contains("dissent")) m.dissent = json.at("dissent").get<std::string>();
    return m;
}

template <class T>
std::string nameOf(const std::vector<T>& items, Id id) {
    const auto* item = byId(items, id);
    return item == nullptr ? std::string() : item->name;
}

/// The id of a named element; "" is none, an unknown name is a fault.
template <class T>
Id idAt(const std::vector<T>& items, const Json& json, const char* key) {
    const auto name = json.at(key).get<std::string>();
    if (name.empty()) return 0;
    for (const auto& item : items)
        if (item.name == name) return item.id;
    throw Fault{key, "\"" + name + "\" is not described in the file"};
}

constexpr std::array kCheckWords{std::pair{CheckKind::Draw, "draw"},
                                 std::pair{CheckKind::WarmUp, "warm-up"},
                                 std::pair{CheckKind::Dark, "dark"},
                                 std::pair{CheckKind::Water, "water"},
                                 std::pair{CheckKind::ProbeLevel, "level"},
                                 std::pair{CheckKind::Height, "height"},
                                 std::pair{CheckKind::MeterMode, "meter-mode"},
                                 std::pair{CheckKind::MeterTruth, "meter-truth"}};

Json toJson(const CommissionCheck& c) {
    return {{"kind", wordOf(kCheckWords, c.kind)},
            {"subject", c.subject},
            {"value", c.value},
            {"passed", c.passed},
            {"verdict", c.verdict},
            {"overruled", c.overruled},
            {"time", c.time}};
}

CommissionCheck checkOf(const Json& json, Id run) {
    CommissionCheck c;
    c.run = run;
    c.kind = enumOf(kCheckWords, json, "kind");
    c.subject = json.at("subject").get<std::string>();
    c.value = json.at("value").get<double>();
    c.passed = json.at("passed").get<bool>();
    c.verdict = json.at("verdict").get<std::string>();
    c.overruled = json.at("overruled").get<std::string>();
    c.time = json.at("time").get<std::string>();
    return c;
}

Json toJson(const Grid& grid) {
    Json json{{"x_mm", grid.xs_mm}, {"y_mm", grid.ys_mm}};
    for (const auto cell : grid.left_out) json["left_out"].push_back({cell.column, cell.row});
    for (const auto& [cell, name] : grid.names) json["names"].push_back({cell.column, cell.row, name});
    return json;
}

Json toJson(const Bench& bench, const Run& run) {
    Json json{{"run", run.label},
              {"fixture", nameOf(bench.fixtures, run.fixture)},
              {"accessory", nameOf(bench.accessories, run.accessory)},
              {"tank", nameOf(bench.tanks, run.tank)},
              {"meter", nameOf(bench.meters, run.meter)},
              {"preset", run.preset},
              {"height_mm", run.height.value()},
              {"fixtures", run.fixtures},
              {"placement", run.placement},
              {"water", wordOf(kWaterWords, run.water)},
              {"note", run.note}};
    putOptional(json, "level_pct", run.level_pct);
    putOptional(json, "dark_reading_umol_m2_s", run.dark_reading);
    putOptional(json, "warm_up_min", run.warm_up_min);
    json["planes"] = Json::array();
    for (const auto& plane : run.planes) {
        Json item{{"depth_mm", plane.depth.value()}};
        item["grid"] = plane.grid ? toJson(*plane.grid) : Json(nullptr);
        json["planes"].push_back(item);
    }
    for (const auto& check : bench.checks)
        if (check.run == run.id) json["checks"].push_back(toJson(check));
    return json;
}

std::vector<double> ascendingAt(const Json& json, const char* key) {
    auto values = json.at(key).get<std::vector<double>>();
    for (std::size_t i = 1; i < values.size(); ++i)
        if (!(values[i] > values[i - 1])) throw Fault{key, "does not ascend"};
    if (values.empty()) throw Fault{key, "is empty"};
    return values;
}

Grid gridOf(const Json& json) {
    Grid grid;
    grid.xs_mm = ascendingAt(json, "x_mm");
    grid.ys_mm = ascendingAt(json, "y_mm");
    const auto cellOf = [&](const Json& entry) {
        const Cell cell{entry.at(0).get<int>(), entry.at(1).get<int>()};
        if (cell.column < 0 || cell.column >= grid.columns() || cell.row < 0 || cell.row >= grid.rows())
            throw Fault{"grid", "names a cell that is not in it"};
        return cell;
    };
    for (const auto& entry : listAt(json, "left_out")) grid.left_out.push_back(cellOf(entry));
    std::sort(grid.left_out.begin(), grid.left_out.end());
    for (const auto& entry : listAt(json, "names"))
        grid.names[cellOf(entry)] = entry.at(2).get<std::string>();
    return grid;
}

Run runOf(const Bench& bench, const Json& json, Id& next) {
    Run run;
    run.id = next--;
    run.label = json.at("run").get<std::string>();
    run.fixture = idAt(bench.fixtures, json, "fixture");
    run.accessory = idAt(bench.accessories, json, "accessory");
    run.tank = idAt(bench.tanks, json, "tank");
    run.meter = idAt(bench.meters, json, "meter");
    run.preset = json.at("preset").get<std::string>();
    run.height = Millimetre(numberAt(json, "height_mm", 0.0));
    run.fixtures = static_cast<int>(numberAt(json, "fixtures", 1.0));
    run.placement = json.at("placement").get<std::string>();
    run.water = enumOf(kWaterWords, json, "water");
    run.note = json.at("note").get<std::string>();
    run.level_pct = optionalAt<double>(json, "level_pct");
    run.dark_reading = optionalAt<Ppfd>(json, "dark_reading_umol_m2_s");
    run.warm_up_min = optionalAt<double>(json, "warm_up_min");
    for (const auto& item : json.at("planes")) {
        Plane plane;
        plane.id = next--;
        plane.depth = Millimetre(numberAt(item, "depth_mm", 0.0));
        if (!item.at("grid").is_null()) plane.grid = gridOf(item.at("grid"));
        run.planes.push_back(plane);
    }
    return run;
}

template <class T, class Read>
void readList(const Json& json, const char* key, Read read, std::vector<T>& out, Id& next) {
    for (const auto& item : json.at(key)) {
        out.push_back(read(item));
        out.back().id = next--;
    }
}

template <class T>
Json listOf(const std::vector<T>& items) {
    Json list = Json::array();
    for (const auto& item : items) list.push_back(toJson(item));
    return list;
}

Bench benchOf(const Json& json) {
    if (json.at("format").get<std::string>() != "glumet bench")
        throw Fault{"format", "is not a Glumet bench description"};
    if (json.at("version").get<int>() > kBenchJsonVersion)
        throw Fault{"version", "was written by a newer Glumet"};
    Bench bench;
    Id next = -1;
    bench.title = json.at("title").get<std::string>();
    readList(json, "tanks", tankOf, bench.tanks, next);
    readList(json, "fixtures", fixtureOf, bench.fixtures, next);
    readList(json, "accessories", accessoryOf, bench.accessories, next);
    readList(json, "meters", meterOf, bench.meters, next);
    bench.method = methodOf(json.at("method"));
    for (const auto& item : json.at("runs")) {
        bench.runs.push_back(runOf(bench, item, next));
        for (const auto& check : listAt(item, "checks"))
            bench.checks.push_back(checkOf(check, bench.runs.back().id));
    }
    return bench;
}

}  // namespace

std::string writeBench(const Bench& bench) {
    Json json{{"format", "glumet bench"},
              {"version", kBenchJsonVersion},
              {"title", bench.title},
              {"tanks", listOf(bench.tanks)},
              {"fixtures", listOf(bench.fixtures)},
              {"accessories", listOf(bench.accessories)},
              {"meters", listOf(bench.meters)},
              {"method", toJson(bench.method)}};
    json["runs"] = Json::array();
    for (const auto& run : bench.runs) json["runs"].push_back(toJson(bench, run));
    return json.dump(2) + "\n";
}

Expected<Bench> readBench(std::string_view bytes) {
    try {
        return benchOf(Json::parse(bytes));
    } catch (const Fault& fault) {
        return problem(fault.key, fault.what);
    } catch (const nlohmann::json::parse_error& error) {
        return problem("byte " + std::to_string(error.byte), "is not JSON");
    } catch (const nlohmann::json::exception& error) {
        // "[json.exception.out_of_range.403] key 'x' not found": the part after the bracket is the sentence.
        const std::string text = error.what();
        return problem("", text.substr(text.find("] ") == std::string::npos ? 0 : text.find("] ") + 2));
    }
}

}  // namespace glumet
