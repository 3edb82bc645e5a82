#pragma once

#include <array>
#include <string>
#include <vector>

#include "core/base/id.h"
#include "core/base/quantity.h"
#include "core/base/value.h"
#include "core/base/wall.h"

namespace glumet {

/// One side of the tank. Clear glass and acrylic have air behind them and reflect inside; opaque means
/// painted, covered or filmed on the outside.
struct Wall {
    WallKind kind = WallKind::Glass;
    double reflectance = 0.05;  ///< of an opaque wall, 0–1

    bool operator==(const Wall&) const = default;
};

enum class WaterKind { Fresh, Sea };
/// A bare painted-back bench compares fixtures; a living tank shows what livestock gets. Never mixed.
enum class TankUse { Bench, Living };

/// Something no probe gets through from above: a brace, a pump, a pipe. A rectangle in plan, mm, from < to.
struct Obstacle {
    std::string name;
    Millimetre from_x{0};
    Millimetre to_x{0};
    Millimetre from_y{0};
    Millimetre to_y{0};

    bool operator==(const Obstacle&) const = default;
};

/// A named place that is read by itself, 0 ≤ x ≤ length, 0 ≤ y ≤ width.
struct Spot {
    std::string name;
    Millimetre x{0};
    Millimetre y{0};

    bool operator==(const Spot&) const = default;
};

/// Inner sizes, all > 0 mm. x runs along the length from the left, y from front to back, depth downward
/// from the surface.
struct Tank {
    GLUMET_VALUE(Tank);

    Id id = 0;
    std::string name;
    Millimetre length{600};
    Millimetre width{600};
    Millimetre water_depth{560};
    std::array<Wall, 4> walls{};  ///< in the order of kSides
    WaterKind water_kind = WaterKind::Fresh;
    TankUse use = TankUse::Bench;
    std::vector<Obstacle> obstacles;

    const Wall& wall(Side side) const { return walls[static_cast<std::size_t>(side)]; }
    Wall& wall(Side side) { return walls[static_cast<std::size_t>(side)]; }
    bool operator==(const Tank&) const = default;
};

}  // namespace glumet
