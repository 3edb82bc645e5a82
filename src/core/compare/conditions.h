#pragma once

#include <array>
#include <utility>
#include <vector>

#include "core/compare/contender.h"

namespace glumet {

enum class ConditionState { Same, Corrected, OnPurpose, NotComparable };
template <>
struct WordsOf<ConditionState> {
    static constexpr bool stored = false;
    static constexpr std::array value{std::pair{ConditionState::Same, "same"},
                                      std::pair{ConditionState::Corrected, "corrected"},
                                      std::pair{ConditionState::OnPurpose, "on purpose"},
                                      std::pair{ConditionState::NotComparable, "not comparable"}};
};

/// One condition of two contenders.
struct ConditionRow {
    Condition condition = Condition::Fixture;
    Words a = {};  ///< what it is; empty: not recorded
    Words b = {};
    ConditionState state = ConditionState::Same;
    bool modelled = false;  ///< corrected by a fit
    Words remedy = {};      ///< what was corrected, or what would have to be read again
};

/// Every condition of two contenders, in the order of Condition.
///
/// Fixture, accessory, channels and count differ on purpose whenever they differ: they are what is compared.
/// Level and other light are corrected; grid, depths, tank, water and height are where a fit speaks for one
/// of them. Meters that differ want factors found side by side; lamps of one fixture that have burnt
/// differently are compared on purpose, those of two are not comparable. What one of them does not say is
/// not comparable; what neither says counts as the same, unsaid. `on_purpose` names what else may differ.
std::vector<ConditionRow> conditionsOf(const Bench& bench_a, const Contender& a, const Bench& bench_b,
                                       const Contender& b, const std::vector<Condition>& on_purpose);

bool comparable(const std::vector<ConditionRow>& rows);

/// Of each contender what keeps it from being ranked with the others: its first condition that is not
/// comparable with those that most of them share; empty where there is none.
std::vector<Words> unlikeTheRest(const Bench& bench, const std::vector<Contender>& contenders,
                                 const std::vector<Condition>& on_purpose);

/// The things that differ on purpose, each at its own height left out: one is a fair question, two are two
/// at once.
std::vector<Condition> changedThings(const std::vector<ConditionRow>& rows);

Words conditionName(Condition condition);

}  // namespace glumet
