#pragma once

#include <QString>
#include <string>

namespace glumet {

/// A picture file as a JPEG of at most 1024 px in base64, as projects hold photos; empty for no picture.
std::string photoOf(const QString& path);

}  // namespace glumet
