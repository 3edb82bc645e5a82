#pragma once

#include <QString>
#include <string>

namespace glumet {

/// The core's UTF-8 words as Qt's.
inline QString text(const std::string& utf8) { return QString::fromStdString(utf8); }

}  // namespace glumet
