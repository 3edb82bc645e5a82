#include "report/page/pdf_page.h"

#include <algorithm>
#include <cmath>
#include <numeric>

#include "report/page/card_painter.h"
#include "report/page/prose_layout.h"
#include "report/page/tagged_pdf.h"
#include "report/text.h"

namespace glumet {
namespace {

constexpr double kSide = 56.0;
constexpr double kPageTop = 52.0;
constexpr double kPageBottom = 64.0;
constexpr double kPageWide = kPageWidth - 2 * kSide;
constexpr double kText = 12.5;
constexpr double kSmall = 10.5;
constexpr double kCellGap = 12.0;
constexpr double kRowGap = 3.0;
constexpr double kFactName = 132.0;
constexpr double kBullet = 16.0;
constexpr double kLongFigure = 84.0;  // wider figures may wrap between words
constexpr int kFewestLines = 2;       // of a paragraph that stay together at a page's end

class PdfLayouter {
    Q_DECLARE_TR_FUNCTIONS(glumet::PdfLayouter)
  public:
    explicit PdfLayouter(const Document& document) : d_(document), c_(printPalette()) {}

    Expected<PdfPages> make() {
        for (std::size_t i = 0; i < d_.blocks.size(); ++i) {
            next_ = i + 1 < d_.blocks.size() ? &d_.blocks[i + 1] : nullptr;
            std::visit([this](const auto& block) { put(block); }, d_.blocks[i]);
        }
        for (int page = 0; page < pdf_.pages(); ++page) foot(page);
        auto bytes = pdf_.finish({d_.title, d_.author, d_.subject, d_.language, d_.day});
        if (!bytes) return tl::make_unexpected(bytes.error());
        return PdfPages{std::move(*bytes), std::move(marks_)};
    }

  private:
    static double end() { return kPageHeight - kPageBottom; }
    bool atTop() const { return y_ <= kPageTop + 0.5; }

    void turnPage() {
        if (atTop()) return;
        pdf_.newPage();
        y_ = kPageTop;
    }
    /// A new page unless so much is left; what is taller than a page begins one.
    void need(double height) {
        if (y_ + height > end()) turnPage();
    }

    void put(const PageBreak&) { turnPage(); }

    void put(const Heading& heading) {
        static constexpr std::array sizes{24.0, 19.0, 14.5, 12.0};
        const int level = std::clamp(heading.level, 1, 4);
        ProseStyle style{sizes[static_cast<std::size_t>(level - 1)], true, c_.text, 1.25};
        const ProseLayout set(heading.text, d_.unit, style, kPageWide);
        const double before = level <= 2 ? 22.0 : 16.0;
        if (!atTop()) y_ += before;
        need(set.height() + keptWithHeading());
        static constexpr std::array tags{"H1", "H2", "H3", "H4"};
        pdf_.open(tags[static_cast<std::size_t>(level - 1)]);
        if (level <= 3) pdf_.bookmark(level, said(heading.text), y_);
        if (!heading.anchor.empty()) marks_.push_back({heading.anchor, pdf_.pages() - 1, y_});
        pdf_.paint([&](QPainter& p) { set.paint(p, {kSide, y_}); });
        pdf_.close();
        y_ += set.height() + (level <= 2 ? 8.0 : 5.0);
        if (level != 1) return;
        pdf_.paintArtifact([&](QPainter& p) {
            p.setPen(QPen(c_.text, 1.2));
            p.drawLine(QPointF(kSide, y_), QPointF(kPageWidth - kSide, y_));
        });
        y_ += 12.0;
    }

    /// A heading does not stand alone at a page's end: so much of what follows comes with it.
    double keptWithHeading() const {
        if (next_ == nullptr) return 0.0;
        if (const auto* figures = std::get_if<FigureRow>(next_)) return heightOf(*figures) + 8.0;
        if (std::holds_alternative<Card>(*next_)) return kCardHeight + 8.0;
        return 64.0;
    }

    QColor colourOf(ProseTone tone) const {
        switch (tone) {
            case ProseTone::Muted:
                return c_.muted;
            case ProseTone::Doubt:
                return c_.accent;
            default:
                return c_.text;
        }
    }

    static QString markOf(ProseTone tone) {
        if (tone == ProseTone::Doubt) return QStringLiteral("▲");
        return tone == ProseTone::Caution ? QStringLiteral("!") : QString();
    }

    void put(const Paragraph& paragraph) {
        ProseStyle style{paragraph.tone == ProseTone::Lead    ? 13.0
                         : paragraph.tone == ProseTone::Muted ? kSmall
                                                              : kText,
                         false, colourOf(paragraph.tone), 1.42};
        const QString mark = markOf(paragraph.tone);
        const bool barred = paragraph.tone == ProseTone::Opinion || paragraph.tone == ProseTone::Own;
        const double indent = barred ? 14.0 : mark.isEmpty() ? 0.0 : kBullet;
        const ProseLayout set(paragraph.text, d_.unit, style, kPageWide - indent);
        pdf_.open("P");
        putLines(set, kSide + indent, mark, style, barred);
        pdf_.close();
        y_ += 7.0;
    }

    /// Lines one below the other, over as many pages as it takes.
    void putLines(const ProseLayout& set, double x, const QString& mark, const ProseStyle& style,
                  bool barred) {
        int from = 0;
        while (from < set.lines()) {
            const int left = set.lines() - from;
            if (y_ + std::min(left, kFewestLines) * set.lineHeight() > end()) turnPage();
            int fit = std::max(1, static_cast<int>((end() - y_) / set.lineHeight()));
            if (left > fit && left - fit < kFewestLines) fit = std::max(1, left - kFewestLines);
            const int to = std::min(set.lines(), from + fit);
            const double top = y_;
            const double tall = (to - from) * set.lineHeight();
            if (barred)
                pdf_.paintArtifact(
                    [&](QPainter& p) { p.fillRect(QRectF(kSide, top + 1.0, 2.5, tall - 2.0), c_.accent); });
            pdf_.paint([&](QPainter& p) {
                if (from == 0 && !mark.isEmpty())
                    ProseLayout(mark, style, kBullet).paint(p, {x - kBullet, top});
                set.paint(p, {x, top}, from, to);
            });
            for (const auto& link : set.links(from, to)) pdf_.link(link.area.translated(x, top), link.url);
            y_ += tall;
            from = to;
        }
    }

    void put(const Bullets& bullets) {
        pdf_.open("L");
        for (std::size_t i = 0; i < bullets.items.size(); ++i) {
            const ProseStyle style{kText, false, colourOf(bullets.tone), 1.4};
            const ProseLayout set(bullets.items[i], d_.unit, style, kPageWide - kBullet);
            QString mark = markOf(bullets.tone);
            if (mark.isEmpty())
                mark = bullets.ordered ? QStringLiteral("%1.").arg(i + 1) : QStringLiteral("•");
            pdf_.open("LI");
            pdf_.open("LBody");
            putLines(set, kSide + kBullet, mark, style, false);
            pdf_.close();
            pdf_.close();
            y_ += 3.5;
        }
        pdf_.close();
        y_ += 5.0;
    }

    void put(const FactList& list) {
        pdf_.open("L");
        for (const auto& fact : list.facts) {
            const ProseLayout name(prose(fact.name), d_.unit, {kText - 1, false, c_.muted, 1.4},
                                   kFactName - 10);
            const ProseLayout value(prose(fact.value), d_.unit,
                                    {kText - 1, false, fact.missing ? c_.accent : c_.text, 1.4},
                                    kPageWide - kFactName);
            const double tall = std::max(name.height(), value.height());
            need(std::min(tall, 200.0));
            pdf_.open("LI");
            pdf_.open("Lbl");
            pdf_.paint([&](QPainter& p) { name.paint(p, {kSide, y_}); });
            pdf_.close();
            pdf_.open("LBody");
            const double top = y_;
            const int page = pdf_.pages();
            putLines(value, kSide + kFactName, {}, {}, false);
            pdf_.close();
            pdf_.close();
            if (pdf_.pages() == page) y_ = top + tall;
            y_ += 3.0;
        }
        pdf_.close();
        y_ += 6.0;
    }

    // Tables.

    ProseStyle cellStyle(const DataTable::Column& column, bool head) const {
        return {kSmall, false, head ? c_.muted : c_.text, 1.3,
                column.figures ? Qt::AlignRight : Qt::AlignLeft};
    }

    /// As wide as what stands in them; where that is too much, texts wrap, and of figures those that are
    /// many words long.
    std::vector<double> columnWidths(const DataTable& table) const {
        const auto count = table.columns.size();
        const QFontMetricsF metrics(pageFont(kSmall));
        std::vector<double> natural(count, 0.0);
        std::vector<double> least(count, 0.0);
        for (std::size_t c = 0; c < count; ++c) {
            const auto widen = [&](const Words& words, bool whole) {
                const QString all = text(words, d_.unit);
                if (whole) natural[c] = std::max(natural[c], std::ceil(metrics.horizontalAdvance(all)) + 1.0);
                for (const auto& part : all.split(QLatin1Char(' ')))
                    least[c] = std::max(least[c], std::ceil(metrics.horizontalAdvance(part)) + 1.0);
            };
            widen(table.columns[c].head, true);
            for (const auto& row : table.rows) widen(row[c], true);
            natural[c] = std::max(natural[c], least[c]);
            if (table.columns[c].figures && natural[c] < kLongFigure) least[c] = natural[c];
        }
        const double room = kPageWide - kCellGap * static_cast<double>(count - 1);
        const double total = std::accumulate(natural.begin(), natural.end(), 0.0);
        if (total <= room) return natural;
        const double at_least = std::accumulate(least.begin(), least.end(), 0.0);
        // Too many columns for the page: all give up the same share.
        const double share = at_least >= room ? 0.0 : (room - at_least) / (total - at_least);
        const double squeeze = at_least > room ? room / at_least : 1.0;
        for (std::size_t c = 0; c < count; ++c)
            natural[c] = (least[c] + share * (natural[c] - least[c])) * squeeze;
        return natural;
    }

    struct SetRow {
        std::vector<ProseLayout> cells;
        double height = 0.0;
    };
    SetRow setRow(const DataTable& table, const std::vector<double>& widths,
                  const std::vector<Words>* row) const {
        SetRow out;
        for (std::size_t c = 0; c < table.columns.size(); ++c) {
            out.cells.emplace_back(prose(row == nullptr ? table.columns[c].head : (*row)[c]), d_.unit,
                                   cellStyle(table.columns[c], row == nullptr), widths[c]);
            out.height = std::max(out.height, out.cells.back().height());
        }
        out.height += 2 * kRowGap;
        return out;
    }

    void paintCells(const SetRow& row, const std::vector<double>& widths,
                    const std::function<void(std::size_t, const std::function<void(QPainter&)>&)>& piece) {
        double x = kSide;
        for (std::size_t c = 0; c < row.cells.size(); ++c) {
            piece(c, [&, x](QPainter& p) { row.cells[c].paint(p, {x, y_ + kRowGap}); });
            x += widths[c] + kCellGap;
        }
    }

    void rule(const std::vector<double>& widths, double y, bool strong) {
        const double wide = std::accumulate(widths.begin(), widths.end(), 0.0) +
                            kCellGap * static_cast<double>(widths.size() - 1);
        pdf_.paintArtifact([&](QPainter& p) {
            p.setPen(QPen(strong ? c_.muted : c_.line, strong ? 0.9 : 0.6));
            p.drawLine(QPointF(kSide, y), QPointF(kSide + wide, y));
        });
    }

    void put(const DataTable& table) {
        if (table.columns.empty()) return;
        const auto widths = columnWidths(table);
        const auto head = setRow(table, widths, nullptr);
        need(head.height + 60.0);
        if (!table.caption.empty()) put(Paragraph{prose(table.caption), ProseTone::Muted});
        pdf_.open("Table");
        pdf_.open("TR");
        paintCells(head, widths, [&](std::size_t, const std::function<void(QPainter&)>& work) {
            pdf_.open("TH", {{}, "Column"});
            pdf_.paint(work);
            pdf_.close();
        });
        pdf_.close();
        y_ += head.height;
        rule(widths, y_, true);
        for (const auto& row : table.rows) putRow(table, widths, head, row);
        pdf_.close();
        y_ += 12.0;
    }

    void putRow(const DataTable& table, const std::vector<double>& widths, const SetRow& head,
                const std::vector<Words>& row) {
        const auto set = setRow(table, widths, &row);
        if (y_ + set.height > end()) {
            turnPage();
            paintCells(head, widths, [&](std::size_t, const std::function<void(QPainter&)>& work) {
                pdf_.paintArtifact(work);
            });
            y_ += head.height;
            rule(widths, y_, true);
        }
        pdf_.open("TR");
        paintCells(set, widths, [&](std::size_t column, const std::function<void(QPainter&)>& work) {
            if (column == 0)
                pdf_.open("TH", {{}, "Row"});
            else
                pdf_.open("TD");
            pdf_.paint(work);
            pdf_.close();
        });
        pdf_.close();
        y_ += set.height;
        rule(widths, y_, false);
    }

    // Pictures.

    static constexpr double kFigureGap = 18.0;
    static constexpr double kTallest = 860.0;  // of a picture; its caption and heading fit the page too
    static constexpr double kCardHeight = kPageWide * kCardTall / kCardWide;

    static double scaleOf(const FigureRow& row) {
        double wide = 0.0;
        for (const auto& figure : row.figures) wide += figure.size.width();
        const double room = kPageWide - kFigureGap * static_cast<double>(row.figures.size() - 1);
        double tall = 1.0;
        for (const auto& figure : row.figures) tall = std::max(tall, 1.0 * figure.size.height());
        return std::min({0.92, room / std::max(1.0, wide), kTallest / tall});
    }
    double heightOf(const FigureRow& row) const {
        double tall = 0.0;
        for (const auto& figure : row.figures) {
            const double wide = figure.size.width() * scaleOf(row);
            tall =
                std::max(tall, figure.size.height() * scaleOf(row) + 4.0 + captionOf(figure, wide).height());
        }
        return tall;
    }
    ProseLayout captionOf(const PageFigure& figure, double wide) const {
        return {prose(figure.caption), d_.unit, {kSmall, false, c_.muted, 1.3}, wide};
    }

    void put(const FigureRow& row) {
        if (row.figures.empty()) return;
        const double tall = heightOf(row);
        need(tall);
        double x = kSide;
        const double scale = scaleOf(row);
        for (const auto& figure : row.figures) {
            const QSizeF size = QSizeF(figure.size) * scale;
            pdf_.open("Figure", {text(figure.alt, d_.unit)});
            pdf_.paint([&](QPainter& p) {
                p.translate(x, y_);
                p.scale(scale, scale);
                figure.paint(p, QRectF(QPointF(0, 0), figure.size), d_.unit);
            });
            pdf_.close();
            const auto caption = captionOf(figure, size.width());
            pdf_.open("Caption");
            pdf_.paint([&](QPainter& p) { caption.paint(p, {x, y_ + size.height() + 4.0}); });
            pdf_.close();
            x += size.width() + kFigureGap;
        }
        y_ += tall + 12.0;
    }

    void put(const Card& card) {
        need(kCardHeight);
        pdf_.open("P");
        pdf_.paint([&](QPainter& p) {
            p.translate(kSide, y_);
            p.scale(kPageWide / kCardWide, kPageWide / kCardWide);
            paintCard(p, card, d_.unit);
        });
        pdf_.close();
        y_ += kCardHeight + 14.0;
    }

    QString said(const Prose& text_of) const {
        QString whole;
        for (const auto& span : text_of) whole += text(span.words, d_.unit);
        return whole;
    }

    void foot(int page) {
        const double y = kPageHeight - 42.0;
        const ProseStyle style{8.5, false, c_.muted, 1.3};
        const QString number = tr("%1 of %2").arg(page + 1).arg(pdf_.pages());
        pdf_.paintArtifact(page, [&](QPainter& p) {
            p.setPen(QPen(c_.line, 0.6));
            p.drawLine(QPointF(kSide, y), QPointF(kPageWidth - kSide, y));
            ProseLayout(d_.footer, style, kPageWide - 90).paint(p, {kSide, y + 6}, 0, 1);
            ProseStyle right = style;
            right.align = Qt::AlignRight;
            ProseLayout(number, right, 80).paint(p, {kPageWidth - kSide - 80, y + 6});
        });
    }

    const Document& d_;
    const Palette& c_;
    TaggedPdf pdf_;
    std::vector<PdfMark> marks_;
    const Block* next_ = nullptr;
    double y_ = kPageTop;
};

}  // namespace

Expected<PdfPages> pdfPagesOf(const Document& document) { return PdfLayouter(document).make(); }

Expected<QByteArray> pdfOf(const Document& document) {
    auto pages = pdfPagesOf(document);
    if (!pages) return tl::make_unexpected(pages.error());
    return std::move(pages->bytes);
}

}  // namespace glumet
