#pragma once

#include <QLabel>
#include <QPointer>
#include <QPushButton>
#include <QScrollArea>
#include <QSlider>
#include <memory>

#include "desk/shared/stage.h"
#include "desk/tank/survey_strip.h"
#include "desk/tank/tank_form.h"
#include "desk/tank/tank_view.h"
#include "desk/tank/walk_panel.h"
#include "formats/calendar.h"

namespace glumet {

/// A living tank: its spots from above and from the side with the light between them, what lives where and
/// what it had, how slowly a new light is brightened, and the walk from spot to spot with the probe.
class TankStage : public Stage {
    Q_OBJECT

  public:
    explicit TankStage(Session& session);
    ~TankStage() override;

    void refresh() override;
    std::vector<Finding> findings() const override;
    QWidget* keyWidget() override;
    QWidget* section() override { return side_; }
    bool listens() const override { return true; }

    void addSpot();
    TankForm& form() { return *form_; }
    /// Notes what happened on the way up, today.
    void noteOnRamp(RampEventKind kind);
    void askForCalendar();
    void writeCalendar(const QString& path);
    void askForSheet();
    void writeSheet(const QString& path);
    void chooseSpot(Id spot);
    Id spot() const { return choice_.spot() == nullptr ? 0 : choice_.spot()->id; }
    /// From spot to spot with the probe; ends one that is under way.
    void walkOrEnd();
    SpotWalk& walk() { return walk_; }
    /// What the chosen spot would have, by the model.
    const std::optional<Predicted>& estimate() const { return estimate_; }
    WalkPanel& walkPanel() { return *panel_; }

  protected:
    void showEvent(QShowEvent* event) override;
    void hideEvent(QHideEvent* event) override;

  private:
    void layOut();
    void listenToTheView();
    QWidget* makeBelow();
    void makeSide();
    void addSpotAt(double x_mm, double y_mm);
    std::vector<DatedStep> steps() const;
    std::vector<CalendarDay> calendar() const;
    void sayOfDepth(std::optional<QPointF> at);
    void showPictures();
    void makeEstimate();
    Sentence whereTheEstimateIsFrom() const;
    std::vector<Finding> aboutThePlace();
    const ReachUnder& reachOf(const TankSpot& spot);
    const std::optional<Raise>& raiseOf(const TankSpot& spot, Ppfd read);
    void showRamp();
    void showHistories();
    void followWalk();

    TankChoice choice_;
    TankLight light_;
    SpotWalk walk_;
    QLabel* title_;
    QLabel* survey_;
    SurveyStrip* strip_;
    TankView* view_;
    QSlider* depth_;
    QLabel* depth_name_;
    QPushButton* walk_button_ = nullptr;
    QWidget* below_ = nullptr;  ///< plan and histories, while nobody walks
    WalkPanel* panel_;
    QLabel* ramp_name_;
    PaintedPanel* ramp_view_;
    QLabel* steps_;
    PaintedPanel* histories_;
    QLabel* histories_name_ = nullptr;
    QPointer<QWidget> side_;
    PaintedPanel* side_view_;
    TankForm* form_;
    TankFigure figure_;
    TankMap map_;
    std::optional<Predicted> estimate_;  ///< of the chosen spot, by the model
    std::vector<Finding> about_;         ///< of the chosen spot and its depth
    std::optional<ReachUnder> reach_;
    std::tuple<double, double, double> reach_of_;
    LightScene reach_in_;
    std::optional<Raise> raise_;
    std::tuple<Id, double, double, double, double, double> raise_of_;
    LightScene raise_in_;
    bool depth_by_hand_ = false;
};

/// What the window is told of this stage.
StageEntry tankEntry();

}  // namespace glumet
