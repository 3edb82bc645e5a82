#pragma once

#include <QLabel>
#include <QListWidget>
#include <QPushButton>

#include "desk/shared/scrolled_dialog.h"
#include "desk/shared/session.h"
#include "report/shelf.h"

namespace glumet {

/// The shelf of this machine: what lies there, where it is from, and which of it is compared with one's own.
class ShelfDialog : public ScrolledDialog {
    Q_OBJECT

  public:
    ShelfDialog(Session& session, const QStringList& compared, QWidget* parent);

    /// Folders of the chosen entries.
    QStringList chosen() const;

    /// Where the shelf of this machine is.
    static QString place();

  private:
    void fill(const QStringList& chosen);
    void addButtons();
    void addFolder();
    void addPackage();
    void take(const QString& path);
    void remove();

    Session& session_;
    QListWidget* list_;
    QLabel* about_;
    QLabel* fault_;
    QPushButton* remove_;
    std::vector<ShelfEntry> entries_;
};

}  // namespace glumet
