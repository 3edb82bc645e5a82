#include <QCoreApplication>

#include "report/palette.h"
#include "report/publish.h"
#include "report/review_figures.h"
#include "report/text.h"

namespace glumet {
namespace {

constexpr double kMargin = 44.0;
constexpr int kMostRows = 24;
constexpr double kFootHeight = 92.0;  // cautions and provenance, always there

/// White ground for print, else the paper theme.
const Palette& printPalette() {
    static const Palette palette = [] {
        Palette p = paper();
        p.ground = p.raised = QColor(Qt::white);
        p.panel = QColor(QStringLiteral("#F4F0E8"));
        return p;
    }();
    return palette;
}

class PagePainter {
    Q_DECLARE_TR_FUNCTIONS(glumet::PagePainter)
  public:
    PagePainter(QPainter& painter, const Review& review) : p_(painter), r_(review), c_(printPalette()) {}

    void paint() {
        p_.fillRect(QRectF(0, 0, kPageWidth, kPageHeight), c_.ground);
        heading();
        cardAndSection();
        maps();
        charts();
        table();
        foot();
    }

  private:
    double right() const { return kPageWidth - kMargin; }

    /// Draws wrapped text and returns the height it took.
    double words(const QRectF& room, const QString& value, double size, bool bold, const QColor& colour) {
        p_.setFont(houseFont(size, bold));
        p_.setPen(colour);
        QRectF used;
        p_.drawText(room, Qt::AlignLeft | Qt::AlignTop | Qt::TextWordWrap, value, &used);
        return used.height();
    }

    void heading() {
        y_ = kMargin - 8;
        y_ += words(QRectF(kMargin, y_, right() - kMargin, 60), r_.title, 22, true, c_.text) + 2;
        y_ += words(QRectF(kMargin, y_, right() - kMargin, 20), r_.subtitle, 11, false, c_.muted) + 10;
        p_.setPen(QPen(c_.text, 1.2));
        p_.drawLine(QPointF(kMargin, y_), QPointF(right(), y_));
        y_ += 12;
    }

    void cardAndSection() {
        const double wide = 392;
        double y = y_;
        y +=
            words(QRectF(kMargin, y, wide, 20),
                  r_.headlineHeight() ? tr("Hang it this high over the water") : tr("No height can be named"),
                  12, false, c_.muted) +
            2;
        if (r_.headlineHeight())
            y += words(QRectF(kMargin, y, wide, 60), text(lengthText(*r_.headlineHeight(), r_.unit)), 46,
                       true, c_.accent) +
                 2;
        y += words(QRectF(kMargin, y, wide, 80), r_.said(r_.headlineReason()), 11.5, false, c_.text) + 8;
        for (const auto& pair : r_.card) {
            words(QRectF(kMargin, y, 110, 18), r_.said(pair.name), 10.5, false, c_.muted);
            y += qMax(15.0, words(QRectF(kMargin + 112, y, wide - 112, 34), r_.said(pair.value), 10.5, true,
                                  c_.text)) +
                 2;
        }
        const double section_left = kMargin + wide + 16;
        paintReviewSection(p_, QRectF(section_left, y_ - 4, right() - section_left, 276), r_, c_);
        y_ = qMax(y, y_ + 268) + 10;
    }

    void maps() {
        const auto& run = r_.bench.run(r_.shown_run);
        y_ += words(QRectF(kMargin, y_, right() - kMargin, 20),
                    tr("The field at %1, µmol·m⁻²·s⁻¹, front below. Bar at a cell's foot: under %2; at its "
                       "head: over %3.")
                        .arg(text(lengthText(run.height, r_.unit)), text(ppfdFigure(r_.band.low)),
                             text(ppfdFigure(r_.band.high))),
                    10, false, c_.muted) +
              4;
        paintMaps(p_, QRectF(kMargin, y_, right() - kMargin, 236), r_, c_);
        y_ += 242;
    }

    void charts() {
        if (r_.verdict.evidence.size() < 2) return;
        const double half = (right() - kMargin) / 2;
        paintChart(p_, QRectF(kMargin, y_, half - 6, 156), lossChart(r_, c_), c_);
        paintChart(p_, QRectF(kMargin + half + 6, y_, half - 6, 156), spreadChart(r_, c_), c_);
        y_ += 160;
    }

    void table() {
        const std::vector<std::pair<QString, double>> columns{
            {tr("height"), 0}, {tr("depth"), 62}, {tr("n"), 118}, {tr("mean"), 152},
            {tr("min"), 204},  {tr("max"), 250},  {tr("CV"), 298}};
        const auto cell = [&](double x, const QString& value, bool head) {
            p_.setFont(houseFont(9));
            p_.setPen(head ? c_.muted : c_.text);
            p_.drawText(QRectF(kMargin + x, y_, 50, 13), Qt::AlignRight | Qt::AlignVCenter, value);
        };
        const double top = y_;
        for (const auto& [name, x] : columns) cell(x, name, true);
        y_ += 14;
        int shown = 0;
        for (const auto& row : r_.rows) {
            if (y_ > tableEnd() - 24 || shown == kMostRows) break;
            const QStringList values{
                text(lengthFigure(row.height, r_.unit)), text(lengthFigure(row.depth, r_.unit)),
                QString::number(row.statistics.n),       text(ppfdFigure(row.statistics.mean)),
                text(ppfdFigure(row.statistics.min)),    text(ppfdFigure(row.statistics.max)),
                text(percentText(row.statistics.cv))};
            for (std::size_t i = 0; i < columns.size(); ++i)
                cell(columns[i].second, values[static_cast<qsizetype>(i)], false);
            y_ += 11.4;
            ++shown;
        }
        if (shown < static_cast<int>(r_.rows.size()))
            words(QRectF(kMargin, y_, 330, 13),
                  tr("%1 more planes in readings.csv").arg(static_cast<int>(r_.rows.size()) - shown), 9,
                  false, c_.muted);
        sideNotes(top);
    }

    /// Conditions, doubts and cautions beside the table.
    void sideNotes(double y) {
        const double x = kMargin + 370;
        const double wide = right() - x;
        for (const auto& pair : r_.conditions) {
            words(QRectF(x, y, 70, 13), r_.said(pair.name), 8.6, false, c_.muted);
            y += words(QRectF(x + 72, y, wide - 72, 60), r_.said(pair.value), 8.6, false, c_.text) + 1.5;
        }
        y += 3;
        std::size_t shown = 0;
        for (; shown < r_.doubts.size() && y < tableEnd() - 46; ++shown)
            y += words(QRectF(x, y, wide, 40), QStringLiteral("▲ ") + r_.said(r_.doubts[shown]), 8.6, false,
                       c_.accent) +
                 1.5;
        if (shown < r_.doubts.size())
            words(QRectF(x, y, wide, 13), tr("%1 more doubts in review.html").arg(r_.doubts.size() - shown),
                  8.6, false, c_.accent);
    }

    static double tableEnd() { return kPageHeight - kFootHeight; }

    void foot() {
        const double wide = (right() - kMargin - 20) / 2;
        p_.setPen(QPen(c_.line, 1.0));
        p_.drawLine(QPointF(kMargin, tableEnd()), QPointF(right(), tableEnd()));
        double y = tableEnd() + 5;
        for (std::size_t i = 0; i < r_.cautions.size(); i += 2) {
            double tall = words(QRectF(kMargin, y, wide, 50), r_.said(r_.cautions[i]), 8.4, false, c_.text);
            if (i + 1 < r_.cautions.size())
                tall = qMax(tall, words(QRectF(kMargin + wide + 20, y, wide, 50), r_.said(r_.cautions[i + 1]),
                                        8.4, false, c_.text));
            y += tall + 3;
        }
        words(QRectF(kMargin, kPageHeight - 26, right() - kMargin, 14), r_.said(r_.provenance), 8.4, false,
              c_.muted);
    }

    QPainter& p_;
    const Review& r_;
    const Palette& c_;
    double y_ = 0.0;
};

}  // namespace

void paintPage(QPainter& painter, const Review& review) {
    painter.save();
    painter.setRenderHint(QPainter::Antialiasing);
    PagePainter(painter, review).paint();
    painter.restore();
}

}  // namespace glumet
