#include "files.h"

#include <QFile>
#include <QSaveFile>

namespace glumet::cli {

Expected<std::string> bytesOf(const std::string& name) {
    QFile file(path(name));
    if (!file.open(QIODevice::ReadOnly))
        return problem(name, verbatim("cannot be read: " + file.errorString().toStdString()));
    return file.readAll().toStdString();
}

Expected<bool> writeText(const QString& name, const std::string& text) {
    QSaveFile file(name);
    if (!file.open(QIODevice::WriteOnly) || file.write(text.data(), static_cast<qint64>(text.size())) < 0 ||
        !file.commit())
        return problem(name.toStdString(),
                       verbatim("cannot be written: " + file.errorString().toStdString()));
    return true;
}

}  // namespace glumet::cli
