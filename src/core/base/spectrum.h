#pragma once

#include <optional>
#include <string>
#include <vector>

#include "core/base/problem.h"

namespace glumet {

/// Photons by wavelength: nm ascending within 200…1200, photon flux per nm ≥ 0 at each; straight lines
/// between and nothing beyond. Absolute values are µmol·m⁻²·s⁻¹·nm⁻¹, relative ones have no scale. Weighting
/// and response curves have the same shape and are held at their ends instead.
struct Spectrum {
    std::vector<double> wavelength_nm;
    std::vector<double> values;

    bool empty() const { return wavelength_nm.empty(); }
    bool operator==(const Spectrum&) const = default;
};

/// What an eye sees.
inline constexpr double kSeenFromNm = 380.0;
inline constexpr double kSeenToNm = 780.0;
/// What is taken at all.
inline constexpr double kShortestNm = 200.0;
inline constexpr double kLongestNm = 1200.0;

/// A watt of light at λ nm carries λ · kMicromolesPerJouleNm µmol·s⁻¹: 10⁻³ / (h·c·N_A), SI 2019.
inline constexpr double kMicromolesPerJouleNm = 0.008359347229;

/// Photosynthetically active radiation, nm.
inline constexpr double kParFromNm = 400.0;
inline constexpr double kParToNm = 700.0;
/// Extended PAR, which counts far red up to 750 nm.
inline constexpr double kEparToNm = 750.0;

/// Why this is no spectrum; nothing where it is one: two wavelengths or more and as many values, ascending
/// within 200…1200 nm, values finite and ≥ 0.
std::optional<Problem> spectrumFault(const Spectrum& spectrum);

/// Value at a wavelength, 0 beyond the ends.
double valueAt(const Spectrum& spectrum, double nm);
/// The same of a curve: held beyond its ends.
double curveAt(const Spectrum& curve, double nm);

/// ∫ values dλ over from…to, exact for the straight lines.
double photonsIn(const Spectrum& spectrum, double from_nm, double to_nm);
/// ∫ values · curve dλ over from…to, exact for the straight lines of both; the curve is held beyond its ends.
double weighedIn(const Spectrum& spectrum, const Spectrum& curve, double from_nm, double to_nm);

/// W per nm at the given wavelengths as photons, and back; the length is unchanged.
std::vector<double> photonsFromWatts(const std::vector<double>& wavelength_nm,
                                     const std::vector<double>& watts);
std::vector<double> wattsFromPhotons(const std::vector<double>& wavelength_nm,
                                     const std::vector<double>& photons);

Spectrum scaled(Spectrum spectrum, double factor);

/// A named span of wavelengths, from ≤ λ < to, nm.
struct SpectralBand {
    std::string name;
    double from_nm = kParFromNm;
    double to_nm = kParToNm;

    bool operator==(const SpectralBand&) const = default;
};

}  // namespace glumet
