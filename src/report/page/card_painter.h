#pragma once

#include <QPainter>

#include "report/page/document.h"
#include "report/palette.h"

namespace glumet {

/// Size of a card as a picture, in pixels: what pages that link to it show.
inline constexpr double kCardWide = 1200.0;
inline constexpr double kCardTall = 630.0;

/// White ground for print, else the paper theme.
const Palette& printPalette();

/// Paints a card onto kCardWide × kCardTall.
void paintCard(QPainter& painter, const Card& card, LengthUnit unit);

}  // namespace glumet
