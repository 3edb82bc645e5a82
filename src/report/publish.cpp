#include "report/publish.h"

#include <QBuffer>
#include <QDir>
#include <QFile>
#include <QPdfWriter>
#include <QSaveFile>

#include "formats/bench_json.h"
#include "formats/readings_csv.h"
#include "report/figure_files.h"
#include "report/text.h"

namespace glumet {
namespace {

Expected<bool> writeFile(const QString& path, const QByteArray& bytes) {
    QSaveFile file(path);
    if (!file.open(QIODevice::WriteOnly) || file.write(bytes) != bytes.size() || !file.commit())
        return problem(path.toStdString(),
                       say(GLUMET_SAY("Core", "cannot be written: {}"), file.errorString().toStdString()));
    return true;
}

}  // namespace

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

Expected<QStringList> publishTo(const QString& folder, const Review& review) {
    if (!QDir().mkpath(folder))
        return problem(folder.toStdString(), say(GLUMET_SAY("Core", "the folder cannot be made")));
    std::vector<std::pair<QString, QByteArray>> files{{QStringLiteral("review.html"), htmlOf(review)},
                                                      {QStringLiteral("review.pdf"), pdfOf(review)}};
    for (const auto& figure : figuresOf(review)) {
        files.emplace_back(figure.name + QStringLiteral(".svg"), svgOf(figure));
        files.emplace_back(figure.name + QStringLiteral(".png"), pngOf(figure));
    }
    files.emplace_back(QStringLiteral("readings.csv"),
                       QByteArray::fromStdString(writeReadings(rowsOf(review.bench))));
    files.emplace_back(QStringLiteral("bench.json"), QByteArray::fromStdString(writeBench(review.bench)));
    QStringList names;
    for (const auto& [name, bytes] : files) {
        if (const auto done = writeFile(QDir(folder).filePath(name), bytes); !done)
            return tl::make_unexpected(done.error());
        names << name;
    }
    return names;
}

}  // namespace glumet
