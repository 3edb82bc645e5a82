#pragma once

#include <QComboBox>
#include <QLabel>
#include <QLineEdit>
#include <QPlainTextEdit>
#include <QPushButton>

#include "core/meter/meter_correction.h"
#include "desk/shared/scrolled_dialog.h"
#include "desk/shared/session.h"

namespace glumet {

/// Two meters side by side in the same light, channel by channel: pairs of readings give the factor by which
/// the own meter's readings are multiplied from now on, with its uncertainty. Readings keep their raw value.
class TwinDialog : public ScrolledDialog {
    Q_OBJECT

  public:
    TwinDialog(Session& session, const MeterProfile& meter, QWidget* parent = nullptr);

    /// The meter with the new correction, or what is wrong with the fields.
    Expected<MeterProfile> corrected() const;

  private:
    Expected<std::vector<TwinPair>> pairs() const;
    void check();

    Session& session_;
    MeterProfile meter_;
    QComboBox* channel_;
    QLineEdit* twin_;
    QLineEdit* uncertainty_;
    QPlainTextEdit* pairs_;
    QLabel* result_;
    QLabel* fault_;
    QPushButton* keep_;
};

}  // namespace glumet
