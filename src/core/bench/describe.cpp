#include "core/bench/describe.h"

#include <algorithm>

namespace glumet {
namespace {

template <class Change>
PartType with(PartType part, Change change) {
    change(part);
    return part;
}

}  // namespace

PartType PartType::in(const char* name) const {
    return with(*this, [&](PartType& p) { p.column = name; });
}
PartType PartType::from(int format) const {
    return with(*this, [&](PartType& p) { p.since = format; });
}
PartType PartType::keptIn(KeptIn where) const {
    return with(*this, [&](PartType& p) { p.kept = where; });
}
PartType PartType::atLeast(double value) const {
    return with(*this, [&](PartType& p) { p.least = value; });
}
PartType PartType::atMost(double value) const {
    return with(*this, [&](PartType& p) { p.most = value; });
}
PartType PartType::moreThan(double value) const {
    return with(*this, [&](PartType& p) {
        p.least = value;
        p.above = true;
    });
}
PartType PartType::orUnstated() const {
    return with(*this, [](PartType& p) {
        p.least = 0.0;
        p.unstated = true;
    });
}
PartType PartType::needed() const {
    return with(*this, [](PartType& p) { p.required = true; });
}
PartType PartType::row(const char* name, const char* example) const {
    return with(*this, [&](PartType& p) {
        p.label = name;
        p.hint = example;
    });
}
PartType PartType::seldomWanted() const {
    return with(*this, [](PartType& p) { p.seldom = true; });
}

const PartType& EntityType::list(std::string_view wanted) const {
    return *std::find_if(parts.begin(), parts.end(), [&](const PartType& part) {
        return part.kind == PartKind::Children && part.key == wanted;
    });
}

bool EntityType::hasChildren() const {
    return std::any_of(parts.begin(), parts.end(),
                       [](const PartType& part) { return part.kind == PartKind::Children; });
}

const PartType* EntityType::field(std::string_view wanted) const {
    for (const auto& part : parts)
        if (part.kind == PartKind::Field && part.key == wanted) return &part;
    return nullptr;
}

}  // namespace glumet
