#pragma once

#include <QWidget>

#include "desk/shared/accessible_cells.h"
#include "report/tank_figure.h"

namespace glumet {

/// A living tank from above, with its spots. A click chooses one, dragging moves it, a double click on the
/// water asks for a new one; the arrows walk from spot to spot.
class TankView : public QWidget, public AccessibleCells {
    Q_OBJECT

  public:
    TankView();
    void setFigure(TankFigure figure, const Palette& palette);
    const TankFigure& figure() const { return figure_; }
    QSize minimumSizeHint() const override { return {320, 150}; }
    std::vector<AccessibleCell> accessibleCells() const override;
    /// Where a spot stands in the widget, for tests.
    QPoint placeOf(Id spot) const;

  signals:
    void spotChosen(glumet::Id spot);
    void spotMoved(glumet::Id spot, double x_mm, double y_mm);
    void spotWanted(double x_mm, double y_mm);

  protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    void mouseDoubleClickEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

  private:
    QRectF area() const { return QRectF(rect()).adjusted(2, 2, -2, -2); }
    std::pair<double, double> placeAt(const QPointF& point) const;
    void step(int by);

    TankFigure figure_;
    const Palette* palette_ = nullptr;
    std::optional<std::size_t> held_;
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
