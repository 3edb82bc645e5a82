#include "desk/window/columns.h"

#include <QHBoxLayout>

#include "desk/shared/follow_focus.h"
#include "desk/shared/stage.h"

namespace glumet {
namespace {

constexpr int kSectionWidth = 322;
constexpr int kFindingsWidth = 258;
constexpr int kStageWidth = 632;  // every stage is whole in it, a bar for scrolling down included

}  // namespace

StageFrame::StageFrame(QStackedWidget* stages) : stages_(stages) { stages->setParent(this); }

/// Sentences that wrap need more height the narrower the stage is; a layout's least height knows nothing of
/// it, and what is below them would be cut. A stage of sentences says so; a map would ask for more than it
/// needs.
QSize StageFrame::minimumSizeHint() const {
    const auto* shown = stages_->currentWidget();
    if (shown == nullptr) return {};
    auto least = shown->minimumSizeHint();
    if (const auto* layout = shown->layout(); layout != nullptr && shown->property(kWrapsText).toBool())
        least.setHeight(
            std::max(least.height(), layout->minimumHeightForWidth(std::max(width(), least.width()))));
    return least;
}

bool StageFrame::event(QEvent* event) {
    if (event->type() == QEvent::LayoutRequest) updateGeometry();
    return QWidget::event(event);
}

void StageFrame::resizeEvent(QResizeEvent* event) {
    QWidget::resizeEvent(event);
    if (event->oldSize().width() != event->size().width()) updateGeometry();
    stages_->setGeometry(rect());
}

Columns::Columns(QWidget* section, QStackedWidget* stages, QWidget* findings)
    : section_(section), stage_(new QScrollArea), findings_(findings) {
    section_->setFixedWidth(kSectionWidth);
    findings_->setFixedWidth(kFindingsWidth);
    stage_->setObjectName(QStringLiteral("stageScroll"));
    stage_->setWidgetResizable(true);
    stage_->setFrameShape(QFrame::NoFrame);
    stage_->setFocusPolicy(Qt::NoFocus);
    stage_->setWidget(new StageFrame(stages));
    followFocus(*stage_);
    auto* columns = new QHBoxLayout(this);
    columns->setContentsMargins(0, 0, 0, 0);
    columns->setSpacing(0);
    columns->addWidget(section_);
    columns->addWidget(stage_, 1);
    columns->addWidget(findings_);
}

bool Columns::findingsShown() const { return !findings_->isHidden(); }

void Columns::toggleFindings() {
    wanted_ = !findingsShown();
    arrange();
}

void Columns::arrange() {
    const bool room = width() >= kSectionWidth + kStageWidth + kFindingsWidth;
    if (room) wanted_ = false;
    const bool shown = room || wanted_;
    findings_->setVisible(shown);
    section_->setVisible(width() >= kSectionWidth + kStageWidth + (shown ? kFindingsWidth : 0));
    emit findingsMoved();
}

void Columns::resizeEvent(QResizeEvent* event) {
    QWidget::resizeEvent(event);
    arrange();
}

}  // namespace glumet
