#pragma once

#include <QPainter>
#include <QTextLayout>
#include <memory>

#include "report/page/document.h"
#include "report/palette.h"

namespace glumet {

/// The house font for paper and pictures: nothing of it is fitted to pixels, so that the same page looks the
/// same whatever was painted before it.
QFont pageFont(double pixel_size, bool bold = false);

/// How a running text is set.
struct ProseStyle {
    double size = 11.0;  ///< px
    bool bold = false;
    QColor colour;
    double leading = 1.35;  ///< line height against the size
    Qt::Alignment align = Qt::AlignLeft;
};

/// Running text broken into lines of a width, which can be painted some lines at a time.
class ProseLayout {
  public:
    ProseLayout(const QString& text, const ProseStyle& style, double width);
    ProseLayout(const Prose& prose, LengthUnit unit, const ProseStyle& style, double width);

    int lines() const { return layout_->lineCount(); }
    double lineHeight() const { return line_height_; }
    double height() const { return lines() * line_height_; }
    /// The widest line's own width.
    double naturalWidth() const;
    /// Paints lines [from, to), the first with its top at y.
    void paint(QPainter& painter, const QPointF& at, int from, int to) const;
    void paint(QPainter& painter, const QPointF& at) const { paint(painter, at, 0, lines()); }
    /// Where links stand in lines [from, to), the first with its top at 0; one that wraps has several places.
    struct LinkPlace {
        QRectF area;
        QString url;
    };
    std::vector<LinkPlace> links(int from, int to) const;

  private:
    void breakLines(double width, Qt::Alignment align);

    std::unique_ptr<QTextLayout> layout_;
    ProseStyle style_;
    double line_height_ = 0.0;
    struct LinkRange {
        int start = 0;
        int length = 0;
        QString url;
    };
    std::vector<LinkRange> links_;
};

}  // namespace glumet
