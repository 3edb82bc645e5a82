#include "desk/shared/figure_table.h"

#include <QHeaderView>
#include <QKeyEvent>
#include <QSignalBlocker>
#include <algorithm>

namespace glumet {
namespace {

constexpr int kFigureRowHeight = 22;
constexpr int kTextSize = 12;

}  // namespace

FigureTable::FigureTable(const QString& accessible_name) {
    setAccessibleName(accessible_name);
    setEditTriggers(QAbstractItemView::NoEditTriggers);
    setSelectionBehavior(QAbstractItemView::SelectRows);
    setSelectionMode(QAbstractItemView::SingleSelection);
    setShowGrid(false);
    verticalHeader()->hide();
    verticalHeader()->setDefaultSectionSize(kFigureRowHeight);
    horizontalHeader()->setSectionResizeMode(QHeaderView::Stretch);
    horizontalHeader()->setHighlightSections(false);
    setFont(houseFont(kTextSize));
    setTabKeyNavigation(false);
}

void FigureTable::setHeads(const QStringList& heads) {
    setColumnCount(static_cast<int>(heads.size()));
    setHorizontalHeaderLabels(heads);
}

void FigureTable::setRows(const std::vector<QStringList>& rows, int emphasised, const Palette& palette) {
    const QSignalBlocker quiet(this);
    setRowCount(static_cast<int>(rows.size()));
    for (int row = 0; row < rowCount(); ++row) {
        const auto& cells = rows[static_cast<std::size_t>(row)];
        for (int column = 0; column < cells.size(); ++column) {
            auto* cell = new QTableWidgetItem(cells[column]);
            cell->setTextAlignment(Qt::AlignRight | Qt::AlignVCenter);
            if (row == emphasised) {
                cell->setForeground(palette.accent);
                cell->setFont(houseFont(kTextSize, true));
            }
            setItem(row, column, cell);
        }
    }
    emphasised_ = emphasised;
    scrollToEmphasised();
}

void FigureTable::showAtMost(int rows) {
    setFixedHeight(2 * frameWidth() + horizontalHeader()->sizeHint().height() +
                   std::clamp(rowCount(), 1, rows) * verticalHeader()->defaultSectionSize());
}

void FigureTable::scrollToEmphasised() {
    if (emphasised_ >= 0 && isVisible()) scrollToItem(item(emphasised_, 0), PositionAtCenter);
}

/// Page up and down scroll the table that has the focus; elsewhere they choose a plane.
bool FigureTable::event(QEvent* event) {
    if (event->type() == QEvent::ShortcutOverride) {
        const int key = static_cast<QKeyEvent*>(event)->key();
        if (key == Qt::Key_PageUp || key == Qt::Key_PageDown) {
            event->accept();
            return true;
        }
    }
    return QTableWidget::event(event);
}

/// A table that was filled while hidden has no size to scroll in until now.
void FigureTable::showEvent(QShowEvent* event) {
    QTableWidget::showEvent(event);
    emit shown();
    QMetaObject::invokeMethod(this, &FigureTable::scrollToEmphasised, Qt::QueuedConnection);
}

}  // namespace glumet
