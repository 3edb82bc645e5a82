#pragma once

#include <optional>
#include <string>
#include <vector>

#include "core/base/sentence.h"
#include "core/bench/bench.h"

namespace glumet {

/// A criterion of the rubric in words, and what its least, middle and greatest score mean.
struct RubricAnchors {
    Words name;
    Words least;     ///< 1
    Words middle;    ///< 3
    Words greatest;  ///< 5
};
RubricAnchors anchorsOf(RubricCriterion criterion);

/// The last score that this reviewer gave there; nullptr: none.
const Rating* ratingOf(const Bench& bench, Id fixture, Id accessory, RubricCriterion criterion,
                       const std::string& by);

/// Who scored anything, in the order of their first score.
std::vector<std::string> reviewersOf(const Bench& bench);

/// How far two reviewers agree over what both scored.
struct RubricAgreement {
    int both = 0;                 ///< items that both scored
    int same = 0;                 ///< … alike
    int far = 0;                  ///< … by two steps or more apart
    std::optional<double> kappa;  ///< nothing: fewer than five items, or neither ever varied a score
};

/// Cohen's kappa with quadratic weights (Cohen 1968, Psychological Bulletin 70:213):
///   κ = 1 − Σ w O / Σ w E,  w = (i − j)²,
/// O the shares of the score pairs, E those expected from both reviewers' own shares. 1 is full agreement, 0
/// what chance gives.
RubricAgreement rubricAgreement(const Bench& bench, const std::string& a, const std::string& b);

/// The same as a sentence.
Words agreementWords(const RubricAgreement& agreement, const std::string& a, const std::string& b);

}  // namespace glumet
