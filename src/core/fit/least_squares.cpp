#include "core/fit/least_squares.h"

namespace glumet {
namespace {

/// The minimum over the free components, the others held at their bounds.
Eigen::VectorXd minimumOver(const std::vector<bool>& free, const Eigen::MatrixXd& h, const Eigen::VectorXd& g,
                            const Eigen::VectorXd& low) {
    const auto n = g.size();
    std::vector<Eigen::Index> at;
    Eigen::VectorXd x(n);
    for (Eigen::Index i = 0; i < n; ++i) {
        if (free[static_cast<std::size_t>(i)])
            at.push_back(i);
        else
            x(i) = low(i);
    }
    const auto m = static_cast<Eigen::Index>(at.size());
    Eigen::MatrixXd part(m, m);
    Eigen::VectorXd right(m);
    Eigen::VectorXd held = Eigen::VectorXd::Zero(n);
    for (Eigen::Index j = 0; j < n; ++j)
        if (!free[static_cast<std::size_t>(j)]) held += h.col(j) * x(j);
    for (Eigen::Index j = 0; j < m; ++j) {
        const auto column = at[static_cast<std::size_t>(j)];
        right(j) = g(column) - held(column);
        for (Eigen::Index i = 0; i < m; ++i) part(i, j) = h(at[static_cast<std::size_t>(i)], column);
    }
    const Eigen::VectorXd solved = part.llt().solve(right);
    for (Eigen::Index i = 0; i < m; ++i) x(at[static_cast<std::size_t>(i)]) = solved(i);
    return x;
}

}  // namespace

Eigen::VectorXd boundedMinimum(const Eigen::MatrixXd& h, const Eigen::VectorXd& g,
                               const Eigen::VectorXd& low) {
    const auto n = static_cast<std::size_t>(g.size());
    std::vector<bool> free(n, true);
    Eigen::VectorXd x;
    // Each round either binds what has gone below its bound or frees what the gradient pulls inward.
    for (std::size_t round = 0; round < 6 * n; ++round) {
        x = minimumOver(free, h, g, low);
        bool bound_one = false;
        for (std::size_t i = 0; i < n; ++i) {
            if (!free[i] || x(static_cast<Eigen::Index>(i)) >= low(static_cast<Eigen::Index>(i)) - 1e-12)
                continue;
            free[i] = false;
            bound_one = true;
        }
        if (bound_one) continue;
        const Eigen::VectorXd pull = g - h * x;
        std::size_t most = n;
        double strongest = 1e-9 * (1.0 + g.cwiseAbs().maxCoeff());
        for (std::size_t i = 0; i < n; ++i)
            if (!free[i] && pull(static_cast<Eigen::Index>(i)) > strongest) {
                strongest = pull(static_cast<Eigen::Index>(i));
                most = i;
            }
        if (most == n) break;
        free[most] = true;
    }
    return x.cwiseMax(low);
}

}  // namespace glumet
