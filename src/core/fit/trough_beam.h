#pragma once

#include <Eigen/Dense>

namespace glumet {

/// A beam with two planes of symmetry as a trough gives it, whose section is everywhere the same along its
/// length: intensity = across(ψ) · along(α), α the angle out of the plane across (sin α = sin θ cos φ), ψ the
/// angle within it (tan ψ = tan θ sin φ). So lines of light in reflectors and behind linear lenses shine, as
/// near as their ends let them. Both are even sums of a round beam's bells.
struct TroughBeam {
    Eigen::VectorXd across;  ///< coefficients
    Eigen::VectorXd along;
    Eigen::VectorXd beam;       ///< coefficients of the beam of two planes nearest to it in intensity …
    Eigen::MatrixXd by_across;  ///< … and how they answer to either's
    Eigen::MatrixXd by_along;
};

/// The one nearest to a beam of two planes' coefficients.
TroughBeam nearestTrough(const Eigen::VectorXd& beam);

/// How alike two coefficients of a beam of two planes are by the angle between their directions: 1 for the
/// same, exp(−½) at 15°.
const Eigen::MatrixXd& alikeByAngle();

}  // namespace glumet
