#include "files.h"

#include <QFileInfo>

#include "files/file_reader.h"
#include "files/file_writer.h"

namespace glumet::cli {

Expected<std::string> bytesOf(const std::string& name, std::size_t most) {
    const auto bytes = readFile(path(name), most);
    if (!bytes) return tl::make_unexpected(bytes.error());
    return bytes->toStdString();
}

Problem inFile(const std::string& name, const Problem& wrong) {
    return {wrong.where.empty() ? name : name + ", " + wrong.where, wrong.what};
}

Expected<ModelScene> modelScene(const std::string& name) {
    const auto folder = QFileInfo(path(name)).absolutePath();
    return readAs(name, [&](std::string_view bytes) {
        return readModelScene(bytes, [&](const std::string& beside) {
            return bytesOf((folder + QLatin1Char('/') + path(beside)).toStdString(),
                           limits::kPhotometryBytes);
        });
    });
}

Expected<bool> writeText(const QString& name, const std::string& text) {
    return writeWhole(name, QByteArray::fromStdString(text));
}

}  // namespace glumet::cli
