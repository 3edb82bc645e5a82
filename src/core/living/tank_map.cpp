#include "core/living/tank_map.h"

#include <Eigen/Core>
#include <algorithm>
#include <array>
#include <cmath>

#include "core/base/interval.h"
#include "core/linear/linear.h"

namespace glumet {
namespace {

constexpr double kLeastNoise = 0.03;
constexpr double kMostNoise = 0.15;
constexpr double kShadeMm = 90.0;  // around what was read shaded
constexpr double kTold = 0.1468;   // standard deviation of ln E: 1.96 of it are a third
constexpr double kNear = 0.5;      // of the variance that is left where readings speak
constexpr std::array kScalesMm{80.0, 120.0, 180.0, 260.0, 400.0};
constexpr std::array kSds{0.05, 0.09, 0.16, 0.3, 0.5, 0.8};
/// What is believed of the line's slope over depth before: light halves within 150 to 600 mm, or so.
constexpr double kSlopePriorMean = -0.0015;
constexpr double kSlopePriorSd = 0.0015;

double noiseOf(const SpotReading& reading) {
    if (!reading.min || !reading.max || !(reading.min->value() > 0.0)) return kLeastNoise;
    // A settled mean is surer than its swing is wide.
    return std::clamp(0.05 * std::log(*reading.max / *reading.min), kLeastNoise, kMostNoise);
}

}  // namespace

TankMap TankMap::of(const std::vector<TankSpot>& spots, const ExpectedLight& expected) {
    TankMap map;
    map.expected_ = expected;
    for (const auto& spot : spots) {
        const auto* reading = latestAt(spot);
        if (reading == nullptr || !(reading->mean.value() > 0.0)) continue;
        if (reading->shaded) {
            map.shades_.push_back({spot.x.value(), spot.y.value(), spot.depth.value()});
            continue;
        }
        const double before = expected ? expected(spot.x.value(), spot.y.value(), spot.depth.value()) : 1.0;
        if (!(before > 0.0)) continue;
        map.places_.push_back({spot.x.value(), spot.y.value(), spot.depth.value(),
                               std::log(reading->mean.value() / before), noiseOf(*reading)});
    }
    map.settle();
    return map;
}

TankMap mapOf(const Bench& bench, Id tank, const std::optional<SurveyChange>& change,
              const ExpectedLight& expected) {
    std::vector<TankSpot> spots;
    for (const auto& spot : bench.spots) {
        if (spot.tank != tank) continue;
        // Of years of readings the map asks the latest.
        TankSpot last;
        last.id = spot.id;
        last.x = spot.x;
        last.y = spot.y;
        last.depth = spot.depth;
        if (const auto* reading = latestAt(spot); reading != nullptr) last.readings = {*reading};
        spots.push_back(std::move(last));
    }
    if (change)
        for (const auto& one : change->spots)
            if (auto* spot = byId(spots, one.spot); spot != nullptr && one.lost && !spot->readings.empty())
                spot->readings.front().shaded = true;
    return TankMap::of(spots, expected);
}

double TankMap::correlation(const Place& a, const Place& b) const {
    const double square = (a.x - b.x) * (a.x - b.x) + (a.y - b.y) * (a.y - b.y) + (a.z - b.z) * (a.z - b.z);
    return std::exp(-0.5 * square / (scale_mm_ * scale_mm_));
}

void TankMap::settle() {
    if (places_.empty()) return;
    double best = -1e300;
    double scale = scale_mm_;
    double sd = sd_;
    for (const double tried_scale : kScalesMm) {
        scale_mm_ = tried_scale;
        const auto alike = correlation();
        for (const double tried_sd : kSds) {
            sd_ = tried_sd;
            if (const double evidence = solve(alike, false); evidence > best) {
                best = evidence;
                scale = tried_scale;
                sd = tried_sd;
            }
        }
    }
    scale_mm_ = scale;
    sd_ = sd;
    solve(correlation(), true);
}

/// Of every two readings' places, by the length scale; row by row.
std::vector<double> TankMap::correlation() const {
    const std::size_t n = places_.size();
    std::vector<double> out(n * n);
    for (std::size_t i = 0; i < n; ++i)
        for (std::size_t j = 0; j <= i; ++j)
            out[i * n + j] = out[j * n + i] = correlation(places_[i], places_[j]);
    return out;
}

double TankMap::solve(const std::vector<double>& alike, bool whole) {
    const auto n = static_cast<Eigen::Index>(places_.size());
    Eigen::MatrixXd covariance = sd_ * sd_ * Eigen::Map<const Eigen::MatrixXd>(alike.data(), n, n);
    Eigen::VectorXd logs(n);
    Eigen::MatrixXd line(n, expected_ ? 1 : 2);
    for (Eigen::Index i = 0; i < n; ++i) {
        const auto& place = places_[static_cast<std::size_t>(i)];
        logs(i) = place.log;
        line(i, 0) = 1.0;
        if (!expected_) line(i, 1) = place.z;
        covariance(i, i) += place.noise * place.noise;
    }
    const PivotedCholesky ldlt(covariance);
    // The line by generalised least squares, its slope with what is believed before.
    const Eigen::MatrixXd solved = ldlt.solve(line);
    Eigen::MatrixXd normal = line.transpose() * solved;
    Eigen::VectorXd right = solved.transpose() * logs;
    if (!expected_) {
        normal(1, 1) += 1.0 / (kSlopePriorSd * kSlopePriorSd);
        right(1) += kSlopePriorMean / (kSlopePriorSd * kSlopePriorSd);
    }
    const Eigen::VectorXd coefficients = PivotedCholesky(normal).solve(right);
    level_ = coefficients(0);
    slope_ = expected_ ? 0.0 : coefficients(1);
    const Eigen::VectorXd rest = logs - line * coefficients;
    const Eigen::VectorXd weights = ldlt.solve(rest);
    const double evidence =
        -0.5 * (rest.dot(weights) + ldlt.logDeterminant() + PivotedCholesky(normal).logDeterminant());
    if (!whole) return evidence;
    const Eigen::MatrixXd inverse = ldlt.solve(Eigen::MatrixXd(Eigen::MatrixXd::Identity(n, n)));
    weights_.assign(weights.data(), weights.data() + n);
    leaning_.assign(static_cast<std::size_t>(2 * n), 0.0);
    for (Eigen::Index i = 0; i < n; ++i)
        for (Eigen::Index k = 0; k < line.cols(); ++k)
            leaning_[static_cast<std::size_t>(2 * i + k)] = solved(i, k);
    const Eigen::MatrixXd doubt = PivotedCholesky(normal).solve(
        Eigen::MatrixXd(Eigen::MatrixXd::Identity(normal.rows(), normal.cols())));
    line_doubt_ = {doubt(0, 0), 0.0, 0.0, 0.0};
    if (!expected_) line_doubt_ = {doubt(0, 0), doubt(0, 1), doubt(1, 0), doubt(1, 1)};
    inverse_.assign(inverse.data(), inverse.data() + n * n);
    return evidence;
}

MapPoint TankMap::at(double x_mm, double y_mm, double depth_mm) const {
    if (places_.empty()) return {};
    const auto n = places_.size();
    const Place here{x_mm, y_mm, depth_mm, 0.0, 0.0};
    std::vector<double> k(n);
    double log = level_ + slope_ * depth_mm;
    for (std::size_t i = 0; i < n; ++i) {
        k[i] = sd_ * sd_ * correlation(here, places_[i]);
        log += k[i] * weights_[i];
    }
    double variance = sd_ * sd_;
    const auto size = static_cast<Eigen::Index>(n);
    const Eigen::Map<const Eigen::VectorXd> to_readings(k.data(), size);
    const Eigen::Map<const Eigen::MatrixXd> inverse(inverse_.data(), size, size);
    variance -= to_readings.dot(inverse * to_readings);
    // Without an expected field only readings near by may speak.
    bool told = expected_ || variance <= kNear * sd_ * sd_;
    for (const auto& [x, y, z] : shades_)
        told = told && std::hypot(x - x_mm, y - y_mm, z - depth_mm) > kShadeMm;
    // What is not known of the line, as far as the readings here do not speak for it.
    std::array<double, 2> open{1.0, expected_ ? 0.0 : depth_mm};
    for (std::size_t i = 0; i < n; ++i)
        for (std::size_t j = 0; j < 2; ++j) open[j] -= k[i] * leaning_[2 * i + j];
    variance += open[0] * open[0] * line_doubt_[0] + open[0] * open[1] * (line_doubt_[1] + line_doubt_[2]) +
                open[1] * open[1] * line_doubt_[3];
    const double sd = std::sqrt(std::max(0.0, variance));
    const double before = expected_ ? expected_(x_mm, y_mm, depth_mm) : 1.0;
    MapPoint out;
    out.ppfd = before * std::exp(log);
    out.lo = out.ppfd * std::exp(-kInterval95 * sd);
    out.hi = out.ppfd * std::exp(kInterval95 * sd);
    out.told = told && before > 0.0 && sd <= kTold;
    return out;
}

}  // namespace glumet
