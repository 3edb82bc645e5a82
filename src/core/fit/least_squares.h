#pragma once

#include <Eigen/Core>
#include <vector>

namespace glumet {

/// Minimises ½ xᵀ H x − gᵀ x with x[i] ≥ low[i]; H symmetric positive definite. Block principal pivoting (Kim
/// & Park 2011, SIAM J. Sci. Comput. 33:3261) on the normal equations. low = −∞ leaves a component free.
Eigen::VectorXd boundedMinimum(const Eigen::MatrixXd& h, const Eigen::VectorXd& g,
                               const Eigen::VectorXd& low);

}  // namespace glumet
