#pragma once

#include <QComboBox>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QTableWidget>

#include "desk/shared/scrolled_dialog.h"
#include "desk/shared/session.h"

namespace glumet {

/// A chart that somebody else published, typed in: means of rings at heights and depths, and who read them.
class ChartDialog : public ScrolledDialog {
    Q_OBJECT

  public:
    ChartDialog(Session& session, QWidget* parent);

    /// A bench of the chart's runs, whose planes hold its means, or what is still wrong.
    Expected<Bench> chart() const;

  private:
    void layOut();
    /// As many rows and columns as heights, depths and the grid want; what is typed stays in its cell.
    void shapeTable();
    void check();
    Expected<Run> runBlank() const;
    Expected<std::vector<Millimetre>> lengths(const QLineEdit* edit, const QString& wrong,
                                              double least) const;
    Expected<std::vector<Plane>> planesAt(const Tank& tank, const std::vector<Millimetre>& depths,
                                          double relative_sd, int& row) const;
    Expected<std::vector<RingMean>> meansOfRow(int row, double relative_sd) const;

    Session& session_;
    QComboBox* fixture_;
    QComboBox* tank_;
    QLineEdit* source_;
    QLineEdit* level_;
    QLineEdit* grid_;
    QLineEdit* error_;
    QLineEdit* heights_;
    QLineEdit* depths_;
    QTableWidget* means_;
    QLabel* fault_;
    QPushButton* keep_;
};

}  // namespace glumet
