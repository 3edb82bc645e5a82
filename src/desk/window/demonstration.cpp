#include "desk/window/demonstration.h"

#include <QCoreApplication>
#include <QDir>
#include <QFile>
#include <QStandardPaths>

namespace glumet {

QString demonstrationCopy(const QString& shipped, bool fresh) {
    const QString folder =
        fresh ? QDir::tempPath() : QStandardPaths::writableLocation(QStandardPaths::AppDataLocation);
    QDir().mkpath(folder);
    const QString copy = QDir(folder).filePath(
        fresh ? QStringLiteral("glumet-demo-%1.glumet").arg(QCoreApplication::applicationPid())
              : QStringLiteral("demo.glumet"));
    if (fresh) QFile::remove(copy);
    if (!QFile::exists(copy)) QFile::copy(shipped, copy);
    QFile::setPermissions(copy, QFile::ReadOwner | QFile::WriteOwner);
    return copy;
}

}  // namespace glumet
