#pragma once

#include <cmath>
#include <optional>
#include <string>
#include <string_view>
#include <vector>

#include "core/base/limits.h"
#include "core/base/sentence.h"
#include "core/base/utf8.h"
#include "core/bench/descriptions.h"

/// Whether the value of a described field can be, by the field's own range and the table of limits.
namespace glumet::rules {

/// Why a number cannot be one of this field; nothing where it can.
template <class Value, class Part>
std::optional<Words> ofNumber(const Part& part, double value) {
    if (!std::isfinite(value)) return say(GLUMET_SAY("Core", "is no number"));
    if (value > part.most || value > limits::reach<Value>())
        return say(GLUMET_SAY("Core", "is above its greatest value"));
    if (!part.holds(value) || value < -limits::reach<Value>())
        return say(GLUMET_SAY("Core", "is below its least value"));
    return std::nullopt;
}

/// Names are short; notes, spectra and the like are not.
constexpr std::size_t longestText(std::string_view key) {
    for (const char* name : {"name", "run", "maker", "kind", "currency", "time", "calibrated_on", "subject",
                             "claimed_coverage", "flag"})
        if (key == name) return limits::kNameBytes;
    return limits::kTextBytes;
}

std::optional<Words> ofText(const std::string& text, std::size_t longest);
std::optional<Words> ofGrid(const Grid& grid);

template <class T>
concept Many = requires(const T& value) {
    value.begin();
    value.size();
};

template <class Part, class Value>
std::optional<Words> ofValue(const Part& part, const Value& value);

/// A described value that stands inside another, by its first fault.
template <class Entity>
std::optional<Words> ofFields(const Entity& entity) {
    std::optional<Words> fault;
    forEachPart(of<Entity>, [&](const auto& part) {
        if constexpr (kIsField<std::decay_t<decltype(part)>>)
            if (!fault) fault = ofValue(part, part.access(entity));
    });
    return fault;
}

template <class Part, class Value>
std::optional<Words> ofValue(const Part& part, const Value& value) {
    if constexpr (!std::is_void_v<typename Part::target> || std::is_same_v<Value, bool> || Worded<Value>) {
        return std::nullopt;
    } else if constexpr (std::is_arithmetic_v<Value>) {
        return ofNumber<Value>(part, static_cast<double>(value));
    } else if constexpr (std::is_same_v<Value, std::string>) {
        return ofText(value, longestText(part.key));
    } else if constexpr (Spelled<Value>) {
        return ofText(value.text(), limits::kNameBytes);
    } else if constexpr (std::is_same_v<Value, Grid>) {
        return ofGrid(value);
    } else if constexpr (requires { fieldsOf(of<Value>); }) {
        return ofFields(value);
    } else if constexpr (requires { value.has_value(); }) {
        return value ? ofValue(part, *value) : std::nullopt;
    } else if constexpr (requires { typename Value::mapped_type; }) {
        for (const auto& [key, text] : value) {
            if (auto fault = ofText(key, limits::kNameBytes)) return fault;
            if (auto fault = ofText(text, limits::kTextBytes)) return fault;
        }
        return std::nullopt;
    } else if constexpr (Many<Value>) {
        if (value.size() > limits::kListed) return say(GLUMET_SAY("Core", "holds too many"));
        for (const auto& item : value)
            if (auto fault = ofValue(part, item)) return fault;
        return std::nullopt;
    } else if constexpr (requires { value.value(); }) {
        return ofNumber<Value>(part, value.value());
    } else {
        return std::nullopt;
    }
}

}  // namespace glumet::rules
