#pragma once

#include <memory>
#include <optional>

#include "core/bench/bench.h"
#include "core/fit/fit.h"
#include "core/light/fast_field.h"
#include "core/light/sampling.h"
#include "core/words/finding.h"

namespace glumet {

/// The scene of a run as its fixture and tank are described: the described beam on the described lattice of
/// emitters, `fixtures` of them in a row along the middle. Flux at full level as described, or 100 µmol/s if
/// that is not stated. Fails saying what is missing: the beam, the tank, or the beam under an accessory.
Expected<LightScene> describedScene(const Bench& bench, const Run& run);

/// The light field of a described scene beside the readings of its run. One factor, the ratio of the sums
/// over all counted readings, brings the model to the readings' level: what is compared is the shape.
class DescribedModel {
  public:
    /// `earlier` is the field of another run or of the same before an edit: its tables are used again.
    static Expected<DescribedModel> of(const Bench& bench, const Run& run,
                                       std::unique_ptr<FastField> earlier = nullptr);
    /// The same by a fit to the readings instead of a described beam, with what the fit found of place,
    /// walls, water and the run itself; its level is left as fitted.
    static Expected<DescribedModel> fitted(const Bench& bench, Id run, const FitResult& fit,
                                           std::unique_ptr<FastField> earlier = nullptr);
    bool isFitted() const { return fitted_; }
    /// Gives the field away to the next model; this one can be asked nothing more.
    std::unique_ptr<FastField> takeField() { return std::move(field_); }

    const LightScene& scene() const { return field_->scene(); }
    /// Σ readings / Σ model; 1 when nothing has been read yet.
    double factor() const { return factor_; }
    /// Flux of the whole fixture at full level that the readings speak for, µmol/s.
    PhotonFlux impliedFlux() const { return flux_ * factor_; }
    bool fluxWasDescribed() const { return flux_described_; }
    /// Whether a stated flux or a reading says how bright it is; without either only its shape means
    /// anything.
    bool hasLevel() const { return flux_described_ || agreement_.n > 0; }

    /// Scaled PPFD at the grid's cells, row by row from the front.
    std::vector<Ppfd> onGrid(const Grid& grid, Millimetre depth);
    /// Scaled PPFD in the vertical plane along x at y.
    Surface slice(Millimetre y, Millimetre pitch);
    /// Between which depths each cell's column lies in the band.
    std::vector<BandRange> bandRangesOn(const Grid& grid, const Band& band);
    /// How much of its light each cell keeps under a hand's breadth of colony (ShadowDisc); nothing in the
    /// dark or under so many emitters that it would keep a reader waiting. Kept until it is asked of another
    /// plane.
    const std::vector<std::optional<double>>& shadowOn(const Grid& grid, Millimetre depth);
    /// How much the water's ripple moves the light there, against that of one point (shimmerAt()); nothing
    /// under many emitters.
    std::optional<double> shimmerOn(Millimetre x, Millimetre y, Millimetre depth) const;
    /// Share of the tank's volume inside the band, at about `pitch`.
    Expected<double> volumeShare(const Band& band, Millimetre pitch);

    /// How far the readings lie from the scaled model, over all counted readings of the run.
    struct Agreement {
        int n = 0;
        double rms = 0.0;    ///< of reading/model − 1
        double worst = 0.0;  ///< the largest in magnitude, with its sign
        Millimetre worst_depth{0};
        Millimetre worst_x{0};
        Millimetre worst_y{0};
    };
    const Agreement& agreement() const { return agreement_; }

  private:
    DescribedModel(std::unique_ptr<FastField> field, PhotonFlux flux, bool described)
        : field_(std::move(field)), flux_(flux), flux_described_(described) {}
    void compare(const Run& run);

    std::unique_ptr<FastField> field_;
    PhotonFlux flux_;
    bool flux_described_;
    bool fitted_ = false;
    double factor_ = 1.0;
    Agreement agreement_;
    struct Shadow {
        Grid grid;
        Millimetre depth{-1};
        std::vector<std::optional<double>> shares;
    } shadow_;
};

/// What the comparison says, with its numbers; what is missing where there is no model.
std::vector<Finding> modelFindings(const Bench& bench, Id run, Expected<DescribedModel>& model,
                                   const std::optional<Band>& band);

}  // namespace glumet
