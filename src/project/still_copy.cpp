#include "project/still_copy.h"

#include <QFile>
#include <QFileInfo>

namespace glumet {
namespace {

constexpr const char* kParts[] = {"", "-wal", "-journal"};
constexpr qint64 kBlock = 1 << 20;
constexpr int kTries = 20;

tl::unexpected<Problem> failed(const QFile& file) {
    return problem(file.fileName().toStdString(),
                   say(GLUMET_SAY("Core", "cannot be read: {}"), file.errorString().toStdString()));
}

Expected<bool> copyOne(const QString& from, const QString& to) {
    QFile::remove(to);
    QFile source(from);
    if (!source.exists()) return true;
    if (!source.open(QIODevice::ReadOnly)) return failed(source);
    QFile target(to);
    if (!target.open(QIODevice::WriteOnly)) return failed(target);
    while (!source.atEnd()) {
        const QByteArray block = source.read(kBlock);
        if (source.error() != QFileDevice::NoError) return failed(source);
        if (target.write(block) != block.size()) return failed(target);
    }
    if (!target.flush()) return failed(target);
    return true;
}

bool same(const QString& from, const QString& to) {
    QFile source(from);
    QFile copy(to);
    if (source.exists() != copy.exists()) return false;
    if (!source.exists()) return true;
    if (!source.open(QIODevice::ReadOnly) || !copy.open(QIODevice::ReadOnly)) return false;
    if (source.size() != copy.size()) return false;
    while (!source.atEnd())
        if (source.read(kBlock) != copy.read(kBlock)) return false;
    return copy.atEnd();
}

}  // namespace

bool hasLog(const QString& path) {
    for (const char* part : {"-wal", "-journal"})
        if (QFileInfo(path + QLatin1String(part)).size() > 0) return true;
    return false;
}

Expected<bool> copyStill(const QString& from, const QString& to) {
    for (int attempt = 0; attempt < kTries; ++attempt) {
        for (const char* part : kParts)
            if (auto done = copyOne(from + QLatin1String(part), to + QLatin1String(part)); !done) return done;
        bool still = true;
        for (const char* part : kParts)
            still = still && same(from + QLatin1String(part), to + QLatin1String(part));
        if (still) return true;
    }
    return problem(from.toStdString(),
                   say(GLUMET_SAY("Core", "is being written without a pause; try again in a moment")));
}

}  // namespace glumet
