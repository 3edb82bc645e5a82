#pragma once

#include <functional>
#include <string>

#include "core/base/problem.h"
#include "core/base/sentence.h"
#include "core/words/wording.h"

/// Text of sentences.
namespace glumet {

/// A message in another language, or the same; `count` is its first Count, for plurals, or −1.
using Translate = std::function<std::string(const char* message, int count)>;

/// The text in the reader's unit and language.
std::string spoken(const Words& words, LengthUnit unit, const Translate& translate);
/// The same in English.
std::string english(const Words& words, LengthUnit unit = LengthUnit::Mm);
/// "where: what", or "what" alone when there is no place to name.
std::string english(const Problem& problem);
/// A problem as the one line it is to a person: no control characters, at most limits::kErrorCharacters.
std::string problemLine(const std::string& where, const std::string& what);

/// "45 s", "3 min", "2 h 40 min".
std::string durationText(Second time);

}  // namespace glumet
