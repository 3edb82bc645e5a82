#pragma once

#include <QString>
#include <QStringList>
#include <optional>
#include <vector>

#include "core/base/problem.h"
#include "core/compare/shelved.h"

namespace glumet {

/// What lies on the shelf of this machine: a folder with readings.csv and bench.json as an export writes them
/// and shelf.json, which says where they are from and what their bytes were.
struct ShelfEntry {
    QString folder;
    QString title;
    QString from;  ///< the file or folder it was taken from
    QString kept;  ///< when
    bool own = false;
    QStringList fixtures;
    std::optional<Problem> wrong;  ///< why it cannot be used
};

/// Everything on a shelf, by title; what is damaged is there with its reason.
std::vector<ShelfEntry> shelfEntries(const QString& shelf);

/// Keeps a bench as it is now; one of the same title is replaced.
Expected<ShelfEntry> keepOnShelf(const QString& shelf, const Bench& bench, const ShelfEntry& about);

/// Takes what others published: a data package, or the bench.json and readings.csv of a folder. Refused with
/// one sentence where they do not read, or where a shelf.json beside them says that their bytes were others.
Expected<ShelfEntry> takeOntoShelf(const QString& shelf, const QString& folder, const QString& time);

/// Refused where its files are not what was kept.
Expected<Shelved> fromShelf(const ShelfEntry& entry);

bool removeFromShelf(const ShelfEntry& entry);

}  // namespace glumet
