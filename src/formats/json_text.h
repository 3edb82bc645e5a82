#pragma once

#include <nlohmann/json.hpp>
#include <string>
#include <string_view>

#include "core/base/limits.h"
#include "core/base/problem.h"

/// JSON as text, both ways, within limits.h.
namespace glumet {

/// How deep lists and objects of a JSON text stand in each other; what is in quotation marks does not count.
std::size_t jsonDepth(std::string_view bytes);

/// What of a text is too much to be read as JSON, if anything.
std::optional<Problem> tooMuchJson(std::string_view bytes);

/// Parses a text, or says at which byte it is no JSON or what of it is too much.
template <class Json = nlohmann::ordered_json>
Expected<Json> parsedJson(std::string_view bytes);

/// The text of a value; bytes in it that are not UTF-8 become U+FFFD.
template <class Json>
std::string jsonText(const Json& json, int indent = -1);

// For both kinds of nlohmann's, in json_text.cpp: its parser and writer are large.
extern template Expected<nlohmann::ordered_json> parsedJson(std::string_view bytes);
extern template Expected<nlohmann::json> parsedJson(std::string_view bytes);
extern template std::string jsonText(const nlohmann::ordered_json& json, int indent);
extern template std::string jsonText(const nlohmann::json& json, int indent);

}  // namespace glumet
