#pragma once

#include <QTimer>
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
    /// Time between attempts; 1 s unless a test is in a hurry.
    void setRetry(int milliseconds) { retry_.setInterval(milliseconds); }

  protected:
    virtual void openTransport() = 0;
    virtual void closeTransport() = 0;

    void connectionOpened();
    void connectionLost(const QString& reason);
    void deliver(double value) { emit sampled(clock_(), value); }
    bool wanted() const { return state_ != MeterState::Idle; }

  private:
    void change(MeterState state);

    QString name_;
    MonotonicClock clock_;
    QTimer retry_;
    MeterState state_ = MeterState::Idle;
    QString reason_;
    int losses_ = 0;
};

}  // namespace glumet
