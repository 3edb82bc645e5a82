#pragma once

#include <optional>

#include "core/bench/bench.h"

namespace glumet {

/// The largest counted reading of a project, µmol·m⁻²·s⁻¹; nothing before the first.
std::optional<Ppfd> brightestReading(const Bench& bench);

}  // namespace glumet
