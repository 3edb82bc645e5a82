#include "report/figure_files.h"

#include <QBuffer>
#include <QImage>
#include <QSvgGenerator>

#include "report/review_figures.h"

namespace glumet {

std::vector<ReviewFigure> figuresOf(const Review& review) {
    std::vector<ReviewFigure> jobs;
    const auto whole = [](QSize size) { return QRectF(QPointF(0, 0), size).adjusted(8, 8, -8, -8); };
    const QSize maps_size(1040, 372);
    jobs.push_back(
        {QStringLiteral("maps"), tr("The field at the recommended height, one map per depth"), maps_size,
         [&review, area = whole(maps_size)](QPainter& p) { paintMaps(p, area, review, paper()); }});
    const QSize section_size(440, 420);
    jobs.push_back({QStringLiteral("section"), tr("The bench in side view, to scale"), section_size,
                    [&review, area = whole(section_size)](QPainter& p) {
                        paintReviewSection(p, area, review, paper());
                    }});
    if (review.verdict.evidence.size() < 2) return jobs;
    const QSize chart_size(560, 300);
    jobs.push_back({QStringLiteral("loss"), tr("What raising costs"), chart_size,
                    [&review, area = whole(chart_size)](QPainter& p) {
                        paintChart(p, area, lossChart(review, paper()), paper());
                    }});
    jobs.push_back({QStringLiteral("spread"), tr("Centre, mean and outer ring"), chart_size,
                    [&review, area = whole(chart_size)](QPainter& p) {
                        paintChart(p, area, spreadChart(review, paper()), paper());
                    }});
    return jobs;
}

QByteArray svgOf(const ReviewFigure& figure) {
    QBuffer buffer;
    QSvgGenerator generator;
    generator.setOutputDevice(&buffer);
    generator.setSize(figure.size);
    generator.setViewBox(QRect(QPoint(0, 0), figure.size));
    generator.setResolution(96);
    generator.setTitle(figure.caption);
    QPainter painter(&generator);
    figure.paint(painter);
    painter.end();
    return buffer.data();
}

QByteArray pngOf(const ReviewFigure& figure) {
    constexpr int kScale = 2;
    QImage image(figure.size * kScale, QImage::Format_RGB32);
    image.setDevicePixelRatio(kScale);
    image.fill(paper().ground);
    QPainter painter(&image);
    figure.paint(painter);
    painter.end();
    QBuffer buffer;
    buffer.open(QIODevice::WriteOnly);
    image.save(&buffer, "PNG");
    return buffer.data();
}

}  // namespace glumet
