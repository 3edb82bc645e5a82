#pragma once

#include <QComboBox>
#include <QLabel>
#include <QLineEdit>
#include <QPlainTextEdit>
#include <QPushButton>
#include <QTableWidget>

#include "desk/shared/scrolled_dialog.h"
#include "desk/shared/session.h"
#include "formats/plane_sheet.h"
#include "formats/readings_csv.h"

namespace glumet {

/// Shows what a file was understood to hold, asks for what it does not say, names the rows it cannot take,
/// and imports all or nothing. Both a readings CSV and a sheet of typed planes.
class ImportDialog : public ScrolledDialog {
    Q_OBJECT

  public:
    ImportDialog(Session& session, const QString& name, const QByteArray& bytes, QWidget* parent);

    /// Rows that would be imported now, or everything that is missing or wrong.
    Checked<std::vector<ReadingRow>> rows() const;

  private:
    void understand(const QByteArray& bytes);
    QWidget* makeQuestions();
    void check();
    void showPreview(const std::vector<ReadingRow>& rows);
    void showBlocks();
    void import();
    SheetAnswers answers() const;
    QString understoodSentence() const;

    Session& session_;
    QString name_;
    DelimitedText text_;
    ReadingTable table_;
    PlaneSheet sheet_;
    bool is_sheet_ = false;
    QLabel* understood_;
    QTableWidget* preview_;
    QPlainTextEdit* problems_;
    QLineEdit* run_ = nullptr;
    QLineEdit* fixture_ = nullptr;
    QLineEdit* height_ = nullptr;
    QLineEdit* depth_ = nullptr;
    QLineEdit* pitch_x_ = nullptr;
    QLineEdit* pitch_y_ = nullptr;
    QComboBox* tank_ = nullptr;
    QComboBox* top_row_ = nullptr;
    QPushButton* sound_only_;
    QPushButton* import_;
    bool only_sound_ = false;
};

}  // namespace glumet
