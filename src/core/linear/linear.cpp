#include "core/linear/linear.h"

#include <Eigen/Eigenvalues>
#include <Eigen/QR>

namespace glumet {

Cholesky::Cholesky(const Eigen::MatrixXd& a) : factor_(a) {}
Eigen::MatrixXd Cholesky::solve(const Eigen::MatrixXd& b) const { return factor_.solve(b); }
Eigen::VectorXd Cholesky::solve(const Eigen::VectorXd& b) const { return factor_.solve(b); }
Eigen::MatrixXd Cholesky::inverse() const {
    return factor_.solve(Eigen::MatrixXd::Identity(factor_.rows(), factor_.cols()));
}
double Cholesky::logDeterminant() const { return 2.0 * factor_.matrixLLT().diagonal().array().log().sum(); }

PivotedCholesky::PivotedCholesky(const Eigen::MatrixXd& a) : factor_(a) {}
Eigen::MatrixXd PivotedCholesky::solve(const Eigen::MatrixXd& b) const { return factor_.solve(b); }
Eigen::VectorXd PivotedCholesky::solve(const Eigen::VectorXd& b) const { return factor_.solve(b); }
double PivotedCholesky::logDeterminant() const { return factor_.vectorD().array().abs().log().sum(); }

EigenPairs eigenPairs(const Eigen::MatrixXd& a) {
    const Eigen::SelfAdjointEigenSolver<Eigen::MatrixXd> solver(a);
    return {solver.eigenvalues(), solver.eigenvectors()};
}

Eigen::VectorXd leastSquares(const Eigen::MatrixXd& a, const Eigen::VectorXd& b) {
    return a.colPivHouseholderQr().solve(b);
}

}  // namespace glumet
