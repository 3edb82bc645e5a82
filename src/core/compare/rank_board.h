#pragma once

#include <cstdint>
#include <functional>
#include <stop_token>
#include <vector>

#include "core/base/band.h"
#include "core/compare/criteria.h"

namespace glumet {

struct RankQuestion {
    std::vector<CriterionWeight> weights;  ///< those left out do not count
    std::vector<Criterion> shown;          ///< figures wanted besides those that count
    Band band{Ppfd(150), Ppfd(300)};
    int resamples = 1000;
    std::uint64_t seed = 1;
    std::stop_token stop;
    std::function<void(double)> progress = [](double) {};
};

/// A contender's figure of one criterion.
struct RankedFigure {
    Criterion criterion = Criterion::Evenness;
    bool there = false;
    double value = 0.0;
    double lo = 0.0;  ///< 95 % interval
    double hi = 0.0;
    bool tied = false;  ///< with the best one of all, within what chance does 99 times in 100
    bool assumed = false;
    Words missing;
};

struct RankRow {
    std::vector<RankedFigure> figures;  ///< in the order of the board's criteria
    double score = 0.0;                 ///< see rankBoard()
    int rank = 0;                       ///< from 1; 0: not ranked, see `unranked`
    int rank_lo = 0;                    ///< within which it stays 95 times in 100
    int rank_hi = 0;
    Words unranked;
};

struct RankBoard {
    std::vector<Criterion> criteria;
    std::vector<double> weights;     ///< of those; 0: shown only
    std::vector<RankRow> rows;       ///< in the order of the contenders
    std::vector<std::size_t> order;  ///< ranked ones, best first
    int resamples = 0;
    double first_holds = 0.0;          ///< share of re-readings in which the first stays the first
    double order_holds = 0.0;          ///< … in which the whole order stays
    double first_holds_weights = 0.0;  ///< the same as weights move
    double order_holds_weights = 0.0;
    bool cancelled = false;

    const RankedFigure* figure(std::size_t row, Criterion criterion) const;
};

/// The project's own weights; without any the ready ones, but for criteria of which nobody has a figure.
std::vector<CriterionWeight> weightsFor(const Bench& bench, const std::vector<Judged>& judged);

/// Ranks by score = Σ w · ±ln(figure) / Σ w: a tenth better in one criterion weighs as much as a tenth in
/// another of the same weight. Who lacks a figure that counts is not ranked, and that is said.
///
/// Re-readings: every value of every plane moves by its own error, those of a plane together by what a fit
/// leaves open, those of a contender by its height's setting error and, where meters differ, by its meter's;
/// all that comes from planes is computed anew. What moving does on average (a least value falls) is taken
/// off. Weights move by exp(0.35 z): within a factor of two, 95 times in 100.
RankBoard rankBoard(const std::vector<Judged>& judged, const RankQuestion& question);

}  // namespace glumet
