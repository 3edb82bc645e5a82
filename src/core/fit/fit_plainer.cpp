#include <algorithm>
#include <cmath>

#include "core/base/parallel.h"
#include "core/fit/fit_means.h"
#include "core/fit/fitter.h"

namespace glumet {
namespace {

constexpr int kFirstRounds = 3;  ///< of all, by which the likeliest is chosen …
constexpr int kQuickRounds = 6;  ///< … and of that one and its neighbours
/// Emitters that spread as far across as along look the same turned.
constexpr double kLongish = 1.5;
/// A plainer picture must have this much more evidence.
constexpr double kPlainerIsBetter = 10.0;
/// By so much evidence the first rounds may still be short of it.
constexpr double kStillMoves = 40.0;
/// Where more of the readings than this share have lost all trust, something else is the matter.
constexpr double kMostDistrusted = 0.1;
/// Mean square of the residuals, in standard errors, that it leaves at most: it must explain all of them.
constexpr double kAllExplained = 1.5;
/// So many of its own standard deviations above 1 the reduced chi-square of a round beam makes shrouds be
/// tried.
constexpr double kMakesDoFrom = 1.0;
constexpr std::array kDrops{20.0, 35.0, 50.0, 70.0};  // mm
constexpr double kBetweenDrops = 7.0;
constexpr double kBetweenEdges = 20.0;  // of its length and width

struct Tried {
    std::optional<SceneShroud> shroud;
    std::optional<FitResult> fit;

    bool betterThan(double evidence) const { return fit && fit->evidence > evidence; }
};

/// A shroud round the body that ends so far below the emitters, `wider` than the body by so much; nothing
/// where the body is not described, it would not hold all emitters, hangs too low for it, or has one that is
/// described.
std::optional<SceneShroud> shroudRound(const Bench& bench, const std::vector<Id>& runs, double drop_mm,
                                       double wider_mm = 0.0) {
    const auto* fixture = byId(bench.fixtures, bench.run(runs.front()).fixture);
    if (fixture == nullptr || sceneShroud(*fixture)) return std::nullopt;
    const SceneShroud shroud{fixture->length.value() + wider_mm, fixture->width.value() + wider_mm, drop_mm};
    const auto emitters = latticeEmitters(*fixture, PhotonFlux(1.0), 0);
    const bool holds = std::all_of(emitters.begin(), emitters.end(), [&](const SceneEmitter& e) {
        return std::abs(e.dx_mm) < shroud.length_mm / 2 && std::abs(e.dy_mm) < shroud.width_mm / 2;
    });
    const bool above = std::all_of(runs.begin(), runs.end(),
                                   [&](Id run) { return bench.run(run).height.value() > drop_mm + 10.0; });
    return drop_mm > 0.0 && holds && above ? std::optional(shroud) : std::nullopt;
}

/// That one, and those that end a little higher and lower, and are a little narrower and wider.
std::vector<Tried> withNeighbours(const Tried& best, const Bench& bench, const std::vector<Id>& runs) {
    std::vector<Tried> all{{best.shroud, {}}};
    if (!best.shroud) return all;
    const double drop = best.shroud->drop_mm;
    for (const auto& near :
         {shroudRound(bench, runs, drop - kBetweenDrops), shroudRound(bench, runs, drop + kBetweenDrops),
          shroudRound(bench, runs, drop, -kBetweenEdges), shroudRound(bench, runs, drop, kBetweenEdges)})
        if (near) all.push_back({near, {}});
    return all;
}

void tryAll(std::vector<Tried>& all, const Bench& bench, const std::vector<Id>& runs,
            const FitOptions& options, int rounds) {
    forEachIndex(all.size(), 0, [&](std::size_t i) {
        auto asked = options;
        asked.shapes = false;
        asked.most_iterations = rounds;
        asked.progress = [](double) {};
        asked.shroud = all[i].shroud;
        auto changed = bench;
        if (!all[i].shroud) turnQuarter(changed, runs);
        if (auto fit = Fitter(changed, runs, asked).fit()) all[i].fit = std::move(*fit);
    });
}

bool isLongish(const std::vector<ModelEmitter>& emitters) {
    double along = 0.0;
    double across = 0.0;
    for (const auto& e : emitters) {
        along = std::max(along, std::abs(e.dx_mm));
        across = std::max(across, std::abs(e.dy_mm));
    }
    return std::max(along, across) > kLongish * std::min(along, across);
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
    // Either is alike to both sides of the fixture; where few readings tell, a round beam makes do.
    const bool unround = fit.model.shape == BeamShape::TwoPlanes;
    const bool makes_do = fit.model.shape == BeamShape::Round && excessOf(fit) >= kMakesDoFrom;
    if (!(unround || makes_do) || fit.distrusted() > kMostDistrusted * fit.model.readings)
        return std::nullopt;
    std::vector<Tried> tried;
    if (unround && isLongish(fit.model.emitters)) tried.push_back({});
    for (const double drop : kDrops)
        if (const auto shroud = shroudRound(bench, runs, drop)) tried.push_back({shroud, {}});
    if (tried.empty()) return std::nullopt;
    tryAll(tried, bench, runs, options, kFirstRounds);
    auto best = likeliestOf(tried);
    if (options.stop.stop_requested() || !best.betterThan(fit.evidence - kStillMoves)) return std::nullopt;
    tried = withNeighbours(best, bench, runs);
    tryAll(tried, bench, runs, options, kQuickRounds);
    best = likeliestOf(tried);
    if (options.stop.stop_requested() || !best.fit) return std::nullopt;
    const bool better =
        best.betterThan(fit.evidence + kPlainerIsBetter) && scatterOf(*best.fit) <= kAllExplained;
    std::vector<const FitResult*> others;
    for (const auto& one : tried)
        if (one.fit && !(better && one.shroud == best.shroud)) others.push_back(&*one.fit);
    const double misfit = disagreement(better ? *best.fit : fit, others, bench, runs.front());
    return PlainerPicture{best.shroud, std::move(*best.fit), better, misfit};
}

}  // namespace glumet
