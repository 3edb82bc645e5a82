#pragma once

#include <array>

#include "core/bench/describe.h"

namespace glumet {

/// What fixtures are ranked by; core/compare/criteria.h says how each is computed.
enum class Criterion {
    Evenness,
    Output,
    Efficacy,
    ShareInBand,
    PeakRatio,
    Shadow,
    Shimmer,
    Blending,
    Colour,
    RoomSpill,
    EyeLight,
    PricePerOutput,
    PriceForGoal,
    EnergyYear,
    LifeCost,
    Noise,
    Mass,
};
template <>
struct WordsOf<Criterion> {
    static constexpr bool stored = true;
    static constexpr std::array value{std::pair{Criterion::Evenness, "evenness"},
                                      std::pair{Criterion::Output, "output"},
                                      std::pair{Criterion::Efficacy, "efficacy"},
                                      std::pair{Criterion::ShareInBand, "share-in-band"},
                                      std::pair{Criterion::PeakRatio, "peak-ratio"},
                                      std::pair{Criterion::Shadow, "shadow"},
                                      std::pair{Criterion::Shimmer, "shimmer"},
                                      std::pair{Criterion::Blending, "blending"},
                                      std::pair{Criterion::Colour, "colour"},
                                      std::pair{Criterion::RoomSpill, "room-spill"},
                                      std::pair{Criterion::EyeLight, "eye-light"},
                                      std::pair{Criterion::PricePerOutput, "price-per-output"},
                                      std::pair{Criterion::PriceForGoal, "price-for-goal"},
                                      std::pair{Criterion::EnergyYear, "energy-year"},
                                      std::pair{Criterion::LifeCost, "life-cost"},
                                      std::pair{Criterion::Noise, "noise"},
                                      std::pair{Criterion::Mass, "mass"}};
};

inline constexpr int kMostWeight = 4;

/// How much a criterion counts, 0–kMostWeight.
struct CriterionWeight {
    Criterion criterion = Criterion::Evenness;
    double weight = 1.0;

    bool operator==(const CriterionWeight&) const = default;
};

/// What two comparisons of light can differ in.
enum class Condition {
    Fixture,
    Accessory,
    Channels,
    Level,
    Count,
    Turn,
    Tank,
    Water,
    Grid,
    Depths,
    Height,
    Meter,
    Correction,
    WarmUp,
    Ambient,
    Age,
    Reader,
};
template <>
struct WordsOf<Condition> {
    static constexpr bool stored = true;
    static constexpr std::array value{std::pair{Condition::Fixture, "fixture"},
                                      std::pair{Condition::Accessory, "accessory"},
                                      std::pair{Condition::Channels, "channels"},
                                      std::pair{Condition::Level, "level"},
                                      std::pair{Condition::Count, "count"},
                                      std::pair{Condition::Turn, "turn"},
                                      std::pair{Condition::Tank, "tank"},
                                      std::pair{Condition::Water, "water"},
                                      std::pair{Condition::Grid, "grid"},
                                      std::pair{Condition::Depths, "depths"},
                                      std::pair{Condition::Height, "height"},
                                      std::pair{Condition::Meter, "meter"},
                                      std::pair{Condition::Correction, "correction"},
                                      std::pair{Condition::WarmUp, "warm-up"},
                                      std::pair{Condition::Ambient, "ambient"},
                                      std::pair{Condition::Age, "age"},
                                      std::pair{Condition::Reader, "reader"}};
};

}  // namespace glumet
