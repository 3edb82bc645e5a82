#pragma once

#include <QWidget>

#include "desk/array/array_painter.h"
#include "desk/shared/accessible_cells.h"

namespace glumet {

/// Fixtures over a tank, from the side or from above, and the light they give. They are dragged along the row
/// in either picture, up and down in the side view; the arrow keys do the same, a digit chooses one.
class ArrayView : public QWidget, public AccessibleCells {
    Q_OBJECT

  public:
    ArrayView(ArrayLight& light, ArrayPart part);

    /// What is marked, in which colours; `empty` is said where there is no light to show.
    void dress(const ArrayMarks& marks, const Palette& palette, const QString& empty);
    QSize sizeHint() const override { return {320, 330}; }
    QSize minimumSizeHint() const override { return {260, 200}; }
    /// The fixtures, then what the light is: at each depth that is judged, or about every 10 cm of the plan.
    std::vector<AccessibleCell> accessibleCells() const override;

  protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

  private:
    ArrayGeometry geometry();
    void addPlanValues(const ArrayGeometry& at, std::vector<AccessibleCell>& cells) const;
    void addDepths(const ArrayGeometry& at, std::vector<AccessibleCell>& cells) const;
    double alongAt(const QPointF& at, const ArrayGeometry& geometry) const;

    ArrayLight& light_;
    ArrayMarks marks_;
    const Palette* palette_ = nullptr;
    QString empty_;
    ArrayPart part_;
    bool held_ = false;
    QPointF pressed_;
    double pressed_height_ = 0.0;
    double air_mm_ = 0.0;  ///< stays while something is held
};

}  // namespace glumet
