#pragma once

#include <QLineEdit>
#include <QPushButton>

#include "core/bench/planned_array.h"
#include "desk/shared/figure_table.h"
#include "desk/shared/session.h"

namespace glumet {

/// Arrays kept for the review: the list, what keeps the one that is shown, what shows or removes one of them.
class KeptPlans : public QWidget {
    Q_OBJECT

  public:
    explicit KeptPlans(Session& session);

    /// Lists the project's; `shown`: what the array that hangs now would be called, empty while nothing
    /// hangs.
    void refresh(const QString& shown);

  signals:
    void keepAsked(const QString& name);  ///< the one that hangs now
    void showAsked(glumet::Id plan);

  private:
    void makeActions();
    QPushButton* action(const QString& words, const char* object);
    std::optional<Id> chosen() const;
    void remove();

    Session& session_;
    FigureTable* list_;
    QLineEdit* name_;
    QPushButton* keep_;
    QPushButton* show_;
    QPushButton* remove_;
    std::vector<Id> plans_;  ///< by row of the list
};

}  // namespace glumet
