#pragma once

#include <string>
#include <string_view>
#include <vector>

#include "core/base/problem.h"
#include "core/bench/bench.h"
#include "core/words/wording.h"

namespace glumet {

/// "brace 28–32 × 0–60; pump 0–8 × 50–60": name, range along the length, range along the width, in `unit`.
std::string obstaclesText(const std::vector<Obstacle>& obstacles, LengthUnit unit);

/// Reads what obstaclesText() writes, as a person types it ("x" for "×", "-" for "–"). An empty text is no
/// obstacle; the problem names the obstacle that is not understood or not inside the tank.
Expected<std::vector<Obstacle>> parseObstacles(std::string_view text, LengthUnit unit, const Tank& tank);

/// A list as a person types it: "12, 15, 18", or "12–30 by 3" for equal steps, or both mixed; separated by
/// commas or semicolons (only by semicolons where the comma is a decimal sign: "12,5; 15"). In `unit`,
/// ascending, equal ones once, at most 200. The problem names the piece that is not understood.
Expected<std::vector<Millimetre>> parseLengths(std::string_view text, LengthUnit unit);

/// "12, 15, 18": what parseLengths() reads.
std::string lengthsText(const std::vector<Millimetre>& lengths, LengthUnit unit);

}  // namespace glumet
