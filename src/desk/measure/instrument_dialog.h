#pragma once

#include <QCheckBox>
#include <QComboBox>
#include <QFormLayout>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QPlainTextEdit>
#include <QPushButton>
#include <QSpinBox>

#include "desk/shared/scrolled_dialog.h"
#include "desk/shared/session.h"
#include "meters/discovery.h"
#include "meters/instrument.h"

namespace glumet {

/// Instruments set up once and kept: how each is reached, where its value stands, a test with a live preview,
/// and which is used. Nothing is connected but by the test or by use.
class InstrumentDialog : public ScrolledDialog {
    Q_OBJECT

  public:
    InstrumentDialog(Session& session, const InstrumentStore& store, QWidget* parent = nullptr);
    ~InstrumentDialog() override;

    /// Turns to the profile of that name, where there is one.
    void choose(const QString& name);
    /// What stands in the fields.
    InstrumentProfile profile() const;

  private:
    QWidget* makeList();
    QWidget* makeFields();
    void addFieldRows();
    QWidget* makePreview();
    void fill(const InstrumentProfile& profile);
    void showChosen(int row);
    void showFieldsOf(Transport transport);
    void add();
    void remove();
    void look();
    void endLook();
    void keep();
    void test();
    void endTest();
    void showState();
    void use();

    Session& session_;
    InstrumentStore store_;
    QList<InstrumentProfile> profiles_;
    std::unique_ptr<ConnectedMeter> tested_;
    std::unique_ptr<Discovery> discovery_;
    int values_ = 0;

    QListWidget* list_;
    QFormLayout* form_;
    QLineEdit* name_;
    QComboBox* measures_;
    QComboBox* transport_;
    QComboBox* place_;
    QSpinBox* number_;
    QSpinBox* column_;
    QLineEdit* pattern_;
    QLineEdit* factor_;
    QLineEdit* most_;
    QLineEdit* first_nm_;
    QLineEdit* step_nm_;
    QComboBox* spectral_unit_;
    QLineEdit* question_;
    QLineEdit* integration_;
    QSpinBox* interval_;
    QSpinBox* unit_;
    QSpinBox* address_;
    QComboBox* type_;
    QCheckBox* input_;
    QCheckBox* swapped_;
    QLabel* state_;
    QLabel* value_;
    QPlainTextEdit* lines_;
    QPushButton* test_;
    QPushButton* look_;
    QLabel* fault_;
};

}  // namespace glumet
