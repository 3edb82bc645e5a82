#pragma once

#include <QComboBox>
#include <QLineEdit>

#include "core/bench/schedule.h"
#include "desk/shared/scrolled_dialog.h"
#include "desk/shared/session.h"

namespace glumet {

/// A logger's file before it is kept: its name, and where the logger was.
class DayLogDialog : public ScrolledDialog {
    Q_OBJECT

  public:
    DayLogDialog(Session& session, const QString& path, QWidget* parent);

    /// Why the file cannot be read; empty when it can.
    const QString& fault() const { return fault_; }
    DayLog log() const;

  private:
    Session& session_;
    DayLog log_;
    QString fault_;
    QLineEdit* name_;
    QComboBox* tank_;
    QLineEdit* depth_;
};

}  // namespace glumet
