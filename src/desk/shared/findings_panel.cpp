#include "desk/shared/findings_panel.h"

#include <QPainter>
#include <QScrollArea>
#include <algorithm>
#include <utility>

#include "core/words/finding.h"
#include "desk/shared/accessible_cells.h"
#include "desk/shared/theme.h"
#include "report/text.h"

namespace glumet {
namespace {

constexpr int kFindingSide = 20;
constexpr int kFindingGap = 3;
constexpr int kPad = 8;

int orderOf(FindingKind kind) { return kind == FindingKind::Fact ? 0 : kind == FindingKind::Doubt ? 1 : 2; }

}  // namespace

FindingItem::FindingItem(const Session& session, Finding finding, QWidget* parent)
    : QAbstractButton(parent), session_(session), finding_(std::move(finding)) {
    setFocusPolicy(finding_.view == EvidenceView::None ? Qt::NoFocus : Qt::TabFocus);
    if (finding_.view != EvidenceView::None) setCursor(Qt::PointingHandCursor);
    setAccessibleName(title());
    setAccessibleDescription(glumet::text(finding_.body, session_.unit()));
    QSizePolicy policy(QSizePolicy::Expanding, QSizePolicy::Fixed);
    policy.setHeightForWidth(true);
    setSizePolicy(policy);
}

QString FindingItem::title() const {
    return (finding_.kind == FindingKind::Doubt ? QStringLiteral("▲ ") : QString()) +
           glumet::text(finding_.title, session_.unit());
}

QRect FindingItem::titleRect(int width) const {
    const QFontMetrics metrics(houseFont(14, true));
    return metrics.boundingRect(QRect(kFindingSide, kPad, width - 2 * kFindingSide, 1000), Qt::TextWordWrap,
                                title());
}

QRect FindingItem::bodyRect(int width, int top) const {
    const QFontMetrics metrics(houseFont(13));
    return metrics.boundingRect(QRect(kFindingSide, top, width - 2 * kFindingSide, 2000), Qt::TextWordWrap,
                                glumet::text(finding_.body, session_.unit()));
}

int FindingItem::heightForWidth(int width) const {
    return bodyRect(width, titleRect(width).bottom() + kFindingGap).bottom() + kPad;
}
QSize FindingItem::sizeHint() const { return {240, heightForWidth(qMax(width(), 200))}; }

void FindingItem::paintEvent(QPaintEvent* /*event*/) {
    QPainter p(this);
    const auto& c = session_.palette();
    if (underMouse() && finding_.view != EvidenceView::None) p.fillRect(rect(), c.raised);
    const QRect head = titleRect(width());
    p.setFont(houseFont(14, true));
    p.setPen(finding_.kind == FindingKind::Doubt ? c.accent : c.text);
    p.drawText(QRect(kFindingSide, kPad, width() - 2 * kFindingSide, head.height() + 4), Qt::TextWordWrap,
               title());
    p.setFont(houseFont(13));
    p.setPen(finding_.kind == FindingKind::Next ? c.text : c.muted);
    p.drawText(QRect(kFindingSide, head.bottom() + kFindingGap, width() - 2 * kFindingSide, height()),
               Qt::TextWordWrap, glumet::text(finding_.body, session_.unit()));
    if (!hasFocus()) return;
    p.setPen(QPen(c.accent, 1));
    p.drawRect(rect().adjusted(6, 0, -7, -1));
}

void FindingItem::enterEvent(QEnterEvent* /*event*/) { update(); }
void FindingItem::leaveEvent(QEvent* /*event*/) { update(); }

void FindingItem::resizeEvent(QResizeEvent* event) {
    QAbstractButton::resizeEvent(event);
    if (event->oldSize().width() != width()) setFixedHeight(heightForWidth(width()));
}

FindingsPanel::FindingsPanel(Session& session) : session_(session), holder_(new QWidget) {
    setObjectName(QStringLiteral("sideColumn"));
    setAttribute(Qt::WA_StyledBackground);
    auto* layout = new QVBoxLayout(this);
    layout->setContentsMargins(0, 14, 0, 8);
    layout->setSpacing(6);
    auto* head = makeLabel(tr("Findings"), TextRole::Muted);
    head->setContentsMargins(kFindingSide, 0, 0, 0);
    layout->addWidget(head);
    auto* scroll = new QScrollArea;
    scroll->setWidgetResizable(true);
    scroll->setFocusPolicy(Qt::NoFocus);
    scroll->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    list_ = new QVBoxLayout(holder_);
    list_->setContentsMargins(0, 0, 0, 0);
    list_->setSpacing(2);
    scroll->setWidget(holder_);
    layout->addWidget(scroll, 1);
}

int FindingsPanel::doubts() const {
    return static_cast<int>(std::count_if(shown_.begin(), shown_.end(),
                                          [](const Finding& f) { return f.kind == FindingKind::Doubt; }));
}

void FindingsPanel::add(const Finding& finding) {
    auto* item = new FindingItem(session_, finding, holder_);
    connect(item, &FindingItem::clicked, this, [this, finding] { session_.show(finding); });
    list_->addWidget(item);
}

void FindingsPanel::setFindings(const std::vector<Finding>& findings) {
    auto sorted = findings;
    std::stable_sort(sorted.begin(), sorted.end(),
                     [](const Finding& a, const Finding& b) { return orderOf(a.kind) < orderOf(b.kind); });
    if (sorted == shown_ && unit_ == session_.unit()) return holder_->update();
    const auto before = std::exchange(shown_, std::move(sorted));
    unit_ = session_.unit();
    const auto focused = focusedFinding();
    clear();
    bool next_begun = false;
    for (const auto& finding : shown_) {
        if (finding.kind == FindingKind::Next && !next_begun) {
            auto* head = makeLabel(tr("Next"), TextRole::Muted);
            head->setContentsMargins(kFindingSide, 14, 0, 0);
            list_->addWidget(head);
            next_begun = true;
        }
        add(finding);
    }
    list_->addStretch(1);
    if (focused) focusLike(*focused);
    announceNew(before);
}

void FindingsPanel::clear() {
    while (auto* item = list_->takeAt(0)) {
        if (auto* widget = item->widget()) {
            // The item may be the one whose click brought us here.
            widget->hide();
            widget->deleteLater();
        }
        delete item;
    }
}

std::optional<Finding> FindingsPanel::focusedFinding() const {
    for (int i = 0; i < list_->count(); ++i)
        if (auto* item = qobject_cast<FindingItem*>(list_->itemAt(i)->widget());
            item != nullptr && item->hasFocus())
            return item->finding();
    return std::nullopt;
}

/// The one that says the same, else the first that leads to the same evidence: its figures may have moved.
void FindingsPanel::focusLike(const Finding& finding) {
    FindingItem* like = nullptr;
    for (int i = 0; i < list_->count(); ++i) {
        auto* item = qobject_cast<FindingItem*>(list_->itemAt(i)->widget());
        if (item == nullptr || item->focusPolicy() == Qt::NoFocus) continue;
        const bool same = item->finding().title == finding.title;
        if (!same && (like != nullptr || item->finding().view != finding.view)) continue;
        like = item;
        if (same) break;
    }
    if (like != nullptr) like->setFocus();
}

/// Doubts that were not there before are told to who cannot see them come.
void FindingsPanel::announceNew(const std::vector<Finding>& before) {
    for (int i = 0; i < list_->count(); ++i) {
        auto* item = qobject_cast<FindingItem*>(list_->itemAt(i)->widget());
        if (item == nullptr || item->finding().kind != FindingKind::Doubt) continue;
        const bool known = std::any_of(before.begin(), before.end(), [&](const Finding& f) {
            return f.kind == FindingKind::Doubt && f.title == item->finding().title;
        });
        if (!known) announce(*item);
    }
}

}  // namespace glumet
