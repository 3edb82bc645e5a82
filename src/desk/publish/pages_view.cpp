#include "desk/publish/pages_view.h"

#include <QKeyEvent>
#include <QPainter>
#include <QPdfDocumentRenderOptions>
#include <QScrollBar>
#include <cmath>

#include "report/page/tagged_pdf.h"

namespace glumet {
namespace {

constexpr int kPageGap = 16;
constexpr double kWidest = 620.0;  // of a page
constexpr double kPageTwoColumns = 2 * 440.0;
constexpr int kKeptPages = 12;
constexpr qsizetype kToldLetters = 4000;

}  // namespace

PagesView::PagesView() : images_(kKeptPages), palette_(&dimRoom()) {
    setFrameShape(QFrame::NoFrame);
    setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    setFocusPolicy(Qt::StrongFocus);
    setAccessibleName(tr("The pages as they will be published"));
    verticalScrollBar()->setSingleStep(40);
}

void PagesView::setPages(const QByteArray& pdf, const Palette& palette) {
    palette_ = &palette;
    viewport()->update();
    if (pdf == shown_) return;
    shown_ = pdf;
    images_.clear();
    document_.close();
    buffer_.close();
    buffer_.setData(shown_);
    buffer_.open(QIODevice::ReadOnly);
    if (!shown_.isEmpty()) document_.load(&buffer_);
    layOut();
}

int PagesView::columns() const { return viewport()->width() >= kPageTwoColumns && pages() > 1 ? 2 : 1; }

double PagesView::pageWidth() const {
    return std::min(kWidest, (viewport()->width() - kPageGap * (columns() - 1.0)) / columns());
}

QRect PagesView::pageRect(int page) const {
    const double wide = pageWidth();
    const double tall = wide * kPageHeight / kPageWidth;
    const double all = wide * columns() + kPageGap * (columns() - 1.0);
    const double left = (viewport()->width() - all) / 2.0 + (page % columns()) * (wide + kPageGap);
    const double top = (page / columns()) * (tall + kPageGap) - verticalScrollBar()->value();
    return QRectF(left, top, wide, tall).toRect();
}

void PagesView::layOut() {
    const int bands = (pages() + columns() - 1) / columns();
    const double tall = pageWidth() * kPageHeight / kPageWidth + kPageGap;
    verticalScrollBar()->setPageStep(viewport()->height());
    verticalScrollBar()->setRange(
        0, std::max(0, static_cast<int>(std::ceil(bands * tall - kPageGap)) - viewport()->height()));
    viewport()->update();
}

void PagesView::showPlace(int page, double y) {
    if (page < 0 || page >= pages()) return;
    const auto rect = pageRect(page);
    const double at = rect.top() + verticalScrollBar()->value() + y / kPageHeight * rect.height();
    verticalScrollBar()->setValue(static_cast<int>(at) - kPageGap);
}

const QImage& PagesView::image(int page) {
    const QSize size = pageRect(page).size() * devicePixelRatioF();
    auto* kept = images_.object(page);
    if (kept == nullptr || kept->size() != size) {
        auto* drawn = new QImage(document_.render(page, size));
        drawn->setDevicePixelRatio(devicePixelRatioF());
        images_.insert(page, drawn);
        kept = drawn;
    }
    return *kept;
}

void PagesView::paintEvent(QPaintEvent* /*event*/) {
    QPainter p(viewport());
    p.fillRect(viewport()->rect(), palette_->ground);
    for (int page = 0; page < pages(); ++page) {
        const auto rect = pageRect(page);
        if (!rect.intersects(viewport()->rect())) continue;
        p.fillRect(rect, Qt::white);
        p.drawImage(rect.topLeft(), image(page));
    }
    if (!hasFocus()) return;
    p.setPen(QPen(palette_->accent, 1.2, Qt::DotLine));
    p.drawRect(viewport()->rect().adjusted(0, 0, -1, -1));
}

void PagesView::resizeEvent(QResizeEvent* /*event*/) { layOut(); }

void PagesView::keyPressEvent(QKeyEvent* event) {
    auto* bar = verticalScrollBar();
    switch (event->key()) {
        case Qt::Key_Home:
            return bar->setValue(bar->minimum());
        case Qt::Key_End:
            return bar->setValue(bar->maximum());
        default:
            QAbstractScrollArea::keyPressEvent(event);
    }
}

std::vector<AccessibleCell> PagesView::accessibleCells() const {
    std::vector<AccessibleCell> cells;
    for (int page = 0; page < pages(); ++page) {
        const QString said = const_cast<QPdfDocument&>(document_).getAllText(page).text().simplified();
        cells.push_back(
            {tr("page %1: %2").arg(page + 1).arg(said.left(kToldLetters)), pageRect(page), false});
    }
    return cells;
}

}  // namespace glumet
