#pragma once

#include "core/base/limits.h"
#include "core/base/sentence.h"
#include "core/bench/bench.h"
#include "core/bench/describe.h"

/// Every entity of a bench, each described once, in descriptions.cpp.
namespace glumet {

/// The format of projects and of bench descriptions; docs/file-formats.md tells what each brought.
inline constexpr int kBenchFormat = 14;

template <>
struct WordsOf<WallKind> {
    static constexpr bool stored = false;
    static constexpr std::array value{std::pair{WallKind::Glass, "glass"},
                                      std::pair{WallKind::Acrylic, "acrylic"},
                                      std::pair{WallKind::Opaque, "opaque"}};
};
template <>
struct WordsOf<Side> {
    static constexpr bool stored = false;
    static constexpr std::array value{std::pair{Side::Left, "left"}, std::pair{Side::Right, "right"},
                                      std::pair{Side::Front, "front"}, std::pair{Side::Back, "back"}};
};
template <>
struct WordsOf<WaterState> {
    static constexpr bool stored = false;
    static constexpr std::array value{std::pair{WaterState::Still, "still"},
                                      std::pair{WaterState::Moving, "moving"},
                                      std::pair{WaterState::Dry, "dry"}};
};
template <>
struct WordsOf<WaterKind> {
    static constexpr bool stored = false;
    static constexpr std::array value{std::pair{WaterKind::Fresh, "fresh"}, std::pair{WaterKind::Sea, "sea"}};
};
template <>
struct WordsOf<TankUse> {
    static constexpr bool stored = false;
    static constexpr std::array value{std::pair{TankUse::Bench, "bench"},
                                      std::pair{TankUse::Living, "living"}};
};
template <>
struct WordsOf<ImmersionBy> {
    static constexpr bool stored = false;
    static constexpr std::array value{std::pair{ImmersionBy::Nobody, "nobody"},
                                      std::pair{ImmersionBy::MeterMode, "meter"},
                                      std::pair{ImmersionBy::Glumet, "glumet"}};
};
template <>
struct WordsOf<CheckKind> {
    static constexpr bool stored = false;
    static constexpr std::array value{std::pair{CheckKind::Hanging, "hanging"},
                                      std::pair{CheckKind::EyesAndHands, "eyes-hands"},
                                      std::pair{CheckKind::Draw, "draw"},
                                      std::pair{CheckKind::WarmUp, "warm-up"},
                                      std::pair{CheckKind::Dark, "dark"},
                                      std::pair{CheckKind::Water, "water"},
                                      std::pair{CheckKind::ProbeLevel, "level"},
                                      std::pair{CheckKind::Height, "height"},
                                      std::pair{CheckKind::MeterMode, "meter-mode"},
                                      std::pair{CheckKind::MeterTruth, "meter-truth"}};
};

template <>
struct WordsOf<SpectralScale> {
    static constexpr bool stored = true;
    static constexpr std::array value{std::pair{SpectralScale::Absolute, "absolute"},
                                      std::pair{SpectralScale::Relative, "relative"}};
};
template <>
struct WordsOf<SpectrumOrigin> {
    static constexpr bool stored = true;
    static constexpr std::array value{std::pair{SpectrumOrigin::Read, "read"},
                                      std::pair{SpectrumOrigin::File, "file"},
                                      std::pair{SpectrumOrigin::Assumed, "assumed"}};
};

constexpr const char* tableOf(Of<Tank>) { return "tank"; }
constexpr const char* tableOf(Of<Channel>) { return "channel"; }
constexpr const char* tableOf(Of<PresetLevel>) { return "preset_level"; }
constexpr const char* tableOf(Of<Preset>) { return "preset"; }
constexpr const char* tableOf(Of<Fixture>) { return "fixture"; }
constexpr const char* tableOf(Of<Accessory>) { return "accessory"; }
constexpr const char* tableOf(Of<MeterProfile>) { return "meter"; }
constexpr const char* tableOf(Of<Reading>) { return "reading"; }
constexpr const char* tableOf(Of<RingMean>) { return "ring_mean"; }
constexpr const char* tableOf(Of<Plane>) { return "plane"; }
constexpr const char* tableOf(Of<Run>) { return "run"; }
constexpr const char* tableOf(Of<CommissionCheck>) { return "commission"; }
constexpr const char* tableOf(Of<SpectrumRecord>) { return "spectrum"; }
constexpr const char* tableOf(Of<ScheduleRamp>) { return "schedule_ramp"; }
constexpr const char* tableOf(Of<Schedule>) { return "schedule"; }
constexpr const char* tableOf(Of<DayLog>) { return "day_log"; }
constexpr const char* tableOf(Of<Rating>) { return "rating"; }
constexpr const char* tableOf(Of<SpotReading>) { return "spot_reading"; }
constexpr const char* tableOf(Of<TankSpot>) { return "spot"; }
constexpr const char* tableOf(Of<Rock>) { return "rock"; }
constexpr const char* tableOf(Of<Organism>) { return "organism"; }
constexpr const char* tableOf(Of<Acclimation>) { return "acclimation"; }
constexpr const char* tableOf(Of<HungFixture>) { return "hung_fixture"; }
constexpr const char* tableOf(Of<PlannedArray>) { return "planned_array"; }

/// All of a bench; what belongs to another entity hangs below it.
// clang-format off
#define GLUMET_BENCH_ENTITIES(X)                                                                             \
    X(Spectrum) X(SpectralBand) X(CriterionWeight) X(ClockPoint) X(LoggedPoint) X(Wall) X(Obstacle) X(Spot)  \
    X(EmitterLattice) X(MeterCorrection) X(Goal) X(RampEvent) X(Tank) X(Channel) X(PresetLevel) X(Preset)    \
    X(Fixture) X(Accessory) X(MeterProfile) X(Method) X(Reading) X(RingMean) X(Plane) X(Run)                 \
    X(CommissionCheck) X(SpectrumRecord) X(ScheduleRamp) X(Schedule) X(DayLog) X(Rating) X(SpotReading)      \
    X(TankSpot) X(Rock) X(Organism) X(Acclimation) X(HungFixture) X(PlannedArray) X(Bench)
// clang-format on

#define GLUMET_DECLARED(Entity)                 \
    std::vector<PartType> fieldsOf(Of<Entity>); \
    template <>                                 \
    const EntityType& entityType<Entity>();
GLUMET_BENCH_ENTITIES(GLUMET_DECLARED)
#undef GLUMET_DECLARED

}  // namespace glumet
