#pragma once

#include <QStringList>

#include "files/file_writer.h"
#include "report/review/publication.h"

namespace glumet {

/// A bench as it is handed on: readings.csv and bench.json, from which an import makes it again.
std::vector<EditionFile> dataOf(const Bench& bench);

/// Everything of a publication as files: review.html and review.pdf; each card as HTML, PDF and PNG; every
/// figure as SVG and PNG; readings.csv, bench.json, data-package.zip with the models, a workbook for each
/// fixture, and edition.json. The same publication gives the same bytes.
Expected<std::vector<EditionFile>> filesOf(const Publication& publication, const std::stop_token& stop = {});

/// The same into a folder, which is made if need be. All files or a problem, and then the folder is as it
/// was. The names of what was written are returned.
Expected<QStringList> publishTo(const QString& folder, const Publication& publication,
                                const std::stop_token& stop = {});

}  // namespace glumet
