#pragma once

#include <QString>

namespace glumet {

/// Speaks this language ("en", "de") from now on: what is made later is in it. English comes first for its
/// plurals, so what the other does not say yet is said in English. False when there is no such language.
bool speak(const QString& language);

}  // namespace glumet
