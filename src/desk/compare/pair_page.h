#pragma once

#include <QLabel>
#include <QPushButton>

#include "core/compare/comparison.h"
#include "desk/shared/figure_table.h"
#include "desk/shared/plan_map.h"
#include "desk/shared/session.h"

namespace glumet {

/// Two contenders point by point: where one is brighter, depth by depth and ring by ring, and condition by
/// condition. A condition that is not comparable can be said to differ on purpose.
class PairPage : public QWidget {
    Q_OBJECT

  public:
    explicit PairPage(Session& session);

    void show(const Comparison& compared, std::size_t chosen, std::size_t against);
    const Paired& paired() const { return paired_; }
    /// As a table, for the clipboard and files.
    std::vector<QStringList> table() const;

  private:
    void showMap(const Comparison& compared, const Contender& a, const Contender& b);
    void showDepths();
    void showConditions(const Comparison& compared, std::size_t chosen, std::size_t against);
    void togglePurpose();
    const PairedPlane* plane() const;

    Session& session_;
    QLabel* caption_;
    PlanMap* map_;
    QLabel* map_caption_;
    FigureTable* depths_;
    FigureTable* conditions_;
    QLabel* remedy_;
    QPushButton* purpose_;
    Paired paired_;
    std::vector<ConditionRow> rows_;
};

}  // namespace glumet
