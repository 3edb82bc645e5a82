#pragma once

#include <optional>
#include <string>
#include <string_view>
#include <utility>

#include "core/words/wording.h"

/// What people type in two parts. Every form and list reads such texts by these.
namespace glumet {

using TypedParts = std::pair<std::string, std::string>;

/// "4 × 3", "4x3", "4 * 3" or "4 3"; one part alone stands for both. Nothing for anything else.
std::optional<TypedParts> typedPair(std::string_view text);

/// "13–18", "13-18" or "13:18". Nothing for anything else.
std::optional<TypedParts> typedRange(std::string_view text);

/// A pair of lengths ≥ 0; a unit after the last figure holds for both.
std::optional<std::pair<Millimetre, Millimetre>> parseLengthPair(std::string_view text, LengthUnit unit);

/// The same as a range, 0 ≤ from ≤ to.
std::optional<std::pair<Millimetre, Millimetre>> parseLengthRange(std::string_view text, LengthUnit unit);

/// Two numbers, from ≤ to.
std::optional<std::pair<double, double>> parseNumberRange(std::string_view text);

/// Two whole numbers from 1 to `most`.
std::optional<std::pair<int, int>> parseCounts(std::string_view text, int most);

}  // namespace glumet
