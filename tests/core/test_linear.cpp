#include <QTest>
#include <cmath>
#include <random>

#include "core/linear/linear.h"
#include "runner/registry.h"

namespace core_linear {

using Eigen::MatrixXd;
using Eigen::VectorXd;

/// Entries between −1 and 1.
MatrixXd anyMatrix(int rows, int columns, unsigned seed) {
    std::mt19937 random(seed);
    std::uniform_real_distribution<double> entry(-1.0, 1.0);
    return MatrixXd::NullaryExpr(rows, columns, [&] { return entry(random); });
}
MatrixXd positiveDefinite(int n, unsigned seed) {
    const MatrixXd a = anyMatrix(n, n, seed);
    return a * a.transpose() + 0.1 * MatrixXd::Identity(n, n);
}
double farthest(const MatrixXd& a, const MatrixXd& b) { return (a - b).cwiseAbs().maxCoeff(); }

class TestLinear : public QObject {
    Q_OBJECT
  private slots:
    void solvesForVectorsAndMatrices() {
        for (const int n : {1, 2, 7, 30}) {
            const MatrixXd a = positiveDefinite(n, 1);
            const MatrixXd x = anyMatrix(n, 3, 2);
            const VectorXd y = x.col(0);
            const glumet::Cholesky one(a);
            const glumet::PivotedCholesky other(a);
            QVERIFY(farthest(one.solve(MatrixXd(a * x)), x) < 1e-9);
            QVERIFY(farthest(other.solve(MatrixXd(a * x)), x) < 1e-9);
            QVERIFY(farthest(one.solve(VectorXd(a * y)), y) < 1e-9);
            QVERIFY(farthest(other.solve(VectorXd(a * y)), y) < 1e-9);
            QVERIFY(farthest(one.inverse() * a, MatrixXd::Identity(n, n)) < 1e-9);
        }
    }

    void onlyTheLowerHalfIsLookedAt() {
        const MatrixXd a = positiveDefinite(5, 3);
        MatrixXd lower = a.triangularView<Eigen::Lower>();
        lower(0, 4) = 99.0;
        QVERIFY(farthest(glumet::Cholesky(lower).inverse(), glumet::Cholesky(a).inverse()) < 1e-12);
    }

    void determinantsOfTwoRowsAreThoseOfTheFormula() {
        MatrixXd a(2, 2);
        a << 3.0, 1.0, 1.0, 2.0;
        QVERIFY(std::abs(glumet::Cholesky(a).logDeterminant() - std::log(5.0)) < 1e-12);
        QVERIFY(std::abs(glumet::PivotedCholesky(a).logDeterminant() - std::log(5.0)) < 1e-12);
    }

    void aSingularMatrixSaysNothingOfSomeDirections() {
        MatrixXd a = MatrixXd::Zero(3, 3);
        a(0, 0) = 4.0;
        a(2, 2) = 2.0;
        const glumet::PivotedCholesky factor(a);
        const VectorXd x = factor.solve(VectorXd(VectorXd::Constant(3, 8.0)));
        QCOMPARE(x(0), 2.0);
        QCOMPARE(x(1), 0.0);
        QCOMPARE(x(2), 4.0);
        QVERIFY(factor.logDeterminant() == -std::numeric_limits<double>::infinity());
    }

    void eigenPairsAscendAndMakeTheMatrixAgain() {
        const MatrixXd half = anyMatrix(9, 9, 4);
        const MatrixXd a = half + half.transpose();
        const auto pairs = glumet::eigenPairs(a);
        for (int i = 1; i < 9; ++i) QVERIFY(pairs.values(i) >= pairs.values(i - 1));
        QVERIFY(farthest(pairs.vectors.transpose() * pairs.vectors, MatrixXd::Identity(9, 9)) < 1e-9);
        QVERIFY(farthest(pairs.vectors * pairs.values.asDiagonal() * pairs.vectors.transpose(), a) < 1e-9);
    }

    /// What is left over stands at right angles to every column.
    void leastSquaresLeaveNothingThatTheColumnsCouldTake() {
        const MatrixXd a = anyMatrix(12, 4, 5);
        const VectorXd b = anyMatrix(12, 1, 6);
        const VectorXd left = b - a * glumet::leastSquares(a, b);
        QVERIFY((a.transpose() * left).cwiseAbs().maxCoeff() < 1e-9);
        QVERIFY(left.norm() > 0.1);
    }
};

GLUMET_TEST(TestLinear, "core_linear", Nothing)

}  // namespace core_linear

#include "test_linear.moc"
