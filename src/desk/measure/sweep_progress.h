#pragma once

#include <QWidget>

#include "desk/shared/session.h"

namespace glumet {

/// How far each plane of each height of the sweep is, as small bars: one group per height, one bar per depth.
class SweepProgress : public QWidget {
    Q_OBJECT

  public:
    explicit SweepProgress(Session& session);
    QSize sizeHint() const override { return {400, 74}; }

  protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;

  private:
    QRectF groupRect(int index, int count) const;

    Session& session_;
};

/// Share of a plane's planned points that are read; 1 for free points with readings.
double planeProgress(const Plane& plane);

}  // namespace glumet
