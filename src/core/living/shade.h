#pragma once

#include <optional>
#include <vector>

#include "core/bench/bench.h"
#include "core/light/scene.h"
#include "core/living/tank_map.h"

namespace glumet {

/// A tank's rocks and colonies as the light meets them.
std::vector<SceneObstacle> rocksIn(const Bench& bench, Id tank);

/// What light a spot keeps of what it would have without anything in the water.
struct SpotShade {
    Id spot = 0;
    double by_model = 1.0;          ///< by the rocks as they are drawn, 0–1
    std::optional<double> as_read;  ///< reading / light without rocks, at the level of the other spots
    /// As read it is a third darker than the rocks explain: something else grew or stands there.
    bool more_than_rocks = false;

    /// Less than 85 % is left, or more is missing than the rocks take.
    bool worthSaying() const { return by_model < 0.85 || more_than_rocks; }
};

/// The spots of a tank that were read last, or that a rock shades, by the fixtures' light with the rocks and
/// without. The level of `with` need not be right: the median of reading / with over all spots brings it to
/// the readings.
std::vector<SpotShade> shadesIn(const Bench& bench, Id tank, const ExpectedLight& with,
                                const ExpectedLight& without);

/// Light that would reach a spot past the rocks, as a share of what the same light would give without them.
struct ReachUnder {
    std::optional<double> front;  ///< a strip over the front edge, as long as the tank
    std::optional<double> back;
    std::optional<double> left;
    std::optional<double> right;
    double hung = 1.0;             ///< the fixtures as they hang
    std::optional<double> turned;  ///< each turned by 90°: its light against that as they hang
};
/// Strips hang as high as the scene's first fixture, with light in all directions alike (Lambert). `scene`
/// holds the fixtures and the rocks.
ReachUnder reachUnder(const LightScene& scene, Millimetre x, Millimetre y, Millimetre depth);

}  // namespace glumet
