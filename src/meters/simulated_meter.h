#pragma once

#include <QTimer>
#include <optional>

#include "core/simulation/practice.h"
#include "core/simulation/simulated_bench.h"
#include "meters/meter.h"

namespace glumet {

/// The simulated bench as an instrument. It lives on its own clock, which advance() moves: by a timer in the
/// program, by hand in tests.
class SimulatedMeter : public Meter {
    Q_OBJECT

  public:
    explicit SimulatedMeter(std::uint64_t seed, QObject* parent = nullptr);

    QString name() const override { return tr("Practice meter (simulated)"); }
    bool simulated() const override { return true; }
    bool placesItself() const override { return true; }
    void start() override;
    void stop() override;
    void probeMoved(Millimetre x, Millimetre y, Millimetre depth) override;

    /// What shines over the probe from now on.
    void setScene(LightScene scene);
    bool shows(const LightScene& scene) const { return bench_ && bench_->scene() == scene; }
    /// Practice: about one placing in twelve slips, without a word; reading the point again mends it. And the
    /// ruler is off by a few millimetres, the same all evening.
    void setPlants(bool plants);
    bool plants() const { return plants_; }
    const std::vector<PlantedSlip>& planted() const { return planted_; }
    double rulerMm() const { return ruler_mm_; }
    /// Sends the samples of the next `seconds`; none before a scene and a place are known.
    void advance(double seconds);

  private:
    std::uint64_t seed_;
    std::optional<SimulatedBench> bench_;
    bool placed_ = false;
    bool plants_ = false;
    double ruler_mm_ = 0.0;
    Noise chance_;
    std::vector<PlantedSlip> planted_;
    QTimer timer_;
    double clock_s_ = 0.0;
    double owed_s_ = 0.0;
};

}  // namespace glumet
