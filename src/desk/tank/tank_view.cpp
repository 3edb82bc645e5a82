#include "desk/tank/tank_view.h"

#include <QKeyEvent>
#include <QMouseEvent>
#include <algorithm>
#include <cmath>

namespace glumet {
namespace {

constexpr double kDragBegins = 5.0;  // px
constexpr double kCorner = 16.0;
constexpr double kLeastRockMm = 20.0;

}  // namespace

TankView::TankView() {
    setFocusPolicy(Qt::StrongFocus);
    setMouseTracking(true);
    setAccessibleName(tr("The tank from above, with its spots"));
    setObjectName(QStringLiteral("tankView"));
}

void TankView::setFigure(TankFigure figure, const Palette& palette) {
    if (moving_) return;  // what is dragged stays in hand
    figure_ = std::move(figure);
    palette_ = &palette;
    update();
}

void TankView::paintEvent(QPaintEvent* /*event*/) {
    if (palette_ == nullptr) return;
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    paintTankPlan(p, area(), figure_, *palette_);
    if (!hasFocus()) return;
    p.setBrush(Qt::NoBrush);
    p.setPen(QPen(palette_->accent, 1.2, Qt::DotLine));
    p.drawRect(rect().adjusted(0, 0, -1, -1));
}

std::pair<double, double> TankView::placeAt(const QPointF& point) const {
    const auto foot = tankFootprint(area(), figure_);
    const double x = (point.x() - foot.left()) / foot.width() * figure_.length.value();
    const double y = (foot.bottom() - point.y()) / foot.height() * figure_.width.value();
    return {std::clamp(std::round(x / 5.0) * 5.0, 0.0, figure_.length.value()),
            std::clamp(std::round(y / 5.0) * 5.0, 0.0, figure_.width.value())};
}

QPoint TankView::placeOf(Id spot) const {
    for (const auto& mark : figure_.marks)
        if (mark.spot == spot) return tankPoint(area(), figure_, mark.x_mm, mark.y_mm).toPoint();
    return {};
}

void TankView::mousePressEvent(QMouseEvent* event) {
    pressed_ = event->position();
    held_ = markNear(area(), figure_, pressed_);
    if (held_) return emit spotChosen(figure_.marks[*held_].spot);
    holdRock();
}

/// The last that is drawn there lies on top.
void TankView::holdRock() {
    rock_.reset();
    for (std::size_t i = 0; i < figure_.rocks.size(); ++i) {
        const auto& rock = figure_.rocks[i];
        const QRectF box(tankPoint(area(), figure_, rock.from_x.value(), rock.to_y.value()),
                         tankPoint(area(), figure_, rock.to_x.value(), rock.from_y.value()));
        if (!box.contains(pressed_)) continue;
        rock_ = i;
        rock_before_ = rock;
        const QPointF off = pressed_ - box.topRight();
        by_corner_ = std::hypot(off.x(), off.y()) < kCorner;
    }
    if (rock_) emit rockChosen(rock_before_.id);
}

void TankView::dragRock(const QPointF& to) {
    const auto [x, y] = placeAt(to);
    const auto [from_x, from_y] = placeAt(pressed_);
    auto& rock = figure_.rocks[*rock_];
    rock = rock_before_;
    if (by_corner_) {
        rock.to_x = Millimetre(std::max(x, rock.from_x.value() + kLeastRockMm));
        rock.to_y = Millimetre(std::max(y, rock.from_y.value() + kLeastRockMm));
    } else {
        const auto shift = [](double by, Millimetre low, Millimetre high, Millimetre size) {
            return Millimetre(std::clamp(by, -low.value(), (size - high).value()));
        };
        const auto right = shift(x - from_x, rock.from_x, rock.to_x, figure_.length);
        const auto back = shift(y - from_y, rock.from_y, rock.to_y, figure_.width);
        rock.from_x = rock.from_x + right;
        rock.to_x = rock.to_x + right;
        rock.from_y = rock.from_y + back;
        rock.to_y = rock.to_y + back;
    }
    update();
}

void TankView::mouseMoveEvent(QMouseEvent* event) {
    if (event->buttons() == Qt::NoButton) {
        if (!tankFootprint(area(), figure_).contains(event->position())) return emit pointedAway();
        const auto [x, y] = placeAt(event->position());
        return emit pointed(x, y);
    }
    const bool spot = held_ && *held_ < figure_.marks.size();
    const bool rock = rock_ && *rock_ < figure_.rocks.size();
    if (!spot && !rock) return;
    const QPointF off = event->position() - pressed_;
    if (!moving_ && std::hypot(off.x(), off.y()) < kDragBegins) return;
    moving_ = true;
    if (rock) return dragRock(event->position());
    const auto [x, y] = placeAt(event->position());
    figure_.marks[*held_].x_mm = x;
    figure_.marks[*held_].y_mm = y;
    update();
}

void TankView::leaveEvent(QEvent* event) {
    QWidget::leaveEvent(event);
    emit pointedAway();
}

void TankView::mouseReleaseEvent(QMouseEvent* /*event*/) {
    const bool moved = moving_;
    moving_ = false;
    if (moved && held_ && *held_ < figure_.marks.size()) {
        const auto& mark = figure_.marks[*held_];
        emit spotMoved(mark.spot, mark.x_mm, mark.y_mm);
    }
    if (moved && rock_ && *rock_ < figure_.rocks.size()) emit rockMoved(figure_.rocks[*rock_]);
    held_.reset();
    rock_.reset();
}

void TankView::mouseDoubleClickEvent(QMouseEvent* event) {
    if (markNear(area(), figure_, event->position()) ||
        !tankFootprint(area(), figure_).contains(event->position()))
        return;
    const auto [x, y] = placeAt(event->position());
    emit spotWanted(x, y);
}

void TankView::step(int by) {
    if (figure_.marks.empty()) return;
    const auto count = static_cast<int>(figure_.marks.size());
    int at = by > 0 ? -1 : 0;
    for (int i = 0; i < count; ++i)
        if (figure_.marks[static_cast<std::size_t>(i)].chosen) at = i;
    emit spotChosen(figure_.marks[static_cast<std::size_t>((at + by + count) % count)].spot);
    cellsTold(*this);
}

void TankView::keyPressEvent(QKeyEvent* event) {
    switch (event->key()) {
        case Qt::Key_Right:
        case Qt::Key_Down:
            return step(1);
        case Qt::Key_Left:
        case Qt::Key_Up:
            return step(-1);
        default:
            QWidget::keyPressEvent(event);
    }
}

std::vector<AccessibleCell> TankView::accessibleCells() const {
    std::vector<AccessibleCell> cells;
    for (const auto& mark : figure_.marks) {
        const QString state = mark.mark == SpotMark::Right    ? tr(", has what it asks")
                              : mark.mark == SpotMark::More   ? tr(", more than it asks")
                              : mark.mark == SpotMark::Less   ? tr(", less than it asks")
                              : mark.mark == SpotMark::Unread ? tr(", not read")
                                                              : QString();
        const auto at = tankPoint(area(), figure_, mark.x_mm, mark.y_mm).toPoint();
        cells.push_back(
            {mark.name + (mark.below.isEmpty() ? QString() : QStringLiteral(", ") + mark.below) + state,
             QRect(at - QPoint(12, 12), QSize(24, 24)), mark.chosen});
    }
    return cells;
}

void PaintedPanel::paintEvent(QPaintEvent* /*event*/) {
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    if (paint_) paint_(p, QRectF(rect()));
}

}  // namespace glumet
