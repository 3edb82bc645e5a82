#include "core/words/typed.h"

#include <cmath>
#include <vector>

#include "core/base/trimmed.h"

namespace glumet {
namespace {

/// The parts between any of these signs; empty ones are left out.
std::vector<std::string> partsOf(std::string_view text, const std::vector<std::string_view>& signs) {
    std::vector<std::string> parts;
    std::size_t from = 0;
    const auto take = [&](std::size_t to) {
        if (const auto part = trimmed(text.substr(from, to - from)); !part.empty()) parts.emplace_back(part);
    };
    for (std::size_t at = 0; at < text.size();) {
        std::size_t length = 0;
        for (const auto sign : signs)
            if (text.substr(at).starts_with(sign)) length = sign.size();
        if (length == 0) {
            ++at;
            continue;
        }
        take(at);
        from = at += length;
    }
    take(text.size());
    return parts;
}

std::optional<TypedParts> two(std::vector<std::string> parts) {
    if (parts.size() != 2) return std::nullopt;
    return TypedParts{std::move(parts[0]), std::move(parts[1])};
}

/// Where a part's unit begins.
std::size_t unitAt(std::string_view part) {
    for (std::size_t i = 0; i < part.size(); ++i)
        if ((part[i] >= 'a' && part[i] <= 'z') || part[i] == '"') return i;
    return std::string_view::npos;
}

std::optional<std::pair<Millimetre, Millimetre>> lengthsOf(std::optional<TypedParts> parts, LengthUnit unit) {
    if (!parts) return std::nullopt;
    if (const auto named = unitAt(parts->second);
        named != std::string::npos && unitAt(parts->first) == std::string::npos)
        parts->first += parts->second.substr(named);
    const auto first = parseLength(parts->first, unit);
    const auto second = parseLength(parts->second, unit);
    if (!first || !second || first->value() < 0.0 || second->value() < 0.0) return std::nullopt;
    return std::pair{*first, *second};
}

}  // namespace

std::optional<TypedParts> typedPair(std::string_view text) {
    auto parts = partsOf(text, {"×", "x", "*"});
    if (parts.size() == 1 && text.find_first_of("x*") == std::string_view::npos &&
        text.find("×") == std::string_view::npos) {
        // "4 3", but not "2.8 cm": a second figure stands alone.
        auto words = partsOf(parts.front(), {" "});
        const bool figures = words.size() == 2 && parseNumber(words[0]) && parseNumber(words[1]);
        if (figures) return two(std::move(words));
        return TypedParts{parts.front(), parts.front()};
    }
    return two(std::move(parts));
}

std::optional<TypedParts> typedRange(std::string_view text) { return two(partsOf(text, {"–", "-", ":"})); }

std::optional<std::pair<Millimetre, Millimetre>> parseLengthPair(std::string_view text, LengthUnit unit) {
    return lengthsOf(typedPair(text), unit);
}

std::optional<std::pair<Millimetre, Millimetre>> parseLengthRange(std::string_view text, LengthUnit unit) {
    const auto range = lengthsOf(typedRange(text), unit);
    return range && range->first <= range->second ? range : std::nullopt;
}

std::optional<std::pair<double, double>> parseNumberRange(std::string_view text) {
    const auto parts = typedRange(text);
    const auto low = parts ? parseNumber(parts->first) : std::nullopt;
    const auto high = parts ? parseNumber(parts->second) : std::nullopt;
    if (!low || !high || *low > *high) return std::nullopt;
    return std::pair{*low, *high};
}

std::optional<std::pair<int, int>> parseCounts(std::string_view text, int most) {
    const auto parts = typedPair(text);
    const auto first = parts ? parseNumber(parts->first) : std::nullopt;
    const auto second = parts ? parseNumber(parts->second) : std::nullopt;
    const auto counts = [most](double value) {
        return value >= 1.0 && value <= most && value == std::floor(value);
    };
    if (!first || !second || !counts(*first) || !counts(*second)) return std::nullopt;
    return std::pair{static_cast<int>(*first), static_cast<int>(*second)};
}

}  // namespace glumet
