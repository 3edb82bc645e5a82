#include "desk/shared/scrolled_dialog.h"

#include <QKeyEvent>
#include <QScreen>
#include <QScrollBar>
#include <QStyle>
#include <algorithm>

#include "desk/shared/follow_focus.h"

namespace glumet {
namespace {

constexpr QSize kTitleBar(8, 40);  // what a window manager puts around it

}  // namespace

ScrolledDialog::ScrolledDialog(QWidget* parent, const QSize& wanted)
    : QDialog(parent), wanted_(wanted), scroll_(new QScrollArea), foot_(new QVBoxLayout) {
    scroll_->setObjectName(QStringLiteral("dialogScroll"));
    scroll_->setWidgetResizable(true);
    scroll_->setFrameShape(QFrame::NoFrame);
    scroll_->setFocusPolicy(Qt::NoFocus);
    scroll_->setWidget(new QWidget);
    followFocus(*scroll_);
    auto* rows = new QVBoxLayout(this);
    rows->setContentsMargins(0, 0, 0, 0);
    rows->setSpacing(0);
    rows->addWidget(scroll_, 1);
    rows->addLayout(foot_);
}

void ScrolledDialog::addFoot(QLayout* buttons) {
    foot_->setContentsMargins(22, 0, 22, 18);
    foot_->setSpacing(8);  // not that of the rows, which is none
    foot_->addLayout(buttons);
}

void ScrolledDialog::fit(const QSize& room) {
    const QSize whole = scroll_->widget()->sizeHint() + QSize(0, foot_->sizeHint().height());
    QSize size = wanted_.expandedTo(whole).boundedTo(room);
    // Where it scrolls down, the bar must not cover the body's right edge.
    if (size.height() < whole.height())
        size.setWidth(
            std::min(room.width(), size.width() + style()->pixelMetric(QStyle::PM_ScrollBarExtent)));
    resize(size);
}

/// What no field has taken: the page keys and arrows scroll.
void ScrolledDialog::keyPressEvent(QKeyEvent* event) {
    auto* bar = scroll_->verticalScrollBar();
    switch (event->key()) {
        case Qt::Key_PageDown:
            return bar->triggerAction(QAbstractSlider::SliderPageStepAdd);
        case Qt::Key_PageUp:
            return bar->triggerAction(QAbstractSlider::SliderPageStepSub);
        case Qt::Key_Down:
            return bar->triggerAction(QAbstractSlider::SliderSingleStepAdd);
        case Qt::Key_Up:
            return bar->triggerAction(QAbstractSlider::SliderSingleStepSub);
        default:
            QDialog::keyPressEvent(event);
    }
}

void ScrolledDialog::showEvent(QShowEvent* event) {
    fit(screen()->availableSize() - kTitleBar);
    QDialog::showEvent(event);
}

}  // namespace glumet
