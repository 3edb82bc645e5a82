#pragma once

#include <algorithm>
#include <cmath>
#include <optional>
#include <vector>

#include "core/base/problem.h"
#include "core/base/quantity.h"

namespace glumet {

/// Photon intensity of an emitter about its axis per unit of emitted flux, in sr⁻¹:
///   ∫∫ I(θ, φ) sin θ dθ dφ = 1 over 0 ≤ θ ≤ π/2 and all azimuths,
/// so that a rotationally symmetric one has ∫ I(θ) 2π sin θ dθ = 1. φ turns from the fixture's +x towards +y.
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
    /// The same for several azimuths, one list over θ each, linear in φ between. φ (degrees) ascends from 0
    /// by kLeastStep or more to 90 (two planes of symmetry), 180 (symmetric about the x axis) or 360 (its
    /// last list is the first). In all at most kMostNodes values.
    static Expected<Beam> planes(std::vector<double> theta_deg, std::vector<double> phi_deg,
                                 const std::vector<std::vector<double>>& relative);
    static constexpr std::size_t kMostNodes = 20000;
    static constexpr double kLeastStep = 0.01;

    Kind kind() const { return kind_; }
    /// Whether every azimuth is the same.
    bool round() const { return phi_deg_.empty(); }
    /// I(θ), sr⁻¹, for the cosine of the angle to the axis, 0 ≤ cosine ≤ 1; the mean over all azimuths of a
    /// beam that is not round.
    double intensity(double cos_theta) const;
    /// dI/d(cos θ), sr⁻¹; for a table that of the piece the angle lies in, and 0 on the axis.
    double intensitySlope(double cos_theta) const;

    /// A direction, and how intensity changes there.
    struct Ray {
        double cos_theta = 1.0;
        double phi = 0.0;  ///< radians, any
    };
    double intensity(const Ray& ray) const;
    double intensitySlope(const Ray& ray) const;
    /// dI/dφ, sr⁻¹; that of the piece the azimuth lies in.
    double azimuthSlope(const Ray& ray) const;
    /// I along the plane at phiDeg()[plane]; of a round beam there is one.
    double planeIntensity(std::size_t plane, double cos_theta) const;

    /// Angle beyond which no light goes, degrees, ≤ 90.
    double lastAngle() const { return kind_ == Kind::Table ? theta_deg_.back() : 90.0; }
    /// Angles inside (0, 90) at which I or its slope jumps, degrees, ascending.
    const std::vector<double>& breaks() const { return breaks_deg_; }

    /// What the beam is made of: one number (half angle in degrees, or m), or the table's relative values,
    /// plane by plane.
    std::vector<double> parameters() const;
    /// ∂I/∂parameter in a direction, in the order of parameters(); the beam stays one unit of flux, so a
    /// raised table value takes from all others.
    std::vector<double> parameterSlopes(const Ray& ray) const;

    const std::vector<double>& thetaDeg() const { return theta_deg_; }
    /// Azimuths of the planes; empty for a round beam.
    const std::vector<double>& phiDeg() const { return phi_deg_; }
    std::size_t planeCount() const { return round() ? 1 : phi_deg_.size(); }
    /// Relative values, plane by plane.
    const std::vector<double>& relative() const { return relative_; }
    std::vector<double> planeRelative(std::size_t plane) const;

    bool operator==(const Beam&) const = default;

  private:
    Beam() = default;
    struct Place {
        std::size_t node = 0;  ///< the table's node at or above the angle
        double share = 0.0;    ///< of the way from the node below
        bool beyond = false;
    };
    struct Azimuth {
        std::size_t plane = 0;  ///< the plane at or below
        double share = 0.0;     ///< of the way to the next
        double per_rad = 0.0;   ///< change of the share with φ
    };
    Place placeOf(double theta_deg) const;
    Azimuth azimuthOf(double phi) const;
    double relativeAt(std::size_t plane, const Place& at) const;
    double slopeAt(std::size_t plane, double cos_theta) const;
    bool setTable(std::vector<double> theta_deg, std::vector<double> relative);

    Kind kind_ = Kind::CosinePower;
    double half_angle_deg_ = 0.0;
    double power_ = 1.0;
    double scale_ = 1.0;
    std::vector<double> theta_deg_;
    std::vector<double> phi_deg_;
    std::vector<double> relative_;
    std::vector<double> node_weight_;   ///< ∫ 2π sin θ of each node's hat function, sr
    std::vector<double> plane_weight_;  ///< share of all azimuths that each plane stands for
    std::vector<double> breaks_deg_;
};

}  // namespace glumet
