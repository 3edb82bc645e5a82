#pragma once

#include <QByteArray>
#include <QString>

#include "report/page/document.h"

namespace glumet {

/// A picture as an svg element within a page: what one sees in words, and places that say more.
QString inlineSvg(const PageFigure& figure, LengthUnit unit);

/// A picture as a file that stands alone: its caption below it, and where it comes from.
QByteArray svgOf(const PageFigure& figure, LengthUnit unit, const QString& provenance);
/// The same twice as fine as its size.
QByteArray pngOf(const PageFigure& figure, LengthUnit unit, const QString& provenance);

/// A card as a picture of 1200 × 630, `scale` times as fine.
QByteArray pngOf(const Card& card, LengthUnit unit, int scale);

}  // namespace glumet
