#pragma once

#include "core/bench/bench.h"
#include "core/light/scene.h"
#include "report/page/document.h"

namespace glumet {

/// A map from above of the light of a lit scene over a tank, on cells of about 100 mm at one depth, each
/// value times `level`. Name, caption and alternative text are the caller's.
PageFigure lightMap(LightScene scene, const Tank& tank, Millimetre depth, double level, const Band& band);

}  // namespace glumet
