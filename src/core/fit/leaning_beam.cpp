#include "core/fit/leaning_beam.h"

#include <algorithm>
#include <cmath>
#include <numbers>
#include <vector>

#include "core/base/angle.h"
#include "core/fit/beam_basis.h"
#include "core/fit/tie.h"
#include "core/linear/linear.h"

namespace glumet {
namespace {

using std::numbers::pi;

constexpr int kTurns = 16;
constexpr double kSlopeStep = 0.25;  // degrees
constexpr double kFurthest = 30.0;   // degrees: beyond it no beam is said to lean
constexpr int kLeaningRounds = 2;

struct Direction {
    double theta_deg;
    double phi;
    double weight;
};

const std::vector<Direction>& directions() {
    static const std::vector<Direction> all = [] {
        std::vector<Direction> out;
        for (double theta = 0.0; theta <= 90.0; theta += kThetaStep)
            for (int turn = 0; turn < kTurns; ++turn)
                out.push_back({theta, 2.0 * pi * turn / kTurns, std::sin(theta * kDegree) + 0.05});
        return out;
    }();
    return all;
}

/// From intensities in the directions to the coefficients nearest to them.
const Eigen::MatrixXd& fitting() {
    static const Eigen::MatrixXd solver = [] {
        constexpr Eigen::Index kBells = BeamBasis::kSize;
        const auto size = static_cast<Eigen::Index>(BeamBasis::size(BeamShape::Free));
        const auto azimuths = static_cast<Eigen::Index>(BeamBasis::azimuths(BeamShape::Free));
        const auto count = static_cast<Eigen::Index>(directions().size());
        Eigen::Matrix<double, Eigen::Dynamic, Eigen::Dynamic, Eigen::RowMajor> rows =
            Eigen::MatrixXd::Zero(count, size);
        Eigen::VectorXd weights(count);
        for (Eigen::Index i = 0; i < count; ++i) {
            const auto& d = directions()[static_cast<std::size_t>(i)];
            BeamBasis::addTo(BeamShape::Free, d.theta_deg, d.phi, 1.0, rows.row(i).data());
            weights(i) = d.weight;
        }
        Eigen::MatrixXd h = rows.transpose() * weights.asDiagonal() * rows;
        for (Eigen::Index a = 0; a < azimuths; ++a)
            for (Eigen::Index k = 0; k < kBells; ++k)
                tie(h, a * kBells + k, (a + 1) % azimuths * kBells + k, kTied);
        return PivotedCholesky(h).solve(Eigen::MatrixXd(rows.transpose() * weights.asDiagonal()));
    }();
    return solver;
}

}  // namespace

Eigen::MatrixXd leaningBells(const Lean& lean) {
    const Eigen::Vector3d axis =
        Eigen::Vector3d(std::tan(lean[0] * kDegree), std::tan(lean[1] * kDegree), 1.0).normalized();
    const auto count = static_cast<Eigen::Index>(directions().size());
    Eigen::Matrix<double, Eigen::Dynamic, Eigen::Dynamic, Eigen::RowMajor> rows =
        Eigen::MatrixXd::Zero(count, BeamBasis::kSize);
    for (Eigen::Index i = 0; i < count; ++i) {
        const auto& d = directions()[static_cast<std::size_t>(i)];
        const double theta = d.theta_deg * kDegree;
        const Eigen::Vector3d at(std::sin(theta) * std::cos(d.phi), std::sin(theta) * std::sin(d.phi),
                                 std::cos(theta));
        const double from_axis = std::acos(std::clamp(at.dot(axis), -1.0, 1.0)) / kDegree;
        BeamBasis::addTo(BeamShape::Round, from_axis, 0.0, 1.0, rows.row(i).data());
    }
    return fitting() * rows;
}

namespace {

/// By one step: beams are smooth over a degree.
Eigen::MatrixXd slopesByLean(const Lean& lean, const Eigen::MatrixXd& bells, const Eigen::VectorXd& round) {
    Eigen::MatrixXd out(bells.rows(), 2);
    for (std::size_t axis = 0; axis < lean.size(); ++axis) {
        auto more = lean;
        more[axis] += kSlopeStep;
        out.col(static_cast<Eigen::Index>(axis)) = (leaningBells(more) - bells) * round / kSlopeStep;
    }
    return out;
}

}  // namespace

LeaningBeam nearestLeaning(const Eigen::VectorXd& free_beam, Lean from) {
    LeaningBeam out{from, {}, {}, {}};
    for (int round = 0;; ++round) {
        out.bells = leaningBells(out.lean);
        out.round = PivotedCholesky(out.bells.transpose() * out.bells)
                        .solve(Eigen::VectorXd(out.bells.transpose() * free_beam));
        out.by_lean = slopesByLean(out.lean, out.bells, out.round);
        if (round == kLeaningRounds) return out;
        const Eigen::VectorXd left = free_beam - out.bells * out.round;
        const Eigen::Vector2d by = PivotedCholesky(out.by_lean.transpose() * out.by_lean)
                                       .solve(Eigen::VectorXd(out.by_lean.transpose() * left));
        for (std::size_t axis = 0; axis < 2; ++axis)
            out.lean[axis] =
                std::clamp(out.lean[axis] + by(static_cast<Eigen::Index>(axis)), -kFurthest, kFurthest);
    }
}

}  // namespace glumet
