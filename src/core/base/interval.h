#pragma once

namespace glumet {

/// Standard errors on either side of a 95 % interval of a normal quantity.
inline constexpr double kInterval95 = 1.96;
/// … beyond which a difference is named: one in a hundred equal pairs.
inline constexpr double kNamed99 = 2.58;

}  // namespace glumet
