#pragma once

#include <QWidget>

#include "core/words/finding.h"
#include "desk/shared/session.h"

namespace glumet {

/// One step of the work, shown in the middle of the window. A stage shows the session and never computes.
class Stage : public QWidget {
    Q_OBJECT

  public:
    explicit Stage(Session& session) : session_(session) {}

    /// Takes over whatever changed; called when shown and after every change while shown.
    virtual void refresh() = 0;
    /// Sentences for the column on the right.
    virtual std::vector<Finding> findings() const = 0;
    /// The widget that takes the keys when the stage is entered.
    virtual QWidget* keyWidget() { return this; }
    /// What stands in the section's place while it is shown; nullptr: the section of the bench.
    virtual QWidget* section() { return nullptr; }
    /// Whether work for it is under way in the background.
    virtual bool busy() const { return false; }

  signals:
    /// What is shown has changed without a change of the session: the window refreshes stage and findings.
    void viewChanged();

  protected:
    Session& session() const { return session_; }
    const Palette& colours() const { return session_.palette(); }

  private:
    Session& session_;
};

}  // namespace glumet
