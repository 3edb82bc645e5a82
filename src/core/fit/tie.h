#pragma once

#include <Eigen/Dense>

namespace glumet {

/// Adds to a precision that two coefficients are believed to be alike.
inline void tie(Eigen::MatrixXd& precision, Eigen::Index i, Eigen::Index j, double strength) {
    precision(i, i) += strength;
    precision(j, j) += strength;
    precision(i, j) -= strength;
    precision(j, i) -= strength;
}

}  // namespace glumet
