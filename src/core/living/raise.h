#pragma once

#include <optional>

#include "core/bench/living.h"
#include "core/light/scene.h"

namespace glumet {

/// Fixtures hung higher because what lives below has come nearer to them.
struct Raise {
    Millimetre by{0};
    Ppfd there{0};        ///< at the spot then
    double others = 1.0;  ///< of the light of the middle of the tank's floor that is left
};

/// The least raise, in steps of 20 mm up to 400 mm, that brings a spot's light from `read` to `most`; its
/// light then is read · model raised / model now. Nothing where it has no more than that, or where no such
/// raise is enough.
std::optional<Raise> raiseFor(const LightScene& scene, const TankSpot& spot, Ppfd read, Ppfd most);

}  // namespace glumet
