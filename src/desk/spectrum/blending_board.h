#pragma once

#include <QWidget>
#include <optional>
#include <vector>

#include "desk/shared/accessible_cells.h"
#include "report/blending_figure.h"

namespace glumet {

/// The board of a blending test. Arrow keys and the mouse choose one of its points.
class BlendingBoard : public QWidget, public AccessibleCells {
    Q_OBJECT

  public:
    BlendingBoard();
    void setFigure(BlendingFigure figure, const Palette& palette);
    const std::vector<BlendingFigure::Point>& points() const { return figure_.points; }
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

  private:
    void walk(int columns, int rows);

    BlendingFigure figure_;
    const Palette* palette_ = nullptr;
    std::optional<std::size_t> chosen_;
};

}  // namespace glumet
