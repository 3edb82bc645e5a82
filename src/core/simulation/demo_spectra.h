#pragma once

#include <cstdint>

#include "core/bench/bench.h"

namespace glumet {

/// Gives the demonstration's bench what a spectrometer, a second meter and a logger would have brought:
/// spectra of every channel, a blending test in air with one emitter turned, moments under moving water, the
/// meter's response and its twin's factors, two schedules of which one drifts, and a logger's day with sun on
/// the tank. The same seed gives the same numbers.
void addDemoSpectra(Bench& bench, std::uint64_t seed);

}  // namespace glumet
