#include "core/fit/fit.h"

#include <fmt/format.h>

#include <algorithm>

#include "core/fit/fitter.h"

namespace glumet {

class StreamingFit::Impl : public Fitter {
  public:
    using Fitter::Fitter;
    FitResult result;
};

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
    if (options.emitters.empty()) doubtLayout(*result, bench, runs, options);
    impl->result = std::move(*result);
    return StreamingFit(std::move(impl));
}

const FitResult& StreamingFit::result() const { return impl_->result; }

Expected<bool> StreamingFit::add(Id run, Millimetre depth, const Reading& reading) {
    auto result = impl_->add(run, depth, reading);
    if (!result) return tl::make_unexpected(result.error());
    // What was doubted of the layout still is.
    result->model.misfit = impl_->result.model.misfit;
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
    if (fit && options.emitters.empty()) doubtLayout(*fit, bench, runs, options);
    return fit;
}

}  // namespace glumet
