#include <algorithm>
#include <array>
#include <cmath>

#include "core/fit/fitter.h"
#include "core/fit/least_squares.h"
#include "core/fit/tie.h"

namespace glumet {
namespace {

constexpr double kKnownAttenuationError = 0.005;  // 1/m
constexpr double kConverged = 0.05;               // rms change of the modelled readings, standard errors
constexpr double kTakenBack = 0.5;                // cosine between a round's step and the one before
constexpr int kRoundsOfChoice = 4;                // after which smoothness and picture are left as they are
constexpr int kRoundsBeforeShapes = 5;            // of a round beam
constexpr int kRoundsOfShape = 12;                // at most, of one that is not round
constexpr double kEven = 0.01;                    // of halves that are believed to be alike
constexpr double kAnyLevel = 3.0;                 // logarithm of other channels' output against the first's

}  // namespace

/// What the fit leant on found, and how far this evening's may be from it besides.
std::optional<Fitter::Belief> Fitter::takenOver(Eigen::Index nuisance) const {
    struct Common {
        Eigen::Index nuisance;
        FitQuantity what;
        double apart;
        bool of_tank;
    };
    constexpr std::array kTakenOver{Common{kHeight, FitQuantity::HeightOffset, 0.5, false},
                                    Common{kX, FitQuantity::PlaceAlong, 1.0, true},
                                    Common{kY, FitQuantity::PlaceAcross, 1.0, true},
                                    Common{kReflectance, FitQuantity::Reflectance, 0.03, true}};
    if (!options_.leans_on) return std::nullopt;
    const auto& on = *options_.leans_on;
    for (const auto& shared : kTakenOver) {
        if (shared.nuisance != nuisance || (shared.of_tank && !sameTanks(on))) continue;
        for (const auto& found : on.parameters)
            if (found.what == shared.what) return Belief{found.value, std::hypot(found.error, shared.apart)};
    }
    return std::nullopt;
}

/// Whether all runs are in tanks that fit was read in.
bool Fitter::sameTanks(const FitResult& on) const {
    return std::all_of(runs_.begin(), runs_.end(), [&](const RunScene& run) {
        return std::find(on.tanks.begin(), on.tanks.end(), bench_.run(run.id).tank) != on.tanks.end();
    });
}

double Fitter::unevenness(bool even) const {
    return even ? std::min(kEven, options_.unevenness) : options_.unevenness;
}

double Fitter::priorError(Eigen::Index nuisance) const {
    if (const auto known = takenOver(nuisance)) return known->sd;
    switch (nuisance) {
        case kHeight:
            return std::hypot(options_.emitter_offset_mm, options_.ruler_mm);
        case kX:
        case kY:
            return options_.position_mm;
        case kAttenuation:
            return options_.known_attenuation_per_m ? kKnownAttenuationError : options_.attenuation_per_m;
        case kReflectance:
            return options_.reflectance;
        case kUnevenAlong:
            return unevenness(even_along_);
        case kUnevenAcross:
            return unevenness(even_across_);
        case kSpreadAlong:
        case kSpreadAcross:
            return std::max(options_.spread, 1e-6);
        default:
            break;
    }
    if ((nuisance - kSharedCount) % 2 == 0) return heightPrior(nuisance).sd;
    return ownLevel(static_cast<std::size_t>((nuisance - kSharedCount) / 2)) ? kAnyLevel : options_.run_level;
}

const Fitter::HeightPrior& Fitter::heightPrior(Eigen::Index nuisance) const {
    return runs_[static_cast<std::size_t>((nuisance - kSharedCount) / 2)].height;
}

double Fitter::priorMean(Eigen::Index nuisance) const {
    if (const auto known = takenOver(nuisance)) return known->mean;
    if (nuisance == kReflectance) return described_reflectance_;
    if (nuisance == kAttenuation) return options_.known_attenuation_per_m.value_or(0.0);
    const bool of_height = nuisance >= kSharedCount && (nuisance - kSharedCount) % 2 == 0;
    return of_height ? heightPrior(nuisance).mean : 0.0;
}

Eigen::MatrixXd Fitter::whitened() const {
    Eigen::MatrixXd x(design_.rows(), bells() + slopes_.cols());
    x << design_, slopes_;
    const Eigen::VectorXd scale = weights_.cwiseSqrt().cwiseQuotient(noise_);
    return scale.asDiagonal() * x;
}

Fitter::Sums Fitter::sums() const {
    const Eigen::MatrixXd x = whitened();
    const Eigen::VectorXd y = weights_.cwiseSqrt().cwiseQuotient(noise_).cwiseProduct(values()) +
                              x.rightCols(linearised_.size()) * linearised_;
    Eigen::MatrixXd xx = Eigen::MatrixXd::Zero(x.cols(), x.cols());
    xx.selfadjointView<Eigen::Lower>().rankUpdate(x.transpose());
    xx.triangularView<Eigen::StrictlyUpper>() = xx.transpose();
    return {std::move(xx), x.transpose() * y, y.squaredNorm()};
}

void Fitter::normal(const Sums& sums, Eigen::MatrixXd& h, Eigen::VectorXd& g) const {
    h = sums.xx;
    g = sums.xy;
    h.topLeftCorner(bells(), bells()) += prior(smoothness_);
    addNuisancePriors(h);
    for (Eigen::Index j = 0; j < linearised_.size(); ++j)
        g(bells() + j) += priorMean(j) / std::pow(priorError(j), 2);
}

void Fitter::addNuisancePriors(Eigen::MatrixXd& h) const {
    for (Eigen::Index j = 0; j < slopes_.cols(); ++j)
        h(bells() + j, bells() + j) += 1.0 / std::pow(priorError(j), 2);
    // However bright channels are, from run to run they are as steady as any.
    const auto level = [&](std::size_t run) {
        return bells() + kSharedCount + 2 * static_cast<Eigen::Index>(run) + 1;
    };
    for (std::size_t run = 0; run < runs_.size(); ++run)
        if (ownLevel(run) && runs_[run].mix != run)
            tie(h, level(run), level(runs_[run].mix), 0.5 / std::pow(options_.run_level, 2));
}

void Fitter::step(const Sums& sums) {
    Eigen::MatrixXd h;
    Eigen::VectorXd g;
    normal(sums, h, g);
    Eigen::VectorXd low = Eigen::VectorXd::Constant(g.size(), -1e300);
    low.head(bells()).setZero();
    low(bells() + kAttenuation) = 0.0;
    low(bells() + kReflectance) = 0.0;
    const Eigen::VectorXd x = boundedMinimum(h, g, low);
    beam_ = x.head(bells());
    for (Eigen::Index j = 0; j < kSharedCount; ++j) {
        // A round never goes further than the prior would: the model is straight only near by.
        const double now = nuisances_.shared[static_cast<std::size_t>(j)];
        const bool uneven = j == kUnevenAlong || j == kUnevenAcross;
        const double most = uneven ? unevenness(false) : priorError(j);
        nuisances_.shared[static_cast<std::size_t>(j)] = std::clamp(x(bells() + j), now - most, now + most);
    }
    for (std::size_t run = 0; run < runs_.size(); ++run) {
        const auto at = bells() + kSharedCount + 2 * static_cast<Eigen::Index>(run);
        nuisances_.run_height[run] = std::clamp(x(at), -20.0, 20.0);
        const double now = ownLevel(run) ? nuisances_.run_level[run] : 0.0;
        const double most = ownLevel(run) ? 0.5 : 0.1;
        nuisances_.run_level[run] = std::clamp(x(at + 1), now - most, now + most);
    }
}

/// Beam and place multiply, which no linearisation holds: where a step would take back most of the one
/// before, it would be taken back in turn, and so on for ever. Half of it settles.
void Fitter::stepFrom(const Sums& sums, const Eigen::VectorXd& moved) {
    const Eigen::VectorXd beam = beam_;
    const auto nuisances = nuisances_;
    step(sums);
    const Eigen::VectorXd change =
        (design_ * beam_ + slopes_ * (nuisanceVector() - linearised_) - model_).cwiseQuotient(noise_);
    if (change.dot(moved) >= -kTakenBack * change.norm() * moved.norm()) return;
    beam_ = 0.5 * (beam_ + beam);
    const auto halve = [](double& now, double before) { now = 0.5 * (now + before); };
    for (std::size_t j = 0; j < kSharedCount; ++j) halve(nuisances_.shared[j], nuisances.shared[j]);
    for (std::size_t run = 0; run < runs_.size(); ++run) {
        halve(nuisances_.run_height[run], nuisances.run_height[run]);
        halve(nuisances_.run_level[run], nuisances.run_level[run]);
    }
}

bool Fitter::settle(int rounds, bool& converged) {
    converged = false;
    Eigen::VectorXd moved = Eigen::VectorXd::Zero(model_.size());
    for (int round = 0; round < rounds && !converged; ++round) {
        if (options_.stop.stop_requested()) return false;
        const auto sums = this->sums();
        if (round < kRoundsOfChoice) {
            chooseSmoothness(sums);
            considerEvenness(sums);
        }
        stepFrom(sums, moved);
        if (pictured() && round < kRoundsOfChoice) followPicture();
        const Eigen::VectorXd before = model_;
        linearise();
        ++result_.iterations;
        options_.progress(std::min(
            1.0, static_cast<double>(result_.iterations) / (options_.most_iterations + kRoundsOfShape)));
        moved = (model_ - before).cwiseQuotient(noise_);
        converged = moved.norm() < kConverged * std::sqrt(static_cast<double>(moved.size()));
    }
    return true;
}

bool Fitter::settleShaped(bool& converged) {
    // A round beam that does not hold drags height and place along: it need not be settled to be left.
    // Where it is not known how far the emitters spread, that must settle first.
    const int most = options_.most_iterations;
    const int before = options_.spread > 0.0 ? most : std::min(kRoundsBeforeShapes, most);
    if (!settle(before, converged)) return false;
    considerShapes();
    if (shape_ == BeamShape::Round) return converged || settle(most - before, converged);
    if (!settle(kRoundsOfShape, converged)) return false;
    return !pictured() || !dropPicture() || settle(kRoundsOfShape, converged);
}

Expected<FitResult> Fitter::fit() {
    const Problem cancelled{"", say(GLUMET_SAY("Core", "the fit was cancelled"))};
    if (const auto wrong = gather()) return tl::make_unexpected(*wrong);
    layOutEmitters();
    start();
    if (given_shape_) setShape(*given_shape_);
    linearise();
    bool converged = false;
    const bool choice = options_.shapes && !given_shape_ && !options_.leans_on;
    if (!(choice ? settleShaped(converged) : settle(options_.most_iterations, converged)))
        return tl::make_unexpected(cancelled);
    if (!beam_.allFinite())
        return problem("", say(GLUMET_SAY("Core", "the readings contradict each other: no beam gives them")));
    result_.evidence = chooseSmoothness(sums());
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
    step(sums());
    model_ = design_ * beam_ + slopes_ * (nuisanceVector() - linearised_);
    const auto model = result_.model;
    const auto shapes = result_.shape_evidence;
    const auto means = result_.means;
    result_ = {};
    result_.model = model;
    result_.shape_evidence = shapes;
    result_.means = means;
    result_.model.covariance.clear();
    finish();
    return result_;
}

}  // namespace glumet
