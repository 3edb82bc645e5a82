#pragma once

#include <cmath>
#include <nlohmann/json.hpp>
#include <optional>
#include <string>

#include "core/bench/descriptions.h"
#include "core/bench/field_rules.h"
#include "formats/beam_json.h"
#include "formats/json_text.h"

/// JSON of described values (core/bench/describe.h), both ways. Reading stops at the first thing that is
/// wrong.
namespace glumet::described {

using Json = nlohmann::ordered_json;

/// Thrown while reading; caught at the border of each format.
struct Fault {
    std::string key;
    Words what;
};

/// What references are looked up in, and which format the JSON is of.
struct Context {
    Bench* bench = nullptr;      ///< what has been read so far, or what is written
    Fixture* fixture = nullptr;  ///< being read: its channels are named by its presets
    Id next = -1;                ///< provisional id of the next row
    int format = kBenchFormat;
};

template <class T>
void write(Json& out, const T& value, const Context& context);
template <class T>
void read(const Json& in, const char* key, T& value, Context& context);

template <class T>
concept Described = requires {
    fieldsOf(of<T>);
};

/// Described values that stand as bare lists of their fields in JSON.
template <class T>
inline constexpr bool kAsList = std::is_same_v<T, ResponsePoint>;

template <class T>
inline constexpr bool kIsOptional = false;
template <class T>
inline constexpr bool kIsOptional<std::optional<T>> = true;
template <class T>
inline constexpr bool kIsVector = false;
template <class T>
inline constexpr bool kIsVector<std::vector<T>> = true;
template <class T>
inline constexpr bool kIsQuantity = false;
template <class Unit>
inline constexpr bool kIsQuantity<Quantity<Unit>> = true;

Json jsonOf(const Grid& grid);
Grid gridOf(const Json& json);
Json jsonOf(const std::array<Wall, 4>& walls, const Context& context);
std::array<Wall, 4> wallsOf(const Json& json, Context& context);
Json jsonOf(const ResponsePoint& point);
ResponsePoint responseOf(const Json& json);
Beam beamOf(const Json& json);

/// A number that stands for a quantity, a count or a plain number.
double numberOf(const Json& json, const char* key);

/// The name by which JSON refers to a row; empty for none.
template <class Entity>
std::string nameOf(const Context& context, Of<Entity>, Id id);
/// The id of a named row; 0 for an empty name, a Fault for one that is not described.
template <class Entity>
Id idOf(const Context& context, Of<Entity>, Id fixture, const std::string& name, const char* key);

template <class Entity, class Part>
void writePart(Json& out, const Entity& entity, const Part& part, const Context& context) {
    if constexpr (kIsField<Part>) {
        if (part.kept == KeptIn::Table) return;
        if constexpr (!std::is_void_v<typename Part::target>)
            out[part.key] = nameOf(context, of<typename Part::target>, part.access(entity));
        else
            write(out[part.key], part.access(entity), context);
    } else if constexpr (kIsChildren<Part>) {
        if (part.in_json) write(out[part.key], part.access(entity), context);
    } else {
        out[part.key] = part.get(entity);
    }
}

template <class Entity, class Part>
void checkRange(const Entity& entity, const Part& part) {
    if (auto fault = rules::ofValue(part, part.access(entity))) throw Fault{part.key, std::move(*fault)};
}

template <class Entity, class Part>
void readPart(const Json& in, Entity& entity, const Part& part, Context& context) {
    if constexpr (kIsField<Part>) {
        if (part.kept == KeptIn::Table) return;
        if (!in.contains(part.key) && part.since > context.format) return;
        const auto& json = in.at(part.key);
        if constexpr (!std::is_void_v<typename Part::target>) {
            Id fixture = 0;
            if constexpr (requires { entity.fixture; }) fixture = entity.fixture;
            part.access(entity) =
                idOf(context, of<typename Part::target>, fixture, json.template get<std::string>(), part.key);
            // What stands below names channels and presets of this one.
            if constexpr (std::is_same_v<typename Part::target, Fixture>)
                context.fixture = byId(context.bench->fixtures, part.access(entity));
        } else {
            read(json, part.key, part.access(entity), context);
            checkRange(entity, part);
        }
    } else if constexpr (kIsChildren<Part>) {
        if (!part.in_json) return;
        if (!in.contains(part.key) && part.since > context.format) return;
        read(in.at(part.key), part.key, part.access(entity), context);
    } else if (context.format < 5) {
        part.set(entity, in.at(part.key).template get<std::string>());
        if constexpr (std::is_same_v<Entity, Fixture>)
            for (auto& channel : entity.channels) channel.id = context.next--;
    }
}

template <class T>
void write(Json& out, const T& value, const Context& context) {
    if constexpr (Described<T>) {
        out = Json::object();
        forEachPart(of<T>, [&](const auto& part) { writePart(out, value, part, context); });
    } else if constexpr (kIsOptional<T>) {
        if (value)
            write(out, *value, context);
        else
            out = nullptr;
    } else if constexpr (kIsVector<T>) {
        out = Json::array();
        for (const auto& item : value) write(out.emplace_back(), item, context);
    } else if constexpr (kIsQuantity<T>) {
        out = value.value();
    } else if constexpr (Worded<T>) {
        out = wordOf(value);
    } else if constexpr (Spelled<T>) {
        out = value.text();
    } else if constexpr (std::is_same_v<T, Beam>) {
        out = jsonOfBeam(value);
    } else if constexpr (std::is_same_v<T, std::array<Wall, 4>>) {
        out = jsonOf(value, context);
    } else if constexpr (std::is_same_v<T, Grid> || std::is_same_v<T, ResponsePoint>) {
        out = jsonOf(value);
    } else if constexpr (requires { value.get(); }) {
        out = value.get();
    } else {
        out = value;
    }
}

/// A described value that was written as a bare list of its fields, as project files did up to format 4.
template <class T>
void readList(const Json& in, T& value, Context& context) {
    std::size_t at = 0;
    forEachPart(of<T>, [&](const auto& part) { read(in.at(at++), part.key, part.access(value), context); });
}

template <class T>
void readDescribed(const Json& in, T& value, Context& context) {
    if constexpr (std::is_same_v<T, Fixture>) context.fixture = &value;
    if constexpr (requires { value.id; }) value.id = context.next--;
    if constexpr (!requires { tableOf(of<T>); } && !std::is_same_v<T, Goal> && !std::is_same_v<T, Method>) {
        if (in.is_array()) return readList(in, value, context);
    }
    forEachPart(of<T>, [&](const auto& part) { readPart(in, value, part, context); });
}

template <class T>
void read(const Json& in, const char* key, T& value, Context& context) {
    if constexpr (Described<T>) {
        readDescribed(in, value, context);
    } else if constexpr (kIsOptional<T>) {
        if (in.is_null()) return value.reset();
        if constexpr (std::is_same_v<typename T::value_type, Beam>) {
            value = beamOf(in);
        } else {
            value.emplace();
            read(in, key, *value, context);
        }
    } else if constexpr (kIsVector<T>) {
        value.clear();
        if (!in.is_array()) throw Fault{key, say(GLUMET_SAY("Core", "is not a list"))};
        if (in.size() > limits::kListed) throw Fault{key, say(GLUMET_SAY("Core", "holds too many"))};
        for (const auto& item : in) read(item, key, value.emplace_back(), context);
    } else if constexpr (kIsQuantity<T>) {
        value = T(numberOf(in, key));
    } else if constexpr (Worded<T>) {
        const auto word = in.get<std::string>();
        if (!readWord(word, value))
            throw Fault{key, say(GLUMET_SAY("Core", "\"{}\" is not known"), word.substr(0, 40))};
    } else if constexpr (Spelled<T>) {
        value = T::of(in.get<std::string>());
    } else if constexpr (std::is_same_v<T, std::array<Wall, 4>>) {
        value = wallsOf(in, context);
    } else if constexpr (std::is_same_v<T, Grid>) {
        value = gridOf(in);
    } else if constexpr (std::is_same_v<T, ResponsePoint>) {
        value = responseOf(in);
    } else if constexpr (std::is_same_v<T, double>) {
        value = numberOf(in, key);
    } else if constexpr (std::is_same_v<T, int>) {
        const double number = numberOf(in, key);
        if (std::abs(number) > 1e9) throw Fault{key, say(GLUMET_SAY("Core", "is too large"))};
        value = static_cast<int>(number);
    } else if constexpr (requires { value.make(); }) {
        value.make() = in.get<std::decay_t<decltype(value.make())>>();
    } else {
        value = in.get<T>();
    }
}

/// A value as one line of text, for a column of a table; empty for an empty list or map.
template <class T>
std::string textOf(const T& value) {
    if constexpr (requires { value.empty(); }) {
        if (value.empty()) return {};
    }
    Json json;
    write(json, value, Context{});
    return jsonText(json);
}

/// Reads textOf(), or what earlier formats wrote; throws Fault or nlohmann's exceptions.
template <class T>
void readText(const std::string& text, T& value) {
    if (text.empty()) return;
    Context context;
    context.format = 1;  // rows of all formats stand side by side
    const auto json = parsedJson(text);
    if (!json) throw Fault{json.error().where, json.error().what};
    read(*json, "", value, context);
}

}  // namespace glumet::described
