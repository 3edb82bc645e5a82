#pragma once

#include <optional>
#include <utility>
#include <vector>

#include "core/base/problem.h"
#include "core/bench/bench.h"

namespace glumet {

/// Which way a row of fixtures runs.
enum class RowAlong { Length, Width };

/// What keeps fixtures from hanging just anywhere.
struct ArrayLimits {
    std::vector<Obstacle> obstacles;  ///< of the tank; those from wall to wall are braces
    bool clear_of_braces = false;     ///< no body may hang over a brace: it would shade, and rest on it
    double canopy_length_mm = 0.0;    ///< bodies stay within it, about the middle; 0: the tank's own
    double canopy_width_mm = 0.0;
    std::optional<Millimetre> lowest;  ///< mounting heights allowed
    std::optional<Millimetre> highest;

    std::optional<Problem> wrongHeight(Millimetre height) const;

    bool operator==(const ArrayLimits&) const = default;
};

/// A fixture's outline in plan.
struct Footprint {
    double x_mm = 0.0;  ///< its middle
    double y_mm = 0.0;
    double length_mm = 0.0;  ///< along x
    double width_mm = 0.0;   ///< along y
};

/// Where the middle of a body may be along a row: an interval with pieces cut out. All mm along the row.
class RowRoom {
  public:
    /// A row in the middle of a tank; `others` are bodies that hang already.
    RowRoom(double tank_length_mm, double tank_width_mm, RowAlong along, double body_length_mm,
            double body_width_mm, const ArrayLimits& limits, const std::vector<Footprint>& others = {});

    double length() const { return length_; }  ///< of the row
    double body() const { return body_; }      ///< extent of one body along it
    /// Whether a body fits at all: along the row and across it.
    bool any() const { return any_; }
    bool allows(double centre) const;
    /// The nearest place allowed; nothing where there is none.
    std::optional<double> nearest(double centre) const;
    /// Whether these centres (ascending) are all allowed and no two bodies overlap.
    bool allows(const std::vector<double>& centres) const;
    double low() const { return low_; }
    double high() const { return high_; }

  private:
    void cut(double from, double to);

    double length_ = 0.0;
    double body_ = 0.0;
    double low_ = 0.0;
    double high_ = 0.0;
    bool any_ = true;
    std::vector<std::pair<double, double>> cuts_;  ///< open intervals no centre may lie in
};

}  // namespace glumet
