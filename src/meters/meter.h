#pragma once

#include <QObject>
#include <QString>

#include "core/quantity.h"

namespace glumet {

enum class MeterState { Idle, Live, Lost };

/// An instrument that sends PPFD samples. Life: start() → any number of sampled() → stop(); state changes are
/// told as they happen and a value is never made up. Transports are given to the constructors, so that tests
/// and replays stand in for hardware.
class Meter : public QObject {
    Q_OBJECT

  public:
    using QObject::QObject;

    /// How the ledger line calls it.
    virtual QString name() const = 0;
    /// Whether its values are made up by a simulator and must be marked as such.
    virtual bool simulated() const { return false; }
    virtual void start() = 0;
    virtual void stop() = 0;
    /// The probe is now meant to be here; real instruments do not care.
    virtual void probeMoved(Millimetre /*x*/, Millimetre /*y*/, Millimetre /*depth*/) {}

  signals:
    /// Time on the meter's own ascending clock, s; PPFD, µmol·m⁻²·s⁻¹.
    void sampled(double seconds, double ppfd);
    void stateChanged(glumet::MeterState state);
};

}  // namespace glumet
