#include "desk/shared/stage_bar.h"

#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>
#include <algorithm>

namespace glumet {
namespace {

constexpr int kHeight = 48;
constexpr int kSpacing = 22;
constexpr int kBetweenActs = 38;
constexpr int kTightSpacing = 14;

}  // namespace

StageBar::StageBar(Session& session, const std::vector<StageEntry>& stages)
    : session_(session), stages_(stages), progress_(stages.size()) {
    setFocusPolicy(Qt::TabFocus);
    setMouseTracking(true);
    setCursor(Qt::PointingHandCursor);
    setAccessibleName(tr("Stages"));
    setFixedHeight(kHeight);
    setSizePolicy(QSizePolicy::Preferred, QSizePolicy::Fixed);
    for (const auto act : kActs) {
        const auto first = std::find_if(stages.begin(), stages.end(),
                                        [act](const StageEntry& entry) { return entry.act == act; });
        last_of_act_.push_back(static_cast<int>(first - stages.begin()));
    }
}

QString StageBar::nameOf(Act act) {
    switch (act) {
        case Act::Read:
            return tr("Read");
        case Act::Judge:
            return tr("Judge");
        case Act::Give:
            return tr("Give");
    }
    return {};
}

void StageBar::setCurrent(int stage) {
    current_ = stage;
    const auto& entry = stages_[static_cast<std::size_t>(stage)];
    last_of_act_[static_cast<std::size_t>(entry.act)] = stage;
    setAccessibleDescription(entry.title);
    update();
    cellsTold(*this);
}

std::vector<AccessibleCell> StageBar::accessibleCells() const {
    std::vector<AccessibleCell> cells;
    for (const auto& item : items()) {
        QString words =
            item.closed_act ? nameOf(stages_[static_cast<std::size_t>(item.stage)].act) : item.name;
        const auto& progress = progress_[static_cast<std::size_t>(item.stage)];
        if (!item.closed_act && !progress.isEmpty()) words += QStringLiteral(", ") + progress;
        cells.push_back({words, item.rect, item.stage == current_});
    }
    return cells;
}

void StageBar::setProgress(int stage, const QString& progress) {
    auto& held = progress_[static_cast<std::size_t>(stage)];
    if (held == progress) return;
    held = progress;
    updateGeometry();
    update();
}

std::vector<StageBar::Item> StageBar::itemsAt(Fullness fullness) const {
    const auto act_here = stages_[static_cast<std::size_t>(current_)].act;
    const QFontMetrics bold(houseFont(15, true));
    const QFontMetrics small(houseFont(12));
    std::vector<Item> items;
    int x = 0;
    std::optional<Act> act;
    for (int i = 0; i < static_cast<int>(stages_.size()); ++i) {
        const auto& entry = stages_[static_cast<std::size_t>(i)];
        const bool closed = fullness == Fullness::OneAct && entry.act != act_here;
        if (closed && act == entry.act) continue;
        if (!items.empty())
            x += fullness == Fullness::OneAct ? kTightSpacing : act == entry.act ? kSpacing : kBetweenActs;
        act = entry.act;
        Item item{i, closed, entry.title, {}, {}};
        if (closed) {
            item.stage = last_of_act_[static_cast<std::size_t>(entry.act)];
            item.name = nameOf(entry.act) + QStringLiteral(" ›");
        } else if (fullness == Fullness::Whole || i == current_) {
            item.progress = progress_[static_cast<std::size_t>(i)];
        }
        // Measured in bold, so that nothing moves when a stage is chosen.
        int wide = bold.horizontalAdvance(item.name);
        if (!item.progress.isEmpty()) wide += 7 + small.horizontalAdvance(item.progress);
        item.rect = QRect(x, 0, wide, height());
        x += wide;
        items.push_back(item);
    }
    return items;
}

int StageBar::widthOf(Fullness fullness) const { return itemsAt(fullness).back().rect.right() + 1; }

std::vector<StageBar::Item> StageBar::items() const {
    for (const auto fullness : {Fullness::Whole, Fullness::Names})
        if (widthOf(fullness) <= width()) return itemsAt(fullness);
    return itemsAt(Fullness::OneAct);
}

QSize StageBar::sizeHint() const { return {widthOf(Fullness::Whole), kHeight}; }
QSize StageBar::minimumSizeHint() const { return {widthOf(Fullness::OneAct), kHeight}; }

QRect StageBar::rectOf(int stage) const {
    for (const auto& item : items())
        if (item.stage == stage && !item.closed_act) return item.rect;
    return {};
}

int StageBar::stageAt(const QPoint& point) const {
    for (const auto& item : items())
        if (item.rect.adjusted(-kTightSpacing / 2, 0, kTightSpacing / 2, 0).contains(point))
            return item.stage;
    return -1;
}

void StageBar::paintItem(QPainter& p, const Item& item) const {
    const auto& c = session_.palette();
    const bool chosen = item.stage == current_;
    p.setFont(houseFont(15, chosen));
    p.setPen(chosen || item.stage == hovered_ ? c.text : c.muted);
    p.drawText(item.rect, Qt::AlignLeft | Qt::AlignVCenter, item.name);
    const int after = item.rect.left() + QFontMetrics(houseFont(15, chosen)).horizontalAdvance(item.name) + 7;
    p.setFont(houseFont(12));
    p.setPen(chosen ? c.accent : c.muted);
    p.drawText(QRect(after, 1, 100, height()), Qt::AlignLeft | Qt::AlignVCenter, item.progress);
    if (!chosen) return;
    p.fillRect(QRect(item.rect.left(), height() - 4, item.rect.width(), 4), c.accent);
    if (hasFocus()) {
        p.setPen(QPen(c.accent, 1));
        p.drawRect(item.rect.adjusted(-6, 8, 5, -9));
    }
}

void StageBar::paintEvent(QPaintEvent* /*event*/) {
    QPainter p(this);
    const auto all = items();
    for (std::size_t i = 0; i < all.size(); ++i) {
        paintItem(p, all[i]);
        if (i == 0) continue;
        const auto act = [&](const Item& item) { return stages_[static_cast<std::size_t>(item.stage)].act; };
        if (act(all[i]) == act(all[i - 1])) continue;
        const int x = (all[i - 1].rect.right() + all[i].rect.left()) / 2;
        p.setPen(QPen(session_.palette().line, 1));
        p.drawLine(x, 15, x, height() - 15);
    }
}

void StageBar::mousePressEvent(QMouseEvent* event) {
    if (const int stage = stageAt(event->pos()); stage >= 0) emit chosen(stage);
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
    emit chosen(std::clamp(current_ + step, 0, static_cast<int>(stages_.size()) - 1));
    setFocus();
}

}  // namespace glumet
