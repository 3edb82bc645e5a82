#pragma once

#include <QPainter>
#include <QString>
#include <optional>
#include <vector>

#include "core/base/spectrum.h"
#include "core/spectrum/shape.h"
#include "report/palette.h"

namespace glumet {

/// Spectra over each other, and the photons of the first by band below, on one axis of wavelengths.
struct SpectrumFigure {
    struct Line {
        QString name;
        Spectrum spectrum;  ///< all lines in one unit
    };
    std::optional<Line> main;  ///< filled
    std::vector<Line> others;  ///< dashed, each its own way
    /// What many spectra lie between, shaded.
    struct Span {
        QString name;
        Spectrum low;
        Spectrum high;
    };
    std::optional<Span> span;
    std::vector<SpectralPeak> peaks;  ///< of the main one
    std::vector<SpectralGap> gaps;
    std::vector<SpectralBand> bands;
    std::vector<double> shares;        ///< of the main one's photons in each band, 0–1
    std::vector<double> other_shares;  ///< of the first other one; empty: not drawn
    bool assumed = false;              ///< the main one was not measured: drawn broken
    QString empty;                     ///< what to say where there is nothing
};

/// From near-UV to far red.
inline constexpr double kFigureFromNm = 380.0;
inline constexpr double kFigureToNm = 780.0;

void paintSpectrum(QPainter& painter, const QRectF& area, const SpectrumFigure& figure,
                   const Palette& palette);
/// Where a wavelength stands in such a figure.
double spectrumX(const QRectF& area, double nm);

/// A spectrum as a line in a small rectangle, its greatest value at the top.
QPolygonF spectrumLine(const QRectF& area, const Spectrum& spectrum, double top);

}  // namespace glumet
