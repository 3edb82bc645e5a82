#pragma once

#include <Eigen/Core>

namespace glumet {

/// A beam with two planes of symmetry as a trough gives it, whose section is everywhere the same along its
/// length: intensity = across(ψ) · along(α), α the angle out of the plane across (sin α = sin θ cos φ), ψ the
/// angle within it (tan ψ = tan θ sin φ). So lines of light in reflectors and behind linear lenses shine, as
/// near as their ends let them: what is straight along a line keeps a ray's angle to the line (Welford &
/// Winston 1989, High Collection Nonimaging Optics). Both are even sums of a round beam's bells, kSize
/// coefficients each; `along` has its greatest at 1, all else is in µmol·s⁻¹·sr⁻¹.
struct TroughBeam {
    Eigen::VectorXd across;  ///< coefficients
    Eigen::VectorXd along;
    Eigen::VectorXd beam;       ///< BeamBasis::size(TwoPlanes) coefficients, nearest to it in intensity …
    Eigen::MatrixXd by_across;  ///< … and how they answer to either's, size(TwoPlanes) × kSize
    Eigen::MatrixXd by_along;
};

/// The one nearest to a beam of two planes, size(TwoPlanes) coefficients, by eight rounds of alternating
/// least squares over a quarter turn of directions.
TroughBeam nearestTrough(const Eigen::VectorXd& beam);

/// How alike two coefficients of a beam of two planes are by the angle between their directions: 1 for the
/// same, exp(−½) at 15°; size(TwoPlanes) squared.
const Eigen::MatrixXd& alikeByAngle();

}  // namespace glumet
