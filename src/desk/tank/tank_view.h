#pragma once

#include <QWidget>

#include "desk/shared/accessible_cells.h"
#include "report/tank_figure.h"

namespace glumet {

/// A living tank from above, with its spots and rocks. A click chooses one, dragging moves it, a rock by its
/// back right corner changes its size; a double click on the water asks for a new spot; the arrows walk from
/// spot to spot.
class TankView : public QWidget, public AccessibleCells {
    Q_OBJECT

  public:
    TankView();
    void setFigure(TankFigure figure, const Palette& palette);
    const TankFigure& figure() const { return figure_; }
    QSize minimumSizeHint() const override { return {320, 150}; }
    std::vector<AccessibleCell> accessibleCells() const override;
    /// Where a spot stands in the widget, for tests; and a place of the tank.
    QPoint placeOf(Id spot) const;
    QPoint placeOf(double x_mm, double y_mm) const {
        return tankPoint(area(), figure_, x_mm, y_mm).toPoint();
    }

  signals:
    void spotChosen(glumet::Id spot);
    void spotMoved(glumet::Id spot, double x_mm, double y_mm);
    void spotWanted(double x_mm, double y_mm);
    /// The pointer rests on a place of the tank, or has left it.
    void pointed(double x_mm, double y_mm);
    void pointedAway();
    void rockChosen(glumet::Id rock);
    /// Moved, or drawn larger or smaller by its far corner.
    void rockMoved(const glumet::Rock& rock);

  protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    void mouseDoubleClickEvent(QMouseEvent* event) override;
    void leaveEvent(QEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

  private:
    QRectF area() const { return QRectF(rect()).adjusted(2, 2, -2, -2); }
    std::pair<double, double> placeAt(const QPointF& point) const;
    void step(int by);

    TankFigure figure_;
    const Palette* palette_ = nullptr;
    void holdRock();
    void dragRock(const QPointF& to);

    std::optional<std::size_t> held_;
    std::optional<std::size_t> rock_;  ///< that is held
    Rock rock_before_;
    bool by_corner_ = false;
    QPointF pressed_;
    bool moving_ = false;
};

/// A picture of its own painting, in colours that follow the theme.
class PaintedPanel : public QWidget {
    Q_OBJECT

  public:
    using Paint = std::function<void(QPainter&, const QRectF&)>;
    explicit PaintedPanel(const QString& accessible) { setAccessibleName(accessible); }
    void setPaint(Paint paint) {
        paint_ = std::move(paint);
        update();
    }

  protected:
    void paintEvent(QPaintEvent* event) override;

  private:
    Paint paint_;
};

}  // namespace glumet
