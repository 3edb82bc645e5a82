#pragma once

#include <vector>

#include "core/light/scene.h"

namespace glumet {

/// The light field by its formula, source by source and image by image, nothing tabulated. The reference for
/// the fast field, and what single points, lines and derivatives are computed with.
///
/// PPFD (µmol·m⁻²·s⁻¹) of still water at (x, y, depth), mm:
///   Σ sources Σ images  E(r) · R_leftᵃ R_rightᵇ R_frontᶜ R_backᵉ · Π transmittances of what is met
/// with E of directPpfd to the unfolded receiver by the beam's intensity at the unfolded ray's azimuth less
/// the fixture's rotation, only where the ray leaves the shroud and enters the water inside the footprint,
/// and each wall's reflectance at the angle to its own normal, cos = sin θw |cos φ| or sin θw |sin φ|.
/// Exact for specular walls. The scene must pass wrongWith; 0 ≤ x ≤ length, 0 ≤ y ≤ width,
/// 0 ≤ depth ≤ water depth. Source: method of images; Fresnel.
class ExactField {
  public:
    explicit ExactField(LightScene scene);

    Ppfd at(Millimetre x, Millimetre y, Millimetre depth) const;

    /// One way of light to a point: straight from an emitter, or by way of walls.
    struct Arrival {
        std::size_t source = 0;  ///< index into sources()
        double ppfd = 0.0;
        double entry_x_mm = 0.0;  ///< where it enters the water
        double entry_y_mm = 0.0;
        double cos_air = 1.0;
        double cos_water = 1.0;
        double phi = 0.0;  ///< azimuth of its way in air, radians
    };
    std::vector<Arrival> arrivals(Millimetre x, Millimetre y, Millimetre depth) const;

    const LightScene& scene() const { return scene_; }
    const std::vector<PointSource>& sources() const { return sources_; }

    /// Change of the PPFD at a point with what can be turned, per unit of each. Where a ray grazes the
    /// footprint's edge or the end of a beam the field itself jumps; the slope is that on the near side.
    struct FixtureSlopes {
        double x_per_mm = 0.0;
        double y_per_mm = 0.0;
        double height_per_mm = 0.0;
        double rotation_per_deg = 0.0;
        double level = 0.0;                  ///< per unit of SceneFixture::level
        std::vector<double> channel_levels;  ///< per unit, by channel of the scene
    };
    struct Slopes {
        double ppfd = 0.0;
        std::vector<FixtureSlopes> fixtures;     ///< as LightScene::fixtures
        std::vector<std::vector<double>> beams;  ///< as LightScene::beams, Beam::parameters()
    };
    /// By automatic differentiation of position and height through the implicit crossing; beams by their own
    /// derivative.
    Slopes slopesAt(Millimetre x, Millimetre y, Millimetre depth) const;

  private:
    LightScene scene_;
    std::vector<PointSource> sources_;
};

}  // namespace glumet
