#pragma once

#include <vector>

#include "core/problem.h"
#include "core/quantity.h"

namespace glumet {

/// Photon intensity of an emitter about its axis, rotationally symmetric, per unit of emitted flux:
/// ∫ I(θ) 2π sin θ dθ = 1 over 0 ≤ θ ≤ π/2, so I is in sr⁻¹.
class Beam {
  public:
    /// I ∝ cosᵐ θ; m ≥ 0 and finite, or an error naming it.
    static Expected<Beam> cosinePower(double m);
    /// Cosine power that falls to half at `degrees` from the axis, 0 < degrees < 90:
    /// m = ln ½ / ln cos θ½.
    static Expected<Beam> halfAngle(double degrees);
    /// Relative intensities at ascending angles (degrees, 0…90), linear between, zero beyond the last.
    /// Sizes equal and ≥ 2, values ≥ 0 and not all 0.
    static Expected<Beam> table(std::vector<double> theta_deg, std::vector<double> relative);

    /// I(θ), sr⁻¹, for the cosine of the angle to the axis, 0 ≤ cosine ≤ 1.
    double intensity(double cos_theta) const;

  private:
    Beam() = default;
    double tableValue(double theta_deg) const;

    double power_ = 1.0;
    double scale_ = 1.0;
    std::vector<double> theta_deg_;  ///< empty: cosine power
    std::vector<double> relative_;
};

}  // namespace glumet
