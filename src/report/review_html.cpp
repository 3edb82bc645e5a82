#include <QFile>

#include "report/figure_files.h"
#include "report/publish.h"
#include "report/text.h"

namespace glumet {
namespace {

QString fontFace(const char* file, const char* family, const char* weight) {
    QFile font(QStringLiteral(":/fonts/%1.otf").arg(QLatin1String(file)));
    if (!font.open(QIODevice::ReadOnly)) return {};
    return QStringLiteral("@font-face{font-family:'%1';font-weight:%2;src:url(data:font/otf;base64,%3)}")
        .arg(QLatin1String(family), QLatin1String(weight), QString::fromLatin1(font.readAll().toBase64()));
}

QString styleSheet() {
    return fontFace("GlumetText-Regular", "Glumet Text", "normal") +
           fontFace("GlumetText-Bold", "Glumet Text", "bold") +
           QStringLiteral(
               "body{font:15px/1.5 'Glumet "
               "Text',sans-serif;color:#221E19;background:#F7F3EB;max-width:1040px;margin:2em auto;padding:0 "
               "1em}"
               "h1{font-size:30px;margin:0}h2{font-size:17px;margin:2em 0 .5em}.muted{color:#665D50}"
               ".answer{font-size:64px;font-weight:bold;color:#9A5300;line-height:1.1}"
               ".top{display:flex;gap:2em;flex-wrap:wrap;border-top:2px solid "
               "#221E19;margin-top:1em;padding-top:1em}.top>div{flex:1 1 420px}"
               "table{border-collapse:collapse;font-size:13px;font-variant-numeric:tabular-nums}"
               "td,th{padding:.15em .8em;text-align:right;border-bottom:1px solid "
               "#CFC6B6}th{color:#665D50;font-weight:normal}"
               "dl{display:grid;grid-template-columns:9em 1fr;gap:.2em 1em;margin:1em "
               "0}dt{color:#665D50}dd{margin:0}"
               "figure{margin:1em "
               "0;overflow-x:auto}figcaption{color:#665D50;font-size:13px}.pair{display:flex;flex-wrap:wrap;"
               "gap:1em}"
               ".doubt{color:#9A5300}svg{max-width:100%;height:auto}");
}

QString factsHtml(const Review& review, const std::vector<Review::Fact>& facts) {
    QString html = QStringLiteral("<dl>");
    for (const auto& fact : facts)
        html += QStringLiteral("<dt>%1</dt><dd>%2</dd>")
                    .arg(review.said(fact.name).toHtmlEscaped(), review.said(fact.value).toHtmlEscaped());
    return html + QStringLiteral("</dl>");
}

QString figureHtml(const ReviewFigure& figure) {
    QString svg = QString::fromUtf8(svgOf(figure));
    svg = svg.mid(svg.indexOf(QLatin1String("<svg")));
    return QStringLiteral("<figure>%1<figcaption>%2</figcaption></figure>")
        .arg(svg, figure.caption.toHtmlEscaped());
}

QString tableHtml(const Review& review) {
    const QString unit = text(unitName(review.unit));
    QString html = QStringLiteral("<table><tr>");
    for (const auto& name :
         {tr("height, %1").arg(unit), tr("depth, %1").arg(unit), tr("points"), tr("mean"), tr("min"),
          tr("max"), tr("CV"), tr("min/mean"), tr("max/mean"), tr("rings, outer to centre"), tr("in band")})
        html += QStringLiteral("<th>%1</th>").arg(name);
    html += QStringLiteral("</tr>");
    for (const auto& row : review.rows) {
        const auto& s = row.statistics;
        QStringList rings;
        for (const auto ring : s.ring_means) rings << text(ppfdFigure(ring));
        const QStringList cells{text(lengthFigure(row.height, review.unit)),
                                text(lengthFigure(row.depth, review.unit)),
                                QString::number(s.n),
                                text(ppfdFigure(s.mean)),
                                text(ppfdFigure(s.min)),
                                text(ppfdFigure(s.max)),
                                text(percentText(s.cv)),
                                QString::number(s.min_over_mean, 'f', 2),
                                QString::number(s.max_over_mean, 'f', 2),
                                rings.join(QStringLiteral(" / ")),
                                s.share_in_band ? text(percentText(*s.share_in_band)) : QString()};
        html += QStringLiteral("<tr><td>") + cells.join(QStringLiteral("</td><td>")) +
                QStringLiteral("</td></tr>");
    }
    return html + QStringLiteral("</table>");
}

QString listHtml(const Review& review, const std::vector<Words>& items, const char* cls) {
    QString html = QStringLiteral("<ul class=\"%1\">").arg(QLatin1String(cls));
    for (const auto& item : items)
        html += QStringLiteral("<li>%1</li>").arg(review.said(item).toHtmlEscaped());
    return html + QStringLiteral("</ul>");
}

}  // namespace

QByteArray htmlOf(const Review& review) {
    QString html = QStringLiteral(
                       "<!doctype html><html lang=\"en\"><head><meta charset=\"utf-8\"><meta "
                       "name=\"viewport\" content=\"width=device-width\">"
                       "<title>%1</title><style>%2</style></head><body><h1>%1</h1><p class=\"muted\">%3</p>")
                       .arg(review.title.toHtmlEscaped(), styleSheet(), review.subtitle.toHtmlEscaped());
    const auto figures = figuresOf(review);
    const QString answer = review.headlineHeight() ? text(lengthText(*review.headlineHeight(), review.unit))
                                                   : QStringLiteral("–");
    html += QStringLiteral(
                "<div class=\"top\"><div><span class=\"muted\">%1</span><div "
                "class=\"answer\">%2</div><p>%3</p>%4</div><div>%5</div></div>")
                .arg(tr("Hang it this high over the water"), answer.toHtmlEscaped(),
                     review.said(review.headlineReason()).toHtmlEscaped(), factsHtml(review, review.card),
                     figureHtml(figures[1]));
    html += QStringLiteral("<h2>%1</h2>").arg(tr("The field")) + figureHtml(figures[0]);
    if (figures.size() > 2)
        html += QStringLiteral("<h2>%1</h2><div class=\"pair\">").arg(tr("Why this height")) +
                figureHtml(figures[2]) + figureHtml(figures[3]) + QStringLiteral("</div>");
    html +=
        QStringLiteral("<h2>%1</h2>").arg(tr("What each school says")) + factsHtml(review, review.opinions);
    html += QStringLiteral("<h2>%1</h2>").arg(tr("Every plane, PPFD in µmol·m⁻²·s⁻¹")) + tableHtml(review);
    html +=
        QStringLiteral("<h2>%1</h2>").arg(tr("Method and conditions")) + factsHtml(review, review.conditions);
    if (!review.doubts.empty())
        html += QStringLiteral("<h2>%1</h2>").arg(tr("Doubts")) + listHtml(review, review.doubts, "doubt");
    html += QStringLiteral("<h2>%1</h2>").arg(tr("Cautions")) + listHtml(review, review.cautions, "caution");
    html += QStringLiteral("<p class=\"muted\">%1</p></body></html>\n")
                .arg(review.said(review.provenance).toHtmlEscaped());
    return html.toUtf8();
}

}  // namespace glumet
