#pragma once

#include <QLabel>
#include <QLineEdit>

#include "core/words/finding.h"
#include "desk/measure/reading_taker.h"
#include "desk/measure/sweep_progress.h"
#include "desk/shared/announcer.h"
#include "desk/shared/ledger_line.h"
#include "desk/shared/plan_map.h"
#include "desk/shared/stage.h"
#include "desk/shared/thin_bar.h"

namespace glumet {

/// Taking readings with wet hands: the plan with the route, the next point, the live value in figures that
/// carry across a room. Keys: see keyPressEvent.
class MeasureStage : public Stage {
    Q_OBJECT

  public:
    explicit MeasureStage(Session& session);

    void refresh() override;
    std::vector<Finding> findings() const override;
    QWidget* keyWidget() override { return this; }
    bool listens() const override { return true; }
    ReadingTaker& taker() { return taker_; }
    Announcer& announcer() { return announcer_; }

  protected:
    void showEvent(QShowEvent* event) override;
    void hideEvent(QHideEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    bool eventFilter(QObject* watched, QEvent* event) override;

  private:
    void listenToTheTaker();
    QWidget* makeSide();
    QWidget* makeKeys();
    bool handleKey(QKeyEvent* event);
    void startTyping(const QString& first);
    void finishTyping();
    void showSound();
    void goToDoubt();
    QString spokenNext() const;
    void showLive();
    void showTarget();
    void updatePlan();
    void showLast();
    std::vector<Finding> practiceFindings() const;
    QString ruleNote() const;
    void arm();

    ReadingTaker taker_;
    Announcer announcer_;
    QLabel* title_;
    QLabel* counter_;
    PlanMap* map_;
    QLabel* last_;
    QLabel* point_;
    QLabel* place_;
    QLabel* live_;
    QLabel* unit_;
    QLineEdit* typed_;
    ValueStrip* strip_;
    QLabel* strip_note_;
    QLabel* rule_note_;
    QLabel* sound_;
    ThinBar* progress_;
    SweepProgress* sweep_;
    QLabel* sweep_title_ = nullptr;
};

/// What the window is told of this stage.
StageEntry measureEntry();

}  // namespace glumet
