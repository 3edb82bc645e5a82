#pragma once

#include <QButtonGroup>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>

#include "core/verdicts/spill_limit.h"
#include "core/words/finding.h"
#include "desk/shared/figure_table.h"
#include "desk/shared/stage.h"

class QCustomPlot;

namespace glumet {

/// How high to hang it: loss against height with limit and crossing, centre and edge against height, the
/// answer with its sentence, and the evidence row by row.
class HeightStage : public Stage {
    Q_OBJECT

  public:
    explicit HeightStage(Session& session);

    void refresh() override;
    std::vector<Finding> findings() const override;
    QWidget* keyWidget() override { return table_; }

  private:
    bool byOthers() const;
    /// The fit's answer by a school; nullptr where it has none.
    const FittedHeight* fitted(HeightSchool school) const;
    /// Others' means have no points to compare: the fit alone answers, and says what it rests on.
    void answerByFit(const SchoolVerdict& head);
    QString fittedWords(const SchoolVerdict& head) const;
    QWidget* makeAnswer();
    QWidget* makePlots();
    QWidget* makeSchools();
    void refreshSchools();
    void refreshFigure(const SchoolVerdict& school);
    void chooseSchool(HeightSchool school);
    const SchoolVerdict& headline() const;
    void refreshLoss(const SpillLimitVerdict& verdict);
    void refreshSpread(const SpillLimitVerdict& verdict);
    void refreshTable(const SpillLimitVerdict& verdict);
    void markAnswer(QCustomPlot& plot) const;
    void addLine(QCustomPlot& plot, const std::vector<std::pair<double, double>>& points, const QString& name,
                 const QColor& colour, bool below = false) const;
    void setLimit(int percent);

    QLabel* title_;
    QLabel* subtitle_;
    QLabel* answer_;
    QLabel* interval_;
    QLabel* by_fit_ = nullptr;  ///< the same school by the fitted field
    QLabel* reason_;
    QButtonGroup* limits_;
    QWidget* limit_row_ = nullptr;
    QWidget* plots_ = nullptr;
    QLabel* nothing_ = nullptr;  ///< in their place
    std::array<QPushButton*, kHeightSchools.size()> schools_{};
    QLabel* first_title_ = nullptr;
    QLineEdit* dissent_ = nullptr;
    QCustomPlot* loss_;
    QCustomPlot* spread_;
    FigureTable* table_;
};

/// What the window is told of this stage.
StageEntry heightEntry();

}  // namespace glumet
