#pragma once

#include <QStringList>
#include <vector>

#include "files/file_writer.h"
#include "report/compare_figure.h"

namespace glumet {

/// A comparison as files: its figures as SVG and PNG, its tables as CSV.
std::vector<EditionFile> compareFiles(
    const Comparison& compared, LengthUnit unit, std::size_t chosen, std::size_t against,
    const std::vector<std::pair<QString, std::vector<QStringList>>>& tables);

/// Rows as comma-separated text, and as a spreadsheet takes them from the clipboard.
QByteArray csvOf(const std::vector<QStringList>& rows);
QString tabbedOf(const std::vector<QStringList>& rows);

}  // namespace glumet
