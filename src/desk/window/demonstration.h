#pragma once

#include <QString>

namespace glumet {

/// The demonstration that the program brings.
inline const QString kShippedDemonstration = QStringLiteral(":/demo/nursery.glumet");

/// A copy of a demonstration that may be written to: the user's own, kept between starts, or a fresh one
/// among the temporary files, which the caller removes.
QString demonstrationCopy(const QString& shipped, bool fresh);

}  // namespace glumet
