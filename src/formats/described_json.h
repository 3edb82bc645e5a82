#pragma once

#include <nlohmann/json.hpp>
#include <string>
#include <vector>

#include "core/bench/descriptions.h"
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

/// `value` is of `type`, `entity` of `of`, and `part` one of its parts.
void writeValue(Json& out, const ValueType& type, const void* value, const Context& context);
void readValue(const Json& in, const char* key, const ValueType& type, void* value, Context& context);
void writeFields(Json& out, const EntityType& of, const void* entity, const Context& context);
void readFields(const Json& in, const EntityType& of, void* entity, Context& context);
void writePart(Json& out, const void* entity, const PartType& part, const Context& context);
void readPart(const Json& in, const EntityType& of, void* entity, const PartType& part, Context& context);

template <class Entity>
void write(Json& out, const Entity& entity, const Context& context) {
    writeFields(out, entityType<Entity>(), &entity, context);
}
template <class Entity>
void read(const Json& in, Entity& entity, Context& context) {
    readFields(in, entityType<Entity>(), &entity, context);
}

/// As std::optional<Beam> is kept; throws Fault.
Beam beamOf(const Json& json);

/// A value as one line of text, for a column of a table; empty for an empty list or map.
std::string textOf(const ValueType& type, const void* value);
/// Reads textOf(), or what earlier formats wrote; throws Fault or nlohmann's exceptions.
void readText(const std::string& text, const ValueType& type, void* value);

template <class Entity>
std::string textOf(const Entity& entity) {
    Json json;
    write(json, entity, Context{});
    return jsonText(json);
}
template <class Entity>
std::string textOf(const std::vector<Entity>& list) {
    if (list.empty()) return {};
    Json json = Json::array();
    for (const auto& entity : list) write(json.emplace_back(), entity, Context{});
    return jsonText(json);
}

}  // namespace glumet::described
