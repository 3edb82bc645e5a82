#include "core/living/zones.h"

#include <algorithm>

#include "core/living/places.h"

namespace glumet {
namespace {

constexpr double kPitchMm = 40.0;
constexpr double kUnlit = 0.25;
constexpr double kSeamSeen = 0.9;  // of the lower hump
constexpr double kFloorMm = 10.0;  // a probe stands that high
constexpr double kCornerMm = 40.0;

int placesAlong(double length) { return std::max(2, static_cast<int>(length / kPitchMm)); }

double middleOf(double length, int i, int count) { return length * (i + 0.5) / count; }

/// The deepest dip between two humps of a line.
std::optional<TankZones::Seam> seamOf(const std::vector<std::pair<double, double>>& line) {
    std::optional<TankZones::Seam> seam;
    for (std::size_t i = 1; i + 1 < line.size(); ++i) {
        const auto higher = [](const auto& a, const auto& b) { return a.second < b.second; };
        const auto middle = line.begin() + static_cast<std::ptrdiff_t>(i);
        const double left = std::max_element(line.begin(), middle, higher)->second;
        const double right = std::max_element(middle + 1, line.end(), higher)->second;
        const double share = line[i].second / std::min(left, right);
        if (share < (seam ? seam->share : kSeamSeen)) seam = {line[i].first, share};
    }
    return seam;
}

}  // namespace

TankZones zonesOf(const TankMap& map, const Tank& tank, Millimetre depth, const Band& band) {
    TankZones out;
    if (map.readings() == 0) return out;
    const double length = tank.length.value();
    const double width = tank.width.value();
    const int columns = placesAlong(length);
    const int rows = placesAlong(width);
    std::array<int, 3> counts{};
    double brightest = 0.0;
    for (int row = 0; row < rows; ++row)
        for (int column = 0; column < columns; ++column) {
            const double x = middleOf(length, column, columns);
            const double y = middleOf(width, row, rows);
            if (const auto here = map.at(x, y, depth.value()); here.told) {
                ++counts[static_cast<std::size_t>(zoneOf(Ppfd(here.ppfd), band))];
                brightest = std::max(brightest, here.ppfd);
            }
            const auto floor = map.at(x, y, std::max(0.0, tank.water_depth.value() - kFloorMm));
            if (floor.told) out.floor_least = std::min(out.floor_least.value_or(floor.ppfd), floor.ppfd);
        }
    const int told = counts[0] + counts[1] + counts[2];
    if (told == 0) return out;
    const auto share = [&](LightZone zone) {
        return static_cast<double>(counts[static_cast<std::size_t>(zone)]) / told;
    };
    out.here = {share(LightZone::Dim), share(LightZone::Middle), share(LightZone::Bright),
                static_cast<double>(told) / (rows * columns)};
    for (const bool right : {false, true})
        for (const bool back : {false, true}) {
            const auto corner = map.at(right ? length - kCornerMm : kCornerMm,
                                       back ? width - kCornerMm : kCornerMm, depth.value());
            if (corner.told && corner.ppfd < kUnlit * brightest)
                out.unlit.push_back({right, back, corner.ppfd / brightest});
        }
    std::vector<std::pair<double, double>> line;
    for (int column = 0; column < columns; ++column) {
        const double x = middleOf(length, column, columns);
        if (const auto here = map.at(x, width / 2.0, depth.value()); here.told)
            line.emplace_back(x, here.ppfd);
    }
    if (static_cast<int>(line.size()) == columns) out.seam = seamOf(line);
    return out;
}

}  // namespace glumet
