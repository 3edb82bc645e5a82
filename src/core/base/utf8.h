#pragma once

#include <string>
#include <string_view>

namespace glumet {

/// Whether bytes are UTF-8 (RFC 3629): no overlong forms, no surrogates, nothing above U+10FFFF.
bool isUtf8(std::string_view bytes);

/// At most `characters` of a text for a person to read on one line: control characters become blanks, bytes
/// that are not UTF-8 become U+FFFD, and what is cut is told by "…".
std::string shownText(std::string_view bytes, std::size_t characters);

}  // namespace glumet
