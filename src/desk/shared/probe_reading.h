#pragma once

#include <QObject>
#include <optional>

#include "core/meter/movement_watch.h"
#include "core/meter/settled_mean.h"
#include "desk/shared/session.h"

namespace glumet {

/// The reading of one place in the making: gathers the session's meter until its mean has settled, by hand or
/// hands free, where the next begins when the probe was seen to move. Where the place is and what becomes of
/// the reading is its owner's.
class ProbeReading : public QObject {
    Q_OBJECT

  public:
    explicit ProbeReading(Session& session);

    /// What has been gathered since begin().
    std::optional<Settled> state() const { return now_; }
    SettleRule rule() const;
    /// 0–1: how near the mean is to settled.
    double progress() const;
    /// A key was pressed before the mean had settled: it is due as soon as it has.
    bool armed() const { return armed_; }
    /// Hands free: a settled mean is due by itself, and the next begins when the probe was seen to move.
    bool handsFree() const { return hands_free_; }
    void setHandsFree(bool on);
    /// What is waited for before samples count: nothing, the probe's leaving, or its calming down.
    std::optional<MovementWatch::State> awaited() const;
    /// While somebody looks at the place; elsewhere nothing is due by itself, and what was gathered there, of
    /// whatever place the probe was at, is not part of a reading here.
    void setWatched(bool watched);

    /// Another place, or the same anew.
    void begin();
    /// Forgets hands free and what is waited for: another project.
    void forget();
    /// Whether samples are gathered; a place without a target gathers none.
    void setGathering(bool on) { gathering_ = on; }

    /// What a key takes: the mean, if it has settled, or the second time it is asked; with what is to be
    /// remarked of it. Nothing where it is not yet due: then it is armed, or a sentence says what is missing.
    struct Taken {
        Settled settled;
        Reading reading;  ///< at no place yet
        std::optional<Spectrum> spectrum;
    };
    std::optional<Taken> take();
    void disarm() { armed_ = false; }
    /// The reading was kept: hands free, the probe is to move before the next counts.
    void kept(const Settled& settled);
    /// It could not be kept: it is tried again by itself a little later.
    void refused() { refused_s_ = looked_s_; }
    void accepted() { refused_s_.reset(); }
    bool wasRefused() const { return refused_s_.has_value(); }

  signals:
    void sampled(double seconds, double ppfd);
    void looked();   ///< state() is new: a few times a second
    void settled();  ///< the mean has just become good enough
    void due();      ///< armed or hands free, and settled
    void changed();  ///< what is waited for, or armed
    void meterChanged();

  private:
    void followMeter();
    void onSample(double seconds, double ppfd);
    void followState(MeterState state);

    Session& session_;
    SettledMean mean_;
    std::optional<Settled> now_;  ///< of mean_, when it was last looked at
    double looked_s_ = -1.0;
    bool was_settled_ = false;
    bool armed_ = false;
    bool gathering_ = false;
    std::optional<double> refused_s_;  ///< when the project last refused a reading
    bool watched_ = true;
    bool hands_free_ = false;
    /// After a reading was taken hands free, until the probe has arrived.
    std::optional<MovementWatch> watch_;
    QMetaObject::Connection samples_;
    QMetaObject::Connection states_;
};

}  // namespace glumet
