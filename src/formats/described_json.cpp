#include "formats/described_json.h"

#include <algorithm>

#include "core/bench/grid.h"

namespace glumet::described {
namespace {

std::vector<double> ascendingAt(const Json& json, const char* key) {
    auto values = json.at(key).get<std::vector<double>>();
    for (std::size_t i = 1; i < values.size(); ++i)
        if (!(values[i] > values[i - 1])) throw Fault{key, say(GLUMET_SAY("Core", "does not ascend"))};
    if (values.empty()) throw Fault{key, say(GLUMET_SAY("Core", "is empty"))};
    return values;
}

/// What a grid without cells left out or named does not have.
const Json& listAt(const Json& json, const char* key) {
    static const Json none = Json::array();
    return json.contains(key) ? json.at(key) : none;
}

template <class T>
const std::vector<T>& rowsOf(const Bench& bench, Of<T>) {
    if constexpr (std::is_same_v<T, Fixture>)
        return bench.fixtures;
    else if constexpr (std::is_same_v<T, Accessory>)
        return bench.accessories;
    else if constexpr (std::is_same_v<T, Tank>)
        return bench.tanks;
    else if constexpr (std::is_same_v<T, MeterProfile>)
        return bench.meters;
}

template <class T>
Id idNamed(const std::vector<T>& items, const std::string& name, const char* key) {
    if (name.empty()) return 0;
    for (const auto& item : items)
        if (item.name == name) return item.id;
    throw Fault{key, say(GLUMET_SAY("Core", "\"{}\" is not described in the file"), name.substr(0, 40))};
}

}  // namespace

double numberOf(const Json& json, const char* key) {
    if (!json.is_number()) throw Fault{key, say(GLUMET_SAY("Core", "must be a number"))};
    return json.get<double>();
}

Json jsonOf(const Grid& grid) {
    Json json{{"x_mm", grid.xs_mm}, {"y_mm", grid.ys_mm}};
    for (const auto cell : grid.left_out) json["left_out"].push_back({cell.column, cell.row});
    for (const auto& [cell, name] : grid.names) json["names"].push_back({cell.column, cell.row, name});
    return json;
}

Grid gridOf(const Json& json) {
    Grid grid;
    grid.xs_mm = ascendingAt(json, "x_mm");
    grid.ys_mm = ascendingAt(json, "y_mm");
    const auto cellOf = [&](const Json& entry) {
        const Cell cell{entry.at(0).get<int>(), entry.at(1).get<int>()};
        if (cell.column < 0 || cell.column >= grid.columns() || cell.row < 0 || cell.row >= grid.rows())
            throw Fault{"grid", say(GLUMET_SAY("Core", "names a cell that is not in it"))};
        return cell;
    };
    for (const auto& entry : listAt(json, "left_out")) grid.left_out.push_back(cellOf(entry));
    std::sort(grid.left_out.begin(), grid.left_out.end());
    for (const auto& entry : listAt(json, "names"))
        grid.names[cellOf(entry)] = entry.at(2).get<std::string>();
    return grid;
}

Json jsonOf(const std::array<Wall, 4>& walls, const Context& context) {
    Json out;
    for (const auto side : kSides) {
        const auto& wall = walls[static_cast<std::size_t>(side)];
        auto& json = out[wordOf(side)];
        write(json, wall, context);
        if (wall.kind != WallKind::Opaque) json.erase("reflectance");
    }
    return out;
}

std::array<Wall, 4> wallsOf(const Json& json, Context& context) {
    std::array<Wall, 4> walls{};
    for (const auto side : kSides) {
        auto wall = json.at(wordOf(side));
        if (!wall.contains("reflectance")) wall["reflectance"] = Wall{}.reflectance;
        read(wall, "walls", walls[static_cast<std::size_t>(side)], context);
    }
    return walls;
}

Json jsonOf(const ResponsePoint& point) { return Json::array({point.wavelength_nm, point.relative}); }

ResponsePoint responseOf(const Json& json) {
    return {numberOf(json.at(0), "response"), numberOf(json.at(1), "response")};
}

Beam beamOf(const Json& json) {
    auto beam = beamFromJson(json);
    // Up to format 4 a project kept a beam's figures under "values".
    if (!beam && json.is_object() && json.contains("values")) {
        const auto values = json.at("values").get<std::vector<double>>();
        const auto kind = json.at("kind").get<std::string>();
        if (values.empty()) throw Fault{"beam", say(GLUMET_SAY("Core", "is empty"))};
        beam = kind == "half_angle" ? Beam::halfAngle(values.front())
               : kind == "cosine_power"
                   ? Beam::cosinePower(values.front())
                   : Beam::table(json.at("theta_deg").get<std::vector<double>>(), values);
    }
    if (!beam) throw Fault{"beam." + beam.error().where, beam.error().what};
    return *beam;
}

namespace {

/// Spots of two tanks may share a name.
std::string placeName(const Bench& bench, const TankSpot& spot) {
    const auto* tank = byId(bench.tanks, spot.tank);
    return (tank == nullptr ? std::string() : tank->name) + "/" + spot.name;
}

}  // namespace

template <class Entity>
std::string nameOf(const Context& context, Of<Entity> entity, Id id) {
    if constexpr (std::is_same_v<Entity, Preset>) {
        const auto* preset = presetById(*context.bench, id);
        return preset == nullptr ? std::string() : preset->name;
    } else if constexpr (std::is_same_v<Entity, Channel>) {
        for (const auto& fixture : context.bench->fixtures)
            if (const auto* channel = byId(fixture.channels, id)) return channel->name;
        return {};
    } else if constexpr (std::is_same_v<Entity, Run>) {
        const auto* run = byId(context.bench->runs, id);
        return run == nullptr ? std::string() : run->label;
    } else if constexpr (std::is_same_v<Entity, TankSpot>) {
        const auto* spot = byId(context.bench->spots, id);
        return spot == nullptr ? std::string() : placeName(*context.bench, *spot);
    } else {
        const auto* item = byId(rowsOf(*context.bench, entity), id);
        return item == nullptr ? std::string() : item->name;
    }
}

template <class Entity>
Id idOf(const Context& context, Of<Entity> entity, Id fixture, const std::string& name, const char* key) {
    if constexpr (std::is_same_v<Entity, Preset>) {
        const auto* of = byId(context.bench->fixtures, fixture);
        return of == nullptr ? 0 : idNamed(of->presets, name, key);
    } else if constexpr (std::is_same_v<Entity, Channel>) {
        // A preset stands below the fixture that is being read; a spectrum names its own.
        const auto* of = fixture == 0 ? context.fixture : byId(context.bench->fixtures, fixture);
        return of == nullptr ? 0 : idNamed(of->channels, name, key);
    } else if constexpr (std::is_same_v<Entity, Run>) {
        return 0;  // checks stand below their run, which gives its id
    } else if constexpr (std::is_same_v<Entity, TankSpot>) {
        if (name.empty()) return 0;
        for (const auto& spot : context.bench->spots)
            if (placeName(*context.bench, spot) == name) return spot.id;
        throw Fault{key, say(GLUMET_SAY("Core", "names something that is not there"))};
    } else {
        return idNamed(rowsOf(*context.bench, entity), name, key);
    }
}

#define GLUMET_REFERENCE(Entity)                                 \
    template std::string nameOf(const Context&, Of<Entity>, Id); \
    template Id idOf(const Context&, Of<Entity>, Id, const std::string&, const char*)
GLUMET_REFERENCE(Tank);
GLUMET_REFERENCE(Fixture);
GLUMET_REFERENCE(Channel);
GLUMET_REFERENCE(Preset);
GLUMET_REFERENCE(Accessory);
GLUMET_REFERENCE(MeterProfile);
GLUMET_REFERENCE(Run);
GLUMET_REFERENCE(TankSpot);
#undef GLUMET_REFERENCE

}  // namespace glumet::described
