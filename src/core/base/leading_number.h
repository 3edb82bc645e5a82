#pragma once

#include <charconv>
#include <optional>
#include <string_view>

namespace glumet {

/// Takes a number with a decimal dot, whatever the locale, from the front of a text, blanks before it too;
/// nothing, and the text as it was, where there is none.
inline std::optional<double> leadingNumber(std::string_view& text) {
    auto rest = text;
    while (!rest.empty() && (rest.front() == ' ' || rest.front() == '\t')) rest.remove_prefix(1);
    double value = 0.0;
    const auto [end, fault] = std::from_chars(rest.data(), rest.data() + rest.size(), value);
    if (fault != std::errc()) return std::nullopt;
    text = rest.substr(static_cast<std::size_t>(end - rest.data()));
    return value;
}

}  // namespace glumet
