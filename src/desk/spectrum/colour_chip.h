#pragma once

#include <QLabel>
#include <QWidget>

#include "core/spectrum/colour.h"
#include "report/palette.h"

namespace glumet {

/// A patch of a light's colour with what it is of. A colour that the screen cannot show is crossed.
class ColourChip : public QWidget {
    Q_OBJECT

  public:
    ColourChip();
    void setColour(const std::optional<Chromaticity>& colour, const QString& name, const Palette& palette);
    QSize sizeHint() const override;
    QSize minimumSizeHint() const override { return sizeHint(); }

  protected:
    void paintEvent(QPaintEvent* event) override;

  private:
    std::optional<Chromaticity> colour_;
    QString name_;
    const Palette* palette_ = nullptr;
};

QColor screenColour(const Chromaticity& colour);

}  // namespace glumet
