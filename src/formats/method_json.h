#pragma once

#include <string>
#include <string_view>
#include <vector>

#include "core/survey/survey_method.h"

namespace glumet {

/// A reviewer's own survey methods as JSON: {"format": "glumet methods", "version": 1, "methods": […]};
/// lengths in mm.
std::string writeMethods(const std::vector<SurveyMethod>& methods);

/// Reads what writeMethods() writes. The problem names the method and the key.
Expected<std::vector<SurveyMethod>> readMethods(std::string_view bytes);

}  // namespace glumet
