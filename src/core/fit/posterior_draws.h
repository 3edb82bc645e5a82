#pragma once

#include <Eigen/Core>
#include <cstdint>
#include <random>
#include <vector>

#include "core/fit/light_model.h"

namespace glumet {

/// Fixtures as a fit leaves them possible: draws from its posterior, normal about the fit with its
/// covariance, beam coefficients never negative. Each is LightModel::parameters() values, the beam's
/// coefficients, then the height offset in mm. The same seed gives the same draws.
class PosteriorDraws {
  public:
    PosteriorDraws(const LightModel& model, std::uint64_t seed);

    const Eigen::VectorXd& mean() const { return mean_; }
    Eigen::VectorXd next();

  private:
    Eigen::VectorXd mean_;
    Eigen::MatrixXd root_;
    std::mt19937_64 random_;
    std::normal_distribution<double> normal_;
};

/// PPFD at points of a scene whose fixtures are all this model's, for any draw: linear in the beam, and in
/// the height offset by its slope at the fit's own.
class DrawnField {
  public:
    DrawnField(const LightModel& model, const LightScene& scene,
               const std::vector<BasisField::Point>& points);

    /// µmol·m⁻²·s⁻¹, not negative, in the order of the points.
    std::vector<double> values(const Eigen::VectorXd& draw) const;

  private:
    using Rows = Eigen::Matrix<double, Eigen::Dynamic, Eigen::Dynamic, Eigen::RowMajor>;
    Rows rows_;
    Eigen::VectorXd by_offset_;  ///< PPFD a mm
    double offset_mm_;
};

/// Between which one more draw would fall with 95 % chance, judged by these, by their ranks (Weibull 1939:
/// k/(n + 1)); with fewer than 39 the least and the greatest. Empty input gives none.
std::optional<std::pair<double, double>> middle95(std::vector<double> answers);

}  // namespace glumet
