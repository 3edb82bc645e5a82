#include "core/base/monotone_cubic.h"

#include <algorithm>
#include <cassert>
#include <cmath>

namespace glumet {
namespace {

double endSlope(double h0, double h1, double secant0, double secant1) {
    const double slope = ((2.0 * h0 + h1) * secant0 - h0 * secant1) / (h0 + h1);
    if (slope * secant0 <= 0.0) return 0.0;
    if (secant0 * secant1 <= 0.0 && std::abs(slope) > 3.0 * std::abs(secant0)) return 3.0 * secant0;
    return slope;
}

double innerSlope(double h0, double h1, double secant0, double secant1) {
    if (secant0 * secant1 <= 0.0) return 0.0;
    const double w0 = 2.0 * h1 + h0;
    const double w1 = h1 + 2.0 * h0;
    return (w0 + w1) / (w0 / secant0 + w1 / secant1);
}

}  // namespace

MonotoneCubic::MonotoneCubic(std::vector<double> x, std::vector<double> y)
    : x_(std::move(x)), y_(std::move(y)) {
    assert(x_.size() >= 2 && x_.size() == y_.size());
    const auto n = x_.size();
    std::vector<double> h(n - 1);
    std::vector<double> secant(n - 1);
    for (std::size_t i = 0; i + 1 < n; ++i) {
        h[i] = x_[i + 1] - x_[i];
        assert(h[i] > 0.0);
        secant[i] = (y_[i + 1] - y_[i]) / h[i];
    }
    slope_.assign(n, secant.front());
    if (n == 2) return;
    slope_.front() = endSlope(h[0], h[1], secant[0], secant[1]);
    slope_.back() = endSlope(h[n - 2], h[n - 3], secant[n - 2], secant[n - 3]);
    for (std::size_t i = 1; i + 1 < n; ++i) slope_[i] = innerSlope(h[i - 1], h[i], secant[i - 1], secant[i]);
}

double MonotoneCubic::onPiece(std::size_t piece, double at) const {
    const double h = x_[piece + 1] - x_[piece];
    const double t = (at - x_[piece]) / h;
    const double t2 = t * t;
    const double t3 = t2 * t;
    return (2 * t3 - 3 * t2 + 1) * y_[piece] + (t3 - 2 * t2 + t) * h * slope_[piece] +
           (-2 * t3 + 3 * t2) * y_[piece + 1] + (t3 - t2) * h * slope_[piece + 1];
}

double MonotoneCubic::operator()(double at) const {
    if (at <= x_.front()) return y_.front();
    if (at >= x_.back()) return y_.back();
    const auto next = std::upper_bound(x_.begin(), x_.end(), at);
    return onPiece(static_cast<std::size_t>(next - x_.begin()) - 1, at);
}

std::optional<double> MonotoneCubic::firstReaches(double level) const {
    if (y_.front() >= level) return x_.front();
    for (std::size_t piece = 0; piece + 1 < x_.size(); ++piece) {
        if (y_[piece + 1] < level) continue;
        double low = x_[piece];
        double high = x_[piece + 1];
        // Bisection: the piece is monotone, and 60 halvings exhaust a double.
        for (int i = 0; i < 60 && low < high; ++i) {
            const double middle = 0.5 * (low + high);
            (onPiece(piece, middle) < level ? low : high) = middle;
        }
        return high;
    }
    return std::nullopt;
}

}  // namespace glumet
