#pragma once

#include <QObject>
#include <optional>

#include "core/survey/repeatability.h"
#include "desk/shared/probe_reading.h"

namespace glumet {

/// The hand that takes readings: follows the route of the chosen plane, gathers the meter's samples until
/// their mean has settled, stores it and goes on to the next point. Holds no widget.
class ReadingTaker : public QObject {
    Q_OBJECT

  public:
    explicit ReadingTaker(Session& session);

    /// The point the probe is meant to be at; nothing when the plane has no grid or is complete.
    std::optional<Cell> target() const { return target_; }
    /// What has been gathered there so far.
    std::optional<Settled> state() const { return probe_.state(); }
    bool armed() const { return probe_.armed(); }
    double progress() const { return probe_.progress(); }

    /// Set while the target is not a new point but a check: the reference point, or an earlier one once more.
    std::optional<CheckPointKind> checking() const;
    /// The way over the chosen plane.
    const std::vector<Cell>& way() const { return way_; }

    /// The value stored last.
    std::optional<Ppfd> lastKept() const { return last_kept_; }
    bool handsFree() const { return probe_.handsFree(); }
    void setHandsFree(bool on) { probe_.setHandsFree(on); }
    /// While somebody looks at the plane; elsewhere nothing is taken by itself.
    void setWatched(bool watched);
    std::optional<MovementWatch::State> awaited() const { return probe_.awaited(); }
    SettleRule rule() const { return probe_.rule(); }

    /// Takes the mean once settled; asked again while waiting, takes it as it is and marks it doubtful.
    void take();
    /// Keeps a typed value at the target; a negative or non-finite one is refused with a sentence.
    bool keepTyped(double ppfd);
    /// One point back along the route.
    void stepBack();
    /// Goes to a cell, measured or not.
    void aim(Cell cell);
    /// The point read last, again.
    void readAgain();

    /// Re-reads the selection: another plane, another project, an undone reading.
    void follow();

  signals:
    void changed();  ///< target or armed state
    void sampled(double seconds, double ppfd);
    void looked();                     ///< state() is new: a few times a second
    void settled();                    ///< the mean here has just become good enough
    void doubted(const QString& why);  ///< what was stored does not fit the rest
    void taken(double ppfd, bool doubtful);

  private:
    void followMeter();
    void setTarget(std::optional<Cell> cell);
    void placeProbe();
    /// The next point of the way, or the check that is due before it.
    void goOnFrom(const Plane& plane);
    bool mayTake();
    void judge(Cell cell);
    void store(Reading reading, const Spectrum* spectrum = nullptr);
    Reading atTarget() const;

    Session& session_;
    ProbeReading probe_;
    std::optional<Cell> target_;
    std::optional<Cell> last_;
    Id plane_ = 0;
    std::vector<Cell> way_;
    std::optional<CheckPoint> check_;
    bool storing_ = false;
    std::optional<Ppfd> last_kept_;
    QMetaObject::Connection states_;
};

}  // namespace glumet
