#pragma once

#include <numbers>

namespace glumet {

/// Radians of a degree.
inline constexpr double kDegree = std::numbers::pi / 180.0;

}  // namespace glumet
