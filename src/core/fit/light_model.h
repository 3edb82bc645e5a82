#pragma once

#include <string>
#include <vector>

#include "core/bench/describe.h"
#include "core/fit/basis_field.h"
#include "core/light/sampling.h"

namespace glumet {

template <>
struct WordsOf<BeamShape> {
    static constexpr std::array value{std::pair{BeamShape::Round, "round"},
                                      std::pair{BeamShape::TwoPlanes, "two-planes"},
                                      std::pair{BeamShape::Free, "free"}};
};

/// A fixture's light as its readings speak for it: beam, layout, and how sure. Valid for the channel mix and
/// accessory it was read with.
struct LightModel {
    std::string fixture;
    std::string configuration;  ///< in words: channel mix, accessory
    std::vector<ModelEmitter> emitters;
    BeamShape shape = BeamShape::Round;
    /// µmol·s⁻¹·sr⁻¹ of the whole fixture at the level it was read at, BeamBasis::size(shape) values.
    std::vector<double> beam = std::vector<double>(BeamBasis::kSize);
    std::optional<SceneShroud> shroud;
    double height_offset_mm = 0.0;   ///< the light came from so far above the stated height
    std::vector<double> covariance;  ///< parameters()², row-major, of (beam, height offset)
    /// Share of the offset that is the fixture's own and goes along into another tank; the rest is the
    /// ruler's or the water line's, and stays.
    double own_offset_share = 1.0;
    double ruler_mm = 0.0;  ///< standard error of any ruler or water line
    double misfit = 0.0;    ///< relative standard deviation of what the readings hold and the model does not
    double body_length_mm = 0.0;  ///< for what must not overlap
    double body_width_mm = 0.0;
    int readings = 0;
    double relative_residual = 0.0;  ///< rms of reading/model − 1

    /// The beam's coefficients, then the height offset.
    std::size_t parameters() const { return beam.size() + 1; }
    /// The same fixture over a tank whose heights another ruler gives, or the same on another evening: the
    /// offset that is its own, and both doubts, σ_own² = σ² + r²s about s times the offset, and r² of the
    /// next ruler (r: ruler_mm, s: own_offset_share).
    LightModel elsewhere() const;

    /// Emitted photon flux, µmol/s, and its standard error.
    double flux() const;
    double fluxError() const;
    /// The same fixture for a scene that shines through ExactField or FastField; heights there are the stated
    /// ones plus height_offset_mm.
    std::vector<SceneEmitter> sceneEmitters(std::size_t beam_index) const;
    Expected<Beam> sceneBeam() const { return BeamBasis::tableOf(shape, beam); }
    /// Its bells over a scene's fixtures, which hang so far above their stated heights; `attenuation_per_m`
    /// of the water.
    BasisField over(LightScene scene, double offset_mm, double attenuation_per_m) const;
    bool operator==(const LightModel&) const = default;
};

/// A predicted value with its 95 % interval.
struct Predicted {
    double ppfd = 0.0;
    double lo = 0.0;
    double hi = 0.0;
};

/// The field of a scene whose fixtures are all this model's (their emitters are not used), at points. The
/// interval holds what the fit does not know and the model's misfit; the meter's own calibration is not in
/// it. In another tank than that of the readings ask model.elsewhere().
std::vector<Predicted> predict(const LightModel& model, const LightScene& scene,
                               const std::vector<BasisField::Point>& points);

/// A scene in which the model shines by itself: emitters, beam and height offset put in, and one channel that
/// fades as the water does.
Expected<LightScene> sceneWith(const LightModel& model, LightScene scene);

}  // namespace glumet
