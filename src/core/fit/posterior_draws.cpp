#include "core/fit/posterior_draws.h"

#include <algorithm>
#include <cmath>

#include "core/linear/linear.h"

namespace glumet {
namespace {

constexpr double kTail = 0.025;
constexpr double kStepMm = 1.0;

Eigen::VectorXd parametersOf(const LightModel& model) {
    Eigen::VectorXd p(static_cast<Eigen::Index>(model.parameters()));
    p << Eigen::Map<const Eigen::VectorXd>(model.beam.data(), p.size() - 1), model.height_offset_mm;
    return p;
}

/// A square root of the posterior covariance that rounding cannot spoil.
Eigen::MatrixXd rootOf(const LightModel& model) {
    const auto size = static_cast<Eigen::Index>(model.parameters());
    if (model.covariance.empty()) return Eigen::MatrixXd::Zero(size, size);
    const Eigen::Map<const Eigen::MatrixXd> covariance(model.covariance.data(), size, size);
    const auto pairs = eigenPairs(covariance);
    return pairs.vectors * pairs.values.cwiseMax(0.0).cwiseSqrt().asDiagonal();
}

}  // namespace

PosteriorDraws::PosteriorDraws(const LightModel& model, std::uint64_t seed)
    : mean_(parametersOf(model)), root_(rootOf(model)), random_(seed) {}

Eigen::VectorXd PosteriorDraws::next() {
    const Eigen::VectorXd unit = Eigen::VectorXd::NullaryExpr(mean_.size(), [&] { return normal_(random_); });
    Eigen::VectorXd p = mean_ + root_ * unit;
    p.head(p.size() - 1) = p.head(p.size() - 1).cwiseMax(0.0);
    return p;
}

DrawnField::DrawnField(const LightModel& model, const LightScene& scene,
                       const std::vector<BasisField::Point>& points)
    : offset_mm_(model.height_offset_mm) {
    const auto size = static_cast<Eigen::Index>(model.beam.size());
    const auto rowsAt = [&](double offset) {
        const auto rows = model.over(scene, offset, scene.water.attenuation_per_m).rows(points);
        return Rows(Eigen::Map<const Rows>(rows.data(), static_cast<Eigen::Index>(points.size()), size));
    };
    rows_ = rowsAt(offset_mm_);
    const Eigen::VectorXd beam = parametersOf(model).head(size);
    by_offset_ = (rowsAt(offset_mm_ + kStepMm) - rows_) * beam / kStepMm;
}

std::vector<double> DrawnField::values(const Eigen::VectorXd& draw) const {
    const Eigen::VectorXd lit =
        rows_ * draw.head(draw.size() - 1) + by_offset_ * (draw(draw.size() - 1) - offset_mm_);
    std::vector<double> out(static_cast<std::size_t>(lit.size()));
    for (std::size_t i = 0; i < out.size(); ++i) out[i] = std::max(0.0, lit(static_cast<Eigen::Index>(i)));
    return out;
}

std::optional<std::pair<double, double>> middle95(std::vector<double> answers) {
    if (answers.empty()) return std::nullopt;
    std::sort(answers.begin(), answers.end());
    // A draw more falls below the k-th of n with chance k/(n + 1): by ranks from 0 to n − 1 a few draws would
    // give 90 % for 95.
    const auto at = [&](double share) {
        const auto last = static_cast<double>(answers.size() - 1);
        const double rank = std::clamp(share * static_cast<double>(answers.size() + 1) - 1.0, 0.0, last);
        const auto below = static_cast<std::size_t>(rank);
        const auto above = std::min(below + 1, answers.size() - 1);
        return std::lerp(answers[below], answers[above], rank - static_cast<double>(below));
    };
    return std::pair{at(kTail), at(1.0 - kTail)};
}

}  // namespace glumet
