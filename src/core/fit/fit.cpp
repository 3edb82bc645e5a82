#include "core/fit/fit.h"

#include <fmt/format.h>

#include <algorithm>

#include "core/fit/fitter.h"

namespace glumet {

class StreamingFit::Impl : public Fitter {
  public:
    using Fitter::Fitter;
    FitResult result;
    std::vector<Words> doubts;  ///< of the layout, as it began
};

namespace {

/// Doubts the layout of a fit that took one as given, candidates themselves excepted; fails when it was
/// cancelled meanwhile. What is doubted is returned.
Expected<std::vector<Words>> doubted(FitResult& fit, const Bench& bench, const std::vector<Id>& runs,
                                     const FitOptions& options) {
    if (options.spread > 0.0) return {};
    const auto before = static_cast<std::ptrdiff_t>(fit.cannot_tell.size());
    doubtLayout(fit, bench, runs, options);
    if (options.stop.stop_requested()) return problem("", say(GLUMET_SAY("Core", "the fit was cancelled")));
    return std::vector<Words>(fit.cannot_tell.begin() + before, fit.cannot_tell.end());
}

}  // namespace

StreamingFit::StreamingFit(std::unique_ptr<Impl> impl) : impl_(std::move(impl)) {}
StreamingFit::StreamingFit(StreamingFit&&) noexcept = default;
StreamingFit& StreamingFit::operator=(StreamingFit&&) noexcept = default;
StreamingFit::~StreamingFit() = default;

Expected<StreamingFit> StreamingFit::begin(const Bench& bench, const std::vector<Id>& runs,
                                           const FitOptions& options) {
    if (runs.empty()) return problem("", say(GLUMET_SAY("Core", "there is no run to fit")));
    auto impl = std::make_unique<Impl>(bench, runs, options);
    auto result = impl->fit();
    if (!result) return tl::make_unexpected(result.error());
    auto doubts = doubted(*result, bench, runs, options);
    if (!doubts) return tl::make_unexpected(doubts.error());
    impl->doubts = std::move(*doubts);
    impl->result = std::move(*result);
    return StreamingFit(std::move(impl));
}

const FitResult& StreamingFit::result() const { return impl_->result; }

Expected<bool> StreamingFit::add(Id run, Millimetre depth, const Reading& reading) {
    auto result = impl_->add(run, depth, reading);
    if (!result) return tl::make_unexpected(result.error());
    // What was doubted of the layout still is.
    result->model.misfit = std::max(result->model.misfit, impl_->result.model.misfit);
    result->cannot_tell.insert(result->cannot_tell.end(), impl_->doubts.begin(), impl_->doubts.end());
    impl_->result = std::move(*result);
    return true;
}

std::vector<Id> runsOf(const FitResult& fit) {
    std::vector<Id> runs;
    for (const auto& slip : fit.slips) runs.push_back(slip.run);
    return runs;
}

int FitResult::distrusted() const {
    return static_cast<int>(
        std::count_if(residuals.begin(), residuals.end(), [](const FitResidual& r) { return r.distrusted; }));
}

Expected<FitResult> fitFixture(const Bench& bench, const std::vector<Id>& runs, const FitOptions& options) {
    if (runs.empty()) return problem("", say(GLUMET_SAY("Core", "there is no run to fit")));
    auto fit = Fitter(bench, runs, options).fit();
    if (!fit) return fit;
    if (const auto doubts = doubted(*fit, bench, runs, options); !doubts)
        return tl::make_unexpected(doubts.error());
    return fit;
}

}  // namespace glumet
