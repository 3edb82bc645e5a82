#pragma once

#include <optional>
#include <vector>

namespace glumet {

/// Piecewise cubic through (x, y) that never overshoots its data: monotone where the data are.
/// Slopes: weighted harmonic mean of the neighbouring secants inside, the one-sided three-point rule at
/// the ends, limited to keep the shape (Fritsch & Butland 1984, SIAM J. Sci. Stat. Comput. 5:300).
class MonotoneCubic {
  public:
    /// x strictly ascending, sizes equal and ≥ 2 (a programmer's duty, asserted).
    MonotoneCubic(std::vector<double> x, std::vector<double> y);

    /// Value at `at`; outside the data the nearest end value, nothing is extrapolated.
    double operator()(double at) const;

    /// Smallest x at which the curve reaches `level` going up; nothing when it never does.
    std::optional<double> firstReaches(double level) const;

  private:
    double onPiece(std::size_t piece, double at) const;

    std::vector<double> x_;
    std::vector<double> y_;
    std::vector<double> slope_;
};

}  // namespace glumet
