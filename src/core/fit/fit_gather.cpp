#include <fmt/format.h>
#include <fmt/ranges.h>

#include <algorithm>
#include <cmath>
#include <map>
#include <numbers>

#include "core/base/angle.h"
#include "core/bench/bench_rules.h"
#include "core/bench/grid.h"
#include "core/bench/sweep.h"
#include "core/fit/fitter.h"

namespace glumet {
namespace {

constexpr int kLeastReadings = 24;
constexpr int kLeastMeans = 9;
constexpr int kLeastLeaning = 4;
constexpr int kLeastRings = 3;
constexpr double kStartHalfAngle = 50.0;

/// Where the rounds begin, before anything is known of a beam.
Eigen::VectorXd plainBeam() {
    const auto plain = *Beam::halfAngle(kStartHalfAngle);
    Eigen::VectorXd beam(BeamBasis::kSize);
    for (Eigen::Index k = 0; k < beam.size(); ++k)
        beam(k) = plain.intensity(
            std::cos(std::min(90.0, 90.0 * static_cast<double>(k) / BeamBasis::kIntervals) * kDegree));
    return beam;
}

}  // namespace

/// Of too many readings an even share: by the golden ratio, which falls in with no row of any grid.
bool Fitter::isTaken() {
    const double turn = static_cast<double>(found_++) * std::numbers::phi;
    return share_ >= 1.0 || turn - std::floor(turn) < share_;
}

void Fitter::setBudget() {
    std::size_t readings = 0;
    for (const auto id : run_ids_)
        for (const auto& plane : bench_.run(id).planes) readings += plane.readings.size();
    if (readings <= options_.most_readings) return;
    share_ = static_cast<double>(options_.most_readings) / static_cast<double>(readings);
    result_.cannot_tell.push_back(say(
        GLUMET_SAY("Core",
                   "Of {} readings about {} were used, spread evenly: all of them would take long and tell "
                   "little more."),
        countOf(readings), countOf(options_.most_readings)));
}

/// As it was found at the same height over the same tank: as a rule only the channels were switched between.
std::optional<Fitter::HeightPrior> Fitter::sameHanging(const Run& run) const {
    constexpr double kHungAgain = 1.0;  // mm
    if (!options_.leans_on) return std::nullopt;
    for (const auto& found : options_.leans_on->parameters) {
        if (found.what != FitQuantity::RunHeight) continue;
        const auto& other = bench_.run(found.run);
        if (other.tank == run.tank && other.height == run.height)
            return HeightPrior{found.value, std::hypot(found.error, kHungAgain)};
    }
    return std::nullopt;
}

/// Measured again before the first reading, a height is the mean of two, and the better known for it.
Fitter::HeightPrior Fitter::heightAgain(const Run& run) const {
    auto prior = sameHanging(run).value_or(HeightPrior{0.0, options_.run_height_mm});
    if (const auto off = offMeasuredAgain(bench_, run))
        prior = {*off, options_.run_height_mm / std::numbers::sqrt2};
    return prior;
}

std::optional<double> offMeasuredAgain(const Bench& bench, const Run& run) {
    std::optional<double> off;
    for (const auto& check : bench.checks)
        if (check.run == run.id && check.kind == CheckKind::Height)
            off = (check.value - run.height.value()) / 2.0;
    return off;
}

std::size_t Fitter::mixOf(const Run& run) const {
    const auto same = std::find_if(runs_.begin(), runs_.end(), [&](const RunScene& earlier) {
        const auto& other = bench_.run(earlier.id);
        return other.preset == run.preset && other.level_pct == run.level_pct;
    });
    return static_cast<std::size_t>(same - runs_.begin());
}

std::optional<Problem> Fitter::gather() {
    setBudget();
    std::set<long> rings;
    std::set<std::pair<long, long>> planes;
    for (const auto id : run_ids_) {
        const auto& run = bench_.run(id);
        const auto* tank = byId(bench_.tanks, run.tank);
        if (tank == nullptr) return Problem{run.label, say(GLUMET_SAY("Core", "its tank is not described"))};
        if (run.height.value() <= 0.0)
            return Problem{run.label, say(GLUMET_SAY("Core", "its mounting height is not above 0"))};
        LightScene scene = emptyScene(*tank, run.water == WaterState::Dry);
        hangRun(scene, run, run.height, run.level_pct.value_or(100.0) / 100.0, {});
        for (auto& hung : scene.fixtures) hung.shroud = shroud();
        runs_.push_back({id, scene, heightAgain(run), mixOf(run)});
        for (const auto& plane : run.planes) {
            addPlaneTo(runs_.size() - 1, plane, rings, planes);
            for (const auto& mean : plane.means) {
                if (!mean.ring.isMean()) continue;
                if (const auto wrong = faultOf(mean)) return Problem{run.label, wrong->what};
                addMean(runs_.size() - 1, plane, mean, rings, planes);
            }
        }
    }
    nuisances_.run_height.assign(runs_.size(), 0.0);
    nuisances_.run_level.assign(runs_.size(), 0.0);
    if (data_.empty()) return Problem{"", say(GLUMET_SAY("Core", "there is no reading to fit"))};
    return tooLittle(rings.size(), planes.size());
}

std::optional<Problem> Fitter::tooLittle(std::size_t rings, std::size_t planes) const {
    if (options_.leans_on && data_.size() < kLeastLeaning)
        return Problem{
            "", sayCounted(GLUMET_SAY_N("Core",
                                        "{} readings are too few even beside those of other channels: {} are "
                                        "needed"),
                           Count{static_cast<int>(data_.size())}, Count{kLeastLeaning})};
    if (options_.leans_on) return std::nullopt;
    if (data_.size() < kLeastReadings && result_.means < kLeastMeans)
        return Problem{
            "",
            sayCounted(
                GLUMET_SAY_N("Core", "{} readings are too few to tell a beam from its height: {} are needed"),
                Count{static_cast<int>(data_.size())}, Count{kLeastReadings})};
    if (rings < kLeastRings)
        return Problem{
            "", say(GLUMET_SAY(
                    "Core",
                    "all readings lie at the same distance from the fixture: they say nothing of its beam"))};
    if (planes < 2)
        return Problem{
            "",
            say(GLUMET_SAY("Core",
                           "one plane cannot tell the beam from the height: read a second depth or height"))};
    return std::nullopt;
}

/// A mean is one datum over its ring's cell centres.
void Fitter::addMean(std::size_t run_number, const Plane& plane, const RingMean& mean, std::set<long>& rings,
                     std::set<std::pair<long, long>>& planes) {
    if (!(mean.ppfd.value() > 0.0)) return;
    const auto& scene = runs_[run_number].scene;
    const auto& run = bench_.run(runs_[run_number].id);
    Datum datum{run_number,
                {},
                mean.ppfd.value(),
                std::max(options_.least_noise, mean.relative_sd),
                {run.id, plane.depth, Millimetre(scene.length_mm / 2), Millimetre(scene.width_mm / 2),
                 mean.ppfd.value(), 0, 0, false, mean.ring.number}};
    for (const auto& [x, y] : pointsOf(mean, Millimetre(scene.length_mm), Millimetre(scene.width_mm)))
        datum.points.push_back({x, y, plane.depth.value()});
    // Every ring is a distance of its own, the whole plane one more.
    rings.insert(-1 - mean.ring.number);
    planes.insert({std::lround(run.height.value()), std::lround(plane.depth.value())});
    data_.push_back(std::move(datum));
    ++result_.means;
}

void Fitter::addPlaneTo(std::size_t run_number, const Plane& plane, std::set<long>& rings,
                        std::set<std::pair<long, long>>& planes) {
    const auto& scene = runs_[run_number].scene;
    const auto& run = bench_.run(runs_[run_number].id);
    for (const auto& reading : plane.readings) {
        const bool inside = reading.x.value() <= scene.length_mm && reading.y.value() <= scene.width_mm;
        if (!reading.counts() || !inside || !(reading.mean.value() > 0.0) || !isTaken()) continue;
        const double noise =
            std::max(options_.least_noise, reading.relativeStandardError().value_or(options_.unknown_noise));
        data_.push_back({run_number,
                         {{reading.x.value(), reading.y.value(), plane.depth.value()}},
                         reading.mean.value(),
                         noise,
                         {runs_[run_number].id,
                          plane.depth,
                          reading.x,
                          reading.y,
                          reading.mean.value(),
                          0,
                          0,
                          false,
                          {}}});
        const double away =
            std::hypot(reading.x.value() - scene.length_mm / 2, reading.y.value() - scene.width_mm / 2);
        rings.insert(std::lround(away / 10.0));
        planes.insert({std::lround(run.height.value()), std::lround(plane.depth.value())});
    }
}

/// Found, else as described; one that a fit leans on has it as that has.
std::optional<SceneShroud> Fitter::shroud() const {
    if (options_.leans_on) return options_.leans_on->model.shroud;
    const auto* fixture = byId(bench_.fixtures, bench_.run(run_ids_.front()).fixture);
    return options_.shroud || fixture == nullptr ? options_.shroud : sceneShroud(*fixture);
}

void Fitter::layOutEmitters() {
    const auto* fixture = byId(bench_.fixtures, bench_.run(run_ids_.front()).fixture);
    emitters_ = options_.leans_on ? options_.leans_on->model.emitters : options_.emitters;
    if (emitters_.empty())
        for (const auto& e : latticeEmitters(fixture == nullptr ? Fixture{} : *fixture, PhotonFlux(1.0), 0))
            emitters_.push_back({e.dx_mm, e.dy_mm, e.flux_umol_s});
    if (fixture == nullptr) return;
    result_.model.fixture = fixture->name;
    result_.model.shroud = shroud();
    result_.model.body_length_mm = fixture->length.value();
    result_.model.body_width_mm = fixture->width.value();
    std::vector<std::string> names;
    for (std::size_t run = 0; run < runs_.size(); ++run)
        if (runs_[run].mix == run)
            names.push_back(configurationName(bench_, configurationOf(bench_.run(runs_[run].id))));
    result_.model.configuration = fmt::format("{}", fmt::join(names, "; "));
}

void Fitter::start() {
    described_reflectance_ = 0.05;
    for (const auto& run : runs_)
        for (const auto& wall : run.scene.walls)
            if (!wall.clear()) described_reflectance_ = wall.reflectance;
    for (const auto j : {kHeight, kX, kY, kAttenuation, kReflectance}) nuisances_.shared[j] = priorMean(j);
    if (options_.leans_on) {
        shape_ = options_.leans_on->model.shape;
        beam_ = pattern();
    } else {
        beam_ = plainBeam();
    }
    startLevels();
}

/// As bright as the readings of the first run's channels say; the others' runs by their ratio to those.
void Fitter::startLevels() {
    const Eigen::VectorXd unit = designAt(nuisances_.shared) * beam_;
    std::map<std::size_t, std::pair<double, double>> sums;  // of a mix: readings, model
    for (std::size_t i = 0; i < data_.size(); ++i) {
        auto& [read, modelled] = sums[runs_[data_[i].run].mix];
        read += data_[i].value;
        modelled += unit(static_cast<Eigen::Index>(i));
    }
    const auto ratio = [&](std::size_t mix) {
        return sums.at(mix).first / std::max(sums.at(mix).second, 1e-12);
    };
    const double first = ratio(sums.begin()->first);
    beam_ *= first;
    for (std::size_t run = 0; run < runs_.size(); ++run)
        if (ownLevel(run) && sums.count(runs_[run].mix) > 0)
            nuisances_.run_level[run] = std::log(ratio(runs_[run].mix) / first);
}

Eigen::VectorXd Fitter::values() const {
    Eigen::VectorXd y(static_cast<Eigen::Index>(data_.size()));
    for (std::size_t i = 0; i < data_.size(); ++i) y(static_cast<Eigen::Index>(i)) = data_[i].value;
    return y;
}

}  // namespace glumet
