#include "project/kept_copies.h"

#include <QCryptographicHash>
#include <QDir>
#include <QFileInfo>
#include <QStandardPaths>
#include <QTemporaryDir>

#include "project/project_file.h"

namespace glumet {
namespace {

const QString kTime = QStringLiteral("yyyy-MM-dd HH.mm.ss");
const QString kEnd = QStringLiteral(".glumet");

/// What a kept copy holds, told from its bytes.
QByteArray traceOf(const QString& path) {
    QFile file(path);
    if (!file.open(QIODevice::ReadOnly)) return {};
    QCryptographicHash hash(QCryptographicHash::Sha1);
    hash.addData(&file);
    return hash.result();
}

tl::unexpected<Problem> notKept(const QString& project, const QString& why) {
    return problem(project.toStdString(),
                   say(GLUMET_SAY("Core", "no copy of it could be kept: {}"), why.toStdString()));
}

}  // namespace

KeptCopies::KeptCopies(QString folder) : folder_(std::move(folder)) {}

QString KeptCopies::userFolder() {
    return QStandardPaths::writableLocation(QStandardPaths::GenericDataLocation) +
           QStringLiteral("/glumet/copies");
}

QString KeptCopies::folderOf(const QString& project) const {
    const QFileInfo info(project);
    const QByteArray place = info.absoluteDir().canonicalPath().toUtf8() + '/' + info.fileName().toUtf8();
    const auto mark = QCryptographicHash::hash(place, QCryptographicHash::Sha1).toHex().left(12);
    return QStringLiteral("%1/%2 %3").arg(folder_, info.completeBaseName().left(60), QLatin1String(mark));
}

QList<KeptCopy> KeptCopies::of(const QString& project) const {
    QList<KeptCopy> copies;
    const QDir folder(folderOf(project));
    auto names = folder.entryList({QStringLiteral("*.glumet")}, QDir::Files, QDir::Name | QDir::Reversed);
    for (const auto& name : names) {
        const auto time = QDateTime::fromString(name.chopped(kEnd.size()), kTime);
        const QString path = folder.filePath(name);
        if (time.isValid()) copies << KeptCopy{path, time, QFileInfo(path).size()};
    }
    return copies;
}

Expected<bool> KeptCopies::keep(const QString& project, const QDateTime& now) const {
    const QString folder = folderOf(project);
    if (!QDir().mkpath(folder)) return notKept(project, QStringLiteral("%1 cannot be made").arg(folder));
    const QTemporaryDir beside(folder + QStringLiteral("/.new-XXXXXX"));
    if (!beside.isValid()) return notKept(project, beside.errorString());
    const QString fresh = beside.filePath(QStringLiteral("copy.glumet"));
    if (auto copied = ProjectFile::copy(project, fresh); !copied) return copied;
    const auto copies = of(project);
    if (!copies.isEmpty() && traceOf(copies.front().path) == traceOf(fresh)) return false;
    const QString place = QStringLiteral("%1/%2%3").arg(folder, now.toString(kTime), kEnd);
    if (QFileInfo::exists(place)) return false;
    if (!QFile::rename(fresh, place)) return notKept(project, QStringLiteral("%1 cannot be made").arg(place));
    for (qsizetype i = kMost - 1; i < copies.size(); ++i) QFile::remove(copies[i].path);
    return true;
}

}  // namespace glumet
