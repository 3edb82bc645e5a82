#include "core/base/beam.h"

#include <fmt/format.h>

#include <numbers>

#include "core/base/angle.h"

namespace glumet {
namespace {

using std::numbers::pi;

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

std::optional<Problem> wrongAngles(const std::vector<double>& theta_deg, std::size_t values) {
    if (theta_deg.size() < 2 || theta_deg.size() != values)
        return Problem{"theta_deg",
                       say(GLUMET_SAY("Core", "needs two angles or more and as many values of relative"))};
    if (theta_deg.size() > Beam::kMostNodes)
        return Problem{"theta_deg", say(GLUMET_SAY("Core", "has {} angles, at most {} are read"),
                                        countOf(theta_deg.size()), countOf(Beam::kMostNodes))};
    for (std::size_t i = 0; i < theta_deg.size(); ++i)
        if (!(theta_deg[i] >= 0.0 && theta_deg[i] <= 90.0) || (i > 0 && theta_deg[i] <= theta_deg[i - 1]))
            return Problem{"theta_deg", say(GLUMET_SAY("Core", "must ascend within 0…90, value {} does not"),
                                            countOf(i + 1))};
    return std::nullopt;
}

std::optional<Problem> wrongValues(const std::vector<double>& relative, const std::string& where) {
    for (std::size_t i = 0; i < relative.size(); ++i)
        if (!(relative[i] >= 0.0) || !std::isfinite(relative[i]))
            return Problem{where,
                           say(GLUMET_SAY("Core", "must be 0 or more, value {} is not"), countOf(i + 1))};
    return std::nullopt;
}

bool endsAtASymmetry(double last) { return last == 90.0 || last == 180.0 || last == 360.0; }

std::optional<Problem> wrongAzimuths(const std::vector<double>& phi_deg,
                                     const std::vector<std::vector<double>>& relative) {
    if (phi_deg.size() < 2 || phi_deg.size() != relative.size())
        return Problem{"phi_deg",
                       say(GLUMET_SAY("Core", "needs two azimuths or more and a list of relative for each"))};
    if (phi_deg.front() != 0.0 || !endsAtASymmetry(phi_deg.back()))
        return Problem{"phi_deg",
                       say(GLUMET_SAY("Core", "must run from 0 to 90, 180 or 360, runs from {} to {}"),
                           Figure{phi_deg.front()}, Figure{phi_deg.back()})};
    for (std::size_t i = 1; i < phi_deg.size(); ++i)
        if (!(phi_deg[i] - phi_deg[i - 1] >= Beam::kLeastStep))
            return Problem{"phi_deg", say(GLUMET_SAY("Core", "must ascend by {} or more, value {} does not"),
                                          Figure{Beam::kLeastStep}, countOf(i + 1))};
    if (phi_deg.back() == 360.0 && relative.front() != relative.back())
        return Problem{"relative", say(GLUMET_SAY("Core", "the list at 360° must be that at 0°"))};
    return std::nullopt;
}

/// Share of a whole turn that each plane's hat function stands for.
std::vector<double> planeWeights(const std::vector<double>& phi_deg) {
    std::vector<double> weights(phi_deg.size(), 0.0);
    for (std::size_t i = 0; i + 1 < phi_deg.size(); ++i) {
        const double half = (phi_deg[i + 1] - phi_deg[i]) / 2.0 / phi_deg.back();
        weights[i] += half;
        weights[i + 1] += half;
    }
    return weights;
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
    if (const auto wrong = wrongAngles(theta_deg, relative.size())) return tl::make_unexpected(*wrong);
    if (const auto wrong = wrongValues(relative, "relative")) return tl::make_unexpected(*wrong);
    Beam beam;
    beam.plane_weight_ = {1.0};
    if (!beam.setTable(std::move(theta_deg), std::move(relative)))
        return problem("relative", say(GLUMET_SAY("Core", "carries no light")));
    return beam;
}

Expected<Beam> Beam::planes(std::vector<double> theta_deg, std::vector<double> phi_deg,
                            const std::vector<std::vector<double>>& relative) {
    if (const auto wrong = wrongAzimuths(phi_deg, relative)) return tl::make_unexpected(*wrong);
    if (theta_deg.size() * phi_deg.size() > kMostNodes)
        return problem("relative", say(GLUMET_SAY("Core", "has {} values, at most {} are read"),
                                       countOf(theta_deg.size() * phi_deg.size()), countOf(kMostNodes)));
    std::vector<double> flat;
    for (std::size_t j = 0; j < relative.size(); ++j) {
        if (const auto wrong = wrongAngles(theta_deg, relative[j].size())) return tl::make_unexpected(*wrong);
        if (const auto wrong = wrongValues(relative[j], fmt::format("relative[{}]", j)))
            return tl::make_unexpected(*wrong);
        flat.insert(flat.end(), relative[j].begin(), relative[j].end());
    }
    Beam beam;
    beam.plane_weight_ = planeWeights(phi_deg);
    beam.phi_deg_ = std::move(phi_deg);
    if (!beam.setTable(std::move(theta_deg), std::move(flat)))
        return problem("relative", say(GLUMET_SAY("Core", "carries no light")));
    return beam;
}

bool Beam::setTable(std::vector<double> theta_deg, std::vector<double> relative) {
    kind_ = Kind::Table;
    node_weight_ = nodeWeights(theta_deg);
    double total = 0.0;
    for (std::size_t j = 0; j < plane_weight_.size(); ++j)
        for (std::size_t i = 0; i < theta_deg.size(); ++i)
            total += plane_weight_[j] * relative[j * theta_deg.size() + i] * node_weight_[i];
    if (!(total > 0.0) || !std::isfinite(total)) return false;
    scale_ = 1.0 / total;
    for (const double theta : theta_deg)
        if (theta > 0.0 && theta < 90.0) breaks_deg_.push_back(theta);
    theta_deg_ = std::move(theta_deg);
    relative_ = std::move(relative);
    return true;
}

std::vector<double> Beam::planeRelative(std::size_t plane) const {
    const auto from = relative_.begin() + static_cast<std::ptrdiff_t>(plane * theta_deg_.size());
    return {from, from + static_cast<std::ptrdiff_t>(theta_deg_.size())};
}

Beam::Azimuth Beam::azimuthOf(double phi) const {
    const double last = phi_deg_.back();
    double degrees = std::fmod(phi / kDegree, 360.0);
    if (degrees < 0.0) degrees += 360.0;
    double turned = 1.0;  // −1 where a plane of symmetry turns the sense about
    if (last <= 180.0 && degrees > 180.0) {
        degrees = 360.0 - degrees;
        turned = -turned;
    }
    if (last <= 90.0 && degrees > 90.0) {
        degrees = 180.0 - degrees;
        turned = -turned;
    }
    const auto next = std::upper_bound(phi_deg_.begin() + 1, phi_deg_.end() - 1, degrees);
    const auto plane = static_cast<std::size_t>(next - phi_deg_.begin()) - 1;
    const double width = phi_deg_[plane + 1] - phi_deg_[plane];
    return {plane, std::clamp((degrees - phi_deg_[plane]) / width, 0.0, 1.0), turned / (width * kDegree)};
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

double Beam::relativeAt(std::size_t plane, const Place& at) const {
    if (at.beyond) return 0.0;
    const double* values = relative_.data() + plane * theta_deg_.size();
    const double below = at.node == 0 ? 0.0 : values[at.node - 1];
    return below + at.share * (values[at.node] - below);
}

double Beam::planeIntensity(std::size_t plane, double cos_theta) const {
    if (kind_ != Kind::Table) return scale_ * std::pow(cos_theta, power_);
    return scale_ * relativeAt(plane, placeOf(degreesOf(cos_theta)));
}

double Beam::intensity(double cos_theta) const {
    if (round()) return planeIntensity(0, cos_theta);
    double mean = 0.0;
    for (std::size_t j = 0; j < phi_deg_.size(); ++j) mean += plane_weight_[j] * planeIntensity(j, cos_theta);
    return mean;
}

double Beam::intensity(const Ray& ray) const {
    if (round()) return planeIntensity(0, ray.cos_theta);
    const auto azimuth = azimuthOf(ray.phi);
    return (1.0 - azimuth.share) * planeIntensity(azimuth.plane, ray.cos_theta) +
           azimuth.share * planeIntensity(azimuth.plane + 1, ray.cos_theta);
}

double Beam::slopeAt(std::size_t plane, double cos_theta) const {
    if (kind_ != Kind::Table) {
        if (power_ == 0.0) return 0.0;
        return scale_ * power_ * std::pow(cos_theta, power_ - 1.0);
    }
    const double sine = std::sqrt(std::max(0.0, 1.0 - cos_theta * cos_theta));
    const auto at = placeOf(degreesOf(cos_theta));
    if (at.beyond || at.node == 0 || sine < 1e-9) return 0.0;
    const double* values = relative_.data() + plane * theta_deg_.size();
    const double per_degree =
        (values[at.node] - values[at.node - 1]) / (theta_deg_[at.node] - theta_deg_[at.node - 1]);
    return -scale_ * per_degree / kDegree / sine;
}

double Beam::intensitySlope(double cos_theta) const {
    if (round()) return slopeAt(0, cos_theta);
    double mean = 0.0;
    for (std::size_t j = 0; j < phi_deg_.size(); ++j) mean += plane_weight_[j] * slopeAt(j, cos_theta);
    return mean;
}

double Beam::intensitySlope(const Ray& ray) const {
    if (round()) return slopeAt(0, ray.cos_theta);
    const auto azimuth = azimuthOf(ray.phi);
    return (1.0 - azimuth.share) * slopeAt(azimuth.plane, ray.cos_theta) +
           azimuth.share * slopeAt(azimuth.plane + 1, ray.cos_theta);
}

double Beam::azimuthSlope(const Ray& ray) const {
    if (round()) return 0.0;
    const auto azimuth = azimuthOf(ray.phi);
    return azimuth.per_rad *
           (planeIntensity(azimuth.plane + 1, ray.cos_theta) - planeIntensity(azimuth.plane, ray.cos_theta));
}

std::vector<double> Beam::parameters() const {
    if (kind_ == Kind::Table) return relative_;
    return {kind_ == Kind::HalfAngle ? half_angle_deg_ : power_};
}

std::vector<double> Beam::parameterSlopes(const Ray& ray) const {
    const double value = intensity(ray);
    const double cos_theta = ray.cos_theta;
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
    const std::size_t nodes = theta_deg_.size();
    std::vector<double> slopes(relative_.size());
    for (std::size_t i = 0; i < slopes.size(); ++i)
        slopes[i] = -value * plane_weight_[i / nodes] * node_weight_[i % nodes] * scale_;
    const auto at = placeOf(degreesOf(cos_theta));
    if (at.beyond) return slopes;
    const auto raise = [&](std::size_t plane, double share) {
        slopes[plane * nodes + at.node] += scale_ * share * at.share;
        if (at.node > 0) slopes[plane * nodes + at.node - 1] += scale_ * share * (1.0 - at.share);
    };
    if (round()) {
        raise(0, 1.0);
        return slopes;
    }
    const auto azimuth = azimuthOf(ray.phi);
    raise(azimuth.plane, 1.0 - azimuth.share);
    raise(azimuth.plane + 1, azimuth.share);
    return slopes;
}

}  // namespace glumet
