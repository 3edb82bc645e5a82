#include "core/compare/criteria.h"

#include <algorithm>
#include <array>
#include <cmath>

#include "core/base/interval.h"
#include "core/compare/conditions.h"
#include "core/compare/room_light.h"
#include "core/fit/bench_scene.h"
#include "core/fit/described_model.h"
#include "core/fit/shadow_finding.h"
#include "core/light/shadow.h"
#include "core/plane/plane_statistics.h"
#include "core/spectrum/colour.h"
#include "core/verdicts/array.h"
#include "core/verdicts/blending_tests.h"
#include "core/verdicts/channel_mix.h"
#include "core/verdicts/goal_level.h"

namespace glumet {
namespace {

constexpr double kDecibelError = 1.0;    // of a hand-held sound level meter
constexpr double kLevelError = 0.05;     // of what a fit gives: as the meter the flux rests on
constexpr double kDescribedError = 0.2;  // … and of what a description alone gives
constexpr double kReadWatts = 0.02;
constexpr double kRatedWatts = 0.1;
constexpr int kMostFixtures = 6;
constexpr double kSquareMm = 1e-6;

CriterionInfo info(const char* name, const char* unit, const char* better, bool more, double least) {
    CriterionInfo out;
    out.name = say(name);
    if (*unit != '\0') out.unit = say(unit);
    out.better = say(better);
    out.more_is_better = more;
    out.least = least;
    return out;
}

std::array<CriterionInfo, WordsOf<Criterion>::value.size()> madeInfos() {
    std::array out{
        info(GLUMET_SAY("Core", "evenness, least / mean"), "", GLUMET_SAY("Core", "spreads better"), true,
             0.01),
        info(GLUMET_SAY("Core", "delivered light"), GLUMET_SAY("Core", "µmol/s"),
             GLUMET_SAY("Core", "gives more light"), true, 0.1),
        info(GLUMET_SAY("Core", "delivered per watt"), GLUMET_SAY("Core", "µmol/J"),
             GLUMET_SAY("Core", "gives more for its watts"), true, 0.01),
        info(GLUMET_SAY("Core", "share in the band"), "", GLUMET_SAY("Core", "fills the band better"), true,
             0.01),
        info(GLUMET_SAY("Core", "peak / mean"), "", GLUMET_SAY("Core", "has the milder peak"), false, 1.0),
        info(GLUMET_SAY("Core", "light under a colony"), "", GLUMET_SAY("Core", "is harder to shadow"), true,
             0.01),
        info(GLUMET_SAY("Core", "shimmer"), "", GLUMET_SAY("Core", "ripples less"), false, 0.02),
        info(GLUMET_SAY("Core", "blending, Δu′v′"), "", GLUMET_SAY("Core", "blends better"), false, 0.002),
        info(GLUMET_SAY("Core", "colour rendering, Ra"), "", GLUMET_SAY("Core", "renders colours better"),
             true, 1.0),
        info(GLUMET_SAY("Core", "light past the tank"), "", GLUMET_SAY("Core", "keeps its light in the tank"),
             false, 0.005),
        info(GLUMET_SAY("Core", "light at the eye"), GLUMET_SAY("Core", "µmol/m²/s"),
             GLUMET_SAY("Core", "dazzles less"), false, 0.01),
        info(GLUMET_SAY("Core", "price a µmol/s"), "", GLUMET_SAY("Core", "gives more for its price"), false,
             1e-3),
        info(GLUMET_SAY("Core", "price for the goal"), "", GLUMET_SAY("Core", "reaches the goal for less"),
             false, 1e-3),
        info(GLUMET_SAY("Core", "energy a year"), GLUMET_SAY("Core", "kWh"), GLUMET_SAY("Core", "draws less"),
             false, 0.1),
        info(GLUMET_SAY("Core", "cost over the years"), "", GLUMET_SAY("Core", "costs less over the years"),
             false, 1e-3),
        info(GLUMET_SAY("Core", "noise"), GLUMET_SAY("Core", "dB(A)"), GLUMET_SAY("Core", "is quieter"),
             false, 0.0),
        info(GLUMET_SAY("Core", "mass"), GLUMET_SAY("Core", "kg"), GLUMET_SAY("Core", "is lighter"), false,
             0.01)};
    out[static_cast<std::size_t>(Criterion::Noise)].decibel = true;
    for (const auto share :
         {Criterion::Evenness, Criterion::ShareInBand, Criterion::Shadow, Criterion::RoomSpill})
        out[static_cast<std::size_t>(share)].by_share = true;
    return out;
}

/// The contender's light as a scene: fitted, else as described; whether it is described is told.
struct Lit {
    Expected<LightScene> scene;
    bool described = false;
};
Lit litScene(const Bench& bench, const Contender& contender, const FitResult* fit, const Tank& tank) {
    if (fit == nullptr) {
        auto run = bench.run(contender.run);
        run.height = contender.height;
        run.level_pct = 100.0;
        run.tank = tank.id;
        return {describedScene(bench, run), true};
    }
    const bool at_home = std::find(fit->tanks.begin(), fit->tanks.end(), tank.id) != fit->tanks.end();
    auto scene = tankByFit(*fit, tank, contender.configuration.water == WaterState::Dry);
    auto settings = contender.configuration;
    settings.placement = {};
    hangRun(scene, settings, contender.height, contender.level > 0.0 ? 1.0 / contender.level : 1.0, {});
    return {sceneWith(at_home ? fit->model : fit->model.elsewhere(), std::move(scene)), false};
}

double errorOf(bool described) { return described ? kDescribedError : kLevelError; }

class Judge {
  public:
    Judge(const Bench& bench, Contender contender, const FitResult* fit, const JudgeQuestion& question)
        : bench_(bench), fit_(fit), question_(question) {
        out_.contender = std::move(contender);
        tank_ = byId(bench.tanks, question.tank != 0 ? question.tank : configuration().tank);
        fixture_ = byId(bench.fixtures, configuration().fixture);
    }

    Judged made() {
        addPlanes();
        addDescribed();
        addReadAtEye();
        if (wants(Criterion::Blending)) addBlending();
        if (wants(Criterion::Colour)) addColour();
        if (wants(Criterion::Shadow) || wants(Criterion::Shimmer) || wants(Criterion::RoomSpill) ||
            wants(Criterion::EyeLight))
            addLight();
        if (wants(Criterion::PriceForGoal)) addCount();
        addCost();
        for (const auto criterion : allCriteria())
            if (!question_.wanted.contains(criterion)) out_.missing.try_emplace(criterion, notAsked());
        return std::move(out_);
    }

  private:
    static Words notAsked() {
        return say(GLUMET_SAY("Core", "it takes a fit, and is worked out where it counts"));
    }
    const Configuration& configuration() const { return out_.contender.configuration; }
    bool wants(Criterion criterion) const {
        return question_.wanted.contains(criterion) && !question_.stop.stop_requested();
    }
    void lacks(Criterion criterion, Words why) { out_.missing[criterion] = std::move(why); }

    void addPlanes() {
        if (tank_ != nullptr) out_.area_m2 = tank_->length.value() * tank_->width.value() * kSquareMm;
        std::vector<double> values;
        for (const auto& plane : out_.contender.planes)
            for (const auto& point : plane.points) values.push_back(point.ppfd);
        if (!values.empty()) {
            const auto best = bestLevel(values, question_.band.value_or(bench_.method.goal.band));
            out_.level = best.level_pct / 100.0;
            out_.share = best.share;
        }
        out_.price = priceOfOne(bench_, configuration().fixture, configuration().accessory);
        if (!out_.price) lacks(Criterion::PricePerOutput, say(GLUMET_SAY("Core", "its price is not stated")));
        if (!out_.contender.power)
            lacks(Criterion::Efficacy,
                  say(GLUMET_SAY("Core", "nobody read its watts, and they are not stated")));
    }

    void addDescribed() {
        if (fixture_ != nullptr && fixture_->noise_dba)
            out_.known[Criterion::Noise] = {*fixture_->noise_dba, kDecibelError};
        else
            lacks(Criterion::Noise, say(GLUMET_SAY("Core", "nobody measured it")));
        if (fixture_ != nullptr && fixture_->mass_kg > 0.0)
            out_.known[Criterion::Mass] = {fixture_->mass_kg, 0.0};
        else
            lacks(Criterion::Mass, say(GLUMET_SAY("Core", "it is not stated")));
    }

    /// Read beside the tank, at the contender's height: the room's other light is in it.
    void addReadAtEye() {
        const auto& run = bench_.run(out_.contender.run);
        if (run.eye_reading && out_.contender.basis == LightBasis::Read && out_.contender.level > 0.0)
            out_.known[Criterion::EyeLight] = {run.eye_reading->value() / out_.contender.level, kLevelError};
    }

    void addBlending() {
        for (const auto& test : blendingTests(bench_, configuration().fixture)) {
            if (test.over_time || test.result.colour_from_centre.empty()) continue;
            const auto& figure = test.result.figure;
            if (figure.value <= 0.0) continue;
            out_.known[Criterion::Blending] = {
                figure.value, (figure.high - figure.low) / (2.0 * kInterval95 * figure.value)};
            return;
        }
        lacks(Criterion::Blending, say(GLUMET_SAY("Core", "no blending test was read")));
    }

    void addColour() {
        const auto& run = bench_.run(out_.contender.run);
        if (run.planes.empty()) return lacks(Criterion::Colour, say(GLUMET_SAY("Core", "it has no plane")));
        const auto mix = mixOf(bench_, run, run.planes.front());
        if (!mix) return lacks(Criterion::Colour, mix.error().what);
        const auto state = mix->mix.at(mix->set_to);
        if (!state.light)
            return lacks(Criterion::Colour, say(GLUMET_SAY("Core", "its spectrum is not known")));
        const auto rendering = renderingOf(mix->mix.spectrumAt(mix->set_to));
        if (!rendering)
            return lacks(Criterion::Colour, say(GLUMET_SAY("Core", "it is no white, so there is no index")));
        out_.known[Criterion::Colour] = {rendering->general, 0.0, state.assumed};
    }

    void addLight() {
        const auto lack = [&](const Words& why) {
            for (const auto criterion :
                 {Criterion::Shadow, Criterion::Shimmer, Criterion::RoomSpill, Criterion::EyeLight})
                lacks(criterion, why);
        };
        if (tank_ == nullptr) return lack(say(GLUMET_SAY("Core", "its tank is not described")));
        const auto lit = litScene(bench_, out_.contender, fit_, *tank_);
        if (!lit.scene) return lack(lit.scene.error().what);
        if (wants(Criterion::RoomSpill) || wants(Criterion::EyeLight)) {
            const auto room = roomLight(*lit.scene, {bench_.method.eye_away, bench_.method.eye_above});
            if (!room) return lack(room.error().what);
            out_.known[Criterion::RoomSpill] = {room->spill_share, errorOf(lit.described), lit.described};
            // What was read there is not modelled again.
            out_.known.try_emplace(Criterion::EyeLight,
                                   KnownFigure{room->at_eye, errorOf(lit.described), lit.described});
        }
        if (wants(Criterion::Shadow) || wants(Criterion::Shimmer)) addShadow(*lit.scene, lit.described);
    }

    void addShadow(const LightScene& scene, bool described) {
        std::size_t emitters = 0;
        for (const auto& fixture : scene.fixtures) emitters += fixture.emitters.size();
        if (emitters > kMostForShadow)
            lacks(Criterion::Shadow, say(GLUMET_SAY("Core", "it has too many emitters to be weighed")));
        else
            out_.known[Criterion::Shadow] = {
                shadowFigure(scene, Millimetre(0.5 * scene.water_depth_mm), middle(scene)),
                errorOf(described), described};
        if (emitters > kMostForShimmer)
            return lacks(Criterion::Shimmer,
                         say(GLUMET_SAY("Core", "it has too many emitters to be weighed")));
        const ExactField field(scene);
        double sum = 0.0;
        const auto points = middle(scene);
        for (const auto& at : points)
            sum += shimmerAt(field, Millimetre(at[0]), Millimetre(at[1]),
                             Millimetre(0.5 * scene.water_depth_mm)) /
                   static_cast<double>(points.size());
        out_.known[Criterion::Shimmer] = {sum, errorOf(described), described};
    }

    /// The middle ring's cells of a 6 × 6 grid.
    static std::vector<std::array<double, 2>> middle(const LightScene& scene) {
        constexpr int kAlong = 6;
        std::vector<std::array<double, 2>> points;
        for (int row = 0; row < kAlong; ++row)
            for (int column = 0; column < kAlong; ++column)
                points.push_back(
                    {(column + 0.5) * scene.length_mm / kAlong, (row + 0.5) * scene.width_mm / kAlong});
        return middleRing(points, kAlong, kAlong);
    }

    void addCount() {
        if (fit_ == nullptr || tank_ == nullptr)
            return lacks(Criterion::PriceForGoal, say(GLUMET_SAY("Core", "no fit speaks for several of it")));
        ArrayQuestion asked;
        asked.tank = tankByFit(*fit_, *tank_, configuration().water == WaterState::Dry);
        asked.height = out_.contender.height;
        asked.goal = bench_.method.goal;
        asked.draws = 0;
        asked.stop = question_.stop;
        asked.limits.obstacles = tank_->obstacles;
        const auto rows = counts(fit_->model.elsewhere(), asked, question_.goal_share, kMostFixtures);
        if (!rows) return lacks(Criterion::PriceForGoal, rows.error().what);
        if (rows->empty() || rows->back().share < question_.goal_share || !rows->back().keeps)
            return lacks(Criterion::PriceForGoal,
                         say(GLUMET_SAY("Core", "{} of it do not put {} of the points into the band"),
                             Count{kMostFixtures}, Share{question_.goal_share}));
        out_.counted = rows->back().count;
        if (out_.price)
            out_.known[Criterion::PriceForGoal] = {*out_.price * *out_.counted, 0.0};
        else
            lacks(Criterion::PriceForGoal, say(GLUMET_SAY("Core", "its price is not stated")));
    }

    void addCost() {
        CostQuestion asked;
        asked.count = out_.counted.value_or(1);
        asked.power = out_.contender.power;
        asked.level = out_.level;
        asked.hours_day = bench_.method.goal.photoperiod_h;
        asked.price_kwh = bench_.method.price_kwh;
        asked.years = bench_.method.years;
        double mean = 0.0;
        for (const auto& plane : out_.contender.planes)
            mean += plane.mean() / static_cast<double>(out_.contender.planes.size());
        if (out_.contender.speaks() && out_.area_m2 > 0.0)
            asked.delivered = PhotonFlux(mean * out_.area_m2 * asked.count);
        out_.cost = costOf(bench_, configuration().fixture, configuration().accessory, asked);
        const bool rated = out_.contender.power_is_rated;
        const double watts = rated ? kRatedWatts : kReadWatts;
        const auto listed = [&] { return say("{}", Listed{out_.cost.missing}); };
        if (out_.cost.kwh_year && out_.contender.speaks())
            out_.known[Criterion::EnergyYear] = {*out_.cost.kwh_year, watts, rated};
        else
            lacks(Criterion::EnergyYear, out_.contender.speaks() ? Words(listed()) : out_.contender.missing);
        if (out_.cost.total && out_.contender.speaks())
            out_.known[Criterion::LifeCost] = {
                *out_.cost.total, watts * *out_.cost.energy_year * asked.years / *out_.cost.total, rated};
        else
            lacks(Criterion::LifeCost, out_.contender.speaks()
                                           ? Words(say(GLUMET_SAY("Core", "{} is missing"), Words(listed())))
                                           : out_.contender.missing);
    }

    const Bench& bench_;
    const FitResult* fit_;
    const JudgeQuestion& question_;
    const Tank* tank_ = nullptr;
    const Fixture* fixture_ = nullptr;
    Judged out_;
};

/// Prices in another currency than most are no prices to compare.
void dropOtherCurrency(Judged& judged, const std::string& own, const std::string& common) {
    const Words why = say(GLUMET_SAY("Core", "its price is in \"{}\", most others' in \"{}\""), own, common);
    judged.price.reset();
    for (const auto criterion : {Criterion::PricePerOutput, Criterion::PriceForGoal, Criterion::LifeCost}) {
        judged.known.erase(criterion);
        judged.missing[criterion] = why;
    }
}

}  // namespace

const CriterionInfo& infoOf(Criterion criterion) {
    static const auto kInfos = madeInfos();
    return kInfos[static_cast<std::size_t>(criterion)];
}

double goodness(Criterion criterion, double value) {
    const auto& info = infoOf(criterion);
    const double log =
        info.decibel ? value * std::log(2.0) / 10.0 : std::log(std::max(value, std::max(info.least, 1e-9)));
    return info.more_is_better ? log : -log;
}

const std::vector<Criterion>& allCriteria() {
    static const auto kAll = [] {
        std::vector<Criterion> all;
        for (const auto& [criterion, word] : WordsOf<Criterion>::value) all.push_back(criterion);
        return all;
    }();
    return kAll;
}

const std::vector<CriterionWeight>& readyWeights() {
    static const std::vector<CriterionWeight> kReady{{Criterion::Evenness, 3},
                                                     {Criterion::Efficacy, 3},
                                                     {Criterion::ShareInBand, 2},
                                                     {Criterion::PricePerOutput, 2},
                                                     {Criterion::PeakRatio, 1}};
    return kReady;
}

const std::vector<CriterionWeight>& weightsOf(const Bench& bench) {
    return bench.method.weights.empty() ? readyWeights() : bench.method.weights;
}

double weightOf(const std::vector<CriterionWeight>& weights, Criterion criterion) {
    for (const auto& weight : weights)
        if (weight.criterion == criterion) return weight.weight;
    return 0.0;
}

Judged judge(const Bench& bench, Contender contender, const FitResult* fit, const JudgeQuestion& question) {
    return Judge(bench, std::move(contender), fit, question).made();
}

std::vector<Judged> judgeAll(const Bench& bench, std::vector<Contender> contenders,
                             const std::vector<const FitResult*>& fits, const JudgeQuestion& question,
                             const std::function<void(double)>& progress) {
    std::vector<Id> fixtures;
    for (const auto& contender : contenders) fixtures.push_back(contender.configuration.fixture);
    const auto currencies = currenciesOf(bench, fixtures);
    auto unlike = unlikeTheRest(bench, contenders, bench.method.on_purpose);
    std::vector<Judged> out;
    for (std::size_t i = 0; i < contenders.size(); ++i) {
        out.push_back(judge(bench, std::move(contenders[i]), i < fits.size() ? fits[i] : nullptr, question));
        out.back().unlike = std::move(unlike[i]);
        if (currencies.other[i])
            dropOtherCurrency(out.back(), byId(bench.fixtures, fixtures[i])->currency, currencies.common);
        progress(static_cast<double>(i + 1) / static_cast<double>(contenders.size()));
    }
    return out;
}

}  // namespace glumet
