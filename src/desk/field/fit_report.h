#pragma once

#include <QLabel>

#include "desk/shared/figure_table.h"
#include "desk/shared/session.h"

namespace glumet {

/// What the fit found beside the beam: how well it fits, its parameters with their uncertainty, the readings
/// it distrusts, and what the readings cannot tell apart. A distrusted reading leads to its cell.
class FitReport : public QWidget {
    Q_OBJECT

  public:
    explicit FitReport(Session& session);
    void refresh(const FitResult& fit);

  private:
    static QString shapeWords(const FitResult& fit);
    QString nameOf(const FitParameter& parameter) const;
    void showParameters(const FitResult& fit);
    void showOutliers(const FitResult& fit);
    void goTo(int row);

    Session& session_;
    QLabel* summary_;
    FigureTable* parameters_;
    QLabel* outliers_title_;
    FigureTable* outliers_;
    QLabel* untold_;
    std::vector<FitResidual> listed_;
};

}  // namespace glumet
