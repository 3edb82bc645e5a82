#include <algorithm>
#include <cmath>
#include <map>

#include "core/fit/fitter.h"

namespace glumet {
namespace {

constexpr int kQuickRounds = 6;
/// What is left of the scatter at most, for a cause to be named.
constexpr double kExplained = 0.5;
constexpr std::size_t kLeastRuns = 3;  // the rest must hold two

FitOptions quick(const FitOptions& options, BeamShape shape) {
    auto asked = options;
    asked.most_iterations = kQuickRounds;
    asked.shapes = options.shapes && shape != BeamShape::Round;
    asked.progress = [](double) {};
    return asked;
}

/// The runs whose readings lie farthest off, a few: one that spoils a fit is among them.
std::vector<Id> worstFitted(const FitResult& fit, std::vector<Id> runs) {
    constexpr std::size_t kTried = 2;
    std::map<Id, double> scatter;
    std::map<Id, int> count;
    for (const auto& r : fit.residuals) {
        scatter[r.run] += std::min(r.standard_errors * r.standard_errors, kBiweight * kBiweight);
        ++count[r.run];
    }
    std::stable_sort(runs.begin(), runs.end(), [&](Id a, Id b) {
        return scatter[a] / std::max(1, count[a]) > scatter[b] / std::max(1, count[b]);
    });
    runs.resize(std::min(runs.size(), kTried));
    return runs;
}

/// A fit without one run, or nothing where the rest cannot be fitted.
std::optional<FitResult> without(Id left_out, const Bench& bench, const std::vector<Id>& runs,
                                 const FitOptions& asked) {
    auto rest = runs;
    std::erase(rest, left_out);
    auto fit = Fitter(bench, rest, asked).fit();
    return fit ? std::optional(std::move(*fit)) : std::nullopt;
}

/// How a run's readings differ from what the rest says: brighter or dimmer as a whole, if that is it.
Words wordsOfRun(const FitResult& rest, const Bench& bench, Id id) {
    double sum = 0.0;
    double squares = 0.0;
    int count = 0;
    for (const auto& plane : bench.run(id).planes)
        for (const auto& r : residualsAgainst(rest, bench, id, plane)) {
            if (!(r.model > 0.0) || !(r.reading > 0.0)) continue;
            const double off = std::log(r.reading / r.model);
            sum += off;
            squares += off * off;
            ++count;
        }
    const double mean = count > 0 ? sum / count : 0.0;
    const double spread = count > 0 ? std::sqrt(std::max(0.0, squares / count - mean * mean)) : 0.0;
    const auto& height = bench.run(id).height;
    if (std::abs(mean) > spread)
        return say(GLUMET_SAY("Core",
                              "The likeliest cause is the run at {}: it reads {} against what the others say "
                              "of it, everywhere alike. Level, unit or meter?"),
                   height, SignedShare{std::exp(mean) - 1.0});
    return say(GLUMET_SAY("Core",
                          "The likeliest cause is the run at {}: the others agree without it. Height, place "
                          "or depth?"),
               height);
}

}  // namespace

double scatterOf(const FitResult& fit) {
    double sum = 0.0;
    for (const auto& r : fit.residuals)
        sum += std::min(r.standard_errors * r.standard_errors, kBiweight * kBiweight);
    return fit.residuals.empty() ? 0.0 : sum / static_cast<double>(fit.residuals.size());
}

std::optional<FitCause> likeliestCause(const FitResult& fit, const Bench& bench, const std::vector<Id>& runs,
                                       const FitOptions& options) {
    const auto asked = quick(options, fit.model.shape);
    std::optional<FitCause> best;
    const double scattered = scatterOf(fit);
    const auto explains = [&](const FitResult& other) {
        const double scatter = scatterOf(other);
        return scatter < kExplained * scattered && (!best || scatter < best->scatter);
    };
    if (runs.size() >= kLeastRuns)
        for (const Id run : worstFitted(fit, runs)) {
            if (options.stop.stop_requested()) return std::nullopt;
            const auto rest = without(run, bench, runs, asked);
            if (rest && explains(*rest)) best = FitCause{scatterOf(*rest), wordsOfRun(*rest, bench, run)};
        }
    return best;
}

}  // namespace glumet
