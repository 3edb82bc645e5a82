#pragma once

#include "core/base/spectrum.h"

namespace glumet {

/// Absorption of pure water, 1/m, linear between the tabulated wavelengths and held beyond 380…720 nm.
/// Source: Pope & Fry 1997, Applied Optics 36:8710, table 3.
double pureWaterAbsorption(double wavelength_nm);

/// What is left of a spectrum after so many metres of pure water: value · exp(−a(λ)·path), path ≥ 0.
/// Wavelengths are added where a step is wider than 5 nm, so that the curve is followed.
Spectrum afterPureWater(const Spectrum& spectrum, double path_m);

}  // namespace glumet
