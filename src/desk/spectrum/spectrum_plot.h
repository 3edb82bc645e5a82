#pragma once

#include <QWidget>

#include "desk/shared/accessible_cells.h"
#include "report/spectrum_figure.h"

namespace glumet {

/// The figure as a widget; the bands are what a screen reader is told, and the pointer says the wavelength.
class SpectrumPlot : public QWidget, public AccessibleCells {
    Q_OBJECT

  public:
    SpectrumPlot();
    void setFigure(SpectrumFigure figure, const Palette& palette);
    const SpectrumFigure& figure() const { return figure_; }
    std::vector<AccessibleCell> accessibleCells() const override;

  protected:
    void paintEvent(QPaintEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;

  private:
    SpectrumFigure figure_;
    const Palette* palette_ = nullptr;
};

}  // namespace glumet
