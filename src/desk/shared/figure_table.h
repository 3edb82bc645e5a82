#pragma once

#include <QTableWidget>

#include "report/palette.h"

namespace glumet {

/// A table of figures to be read, not edited: rows are chosen whole, figures stand to the right.
class FigureTable : public QTableWidget {
    Q_OBJECT

  public:
    explicit FigureTable(const QString& accessible_name);

    void setHeads(const QStringList& heads);
    /// Shows these rows; the emphasised one (−1: none) in the accent.
    void setRows(const std::vector<QStringList>& rows, int emphasised, const Palette& palette);

    /// As tall as its rows, and one at least; more than these scroll.
    void showAtMost(int rows);

  signals:
    void shown();  ///< what was filled only in sight is filled now

  protected:
    bool event(QEvent* event) override;
    void showEvent(QShowEvent* event) override;

  private:
    void scrollToEmphasised();

    int emphasised_ = -1;
};

}  // namespace glumet
