#include <algorithm>
#include <cmath>

#include "core/fit/fit_means.h"
#include "core/fit/fitter.h"
#include "core/linear/linear.h"

namespace glumet {
namespace {

/// What a beam taken as round may be off by over an array, relative, when only ring means were read.
constexpr double kRoundAssumed = 0.05;
/// Readings see a coefficient that they tell from the beam's mean by two of their standard errors.
constexpr double kSeen = 4.0;
/// No beam of bells, walls and water is a fixture over a tank to better than this, relative: what the
/// intervals of held-out arrays lacked where the fit was at its surest.
constexpr double kNeverExact = 0.007;

}  // namespace

void Fitter::finish() {
    const auto n = static_cast<double>(data_.size());
    const Eigen::VectorXd z = (values() - model_).cwiseQuotient(noise_);
    double chi = 0.0;
    double relative = 0.0;
    double counted = 0.0;
    for (Eigen::Index i = 0; i < z.size(); ++i) {
        auto place = data_[static_cast<std::size_t>(i)].place;
        place.model = model_(i);
        place.standard_errors = z(i);
        place.distrusted = std::abs(z(i)) > kDistrusted;
        if (!place.distrusted) {
            chi += z(i) * z(i);
            relative += std::pow(place.reading / place.model - 1.0, 2);
            ++counted;
        }
        result_.residuals.push_back(place);
    }
    // Of many readings the beam and what stands around it take about a dozen, of few the priors bear a part.
    const double freedom = std::max({1.0, 0.5 * counted, counted - 12.0});
    result_.reduced_chi_square = chi / freedom;
    result_.reflectance = nuisances_.shared[kReflectance];
    result_.reflectance_change = result_.reflectance - described_reflectance_;
    result_.attenuation_per_m = nuisances_.shared[kAttenuation];
    result_.away_x_mm = nuisances_.shared[kX];
    result_.away_y_mm = nuisances_.shared[kY];
    for (const auto& run : runs_) result_.tanks.push_back(bench_.run(run.id).tank);
    for (std::size_t run = 0; run < runs_.size(); ++run)
        result_.slips.push_back(
            {runs_[run].id, nuisances_.run_height[run], std::exp(nuisances_.run_level[run])});
    auto& model = result_.model;
    model.emitters = emittersBy(nuisances_.shared);
    model.height_offset_mm = nuisances_.shared[kHeight];
    model.readings = static_cast<int>(n);
    model.relative_residual = std::sqrt(relative / std::max(1.0, counted));
    model.shape = shape_;
    model.beam.assign(beam_.data(), beam_.data() + beam_.size());
    for (double& value : model.beam) value = std::max(0.0, value);
    const double own = options_.emitter_offset_mm * options_.emitter_offset_mm;
    const double ruler = options_.ruler_mm * options_.ruler_mm;
    model.own_offset_share = own + ruler > 0.0 ? own / (own + ruler) : 1.0;
    model.ruler_mm = options_.ruler_mm;
    posterior();
}

void Fitter::posterior() {
    Eigen::MatrixXd h;
    Eigen::VectorXd g;
    // What the readings say is worth as much as their scatter shows; the priors are worth what they were.
    // Few readings may agree by chance.
    noise_ *= std::sqrt(std::max(options_.leans_on ? 1.0 : 0.5, result_.reduced_chi_square));
    normal(sums(), h, g);
    // A coefficient at its bound is known to be there, where the readings see it at all.
    const Eigen::VectorXd seen = whitened().leftCols(bells()).colwise().squaredNorm();
    for (Eigen::Index k = 0; k < bells(); ++k)
        if (beam_(k) <= 1e-9 * beam_.maxCoeff() && seen(k) * std::pow(beam_.mean(), 2) > kSeen)
            h(k, k) *= 1e3;
    const Eigen::MatrixXd covariance = Cholesky(h).inverse();
    std::vector<Eigen::Index> keep;
    for (Eigen::Index k = 0; k < bells(); ++k) keep.push_back(k);
    keep.push_back(bells() + kHeight);
    for (const auto i : keep)
        for (const auto j : keep) result_.model.covariance.push_back(covariance(i, j));
    result_.model.misfit = std::max(result_.model.misfit, kNeverExact);
    if (options_.leans_on)
        result_.model.misfit = std::max(result_.model.misfit, options_.leans_on->model.misfit);
    // Rings are the same all about: a beam that is not round gives the same means.
    if (restsOnMeans(result_)) result_.model.misfit = std::max(result_.model.misfit, kRoundAssumed);
    addParameters(covariance);
    tellApart(covariance);
}

}  // namespace glumet
