#include "core/compare/shelved.h"

#include <algorithm>
#include <map>

#include "core/bench/move_ids.h"

namespace glumet {
namespace {

constexpr Id kShelfStep = 1'000'000'000;

/// The known one that is described alike but for its id; 0 where there is none.
template <class T>
Id alike(const std::vector<T>& known, T item) {
    for (const auto& other : known) {
        item.id = other.id;
        if (item == other) return other.id;
    }
    return 0;
}

/// Adds what is not there yet; gives the ids that stand for those that are.
template <class T>
std::map<Id, Id> addUnlike(std::vector<T>& known, const std::vector<T>& items) {
    std::map<Id, Id> stands_for;
    for (const auto& item : items) {
        const Id same = alike(known, item);
        if (same != 0)
            stands_for[item.id] = same;
        else
            known.push_back(item);
    }
    return stands_for;
}

void put(Id& id, const std::map<Id, Id>& stands_for) {
    if (const auto at = stands_for.find(id); at != stands_for.end()) id = at->second;
}

template <class T>
void append(std::vector<T>& to, std::vector<T>& from) {
    to.insert(to.end(), std::make_move_iterator(from.begin()), std::make_move_iterator(from.end()));
}

void addOne(Bench& bench, Shelved& shelved, Id by) {
    auto& other = shelved.bench;
    moveIds(other, [by](const char* /*table*/) { return by; });
    const auto tanks = addUnlike(bench.tanks, other.tanks);
    const auto meters = addUnlike(bench.meters, other.meters);
    for (auto& fixture : other.fixtures) fixture.name += " · " + shelved.title;
    for (auto& run : other.runs) {
        put(run.tank, tanks);
        put(run.meter, meters);
        if (!shelved.own && run.read_by.empty()) run.read_by = shelved.title;
    }
    for (auto& record : other.spectra) put(record.tank, tanks);
    append(bench.fixtures, other.fixtures);
    append(bench.accessories, other.accessories);
    append(bench.runs, other.runs);
    append(bench.spectra, other.spectra);
    append(bench.ratings, other.ratings);
}

}  // namespace

bool isShelved(Id id) { return id <= -kShelfStep / 2; }

Bench withShelved(Bench bench, std::vector<Shelved> shelf) {
    Id by = kShelfStep;
    for (auto& shelved : shelf) {
        addOne(bench, shelved, by);
        by += kShelfStep;
    }
    return bench;
}

}  // namespace glumet
