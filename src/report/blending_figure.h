#pragma once

#include <QPainter>
#include <QString>
#include <optional>
#include <vector>

#include "core/verdicts/blending_tests.h"
#include "report/palette.h"

namespace glumet {

/// The board of a blending test: its points at their places seen from above, or its moments in rows; each
/// spectrum small, how far its colour is from the middle's in figures, and a corner where that would show.
struct BlendingFigure {
    struct Point {
        int column = 0;
        int row = 0;  ///< from the back
        QString name;
        Spectrum spectrum;  ///< all to one PPFD
        double distance = 0.0;
        bool centre = false;
    };
    std::vector<Point> points;
    int columns = 1;
    int rows = 1;
};
BlendingFigure blendingFigure(const BlendingTest& test);

/// Where a point's field lies, and the whole board; one may be chosen.
QRectF blendingField(const QRectF& area, const BlendingFigure& figure, std::size_t point);
void paintBlending(QPainter& painter, const QRectF& area, const BlendingFigure& figure,
                   const Palette& palette, std::optional<std::size_t> chosen = {});

/// "1.4": thousandths, as all of the program writes Δu'v'.
QString colourDistanceText(double distance);

}  // namespace glumet
