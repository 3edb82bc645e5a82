#pragma once

#include "core/bench/bench.h"
#include "core/light/scene.h"

namespace glumet {

/// A described wall as light in the water sees it.
SceneWall sceneWall(const Wall& wall);

/// Walls and footprint of a described tank over a scene of its own; `dry` empties it.
LightScene emptyScene(const Tank& tank, bool dry);

/// The fixture's shroud as it hangs; nothing where its size is not stated.
std::optional<SceneShroud> sceneShroud(const Fixture& fixture);

/// Hangs a run's fixtures into the scene of its tank, as its placement, turn and level say.
void hangRun(LightScene& scene, const RunSettings& run, Millimetre height, double level,
             const std::vector<SceneEmitter>& emitters);

/// Spreads `flux` evenly over the fixture's lattice of emitters, all with beam `beam`; an emitter of some
/// size is up to 4 × 4 points over its patch, about 15 mm apart.
std::vector<SceneEmitter> latticeEmitters(const Fixture& fixture, PhotonFlux flux, std::size_t beam);

}  // namespace glumet
