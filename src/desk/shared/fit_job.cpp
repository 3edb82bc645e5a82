#include "desk/shared/fit_job.h"

#include <set>

#include "core/bench/sweep.h"
#include "core/fit/fit_as_described.h"

namespace glumet {
namespace {

/// What the fit knows of the chosen school's height, and which plane would tell most: a planned one, another
/// height, or the fixture turned a quarter where its light is not round.
std::optional<HeightKnowledge> knowledgeOf(const Bench& bench, const std::vector<Id>& runs,
                                           const FitResult& fit, const std::vector<FittedHeight>& heights) {
    constexpr Millimetre kLower{40};
    constexpr Millimetre kHigher{80};
    constexpr Millimetre kLowest{60};
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
    if (question.lowest - kLower >= kLowest) question.further.push_back(question.lowest - kLower);
    question.further.push_back(question.heights.back() + kHigher);
    question.turns_deg = {first.turn_deg};
    if (fit.model.shape != BeamShape::Round)
        question.turns_deg.push_back(first.turn_deg < 90.0 ? first.turn_deg + 90.0 : first.turn_deg - 90.0);
    for (const auto& height : heights)
        if (height.school == bench.method.school && height.slope.size() == fit.model.parameters())
            question.verdict = LeaningHeight{*height.height, height.slope};
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
    if (!kept.fit || kept.sweep != sweep) return false;
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
    if (!layoutDescribed(bench, sweep.runs) || leansOn(bench, sweep))
        return fitAlone(bench, sweep, asked).fit;
    FitOptions options;
    options.stop = asked.stop;
    options.progress = asked.progress;
    auto begun = StreamingFit::begin(bench, sweep.forFit(), options);
    if (!begun) return tl::make_unexpected(begun.error());
    kept.fit.emplace(std::move(*begun));
    return kept.fit->result();
}

}  // namespace

RememberedAnswers<FitAsked, SweepFit>& rememberedFits() {
    static RememberedAnswers<FitAsked, SweepFit> remembered;
    return remembered;
}

namespace {

/// The question without what no fit asks: neither who lives in a tank nor what is written of it.
FitAsked askedOf(const Bench& bench, const Sweep& sweep, bool heights) {
    FitAsked question{bench, sweep, heights};
    question.bench.spots.clear();
    question.bench.rocks.clear();
    question.bench.organisms.clear();
    question.bench.ramps.clear();
    question.bench.plans.clear();
    question.bench.method.review.clear();
    for (auto& run : question.bench.runs) run.in_review = false;
    return question;
}

void remember(const Bench& bench, const Sweep& sweep, bool heights, const SweepFit& found) {
    if (found.fit && readingCount(bench) <= kMostRememberedReadings)
        rememberedFits().keep(askedOf(bench, sweep, heights), found);
}

SweepFit fittedAlone(const Bench& bench, const Sweep& sweep, const Asked& asked) {
    FitOptions options;
    options.stop = asked.stop;
    options.progress = asked.progress;
    const auto other = [&](const Sweep& on) { return fitAlone(bench, on, {asked.stop, [](double) {}}).fit; };
    return {fitAsDescribed(bench, sweep, options, other), std::nullopt, {}};
}

}  // namespace

SweepFit fitAlone(const Bench& bench, const Sweep& sweep, const Asked& asked) {
    if (readingCount(bench) > kMostRememberedReadings) return fittedAlone(bench, sweep, asked);
    auto question = askedOf(bench, sweep, false);
    question.bench.method = {};  // nor how it is judged
    if (auto known = rememberedFits().find(question)) return *known;
    auto found = fittedAlone(bench, sweep, asked);
    if (found.fit && !asked.stop.stop_requested()) rememberedFits().keep(std::move(question), found);
    return found;
}

KeptFits fitsAlone(const Bench& bench, const Asked& asked) {
    return KeptFits(
        [&bench, quiet = Asked{asked.stop, [](double) {}}](const Sweep& sweep) -> Expected<FitResult> {
            if (quiet.stop.stop_requested()) return problem("", say(GLUMET_SAY("Core", "was cancelled")));
            return fitAlone(bench, sweep, quiet).fit;
        });
}

SweepFit fitSweep(const Bench& bench, const Sweep& sweep, KeptFit& kept, const Asked& asked) {
    if (readingCount(bench) <= kMostRememberedReadings)
        if (auto known = rememberedFits().find(askedOf(bench, sweep, true))) return *known;
    const bool taken = takeAdded(bench, sweep, kept);
    SweepFit found{
        taken ? Expected<FitResult>(kept.fit->result()) : beginAnew(bench, sweep, kept, part(asked, 0)),
        std::nullopt,
        {}};
    if (!found.fit || asked.stop.stop_requested()) return found;
    // Another goal or limit asks the schools anew, though no reading has changed.
    if (!taken || kept.heights.empty() || kept.method != bench.method) {
        auto heights = heightsOf(*found.fit, bench, sweep, part(asked, 1));
        if (asked.stop.stop_requested()) return found;  // what was broken off is no answer
        kept.heights = std::move(heights);
        kept.method = bench.method;
    }
    found.heights = kept.heights;
    found.knowledge = knowledgeOf(bench, sweep.runs, *found.fit, found.heights);
    // One that took readings in is not what a fit of all of them would be.
    if (!taken) remember(bench, sweep, true, found);
    return found;
}

}  // namespace glumet
