#pragma once

#include <QObject>
#include <QString>
#include <optional>

#include "core/spectrum/spectral_sample.h"

namespace glumet {

enum class MeterState { Idle, Connecting, Live, Lost };

/// What an instrument's value is: PPFD in µmol·m⁻²·s⁻¹, power at the wall in W, or the PPFD of a spectrum.
enum class Measures { Light, Power, Spectrum };

/// An instrument that sends samples. Life: start() → any number of sampled() → stop(); state changes are told
/// as they happen and a value is never made up. Transports are given to the constructors, so that tests and
/// replays stand in for hardware.
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
    /// Whether probeMoved moves the probe, so that no hand has to be waited for.
    virtual bool placesItself() const { return false; }
    /// The probe is now meant to be here; real instruments do not care.
    virtual void probeMoved(Millimetre /*x*/, Millimetre /*y*/, Millimetre /*depth*/) {}
    /// One sentence on the connection, with what could not be read; empty when there is nothing to say.
    virtual QString trouble() const { return {}; }
    /// Tells a spectrometer how long to gather light; false where it cannot be told.
    virtual bool setIntegration(int /*milliseconds*/) { return false; }
    virtual bool takesIntegration() const { return false; }
    /// The spectrum behind the last value, of an instrument that reads one.
    virtual std::optional<SpectralSample> spectrum() const { return std::nullopt; }

  signals:
    /// Time on the meter's own ascending clock, s; value in the unit of what it measures.
    void sampled(double seconds, double value);
    void stateChanged(glumet::MeterState state);
};

}  // namespace glumet
