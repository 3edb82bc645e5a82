#include <algorithm>
#include <cmath>
#include <mutex>

#include "core/base/parallel.h"
#include "core/bench/grid.h"
#include "core/fit/bench_scene.h"
#include "core/fit/fit.h"
#include "core/fit/fit_means.h"
#include "core/fit/fitter.h"

namespace glumet {
namespace {

/// A lattice of emitters, its pitches in mm.
struct Lattice {
    int columns, rows;
    double pitch_x, pitch_y;
    double size = 0.0;
};
/// Candidates for emitters nobody described. The sizes are where their spread begins; it is fitted.
struct Layout {
    const char* name;
    Lattice coarse;  ///< enough to tell which are likely
    /// Through a wall each emitter is seen to where its ray ceases to enter the footprint: far between, they
    /// give edges that no fixture has, and the beam makes up for them.
    Lattice fine;
};
constexpr std::array kLayouts{
    Layout{GLUMET_SAY("Core", "a point"), {1, 1, 0, 0}, {1, 1, 0, 0}},
    Layout{GLUMET_SAY("Core", "a cluster"), {3, 2, 36, 36}, {3, 2, 36, 36}},
    Layout{GLUMET_SAY("Core", "a short bar"), {6, 1, 50, 0}, {10, 1, 30, 0}},
    Layout{GLUMET_SAY("Core", "a long bar"), {9, 1, 62, 0}, {27, 1, 20.7, 0}},
    Layout{GLUMET_SAY("Core", "two clusters apart"), {2, 1, 240, 0, 30}, {2, 1, 240, 0, 30}},
    Layout{GLUMET_SAY("Core", "two bars side by side"), {8, 2, 66, 80}, {24, 2, 22, 80}},
    Layout{GLUMET_SAY("Core", "a small panel"), {4, 4, 60, 60}, {6, 6, 40, 40}},
    Layout{GLUMET_SAY("Core", "a large panel"), {6, 4, 78, 84}, {9, 6, 52, 56}}};

constexpr double kSpread = 0.3;      // prior of a candidate's spread, relative
constexpr int kCandidateRounds = 5;  // of a candidate with a round beam
constexpr std::size_t kWeighed = 3;  // candidates that are fitted in full and weighed …
constexpr std::size_t kRivals = 2;   // … and against a layout that was described, of which the best counts
/// A difference of evidence counts so much less than were the readings independent and the model true.
constexpr double kTempered = 4.0;
/// Where light leaves a body nobody described and which way it goes are told apart no better than this: what
/// held-out arrays of tubes and linear bars were off by.
constexpr double kUntoldApart = 0.04;
/// So many of its own standard deviations above 1 a reduced chi-square makes other layouts than the described
/// be tried; fewer where the beam came out turning about its axis, as it does when it must make up for a
/// wrong layout.
constexpr double kTriedFrom = 1.9;
constexpr double kTriedFromUnround = 1.5;
/// So many of what was believed of the height's standard deviations the light may seem to leave the fixture
/// from elsewhere, before other layouts are tried: a beam that turns may make up for a wrong one to the last
/// reading, but at a height that nobody believes.
constexpr double kBeyondBelief = 3.0;
/// Another must have this much more evidence to be named …
constexpr double kClearlyBetter = 10.0;
/// … and without one the scatter itself is said from here on.
constexpr double kScattered = 5.0;
/// Other causes than the layout are tried from here on.
constexpr double kCausesFrom = 2.5;
/// A share of readings that the fit has ceased to trust, as when a whole run is elsewhere.
constexpr double kManyDistrusted = 0.05;
/// So much larger may the strain be that a layout leaves than the one another cause leaves.
constexpr double kAsGood = 2.0;

std::vector<ModelEmitter> emittersOf(const Lattice& layout) {
    Fixture f;
    f.emitters.columns = layout.columns;
    f.emitters.rows = layout.rows;
    f.emitters.pitch_x = Millimetre(layout.pitch_x);
    f.emitters.pitch_y = Millimetre(layout.pitch_y);
    f.emitters.size = Millimetre(layout.size);
    std::vector<ModelEmitter> out;
    for (const auto& e : latticeEmitters(f, PhotonFlux(1.0), 0))
        out.push_back({e.dx_mm, e.dy_mm, e.flux_umol_s});
    return out;
}

struct Candidate {
    const Layout* layout;
    FitResult fit;
};

/// What a model says of two fixtures over a tank twice as long as that of a run: the use it is made for.
std::vector<double> arrayBy(const FitResult& fit, const Bench& bench, Id run_id) {
    constexpr int kAlong = 8;
    constexpr int kAcross = 4;
    const auto& run = bench.run(run_id);
    const auto* tank = byId(bench.tanks, run.tank);
    auto scene = tankByFit(fit, *tank, run.water == WaterState::Dry);
    scene.length_mm *= 2.0;
    hangInRow(scene, 2, run.height, 1.0, {});
    std::vector<BasisField::Point> points;
    for (const double depth : {0.3, 0.7})
        for (int i = 0; i < kAlong; ++i)
            for (int j = 0; j < kAcross; ++j)
                points.push_back({(i + 0.5) * scene.length_mm / kAlong, (j + 0.5) * scene.width_mm / kAcross,
                                  depth * scene.water_depth_mm});
    std::vector<double> out;
    for (const auto& value : predict(fit.model, scene, points)) out.push_back(value.ppfd);
    return out;
}

/// What the residuals hold beyond the readings' own noise, relative, twice as much where nobody read.
double relativeMisfit(const FitResult& fit) {
    constexpr double kBeyondTheReadings = 2.0;
    const double rms = fit.model.relative_residual;
    return kBeyondTheReadings * rms * std::sqrt(std::max(0.0, 1.0 - 1.0 / fit.reduced_chi_square));
}

/// How far several fits at once have come, told as one share.
class Shares {
  public:
    Shares(std::vector<double> weights, const std::function<void(double)>& tell)
        : weights_(std::move(weights)), done_(weights_.size()), tell_(tell) {}

    void set(std::size_t fit, double share) {
        const std::lock_guard lock(mutex_);
        done_[fit] = share;
        double all = 0.0;
        double sum = 0.0;
        for (std::size_t k = 0; k < weights_.size(); ++k) {
            all += weights_[k];
            sum += weights_[k] * done_[k];
        }
        tell_(sum / all);
    }

  private:
    std::mutex mutex_;
    std::vector<double> weights_;
    std::vector<double> done_;
    const std::function<void(double)>& tell_;
};

/// Fits these layouts side by side, which keeps the machine busier than each by itself does.
Expected<std::vector<Candidate>> fitted(const std::vector<const Layout*>& layouts, bool whole,
                                        const Bench& bench, const std::vector<Id>& runs,
                                        const FitOptions& options, Shares& shares, std::size_t first_share) {
    std::vector<Expected<FitResult>> fits(layouts.size(), problem("", {}));
    forEachIndex(layouts.size(), 0, [&](std::size_t i) {
        auto asked = options;
        asked.emitters = emittersOf(whole ? layouts[i]->fine : layouts[i]->coarse);
        asked.spread = kSpread;
        asked.shapes = whole;
        if (!whole) asked.most_iterations = kCandidateRounds;
        asked.progress = [&, i](double share) { shares.set(first_share + i, share); };
        fits[i] = fitFixture(bench, runs, asked);
        shares.set(first_share + i, 1.0);
    });
    std::vector<Candidate> candidates;
    for (std::size_t i = 0; i < layouts.size(); ++i) {
        if (!fits[i]) return tl::make_unexpected(fits[i].error());
        candidates.push_back({layouts[i], std::move(*fits[i])});
    }
    std::stable_sort(candidates.begin(), candidates.end(),
                     [](const Candidate& a, const Candidate& b) { return a.fit.evidence > b.fit.evidence; });
    return candidates;
}

/// All layouts by round beams, then the likeliest so many in full, the likeliest of them first.
Expected<std::vector<Candidate>> likeliest(std::size_t count, const Bench& bench, const std::vector<Id>& runs,
                                           const FitOptions& options) {
    std::vector<double> weights(kLayouts.size(), 1.0);
    weights.resize(kLayouts.size() + count, 2.0);
    Shares shares(weights, options.progress);
    std::vector<const Layout*> layouts;
    for (const auto& layout : kLayouts) layouts.push_back(&layout);
    const auto quick = fitted(layouts, false, bench, runs, options, shares, 0);
    if (!quick) return quick;
    layouts.clear();
    for (std::size_t i = 0; i < count; ++i) layouts.push_back((*quick)[i].layout);
    return fitted(layouts, true, bench, runs, options, shares, kLayouts.size());
}

bool heightBeyondBelief(const FitResult& fit) {
    return std::any_of(fit.parameters.begin(), fit.parameters.end(), [](const FitParameter& found) {
        return found.what == FitQuantity::HeightOffset &&
               std::abs(found.value) > kBeyondBelief * found.prior_error;
    });
}

}  // namespace

double apart(const FitResult& one, const FitResult& other, const Bench& bench, Id run) {
    const auto a = arrayBy(one, bench, run);
    const auto b = arrayBy(other, bench, run);
    double squares = 0.0;
    for (std::size_t k = 0; k < a.size(); ++k)
        squares += std::pow(b[k] / std::max(a[k], 1e-9) - 1.0, 2) / static_cast<double>(a.size());
    return std::sqrt(squares);
}

double disagreement(const FitResult& best, const std::vector<const FitResult*>& others, const Bench& bench,
                    Id run) {
    double squares = 0.0;
    double weights = 1.0;
    for (const auto* other : others) {
        const double worse = best.evidence - other->evidence;
        const double weight = std::exp(-worse / (kTempered * std::max(1.0, best.reduced_chi_square)));
        squares += weight * std::pow(apart(best, *other, bench, run), 2);
        weights += weight;
    }
    return std::sqrt(squares / weights);
}

Expected<FitResult> fitUnknownLayout(const Bench& bench, const std::vector<Id>& runs,
                                     const FitOptions& options) {
    const auto candidates = likeliest(kWeighed, bench, runs, options);
    if (!candidates) return tl::make_unexpected(candidates.error());
    auto best = candidates->front().fit;
    std::vector<const FitResult*> others;
    for (std::size_t i = 1; i < candidates->size(); ++i) others.push_back(&(*candidates)[i].fit);
    best.model.misfit = std::hypot(best.model.misfit, disagreement(best, others, bench, runs.front()));
    best.cannot_tell.push_back(
        say(GLUMET_SAY("Core", "The fixture's emitters are not described; {} fits the readings best."),
            say(candidates->front().layout->name)));
    if (best.model.shape != BeamShape::Round) {
        best.model.misfit = std::max(best.model.misfit, kUntoldApart);
        best.cannot_tell.push_back(
            say(GLUMET_SAY("Core",
                           "Its light is not round, and where it leaves the body cannot be "
                           "told from where it goes: describe the emitters in Bench.")));
    }
    return best;
}

void doubtLayout(FitResult& fit, const Bench& bench, const std::vector<Id>& runs, const FitOptions& options) {
    if (restsOnMeans(fit)) return;  // rings say too little of a layout
    const bool round = fit.model.shape == BeamShape::Round;
    const double above = excessOf(fit);
    const bool scattered = above >= kCausesFrom || fit.distrusted() > kManyDistrusted * fit.model.readings;
    if (!scattered && above < (round ? kTriedFrom : kTriedFromUnround) && !heightBeyondBelief(fit)) return;
    auto quiet = options;
    quiet.progress = [](double) {};
    const auto candidates = likeliest(kRivals, bench, runs, quiet);
    const auto cause = scattered ? likeliestCause(fit, bench, runs, quiet) : std::nullopt;
    // All else being equal a layout that explains everything is likelier than a run that must be left out.
    const bool layout_explains =
        candidates && cause && strainOf(candidates->front().fit, bench) < kAsGood * cause->strain;
    if (cause && !layout_explains) {
        fit.model.misfit = std::max(fit.model.misfit, relativeMisfit(fit));
        fit.cannot_tell.push_back(cause->words);
        return;
    }
    if (!candidates || candidates->front().fit.evidence < fit.evidence + kClearlyBetter) {
        if (above < kScattered) return;
        fit.model.misfit = std::max(fit.model.misfit, relativeMisfit(fit));
        fit.cannot_tell.push_back(
            say(GLUMET_SAY("Core",
                           "The readings scatter {} times as widely as they should, and no other layout "
                           "explains them: predictions allow {} for what the model does not hold."),
                Figure{std::sqrt(fit.reduced_chi_square), 1}, Share{fit.model.misfit}));
        return;
    }
    fit.model.misfit = std::max(
        {fit.model.misfit, relativeMisfit(fit), apart(fit, candidates->front().fit, bench, runs.front())});
    fit.cannot_tell.push_back(
        say(GLUMET_SAY("Core",
                       "The emitters as described do not explain the readings; {} does it better. Look at "
                       "the layout in Bench: until then predictions allow {} for it."),
            say(candidates->front().layout->name), Share{fit.model.misfit}));
}

}  // namespace glumet
