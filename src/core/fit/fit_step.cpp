#include <algorithm>
#include <cmath>

#include "core/fit/fitter.h"
#include "core/fit/least_squares.h"

namespace glumet {
namespace {

constexpr double kKnownAttenuationError = 0.005;  // 1/m
constexpr double kConverged = 0.02;               // rms change of the modelled readings, standard errors
constexpr int kRoundsOfChoice = 4;                // after which the smoothness prior is left as it is
/// Strengths of the smoothness prior that are tried: standard deviation of a second difference, as a share of
/// the beam's mean coefficient.
constexpr std::array kRoughness{0.02, 0.05, 0.1, 0.2, 0.4, 0.8};

}  // namespace

double Fitter::priorError(Eigen::Index nuisance) const {
    switch (nuisance) {
        case kHeight:
            return options_.height_offset_mm;
        case kX:
        case kY:
            return options_.position_mm;
        case kAttenuation:
            return options_.known_attenuation_per_m ? kKnownAttenuationError : options_.attenuation_per_m;
        case kReflectance:
            return options_.reflectance;
        default:
            return (nuisance - kSharedCount) % 2 == 0 ? options_.run_height_mm : options_.run_level;
    }
}

const Eigen::MatrixXd& Fitter::differences() {
    static const Eigen::MatrixXd d = [] {
        Eigen::MatrixXd m = Eigen::MatrixXd::Zero(kBells - 1, kBells);
        m(0, 0) = -2.0;  // even about the axis
        m(0, 1) = 2.0;
        for (Eigen::Index k = 1; k + 1 < kBells; ++k) {
            m(k, k - 1) = 1.0;
            m(k, k) = -2.0;
            m(k, k + 1) = 1.0;
        }
        return m;
    }();
    return d;
}

Eigen::MatrixXd Fitter::smoothness(double roughness) const {
    const double scale = roughness * std::max(beam_.mean(), 1e-9);
    return differences().transpose() * differences() / (scale * scale) +
           Eigen::MatrixXd::Identity(kBells, kBells) * (1.0 / std::pow(20.0 * beam_.mean(), 2));
}

Eigen::MatrixXd Fitter::whitened() const {
    Eigen::MatrixXd x(design_.rows(), kBells + slopes_.cols());
    x << design_, slopes_;
    const Eigen::VectorXd scale = weights_.cwiseSqrt().cwiseQuotient(noise_);
    return scale.asDiagonal() * x;
}

void Fitter::chooseRoughness() {
    const Eigen::MatrixXd x = whitened();
    const Eigen::VectorXd y = weights_.cwiseSqrt().cwiseQuotient(noise_).cwiseProduct(values());
    const Eigen::MatrixXd xx = x.transpose() * x;
    const Eigen::VectorXd xy = x.transpose() * (y + x.rightCols(slopes_.cols()) * linearised_);
    double best = -1e300;
    for (const double roughness : kRoughness) {
        Eigen::MatrixXd prior = Eigen::MatrixXd::Zero(xx.rows(), xx.cols());
        prior.topLeftCorner(kBells, kBells) = smoothness(roughness);
        for (Eigen::Index j = 0; j < slopes_.cols(); ++j)
            prior(kBells + j, kBells + j) = 1.0 / std::pow(priorError(j), 2);
        const Eigen::LLT<Eigen::MatrixXd> whole(xx + prior);
        const Eigen::LLT<Eigen::MatrixXd> before(prior);
        const double determinants = 2.0 * (before.matrixLLT().diagonal().array().log().sum() -
                                           whole.matrixLLT().diagonal().array().log().sum());
        const double evidence = 0.5 * (xy.dot(whole.solve(xy)) + determinants);
        if (evidence <= best) continue;
        best = evidence;
        roughness_ = roughness;
    }
}

void Fitter::normal(Eigen::MatrixXd& h, Eigen::VectorXd& g) const {
    const Eigen::MatrixXd x = whitened();
    const Eigen::VectorXd& q = linearised_;
    Eigen::VectorXd y = weights_.cwiseSqrt().cwiseQuotient(noise_).cwiseProduct(values());
    y += x.rightCols(q.size()) * q;
    h = x.transpose() * x;
    g = x.transpose() * y;
    h.topLeftCorner(kBells, kBells) += smoothness(roughness_);
    for (Eigen::Index j = 0; j < q.size(); ++j) {
        const double precision = 1.0 / std::pow(priorError(j), 2);
        h(kBells + j, kBells + j) += precision;
        if (j == kReflectance) g(kBells + j) += precision * described_reflectance_;
        if (j == kAttenuation) g(kBells + j) += precision * options_.known_attenuation_per_m.value_or(0.0);
    }
}

void Fitter::step() {
    Eigen::MatrixXd h;
    Eigen::VectorXd g;
    normal(h, g);
    Eigen::VectorXd low = Eigen::VectorXd::Constant(g.size(), -1e300);
    low.head(kBells).setZero();
    low(kBells + kAttenuation) = 0.0;
    low(kBells + kReflectance) = 0.0;
    const Eigen::VectorXd x = boundedMinimum(h, g, low);
    beam_ = x.head(kBells);
    for (Eigen::Index j = 0; j < kSharedCount; ++j) {
        // A round never goes further than the prior would: the model is straight only near by.
        const double now = nuisances_.shared[static_cast<std::size_t>(j)];
        const double most = priorError(j);
        nuisances_.shared[static_cast<std::size_t>(j)] = std::clamp(x(kBells + j), now - most, now + most);
    }
    for (std::size_t run = 0; run < runs_.size(); ++run) {
        const auto at = kBells + kSharedCount + 2 * static_cast<Eigen::Index>(run);
        nuisances_.run_height[run] = std::clamp(x(at), -20.0, 20.0);
        nuisances_.run_level[run] = std::clamp(x(at + 1), -0.1, 0.1);
    }
}

Expected<FitResult> Fitter::fit() {
    if (const auto wrong = gather()) return tl::make_unexpected(*wrong);
    layOutEmitters();
    start();
    linearise();
    bool converged = false;
    for (int round = 0; round < options_.most_iterations && !converged; ++round) {
        if (options_.stop.stop_requested())
            return problem("", say(GLUMET_SAY("Core", "the fit was cancelled")));
        if (round < kRoundsOfChoice) chooseRoughness();
        step();
        const Eigen::VectorXd before = model_;
        linearise();
        ++result_.iterations;
        options_.progress(static_cast<double>(result_.iterations) / options_.most_iterations);
        const Eigen::VectorXd moved = (model_ - before).cwiseQuotient(noise_);
        converged = moved.norm() < kConverged * std::sqrt(static_cast<double>(moved.size()));
    }
    if (!beam_.allFinite())
        return problem("", say(GLUMET_SAY("Core", "the readings contradict each other: no beam gives them")));
    finish();
    if (!converged)
        result_.cannot_tell.push_back(
            say(GLUMET_SAY("Core", "The fit still moved after {} rounds: its figures may move further."),
                Count{result_.iterations}));
    return result_;
}

Expected<FitResult> Fitter::add(Id run_id, Millimetre depth, const Reading& reading) {
    const auto at =
        std::find_if(runs_.begin(), runs_.end(), [&](const RunScene& run) { return run.id == run_id; });
    if (at == runs_.end())
        return problem("", say(GLUMET_SAY("Core", "the reading belongs to a run that is not fitted")));
    const auto before = data_.size();
    Plane plane;
    plane.depth = depth;
    plane.readings = {reading};
    std::set<long> rings;
    std::set<std::pair<long, long>> planes;
    addPlaneTo(static_cast<std::size_t>(at - runs_.begin()), plane, rings, planes);
    if (data_.size() == before)
        return problem("", say(GLUMET_SAY("Core", "the reading does not count or lies outside the tank")));
    addRow();
    weigh();
    step();
    model_ = design_ * beam_ + slopes_ * (nuisanceVector() - linearised_);
    const auto model = result_.model;
    result_ = {};
    result_.model = model;
    result_.model.covariance.clear();
    finish();
    return result_;
}

}  // namespace glumet
