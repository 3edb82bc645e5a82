#pragma once

#include <QObject>
#include <optional>

#include "core/meter/movement_watch.h"
#include "core/meter/settled_mean.h"
#include "core/survey/repeatability.h"
#include "desk/shared/session.h"

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
    std::optional<Settled> state() const { return now_; }
    /// Space was pressed before the mean had settled: it is taken as soon as it has.
    bool armed() const { return armed_; }
    /// 0–1: how near the mean is to settled.
    double progress() const;

    /// Set while the target is not a new point but a check: the reference point, or an earlier one once more.
    std::optional<CheckPointKind> checking() const;
    /// The way over the chosen plane.
    const std::vector<Cell>& way() const { return way_; }

    /// The value stored last.
    std::optional<Ppfd> lastKept() const { return last_kept_; }
    /// Hands free: a settled mean is taken by itself, and the next begins when the probe was seen to move.
    bool handsFree() const { return hands_free_; }
    void setHandsFree(bool on);
    /// While somebody looks at the plane; elsewhere nothing is taken by itself.
    void setWatched(bool watched) { watched_ = watched; }
    /// What is waited for before samples count: nothing, the probe's leaving, or its calming down.
    std::optional<MovementWatch::State> awaited() const;
    SettleRule rule() const;

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
    void onSample(double seconds, double ppfd);
    void followState(MeterState state);
    void setTarget(std::optional<Cell> cell);
    /// The next point of the way, or the check that is due before it.
    void goOnFrom(const Plane& plane);
    bool mayTake();
    void judge(Cell cell);
    void store(Reading reading, const Spectrum* spectrum = nullptr);
    Reading atTarget() const;

    Session& session_;
    void look();

    SettledMean mean_;
    std::optional<Settled> now_;  ///< of mean_, when it was last looked at
    double looked_s_ = -1.0;
    std::optional<Cell> target_;
    std::optional<Cell> last_;
    Id plane_ = 0;
    std::vector<Cell> way_;
    std::optional<CheckPoint> check_;
    bool was_settled_ = false;
    bool armed_ = false;
    bool storing_ = false;
    std::optional<double> refused_s_;  ///< when the project last refused a reading
    bool watched_ = true;
    bool hands_free_ = false;
    std::optional<Ppfd> last_kept_;
    std::optional<MovementWatch>
        watch_;  ///< after a reading was taken hands free, until the probe has arrived
    QMetaObject::Connection samples_;
    QMetaObject::Connection states_;
};

}  // namespace glumet
