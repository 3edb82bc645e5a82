#pragma once

#include <QString>

namespace glumet {

/// The house font as rules of a style sheet that carries it along, so that a page or picture looks the same
/// where nobody has it; `bold` too.
QString fontFaces(bool bold);

}  // namespace glumet
