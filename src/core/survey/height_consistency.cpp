#include "core/survey/height_consistency.h"

#include <Eigen/Core>
#include <cmath>

#include "core/linear/linear.h"
#include "core/plane/plane_statistics.h"

namespace glumet {
namespace {

struct Level {
    Id run;
    double height;
    double log_mean;
};

/// Complete planes only: half a plane's mean is that of other points.
std::vector<Level> levelsAt(const Bench& bench, const Sweep& sweep, Millimetre depth) {
    std::vector<Level> levels;
    for (const auto index : sweep.runs) {
        const auto* plane = planeAt(bench.run(index), depth);
        if (plane == nullptr || (plane->grid && nextCell(*plane->grid, plane->readings))) continue;
        const auto statistics = planeStatistics(*plane);
        if (!statistics || statistics->mean.value() <= 0.0) continue;
        const Level level{index, bench.run(index).height.value(), std::log(statistics->mean.value())};
        if (!levels.empty() && level.height - levels.back().height <= kSamePointMm)
            levels.back() = level;  // the latest of two counts
        else
            levels.push_back(level);
    }
    return levels;
}

struct Curve {
    Eigen::VectorXd c;
    double at(double height) const {
        double value = 0.0;
        for (Eigen::Index i = c.size() - 1; i >= 0; --i) value = value * height + c(i);
        return value;
    }
    double slope(double height) const { return (at(height + 0.5) - at(height - 0.5)); }
};

std::optional<Curve> curveWithout(const std::vector<Level>& levels, std::size_t left_out) {
    const auto others = static_cast<Eigen::Index>(levels.size()) - 1;
    if (others < 3) return std::nullopt;
    const Eigen::Index terms = others > 3 ? 3 : 2;
    Eigen::MatrixXd a(others, terms);
    Eigen::VectorXd b(others);
    Eigen::Index row = 0;
    for (std::size_t i = 0; i < levels.size(); ++i) {
        if (i == left_out) continue;
        for (Eigen::Index term = 0; term < terms; ++term) a(row, term) = std::pow(levels[i].height, term);
        b(row++) = levels[i].log_mean;
    }
    return Curve{leastSquares(a, b)};
}

}  // namespace

std::vector<HeightMisfit> heightMisfits(const Bench& bench, const Sweep& sweep, double tolerance) {
    std::optional<Millimetre> depth;
    std::vector<Level> levels;
    for (const auto candidate : depthsOf(bench, sweep)) {
        auto at = levelsAt(bench, sweep, candidate);
        if (at.size() <= levels.size()) continue;
        levels = std::move(at);
        depth = candidate;
    }
    std::vector<HeightMisfit> out;
    while (levels.size() >= 4) {
        std::size_t worst = 0;
        double most = 0.0;
        double slope = 0.0;
        for (std::size_t i = 0; i < levels.size(); ++i) {
            const auto curve = curveWithout(levels, i);
            const double off = levels[i].log_mean - curve->at(levels[i].height);
            if (std::abs(off) <= std::abs(most)) continue;
            most = off;
            worst = i;
            slope = curve->slope(levels[i].height);
        }
        if (std::abs(most) <= tolerance) break;
        const double higher = slope < 0.0 ? most / slope : 0.0;
        out.push_back({levels[worst].run, *depth, std::exp(most) - 1.0, Millimetre(higher)});
        levels.erase(levels.begin() + static_cast<std::ptrdiff_t>(worst));
    }
    return out;
}

}  // namespace glumet
