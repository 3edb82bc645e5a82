#pragma once

#include <functional>
#include <map>
#include <optional>
#include <set>
#include <stop_token>
#include <vector>

#include "core/bench/criteria.h"
#include "core/compare/contender.h"
#include "core/compare/cost.h"

namespace glumet {

/// What a criterion is in words, and how it counts.
struct CriterionInfo {
    Words name;
    Words unit;    ///< empty: none
    Words better;  ///< what a fixture that is ahead does: "spreads better"
    bool more_is_better = true;
    bool decibel = false;   ///< ten more are twice as loud; all others count by their ratio
    bool by_share = false;  ///< shown as a percentage
    double least = 0.0;     ///< smaller values count as this much
};
const CriterionInfo& infoOf(Criterion criterion);

/// ±ln of a figure, more is better: a tenth is a tenth in every criterion. Ten decibels are a factor of two;
/// what is below a criterion's floor counts as the floor.
double goodness(Criterion criterion, double value);

/// All of them, in the order of boards.
const std::vector<Criterion>& allCriteria();

/// Ready weights, a starting point: evenness and delivered light per watt 3, share in the band and light per
/// price 2, peak 1.
const std::vector<CriterionWeight>& readyWeights();
/// The project's own, or those.
const std::vector<CriterionWeight>& weightsOf(const Bench& bench);
double weightOf(const std::vector<CriterionWeight>& weights, Criterion criterion);

/// A figure that does not come from the compared planes.
struct KnownFigure {
    double value = 0.0;
    double error = 0.0;    ///< standard error: relative, of decibels absolute
    bool assumed = false;  ///< rests on a description, not on a reading
};

/// A contender with everything that it is ranked by.
struct Judged {
    Contender contender;
    double area_m2 = 0.0;         ///< of the tank's footprint
    std::optional<double> price;  ///< of what hangs, with accessory and mounts
    double level = 1.0;           ///< that suits the goal best, by its planes
    double share = 0.0;           ///< of its points in the band at that level
    std::optional<int> counted;   ///< fixtures that the goal needs in this tank; nothing: not worked out
    Cost cost;
    std::map<Criterion, KnownFigure> known;
    std::map<Criterion, Words> missing;  ///< why there is no figure
    Words unlike;                        ///< what keeps it from being ranked with the others
};

/// How far the figures go: what is asked for beyond the readings costs seconds a fixture.
struct JudgeQuestion {
    Id tank = 0;  ///< where they hang; 0: their own
    std::set<Criterion> wanted;
    std::optional<Band> band;  ///< instead of the goal's
    double goal_share = 0.8;   ///< of points in the band, for the number needed
    std::stop_token stop;
};

/// By the planes, recomputed with every re-reading (rank_board.h): evenness min/mean and peak max/mean, each
/// the mean over the planes; output, the mean over the planes of mean × footprint, µmol/s; efficacy, that per
/// watt at the wall; share of all points in the goal's band at the best level; price per output. By the fit:
/// room spill and, unless it was read, light at the eye (room_light.h), the number that reaches the goal and
/// its price. By the scene, fitted or described: standard shadow and shimmer at half depth. By spectra:
/// blending and Ra. Described: noise and mass. By prices: energy a year, and cost over the years of the
/// number needed.
Judged judge(const Bench& bench, Contender contender, const FitResult* fit, const JudgeQuestion& question);

/// The same of all, what is unlike the rest marked, with prices in another currency than the others' left out
/// and said.
std::vector<Judged> judgeAll(
    const Bench& bench, std::vector<Contender> contenders, const std::vector<const FitResult*>& fits,
    const JudgeQuestion& question, const std::function<void(double)>& progress = [](double) {});

}  // namespace glumet
