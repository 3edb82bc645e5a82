#pragma once

#include <QLabel>

#include "core/compare/comparison.h"
#include "desk/shared/figure_table.h"
#include "desk/shared/form_column.h"

class QCustomPlot;

namespace glumet {

/// What the contenders cost to buy and to run, and how they age. Prices and hours are typed here; what is not
/// stated is named.
class CostPage : public QWidget {
    Q_OBJECT

  public:
    explicit CostPage(Session& session);

    void show(const Comparison& compared, std::size_t chosen);
    std::vector<QStringList> table() const { return table_rows_; }

  private:
    void addFields();
    QLineEdit* addNumber(const QString& name, const char* object, std::function<double(const Method&)> read,
                         std::function<void(Method&, double)> write, double most);
    void showCosts(const Comparison& compared, std::size_t chosen);
    void showAgeing(const Comparison& compared);

    Session& session_;
    FormColumn* form_;
    QLabel* cheapest_;
    FigureTable* costs_;
    QLabel* missing_;
    QLabel* ageing_words_;
    QCustomPlot* ageing_;
    std::vector<QStringList> table_rows_;
};

}  // namespace glumet
