#pragma once

#include <QObject>
#include <QTimer>
#include <deque>
#include <memory>
#include <optional>

#include "core/base/problem.h"
#include "core/bench/grid.h"
#include "core/light/sampling.h"
#include "core/simulation/simulated_bench.h"
#include "core/spectrum/spectral_sample.h"

namespace glumet::rig {

/// How an automatic hand moves the probe along a route.
struct Hand {
    bool walks = false;
    double dwell_s = 20.0;  ///< at each point
    double move_s = 1.5;    ///< between two, the probe lifted and turned
};

/// The simulated bench with somebody at it: sends a sample every interval, moves the probe when told or by
/// itself, and breaks as it is asked to. Its own clock is moved by advance(), which a timer calls.
class Rig : public QObject {
    Q_OBJECT

  public:
    Rig(LightScene scene, std::uint64_t seed, QObject* parent = nullptr);

    /// Points for the automatic hand, in order; it starts at the first.
    void setRoute(std::vector<Place> route, const Hand& hand);
    /// The sensor's spectral response: readings of this lamp are multiplied by ∫ E s dλ / ∫ E dλ over 400–700
    /// nm, E in photons; 1 outside the curve's ends.
    void setResponse(const std::vector<ResponsePoint>& response);
    void start(int interval_ms);
    void advance(double seconds);

    /// One command of the control line; the answer is a line of text, "ok" or what was wrong.
    ///   probe X Y DEPTH        put the probe there, mm
    ///   height H               hang the fixtures so high, mm
    ///   fault NAME [VALUE]     driver, room, mode, slip, tilt, drift, warmup, noise, garbage, silence
    ///   (seconds) mend                   undo all faults
    QString command(const QString& line);

    /// The present light as a spectrometer would send it: 380–780 nm by 5 nm, W·m⁻²·nm⁻¹, comma-separated;
    /// its PPFD is ppfd().
    QByteArray spectrumLine() const;
    /// What a spectrometer gathers light for: longer than 100 ms at 4000 µmol·m⁻²·s⁻¹ its top is flat.
    void setIntegration(int milliseconds) { integration_ms_ = milliseconds; }
    static SpectralSample spectrumShape();

    double ppfd() const { return last_ppfd_; }
    double watt() const { return last_watt_; }

  signals:
    /// A line as a meter would send it, without its end; bytes that are none when garbage was asked for.
    void line(const QByteArray& line);
    /// The cable is pulled for as long as true.
    void cablePulled(bool pulled);
    void handMoved(const QString& where);

  private:
    QString plant(const QString& name, std::optional<double> value);
    void moveHand(double seconds);
    void place(const Place& at);
    void send();

    SimulatedBench bench_;
    Noise noise_;
    QTimer timer_;
    std::vector<Place> route_;
    Hand hand_;
    std::size_t at_ = 0;
    double in_phase_s_ = 0.0;
    bool moving_ = false;
    double silence_s_ = 0.0;
    bool garbage_ = false;
    double response_factor_ = 1.0;
    double last_ppfd_ = 0.0;
    int integration_ms_ = 100;
    double last_watt_ = 0.0;
};

}  // namespace glumet::rig
