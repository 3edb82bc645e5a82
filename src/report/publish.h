#pragma once

#include <QPainter>
#include <QStringList>

#include "files/file_writer.h"
#include "report/review.h"

namespace glumet {

/// Size of the page in painter units: A4 at 96 per inch.
inline constexpr double kPageWidth = 794.0;
inline constexpr double kPageHeight = 1123.0;

/// Paints the review on one A4 page: card, maps, charts, table, method, conditions, cautions.
void paintPage(QPainter& painter, const Review& review);

/// The review as one self-contained HTML page with its figures and fonts inside.
QByteArray htmlOf(const Review& review);

/// The page as PDF.
QByteArray pdfOf(const Review& review);

/// A bench as it is handed on: readings.csv and bench.json, from which an import makes it again.
std::vector<EditionFile> dataOf(const Bench& bench);

/// Writes review.html, review.pdf, figures (SVG and PNG) and the data behind them (readings.csv, bench.json,
/// data-package.zip) into a folder, which is made if need be. All files or a problem, and then the folder is
/// as it was. The names of what was written are returned.
Expected<QStringList> publishTo(const QString& folder, const Review& review);

}  // namespace glumet
