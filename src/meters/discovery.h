#pragma once

#include <QObject>
#include <QTimer>
#include <memory>
#include <vector>

#include "meters/instrument.h"

namespace glumet {

/// Connections worth trying: every serial port of the machine at the usual speeds, first column, and every
/// saved profile as it stands.
QList<InstrumentProfile> discoveryCandidates(const QStringList& ports, const QList<InstrumentProfile>& saved);

/// Looks which candidates send something that can be read. Candidates of one place are tried one after the
/// other, places side by side; each is listened to for a while and let go. Nothing is written to an
/// instrument that its profile does not ask for.
class Discovery : public QObject {
    Q_OBJECT

  public:
    Discovery(const QList<InstrumentProfile>& candidates, const MonotonicClock& clock, int listen_ms = 1500,
              QObject* parent = nullptr);
    ~Discovery() override;

    void start();
    /// Ends the round: what has not spoken yet is let go and the next speeds are tried. A timer calls it.
    void nextRound();
    bool running() const { return running_; }
    int left() const;

  signals:
    void found(const glumet::InstrumentProfile& profile, double value);
    void finished();

  private:
    struct Place {
        QList<InstrumentProfile> left;
        std::unique_ptr<ConnectedMeter> meter;
        bool found = false;
    };

    std::vector<Place> places_;
    MonotonicClock clock_;
    QTimer timer_;
    bool running_ = false;
};

}  // namespace glumet
