#pragma once

#include <array>
#include <vector>

#include "core/base/beam.h"

namespace glumet {

/// Smooth beams as sums of bells: cubic B-splines over the angle from the axis on equal intervals of
/// 90°/kIntervals, even about the axis (de Boor 1978, A Practical Guide to Splines). Non-negative
/// coefficients give a non-negative beam. A coefficient has the unit of intensity, µmol·s⁻¹·sr⁻¹.
class BeamBasis {
  public:
    static constexpr int kIntervals = 18;
    static constexpr int kSize = kIntervals + 2;
    using Coefficients = std::array<double, kSize>;

    /// Adds weight × each bell's height at an angle, 0…90 degrees, to a row of kSize.
    static void addTo(double theta_deg, double weight, double* row);
    /// Intensity of a beam at an angle.
    static double intensity(const Coefficients& beam, double theta_deg);
    /// Emitted flux, ∫ I 2π sin θ dθ, of each bell.
    static const Coefficients& fluxes();
    /// The same beam as a table every degree.
    static Expected<Beam> tableOf(const Coefficients& beam);
};

}  // namespace glumet
