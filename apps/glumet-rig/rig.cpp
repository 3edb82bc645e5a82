#include "rig.h"

#include <fmt/format.h>

#include <QStringList>
#include <algorithm>
#include <cmath>

#include "core/words/wording.h"

namespace glumet::rig {
namespace {

constexpr Watt kRated{62.0};
constexpr double kHighest = 3000.0;  // mm
/// A lifted probe sees anything between its own shadow and the bare lamp.
constexpr double kLiftedLow = 0.15;
constexpr double kLiftedHigh = 0.55;

std::optional<double> numberOf(const QString& word) { return parseNumber(word.toStdString()); }

}  // namespace

Rig::Rig(LightScene scene, std::uint64_t seed, QObject* parent)
    : QObject(parent), bench_(std::move(scene), BenchNoise{}, seed), noise_(seed + 1) {
    place(
        {bench_.scene().length_mm / 2.0, bench_.scene().width_mm / 2.0, bench_.scene().water_depth_mm / 3.0});
}

void Rig::setRoute(std::vector<Place> route, const Hand& hand) {
    route_ = std::move(route);
    hand_ = hand;
    at_ = 0;
    if (!route_.empty()) place(route_.front());
}

void Rig::setResponse(const std::vector<ResponsePoint>& response) {
    if (response.empty()) return;
    auto seen = spectrumShape();
    for (std::size_t i = 0; i < seen.values.size(); ++i) {
        const double nm = seen.first_nm + seen.step_nm * static_cast<double>(i);
        const auto above =
            std::lower_bound(response.begin(), response.end(), nm,
                             [](const ResponsePoint& p, double at) { return p.wavelength_nm < at; });
        double relative = 1.0;
        if (above != response.end() && above != response.begin()) {
            const auto& below = *(above - 1);
            const double share = (nm - below.wavelength_nm) / (above->wavelength_nm - below.wavelength_nm);
            relative = below.relative + share * (above->relative - below.relative);
        }
        seen.values[i] *= relative;
    }
    response_factor_ = seen.ppfd() / spectrumShape().ppfd();
}

void Rig::start(int interval_ms) {
    timer_.setInterval(interval_ms);
    connect(&timer_, &QTimer::timeout, this, [this, interval_ms] { advance(interval_ms * 1e-3); });
    timer_.start();
}

void Rig::place(const Place& at) {
    bench_.placeProbe(Millimetre(at.x_mm), Millimetre(at.y_mm), Millimetre(at.depth_mm));
    emit handMoved(QStringLiteral("%1 %2 %3").arg(at.x_mm).arg(at.y_mm).arg(at.depth_mm));
}

void Rig::advance(double seconds) {
    const bool was_silent = silence_s_ > 0.0;
    silence_s_ = std::max(0.0, silence_s_ - seconds);
    if (was_silent && silence_s_ == 0.0) emit cablePulled(false);
    moveHand(seconds);
    last_ppfd_ = bench_.sample().value() * response_factor_;
    if (moving_) last_ppfd_ *= kLiftedLow + (kLiftedHigh - kLiftedLow) * noise_.uniform();
    last_watt_ = bench_.draw(kRated).value() * (1.0 + 0.002 * noise_.normal());
    if (silence_s_ == 0.0) send();
}

void Rig::moveHand(double seconds) {
    if (!hand_.walks || at_ >= route_.size()) return;
    in_phase_s_ += seconds;
    if (in_phase_s_ < (moving_ ? hand_.move_s : hand_.dwell_s)) return;
    in_phase_s_ = 0.0;
    if (moving_) {
        moving_ = false;
        if (++at_ < route_.size()) place(route_[at_]);
    } else {
        moving_ = at_ + 1 < route_.size();
        if (!moving_) at_ = route_.size();
    }
}

void Rig::send() {
    if (garbage_) {
        emit line(QByteArray("\x07\xff PPFD=\xb5overrun"));
        return;
    }
    emit line(QByteArray::fromStdString(fmt::format("PPFD={:.2f};P={:.2f}", last_ppfd_, last_watt_)));
}

/// A white lamp: a blue line and a broad yellow-green band.
SpectralSample Rig::spectrumShape() {
    SpectralSample sample{380.0, 5.0, SpectralUnit::WattPerSquareMetre, {}};
    for (double nm = 380.0; nm <= 780.0; nm += sample.step_nm) {
        const double blue = (nm - 452.0) / 11.0;
        const double broad = (nm - 575.0) / 55.0;
        sample.values.push_back(std::exp(-0.5 * blue * blue) + 0.8 * std::exp(-0.5 * broad * broad));
    }
    return sample;
}

QByteArray Rig::spectrumLine() const {
    static const SpectralSample shape = spectrumShape();
    static const double whole = shape.ppfd().value();
    constexpr double kFullMs = 100.0;
    constexpr double kFullPpfd = 4000.0;
    const double full = *std::max_element(shape.values.begin(), shape.values.end()) * kFullPpfd / whole *
                        kFullMs / integration_ms_;
    QByteArray line;
    for (const double value : shape.values) {
        if (!line.isEmpty()) line += ',';
        line += QByteArray::number(std::min(full, value * last_ppfd_ / whole), 'g', 6);
    }
    return line;
}

QString Rig::command(const QString& line) {
    const auto words = line.split(QLatin1Char(' '), Qt::SkipEmptyParts);
    const QString verb = words.value(0);
    if (verb == QLatin1String("mend")) {
        bench_.setFaults({});
        garbage_ = false;
        return QStringLiteral("ok");
    }
    if (verb == QLatin1String("fault")) return plant(words.value(1), numberOf(words.value(2)));
    if (verb == QLatin1String("height")) {
        const auto height = numberOf(words.value(1));
        if (!height || !(*height > 0.0 && *height <= kHighest))
            return QStringLiteral("wrong: height H, mm above the water, up to %1").arg(kHighest);
        bench_.hang(Millimetre(*height));
        return QStringLiteral("ok");
    }
    if (verb == QLatin1String("probe")) {
        const auto x = numberOf(words.value(1));
        const auto y = numberOf(words.value(2));
        const auto depth = numberOf(words.value(3));
        const auto& scene = bench_.scene();
        const bool inside = x && y && depth && *x >= 0 && *x <= scene.length_mm && *y >= 0 &&
                            *y <= scene.width_mm && *depth >= 0 && *depth <= scene.water_depth_mm;
        if (!inside) return QStringLiteral("wrong: probe X Y DEPTH, mm, inside the tank");
        place({*x, *y, *depth});
        return QStringLiteral("ok");
    }
    return QStringLiteral("wrong: there is no command \"%1\"").arg(verb.left(40));
}

QString Rig::plant(const QString& name, std::optional<double> value) {
    auto faults = bench_.faults();
    if (name == QLatin1String("driver"))
        faults.driver_share = value.value_or(0.54);
    else if (name == QLatin1String("room"))
        faults.room_light = value.value_or(8.0);
    else if (name == QLatin1String("mode"))
        faults.mode_factor = value.value_or(1.0 / 1.32);
    else if (name == QLatin1String("ruler"))
        faults.ruler_mm = value.value_or(4.0);
    else if (name == QLatin1String("slip"))
        faults.slip_mm = value.value_or(40.0);
    else if (name == QLatin1String("tilt"))
        faults.tilt_deg = value.value_or(20.0);
    else if (name == QLatin1String("drift"))
        faults.drift_per_hour = value.value_or(0.03);
    else if (name == QLatin1String("warmup"))
        faults.warm_up_excess = value.value_or(0.08);
    else if (name == QLatin1String("noise"))
        faults.sensor_noise = value.value_or(0.01);
    else if (name == QLatin1String("garbage"))
        garbage_ = true;
    else if (name == QLatin1String("silence")) {
        silence_s_ = value.value_or(5.0);
        emit cablePulled(true);
    } else
        return QStringLiteral("wrong: there is no fault \"%1\"").arg(name.left(40));
    bench_.setFaults(faults);
    return QStringLiteral("ok");
}

}  // namespace glumet::rig
