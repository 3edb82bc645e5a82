#pragma once

#include <QComboBox>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QTableWidget>

#include "core/bench/spectrum_record.h"
#include "desk/shared/scrolled_dialog.h"
#include "desk/shared/session.h"
#include "formats/spectrum_file.h"

class QFormLayout;

namespace glumet {

/// Spectra of files before they are kept: what each belongs to, their unit where the files do not say it, and
/// whether they are the points of a blending test.
class SpectraDialog : public ScrolledDialog {
    Q_OBJECT

  public:
    SpectraDialog(Session& session, const Fixture& fixture, const QStringList& paths, QWidget* parent);

    /// Why the files cannot be read; empty when they can.
    const QString& fault() const { return fault_; }
    std::vector<SpectrumRecord> records() const;

  private:
    struct Row {
        QString file;
        FileSpectrum read;
        QComboBox* belongs;
    };
    void read(const QStringList& paths);
    void layOut();
    QStringList fillTable();
    QFormLayout* makeForm();
    bool asksUnit() const;
    QComboBox* makeBelongs(const QString& name);
    void check();
    bool isTest() const { return use_->currentIndex() == 1; }

    Session& session_;
    Fixture fixture_;
    QString fault_;
    std::vector<Row> rows_;
    QTableWidget* table_;
    QComboBox* unit_;
    QComboBox* use_;
    QLineEdit* test_;
    QLineEdit* columns_;
    QLineEdit* pitch_;
    QLineEdit* height_;
    QLabel* wrong_;
    QPushButton* keep_;
};

}  // namespace glumet
