#pragma once

#include <QLabel>
#include <QPointer>
#include <QPushButton>
#include <QScrollArea>
#include <QSlider>
#include <map>
#include <memory>
#include <tuple>

#include "core/living/survey_history.h"
#include "desk/shared/form_column.h"
#include "desk/shared/stage.h"
#include "desk/tank/tank_view.h"

namespace glumet {

/// A living tank: its spots from above and from the side with the light between them, what lives where and
/// what it had, and how slowly a new light is brightened.
class TankStage : public Stage {
    Q_OBJECT

  public:
    explicit TankStage(Session& session);
    ~TankStage() override;

    void refresh() override;
    std::vector<Finding> findings() const override;
    QWidget* keyWidget() override { return view_; }
    QWidget* section() override { return side_; }

    void addSpot();
    void removeSpot();
    void newRamp();
    void removeRamp();
    /// Notes what happened on the way up, today.
    void noteOnRamp(RampEventKind kind);
    void askForCalendar();
    void writeCalendar(const QString& path);
    void chooseSpot(Id spot);
    Id spot() const { return spot_; }

  private:
    void layOut();
    void makeSide();
    void addSpotRows();
    void addOrganismRows();
    void addGoalRow();
    void addRampRows();
    const Tank* tank() const;
    const TankSpot* chosen() const;
    const Organism* lives() const;
    const Acclimation* ramp() const;
    std::vector<const TankSpot*> spots() const;
    void addSpotAt(double x_mm, double y_mm);
    FormColumn::Write spotWriter(std::function<QString(TankSpot&, const QString&)> change);
    FormColumn::Write organismWriter(std::function<QString(Organism&, const QString&)> change);
    FormColumn::Write rampWriter(std::function<QString(Acclimation&, const QString&)> change);
    QString typeReading(const QString& typed);
    void showPictures();
    void showRamp();
    void showHistories(const std::vector<TankSurvey>& surveys);
    ExpectedLight expectedLight();

    QLabel* title_;
    QLabel* survey_;
    TankView* view_;
    QSlider* depth_;
    QLabel* depth_name_;
    QLabel* ramp_name_;
    PaintedPanel* ramp_view_;
    QLabel* steps_;
    PaintedPanel* histories_;
    QPointer<QWidget> side_;
    PaintedPanel* side_view_;
    FormColumn* form_;
    TankFigure figure_;
    /// Light of the fixtures that were read over the tank last, by their fit, and of which run and fit it is.
    std::shared_ptr<FastField> field_;
    std::map<std::tuple<double, double, double>, double> field_values_;
    Id field_run_ = 0;
    std::optional<FitResult> field_fit_;
    Id spot_ = 0;
    bool depth_by_hand_ = false;
};

/// What the window is told of this stage.
StageEntry tankEntry();

}  // namespace glumet
