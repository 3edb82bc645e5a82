#pragma once

#include <array>
#include <span>
#include <vector>

#include "core/base/beam.h"

namespace glumet {

/// How a fitted beam turns about its axis: not at all; with two planes of symmetry, along and across the
/// fixture; or anyhow.
enum class BeamShape { Round, TwoPlanes, Free };

/// Smooth beams as sums of bells. Over the angle from the axis: cubic B-splines on equal intervals of
/// 90°/kIntervals, even about the axis (de Boor 1978, A Practical Guide to Splines). About the axis: the same
/// over the azimuth, mirrored at 0° and 90° every 15° for two planes of symmetry, periodic every 45° for a
/// free beam; one for a round one. Non-negative coefficients give a non-negative beam. A coefficient has the
/// unit of intensity, µmol·s⁻¹·sr⁻¹; those of one azimuth stand together.
class BeamBasis {
  public:
    static constexpr int kIntervals = 18;
    static constexpr int kSize = kIntervals + 2;  ///< of one azimuth, and of a round beam

    static int azimuths(BeamShape shape);
    static int size(BeamShape shape) { return kSize * azimuths(shape); }
    /// Share of a whole turn that each azimuth's bell stands for; sums to 1.
    static std::vector<double> turnShares(BeamShape shape);

    /// Adds weight × each bell's height to a row of size(shape), in a direction: 0…90 degrees from the axis,
    /// any azimuth in radians from the fixture's +x.
    static void addTo(BeamShape shape, double theta_deg, double phi, double weight, double* row);
    /// Intensity of a beam in a direction.
    static double intensity(BeamShape shape, std::span<const double> beam, double theta_deg, double phi);
    /// Emitted flux, ∫∫ I sin θ dθ dφ, of each bell.
    static const std::vector<double>& fluxes(BeamShape shape);
    /// The same beam as a table every degree, and every 7.5° of azimuth where it is not round.
    static Expected<Beam> tableOf(BeamShape shape, std::span<const double> beam);
};

/// BeamBasis::intensity() of one beam for many directions: the cubic of every interval is worked out before.
class BeamCurve {
  public:
    BeamCurve(BeamShape shape, std::span<const double> beam);
    /// As BeamBasis::intensity().
    double at(double theta_deg, double phi) const;

    /// An intensity and how it answers to the angle from the axis, per degree, and to the azimuth, per
    /// radian.
    struct Slopes {
        double value = 0.0;
        double by_theta_deg = 0.0;
        double by_phi = 0.0;
    };
    Slopes slopesAt(double theta_deg, double phi) const;

  private:
    /// Of one azimuth's bells; by_phi is left out.
    Slopes outward(int azimuth, int interval, double t) const;
    using Cubic = std::array<double, 4>;  ///< coefficients of 1, t, t², t³ in an interval
    BeamShape shape_;
    std::vector<Cubic> pieces_;  ///< kIntervals an azimuth, those of one azimuth together
};

}  // namespace glumet
