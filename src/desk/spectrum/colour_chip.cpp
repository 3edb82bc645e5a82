#include "desk/spectrum/colour_chip.h"

#include <QPainter>

#include "report/text.h"

namespace glumet {
namespace {

constexpr int kSide = 26;

}  // namespace

QColor screenColour(const Chromaticity& colour) {
    const auto swatch = swatchOf(colour);
    return {swatch.red, swatch.green, swatch.blue};
}

ColourChip::ColourChip() { setSizePolicy(QSizePolicy::Fixed, QSizePolicy::Fixed); }

void ColourChip::setColour(const std::optional<Chromaticity>& colour, const QString& name,
                           const Palette& palette) {
    colour_ = colour;
    name_ = name;
    palette_ = &palette;
    const bool shown = !colour || swatchOf(*colour).in_gamut;
    setToolTip(!colour ? tr("Its colour is not known.")
               : shown ? tr("x %1, y %2").arg(colour->x, 0, 'f', 4).arg(colour->y, 0, 'f', 4)
                       : tr("x %1, y %2: beyond what the screen can show; the nearest it can")
                             .arg(colour->x, 0, 'f', 4)
                             .arg(colour->y, 0, 'f', 4));
    setAccessibleName(name + QStringLiteral(": ") + toolTip());
    updateGeometry();
    update();
}

QSize ColourChip::sizeHint() const {
    return {kSide + 10 + QFontMetrics(houseFont(13)).horizontalAdvance(name_), kSide};
}

void ColourChip::paintEvent(QPaintEvent* /*event*/) {
    if (palette_ == nullptr) return;
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    const QRectF box(0.5, 0.5, kSide - 1, kSide - 1);
    p.setPen(QPen(palette_->line, 1));
    p.setBrush(colour_ ? QBrush(screenColour(*colour_)) : QBrush(palette_->line, Qt::BDiagPattern));
    p.drawRoundedRect(box, 5, 5);
    if (colour_ && !swatchOf(*colour_).in_gamut) {
        p.setPen(QPen(inkFor(screenColour(*colour_)), 1.4));
        p.drawLine(box.bottomLeft() + QPointF(4, -4), box.topRight() + QPointF(-4, 4));
    }
    p.setPen(palette_->muted);
    p.setFont(houseFont(13));
    p.drawText(QRectF(kSide + 7, 0, width() - kSide - 7, kSide), Qt::AlignVCenter | Qt::AlignLeft, name_);
}

}  // namespace glumet
