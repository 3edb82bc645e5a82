#pragma once

#include <QColor>
#include <QFont>

#include "report/tide.h"

namespace glumet {

/// The colours a figure or window is drawn in. One accent, for what is chosen or needs a look.
struct Palette {
    QColor ground;  ///< behind the stage
    QColor panel;   ///< columns left and right
    QColor raised;  ///< fields, rows, the ledger line
    QColor line;
    QColor text;
    QColor muted;  ///< secondary text; still 4.5 : 1 on panel and ground
    QColor accent;
    QColor on_accent;  ///< text on the accent
    QColor water;
    QColor basin;  ///< water body in the section
    bool dark = true;
};

/// Warm dark, for a dark room.
const Palette& dimRoom();
/// Light, for daylight and for print.
const Palette& paper();

QColor colourOf(Rgb rgb);
/// The field scale's colour for a PPFD when `top` is its cream end.
QColor tideColour(double ppfd, double top);
/// Black or white ink for text on a field colour.
QColor inkFor(const QColor& ground);

/// B612, whose digits are of one width, so that figures line up in tables too: its Mono cut sets the decimal
/// point in a full cell, apart from its number. Loads the shipped files on first use.
QFont houseFont(double pixel_size, bool bold = false);

}  // namespace glumet
