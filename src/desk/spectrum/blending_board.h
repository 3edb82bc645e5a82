#pragma once

#include <QWidget>
#include <optional>
#include <vector>

#include "core/base/spectrum.h"
#include "core/spectrum/colour.h"
#include "desk/shared/accessible_cells.h"
#include "report/palette.h"

namespace glumet {

/// Points of a blending test at their places, seen from above: each spectrum small, how far its colour is
/// from the middle's in figures, and a corner where that would show. Arrow keys and the mouse choose one.
class BlendingBoard : public QWidget, public AccessibleCells {
    Q_OBJECT

  public:
    struct Point {
        int column = 0;
        int row = 0;  ///< from the back
        QString name;
        Spectrum spectrum;  ///< all to one PPFD
        double distance = 0.0;
        bool centre = false;
    };

    BlendingBoard();
    void setPoints(std::vector<Point> points, const Palette& palette);
    const std::vector<Point>& points() const { return points_; }
    std::optional<std::size_t> chosen() const { return chosen_; }
    void choose(std::optional<std::size_t> point);
    std::vector<AccessibleCell> accessibleCells() const override;
    QSize sizeHint() const override { return {330, 186}; }
    QRect rectOf(std::size_t point) const;

  signals:
    void pointChosen();

  protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    void focusInEvent(QFocusEvent* event) override;
    void focusOutEvent(QFocusEvent* event) override;

  private:
    void walk(int columns, int rows);

    std::vector<Point> points_;
    int columns_ = 1;
    int rows_ = 1;
    const Palette* palette_ = nullptr;
    std::optional<std::size_t> chosen_;
};

/// "1.4": thousandths, as all of the window writes Δu'v'.
QString colourDistanceText(double distance);

}  // namespace glumet
