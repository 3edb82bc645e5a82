#include "core/beam.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>
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

}  // namespace

Expected<Beam> Beam::cosinePower(double m) {
    if (!(m >= 0.0) || !std::isfinite(m))
        return problem("m", fmt::format("must be a finite number of 0 or more, is {:g}", m));
    Beam beam;
    beam.power_ = m;
    beam.scale_ = (m + 1.0) / (2.0 * pi);
    return beam;
}

Expected<Beam> Beam::halfAngle(double degrees) {
    if (!(degrees > 0.0 && degrees < 90.0))
        return problem("half_angle_deg", fmt::format("must lie between 0 and 90, is {:g}", degrees));
    return cosinePower(std::log(0.5) / std::log(std::cos(degrees * kDegree)));
}

Expected<Beam> Beam::table(std::vector<double> theta_deg, std::vector<double> relative) {
    if (theta_deg.size() < 2 || theta_deg.size() != relative.size())
        return problem("theta_deg", "needs two angles or more and as many values of relative");
    for (std::size_t i = 0; i < theta_deg.size(); ++i) {
        if (!(theta_deg[i] >= 0.0 && theta_deg[i] <= 90.0) || (i > 0 && theta_deg[i] <= theta_deg[i - 1]))
            return problem("theta_deg", fmt::format("must ascend within 0…90, value {} does not", i + 1));
        if (!(relative[i] >= 0.0) || !std::isfinite(relative[i]))
            return problem("relative", fmt::format("must be 0 or more, value {} is not", i + 1));
    }
    double total = 0.0;
    for (std::size_t i = 0; i + 1 < theta_deg.size(); ++i) {
        const double t0 = theta_deg[i] * kDegree;
        const double t1 = theta_deg[i + 1] * kDegree;
        const double slope = (relative[i + 1] - relative[i]) / (t1 - t0);
        total += 2.0 * pi * linearTimesSine(relative[i] - slope * t0, slope, t0, t1);
    }
    // Towards the axis the first value holds.
    total += 2.0 * pi * relative.front() * (1.0 - std::cos(theta_deg.front() * kDegree));
    if (!(total > 0.0)) return problem("relative", "carries no light");
    Beam beam;
    beam.scale_ = 1.0 / total;
    beam.theta_deg_ = std::move(theta_deg);
    beam.relative_ = std::move(relative);
    return beam;
}

double Beam::tableValue(double theta_deg) const {
    if (theta_deg <= theta_deg_.front()) return relative_.front();
    if (theta_deg > theta_deg_.back()) return 0.0;
    const auto next = std::lower_bound(theta_deg_.begin(), theta_deg_.end(), theta_deg);
    const auto i = static_cast<std::size_t>(next - theta_deg_.begin());
    const double share = (theta_deg - theta_deg_[i - 1]) / (theta_deg_[i] - theta_deg_[i - 1]);
    return relative_[i - 1] + share * (relative_[i] - relative_[i - 1]);
}

double Beam::intensity(double cos_theta) const {
    if (theta_deg_.empty()) return scale_ * std::pow(cos_theta, power_);
    return scale_ * tableValue(std::acos(std::clamp(cos_theta, 0.0, 1.0)) / kDegree);
}

}  // namespace glumet
