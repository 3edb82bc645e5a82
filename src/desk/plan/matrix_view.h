#pragma once

#include <QWidget>

#include "core/survey/progress.h"
#include "desk/shared/accessible_cells.h"
#include "desk/shared/session.h"

namespace glumet {

/// The whole test matrix: a row for each configuration, a box for each mounting height, a shelf in it for
/// each depth. Planned shelves are outlines, read ones filled, doubtful runs carry a mark. Arrows and mouse
/// choose, Enter goes there.
class MatrixView : public QWidget, public AccessibleCells {
    Q_OBJECT

  public:
    explicit MatrixView(Session& session);

    void refresh();
    QSize sizeHint() const override;
    /// A cell a box.
    std::vector<AccessibleCell> accessibleCells() const override;

  signals:
    void opened();  ///< the chosen plane is to be measured

  protected:
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseDoubleClickEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

  private:
    struct Box {
        Id run;
        std::vector<PlaneProgress> planes;
        int doubts = 0;
    };
    struct Row {
        std::size_t sweep;
        QString name;
        std::vector<Box> boxes;
        int lines = 1;  ///< of boxes, where they do not fit side by side
        int top = 0;    ///< set by layOut()
    };

    static std::vector<Row> rowsOf(const Session& session);
    int boxesPerLine() const;
    int rowHeight(const Row& row) const;
    QRect boxRect(std::size_t row, std::size_t box) const;
    void layOut();
    void choose(const Box& box, std::optional<Millimetre> depth);
    void paintBox(QPainter& painter, const QRect& rect, const Box& box) const;
    QString spokenBox(const Row& row, const Box& box) const;

    Session& session_;
    std::vector<Row> rows_;
    int shelves_ = 1;  ///< of every box: the most that one has
};

}  // namespace glumet
