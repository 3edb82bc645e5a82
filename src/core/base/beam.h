#pragma once

#include <algorithm>
#include <cmath>
#include <optional>
#include <vector>

#include "core/base/problem.h"
#include "core/base/quantity.h"

namespace glumet {

/// Photon intensity of an emitter about its axis, rotationally symmetric, per unit of emitted flux:
/// ∫ I(θ) 2π sin θ dθ = 1 over 0 ≤ θ ≤ π/2, so I is in sr⁻¹.
class Beam {
  public:
    enum class Kind { HalfAngle, CosinePower, Table };

    /// I ∝ cosᵐ θ; m ≥ 0 and finite, or an error naming it.
    static Expected<Beam> cosinePower(double m);
    /// Cosine power that falls to half at `degrees` from the axis, 0 < degrees < 90:
    /// m = ln ½ / ln cos θ½.
    static Expected<Beam> halfAngle(double degrees);
    /// Relative intensities at ascending angles (degrees, 0…90), linear between, the first held towards the
    /// axis, zero beyond the last. Sizes equal and 2…kMostNodes, values ≥ 0 and not all 0.
    static Expected<Beam> table(std::vector<double> theta_deg, std::vector<double> relative);
    static constexpr std::size_t kMostNodes = 20000;

    Kind kind() const { return kind_; }
    /// I(θ), sr⁻¹, for the cosine of the angle to the axis, 0 ≤ cosine ≤ 1.
    double intensity(double cos_theta) const;
    /// dI/d(cos θ), sr⁻¹; for a table that of the piece the angle lies in, and 0 on the axis.
    double intensitySlope(double cos_theta) const;

    /// Angle beyond which no light goes, degrees, ≤ 90.
    double lastAngle() const { return kind_ == Kind::Table ? theta_deg_.back() : 90.0; }
    /// Angles inside (0, 90) at which I or its slope jumps, degrees, ascending.
    const std::vector<double>& breaks() const { return breaks_deg_; }

    /// What the beam is made of: one number (half angle in degrees, or m), or the table's relative values.
    std::vector<double> parameters() const;
    /// ∂I/∂parameter at an angle, in the order of parameters(); the beam stays one unit of flux, so a raised
    /// table value takes from all others.
    std::vector<double> parameterSlopes(double cos_theta) const;

    const std::vector<double>& thetaDeg() const { return theta_deg_; }
    const std::vector<double>& relative() const { return relative_; }

    bool operator==(const Beam&) const = default;

  private:
    Beam() = default;
    struct Place {
        std::size_t node = 0;  ///< the table's node at or above the angle
        double share = 0.0;    ///< of the way from the node below
        bool beyond = false;
    };
    Place placeOf(double theta_deg) const;

    Kind kind_ = Kind::CosinePower;
    double half_angle_deg_ = 0.0;
    double power_ = 1.0;
    double scale_ = 1.0;
    std::vector<double> theta_deg_;
    std::vector<double> relative_;
    std::vector<double> node_weight_;  ///< ∫ 2π sin θ of each node's hat function, sr
    std::vector<double> breaks_deg_;
};

}  // namespace glumet
