#include "core/light/shadow.h"

#include <algorithm>
#include <cmath>

#include "core/base/parallel.h"

namespace glumet {
namespace {

/// One way of light as ripple moves it.
struct MovedWay {
    double x, y;     ///< where it enters the water, mm
    double phi;      ///< azimuth
    double mean;     ///< (a_l + a_t)/2, against straight down
    double unequal;  ///< (a_l − a_t)/2
    double weight;
};

MovedWay movedWay(const ExactField::Arrival& way, const PointSource& source, double depth_mm, double n) {
    const double c = way.cos_air;
    const double w = way.cos_water;
    const double ratio = depth_mm / (n * source.height_mm);
    const double bend = w - c / n;
    const double along = bend / (w * w * w) / (1.0 + ratio * (c * c * c) / (w * w * w));
    const double across = bend / w / (1.0 + ratio * c / w);
    const double straight = (1.0 - 1.0 / n) / (1.0 + ratio);
    return {way.entry_x_mm,
            way.entry_y_mm,
            way.phi,
            0.5 * (along + across) / straight,
            0.5 * (along - across) / straight,
            way.ppfd};
}

/// ∫ J_m(kΔ) exp(−k²ℓ²/4) k dk against the same of 1, with x = Δ²/ℓ² (Gradshteyn & Ryzhik 6.631).
struct WaveMeans {
    double none;    ///< m = 0
    double second;  ///< m = 2
    double fourth;  ///< m = 4: x² ∫₀¹ t²(1 − t) e^(−xt) dt
};

WaveMeans waveMeans(double x) {
    const double e = std::exp(-x);
    // Below this the closed forms are differences of nearly equal numbers.
    if (x < 0.05) return {e, x * (0.5 - x / 3.0), x * x * (1.0 / 12.0 - x / 20.0)};
    const double squares = (2.0 - e * (x * x + 2.0 * x + 2.0)) / (x * x * x);
    const double cubes = (6.0 - e * (x * x * x + 3.0 * x * x + 6.0 * x + 6.0)) / (x * x * x * x);
    return {e, (1.0 - e) / x - e, x * x * (squares - cubes)};
}

double covariance(const MovedWay& a, const MovedWay& b, double correlation_mm) {
    const double dx = a.x - b.x;
    const double dy = a.y - b.y;
    const auto means = waveMeans((dx * dx + dy * dy) / (correlation_mm * correlation_mm));
    const double toward = dx == 0.0 && dy == 0.0 ? 0.0 : std::atan2(dy, dx);
    const double turned = a.mean * b.unequal * std::cos(2.0 * (toward - b.phi)) +
                          b.mean * a.unequal * std::cos(2.0 * (toward - a.phi));
    const double twice = means.none * std::cos(2.0 * (a.phi - b.phi)) +
                         means.fourth * std::cos(4.0 * toward - 2.0 * a.phi - 2.0 * b.phi);
    return means.none * a.mean * b.mean - means.second * turned + 0.5 * a.unequal * b.unequal * twice;
}

double deviation(const std::vector<MovedWay>& ways, double correlation_mm) {
    double sum = 0.0;
    for (std::size_t i = 0; i < ways.size(); ++i) {
        sum += ways[i].weight * ways[i].weight * covariance(ways[i], ways[i], correlation_mm);
        for (std::size_t j = 0; j < i; ++j)
            sum += 2.0 * ways[i].weight * ways[j].weight * covariance(ways[i], ways[j], correlation_mm);
    }
    return std::sqrt(std::max(0.0, sum));
}

/// All ways to a point with `share` of each channel: the weights of a channel add up to that.
template <class Share>
std::vector<MovedWay> waysTo(const ExactField& field, Millimetre x, Millimetre y, Millimetre depth,
                             Share share) {
    const double n = field.scene().water.refractive_index;
    if (n == 1.0 || depth.value() <= 0.0) return {};
    std::vector<MovedWay> ways;
    for (const auto& way : field.arrivals(x, y, depth)) {
        const auto& source = field.sources()[way.source];
        auto moved = movedWay(way, source, depth.value(), n);
        moved.weight = way.ppfd * share(source.channel);
        if (moved.weight != 0.0) ways.push_back(moved);
    }
    return ways;
}

}  // namespace

std::vector<std::optional<double>> shadowShares(const LightScene& scene, Millimetre depth,
                                                std::span<const std::array<double, 2>> points,
                                                const ShadowDisc& disc) {
    const ExactField open(scene);
    std::vector<std::optional<double>> shares(points.size());
    forEachIndex(points.size(), 0, [&](std::size_t i) {
        const auto& at = points[i];
        const Millimetre x(at[0]);
        const Millimetre y(at[1]);
        const double without = open.at(x, y, depth).value();
        if (!(without > 0.0)) return;
        auto shaded = scene;
        shaded.obstacles.push_back(
            SceneObstacle::disc({at[0], at[1], (depth - disc.above).value()}, disc.diameter.value()));
        shares[i] = ExactField(shaded).at(x, y, depth).value() / without;
    });
    return shares;
}

double shadowFigure(const LightScene& scene, Millimetre depth, std::span<const std::array<double, 2>> points,
                    const ShadowDisc& disc) {
    double sum = 0.0;
    int lit = 0;
    for (const auto& share : shadowShares(scene, depth, points, disc)) {
        sum += share.value_or(0.0);
        lit += share ? 1 : 0;
    }
    return lit > 0 ? sum / lit : 0.0;
}

double shimmerAt(const ExactField& field, Millimetre x, Millimetre y, Millimetre depth,
                 const SurfaceRipple& ripple) {
    const double all = field.at(x, y, depth).value();
    if (!(all > 0.0)) return 0.0;
    return deviation(waysTo(field, x, y, depth, [all](std::size_t) { return 1.0 / all; }),
                     ripple.correlation.value());
}

double colourFlashAt(const ExactField& field, Millimetre x, Millimetre y, Millimetre depth,
                     std::size_t channel_a, std::size_t channel_b, const SurfaceRipple& ripple) {
    double a = 0.0;
    double b = 0.0;
    for (const auto& way : field.arrivals(x, y, depth)) {
        const auto channel = field.sources()[way.source].channel;
        if (channel == channel_a) a += way.ppfd;
        if (channel == channel_b) b += way.ppfd;
    }
    if (!(a > 0.0) || !(b > 0.0)) return 0.0;
    const auto share = [&](std::size_t channel) {
        return (channel == channel_a ? 1.0 / a : 0.0) - (channel == channel_b ? 1.0 / b : 0.0);
    };
    return deviation(waysTo(field, x, y, depth, share), ripple.correlation.value());
}

std::vector<std::array<double, 2>> middleRing(std::span<const std::array<double, 2>> points, int columns,
                                              int rows) {
    std::vector<std::array<double, 2>> out(points.begin(), points.end());
    if (columns < 1 || rows < 1 ||
        points.size() != static_cast<std::size_t>(columns) * static_cast<std::size_t>(rows))
        return out;
    const auto ring = [&](int i, int j) { return std::min({i, j, columns - 1 - i, rows - 1 - j}); };
    const int innermost = (std::min(columns, rows) - 1) / 2;
    out.clear();
    for (int j = 0; j < rows; ++j)
        for (int i = 0; i < columns; ++i)
            if (ring(i, j) == innermost) out.push_back(points[static_cast<std::size_t>(j * columns + i)]);
    return out;
}

}  // namespace glumet
