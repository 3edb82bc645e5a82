#pragma once

#include "core/base/problem.h"
#include "core/fit/fit.h"
#include "core/light/scene.h"

namespace glumet {

/// Where a seated viewer's eye is, before the middle of the tank's front.
struct ViewerEye {
    Millimetre away{1000};  ///< from the front, ≥ 0
    Millimetre above{250};  ///< the water line; below it the tank's own light is seen, not the lamp's
};

/// Light that does not go into the tank.
struct RoomLight {
    double spill_share = 0.0;   ///< of the emitted photons: past the footprint, over the walls
    double shroud_share = 0.0;  ///< … kept back by a shroud
    /// Photons on the eye straight from the emitters, facing them, µmol·m⁻²·s⁻¹: Σ flux · I(θ, φ) /
    /// distance².
    double at_eye = 0.0;
    bool emitters_seen = false;  ///< the eye is below the emitters' plane, and nothing hides them
};

/// Of a lit scene: the spill by its budget; for the eye every emitter whose straight way crosses the front
/// above the water line and clears the shroud. What reflects off water, walls and the room is not in it.
/// Fails where the scene cannot be computed with.
Expected<RoomLight> roomLight(const LightScene& scene, const ViewerEye& eye);

}  // namespace glumet
