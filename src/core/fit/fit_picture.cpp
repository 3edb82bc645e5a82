#include <cmath>
#include <utility>

#include "core/fit/fitter.h"
#include "core/linear/linear.h"

namespace glumet {
namespace {

/// Before the readings a beam looks straight down, give or take so many degrees.
constexpr double kLeanDeg = 6.0;
/// How far each coefficient may be from its picture, as a share of the mean coefficient.
constexpr double kNotQuite = 0.01;
/// A trough's ends and what is not the same along it make so much of its light, as a share of it.
constexpr double kNotQuiteTrough = 0.05;
constexpr int kPictureRounds = 2;

Eigen::MatrixXd inverse(const Eigen::MatrixXd& symmetric) { return Cholesky(symmetric).inverse(); }

}  // namespace

Eigen::MatrixXd Fitter::picturePrior(double outward) const {
    const double mean = meanCoefficient();
    const auto smooth = inverse(smoothPrecision(BeamShape::Round, outward, 1.0));
    Eigen::MatrixXd covariance;
    if (leaning_) {
        covariance = leaning_->bells * smooth * leaning_->bells.transpose() * std::pow(mean, 2);
        covariance += leaning_->by_lean * leaning_->by_lean.transpose() * std::pow(kLeanDeg, 2);
    } else {
        const auto add = [&](const Eigen::MatrixXd& by, const Eigen::VectorXd& of) {
            return Eigen::MatrixXd(by * smooth * by.transpose() * std::pow(of.mean(), 2));
        };
        const auto& beam = trough_->beam;
        covariance = add(trough_->by_across, trough_->across) + add(trough_->by_along, trough_->along) +
                     std::pow(kNotQuiteTrough, 2) * beam.asDiagonal() * alikeByAngle() * beam.asDiagonal();
    }
    covariance.diagonal().array() += std::pow(kNotQuite * mean, 2);
    return inverse(covariance);
}

void Fitter::followPicture() {
    if (leaning_) leaning_ = nearestLeaning(beam_, leaning_->lean);
    if (trough_) trough_ = nearestTrough(beam_);
}

/// The beam that this linearisation asks for, what stands around it left as it is.
void Fitter::stepBeam(const Sums& sums) {
    const auto kept = nuisances_;
    step(sums);
    nuisances_ = kept;
}

double Fitter::considerPicture(Picture picture, const Sums& sums) {
    // It begins where the readings lead a beam without it.
    if (picture == Picture::Leaning)
        leaning_ = nearestLeaning(beam_, {0.0, 0.0});
    else
        trough_ = nearestTrough(beam_);
    for (int round = 0; round < kPictureRounds; ++round) {
        chooseSmoothness(sums);
        stepBeam(sums);
        followPicture();
    }
    return pictureEvidence(sums);
}

double Fitter::pictureEvidence(const Sums& sums) {
    // The prior goes along with the lean, whose own is straight down.
    const double away = leaning_ ? std::hypot(leaning_->lean[0], leaning_->lean[1]) / kLeanDeg : 0.0;
    return chooseSmoothness(sums) - 0.5 * away * away;
}

bool Fitter::dropPicture() {
    const auto sums = this->sums();
    const double with = pictureEvidence(sums);
    const auto leaning = std::exchange(leaning_, std::nullopt);
    const auto trough = std::exchange(trough_, std::nullopt);
    const auto smoothness = smoothness_;
    const double without = chooseSmoothness(sums);
    if (without > with + kRoundBelieved) return true;
    leaning_ = leaning;
    trough_ = trough;
    smoothness_ = smoothness;
    return false;
}

}  // namespace glumet
