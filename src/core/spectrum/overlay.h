#pragma once

#include <vector>

#include "core/base/spectrum.h"

namespace glumet {

/// What spectra are brought to before they are laid over each other.
enum class OverlayScale { Peak, Par, Absolute };

/// By the nanometre from 360 to 830 nm, over any number of spectra: least, tenth, median, ninetieth and
/// greatest; empty lists without a spectrum that has light.
struct OverlayStatistics {
    std::vector<double> least, tenth, median, ninetieth, greatest;
};
OverlayStatistics overlayStatistics(const std::vector<Spectrum>& spectra, OverlayScale scale);

/// One brought to that scale: its greatest value or its PPFD is 1. Dark ones stay as they are.
Spectrum scaledFor(Spectrum spectrum, OverlayScale scale);

}  // namespace glumet
