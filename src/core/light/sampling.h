#pragma once

#include <array>
#include <optional>
#include <vector>

#include "core/base/band.h"
#include "core/base/lattice.h"
#include "core/light/exact_field.h"
#include "core/light/fast_field.h"

namespace glumet {

/// A point in the tank, mm: x from the left, y from the front, depth from the surface.
struct Place {
    double x_mm = 0.0;
    double y_mm = 0.0;
    double depth_mm = 0.0;
};

/// PPFD at `count` ≥ 2 places evenly along the straight line between two, ends included; µmol·m⁻²·s⁻¹.
std::vector<Ppfd> alongLine(const ExactField& field, const Place& from, const Place& to, int count);

/// PPFD in the whole water at the centres of cells of about one pitch; values [layer][row][column], x
/// fastest.
struct LightVolume {
    std::vector<double> xs_mm;
    std::vector<double> ys_mm;
    std::vector<double> depths_mm;
    std::vector<double> values;

    std::size_t nodes() const { return values.size(); }
    double at(std::size_t column, std::size_t row, std::size_t layer) const {
        return values[(layer * ys_mm.size() + row) * xs_mm.size() + column];
    }
};

/// Samples the volume; pitch 1 mm…the tank's size, and at most kMostNodes nodes, or the error says so.
Expected<LightVolume> sampleVolume(FastField& field, Millimetre pitch);
inline constexpr double kMostNodes = 4e6;

/// Share of the volume's nodes with low ≤ PPFD ≤ high, 0–1. Needs nodes.
double shareInBand(const LightVolume& volume, const Band& band);

/// Between which depths a column of water lies in a band: the two iso-PPFD surfaces that bound it, at one
/// place.
struct BandRange {
    enum class Kind { None, Part, All };
    Kind kind = Kind::None;
    Millimetre from{0};  ///< shallowest depth in the band, linear between nodes
    Millimetre to{0};    ///< deepest
    double share = 0.0;  ///< of the column's nodes in the band, 0–1
};
/// One a column of the volume, row by row from the front. A column may leave the band and come back, where
/// light from the walls adds up; `share` tells.
std::vector<BandRange> bandRanges(const LightVolume& volume, const Band& band);

/// A vertical slice along x at y: PPFD over (x, depth) as a surface whose rows are depths.
Surface verticalSlice(FastField& field, Millimetre y, Millimetre pitch);

}  // namespace glumet
