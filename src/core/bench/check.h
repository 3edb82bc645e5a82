#pragma once

#include <array>
#include <string>

#include "core/base/id.h"
#include "core/base/value.h"

namespace glumet {

/// What is checked before the first reading.
enum class CheckKind {
    Hanging,
    EyesAndHands,
    Draw,
    WarmUp,
    Dark,
    Water,
    ProbeLevel,
    Height,
    MeterMode,
    MeterTruth
};
inline constexpr std::array kCheckKinds{CheckKind::Hanging,    CheckKind::EyesAndHands, CheckKind::Draw,
                                        CheckKind::WarmUp,     CheckKind::Dark,         CheckKind::Water,
                                        CheckKind::ProbeLevel, CheckKind::Height,       CheckKind::MeterMode,
                                        CheckKind::MeterTruth};

/// What a look at the suspension found besides its rating.
enum class Tether { On, None, SomebodyBelow };
/// What a look at eyes, hands and plugs found.
enum class EyesAndHandsState { Safe, NoEyewear, Wet, NoResidualCurrentProtection };

/// One check as it was made. A later one of the same kind and subject takes its place; both are kept.
struct CommissionCheck {
    GLUMET_VALUE(CommissionCheck);

    Id id = 0;
    Id run = 0;
    CheckKind kind = CheckKind::Draw;
    std::string subject;  ///< a channel, or what it was compared with; empty: the whole
    double value = 0.0;   ///< in the kind's unit, see core/commission.h
    bool passed = false;
    std::string verdict;    ///< one sentence
    std::string overruled;  ///< why work went on although it failed; published
    std::string time;

    bool operator==(const CommissionCheck&) const = default;
};

}  // namespace glumet
