#include "core/fit/fit.h"

#include <fmt/format.h>

#include <Eigen/Dense>
#include <algorithm>
#include <cmath>
#include <map>
#include <set>

#include "core/bench/grid.h"
#include "core/bench/placement.h"
#include "core/bench/sweep.h"
#include "core/fit/bench_scene.h"
#include "core/fit/least_squares.h"

namespace glumet {
namespace {

constexpr auto kBells = static_cast<Eigen::Index>(BeamBasis::kSize);
constexpr int kLeastReadings = 24;
constexpr int kLeastRings = 3;
constexpr double kBiweight = 6.0;                 // standard errors
constexpr double kKnownAttenuationError = 0.005;  // 1/m
constexpr double kDistrusted = 4.0;               // standard errors
constexpr double kConverged = 0.02;               // rms change of the modelled readings, standard errors
constexpr int kRoundsOfChoice = 4;                // after which the smoothness prior is left as it is
constexpr double kStartHalfAngle = 50.0;
constexpr double kTwin = 0.95;  // correlation beyond which two parameters cannot be told apart
/// Strengths of the smoothness prior that are tried: standard deviation of a second difference, as a share of
/// the beam's mean coefficient.
constexpr std::array kRoughness{0.02, 0.05, 0.1, 0.2, 0.4, 0.8};

/// One reading with where it was taken.
struct Datum {
    std::size_t run;  // index into Fitter::runs_
    BasisField::Point point;
    double value;
    double own_noise;
    FitResidual place;
};

/// Nuisances that all runs share, in their order in the design; each run's height and level follow.
enum Shared : Eigen::Index { kHeight, kX, kY, kAttenuation, kReflectance, kSharedCount };

struct Nuisances {
    std::array<double, kSharedCount> shared{};
    std::vector<double> run_height;
    std::vector<double> run_level;
};

class Fitter {
  public:
    Fitter(const Bench& bench, const std::vector<std::size_t>& runs, const FitOptions& options)
        : bench_(bench), run_indices_(runs), options_(options) {}

    Expected<FitResult> fit() {
        if (const auto wrong = gather()) return tl::make_unexpected(*wrong);
        layOutEmitters();
        start();
        linearise();
        for (int round = 0; round < options_.most_iterations; ++round) {
            if (options_.stop.stop_requested()) return problem("", "the fit was cancelled");
            if (round < kRoundsOfChoice) chooseRoughness();
            step();
            const Eigen::VectorXd before = model_;
            linearise();
            ++result_.iterations;
            const Eigen::VectorXd moved = (model_ - before).cwiseQuotient(noise_);
            if (moved.norm() < kConverged * std::sqrt(static_cast<double>(moved.size()))) break;
        }
        if (!beam_.allFinite()) return problem("", "the readings contradict each other: no beam gives them");
        finish();
        return result_;
    }

    /// One more reading, by the linearisation that is there: its own row, one solution, no other row anew.
    Expected<FitResult> add(std::size_t run_index, Millimetre depth, const Reading& reading) {
        const auto at = std::find_if(runs_.begin(), runs_.end(),
                                     [&](const RunScene& run) { return run.index == run_index; });
        if (at == runs_.end()) return problem("", "the reading belongs to a run that is not fitted");
        const auto before = data_.size();
        Plane plane;
        plane.depth = depth;
        plane.readings = {reading};
        std::set<long> rings;
        std::set<std::pair<long, long>> planes;
        addPlaneTo(static_cast<std::size_t>(at - runs_.begin()), plane, rings, planes);
        if (data_.size() == before) return problem("", "the reading does not count or lies outside the tank");
        addRow();
        weigh();
        step();
        model_ = design_ * beam_ + slopes_ * (nuisanceVector() - linearised_);
        const auto model = result_.model;
        result_ = {};
        result_.model = model;
        result_.model.covariance.clear();
        finish();
        return result_;
    }

  private:
    // What there is.

    std::optional<Problem> gather() {
        std::set<long> rings;
        std::set<std::pair<long, long>> planes;
        for (const auto index : run_indices_) {
            const auto& run = bench_.runs[index];
            const auto* tank = byId(bench_.tanks, run.tank);
            if (tank == nullptr) return Problem{run.label, "its tank is not described"};
            if (run.height.value() <= 0.0) return Problem{run.label, "its mounting height is not above 0"};
            LightScene scene = emptyScene(*tank, run.water == WaterState::Dry);
            hangAt(scene, hangingPlaces(run, scene.length_mm), run.height,
                   run.level_pct.value_or(100.0) / 100.0, {});
            runs_.push_back({index, scene});
            for (const auto& plane : run.planes) addPlaneTo(runs_.size() - 1, plane, rings, planes);
        }
        nuisances_.run_height.assign(runs_.size(), 0.0);
        nuisances_.run_level.assign(runs_.size(), 0.0);
        if (data_.empty()) return Problem{"", "there is no reading to fit"};
        if (data_.size() < kLeastReadings)
            return Problem{
                "", fmt::format("{} readings are too few to tell a beam from its height: {} are needed",
                                data_.size(), kLeastReadings)};
        if (rings.size() < kLeastRings)
            return Problem{
                "", "all readings lie at the same distance from the fixture: they say nothing of its beam"};
        if (planes.size() < 2)
            return Problem{"",
                           "one plane cannot tell the beam from the height: read a second depth or height"};
        return std::nullopt;
    }

    void addPlaneTo(std::size_t run_number, const Plane& plane, std::set<long>& rings,
                    std::set<std::pair<long, long>>& planes) {
        const auto& scene = runs_[run_number].scene;
        const auto& run = bench_.runs[runs_[run_number].index];
        for (const auto& reading : plane.readings) {
            const bool inside = reading.x.value() <= scene.length_mm && reading.y.value() <= scene.width_mm;
            if (!reading.counts() || !inside || !(reading.mean.value() > 0.0)) continue;
            const double noise = std::max(options_.least_noise,
                                          reading.relativeStandardError().value_or(options_.unknown_noise));
            data_.push_back({run_number,
                             {reading.x.value(), reading.y.value(), plane.depth.value()},
                             reading.mean.value(),
                             noise,
                             {runs_[run_number].index, plane.depth, reading.x, reading.y,
                              reading.mean.value(), 0, 0, false}});
            const double away =
                std::hypot(reading.x.value() - scene.length_mm / 2, reading.y.value() - scene.width_mm / 2);
            rings.insert(std::lround(away / 10.0));
            planes.insert({std::lround(run.height.value()), std::lround(plane.depth.value())});
        }
    }

    void layOutEmitters() {
        const auto* fixture = byId(bench_.fixtures, bench_.runs[run_indices_.front()].fixture);
        emitters_ = options_.emitters;
        if (emitters_.empty())
            for (const auto& e :
                 latticeEmitters(fixture == nullptr ? Fixture{} : *fixture, PhotonFlux(1.0), 0))
                emitters_.push_back({e.dx_mm, e.dy_mm, e.flux_umol_s});
        if (fixture == nullptr) return;
        result_.model.fixture = fixture->name;
        result_.model.body_length_mm = fixture->length.value();
        result_.model.body_width_mm = fixture->width.value();
        const auto configuration = configurationOf(bench_.runs[run_indices_.front()]);
        result_.model.configuration = configurationName(bench_, configuration);
    }

    // The model and its slopes.

    LightScene sceneOfRun(std::size_t run, const std::array<double, kSharedCount>& shared) const {
        auto scene = runs_[run].scene;
        for (auto& fixture : scene.fixtures) {
            fixture.height_mm =
                std::max(5.0, fixture.height_mm + shared[kHeight] + nuisances_.run_height[run]);
            fixture.x_mm += shared[kX];
            fixture.y_mm += shared[kY];
        }
        for (auto& wall : scene.walls)
            if (!wall.clear()) wall.reflectance = std::clamp(shared[kReflectance], 0.0, 1.0);
        return scene;
    }

    /// Rows of all data for some nuisances, each run's level applied.
    Eigen::MatrixXd designAt(const std::array<double, kSharedCount>& shared) const {
        Eigen::MatrixXd design(static_cast<Eigen::Index>(data_.size()), kBells);
        for (std::size_t run = 0; run < runs_.size(); ++run) {
            std::vector<BasisField::Point> points;
            std::vector<Eigen::Index> at;
            for (std::size_t i = 0; i < data_.size(); ++i) {
                if (data_[i].run != run) continue;
                points.push_back(data_[i].point);
                at.push_back(static_cast<Eigen::Index>(i));
            }
            if (points.empty()) continue;
            const auto rows =
                BasisField(sceneOfRun(run, shared), emitters_, std::max(0.0, shared[kAttenuation]))
                    .rows(points);
            const double level = std::exp(nuisances_.run_level[run]);
            for (std::size_t i = 0; i < at.size(); ++i)
                design.row(at[i]) =
                    level * Eigen::Map<const Eigen::RowVectorXd>(rows.data() + i * BeamBasis::kSize, kBells);
        }
        return design;
    }

    static constexpr std::array<double, kSharedCount> kSteps{1.0, 2.0, 2.0, 0.02, 0.02};

    /// Row and slopes of the datum that came last, where the others were linearised.
    void addRow() {
        const auto now = nuisances_;
        nuisances_ = at_linearisation_;
        const auto whole = std::move(data_);
        data_ = {whole.back()};
        const Eigen::MatrixXd row = designAt(nuisances_.shared);
        const double value = (row * beam_)(0);
        Eigen::RowVectorXd slope = Eigen::RowVectorXd::Zero(slopes_.cols());
        for (Eigen::Index j = 0; j < kSharedCount; ++j) {
            if (j == kReflectance && !paintedWalls()) continue;
            auto moved = nuisances_.shared;
            moved[static_cast<std::size_t>(j)] += kSteps[static_cast<std::size_t>(j)];
            slope(j) = ((designAt(moved) * beam_)(0) - value) / kSteps[static_cast<std::size_t>(j)];
        }
        const auto run = static_cast<Eigen::Index>(whole.back().run);
        slope(kSharedCount + 2 * run) = slope(kHeight);
        slope(kSharedCount + 2 * run + 1) = value;
        data_ = whole;
        nuisances_ = now;
        const auto n = design_.rows();
        design_.conservativeResize(n + 1, Eigen::NoChange);
        slopes_.conservativeResize(n + 1, Eigen::NoChange);
        design_.row(n) = row.row(0);
        slopes_.row(n) = slope;
        model_ = design_ * beam_ + slopes_ * (nuisanceVector() - linearised_);
    }

    void linearise() {
        at_linearisation_ = nuisances_;
        linearised_ = nuisanceVectorOf(kSharedCount + 2 * static_cast<Eigen::Index>(runs_.size()));
        design_ = designAt(nuisances_.shared);
        model_ = design_ * beam_;
        slopes_.resize(design_.rows(), kSharedCount + 2 * static_cast<Eigen::Index>(runs_.size()));
        slopes_.setZero();
        for (Eigen::Index j = 0; j < kSharedCount; ++j) {
            if (j == kReflectance && !paintedWalls()) continue;
            auto moved = nuisances_.shared;
            moved[static_cast<std::size_t>(j)] += kSteps[static_cast<std::size_t>(j)];
            slopes_.col(j) = (designAt(moved) * beam_ - model_) / kSteps[static_cast<std::size_t>(j)];
        }
        for (Eigen::Index i = 0; i < design_.rows(); ++i) {
            const auto run = static_cast<Eigen::Index>(data_[static_cast<std::size_t>(i)].run);
            slopes_(i, kSharedCount + 2 * run) = slopes_(i, kHeight);
            slopes_(i, kSharedCount + 2 * run + 1) = model_(i);
        }
        weigh();
    }

    bool paintedWalls() const {
        for (const auto& run : runs_)
            for (const auto& wall : run.scene.walls)
                if (!wall.clear()) return true;
        return false;
    }

    /// Noise of each reading by the present model: its own, and the probe's place where the field is steep.
    /// Then Tukey's biweight. The slopes by the fixture's place are those by the probe's, with the sign
    /// turned.
    void weigh() {
        const auto n = design_.rows();
        noise_.resize(n);
        weights_.resize(n);
        for (Eigen::Index i = 0; i < n; ++i) {
            const auto& datum = data_[static_cast<std::size_t>(i)];
            const double level = std::max(model_(i), 0.02 * datum.value);
            const double placing = options_.placing_mm * std::hypot(slopes_(i, kX), slopes_(i, kY));
            noise_(i) = std::hypot(datum.own_noise * level, placing);
        }
        Eigen::VectorXd z = (values() - model_).cwiseQuotient(noise_);
        // Before the beam is known everything looks bad: the scale is that of the middle of them.
        std::vector<double> size(static_cast<std::size_t>(n));
        for (Eigen::Index i = 0; i < n; ++i) size[static_cast<std::size_t>(i)] = std::abs(z(i));
        std::nth_element(size.begin(), size.begin() + n / 2, size.end());
        const double scale = std::max(1.0, 1.4826 * size[static_cast<std::size_t>(n / 2)]);
        for (Eigen::Index i = 0; i < n; ++i) {
            const double u = z(i) / (kBiweight * scale);
            weights_(i) = std::abs(u) >= 1.0 ? 1e-6 : std::pow(1.0 - u * u, 2);
        }
    }

    Eigen::VectorXd values() const {
        Eigen::VectorXd y(static_cast<Eigen::Index>(data_.size()));
        for (std::size_t i = 0; i < data_.size(); ++i) y(static_cast<Eigen::Index>(i)) = data_[i].value;
        return y;
    }

    // Priors.

    double priorError(Eigen::Index nuisance) const {
        switch (nuisance) {
            case kHeight:
                return options_.height_offset_mm;
            case kX:
            case kY:
                return options_.position_mm;
            case kAttenuation:
                return options_.known_attenuation_per_m ? kKnownAttenuationError : options_.attenuation_per_m;
            case kReflectance:
                return options_.reflectance;
            default:
                return (nuisance - kSharedCount) % 2 == 0 ? options_.run_height_mm : options_.run_level;
        }
    }

    double nuisance(Eigen::Index j) const {
        if (j < kSharedCount) return nuisances_.shared[static_cast<std::size_t>(j)];
        const auto run = static_cast<std::size_t>((j - kSharedCount) / 2);
        return (j - kSharedCount) % 2 == 0 ? nuisances_.run_height[run] : nuisances_.run_level[run];
    }

    /// Second differences of the coefficients; a last row keeps the beam's rim from floating.
    static const Eigen::MatrixXd& differences() {
        static const Eigen::MatrixXd d = [] {
            Eigen::MatrixXd m = Eigen::MatrixXd::Zero(kBells - 1, kBells);
            m(0, 0) = -2.0;  // even about the axis
            m(0, 1) = 2.0;
            for (Eigen::Index k = 1; k + 1 < kBells; ++k) {
                m(k, k - 1) = 1.0;
                m(k, k) = -2.0;
                m(k, k + 1) = 1.0;
            }
            return m;
        }();
        return d;
    }

    Eigen::MatrixXd smoothness(double roughness) const {
        const double scale = roughness * std::max(beam_.mean(), 1e-9);
        return differences().transpose() * differences() / (scale * scale) +
               Eigen::MatrixXd::Identity(kBells, kBells) * (1.0 / std::pow(20.0 * beam_.mean(), 2));
    }

    // One round.

    Eigen::MatrixXd whitened() const {
        Eigen::MatrixXd x(design_.rows(), kBells + slopes_.cols());
        x << design_, slopes_;
        const Eigen::VectorXd scale = weights_.cwiseSqrt().cwiseQuotient(noise_);
        return scale.asDiagonal() * x;
    }

    /// The strength under which the readings are most probable, beam and nuisances integrated out.
    void chooseRoughness() {
        const Eigen::MatrixXd x = whitened();
        const Eigen::VectorXd y = weights_.cwiseSqrt().cwiseQuotient(noise_).cwiseProduct(values());
        const Eigen::MatrixXd xx = x.transpose() * x;
        const Eigen::VectorXd xy = x.transpose() * (y + x.rightCols(slopes_.cols()) * linearised_);
        double best = -1e300;
        for (const double roughness : kRoughness) {
            Eigen::MatrixXd prior = Eigen::MatrixXd::Zero(xx.rows(), xx.cols());
            prior.topLeftCorner(kBells, kBells) = smoothness(roughness);
            for (Eigen::Index j = 0; j < slopes_.cols(); ++j)
                prior(kBells + j, kBells + j) = 1.0 / std::pow(priorError(j), 2);
            const Eigen::LLT<Eigen::MatrixXd> whole(xx + prior);
            const Eigen::LLT<Eigen::MatrixXd> before(prior);
            const double determinants = 2.0 * (before.matrixLLT().diagonal().array().log().sum() -
                                               whole.matrixLLT().diagonal().array().log().sum());
            const double evidence = 0.5 * (xy.dot(whole.solve(xy)) + determinants);
            if (evidence <= best) continue;
            best = evidence;
            roughness_ = roughness;
        }
    }

    Eigen::VectorXd nuisanceVector() const { return nuisanceVectorOf(slopes_.cols()); }
    Eigen::VectorXd nuisanceVectorOf(Eigen::Index size) const {
        Eigen::VectorXd q(size);
        for (Eigen::Index j = 0; j < q.size(); ++j) q(j) = nuisance(j);
        return q;
    }

    /// Normal equations in (beam, nuisances), the nuisances as they are, not their change.
    void normal(Eigen::MatrixXd& h, Eigen::VectorXd& g) const {
        const Eigen::MatrixXd x = whitened();
        const Eigen::VectorXd& q = linearised_;
        Eigen::VectorXd y = weights_.cwiseSqrt().cwiseQuotient(noise_).cwiseProduct(values());
        y += x.rightCols(q.size()) * q;
        h = x.transpose() * x;
        g = x.transpose() * y;
        h.topLeftCorner(kBells, kBells) += smoothness(roughness_);
        for (Eigen::Index j = 0; j < q.size(); ++j) {
            const double precision = 1.0 / std::pow(priorError(j), 2);
            h(kBells + j, kBells + j) += precision;
            if (j == kReflectance) g(kBells + j) += precision * described_reflectance_;
            if (j == kAttenuation)
                g(kBells + j) += precision * options_.known_attenuation_per_m.value_or(0.0);
        }
    }

    void step() {
        Eigen::MatrixXd h;
        Eigen::VectorXd g;
        normal(h, g);
        Eigen::VectorXd low = Eigen::VectorXd::Constant(g.size(), -1e300);
        low.head(kBells).setZero();
        low(kBells + kAttenuation) = 0.0;
        low(kBells + kReflectance) = 0.0;
        const Eigen::VectorXd x = boundedMinimum(h, g, low);
        beam_ = x.head(kBells);
        for (Eigen::Index j = 0; j < kSharedCount; ++j) {
            // A round never goes further than the prior would: the model is straight only near by.
            const double now = nuisances_.shared[static_cast<std::size_t>(j)];
            const double most = priorError(j);
            nuisances_.shared[static_cast<std::size_t>(j)] =
                std::clamp(x(kBells + j), now - most, now + most);
        }
        for (std::size_t run = 0; run < runs_.size(); ++run) {
            const auto at = kBells + kSharedCount + 2 * static_cast<Eigen::Index>(run);
            nuisances_.run_height[run] = std::clamp(x(at), -20.0, 20.0);
            nuisances_.run_level[run] = std::clamp(x(at + 1), -0.1, 0.1);
        }
    }

    void start() {
        described_reflectance_ = 0.05;
        for (const auto& run : runs_)
            for (const auto& wall : run.scene.walls)
                if (!wall.clear()) described_reflectance_ = wall.reflectance;
        nuisances_.shared[kReflectance] = described_reflectance_;
        nuisances_.shared[kAttenuation] = options_.known_attenuation_per_m.value_or(0.0);
        const auto plain = *Beam::halfAngle(kStartHalfAngle);
        beam_.resize(kBells);
        for (Eigen::Index k = 0; k < kBells; ++k)
            beam_(k) = plain.intensity(
                std::cos(std::min(90.0, 90.0 * static_cast<double>(k) / BeamBasis::kIntervals) *
                         std::numbers::pi / 180.0));
        const Eigen::VectorXd unit = designAt(nuisances_.shared) * beam_;
        const double ratio = values().sum() / std::max(unit.sum(), 1e-12);
        beam_ *= ratio;
    }

    // What came out.

    void finish() {
        const auto n = static_cast<double>(data_.size());
        const Eigen::VectorXd z = (values() - model_).cwiseQuotient(noise_);
        double chi = 0.0;
        double relative = 0.0;
        double counted = 0.0;
        for (Eigen::Index i = 0; i < z.size(); ++i) {
            auto place = data_[static_cast<std::size_t>(i)].place;
            place.model = model_(i);
            place.standard_errors = z(i);
            place.distrusted = std::abs(z(i)) > kDistrusted;
            result_.misfit += std::min(z(i) * z(i), kBiweight * kBiweight);
            if (!place.distrusted) {
                chi += z(i) * z(i);
                relative += std::pow(place.reading / place.model - 1.0, 2);
                ++counted;
            }
            result_.residuals.push_back(place);
        }
        const double freedom = std::max(1.0, counted - 12.0);
        result_.reduced_chi_square = chi / freedom;
        result_.reflectance = nuisances_.shared[kReflectance];
        result_.attenuation_per_m = nuisances_.shared[kAttenuation];
        result_.away_x_mm = nuisances_.shared[kX];
        result_.away_y_mm = nuisances_.shared[kY];
        for (const auto& run : runs_) result_.tanks.push_back(bench_.runs[run.index].tank);
        for (std::size_t run = 0; run < runs_.size(); ++run)
            result_.slips.push_back(
                {runs_[run].index, nuisances_.run_height[run], std::exp(nuisances_.run_level[run])});
        auto& model = result_.model;
        model.emitters = emitters_;
        model.height_offset_mm = nuisances_.shared[kHeight];
        model.readings = static_cast<int>(n);
        model.relative_residual = std::sqrt(relative / std::max(1.0, counted));
        for (Eigen::Index k = 0; k < kBells; ++k)
            model.beam[static_cast<std::size_t>(k)] = std::max(0.0, beam_(k));
        posterior();
    }

    void posterior() {
        Eigen::MatrixXd h;
        Eigen::VectorXd g;
        // What the readings say is worth as much as their scatter shows; the priors are worth what they were.
        noise_ *= std::sqrt(std::max(0.5, result_.reduced_chi_square));
        normal(h, g);
        // A coefficient at its bound is known to be there.
        for (Eigen::Index k = 0; k < kBells; ++k)
            if (beam_(k) <= 1e-9 * beam_.maxCoeff()) h(k, k) *= 1e3;
        const Eigen::MatrixXd covariance = h.llt().solve(Eigen::MatrixXd::Identity(h.rows(), h.cols()));
        std::vector<Eigen::Index> keep;
        for (Eigen::Index k = 0; k < kBells; ++k) keep.push_back(k);
        keep.push_back(kBells + kHeight);
        for (const auto i : keep)
            for (const auto j : keep) result_.model.covariance.push_back(covariance(i, j));
        parameters(covariance);
        tellApart(covariance);
    }

    void parameters(const Eigen::MatrixXd& covariance) {
        const auto add = [&](const char* name, const char* unit, Eigen::Index j, double scale) {
            result_.parameters.push_back({name, unit, nuisance(j) * scale,
                                          std::sqrt(covariance(kBells + j, kBells + j)) * scale,
                                          priorError(j) * scale});
        };
        result_.parameters.push_back(
            {"flux", "µmol/s", result_.model.flux(), result_.model.fluxError(), 1e9});
        add("height offset", "mm", kHeight, 1.0);
        add("place along", "mm", kX, 1.0);
        add("place across", "mm", kY, 1.0);
        add("attenuation", "1/m", kAttenuation, 1.0);
        if (paintedWalls()) add("painted walls' reflectance", "", kReflectance, 1.0);
        for (std::size_t run = 0; run < runs_.size(); ++run) {
            const auto at = kSharedCount + 2 * static_cast<Eigen::Index>(run);
            const auto& label = bench_.runs[runs_[run].index].label;
            add(("height of " + label).c_str(), "mm", at, 1.0);
            add(("level of " + label).c_str(), "%", at + 1, 100.0);
        }
    }

    void tellApart(const Eigen::MatrixXd& covariance) {
        for (const auto& p : result_.parameters)
            if ((p.name == "height offset" || p.name == "attenuation" ||
                 p.name == "painted walls' reflectance") &&
                p.untold())
                result_.cannot_tell.push_back(fmt::format(
                    "The readings do not tell the {}: it stays what was believed before, ± {:.3g} {}.",
                    p.name, p.error, p.unit));
        // Flux against height offset: a brighter lamp higher up.
        Eigen::VectorXd by_flux = Eigen::VectorXd::Zero(covariance.rows());
        for (Eigen::Index k = 0; k < kBells; ++k)
            by_flux(k) = BeamBasis::fluxes()[static_cast<std::size_t>(k)];
        const double both = by_flux.dot(covariance.col(kBells + kHeight));
        const double correlation = both / std::sqrt(by_flux.dot(covariance * by_flux) *
                                                    covariance(kBells + kHeight, kBells + kHeight));
        if (std::abs(correlation) > kTwin)
            result_.cannot_tell.push_back(
                "A brighter fixture higher up would give the same readings: level and height cannot be told "
                "apart.");
    }

    struct RunScene {
        std::size_t index;  // into Bench::runs
        LightScene scene;
    };

    const Bench bench_;
    const std::vector<std::size_t> run_indices_;
    const FitOptions options_;
    std::vector<RunScene> runs_;
    std::vector<Datum> data_;
    std::vector<ModelEmitter> emitters_;
    Nuisances nuisances_;
    Nuisances at_linearisation_;
    Eigen::VectorXd linearised_;
    double described_reflectance_ = 0.05;
    double roughness_ = 0.2;
    Eigen::VectorXd beam_;
    Eigen::MatrixXd design_;
    Eigen::VectorXd model_;
    Eigen::MatrixXd slopes_;
    Eigen::VectorXd noise_;
    Eigen::VectorXd weights_;
    FitResult result_;
};

}  // namespace

class StreamingFit::Impl : public Fitter {
  public:
    using Fitter::Fitter;
    FitResult result;
};

StreamingFit::StreamingFit(std::unique_ptr<Impl> impl) : impl_(std::move(impl)) {}
StreamingFit::StreamingFit(StreamingFit&&) noexcept = default;
StreamingFit& StreamingFit::operator=(StreamingFit&&) noexcept = default;
StreamingFit::~StreamingFit() = default;

Expected<StreamingFit> StreamingFit::begin(const Bench& bench, const std::vector<std::size_t>& runs,
                                           const FitOptions& options) {
    if (runs.empty()) return problem("", "there is no run to fit");
    auto impl = std::make_unique<Impl>(bench, runs, options);
    auto result = impl->fit();
    if (!result) return tl::make_unexpected(result.error());
    impl->result = std::move(*result);
    return StreamingFit(std::move(impl));
}

const FitResult& StreamingFit::result() const { return impl_->result; }

Expected<bool> StreamingFit::add(std::size_t run, Millimetre depth, const Reading& reading) {
    auto result = impl_->add(run, depth, reading);
    if (!result) return tl::make_unexpected(result.error());
    impl_->result = std::move(*result);
    return true;
}

int FitResult::distrusted() const {
    return static_cast<int>(
        std::count_if(residuals.begin(), residuals.end(), [](const FitResidual& r) { return r.distrusted; }));
}

Expected<FitResult> fitFixture(const Bench& bench, const std::vector<std::size_t>& runs,
                               const FitOptions& options) {
    if (runs.empty()) return problem("", "there is no run to fit");
    return Fitter(bench, runs, options).fit();
}

namespace {

struct Layout {
    const char* name;
    int columns, rows;
    double pitch_x, pitch_y, size;
};
constexpr std::array kLayouts{Layout{"a point", 1, 1, 0, 0, 0},
                              Layout{"a cluster of 9 × 6 cm", 4, 3, 28, 28, 18},
                              Layout{"a bar of 27 cm", 10, 1, 30, 0, 14},
                              Layout{"a bar of 54 cm", 20, 1, 28, 0, 14},
                              Layout{"two clusters 24 cm apart", 2, 1, 240, 0, 60},
                              Layout{"a panel of 20 × 20 cm", 6, 6, 40, 40, 0},
                              Layout{"a panel of 42 × 28 cm", 9, 6, 52, 56, 0}};

}  // namespace

Expected<FitResult> fitUnknownLayout(const Bench& bench, const std::vector<std::size_t>& runs,
                                     const FitOptions& options) {
    std::optional<FitResult> best;
    const char* name = "";
    for (const auto& layout : kLayouts) {
        Fixture f;
        f.emitter_columns = layout.columns;
        f.emitter_rows = layout.rows;
        f.emitter_pitch_x = Millimetre(layout.pitch_x);
        f.emitter_pitch_y = Millimetre(layout.pitch_y);
        f.emitter_size = Millimetre(layout.size);
        auto asked = options;
        for (const auto& e : latticeEmitters(f, PhotonFlux(1.0), 0))
            asked.emitters.push_back({e.dx_mm, e.dy_mm, e.flux_umol_s});
        auto fit = fitFixture(bench, runs, asked);
        if (!fit) return fit;
        if (best && fit->misfit >= best->misfit) continue;
        best = std::move(*fit);
        name = layout.name;
    }
    best->cannot_tell.push_back(
        fmt::format("The fixture's emitters are not described; {} fits the readings best.", name));
    return std::move(*best);
}

LightScene tankByFit(const FitResult& fit, const Tank& tank, bool dry) {
    auto scene = emptyScene(tank, dry);
    scene.water.attenuation_per_m = fit.attenuation_per_m;
    if (std::find(fit.tanks.begin(), fit.tanks.end(), tank.id) != fit.tanks.end())
        for (auto& wall : scene.walls)
            if (!wall.clear()) wall.reflectance = fit.reflectance;
    return scene;
}

LightScene sceneByFit(const FitResult& fit, const Bench& bench, std::size_t index, const Tank& tank) {
    const auto& run = bench.runs[index];
    auto scene = tankByFit(fit, tank, run.water == WaterState::Dry);
    double slip = 0.0;
    double level = run.level_pct.value_or(100.0) / 100.0;
    for (const auto& s : fit.slips)
        if (s.run == index) {
            slip = s.height_mm;
            level *= s.level;
        }
    hangAt(scene, hangingPlaces(run, scene.length_mm), run.height + Millimetre(slip), level, {});
    const bool same_place =
        run.fixtures == 1 && std::find(fit.tanks.begin(), fit.tanks.end(), tank.id) != fit.tanks.end();
    if (same_place)
        for (auto& fixture : scene.fixtures) {
            fixture.x_mm += fit.away_x_mm;
            fixture.y_mm += fit.away_y_mm;
        }
    return scene;
}

std::vector<FitResidual> residualsAgainst(const FitResult& fit, const Bench& bench, std::size_t run,
                                          const Plane& plane, const FitOptions& options) {
    std::vector<FitResidual> out;
    const auto* tank = byId(bench.tanks, bench.runs[run].tank);
    if (tank == nullptr) return out;
    std::vector<BasisField::Point> points;
    std::vector<double> noise;
    for (const auto& reading : plane.readings) {
        if (!reading.counts() || reading.x > tank->length || reading.y > tank->width) continue;
        out.push_back({run, plane.depth, reading.x, reading.y, reading.mean.value(), 0, 0, false});
        noise.push_back(
            std::max(options.least_noise, reading.relativeStandardError().value_or(options.unknown_noise)));
        const double x = reading.x.value();
        const double y = reading.y.value();
        // The point, and its neighbours for the steepness of the field.
        for (const auto& [dx, dy] :
             {std::pair{0.0, 0.0}, {options.placing_mm, 0.0}, {0.0, options.placing_mm}})
            points.push_back({x + dx, y + dy, plane.depth.value()});
    }
    const auto said = predict(fit.model, sceneByFit(fit, bench, run, *tank), points);
    for (std::size_t i = 0; i < out.size(); ++i) {
        const auto& here = said[3 * i];
        const double placing = std::hypot(said[3 * i + 1].ppfd - here.ppfd, said[3 * i + 2].ppfd - here.ppfd);
        const double unknown = (here.hi - here.lo) / (2.0 * 1.96);
        const double error = std::hypot(noise[i] * here.ppfd, placing, unknown);
        out[i].model = here.ppfd;
        out[i].standard_errors = error > 0.0 ? (out[i].reading - here.ppfd) / error : 0.0;
        out[i].distrusted = std::abs(out[i].standard_errors) > kDistrusted;
    }
    return out;
}

std::optional<double> unitSuspicion(double flux_umol_s, std::optional<Watt> rated) {
    if (!rated || rated->value() <= 0.0 || !(flux_umol_s > 0.0)) return std::nullopt;
    // Lamps give between half a micromole and four a joule; outside that by a unit's factor is a unit's
    // mistake.
    const double efficacy = flux_umol_s / rated->value();
    if (efficacy > 0.3 && efficacy < 4.5) return std::nullopt;
    for (const double factor : {10.0, 0.1, 25.4 * 25.4, 1.0 / (25.4 * 25.4), 100.0, 0.01})
        if (efficacy * factor > 0.5 && efficacy * factor < 4.0) return factor;
    return std::nullopt;
}

}  // namespace glumet
