#include "core/simulation/demo_spectra.h"

#include <fmt/format.h>

#include <algorithm>
#include <array>
#include <cmath>

#include "core/base/angle.h"
#include "core/dose/day.h"
#include "core/simulation/ripple.h"
#include "core/spectrum/generic_spectra.h"

namespace glumet {
namespace {

constexpr const char* kDay = "2026-11-07";
constexpr double kInAirMm = 480.0;  // above the sensor
constexpr double kPointPitchMm = 200.0;
constexpr double kTurnedShare = 1.8;  // of the red at the corner that a turned emitter shines at
constexpr int kMoments = 24;

/// What a channel really emits, and how narrow its lenses are.
struct SpectralTruth {
    const char* name;
    std::vector<LedBin> bins;
    double half_angle_deg;
    double ppfd;  ///< under the lamp in air
};
const std::vector<SpectralTruth>& truths() {
    static const std::vector<SpectralTruth> all{
        {"warm white", {{452, 21, 0.12}, {604, 128, 0.88}}, 45.0, 96.0},
        {"cool white", {{449, 20, 0.27}, {548, 122, 0.73}}, 44.0, 112.0},
        {"deep red", {{661, 19, 1.0}}, 39.0, 59.0}};
    return all;
}

class SpectraMaker {
  public:
    SpectraMaker(Bench& bench, std::uint64_t seed) : bench_(bench), noise_(seed) {}

    void make() {
        for (const auto& fixture : bench_.fixtures) addChannels(fixture);
        const auto& cluster = bench_.fixtures.front();
        addNinePoints(cluster);
        addMoments(cluster);
        addMeter();
        addDays(cluster);
    }

  private:
    SpectrumRecord record(const Fixture& fixture, std::string name) {
        SpectrumRecord out;
        out.id = static_cast<Id>(bench_.spectra.size()) + 1;
        out.name = std::move(name);
        out.fixture = fixture.id;
        out.origin = SpectrumOrigin::Read;
        out.scale = SpectralScale::Absolute;
        out.time = fmt::format("{}T10:{:02}:{:02}", kDay, out.id / 60 % 60, out.id % 60);
        return out;
    }

    /// As an instrument shows it: every 2 nm, with its noise, to five digits.
    Spectrum read(const Spectrum& truth, double ppfd) {
        Spectrum out;
        const double scale = ppfd / photonsIn(truth, kParFromNm, kParToNm);
        for (double nm = 380; nm <= 780; nm += 2) {
            const double value = scale * valueAt(truth, nm) * (1.0 + 0.004 * noise_.normal()) +
                                 0.0004 * std::abs(noise_.normal());
            out.wavelength_nm.push_back(nm);
            out.values.push_back(std::round(value * 1e5) / 1e5);
        }
        return out;
    }

    static Spectrum truthOf(const Channel& channel) {
        if (channel.name == "tubes") return referenceSpectra()[6].spectrum;
        for (const auto& truth : truths())
            if (channel.name == truth.name) return ledSpectrum(truth.bins);
        return ledSpectrum({{450, 20, 1}});
    }

    void addChannels(const Fixture& fixture) {
        for (const auto& channel : fixture.channels) {
            double ppfd = 240.0;
            for (const auto& truth : truths())
                if (channel.name == truth.name) ppfd = truth.ppfd;
            auto out = record(fixture, channel.name);
            out.channel = channel.id;
            out.height = Millimetre(kInAirMm);
            out.spectrum = read(truthOf(channel), ppfd);
            bench_.spectra.push_back(std::move(out));
        }
    }

    /// All channels at a place beside the middle; `moved`: each channel's factor.
    Spectrum mixAt(double x, double y, const std::vector<double>& moved) {
        Spectrum sum;
        double ppfd = 0.0;
        const double away = std::hypot(x, y);
        const double cosine = kInAirMm / std::hypot(kInAirMm, away);
        std::vector<Spectrum> parts;
        for (std::size_t c = 0; c < truths().size(); ++c) {
            const auto& truth = truths()[c];
            const double power = std::log(0.5) / std::log(std::cos(truth.half_angle_deg * kDegree));
            const double here = truth.ppfd * std::pow(cosine, power + 3.0) * moved[c];
            const auto shape = truthOf(Channel{0, truth.name, {}, {}, {}, {}});
            parts.push_back(scaled(shape, here / photonsIn(shape, kParFromNm, kParToNm)));
            ppfd += here;
        }
        sum = parts.front();
        for (std::size_t i = 0; i < sum.wavelength_nm.size(); ++i)
            for (std::size_t c = 1; c < parts.size(); ++c)
                sum.values[i] += valueAt(parts[c], sum.wavelength_nm[i]);
        return read(sum, ppfd);
    }

    void addNinePoints(const Fixture& fixture) {
        for (int row = 1; row >= -1; --row)
            for (int column = -1; column <= 1; ++column) {
                auto out = record(fixture, fmt::format("{}{}", "ABC"[column + 1], row + 2));
                out.test = "nine points in air";
                out.height = Millimetre(kInAirMm);
                out.x = Millimetre(column * kPointPitchMm);
                out.y = Millimetre(row * kPointPitchMm);
                const bool turned = column == 1 && row == -1;
                out.spectrum = mixAt(out.x->value(), out.y->value(), {1.0, 1.0, turned ? kTurnedShare : 1.0});
                bench_.spectra.push_back(std::move(out));
            }
    }

    void addMoments(const Fixture& fixture) {
        for (int i = 0; i < kMoments; ++i) {
            auto out = record(fixture, fmt::format("moment {}", i + 1));
            out.test = "moving water";
            out.tank = bench_.tanks.front().id;
            out.height = Millimetre(210);
            out.depth = Millimetre(150);
            out.x = out.y = Millimetre(300);
            std::vector<double> moved;
            for (std::size_t c = 0; c < truths().size(); ++c)
                moved.push_back(std::exp(0.09 * noise_.normal()));
            out.spectrum = mixAt(0.0, 0.0, moved);
            bench_.spectra.push_back(std::move(out));
        }
    }

    void addMeter() {
        auto& meter = bench_.meters.front();
        meter.response = {{400, 0.71}, {430, 0.85}, {460, 0.94}, {500, 1.00}, {550, 1.02},
                          {600, 1.03}, {640, 1.01}, {660, 0.95}, {680, 0.86}, {700, 0.60}};
        const std::string source = "twin Sensor S2, 9 pairs";
        meter.corrections = {{"warm white", 0.991, 0.012, source, kDay, false},
                             {"cool white", 1.006, 0.012, source, kDay, false},
                             {"deep red", 1.061, 0.014, source, kDay, false}};
    }

    void addDays(const Fixture& fixture) {
        Schedule day;
        day.id = 1;
        day.name = "raceway, long day";
        day.fixture = fixture.id;
        day.lights = 2;
        day.ramps = {{1, 0, {{8, 0}, {9, 85}, {18.5, 85}, {19.5, 0}}},
                     {2,
                      fixture.channels.front().id,
                      {{7.5, 0}, {8.5, 100}, {19, 100}, {20, 2}, {22, 2}, {22.25, 0}}}};
        Schedule second = day;
        second.id = 2;
        second.name = "raceway, second timer";
        second.lights = 1;
        second.drift_s_day = 11.0;
        second.ramps = {{3, 0, {{8, 0}, {9, 85}, {18.5, 85}, {19.5, 0}}}};
        bench_.schedules = {day, second};
        bench_.method.price_kwh = 0.32;
        DayLog log;
        log.id = 1;
        log.name = "logger at the sand";
        log.tank = bench_.tanks.back().id;
        log.x = Millimetre(600);
        log.y = Millimetre(300);
        log.depth = Millimetre(400);
        log.time = "2026-11-08T00:00:00";
        for (double hour = 0; hour <= 24.0001; hour += 1.0 / 6.0) {
            double ppfd = 74.0 * levelAt(day, 0, hour) + 26.0 * levelAt(day, day.ramps[1].channel, hour);
            if (hour > 10.4 && hour < 11.1) ppfd += 96.0;  // sun through a roof light
            ppfd *= 1.0 + 0.01 * noise_.normal();
            log.points.push_back(
                {std::round(hour * 1e4) / 1e4, Ppfd(std::round(std::max(0.0, ppfd) * 10.0) / 10.0)});
        }
        bench_.logs = {log};
    }

    Bench& bench_;
    Noise noise_;
};

}  // namespace

void addDemoSpectra(Bench& bench, std::uint64_t seed) { SpectraMaker(bench, seed).make(); }

}  // namespace glumet
