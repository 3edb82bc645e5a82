#pragma once

#include <QButtonGroup>
#include <QLabel>
#include <QPushButton>

#include "core/plane/plane_statistics.h"
#include "core/words/finding.h"
#include "desk/field/fit_report.h"
#include "desk/field/plane_figures.h"
#include "desk/shared/plan_map.h"
#include "desk/shared/stage.h"

class QCustomPlot;

namespace glumet {

/// One plane read at leisure: map, rings, spread, cross-section, and all planes of the sweep on one sheet.
class FieldStage : public Stage {
    Q_OBJECT

  public:
    explicit FieldStage(Session& session);

    void refresh() override;
    std::vector<Finding> findings() const override;
    QWidget* keyWidget() override { return map_; }

  protected:
    void keyPressEvent(QKeyEvent* event) override;

  private:
    /// What the map shows of the plane.
    enum class View { Readings, Model, Difference, BandDepth, Shadow, Colour };

    void refreshFigures();
    void showShadow(PlanData& plan, DescribedModel& model);
    void showColour(PlanData& plan);
    /// Why the colour cannot be shown; empty where it can.
    QString whyNoColour() const;
    /// Colour and bands at a cell, and the spectrum that was read there.
    QString colourAt(Cell cell, const Reading& reading) const;
    QWidget* makeMapColumn();
    QWidget* makeViews();
    void offerViews();
    void nextView();
    View view() const { return static_cast<View>(views_->checkedId()); }
    /// The model, where a view asks for it and there is one.
    DescribedModel* shownModel() const;
    void showModel(PlanData& plan);
    void showBandDepth(PlanData& plan, DescribedModel& model);
    QString wholeLength(Millimetre length) const;
    void addModelProfile(const Grid& grid, Cell cell);
    QWidget* makeLowerRow();
    void refreshMap();
    void showContours(PlanData& plan, const PlaneStatistics& statistics);
    void refreshSection();
    void addProfile(const std::vector<std::pair<double, double>>& points, const QString& name,
                    const QColor& colour, Qt::PenStyle style);
    void readOut(std::optional<Cell> cell);
    const Reading* readingAt(Cell cell) const;
    void markCell(Mark mark);

    QLabel* title_;
    QLabel* headline_;
    PlanMap* map_;
    QLabel* read_out_;
    QPushButton* contours_;
    QButtonGroup* views_;
    PlaneFigures* figures_;
    FitReport* report_;  ///< in the place of the figures while the difference is shown
    QLabel* sheet_title_ = nullptr;
    QLabel* section_title_;
    QCustomPlot* section_;
    PlaneSheetView* sheet_;
};

/// What the window is told of this stage.
StageEntry fieldEntry();

}  // namespace glumet
