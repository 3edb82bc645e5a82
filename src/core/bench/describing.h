#pragma once

#include <algorithm>
#include <array>
#include <bit>
#include <map>
#include <memory>
#include <optional>

#include "core/base/limits.h"
#include "core/base/seldom.h"
#include "core/bench/describe.h"
#include "core/bench/meter_profile.h"
#include "core/bench/run.h"
#include "core/bench/tank.h"

/// What descriptions are written with. Included by the few units that describe: each type costs them.
namespace glumet {

namespace described {

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
template <class T>
inline constexpr bool kIsTexts = std::is_same_v<T, std::map<std::string, std::string>> ||
                                 std::is_same_v<T, Seldom<std::map<std::string, std::string>>>;
template <class T>
concept Described = requires {
    fieldsOf(of<T>);
};

template <class T>
constexpr ValueKind kindOf() {
    if constexpr (Described<T>)
        return ValueKind::Described;
    else if constexpr (kIsOptional<T>)
        return ValueKind::Optional;
    else if constexpr (kIsVector<T>)
        return ValueKind::List;
    else if constexpr (kIsQuantity<T> || std::is_same_v<T, double>)
        return ValueKind::Number;
    else if constexpr (Worded<T>)
        return ValueKind::Word;
    else if constexpr (Spelled<T>)
        return ValueKind::Spelled;
    else if constexpr (std::is_same_v<T, bool>)
        return ValueKind::Flag;
    else if constexpr (std::is_integral_v<T>)
        return ValueKind::Whole;
    else if constexpr (std::is_same_v<T, std::string>)
        return ValueKind::Text;
    else if constexpr (std::is_same_v<T, Beam>)
        return ValueKind::Beam;
    else if constexpr (std::is_same_v<T, Grid>)
        return ValueKind::Grid;
    else if constexpr (std::is_same_v<T, std::array<Wall, 4>>)
        return ValueKind::Walls;
    else if constexpr (std::is_same_v<T, ResponsePoint>)
        return ValueKind::Response;
    else {
        static_assert(kIsTexts<T>, "a type that no codec knows");
        return ValueKind::Texts;
    }
}

template <class T>
T& as(void* value) {
    return *static_cast<T*>(value);
}
template <class T>
const T& as(const void* value) {
    return *static_cast<const T*>(value);
}

template <class T>
const ValueType& valueType();

template <class T>
void addNumbers(ValueType& type) {
    if constexpr (kIsQuantity<T>) {
        type.is_length = std::is_same_v<T, Millimetre>;
        type.number = [](const void* v) { return as<T>(v).value(); };
        type.set_number = [](void* v, double number) { as<T>(v) = T(number); };
    } else if constexpr (std::is_same_v<T, double>) {
        type.number = [](const void* v) { return as<double>(v); };
        type.set_number = [](void* v, double number) { as<double>(v) = number; };
    } else if constexpr (std::is_integral_v<T>) {
        type.narrow = std::is_same_v<T, int>;
        type.whole = [](const void* v) { return static_cast<std::int64_t>(as<T>(v)); };
        type.set_whole = [](void* v, std::int64_t number) {
            using Limits = std::numeric_limits<T>;
            as<T>(v) = std::is_same_v<T, bool>
                           ? number != 0
                           : static_cast<T>(std::clamp<std::int64_t>(number, Limits::min(), Limits::max()));
        };
    } else if constexpr (Worded<T>) {
        type.word_stored = WordsOf<T>::stored;
        type.words = static_cast<int>(WordsOf<T>::value.size());
        type.whole = [](const void* v) { return static_cast<std::int64_t>(as<T>(v)); };
        type.set_whole = [](void* v, std::int64_t number) { as<T>(v) = static_cast<T>(number); };
        type.word = [](const void* v) { return wordOf(as<T>(v)); };
        type.word_at = [](std::size_t at) { return WordsOf<T>::value[at].second; };
        type.read_word = [](void* v, std::string_view word) { return readWord(word, as<T>(v)); };
    }
}

template <class T>
void addContents(ValueType& type) {
    if constexpr (Described<T>) {
        type.entity = []() -> const EntityType& { return entityType<T>(); };
    } else if constexpr (kIsOptional<T>) {
        type.inner = &valueType<typename T::value_type>();
        type.held = [](const void* v) -> const void* { return as<T>(v) ? &*as<T>(v) : nullptr; };
        if constexpr (std::is_default_constructible_v<typename T::value_type>)
            type.emplace = [](void* v) -> void* { return &as<T>(v).emplace(); };
    } else if constexpr (kIsVector<T>) {
        type.inner = &valueType<typename T::value_type>();
        type.size = [](const void* v) { return as<T>(v).size(); };
        type.at = [](const void* v, std::size_t i) -> const void* { return &as<T>(v)[i]; };
        type.clear = [](void* v) { as<T>(v).clear(); };
        type.reserve = [](void* v, std::size_t size) { as<T>(v).reserve(size); };
        type.make = []() -> std::shared_ptr<void> { return std::make_shared<T>(); };
        type.add = [](void* v) -> void* { return &as<T>(v).emplace_back(); };
        type.take = [](void* v, void* from) {
            as<T>(v).push_back(std::move(as<typename T::value_type>(from)));
        };
    } else if constexpr (Spelled<T>) {
        type.text = [](const void* v) -> std::string { return as<T>(v).text(); };
        type.set_text = [](void* v, std::string text) { as<T>(v) = T::of(std::move(text)); };
    } else if constexpr (kIsTexts<T>) {
        type.texts = [](const void* v) -> const void* {
            if constexpr (requires { as<T>(v).get(); })
                return &as<T>(v).get();
            else
                return v;
        };
        type.make_texts = [](void* v) -> void* {
            if constexpr (requires { as<T>(v).make(); })
                return &as<T>(v).make();
            else
                return v;
        };
    }
}

template <class T>
ValueType madeType() {
    ValueType type;
    type.kind = kindOf<T>();
    type.reach = limits::reach<T>();
    if constexpr (std::is_default_constructible_v<T>) type.reset = [](void* v) { as<T>(v) = T{}; };
    if constexpr (requires(const T& v) { v.empty(); })
        type.empty = [](const void* v) { return as<T>(v).empty(); };
    addNumbers<T>(type);
    addContents<T>(type);
    return type;
}

template <class T>
const ValueType& valueType() {
    static const ValueType type = madeType<T>();
    return type;
}

/// Where a member stands within its class, in bytes: what a pointer to a member holds by the platform's ABI.
template <class Entity, class Value>
std::size_t offsetOf(Value Entity::*member) {
    static_assert(sizeof(member) == sizeof(std::ptrdiff_t));
    return static_cast<std::size_t>(std::bit_cast<std::ptrdiff_t>(member));
}

template <class Value>
PartType partAt(const char* key, std::size_t offset) {
    PartType part;
    part.key = part.column = key;
    part.offset = offset;
    part.type = &valueType<Value>();
    return part;
}

template <class Entity>
EntityType madeEntity() {
    static const Entity blank{};
    EntityType out;
    out.blank = &blank;
    if constexpr (requires { tableOf(of<Entity>); }) out.table = tableOf(of<Entity>);
    if constexpr (requires { &Entity::id; }) {
        out.numbered = true;
        Id Entity::*const id = &Entity::id;
        out.id_offset = offsetOf(id);
    }
    out.parts = fieldsOf(of<Entity>);
    return out;
}

}  // namespace described

/// A member; one of a base counts from the base, which therefore stands first in its entity.
template <class Entity, class Value>
PartType field(const char* key, Value Entity::*member) {
    return described::partAt<Value>(key, described::offsetOf(member));
}
/// A field of a member, or of what the member is derived from.
template <class Entity, class Member, class Owner, class Value>
PartType field(const char* key, Member Entity::*member, Value Owner::*inner) {
    Value Member::*within = inner;
    return described::partAt<Value>(key, described::offsetOf(member) + described::offsetOf(within));
}

template <class Entity, class Value>
PartType children(const char* key, const char* parent_column, Value Entity::*member, int since = 1,
                  bool in_json = true, bool grows = false) {
    PartType part = field(key, member);
    part.kind = PartKind::Children;
    part.column = parent_column;
    part.since = since;
    part.in_json = in_json;
    part.grows = grows;
    return part;
}

inline PartType derived(const char* key, std::string (*get)(const void*),
                        void (*set)(void*, const std::string&)) {
    PartType part;
    part.kind = PartKind::Derived;
    part.key = key;
    part.get = get;
    part.set = set;
    return part;
}

/// Stands once for each entity, in namespace glumet.
#define GLUMET_DESCRIBED(Entity)                                        \
    template <>                                                         \
    const EntityType& entityType<Entity>() {                            \
        static const EntityType type = described::madeEntity<Entity>(); \
        return type;                                                    \
    }

}  // namespace glumet
