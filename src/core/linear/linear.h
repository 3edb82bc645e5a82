#pragma once

#include <Eigen/Cholesky>
#include <Eigen/Core>

/// Decompositions of matrices of any size by Eigen 3.4, compiled here once: each takes seconds wherever it
/// stands in line. Entries are of the caller's units, and nothing is refused: where a matrix is not what a
/// class or function asks for, as where its entries are not finite, figures that are not finite come out, or
/// Eigen's own.
namespace glumet {

/// A = L·Lᵀ of a symmetric, positive definite A (n × n); only its lower half is looked at. Eigen::LLT.
class Cholesky {
  public:
    explicit Cholesky(const Eigen::MatrixXd& a);
    /// A⁻¹·b, of b (n × m).
    Eigen::MatrixXd solve(const Eigen::MatrixXd& b) const;
    Eigen::VectorXd solve(const Eigen::VectorXd& b) const;
    Eigen::MatrixXd inverse() const;
    /// ln det A.
    double logDeterminant() const;

  private:
    Eigen::LLT<Eigen::MatrixXd> factor_;
};

/// Pᵀ·L·D·Lᵀ·P of a symmetric A (n × n) that may be singular or, by rounding, a little indefinite.
/// Eigen::LDLT: in directions that a singular A says nothing of, solve() gives 0.
class PivotedCholesky {
  public:
    explicit PivotedCholesky(const Eigen::MatrixXd& a);
    Eigen::MatrixXd solve(const Eigen::MatrixXd& b) const;
    Eigen::VectorXd solve(const Eigen::VectorXd& b) const;
    /// ln |det A|; −∞ where A is singular.
    double logDeterminant() const;

  private:
    Eigen::LDLT<Eigen::MatrixXd> factor_;
};

/// Of a symmetric matrix: A·vectors = vectors·diag(values), values ascending, vectors of unit length in
/// columns. Eigen::SelfAdjointEigenSolver.
struct EigenPairs {
    Eigen::VectorXd values;
    Eigen::MatrixXd vectors;
};
EigenPairs eigenPairs(const Eigen::MatrixXd& a);

/// The x of least |a·x − b|, by pivoted Householder reflections; a is n × m, n ≥ m.
Eigen::VectorXd leastSquares(const Eigen::MatrixXd& a, const Eigen::VectorXd& b);

}  // namespace glumet
