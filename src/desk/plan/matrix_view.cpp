#include "desk/plan/matrix_view.h"

#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>

#include "core/bench/sweep.h"
#include "core/survey/findings.h"
#include "core/words/finding.h"
#include "report/text.h"

namespace glumet {
namespace {

constexpr int kMatrixNameWidth = 158;
constexpr int kBoxWidth = 53;
constexpr int kMatrixHeadHeight = 18;
constexpr int kShelfHeight = 8;
constexpr int kShelfPitch = 11;
constexpr int kMatrixGap = 6;
constexpr int kMatrixTop = 4;
constexpr std::size_t kMostShelves = 6;
constexpr int kMarkWidth = 10;  // the strip beside the chosen row

}  // namespace

MatrixView::MatrixView(Session& session) : session_(session) {
    setFocusPolicy(Qt::StrongFocus);
    setAccessibleName(tr("Test matrix"));
    setCursor(Qt::PointingHandCursor);
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
}

/// Each configuration's runs with what is read of them and what is doubtful.
std::vector<MatrixView::Row> MatrixView::rowsOf(const Session& session) {
    std::vector<Row> rows;
    const auto& bench = session.bench();
    for (std::size_t s = 0; s < session.sweeps().size(); ++s) {
        const auto& sweep = session.sweeps()[s];
        Row row{s, text(configurationName(bench, sweep.configuration)), {}, 1};
        for (const auto run : sweep.runs) {
            Box box{run, {}, 0};
            for (const auto& plane : bench.run(run).planes) {
                box.planes.push_back(progressOf(run, plane));
                box.doubts += box.planes.back().doubtful;
            }
            for (const auto& finding : runDoubts(bench, run))
                box.doubts += finding.kind == FindingKind::Doubt ? 1 : 0;
            row.boxes.push_back(std::move(box));
        }
        rows.push_back(std::move(row));
    }
    return rows;
}

void MatrixView::refresh() {
    // All readings are gone through: once for what the bench holds now.
    rows_ = session_.answers().now<std::vector<Row>>(
        {"matrix"}, session_.revision(), [&](const std::vector<Row>*) { return rowsOf(session_); });
    layOut();
    updateGeometry();
    update();
    cellsTold(*this);
}

QString MatrixView::spokenBox(const Row& row, const Box& box) const {
    QString words =
        tr("%1, fixture at %2").arg(row.name, session_.length(session_.bench().run(box.run).height));
    for (const auto& plane : box.planes)
        words += tr("; %1 deep %2 of %3 read")
                     .arg(session_.length(plane.depth))
                     .arg(plane.read)
                     .arg(plane.planned);
    if (box.doubts > 0) words += QStringLiteral("; ") + tr("%n doubts", nullptr, box.doubts);
    return words;
}

std::vector<AccessibleCell> MatrixView::accessibleCells() const {
    std::vector<AccessibleCell> cells;
    for (std::size_t r = 0; r < rows_.size(); ++r)
        for (std::size_t b = 0; b < rows_[r].boxes.size(); ++b) {
            const auto& box = rows_[r].boxes[b];
            cells.push_back({spokenBox(rows_[r], box), boxRect(r, b), session_.runId() == box.run});
        }
    return cells;
}

int MatrixView::boxesPerLine() const {
    return std::max(1, (width() - kMatrixNameWidth) / (kBoxWidth + kMatrixGap));
}

void MatrixView::layOut() {
    const int per_line = boxesPerLine();
    std::size_t most = 1;
    for (const auto& row : rows_)
        for (const auto& box : row.boxes) most = std::max(most, box.planes.size());
    shelves_ = static_cast<int>(std::min<std::size_t>(most, kMostShelves));
    int top = kMatrixTop;
    for (auto& row : rows_) {
        row.lines = std::max(1, (static_cast<int>(row.boxes.size()) + per_line - 1) / per_line);
        row.top = top;
        top += rowHeight(row);
    }
    const int wanted = sizeHint().height();
    if (wanted != minimumHeight()) setFixedHeight(wanted);
}

int MatrixView::rowHeight(const Row& row) const {
    return row.lines * (kMatrixHeadHeight + shelves_ * kShelfPitch + 6) + 10;
}

QSize MatrixView::sizeHint() const {
    const int height = rows_.empty() ? kMatrixTop : rows_.back().top + rowHeight(rows_.back());
    return {kMatrixNameWidth + 6 * (kBoxWidth + kMatrixGap), std::max(60, height)};
}

QRect MatrixView::boxRect(std::size_t row, std::size_t box) const {
    const int top = rows_[row].top;
    const int per_line = boxesPerLine();
    const int line = static_cast<int>(box) / per_line;
    const int column = static_cast<int>(box) % per_line;
    const int tall = kMatrixHeadHeight + shelves_ * kShelfPitch + 6;
    return {kMatrixNameWidth + column * (kBoxWidth + kMatrixGap), top + line * tall, kBoxWidth, tall - 4};
}

void MatrixView::paintBox(QPainter& p, const QRect& rect, const Box& box) const {
    const auto& c = session_.palette();
    const auto& run = session_.bench().run(box.run);
    const bool chosen = session_.runId() == box.run;
    p.setFont(houseFont(13, chosen));
    p.setPen(chosen ? c.accent : c.text);
    p.drawText(rect.adjusted(0, 0, 0, -rect.height() + kMatrixHeadHeight), Qt::AlignLeft | Qt::AlignVCenter,
               session_.figure(run.height));
    if (box.doubts > 0) {
        p.setFont(houseFont(11, true));
        p.setPen(c.accent);
        p.drawText(rect.adjusted(0, 0, 0, -rect.height() + kMatrixHeadHeight),
                   Qt::AlignRight | Qt::AlignVCenter, QStringLiteral("▲%1").arg(box.doubts));
    }
    int y = rect.top() + kMatrixHeadHeight;
    for (const auto& plane : box.planes) {
        if (y + kShelfHeight > rect.bottom() + 2) break;
        const QRectF shelf(rect.left() + 0.5, y + 0.5, rect.width() - 1, kShelfHeight - 1);
        const double share = plane.planned == 0 ? 0.0 : static_cast<double>(plane.read) / plane.planned;
        const bool here = chosen && session_.depth() && *session_.depth() == plane.depth;
        p.setPen(QPen(here ? c.accent : c.muted, 1));
        p.setBrush(c.panel);
        p.drawRect(shelf);
        if (share > 0.0)
            p.fillRect(QRectF(shelf.left() + 1.5, shelf.top() + 1.5, (shelf.width() - 3) * share,
                              shelf.height() - 3),
                       here ? c.accent : c.water);
        y += kShelfPitch;
    }
}

void MatrixView::paintEvent(QPaintEvent* /*event*/) {
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    const auto& c = session_.palette();
    if (rows_.empty()) {
        p.setPen(c.muted);
        p.setFont(houseFont(14));
        p.drawText(
            rect().adjusted(60, 0, -60, 0), Qt::AlignCenter | Qt::TextWordWrap,
            tr("Nothing is planned yet. Add runs makes them from a method: heights, depths and a grid. "
               "A fixture and a tank must be described in Bench."));
        return;
    }
    for (std::size_t r = 0; r < rows_.size(); ++r) {
        const auto& row = rows_[r];
        const QRect first = boxRect(r, 0);
        const bool chosen = session_.sweep() == &session_.sweeps()[row.sweep];
        if (r > 0) {
            p.setPen(QPen(c.line, 1));
            p.drawLine(0, first.top() - 7, width(), first.top() - 7);
        }
        p.setFont(houseFont(13, chosen));
        p.setPen(chosen ? c.text : c.muted);
        p.drawText(QRect(kMarkWidth, first.top(), kMatrixNameWidth - kMarkWidth - 12, rowHeight(row) - 12),
                   Qt::AlignLeft | Qt::AlignTop | Qt::TextWordWrap, row.name);
        if (chosen)
            p.fillRect(QRect(0, first.top(), 3, rowHeight(row) - 16), hasFocus() ? c.accent : c.muted);
        for (std::size_t b = 0; b < row.boxes.size(); ++b) paintBox(p, boxRect(r, b), row.boxes[b]);
    }
}

void MatrixView::choose(const Box& box, std::optional<Millimetre> depth) {
    const auto& run = session_.bench().run(box.run);
    session_.chooseConfiguration(configurationOf(run));
    session_.chooseHeight(run.height);
    if (depth) session_.chooseDepth(*depth);
}

void MatrixView::resizeEvent(QResizeEvent* /*event*/) { layOut(); }

void MatrixView::mousePressEvent(QMouseEvent* event) {
    for (std::size_t r = 0; r < rows_.size(); ++r)
        for (std::size_t b = 0; b < rows_[r].boxes.size(); ++b) {
            const QRect rect = boxRect(r, b);
            if (!rect.contains(event->pos())) continue;
            const auto& box = rows_[r].boxes[b];
            const int shelf = (event->pos().y() - rect.top() - kMatrixHeadHeight) / kShelfPitch;
            const bool on_shelf = event->pos().y() > rect.top() + kMatrixHeadHeight && shelf >= 0 &&
                                  shelf < static_cast<int>(box.planes.size());
            choose(box, on_shelf ? std::optional(box.planes[static_cast<std::size_t>(shelf)].depth)
                                 : std::nullopt);
            return;
        }
}

void MatrixView::mouseDoubleClickEvent(QMouseEvent* /*event*/) { emit opened(); }

void MatrixView::keyPressEvent(QKeyEvent* event) {
    const auto step_row = [&](int by) {
        for (std::size_t r = 0; r < rows_.size(); ++r) {
            if (session_.sweep() != &session_.sweeps()[rows_[r].sweep]) continue;
            const auto to = std::clamp<std::ptrdiff_t>(static_cast<std::ptrdiff_t>(r) + by, 0,
                                                       static_cast<std::ptrdiff_t>(rows_.size()) - 1);
            session_.chooseConfiguration(
                session_.sweeps()[rows_[static_cast<std::size_t>(to)].sweep].configuration);
            return;
        }
    };
    switch (event->key()) {
        case Qt::Key_Left:
            return session_.stepHeight(-1);
        case Qt::Key_Right:
            return session_.stepHeight(1);
        case Qt::Key_Up:
            return step_row(-1);
        case Qt::Key_Down:
            return step_row(1);
        case Qt::Key_Return:
        case Qt::Key_Enter:
            emit opened();
            return;
        default:
            QWidget::keyPressEvent(event);
    }
}

}  // namespace glumet
