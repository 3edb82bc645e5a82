#include "desk/array/array_view.h"

#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>
#include <algorithm>
#include <cmath>

#include "report/text.h"

namespace glumet {
namespace {

constexpr double kKeyStepMm = 5.0;

}  // namespace

ArrayView::ArrayView(ArrayLight& light, ArrayPart part) : light_(light), part_(part) {
    setFocusPolicy(Qt::StrongFocus);
    setAccessibleName(part == ArrayPart::Plan ? tr("Fixtures over the tank, from above")
                                              : tr("Fixtures over the tank, from the side"));
    setAccessibleDescription(
        tr("Arrow keys left and right move the chosen fixture, up and down raise and lower all, a digit "
           "chooses one."));
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Expanding);
    connect(&light_, &ArrayLight::changed, this, [this] {
        update();
        cellsTold(*this);
    });
}

void ArrayView::dress(const ArrayMarks& marks, const Palette& palette, const QString& empty) {
    marks_ = marks;
    palette_ = &palette;
    empty_ = empty;
    update();
}

void ArrayView::paintEvent(QPaintEvent* /*event*/) {
    if (palette_ == nullptr) return;
    QPainter p(this);
    if (part_ == ArrayPart::Side) p.fillRect(rect(), palette_->panel);
    if (!light_.shown()) {
        p.setFont(houseFont(14));
        p.setPen(palette_->muted);
        p.drawText(rect().adjusted(24, 0, -24, 0), Qt::AlignCenter | Qt::TextWordWrap,
                   part_ == ArrayPart::Plan ? empty_ : QString());
        return;
    }
    marks_.active = hasFocus() || held_;
    if (part_ == ArrayPart::Plan)
        paintArrayPlan(p, geometry(), light_, marks_, *palette_);
    else
        paintArraySide(p, rect(), geometry(), light_, marks_, *palette_);
}

ArrayGeometry ArrayView::geometry() {
    if (!held_) air_mm_ = ArrayGeometry::airFor(light_.height());
    return {size(), light_, part_, air_mm_};
}

std::vector<AccessibleCell> ArrayView::accessibleCells() const {
    std::vector<AccessibleCell> cells;
    if (!light_.shown()) return cells;
    const ArrayGeometry at(size(), light_, part_, held_ ? air_mm_ : ArrayGeometry::airFor(light_.height()));
    const auto length = [&](double mm) { return text(lengthText(Millimetre(mm), marks_.unit)); };
    for (std::size_t i = 0; i < light_.centres().size(); ++i) {
        const auto place = part_ == ArrayPart::Plan ? at.fromAbove(i) : at.fromSide(i);
        cells.push_back({tr("Fixture %1 at %2, %3 up")
                             .arg(i + 1)
                             .arg(length(light_.centres()[i]), length(light_.height().value())),
                         place.toAlignedRect(), i == light_.chosen()});
    }
    part_ == ArrayPart::Plan ? addPlanValues(at, cells) : addDepths(at, cells);
    return cells;
}

void ArrayView::addPlanValues(const ArrayGeometry& at, std::vector<AccessibleCell>& cells) const {
    constexpr double kPitchMm = 100.0;
    const auto& plan = light_.plan();
    const auto& tank = light_.tank();
    const auto& band = light_.what().question.goal.band;
    const int every = std::max(1, static_cast<int>(std::lround(kPitchMm / (tank.length_mm / plan.columns))));
    for (int row = every / 2; row < plan.rows; row += every)
        for (int column = every / 2; column < plan.columns; column += every) {
            const double x = (column + 0.5) * tank.length_mm / plan.columns;
            const double y = (row + 0.5) * tank.width_mm / plan.rows;
            const Ppfd value(plan.at(column, row));
            QString words = tr("%1 from the left, %2 from the front: %3")
                                .arg(text(lengthText(Millimetre(x), marks_.unit)),
                                     text(lengthText(Millimetre(y), marks_.unit)), text(ppfdFigure(value)));
            if (band.contains(value)) words += tr(", in the band");
            cells.push_back({words, QRectF(at.x(x) - 12, at.yInPlan(y) - 10, 24, 20).toAlignedRect(), false});
        }
}

void ArrayView::addDepths(const ArrayGeometry& at, std::vector<AccessibleCell>& cells) const {
    for (const auto& row : light_.depthRows())
        cells.push_back({tr("%1 under water: mean %2, %3 in the band")
                             .arg(text(lengthText(row.depth, marks_.unit)), text(ppfdFigure(Ppfd(row.mean))),
                                  text(percentText(row.in_band))),
                         QRectF(at.tank().left(), at.yOfDepth(row.depth.value()) - 8, at.tank().width(), 16)
                             .toAlignedRect(),
                         false});
}

double ArrayView::alongAt(const QPointF& at, const ArrayGeometry& geometry) const {
    return light_.lengthwise() ? geometry.mmAlongX(at.x()) : geometry.mmAlongY(at.y());
}

void ArrayView::mousePressEvent(QMouseEvent* event) {
    if (!light_.shown()) return;
    const auto at_scale = geometry();
    const auto at = event->position();
    held_ = true;
    pressed_ = at;
    pressed_height_ = light_.height().value();
    // From the side a crosswise row is one behind the other: the chosen one stays chosen.
    if (light_.lengthwise() || part_ == ArrayPart::Plan) {
        const double along = alongAt(at, at_scale);
        const auto& centres = light_.centres();
        const auto nearest = std::min_element(centres.begin(), centres.end(), [&](double a, double b) {
            return std::abs(a - along) < std::abs(b - along);
        });
        light_.choose(static_cast<std::size_t>(nearest - centres.begin()));
    }
    light_.hold(true);
    update();
}

void ArrayView::mouseMoveEvent(QMouseEvent* event) {
    if (!light_.shown() || !held_) return;
    const auto at_scale = geometry();
    const auto at = event->position();
    if (light_.lengthwise() || part_ == ArrayPart::Plan)
        light_.move(light_.chosen(), alongAt(at, at_scale), true);
    if (part_ == ArrayPart::Plan) return;
    const double raised = pressed_height_ + (pressed_.y() - at.y()) / at_scale.pixelsPerMm();
    light_.raise(Millimetre(std::min(raised, air_mm_)));
}

void ArrayView::mouseReleaseEvent(QMouseEvent* /*event*/) {
    held_ = false;
    light_.hold(false);
}

void ArrayView::keyPressEvent(QKeyEvent* event) {
    if (!light_.shown()) return QWidget::keyPressEvent(event);
    const int digit = event->key() - Qt::Key_1;
    if (digit >= 0 && digit < static_cast<int>(light_.centres().size()) && digit < 9) {
        return light_.choose(static_cast<std::size_t>(digit));
    }
    // A snap must not hold what is moved in steps smaller than its reach.
    switch (event->key()) {
        case Qt::Key_Left:
        case Qt::Key_Right: {
            const double by = event->key() == Qt::Key_Left ? -kKeyStepMm : kKeyStepMm;
            light_.move(light_.chosen(), light_.centres()[light_.chosen()] + by, false);
            return;
        }
        case Qt::Key_Up:
        case Qt::Key_Down:
            light_.raise(light_.height() + Millimetre(event->key() == Qt::Key_Up ? kKeyStepMm : -kKeyStepMm));
            return;
        default:
            QWidget::keyPressEvent(event);
    }
}

}  // namespace glumet
