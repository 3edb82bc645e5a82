#pragma once

#include <string>
#include <vector>

#include "core/bench/run.h"

namespace glumet {

/// Centres of n fixtures along a tank by equal division: (i + 1)·length/(n + 1). n ≥ 1.
std::vector<Millimetre> equalDivision(Millimetre length, int count);

/// The same with the outermost two moved, about the middle, until `spread` lies between them; inner ones
/// stay. One fixture stays in the middle.
std::vector<Millimetre> withSpread(Millimetre length, int count, Millimetre spread);

/// Run::placement for fixtures at these places along the length: "centres 300, 900 mm".
std::string placementText(const std::vector<Millimetre>& centres);

/// The places that placementText() wrote; empty for any other text.
std::vector<Millimetre> centresOf(const std::string& placement);

/// Where a run's fixtures hang along a tank of this length, mm: as its placement says when it names as many
/// centres as fixtures hang, else by equal division.
std::vector<double> hangingPlaces(const Run& run, double length_mm);

}  // namespace glumet
