#pragma once

#include <optional>
#include <stop_token>

#include "core/fit/fit_of.h"
#include "core/light/scene.h"
#include "core/verdicts/goal_level.h"

namespace glumet {

struct PlanQuestion {
    Goal goal;
    int draws = 40;  ///< from each fit's posterior, for the interval of the share
    std::stop_token stop = {};
};

/// The light of a planned array as its fixtures' fits have it, each at the level it is planned at, over the
/// points that judge the goal (cells of about 100 mm at judgedDepths()).
struct PlannedLight {
    Goal goal;
    std::size_t used = 0;  ///< points judged
    double share = 0.0;    ///< of them in the goal's band
    double share_low =
        0.0;  ///< 95 % interval, by what the fits leave open; the water and walls are the first's
    double share_high = 0.0;
    Ppfd mean{0};
    Ppfd least{0};
    Ppfd most{0};
    double dli = 0.0;  ///< of the mean over the goal's photoperiod, mol·m⁻²·d⁻¹
    bool ceiling_holds = true;
    bool floor_holds = true;
    BestLevel dimmed;  ///< all dimmed together: per cent of the planned levels that fills the band best
};

/// Fails in words: a tank that is gone, a fixture that no fit speaks for.
Expected<PlannedLight> plannedLight(const Bench& bench, const PlannedArray& plan, const FitOf& fit_of,
                                    const PlanQuestion& question);

/// Its scene, lit.
Expected<LightScene> plannedScene(const Bench& bench, const PlannedArray& plan, const FitOf& fit_of);

/// "2 × Osier 60, all on at 80 %; Sedge 90 at 40 %": what hangs in it, those alike together, in their order.
Words hungWords(const Bench& bench, const PlannedArray& plan);

/// Whether it is this configuration, of these, whose readings speak for one of its fixtures.
bool hangsIn(const PlannedArray& plan, const std::vector<Sweep>& sweeps, const Configuration& configuration);

}  // namespace glumet
