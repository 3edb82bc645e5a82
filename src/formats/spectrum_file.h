#pragma once

#include <optional>
#include <string>
#include <string_view>
#include <vector>

#include "core/bench/spectrum_record.h"
#include "core/spectrum/spectral_sample.h"
#include "formats/delimited_text.h"

namespace glumet {

/// A spectrum as its file has it, and what was done to read it.
struct FileSpectrum {
    std::string name;                   ///< of a column, a title; may be empty
    std::vector<double> wavelength_nm;  ///< ascending within 200…1200
    std::vector<double> values;         ///< ≥ 0, in `unit` per nm
    std::optional<SpectralUnit> unit;   ///< nothing: the file does not say, and somebody has to
    SpectralScale scale = SpectralScale::Relative;
    std::vector<Problem> notices;  ///< what was clipped, left out or looks odd

    /// In photons; `assumed` where the file does not say.
    Spectrum spectrum(SpectralUnit assumed = SpectralUnit::WattPerSquareMetre) const;
};
using FileSpectra = Expected<std::vector<FileSpectrum>>;

/// A table: wavelengths in nm in the first column, one spectrum or more beside it, lines of words before. The
/// heading over a column may say W or photons (µmol), by m² or cm², or that it is relative; `value` is W.
FileSpectra readSpectrumTable(const DelimitedText& text);
/// IES TM-27 (.spdx): one spectrum.
FileSpectra readTm27(std::string_view bytes);
/// JCAMP-DX 4.24: every block with XYDATA=(X++(Y..Y)), fixed or packed (AFFN, PAC, SQZ, DIF, DUP), or with
/// XYPOINTS=(XY..XY). Wavelengths in nm or µm.
FileSpectra readJcamp(std::string_view bytes);
/// Any of these, told apart by what stands at the beginning. What no spectrum can be (values that are not
/// numbers, that are far below 0, wavelengths that go to and fro, a file cut short) is refused by its place;
/// noise below 0 becomes 0, wavelengths beyond 200…1200 nm are left out, both with a notice.
FileSpectra readSpectra(std::string_view bytes);

/// A curve to weigh by: a table of wavelength and response or weight, 0–5.
Expected<Spectrum> readResponse(std::string_view bytes);

struct NamedSpectrum {
    std::string name;
    SpectralScale scale = SpectralScale::Relative;
    Spectrum spectrum;
};
/// "wavelength_nm,photons": the first column holds every wavelength of all of them; other columns are read
/// between their own by straight lines. Nine significant figures.
std::string writeSpectrumTable(const std::vector<NamedSpectrum>& spectra);
/// The same of one, in W by nm: "wavelength_nm,value".
std::string writeSpectrumWatts(const NamedSpectrum& spectrum);
std::string writeTm27(const NamedSpectrum& spectrum);
/// Fixed (AFFN), or packed by differences where the steps are equal.
std::string writeJcamp(const NamedSpectrum& spectrum, bool packed = false);

namespace spectrum_file {

/// What every reader does with its numbers in the end. `line` of each value is for messages.
Expected<FileSpectrum> cleaned(FileSpectrum raw, const std::vector<int>& lines);
/// What words beside values say of their unit: factor to W or µmol per m² and nm, and whether they are only
/// relative. Changes nothing where they say nothing.
void takeUnit(std::string_view words, FileSpectrum& spectrum, double& factor);

}  // namespace spectrum_file

}  // namespace glumet
