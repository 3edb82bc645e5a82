#pragma once

#include <array>
#include <cstddef>

#include "core/base/spectrum.h"

namespace glumet {

inline constexpr double kSampledFromNm = 360.0;
inline constexpr std::size_t kSampledSteps = 471;  ///< to 830 nm, 1 nm each

/// A spectrum by the nanometre: photons within ±0.5 nm of 360, 361 … 830 nm. No photon of that span is lost,
/// however fine the spectrum's own steps are.
using Sampled = std::array<double, kSampledSteps>;
Sampled sampled(const Spectrum& spectrum);

/// The middle of a step, nm.
constexpr double sampledNm(std::size_t step) { return kSampledFromNm + static_cast<double>(step); }
/// The step that holds a wavelength, held at the ends.
std::size_t sampledStep(double nm);

/// The same as a spectrum, without what is dark at its ends.
Spectrum spectrumOf(const Sampled& sampled);

}  // namespace glumet
