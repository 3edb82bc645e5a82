#pragma once

#include "core/base/limits.h"
#include "core/base/sentence.h"
#include "core/bench/bench.h"
#include "core/bench/describe.h"

/// Every entity of a bench, each described once. The order of fields is that of forms and of new tables;
/// `from` names the format that brought a field, and files of earlier formats have its default.
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

// Values that stand inside a row, as JSON.

constexpr auto fieldsOf(Of<Spectrum>) {
    return std::tuple{
        field("wavelength_nm", &Spectrum::wavelength_nm).atLeast(kShortestNm).atMost(kLongestNm),
        field("photons", &Spectrum::values).atLeast(0)};
}

constexpr auto fieldsOf(Of<SpectralBand>) {
    return std::tuple{field("name", &SpectralBand::name),
                      field("from_nm", &SpectralBand::from_nm).atLeast(kShortestNm).atMost(kLongestNm),
                      field("to_nm", &SpectralBand::to_nm).atLeast(kShortestNm).atMost(kLongestNm)};
}

constexpr auto fieldsOf(Of<CriterionWeight>) {
    return std::tuple{field("criterion", &CriterionWeight::criterion),
                      field("weight", &CriterionWeight::weight).atLeast(0).atMost(kMostWeight)};
}

constexpr auto fieldsOf(Of<ClockPoint>) {
    return std::tuple{field("hour", &ClockPoint::hour).atLeast(0).atMost(24),
                      field("level_pct", &ClockPoint::level_pct).atLeast(0).atMost(100)};
}

constexpr auto fieldsOf(Of<LoggedPoint>) {
    return std::tuple{field("hour", &LoggedPoint::hour).atLeast(0),
                      field("ppfd", &LoggedPoint::ppfd).atLeast(0)};
}

constexpr auto fieldsOf(Of<Wall>) {
    return std::tuple{field("kind", &Wall::kind), field("reflectance", &Wall::reflectance).atLeast(0)};
}

constexpr auto fieldsOf(Of<Obstacle>) {
    return std::tuple{field("name", &Obstacle::name), field("from_x_mm", &Obstacle::from_x).atLeast(0),
                      field("to_x_mm", &Obstacle::to_x).atLeast(0),
                      field("from_y_mm", &Obstacle::from_y).atLeast(0),
                      field("to_y_mm", &Obstacle::to_y).atLeast(0)};
}

constexpr auto fieldsOf(Of<Spot>) {
    return std::tuple{field("name", &Spot::name), field("x_mm", &Spot::x), field("y_mm", &Spot::y)};
}

constexpr auto fieldsOf(Of<EmitterLattice>) {
    return std::tuple{field("columns", &EmitterLattice::columns).atLeast(1).atMost(limits::kAlongLattice),
                      field("rows", &EmitterLattice::rows).atLeast(1).atMost(limits::kAlongLattice),
                      field("pitch_x_mm", &EmitterLattice::pitch_x).atLeast(0),
                      field("pitch_y_mm", &EmitterLattice::pitch_y).atLeast(0),
                      field("size_mm", &EmitterLattice::size).atLeast(0)};
}

constexpr auto fieldsOf(Of<MeterCorrection>) {
    return std::tuple{field("channel", &MeterCorrection::channel),
                      field("factor", &MeterCorrection::factor).moreThan(0),
                      field("uncertainty", &MeterCorrection::uncertainty).atLeast(0),
                      field("source", &MeterCorrection::source),
                      field("time", &MeterCorrection::time),
                      field("applied", &MeterCorrection::applied)};
}

constexpr auto fieldsOf(Of<Goal>) {
    return std::tuple{field("name", &Goal::name),
                      field("school", &Goal::school),
                      fieldAt(
                          "band_low_umol_m2_s", [](auto& g) -> auto& { return g.band.low; })
                          .atLeast(0),
                      fieldAt(
                          "band_high_umol_m2_s", [](auto& g) -> auto& { return g.band.high; })
                          .atLeast(0),
                      field("photoperiod_h", &Goal::photoperiod_h).atLeast(0),
                      field("zone_from_mm", &Goal::zone_from).atLeast(0),
                      field("zone_to_mm", &Goal::zone_to).atLeast(0),
                      field("ceiling_umol_m2_s", &Goal::ceiling),
                      field("floor_umol_m2_s", &Goal::floor)};
}

constexpr auto fieldsOf(Of<RampEvent>) {
    return std::tuple{field("day", &RampEvent::day), field("kind", &RampEvent::kind),
                      field("note", &RampEvent::note)};
}

// Rows of a table, parents before children.

constexpr const char* tableOf(Of<Tank>) { return "tank"; }
constexpr auto fieldsOf(Of<Tank>) {
    const auto wall = [](const char* kind, const char* reflectance, Side side) {
        return std::tuple{fieldAt(
                              kind, [side](auto& t) -> auto& { return t.wall(side).kind; })
                              .keptIn(KeptIn::Table),
                          fieldAt(
                              reflectance, [side](auto& t) -> auto& { return t.wall(side).reflectance; })
                              .keptIn(KeptIn::Table)};
    };
    return std::tuple_cat(
        std::tuple{field("name", &Tank::name).needed().row(GLUMET_SAY("Described", "name")),
                   field("length_mm", &Tank::length).moreThan(0).row(GLUMET_SAY("Described", "length")),
                   field("width_mm", &Tank::width).moreThan(0).row(GLUMET_SAY("Described", "width")),
                   field("water_depth_mm", &Tank::water_depth)
                       .moreThan(0)
                       .row(GLUMET_SAY("Described", "water depth")),
                   field("walls", &Tank::walls).keptIn(KeptIn::Json)},
        wall("left_wall", "left_reflectance", Side::Left),
        wall("right_wall", "right_reflectance", Side::Right),
        wall("front_wall", "front_reflectance", Side::Front),
        wall("back_wall", "back_reflectance", Side::Back),
        std::tuple{field("water_kind", &Tank::water_kind), field("use", &Tank::use).in("tank_use"),
                   field("obstacles", &Tank::obstacles).from(3)});
}

constexpr const char* tableOf(Of<Channel>) { return "channel"; }
constexpr auto fieldsOf(Of<Channel>) {
    return std::tuple{field("name", &Channel::name),
                      field("flux_share", &Channel::flux_share).atLeast(0).atMost(1),
                      field("power_share", &Channel::power_share).atLeast(0).atMost(1),
                      field("emitters", &Channel::emitters), field("beam", &Channel::beam)};
}

constexpr const char* tableOf(Of<PresetLevel>) { return "preset_level"; }
constexpr auto fieldsOf(Of<PresetLevel>) {
    return std::tuple{field("channel", &PresetLevel::channel).refersTo<Channel>(true, true),
                      field("level_pct", &PresetLevel::level_pct).atLeast(0).atMost(100)};
}

constexpr const char* tableOf(Of<Preset>) { return "preset"; }
constexpr auto fieldsOf(Of<Preset>) {
    return std::tuple{field("name", &Preset::name), children("levels", "preset", &Preset::levels)};
}

constexpr const char* tableOf(Of<Fixture>) { return "fixture"; }
constexpr auto fieldsOf(Of<Fixture>) {
    return std::tuple{
        field("name", &Fixture::name).row(GLUMET_SAY("Described", "name")),
        field("maker", &Fixture::maker).row(GLUMET_SAY("Described", "maker")).seldomWanted(),
        field("kind", &Fixture::kind)
            .row(GLUMET_SAY("Described", "kind"), GLUMET_SAY("Described", "cluster, bar, panel …"))
            .seldomWanted(),
        field("length_mm", &Fixture::length).orUnstated().row(GLUMET_SAY("Described", "length")),
        field("width_mm", &Fixture::width).orUnstated().row(GLUMET_SAY("Described", "width")),
        fieldAt(
            "emitter_columns", [](auto& f) -> auto& { return f.emitters.columns; })
            .atLeast(1)
            .atMost(limits::kAlongLattice),
        fieldAt(
            "emitter_rows", [](auto& f) -> auto& { return f.emitters.rows; })
            .atLeast(1)
            .atMost(limits::kAlongLattice),
        fieldAt(
            "emitter_pitch_x_mm", [](auto& f) -> auto& { return f.emitters.pitch_x; })
            .atLeast(0),
        fieldAt(
            "emitter_pitch_y_mm", [](auto& f) -> auto& { return f.emitters.pitch_y; })
            .atLeast(0),
        derived(
            "channels", [](const Fixture& f) { return channelNames(f); },
            [](Fixture& f, const std::string& names) { setChannelNames(f, names); }),
        field("rated_power_w", &Fixture::rated_power)
            .moreThan(0)
            .row(GLUMET_SAY("Described", "rated power, W")),
        field("mass_kg", &Fixture::mass_kg).orUnstated().row(GLUMET_SAY("Described", "mass, kg")),
        field("price", &Fixture::price).orUnstated().row(GLUMET_SAY("Described", "price")),
        field("currency", &Fixture::currency).row(GLUMET_SAY("Described", "currency")).seldomWanted(),
        field("power_supply_inside", &Fixture::power_supply_inside),
        field("claimed_height_low_mm", &Fixture::claimed_height_low).in("claimed_low_mm"),
        field("claimed_height_high_mm", &Fixture::claimed_height_high).in("claimed_high_mm"),
        field("claimed_coverage", &Fixture::claimed_coverage)
            .row(GLUMET_SAY("Described", "maker's coverage"))
            .seldomWanted(),
        field("note", &Fixture::note),
        field("beam", &Fixture::beam).from(2),
        field("flux_umol_s", &Fixture::flux).moreThan(0).from(2),
        fieldAt(
            "emitter_size_mm", [](auto& f) -> auto& { return f.emitters.size; })
            .atLeast(0)
            .from(2),
        field("shroud_length_mm", &Fixture::shroud_length)
            .orUnstated()
            .from(7)
            .row(GLUMET_SAY("Described", "shroud, length"), GLUMET_SAY("Described", "of its lower edge"))
            .seldomWanted(),
        field("shroud_width_mm", &Fixture::shroud_width)
            .orUnstated()
            .from(7)
            .row(GLUMET_SAY("Described", "shroud, width"))
            .seldomWanted(),
        field("shroud_drop_mm", &Fixture::shroud_drop)
            .orUnstated()
            .from(7)
            .row(GLUMET_SAY("Described", "shroud, drop"), GLUMET_SAY("Described", "under the emitters"))
            .seldomWanted(),
        field("mount_price", &Fixture::mount_price)
            .orUnstated()
            .from(10)
            .row(GLUMET_SAY("Described", "price of mounts"),
                 GLUMET_SAY("Described", "and what else it needs"))
            .seldomWanted(),
        field("lamp_price", &Fixture::lamp_price)
            .orUnstated()
            .from(10)
            .row(GLUMET_SAY("Described", "price of new lamps"),
                 GLUMET_SAY("Described", "none: replaced whole"))
            .seldomWanted(),
        field("life_h", &Fixture::life_h)
            .orUnstated()
            .from(10)
            .row(GLUMET_SAY("Described", "life, h"), GLUMET_SAY("Described", "until lamps are replaced"))
            .seldomWanted(),
        field("noise_dba", &Fixture::noise_dba)
            .atLeast(0)
            .atMost(150)
            .from(10)
            .row(GLUMET_SAY("Described", "noise, dB(A)"), GLUMET_SAY("Described", "at a metre"))
            .seldomWanted(),
        children("channel_list", "fixture", &Fixture::channels, 5),
        children("presets", "fixture", &Fixture::presets, 5)};
}

constexpr const char* tableOf(Of<Accessory>) { return "accessory"; }
constexpr auto fieldsOf(Of<Accessory>) {
    return std::tuple{field("name", &Accessory::name), field("note", &Accessory::note),
                      field("price", &Accessory::price).orUnstated().from(10)};
}

constexpr const char* tableOf(Of<MeterProfile>) { return "meter"; }
constexpr auto fieldsOf(Of<MeterProfile>) {
    return std::tuple{field("name", &MeterProfile::name).needed().row(GLUMET_SAY("Described", "name")),
                      field("kind", &MeterProfile::kind),
                      field("immersion_factor", &MeterProfile::immersion_factor).atLeast(0),
                      field("immersion_by", &MeterProfile::immersion_by),
                      field("relative_uncertainty", &MeterProfile::relative_uncertainty).atLeast(0),
                      field("calibrated_on", &MeterProfile::calibrated_on),
                      field("note", &MeterProfile::note),
                      field("response_nm_relative", &MeterProfile::response).in("response").from(3),
                      field("cosine_error", &MeterProfile::cosine_error).atLeast(0).from(3),
                      field("corrections", &MeterProfile::corrections).from(3)};
}

constexpr auto fieldsOf(Of<Method>) {
    return std::tuple{
        field("spill_limit", &Method::spill_limit).atLeast(0),
        field("grid_columns", &Method::grid_columns).atLeast(1).atMost(limits::kAlongLattice),
        field("grid_rows", &Method::grid_rows).atLeast(1).atMost(limits::kAlongLattice),
        field("settled_relative_error", &Method::settled_relative_error).in("settled_error").atLeast(0),
        field("longest_reading_s", &Method::longest_reading).atLeast(0),
        field("height_error_mm", &Method::height_error).atLeast(0),
        field("note", &Method::note).in("method_note"),
        field("check_every", &Method::check_every).atLeast(0).from(3),
        field("school", &Method::school).from(3),
        field("dissent", &Method::dissent).from(3),
        field("goal", &Method::goal).from(4),
        field("goals", &Method::goals).from(4),
        field("bands", &Method::bands).from(9),
        field("price_kwh", &Method::price_kwh).atLeast(0).from(9),
        field("years", &Method::years).moreThan(0).atMost(100).from(10),
        field("weights", &Method::weights).from(10),
        field("on_purpose", &Method::on_purpose).from(10),
        field("compared_height_mm", &Method::compared_height).moreThan(0).from(10),
        field("eye_away_mm", &Method::eye_away).atLeast(0).from(10),
        field("eye_above_mm", &Method::eye_above).from(10),
        field("reviewer", &Method::reviewer).from(10),
        field("licence", &Method::licence).from(10),
        field("review", &Method::review).from(11)};
}

constexpr const char* tableOf(Of<Reading>) { return "reading"; }
constexpr auto fieldsOf(Of<Reading>) {
    return std::tuple{field("x_mm", &Reading::x).atLeast(0),
                      field("y_mm", &Reading::y).atLeast(0),
                      field("ppfd", &Reading::mean).atLeast(0),
                      field("ppfd_min", &Reading::min).atLeast(0),
                      field("ppfd_max", &Reading::max).atLeast(0),
                      field("sd", &Reading::sd).atLeast(0),
                      field("samples", &Reading::samples).atLeast(1),
                      field("power_w", &Reading::power).atLeast(0),
                      field("flag", &Reading::flag),
                      field("note", &Reading::note),
                      field("time", &Reading::time),
                      field("superseded", &Reading::superseded),
                      field("extra", &Reading::extra)};
}

constexpr const char* tableOf(Of<RingMean>) { return "ring_mean"; }
constexpr auto fieldsOf(Of<RingMean>) {
    return std::tuple{field("nx", &RingMean::columns).atLeast(1).atMost(limits::kAlongRings),
                      field("ny", &RingMean::rows).atLeast(1).atMost(limits::kAlongRings),
                      field("ring", &RingMean::ring), field("ppfd", &RingMean::ppfd).atLeast(0),
                      field("rel_sd", &RingMean::relative_sd).moreThan(0).atMost(1)};
}

constexpr const char* tableOf(Of<Plane>) { return "plane"; }
constexpr auto fieldsOf(Of<Plane>) {
    return std::tuple{field("depth_mm", &Plane::depth).atLeast(0), field("grid", &Plane::grid),
                      children("readings", "plane", &Plane::readings, 1, false, true),
                      children("means", "plane", &Plane::means, 8)};
}

constexpr const char* tableOf(Of<Run>) { return "run"; }
constexpr auto fieldsOf(Of<Run>) {
    return std::tuple{field("run", &Run::label).in("label"),
                      field("fixture", &Run::fixture).refersTo<Fixture>(true),
                      field("accessory", &Run::accessory).refersTo<Accessory>(),
                      field("tank", &Run::tank).refersTo<Tank>(),
                      field("meter", &Run::meter).refersTo<MeterProfile>(),
                      field("preset", &Run::preset).refersTo<Preset>().from(5),
                      field("level_pct", &Run::level_pct).atLeast(0),
                      field("height_mm", &Run::height).atLeast(0),
                      field("fixtures", &Run::fixtures).atLeast(1).atMost(limits::kFixtures),
                      field("placement", &Run::placement),
                      field("water", &Run::water),
                      field("dark_reading_umol_m2_s", &Run::dark_reading).in("dark_reading"),
                      field("warm_up_min", &Run::warm_up_min),
                      field("note", &Run::note),
                      field("turn_deg", &Run::turn_deg).atLeast(0).atMost(360).from(8),
                      field("read_by", &Run::read_by).from(8),
                      field("hours", &Run::hours).atLeast(0).from(10),
                      field("eye_reading_umol_m2_s", &Run::eye_reading).in("eye_reading").atLeast(0).from(10),
                      field("in_review", &Run::in_review).from(11),
                      children("planes", "run", &Run::planes, 1, true, true)};
}

constexpr const char* tableOf(Of<CommissionCheck>) { return "commission"; }
constexpr auto fieldsOf(Of<CommissionCheck>) {
    return std::tuple{field("run", &CommissionCheck::run).refersTo<Run>(true, true),
                      field("kind", &CommissionCheck::kind),
                      field("subject", &CommissionCheck::subject),
                      field("value", &CommissionCheck::value),
                      field("passed", &CommissionCheck::passed),
                      field("verdict", &CommissionCheck::verdict),
                      field("overruled", &CommissionCheck::overruled),
                      field("time", &CommissionCheck::time)};
}

constexpr const char* tableOf(Of<SpectrumRecord>) { return "spectrum"; }
constexpr auto fieldsOf(Of<SpectrumRecord>) {
    return std::tuple{field("name", &SpectrumRecord::name),
                      field("fixture", &SpectrumRecord::fixture).refersTo<Fixture>(true, true),
                      field("channel", &SpectrumRecord::channel).refersTo<Channel>(false, true),
                      field("preset", &SpectrumRecord::preset).refersTo<Preset>(false, true),
                      field("tank", &SpectrumRecord::tank).refersTo<Tank>(false, true),
                      field("test", &SpectrumRecord::test),
                      field("height_mm", &SpectrumRecord::height).atLeast(0),
                      field("depth_mm", &SpectrumRecord::depth).atLeast(0),
                      field("x_mm", &SpectrumRecord::x),
                      field("y_mm", &SpectrumRecord::y),
                      field("scale", &SpectrumRecord::scale),
                      field("origin", &SpectrumRecord::origin),
                      field("spectrum", &SpectrumRecord::spectrum),
                      field("sd_share", &SpectrumRecord::sd_share).atLeast(0),
                      field("note", &SpectrumRecord::note),
                      field("time", &SpectrumRecord::time)};
}

constexpr const char* tableOf(Of<ScheduleRamp>) { return "schedule_ramp"; }
constexpr auto fieldsOf(Of<ScheduleRamp>) {
    return std::tuple{field("channel", &ScheduleRamp::channel).refersTo<Channel>(false, true),
                      field("points", &ScheduleRamp::points)};
}

constexpr const char* tableOf(Of<Schedule>) { return "schedule"; }
constexpr auto fieldsOf(Of<Schedule>) {
    return std::tuple{field("name", &Schedule::name),
                      field("fixture", &Schedule::fixture).refersTo<Fixture>(true, true),
                      field("lights", &Schedule::lights).atLeast(1).atMost(limits::kFixtures),
                      field("ahead_min", &Schedule::ahead_min).atLeast(-720).atMost(720),
                      field("drift_s_day", &Schedule::drift_s_day).atLeast(-3600).atMost(3600),
                      field("note", &Schedule::note),
                      children("ramps", "schedule", &Schedule::ramps, 9)};
}

constexpr const char* tableOf(Of<DayLog>) { return "day_log"; }
constexpr auto fieldsOf(Of<DayLog>) {
    return std::tuple{field("name", &DayLog::name),
                      field("tank", &DayLog::tank).refersTo<Tank>(false, true),
                      field("x_mm", &DayLog::x),
                      field("y_mm", &DayLog::y),
                      field("depth_mm", &DayLog::depth).atLeast(0),
                      field("points", &DayLog::points),
                      field("note", &DayLog::note),
                      field("time", &DayLog::time)};
}

constexpr const char* tableOf(Of<Rating>) { return "rating"; }
constexpr auto fieldsOf(Of<Rating>) {
    return std::tuple{field("fixture", &Rating::fixture).refersTo<Fixture>(true, true),
                      field("accessory", &Rating::accessory).refersTo<Accessory>(false, true),
                      field("criterion", &Rating::criterion),
                      field("score", &Rating::score).atLeast(kLeastScore).atMost(kMostScore),
                      field("reason", &Rating::reason),
                      field("by", &Rating::by).in("by_whom"),
                      field("photo", &Rating::photo),
                      field("time", &Rating::time)};
}

constexpr const char* tableOf(Of<SpotReading>) { return "spot_reading"; }
constexpr auto fieldsOf(Of<SpotReading>) {
    return std::tuple{field("ppfd", &SpotReading::mean).atLeast(0),
                      field("ppfd_min", &SpotReading::min).atLeast(0),
                      field("ppfd_max", &SpotReading::max).atLeast(0),
                      field("tilt_deg", &SpotReading::tilt_deg).atLeast(0).atMost(180),
                      field("shaded", &SpotReading::shaded),
                      field("time", &SpotReading::time).needed(),
                      field("note", &SpotReading::note)};
}

constexpr const char* tableOf(Of<TankSpot>) { return "spot"; }
constexpr auto fieldsOf(Of<TankSpot>) {
    return std::tuple{field("tank", &TankSpot::tank).refersTo<Tank>(true, true),
                      field("name", &TankSpot::name).needed(),
                      field("x_mm", &TankSpot::x).atLeast(0),
                      field("y_mm", &TankSpot::y).atLeast(0),
                      field("depth_mm", &TankSpot::depth).atLeast(0),
                      field("flow", &TankSpot::flow),
                      field("note", &TankSpot::note),
                      field("photo", &TankSpot::photo),
                      children("readings", "spot", &TankSpot::readings, 12)};
}

constexpr const char* tableOf(Of<Rock>) { return "rock"; }
constexpr auto fieldsOf(Of<Rock>) {
    return std::tuple{field("tank", &Rock::tank).refersTo<Tank>(true, true),
                      field("name", &Rock::name),
                      field("from_x_mm", &Rock::from_x).atLeast(0),
                      field("to_x_mm", &Rock::to_x).atLeast(0),
                      field("from_y_mm", &Rock::from_y).atLeast(0),
                      field("to_y_mm", &Rock::to_y).atLeast(0),
                      field("top_mm", &Rock::top).atLeast(0),
                      field("bottom_mm", &Rock::bottom).atLeast(0),
                      field("transmittance", &Rock::transmittance).atLeast(0).atMost(1),
                      field("note", &Rock::note)};
}

constexpr const char* tableOf(Of<Organism>) { return "organism"; }
constexpr auto fieldsOf(Of<Organism>) {
    return std::tuple{field("spot", &Organism::spot).refersTo<TankSpot>(),
                      field("name", &Organism::name).needed(),
                      field("goal", &Organism::goal),
                      field("seen_low_umol_m2_s", &Organism::seen_low).in("seen_low").atLeast(0),
                      field("seen_high_umol_m2_s", &Organism::seen_high).in("seen_high").atLeast(0),
                      field("state", &Organism::state),
                      field("since", &Organism::since),
                      field("note", &Organism::note)};
}

constexpr const char* tableOf(Of<Acclimation>) { return "acclimation"; }
constexpr auto fieldsOf(Of<Acclimation>) {
    return std::tuple{field("tank", &Acclimation::tank).refersTo<Tank>(false, true),
                      field("channel", &Acclimation::channel).refersTo<Channel>(false, true),
                      field("name", &Acclimation::name),
                      field("from_pct", &Acclimation::from_pct).moreThan(0).atMost(100),
                      field("to_pct", &Acclimation::to_pct).moreThan(0).atMost(100),
                      field("weeks", &Acclimation::weeks).moreThan(0).atMost(104),
                      field("by", &Acclimation::by).in("rises_by"),
                      field("cap_pct_week", &Acclimation::cap_pct_week).moreThan(0),
                      field("start", &Acclimation::start).in("starts"),
                      field("events", &Acclimation::events),
                      field("note", &Acclimation::note)};
}

constexpr const char* tableOf(Of<HungFixture>) { return "hung_fixture"; }
constexpr auto fieldsOf(Of<HungFixture>) {
    return std::tuple{field("fixture", &HungFixture::fixture).refersTo<Fixture>(true, true),
                      field("accessory", &HungFixture::accessory).refersTo<Accessory>(),
                      field("preset", &HungFixture::preset).refersTo<Preset>(),
                      field("read_by", &HungFixture::read_by),
                      field("x_mm", &HungFixture::x).atLeast(0),
                      field("y_mm", &HungFixture::y).atLeast(0),
                      field("turn_deg", &HungFixture::turn_deg).atLeast(0).atMost(360),
                      field("height_mm", &HungFixture::height).moreThan(0),
                      field("level_pct", &HungFixture::level_pct).moreThan(0).atMost(100)};
}

constexpr const char* tableOf(Of<PlannedArray>) { return "planned_array"; }
constexpr auto fieldsOf(Of<PlannedArray>) {
    return std::tuple{field("tank", &PlannedArray::tank).refersTo<Tank>(true, true),
                      field("name", &PlannedArray::name).needed(), field("note", &PlannedArray::note),
                      children("fixtures", "planned_array", &PlannedArray::fixtures, 14)};
}

/// The bench's lists; what belongs to another entity hangs below it.
constexpr auto fieldsOf(Of<Bench>) {
    return std::tuple{children("tanks", "", &Bench::tanks),
                      children("fixtures", "", &Bench::fixtures),
                      children("accessories", "", &Bench::accessories),
                      children("meters", "", &Bench::meters),
                      children("runs", "", &Bench::runs),
                      children("checks", "", &Bench::checks, 3, false),
                      children("spectra", "", &Bench::spectra, 9),
                      children("schedules", "", &Bench::schedules, 9),
                      children("logs", "", &Bench::logs, 9),
                      children("ratings", "", &Bench::ratings, 10),
                      children("spots", "", &Bench::spots, 12),
                      children("rocks", "", &Bench::rocks, 13),
                      children("organisms", "", &Bench::organisms, 12),
                      children("ramps", "", &Bench::ramps, 12),
                      children("plans", "", &Bench::plans, 14)};
}

}  // namespace glumet
