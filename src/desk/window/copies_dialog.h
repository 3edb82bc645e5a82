#pragma once

#include <QListWidget>

#include "desk/shared/scrolled_dialog.h"
#include "project/kept_copies.h"

namespace glumet {

/// Copies of a project that were kept aside, newest first; one is chosen to be restored under a name of its
/// own.
class CopiesDialog : public ScrolledDialog {
    Q_OBJECT

  public:
    CopiesDialog(const QString& project, QList<KeptCopy> copies, QWidget* parent);

    /// After it was accepted.
    const KeptCopy& chosen() const { return copies_[list_->currentRow()]; }

  private:
    QList<KeptCopy> copies_;
    QListWidget* list_;
};

}  // namespace glumet
