#include "formats/described_json.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <map>
#include <optional>

#include "core/bench/field_rules.h"
#include "core/bench/grid.h"
#include "formats/beam_json.h"

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
Id idNamed(const std::vector<T>& items, const std::string& name, const char* key) {
    if (name.empty()) return 0;
    for (const auto& item : items)
        if (item.name == name) return item.id;
    throw Fault{key, say(GLUMET_SAY("Core", "\"{}\" is not described in the file"), name.substr(0, 40))};
}

/// A number that stands for a quantity, a count or a plain number.
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
        read(wall, walls[static_cast<std::size_t>(side)], context);
    }
    return walls;
}

Json jsonOf(const ResponsePoint& point) { return Json::array({point.wavelength_nm, point.relative}); }

ResponsePoint responseOf(const Json& json) {
    return {numberOf(json.at(0), "response"), numberOf(json.at(1), "response")};
}

/// Spots of two tanks may share a name.
std::string placeName(const Bench& bench, const TankSpot& spot) {
    const auto* tank = byId(bench.tanks, spot.tank);
    return (tank == nullptr ? std::string() : tank->name) + "/" + spot.name;
}

/// The bench's list of what is called by its name alone, or null.
template <class Work>
auto withRows(const Bench& bench, const EntityType& of, Work&& work) -> decltype(work(bench.tanks)) {
    if (&of == &entityType<Fixture>()) return work(bench.fixtures);
    if (&of == &entityType<Accessory>()) return work(bench.accessories);
    if (&of == &entityType<Tank>()) return work(bench.tanks);
    return work(bench.meters);
}

/// The name by which JSON refers to a row; empty for none.
std::string nameOf(const Context& context, const EntityType& of, Id id) {
    const auto& bench = *context.bench;
    if (&of == &entityType<Preset>()) {
        const auto* preset = presetById(bench, id);
        return preset == nullptr ? std::string() : preset->name;
    }
    if (&of == &entityType<Channel>()) {
        for (const auto& fixture : bench.fixtures)
            if (const auto* channel = byId(fixture.channels, id)) return channel->name;
        return {};
    }
    if (&of == &entityType<Run>()) {
        const auto* run = byId(bench.runs, id);
        return run == nullptr ? std::string() : run->label;
    }
    if (&of == &entityType<TankSpot>()) {
        const auto* spot = byId(bench.spots, id);
        return spot == nullptr ? std::string() : placeName(bench, *spot);
    }
    return withRows(bench, of, [&](const auto& rows) {
        const auto* item = byId(rows, id);
        return item == nullptr ? std::string() : item->name;
    });
}

Id spotNamed(const Bench& bench, const std::string& name, const char* key) {
    if (name.empty()) return 0;
    for (const auto& spot : bench.spots)
        if (placeName(bench, spot) == name) return spot.id;
    throw Fault{key, say(GLUMET_SAY("Core", "names something that is not there"))};
}

/// The id of a named row; 0 for an empty name, a Fault for one that is not described. `fixture`: of the
/// entity that names it.
Id idOf(const Context& context, const EntityType& of, Id fixture, const std::string& name, const char* key) {
    const auto& bench = *context.bench;
    if (&of == &entityType<Preset>()) {
        const auto* holder = byId(bench.fixtures, fixture);
        return holder == nullptr ? 0 : idNamed(holder->presets, name, key);
    }
    if (&of == &entityType<Channel>()) {
        // A preset stands below the fixture that is being read; a spectrum names its own.
        const auto* holder = fixture == 0 ? context.fixture : byId(bench.fixtures, fixture);
        return holder == nullptr ? 0 : idNamed(holder->channels, name, key);
    }
    if (&of == &entityType<Run>()) return 0;  // checks stand below their run, which gives its id
    if (&of == &entityType<TankSpot>()) return spotNamed(bench, name, key);
    return withRows(bench, of, [&](const auto& rows) { return idNamed(rows, name, key); });
}

void readReference(const Json& json, const EntityType& of, void* entity, const PartType& part,
                   Context& context) {
    const auto* fixture = of.field("fixture");
    part.reference(entity) = idOf(context, part.target(), fixture == nullptr ? 0 : fixture->reference(entity),
                                  json.get<std::string>(), part.key);
    // What stands below names channels and presets of this one.
    if (&part.target() == &entityType<Fixture>())
        context.fixture = byId(context.bench->fixtures, part.reference(entity));
}

void readField(const Json& in, const EntityType& of, void* entity, const PartType& part, Context& context) {
    if (part.kept == KeptIn::Table) return;
    if (!in.contains(part.key) && part.since > context.format) return;
    const auto& json = in.at(part.key);
    if (part.isReference()) return readReference(json, of, entity, part, context);
    readValue(json, part.key, *part.type, part.of(entity), context);
    if (auto fault = rules::ofField(part, part.of(entity))) throw Fault{part.key, std::move(*fault)};
}

/// A described value that was written as a bare list of its fields, as project files did up to format 4.
void readList(const Json& in, const EntityType& of, void* entity, Context& context) {
    std::size_t at = 0;
    for (const auto& part : of.parts) readValue(in.at(at++), part.key, *part.type, part.of(entity), context);
}

void readItems(const Json& in, const char* key, const ValueType& type, void* list, Context& context) {
    type.clear(list);
    if (!in.is_array()) throw Fault{key, say(GLUMET_SAY("Core", "is not a list"))};
    if (in.size() > limits::kListed) throw Fault{key, say(GLUMET_SAY("Core", "holds too many"))};
    for (const auto& item : in) readValue(item, key, *type.inner, type.add(list), context);
}

void readOptional(const Json& in, const char* key, const ValueType& type, void* value, Context& context) {
    if (in.is_null()) return type.reset(value);
    if (type.inner->kind == ValueKind::Beam)
        *static_cast<std::optional<Beam>*>(value) = beamOf(in);
    else
        readValue(in, key, *type.inner, type.emplace(value), context);
}

std::int64_t wholeOf(const Json& in, const char* key, const ValueType& type) {
    if (!type.narrow) return in.get<std::int64_t>();
    const double number = numberOf(in, key);
    if (std::abs(number) > 1e9) throw Fault{key, say(GLUMET_SAY("Core", "is too large"))};
    return static_cast<std::int64_t>(number);
}

}  // namespace

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

void writePart(Json& out, const void* entity, const PartType& part, const Context& context) {
    if (part.kind == PartKind::Derived) {
        out[part.key] = part.get(entity);
    } else if (part.kind == PartKind::Children ? !part.in_json : part.kept == KeptIn::Table) {
        return;
    } else if (part.isReference()) {
        out[part.key] = nameOf(context, part.target(), part.reference(entity));
    } else {
        writeValue(out[part.key], *part.type, part.of(entity), context);
    }
}

void readPart(const Json& in, const EntityType& of, void* entity, const PartType& part, Context& context) {
    if (part.kind == PartKind::Field) return readField(in, of, entity, part, context);
    if (part.kind == PartKind::Children) {
        if (!part.in_json || (!in.contains(part.key) && part.since > context.format)) return;
        return readValue(in.at(part.key), part.key, *part.type, part.of(entity), context);
    }
    if (context.format >= 5) return;
    part.set(entity, in.at(part.key).get<std::string>());
    if (&of == &entityType<Fixture>())
        for (auto& channel : static_cast<Fixture*>(entity)->channels) channel.id = context.next--;
}

void writeFields(Json& out, const EntityType& of, const void* entity, const Context& context) {
    out = Json::object();
    for (const auto& part : of.parts) writePart(out, entity, part, context);
}

void readFields(const Json& in, const EntityType& of, void* entity, Context& context) {
    if (&of == &entityType<Fixture>()) context.fixture = static_cast<Fixture*>(entity);
    if (of.numbered) of.id(entity) = context.next--;
    const bool never_a_list =
        of.table != nullptr || &of == &entityType<Goal>() || &of == &entityType<Method>();
    if (!never_a_list && in.is_array()) return readList(in, of, entity, context);
    for (const auto& part : of.parts) readPart(in, of, entity, part, context);
}

void writeValue(Json& out, const ValueType& type, const void* value, const Context& context) {
    switch (type.kind) {
        case ValueKind::Described:
            return writeFields(out, type.entity(), value, context);
        case ValueKind::Optional: {
            const void* held = type.held(value);
            if (held == nullptr)
                out = nullptr;
            else
                writeValue(out, *type.inner, held, context);
            return;
        }
        case ValueKind::List:
            out = Json::array();
            for (std::size_t i = 0; i < type.size(value); ++i)
                writeValue(out.emplace_back(), *type.inner, type.at(value, i), context);
            return;
        case ValueKind::Number:
            out = type.number(value);
            return;
        case ValueKind::Whole:
            out = type.whole(value);
            return;
        case ValueKind::Flag:
            out = *static_cast<const bool*>(value);
            return;
        case ValueKind::Text:
            out = *static_cast<const std::string*>(value);
            return;
        case ValueKind::Word:
            out = type.word(value);
            return;
        case ValueKind::Spelled:
            out = type.text(value);
            return;
        case ValueKind::Texts:
            out = *static_cast<const std::map<std::string, std::string>*>(type.texts(value));
            return;
        case ValueKind::Beam:
            out = jsonOfBeam(*static_cast<const Beam*>(value));
            return;
        case ValueKind::Grid:
            out = jsonOf(*static_cast<const Grid*>(value));
            return;
        case ValueKind::Walls:
            out = jsonOf(*static_cast<const std::array<Wall, 4>*>(value), context);
            return;
        case ValueKind::Response:
            out = jsonOf(*static_cast<const ResponsePoint*>(value));
            return;
    }
}

void readValue(const Json& in, const char* key, const ValueType& type, void* value, Context& context) {
    switch (type.kind) {
        case ValueKind::Described:
            return readFields(in, type.entity(), value, context);
        case ValueKind::Optional:
            return readOptional(in, key, type, value, context);
        case ValueKind::List:
            return readItems(in, key, type, value, context);
        case ValueKind::Number:
            return type.set_number(value, numberOf(in, key));
        case ValueKind::Whole:
            return type.set_whole(value, wholeOf(in, key, type));
        case ValueKind::Flag:
            *static_cast<bool*>(value) = in.get<bool>();
            return;
        case ValueKind::Text:
            *static_cast<std::string*>(value) = in.get<std::string>();
            return;
        case ValueKind::Word: {
            const auto word = in.get<std::string>();
            if (!type.read_word(value, word))
                throw Fault{key, say(GLUMET_SAY("Core", "\"{}\" is not known"), word.substr(0, 40))};
            return;
        }
        case ValueKind::Spelled:
            return type.set_text(value, in.get<std::string>());
        case ValueKind::Texts: {
            auto texts = in.get<std::map<std::string, std::string>>();
            *static_cast<std::map<std::string, std::string>*>(type.make_texts(value)) = std::move(texts);
            return;
        }
        case ValueKind::Beam:
            *static_cast<Beam*>(value) = beamOf(in);
            return;
        case ValueKind::Grid:
            *static_cast<Grid*>(value) = gridOf(in);
            return;
        case ValueKind::Walls:
            *static_cast<std::array<Wall, 4>*>(value) = wallsOf(in, context);
            return;
        case ValueKind::Response:
            *static_cast<ResponsePoint*>(value) = responseOf(in);
            return;
    }
}

std::string textOf(const ValueType& type, const void* value) {
    if (type.empty != nullptr && type.empty(value)) return {};
    Json json;
    writeValue(json, type, value, Context{});
    return jsonText(json);
}

void readText(const std::string& text, const ValueType& type, void* value) {
    if (text.empty()) return;
    Context context;
    context.format = 1;  // rows of all formats stand side by side
    const auto json = parsedJson(text);
    if (!json) throw Fault{json.error().where, json.error().what};
    readValue(*json, "", type, value, context);
}

}  // namespace glumet::described
