#pragma once

#include <QTimer>
#include <algorithm>
#include <functional>

#include "meters/meter.h"

namespace glumet {

/// Seconds on a clock that never goes back; injected, so that tests move it by hand.
using MonotonicClock = std::function<double()>;
/// The machine's own.
MonotonicClock machineClock();

/// The part of every real instrument that outlives a pulled cable: says at once when the connection is gone,
/// tries again by itself until stopped, and counts how often. Derived meters open and close their transport
/// and report.
class ConnectedMeter : public Meter {
    Q_OBJECT

  public:
    ConnectedMeter(QString name, MonotonicClock clock, QObject* parent = nullptr);

    QString name() const override { return name_; }
    void start() override;
    void stop() override;
    MeterState state() const { return state_; }
    QString trouble() const override;
    int losses() const { return losses_; }
    /// Whether it is meant to send and has sent nothing for a while: connected with nobody at the other end,
    /// or never answered.
    bool silent() const { return silent_; }
    /// Looks whether it has fallen silent; called by a timer in the program, by hand in tests.
    void lookForSilence();
    /// Silence is said after so many seconds, unless values are expected more seldom.
    static constexpr double kSilentAfter = 2.5;
    /// Time between attempts; 1 s unless a test is in a hurry.
    void setRetry(int milliseconds) { retry_.setInterval(milliseconds); }

  protected:
    virtual void openTransport() = 0;
    virtual void closeTransport() = 0;

    void connectionOpened();
    void connectionLost(const QString& reason);
    void deliver(double value) { emit sampled(clock_(), value); }
    /// Something came that an instrument may send.
    void heard();
    /// Values come so seldom that silence between them is none.
    void expectEvery(double seconds) { silent_after_s_ = std::max(kSilentAfter, 3.0 * seconds); }
    double seconds() const { return clock_(); }
    bool wanted() const { return state_ != MeterState::Idle; }

  private:
    void change(MeterState state);
    void beginToListen();

    QString name_;
    MonotonicClock clock_;
    QTimer retry_;
    QTimer watch_;
    double heard_at_ = 0.0;
    double silent_after_s_ = kSilentAfter;
    bool silent_ = false;
    MeterState state_ = MeterState::Idle;
    QString reason_;
    int losses_ = 0;
};

}  // namespace glumet
