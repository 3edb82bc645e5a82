#pragma once

#include <vector>

#include "core/base/spectrum.h"

namespace glumet {

/// A figure with the span within which it lies 95 times in 100.
struct FigureSpan {
    double value = 0.0;
    double low = 0.0;
    double high = 0.0;
};

/// How alike the spectra of several points, or of several moments, are.
struct Blending {
    std::vector<double> colour_from_centre;  ///< Δu'v' of each from the one in the middle
    std::vector<double> colour_from_mean;    ///< … from the mean of all, each scaled to the same PPFD
    std::vector<double> angle_from_centre;  ///< spectral angle, degrees: cos = a·b / (|a| |b|), 400–700 nm
    std::vector<double> angle_from_mean;
    std::vector<std::vector<double>> band_shares;
    /// Mean Δu'v' from the centre, of the others: static; from the mean, of all: over moments. The span is
    /// the jackknife's over the points.
    FigureSpan figure;
};

/// `centre`: which of them stands in the middle. Needs three with light in 400–700 nm; an empty Blending
/// else.
Blending blendingOf(const std::vector<Spectrum>& spectra, std::size_t centre,
                    const std::vector<SpectralBand>& bands);
/// The same of one place from moment to moment.
Blending blendingOverTime(const std::vector<Spectrum>& moments, const std::vector<SpectralBand>& bands);

/// Angle between two spectra as vectors by the nanometre, 400–700 nm, degrees 0–90; 0 where one is dark.
double spectralAngle(const Spectrum& a, const Spectrum& b);

}  // namespace glumet
