#pragma once

#include <Eigen/Core>
#include <array>
#include <map>
#include <set>

#include "core/fit/bench_scene.h"
#include "core/fit/fit.h"
#include "core/fit/leaning_beam.h"
#include "core/fit/trough_beam.h"

/// The workings of fitFixture(): gathering (fit_gather.cpp), linearisation (fit_linearise.cpp), one round
/// (fit_step.cpp), what came out (fit_posterior.cpp) and what is said of it (fit_words.cpp).
namespace glumet {

inline constexpr double kBiweight = 6.0;    // standard errors
inline constexpr double kDistrusted = 4.0;  // standard errors
/// Before the readings a beam is round by this much: what another shape must gain in log evidence.
inline constexpr double kRoundBelieved = 3.0;

/// One reading with where it was taken.
struct Datum {
    std::size_t run;                        // index into Fitter::runs_
    std::vector<BasisField::Point> points;  ///< one, or those a mean is taken over
    double value;
    double own_noise;
    FitResidual place;
};

/// Nuisances that all runs share, in their order in the design; each run's height and level follow.
enum Shared : Eigen::Index {
    kHeight,
    kX,
    kY,
    kAttenuation,
    kReflectance,
    kUnevenAlong,
    kUnevenAcross,
    kSpreadAlong,
    kSpreadAcross,
    kSharedCount
};

struct Nuisances {
    std::array<double, kSharedCount> shared{};
    std::vector<double> run_height;
    std::vector<double> run_level;
};

/// Doubts the described layout where the readings do: names a likelier one, and takes what the two would
/// light differently into the model's misfit.
void doubtLayout(FitResult& fit, const Bench& bench, const std::vector<Id>& runs, const FitOptions& options);

/// The fixture turned a quarter in these runs.
void turnQuarter(Bench& bench, const std::vector<Id>& runs);

/// What explains the readings by a round beam, better than the fit does or nearly as well: a shroud that
/// nobody described, or the fixture turned a quarter in every run. A beam that turns about its axis makes up
/// for either over one tank, and is wrong over the next.
struct PlainerPicture {
    std::optional<SceneShroud> shroud;  ///< nothing: it hung turned
    FitResult fit;
    bool better = false;  ///< clearly; else the readings leave it open
    double misfit = 0.0;  ///< what those nearly as likely would light differently, see disagreement()
};
/// Found by trying, where the beam came out with two planes of symmetry or a round one leaves too much;
/// nothing where none comes near.
std::optional<PlainerPicture> plainerPicture(const FitResult& fit, const Bench& bench,
                                             const std::vector<Id>& runs, const FitOptions& options);
/// How far two fits' light is apart over a tank twice as long, relative, root mean square.
double apart(const FitResult& one, const FitResult& other, const Bench& bench, Id run);
/// The same of others against the best, each by its likelihood.
double disagreement(const FitResult& best, const std::vector<const FitResult*>& others, const Bench& bench,
                    Id run);

/// Mean square of the residuals in standard errors, none counted as more than six: about 1 for a fit that
/// holds. Unlike the reduced chi-square it holds what the fit has ceased to trust.
double scatterOf(const FitResult& fit);

/// How far the reduced chi-square is above 1, in its own standard deviations.
double excessOf(const FitResult& fit);

/// The same with how far each run's own height and level had to go from what was believed of them, in its
/// standard deviations, counted in: a fit bends those before its residuals show what is wrong.
double strainOf(const FitResult& fit, const Bench& bench);

/// How far a run's height is off what it says by one that was measured again before the first reading, mm:
/// the mean of the two is believed. Nothing where it was measured once.
std::optional<double> offMeasuredAgain(const Bench& bench, const Run& run);

/// What would explain a strain that is larger than it should be, besides layout and beam.
struct FitCause {
    double strain = 0.0;  ///< with the cause out of the way, see strainOf()
    Words words;
};

/// Found by trying: the worst runs left out, or turned. Nothing where neither takes half of the strain away.
std::optional<FitCause> likeliestCause(const FitResult& fit, const Bench& bench, const std::vector<Id>& runs,
                                       const FitOptions& options);

/// Precision of the coefficients of a beam whose mean coefficient is 1, see Fitter::Smoothness.
Eigen::MatrixXd smoothPrecision(BeamShape shape, double outward, double about);

class Fitter {
  public:
    /// `shape`: it begins with a beam of that shape and considers no other.
    Fitter(const Bench& bench, const std::vector<Id>& runs, const FitOptions& options,
           std::optional<BeamShape> shape = std::nullopt)
        : bench_(bench), run_ids_(runs), options_(options), given_shape_(shape) {}
    Expected<FitResult> fit();
    /// One more reading, by the linearisation that is there: its own row, one solution, no other row anew.
    Expected<FitResult> add(Id run_id, Millimetre depth, const Reading& reading);

  private:
    /// What is believed of a run's own height, against what it says, mm.
    struct HeightPrior {
        double mean = 0.0;
        double sd = 2.0;
    };
    struct RunScene {
        Id id;
        LightScene scene;
        HeightPrior height;
        std::size_t mix;  ///< the first run with the same channels on at the same level
    };
    /// Of channels other than the first run's nobody knows beforehand how bright they are against those.
    bool ownLevel(std::size_t run) const { return runs_[run].mix != 0; }
    std::size_t mixOf(const Run& run) const;

    HeightPrior heightAgain(const Run& run) const;
    const HeightPrior& heightPrior(Eigen::Index nuisance) const;
    std::optional<Problem> gather();
    void setBudget();
    void addMean(std::size_t run_number, const Plane& plane, const RingMean& mean, std::set<long>& rings,
                 std::set<std::pair<long, long>>& planes);
    bool isTaken();
    void addPlaneTo(std::size_t run_number, const Plane& plane, std::set<long>& rings,
                    std::set<std::pair<long, long>>& planes);
    void layOutEmitters();
    std::optional<SceneShroud> shroud() const;
    /// The emitters as these nuisances have them: one half brighter than the other, and spread wider or less
    /// wide, along the body and across it.
    std::vector<ModelEmitter> emittersBy(const std::array<double, kSharedCount>& shared) const;
    BasisField::Lean leanOf(const ModelEmitter& emitter) const;
    /// What unevenness makes of an emitter's light, 1 without any; and how the emitters' shares answer to it.
    double brightened(const ModelEmitter& emitter, const std::array<double, kSharedCount>& shared) const;
    std::vector<BasisField::Lean> leans(const std::array<double, kSharedCount>& shared) const;
    /// Half of what the emitters spread over along an axis, mm.
    double halfSpread(double ModelEmitter::*axis) const;
    /// Whether a nuisance can make a difference here.
    bool matters(Eigen::Index shared) const;
    LightScene sceneOfRun(std::size_t run, const std::array<double, kSharedCount>& shared) const;
    /// Rows of all data for some nuisances, each run's level applied; and the same times the present beam.
    /// Where they are asked for, those slopes by the shared nuisances that come with a row by derivative.
    Eigen::MatrixXd designAt(const std::array<double, kSharedCount>& shared,
                             Eigen::MatrixXd* slopes = nullptr) const;
    Eigen::VectorXd modelAt(const std::array<double, kSharedCount>& shared) const;
    bool cutOff() const;
    /// Where shrouds or obstacles keep light back: slopes by those nuisances that move their edges, by steps.
    void addStepped(Eigen::MatrixXd& slopes, const Eigen::VectorXd& model) const;
    template <class Take>
    void forEachRun(const std::array<double, kSharedCount>& shared, Take take) const;
    /// Row and slopes of the datum that came last, where the others were linearised.
    void addRow();
    void linearise();
    bool paintedWalls() const;
    /// Noise of each reading by the present model: its own, and the probe's place where the field is steep.
    /// Then Tukey's biweight. The slopes by the fixture's place are those by the probe's, with the sign
    /// turned.
    void weigh();
    Eigen::VectorXd values() const;
    double priorMean(Eigen::Index nuisance) const;
    double priorError(Eigen::Index nuisance) const;
    /// How far halves that are believed to be alike, or not, may differ.
    double unevenness(bool even) const;
    double nuisance(Eigen::Index j) const;
    /// Adds what is believed of the nuisances to a precision of (beam, nuisances).
    void addNuisancePriors(Eigen::MatrixXd& h) const;
    /// Coefficients of the beam.
    Eigen::Index bells() const { return BeamBasis::size(shape_); }
    /// How strongly a beam is believed to be smooth from the axis outward, and alike in all azimuths:
    /// standard deviations of a second difference and of a difference to the next azimuth, as shares of the
    /// beam's mean coefficient. Of a beam that leans on another: of its ratio to that.
    struct Smoothness {
        double outward = 0.2;
        double about = 0.2;
    };
    /// Precision of the coefficients under it.
    Eigen::MatrixXd prior(const Smoothness& smoothness) const;
    bool pictured() const { return leaning_ || trough_; }
    Eigen::MatrixXd whitened() const;
    /// Of the beam, against what it leans on.
    double meanCoefficient() const { return std::max(beam_.cwiseQuotient(pattern()).mean(), 1e-9); }
    /// What the beam's coefficients are believed to be like, to a factor: all alike, or those it leans on.
    Eigen::VectorXd pattern() const;
    double priorDeterminant(const Eigen::MatrixXd& prior, std::size_t outward, std::size_t about) const;
    /// Of what is shared with the fit it leans on, as that knows it; nothing where it leans on none.
    struct Belief {
        double mean = 0.0;
        double sd = 1.0;
    };
    std::optional<Belief> takenOver(Eigen::Index nuisance) const;
    bool sameTanks(const FitResult& on) const;
    std::optional<HeightPrior> sameHanging(const Run& run) const;
    std::optional<Problem> tooLittle(std::size_t rings, std::size_t planes) const;
    /// What the least squares make of the whitened data: xᵀx, xᵀy and yᵀy, the nuisances as they are.
    struct Sums {
        Eigen::MatrixXd xx;
        Eigen::VectorXd xy;
        double yy;
    };
    Sums sums() const;
    /// What a beam that is not round may be besides: a round one that looks aside, or a trough's.
    enum class Picture { Leaning, Trough };
    /// Precision of the coefficients of a beam that is believed to be near its picture.
    Eigen::MatrixXd picturePrior(double outward) const;
    /// Takes the picture nearest to the beam there is now.
    void followPicture();
    /// Evidence of the beam under a picture, under this linearisation.
    double considerPicture(Picture picture, const Sums& sums);
    double pictureEvidence(const Sums& sums);
    void stepBeam(const Sums& sums);
    /// Drops a picture under which the readings, settled, are less probable than without; whether it did.
    bool dropPicture();
    /// Logarithm of the probability of the readings under a strength, beam and nuisances integrated out.
    double evidenceUnder(const Sums& sums, std::size_t outward, std::size_t about) const;
    /// The strength under which the readings are most probable, beam and nuisances integrated out; the
    /// logarithm of that evidence is returned.
    double chooseSmoothness(const Sums& sums);
    /// Takes the halves of the body as equally bright, along it and across it, where the readings are more
    /// probable so than if they may differ by what is believed at most.
    void considerEvenness(const Sums& sums);
    /// Takes a beam that turns about its axis where the readings are more probable under it.
    void considerShapes();
    /// A beam as it might be taken, and its evidence.
    struct Considered {
        double evidence;
        BeamShape shape;
        Eigen::VectorXd beam;
        Smoothness smoothness;
        std::optional<LeaningBeam> leaning;
        std::optional<TroughBeam> trough;
    };
    Considered considered(double evidence) const;
    void take(const Considered& beam);
    /// Beams of a shape where the readings lead them, the last anyhow; before it the one near its picture,
    /// where any beam of that shape says more of the readings than a round one (of evidence `plain`) does.
    std::vector<Considered> beamsOf(BeamShape shape, Picture picture, double plain);
    void setShape(BeamShape shape);
    /// Rounds until a step changes nothing any more, so many at most; false when cancelled.
    bool settle(int rounds, bool& converged);
    /// The same, and on the way the beam's shape is chosen.
    bool settleShaped(bool& converged);
    Eigen::VectorXd nuisanceVector() const { return nuisanceVectorOf(slopes_.cols()); }
    Eigen::VectorXd nuisanceVectorOf(Eigen::Index size) const;
    /// Normal equations in (beam, nuisances), the nuisances as they are, not their change.
    void normal(const Sums& sums, Eigen::MatrixXd& h, Eigen::VectorXd& g) const;
    void step(const Sums& sums);
    /// The same after a round that moved the modelled readings by so many standard errors.
    void stepFrom(const Sums& sums, const Eigen::VectorXd& moved);
    void start();
    void startLevels();
    void finish();
    void posterior();
    void addParameters(const Eigen::MatrixXd& covariance);
    void tellApart(const Eigen::MatrixXd& covariance);
    void tellLean();

    const Bench bench_;
    const std::vector<Id> run_ids_;
    const FitOptions options_;
    const std::optional<BeamShape> given_shape_;
    std::vector<RunScene> runs_;
    std::vector<Datum> data_;
    std::size_t found_ = 0;  ///< readings that could be fitted to
    double share_ = 1.0;     ///< of them that are
    std::vector<ModelEmitter> emitters_;
    Nuisances nuisances_;
    Nuisances at_linearisation_;
    Eigen::VectorXd linearised_;
    double described_reflectance_ = 0.05;
    BeamShape shape_ = BeamShape::Round;
    std::optional<LeaningBeam> leaning_;  ///< a free beam is held to be near this one
    std::optional<TroughBeam> trough_;    ///< a beam of two planes is
    Smoothness smoothness_;
    bool even_along_ = false;  ///< see considerEvenness(); of them unevenness() is believed
    bool even_across_ = false;
    Eigen::VectorXd beam_;
    Eigen::MatrixXd design_;
    Eigen::VectorXd model_;
    Eigen::MatrixXd slopes_;
    Eigen::MatrixXd stepped_;  ///< the columns that are taken by steps
    Eigen::VectorXd noise_;
    Eigen::VectorXd weights_;
    mutable RayTables tables_;
    FitResult result_;
};

}  // namespace glumet
