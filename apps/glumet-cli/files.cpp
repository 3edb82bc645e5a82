#include "files.h"

#include "files/file_reader.h"
#include "files/file_writer.h"

namespace glumet::cli {

Expected<std::string> bytesOf(const std::string& name, std::size_t most) {
    const auto bytes = readFile(path(name), most);
    if (!bytes) return tl::make_unexpected(bytes.error());
    return bytes->toStdString();
}

Expected<bool> writeText(const QString& name, const std::string& text) {
    return writeWhole(name, QByteArray::fromStdString(text));
}

}  // namespace glumet::cli
