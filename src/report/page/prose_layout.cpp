#include "report/page/prose_layout.h"

#include <QRegularExpression>
#include <algorithm>

#include "report/text.h"

namespace glumet {
namespace {

/// A figure and its unit stay on one line.
QString unbroken(QString said) {
    static const QRegularExpression gap(
        QStringLiteral("(\\d|±|×) (%|cm|mm|in|nm|m|h|min|W|µmol|mol|\\d|×)(?!\\w)"));
    return said.replace(gap, QStringLiteral("\\1\u00a0\\2"));
}

}  // namespace

QFont pageFont(double pixel_size, bool bold) {
    QFont font = houseFont(pixel_size, bold);
    font.setHintingPreference(QFont::PreferNoHinting);
    return font;
}

ProseLayout::ProseLayout(const QString& text, const ProseStyle& style, double width)
    : layout_(std::make_unique<QTextLayout>(unbroken(text), pageFont(style.size, style.bold))),
      style_(style) {
    breakLines(width, style.align);
}

ProseLayout::ProseLayout(const Prose& prose, LengthUnit unit, const ProseStyle& style, double width)
    : style_(style) {
    QString whole;
    QList<QTextLayout::FormatRange> formats;
    for (const auto& span : prose) {
        QString said = unbroken(text(span.words, unit));
        // On paper nobody can follow a link: it is spelled out, too.
        const QString link = text(span.link);
        if (!link.isEmpty() && link != said) said += QStringLiteral(" (%1)").arg(link);
        QTextLayout::FormatRange range;
        range.start = static_cast<int>(whole.size());
        range.length = static_cast<int>(said.size());
        range.format.setFont(pageFont(style.size, style.bold || span.strong));
        if (span.emphasis) range.format.setFontUnderline(true);  // the house font has no slanted cut
        if (span.code) range.format.setBackground(QColor(QStringLiteral("#F0EBE1")));
        formats.push_back(range);
        if (!link.isEmpty()) links_.push_back({range.start, range.length, link});
        whole += said;
    }
    whole.replace(QLatin1Char('\n'), QChar::LineSeparator);
    layout_ = std::make_unique<QTextLayout>(whole, pageFont(style.size, style.bold));
    layout_->setFormats(formats);
    breakLines(width, style.align);
}

void ProseLayout::breakLines(double width, Qt::Alignment align) {
    line_height_ = style_.size * style_.leading;
    QTextOption option(align);
    option.setWrapMode(QTextOption::WrapAtWordBoundaryOrAnywhere);
    layout_->setTextOption(option);
    layout_->beginLayout();
    for (QTextLine line = layout_->createLine(); line.isValid(); line = layout_->createLine()) {
        line.setLineWidth(std::max(1.0, width));
        line.setPosition(QPointF(0, (layout_->lineCount() - 1) * line_height_));
    }
    layout_->endLayout();
}

double ProseLayout::naturalWidth() const {
    double widest = 0.0;
    for (int i = 0; i < lines(); ++i) widest = std::max(widest, layout_->lineAt(i).naturalTextWidth());
    return widest;
}

std::vector<ProseLayout::LinkPlace> ProseLayout::links(int from, int to) const {
    std::vector<LinkPlace> out;
    for (const auto& link : links_)
        for (int i = from; i < std::min(to, lines()); ++i) {
            const auto line = layout_->lineAt(i);
            const int first = std::max(link.start, line.textStart());
            const int last = std::min(link.start + link.length, line.textStart() + line.textLength());
            if (first >= last) continue;
            out.push_back({QRectF(QPointF(line.cursorToX(first), (i - from) * line_height_),
                                  QPointF(line.cursorToX(last), (i - from + 1) * line_height_)),
                           link.url});
        }
    return out;
}

void ProseLayout::paint(QPainter& painter, const QPointF& at, int from, int to) const {
    painter.setPen(style_.colour);
    for (int i = from; i < std::min(to, lines()); ++i)
        layout_->lineAt(i).draw(&painter, at - QPointF(0, from * line_height_));
}

}  // namespace glumet
