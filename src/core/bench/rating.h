#pragma once

#include <array>
#include <string>

#include "core/base/id.h"
#include "core/bench/describe.h"

namespace glumet {

/// What no meter reads; core/compare/rubric.h has the words for each step.
enum class RubricCriterion {
    Looks,
    Shimmer,
    ColourFlashes,
    Dimming,
    NightLight,
    Noise,
    Build,
    Mounting,
    Control,
    Box,
};
inline constexpr std::array kRubricCriteria{RubricCriterion::Looks,         RubricCriterion::Shimmer,
                                            RubricCriterion::ColourFlashes, RubricCriterion::Dimming,
                                            RubricCriterion::NightLight,    RubricCriterion::Noise,
                                            RubricCriterion::Build,         RubricCriterion::Mounting,
                                            RubricCriterion::Control,       RubricCriterion::Box};
template <>
struct WordsOf<RubricCriterion> {
    static constexpr bool stored = true;
    static constexpr std::array value{std::pair{RubricCriterion::Looks, "looks"},
                                      std::pair{RubricCriterion::Shimmer, "shimmer"},
                                      std::pair{RubricCriterion::ColourFlashes, "colour-flashes"},
                                      std::pair{RubricCriterion::Dimming, "dimming"},
                                      std::pair{RubricCriterion::NightLight, "night-light"},
                                      std::pair{RubricCriterion::Noise, "noise"},
                                      std::pair{RubricCriterion::Build, "build"},
                                      std::pair{RubricCriterion::Mounting, "mounting"},
                                      std::pair{RubricCriterion::Control, "control"},
                                      std::pair{RubricCriterion::Box, "box"}};
};

inline constexpr int kLeastScore = 1;
inline constexpr int kMostScore = 5;

/// One reviewer's score of one criterion, and why.
struct Rating {
    Id id = 0;
    Id fixture = 0;
    Id accessory = 0;  ///< put on while it was judged; 0: none
    RubricCriterion criterion = RubricCriterion::Looks;
    int score = 3;  ///< kLeastScore to kMostScore, more is better
    std::string reason;
    std::string by;
    std::string photo;  ///< a JPEG in base64; empty: none
    std::string time;   ///< ISO 8601 or empty

    bool operator==(const Rating&) const = default;
};

}  // namespace glumet
