#include "formats/json_text.h"

#include <algorithm>

namespace glumet {

std::size_t jsonDepth(std::string_view bytes) {
    std::size_t depth = 0;
    std::size_t deepest = 0;
    bool quoted = false;
    for (std::size_t i = 0; i < bytes.size(); ++i) {
        const char c = bytes[i];
        if (quoted) {
            if (c == '\\') ++i;
            if (c == '"') quoted = false;
        } else if (c == '"') {
            quoted = true;
        } else if (c == '[' || c == '{') {
            deepest = std::max(deepest, ++depth);
        } else if ((c == ']' || c == '}') && depth > 0) {
            --depth;
        }
    }
    return deepest;
}

std::optional<Problem> tooMuchJson(std::string_view bytes) {
    if (bytes.size() > limits::kJsonBytes)
        return Problem{"",
                       say(GLUMET_SAY("Core", "is larger than {} MiB"), countOf(limits::kJsonBytes >> 20U))};
    if (jsonDepth(bytes) > limits::kNesting)
        return Problem{"", say(GLUMET_SAY("Core", "is nested more than {} deep"), Count{limits::kNesting})};
    return std::nullopt;
}

}  // namespace glumet
