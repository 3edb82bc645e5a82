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

template <class Json>
Expected<Json> parsedJson(std::string_view bytes) {
    if (auto fault = tooMuchJson(bytes)) return tl::make_unexpected(std::move(*fault));
    try {
        return Json::parse(bytes);
    } catch (const nlohmann::json::parse_error& error) {
        return problem("byte " + std::to_string(error.byte), say(GLUMET_SAY("Core", "is not JSON")));
    } catch (const nlohmann::json::exception&) {
        return problem("", say(GLUMET_SAY("Core", "holds a number that is too large")));
    }
}

template <class Json>
std::string jsonText(const Json& json, int indent) {
    return json.dump(indent, ' ', false, Json::error_handler_t::replace);
}

template Expected<nlohmann::ordered_json> parsedJson(std::string_view bytes);
template Expected<nlohmann::json> parsedJson(std::string_view bytes);
template std::string jsonText(const nlohmann::ordered_json& json, int indent);
template std::string jsonText(const nlohmann::json& json, int indent);

}  // namespace glumet
