#include "core/verdicts/planned_light.h"

#include <algorithm>
#include <numeric>

#include "core/fit/posterior_draws.h"
#include "core/verdicts/array.h"

namespace glumet {
namespace {

constexpr std::uint64_t kKindSeed = 1;

SceneFixture placed(const HungFixture& hung) {
    SceneFixture out;
    out.x_mm = hung.x.value();
    out.y_mm = hung.y.value();
    out.height_mm = hung.height.value();
    out.rotation_deg = hung.turn_deg;
    out.level = hung.level_pct / 100.0;
    return out;
}

/// Fixtures that one fit speaks for.
struct Kind {
    const FitResult* fit;
    LightModel model;
    std::vector<SceneFixture> hung;  ///< unlit
};

Expected<std::vector<Kind>> kindsOf(const Bench& bench, const PlannedArray& plan, const FitOf& fit_of) {
    const auto sweeps = sweepsOf(bench);
    std::vector<Kind> kinds;
    for (const auto& hung : plan.fixtures) {
        const auto* sweep = sweepOf(sweeps, hung);
        const auto* fit = sweep == nullptr ? nullptr : fit_of(*sweep);
        if (fit == nullptr)
            return problem(plan.name, say(GLUMET_SAY("Core", "no fit speaks for {}"),
                                          configurationName(bench, configurationOf(hung))));
        auto kind =
            std::find_if(kinds.begin(), kinds.end(), [&](const Kind& known) { return known.fit == fit; });
        if (kind == kinds.end()) kind = kinds.insert(kinds.end(), {fit, fit->model.elsewhere(), {}});
        kind->hung.push_back(placed(hung));
    }
    return kinds;
}

/// Walls and water as the first one's fit has them.
Expected<LightScene> tankOf(const Bench& bench, const PlannedArray& plan, const std::vector<Kind>& kinds) {
    const auto* tank = byId(bench.tanks, plan.tank);
    if (tank == nullptr || kinds.empty())
        return problem(plan.name, say(GLUMET_SAY("Core", "the tank is not described")));
    return tankByFit(*kinds.front().fit, *tank, false);
}

/// The scenes of all kinds in one, every beam once.
Expected<LightScene> litBy(const LightScene& tank, const std::vector<Kind>& kinds) {
    LightScene all = tank;
    all.beams.clear();
    for (const auto& kind : kinds) {
        auto own = tank;
        own.fixtures = kind.hung;
        auto lit = sceneWith(kind.model, std::move(own));
        if (!lit) return lit;
        const auto beam = all.beams.size();
        all.beams.insert(all.beams.end(), lit->beams.begin(), lit->beams.end());
        all.channels = lit->channels;
        for (auto& fixture : lit->fixtures) {
            for (auto& emitter : fixture.emitters) emitter.beam += beam;
            all.fixtures.push_back(std::move(fixture));
        }
    }
    return all;
}

double shareIn(const std::vector<double>& values, const Band& band) {
    return sharesByLevel(values, band).back();
}

/// Of the share, by draws from each kind's own posterior.
std::pair<double, double> interval(const LightScene& tank, const std::vector<Kind>& kinds,
                                   const std::vector<BasisField::Point>& points,
                                   const PlanQuestion& question) {
    std::vector<DrawnField> fields;
    std::vector<PosteriorDraws> posteriors;
    for (const auto& kind : kinds) {
        auto own = tank;
        own.fixtures = kind.hung;
        fields.emplace_back(kind.model, own, points);
        posteriors.emplace_back(kind.model, kKindSeed + posteriors.size());
    }
    std::vector<double> shares;
    for (int draw = 0; draw < question.draws && !question.stop.stop_requested(); ++draw) {
        std::vector<double> sum(points.size(), 0.0);
        for (std::size_t k = 0; k < kinds.size(); ++k) {
            const auto values = fields[k].values(posteriors[k].next());
            std::transform(sum.begin(), sum.end(), values.begin(), sum.begin(), std::plus<>());
        }
        shares.push_back(shareIn(sum, question.goal.band));
    }
    return middle95(std::move(shares)).value_or(std::pair{0.0, 1.0});
}

void judge(PlannedLight& out, const LitPoints& points, const Goal& goal) {
    const auto [least, most] = std::minmax_element(points.values.begin(), points.values.end());
    out.goal = goal;
    out.used = points.values.size();
    out.share = shareIn(points.values, goal.band);
    out.mean = Ppfd(std::accumulate(points.values.begin(), points.values.end(), 0.0) /
                    static_cast<double>(points.values.size()));
    out.least = Ppfd(*least);
    out.most = Ppfd(*most);
    out.dli = out.mean.value() * goal.photoperiod_h * 3600.0 / 1e6;
    out.ceiling_holds = !goal.ceiling || out.most <= *goal.ceiling;
    out.floor_holds = !goal.floor || points.lowest.empty() ||
                      *std::min_element(points.lowest.begin(), points.lowest.end()) >= goal.floor->value();
    out.dimmed = bestLevel(points.values, goal.band);
}

}  // namespace

Expected<LightScene> plannedScene(const Bench& bench, const PlannedArray& plan, const FitOf& fit_of) {
    const auto kinds = kindsOf(bench, plan, fit_of);
    if (!kinds) return tl::make_unexpected(kinds.error());
    const auto tank = tankOf(bench, plan, *kinds);
    if (!tank) return tank;
    return litBy(*tank, *kinds);
}

Expected<PlannedLight> plannedLight(const Bench& bench, const PlannedArray& plan, const FitOf& fit_of,
                                    const PlanQuestion& question) {
    const auto kinds = kindsOf(bench, plan, fit_of);
    if (!kinds) return tl::make_unexpected(kinds.error());
    const auto tank = tankOf(bench, plan, *kinds);
    if (!tank) return tl::make_unexpected(tank.error());
    auto scene = litBy(*tank, *kinds);
    if (!scene) return tl::make_unexpected(scene.error());
    ArrayQuestion where;
    where.tank = *tank;
    where.goal = question.goal;
    FastField field(std::move(*scene));
    const auto points = litPoints(field, where, question.goal);
    if (points.values.empty()) return problem(plan.name, say(GLUMET_SAY("Core", "no point is judged")));
    PlannedLight out;
    judge(out, points, question.goal);
    std::vector<BasisField::Point> judged;
    for (const auto depth : judgedDepths(question.goal, Millimetre(tank->water_depth_mm), where.over))
        for (const auto& at : arrayPoints(where).all) judged.push_back({at[0], at[1], depth.value()});
    const auto [low, high] = interval(*tank, *kinds, judged, question);
    out.share_low = std::min(low, out.share);
    out.share_high = std::max(high, out.share);
    return out;
}

Words hungWords(const Bench& bench, const PlannedArray& plan) {
    struct Alike {
        HungFixture one;
        int count = 0;
    };
    std::vector<Alike> all;
    for (const auto& hung : plan.fixtures) {
        const auto same = std::find_if(all.begin(), all.end(), [&](const Alike& known) {
            return configurationOf(known.one) == configurationOf(hung) &&
                   known.one.level_pct == hung.level_pct;
        });
        if (same == all.end())
            all.push_back({hung, 1});
        else
            ++same->count;
    }
    Listed words;
    for (const auto& [one, count] : all) {
        const auto name = configurationName(bench, configurationOf(one));
        const Figure level{one.level_pct, 0};
        words.items.push_back(count == 1
                                  ? say(GLUMET_SAY("Core", "{} at {} %"), name, level)
                                  : say(GLUMET_SAY("Core", "{} × {} at {} %"), Count{count}, name, level));
    }
    return say("{}", std::move(words));
}

bool hangsIn(const PlannedArray& plan, const std::vector<Sweep>& sweeps, const Configuration& configuration) {
    return std::any_of(plan.fixtures.begin(), plan.fixtures.end(), [&](const HungFixture& hung) {
        const auto* sweep = sweepOf(sweeps, hung);
        return sweep != nullptr && sweep->configuration == configuration;
    });
}

}  // namespace glumet
