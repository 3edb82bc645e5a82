#pragma once

#include <QLineEdit>
#include <QPushButton>

#include "core/bench/planned_array.h"
#include "desk/shared/figure_table.h"
#include "desk/shared/session.h"

namespace glumet {

/// Arrays kept for the review: the list, what keeps the one that is shown, what shows, renames, explains or
/// removes one of them.
class KeptPlans : public QWidget {
    Q_OBJECT

  public:
    explicit KeptPlans(Session& session);

    /// Lists the project's, in the accent what hangs alike; `shown`: the array that hangs now by the name it
    /// would be kept by, nothing while none hangs.
    void refresh(const std::optional<PlannedArray>& shown);

  signals:
    void keepAsked(const QString& name);  ///< the one that hangs now
    void showAsked(glumet::Id plan);

  private:
    void layOut();
    void makeActions();
    QPushButton* action(const QString& words, const char* object);
    /// Of the list; nothing, and that is said, where none is chosen.
    const PlannedArray* chosen() const;
    const PlannedArray* current() const;
    void remove();
    void takeName(int row, int column);
    void explain();
    void showNote();
    /// What the list shows.
    struct Listed {
        std::vector<QStringList> rows;
        int named = -1;
        QColor accent;
        bool operator==(const Listed&) const = default;
    };
    void list(Listed listed);

    Session& session_;
    FigureTable* list_;
    QLineEdit* name_;
    QLineEdit* note_;  ///< of the one chosen, for the review
    QPushButton* keep_;
    QPushButton* show_;
    QPushButton* rename_;
    QPushButton* remove_;
    std::vector<Id> plans_;  ///< by row of the list
    Listed listed_;
    Id note_of_ = 0;
};

}  // namespace glumet
