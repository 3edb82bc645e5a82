#pragma once

#include <Eigen/Core>
#include <array>

namespace glumet {

/// Which way a beam's axis looks: degrees from straight down toward the fixture's +x and +y.
using Lean = std::array<double, 2>;

/// A free beam (BeamShape::Free) that is a round one with its axis leaning.
struct LeaningBeam {
    Lean lean{};
    Eigen::VectorXd round;  ///< kSize coefficients of the round one, µmol·s⁻¹·sr⁻¹
    Eigen::MatrixXd bells;  ///< leaningBells() of the lean
    Eigen::MatrixXd
        by_lean;  ///< how size(Free) coefficients answer to it, per degree toward +x and +y; two columns
};

/// Coefficients of the free beam that a round one makes when its axis leans: one column a bell of the round
/// one, BeamBasis::size(Free) × kSize.
Eigen::MatrixXd leaningBells(const Lean& lean);

/// The one nearest to a free beam, size(Free) coefficients, from a lean near by: two rounds of Gauss-Newton.
/// No axis leans further than 30° to either side.
LeaningBeam nearestLeaning(const Eigen::VectorXd& free_beam, Lean from);

}  // namespace glumet
