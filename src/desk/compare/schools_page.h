#pragma once

#include <QLabel>

#include "core/compare/school_orders.h"
#include "desk/shared/figure_table.h"
#include "desk/shared/session.h"

namespace glumet {

/// The same fixtures under every school, one school a column: whose place changes, and why.
class SchoolsPage : public QWidget {
    Q_OBJECT

  public:
    explicit SchoolsPage(Session& session);

    /// nullptr: still being worked out.
    void show(const std::vector<SchoolOrder>* orders);
    std::vector<QStringList> table() const { return rows_; }

  private:
    void sayWhy(int row, int column);

    Session& session_;
    QLabel* caption_;
    FigureTable* table_;
    QLabel* why_;
    std::vector<SchoolOrder> orders_;
    std::vector<QStringList> rows_;
};

}  // namespace glumet
