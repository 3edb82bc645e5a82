#pragma once

#include <QAbstractScrollArea>
#include <QBuffer>
#include <QCache>
#include <QImage>
#include <QPdfDocument>

#include "desk/shared/accessible_cells.h"
#include "report/palette.h"

namespace glumet {

/// The pages of a PDF as they will be read, below each other in as many columns as can be read.
class PagesView : public QAbstractScrollArea, public AccessibleCells {
    Q_OBJECT

  public:
    PagesView();

    /// Shows other pages; the place that is looked at stays. Empty: none.
    void setPages(const QByteArray& pdf, const Palette& palette);
    int pages() const { return document_.pageCount(); }
    /// Brings a place into view; y in units of the page's height, kPageHeight.
    void showPlace(int page, double y);
    std::vector<AccessibleCell> accessibleCells() const override;

  protected:
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

  private:
    void layOut();
    int columns() const;
    double pageWidth() const;
    QRect pageRect(int page) const;
    const QImage& image(int page);

    QBuffer buffer_;
    QPdfDocument document_;
    QByteArray shown_;
    QCache<int, QImage> images_;
    const Palette* palette_;
};

}  // namespace glumet
