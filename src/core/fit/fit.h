#pragma once

#include <functional>
#include <memory>
#include <optional>
#include <stop_token>

#include "core/base/limits.h"
#include "core/base/value.h"
#include "core/bench/bench.h"
#include "core/fit/light_model.h"

namespace glumet {

struct FitResult;

/// What the fit believes before it sees a reading, and how far it goes.
struct FitOptions {
    double unknown_noise = 0.03;  ///< relative, of a reading without a swing of its own
    double least_noise = 0.01;    ///< relative; no reading is better
    double placing_mm = 4.0;      ///< standard error of the probe's place, each direction
    double emitter_offset_mm =
        3.0;                ///< priors, standard deviations about 0: where light leaves the fixture …
    double ruler_mm = 4.0;  ///< … the bench's ruler or water line, the same all evening …
    double position_mm = 10.0;
    double run_height_mm = 2.0;  ///< … of each run's own height besides; once more measured, of two
    double run_level = 0.004;    ///< … of each run's own output, relative
    double unevenness = 0.08;    ///< … of the body's ends against its middle, relative; see fitFixture()
    double spread = 0.0;         ///< … of how far the emitters spread, relative; 0: as described
    double reflectance = 0.1;    ///< … of painted walls about what is described, ≥ 0
    double attenuation_per_m = 0.15;  ///< … half normal, ≥ 0
    int most_iterations = 8;  ///< of a round beam; one that is not round has up to 12 after 5 of those
    bool shapes = true;       ///< whether beams that are not round are considered
    /// Of more readings so many are used, spread evenly over runs and planes, and that is said.
    std::size_t most_readings = limits::kFitReadings;
    std::vector<ModelEmitter> emitters;             ///< instead of the fixture's lattice; shares add up to 1
    std::optional<SceneShroud> shroud;              ///< that nobody described
    std::optional<double> known_attenuation_per_m;  ///< of the water, where it is described
    /// A fit of the same fixture with other channels on, of one mix or of several. What they share is taken
    /// over as that fit knows it: where light leaves the body, its height and place, the walls. The beam is
    /// believed to be like its own, so that a few readings do.
    std::shared_ptr<const FitResult> leans_on;
    std::stop_token stop;
    std::function<void(double)> progress = [](double) {};  ///< told the share done of the rounds at most
};

enum class FitQuantity {
    Flux,
    HeightOffset,
    PlaceAlong,
    PlaceAcross,
    Attenuation,
    Reflectance,
    UnevenAlong,
    UnevenAcross,
    RunHeight,
    RunLevel
};

/// A parameter as it came out, against what was believed before.
struct FitParameter {
    FitQuantity what = FitQuantity::Flux;
    Id run = 0;  ///< of a run's own height and level
    Words name;
    std::string unit;
    double value = 0.0;
    double error = 0.0;
    double prior_error = 0.0;

    /// Whether the readings have hardly narrowed what was believed before.
    bool untold() const { return error > 0.8 * prior_error; }
    bool operator==(const FitParameter&) const = default;
};

/// One reading against the fit.
struct FitResidual {
    Id run = 0;
    Millimetre depth{0};
    Millimetre x{0};
    Millimetre y{0};
    double reading = 0.0;
    double model = 0.0;
    double standard_errors = 0.0;
    bool distrusted = false;
    std::optional<int> ring;  ///< of a mean: its ring, −1 all points; then x and y are the tank's middle

    bool operator==(const FitResidual&) const = default;
};

struct FitResult {
    GLUMET_VALUE(FitResult);

    /// How far one run was off what it says.
    struct Slip {
        Id run = 0;
        double height_mm = 0.0;
        double level = 1.0;
        bool operator==(const Slip&) const = default;
    };

    LightModel model;
    std::vector<Id> tanks;   ///< it was read in: its place and the painted walls hold there
    double away_x_mm = 0.0;  ///< the fixture's place against the middle
    double away_y_mm = 0.0;
    std::vector<Slip> slips;
    std::vector<FitParameter> parameters;
    std::vector<FitResidual> residuals;  ///< in the order of runs, planes, readings
    int means = 0;                       ///< of the readings, so many are means that others read
    std::vector<Words> cannot_tell;
    /// How much more probable the readings are under a beam that is not round, in logarithms of evidence.
    struct ShapeEvidence {
        BeamShape shape = BeamShape::Round;
        double gain = 0.0;
        bool operator==(const ShapeEvidence&) const = default;
    };
    std::vector<ShapeEvidence> shape_evidence;
    double reduced_chi_square = 0.0;
    double evidence = 0.0;            ///< logarithm, of these readings; what layouts are compared by
    double reflectance = 0.0;         ///< of the painted wall that was described last
    double reflectance_change = 0.0;  ///< against what is described, the same for every painted wall
    double attenuation_per_m = 0.0;
    int iterations = 0;

    int distrusted() const;
    bool operator==(const FitResult&) const = default;
};

/// The runs whose readings a fit took, in its order.
std::vector<Id> runsOf(const FitResult& fit);

/// Fits one fixture's beam and what stands around it to all counted readings of these runs (one
/// configuration; tanks, heights, depths and the fixture's turn may differ, and channels: then the beam is
/// one for all of them, its level that of the first run's channels, and the others' levels are fitted too). A
/// mean that others published is a linear functional of the field as a reading is: its row is the mean of its
/// points' rows.
///
/// Joint Gauss-Newton over beam and nuisances: in the beam's coefficients the field is linear, in height,
/// place, attenuation and reflectance it is linearised each round; the beam is kept non-negative (Kim & Park
/// 2011, SIAM J. Sci. Comput. 33:3261). A smoothness prior on the coefficients' second
/// differences has its strength chosen by evidence (MacKay 1992, Neural Computation 4:415). Bad readings lose
/// their weight by Tukey's biweight at 6 standard errors, and are named beyond 4. The posterior is that of
/// the last linearisation, with the readings' noise scaled by their own scatter: times the root of the
/// reduced chi-square, which counts as 0.5 at least. Rounds end when a step changes nothing any more, else
/// after as many as there may be (FitOptions::most_iterations), and then `cannot_tell` says so.
///
/// A beam that is not round is believed to be near a trough's (trough_beam.h) or a round one that looks aside
/// (leaning_beam.h) where the readings are as probable under that; a lean of 2° or more is said.
///
/// A beam that comes out not round, or a round one that leaves too much, is held against plainer pictures:
/// within a shroud that nobody described, which is then taken, and the fixture turned a quarter in every run,
/// which is named and in the misfit. So is what the readings leave open of either. The body's ends are taken
/// as equally bright within 1 % where the readings are more probable so.
///
/// A described layout whose residuals are larger than they should be is doubted: when another explains the
/// readings clearly better it is named, and what the two would light differently is in the model's misfit.
/// Without another, what the residuals hold beyond the readings' noise is.
///
/// Where it leans on another fit (FitOptions::leans_on), the beam is that fit's, bell by bell, times a ratio
/// that is smooth and alike within a tenth; its layout and shape are taken as they are.
///
/// Fails in words: no tank, no reading; where it leans on nothing also fewer than 24 readings (9 means),
/// fewer than 3 rings of distance or a single plane; where it does, fewer than 4 readings.
Expected<FitResult> fitFixture(const Bench& bench, const std::vector<Id>& runs,
                               const FitOptions& options = {});

/// A fit that takes one reading after the other: each costs its own row and one solution of the normal
/// equations, by the linearisation of the beginning. Begin anew when heights or tanks are added, and now and
/// then besides.
class StreamingFit {
  public:
    static Expected<StreamingFit> begin(const Bench& bench, const std::vector<Id>& runs,
                                        const FitOptions& options = {});
    StreamingFit(StreamingFit&&) noexcept;
    StreamingFit& operator=(StreamingFit&&) noexcept;
    ~StreamingFit();

    const FitResult& result() const;
    /// `run` is one of those it began with. Refused, and nothing changed, when the reading does not count.
    Expected<bool> add(Id run, Millimetre depth, const Reading& reading);

  private:
    class Impl;
    explicit StreamingFit(std::unique_ptr<Impl> impl);
    std::unique_ptr<Impl> impl_;
};

/// The same when nobody knows the fixture's emitters: a point, clusters, bars, a pair and panels are tried,
/// how far each spreads is fitted, and the one with the most evidence is taken and named in
/// FitResult::cannot_tell. Where others explain the readings nearly as well, what they would light
/// differently (two fixtures over a tank twice as long) is in the model's misfit, each by its likelihood.
Expected<FitResult> fitUnknownLayout(const Bench& bench, const std::vector<Id>& runs,
                                     const FitOptions& options = {});

/// A tank's scene without fixtures as the fit has it: its water, and in tanks it was read in its painted
/// walls.
LightScene tankByFit(const FitResult& fit, const Tank& tank, bool dry);

/// The scene of a run as the fit has it, fixtures without emitters: tankByFit(), the
/// run's own slip, and one fixture alone where it was found to hang in tanks the fit was read in.
LightScene sceneByFit(const FitResult& fit, const Bench& bench, Id run, const Tank& tank);

/// The readings of a plane against a fit, whether they took part in it or not: standard errors hold the
/// reading's own noise, a probe placed 4 mm off and what the fit does not know. Readings that do not count
/// are left out; the order is the plane's.
std::vector<FitResidual> residualsAgainst(const FitResult& fit, const Bench& bench, Id run,
                                          const Plane& plane, const FitOptions& options = {});

/// What the readings have in common with another unit: the factor that would bring all of them to what the
/// fixture's rating allows, when it is near 10, 0.1, 25.4 or 1/25.4; else nothing.
std::optional<double> unitSuspicion(double flux_umol_s, std::optional<Watt> rated);

}  // namespace glumet
