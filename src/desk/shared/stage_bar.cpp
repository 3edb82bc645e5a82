#include "desk/shared/stage_bar.h"

#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>
#include <algorithm>

namespace glumet {
namespace {

constexpr int kStageCount = static_cast<int>(kStages.size());
constexpr int kSpacing = 26;

}  // namespace

StageBar::StageBar(Session& session) : session_(session), progress_(kStageCount) {
    setFocusPolicy(Qt::TabFocus);
    setMouseTracking(true);
    setCursor(Qt::PointingHandCursor);
    setAccessibleName(tr("Stages"));
    setFixedHeight(48);
    setSizePolicy(QSizePolicy::Fixed, QSizePolicy::Fixed);
}

QString StageBar::nameOf(StageId stage) {
    switch (stage) {
        case StageId::Bench:
            return tr("Bench");
        case StageId::Plan:
            return tr("Plan");
        case StageId::Measure:
            return tr("Measure");
        case StageId::Field:
            return tr("Field");
        case StageId::Height:
            return tr("Height");
        case StageId::Array:
            return tr("Array");
        case StageId::Publish:
            return tr("Publish");
    }
    return {};
}

void StageBar::setCurrent(StageId stage) {
    current_ = stage;
    setAccessibleDescription(nameOf(stage));
    update();
}

void StageBar::setProgress(StageId stage, const QString& progress) {
    progress_[static_cast<std::size_t>(stage)] = progress;
    updateGeometry();
    update();
}

QSize StageBar::sizeHint() const { return {rects().back().right() + 1, 48}; }

std::vector<QRect> StageBar::rects() const {
    std::vector<QRect> out;
    const QFontMetrics bold(houseFont(15, true));
    const QFontMetrics small(houseFont(12));
    int x = 0;
    for (int i = 0; i < kStageCount; ++i) {
        // Measured in bold, so that nothing moves when a stage is chosen.
        int wide = bold.horizontalAdvance(nameOf(static_cast<StageId>(i)));
        if (const auto& progress = progress_[static_cast<std::size_t>(i)]; !progress.isEmpty())
            wide += 7 + small.horizontalAdvance(progress);
        out.emplace_back(x, 0, wide, height());
        x += wide + kSpacing;
    }
    return out;
}

int StageBar::stageAt(const QPoint& point) const {
    const auto all = rects();
    for (int i = 0; i < kStageCount; ++i)
        if (all[static_cast<std::size_t>(i)].adjusted(-kSpacing / 2, 0, kSpacing / 2, 0).contains(point))
            return i;
    return -1;
}

void StageBar::paintEvent(QPaintEvent* /*event*/) {
    QPainter p(this);
    const auto& c = session_.palette();
    const auto all = rects();
    for (int i = 0; i < kStageCount; ++i) {
        const auto& rect = all[static_cast<std::size_t>(i)];
        const bool chosen = static_cast<StageId>(i) == current_;
        const QString name = nameOf(static_cast<StageId>(i));
        p.setFont(houseFont(15, chosen));
        p.setPen(chosen || i == hovered_ ? c.text : c.muted);
        p.drawText(rect, Qt::AlignLeft | Qt::AlignVCenter, name);
        const int after = rect.left() + QFontMetrics(houseFont(15, chosen)).horizontalAdvance(name) + 7;
        p.setFont(houseFont(12));
        p.setPen(chosen ? c.accent : c.muted);
        p.drawText(QRect(after, 1, 100, height()), Qt::AlignLeft | Qt::AlignVCenter,
                   progress_[static_cast<std::size_t>(i)]);
        if (!chosen) continue;
        p.fillRect(QRect(rect.left(), height() - 4, rect.width(), 4), c.accent);
        if (hasFocus()) {
            p.setPen(QPen(c.accent, 1));
            p.drawRect(rect.adjusted(-6, 8, 5, -9));
        }
    }
}

void StageBar::mousePressEvent(QMouseEvent* event) {
    if (const int stage = stageAt(event->pos()); stage >= 0) emit chosen(static_cast<StageId>(stage));
}

void StageBar::mouseMoveEvent(QMouseEvent* event) {
    hovered_ = stageAt(event->pos());
    update();
}

void StageBar::leaveEvent(QEvent* /*event*/) {
    hovered_ = -1;
    update();
}

void StageBar::keyPressEvent(QKeyEvent* event) {
    const int step = event->key() == Qt::Key_Right ? 1 : event->key() == Qt::Key_Left ? -1 : 0;
    if (step == 0) {
        QWidget::keyPressEvent(event);
        return;
    }
    emit chosen(static_cast<StageId>(std::clamp(static_cast<int>(current_) + step, 0, kStageCount - 1)));
    setFocus();
}

void StageBar::focusInEvent(QFocusEvent* /*event*/) { update(); }
void StageBar::focusOutEvent(QFocusEvent* /*event*/) { update(); }

}  // namespace glumet
