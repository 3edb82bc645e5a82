#include "core/fit/fit.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

#include "core/fit/fitter.h"

namespace glumet {

GLUMET_VALUE_COMPILED(FitResult);

class StreamingFit::Impl : public Fitter {
  public:
    using Fitter::Fitter;
    FitResult result;
    std::vector<Words> doubts;  ///< of the layout, as it began
};

namespace {

/// Doubts the picture of a fit that took one as given, candidates themselves excepted; fails when it was
/// cancelled meanwhile. What is doubted is returned.
Expected<std::vector<Words>> doubted(FitResult& fit, const Bench& bench, const std::vector<Id>& runs,
                                     const FitOptions& options, const std::optional<FitResult>& turned) {
    if (options.spread > 0.0 || options.leans_on) return {};
    const auto before = static_cast<std::ptrdiff_t>(fit.cannot_tell.size());
    if (turned) {
        fit.model.misfit = std::max(fit.model.misfit, apart(fit, *turned, bench, runs.front()));
        fit.cannot_tell.push_back(say(
            GLUMET_SAY("Core",
                       "The readings look as if the fixture hung turned by 90° against what all runs say. "
                       "Look at its turn in Plan: until then predictions allow {} for it."),
            Share{fit.model.misfit}));
    } else {
        doubtLayout(fit, bench, runs, options);
    }
    if (options.stop.stop_requested()) return problem("", say(GLUMET_SAY("Core", "the fit was cancelled")));
    return std::vector<Words>(fit.cannot_tell.begin() + before, fit.cannot_tell.end());
}

/// Takes what a picture that is nearly as likely would light differently into the interval, and says so where
/// it is seen; what was said is returned.
std::vector<Words> leaveOpen(FitResult& fit, const PlainerPicture& picture) {
    constexpr double kSeen = 0.01;
    fit.model.misfit = std::hypot(fit.model.misfit, picture.misfit);
    if (picture.misfit < kSeen) return {};
    const Share allowed{fit.model.misfit};
    fit.cannot_tell.push_back(
        picture.shroud
            ? say(GLUMET_SAY("Core",
                             "A shroud that nobody described would explain the readings nearly as well: "
                             "predictions allow {} for it. If there is one, describe it in Bench."),
                  allowed)
            : say(GLUMET_SAY("Core",
                             "A fixture turned by 90° would explain the readings nearly as well: "
                             "predictions allow {} for it. Look at its turn in Plan."),
                  allowed));
    return {fit.cannot_tell.back()};
}

/// A fit, the fitter it came from, and what is doubted of it.
template <class Workings>
struct Doubted {
    std::unique_ptr<Workings> workings;
    FitResult fit;
    std::vector<Words> doubts;
};

/// Fits, takes a shroud where the readings ask for one, and doubts what remains.
template <class Workings>
Expected<Doubted<Workings>> fitAndDoubt(const Bench& bench, const std::vector<Id>& runs, FitOptions options) {
    if (runs.empty()) return problem("", say(GLUMET_SAY("Core", "there is no run to fit")));
    auto workings = std::make_unique<Workings>(bench, runs, options);
    auto fit = workings->fit();
    if (!fit) return tl::make_unexpected(fit.error());
    std::optional<FitResult> turned;
    std::vector<Words> left_open;
    const bool as_given = options.spread == 0.0 && !options.leans_on && !options.shroud;
    if (auto plainer = as_given ? plainerPicture(*fit, bench, runs, options) : std::nullopt) {
        if (!plainer->better) {
            left_open = leaveOpen(*fit, *plainer);
        } else if (plainer->shroud) {
            options.shroud = plainer->shroud;
            auto within = fitAndDoubt<Workings>(bench, runs, options);
            if (within) within->fit.model.misfit = std::hypot(within->fit.model.misfit, plainer->misfit);
            return within;
        } else {
            turned = std::move(plainer->fit);
        }
    }
    auto doubts = doubted(*fit, bench, runs, options, turned);
    if (!doubts) return tl::make_unexpected(doubts.error());
    doubts->insert(doubts->begin(), left_open.begin(), left_open.end());
    return Doubted<Workings>{std::move(workings), std::move(*fit), std::move(*doubts)};
}

}  // namespace

StreamingFit::StreamingFit(std::unique_ptr<Impl> impl) : impl_(std::move(impl)) {}
StreamingFit::StreamingFit(StreamingFit&&) noexcept = default;
StreamingFit& StreamingFit::operator=(StreamingFit&&) noexcept = default;
StreamingFit::~StreamingFit() = default;

Expected<StreamingFit> StreamingFit::begin(const Bench& bench, const std::vector<Id>& runs,
                                           const FitOptions& options) {
    auto made = fitAndDoubt<Impl>(bench, runs, options);
    if (!made) return tl::make_unexpected(made.error());
    auto impl = std::move(made->workings);
    impl->doubts = std::move(made->doubts);
    impl->result = std::move(made->fit);
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
    auto made = fitAndDoubt<Fitter>(bench, runs, options);
    if (!made) return tl::make_unexpected(made.error());
    return std::move(made->fit);
}

}  // namespace glumet
