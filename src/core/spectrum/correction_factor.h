#pragma once

#include "core/base/problem.h"
#include "core/base/spectrum.h"

namespace glumet {

/// What readings of a light by a sensor are to be multiplied by: ∫ E dλ / ∫ E·s dλ over 400–700 nm, with E in
/// photons and the response s as given, both straight between their wavelengths and s held at its ends.
/// Fails where the spectrum has no light there or the sensor sees none of it.
Expected<double> correctionFactor(const Spectrum& light, const Spectrum& response);

/// The same against the light that the sensor was calibrated under, of which it then tells the truth.
Expected<double> correctionFactor(const Spectrum& light, const Spectrum& response,
                                  const Spectrum& calibrated_under);

}  // namespace glumet
