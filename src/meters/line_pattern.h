#pragma once

#include <QString>

namespace glumet {

/// The pattern that finds the number at this place of a line, or the nearest in the same field ("PPFD=214" is
/// one): what stands before it, as it is (its own numbers as any), then the number in parentheses. Empty
/// where the field holds no number.
QString patternAt(const QString& line, qsizetype at);

}  // namespace glumet
