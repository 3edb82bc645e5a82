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
    impl->result = std::move(*result);
    return StreamingFit(std::move(impl));
}

const FitResult& StreamingFit::result() const { return impl_->result; }

Expected<bool> StreamingFit::add(Id run, Millimetre depth, const Reading& reading) {
    auto result = impl_->add(run, depth, reading);
    if (!result) return tl::make_unexpected(result.error());
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
    return Fitter(bench, runs, options).fit();
}

namespace {

struct Layout {
    const char* name;
    int columns, rows;
    double pitch_x, pitch_y, size;
};
constexpr std::array kLayouts{Layout{GLUMET_SAY("Core", "a point"), 1, 1, 0, 0, 0},
                              Layout{GLUMET_SAY("Core", "a cluster of 9 × 6 cm"), 4, 3, 28, 28, 18},
                              Layout{GLUMET_SAY("Core", "a bar of 27 cm"), 10, 1, 30, 0, 14},
                              Layout{GLUMET_SAY("Core", "a bar of 54 cm"), 20, 1, 28, 0, 14},
                              Layout{GLUMET_SAY("Core", "two clusters 24 cm apart"), 2, 1, 240, 0, 60},
                              Layout{GLUMET_SAY("Core", "a panel of 20 × 20 cm"), 6, 6, 40, 40, 0},
                              Layout{GLUMET_SAY("Core", "a panel of 42 × 28 cm"), 9, 6, 52, 56, 0}};

}  // namespace

Expected<FitResult> fitUnknownLayout(const Bench& bench, const std::vector<Id>& runs,
                                     const FitOptions& options) {
    std::optional<FitResult> best;
    const char* name = "";
    std::size_t tried = 0;
    for (const auto& layout : kLayouts) {
        Fixture f;
        f.emitters.columns = layout.columns;
        f.emitters.rows = layout.rows;
        f.emitters.pitch_x = Millimetre(layout.pitch_x);
        f.emitters.pitch_y = Millimetre(layout.pitch_y);
        f.emitters.size = Millimetre(layout.size);
        auto asked = options;
        for (const auto& e : latticeEmitters(f, PhotonFlux(1.0), 0))
            asked.emitters.push_back({e.dx_mm, e.dy_mm, e.flux_umol_s});
        asked.progress = [&](double share) {
            options.progress((static_cast<double>(tried) + share) / static_cast<double>(kLayouts.size()));
        };
        auto fit = fitFixture(bench, runs, asked);
        ++tried;
        if (!fit) return fit;
        if (best && fit->misfit >= best->misfit) continue;
        best = std::move(*fit);
        name = layout.name;
    }
    best->cannot_tell.push_back(
        say(GLUMET_SAY("Core", "The fixture's emitters are not described; {} fits the readings best."),
            say(name)));
    return std::move(*best);
}

}  // namespace glumet
