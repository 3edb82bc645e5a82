#include "report/publish.h"

#include <QBuffer>
#include <QPdfWriter>

#include "formats/bench_json.h"
#include "formats/readings_csv.h"
#include "report/data_package.h"
#include "report/figure_files.h"
#include "report/text.h"
#include "report/workbook.h"

namespace glumet {

QByteArray pdfOf(const Review& review) {
    QBuffer buffer;
    buffer.open(QIODevice::WriteOnly);
    QPdfWriter writer(&buffer);
    writer.setResolution(96 * 12);
    writer.setPageSize(QPageSize(QPageSize::A4));
    writer.setPageMargins(QMarginsF(0, 0, 0, 0));
    writer.setTitle(review.title);
    writer.setCreator(QStringLiteral("Glumet"));
    QPainter painter(&writer);
    painter.scale(12.0, 12.0);
    paintPage(painter, review);
    painter.end();
    return buffer.data();
}

std::vector<EditionFile> dataOf(const Bench& bench) {
    return {{QStringLiteral("readings.csv"), QByteArray::fromStdString(writeReadings(rowsOf(bench)))},
            {QStringLiteral("bench.json"), QByteArray::fromStdString(writeBench(bench))}};
}

Expected<QStringList> publishTo(const QString& folder, const Review& review) {
    std::vector<EditionFile> files{{QStringLiteral("review.html"), htmlOf(review)},
                                   {QStringLiteral("review.pdf"), pdfOf(review)}};
    for (const auto& figure : figuresOf(review)) {
        files.push_back({figure.name + QStringLiteral(".svg"), svgOf(figure)});
        files.push_back({figure.name + QStringLiteral(".png"), pngOf(figure)});
    }
    for (auto& file : dataOf(review.bench)) files.push_back(std::move(file));
    const auto package = dataPackageOf(review.bench, {review.day, {}});
    if (!package) return tl::make_unexpected(package.error());
    files.push_back({QStringLiteral("data-package.zip"), QByteArray::fromStdString(*package)});
    const auto workbook = workbookOf(review);
    if (!workbook) return tl::make_unexpected(workbook.error());
    files.push_back({QStringLiteral("workbook.xlsx"), *workbook});
    if (const auto done = writeEdition(folder, files); !done) return tl::make_unexpected(done.error());
    QStringList names;
    for (const auto& file : files) names << file.name;
    return names;
}

}  // namespace glumet
