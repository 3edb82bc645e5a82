#pragma once

#include <Eigen/Dense>
#include <array>

namespace glumet {

/// Which way a beam's axis looks: degrees from straight down toward the fixture's +x and +y.
using Lean = std::array<double, 2>;

/// A free beam (BeamShape::Free) that is a round one with its axis leaning.
struct LeaningBeam {
    Lean lean{};
    Eigen::VectorXd round;  ///< coefficients of the round one
    /// Coefficients of the free beam nearest to it in intensity: one column a bell of the round one.
    Eigen::MatrixXd bells;
    Eigen::MatrixXd by_lean;  ///< how they answer to the lean, per degree toward +x and +y
};

/// Coefficients of the free beam that a round one makes when its axis leans: one column a bell of the round
/// one, BeamBasis::size(Free) × kSize.
Eigen::MatrixXd leaningBells(const Lean& lean);

/// The one nearest to a free beam's coefficients, from a lean near by.
LeaningBeam nearestLeaning(const Eigen::VectorXd& free_beam, Lean from);

}  // namespace glumet
