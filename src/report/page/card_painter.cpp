#include "report/page/card_painter.h"

#include <QPaintEngine>
#include <QPainterPath>
#include <algorithm>

#include "report/page/prose_layout.h"
#include "report/text.h"

namespace glumet {
namespace {

constexpr double kGlyphsByCache = 48.0;  // pixels of the device
constexpr double kCardMargin = 56.0;
constexpr double kAnswerWide = 372.0;
constexpr double kMap = 336.0;
constexpr double kRowsLeft = kCardMargin + kAnswerWide + 8.0;
constexpr double kFigureWide = 62.0;
constexpr double kRowsTop = 150.0;
constexpr double kRowsEnd = 500.0;

class CardPainter {
  public:
    CardPainter(QPainter& painter, const Card& card, LengthUnit unit)
        : p_(painter), card_(card), unit_(unit), c_(printPalette()) {}

    void paint() {
        p_.fillRect(QRectF(0, 0, kCardWide, kCardTall), QColor(QStringLiteral("#FCF9F3")));
        line(card_.title, {kCardMargin, 40}, kCardWide - 2 * kCardMargin, 40, true, c_.text);
        line(card_.subtitle, {kCardMargin, 92}, kCardWide - 2 * kCardMargin, 20, false, c_.muted);
        answer();
        rows();
        if (card_.map) card_.map(p_, mapArea());
        foot();
    }

  private:
    QRectF mapArea() const { return {kCardWide - kCardMargin - kMap, kRowsTop, kMap, kMap + 20}; }

    /// One line, smaller where it is too long, cut where it still is.
    void line(const Words& words, const QPointF& at, double wide, double size, bool bold,
              const QColor& colour, Qt::Alignment align = Qt::AlignLeft) {
        QString said = text(words, unit_);
        while (size > 13.0 && QFontMetricsF(pageFont(size, bold)).horizontalAdvance(said) > wide) size -= 1.0;
        const QFont font = pageFont(size, bold);
        said = QFontMetricsF(font).elidedText(said, Qt::ElideRight, wide);
        const double on_device = size * p_.deviceTransform().m11();
        if (on_device > kGlyphsByCache && p_.paintEngine()->type() == QPaintEngine::Raster)
            return outline(said, bold, at, size, colour, align == Qt::AlignRight ? wide : 0.0);
        p_.setFont(font);
        p_.setPen(colour);
        p_.drawText(QRectF(at.x(), at.y(), wide, size * 1.3), align | Qt::AlignVCenter | Qt::TextSingleLine,
                    said);
    }

    /// Whether large letters come from a cache of pictures, and how they are fitted to pixels, changes from
    /// one time to the next: as an outline that nothing is fitted to the same card gives the same picture.
    /// `right`: width at whose end it stands; 0: it begins at `at`.
    void outline(const QString& said, bool bold, const QPointF& at, double size, const QColor& colour,
                 double right) {
        constexpr double kLarge = 1000.0;
        const QFont font = pageFont(kLarge, bold);
        const QFontMetricsF metrics(font);
        const double scale = size / kLarge;
        QPainterPath path;
        path.addText(0.0, 0.0, font, said);
        const double across = right > 0.0 ? right - metrics.horizontalAdvance(said) * scale : 0.0;
        const double down = (size * 1.3 + (metrics.ascent() - metrics.descent()) * scale) / 2.0;
        p_.fillPath(QTransform(scale, 0, 0, scale, at.x() + across, at.y() + down).map(path), colour);
    }

    double lines(const Words& words, const QPointF& at, double wide, double size, const QColor& colour,
                 int most) {
        const ProseLayout set(prose(words), unit_, {size, false, colour, 1.3}, wide);
        set.paint(p_, at, 0, most);
        return std::min(most, set.lines()) * set.lineHeight();
    }

    void answer() {
        lines(card_.over_answer, {kCardMargin, kRowsTop + 4}, kAnswerWide, 22, c_.muted, 2);
        if (!card_.answer.empty())
            line(card_.answer, {kCardMargin - 4, kRowsTop + 62}, kAnswerWide, 118, true, c_.accent);
        lines(card_.under_answer, {kCardMargin, kRowsTop + (card_.answer.empty() ? 62 : 226)}, kAnswerWide,
              21, c_.text, 4);
    }

    /// What is recommended for each tank: its number, then what that gives. As many as have room.
    void rows() {
        const double text_left = kRowsLeft + kFigureWide + 16.0;
        const double text_wide = (card_.map ? mapArea().left() - 28.0 : kCardWide - kCardMargin) - text_left;
        double y = kRowsTop;
        for (const auto& row : card_.rows) {
            const ProseLayout text(prose(row.text), unit_, {20.0, true, c_.text, 1.25}, text_wide);
            const ProseLayout note(prose(row.note), unit_, {17.0, false, c_.muted, 1.3}, text_wide);
            const double tall = text.height() + note.height();
            if (y + tall > kRowsEnd) break;
            line(row.figure, {kRowsLeft, y - 8}, kFigureWide, 38.0, true, c_.text, Qt::AlignRight);
            text.paint(p_, {text_left, y});
            note.paint(p_, {text_left, y + text.height()});
            y += tall + 26.0;
        }
    }

    void foot() {
        const double wide = kCardWide - 2 * kCardMargin;
        lines(card_.not_for, {kCardMargin, 520}, wide, 18, c_.accent, 2);
        p_.setPen(QPen(c_.line, 1.0));
        p_.drawLine(QPointF(kCardMargin, 576), QPointF(kCardWide - kCardMargin, 576));
        line(card_.provenance, {kCardMargin, 584}, wide, 15, false, c_.muted);
    }

    QPainter& p_;
    const Card& card_;
    LengthUnit unit_;
    const Palette& c_;
};

}  // namespace

const Palette& printPalette() {
    static const Palette palette = [] {
        Palette p = paper();
        p.ground = p.raised = QColor(Qt::white);
        p.panel = QColor(QStringLiteral("#F4F0E8"));
        return p;
    }();
    return palette;
}

void paintCard(QPainter& painter, const Card& card, LengthUnit unit) {
    painter.save();
    painter.setRenderHint(QPainter::Antialiasing);
    CardPainter(painter, card, unit).paint();
    painter.restore();
}

}  // namespace glumet
