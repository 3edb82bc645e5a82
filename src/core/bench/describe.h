#pragma once

#include <array>
#include <functional>
#include <limits>
#include <string>
#include <string_view>
#include <tuple>
#include <type_traits>
#include <utility>

/// How an entity is described once. `fieldsOf(of<Tank>)` hands over a tuple of Field, Children and Derived;
/// from it come table, rows, JSON, the columns of a readings table and the rows of a form. A new field is a
/// member and a line here.
namespace glumet {

/// Stands for a type where a function is chosen by it.
template <class T>
struct Of {
    using type = T;
};
template <class T>
inline constexpr Of<T> of{};

/// Where a field is kept. A few have one form in a table and another in JSON.
enum class KeptIn { TableAndJson, Table, Json };

/// One value of an entity. `Access` is called with the entity, const or not, and gives a reference to the
/// value; `Target` is the entity that an Id names, or void.
template <class Access, class Target = void>
struct Field {
    const char* key;     ///< in JSON, with its unit
    const char* column;  ///< in the table
    Access access;
    int since = 1;  ///< format of project and bench description that brought it
    KeptIn kept = KeptIn::TableAndJson;
    double least = -std::numeric_limits<double>::infinity();
    double most = std::numeric_limits<double>::infinity();
    bool above = false;           ///< `least` itself is not allowed
    bool required = false;        ///< of a reference: never none
    bool owned = false;           ///< of a reference: the row goes with what it names
    bool unstated = false;        ///< 0 means not stated, and is shown as nothing
    const char* label = nullptr;  ///< in a form, with its unit where the unit is not chosen; nullptr: no row
    const char* hint = "";
    bool seldom = false;  ///< a row that a form folds away

    using target = Target;

    constexpr Field in(const char* name) const {
        return with([&](Field& f) { f.column = name; });
    }
    constexpr Field from(int format) const {
        return with([&](Field& f) { f.since = format; });
    }
    constexpr Field keptIn(KeptIn where) const {
        return with([&](Field& f) { f.kept = where; });
    }
    constexpr Field atLeast(double value) const {
        return with([&](Field& f) { f.least = value; });
    }
    constexpr Field atMost(double value) const {
        return with([&](Field& f) { f.most = value; });
    }
    constexpr Field moreThan(double value) const {
        return with([&](Field& f) {
            f.least = value;
            f.above = true;
        });
    }
    constexpr Field orUnstated() const {
        return with([](Field& f) {
            f.least = 0.0;
            f.unstated = true;
        });
    }
    /// A text that must not be empty.
    constexpr Field needed() const {
        return with([](Field& f) { f.required = true; });
    }
    constexpr Field row(const char* name, const char* example = "") const {
        return with([&](Field& f) {
            f.label = name;
            f.hint = example;
        });
    }
    /// Its row is wanted seldom.
    constexpr Field seldomWanted() const {
        return with([](Field& f) { f.seldom = true; });
    }
    /// An Id that names a row of another table.
    template <class Entity>
    constexpr Field<Access, Entity> refersTo(bool always = false, bool with_it = false) const {
        Field<Access, Entity> out{key, column, access};
        out.since = since;
        out.required = always;
        out.owned = with_it;
        return out;
    }

    /// Whether a number lies in the field's range.
    constexpr bool holds(double value) const {
        return (above ? value > least : value >= least) && value <= most;
    }

  private:
    template <class Change>
    constexpr Field with(Change change) const {
        Field out = *this;
        change(out);
        return out;
    }
};

/// Rows of another entity that belong to this one: a vector in memory, a table with a reference to the parent
/// in the file, a list in JSON.
template <class Access>
struct Children {
    const char* key;     ///< in JSON
    const char* column;  ///< of the child's table: the parent
    Access access;
    int since = 1;
    bool in_json = true;  ///< readings go into a table of their own
    bool grows = false;   ///< saving the parent adds rows and neither changes nor removes any
};

/// A text in JSON that says again what other fields hold, for readers of earlier formats.
template <class Get, class Set>
struct Derived {
    const char* key;
    Get get;  ///< entity → std::string
    Set set;  ///< entity, std::string; called only where the fields themselves are missing
};

template <class Entity, class Value>
constexpr auto accessOf(Value Entity::*member) {
    return [member](auto& entity) -> auto& { return entity.*member; };
}

template <class Entity, class Value>
constexpr auto field(const char* key, Value Entity::*member) {
    const auto access = accessOf(member);
    return Field<std::remove_const_t<decltype(access)>>{key, key, access};
}

/// A field behind more than one member.
template <class Access>
constexpr auto fieldAt(const char* key, Access access) {
    return Field<Access>{key, key, access};
}

template <class Entity, class Value>
constexpr auto children(const char* key, const char* parent_column, Value Entity::*member, int since = 1,
                        bool in_json = true, bool grows = false) {
    const auto access = accessOf(member);
    return Children<std::remove_const_t<decltype(access)>>{key, parent_column, access, since, in_json, grows};
}

template <class Get, class Set>
constexpr auto derived(const char* key, Get get, Set set) {
    return Derived<Get, Set>{key, get, set};
}

template <class T>
inline constexpr bool kIsField = false;
template <class Access, class Target>
inline constexpr bool kIsField<Field<Access, Target>> = true;
template <class T>
inline constexpr bool kIsChildren = false;
template <class Access>
inline constexpr bool kIsChildren<Children<Access>> = true;

/// The fields of a member as fields of its owner.
template <class Outer, class Access, class Target>
constexpr auto within(Outer outer, const Field<Access, Target>& inner) {
    const auto access = [ outer, in = inner.access ](auto& entity) -> auto& { return in(outer(entity)); };
    Field<std::remove_const_t<decltype(access)>, Target> out{inner.key, inner.column, access};
    out.since = inner.since;
    out.kept = inner.kept;
    out.least = inner.least;
    out.most = inner.most;
    out.above = inner.above;
    return out;
}

/// Calls `work` with every part of a description: Field, Children or Derived.
template <class Entity, class Work>
constexpr void forEachPart(Of<Entity> entity, Work&& work) {
    std::apply([&](const auto&... part) { (work(part), ...); }, fieldsOf(entity));
}

/// Calls `work` with every Field that a table keeps, in the order of its columns.
template <class Entity, class Work>
constexpr void forEachColumn(Of<Entity> entity, Work&& work) {
    forEachPart(entity, [&](const auto& part) {
        if constexpr (kIsField<std::decay_t<decltype(part)>>)
            if (part.kept != KeptIn::Json) work(part);
    });
}

/// Calls `work` with every Children.
template <class Entity, class Work>
constexpr void forEachChildren(Of<Entity> entity, Work&& work) {
    forEachPart(entity, [&](const auto& part) {
        if constexpr (kIsChildren<std::decay_t<decltype(part)>>) work(part);
    });
}

template <class Entity, class Part>
using ValueOf = std::decay_t<decltype(std::declval<Part>().access(std::declval<Entity&>()))>;

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
