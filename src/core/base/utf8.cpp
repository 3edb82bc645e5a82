#include "core/base/utf8.h"

#include <algorithm>
#include <cstdint>

namespace glumet {
namespace {

constexpr std::uint32_t kBad = 0xFFFFFFFF;

/// Length of a sequence by its first byte; 0 for none.
std::size_t sequenceLength(unsigned char first) {
    if (first < 0x80) return 1;
    if (first >= 0xC2 && first < 0xE0) return 2;
    if (first >= 0xE0 && first < 0xF0) return 3;
    if (first >= 0xF0 && first < 0xF5) return 4;
    return 0;
}

/// Takes one character off the front; kBad, and one byte taken, for what is none.
std::uint32_t takeCharacter(std::string_view& bytes, std::string_view& taken) {
    const auto byte = [&](std::size_t i) { return static_cast<unsigned char>(bytes[i]); };
    const auto length = sequenceLength(byte(0));
    std::uint32_t code = length == 1 ? byte(0) : byte(0) & (0xFFU >> (length + 1));
    bool sound = length > 0 && length <= bytes.size();
    for (std::size_t i = 1; sound && i < length; ++i) {
        sound = (byte(i) & 0xC0U) == 0x80U;
        code = code << 6U | (byte(i) & 0x3FU);
    }
    sound = sound && !(length == 3 && code < 0x800) && !(length == 4 && code < 0x10000) &&
            !(code >= 0xD800 && code < 0xE000) && code <= 0x10FFFF;
    taken = bytes.substr(0, sound ? length : 1);
    bytes.remove_prefix(taken.size());
    return sound ? code : kBad;
}

/// C0, delete and C1, and the marks that turn the direction of what follows.
bool isControl(std::uint32_t code) {
    return code < 0x20 || (code >= 0x7F && code < 0xA0) || code == 0x2028 || code == 0x2029 ||
           (code >= 0x202A && code <= 0x202E) || (code >= 0x2066 && code <= 0x2069);
}

}  // namespace

bool isUtf8(std::string_view bytes) {
    std::string_view taken;
    const auto plain = [](char c) { return static_cast<unsigned char>(c) < 0x80; };
    while (true) {
        bytes.remove_prefix(
            static_cast<std::size_t>(std::find_if_not(bytes.begin(), bytes.end(), plain) - bytes.begin()));
        if (bytes.empty()) return true;
        if (takeCharacter(bytes, taken) == kBad) return false;
    }
}

std::string shownText(std::string_view bytes, std::size_t characters) {
    std::string out;
    std::string_view taken;
    for (std::size_t count = 0; !bytes.empty(); ++count) {
        if (count == characters) return out + "…";
        const auto code = takeCharacter(bytes, taken);
        if (code == kBad)
            out += "\uFFFD";
        else if (isControl(code))
            out += ' ';
        else
            out += taken;
    }
    return out;
}

}  // namespace glumet
