#pragma once

#include <QWidget>
#include <vector>

#include "desk/shared/session.h"

namespace glumet {

/// The steps of the work along the top; each may carry how much of it is done.
class StageBar : public QWidget {
    Q_OBJECT

  public:
    explicit StageBar(Session& session);

    void setCurrent(StageId stage);
    StageId current() const { return current_; }
    void setProgress(StageId stage, const QString& progress);
    QSize sizeHint() const override;

    static QString nameOf(StageId stage);

  signals:
    void chosen(glumet::StageId stage);

  protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void leaveEvent(QEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    void focusInEvent(QFocusEvent* event) override;
    void focusOutEvent(QFocusEvent* event) override;

  private:
    std::vector<QRect> rects() const;
    int stageAt(const QPoint& point) const;

    Session& session_;
    std::vector<QString> progress_;
    StageId current_ = StageId::Bench;
    int hovered_ = -1;
};

}  // namespace glumet
