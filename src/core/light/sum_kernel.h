#pragma once

#include <array>
#include <cstddef>
#include <span>
#include <vector>

#include "core/light/azimuth_fold.h"
#include "core/light/radial_table.h"

namespace glumet {

/// The inner loop of the fast field: sums table look-ups over sources and images for blocks of receivers,
/// in vectors of whatever width the processor has. Values are floats: their rounding, 10⁻⁷, is far below the
/// tables' error.
namespace kernel {

/// Receivers come in blocks of so many, padded with copies of the last.
inline constexpr std::size_t kBlock = 16;

struct Source {
    float x = 0.0F;  ///< mm, relative to the footprint's corner
    float y = 0.0F;
    float flux = 0.0F;
    bool inside = false;  ///< over the footprint
    bool shrouded = false;
    float cos_turn = 1.0F;  ///< of its fixture
    float sin_turn = 0.0F;
    /// Slopes (tan θ cos φ, tan θ sin φ) in the fixture's frame between which light leaves the shroud.
    std::array<float, 2> shroud_x{};
    std::array<float, 2> shroud_y{};
};

/// A wall crossed `times`; opaque ones are in the image's weight already.
struct PaneCrossing {
    float refractive_index = 1.52F;
    int times = 0;
};

/// A part of something in the way, in the unfolded tank, for one group and image. The way through its layer
/// runs between two places: `from` and `to` are shares of the run from the receiver back to the entry point
/// in the water, of that from the source to the entry point in air.
struct Obstruction {
    std::uint32_t obstacle = 0;  ///< parts of one stand together; a path is dimmed once by each
    bool air = false;
    bool disc = false;
    float centre_x = 0.0F, centre_y = 0.0F;
    float half_x = 0.0F, half_y = 0.0F;  ///< of a box; half_x is a disc's radius
    float from = 0.0F, to = 0.0F;
    /// Shares of the way from the receiver to the source, straight as seen from above, between which a ray of
    /// this group can be in the layer.
    float least = 0.0F, most = 0.0F;
    float transmittance = 0.0F;
};

struct Image {
    float sign_x = 1.0F, offset_x = 0.0F;
    float sign_y = 1.0F, offset_y = 0.0F;
    float weight = 1.0F;                  ///< of the opaque walls crossed
    std::array<PaneCrossing, 2> panes_x;  ///< left, right
    std::array<PaneCrossing, 2> panes_y;  ///< front, back
    bool itself = false;                  ///< the tank, no wall crossed
    std::vector<Obstruction> obstructions;
};

/// Bounds, or how far a block lies beyond the footprint's four sides, mm.
struct Box {
    float x_low = 0.0F, x_high = 0.0F, y_low = 0.0F, y_high = 0.0F;
};

/// Sources that share a table.
struct Group {
    const RadialTable* table = nullptr;
    const AzimuthFold* fold = nullptr;
    std::span<const Source> sources;
    std::span<const Image> images;
    Box bounds;              ///< of the sources
    float height = 0.0F;     ///< of the sources, mm
    float reach = 0.0F;      ///< longest horizontal run in the water, mm; may be +∞
    float run_ratio = 0.0F;  ///< longest run in water per run in air, d/(n h)
};

struct Footprint {
    float length = 0.0F;
    float width = 0.0F;
    float refractive_index = 1.333F;
};

/// Adds the light of every group to `sums` for blocks first…last−1. xs, ys, sums hold whole blocks.
void addLight(const Footprint& footprint, std::span<const Group> groups, std::span<const float> xs,
              std::span<const float> ys, std::span<float> sums, std::size_t first, std::size_t last);

/// Name of the instruction set chosen for this processor.
const char* instructionSet();

}  // namespace kernel
}  // namespace glumet
