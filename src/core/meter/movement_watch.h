#pragma once

#include <deque>

#include "core/meter/settled_mean.h"

namespace glumet {

/// Notices, after a reading was taken, that the probe has been moved to a new place, from the samples alone:
/// hands free. Three states follow each other:
///   Resting   the light stays what it was;
///   Moving    a window's mean has left it by more than its swing allows, or by half;
///   Arrived   the light has been calm for kCalm since: a new reading may begin.
/// Time from the meter's own clock, s, ascending.
class MovementWatch {
  public:
    enum class State { Resting, Moving, Arrived };
    static constexpr double kWindow = 0.5;  ///< s
    static constexpr double kCalm = 1.0;    ///< s

    /// `taken`: the reading that was settled here.
    explicit MovementWatch(const Settled& taken);

    State add(Second time, Ppfd ppfd);
    State state() const { return state_; }

  private:
    double windowMean() const;
    /// How far a window's mean may lie from `level` by swing alone, µmol·m⁻²·s⁻¹.
    double allowed(double level) const;

    double mean_;
    double relative_swing_;  ///< standard deviation of a window's mean / mean
    std::deque<std::pair<double, double>> window_;
    State state_ = State::Resting;
    double calm_since_ = 0.0;
    double calm_level_ = 0.0;
};

}  // namespace glumet
