#pragma once

#include <string>
#include <vector>

#include "core/base/spectrum.h"

namespace glumet {

/// A curve that photons are weighed by, 0–1 by wavelength. It tells which part of a light some effect sees,
/// and not how much of the effect there is.
struct WeightingCurve {
    std::string id;
    std::string name;    ///< marked for translation where it is one of ours
    std::string source;  ///< where the curve is from
    Spectrum curve;
};

/// Flat PAR, flat extended PAR, and the photopic eye V(λ) per photon.
const std::vector<WeightingCurve>& readyWeightings();

/// ∫ E·w dλ / ∫ E dλ over 380–780 nm, both in photons; beyond its ends the curve is 0. 0 without light.
double weighedShare(const Spectrum& spectrum, const WeightingCurve& weighting);

}  // namespace glumet
