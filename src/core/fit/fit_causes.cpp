#include <algorithm>
#include <cmath>
#include <functional>
#include <map>

#include "core/base/parallel.h"
#include "core/fit/fitter.h"

namespace glumet {
namespace {

constexpr int kCauseRounds = 6;
/// What is left of the strain at most, for a cause to be named.
constexpr double kStrainExplained = 0.5;
constexpr std::size_t kLeastRuns = 3;  // the rest must hold two

FitOptions quick(const FitOptions& options) {
    auto asked = options;
    asked.most_iterations = kCauseRounds;
    asked.progress = [](double) {};
    return asked;
}

/// The runs whose readings lie farthest off, a few: one that spoils a fit is among them.
std::vector<Id> worstFitted(const FitResult& fit, std::vector<Id> runs) {
    constexpr std::ptrdiff_t kTried = 2;
    std::map<Id, double> scatter;
    std::map<Id, int> count;
    for (const auto& r : fit.residuals) {
        scatter[r.run] += std::min(r.standard_errors * r.standard_errors, kBiweight * kBiweight);
        ++count[r.run];
    }
    std::stable_sort(runs.begin(), runs.end(), [&](Id a, Id b) {
        return scatter[a] / std::max(1, count[a]) > scatter[b] / std::max(1, count[b]);
    });
    if (std::ssize(runs) > kTried) runs.erase(runs.begin() + kTried, runs.end());
    return runs;
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

/// What may be otherwise than described: the bench as it would be, its runs, and how that is said.
struct Suspect {
    Bench bench;
    std::vector<Id> runs;
    std::function<Words(const FitResult& as_it_would_be)> words;
    double handicap = 1.0;  ///< times its strain is what counts: leaving readings out always helps
};

Suspect leftOut(const Bench& bench, std::vector<Id> runs, Id run) {
    constexpr double kAlwaysHelps = 1.3;
    std::erase(runs, run);
    return {bench, std::move(runs),
            [&bench, run](const FitResult& rest) { return wordsOfRun(rest, bench, run); }, kAlwaysHelps};
}

/// This run as if the fixture had hung across in it.
Suspect turned(const Bench& bench, const std::vector<Id>& runs, Id run) {
    Suspect suspect{bench, runs, [height = bench.run(run).height](const FitResult&) {
                        return say(GLUMET_SAY("Core",
                                              "The likeliest cause is the run at {}: it reads as if the "
                                              "fixture hung turned by 90° there. Look at its turn in Plan."),
                                   height);
                    }};
    turnQuarter(suspect.bench, {run});
    return suspect;
}

std::vector<Suspect> suspectsOf(const FitResult& fit, const Bench& bench, const std::vector<Id>& runs) {
    std::vector<Suspect> suspects;
    const bool unround = fit.model.shape != BeamShape::Round || fit.model.emitters.size() > 1;
    if (runs.size() < kLeastRuns) return suspects;
    for (const Id run : worstFitted(fit, runs)) {
        suspects.push_back(leftOut(bench, runs, run));
        if (unround) suspects.push_back(turned(bench, runs, run));
    }
    return suspects;
}

}  // namespace

double scatterOf(const FitResult& fit) {
    double sum = 0.0;
    for (const auto& r : fit.residuals)
        sum += std::min(r.standard_errors * r.standard_errors, kBiweight * kBiweight);
    return fit.residuals.empty() ? 0.0 : sum / static_cast<double>(fit.residuals.size());
}

double strainOf(const FitResult& fit, const Bench& bench) {
    double bent = 0.0;
    for (const auto& p : fit.parameters) {
        if (p.what != FitQuantity::RunHeight && p.what != FitQuantity::RunLevel) continue;
        const auto believed =
            p.what == FitQuantity::RunHeight ? offMeasuredAgain(bench, bench.run(p.run)) : std::nullopt;
        bent += std::pow((p.value - believed.value_or(0.0)) / p.prior_error, 2);
    }
    return scatterOf(fit) + bent / std::max(1.0, static_cast<double>(fit.residuals.size()));
}

double excessOf(const FitResult& fit) {
    return (fit.reduced_chi_square - 1.0) / std::sqrt(2.0 / std::max(1, fit.model.readings));
}

std::optional<FitCause> likeliestCause(const FitResult& fit, const Bench& bench, const std::vector<Id>& runs,
                                       const FitOptions& options) {
    const auto asked = quick(options);
    const auto suspects = suspectsOf(fit, bench, runs);
    std::vector<std::optional<FitResult>> fits(suspects.size());
    forEachIndex(suspects.size(), 0, [&](std::size_t i) {
        // Of the shape there is: what makes up for the cause is what the others are held against.
        if (auto would_be = Fitter(suspects[i].bench, suspects[i].runs, asked, fit.model.shape).fit())
            fits[i] = std::move(*would_be);
    });
    if (options.stop.stop_requested()) return std::nullopt;
    std::optional<FitCause> best;
    double least = kStrainExplained * strainOf(fit, bench);
    for (std::size_t i = 0; i < suspects.size(); ++i) {
        if (!fits[i]) continue;
        const double strain = strainOf(*fits[i], suspects[i].bench);
        if (strain * suspects[i].handicap >= least) continue;
        least = strain * suspects[i].handicap;
        best = FitCause{strain, suspects[i].words(*fits[i])};
    }
    return best;
}

}  // namespace glumet
