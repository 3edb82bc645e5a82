#pragma once

#include <array>
#include <optional>
#include <vector>

#include "core/bench/tank.h"
#include "core/living/tank_map.h"

namespace glumet {

/// One depth of a tank against a band: shares of the places whose light is told, and how much is told at all.
struct ZoneShares {
    double dim = 0.0;
    double middle = 0.0;
    double bright = 0.0;
    double told = 0.0;  ///< of all places

    bool operator==(const ZoneShares&) const = default;
};

/// A corner that gets less than a quarter of the brightest place of its depth.
struct UnlitCorner {
    bool right = false;
    bool back = false;
    double share = 0.0;  ///< of the brightest place told
};

/// What a map of a tank says of one depth and of its floor.
struct TankZones {
    ZoneShares here;
    std::vector<UnlitCorner> unlit;     ///< only corners whose light is told
    std::optional<double> floor_least;  ///< least light told on the floor, a reading's height above it
    /// Where two fixtures' light meets: place along the length of the deepest dip between two humps of the
    /// middle line, as a share of the lower hump. Nothing where it is no more than a tenth, or not told.
    struct Seam {
        double x_mm = 0.0;
        double share = 1.0;
    };
    std::optional<Seam> seam;
};

/// Of a map at a depth, for a goal's band; places about 40 mm apart.
TankZones zonesOf(const TankMap& map, const Tank& tank, Millimetre depth, const Band& band);

}  // namespace glumet
