#include "core/fit/trough_beam.h"

#include <algorithm>
#include <cmath>
#include <vector>

#include "core/base/angle.h"
#include "core/fit/beam_basis.h"
#include "core/fit/tie.h"
#include "core/linear/linear.h"

namespace glumet {
namespace {

using Rows = Eigen::Matrix<double, Eigen::Dynamic, Eigen::Dynamic, Eigen::RowMajor>;

constexpr double kPhiStep = 7.5;
constexpr double kSmooth = 1e-6;  // keeps the rounds from running where no direction leads
constexpr int kTroughRounds = 8;
constexpr double kAlikeDeg = 15.0;

Eigen::Vector3d directionOf(double theta_deg, double phi_deg) {
    const double theta = theta_deg * kDegree;
    const double phi = phi_deg * kDegree;
    return {std::sin(theta) * std::cos(phi), std::sin(theta) * std::sin(phi), std::cos(theta)};
}

/// Rows of bells in directions over a quarter turn, and from intensities there to the beam's coefficients.
struct Quarter {
    Rows beam;
    Rows across;
    Rows along;
    Eigen::VectorXd weights;
    Eigen::MatrixXd fitting;

    Quarter() {
        std::vector<std::array<double, 2>> directions;
        for (double theta = 0.0; theta <= 90.0; theta += kThetaStep)
            for (double phi = 0.0; phi <= 90.0; phi += kPhiStep) directions.push_back({theta, phi});
        const auto count = static_cast<Eigen::Index>(directions.size());
        beam = Rows::Zero(count, BeamBasis::size(BeamShape::TwoPlanes));
        across = along = Rows::Zero(count, BeamBasis::kSize);
        weights.resize(count);
        for (Eigen::Index i = 0; i < count; ++i) {
            const auto [theta, phi] = directions[static_cast<std::size_t>(i)];
            const auto at = directionOf(theta, phi);
            BeamBasis::addTo(BeamShape::TwoPlanes, theta, phi * kDegree, 1.0, beam.row(i).data());
            BeamBasis::addTo(BeamShape::Round, std::atan2(at.y(), at.z()) / kDegree, 0.0, 1.0,
                             across.row(i).data());
            BeamBasis::addTo(BeamShape::Round, std::asin(std::clamp(at.x(), -1.0, 1.0)) / kDegree, 0.0, 1.0,
                             along.row(i).data());
            weights(i) = std::sin(theta * kDegree) + 0.05;
        }
        Eigen::MatrixXd h = beam.transpose() * weights.asDiagonal() * beam;
        for (Eigen::Index i = 0; i + BeamBasis::kSize < h.rows(); ++i) tie(h, i, i + BeamBasis::kSize, kTied);
        fitting = PivotedCholesky(h).solve(Eigen::MatrixXd(beam.transpose() * weights.asDiagonal()));
    }
};
const Quarter& quarter() {
    static const Quarter made;
    return made;
}

/// The factor that with the other gives these intensities best; never negative.
Eigen::VectorXd factorOf(const Rows& rows, const Eigen::VectorXd& other, const Eigen::VectorXd& intensities) {
    const auto& q = quarter();
    const Eigen::VectorXd weights = q.weights.cwiseProduct(other.cwiseAbs2());
    Eigen::MatrixXd h = rows.transpose() * weights.asDiagonal() * rows;
    h.diagonal().array() += kSmooth * std::max(h.diagonal().maxCoeff(), 1e-300);
    const Eigen::VectorXd g = rows.transpose() * (q.weights.cwiseProduct(other).cwiseProduct(intensities));
    return PivotedCholesky(h).solve(g).cwiseMax(0.0);
}

}  // namespace

TroughBeam nearestTrough(const Eigen::VectorXd& beam) {
    const auto& q = quarter();
    const Eigen::VectorXd intensities = q.beam * beam;
    TroughBeam out;
    out.along = Eigen::VectorXd::Ones(BeamBasis::kSize);
    for (int round = 0; round < kTroughRounds; ++round) {
        out.across = factorOf(q.across, q.along * out.along, intensities);
        out.along = factorOf(q.along, q.across * out.across, intensities);
        out.along /= std::max(out.along.maxCoeff(), 1e-300);
    }
    const Eigen::VectorXd across = q.across * out.across;
    const Eigen::VectorXd along = q.along * out.along;
    out.beam = q.fitting * across.cwiseProduct(along);
    out.by_across = q.fitting * along.asDiagonal() * q.across;
    out.by_along = q.fitting * across.asDiagonal() * q.along;
    return out;
}

const Eigen::MatrixXd& alikeByAngle() {
    static const Eigen::MatrixXd made = [] {
        const auto size = static_cast<Eigen::Index>(BeamBasis::size(BeamShape::TwoPlanes));
        const double azimuth_step = 90.0 / (BeamBasis::azimuths(BeamShape::TwoPlanes) - 1);
        const auto at = [azimuth_step](Eigen::Index i) {
            const double theta = 90.0 * static_cast<double>(i % BeamBasis::kSize) / BeamBasis::kIntervals;
            return directionOf(std::min(theta, 90.0),
                               azimuth_step * static_cast<double>(i / BeamBasis::kSize));
        };
        Eigen::MatrixXd out(size, size);
        for (Eigen::Index i = 0; i < size; ++i)
            for (Eigen::Index j = 0; j < size; ++j) {
                const double apart = std::acos(std::clamp(at(i).dot(at(j)), -1.0, 1.0)) / kDegree;
                out(i, j) = std::exp(-0.5 * std::pow(apart / kAlikeDeg, 2));
            }
        return out;
    }();
    return made;
}

}  // namespace glumet
