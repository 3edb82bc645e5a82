#include "files.h"

#include <QFile>

#include "files/file_writer.h"

namespace glumet::cli {

Expected<std::string> bytesOf(const std::string& name) {
    QFile file(path(name));
    if (!file.open(QIODevice::ReadOnly))
        return problem(name, verbatim("cannot be read: " + file.errorString().toStdString()));
    return file.readAll().toStdString();
}

Expected<bool> writeText(const QString& name, const std::string& text) {
    return writeWhole(name, QByteArray::fromStdString(text));
}

}  // namespace glumet::cli
