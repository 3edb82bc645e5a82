#pragma once

#include <QWidget>

#include "desk/shared/accessible_cells.h"
#include "report/plan_figure.h"

namespace glumet {

/// The plan of one plane as a widget: the mouse and the arrow keys walk its cells.
class PlanMap : public QWidget, public AccessibleCells {
    Q_OBJECT

  public:
    explicit PlanMap(QWidget* parent = nullptr);

    void setPlan(const PlanData& plan, const Palette& palette);
    const PlanData& plan() const { return plan_; }
    /// A faint note across an empty plan.
    void setHint(const QString& hint);
    QRectF cellRect(Cell cell) const;
    bool hasHeightForWidth() const override { return true; }
    int heightForWidth(int width) const override;
    /// Left edge of the drawn tank, for aligning captions.
    QRectF footprint() const;
    std::vector<AccessibleCell> accessibleCells() const override;

  signals:
    void cellChosen(glumet::Cell cell);  ///< by click or arrow key
    void cellHovered(glumet::Cell cell);
    void hoverEnded();

  protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void leaveEvent(QEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

  private:
    PlanLayout layoutNow() const;
    QString spokenCell(Cell cell) const;

    PlanData plan_;
    const Palette* palette_ = nullptr;
    QString hint_;
};

}  // namespace glumet
