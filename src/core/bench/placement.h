#pragma once

#include <string>
#include <vector>

#include "core/base/quantity.h"

namespace glumet {

/// Where several fixtures hang: centres along the tank's middle, or words that files brought. Neither: by
/// equal division.
struct Placement {
    std::vector<Millimetre> centres;
    std::string words;

    bool empty() const { return centres.empty() && words.empty(); }
    /// "centres 300, 900 mm", the words, or nothing; of() reads it, whatever the locale.
    std::string text() const;
    static Placement of(std::string text);
    auto operator<=>(const Placement&) const = default;
};

/// Centres of n fixtures along a tank by equal division: (i + 1)·length/(n + 1). n ≥ 1.
std::vector<Millimetre> equalDivision(Millimetre length, int count);

/// A placement at these places along the length.
Placement placementAt(std::vector<Millimetre> centres);

/// Equal division with the outermost two moved, about the middle, until `spread` lies between them; inner
/// ones stay. One fixture stays in the middle.
std::vector<Millimetre> withSpread(Millimetre length, int count, Millimetre spread);

}  // namespace glumet
