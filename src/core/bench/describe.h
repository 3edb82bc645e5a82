#pragma once

#include <concepts>
#include <cstddef>
#include <cstdint>
#include <limits>
#include <memory>
#include <string>
#include <string_view>
#include <vector>

#include "core/base/id.h"

/// How an entity is described once, as data: `entityType<Tank>()` lists its parts. From it come table, rows,
/// JSON, the columns of a readings table and the rows of a form, each by code that is written once for all
/// entities and compiled once. A new field is a member and a line in descriptions.cpp.
///
/// A pointer to a value goes with the ValueType that knows it; its type is not checked again.
namespace glumet {

/// Stands for a type where a function is chosen by it.
template <class T>
struct Of {
    using type = T;
};
template <class T>
inline constexpr Of<T> of{};

struct EntityType;

enum class ValueKind {
    Number,     ///< double, or a quantity in its unit
    Whole,      ///< int or Id
    Flag,       ///< bool
    Text,       ///< std::string
    Word,       ///< an enumeration with WordsOf
    Spelled,    ///< a value with one spelling
    Optional,   ///< of `inner`, or none
    List,       ///< of `inner`
    Described,  ///< the fields of `entity`
    Texts,      ///< texts by name, Seldom or not
    Beam,
    Grid,
    Walls,
    Response,  ///< ResponsePoint
};

/// What can be done with a value of one type. Functions that a kind does not have are null.
struct ValueType {
    ValueKind kind = ValueKind::Number;
    double reach = std::numeric_limits<double>::infinity();  ///< greatest magnitude (limits.h)
    bool is_length = false;
    bool narrow = false;       ///< Whole: an int
    bool word_stored = false;  ///< Word: a table keeps the word too, not its number
    int words = 0;             ///< Word: how many
    const ValueType* inner = nullptr;
    const EntityType& (*entity)() = nullptr;

    double (*number)(const void*) = nullptr;
    void (*set_number)(void*, double) = nullptr;
    std::int64_t (*whole)(const void*) = nullptr;  ///< of Word too: its place
    void (*set_whole)(void*, std::int64_t) = nullptr;
    const char* (*word)(const void*) = nullptr;
    bool (*read_word)(void*, std::string_view) = nullptr;
    const char* (*word_at)(std::size_t) = nullptr;  ///< Word: the spelling of the value at that place
    std::string (*text)(const void*) = nullptr;     ///< of Spelled
    void (*set_text)(void*, std::string) = nullptr;
    bool (*empty)(const void*) = nullptr;        ///< null where nothing of the type is empty
    const void* (*held)(const void*) = nullptr;  ///< Optional: the value, or null
    void* (*emplace)(void*) = nullptr;           ///< Optional: a fresh value
    std::size_t (*size)(const void*) = nullptr;
    const void* (*at)(const void*, std::size_t) = nullptr;
    void (*clear)(void*) = nullptr;
    void (*reserve)(void*, std::size_t) = nullptr;
    std::shared_ptr<void> (*make)() = nullptr;    ///< List: an empty one
    void* (*add)(void*) = nullptr;                ///< List: one more, as made
    void (*take)(void*, void*) = nullptr;         ///< List: one more, moved from an entity
    void (*reset)(void*) = nullptr;               ///< as made
    const void* (*texts)(const void*) = nullptr;  ///< Texts: the std::map
    void* (*make_texts)(void*) = nullptr;

    /// Of a list that is not constant.
    void* mutableAt(void* list, std::size_t i) const { return const_cast<void*>(at(list, i)); }
};

/// Where a field is kept. A few have one form in a table and another in JSON.
enum class KeptIn { TableAndJson, Table, Json };

enum class PartKind {
    Field,     ///< one value
    Children,  ///< rows of another entity: a list in memory, a table that names its parent, a list in JSON
    Derived,   ///< a text in JSON that says again what other fields hold, for readers of earlier formats
};

/// One part of an entity. The functions that change one return it changed, so that a description reads as a
/// sentence.
struct PartType {
    PartKind kind = PartKind::Field;
    const char* key = "";     ///< in JSON, with its unit
    const char* column = "";  ///< in the table; of Children: of the child's table, its parent
    std::size_t offset = 0;   ///< of the value within its entity
    const ValueType* type = nullptr;
    int since = 1;  ///< format of project and bench description that brought it
    KeptIn kept = KeptIn::TableAndJson;
    double least = -std::numeric_limits<double>::infinity();
    double most = std::numeric_limits<double>::infinity();
    bool above = false;                       ///< `least` itself is not allowed
    bool required = false;                    ///< of a reference: never none; of a text: not empty
    bool owned = false;                       ///< of a reference: the row goes with what it names
    bool unstated = false;                    ///< 0 means not stated, and is shown as nothing
    const EntityType& (*target)() = nullptr;  ///< of a reference: what it names
    bool in_json = true;                      ///< Children: readings go into a table of their own
    bool grows = false;  ///< Children: saving the parent adds rows and neither changes nor removes any
    const char* label = nullptr;  ///< in a form, with its unit where the unit is not chosen; nullptr: no row
    const char* hint = "";
    bool seldom = false;                               ///< a row that a form folds away
    std::string (*get)(const void* entity) = nullptr;  ///< Derived
    /// Derived: called only where the fields themselves are missing.
    void (*set)(void* entity, const std::string&) = nullptr;

    PartType in(const char* name) const;
    PartType from(int format) const;
    PartType keptIn(KeptIn where) const;
    PartType atLeast(double value) const;
    PartType atMost(double value) const;
    PartType moreThan(double value) const;
    /// At least 0, which means not stated.
    PartType orUnstated() const;
    /// A text that must not be empty.
    PartType needed() const;
    PartType row(const char* name, const char* example = "") const;
    /// Its row is wanted seldom.
    PartType seldomWanted() const;
    /// An Id that names a row of another table.
    template <class Entity>
    PartType refersTo(bool always = false, bool with_it = false) const;

    const void* of(const void* entity) const { return static_cast<const std::byte*>(entity) + offset; }
    void* of(void* entity) const { return static_cast<std::byte*>(entity) + offset; }
    /// Whether a number lies in the field's range.
    bool holds(double value) const { return (above ? value > least : value >= least) && value <= most; }
    bool inTable() const { return kind == PartKind::Field && kept != KeptIn::Json; }
    bool isReference() const { return target != nullptr; }
    Id& reference(void* entity) const { return *static_cast<Id*>(of(entity)); }
    Id reference(const void* entity) const { return *static_cast<const Id*>(of(entity)); }
    /// Of Children: what its rows are.
    const EntityType& child() const { return type->inner->entity(); }
};

/// An entity, or a value with fields.
struct EntityType {
    const char* table = nullptr;  ///< null: it has none of its own
    std::vector<PartType> parts;
    bool numbered = false;  ///< has an id
    std::size_t id_offset = 0;
    const void* blank = nullptr;  ///< one as made

    Id& id(void* entity) const { return *reinterpret_cast<Id*>(static_cast<std::byte*>(entity) + id_offset); }
    Id id(const void* entity) const {
        return *reinterpret_cast<const Id*>(static_cast<const std::byte*>(entity) + id_offset);
    }
    /// The field of that key, or null.
    const PartType* field(std::string_view key) const;
    /// The list of that key, which there is.
    const PartType& list(std::string_view key) const;
    /// Whether rows of other entities belong to one of these.
    bool hasChildren() const;
};

/// The description of an entity, made once; by GLUMET_DESCRIBED (describing.h) where it is described.
template <class Entity>
const EntityType& entityType();

template <class Entity>
PartType PartType::refersTo(bool always, bool with_it) const {
    PartType out = *this;
    out.required = always;
    out.owned = with_it;
    out.target = []() -> const EntityType& { return entityType<Entity>(); };
    return out;
}

/// Spellings of an enumeration in files: WordsOf<E>::value is an array of (value, word) in the order of the
/// values; `stored` says whether a table keeps the word too, or the number.
template <class E>
struct WordsOf;

template <class E>
concept Worded = requires {
    WordsOf<E>::value;
};

template <Worded E>
constexpr const char* wordOf(E value) {
    for (const auto& [known, word] : WordsOf<E>::value)
        if (known == value) return word;
    return WordsOf<E>::value.front().second;
}

template <Worded E>
constexpr bool readWord(std::string_view word, E& value) {
    for (const auto& [known, spelling] : WordsOf<E>::value)
        if (spelling == word) {
            value = known;
            return true;
        }
    return false;
}

/// A value that files keep as one text: `text()` and a static `of(std::string)`.
template <class T>
concept Spelled = requires(const T& value) {
    { value.text() } -> std::convertible_to<std::string>;
    { T::of(std::string()) } -> std::same_as<T>;
};

}  // namespace glumet
