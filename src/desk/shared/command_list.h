#pragma once

#include <QAction>
#include <QLineEdit>
#include <QListWidget>

#include "desk/shared/scrolled_dialog.h"
#include "desk/shared/stage.h"

namespace glumet {

/// The searchable list of everything the window can do.
class CommandList : public ScrolledDialog {
    Q_OBJECT

  public:
    CommandList(const QList<QAction*>& actions, QWidget* parent);

  protected:
    bool eventFilter(QObject* watched, QEvent* event) override;

  private:
    void filter(const QString& words);
    void runCurrent();

    QList<QAction*> actions_;
    QLineEdit* search_;
    QListWidget* list_;
};

/// Every key of the window on one sheet.
class KeySheet : public ScrolledDialog {
    Q_OBJECT

  public:
    KeySheet(const std::vector<StageEntry>& stages, const QList<QAction*>& actions, QWidget* parent);
};

}  // namespace glumet
