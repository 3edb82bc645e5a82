#pragma once

#include <QWidget>

#include "desk/shared/accessible_cells.h"
#include "desk/shared/session.h"
#include "report/section_figure.h"

namespace glumet {

/// The bench in side view, to scale, and the navigator: a click or the arrow keys choose a mounting height
/// (up, down) and a plane (page up, page down).
class SectionView : public QWidget, public AccessibleCells {
    Q_OBJECT

  public:
    explicit SectionView(Session& session);

    void refresh();
    const SectionData& shown() const { return data_; }
    /// The recommendation is shown where a verdict is the subject.
    void setShowsRecommendation(bool shows);
    QSize sizeHint() const override { return {320, 560}; }
    /// The mounting heights, upward, then the planes, downward.
    std::vector<AccessibleCell> accessibleCells() const override;

  protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

  private:
    bool hasTank() const;
    Sweep described() const;
    QRectF figureArea() const;
    void paintLegend(QPainter& painter) const;
    QString benchSentence() const;
    void addBandLines();

    Session& session_;
    SectionData data_;
    bool recommends_ = false;
    bool painted_ = false;
};

}  // namespace glumet
