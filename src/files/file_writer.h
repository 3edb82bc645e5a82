#pragma once

#include <QByteArray>
#include <QString>
#include <vector>

#include "core/base/problem.h"

/// The one way by which anything but the project itself reaches the disk.
namespace glumet {

/// Writes a file whole or not at all: beside its place, synced, its size looked at, then moved there. What
/// stood there stays until then, whatever happens: a full disk, a fault of the medium, the end of the
/// program. A link is followed, and the file keeps its permissions. Fails naming the file and what the
/// system says.
Expected<bool> writeWhole(const QString& path, const QByteArray& bytes);

/// One of several files that belong together.
struct EditionFile {
    QString name;  ///< in the folder, without one of its own
    QByteArray bytes;
};

/// Writes files that belong together into a folder, which is made where it is missing: all or none. Other
/// files there stay. Where the file system can exchange two folders in one step and this one holds no folder
/// of its own, no moment shows two editions mixed; elsewhere the files are moved one after the other when all
/// are safely written, and moved back should one of them fail.
Expected<bool> writeEdition(const QString& folder, const std::vector<EditionFile>& files);

}  // namespace glumet
