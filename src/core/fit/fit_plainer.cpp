#include <algorithm>
#include <cmath>

#include "core/base/parallel.h"
#include "core/fit/fit_means.h"
#include "core/fit/fitter.h"

namespace glumet {
namespace {

constexpr int kQuickRounds = 6;
/// A plainer picture must have this much more evidence.
constexpr double kClearlyBetter = 10.0;
/// Readings that scatter so many standard deviations of the reduced chi-square make one be looked for.
constexpr double kScattered = 1.9;
/// Mean square of the residuals, in standard errors, that it leaves at most: it must explain all of them.
constexpr double kExplained = 1.5;
constexpr std::array kDrops{20.0, 35.0, 50.0, 70.0};  // mm
constexpr double kBetweenDrops = 7.0;

struct Tried {
    std::optional<SceneShroud> shroud;
    std::optional<FitResult> fit;

    bool betterThan(double evidence) const { return fit && fit->evidence > evidence; }
};

/// A shroud round the body that ends so far below the emitters; nothing where the body is not described,
/// holds not all emitters, hangs too low for it, or has one that is.
std::optional<SceneShroud> shroudRound(const Bench& bench, const std::vector<Id>& runs, double drop_mm) {
    const auto* fixture = byId(bench.fixtures, bench.run(runs.front()).fixture);
    if (fixture == nullptr || sceneShroud(*fixture)) return std::nullopt;
    const SceneShroud shroud{fixture->length.value(), fixture->width.value(), drop_mm};
    const auto emitters = latticeEmitters(*fixture, PhotonFlux(1.0), 0);
    const bool holds = std::all_of(emitters.begin(), emitters.end(), [&](const SceneEmitter& e) {
        return std::abs(e.dx_mm) < shroud.length_mm / 2 && std::abs(e.dy_mm) < shroud.width_mm / 2;
    });
    const bool above = std::all_of(runs.begin(), runs.end(),
                                   [&](Id run) { return bench.run(run).height.value() > drop_mm + 10.0; });
    return holds && above ? std::optional(shroud) : std::nullopt;
}

void tryAll(std::vector<Tried>& all, const Bench& bench, const std::vector<Id>& runs,
            const FitOptions& options) {
    forEachIndex(all.size(), 0, [&](std::size_t i) {
        auto asked = options;
        asked.shapes = false;
        asked.most_iterations = kQuickRounds;
        asked.progress = [](double) {};
        asked.shroud = all[i].shroud;
        auto changed = bench;
        if (!all[i].shroud) turnQuarter(changed, runs);
        if (auto fit = Fitter(changed, runs, asked).fit()) all[i].fit = std::move(*fit);
    });
}

const Tried& likeliestOf(const std::vector<Tried>& all) {
    return *std::max_element(all.begin(), all.end(), [](const Tried& a, const Tried& b) {
        return (a.fit ? a.fit->evidence : -1e300) < (b.fit ? b.fit->evidence : -1e300);
    });
}

}  // namespace

void turnQuarter(Bench& bench, const std::vector<Id>& runs) {
    for (auto& run : bench.runs)
        if (std::find(runs.begin(), runs.end(), run.id) != runs.end())
            run.turn_deg += run.turn_deg < 90.0 ? 90.0 : -90.0;
}

std::optional<PlainerPicture> plainerPicture(const FitResult& fit, const Bench& bench,
                                             const std::vector<Id>& runs, const FitOptions& options) {
    if (restsOnMeans(fit)) return std::nullopt;
    if (fit.model.shape == BeamShape::Round && chiSquareAbove(fit) < kScattered) return std::nullopt;
    std::vector<Tried> tried;
    if (fit.model.emitters.size() > 1) tried.push_back({});
    for (const double drop : kDrops)
        if (const auto shroud = shroudRound(bench, runs, drop)) tried.push_back({shroud, {}});
    if (tried.empty()) return std::nullopt;
    tryAll(tried, bench, runs, options);
    auto best = likeliestOf(tried);
    if (options.stop.stop_requested() || !best.betterThan(fit.evidence + kClearlyBetter) ||
        scatterOf(*best.fit) > kExplained)
        return std::nullopt;
    if (!best.shroud) return PlainerPicture{{}, std::move(*best.fit)};
    tried = {best};
    std::vector<Tried> nearby;
    for (const double drop : {best.shroud->drop_mm - kBetweenDrops, best.shroud->drop_mm + kBetweenDrops})
        if (const auto shroud = shroudRound(bench, runs, drop)) nearby.push_back({shroud, {}});
    tryAll(nearby, bench, runs, options);
    tried.insert(tried.end(), nearby.begin(), nearby.end());
    best = likeliestOf(tried);
    return PlainerPicture{best.shroud, std::move(*best.fit)};
}

}  // namespace glumet
