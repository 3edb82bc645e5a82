#pragma once

#include <array>
#include <cstddef>
#include <span>
#include <vector>

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
};

/// A wall crossed `times`; opaque ones are in the image's weight already.
struct PaneCrossing {
    float refractive_index = 1.52F;
    int times = 0;
};

struct Image {
    float sign_x = 1.0F, offset_x = 0.0F;
    float sign_y = 1.0F, offset_y = 0.0F;
    float weight = 1.0F;                  ///< of the opaque walls crossed
    std::array<PaneCrossing, 2> panes_x;  ///< left, right
    std::array<PaneCrossing, 2> panes_y;  ///< front, back
    bool itself = false;                  ///< the tank, no wall crossed
};

/// Sources that share a table.
struct Group {
    const RadialTable* table = nullptr;
    std::span<const Source> sources;
    std::span<const Image> images;
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
