#include "core/compare/comparison.h"

#include <algorithm>

namespace glumet {
namespace {

/// What is worked out: whatever costs nothing, and of the rest what counts or was asked for.
std::set<Criterion> wantedOf(const Bench& bench, const CompareQuestion& question) {
    std::set<Criterion> wanted;
    for (const auto criterion : allCriteria()) {
        const bool counts = weightOf(weightsOf(bench), criterion) > 0.0;
        if (!takesFit(criterion) || counts || question.all_figures) wanted.insert(criterion);
    }
    return wanted;
}

/// Described or fitted, a scene gives them; where they count the fit is worth its time.
bool betterByFit(const Bench& bench) {
    const auto& weights = weightsOf(bench);
    return weightOf(weights, Criterion::Shadow) > 0.0 || weightOf(weights, Criterion::Shimmer) > 0.0;
}

bool anyTakesFit(const std::set<Criterion>& wanted) {
    return std::any_of(wanted.begin(), wanted.end(), takesFit);
}

}  // namespace

bool takesFit(Criterion criterion) {
    return criterion == Criterion::PriceForGoal || criterion == Criterion::RoomSpill ||
           criterion == Criterion::EyeLight;
}

Paired Comparison::pairOf(std::size_t a, std::size_t b) const {
    const auto& one = judged[a].contender;
    const auto& other = judged[b].contender;
    return paired(one, other, one.configuration.meter == other.configuration.meter);
}

std::vector<ConditionRow> Comparison::conditions(std::size_t a, std::size_t b) const {
    return conditionsOf(*bench, judged[a].contender, *bench, judged[b].contender, bench->method.on_purpose);
}

Comparison compareAll(std::shared_ptr<const Bench> bench, const FitOf& fit_of,
                      const CompareQuestion& question) {
    Comparison out;
    out.bench = std::move(bench);
    const auto& b = *out.bench;
    out.sweeps = sweepsOf(b);
    out.place = question.place;
    const auto compared = comparedSweeps(b, out.sweeps);
    if (out.place.tank == 0) out.place.tank = commonTank(compared);
    out.place.keep_levels = std::find(b.method.on_purpose.begin(), b.method.on_purpose.end(),
                                      Condition::Level) != b.method.on_purpose.end();
    JudgeQuestion asked;
    asked.tank = out.place.tank;
    asked.wanted = wantedOf(b, question);
    asked.stop = question.stop;
    auto contenders = contendersOf(b, out.sweeps, out.place, fit_of);
    const bool wants_fits = anyTakesFit(asked.wanted) || betterByFit(b);
    std::vector<const FitResult*> fits;
    for (const auto* sweep : compared) {
        if (question.stop.stop_requested()) break;
        fits.push_back(fit_of && wants_fits ? fit_of(*sweep) : nullptr);
    }
    out.judged = judgeAll(b, std::move(contenders), fits, asked,
                          [&](double share) { question.progress(0.5 * share); });
    RankQuestion ranked;
    ranked.weights = weightsFor(b, out.judged);
    ranked.shown = allCriteria();
    ranked.band = b.method.goal.band;
    ranked.resamples = question.resamples;
    ranked.stop = question.stop;
    ranked.progress = [&](double share) { question.progress(0.5 + 0.5 * share); };
    out.board = rankBoard(out.judged, ranked);
    out.ageings = ageingOf(b, out.sweeps);
    return out;
}

}  // namespace glumet
