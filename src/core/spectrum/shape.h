#pragma once

#include <optional>
#include <vector>

#include "core/base/spectrum.h"

namespace glumet {

/// A maximum of the curve that stands out of its surroundings by a twentieth of the highest.
struct SpectralPeak {
    double nm = 0.0;
    double height = 0.0;             ///< of the curve, as it is
    std::optional<double> width_nm;  ///< full width at half of its height; nothing where a neighbour hides it
};
std::vector<SpectralPeak> peaksOf(const Spectrum& spectrum);

/// A stretch of 10 nm or more within 410–690 nm in which there are less than a quarter of the photons per nm
/// that 400–700 nm has in the mean, between stretches that have more.
struct SpectralGap {
    double from_nm = 0.0;
    double to_nm = 0.0;
};
std::vector<SpectralGap> gapsOf(const Spectrum& spectrum);

/// How wide the blue–violet part is: nm around its highest value within 380–500 nm in which the curve stays
/// at `share` of that or above, within that span; 0 where there is less than a thousandth of the highest
/// value.
double blueWidth(const Spectrum& spectrum, double share);

}  // namespace glumet
