#include "desk/compare/compare_files.h"

#include "core/words/typed.h"
#include "formats/delimited_text.h"
#include "report/compare_pictures.h"
#include "report/page/pictures.h"
#include "report/text.h"

namespace glumet {
namespace {

/// A number as it is; a text so that no spreadsheet runs it.
std::string cellOf(const QString& cell) {
    const auto said = cell.toStdString();
    return parseNumber(said) ? said : cellOfText(said);
}

}  // namespace

QByteArray csvOf(const std::vector<QStringList>& rows) {
    std::string out;
    for (const auto& row : rows) {
        std::vector<std::string> cells;
        for (const auto& cell : row) cells.push_back(cellOf(cell));
        appendLine(out, cells);
    }
    return QByteArray::fromStdString(out);
}

QString tabbedOf(const std::vector<QStringList>& rows) {
    QString out;
    for (const auto& row : rows) {
        QStringList cells;
        for (const auto& cell : row) cells << text(cellOf(cell.simplified()));
        out += cells.join(QLatin1Char('\t')) + QLatin1Char('\n');
    }
    return out;
}

std::vector<EditionFile> compareFiles(
    const Comparison& compared, LengthUnit unit, std::size_t chosen, std::size_t against,
    const std::vector<std::pair<QString, std::vector<QStringList>>>& tables) {
    std::vector<EditionFile> files;
    auto figures = comparePictures(compared, chosen, against);
    for (auto& map : differencePictures(compared, chosen, against)) figures.push_back(std::move(map));
    const auto from = text(compared.bench->title);
    for (const auto& figure : figures) {
        files.push_back({text(figure.name) + QStringLiteral(".svg"), svgOf(figure, unit, from)});
        files.push_back({text(figure.name) + QStringLiteral(".png"), pngOf(figure, unit, from)});
    }
    for (const auto& [name, rows] : tables) files.push_back({name + QStringLiteral(".csv"), csvOf(rows)});
    return files;
}

}  // namespace glumet
