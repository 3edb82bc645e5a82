#include "desk/shared/plan_map.h"

#include <QKeyEvent>
#include <QMouseEvent>
#include <algorithm>

#include "report/text.h"

namespace glumet {

PlanMap::PlanMap(QWidget* parent) : QWidget(parent) {
    setMouseTracking(true);
    setFocusPolicy(Qt::StrongFocus);
    setAccessibleName(tr("Plan of the plane"));
    setMinimumSize(200, 160);
    QSizePolicy policy(QSizePolicy::Expanding, QSizePolicy::Preferred);
    policy.setHeightForWidth(true);
    setSizePolicy(policy);
}

void PlanMap::setPlan(const PlanData& plan, const Palette& palette) {
    const bool reshaped = plan.length != plan_.length || plan.width != plan_.width;
    const bool moved = plan.selected != plan_.selected;
    plan_ = plan;
    if (reshaped) updateGeometry();
    palette_ = &palette;
    update();
    if (moved) cellsTold(*this);
}

QString PlanMap::spokenCell(Cell cell) const {
    const auto at = static_cast<std::size_t>(cell.row * plan_.grid.columns() + cell.column);
    const auto& value = plan_.values[at];
    QString words = glumet::text(cellName(plan_.grid, cell)) + QStringLiteral(": ");
    if (!plan_.faces.empty() && !plan_.faces[at].text.isEmpty())
        words += plan_.faces[at].text;
    else
        words += value ? glumet::text(ppfdFigure(*value)) : tr("not read");
    if (std::find(plan_.doubtful.begin(), plan_.doubtful.end(), cell) != plan_.doubtful.end())
        words += tr(", doubtful");
    if (plan_.next == cell) words += tr(", next");
    if (value && plan_.band) words += plan_.band->contains(*value) ? tr(", in the band") : tr(", outside");
    return words;
}

std::vector<AccessibleCell> PlanMap::accessibleCells() const {
    std::vector<AccessibleCell> cells;
    if (static_cast<int>(plan_.values.size()) < plan_.grid.cells()) return cells;
    for (int row = 0; row < plan_.grid.rows(); ++row)
        for (int column = 0; column < plan_.grid.columns(); ++column) {
            const Cell cell{column, row};
            cells.push_back(
                {spokenCell(cell), cellRect(cell).toAlignedRect(), plan_.selected == std::optional(cell)});
        }
    return cells;
}

void PlanMap::setHint(const QString& hint) {
    hint_ = hint;
    update();
}

PlanLayout PlanMap::layoutNow() const {
    return planLayout(QRectF(rect()).adjusted(2, 2, -2, -2), plan_, true);
}

int PlanMap::heightForWidth(int width) const {
    // Names and walls take about as much beside the plan as below it.
    constexpr int kBeside = 40;
    return qRound((width - kBeside) * (plan_.width / plan_.length)) + kBeside;
}

QRectF PlanMap::cellRect(Cell cell) const { return layoutNow().cell(plan_.grid, cell); }
QRectF PlanMap::footprint() const { return layoutNow().footprint(); }

void PlanMap::paintEvent(QPaintEvent* /*event*/) {
    if (palette_ == nullptr) return;
    QPainter p(this);
    paintPlan(p, QRectF(rect()).adjusted(2, 2, -2, -2), plan_, *palette_, true);
    if (!hint_.isEmpty()) {
        p.setFont(houseFont(14));
        p.setPen(palette_->muted);
        p.drawText(QRectF(rect()).adjusted(40, 0, -40, 0), Qt::AlignCenter | Qt::TextWordWrap, hint_);
    }
    if (!hasFocus()) return;
    p.setPen(QPen(palette_->accent, 1, Qt::DotLine));
    p.setBrush(Qt::NoBrush);
    p.drawRect(QRectF(rect()).adjusted(0.5, 0.5, -0.5, -0.5));
}

void PlanMap::mousePressEvent(QMouseEvent* event) {
    if (const auto cell = layoutNow().cellUnder(plan_.grid, event->position())) emit cellChosen(*cell);
}

void PlanMap::mouseMoveEvent(QMouseEvent* event) {
    if (const auto cell = layoutNow().cellUnder(plan_.grid, event->position()))
        emit cellHovered(*cell);
    else
        emit hoverEnded();
}

void PlanMap::leaveEvent(QEvent* /*event*/) { emit hoverEnded(); }

void PlanMap::keyPressEvent(QKeyEvent* event) {
    int dx = 0;
    int dy = 0;
    switch (event->key()) {
        case Qt::Key_Left:
            dx = -1;
            break;
        case Qt::Key_Right:
            dx = 1;
            break;
        case Qt::Key_Up:
            dy = 1;
            break;  // rows count from the front, which is below
        case Qt::Key_Down:
            dy = -1;
            break;
        default:
            QWidget::keyPressEvent(event);
            return;
    }
    if (plan_.grid.cells() == 0) return;
    const Cell from = plan_.selected.value_or(plan_.next.value_or(Cell{0, 0}));
    emit cellChosen({std::clamp(from.column + dx, 0, plan_.grid.columns() - 1),
                     std::clamp(from.row + dy, 0, plan_.grid.rows() - 1)});
}

}  // namespace glumet
