#include "desk/shared/fit_job.h"

#include <set>

#include "core/bench/sweep.h"

namespace glumet {
namespace {

/// A bare cluster is a guess where the emitters are not described; then layouts are tried.
bool layoutKnown(const Bench& bench, const std::vector<Id>& runs) {
    const auto* fixture = byId(bench.fixtures, bench.run(runs.front()).fixture);
    return fixture != nullptr &&
           (fixture->emitters.columns * fixture->emitters.rows > 1 || fixture->emitters.size.value() > 0.0);
}

/// What the fit knows of the spill-limit height, and which planned plane would tell most.
std::optional<HeightKnowledge> knowledgeOf(const Bench& bench, const std::vector<Id>& runs,
                                           const FitResult& fit) {
    const auto& first = bench.run(runs.front());
    const auto* tank = byId(bench.tanks, first.tank);
    if (tank == nullptr || first.planes.empty() || !first.planes.front().grid || first.fixtures != 1)
        return std::nullopt;
    EnoughQuestion question;
    question.tank = tankByFit(fit, *tank, first.water == WaterState::Dry);
    question.grid = *first.planes.front().grid;
    question.depth = first.planes.front().depth;
    question.lowest = first.height;
    question.limit = bench.method.spill_limit;
    std::set<double> depths;
    for (const auto run : runs) {
        question.heights.push_back(bench.run(run).height);
        for (const auto& plane : bench.run(run).planes) {
            depths.insert(plane.depth.value());
            if (!plane.readings.empty()) question.read.emplace_back(bench.run(run).height, plane.depth);
        }
    }
    for (const double depth : depths) question.depths.emplace_back(depth);
    return whatTellsMost(fit.model, question);
}

/// More than so many since the beginning, and its linearisation no longer holds well enough.
constexpr int kMostAdded = 36;

std::vector<FittedHeight> heightsOf(const FitResult& fit, const Bench& bench, const Sweep& sweep,
                                    const Asked& asked) {
    FittedHeightsQuestion question;
    question.schools = schoolOptions(bench, sweep);
    question.stop = asked.stop;
    question.progress = asked.progress;
    return fittedHeights(fit, bench, sweep, question);
}

/// Fit and heights count as one half each of the work.
Asked part(const Asked& asked, int number) {
    return {asked.stop, [tell = asked.progress, number](double share) { tell((number + share) / 2.0); }};
}

/// Takes in what came since; false when the fit must begin anew.
bool takeAdded(const Bench& bench, const Sweep& sweep, KeptFit& kept) {
    if (!kept.fit || kept.sweep.configuration != sweep.configuration || kept.sweep.runs != sweep.runs)
        return false;
    const auto added = readingsAdded(kept.bench, bench, sweep);
    if (!added || kept.added + static_cast<int>(added->size()) > kMostAdded) return false;
    for (const auto& one : *added) {
        // One that does not count, a check reading say, is none of the fit's business.
        if (one.reading.counts() && !kept.fit->add(one.run, one.depth, one.reading)) return false;
        ++kept.added;
    }
    kept.bench = bench;
    return true;
}

Expected<FitResult> beginAnew(const Bench& bench, const Sweep& sweep, KeptFit& kept, const Asked& asked) {
    kept = {bench, sweep, std::nullopt, {}, {}, 0};
    if (!layoutKnown(bench, sweep.runs)) return fitAlone(bench, sweep, asked).fit;
    FitOptions options;
    options.stop = asked.stop;
    options.progress = asked.progress;
    auto begun = StreamingFit::begin(bench, sweep.runs, options);
    if (!begun) return tl::make_unexpected(begun.error());
    kept.fit.emplace(std::move(*begun));
    return kept.fit->result();
}

}  // namespace

SweepFit fitAlone(const Bench& bench, const Sweep& sweep, const Asked& asked) {
    FitOptions options;
    options.stop = asked.stop;
    options.progress = asked.progress;
    return {layoutKnown(bench, sweep.runs) ? fitFixture(bench, sweep.runs, options)
                                           : fitUnknownLayout(bench, sweep.runs, options),
            std::nullopt,
            {}};
}

SweepFit fitSweep(const Bench& bench, const Sweep& sweep, KeptFit& kept, const Asked& asked) {
    const bool taken = takeAdded(bench, sweep, kept);
    SweepFit found{
        taken ? Expected<FitResult>(kept.fit->result()) : beginAnew(bench, sweep, kept, part(asked, 0)),
        std::nullopt,
        {}};
    if (!found.fit || asked.stop.stop_requested()) return found;
    found.knowledge = knowledgeOf(bench, sweep.runs, *found.fit);
    // Another goal or limit asks the schools anew, though no reading has changed.
    if (!taken || kept.heights.empty() || kept.method != bench.method) {
        auto heights = heightsOf(*found.fit, bench, sweep, part(asked, 1));
        if (asked.stop.stop_requested()) return found;  // what was broken off is no answer
        kept.heights = std::move(heights);
        kept.method = bench.method;
    }
    found.heights = kept.heights;
    return found;
}

}  // namespace glumet
