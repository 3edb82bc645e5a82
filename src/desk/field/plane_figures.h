#pragma once

#include <QPixmap>
#include <QWidget>

#include "core/bench/sweep.h"
#include "core/plane/plane_statistics.h"
#include "desk/shared/session.h"

namespace glumet {

/// The figures of one plane: ring means with bars, band, evenness, delivered output.
class PlaneFigures : public QWidget {
    Q_OBJECT

  public:
    explicit PlaneFigures(Session& session);
    void refresh();

  protected:
    void paintEvent(QPaintEvent* event) override;

  private:
    struct Row {
        QString name;
        QString value;
        QString note;
        double bar = -1.0;  ///< PPFD of the bar; none below 0
        bool gap = false;   ///< space above
    };
    void addRings(const PlaneStatistics& statistics);
    void addSpread(const PlaneStatistics& statistics);
    void addMeans(const Plane& plane);

    Session& session_;
    std::vector<Row> rows_;
};

/// All planes of the sweep as small maps on one sheet: a column per height, a row per depth. The arrow keys
/// and the mouse choose a plane.
class PlaneSheetView : public QWidget {
    Q_OBJECT

  public:
    explicit PlaneSheetView(Session& session);

  protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

  private:
    QRectF mapRect(int column, int row) const;
    double depthGutter() const;
    int chosenColumn() const;
    void renderMaps();

    Session& session_;
    QPixmap maps_;           ///< null: to be drawn anew
    Configuration maps_of_;  ///< the sweep they are of
};

}  // namespace glumet
