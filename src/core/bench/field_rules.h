#pragma once

#include <optional>
#include <string>

#include "core/base/sentence.h"
#include "core/bench/describe.h"

/// Whether the value of a described field can be, by the field's own range and the table of limits.
namespace glumet::rules {

/// A text of at most so many bytes of UTF-8.
std::optional<Words> ofText(const std::string& text, std::size_t longest);
/// Why a value cannot be one of this field; nothing where it can. `value` is of the field's type.
std::optional<Words> ofField(const PartType& field, const void* value);
/// A described value that stands inside another, by its first fault.
std::optional<Words> ofFields(const EntityType& type, const void* entity);

}  // namespace glumet::rules
