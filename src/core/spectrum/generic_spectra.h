#pragma once

#include <string>
#include <vector>

#include "core/base/problem.h"
#include "core/base/spectrum.h"
#include "core/spectrum/cie_tables.h"

/// Spectra that are computed from open definitions. All are relative and in photons.
namespace glumet {

/// A table of CIE at a wavelength, straight between its steps, held beyond them.
double cieAt(const cie::Table& table, double nm);

/// Planck's radiator, 360–830 nm every nm; kelvin 500–1 000 000. c₂ = 1.4388·10⁻² m·K.
Spectrum blackbody(double kelvin);
/// A phase of daylight by CIE 15, 360–830 nm; kelvin 4000–25 000, held there.
Spectrum daylightPhase(double kelvin);

/// A light-emitting diode as a bell: peak 300–900 nm, full width at half maximum 5–200 nm.
struct LedBin {
    double peak_nm = 450.0;
    double width_nm = 20.0;
    double share = 1.0;  ///< of the photons, against the others of the channel; > 0

    bool operator==(const LedBin&) const = default;
};
/// The bells added, each by its share: assumed, not measured.
Spectrum ledSpectrum(const std::vector<LedBin>& bins);
/// "450/20", "450/20 0.4, 555/130 0.6": peaks, widths and shares, both ways.
std::string binsText(const std::vector<LedBin>& bins);
Expected<std::vector<LedBin>> parseBins(const std::string& text);
/// What a channel of that name usually is, as a start; nothing for a name that says nothing.
std::vector<LedBin> usualBins(const std::string& channel_name);

/// A reference to lay spectra over. `generic`: of no product.
struct ReferenceSpectrum {
    std::string id;
    const char* name = "";  ///< marked for translation
    Spectrum spectrum;
};
const std::vector<ReferenceSpectrum>& referenceSpectra();

}  // namespace glumet
