#pragma once

#include <cstdint>

namespace glumet {

/// Row number in the project file; 0: none, or not stored yet; below 0: given before storing, so that what
/// belongs together can be named.
using Id = std::int64_t;

}  // namespace glumet
