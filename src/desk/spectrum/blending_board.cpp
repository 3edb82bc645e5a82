#include "desk/spectrum/blending_board.h"

#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>
#include <algorithm>

#include "core/spectrum/colour.h"

namespace glumet {

BlendingBoard::BlendingBoard() {
    setFocusPolicy(Qt::StrongFocus);
    setAccessibleName(tr("Blending, point by point"));
    setObjectName(QStringLiteral("blendingBoard"));
    setMinimumSize(240, 120);
}

void BlendingBoard::setFigure(BlendingFigure figure, const Palette& palette) {
    figure_ = std::move(figure);
    palette_ = &palette;
    if (chosen_ && *chosen_ >= points().size()) chosen_.reset();
    update();
}

void BlendingBoard::choose(std::optional<std::size_t> point) {
    chosen_ = point;
    update();
    cellsTold(*this);
    emit pointChosen();
}

QRect BlendingBoard::rectOf(std::size_t point) const {
    return blendingField(QRectF(rect()), figure_, point).toRect();
}

std::vector<AccessibleCell> BlendingBoard::accessibleCells() const {
    std::vector<AccessibleCell> cells;
    for (std::size_t i = 0; i < points().size(); ++i)
        cells.push_back({tr("%1: %2 thousandths from the middle%3")
                             .arg(points()[i].name, colourDistanceText(points()[i].distance),
                                  points()[i].distance > kColourShows ? tr(", it shows") : QString()),
                         rectOf(i), chosen_ == i});
    return cells;
}

void BlendingBoard::paintEvent(QPaintEvent* /*event*/) {
    if (palette_ == nullptr) return;
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    const auto& c = *palette_;
    paintBlending(p, QRectF(rect()), figure_, c, chosen_);
    if (hasFocus() && !chosen_ && !points().empty()) {
        p.setBrush(Qt::NoBrush);
        p.setPen(QPen(c.accent, 1.2, Qt::DotLine));
        p.drawRoundedRect(QRectF(rect()).adjusted(1, 1, -1, -1), 4, 4);
    }
}

void BlendingBoard::mousePressEvent(QMouseEvent* event) {
    for (std::size_t i = 0; i < points().size(); ++i)
        if (rectOf(i).contains(event->position().toPoint()))
            return choose(chosen_ == i ? std::nullopt : std::optional(i));
}

void BlendingBoard::walk(int columns, int rows) {
    if (points().empty()) return;
    if (!chosen_) return choose(0);
    const auto& from = points()[*chosen_];
    for (std::size_t i = 0; i < points().size(); ++i)
        if (points()[i].column == from.column + columns && points()[i].row == from.row + rows)
            return choose(i);
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

}  // namespace glumet
