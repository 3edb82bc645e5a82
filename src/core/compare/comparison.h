#pragma once

#include <memory>
#include <stop_token>
#include <vector>

#include "core/compare/ageing.h"
#include "core/compare/compare_findings.h"
#include "core/compare/rank_board.h"

namespace glumet {

/// What is compared, where, and how far.
struct CompareQuestion {
    ComparePlace place;
    bool all_figures = false;  ///< also those that take a fit and do not count
    int resamples = 1000;
    std::stop_token stop;
    std::function<void(double)> progress = [](double) {};
};

/// A project's configurations side by side.
struct Comparison {
    std::shared_ptr<const Bench> bench;
    std::vector<Sweep> sweeps;   ///< of that bench
    ComparePlace place;          ///< with its tank
    std::vector<Judged> judged;  ///< in the order of their first runs
    RankBoard board;
    std::vector<Ageing> ageings;

    /// The pair by their numbers.
    Paired pairOf(std::size_t a, std::size_t b) const;
    std::vector<ConditionRow> conditions(std::size_t a, std::size_t b) const;
    CompareAnswer answer() const { return compareAnswer(judged, board); }
};

/// All of it. `fit_of` is asked only where something was not read, or where a figure that takes a fit counts.
Comparison compareAll(std::shared_ptr<const Bench> bench, const FitOf& fit_of,
                      const CompareQuestion& question);

/// Figures that rest on a fit.
bool takesFit(Criterion criterion);

}  // namespace glumet
