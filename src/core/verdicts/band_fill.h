#pragma once

#include <optional>

#include "core/verdicts/array.h"

namespace glumet {

/// spacing() by the band-fill school alone, the only one that answers: its steps hold neither rings nor
/// seams, which cost a third of the light. `field` is kept from one question about a model to the next, its
/// tables with it. Fails as spacing() does.
Expected<SpacingAnswer> bandFill(const LightModel& model, const ArrayQuestion& question,
                                 std::optional<FastField>& field);

}  // namespace glumet
