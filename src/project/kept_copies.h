#pragma once

#include <QDateTime>
#include <QList>
#include <QString>

#include "core/base/problem.h"

namespace glumet {

/// A project as it was at a time.
struct KeptCopy {
    QString path;
    QDateTime time;
    qint64 bytes = 0;
};

/// Copies of projects kept aside, in a folder of the user's data: made when a project is opened, before it is
/// brought up to a new format, and once an hour while it changes. The newest kMost of each project stay. A
/// copy is never written over and never opened for writing.
class KeptCopies {
  public:
    static constexpr int kMost = 6;
    static constexpr qint64 kSecondsBetween = 3600;

    /// In the user's data folder, unless another is given.
    explicit KeptCopies(QString folder = userFolder());
    static QString userFolder();

    /// Keeps one of the file at a path, unless the newest holds the same; whether one was made. Fails,
    /// keeping what there is, naming why.
    Expected<bool> keep(const QString& project, const QDateTime& now) const;
    /// Newest first.
    QList<KeptCopy> of(const QString& project) const;

  private:
    QString folderOf(const QString& project) const;

    QString folder_;
};

}  // namespace glumet
