#pragma once

#include <string>
#include <vector>

#include "core/base/problem.h"
#include "core/base/quantity.h"
#include "core/base/spectrum.h"

namespace glumet {

/// What a spectral irradiance is stated in, per nm.
enum class SpectralUnit { WattPerSquareMetre, MicromolePerSquareMetreSecond };

/// A spectrum at equal steps of wavelength.
struct SpectralSample {
    double first_nm = 380.0;
    double step_nm = 5.0;  ///< > 0
    SpectralUnit unit = SpectralUnit::WattPerSquareMetre;
    std::vector<double> values;  ///< ≥ 0

    /// PPFD, 400–700 nm: photon irradiance by the trapezoidal rule between the values, straight lines at both
    /// ends of the band; a watt at λ nm carries λ / (h·c·N_A) = λ · 0.00835935 µmol/s.
    Ppfd ppfd() const;
    /// "380 5 W 0.1 0.2 …": first wavelength, step, unit (W or umol), values. For Reading::extra.
    std::string text() const;
    bool operator==(const SpectralSample&) const = default;
};

/// Column of Reading::extra that holds the spectrum read along with a value.
inline constexpr const char* kSpectrumColumn = "spectrum";

/// The same as photons by wavelength.
Spectrum spectrumOf(const SpectralSample& sample);

/// Reads SpectralSample::text().
Expected<SpectralSample> parseSpectralSample(const std::string& text);

}  // namespace glumet
