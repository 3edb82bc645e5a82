#pragma once

#include <QButtonGroup>
#include <QLabel>
#include <QStackedWidget>

#include "desk/array/array_verdicts.h"
#include "desk/shared/figure_table.h"
#include "desk/shared/session.h"

class QCustomPlot;

namespace glumet {

/// What is asked of an array and what stands behind its verdicts: the spacing's chart and table, how level
/// matters, how many it takes, channels, and what was measured of it.
class ArrayPanes : public QWidget {
    Q_OBJECT

  public:
    /// `question` is the first pane: what is asked; `kept` the last: what is kept.
    ArrayPanes(Session& session, QWidget* question, QWidget* kept);

    struct Shown {
        const ArrayVerdicts* verdicts = nullptr;  ///< nullptr: nothing yet
        std::size_t school = 0;
        LitPoints at_full;  ///< what is judged, undimmed, as it hangs now
        double level_pct = 100.0;
        double goal_share = 0.8;
    };
    void show(const Shown& shown);
    /// The same with another level or after a move, which change the brightness alone.
    void showBrightness(const LitPoints& at_full, double level_pct);

    /// The next pane there is.
    void next();

  signals:
    void countChosen(const glumet::CountRow& row);

  private:
    QCustomPlot* makePlot(const QString& name);
    void addPane(const QString& name, QWidget* pane, const char* object);
    void drawBrightness();
    void showSpacing(const Shown& shown);
    void showSteps(const Shown& shown);
    void showCounts(const Shown& shown);
    void showMix(const Shown& shown);
    void showMeasured(const Shown& shown);
    QString wayOf(const CountRow& row) const;

    Session& session_;
    QButtonGroup* choices_;
    QHBoxLayout* buttons_;
    QStackedWidget* stack_;
    QCustomPlot* spacing_;
    QCustomPlot* brightness_;
    QLabel* brightness_words_;
    FigureTable* steps_;
    FigureTable* counts_;
    FigureTable* channels_;
    QLabel* channels_words_;
    FigureTable* measured_;
    LitPoints at_full_;
    double level_pct_ = 100.0;
    std::vector<CountRow> count_rows_;
    std::vector<MeasuredArray> measured_rows_;
};

}  // namespace glumet
