#include "core/bench/placement.h"

#include <fmt/format.h>

#include <cstdio>

namespace glumet {
namespace {

constexpr std::string_view kStart = "centres ";
constexpr std::string_view kEnd = " mm";

}  // namespace

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

std::string placementText(const std::vector<Millimetre>& centres) {
    std::string text(kStart);
    for (std::size_t i = 0; i < centres.size(); ++i)
        text += fmt::format("{}{:g}", i == 0 ? "" : ", ", centres[i].value());
    return text + std::string(kEnd);
}

std::vector<Millimetre> centresOf(const std::string& placement) {
    std::vector<Millimetre> centres;
    if (!placement.starts_with(kStart) || !placement.ends_with(kEnd)) return centres;
    const char* at = placement.c_str() + kStart.size();
    double value = 0.0;
    int used = 0;
    while (std::sscanf(at, "%lf%n", &value, &used) == 1) {
        centres.emplace_back(value);
        at += used;
        if (*at == ',') ++at;
    }
    return centres;
}

std::vector<double> hangingPlaces(const Run& run, double length_mm) {
    auto centres = centresOf(run.placement);
    if (centres.size() != static_cast<std::size_t>(run.fixtures))
        centres = equalDivision(Millimetre(length_mm), run.fixtures);
    std::vector<double> places;
    for (const auto centre : centres) places.push_back(centre.value());
    return places;
}

}  // namespace glumet
