#pragma once

#include <QByteArray>
#include <QString>

#include "core/base/problem.h"

namespace glumet {

/// The whole of a file, at most `most` bytes of it: what is larger, or never ends as a device or a pipe may,
/// is refused after so many. Fails naming the file and what the system says.
Expected<QByteArray> readFile(const QString& path, std::size_t most);

}  // namespace glumet
