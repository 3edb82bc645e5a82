#include "core/fit/least_squares.h"

#include "core/linear/linear.h"

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
    const Eigen::VectorXd solved = Cholesky(part).solve(right);
    for (Eigen::Index i = 0; i < m; ++i) x(at[static_cast<std::size_t>(i)]) = solved(i);
    return x;
}

}  // namespace

Eigen::VectorXd boundedMinimum(const Eigen::MatrixXd& h, const Eigen::VectorXd& g,
                               const Eigen::VectorXd& low) {
    constexpr int kPatience = 3;
    const auto n = static_cast<std::size_t>(g.size());
    const double tolerance = 1e-9 * (1.0 + g.cwiseAbs().maxCoeff());
    std::vector<bool> free(n, true);
    Eigen::VectorXd x;
    std::size_t fewest = n + 1;
    int patience = kPatience;
    for (std::size_t round = 0; round < 6 * n; ++round) {
        x = minimumOver(free, h, g, low);
        const Eigen::VectorXd pull = g - h * x;
        std::vector<std::size_t> wrong;
        for (std::size_t i = 0; i < n; ++i) {
            const auto k = static_cast<Eigen::Index>(i);
            if (free[i] ? x(k) < low(k) - 1e-12 : pull(k) > tolerance) wrong.push_back(i);
        }
        if (wrong.empty()) break;
        // All at once as long as fewer are wrong each time, else the last alone, which cannot go in circles.
        patience = wrong.size() < fewest ? kPatience : patience - 1;
        fewest = std::min(fewest, wrong.size());
        if (patience < 0) wrong = {wrong.back()};
        for (const auto i : wrong) free[i] = !free[i];
    }
    return x.cwiseMax(low);
}

}  // namespace glumet
