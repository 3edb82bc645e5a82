#include "core/fit/beam_basis.h"

#include <cmath>
#include <numbers>

#include "core/base/angle.h"

namespace glumet {
namespace {

using std::numbers::pi;

constexpr int kMirrored = 7;  ///< azimuths at 0, 15 … 90 degrees
constexpr int kPeriodic = 8;

/// The four bells that are not zero at a place, their heights, and how those answer to the place.
struct Bells {
    std::array<int, 4> at;
    std::array<double, 4> height;
    std::array<double, 4> slope{};
};

std::array<double, 4> cubicHeights(double t) {
    const double s = 1.0 - t;
    return {s * s * s / 6.0, (3.0 * t * t * t - 6.0 * t * t + 4.0) / 6.0,
            (3.0 * s * s * s - 6.0 * s * s + 4.0) / 6.0, t * t * t / 6.0};
}

/// Their derivatives by t.
std::array<double, 4> cubicSlopes(double t) {
    const double s = 1.0 - t;
    return {-0.5 * s * s, 1.5 * t * t - 2.0 * t, 2.0 * s - 1.5 * s * s, 0.5 * t * t};
}

Bells overTheta(double theta_deg) {
    constexpr int kIntervals = BeamBasis::kIntervals;
    const double u = std::min(theta_deg, 90.0) * kIntervals / 90.0;
    const int interval = std::min(static_cast<int>(u), kIntervals - 1);
    // The bell left of the axis is the mirror of the one right of it.
    return {{std::abs(interval - 1), interval, interval + 1, interval + 2}, cubicHeights(u - interval)};
}

std::array<double, 4> scaled(std::array<double, 4> values, double by) {
    for (auto& value : values) value *= by;
    return values;
}

Bells overAzimuth(BeamShape shape, double phi) {
    const double turn = phi / (2.0 * pi) - std::floor(phi / (2.0 * pi));
    if (shape == BeamShape::Free) {
        const double u = turn * kPeriodic;
        const int interval = std::min(static_cast<int>(u), kPeriodic - 1);
        const auto round = [](int bell) { return (bell + kPeriodic) % kPeriodic; };
        return {{round(interval - 1), interval, round(interval + 1), round(interval + 2)},
                cubicHeights(u - interval),
                scaled(cubicSlopes(u - interval), kPeriodic / (2.0 * pi))};
    }
    constexpr int kLast = kMirrored - 1;
    const double half = std::abs(turn - 0.5);                // 0 at 180°, ½ at 0° and 360°
    const double quarter = half > 0.25 ? 0.5 - half : half;  // 0 at 0° and 180°, ¼ at 90°
    const double u = std::min(quarter * 4.0 * kLast, static_cast<double>(kLast));
    const int interval = std::min(static_cast<int>(u), kLast - 1);
    const auto mirrored = [](int bell) { return bell > kLast ? 2 * kLast - bell : std::abs(bell); };
    // Falling before half a turn and rising behind it, and the other way round beyond a quarter.
    const double rising = (turn < 0.5 ? -1.0 : 1.0) * (half > 0.25 ? -1.0 : 1.0);
    return {{mirrored(interval - 1), interval, interval + 1, mirrored(interval + 2)},
            cubicHeights(u - interval),
            scaled(cubicSlopes(u - interval), rising * 4.0 * kLast / (2.0 * pi))};
}

std::vector<double> ringFluxes() {
    std::vector<double> out(BeamBasis::kSize, 0.0);
    constexpr int kSteps = 3600;
    for (int i = 0; i < kSteps; ++i) {
        const double theta = (i + 0.5) * 90.0 / kSteps;
        const double ring = 2.0 * pi * std::sin(theta * kDegree) * (pi / 2.0 / kSteps);
        BeamBasis::addTo(BeamShape::Round, theta, 0.0, ring, out.data());
    }
    return out;
}

std::vector<double> fluxesOf(BeamShape shape) {
    const auto ring = ringFluxes();
    std::vector<double> out;
    for (const double share : BeamBasis::turnShares(shape))
        for (const double flux : ring) out.push_back(share * flux);
    return out;
}

}  // namespace

int BeamBasis::azimuths(BeamShape shape) {
    return shape == BeamShape::Round ? 1 : shape == BeamShape::TwoPlanes ? kMirrored : kPeriodic;
}

std::vector<double> BeamBasis::turnShares(BeamShape shape) {
    if (shape == BeamShape::Round) return {1.0};
    if (shape == BeamShape::Free) return std::vector<double>(kPeriodic, 1.0 / kPeriodic);
    // The bells at 0° and 90° have no twin beyond their plane.
    std::vector<double> shares(kMirrored, 1.0 / (kMirrored - 1));
    shares.front() = shares.back() = 0.5 / (kMirrored - 1);
    return shares;
}

void BeamBasis::addTo(BeamShape shape, double theta_deg, double phi, double weight, double* row) {
    const auto theta = overTheta(theta_deg);
    if (shape == BeamShape::Round) {
        for (std::size_t i = 0; i < 4; ++i) row[theta.at[i]] += weight * theta.height[i];
        return;
    }
    const auto azimuth = overAzimuth(shape, phi);
    for (std::size_t j = 0; j < 4; ++j) {
        double* of_azimuth = row + azimuth.at[j] * kSize;
        const double share = weight * azimuth.height[j];
        for (std::size_t i = 0; i < 4; ++i) of_azimuth[theta.at[i]] += share * theta.height[i];
    }
}

double BeamBasis::intensity(BeamShape shape, std::span<const double> beam, double theta_deg, double phi) {
    const auto theta = overTheta(theta_deg);
    const auto outward = [&](const double* coefficients) {
        double sum = 0.0;
        for (std::size_t i = 0; i < 4; ++i) sum += theta.height[i] * coefficients[theta.at[i]];
        return sum;
    };
    if (shape == BeamShape::Round) return outward(beam.data());
    const auto azimuth = overAzimuth(shape, phi);
    double sum = 0.0;
    for (std::size_t j = 0; j < 4; ++j)
        sum += azimuth.height[j] * outward(beam.data() + azimuth.at[j] * kSize);
    return sum;
}

BeamCurve::BeamCurve(BeamShape shape, std::span<const double> beam) : shape_(shape) {
    constexpr int kIntervals = BeamBasis::kIntervals;
    for (int azimuth = 0; azimuth < BeamBasis::azimuths(shape); ++azimuth) {
        const double* of = beam.data() + azimuth * BeamBasis::kSize;
        for (int k = 0; k < kIntervals; ++k) {
            const double a = of[std::abs(k - 1)];
            const double b = of[k];
            const double c = of[k + 1];
            const double d = of[k + 2];
            pieces_.push_back({(a + 4.0 * b + c) / 6.0, (c - a) / 2.0, (a - 2.0 * b + c) / 2.0,
                               (d - a + 3.0 * (b - c)) / 6.0});
        }
    }
}

double BeamCurve::at(double theta_deg, double phi) const {
    constexpr int kIntervals = BeamBasis::kIntervals;
    const double u = std::min(theta_deg, 90.0) * kIntervals / 90.0;
    const int interval = std::min(static_cast<int>(u), kIntervals - 1);
    const double t = u - interval;
    if (shape_ == BeamShape::Round) return outward(0, interval, t).value;
    const auto azimuth = overAzimuth(shape_, phi);
    double sum = 0.0;
    for (std::size_t j = 0; j < 4; ++j) sum += azimuth.height[j] * outward(azimuth.at[j], interval, t).value;
    return sum;
}

BeamCurve::Slopes BeamCurve::outward(int azimuth, int interval, double t) const {
    const auto& k = pieces_[static_cast<std::size_t>(azimuth * BeamBasis::kIntervals + interval)];
    return {k[0] + t * (k[1] + t * (k[2] + t * k[3])), k[1] + t * (2.0 * k[2] + t * 3.0 * k[3]), 0.0};
}

BeamCurve::Slopes BeamCurve::slopesAt(double theta_deg, double phi) const {
    constexpr double kPerDegree = BeamBasis::kIntervals / 90.0;
    const double u = std::min(theta_deg, 90.0) * kPerDegree;
    const int interval = std::min(static_cast<int>(u), BeamBasis::kIntervals - 1);
    Slopes out;
    if (shape_ == BeamShape::Round) {
        out = outward(0, interval, u - interval);
    } else {
        const auto azimuth = overAzimuth(shape_, phi);
        for (std::size_t j = 0; j < 4; ++j) {
            const auto one = outward(azimuth.at[j], interval, u - interval);
            out.value += azimuth.height[j] * one.value;
            out.by_theta_deg += azimuth.height[j] * one.by_theta_deg;
            out.by_phi += azimuth.slope[j] * one.value;
        }
    }
    out.by_theta_deg *= theta_deg < 90.0 ? kPerDegree : 0.0;
    return out;
}

const std::vector<double>& BeamBasis::fluxes(BeamShape shape) {
    static const std::array<std::vector<double>, 3> values{
        fluxesOf(BeamShape::Round), fluxesOf(BeamShape::TwoPlanes), fluxesOf(BeamShape::Free)};
    return values[static_cast<std::size_t>(shape)];
}

Expected<Beam> BeamBasis::tableOf(BeamShape shape, std::span<const double> beam) {
    constexpr double kAzimuthStep = 7.5;
    std::vector<double> theta;
    for (int degree = 0; degree <= 90; ++degree) theta.push_back(degree);
    const auto along = [&](double phi_deg) {
        std::vector<double> relative;
        for (const double degree : theta)
            relative.push_back(std::max(0.0, intensity(shape, beam, degree, phi_deg * kDegree)));
        return relative;
    };
    if (shape == BeamShape::Round) return Beam::table(theta, along(0.0));
    const double last = shape == BeamShape::TwoPlanes ? 90.0 : 360.0;
    std::vector<double> azimuths;
    std::vector<std::vector<double>> planes;
    for (double phi = 0.0; phi <= last; phi += kAzimuthStep) {
        azimuths.push_back(phi);
        planes.push_back(along(phi));
    }
    if (last == 360.0) planes.back() = planes.front();
    return Beam::planes(theta, azimuths, planes);
}

}  // namespace glumet
