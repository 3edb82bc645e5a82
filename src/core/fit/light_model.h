#pragma once

#include <string>
#include <vector>

#include "core/fit/basis_field.h"
#include "core/light/sampling.h"

namespace glumet {

/// A fixture's light as its readings speak for it: beam, layout, and how sure. Valid for the channel mix and
/// accessory it was read with.
struct LightModel {
    static constexpr int kParameters =
        BeamBasis::kSize + 1;  ///< the beam's coefficients, then the height offset

    std::string fixture;
    std::string configuration;  ///< in words: channel mix, accessory
    std::vector<ModelEmitter> emitters;
    BeamBasis::Coefficients beam{};  ///< µmol·s⁻¹·sr⁻¹ of the whole fixture at the level it was read at
    double height_offset_mm = 0.0;   ///< the light comes from so far above the stated height
    std::vector<double> covariance;  ///< kParameters², row-major, of (beam, height offset)
    double body_length_mm = 0.0;     ///< for what must not overlap
    double body_width_mm = 0.0;
    int readings = 0;
    double relative_residual = 0.0;  ///< rms of reading/model − 1

    /// Emitted photon flux, µmol/s, and its standard error.
    double flux() const;
    double fluxError() const;
    /// The same fixture for a scene that shines through ExactField or FastField; heights there are the stated
    /// ones plus height_offset_mm.
    std::vector<SceneEmitter> sceneEmitters(std::size_t beam_index) const;
    Expected<Beam> sceneBeam() const { return BeamBasis::tableOf(beam); }
    bool operator==(const LightModel&) const = default;
};

/// A predicted value with its 95 % interval.
struct Predicted {
    double ppfd = 0.0;
    double lo = 0.0;
    double hi = 0.0;
};

/// The field of a scene whose fixtures are all this model's (their emitters are not used), at points. The
/// interval holds what the fit does not know; the meter's own calibration is not in it.
std::vector<Predicted> predict(const LightModel& model, const LightScene& scene,
                               const std::vector<BasisField::Point>& points);

/// A scene in which the model shines by itself: emitters, beam and height offset put in, and one channel that
/// fades as the water does.
Expected<LightScene> sceneWith(const LightModel& model, LightScene scene);

}  // namespace glumet
