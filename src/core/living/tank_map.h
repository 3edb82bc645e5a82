#pragma once

#include <array>
#include <functional>
#include <vector>

#include "core/bench/bench.h"
#include "core/living/survey_history.h"

namespace glumet {

/// A place whose light is told from readings around it.
struct MapPoint {
    double ppfd = 0.0;
    double lo = 0.0;  ///< 95 % interval
    double hi = 0.0;
    /// Known well enough to be coloured: within a third either way, 95 times in 100, not beside something
    /// that was read shaded, and without an expected light by readings near it, which take away half of the
    /// doubt.
    bool told = false;
};

/// What would be expected without the readings at a place (x, y, depth in mm), µmol·m⁻²·s⁻¹: a fitted
/// fixture's light, say. Empty: the readings' own fall with depth.
using ExpectedLight = std::function<double(double x_mm, double y_mm, double depth_mm)>;

/// The light of a furnished tank from scattered readings, by a Gaussian process on ln PPFD (Rasmussen &
/// Williams 2006, Gaussian Processes for Machine Learning, ch. 2):
///   ln E = ln mean(x) + f,  cov(f, f') = s² exp(−(Δx² + Δy²)/2ℓ² − Δz²/2ℓ²),
/// with each reading's own noise: half its swing's logarithm over two, 3 % at least. What was read shaded
/// says nothing of the field around it: it is left out, and so is its neighbourhood. Without an expected
/// light the mean is a straight line over depth, fitted along. ℓ and s are those of a small lattice under
/// which the readings are most probable. Where nothing was read near, the interval is wide and the point is
/// not told.
class TankMap {
  public:
    TankMap() = default;
    /// The latest readings of these spots; without one it tells nothing.
    static TankMap of(const std::vector<TankSpot>& spots, const ExpectedLight& expected = {});

    MapPoint at(double x_mm, double y_mm, double depth_mm) const;
    int readings() const { return static_cast<int>(places_.size()); }

  private:
    struct Place {
        double x, y, z, log, noise;
    };
    double correlation(const Place& a, const Place& b) const;
    std::vector<double> correlation() const;
    void settle();
    /// The logarithm of the evidence; what at() asks only for the whole.
    double solve(const std::vector<double>& alike, bool whole);

    std::vector<Place> places_;
    std::vector<std::array<double, 3>> shades_;  ///< places that were read shaded
    ExpectedLight expected_;
    double scale_mm_ = 180.0;
    double sd_ = 0.4;
    double level_ = 0.0;  ///< of the mean line, and its slope a mm
    double slope_ = 0.0;
    std::vector<double> inverse_;         ///< of the covariance, row by row
    std::vector<double> leaning_;         ///< of each reading on level and slope: covariance⁻¹ (1, z)
    std::array<double, 4> line_doubt_{};  ///< covariance of level and slope
    std::vector<double> weights_;
};

/// The map of a tank as its spots were read last. What lost its light by itself between the looks that are
/// compared stands in something's shade, whether anybody marked it or not.
TankMap mapOf(const Bench& bench, Id tank, const std::optional<SurveyChange>& change,
              const ExpectedLight& expected = {});

}  // namespace glumet
