#include "report/page/pictures.h"

#include <QBuffer>
#include <QImage>
#include <QRegularExpression>
#include <QSvgGenerator>
#include <array>

#include "report/page/card_painter.h"
#include "report/page/page_fonts.h"
#include "report/page/png.h"
#include "report/page/prose_layout.h"
#include "report/text.h"

namespace glumet {
namespace {

constexpr double kFootWidthLeast = 240.0;
constexpr double kFootPad = 10.0;

/// Caption and provenance under a picture that stands alone.
struct Foot {
    ProseLayout caption;
    ProseLayout provenance;

    Foot(const PageFigure& figure, LengthUnit unit, const QString& from, double wide)
        : caption(prose(figure.caption), unit, {12.0, false, printPalette().text, 1.3}, wide),
          provenance(from, {10.0, false, printPalette().muted, 1.3}, wide) {}
    double height() const { return caption.height() + provenance.height() + 3 * kFootPad; }
};

QSize wholeSize(const PageFigure& figure, const Foot& foot) {
    return {figure.size.width(), figure.size.height() + static_cast<int>(std::ceil(foot.height()))};
}

double footWidth(const PageFigure& figure) {
    return std::max(kFootWidthLeast, figure.size.width() - 2 * kFootPad);
}

void paintAlone(QPainter& p, const PageFigure& figure, LengthUnit unit, const Foot& foot) {
    p.setRenderHint(QPainter::Antialiasing);
    p.save();
    figure.paint(p, QRectF(QPointF(0, 0), figure.size), unit);
    p.restore();
    const double top = figure.size.height() + kFootPad;
    foot.caption.paint(p, {kFootPad, top});
    foot.provenance.paint(p, {kFootPad, top + foot.caption.height() + kFootPad / 2});
}

/// Coordinates with two digits of a hundredth of a pixel: more cannot be seen.
QByteArray rounded(const QByteArray& svg) {
    constexpr int kDigits = 2;
    static constexpr std::array kLists{QByteArrayView(" d=\""), QByteArrayView(" points=\"")};
    QByteArray out;
    out.reserve(svg.size());
    bool within = false;
    int digits = -1;  // after the point; −1 before it
    for (qsizetype i = 0; i < svg.size(); ++i) {
        const char c = svg[i];
        if (!within)
            within = c == '"' && std::any_of(kLists.begin(), kLists.end(), [&](QByteArrayView list) {
                         return QByteArrayView(svg).first(i + 1).endsWith(list);
                     });
        else if (c == '"')
            within = false;
        if (c == '.')
            digits = 0;
        else if (c < '0' || c > '9')
            digits = -1;
        else if (digits >= 0 && ++digits > kDigits && within)
            continue;
        out += c;
    }
    return out;
}

/// The generator says of every group what holds for all of them, and makes groups of nothing: half of the
/// file.
QByteArray plainer(const QByteArray& svg) {
    const auto inner = svg.indexOf('>', svg.indexOf("<g ", svg.indexOf("</defs>"))) + 1;
    QString drawing = QString::fromUtf8(svg.mid(inner));
    for (const char* held :
         {" stroke-opacity=\"1\"", " fill-opacity=\"1\"", " stroke-linecap=\"square\"",
          " stroke-linejoin=\"bevel\"", " transform=\"matrix(1,0,0,1,0,0)\"", " vector-effect=\"none\""})
        drawing.remove(QLatin1String(held));
    // Words have their font by themselves.
    static const QRegularExpression font(QStringLiteral("\\nfont-family=[^<>]*>"));
    static const QRegularExpression nothing(QStringLiteral("<g [^>]*>\\s*</g>\\s*"));
    static const QRegularExpression blank(QStringLiteral("\\s*\\n\\s*"));
    drawing.replace(font, QStringLiteral(">")).remove(nothing).replace(blank, QStringLiteral("\n"));
    return svg.first(inner) + rounded(drawing.toUtf8());
}

QByteArray svgBytes(QSize size, const QString& title, const std::function<void(QPainter&)>& work) {
    QBuffer buffer;
    QSvgGenerator generator;
    generator.setOutputDevice(&buffer);
    generator.setSize(size);
    generator.setViewBox(QRect(QPoint(0, 0), size));
    generator.setResolution(96);
    generator.setTitle(title.toHtmlEscaped());  // which the generator writes as it is
    QPainter painter(&generator);
    work(painter);
    painter.end();
    // Who has not the house font, which pages bring along, reads in one that is like it.
    QByteArray svg = plainer(buffer.data());
    svg.replace("font-family=\"Glumet Text\"", "font-family=\"Glumet Text, B612, sans-serif\"");
    return svg;
}

QByteArray pngBytes(QSize size, int scale, const std::function<void(QPainter&)>& work) {
    QImage image(size * scale, QImage::Format_RGB32);
    image.setDevicePixelRatio(scale);
    image.fill(Qt::white);
    QPainter painter(&image);
    work(painter);
    painter.end();
    return packedPng(image);
}

/// The house font for a picture that stands alone; the same for all of a publication.
QByteArray styleOf(bool bold) {
    return QStringLiteral("<style>%1</style>\n").arg(fontFaces(bold)).toLatin1();
}

QString number(double value) { return QString::number(value, 'f', 1); }

/// Areas that are seen only under the pointer.
QString spotsOf(const PageFigure& figure, LengthUnit unit) {
    QString out;
    for (const auto& spot : figure.spots)
        out += QStringLiteral(
                   "<rect class=\"spot\" x=\"%1\" y=\"%2\" width=\"%3\" height=\"%4\" "
                   "fill-opacity=\"0\"><title>%5</title></rect>")
                   .arg(number(spot.area.x()), number(spot.area.y()), number(spot.area.width()),
                        number(spot.area.height()), text(spot.words, unit).toHtmlEscaped());
    return out;
}

}  // namespace

QString inlineSvg(const PageFigure& figure, LengthUnit unit) {
    const auto svg = QString::fromUtf8(svgBytes(figure.size, {}, [&](QPainter& p) {
        p.setRenderHint(QPainter::Antialiasing);
        figure.paint(p, QRectF(QPointF(0, 0), figure.size), unit);
    }));
    // Of the file only the drawing: the page says size and title by itself.
    const auto begin = svg.indexOf(QLatin1String("</defs>")) + 7;
    const auto end = svg.lastIndexOf(QLatin1String("</svg>"));
    const QString drawing = svg.mid(begin, end - begin).trimmed();
    return QStringLiteral("<svg viewBox=\"0 0 %1 %2\" role=\"img\" aria-label=\"%3\">%4%5</svg>")
        .arg(figure.size.width())
        .arg(figure.size.height())
        .arg(text(figure.alt, unit).toHtmlEscaped(), drawing, spotsOf(figure, unit));
}

QByteArray svgOf(const PageFigure& figure, LengthUnit unit, const QString& provenance) {
    const Foot foot(figure, unit, provenance, footWidth(figure));
    auto svg = svgBytes(wholeSize(figure, foot), text(figure.caption, unit),
                        [&](QPainter& p) { paintAlone(p, figure, unit, foot); });
    const bool bold = svg.contains("font-weight=\"700\"") || svg.contains("font-weight=\"600\"");
    static const std::array styles{styleOf(false), styleOf(true)};
    return svg.insert(svg.indexOf("</defs>"), styles[bold ? 1 : 0]);
}

QByteArray pngOf(const PageFigure& figure, LengthUnit unit, const QString& provenance) {
    const Foot foot(figure, unit, provenance, footWidth(figure));
    return pngBytes(wholeSize(figure, foot), 2, [&](QPainter& p) { paintAlone(p, figure, unit, foot); });
}

QByteArray pngOf(const Card& card, LengthUnit unit, int scale) {
    return pngBytes(QSize(static_cast<int>(kCardWide), static_cast<int>(kCardTall)), scale,
                    [&](QPainter& p) { paintCard(p, card, unit); });
}

}  // namespace glumet
