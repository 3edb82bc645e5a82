#pragma once

#include <QString>

namespace glumet {

/// The pattern that finds the number at this place of a line: what stands before it, as it is (its own
/// numbers as any), then the number in parentheses. Empty where no number stands there.
QString patternAt(const QString& line, qsizetype at);

}  // namespace glumet
