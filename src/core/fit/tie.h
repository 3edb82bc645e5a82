#pragma once

#include <Eigen/Core>

namespace glumet {

/// A beam by planes is told every so many degrees from the axis.
inline constexpr double kThetaStep = 3.75;
/// Where azimuths meet on the axis intensities do not tell them apart: they are kept alike by so much.
inline constexpr double kTied = 1e-4;

/// Adds to a precision that two coefficients are believed to be alike.
inline void tie(Eigen::MatrixXd& precision, Eigen::Index i, Eigen::Index j, double strength) {
    precision(i, i) += strength;
    precision(j, j) += strength;
    precision(i, j) -= strength;
    precision(j, i) -= strength;
}

}  // namespace glumet
