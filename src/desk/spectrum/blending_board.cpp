#include "desk/spectrum/blending_board.h"

#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>
#include <algorithm>

#include "report/spectrum_figure.h"
#include "report/text.h"

namespace glumet {
namespace {

constexpr int kGap = 6;
constexpr double kCorner = 12.0;
constexpr double kLeastForSpectrum = 84.0;

/// Where a spectrum would be too narrow to be read: how far off, as a bar.
void paintBar(QPainter& p, const QRectF& box, double distance, double farthest, const Palette& c) {
    const double room = box.height() - 26.0;
    QRectF bar(box.left() + 6, box.bottom() - 4, 8, 0);
    bar.setTop(bar.bottom() - std::max(1.0, room * distance / farthest));
    p.fillRect(bar, c.water);
}

}  // namespace

QString colourDistanceText(double distance) { return QString::number(distance * 1000.0, 'f', 1); }

BlendingBoard::BlendingBoard() {
    setFocusPolicy(Qt::StrongFocus);
    setAccessibleName(tr("Blending, point by point"));
    setObjectName(QStringLiteral("blendingBoard"));
    setMinimumSize(240, 120);
}

void BlendingBoard::setPoints(std::vector<Point> points, const Palette& palette) {
    points_ = std::move(points);
    palette_ = &palette;
    columns_ = rows_ = 1;
    for (const auto& point : points_) {
        columns_ = std::max(columns_, point.column + 1);
        rows_ = std::max(rows_, point.row + 1);
    }
    if (chosen_ && *chosen_ >= points_.size()) chosen_.reset();
    update();
}

void BlendingBoard::choose(std::optional<std::size_t> point) {
    chosen_ = point;
    update();
    cellsTold(*this);
    emit pointChosen();
}

QRect BlendingBoard::rectOf(std::size_t point) const {
    const int w = (width() - kGap * (columns_ - 1)) / columns_;
    const int h = (height() - kGap * (rows_ - 1)) / rows_;
    return {points_[point].column * (w + kGap), points_[point].row * (h + kGap), w, h};
}

std::vector<AccessibleCell> BlendingBoard::accessibleCells() const {
    std::vector<AccessibleCell> cells;
    for (std::size_t i = 0; i < points_.size(); ++i)
        cells.push_back({tr("%1: %2 thousandths from the middle%3")
                             .arg(points_[i].name, colourDistanceText(points_[i].distance),
                                  points_[i].distance > kColourShows ? tr(", it shows") : QString()),
                         rectOf(i), chosen_ == i});
    return cells;
}

void BlendingBoard::paintEvent(QPaintEvent* /*event*/) {
    if (palette_ == nullptr) return;
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    const auto& c = *palette_;
    double top = 0.0;
    double farthest = kColourShows;
    for (const auto& point : points_) farthest = std::max(farthest, point.distance);
    for (const auto& point : points_)
        for (const double value : point.spectrum.values) top = std::max(top, value);
    for (std::size_t i = 0; i < points_.size(); ++i) {
        const auto& point = points_[i];
        const QRectF box = QRectF(rectOf(i)).adjusted(1, 1, -1, -1);
        const bool shows = point.distance > kColourShows;
        p.setPen(chosen_ == i ? QPen(c.accent, 1.8) : Qt::NoPen);
        p.setBrush(c.panel);
        p.drawRoundedRect(box, 4, 4);
        p.setBrush(Qt::NoBrush);
        p.setPen(QPen(c.text, 1.2));
        if (box.width() >= kLeastForSpectrum)
            p.drawPolyline(spectrumLine(box.adjusted(6, 8, -46, -5), point.spectrum, top));
        else
            paintBar(p, box, point.distance, farthest, c);
        p.setFont(houseFont(15, true));
        p.setPen(shows ? c.accent : c.text);
        p.drawText(box.adjusted(0, 4, -9, 0), Qt::AlignRight | Qt::AlignTop,
                   point.centre ? tr("middle") : colourDistanceText(point.distance));
        if (!shows) continue;
        p.setPen(Qt::NoPen);
        p.setBrush(c.accent);
        p.drawPolygon(QPolygonF{box.bottomRight(), box.bottomRight() - QPointF(kCorner, 0),
                                box.bottomRight() - QPointF(0, kCorner)});
    }
    if (hasFocus() && !chosen_ && !points_.empty()) {
        p.setBrush(Qt::NoBrush);
        p.setPen(QPen(c.accent, 1.2, Qt::DotLine));
        p.drawRoundedRect(QRectF(rect()).adjusted(1, 1, -1, -1), 4, 4);
    }
}

void BlendingBoard::mousePressEvent(QMouseEvent* event) {
    for (std::size_t i = 0; i < points_.size(); ++i)
        if (rectOf(i).contains(event->position().toPoint()))
            return choose(chosen_ == i ? std::nullopt : std::optional(i));
}

void BlendingBoard::walk(int columns, int rows) {
    if (points_.empty()) return;
    if (!chosen_) return choose(0);
    const auto& from = points_[*chosen_];
    for (std::size_t i = 0; i < points_.size(); ++i)
        if (points_[i].column == from.column + columns && points_[i].row == from.row + rows) return choose(i);
}

void BlendingBoard::keyPressEvent(QKeyEvent* event) {
    switch (event->key()) {
        case Qt::Key_Left:
            return walk(-1, 0);
        case Qt::Key_Right:
            return walk(1, 0);
        case Qt::Key_Up:
            return walk(0, -1);
        case Qt::Key_Down:
            return walk(0, 1);
        case Qt::Key_Escape:
            if (chosen_) return choose(std::nullopt);
            break;
        default:
            break;
    }
    event->ignore();
}

void BlendingBoard::focusInEvent(QFocusEvent* event) {
    QWidget::focusInEvent(event);
    update();
}
void BlendingBoard::focusOutEvent(QFocusEvent* event) {
    QWidget::focusOutEvent(event);
    update();
}

}  // namespace glumet
