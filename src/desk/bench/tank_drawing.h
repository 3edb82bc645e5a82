#pragma once

#include <functional>

#include "desk/bench/bench_drawing.h"
#include "desk/shared/form_column.h"

namespace glumet {

/// The tank in plan, seen from above, front below: its four walls by kind, what is in the way, and the
/// fixture over it. A click on a wall changes its kind.
class TankDrawing : public BenchDrawing {
    Q_OBJECT

  public:
    using Shown = std::function<const Tank&()>;
    using Hung = std::function<const Fixture&()>;
    using Keep = std::function<QString(const Tank&)>;
    /// Lifts the fields of sizes out of `form`.
    TankDrawing(Session& session, FormColumn& form, Shown shown, Hung hung, Keep keep);

    /// The strip along a wall that takes clicks.
    QRectF wallRect(Side side) const;
    /// What a click on a wall offers, its kind checked.
    void offerKinds(Side side, const QPoint& at);

  protected:
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void leaveEvent(QEvent* event) override;

  private:
    QRectF basin() const;
    std::optional<Side> wallAt(const QPointF& point) const;
    void paintWall(QPainter& p, Side side) const;
    void paintThings(QPainter& p, const QRectF& water) const;

    Shown shown_;
    Hung hung_;
    Keep keep_;
    QLineEdit* length_;
    QLineEdit* width_;
    QLineEdit* depth_;
    std::optional<Side> over_;
};

/// "clear glass", "acrylic", "painted or covered".
QStringList wallKindNames();

}  // namespace glumet
