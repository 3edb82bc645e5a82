#pragma once

#include <QLabel>
#include <QLineEdit>
#include <QPushButton>

#include "desk/shared/announcer.h"
#include "desk/shared/ledger_line.h"
#include "desk/shared/thin_bar.h"
#include "desk/tank/spot_walk.h"

namespace glumet {

/// The spot that is read now, in figures that carry across a room, with the keys of Measure: space takes,
/// digits type, back goes back, N passes over, H hands free, D says that something is in the way, A how the
/// probe is held, Esc ends.
class WalkPanel : public QWidget {
    Q_OBJECT

  public:
    WalkPanel(Session& session, SpotWalk& walk);

    void refresh();
    /// Keys of the walk; whether one was taken.
    bool handleKey(QKeyEvent* event);
    Announcer& announcer() { return announcer_; }

  protected:
    void keyPressEvent(QKeyEvent* event) override;
    bool eventFilter(QObject* watched, QEvent* event) override;

  private:
    void layOut();
    QWidget* makeKeys();
    void showLive();
    void startTyping(const QString& first);
    void finishTyping();
    void endTyping();
    QString spokenNext() const;

    Session& session_;
    SpotWalk& walk_;
    Announcer announcer_;
    QLabel* name_;
    QLabel* who_;
    QLabel* live_;
    QLineEdit* typed_;
    QLabel* unit_;
    QLabel* held_;
    ValueStrip* strip_;
    ThinBar* progress_;
};

}  // namespace glumet
