#include "core/bench/placement.h"

#include <fmt/format.h>

#include <charconv>
#include <string_view>
#include <utility>

namespace glumet {
namespace {

constexpr std::string_view kStart = "centres ";
constexpr std::string_view kEnd = " mm";

/// Numbers parted by commas, nothing else; empty when it is anything else.
std::vector<Millimetre> numbersIn(std::string_view list) {
    std::vector<Millimetre> numbers;
    const char* at = list.data();
    const char* end = at + list.size();
    while (at != end) {
        double value = 0.0;
        const auto [stop, error] = std::from_chars(at, end, value);
        if (error != std::errc()) return {};
        numbers.emplace_back(value);
        at = stop;
        while (at != end && (*at == ',' || *at == ' ')) ++at;
    }
    return numbers;
}

}  // namespace

std::string Placement::text() const {
    if (centres.empty()) return words;
    std::string list(kStart);
    for (std::size_t i = 0; i < centres.size(); ++i)
        list += fmt::format("{}{}", i == 0 ? "" : ", ", centres[i].value());
    return list + std::string(kEnd);
}

Placement Placement::of(std::string text) {
    Placement placement;
    const std::string_view whole = text;
    if (whole.starts_with(kStart) && whole.ends_with(kEnd) && whole.size() > kStart.size() + kEnd.size())
        placement.centres =
            numbersIn(whole.substr(kStart.size(), whole.size() - kStart.size() - kEnd.size()));
    if (placement.centres.empty()) placement.words = std::move(text);
    return placement;
}

Placement placementAt(std::vector<Millimetre> centres) { return {std::move(centres), {}}; }

std::vector<Millimetre> equalDivision(Millimetre length, int count) {
    std::vector<Millimetre> centres;
    for (int i = 0; i < count; ++i) centres.push_back(length * (i + 1.0) / (count + 1.0));
    return centres;
}

std::vector<Millimetre> withSpread(Millimetre length, int count, Millimetre spread) {
    auto centres = equalDivision(length, count);
    if (count < 2) return centres;
    centres.front() = (length - spread) / 2.0;
    centres.back() = (length + spread) / 2.0;
    return centres;
}

}  // namespace glumet
