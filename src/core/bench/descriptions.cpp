#include "core/bench/descriptions.h"

#include "core/bench/describing.h"

/// The order of fields is that of forms and of new tables; `from` names the format that brought a field, and
/// files of earlier formats have its default.
namespace glumet {

// Values that stand inside a row, as JSON.

std::vector<PartType> fieldsOf(Of<Spectrum>) {
    return {field("wavelength_nm", &Spectrum::wavelength_nm).atLeast(kShortestNm).atMost(kLongestNm),
            field("photons", &Spectrum::values).atLeast(0)};
}

std::vector<PartType> fieldsOf(Of<SpectralBand>) {
    return {field("name", &SpectralBand::name),
            field("from_nm", &SpectralBand::from_nm).atLeast(kShortestNm).atMost(kLongestNm),
            field("to_nm", &SpectralBand::to_nm).atLeast(kShortestNm).atMost(kLongestNm)};
}

std::vector<PartType> fieldsOf(Of<CriterionWeight>) {
    return {field("criterion", &CriterionWeight::criterion),
            field("weight", &CriterionWeight::weight).atLeast(0).atMost(kMostWeight)};
}

std::vector<PartType> fieldsOf(Of<ClockPoint>) {
    return {field("hour", &ClockPoint::hour).atLeast(0).atMost(24),
            field("level_pct", &ClockPoint::level_pct).atLeast(0).atMost(100)};
}

std::vector<PartType> fieldsOf(Of<LoggedPoint>) {
    return {field("hour", &LoggedPoint::hour).atLeast(0), field("ppfd", &LoggedPoint::ppfd).atLeast(0)};
}

std::vector<PartType> fieldsOf(Of<Wall>) {
    return {field("kind", &Wall::kind), field("reflectance", &Wall::reflectance).atLeast(0)};
}

std::vector<PartType> fieldsOf(Of<Obstacle>) {
    return {field("name", &Obstacle::name), field("from_x_mm", &Obstacle::from_x).atLeast(0),
            field("to_x_mm", &Obstacle::to_x).atLeast(0), field("from_y_mm", &Obstacle::from_y).atLeast(0),
            field("to_y_mm", &Obstacle::to_y).atLeast(0)};
}

std::vector<PartType> fieldsOf(Of<Spot>) {
    return {field("name", &Spot::name), field("x_mm", &Spot::x), field("y_mm", &Spot::y)};
}

std::vector<PartType> fieldsOf(Of<EmitterLattice>) {
    return {field("columns", &EmitterLattice::columns).atLeast(1).atMost(limits::kAlongLattice),
            field("rows", &EmitterLattice::rows).atLeast(1).atMost(limits::kAlongLattice),
            field("pitch_x_mm", &EmitterLattice::pitch_x).atLeast(0),
            field("pitch_y_mm", &EmitterLattice::pitch_y).atLeast(0),
            field("size_mm", &EmitterLattice::size).atLeast(0)};
}

std::vector<PartType> fieldsOf(Of<MeterCorrection>) {
    return {field("channel", &MeterCorrection::channel),
            field("factor", &MeterCorrection::factor).moreThan(0),
            field("uncertainty", &MeterCorrection::uncertainty).atLeast(0),
            field("source", &MeterCorrection::source),
            field("time", &MeterCorrection::time),
            field("applied", &MeterCorrection::applied)};
}

std::vector<PartType> fieldsOf(Of<Goal>) {
    return {field("name", &Goal::name),
            field("school", &Goal::school),
            field("band_low_umol_m2_s", &Goal::band, &Band::low).atLeast(0),
            field("band_high_umol_m2_s", &Goal::band, &Band::high).atLeast(0),
            field("photoperiod_h", &Goal::photoperiod_h).atLeast(0),
            field("zone_from_mm", &Goal::zone_from).atLeast(0),
            field("zone_to_mm", &Goal::zone_to).atLeast(0),
            field("ceiling_umol_m2_s", &Goal::ceiling),
            field("floor_umol_m2_s", &Goal::floor)};
}

std::vector<PartType> fieldsOf(Of<RampEvent>) {
    return {field("day", &RampEvent::day), field("kind", &RampEvent::kind), field("note", &RampEvent::note)};
}

// Rows of a table, parents before children.

namespace {

/// A wall's kind and reflectance as columns of a table; in JSON walls stand together.
PartType wallField(const char* key, Side side, std::size_t inner, const ValueType& type) {
    PartType part = field(key, &Tank::walls).keptIn(KeptIn::Table);
    part.offset += static_cast<std::size_t>(side) * sizeof(Wall) + inner;
    part.type = &type;
    return part;
}
PartType kindOfWall(const char* key, Side side) {
    return wallField(key, side, described::offsetOf(&Wall::kind), described::valueType<WallKind>());
}
PartType reflectanceOfWall(const char* key, Side side) {
    return wallField(key, side, described::offsetOf(&Wall::reflectance), described::valueType<double>());
}

std::string channelsAsText(const void* fixture) {
    return channelNames(*static_cast<const Fixture*>(fixture));
}
void setChannelsByText(void* fixture, const std::string& names) {
    setChannelNames(*static_cast<Fixture*>(fixture), names);
}

}  // namespace

std::vector<PartType> fieldsOf(Of<Tank>) {
    return {
        field("name", &Tank::name).needed().row(GLUMET_SAY("Described", "name")),
        field("length_mm", &Tank::length).moreThan(0).row(GLUMET_SAY("Described", "length")),
        field("width_mm", &Tank::width).moreThan(0).row(GLUMET_SAY("Described", "width")),
        field("water_depth_mm", &Tank::water_depth).moreThan(0).row(GLUMET_SAY("Described", "water depth")),
        field("walls", &Tank::walls).keptIn(KeptIn::Json),
        kindOfWall("left_wall", Side::Left),
        reflectanceOfWall("left_reflectance", Side::Left),
        kindOfWall("right_wall", Side::Right),
        reflectanceOfWall("right_reflectance", Side::Right),
        kindOfWall("front_wall", Side::Front),
        reflectanceOfWall("front_reflectance", Side::Front),
        kindOfWall("back_wall", Side::Back),
        reflectanceOfWall("back_reflectance", Side::Back),
        field("water_kind", &Tank::water_kind),
        field("use", &Tank::use).in("tank_use"),
        field("obstacles", &Tank::obstacles).from(3)};
}

std::vector<PartType> fieldsOf(Of<Channel>) {
    return {field("name", &Channel::name), field("flux_share", &Channel::flux_share).atLeast(0).atMost(1),
            field("power_share", &Channel::power_share).atLeast(0).atMost(1),
            field("emitters", &Channel::emitters), field("beam", &Channel::beam)};
}

std::vector<PartType> fieldsOf(Of<PresetLevel>) {
    return {field("channel", &PresetLevel::channel).refersTo<Channel>(true, true),
            field("level_pct", &PresetLevel::level_pct).atLeast(0).atMost(100)};
}

std::vector<PartType> fieldsOf(Of<Preset>) {
    return {field("name", &Preset::name), children("levels", "preset", &Preset::levels)};
}

std::vector<PartType> fieldsOf(Of<Fixture>) {
    return {field("name", &Fixture::name).row(GLUMET_SAY("Described", "name")),
            field("maker", &Fixture::maker).row(GLUMET_SAY("Described", "maker")).seldomWanted(),
            field("kind", &Fixture::kind)
                .row(GLUMET_SAY("Described", "kind"), GLUMET_SAY("Described", "cluster, bar, panel …"))
                .seldomWanted(),
            field("length_mm", &Fixture::length).orUnstated().row(GLUMET_SAY("Described", "length")),
            field("width_mm", &Fixture::width).orUnstated().row(GLUMET_SAY("Described", "width")),
            field("emitter_columns", &Fixture::emitters, &EmitterLattice::columns)
                .atLeast(1)
                .atMost(limits::kAlongLattice),
            field("emitter_rows", &Fixture::emitters, &EmitterLattice::rows)
                .atLeast(1)
                .atMost(limits::kAlongLattice),
            field("emitter_pitch_x_mm", &Fixture::emitters, &EmitterLattice::pitch_x).atLeast(0),
            field("emitter_pitch_y_mm", &Fixture::emitters, &EmitterLattice::pitch_y).atLeast(0),
            derived("channels", channelsAsText, setChannelsByText),
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
            field("emitter_size_mm", &Fixture::emitters, &EmitterLattice::size).atLeast(0).from(2),
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

std::vector<PartType> fieldsOf(Of<Accessory>) {
    return {field("name", &Accessory::name), field("note", &Accessory::note),
            field("price", &Accessory::price).orUnstated().from(10)};
}

std::vector<PartType> fieldsOf(Of<MeterProfile>) {
    return {field("name", &MeterProfile::name).needed().row(GLUMET_SAY("Described", "name")),
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

std::vector<PartType> fieldsOf(Of<Method>) {
    return {field("spill_limit", &Method::spill_limit).atLeast(0),
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

std::vector<PartType> fieldsOf(Of<Reading>) {
    return {field("x_mm", &Reading::x).atLeast(0),
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

std::vector<PartType> fieldsOf(Of<RingMean>) {
    return {field("nx", &RingMean::columns).atLeast(1).atMost(limits::kAlongRings),
            field("ny", &RingMean::rows).atLeast(1).atMost(limits::kAlongRings),
            field("ring", &RingMean::ring), field("ppfd", &RingMean::ppfd).atLeast(0),
            field("rel_sd", &RingMean::relative_sd).moreThan(0).atMost(1)};
}

std::vector<PartType> fieldsOf(Of<Plane>) {
    return {field("depth_mm", &Plane::depth).atLeast(0), field("grid", &Plane::grid),
            children("readings", "plane", &Plane::readings, 1, false, true),
            children("means", "plane", &Plane::means, 8)};
}

std::vector<PartType> fieldsOf(Of<Run>) {
    return {field("run", &Run::label).in("label"),
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

std::vector<PartType> fieldsOf(Of<CommissionCheck>) {
    return {field("run", &CommissionCheck::run).refersTo<Run>(true, true),
            field("kind", &CommissionCheck::kind),
            field("subject", &CommissionCheck::subject),
            field("value", &CommissionCheck::value),
            field("passed", &CommissionCheck::passed),
            field("verdict", &CommissionCheck::verdict),
            field("overruled", &CommissionCheck::overruled),
            field("time", &CommissionCheck::time)};
}

std::vector<PartType> fieldsOf(Of<SpectrumRecord>) {
    return {field("name", &SpectrumRecord::name),
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

std::vector<PartType> fieldsOf(Of<ScheduleRamp>) {
    return {field("channel", &ScheduleRamp::channel).refersTo<Channel>(false, true),
            field("points", &ScheduleRamp::points)};
}

std::vector<PartType> fieldsOf(Of<Schedule>) {
    return {field("name", &Schedule::name),
            field("fixture", &Schedule::fixture).refersTo<Fixture>(true, true),
            field("lights", &Schedule::lights).atLeast(1).atMost(limits::kFixtures),
            field("ahead_min", &Schedule::ahead_min).atLeast(-720).atMost(720),
            field("drift_s_day", &Schedule::drift_s_day).atLeast(-3600).atMost(3600),
            field("note", &Schedule::note),
            children("ramps", "schedule", &Schedule::ramps, 9)};
}

std::vector<PartType> fieldsOf(Of<DayLog>) {
    return {field("name", &DayLog::name),
            field("tank", &DayLog::tank).refersTo<Tank>(false, true),
            field("x_mm", &DayLog::x),
            field("y_mm", &DayLog::y),
            field("depth_mm", &DayLog::depth).atLeast(0),
            field("points", &DayLog::points),
            field("note", &DayLog::note),
            field("time", &DayLog::time)};
}

std::vector<PartType> fieldsOf(Of<Rating>) {
    return {field("fixture", &Rating::fixture).refersTo<Fixture>(true, true),
            field("accessory", &Rating::accessory).refersTo<Accessory>(false, true),
            field("criterion", &Rating::criterion),
            field("score", &Rating::score).atLeast(kLeastScore).atMost(kMostScore),
            field("reason", &Rating::reason),
            field("by", &Rating::by).in("by_whom"),
            field("photo", &Rating::photo),
            field("time", &Rating::time)};
}

std::vector<PartType> fieldsOf(Of<SpotReading>) {
    return {field("ppfd", &SpotReading::mean).atLeast(0),
            field("ppfd_min", &SpotReading::min).atLeast(0),
            field("ppfd_max", &SpotReading::max).atLeast(0),
            field("tilt_deg", &SpotReading::tilt_deg).atLeast(0).atMost(180),
            field("shaded", &SpotReading::shaded),
            field("time", &SpotReading::time).needed(),
            field("note", &SpotReading::note)};
}

std::vector<PartType> fieldsOf(Of<TankSpot>) {
    return {field("tank", &TankSpot::tank).refersTo<Tank>(true, true),
            field("name", &TankSpot::name).needed(),
            field("x_mm", &TankSpot::x).atLeast(0),
            field("y_mm", &TankSpot::y).atLeast(0),
            field("depth_mm", &TankSpot::depth).atLeast(0),
            field("flow", &TankSpot::flow),
            field("note", &TankSpot::note),
            field("photo", &TankSpot::photo),
            children("readings", "spot", &TankSpot::readings, 12)};
}

std::vector<PartType> fieldsOf(Of<Rock>) {
    return {field("tank", &Rock::tank).refersTo<Tank>(true, true),
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

std::vector<PartType> fieldsOf(Of<Organism>) {
    return {field("spot", &Organism::spot).refersTo<TankSpot>(),
            field("name", &Organism::name).needed(),
            field("goal", &Organism::goal),
            field("seen_low_umol_m2_s", &Organism::seen_low).in("seen_low").atLeast(0),
            field("seen_high_umol_m2_s", &Organism::seen_high).in("seen_high").atLeast(0),
            field("state", &Organism::state),
            field("since", &Organism::since),
            field("note", &Organism::note)};
}

std::vector<PartType> fieldsOf(Of<Acclimation>) {
    return {field("tank", &Acclimation::tank).refersTo<Tank>(false, true),
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

std::vector<PartType> fieldsOf(Of<HungFixture>) {
    return {field("fixture", &HungFixture::fixture).refersTo<Fixture>(true, true),
            field("accessory", &HungFixture::accessory).refersTo<Accessory>(),
            field("preset", &HungFixture::preset).refersTo<Preset>(),
            field("read_by", &HungFixture::read_by),
            field("x_mm", &HungFixture::x).atLeast(0),
            field("y_mm", &HungFixture::y).atLeast(0),
            field("turn_deg", &HungFixture::turn_deg).atLeast(0).atMost(360),
            field("height_mm", &HungFixture::height).moreThan(0),
            field("level_pct", &HungFixture::level_pct).moreThan(0).atMost(100)};
}

std::vector<PartType> fieldsOf(Of<PlannedArray>) {
    return {field("tank", &PlannedArray::tank).refersTo<Tank>(true, true),
            field("name", &PlannedArray::name).needed(), field("note", &PlannedArray::note),
            children("fixtures", "planned_array", &PlannedArray::fixtures, 14)};
}

/// The bench's lists; what belongs to another entity hangs below it.
std::vector<PartType> fieldsOf(Of<Bench>) {
    return {children("tanks", "", &Bench::tanks),
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

GLUMET_BENCH_ENTITIES(GLUMET_DESCRIBED)

}  // namespace glumet
