#pragma once

#include <QObject>
#include <vector>

#include "desk/shared/probe_reading.h"

namespace glumet {

/// A walk with the probe through a tank's spots: one after the other is read, settled as in Measure, by hand
/// or hands free. Holds no widget.
class SpotWalk : public QObject {
    Q_OBJECT

  public:
    explicit SpotWalk(Session& session);

    void start(Id tank);
    void end();
    bool walking() const { return !way_.empty(); }
    /// The spot the probe is meant to be at; 0: none.
    Id spot() const;
    std::size_t place() const { return at_; }
    std::size_t count() const { return way_.size(); }
    /// While somebody looks at the walk; the practice meter is led back to it.
    void setWatched(bool watched);
    ProbeReading& probe() { return probe_; }
    const ProbeReading& probe() const { return probe_; }

    /// Takes the mean once settled, as ProbeReading::take().
    void take();
    bool keepTyped(double ppfd);
    /// The next spot without a reading, or the one before.
    void step(int by);
    /// Goes to a spot of the walk.
    void goTo(Id spot);
    /// How the probe is held from here on: degrees against level, and whether something is in the way.
    void setHeld(double tilt_deg, bool shaded);
    double tilt() const { return tilt_deg_; }
    bool shaded() const { return shaded_; }

  signals:
    void changed();  ///< spot, or what is waited for
    void taken(double ppfd, bool doubtful);
    void ended();  ///< after the last spot, or broken off

  private:
    void aim(std::size_t at);
    void lightPractice();
    QString keep(Reading reading);

    Session& session_;
    ProbeReading probe_;
    std::vector<Id> way_;
    std::size_t at_ = 0;
    Id tank_ = 0;
    double tilt_deg_ = 0.0;
    bool shaded_ = false;
};

}  // namespace glumet
