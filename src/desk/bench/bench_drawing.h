#pragma once

#include <QLineEdit>
#include <QWidget>
#include <vector>

#include "desk/shared/session.h"

namespace glumet {

/// A thing of the bench in plan, to scale, with its sizes typed at their dimension lines.
class BenchDrawing : public QWidget {
    Q_OBJECT

  public:
    explicit BenchDrawing(Session& session);

    QSize sizeHint() const override { return {320, 236}; }
    QSize minimumSizeHint() const override { return {240, 210}; }

  protected:
    /// Room around the body, for dimension lines and what stands beside it.
    static constexpr int kAcross = 82;  ///< left, for the dimension across
    static constexpr int kAlong = 30;   ///< above or below, for the dimension along

    /// The rectangle of these proportions, as large as fits into `area`, in its middle.
    static QRectF fitted(const QRectF& area, double length, double width);

    /// A dimension line from end to end, with a gap where the field stands.
    void paintAlong(QPainter& p, double from, double to, double y, const QRect& field) const;
    void paintAcross(QPainter& p, double x, double from, double to, const QRect& field) const;
    /// Takes a field in, to be placed by the drawing.
    QLineEdit* take(QLineEdit* field, int width);
    static void place(QLineEdit* field, const QPointF& middle);

    Session& session_;
};

}  // namespace glumet
