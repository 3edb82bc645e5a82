#pragma once

#include <optional>
#include <string>
#include <string_view>

#include "core/base/quantity.h"

namespace glumet {

/// How lengths are written for the reader. Stored lengths are always mm.
enum class LengthUnit { Cm, Mm, Inch };

/// The bare figure in `unit`: "25", "25.5", "255" or, in inches, to the nearest eighth: "9 7/8".
std::string lengthFigure(Millimetre length, LengthUnit unit);

/// "cm", "mm" or "in".
std::string unitName(LengthUnit unit);

/// Figure and unit: "25 cm", "250 mm", "9 7/8 in".
std::string lengthText(Millimetre length, LengthUnit unit);

/// "24–27 cm": two figures and one unit.
std::string lengthRange(Millimetre low, Millimetre high, LengthUnit unit);

/// Reads what a person types for a length: "25", "25.5 cm", "25,5", "250 mm", "9 7/8 in", "9 7/8\"".
/// A figure without a unit is taken in `assumed`. Nothing when it is not a finite length.
std::optional<Millimetre> parseLength(std::string_view text, LengthUnit assumed);

/// A PPFD for reading at a glance: one decimal below 10, whole numbers above. "3.4", "214".
std::string ppfdFigure(Ppfd ppfd);

/// A share as a percentage without decimals: 0.784 → "78 %"; one decimal below 10 %: "3.4 %".
std::string percentText(double share);

/// A decimal number in a form a person typed, with dot or comma: nothing unless the whole text is one
/// finite number. Spaces around it are allowed.
std::optional<double> parseNumber(std::string_view text);

}  // namespace glumet
