#include "core/base/beam.h"

#include <fmt/format.h>

#include <numbers>

namespace glumet {
namespace {

using std::numbers::pi;
constexpr double kDegree = pi / 180.0;

/// ∫ (a + b θ) sin θ dθ = −(a + b θ) cos θ + b sin θ.
double linearTimesSine(double a, double b, double from, double to) {
    const auto primitive = [&](double t) { return -(a + b * t) * std::cos(t) + b * std::sin(t); };
    return primitive(to) - primitive(from);
}

/// ∫ 2π sin θ × (hat function of each node) dθ; towards the axis the first node's is 1.
std::vector<double> nodeWeights(const std::vector<double>& theta_deg) {
    std::vector<double> weights(theta_deg.size(), 0.0);
    weights.front() = 2.0 * pi * (1.0 - std::cos(theta_deg.front() * kDegree));
    for (std::size_t i = 0; i + 1 < theta_deg.size(); ++i) {
        const double t0 = theta_deg[i] * kDegree;
        const double t1 = theta_deg[i + 1] * kDegree;
        const double slope = 1.0 / (t1 - t0);
        weights[i] += 2.0 * pi * linearTimesSine(t1 * slope, -slope, t0, t1);
        weights[i + 1] += 2.0 * pi * linearTimesSine(-t0 * slope, slope, t0, t1);
    }
    return weights;
}

double degreesOf(double cos_theta) { return std::acos(std::clamp(cos_theta, 0.0, 1.0)) / kDegree; }

std::optional<Problem> wrongTable(const std::vector<double>& theta_deg, const std::vector<double>& relative) {
    if (theta_deg.size() < 2 || theta_deg.size() != relative.size())
        return Problem{"theta_deg",
                       say(GLUMET_SAY("Core", "needs two angles or more and as many values of relative"))};
    if (theta_deg.size() > Beam::kMostNodes)
        return Problem{"theta_deg", say(GLUMET_SAY("Core", "has {} angles, at most {} are read"),
                                        countOf(theta_deg.size()), countOf(Beam::kMostNodes))};
    for (std::size_t i = 0; i < theta_deg.size(); ++i) {
        if (!(theta_deg[i] >= 0.0 && theta_deg[i] <= 90.0) || (i > 0 && theta_deg[i] <= theta_deg[i - 1]))
            return Problem{"theta_deg", say(GLUMET_SAY("Core", "must ascend within 0…90, value {} does not"),
                                            countOf(i + 1))};
        if (!(relative[i] >= 0.0) || !std::isfinite(relative[i]))
            return Problem{"relative",
                           say(GLUMET_SAY("Core", "must be 0 or more, value {} is not"), countOf(i + 1))};
    }
    return std::nullopt;
}

}  // namespace

Expected<Beam> Beam::cosinePower(double m) {
    if (!(m >= 0.0) || !std::isfinite(m))
        return problem("m",
                       say(GLUMET_SAY("Core", "must be a finite number of 0 or more, is {}"), Figure{m}));
    Beam beam;
    beam.power_ = m;
    beam.scale_ = (m + 1.0) / (2.0 * pi);
    return beam;
}

Expected<Beam> Beam::halfAngle(double degrees) {
    if (!(degrees > 0.0 && degrees < 90.0))
        return problem("half_angle_deg",
                       say(GLUMET_SAY("Core", "must lie between 0 and 90, is {}"), Figure{degrees}));
    const double log_cos = std::log(std::cos(degrees * kDegree));
    if (!(log_cos < 0.0))
        return problem("half_angle_deg",
                       say(GLUMET_SAY("Core", "{} is too narrow to be told from 0"), Figure{degrees}));
    auto beam = cosinePower(std::log(0.5) / log_cos);
    if (!beam) return beam;
    beam->kind_ = Kind::HalfAngle;
    beam->half_angle_deg_ = degrees;
    return beam;
}

Expected<Beam> Beam::table(std::vector<double> theta_deg, std::vector<double> relative) {
    if (const auto wrong = wrongTable(theta_deg, relative)) return tl::make_unexpected(*wrong);
    Beam beam;
    beam.kind_ = Kind::Table;
    beam.node_weight_ = nodeWeights(theta_deg);
    double total = 0.0;
    for (std::size_t i = 0; i < relative.size(); ++i) total += relative[i] * beam.node_weight_[i];
    if (!(total > 0.0) || !std::isfinite(total))
        return problem("relative", say(GLUMET_SAY("Core", "carries no light")));
    beam.scale_ = 1.0 / total;
    for (const double theta : theta_deg)
        if (theta > 0.0 && theta < 90.0) beam.breaks_deg_.push_back(theta);
    beam.theta_deg_ = std::move(theta_deg);
    beam.relative_ = std::move(relative);
    return beam;
}

Beam::Place Beam::placeOf(double theta_deg) const {
    // The last angle met to rounding is met.
    constexpr double kSlackDeg = 1e-10;
    if (theta_deg <= theta_deg_.front()) return {0, 1.0, false};
    if (theta_deg > theta_deg_.back() + kSlackDeg) return {0, 0.0, true};
    const auto next = std::lower_bound(theta_deg_.begin(), theta_deg_.end() - 1, theta_deg);
    const auto i = static_cast<std::size_t>(next - theta_deg_.begin());
    const double share = (theta_deg - theta_deg_[i - 1]) / (theta_deg_[i] - theta_deg_[i - 1]);
    return {i, std::min(share, 1.0), false};
}

double Beam::intensity(double cos_theta) const {
    if (kind_ != Kind::Table) return scale_ * std::pow(cos_theta, power_);
    const auto at = placeOf(degreesOf(cos_theta));
    if (at.beyond) return 0.0;
    const double below = at.node == 0 ? 0.0 : relative_[at.node - 1];
    return scale_ * (below + at.share * (relative_[at.node] - below));
}

double Beam::intensitySlope(double cos_theta) const {
    if (kind_ != Kind::Table) {
        if (power_ == 0.0) return 0.0;
        return scale_ * power_ * std::pow(cos_theta, power_ - 1.0);
    }
    const double sine = std::sqrt(std::max(0.0, 1.0 - cos_theta * cos_theta));
    const auto at = placeOf(degreesOf(cos_theta));
    if (at.beyond || at.node == 0 || sine < 1e-9) return 0.0;
    const double per_degree =
        (relative_[at.node] - relative_[at.node - 1]) / (theta_deg_[at.node] - theta_deg_[at.node - 1]);
    return -scale_ * per_degree / kDegree / sine;
}

std::vector<double> Beam::parameters() const {
    if (kind_ == Kind::Table) return relative_;
    return {kind_ == Kind::HalfAngle ? half_angle_deg_ : power_};
}

std::vector<double> Beam::parameterSlopes(double cos_theta) const {
    const double value = intensity(cos_theta);
    if (kind_ != Kind::Table) {
        // I = (m+1)/2π cosᵐ; at grazing the logarithm is multiplied by zero.
        const double log_cos = cos_theta > 0.0 ? std::log(cos_theta) : 0.0;
        const double by_power = value * (1.0 / (power_ + 1.0) + log_cos);
        if (kind_ == Kind::CosinePower) return {by_power};
        const double log_half = std::log(std::cos(half_angle_deg_ * kDegree));
        const double power_by_angle =
            std::log(0.5) * std::tan(half_angle_deg_ * kDegree) / (log_half * log_half) * kDegree;
        return {by_power * power_by_angle};
    }
    std::vector<double> slopes(relative_.size());
    for (std::size_t i = 0; i < slopes.size(); ++i) slopes[i] = -value * node_weight_[i] * scale_;
    const auto at = placeOf(degreesOf(cos_theta));
    if (at.beyond) return slopes;
    slopes[at.node] += scale_ * at.share;
    if (at.node > 0) slopes[at.node - 1] += scale_ * (1.0 - at.share);
    return slopes;
}

}  // namespace glumet
