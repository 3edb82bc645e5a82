#pragma once

#include <QWidget>
#include <vector>

#include "desk/shared/accessible_cells.h"
#include "desk/shared/stage.h"

namespace glumet {

/// The steps of the work along the top, in three acts; each may carry how much of it is done. Where room is
/// short it first leaves out what is done of the others, then closes the acts that are not at hand to their
/// names; one of those opens at the stage that was last shown in it.
class StageBar : public QWidget, public AccessibleCells {
    Q_OBJECT

  public:
    /// `stages` outlives the bar.
    StageBar(Session& session, const std::vector<StageEntry>& stages);

    void setCurrent(int stage);
    int current() const { return current_; }
    void setProgress(int stage, const QString& progress);
    QSize sizeHint() const override;
    QSize minimumSizeHint() const override;
    std::vector<AccessibleCell> accessibleCells() const override;

    /// Where a stage's name stands; empty where its act is closed.
    QRect rectOf(int stage) const;

    static QString nameOf(Act act);

  signals:
    void chosen(int stage);

  protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void leaveEvent(QEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

  private:
    /// How much is told, from all of it to least.
    enum class Fullness { Whole, Names, OneAct };
    /// A name in the bar: a stage, or an act that is closed.
    struct Item {
        int stage;  ///< that a click shows
        bool closed_act = false;
        QString name;
        QString progress;
        QRect rect;
    };
    std::vector<Item> itemsAt(Fullness fullness) const;
    /// Of the fullest form that fits.
    std::vector<Item> items() const;
    int widthOf(Fullness fullness) const;
    int stageAt(const QPoint& point) const;
    void paintItem(QPainter& p, const Item& item) const;

    Session& session_;
    const std::vector<StageEntry>& stages_;
    std::vector<QString> progress_;
    std::vector<int> last_of_act_;  ///< the stage last shown in each act
    int current_ = 0;
    int hovered_ = -1;
};

}  // namespace glumet
