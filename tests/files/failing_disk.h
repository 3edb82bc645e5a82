#pragma once

#include <QProcessEnvironment>
#include <QString>

namespace glumet {

/// The environment of a program (Started) whose writes below a path fail, as failing_disk.cpp tells; a sound
/// disk for 0.
inline QProcessEnvironment failingDisk(const QString& how, int at, const QString& under) {
    auto environment = QProcessEnvironment::systemEnvironment();
    if (at == 0 || how.isEmpty()) return environment;
    environment.insert(QStringLiteral("FAILING_DISK_UNDER"), under);
    environment.insert(QStringLiteral("FAILING_DISK_AT"), QString::number(at));
    environment.insert(QStringLiteral("FAILING_DISK_HOW"), how);
    return environment;
}

}  // namespace glumet
