#pragma once

#include <QString>
#include <string>

#include "core/base/limits.h"
#include "core/base/problem.h"
#include "formats/json_text.h"

namespace glumet::cli {

inline QString path(const std::string& file) { return QString::fromStdString(file); }

/// The whole of a file, or a problem that names it.
Expected<std::string> bytesOf(const std::string& name, std::size_t most = limits::kTableBytes);

/// Replaces a file whole, or leaves it as it was.
Expected<bool> writeText(const QString& name, const std::string& text);

}  // namespace glumet::cli
