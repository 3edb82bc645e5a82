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
#include "formats/ring_csv.h"

namespace glumet {

/// Shows what a file was understood to hold, asks for what it does not say, names the rows it cannot take,
/// and imports all or nothing: a readings CSV, a table of means that others published, or a sheet of typed
/// planes.
class ImportDialog : public ScrolledDialog {
    Q_OBJECT

  public:
    ImportDialog(Session& session, const QString& name, const QByteArray& bytes, QWidget* parent);

    /// How many readings would be imported now, or everything that is missing or wrong.
    Checked<int> ready() const;

  private:
    void understand();
    void gather(std::string_view text);
    void understandRings(const DelimitedText& text);
    Bench ringBench() const;
    void showMeans();
    Checked<std::vector<ReadingRow>> sheetRows() const { return rowsOfSheet(sheet_, answers()); }
    Expected<MergeReport> importInto(Project& project);
    QWidget* makeQuestions();
    QComboBox* askTank();
    void check();
    void showPreview(const std::vector<ReadingRow>& rows);
    void showBlocks();
    void setHeads(const QStringList& heads, std::size_t rows);
    void setCells(int row, const QStringList& cells);
    void import();
    SheetAnswers answers() const;
    QString understoodSentence() const;

    Session& session_;
    QString name_;
    QByteArray bytes_;
    Separators separators_;
    PlaneSheet sheet_;
    /// Of a readings table: what it holds as a bench of its own, which costs a fraction of its rows, and the
    /// first rows to be shown.
    ReadingTable table_;
    Bench gathered_;
    MergeReport gathering_;
    std::vector<ReadingRow> first_rows_;
    int count_ = 0;
    bool is_sheet_ = false;
    std::optional<RingTable> rings_;  ///< of a table of others' means
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
