#include "files/file_reader.h"

#include <QFile>
#include <QFileInfo>

namespace glumet {

Expected<QByteArray> readFile(const QString& path, std::size_t most) {
    const auto failed = [&](Words why) { return problem(path.toStdString(), std::move(why)); };
    QFile file(path);
    if (QFileInfo(path).isDir()) return failed(say(GLUMET_SAY("Core", "is a folder")));
    if (!file.open(QIODevice::ReadOnly))
        return failed(say(GLUMET_SAY("Core", "cannot be read: {}"), file.errorString().toStdString()));
    constexpr qint64 kBlock = 1 << 20;
    QByteArray bytes;
    if (!file.isSequential()) bytes.reserve(std::min<qint64>(file.size(), static_cast<qint64>(most)));
    while (true) {
        const QByteArray block = file.read(kBlock);
        if (file.error() != QFileDevice::NoError)
            return failed(say(GLUMET_SAY("Core", "cannot be read: {}"), file.errorString().toStdString()));
        if (block.isEmpty()) return bytes;
        bytes += block;
        if (bytes.size() > static_cast<qint64>(most))
            return failed(say(GLUMET_SAY("Core", "is larger than {} MiB"), countOf(most >> 20U)));
    }
}

}  // namespace glumet
