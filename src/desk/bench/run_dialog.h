#pragma once

#include <QComboBox>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>

#include "desk/shared/scrolled_dialog.h"
#include "desk/shared/session.h"

namespace glumet {

/// Plans a run: what hangs where, how high, which depths, which grid.
class RunDialog : public ScrolledDialog {
    Q_OBJECT

  public:
    /// Starts from `like`, one height step up; nullptr starts from the first of everything.
    RunDialog(Session& session, const Run* like, QWidget* parent);

    /// The run as filled in, or what is still wrong.
    Expected<NewRuns> runs() const;

  private:
    void layOut();
    void check();
    template <class T>
    QComboBox* makeChoice(const std::vector<T>& items, Id chosen, const QString& none);
    std::vector<Plane> planesFor(const Run& run) const;

    Session& session_;
    QComboBox* fixture_ = nullptr;
    QComboBox* accessory_;
    QComboBox* tank_;
    QComboBox* meter_;
    QComboBox* water_;
    QLineEdit* preset_;
    QLineEdit* level_;
    QLineEdit* count_;
    QLineEdit* turn_;
    QLineEdit* height_;
    QLineEdit* depths_;
    QLineEdit* grid_;
    QLineEdit* dark_;
    QLineEdit* warm_up_ = nullptr;
    QLineEdit* hours_ = nullptr;
    QLabel* fault_;
    QPushButton* make_ = nullptr;
};

}  // namespace glumet
