#include "core/bench/field_rules.h"

#include <cmath>
#include <map>
#include <string_view>

#include "core/base/limits.h"
#include "core/base/utf8.h"
#include "core/bench/bench.h"

namespace glumet::rules {
namespace {

std::optional<Words> ofNumber(const PartType& field, double reach, double value) {
    if (!std::isfinite(value)) return say(GLUMET_SAY("Core", "is no number"));
    if (value > field.most || value > reach) return say(GLUMET_SAY("Core", "is above its greatest value"));
    if (!field.holds(value) || value < -reach) return say(GLUMET_SAY("Core", "is below its least value"));
    return std::nullopt;
}

/// Names are short; notes, spectra and the like are not.
std::size_t longestText(std::string_view key) {
    for (const char* name : {"name", "run", "maker", "kind", "currency", "time", "calibrated_on", "subject",
                             "claimed_coverage", "flag"})
        if (key == name) return limits::kNameBytes;
    return limits::kTextBytes;
}

std::optional<Words> ofGrid(const Grid& grid) {
    if (grid.xs_mm.size() > limits::kAlongLattice || grid.ys_mm.size() > limits::kAlongLattice ||
        grid.cells() > limits::kCells)
        return sayCounted(GLUMET_SAY_N("Core", "has more than {} cells"), Count{limits::kCells});
    for (const auto* axis : {&grid.xs_mm, &grid.ys_mm})
        for (const double at : *axis)
            if (!std::isfinite(at) || std::abs(at) > limits::kLengthMm)
                return say(GLUMET_SAY("Core", "is no number"));
    for (const auto& [cell, name] : grid.names)
        if (auto fault = ofText(name, limits::kNameBytes)) return fault;
    return std::nullopt;
}

std::optional<Words> ofTexts(const std::map<std::string, std::string>& texts) {
    for (const auto& [key, text] : texts) {
        if (auto fault = ofText(key, limits::kNameBytes)) return fault;
        if (auto fault = ofText(text, limits::kTextBytes)) return fault;
    }
    return std::nullopt;
}

std::optional<Words> ofValue(const PartType& field, const ValueType& type, const void* value);

std::optional<Words> ofList(const PartType& field, const ValueType& type, const void* list) {
    const auto size = type.size(list);
    if (size > limits::kListed) return say(GLUMET_SAY("Core", "holds too many"));
    for (std::size_t i = 0; i < size; ++i)
        if (auto fault = ofValue(field, *type.inner, type.at(list, i))) return fault;
    return std::nullopt;
}

std::optional<Words> ofWalls(const std::array<Wall, 4>& walls) {
    for (const auto& wall : walls)
        if (auto fault = ofFields(entityType<Wall>(), &wall)) return fault;
    return std::nullopt;
}

std::optional<Words> ofValue(const PartType& field, const ValueType& type, const void* value) {
    switch (type.kind) {
        case ValueKind::Number:
            return ofNumber(field, type.reach, type.number(value));
        case ValueKind::Whole:
            return ofNumber(field, type.reach, static_cast<double>(type.whole(value)));
        case ValueKind::Text:
            return ofText(*static_cast<const std::string*>(value), longestText(field.key));
        case ValueKind::Spelled:
            return ofText(type.text(value), limits::kNameBytes);
        case ValueKind::Grid:
            return ofGrid(*static_cast<const Grid*>(value));
        case ValueKind::Walls:
            return ofWalls(*static_cast<const std::array<Wall, 4>*>(value));
        case ValueKind::Described:
            return ofFields(type.entity(), value);
        case ValueKind::Optional: {
            const void* held = type.held(value);
            return held == nullptr ? std::nullopt : ofValue(field, *type.inner, held);
        }
        case ValueKind::Texts:
            return ofTexts(*static_cast<const std::map<std::string, std::string>*>(type.texts(value)));
        case ValueKind::List:
            return ofList(field, type, value);
        case ValueKind::Flag:
        case ValueKind::Word:
        case ValueKind::Beam:
        case ValueKind::Response:
            return std::nullopt;
    }
    return std::nullopt;
}

}  // namespace

std::optional<Words> ofText(const std::string& text, std::size_t longest) {
    if (text.size() > longest)
        return sayCounted(GLUMET_SAY_N("Core", "is longer than {} bytes"), countOf(longest));
    if (!isUtf8(text)) return say(GLUMET_SAY("Core", "is not UTF-8 text"));
    return std::nullopt;
}

std::optional<Words> ofField(const PartType& field, const void* value) {
    return field.isReference() ? std::nullopt : ofValue(field, *field.type, value);
}

std::optional<Words> ofFields(const EntityType& type, const void* entity) {
    for (const auto& part : type.parts)
        if (part.kind == PartKind::Field)
            if (auto fault = ofField(part, part.of(entity))) return fault;
    return std::nullopt;
}

}  // namespace glumet::rules
