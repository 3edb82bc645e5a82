#include "files/file_writer.h"

#include <dirent.h>
#include <fcntl.h>
#include <sys/stat.h>
#include <unistd.h>

#include <QDir>
#include <QFile>
#include <QFileInfo>
#include <QRandomGenerator>
#include <algorithm>
#include <cerrno>
#include <cstdio>
#include <cstring>

namespace glumet {
namespace {

constexpr mode_t kUsualFile = 0644;  // less what the user's mask forbids
constexpr mode_t kPermissions = 07777;

Problem faultAt(const QString& path, int error) {
    return {path.toStdString(),
            say(GLUMET_SAY("Core", "cannot be written: {}"), std::string(strerror(error)))};
}

QByteArray native(const QString& path) { return QFile::encodeName(path); }

/// A name that nothing else has, beside `path` and hidden.
QString beside(const QString& path, const char* what) {
    const QFileInfo info(path);
    return info.absoluteDir().filePath(QStringLiteral(".%1.%2-%3")
                                           .arg(info.fileName(), QLatin1String(what))
                                           .arg(QRandomGenerator::global()->generate64(), 0, 16));
}

/// What a link leads to, even where nothing stands there yet.
QString followed(const QString& path) {
    const QFileInfo info(path);
    return info.isSymLink() ? info.symLinkTarget() : info.absoluteFilePath();
}

/// 0, or what went wrong.
int writeAll(int file, const QByteArray& bytes) {
    qsizetype done = 0;
    while (done < bytes.size()) {
        const auto wrote = ::write(file, bytes.constData() + done, static_cast<size_t>(bytes.size() - done));
        if (wrote < 0 && errno == EINTR) continue;
        if (wrote < 0) return errno;
        if (wrote == 0) return ENOSPC;
        done += wrote;
    }
    struct stat seen {};
    if (::fsync(file) != 0 || ::fstat(file, &seen) != 0) return errno;
    return seen.st_size == bytes.size() ? 0 : EIO;
}

/// Makes a new file with these bytes, on the disk when this returns; 0, or what went wrong and no file.
int makeFile(const QString& path, const QByteArray& bytes, mode_t mode) {
    const int file = ::open(native(path).constData(), O_WRONLY | O_CREAT | O_EXCL | O_CLOEXEC, mode);
    if (file < 0) return errno;
    int fault = writeAll(file, bytes);
    // Only some systems tell of a full disk here.
    if (::close(file) != 0 && fault == 0) fault = errno;
    if (fault != 0) ::unlink(native(path).constData());
    return fault;
}

void syncFolder(const QString& folder) {
    const int open = ::open(native(folder).constData(), O_RDONLY | O_DIRECTORY | O_CLOEXEC);
    if (open < 0) return;
    ::fsync(open);
    ::close(open);
}

int move(const QString& from, const QString& to) {
    return ::rename(native(from).constData(), native(to).constData()) == 0 ? 0 : errno;
}

int link(const QString& from, const QString& to) {
    return ::link(native(from).constData(), native(to).constData()) == 0 ? 0 : errno;
}

mode_t modeOf(const QString& path, mode_t otherwise) {
    struct stat seen {};
    return ::stat(native(path).constData(), &seen) == 0 ? seen.st_mode & kPermissions : otherwise;
}

/// Files of an edition put in place one after the other, or none.
class OneByOne {
  public:
    OneByOne(const QString& folder, const std::vector<EditionFile>& files) : folder_(folder), files_(files) {}
    ~OneByOne() {
        for (const auto& part : parts_)
            for (const auto& name : {part.fresh, part.earlier})
                if (!name.isEmpty()) ::unlink(native(name).constData());
    }
    OneByOne(const OneByOne&) = delete;
    OneByOne& operator=(const OneByOne&) = delete;

    Expected<bool> run() {
        for (const auto& file : files_) {
            const auto place = followed(folder_.filePath(file.name));
            parts_.push_back({place, beside(place, "new"), {}, false});
            if (const int fault = makeFile(parts_.back().fresh, file.bytes, modeOf(place, kUsualFile)))
                return tl::make_unexpected(faultAt(place, fault));
        }
        for (auto& part : parts_)
            if (const int fault = put(part)) {
                takeBack();
                return tl::make_unexpected(faultAt(part.place, fault));
            }
        syncFolder(folder_.absolutePath());
        return true;
    }

  private:
    struct Part {
        QString place;
        QString fresh;
        QString earlier;  ///< what stood there, under another name; empty: nothing
        bool put;
    };

    static int put(Part& part) {
        const auto kept = beside(part.place, "old");
        const int fault = link(part.place, kept);
        if (fault == 0) part.earlier = kept;
        // Without a second name there would be no way back.
        if (fault != 0 && fault != ENOENT) return fault;
        const int moved = move(part.fresh, part.place);
        part.put = moved == 0;
        return moved;
    }
    void takeBack() {
        for (auto& part : parts_) {
            if (!part.put) continue;
            if (part.earlier.isEmpty())
                ::unlink(native(part.place).constData());
            else
                move(part.earlier, part.place);
        }
    }

    QDir folder_;
    const std::vector<EditionFile>& files_;
    std::vector<Part> parts_;
};

/// A folder made anew beside the old one, with all that stays in it, and exchanged for it in one step.
class Exchange {
  public:
    Exchange(const QString& folder, const std::vector<EditionFile>& files)
        : folder_(folder), fresh_(beside(folder, "new")), files_(files) {}
    ~Exchange() { clear(); }
    Exchange(const Exchange&) = delete;
    Exchange& operator=(const Exchange&) = delete;

    /// Nothing where it cannot be done in this way.
    std::optional<Expected<bool>> run() {
        if (::mkdir(native(fresh_).constData(), modeOf(folder_, 0755)) != 0) return std::nullopt;
        for (const auto& info : QDir(folder_).entryInfoList(QDir::AllEntries | QDir::Hidden | QDir::System |
                                                            QDir::NoDotAndDotDot)) {
            const bool ours = std::any_of(files_.begin(), files_.end(), [&](const EditionFile& file) {
                return file.name == info.fileName();
            });
            // What is more than a file could not be carried over in one step; a link may lead anywhere.
            if (!info.isFile() || info.isSymLink()) return std::nullopt;
            if (!ours && link(info.absoluteFilePath(), inside(info.fileName())) != 0) return std::nullopt;
        }
        for (const auto& file : files_)
            if (const int fault = makeFile(inside(file.name), file.bytes, kUsualFile))
                return tl::make_unexpected(faultAt(QDir(folder_).filePath(file.name), fault));
        syncFolder(fresh_);
        if (::renameat2(AT_FDCWD, native(fresh_).constData(), AT_FDCWD, native(folder_).constData(),
                        RENAME_EXCHANGE) != 0)
            return std::nullopt;
        syncFolder(QFileInfo(folder_).absolutePath());
        return true;
    }

  private:
    QString inside(const QString& name) const { return QDir(fresh_).filePath(name); }
    /// What is left beside the folder: the new one, or after the exchange the old.
    void clear() const {
        for (const auto& name : QDir(fresh_).entryList(QDir::Files | QDir::Hidden | QDir::System))
            ::unlink(native(inside(name)).constData());
        ::rmdir(native(fresh_).constData());
    }

    QString folder_;
    QString fresh_;
    const std::vector<EditionFile>& files_;
};

}  // namespace

Expected<bool> writeWhole(const QString& path, const QByteArray& bytes) {
    const auto place = followed(path);
    const auto fresh = beside(place, "new");
    int fault = makeFile(fresh, bytes, modeOf(place, kUsualFile));
    if (fault == 0) {
        fault = move(fresh, place);
        if (fault != 0) ::unlink(native(fresh).constData());
    }
    if (fault != 0) return tl::make_unexpected(faultAt(path, fault));
    syncFolder(QFileInfo(place).absolutePath());
    return true;
}

Expected<bool> writeEdition(const QString& folder, const std::vector<EditionFile>& files) {
    if (!QDir().mkpath(folder))
        return problem(folder.toStdString(), say(GLUMET_SAY("Core", "the folder cannot be made")));
    const QString place = QFileInfo(folder).canonicalFilePath();
    if (auto done = Exchange(place, files).run()) return *done;
    return OneByOne(place, files).run();
}

}  // namespace glumet
