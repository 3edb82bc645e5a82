#pragma once

#include <array>

namespace glumet {

enum class WallKind { Glass, Acrylic, Opaque };

enum class Side { Left, Right, Front, Back };
inline constexpr std::array kSides{Side::Left, Side::Right, Side::Front, Side::Back};

}  // namespace glumet
