#pragma once

namespace glumet {

/// How a verdict stands: it answers; it has nothing to say, and its reason says why; or what it was asked
/// cannot be asked.
enum class VerdictStatus { Ready, Silent, Failed };

}  // namespace glumet
