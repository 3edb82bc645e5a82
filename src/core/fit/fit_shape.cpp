#include <algorithm>
#include <atomic>
#include <cmath>
#include <map>
#include <tuple>

#include "core/fit/fitter.h"
#include "core/fit/tie.h"
#include "core/linear/linear.h"

namespace glumet {
namespace {

/// Strengths that are tried.
constexpr std::array kOutward{0.02, 0.05, 0.1, 0.2, 0.4, 0.8};
constexpr std::array kAbout{0.03, 0.1, 0.3, 1.0, 3.0};
/// A trough's beam may have a hump at its reflector's angle: the smoothest of them would flatten it, and move
/// the height for it.
constexpr int kLeastOfTrough = 2;
static_assert(kOutward[kLeastOfTrough] == 0.1);
/// On its axis a beam is the same in every azimuth; from here on it may turn freely.
constexpr double kFreeFromDeg = 15.0;
constexpr double kTiedOnAxis = 0.02;
/// What a picture is thought to gain once the beam has settled under it, as a share of what it gains.
constexpr double kNearly = 0.15;

/// Second differences of one azimuth's coefficients, even about the axis.
const Eigen::MatrixXd& outwardDifferences() {
    static const Eigen::MatrixXd d = [] {
        constexpr Eigen::Index kBells = BeamBasis::kSize;
        Eigen::MatrixXd m = Eigen::MatrixXd::Zero(kBells - 1, kBells);
        m(0, 0) = -2.0;
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

}  // namespace

Eigen::MatrixXd smoothPrecision(BeamShape shape, double outward, double about) {
    constexpr Eigen::Index kBells = BeamBasis::kSize;
    const auto shares = BeamBasis::turnShares(shape);
    const auto azimuths = static_cast<Eigen::Index>(shares.size());
    const Eigen::MatrixXd one =
        outwardDifferences().transpose() * outwardDifferences() / std::pow(outward, 2) +
        Eigen::MatrixXd::Identity(kBells, kBells) / std::pow(20.0, 2);
    Eigen::MatrixXd out = Eigen::MatrixXd::Zero(BeamBasis::size(shape), BeamBasis::size(shape));
    // Each azimuth counts by its share of the turn: with all alike this is the prior of a round beam.
    for (Eigen::Index a = 0; a < azimuths; ++a)
        out.block(a * kBells, a * kBells, kBells, kBells) = shares[static_cast<std::size_t>(a)] * one;
    const Eigen::Index neighbours = shape == BeamShape::Free ? azimuths : azimuths - 1;
    for (Eigen::Index a = 0; a < neighbours; ++a)
        for (Eigen::Index k = 0; k < kBells; ++k) {
            const double theta = 90.0 * static_cast<double>(k) / BeamBasis::kIntervals;
            const double freedom = std::clamp(theta / kFreeFromDeg, kTiedOnAxis, 1.0);
            tie(out, a * kBells + k, (a + 1) % azimuths * kBells + k, 1.0 / std::pow(about * freedom, 2));
        }
    return out;
}

namespace {

/// How far a beam may be from a factor times the one it leans on: by a tenth, in so many independent
/// stretches.
constexpr double kAlike = 0.1;
constexpr double kStretches = 4.0;
/// Of the beam leant on, less than this share of its greatest coefficient counts as so much: the other may
/// shine a little where that one does not.
constexpr double kLeastOfPattern = 0.01;

/// Precision of a ratio that is believed to be the same everywhere.
Eigen::MatrixXd alikePrecision(BeamShape shape) {
    constexpr Eigen::Index kBells = BeamBasis::kSize;
    const auto shares = BeamBasis::turnShares(shape);
    Eigen::VectorXd weights(BeamBasis::size(shape));
    for (std::size_t a = 0; a < shares.size(); ++a)
        weights.segment(static_cast<Eigen::Index>(a) * kBells, kBells).setConstant(shares[a] / kBells);
    const Eigen::MatrixXd every = weights.asDiagonal();
    return (every - weights * weights.transpose()) * kStretches / std::pow(kAlike, 2);
}

/// Of smoothPrecision() at the tried strengths, each worked out once: it depends on nothing that was read.
double plainDeterminant(BeamShape shape, std::size_t outward, std::size_t about) {
    constexpr auto kAll = 3 * kOutward.size() * kAbout.size();
    static std::array<std::atomic<double>, kAll> known{};  // 0: not yet
    auto& one = known[(static_cast<std::size_t>(shape) * kOutward.size() + outward) * kAbout.size() + about];
    if (one == 0.0) one = Cholesky(smoothPrecision(shape, kOutward[outward], kAbout[about])).logDeterminant();
    return one;
}

}  // namespace

Eigen::VectorXd Fitter::pattern() const {
    if (!options_.leans_on) return Eigen::VectorXd::Ones(bells());
    const auto& beam = options_.leans_on->model.beam;
    const Eigen::VectorXd all = Eigen::Map<const Eigen::VectorXd>(beam.data(), bells());
    return all.cwiseMax(kLeastOfPattern * all.maxCoeff()) / all.maxCoeff();
}

Eigen::MatrixXd Fitter::prior(const Smoothness& smoothness) const {
    if (pictured()) return picturePrior(smoothness.outward);
    Eigen::MatrixXd of_ratio = smoothPrecision(shape_, smoothness.outward, smoothness.about);
    if (options_.leans_on) of_ratio += alikePrecision(shape_);
    const Eigen::VectorXd per_ratio = (pattern() * meanCoefficient()).cwiseInverse();
    return per_ratio.asDiagonal() * of_ratio * per_ratio.asDiagonal();
}

double Fitter::priorDeterminant(const Eigen::MatrixXd& prior, std::size_t outward, std::size_t about) const {
    if (options_.leans_on || pictured()) return Cholesky(prior).logDeterminant();
    const double scale = 2.0 * static_cast<double>(bells()) * std::log(meanCoefficient());
    return plainDeterminant(shape_, outward, about) - scale;
}

double Fitter::evidenceUnder(const Sums& sums, std::size_t outward, std::size_t about) const {
    const auto of_beam = prior({kOutward[outward], kAbout[about]});
    Eigen::MatrixXd whole = sums.xx;
    whole.topLeftCorner(bells(), bells()) += of_beam;
    double before = priorDeterminant(of_beam, outward, about);
    addNuisancePriors(whole);
    for (Eigen::Index j = 0; j < slopes_.cols(); ++j) before -= 2.0 * std::log(priorError(j));
    const Cholesky factor(whole);
    // The same for every strength, not for every layout.
    const double constant = -0.5 * sums.yy - noise_.array().log().sum();
    return constant + 0.5 * (sums.xy.dot(factor.solve(sums.xy)) + before - factor.logDeterminant());
}

double Fitter::chooseSmoothness(const Sums& sums) {
    const int turns = shape_ == BeamShape::Round || pictured() ? 1 : static_cast<int>(kAbout.size());
    std::map<std::pair<int, int>, double> tried;
    const auto under = [&](int outward, int about) {
        const auto [at, fresh] = tried.try_emplace({outward, about}, 0.0);
        if (fresh)
            at->second =
                evidenceUnder(sums, static_cast<std::size_t>(outward), static_cast<std::size_t>(about));
        return at->second;
    };
    // A large factorisation each: every other strength first, for few means may have two summits, and from
    // the best of those uphill. The beam before says nothing: it may have had another shape.
    const int least = trough_ ? kLeastOfTrough : 0;
    int outward = least;
    int about = 0;
    for (int o = least; o < static_cast<int>(kOutward.size()); o += 2)
        for (int a = 0; a < turns; a += 2)
            if (under(o, a) > under(outward, about)) std::tie(outward, about) = std::pair{o, a};
    double best = under(outward, about);
    for (bool higher = true; higher;) {
        higher = false;
        for (const auto& [o, a] : {std::pair{outward - 1, about}, std::pair{outward + 1, about},
                                   std::pair{outward, about - 1}, std::pair{outward, about + 1}}) {
            if (o < least || o >= static_cast<int>(kOutward.size()) || a < 0 || a >= turns) continue;
            if (under(o, a) <= best) continue;
            best = under(o, a);
            outward = o;
            about = a;
            higher = true;
        }
    }
    smoothness_ = {kOutward[static_cast<std::size_t>(outward)], kAbout[static_cast<std::size_t>(about)]};
    return best;
}

void Fitter::considerEvenness(const Sums& sums) {
    even_along_ = even_across_ = false;
    const double wide = std::pow(unevenness(false), 2);
    const double narrow = std::pow(unevenness(true), 2);
    Eigen::MatrixXd h;
    Eigen::VectorXd g;
    normal(sums, h, g);
    const Cholesky factor(h);
    const Eigen::VectorXd x = factor.solve(g);
    const auto logNormal = [](double at, double variance) {
        return -0.5 * (at * at / variance + std::log(variance));
    };
    for (const auto& [axis, even] : {std::pair{kUnevenAlong, &even_along_}, {kUnevenAcross, &even_across_}}) {
        if (!matters(axis)) continue;
        const auto at = bells() + axis;
        const Eigen::VectorXd column = factor.solve(Eigen::VectorXd(Eigen::VectorXd::Unit(h.rows(), at)));
        // What the readings alone say of it: the posterior without its prior, which is about 0.
        const double precision = std::max(1.0 / column(at) - 1.0 / wide, 1e-9);
        const double said = x(at) / (column(at) * precision);
        *even = logNormal(said, 1.0 / precision + narrow) > logNormal(said, 1.0 / precision + wide);
    }
}

void Fitter::setShape(BeamShape shape) {
    // Every azimuth begins as the mean of what there was.
    constexpr Eigen::Index kBells = BeamBasis::kSize;
    Eigen::VectorXd mean = Eigen::VectorXd::Zero(kBells);
    const auto shares = BeamBasis::turnShares(shape_);
    for (std::size_t a = 0; a < shares.size(); ++a)
        mean += shares[a] * beam_.segment(static_cast<Eigen::Index>(a) * kBells, kBells);
    shape_ = shape;
    beam_.resize(bells());
    for (Eigen::Index a = 0; a < BeamBasis::azimuths(shape); ++a) beam_.segment(a * kBells, kBells) = mean;
    design_ = designAt(nuisances_.shared);
}

Fitter::Considered Fitter::considered(double evidence) const {
    return {evidence, shape_, beam_, smoothness_, leaning_, trough_};
}

void Fitter::take(const Considered& beam) {
    shape_ = beam.shape;
    beam_ = beam.beam;
    smoothness_ = beam.smoothness;
    leaning_ = beam.leaning;
    trough_ = beam.trough;
}

std::vector<Fitter::Considered> Fitter::beamsOf(BeamShape shape, Picture picture, double plain) {
    setShape(shape);
    const auto sums = this->sums();
    const double evidence = chooseSmoothness(sums);
    // A round beam that gains nothing by being any other is neither a trough's nor looks aside.
    if (evidence <= plain) return {considered(evidence)};
    stepBeam(sums);
    const auto anyhow = considered(evidence);
    // Where the round fit stands a picture fits less well than settled: dropPicture() looks again.
    const double pictured = considerPicture(picture, sums);
    return {considered(pictured + kNearly * std::max(0.0, pictured - plain)), anyhow};
}

void Fitter::considerShapes() {
    // The same linearisation and the same weights for all: only the beam's freedom differs.
    const double plain = chooseSmoothness(sums());
    const auto round = considered(plain);
    auto best = round;
    // Two planes of symmetry are the more usual, and a picture is believed before a beam that may be anyhow:
    // who comes later must beat who came before as that beat a round beam.
    for (const auto& [shape, picture] :
         {std::pair{BeamShape::TwoPlanes, Picture::Trough}, std::pair{BeamShape::Free, Picture::Leaning}}) {
        const auto beams = beamsOf(shape, picture, plain);
        for (const auto& beam : beams)
            if (beam.evidence > best.evidence + kRoundBelieved) best = beam;
        result_.shape_evidence.push_back({shape, beams.back().evidence - plain});
        take(round);
    }
    take(best);
    design_ = designAt(nuisances_.shared);
    if (shape_ != BeamShape::Round) model_ = design_ * beam_;
}

}  // namespace glumet
